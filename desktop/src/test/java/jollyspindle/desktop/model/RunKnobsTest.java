package jollyspindle.desktop.model;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Knobs: each goes where it is dragged, on whichever side and edge. */
class RunKnobsTest {

    private static final GroupId INNER = GroupId.border(1);

    private static QuiltJob job(Layer layer) {
        return DemoJob.heronWeir()
                .withMachine(new Machine(0.25))
                .withTemplates(StarterShelf.templates())
                .editing(INNER, l -> l.with(Design.of(layer)).with(l.wish().withRepeat(7)));
    }

    private static Layer layer(Motif motif, Layer.Edge edge, String template) {
        return Layer.of(motif).with(edge).withTemplate(Optional.of(template), Optional.empty());
    }

    private static Motif crowns() {
        return new Motif.FacingArcs(
                Motif.Facing.CROWNS,
                OptionalDouble.empty(),
                OptionalDouble.of(0.75),
                false,
                false,
                Optional.empty(),
                1);
    }

    static Stream<Arguments> knobs() {
        Motif nested = new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(), Optional.empty(), 1);
        Motif echoed = new Motif.Arcs(Motif.Inner.SHIFTED, 2, 0.5, List.of(), Optional.empty(), 1);
        Motif peaks = new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.of(3), 0, 3, 0.5);
        Motif boxes = new Motif.Chevrons(Motif.Points.BOXES, OptionalDouble.of(3), 0, 2, 0.5);
        return Stream.of(Layer.Edge.values())
                .flatMap(edge -> Stream.of(
                        Arguments.of("step", layer(nested, edge, "orchard-hill"), 0.125),
                        Arguments.of("step", layer(echoed, edge, "orchard-hill"), 0.125),
                        Arguments.of("inset", layer(crowns(), edge, "orchard-hill"), 0.25),
                        Arguments.of(
                                "spacing",
                                layer(new Motif.Sails(3, 0.5, Motif.Lean.RIGHT), edge, "mill-bridge"),
                                0.125),
                        Arguments.of("height", layer(peaks, edge, "furrow-long"), 0.5),
                        Arguments.of("spacing", layer(peaks, edge, "furrow-long"), 0.125),
                        Arguments.of("height", layer(boxes, edge, "furrow-long"), 0.25),
                        Arguments.of("spacing", layer(boxes, edge, "furrow-long"), 0.25)));
    }

    private static Optional<Knob> knob(WorkPlan plan, Side side, String id) {
        return RunKnobs.of(plan, plan.run(side).orElseThrow()).stream()
                .filter(h -> h.id().equals(id))
                .findFirst();
    }

    @ParameterizedTest(name = "{0} of {1}")
    @MethodSource("knobs")
    void aKnobGoesWhereItIsDragged(String id, Layer layer, double by) {
        QuiltJob job = job(layer);
        if (layer.motif() instanceof Motif.Circles) {
            job = job.editing(INNER, l -> l.with(Design.of(layer.withTemplate(Optional.empty(), Optional.empty()))));
        }
        WorkPlan plan = Planner.plan(job);
        for (Side side : Side.values()) {
            Knob knob = knob(plan, side, id).orElseThrow();
            double now = knob.number(knob.place());
            Point to = knob.place().plus(knob.way().times(by / knob.factor()));
            assertThat(knob.number(to)).isCloseTo(now + by, within(1e-9));
            WorkPlan after =
                    Planner.plan(knob.changed().apply(now + by).orElseThrow().apply(job));
            Knob there = knob(after, side, id).orElseThrow();
            assertThat(there.number(there.place()))
                    .as("the number is shown again")
                    .isCloseTo(now + by, within(1e-6));
            // Beside a curve the foot of an echo doesn't go along the seam in quite the same measure: less than a chalk
            // line's width.
            double near = layer.motif() instanceof Motif.Sails ? Tolerances.CHALK : Tolerances.SAME_PLACE;
            assertThat(there.place().dot(knob.way())).isCloseTo(to.dot(knob.way()), within(near));
        }
    }

    /** Repeats come out even, so crowns go to the nearest rise there is: the one of the repeats next to the asked one. */
    @ParameterizedTest
    @MethodSource("edges")
    void theCrownIsDraggedToTheRepeatThatRisesSo(Layer.Edge edge) {
        QuiltJob job = job(layer(Motif.Arcs.single(), edge, "orchard-hill"));
        WorkPlan plan = Planner.plan(job);
        Knob knob = knob(plan, Side.TOP, "rise").orElseThrow();
        double rise = knob.number(knob.place());
        double repeat = plan.run(Side.TOP).orElseThrow().division().repeat();
        // R = (c²/4 + h²) / 2h of the template's stitched 4.
        assertThat((repeat * repeat / 4 + rise * rise) / (2 * rise)).isCloseTo(4, within(1e-6));
        QuiltJob lower = knob.changed().apply(1.5).orElseThrow().apply(job);
        // 2·√(2·4·1.5 − 1.5²) = 6.245.
        assertThat(lower.layout(INNER).wish().repeat()).isCloseTo(6.2449980, within(1e-6));
        assertThat(knob.changed().apply(4.5))
                .as("higher than the template's radius")
                .isEmpty();
        WorkPlan after = Planner.plan(lower);
        Knob there = knob(after, Side.TOP, "rise").orElseThrow();
        assertThat(there.number(there.place())).isCloseTo(1.5, within(0.3)).isLessThan(rise);
    }

    static Stream<Layer.Edge> edges() {
        return Stream.of(Layer.Edge.values());
    }

    @Test
    void aCornerArcsFootIsDraggedAlongTheRun() {
        QuiltJob job = job(layer(Motif.Arcs.single(), Layer.Edge.SEAM, "orchard-hill"))
                .editing(INNER, l -> l.with(l.design().withCorner(CornerDesign.of(CornerDesign.Kind.MITRE_ARC))));
        WorkPlan plan = Planner.plan(job);
        Knob knob = knob(plan, Side.RIGHT, "feet").orElseThrow();
        QuiltJob changed = knob.changed().apply(2.5).orElseThrow().apply(job);
        assertThat(changed.layout(INNER).design().corner().feet()).hasValue(2.5);
        WorkPlan after = Planner.plan(changed);
        assertThat(after.run(Side.RIGHT).orElseThrow().division().cornerLeft()).isCloseTo(2.5, within(0.02));
    }

    @Test
    void aSideOfItsOwnIsDraggedAlone() {
        Layer fans = layer(
                new Motif.Arcs(Motif.Inner.LOWERED, 2, 0.5, List.of(), Optional.empty(), 1),
                Layer.Edge.SEAM,
                "orchard-hill");
        QuiltJob job = job(layer(Motif.Arcs.single(), Layer.Edge.SEAM, "orchard-hill"))
                .editing(INNER, l -> l.with(l.design().withRun(RunId.of(Side.LEFT), List.of(fans))));
        WorkPlan plan = Planner.plan(job);
        assertThat(knob(plan, Side.TOP, "step")).isEmpty();
        RunLayout changed = knob(plan, Side.LEFT, "step")
                .orElseThrow()
                .changed()
                .apply(0.75)
                .orElseThrow()
                .apply(job)
                .layout(INNER);
        assertThat(changed.design().layers())
                .isEqualTo(job.layout(INNER).design().layers());
        assertThat(((Motif.Arcs) changed.design().sides().get(Side.LEFT).get(0).motif()).step())
                .isEqualTo(0.75);
    }

    /** A strip's peaks are as high as they are cut. */
    @Test
    void aStripsPeaksHaveNoHeightToDrag() {
        Motif peaks = new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.empty(), 0, 2, 0.25);
        WorkPlan plan = Planner.plan(job(layer(peaks, Layer.Edge.SEAM, "lane-strip"))
                .editing(INNER, l -> l.with(l.wish().withRepeat(2))));
        assertThat(knob(plan, Side.TOP, "height")).isEmpty();
        assertThat(knob(plan, Side.TOP, "spacing")).isPresent();
    }
}
