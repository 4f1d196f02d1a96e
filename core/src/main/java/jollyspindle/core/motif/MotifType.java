package jollyspindle.core.motif;

import jollyspindle.core.division.Wish;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.form.Kind;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * All there is to know about a kind of motif of runs. Each stands in the file that lays it out; {@link MotifTypes} finds it.
 *
 * @param <M> the motif
 */
public abstract class MotifType<M extends Motif> {

    private final Class<M> type;
    private final String code;
    private final Params<M> params;

    /**
     * A kind of motif.
     *
     * @param code its lasting name, by which files keep it
     */
    MotifType(Class<M> type, String code, Params<M> params) {
        this.type = type;
        this.code = code;
        this.params = params;
    }

    public Class<M> type() {
        return type;
    }

    public String code() {
        return code;
    }

    public Params<M> params() {
        return params;
    }

    /** What galleries offer of it to begin with. */
    abstract List<Preset> offered();

    /** What sort of template it is stitched with. */
    abstract EdgeKind edge(M motif);

    /**
     * What it asks of the division.
     *
     * @param room from where the motif stands to the limit of stitching, in inches
     * @return nothing if the template it needs isn't there
     */
    abstract Optional<DivisionConstraints> asks(Layer layer, M motif, EdgeCatalog tools, double room);

    /** Which counts it comes out with, whatever the run and the template. */
    Wish.Parity parity(M motif) {
        return Wish.Parity.ANY;
    }

    /**
     * The least radius that arcs of it must have to stay in their space, in inches; nothing if any will do that spans a repeat.
     *
     * @param repeat about what repeats will be, in inches
     * @param room from where the motif stands to the limit of stitching, in inches
     */
    OptionalDouble leastRadius(M motif, double repeat, double room) {
        return OptionalDouble.empty();
    }

    /** How far apart its lines are where they lie side by side, in inches; nothing if they don't. */
    OptionalDouble echo(M motif) {
        return OptionalDouble.empty();
    }

    /**
     * Lays it out.
     *
     * @param echo the spacing of the lines beside it, in inches; 0 if there are none
     */
    abstract void lay(RunContext laying, M motif, double echo);

    /** Says which of its numbers can be dragged on a run that it is laid out on. */
    void knobs(M motif, KnobsOnRun<M> to) {}

    /**
     * What of it can be dragged on a run that it is laid out on.
     *
     * @param hanging whether it stands on the outside edge
     * @param lines of it
     * @param template kind of the template it is stitched with
     */
    public final List<ParamKnob<M>> knobs(
            Motif motif, RunFrame frame, boolean hanging, List<StitchLine> lines, Optional<Kind> template) {
        M own = type.cast(motif);
        KnobsOnRun<M> to = new KnobsOnRun<>(params, own, new KnobsOnRun.Laid(frame, hanging, lines, template));
        knobs(own, to);
        return to.all();
    }
}
