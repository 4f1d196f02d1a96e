package jollyspindle.core.motif;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.stream.Stream;

/**
 * Collects what of a motif can be dragged on a run that it is laid out on. Its kind says which numbers, and at which lines they
 * show. Lengths are in inches, as the run counts them: along it from its left end, across it from the seam outward.
 *
 * @param <M> the motif
 */
final class KnobsOnRun<M extends Motif> {

    private final Params<M> params;
    private final M motif;
    private final Laid laid;
    private final List<ParamKnob<M>> knobs = new ArrayList<>();

    /**
     * A motif as it is laid out.
     *
     * @param hanging whether it stands on the outside edge
     * @param lines of it
     * @param template kind of the template it is stitched with
     */
    record Laid(RunFrame frame, boolean hanging, List<StitchLine> lines, Optional<Kind> template) {}

    KnobsOnRun(Params<M> params, M motif, Laid laid) {
        this.params = params;
        this.motif = motif;
        this.laid = laid;
    }

    List<ParamKnob<M>> all() {
        return List.copyOf(knobs);
    }

    Optional<Kind> template() {
        return laid.template();
    }

    // --- lines -----------------------------------------------------------------------------------------------------

    Stream<StitchLine> lines(Stitched kind, int sub) {
        return laid.lines().stream().filter(l -> l.kind() == kind && l.sub() == sub);
    }

    /** The first of its kind on the run. */
    Optional<StitchLine> first(Stitched kind, int sub) {
        return lines(kind, sub).filter(l -> l.number() == 1).findFirst();
    }

    double along(Point place) {
        return place.minus(laid.frame().origin()).dot(laid.frame().along());
    }

    double across(Point place) {
        return place.minus(laid.frame().origin()).dot(laid.frame().outward());
    }

    /** From where the motif stands. */
    double up(Point place) {
        return (across(place) - foot()) * sign();
    }

    /** Where the motif stands, across the run. */
    double foot() {
        return laid.hanging()
                ? laid.frame().depth() - laid.frame().reserve()
                : laid.frame().clearance();
    }

    /** Hanging motifs run from the run's right end to its left one. */
    int sign() {
        return laid.hanging() ? -1 : 1;
    }

    static Point middle(StitchLine line) {
        return line.path().curves().get(0).at(0.5);
    }

    /** That end of a line which is nearer to where the motif stands. */
    Point low(StitchLine line) {
        return up(line.path().start()) < up(line.path().end())
                ? line.path().start()
                : line.path().end();
    }

    Point highest(StitchLine line) {
        return line.path().flattened(1e-3).stream()
                .max((a, b) -> Double.compare(up(a), up(b)))
                .orElseThrow();
    }

    // --- knobs -----------------------------------------------------------------------------------------------------

    /**
     * A number that is dragged along the run.
     *
     * @param place where its knob is
     * @param from where it is 0, along the run
     * @param factor what an inch dragged is worth
     */
    void along(Param.Length<M> param, Point place, double from, double factor) {
        add(param, place, laid.frame().along(), from, factor, v -> params.with(motif, param, v));
    }

    void along(Param.MaybeLength<M> param, Point place, double from, double factor) {
        add(param, place, laid.frame().along(), from, factor, v -> params.with(motif, param, OptionalDouble.of(v)));
    }

    /**
     * A number that is dragged across the run.
     *
     * @param place where its knob is
     * @param from where it is 0, across the run
     * @param factor what an inch dragged away from where the motif stands is worth
     */
    void across(Param.Length<M> param, Point place, double from, double factor) {
        add(param, place, laid.frame().outward(), from, sign() * factor, v -> params.with(motif, param, v));
    }

    void across(Param.MaybeLength<M> param, Point place, double from, double factor) {
        add(
                param,
                place,
                laid.frame().outward(),
                from,
                sign() * factor,
                v -> params.with(motif, param, OptionalDouble.of(v)));
    }

    private void add(Param<M, ?> param, Point place, Point way, double from, double factor, DoubleFunction<M> changed) {
        Point origin = laid.frame().origin().plus(way.times(from));
        knobs.add(new ParamKnob<>(param, place, origin, way, factor, changed));
    }
}
