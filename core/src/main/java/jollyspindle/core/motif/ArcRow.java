package jollyspindle.core.motif;

import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A row of arcs, standing on the valleys with their crowns away from the edge; stitched along the run, without a break
 * unless a cell is left free.
 */
final class ArcRow {

    /**
     * An arc of the row as it came out, in the space's own frame.
     *
     * @param cell which, from 1
     * @param line that was stitched
     * @param template it was stitched with
     * @param segment its radius, span and rise
     * @param crownAlong where its crown is, or would be
     * @param from where it begins along the run
     * @param to where it ends along the run
     */
    record Done(
            int cell,
            StitchLine line,
            ArcTemplate template,
            CircularSegment segment,
            double crownAlong,
            double from,
            double to) {

        /** Whether it goes from foot to foot. */
        boolean whole() {
            return to - from > segment.chord() - Tolerances.SAME_PLACE;
        }
    }

    private final RunContext laying;
    private final RunSpace space;
    private final double base;
    private final int passes;
    private final List<Done> done = new ArrayList<>();
    private int arcs;

    /** What is stitched of each arc and below it, by its number. */
    private final Map<Integer, List<StitchLine>> lines = new HashMap<>();

    /** Whether it is stitched from right to left. */
    private boolean back;

    /**
     * A row.
     *
     * @param base how high above where motifs stand, in inches
     */
    ArcRow(RunContext laying, double base, int passes) {
        this.laying = laying;
        this.space = laying.space();
        this.base = base;
        this.passes = passes;
    }

    /** Numbers arcs after those that stand elsewhere on the run already. */
    void numberFrom(int before) {
        arcs = before;
    }

    /** From now on arcs are stitched from right to left; they have to be laid in that order. */
    void goBack() {
        back = true;
    }

    boolean goesBack() {
        return back;
    }

    List<Done> done() {
        return done;
    }

    double base() {
        return base;
    }

    /** Lays one figure. */
    void lay(Figure figure, int index) {
        if (figure instanceof Figure.WholeArc arc) {
            whole(arc.template(), arc.fit(), arc.cell().from(), arc.cell().to(), index);
        } else if (figure instanceof Figure.HalfArc half) {
            half(half, index);
        } else if (figure instanceof Figure.HalvesMeeting meeting) {
            meet(meeting, index);
        }
    }

    /** Lays an arc over part of a cell, or all of it; the valleys at its ends are the cell's where they coincide. */
    void whole(ArcTemplate template, ArcFit fit, double from, double to, int index) {
        arcs++;
        double crownAlong = (from + to) / 2;
        Mark start = foot(from, index);
        Mark end = foot(to, index);
        // With an even number of placements one hands over on the crown.
        if (fit.parts() % 2 == 0) {
            laying.marker().at(crownKind(), arcs, crown(crownAlong, fit), Mark.Stage.LOADED);
        }
        boolean onCentre = Math.abs(crownAlong - space.length() / 2) < Tolerances.ROUNDING * space.length();
        Optional<Mark> centre = onCentre && !space.hanging() && fit.parts() % 2 == 1
                ? Optional.of(laying.marker().centre())
                : Optional.empty();
        stitch(template, fit, crownAlong, 0, 1, start, end, centre, index, true);
    }

    private void half(Figure.HalfArc half, int index) {
        arcs++;
        double crownAlong = half.fromCrown() ? half.cell().from() : half.cell().to();
        Mark crown = laying.marker().at(crownKind(), arcs, crown(crownAlong, half.fit()), Mark.Stage.LOADED);
        if (half.fromCrown()) {
            stitch(
                    half.template(),
                    half.fit(),
                    crownAlong,
                    0.5,
                    1,
                    crown,
                    foot(half.cell().to(), index),
                    Optional.empty(),
                    index,
                    false);
        } else {
            stitch(
                    half.template(),
                    half.fit(),
                    crownAlong,
                    0,
                    0.5,
                    foot(half.cell().from(), index),
                    crown,
                    Optional.empty(),
                    index,
                    false);
        }
    }

