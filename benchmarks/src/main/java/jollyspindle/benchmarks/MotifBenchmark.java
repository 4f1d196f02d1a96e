package jollyspindle.benchmarks;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.MotifShown;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.StarterShelf;
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

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;

/** A ring of four sides for each motif of the gallery, and king-size quilts with four borders of motifs drawn by lot. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 2, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class MotifBenchmark {

    private static final int KINGS = 8;
    private static final long LOT = 20;

    @Param({
        "arcs",
        "nested-arcs",
        "facing-arcs",
        "egg-and-dart",
        "two-to-one",
        "overlapping",
        "sails",
        "fans",
        "hanging-fans",
        "circles",
        "serpentine",
        "peaks",
        "boxes",
        "piano-keys",
        "leaning-lines",
        "crosshatch"
    })
    public String motif;

    private QuiltJob ring;
    private Planner planner;
    private List<QuiltJob> kings;
    private int king;

    @Setup
    public void choose() {
        ring = with(DemoJob.heronWeir().withTemplates(StarterShelf.templates()), GroupId.border(1), preset(motif));
        planner = new Planner();
        planner.planAgain(ring);
        kings = kings();
    }

    private static Preset preset(String code) {
        return Preset.all().stream()
                .filter(p -> p.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    private static QuiltJob with(QuiltJob job, GroupId group, Preset preset) {
        return job.editing(
                group, l -> Gallery.adopted(job, l, job.quilt().runs(group).get(0), preset, 0));
    }

    /** The same lot every time. */
    private static List<QuiltJob> kings() {
        Random lot = new Random(LOT);
        List<QuiltJob> all = new ArrayList<>();
        for (int i = 0; i < KINGS; i++) {
            Quilt quilt = Quilt.unmeasured();
            double across = 60 + 10 * lot.nextDouble();
            double down = 64 + 10 * lot.nextDouble();
            for (Side side : Side.values()) {
                quilt = quilt.with(Dimension.body(side), side.isAcross() ? across : down);
            }
            for (int border = 1; border <= 4; border++) {
                quilt = border == 1 ? quilt : quilt.withBorderOutside(Border.USUAL);
                double depth = 4 + 5 * lot.nextDouble();
                for (Side side : Side.values()) {
                    quilt = quilt.with(Dimension.depth(border, side), depth);
                }
            }
            QuiltJob job = DemoJob.heronWeir().withQuilt(quilt).withTemplates(StarterShelf.templates());
            for (int border = 1; border <= 4; border++) {
                GroupId group = GroupId.border(border);
                job = with(job, group, Preset.all().get(lot.nextInt(Preset.all().size())));
                CornerDesign.Kind corner = CornerDesign.Kind.values()[lot.nextInt(CornerDesign.Kind.values().length)];
                job = job.editing(group, l -> l.with(l.design().withCorner(CornerDesign.of(corner))));
            }
            all.add(job);
        }
        return List.copyOf(all);
    }

    /** The ring weighed and laid out from nothing. */
    @Benchmark
    public WorkPlan ringAnew() {
        return Planner.plan(ring);
    }

    /** The ring laid out again, weighed before: what a step of something dragged takes. */
    @Benchmark
    public WorkPlan ringAgain() {
        return planner.planAgain(ring);
    }

    /** One of the king-size quilts, whichever is next; the same for every motif. */
    @Benchmark
    public WorkPlan king() {
        king = (king + 1) % KINGS;
        return Planner.plan(kings.get(king));
    }

    /** One picture of the gallery. */
    @Benchmark
    public MotifShown<?> entry() {
        return Gallery.entry(ring, RunId.of(Side.TOP), preset(motif), 0);
    }
}
