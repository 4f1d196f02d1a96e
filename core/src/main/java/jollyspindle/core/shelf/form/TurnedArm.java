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
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.Values;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
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

    private static final Param.Length<TurnedArm> REACH = Param.length("reach", SMALLEST, LARGEST, TurnedArm::reach);
    private static final Param.Length<TurnedArm> HOOK = Param.length("hook", SMALLEST, LARGEST, TurnedArm::hook);
    private static final Param.Length<TurnedArm> WIDTH = Param.length("width", SMALLEST, LARGEST, TurnedArm::width);

    private static TurnedArm arm(Figure figure, Values<TurnedArm> v) {
        return new TurnedArm(figure, v.get(REACH), v.get(HOOK), v.get(WIDTH));
    }

    /** Arms that draw a figure, in a common size. */
    private static FormType<TurnedArm> type(String name, Params<TurnedArm> params, Figure usual) {
        return new FormType<>(
                Kind.TURNED_ARM, Optional.of(name), TurnedArm.class, params, new TurnedArm(usual, 6, 0.25, 1.25));
    }

    /** What one arm draws, in formulas with x along the reference ray and y to its left. */
    public sealed interface Figure {

        /** Arms that draw this figure. */
        FormType<TurnedArm> type();

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

        private static final double LEAST_WAVES = 0.5;
        private static final double MOST_WAVES = 6;
        private static final Param.Length<TurnedArm> BEND =
                Param.length("bend", SMALLEST, LARGEST, arm -> ((Wave) arm.figure()).bend());
        private static final Param.Decimal<TurnedArm> WAVES =
                Param.decimal("waves", LEAST_WAVES, MOST_WAVES, arm -> ((Wave) arm.figure()).waves());

        static final FormType<TurnedArm> TYPE = TurnedArm.type(
                "wave",
                Params.of(
                                v -> arm(new Wave(v.get(BEND), v.get(WAVES)), v),
                                Params.row(REACH),
                                Params.row(BEND, WAVES),
                                Params.row(HOOK, WIDTH))
                        .kept(BEND, WAVES, REACH, HOOK, WIDTH),
                new Wave(0.75, 1));

        public Wave {
            Form.size(bend, "bend");
            Guards.within("waves", waves, LEAST_WAVES, MOST_WAVES);
        }

        @Override
        public FormType<TurnedArm> type() {
            return TYPE;
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
        private static final Param.Angle<TurnedArm> TURN =
                Param.angle("turn", LEAST_SWEEP, THREE_TURNS, arm -> ((Spiral) arm.figure()).turn());

        static final FormType<TurnedArm> TYPE = TurnedArm.type(
                "spiral",
                Params.of(
                                v -> arm(new Spiral(v.get(TURN)), v),
                                Params.row(REACH),
                                Params.row(TURN),
                                Params.row(HOOK, WIDTH))
                        .kept(TURN, REACH, HOOK, WIDTH),
                new Spiral(Math.toRadians(120)));

        public Spiral {
            Guards.degrees("turn", turn, LEAST_SWEEP, THREE_TURNS);
        }

        @Override
        public FormType<TurnedArm> type() {
            return TYPE;
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

        private static final Param.Length<TurnedArm> RISE =
                Param.length("rise", SMALLEST, LARGEST, arm -> ((Petal) arm.figure()).rise());

        static final FormType<TurnedArm> TYPE = TurnedArm.type(
                "petal",
                Params.of(
                                v -> arm(new Petal(v.get(RISE)), v),
                                Params.row(REACH),
                                Params.row(RISE),
                                Params.row(HOOK, WIDTH))
                        .kept(RISE, REACH, HOOK, WIDTH),
                new Petal(1));

        public Petal {
            Form.size(rise, "rise");
        }

        @Override
        public FormType<TurnedArm> type() {
            return TYPE;
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

    /** By how much a hook and a foot in it may differ, in inches (common practice, no source). */
    private static final double SNUG = 1.0 / 32;

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
    public FormType<TurnedArm> type() {
        return figure.type();
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.arm();
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        return Prediction.reach(cut, foot);
    }

    @Override
    public void inspect(Template template, Machine machine, List<TemplateDiagnostic> found) {
        if (!hookFits(machine)) {
            found.add(new TemplateDiagnostic.HookDoesntFit(hook, machine.footRadius()));
        }
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
        Path edge = edge(label);
        if (edge == null) {
            return Cut.NOTHING;
        }
        List<Path> backs = Offsets.follow(edge, false, width);
        if (backs.isEmpty()) {
            return Cut.NOTHING;
        }
        Path back = backs.get(0);
        Point start = edge.start();
        double side = start.angle();
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

    /**
     * The leading edge, which begins where the hook ends: of an arm as stitched a foot's radius beside the figure, of one as cut
     * the figure itself, moved aside by the hook, so that the foot over the centre touches it where it begins.
     *
     * @return nothing if no edge can stitch that figure
     */
    private Path edge(SizeLabel label) {
        Path line = line();
        return label.convention() == LabelConvention.AS_CUT
                ? line.moved(line.curves().get(0).direction(0).turnedLeft().times(-hook))
                : Strip.edge(line, label);
    }

    private static void join(List<Curve> outline, Point to) {
        Point from = outline.get(outline.size() - 1).end();
        if (from.distance(to) > Tolerances.ROUNDING) {
            outline.add(new Segment(from, to));
        }
    }

    /** Whether a foot sits snugly in the hook: no further from its inside than {@link #SNUG}. */
    public boolean hookFits(Machine machine) {
        return Math.abs(hook - machine.footRadius()) <= SNUG;
    }

    /** Whether a foot goes into the hook, with play or without, so that the arm can be held against it over the centre. */
    public boolean hookTakes(Machine machine) {
        return machine.footRadius() <= hook + SNUG;
    }
}