    private void meet(Figure.HalvesMeeting figure, int index) {
        ArcFit fit = figure.fit();
        double half = fit.segment().chord() / 2;
        double cut = figure.cut();
        Mark meeting = laying.marker()
                .at(
                        Mark.Kind.MEETING,
                        1,
                        space.place(figure.cell().middle(), base + figure.height()),
                        Mark.Stage.LOADED);
        arcs++;
        stitch(
                figure.template(),
                fit,
                figure.cell().from() + half,
                0,
                cut,
                foot(figure.cell().from(), index),
                meeting,
                Optional.empty(),
                index,
                false);
        arcs++;
        stitch(
                figure.template(),
                fit,
                figure.cell().to() - half,
                1 - cut,
                1,
                meeting,
                foot(figure.cell().to(), index),
                Optional.empty(),
                index,
                false);
    }

    private Mark.Kind crownKind() {
        return space.hanging() ? Mark.Kind.FAR_CROWN : Mark.Kind.CROWN;
    }

    private Point crown(double along, ArcFit fit) {
        return space.place(along, base + fit.segment().height());
    }

    /** The mark at a foot: a valley if it is one. */
    private Mark foot(double along, int index) {
        List<Figure> all = space.divided();
        if (Math.abs(along - all.get(index).cell().from()) < Tolerances.ROUNDING) {
            return laying.valley(index, along, base);
        }
        if (Math.abs(along - all.get(index).cell().to()) < Tolerances.ROUNDING) {
            return laying.valley(index + 1, along, base);
        }
        return laying.marker().next(Mark.Kind.FOOT, space.place(along, base), Mark.Stage.LOADED);
    }

    private void stitch(
            ArcTemplate template,
            ArcFit fit,
            double crownAlong,
            double from,
            double to,
            Mark start,
            Mark end,
            Optional<Mark> centre,
            int index,
            boolean whole) {
        double half = fit.segment().chord() / 2;
        // Of the first motif the division itself tells; further ones that aren't cut off have nobody else to tell.
        double over = base + fit.segment().height() - space.room();
        if (laying.number() > 1 && laying.layer().space() == Layer.Space.ALL && over > Tolerances.ROUNDING) {
            laying.tell(new MotifDiagnostic.TooHigh(over));
        }
        Arc arc = space.placed(RunSpace.bulging(
                crownAlong - half, crownAlong + half, base, fit.segment().radius()));
        Arc piece = whole ? arc : arc.piece(from, to);
        // A piece of an arc that goes on in one upright placement does so, too.
        Registration registration = fit.parts() == 1 || whole
                ? new Registration.OnSeam(
                        register(template, fit.segment().height()), space.hanging(), centre, template.centreLine())
                : new Registration.FootOnBothMarks();
        List<StitchLine> lines = laying.stitch(
                new PlacementBuilder.Naming(Stitched.ARC, arcs, 0, passes),
                back ? piece.reversed() : piece,
                StitchingEdge.Round.of(template, laying.machine()),
                registration,
                LineEnd.at(back ? end : start),
                LineEnd.at(back ? start : end),
                PlacementBuilder.Turn.MARKED);
        if (lines.isEmpty()) {
            return;
        }
        this.lines.put(arcs, new ArrayList<>(lines));
        CircularSegment segment = fit.segment();
        done.add(new Done(
                index + 1,
                lines.get(0),
                template,
                segment,
                crownAlong,
                whole ? crownAlong - half : crownAlong + aside(segment, from),
                whole ? crownAlong + half : crownAlong + aside(segment, to)));
    }

    /** How far beside its crown a part of an arc stands, in inches; before it if below 0. */
    private static double aside(CircularSegment segment, double part) {
        double reach = Math.asin(Math.min(1, segment.chord() / 2 / segment.radius()));
        return segment.radius() * Math.sin((2 * part - 1) * reach);
    }

    /** Which part of an arc stands so far beside its crown. */
    private static double part(CircularSegment segment, double aside) {
        double reach = Math.asin(Math.min(1, segment.chord() / 2 / segment.radius()));
        double there = Math.asin(Math.max(-1, Math.min(1, aside / segment.radius())));
        return Math.max(0, Math.min(1, (there / reach + 1) / 2));
    }

    private SeamRegister register(ArcTemplate template, double rise) {
        return ArcFit.register(template, laying.machine(), rise + base + space.clearance());
    }

    // --- further lines -----------------------------------------------------------------------------------------

