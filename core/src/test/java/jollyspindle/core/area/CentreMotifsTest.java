package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.Side;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.plan;
import static jollyspindle.core.area.AreaChecks.told;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Motifs about a centre. */
class CentreMotifsTest {

    // --- arms --------------------------------------------------------------------------------------------------

    /**
     * An n-fold figure is itself again turned by 360/n degrees; tips stand 2r·sin(180°/n) apart (regular polygons in any
     * handbook of mathematics): at 6, eight of them 4.592.
     */
    @ParameterizedTest
    @CsvSource({"8, 4.592201", "6, 6", "12, 3.105829", "5, 7.053423"})
    void armsAreOneFigureTurned(int arms, double apart) {
        AreaPlan plan =
                plan(new Area.Medallion(14), new AreaMotif.Arms(arms, AreaMotif.Way.OUT_AND_BACK, 0), "willow-arm");
        assertThat(plan.lines()).hasSize(arms).allMatch(StitchLine::returns);
        double step = 2 * Math.PI / arms;
        for (int i = 0; i < arms; i++) {
            Path here = plan.lines().get(i).path();
            Path next = plan.lines().get((i + 1) % arms).path();
            assertThat(here.end().distance(Point.ORIGIN)).isCloseTo(6, within(1e-6));
            assertThat(here.end().turned(-step).distance(next.end())).isLessThan(1e-9);
            assertThat(here.end().distance(next.end())).isCloseTo(apart, within(1e-5));
            assertThat(here.start().distance(Point.ORIGIN)).isLessThan(1e-9);
            Point middle = here.curves().get(here.curves().size() / 2).at(0.3);
            assertThat(next.distance(middle.turned(-step))).isLessThan(1e-9);
        }
    }

    /** Reach 6 covers an 8 block (its corner lies at 5.657) but not a 9 block's corners at 6.364 (the trade's values). */
    @Test
    void armsThatEndShortOfTheCornersAreTold() {
        AreaMotif eight = new AreaMotif.Arms(8, AreaMotif.Way.ALONG_EDGE, 0);
        assertThat(told(plan(block(8), eight, "willow-arm"))).noneMatch(AreaTold.ReachShort.class::isInstance);
        AreaTold.ReachShort told = (AreaTold.ReachShort) told(plan(block(9), eight, "willow-arm")).stream()
                .filter(AreaTold.ReachShort.class::isInstance)
                .findFirst()
                .orElseThrow();
        assertThat(told.arms()).isEqualTo(4);
        assertThat(told.reach()).isCloseTo(6, within(1e-6));
        assertThat(told.needed()).isCloseTo(9 / Math.sqrt(2), within(1e-9));
    }

