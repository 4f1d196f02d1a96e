package jollyspindle.core.area;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tuple;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.union.UnaryUnionOp;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

import static jollyspindle.core.area.AreaChecks.filled;
import static jollyspindle.core.area.AreaChecks.flat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Whole jobs with random areas that lie on each other, in random motifs by letter. */
class RandomAreaJobsTest {

    private static final RandomAreasTest RANDOM = new RandomAreasTest();
    private static final AreaWords WORDS = new AreaWords(new Words(TapeScale.SIXTEENTHS));

    private static Arbitrary<Area> areas() {
        Arbitrary<Double> clearance = Arbitraries.of(0.0, 0.25, 0.5);
        Arbitrary<Double> side = Arbitraries.doubles().between(3, 14);
        Arbitrary<Area> blocks = Combinators.combine(
                        Arbitraries.integers().between(1, 3),
                        Arbitraries.integers().between(1, 3),
                        side,
                        side,
                        Arbitraries.of(0.0, 0.5, 2.0),
                        clearance)
                .as(Area.Blocks::new);
        Arbitrary<Area> medallion = Combinators.combine(
                        Arbitraries.of(Area.Shape.class), Arbitraries.doubles().between(3, 30), clearance)
                .as(Area.Medallion::new);
        Arbitrary<Area> body = clearance.map(Area.Body::new);
        return Arbitraries.oneOf(blocks, medallion, body, RANDOM.appliques().map(a -> a));
    }

    private static Arbitrary<AreaDesign> designs() {
        Arbitrary<AreaDesign.Part> part = RANDOM.motifs()
                .map(motif -> new AreaDesign.Layer(motif, Optional.empty()))
                .list()
                .ofMaxSize(2)
                .map(AreaDesign.Part::new);
        return Combinators.combine(part, part, Arbitraries.of(true, false))
                .as((a, b, two) -> two
                        ? AreaDesign.nothing().with('A', a).with('B', b).inTurn()
                        : AreaDesign.nothing().with('A', a));
    }

    @Provide
    Arbitrary<QuiltJob> jobs() {
        return Combinators.combine(areas(), designs())
                .as(Tuple::of)
                .list()
                .ofMinSize(1)
                .ofMaxSize(4)
                .map(all -> {
                    QuiltJob job = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
                    job = job.withQuilt(job.quilt()
                            .withAreas(all.stream().map(Tuple.Tuple2::get1).toList()));
                    for (int i = 0; i < all.size(); i++) {
                        if (!(all.get(i).get1() instanceof Area.Applique)) {
                            job = job.with(new AreaId(i + 1), all.get(i).get2());
                        }
                    }
                    return job;
                });
    }

    /** Nothing is stitched where something else lies, each line has a name of its own, and sums are those of the lines. */
    @Property(tries = 40, shrinking = ShrinkingMode.OFF)
    void areasKeepOffWhatLiesOnThem(@ForAll("jobs") QuiltJob job) {
        WorkPlan plan = Planner.plan(job);
        Path body = Path.polygon(plan.shape().orElseThrow().body().corners()).reversed();
        Set<String> ids = new HashSet<>();
        for (AreaPlan area : plan.areas()) {
            Area own = job.quilt().areas().get(area.id().number() - 1);
            List<Geometry> over = new ArrayList<>();
            for (Area other : job.quilt().areas()) {
                if (other.isOver(own)) {
                    AreaSpace.cloth(other, body)
                            .forEach(path -> over.add(filled(path).buffer(-2e-3)));
                }
            }
            Geometry kept = UnaryUnionOp.union(over, AreaChecks.JTS);
            for (StitchLine line : area.lines()) {
                assertThat(ids.add(area.id().code() + " " + line.id()))
                        .as(line.id().code())
                        .isTrue();
                if (line.kind() != Stitched.ECHO) {
                    assertThat(flat(line.path()).intersection(kept).getLength())
                            .as(line.id().code())
                            .isLessThan(1e-3);
                }
            }
            double stitched = area.lines().stream()
                    .mapToDouble(l -> l.path().length() * (l.returns() ? 2 : 1))
                    .sum();
            assertThat(area.sums().stream().mapToDouble(AreaPlan.Sum::stitched).sum())
                    .isCloseTo(stitched, within(1e-6));
            job.design(area.id()).parts().forEach(part -> part.layers()
                    .forEach(layer -> assertThat(WORDS.text(layer.motif())).isNotBlank()));
        }
        for (Finding finding : plan.findings()) {
            assertThat(new FindingWords(new Words(job.tape())).text(finding)).isNotBlank();
        }
    }
}
