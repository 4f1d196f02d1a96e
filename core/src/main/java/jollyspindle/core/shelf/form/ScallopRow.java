package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
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
import java.util.Set;

/**
 * A row of bumps for clamshells. Between two bumps stands a gap just as wide as the usual foot, so that the foot's middle
 * gets down to the bumps' own centre line and the needle stitches true half circles. Its frame has the origin in the middle
 * of the row, on that line.
 *
 * @param bumps how many, 1 to {@link #MOST_BUMPS}
 * @param width from bump to bump, in inches
 * @param depth from the bumps' crowns to the far side, in inches
 */
public record ScallopRow(int bumps, double width, double depth) implements Form {
    private static final Param.Whole<ScallopRow> BUMPS =
            Param.whole("bumps", 1, ScallopRow.MOST_BUMPS, ScallopRow::bumps);
    private static final Param.Length<ScallopRow> WIDTH = Param.length("width", SMALLEST, LARGEST, ScallopRow::width);
    private static final Param.Length<ScallopRow> DEPTH = Param.length("depth", SMALLEST, LARGEST, ScallopRow::depth);

    /** Templates of this form. */
    public static final FormType<ScallopRow> TYPE = FormType.of(
            Kind.SCALLOP_ROW,
            ScallopRow.class,
            Params.of(
                    v -> new ScallopRow(v.get(BUMPS), v.get(WIDTH), v.get(DEPTH)),
                    Params.row(BUMPS, WIDTH),
                    Params.row(DEPTH)),
            new ScallopRow(4, 2, 2.5));

    public static final int MOST_BUMPS = 40;

    public ScallopRow {
        Guards.within("bumps", bumps, 1, MOST_BUMPS);
        Form.size(width, "width");
        Form.size(depth, "depth");
    }

    @Override
    public FormType<ScallopRow> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        if (bumpRadius() > 0) {
            double foot = facts.foot();
            facts.add(new StitchFact.Shells(bumps, width, stitchedRise(foot), bumpRadius() + foot));
        }
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        return new Prediction(Prediction.What.SHELL_RISE, bumpRadius() > 0 ? stitchedRise(foot) : 0);
    }

    @Override
    public void inspect(Template template, Machine machine, List<TemplateDiagnostic> found) {
        if (bumpRadius() <= 0) {
            found.add(new TemplateDiagnostic.ShellsTooNarrow(width, 2 * machine.footRadius()));
        }
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
        return width / 2 - Machine.NOMINAL_FOOT_RADIUS;
    }

    /**
     * How high the needle's shells rise, in inches. A foot wider than the gap can't get all the way down between two
     * bumps; it stays above by √((ρ + f)² − (P/2)²) with a bump's radius ρ and the width P, so that what is stitched is the
     * circular segment of radius ρ + f over the chord P. A narrower foot gets down to the gap's floor, and stitches a half
     * circle of radius ρ + f on straight legs, still as high as half the width.
     *
     * @return nothing sensible unless {@link #bumpRadius} is over 0
     */
    public double stitchedRise(double foot) {
        double radius = bumpRadius() + foot;
        return foot >= Machine.NOMINAL_FOOT_RADIUS
                ? CircularSegment.ofRadiusAndChord(radius, width).height()
                : radius + (Machine.NOMINAL_FOOT_RADIUS - foot);
    }

    @Override
    public double mainSize() {
        return width;
    }

    @Override
    public ScallopRow withMainSize(double size) {
        return new ScallopRow(bumps, size, depth + (size - width) / 2);
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        double radius = bumpRadius();
        if (radius <= Tolerances.SAME_PLACE) {
            return Cut.NOTHING;
        }
        double f = Machine.NOMINAL_FOOT_RADIUS;
        List<Curve> edge = new ArrayList<>();
        double first = -(bumps - 1) * width / 2;
        Point at = new Point(first - radius - 3 * f, -f);
        Point start = at;
        for (int i = 0; i < bumps; i++) {
            double middle = first + i * width;
            Point foot = new Point(middle - radius, -f);
            Point left = new Point(middle - radius, 0);
            Point right = new Point(middle + radius, 0);
            Point down = new Point(middle + radius, -f);
            edge.add(new Segment(at, foot));
            edge.add(new Segment(foot, left));
            edge.add(new Arc(new Point(middle, 0), radius, Math.PI, -Math.PI));
            edge.add(new Segment(right, down));
            at = down;
        }
        Point end = new Point(at.x() + 3 * f, -f);
        edge.add(new Segment(at, end));
        double base = Math.min(radius - depth, -2 * f);
        List<Curve> outline = new ArrayList<>(edge);
        outline.add(new Segment(end, new Point(end.x(), base)));
        outline.add(new Segment(new Point(end.x(), base), new Point(start.x(), base)));
        outline.add(new Segment(new Point(start.x(), base), start));
        return new Cut(
                List.of(Cut.Piece.of(new Path(outline))),
                List.of(Guide.free("scallops", Guide.Role.SCALLOPS, new Path(edge), true)));
    }
}
