package jollyspindle.benchmarks;

import jollyspindle.core.geometry.Offsets;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.shelf.Find;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.TemplateFinder;
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
import org.openjdk.jmh.infra.Blackhole;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;

/** What the shelf reckons: for one template well under a frame of 16 ms, for the whole shelf not to be waited for. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(2)
public class ShelfBenchmark {

    /** Corners of the outline that is offset, up to the most a template may have. */
    @Param({"15", "150", "1500"})
    public int corners;

    private Path outline;

    /** Makes a flower with so many corners. */
    @Setup
    public void draw() {
        outline = Path.polygon(IntStream.range(0, corners)
                .mapToObj(i -> Point.direction(2 * Math.PI * i / corners)
                        .times(3 + 0.5 * Math.sin(14 * Math.PI * i / corners)))
                .toList());
    }

    /** Where the needle goes round an outline. */
    @Benchmark
    public List<Path> offset() {
        return Offsets.follow(outline, false, 0.25);
    }

    /** What every template of the starter shelf stitches. */
    @Benchmark
    public void stitching(Blackhole hole) {
        StarterShelf.templates().forEach(t -> hole.consume(Stitching.of(t, Machine.usual())));
    }

    /** Which of them does it. */
    @Benchmark
    public Find find() {
        return new TemplateFinder(StarterShelf.templates(), Machine.usual())
                .find(new Find.Wanted.Span(6.125, 5.5, Optional.empty()));
    }
}
