package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Side;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.statistics.Statistics;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.line;
import static jollyspindle.core.motif.MotifChecks.quilt;
import static jollyspindle.core.motif.MotifChecks.with;
import static org.assertj.core.api.Assertions.assertThat;

/** Random motifs on quilts that are mirrored or turned. */
class SymmetricQuiltsTest extends RandomMotifs {

    /** Most sides must have been divided alike, else nothing was compared. */
    private static void collectAlike(boolean same) {
        Statistics.label("sides divided alike").collect(same).coverage(sides -> sides.check(true)
                .percentage(alike -> alike >= 80));
    }

    /** What is its own mirror image looks so on a mirrored quilt. */
    @Property(tries = 60)
    void mirroredQuiltsGetMirroredPlans(
            @ForAll("symmetric") Motif motif,
            @ForAll @DoubleRange(min = 30, max = 80) double top,
            @ForAll @DoubleRange(min = 30, max = 80) double left,
            @ForAll @DoubleRange(min = 0, max = 0.4) double uneven) {
        Design design = Design.of(
                DivisionConstraints.template(motif) == EdgeKind.ARC ? with(motif, "orchard-hill") : Layer.of(motif));
        WorkPlan plan = Planner.plan(job(quilt(top, left, top, left + uneven, 8, Corners.MITRED), design, 6));
        WorkPlan mirror = Planner.plan(job(quilt(top, left + uneven, top, left, 8, Corners.MITRED), design, 6));
        for (RunPlan run : plan.runs()) {
            Side side = run.id().side().orElseThrow();
            Side there = side.isAcross() ? side : side.opposite();
            RunPlan other = mirror.run(there).orElseThrow();
            // Which of two equally good ways comes first may differ; the same way must look the same.
            List<Cell> cells = run.division().cells();
            List<Cell> others = other.division().cells();
            boolean same = cells.size() == others.size();
            for (int i = 0; same && i < cells.size(); i++) {
                same = Math.abs(cells.get(i).to() - others.get(i).to()) < 1e-9;
            }
            collectAlike(same);
            if (!same) {
                continue;
            }
            assertThat(other.laidOut().lines()).hasSameSizeAs(run.laidOut().lines());
            for (StitchLine line : run.laidOut().lines()) {
                Point middle = line.path().curves().get(0).at(0.5).mirrored();
                assertThat(other.laidOut().lines().stream()
                                .mapToDouble(l -> l.path().distance(middle))
                                .min()
                                .orElseThrow())
                        .as(line.id().code())
                        .isLessThan(1e-3);
            }
        }
    }

    @Provide
    Arbitrary<Motif> symmetric() {
        return Arbitraries.of(
                Motif.Arcs.single(),
                new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(), Optional.empty(), 1),
                new Motif.FacingArcs(
                        Motif.Facing.CROWNS,
                        OptionalDouble.empty(),
                        OptionalDouble.of(0.75),
                        true,
                        true,
                        Optional.empty(),
                        1),
                new Motif.FacingArcs(
                        Motif.Facing.HALF_STEP,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        false,
                        false,
                        Optional.empty(),
                        1),
                new Motif.Circles(0.25, 2, Motif.Turning.SAME, false),
                new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.of(3), 0, 3, 0.5),
                new Motif.Chevrons(Motif.Points.BOXES, OptionalDouble.of(3), 0, 2, 0.5),
                new Motif.StraightLines(4, Math.PI / 2),
                new Motif.Crosshatch(1, Math.PI / 4, true, false));
    }

    /** The same motif on a quilt turned by 90° gives the same ring, turned. */
    @Property(tries = 60)
    void turnedQuiltsGetTurnedPlans(
            @ForAll("layers") Layer layer,
            @ForAll @DoubleRange(min = 30, max = 80) double top,
            @ForAll @DoubleRange(min = 30, max = 80) double left) {
        Design design = Design.of(layer.with(Layer.Space.ALL));
        WorkPlan plan = Planner.plan(job(quilt(top, left, top, left, 8, Corners.MITRED), design, 6));
        WorkPlan turned = Planner.plan(job(quilt(left, top, left, top, 8, Corners.MITRED), design, 6));
        for (RunPlan run : plan.runs()) {
            Side side = run.id().side().orElseThrow();
            RunPlan other = turned.run(side.next()).orElseThrow();
            // Which of two equally good ways comes first may differ; the same way must look the same.
            boolean same = other.division().count() == run.division().count()
                    && Math.abs(other.division().repeat() - run.division().repeat()) <= 1e-9;
            collectAlike(same);
            if (!same) {
                continue;
            }
            List<StitchLine> before = run.laidOut().lines();
            List<StitchLine> after = other.laidOut().lines();
            assertThat(after).hasSameSizeAs(before);
            for (int i = 0; i < before.size(); i++) {
                Point expected = before.get(i).path().end().turned(-Math.PI / 2);
                assertThat(after.get(i).path().end().distance(expected)).isLessThan(1e-6);
                assertThat(after.get(i).id().on(before.get(i).id().piece()))
                        .isEqualTo(before.get(i).id());
            }
        }
    }
}
