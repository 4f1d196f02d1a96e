package jollyspindle.benchmarks;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

import java.util.concurrent.TimeUnit;

/** A whole plan, as it is made anew for every change: it should take well under a frame of 16 ms. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(2)
public class PlannerBenchmark {

    /** Which job is planned. */
    public enum Subject {
        /** The demo job: 44 arcs. */
        DEMO,
        /** A king-size quilt in repeats of about 3, so that there are some 140 arcs. */
        KING
    }

    @Param
    public Subject subject;

    private QuiltJob job;

    @Setup
    public void choose() {
        job = subject == Subject.DEMO ? DemoJob.heronWeir() : king();
    }

    private static QuiltJob king() {
        Quilt quilt = Quilt.unmeasured().with(Corners.CORNERSTONES);
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), side.isAcross() ? 104.125 : 107.875)
                    .with(Dimension.depth(side), 8.5);
        }
        return DemoJob.heronWeir().withName("King").withQuilt(quilt).withWantedRepeat(3);
    }

    /** Plans the job. */
    @Benchmark
    public WorkPlan plan() {
        return Planner.plan(job);
    }
}
