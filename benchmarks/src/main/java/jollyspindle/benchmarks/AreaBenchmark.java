package jollyspindle.benchmarks;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDesigner;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.sewing.Tools;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;

/** A quilt of 12 by 12 blocks in shells of 1, round appliqués in every third block; a medallion of 64 arms. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class AreaBenchmark {

    private static final double BLOCK = 6;

    private final Tools tools = new Tools(StarterShelf.templates(), Machine.usual());
    private final Area.Blocks blocks = new Area.Blocks(12, 12, BLOCK, BLOCK, 0);
    private final List<Path> appliques = appliques();

    private static List<Path> appliques() {
        List<Path> all = new ArrayList<>();
        for (int i = 0; i < 144; i += 3) {
            Point centre = new Point((i % 12 - 5.5) * BLOCK, (i / 12 - 5.5) * BLOCK);
            all.add(AreaDesigner.keptFree(new Area.Applique(new Area.Ellipse(centre, 3, 2, i), 0.25)));
        }
        return all;
    }

    @Benchmark
    public AreaPlan shellsRoundAppliques() {
        return AreaDesigner.layOut(
                new AreaId(1),
                blocks,
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of("thatch-small")),
                appliques,
                tools,
                TapeScale.SIXTEENTHS);
    }

    @Benchmark
    public AreaPlan medallionOfManyArms() {
        return AreaDesigner.layOut(
                new AreaId(1),
                new Area.Medallion(12),
                AreaDesign.of(new AreaMotif.Arms(64, AreaMotif.Way.OUT_AND_BACK, 0.75), Optional.of("willow-arm")),
                List.of(),
                tools,
                TapeScale.SIXTEENTHS);
    }
}
