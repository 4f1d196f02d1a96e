package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A row of bumps for clamshells. Between two bumps stands a gap just as wide as the usual foot, so that the foot's middle
 * gets down to the bumps' own centre line and the needle stitches true half circles. Its frame has the origin in the middle
 * of the row, on that line.
 *
 * @param bumps how many, 1 to {@link #MOST_BUMPS}
 * @param width from bump to bump, in inches
 * @param depth from the bumps' crowns to the far side, or the crowns there, in inches
 * @param far from bump to bump on the far side, if it has bumps too, of another size: as many as go beside each other there
 */
public record ScallopRow(int bumps, double width, double depth, OptionalDouble far) implements Form {
    private static final Param.Whole<ScallopRow> BUMPS =
            Param.whole("bumps", 1, ScallopRow.MOST_BUMPS, ScallopRow::bumps);
    private static final Param.Length<ScallopRow> WIDTH = Param.length("width", SMALLEST, LARGEST, ScallopRow::width);
    private static final Param.Length<ScallopRow> DEPTH = Param.length("depth", SMALLEST, LARGEST, ScallopRow::depth);
    private static final Param.MaybeLength<ScallopRow> FAR =
            Param.maybeLength("far", SMALLEST, LARGEST, ScallopRow::far);

    /** The name of the far side's edge. */
    public static final String FAR_EDGE = "far-scallops";

    /** Templates of this form. */
    public static final FormType<ScallopRow> TYPE = FormType.of(
            Kind.SCALLOP_ROW,
            ScallopRow.class,
            Params.of(
                            v -> new ScallopRow(v.get(BUMPS), v.get(WIDTH), v.get(DEPTH), v.get(FAR)),
                            Params.row(BUMPS, WIDTH),
                            Params.row(DEPTH),
                            Params.row(FAR))
                    .brief(FAR),
            new ScallopRow(4, 2, 2.5));

    public static final int MOST_BUMPS = 40;

    public ScallopRow {
        Guards.within("bumps", bumps, 1, MOST_BUMPS);
        Form.size(width, "width");
        Form.size(depth, "depth");
        far.ifPresent(size -> Form.size(size, "width"));
    }

    /** With a straight far side. */
    public ScallopRow(int bumps, double width, double depth) {
        this(bumps, width, depth, OptionalDouble.empty());
    }

    /** The bumps on either side. */
    public List<Bumps> sides() {
        List<Bumps> sides = new ArrayList<>(List.of(new Bumps(bumps, width)));
        far.ifPresent(size ->
                sides.add(new Bumps((int) Math.max(1, Math.floor(bumps * width / size + Tolerances.ROUNDING)), size)));
        return sides;
    }

    /** The bumps along an edge. */
    public Bumps along(Guide edge) {
        return sides().get(edge.id().equals(FAR_EDGE) ? 1 : 0);
    }

    @Override
    public FormType<ScallopRow> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        double foot = facts.foot();
        for (Bumps side : sides()) {
            if (side.radius() > 0) {
                facts.add(new StitchFact.Shells(
                        side.count(), side.width(), side.stitchedRise(foot), side.radius() + foot));
            }
        }
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        return new Prediction(Prediction.What.SHELL_RISE, bumpRadius() > 0 ? stitchedRise(foot) : 0);
    }

    @Override
    public void inspect(Template template, Machine machine, List<TemplateDiagnostic> found) {
        sides().stream()
                .filter(side -> side.radius() <= 0)
                .forEach(side ->
                        found.add(new TemplateDiagnostic.ShellsTooNarrow(side.width(), 2 * machine.footRadius())));
    }

    @Override
    public boolean isFollowedBeside() {
        return false;
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.CROWN, EngravedLine.Kind.SEAM_ALLOWANCE, EngravedLine.Kind.CENTRE);
    }

    /** The radius of a bump of acrylic, in inches; not over 0 if the shells are no wider than the foot. */
    public double bumpRadius() {
        return sides().get(0).radius();
    }

    /** How high the needle's shells rise along the near side, in inches, see {@link Bumps#stitchedRise}. */
    public double stitchedRise(double foot) {
        return sides().get(0).stitchedRise(foot);
    }

    /**
     * Bumps side by side.
     *
     * @param count how many
     * @param width from bump to bump, in inches
     */
    public record Bumps(int count, double width) {

        /** Of a bump of acrylic, in inches; not over 0 if the shells are no wider than the foot. */
        public double radius() {
            return width / 2 - Machine.NOMINAL_FOOT_RADIUS;
        }

        /**
         * How high the needle's shells rise, in inches. A foot wider than the gap can't get all the way down between two
         * bumps; it stays above by √((ρ + f)² − (P/2)²) with a bump's radius ρ and the width P, so that what is stitched is the
         * circular segment of radius ρ + f over the chord P. A narrower foot gets down to the gap's floor, and stitches a half
         * circle of radius ρ + f on straight legs, still as high as half the width.
         *
         * @return nothing sensible unless {@link #radius} is over 0
         */
        public double stitchedRise(double foot) {
            double stitched = radius() + foot;
            return foot >= Machine.NOMINAL_FOOT_RADIUS
                    ? CircularSegment.ofRadiusAndChord(stitched, width).height()
                    : stitched + (Machine.NOMINAL_FOOT_RADIUS - foot);
        }

        /** From left to right, the bumps' own middles on a level, and a piece of the gap's floor beyond them at either end. */
        private List<Curve> edge(double level) {
            double f = Machine.NOMINAL_FOOT_RADIUS;
            List<Curve> edge = new ArrayList<>();
            double first = -(count - 1) * width / 2;
            Point at = new Point(first - radius() - 3 * f, level - f);
            for (int i = 0; i < count; i++) {
                double middle = first + i * width;
                Point foot = new Point(middle - radius(), level - f);
                Point left = new Point(middle - radius(), level);
                Point right = new Point(middle + radius(), level);
                Point down = new Point(middle + radius(), level - f);
                edge.add(new Segment(at, foot));
                edge.add(new Segment(foot, left));
                edge.add(new Arc(new Point(middle, level), radius(), Math.PI, -Math.PI));
                edge.add(new Segment(right, down));
                at = down;
            }
            edge.add(new Segment(at, new Point(at.x() + 3 * f, level - f)));
            return edge;
        }
    }

    @Override
    public double mainSize() {
        return width;
    }

    @Override
    public ScallopRow withMainSize(double size) {
        return new ScallopRow(bumps, size, depth + (size - width) / 2, far);
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        double radius = bumpRadius();
        if (radius <= Tolerances.SAME_PLACE) {
            return Cut.NOTHING;
        }
        double f = Machine.NOMINAL_FOOT_RADIUS;
        Path near = new Path(sides().get(0).edge(0));
        List<Curve> outline = new ArrayList<>(near.curves());
        List<Guide> guides = new ArrayList<>(List.of(Guide.free("scallops", Guide.Role.SCALLOPS, near, true)));
        Optional<Bumps> beyond = sides().stream()
                .skip(1)
                .filter(side -> side.radius() > Tolerances.SAME_PLACE)
                .findFirst();
        if (beyond.isPresent()) {
            // Turned by half a turn it is a near side; between the floors of the gaps so much acrylic is left.
            double level = Math.max(depth - radius - beyond.get().radius(), 4 * f);
            Path far = new Path(beyond.get().edge(level)).posed(new Pose(Point.ORIGIN, Math.PI));
            outline.add(new Segment(near.end(), far.start()));
            outline.addAll(far.curves());
            outline.add(new Segment(far.end(), near.start()));
            guides.add(Guide.free(FAR_EDGE, Guide.Role.SCALLOPS, far, true));
        } else {
            double base = Math.min(radius - depth, -2 * f);
            Point end = near.end();
            Point start = near.start();
            outline.add(new Segment(end, new Point(end.x(), base)));
            outline.add(new Segment(new Point(end.x(), base), new Point(start.x(), base)));
            outline.add(new Segment(new Point(start.x(), base), start));
        }
        return new Cut(List.of(Cut.Piece.of(new Path(outline))), guides);
    }
}
