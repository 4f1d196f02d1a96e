package jollyspindle.benchmarks;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.School;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;

/** Dividing a king-size quilt with four borders by all schools, and a step of a valley being dragged on it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(2)
public class DivisionBenchmark {

    private static final double[] DEPTHS = {6.5, 5, 7, 8.5};

    private QuiltJob king;
    private WorkPlan plan;
    private Planner planner;
    private int step;

    @Setup
    public void choose() {
        Quilt quilt = Quilt.unmeasured().with(Corners.CORNERSTONES);
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), side.isAcross() ? 64.125 : 67.875 + side.ordinal() / 8.0);
        }
        for (int border = 1; border <= 4; border++) {
            Border cut = Border.USUAL
                    .with(border % 2 == 0 ? Corners.MITRED : Corners.CORNERSTONES)
                    .withUnit(border == 3 ? OptionalDouble.of(4.5) : OptionalDouble.empty());
            quilt = border == 1 ? quilt.withBorder(1, cut) : quilt.withBorderOutside(cut);
            for (Side side : Side.values()) {
                quilt = quilt.with(Dimension.depth(border, side), DEPTHS[border - 1]);
            }
        }
        king = DemoJob.heronWeir()
                .withName("King")
                .withQuilt(quilt)
                .withWantedRepeat(4)
                .editing(GroupId.border(4), l -> l.with(Optional.of(new Tie(4, 2, Tie.Ratio.SAME))))
                .withCounts(new Counts(16, 17));
        planner = new Planner();
        plan = planner.planAgain(king);
    }

    /** The candidates of all four borders, by all schools, weighed anew. */
    @Benchmark
    public void candidates(Blackhole hole) {
        for (GroupPlan group : plan.groups()) {
            hole.consume(new CandidateFinder(group.set()).find(Map.of()));
        }
    }

    /** The whole plan, weighed anew. */
    @Benchmark
    public WorkPlan planAnew() {
        return Planner.plan(king);
    }

    /** What the model does for one step of a valley that is dragged: the plan of a changed job, weighed before. */
    @Benchmark
    public WorkPlan dragStep() {
        step = (step + 1) % 16;
        School dragged = new ByHand(16, Map.of(5, 20 + step / 16.0));
        return planner.planAgain(king.choosing(Map.of(RunId.of(Side.TOP), dragged)));
    }
}