    /**
     * Stitches a line below each arc's first one: every second of them on the way back.
     *
     * @param which of the lines, from 1
     * @param inner how it follows
     * @param drop from the first line's crown to its own, in inches
     */
    void inner(int which, Motif.Inner inner, double drop, int asked) {
        boolean returns = which % 2 == 1;
        for (int i = 0; i < done.size(); i++) {
            inner(done.get(returns ? done.size() - 1 - i : i), which, inner, drop, asked, returns != back);
        }
    }

    private void inner(Done arc, int which, Motif.Inner inner, double drop, int asked, boolean returns) {
        double rise = arc.segment().height() - drop;
        Optional<ArcTemplate> template = Optional.of(arc.template());
        double radius = arc.segment().radius();
        if (inner == Motif.Inner.PARALLEL) {
            radius -= drop;
            template = laying.tools().arcOfRadius(radius);
            if (template.isPresent()) {
                radius = template.get().stitchedRadius(laying.machine());
                rise = radius - (arc.segment().radius() - arc.segment().height());
            }
        }
        if (rise > arc.segment().height() - Tolerances.ROUNDING) {
            laying.tell(new LayoutDiagnostic.TooFar(rise, arc.segment().height()));
            return;
        }
        if (rise <= Tolerances.SAME_PLACE || radius <= 0) {
            laying.tell(new MotifDiagnostic.TooMany(asked, which));
            return;
        }
        if (template.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.ARC, radius));
            return;
        }
        CircularSegment segment = CircularSegment.ofRadiusAndHeight(radius, Math.min(rise, radius));
        double half = segment.chord() / 2;
        double from = Math.max(arc.from(), arc.crownAlong() - half);
        double to = Math.min(arc.to(), arc.crownAlong() + half);
        if (to - from < LayoutContext.SHORTEST) {
            // Of a piece of an arc nothing is left so far down.
            return;
        }
        Arc whole = RunSpace.bulging(arc.crownAlong() - half, arc.crownAlong() + half, base, radius);
        Arc line =
                space.placed(whole.piece(part(segment, from - arc.crownAlong()), part(segment, to - arc.crownAlong())));
        StitchingEdge.Round edge = StitchingEdge.Round.of(template.get(), laying.machine());
        // What takes several placements is turned from mark to mark.
        boolean several = Math.abs(line.sweep()) > edge.usable() + Tolerances.ROUNDING;
        Registration laid = innerRegistration(arc, template.get(), inner, drop, rise);
        // So low that nothing of the template reaches the seam, it is the foot that tells.
        boolean off = laid.standing()
                .filter(SeamRegister.OffThePlate.class::isInstance)
                .isPresent();
        boolean upright = !off
                && (laid.standing().isEmpty()
                        || to - from > segment.chord() - Tolerances.SAME_PLACE
                        || Math.abs(whole.sweep()) <= edge.usable() + Tolerances.SAME_PLACE);
        LineEnd start = onBase(from, whole, several || !upright);
        LineEnd end = onBase(to, whole, several || !upright);
        List<StitchLine> above = List.copyOf(lines.get(arc.line().number()));
        List<StitchLine> stitched = laying.stitch(
                new PlacementBuilder.Naming(
                        inner == Motif.Inner.LOWERED ? Stitched.NESTED_ARC : Stitched.ECHO,
                        arc.line().number(),
                        which,
                        passes),
                returns ? line.reversed() : line,
                edge,
                upright ? laid : new Registration.FootOnBothMarks(),
                returns ? end : start,
                returns ? start : end,
                several ? PlacementBuilder.Turn.MARKED : PlacementBuilder.Turn.SLIDING);
        lines.get(arc.line().number()).addAll(stitched);
        double really = arc.segment().radius() - radius;
        if (inner != Motif.Inner.PARALLEL) {
            laying.tell(new MotifDiagnostic.Pinched(gap(arc, above, segment)));
        } else if (Math.abs(really - drop) > 1.0 / 512) {
            laying.tell(new MotifDiagnostic.Spacing(drop, really));
        }
    }

    private Registration innerRegistration(
            Done arc, ArcTemplate template, Motif.Inner inner, double drop, double rise) {
        double fromEdge = drop - laying.machine().footRadius();
        // Only a plate beyond the arc covers the line that is stitched already.
        boolean covers = template.edge() == ArcEdge.CONCAVE;
        if (inner != Motif.Inner.LOWERED && covers && fromEdge > -Tolerances.ROUNDING) {
            boolean engraved = laying.tools().isEngraved(template, fromEdge);
            return new Registration.OnStitching(arc.line().id(), Math.max(0, fromEdge), engraved);
        }
        Mark crown = laying.marker()
                .later(
                        crownKind(),
                        arc.line().number(),
                        space.place(arc.crownAlong(), base + arc.segment().height()),
                        new Mark.After(Mark.Pass.FIRST_LINES, laying.number()));
        return new Registration.OnSeam(
                register(template, rise), space.hanging(), Optional.of(crown), template.centreLine());
    }

    /** How near a lowered line comes to the one above it, at its feet. */
    private double gap(Done arc, List<StitchLine> above, CircularSegment lower) {
        double narrowest = Double.MAX_VALUE;
        boolean left = arc.from() < arc.crownAlong() - lower.chord() / 2;
        Point foot = space.place(arc.crownAlong() + (left ? -1 : 1) * lower.chord() / 2, base);
        for (StitchLine line : above) {
            narrowest = Math.min(narrowest, line.path().distance(foot));
        }
        return narrowest;
    }

    /** Where a lowered line begins or ends: a foot on the seam, where there is one to see, or where the arc above is cut off. */
    private LineEnd onBase(double along, Arc whole, boolean marked) {
        double up = whole.centre().y()
                + Math.sqrt(Math.max(
                        0,
                        square(whole.radius()) - square(along - whole.centre().x())));
        boolean foot = Math.abs(along - whole.start().x()) < Tolerances.SAME_PLACE
                || Math.abs(along - whole.end().x()) < Tolerances.SAME_PLACE;
        Point place = space.place(along, foot ? base : up);
        if (!foot && marked) {
            return LineEnd.at(laying.later(Mark.Kind.MEETING, place, Mark.Pass.FIRST_LINES));
        }
        if (!foot) {
            return space.shownBy(place)
                    .filter(by -> by == LineEnd.ShownBy.RUN_END || by == LineEnd.ShownBy.MITRE)
                    .map(by -> LineEnd.at(place, by))
                    .orElseGet(() -> LineEnd.at(laying.later(Mark.Kind.MEETING, place, Mark.Pass.FIRST_LINES)));
        }
        if (base == 0 && space.clearance() == 0 && !marked) {
            return LineEnd.at(place, space.hanging() ? LineEnd.ShownBy.FAR_EDGE : LineEnd.ShownBy.SEAM);
        }
        return LineEnd.at(laying.later(Mark.Kind.FOOT, place, Mark.Pass.FIRST_LINES));
    }

    private static double square(double inches) {
        return inches * inches;
    }

    /** What the arcs enclose, each from its outermost line inwards. */
    void enclose() {
        for (Done arc : done) {
            // Now that nothing further is nested in it, its crown needs no mark unless it has one.
            laying.marker()
                    .shownByTemplate(
                            crownKind(),
                            arc.line().number(),
                            space.place(arc.crownAlong(), base + arc.segment().height()));
            laying.enclosed()
                    .add(new RunContext.Enclosed(
                            arc.cell(),
                            lines.get(arc.line().number()).stream()
                                    .map(l -> closed(l.path()))
                                    .toList()));
        }
    }

    /** A line closed along the edge it stands on; a piece of an arc is closed straight down first. */
    private Path closed(Path line) {
        List<Curve> curves = new ArrayList<>(line.curves());
        Point end = foot(line.end());
        Point start = foot(line.start());
        for (Segment side :
                List.of(new Segment(line.end(), end), new Segment(end, start), new Segment(start, line.start()))) {
            if (side.length() > Tolerances.ROUNDING) {
                curves.add(side);
            }
        }
        return new Path(curves);
    }

    private Point foot(Point p) {
        Point down = space.place(0, 1).minus(space.place(0, 0));
        double up = p.minus(space.place(0, base)).dot(down);
        return Math.abs(up) < Tolerances.ROUNDING ? p : p.minus(down.times(up));
    }
}
