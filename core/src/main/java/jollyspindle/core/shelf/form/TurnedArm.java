package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcSpline;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.FreeCurve;
import jollyspindle.core.geometry.Offsets;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * An arm that is turned about a centre, step by step: its hook rests on the foot there, and a reference line on it is laid
 * on a ray. Its frame has the origin at the centre and the reference ray, from the centre to the arm's tip, straight up.
 *
 * <p>As stitched, the needle draws the figure with the usual foot; as cut, the leading edge of the acrylic has its shape.
 *
 * @param figure that one arm draws
 * @param reach from the centre to the tip, in inches
 * @param hook radius of the hook's inside, in inches
 * @param width of the arm from its leading to its trailing edge, in inches
 */
public record TurnedArm(Figure figure, double reach, double hook, double width) implements Form {

    /** What one arm draws, in formulas with x along the reference ray and y to its left. */
    public sealed interface Figure {

        /** The curve from the centre (0, 0) to the tip (reach, 0). */
        Path curve(double reach);

        /** The figure of an arm so many times as long. */
        Figure scaled(double factor);
    }

    /**
     * y = b·sin(2πwx/R), for x from 0 to the reach R.
     *
     * @param bend b, in inches
     * @param waves w, in whole and half waves, 1/2 to 6
     */
    public record Wave(double bend, double waves) implements Figure {

        public Wave {
            Form.size(bend, "bend");
            if (!(waves >= 0.5) || waves > 6) {
                throw new IllegalArgumentException("an arm has 1/2 to 6 waves");
            }
        }

        @Override
        public Path curve(double reach) {
            double k = 2 * Math.PI * waves;
            return spline(
                    (int) Math.ceil(2 * waves),
                    t -> new Point(reach * t, bend * Math.sin(k * t)),
                    t -> new Point(reach, bend * k * Math.cos(k * t)));
        }

        @Override
        public Figure scaled(double factor) {
            return new Wave(bend * factor, waves);
        }
    }

    /**
     * The spiral of Archimedes r = Rφ/Φ, for φ from 0 to the turn Φ, turned so that its tip lies on the reference ray.
     *
     * @param turn Φ, in radians, one degree to three turns
     */
    public record Spiral(double turn) implements Figure {

        private static final double THREE_TURNS = 1080;

        public Spiral {
            Form.angle(turn, LEAST_SWEEP, THREE_TURNS, "spiral's turn");
        }

        @Override
        public Path curve(double reach) {
            return spline(
                    (int) Math.ceil(2 * turn / Math.PI),
                    t -> Point.direction(turn * (t - 1)).times(reach * t),
                    t -> Point.direction(turn * (t - 1))
                            .plus(Point.direction(turn * (t - 1)).turnedLeft().times(turn * t))
                            .times(reach));
        }

        @Override
        public Figure scaled(double factor) {
            return this;
        }

        /** Its length in inches: R/(2Φ)·(Φ√(1 + Φ²) + asinh Φ), from any table of integrals. */
        public double length(double reach) {
            double root = Math.sqrt(1 + turn * turn);
            return reach / (2 * turn) * (turn * root + Math.log(turn + root));
        }
    }

    /**
     * Half a petal: one arc over the reach. Turned over, the template draws the other half.
     *
     * @param rise of the arc, in inches, at most half the reach
     */
    public record Petal(double rise) implements Figure {

        public Petal {
            Form.size(rise, "rise");
        }

        @Override
        public Path curve(double reach) {
            CircularSegment s = CircularSegment.ofChordAndHeight(reach, Math.min(rise, reach / 2));
            return Path.of(new Arc(
                    new Point(reach / 2, s.height() - s.radius()),
                    s.radius(),
                    Math.PI / 2 + s.sweep() / 2,
                    -s.sweep()));
        }

        @Override
        public Figure scaled(double factor) {
            return new Petal(rise * factor);
        }
    }

    /** How thick the hook is, in inches, for want of a measured width. */
    private static final double PRONG = 0.35;

    /** How far the hook goes round the foot. */
    private static final double HOOKED = Math.toRadians(110);

    public TurnedArm {
        Form.size(reach, "reach");
        Form.size(hook, "hook");
        Form.size(width, "width");
    }

    private interface InOne {
        Point at(double t);
    }

    /** Arcs for a curve that turns so often that it is better followed in stretches. */
    private static Path spline(int stretches, InOne at, InOne derivative) {
        List<Curve> curves = new ArrayList<>();
        for (int i = 0; i < stretches; i++) {
            double from = (double) i / stretches;
            curves.addAll(ArcSpline.of(new FreeCurve() {
                @Override
                public Point at(double t) {
                    return at.at(from + t / stretches);
                }

                @Override
                public Point derivative(double t) {
                    return derivative.at(from + t / stretches);
                }
            }));
        }
        return new Path(curves);
    }

    @Override
    public Kind kind() {
        return Kind.TURNED_ARM;
    }

    @Override
    public boolean hasSizeLabel() {
        return true;
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.REFERENCE, EngravedLine.Kind.PARALLEL);
    }

    /** The figure in this template's frame, from the centre to the tip. */
    public Path line() {
        return figure.curve(reach).posed(new Pose(Point.ORIGIN, Math.PI / 2));
    }

    @Override
    public double mainSize() {
        return reach;
    }

    @Override
    public TurnedArm withMainSize(double size) {
        return new TurnedArm(figure.scaled(size / reach), size, hook, width);
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        Path edge = Strip.edge(line(), label);
        if (edge == null) {
            return Cut.NOTHING;
        }
        List<Path> backs = Offsets.follow(edge, false, width);
        if (backs.isEmpty()) {
            return Cut.NOTHING;
        }
        Path back = backs.get(0);
        Point start = edge.start();
        double side = label.convention() == LabelConvention.AS_CUT
                ? edge.curves().get(0).direction(0).turnedLeft().times(-1).angle()
                : start.angle();
        Arc inner = new Arc(Point.ORIGIN, hook, side - HOOKED, HOOKED);
        Arc outer = new Arc(Point.ORIGIN, hook + Math.min(PRONG, width), side, -HOOKED);
        List<Curve> outline = new ArrayList<>(edge.curves());
        join(outline, back.end());
        outline.addAll(back.reversed().curves());
        join(outline, outer.start());
        outline.add(outer);
        join(outline, inner.start());
        outline.add(inner);
        join(outline, start);
        return new Cut(
                List.of(Cut.Piece.of(new Path(outline))),
                List.of(
                        Guide.free("leading", Guide.Role.LEADING_EDGE, edge, true),
                        Guide.free("trailing", Guide.Role.TRAILING_EDGE, back, false)));
    }

    private static void join(List<Curve> outline, Point to) {
        Point from = outline.get(outline.size() - 1).end();
        if (from.distance(to) > 1e-9) {
            outline.add(new Segment(from, to));
        }
    }

    /** Whether a foot sits snugly in the hook: no further from its inside than a chalk line's width. */
    public boolean hookFits(Machine machine) {
        return Math.abs(hook - machine.footRadius()) <= 1.0 / 32;
    }
}
