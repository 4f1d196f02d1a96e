package jollyspindle.benchmarks;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDesigner;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaRules;
import jollyspindle.core.area.AreaSurroundings;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.sewing.EdgeCatalog;
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
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.TimeUnit;

/** A quilt of 12 by 12 blocks in shells of 1, round appliqués in every third block; a medallion of 64 arms; rays that are ordered. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class AreaBenchmark {

    private static final double BLOCK = 6;
    private static final Path BODY = new Area.Medallion(Area.Shape.SQUARE, 80, 0).edge(0);
    private static final AreaRules UNJUDGED = new AreaRules(OptionalDouble.empty(), 8, false);
    private static final AreaRules JUDGED = new AreaRules(OptionalDouble.of(4), 8, false);

    private final EdgeCatalog tools = new EdgeCatalog(StarterShelf.templates(), Machine.usual());
    private final Area.Blocks blocks = new Area.Blocks(12, 12, BLOCK, BLOCK, 0);
    private final List<Path> appliques = appliques();

    private static List<Path> appliques() {
        List<Path> all = new ArrayList<>();
        for (int i = 0; i < 144; i += 3) {
            int row = i / 12;
            Point centre = new Point((i % 12 - 5.5) * BLOCK, (row - 5.5) * BLOCK);
            all.addAll(AreaDesigner.keptFree(new Area.Applique(new Area.Ellipse(centre, 3, 2, i), 0.25), BODY));
        }
        return all;
    }

    private AreaPlan layOut(Area area, AreaMotif motif, String template, List<Path> inTheWay, AreaRules rules) {
        return AreaDesigner.layOut(
                new AreaId(1),
                area,
                AreaDesign.of(motif, Optional.of(template)),
                new AreaSurroundings(BODY, inTheWay, List.of()),
                rules,
                tools,
                TapeScale.SIXTEENTHS);
    }

    @Benchmark
    public AreaPlan shellsRoundAppliques() {
        return layOut(blocks, new AreaMotif.Clamshells(0), "thatch-small", appliques, UNJUDGED);
    }

    /** The same with the largest circle without a stitch looked for in each block that has an appliqué. */
    @Benchmark
    public AreaPlan shellsAgainstTheBatting() {
        return layOut(blocks, new AreaMotif.Clamshells(0), "thatch-small", appliques, JUDGED);
    }

    @Benchmark
    public AreaPlan medallionOfManyArms() {
        return layOut(
                new Area.Medallion(12),
                new AreaMotif.Arms(64, AreaMotif.Way.OUT_AND_BACK, 0.75),
                "willow-arm",
                List.of(),
                UNJUDGED);
    }

    /** Rays from a corner, parted by three appliqués and put in order. */
    @Benchmark
    public AreaPlan raysRoundAppliques() {
        return layOut(
                new Area.Blocks(1, 1, 60, 60, 0),
                new AreaMotif.CornerRays(AreaMotif.Corner.BOTTOM_LEFT, OptionalInt.of(63), 2, 0.25),
                "furrow-long",
                appliques.subList(21, 24),
                UNJUDGED);
    }
}
