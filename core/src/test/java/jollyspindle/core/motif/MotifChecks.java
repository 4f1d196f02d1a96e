package jollyspindle.core.motif;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.PlacedEdges;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** What must hold of every plan with motifs, and the quilts it is tried on; JTS measures independently what was placed. */
final class MotifChecks {

    private MotifChecks() {}

    static final GeometryFactory JTS = new GeometryFactory();

    static final GroupId INNER = GroupId.border(1);

    private static final double FLAT = 1e-4;

    static Quilt quilt(double top, double right, double bottom, double left, double depth, Corners corners) {
        Quilt quilt = Quilt.unmeasured().with(corners);
        double[] sides = {top, right, bottom, left};
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), sides[side.ordinal()]).with(Dimension.depth(side), depth);
        }
        return quilt;
    }

    static QuiltJob job(Quilt quilt, Design design, double repeat) {
        return DemoJob.heronWeir()
                .withQuilt(quilt)
                .withTemplates(StarterShelf.templates())
                .editing(INNER, l -> l.with(design).with(l.wish().withRepeat(repeat)));
    }

    /** A square quilt whose mitred border has a room of its own between seam and reserve, all sides divided alike; checked. */
    static WorkPlan plan(Design design, double side, double room, School school, double foot) {
        QuiltJob job = job(quilt(side, side, side, side, room + 0.5, Corners.MITRED), design, 6)
                .withMachine(new Machine(foot));
        Map<RunId, School> all = new TreeMap<>();
        for (Side s : Side.values()) {
            all.put(RunId.of(s), school);
        }
        WorkPlan plan = Planner.plan(job.choosing(all));
        check(plan);
        return plan;
    }

    static RunPlan top(WorkPlan plan) {
        return plan.run(Side.TOP).orElseThrow();
    }

    /** What is told of motifs and corners. */
    static List<Diagnostic> told(WorkPlan plan) {
        return plan.findings().stream()
                .filter(Finding.Diagnosed.class::isInstance)
                .map(f -> ((Finding.Diagnosed) f).diagnostic())
                .toList();
    }

    static QuiltJob square(Design design, double repeat) {
        return job(quilt(72, 84, 72, 84, 8, Corners.MITRED), design, repeat);
    }

    static Layer with(Motif motif, String template) {
        return Layer.of(motif).withTemplate(Optional.of(template), Optional.empty());
    }

    static LineString flat(Path path) {
        return JTS.createLineString(path.flattened(FLAT).stream()
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new));
    }

    static Polygon polygon(List<Point> points) {
        return JTS.createPolygon(Stream.concat(points.stream(), Stream.of(points.get(0)))
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new));
    }

    static void check(WorkPlan plan) {
        Set<String> ids = new HashSet<>();
        List<Placement> all = new ArrayList<>();
        plan.runs().forEach(run -> all.addAll(plan.placements(run.id())));
        Map<StitchLine, List<Placement>> pieces = all.stream().collect(Collectors.groupingBy(Placement::of));
        PlacedEdges edges = new PlacedEdges(plan.job().templates());
        for (StitchLine line : plan.lines()) {
            assertThat(ids.add(line.id().code())).as(line.id().code()).isTrue();
            checkPieces(line, pieces.getOrDefault(line, List.of()));
        }
        for (Placement placement : all) {
            assertThat(ids.add(placement.id().code()) || placement.id().part() == 0)
                    .as(placement.id().code())
                    .isTrue();
            checkPlacement(plan.job(), placement, edges);
        }
        checkMarks(plan, all);
        for (RunPlan run : plan.runs()) {
            boolean stopped = plan.findings().stream()
                    .anyMatch(f -> (f.severity() == Finding.Severity.PROBLEM || f instanceof Finding.IntoReserve)
                            && f.run()
                                    .filter(r -> r.group().equals(run.id().group()))
                                    .isPresent());
            if (!stopped) {
                assertThat(run.laidOut().lines()).as("something is stitched").isNotEmpty();
                checkInside(
                        run,
                        plan.job().layout(run.id().group()).design().corner().kind() == CornerDesign.Kind.DIAGONAL_CUT);
            }
        }
    }

    /** A line's pieces follow each other from its start to its end, each from where it is said to start. */
    private static void checkPieces(StitchLine line, List<Placement> pieces) {
        assertThat(pieces).as(line.id().code()).isNotEmpty();
        Point at = line.path().start();
        double length = 0;
        for (Placement piece : pieces) {
            assertThat(piece.start().place().distance(piece.path().start()))
                    .as(line.id().code())
                    .isLessThan(1e-3);
            assertThat(piece.end().place().distance(piece.path().end()))
                    .as(line.id().code())
                    .isLessThan(1e-3);
            assertThat(piece.path().start().distance(at)).as(line.id().code()).isLessThan(1e-6);
            at = piece.path().end();
            length += piece.path().length();
        }
        assertThat(at.distance(line.path().end())).isLessThan(1e-6);
        assertThat(length).isCloseTo(line.path().length(), within(1e-6));
    }

    /** The needle runs a foot's radius from the placed acrylic edge everywhere. */
    private static void checkPlacement(QuiltJob job, Placement placement, PlacedEdges edges) {
        if (placement.tool().isByHand()) {
            return;
        }
        for (Curve curve : placement.curves()) {
            for (int i = 0; i <= 6; i++) {
                assertThat(edges.distance(placement, curve.at(i / 6.0)))
                        .as("%s with %s along %s", placement.id(), placement.tool(), curve)
                        .isCloseTo(job.machine().footRadius(), within(1e-3));
            }
        }
    }

    /** Every mark that is made is used: to start, to stop, or to lay the template on. */
    private static void checkMarks(WorkPlan plan, List<Placement> placements) {
        Set<MarkId> used = new HashSet<>();
        for (Placement placement : placements) {
            placement.marks().forEach(m -> used.add(m.id()));
            placement.registration().before().ifPresent(id -> assertThat(plan.lines())
                    .extracting(StitchLine::id)
                    .contains(id));
        }
        for (RunPlan run : plan.runs()) {
            Set<String> ids = new HashSet<>();
            for (Mark mark : run.laidOut().marks()) {
                assertThat(ids.add(mark.id().code())).as(mark.id().code()).isTrue();
                assertThat(mark.after().isPresent())
                        .as(mark.id().code())
                        .isEqualTo(mark.stage() == Mark.Stage.STITCHED);
                mark.after().ifPresent(after -> checkPass(plan.placements(run.id()), mark, after));
                double tick = plan.job().tape().tick();
                assertThat(mark.readings().fromLeft().onTape()).isCloseTo(mark.along(), within(tick / 2 + 1e-9));
                if (mark.by() == Mark.MarkedBy.CHALK) {
                    assertThat(used).as(mark.id().code()).contains(mark.id());
                }
            }
        }
    }

    /** Something of the pass that a mark waits for is stitched before the mark is used. */
    private static void checkPass(List<Placement> placements, Mark mark, Mark.After after) {
        List<Placement> before = placements.stream()
                .takeWhile(p -> p.marks().noneMatch(m -> m.id().equals(mark.id())))
                .toList();
        boolean others = after.pass() == Mark.Pass.MOTIFS_BEFORE;
        assertThat(before)
                .as(mark.id().code())
                .anyMatch(p -> others ? p.of().layer() < after.motif() : p.of().layer() == after.motif());
    }

    private static void checkInside(RunPlan run, boolean runsOn) {
        RunFrame f = run.frame();
        double low = f.clearance() - 1e-3;
        double high = f.depth() - f.reserve() + 1e-3;
        // Runs that go on to the mitre reach out as far as the border is deep, and a little more on a quilt that leans.
        double on = runsOn ? 1.1 * high : 1e-3;
        Polygon region = polygon(List.of(
                f.place(-1e-3, low), f.place(f.length() + 1e-3, low),
                f.place(f.length() + on, high), f.place(-on, high)));
        for (StitchLine line : run.laidOut().lines()) {
            assertThat(region.covers(flat(line.path()))).as(line.id().code()).isTrue();
        }
    }

    static StitchLine line(List<StitchLine> lines, Stitched kind, int number, int sub) {
        return lines.stream()
                .filter(l -> l.kind() == kind && l.number() == number && l.sub() == sub)
                .findFirst()
                .orElseThrow();
    }

    static Map<RunId, School> even(int count) {
        Map<RunId, School> all = new TreeMap<>();
        for (Side side : Side.values()) {
            all.put(RunId.of(side), new Even(count));
        }
        return all;
    }
}
