package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;

/**
 * All there is to know about a kind of motif of areas. Each stands in the file that lays it out; {@link AreaMotifTypes} finds
 * it.
 *
 * @param <M> the motif
 */
public final class AreaMotifType<M extends AreaMotif> {

    /** Lays a motif out in a piece of cloth. */
    interface Layout<M> {
        void lay(PieceContext piece, M motif);
    }

    /** About how many lines a motif makes, reckoned without laying it out. */
    interface Reckoner<M> {
        double lines(M motif, AreaReckoning.Cloth cloth);
    }

    private final Class<M> type;
    private final String code;
    private final Params<M> params;
    private final Layout<M> layout;
    private final Reckoner<M> reckoner;
    private final Set<Kind> templates;
    private boolean aboutCentre;
    private BiConsumer<AreaPreset.Cloth, AreaPreset.Offers<M>> offers = (cloth, offered) -> {};
    private boolean parallel;
    private BiFunction<M, Box, List<Double>> spacings = (motif, box) -> List.of();
    private BiConsumer<M, KnobsInPiece<M>> knobs = (motif, to) -> {};

    /**
     * A kind of motif.
     *
     * @param code its lasting name, by which files keep it
     * @param reckoner never says much more than there will be
     * @param template a kind of template that stitches it, and others
     */
    AreaMotifType(
            Class<M> type,
            String code,
            Params<M> params,
            Layout<M> layout,
            Reckoner<M> reckoner,
            Kind template,
            Kind... others) {
        this.type = type;
        this.code = code;
        this.params = params;
        this.layout = layout;
        this.reckoner = reckoner;
        this.templates = EnumSet.of(template, others);
    }

    /** One that galleries offer over a piece of cloth. */
    AreaMotifType<M> offered(BiConsumer<AreaPreset.Cloth, AreaPreset.Offers<M>> other) {
        offers = other;
        return this;
    }

    /** One that galleries offer about the centre of a piece of cloth. */
    AreaMotifType<M> offeredAboutCentre(BiConsumer<AreaPreset.Cloth, AreaPreset.Offers<M>> other) {
        aboutCentre = true;
        return offered(other);
    }

    /** Of parallel lines, which come out so far apart in a box, in inches. */
    AreaMotifType<M> spaced(BiFunction<M, Box, List<Double>> other) {
        parallel = true;
        spacings = other;
        return this;
    }

    /** One that has numbers to drag. */
    AreaMotifType<M> dragged(BiConsumer<M, KnobsInPiece<M>> other) {
        knobs = other;
        return this;
    }

    boolean isAboutCentre() {
        return aboutCentre;
    }

    /** Whether it is made of parallel lines. */
    boolean isParallel() {
        return parallel;
    }

    /** What galleries offer of it for a piece of cloth. */
    List<AreaPreset> offered(AreaPreset.Cloth cloth) {
        List<AreaPreset> all = new ArrayList<>();
        offers.accept(cloth, (variant, motif) -> all.add(new AreaPreset(code + variant, motif)));
        return all;
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

    /** The kinds of template that stitch it. */
    public Set<Kind> templates() {
        return EnumSet.copyOf(templates);
    }

    void lay(PieceContext piece, AreaMotif motif) {
        layout.lay(piece, type.cast(motif));
    }

    double lines(AreaMotif motif, AreaReckoning.Cloth cloth) {
        return reckoner.lines(type.cast(motif), cloth);
    }

    /**
     * What of it can be dragged in a piece of cloth.
     *
     * @param centre of the piece, in the quilt's frame
     * @param box round what may be stitched of it
     */
    public List<ParamKnob<M>> knobs(AreaMotif motif, Point centre, Box box) {
        M own = type.cast(motif);
        KnobsInPiece<M> to = new KnobsInPiece<>(params, own, centre, box);
        knobs.accept(own, to);
        return to.all();
    }

    /** How far apart its lines come out in a box, in inches; none if they aren't parallel. */
    List<Double> spacings(AreaMotif motif, Box box) {
        return new ArrayList<>(spacings.apply(type.cast(motif), box));
    }
}