    /** The ray at an angle a from the middle of a side meets it S/2·tan a from there; the tangent table of any handbook. */
    @Test
    void raysAreReadOnTheBlocksEdges() {
        AreaPlan plan = plan(block(10), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.5), "willow-arm");
        assertThat(plan.rays()).hasSize(16);
        double tan = Math.tan(Math.toRadians(22.5));
        assertThat(plan.rays().get(1).side()).isEqualTo(Side.TOP);
        assertThat(plan.rays().get(1).fromMiddle())
                .isCloseTo(5 * tan, within(1e-9))
                .isCloseTo(2.0711, within(1e-4));
        assertThat(plan.rays().get(15).fromMiddle()).isCloseTo(-5 * tan, within(1e-9));
        assertThat(plan.rays().get(3).side()).isEqualTo(Side.RIGHT);
        assertThat(plan.rays().get(3).fromMiddle()).isCloseTo(-5 * tan, within(1e-9));
        for (Ray ray : plan.rays()) {
            double onEdge =
                    Math.max(Math.abs(ray.place().x()), Math.abs(ray.place().y()));
            assertThat(onEdge).isCloseTo(5, within(1e-9));
            assertThat(ray.found()).isEqualTo(ray.number() % 2 == 1 ? Ray.Found.USUAL : Ray.Found.HALVED);
        }
        assertThat(plan(block(10), new AreaMotif.Arms(10, AreaMotif.Way.OUT_AND_BACK, 0.5), "willow-arm")
                        .rays())
                .filteredOn(r -> r.found() == Ray.Found.STEPPED)
                .hasSize(8);
    }

    /** Many lines in a point pile thread up: stopped on a small circle they don't. */
    @Test
    void linesStopOnASmallCircle() {
        AreaPlan meeting = plan(block(8), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0), "willow-arm");
        assertThat(told(meeting))
                .filteredOn(AreaTold.PileUp.class::isInstance)
                .singleElement()
                .satisfies(t -> {
                    assertThat(((AreaTold.PileUp) t).lines()).isEqualTo(16);
                    assertThat(t.where().orElseThrow().distance(Point.ORIGIN)).isLessThan(1e-9);
                });
        AreaPlan stopped = plan(block(8), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.75), "willow-arm");
        assertThat(told(stopped)).noneMatch(AreaTold.PileUp.class::isInstance);
        assertThat(stopped.lines()).allSatisfy(l -> assertThat(l.path().start().distance(Point.ORIGIN))
                .isCloseTo(0.75, within(1e-6)));
    }

    /** Out along one arm and in along the next: an even number ends in the centre. */
    @Test
    void evenArmsEndInTheCentre() {
        AreaPlan plan = plan(block(8), new AreaMotif.Arms(6, AreaMotif.Way.ALONG_EDGE, 0), "willow-arm");
        assertThat(plan.lines().get(0).path().start().distance(Point.ORIGIN)).isLessThan(1e-9);
        assertThat(plan.lines().get(5).path().end().distance(Point.ORIGIN)).isLessThan(1e-9);
    }

    // --- rings -------------------------------------------------------------------------------------------------

    /** Rings 2, 3 … stand 1/2 apart (the trade's value): each from the template that stitches it, or told to be missing. */
    @ParameterizedTest
    @CsvSource({"NONE", "ONE", "FOUR"})
    void ringsTakeTheTemplatesThereAre(AreaMotif.Spokes spokes) {
        AreaMotif.Rings rings = new AreaMotif.Rings(2, 0.5, 11, spokes);
        AreaPlan plan = plan(new Area.Medallion(14), rings, null);
        Set<Double> missing = new HashSet<>();
        told(plan).stream()
                .filter(AreaTold.RingMissing.class::isInstance)
                .forEach(t -> missing.add(((AreaTold.RingMissing) t).diameter()));
        List<StitchLine> stitched =
                plan.lines().stream().filter(l -> l.kind() == Stitched.RING).toList();
        assertThat(stitched.size() + missing.size()).isEqualTo(11);
        for (StitchLine ring : stitched) {
            double wanted = rings.diameter(ring.number(), 14);
            assertThat(missing).doesNotContain(wanted);
            assertThat(ring.path().start().distance(Point.ORIGIN)).isCloseTo(wanted / 2, within(1.0 / 64));
            assertThat(ring.path().length()).isCloseTo(Math.PI * wanted, within(0.1));
        }
        long spokesStitched =
                plan.lines().stream().filter(l -> l.kind() == Stitched.SPOKE).count();
        int each = spokes == AreaMotif.Spokes.FOUR ? 4 : spokes == AreaMotif.Spokes.ONE ? 1 : 0;
        assertThat(spokesStitched).isEqualTo((long) each * (stitched.size() - 1));
        // One spoke leads on without a break; each ring by itself begins anew.
        assertThat(plan.starts())
                .isEqualTo(
                        switch (spokes) {
                            case NONE -> stitched.size();
                            case ONE -> 1;
                            // Back along the ring to the first of four spokes; the others end where no ring is yet.
                            case FOUR -> 1 + 3 * (stitched.size() - 1);
                        });
    }
}
