package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.param.Params;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Collects what of a motif can be dragged in a piece of cloth. Its kind says which numbers, and where they show.
 *
 * @param <M> the motif
 */
final class KnobsInPiece<M extends AreaMotif> {

    /** Where knobs of circles about the centre stand, clockwise from the top: beside the usual rays. */
    private static final double ASIDE = Math.toRadians(67.5);

    /** Squares are dragged no narrower than this, in inches. */
    private static final double NARROWEST = 1.0 / 16;

    private final Params<M> params;
    private final M motif;
    private final Point centre;
    private final Box box;
    private final List<ParamKnob<M>> knobs = new ArrayList<>();

    /**
     * Nothing yet.
     *
     * @param centre of the piece
     * @param box round what may be stitched of it
     */
    KnobsInPiece(Params<M> params, M motif, Point centre, Box box) {
        this.params = params;
        this.motif = motif;
        this.centre = centre;
        this.box = box;
    }

    List<ParamKnob<M>> all() {
        return List.copyOf(knobs);
    }

    Point centre() {
        return centre;
    }

    Box box() {
        return box;
    }

    /** Where a circle about the centre has its knob. */
    Point aside() {
        return new Point(Math.sin(ASIDE), Math.cos(ASIDE));
    }

    /** A distance from the centre. */
    void out(Param.Length<M> param) {
        from(param, centre, aside());
    }

    /** A distance from the centre, if there is one. */
    void out(Param.MaybeLength<M> param) {
        from(param, centre, aside());
    }

    /** The diameter of a circle about the centre. */
    void across(Param.Length<M> param) {
        across(param, centre);
    }

    /** The same about another middle. */
    void across(Param.Length<M> param, Point middle) {
        Point place = middle.plus(aside().times(param.of(motif) / 2));
        knobs.add(new ParamKnob<>(param, place, middle, aside(), 2, v -> params.with(motif, param, v)));
    }

    /**
     * Counted along the lower edge from the left.
     *
     * @param stretch how much longer it is there than the number
     */
    void along(Param.Length<M> param, double stretch) {
        Point left = new Point(box.left(), box.bottom());
        Point place = left.plus(new Point(param.of(motif) * stretch, 0));
        knobs.add(new ParamKnob<>(param, place, left, new Point(1, 0), 1 / stretch, v -> params.with(motif, param, v)));
    }

    /** A grid's squares: as wide as they are dragged, as far as whole ones fill the width. */
    void squares(Param.Whole<M> param) {
        Point left = new Point(box.left(), box.bottom());
        Point place = left.plus(new Point(box.width() / param.of(motif), 0));
        knobs.add(new ParamKnob<>(
                param,
                place,
                left,
                new Point(1, 0),
                1,
                v -> params.with(motif, param, (int) Math.round(box.width() / Math.max(v, NARROWEST)))));
    }

    /** A distance from some place. */
    void from(Param.Length<M> param, Point origin, Point way) {
        Point place = origin.plus(way.times(param.of(motif)));
        knobs.add(new ParamKnob<>(param, place, origin, way, 1, v -> params.with(motif, param, v)));
    }

    /** A distance from some place, if there is one. */
    void from(Param.MaybeLength<M> param, Point origin, Point way) {
        param.of(motif)
                .ifPresent(now -> knobs.add(new ParamKnob<>(
                        param,
                        origin.plus(way.times(now)),
                        origin,
                        way,
                        1,
                        v -> params.with(motif, param, OptionalDouble.of(v)))));
    }
}
