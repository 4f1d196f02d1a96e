package jollyspindle.desktop.model;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.shelf.StarterShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Every knob of every motif goes where it is dragged, in the piece that is looked at and by so much as it says. */
class AreaKnobsTest {

    private static final AreaId ID = new AreaId(1);

    private static QuiltJob job(Area area, AreaMotif motif) {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        return demo.withQuilt(demo.quilt().withAreas(List.of(area)))
                .with(
                        ID,
                        AreaDesign.of(List.of(
                                new AreaDesign.Layer(new AreaMotif.Crosshatch(3, Math.PI / 4), Optional.empty()),
                                new AreaDesign.Layer(motif, Optional.empty()))));
    }

    private static List<Knob> knobs(QuiltJob job, int piece) {
        AreaPlan plan = Planner.plan(job).area(ID).orElseThrow();
        return AreaKnobs.of(ID, job.design(ID), plan.pieces().get(piece)).stream()
                .filter(k -> k.id().endsWith("-2"))
                .toList();
    }

    private static AreaMotif motif(QuiltJob job) {
        return job.design(ID).parts().get(0).layers().get(1).motif();
    }

    static Stream<Arguments> motifs() {
        Area blocks = new Area.Blocks(2, 2, 16, 14, 2, 0.25);
        Area medallion = new Area.Medallion(Area.Shape.OCTAGON, 20, 0.5);
        return Stream.of(blocks, medallion)
                .flatMap(area -> AreaPreset.of(area).stream().map(p -> Arguments.of(p.code(), area, p.motif())));
    }

    @ParameterizedTest(name = "{0} in {1}")
    @MethodSource("motifs")
    void aKnobGoesWhereItIsDragged(String code, Area area, AreaMotif motif) {
        QuiltJob job = job(area, motif);
        int last = Planner.plan(job).area(ID).orElseThrow().pieces().size() - 1;
        List<Knob> knobs = knobs(job, last);
        boolean spread = motif instanceof AreaMotif.Wreath;
        assertThat(knobs.isEmpty()).as("only what is spread by itself has none").isEqualTo(spread);
        assertThat(knobs).extracting(Knob::id).doesNotHaveDuplicates();
        for (Knob knob : knobs) {
            double now = knob.number(knob.place());
            double by = knob.id().contains("across") ? -now / 2 : 0.125;
            Point to = knob.place().plus(knob.way().times(by / knob.factor()));
            assertThat(knob.number(to)).as(knob.id()).isCloseTo(now + by, within(1e-9));
            QuiltJob after = knob.changed().apply(now + by).orElseThrow().apply(job);
            assertThat(motif(after)).as(knob.id()).isNotEqualTo(motif);
            assertThat(after.design(ID).parts().get(0).layers().get(0))
                    .as("the other motif stays")
                    .isEqualTo(job.design(ID).parts().get(0).layers().get(0));
            Knob there = knobs(after, last).stream()
                    .filter(k -> k.id().equals(knob.id()))
                    .findFirst()
                    .orElseThrow();
            assertThat(there.number(there.place())).as(knob.id()).isCloseTo(now + by, within(1e-6));
            assertThat(there.place().distance(to)).as(knob.id()).isLessThan(1e-6);
        }
    }

    /** Dragged beyond what can be stitched, everything stays as it was. */
    @ParameterizedTest(name = "{0} in {1}")
    @MethodSource("motifs")
    void whatCantBeIsNotTaken(String code, Area area, AreaMotif motif) {
        QuiltJob job = job(area, motif);
        for (Knob knob : knobs(job, 0)) {
            if (!knob.id().contains("across")) {
                assertThat(knob.changed().apply(-1)).as(knob.id()).isEmpty();
            }
            assertThat(knob.changed().apply(1000).map(c -> c.apply(job)))
                    .as(knob.id())
                    .satisfies(changed -> assertThat(changed.isEmpty()
                                    || Planner.plan(changed.get()).area(ID).isPresent())
                            .isTrue());
        }
    }

    /** What is dragged in a block changes all blocks with its letter, and no others. */
    @Test
    void blocksWithOtherLettersStay() {
        Area blocks = new Area.Blocks(2, 1, 16, 16, 2, 0);
        AreaDesign.Part rings = new AreaDesign.Part(
                List.of(new AreaDesign.Layer(new AreaMotif.Rings(2, 1, 3, AreaMotif.Spokes.NONE), Optional.empty())));
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        QuiltJob job = demo.withQuilt(demo.quilt().withAreas(List.of(blocks)))
                .with(ID, new AreaDesign(List.of(rings, rings), List.of("AB")));
        AreaPlan plan = Planner.plan(job).area(ID).orElseThrow();
        Knob gap = AreaKnobs.of(ID, job.design(ID), plan.pieces().get(1)).stream()
                .filter(k -> k.id().equals("area-gap-1"))
                .findFirst()
                .orElseThrow();
        assertThat(gap.place().distance(plan.pieces().get(1).cloth().centre())).isCloseTo(2, within(1e-9));
        AreaDesign after = gap.changed().apply(0.5).orElseThrow().apply(job).design(ID);
        assertThat(after.parts().get(0)).isEqualTo(rings);
        assertThat(after.parts().get(1).layers().get(0).motif())
                .isEqualTo(new AreaMotif.Rings(2, 0.5, 3, AreaMotif.Spokes.NONE));
    }
}
