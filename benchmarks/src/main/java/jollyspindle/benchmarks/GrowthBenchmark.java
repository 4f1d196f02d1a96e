package jollyspindle.benchmarks;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
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

import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * Large jobs, each with once, twice and four times the work: planned from nothing, planned again after a change that can't
 * matter, and, to compare machines by, the bare JTS buffer of each of the same
 * stitch lines by itself (of all together it takes a hundred times as long where they cross).
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class GrowthBenchmark {

    private static final double FLAT = 1.0 / 1000;
    private static final double FOOT = 0.25;
    private static final GeometryFactory JTS = new GeometryFactory();

    @Param
    private LargeJobs job;

    @Param({"1", "2", "4"})
    private int times;

    private final Planner planner = new Planner();
    private QuiltJob quilt;
    private List<LineString> lines;
    private int changes;

    /** Makes the job and its lines. */
    @Setup
    public void prepare() {
        quilt = job.times(times);
        WorkPlan plan = planner.planAgain(quilt);
        lines = plan.lines().stream()
                .map(l -> JTS.createLineString(l.path().flattened(FLAT).stream()
                        .map(GrowthBenchmark::coordinate)
                        .toArray(Coordinate[]::new)))
                .toList();
    }

    private static Coordinate coordinate(Point p) {
        return new Coordinate(p.x(), p.y());
    }

    @Benchmark
    public WorkPlan fromNothing() {
        return Planner.plan(quilt);
    }

    @Benchmark
    public WorkPlan again() {
        return planner.planAgain(quilt.withName("Change " + changes++));
    }

    @Benchmark
    public List<Geometry> bufferOfItsLines() {
        return lines.stream().map(l -> l.buffer(FOOT)).toList();
    }
}
