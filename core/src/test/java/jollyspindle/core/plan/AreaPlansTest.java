package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.StarterShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Areas of a whole job: what lies on what, what is told, and what helps. */
class AreaPlansTest {

    private static final AreaId FIRST = new AreaId(1);
    private static final AreaId SECOND = new AreaId(2);
    private static final AreaId THIRD = new AreaId(3);

    private static QuiltJob job(Area... areas) {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        return demo.withQuilt(demo.quilt().withAreas(List.of(areas)));
    }

    private static AreaDesign hatch(double spacing) {
        return AreaDesign.of(new AreaMotif.Crosshatch(spacing, Math.PI / 4), Optional.empty());
    }

    private static double nearest(List<StitchLine> lines, Point to) {
        return lines.stream().mapToDouble(l -> l.path().distance(to)).min().orElseThrow();
    }

    private static List<String> names(WorkPlan plan, AreaId area) {
        return plan.area(area).orElseThrow().lines().stream()
                .map(line -> line.id().code())
                .toList();
    }

    /** What is stitched in an area or on a strip keeps its names whatever comes and goes before it. */
    @Test
    void areasAndStripsThatComeAndGoRenameNoOthers() {
        Strip sash = new Strip("Sash", Strip.Kind.FREE, new Point(-20, 30), 0, 40, 3, OptionalDouble.empty());
        QuiltJob job = job(new Area.Blocks(1, 1, 9, 9, 0), new Area.Medallion(15), new Area.Body(0))
                .with(SECOND, hatch(1))
                .with(THIRD, hatch(2));
        job = job.withQuilt(job.quilt().withStrips(List.of(Strip.PARAMS.with(sash, Strip.NAME, "One"), sash)));
        job = job.choosing(Map.of(RunId.strip(2), new Even(8)));
        WorkPlan before = Planner.plan(job);
        QuiltJob fewer = job.without(FIRST).withoutStrip(GroupId.strip(1));
        WorkPlan after = Planner.plan(fewer);
        for (AreaId id : List.of(SECOND, THIRD)) {
            assertThat(names(after, id)).isNotEmpty().containsExactlyInAnyOrderElementsOf(names(before, id));
        }
        assertThat(after.area(FIRST)).isEmpty();
        assertThat(after.run(RunId.strip(1))).isEmpty();
        assertThat(after.run(RunId.strip(2)).orElseThrow().division().count()).isEqualTo(8);
        assertThat(fewer.quilt().strip(GroupId.strip(2)).orElseThrow().name()).isEqualTo("Sash");
        // What is added is named like none that is there.
        QuiltJob more = fewer.withQuilt(
                fewer.quilt().adding(new Area.Blocks(1, 1, 9, 9, 0)).adding(sash));
        assertThat(more.quilt().areaIds()).containsExactly(SECOND, THIRD, new AreaId(4));
        assertThat(more.quilt().stripIds()).containsExactly(GroupId.strip(2), GroupId.strip(3));
        assertThat(more.design(new AreaId(4)).isNothing()).isTrue();
        assertThat(names(Planner.plan(more), SECOND)).containsExactlyInAnyOrderElementsOf(names(before, SECOND));
    }

    /** Appliqués keep all off, a medallion the blocks and the background, the blocks the background; the order given is no matter. */
    @Test
    void whatLiesOnAnAreaIsStitchedRound() {
        Area leaf = new Area.Applique(new Area.Ellipse(new Point(16, 16), 6, 4, 0), 0.5);
        QuiltJob job = job(new Area.Body(0), new Area.Blocks(3, 3, 12, 12, 2), new Area.Medallion(15), leaf)
                .with(FIRST, hatch(1))
                .with(SECOND, hatch(1))
                .with(THIRD, hatch(1));
        WorkPlan plan = Planner.plan(job);
        List<StitchLine> body = plan.area(FIRST).orElseThrow().lines();
        List<StitchLine> blocks = plan.area(SECOND).orElseThrow().lines();
        List<StitchLine> medallion = plan.area(THIRD).orElseThrow().lines();
        assertThat(nearest(blocks, Point.ORIGIN)).isCloseTo(7.5, within(1e-6));
        assertThat(nearest(medallion, Point.ORIGIN)).isLessThan(0.6);
        // The sashing's lines pass the blocks, which reach 20 out; none of the background's is in a block.
        assertThat(nearest(body, new Point(13.9, 13.9))).isGreaterThan(0.09);
        assertThat(body).noneMatch(l -> {
            Point p = l.path().curves().get(0).at(0.5);
            double x = Math.abs(Math.IEEEremainder(p.x(), 14));
            double y = Math.abs(Math.IEEEremainder(p.y(), 14));
            return Math.max(Math.abs(p.x()), Math.abs(p.y())) < 20 && x < 6 - 1e-6 && y < 6 - 1e-6;
        });
        assertThat(nearest(blocks, new Point(16, 16))).isGreaterThanOrEqualTo(2.5 - 1e-6);
    }

    /** What echoes a medallion lies on the background, whose hatching mustn't be like it. */
    @Test
    void hatchingLikeAMedallionsEchoIsTold() {
        AreaDesign echoes = AreaDesign.of(new AreaMotif.Echoes(3, 0.5, true), Optional.empty());
        QuiltJob like = job(new Area.Medallion(Area.Shape.SQUARE, 14, 0), new Area.Body(0))
                .with(FIRST, echoes)
                .with(SECOND, hatch(0.5));
        Finding told = Planner.plan(like).findings().stream()
                .filter(f -> f.code().equals("area-hatch-like-echo"))
                .findFirst()
                .orElseThrow();
        Remedy.RedesignArea remedy = (Remedy.RedesignArea) told.remedy().orElseThrow();
        assertThat(((AreaMotif.Crosshatch)
                                remedy.design().parts().get(0).layers().get(0).motif())
                        .spacing())
                .as("beside 1/2 echoes, 1 (common practice, no source)")
                .isEqualTo(1);
        assertThat(Planner.plan(like.with(SECOND, remedy.design())).findings())
                .noneMatch(f -> f.code().equals("area-hatch-like-echo"));
    }

    static Stream<Arguments> troubles() {
        Area block = new Area.Blocks(1, 1, 12, 12, 0);
        Area medallion = new Area.Medallion(14);
        return Stream.of(
                Arguments.of("area-pile-up", medallion, new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0), ""),
                Arguments.of(
                        "area-pile-up", medallion, new AreaMotif.Arms(64, AreaMotif.Way.OUT_AND_BACK, 0, true, 0), ""),
                Arguments.of("area-pile-up", medallion, new AreaMotif.Petals(6, 0, 4), ""),
                Arguments.of(
                        "area-pile-up",
                        block,
                        new AreaMotif.CornerRays(AreaMotif.Corner.TOP_LEFT, OptionalInt.of(41), 0.75, 0.25),
                        ""),
                Arguments.of("area-unstitched", block, new AreaMotif.Crosshatch(6, Math.PI / 2), ""),
                Arguments.of("area-unstitched", block, new AreaMotif.Crosshatch(7, Math.PI / 3), ""),
                Arguments.of("area-too-round", block, new AreaMotif.Peel(2, 2), "orchard-hill"),
                Arguments.of("area-too-far", block, new AreaMotif.Peel(1, 1), "orchard-hill"),
                Arguments.of("area-too-far", medallion, new AreaMotif.Petals(4, 0, 60), "orchard-hill"),
                Arguments.of("area-nothing-outside", block, new AreaMotif.Echoes(2, 0.5, true), ""),
                Arguments.of("area-circles-apart", new Area.Body(0), new AreaMotif.Circles(1, 1), ""),
                Arguments.of("area-no-room", block, new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 30), ""));
    }

    /** A remedy that is pressed does away with what it stands at. */
    @ParameterizedTest(name = "{0} of {2}")
    @MethodSource("troubles")
    void remediesHelp(String code, Area area, AreaMotif motif, String template) {
        QuiltJob job = job(area);
        job = job.withQuilt(job.quilt().with(Dimension.BATTING, 4))
                .with(FIRST, AreaDesign.of(motif, Optional.of(template).filter(t -> !t.isEmpty())));
        Finding told = Planner.plan(job).findings().stream()
                .filter(f -> f.code().equals(code))
                .findFirst()
                .orElseThrow();
        assertThat(told.remedy()).as(code).isPresent();
        Remedy.RedesignArea remedy = (Remedy.RedesignArea) told.remedy().get();
        WorkPlan after = Planner.plan(job.with(FIRST, remedy.design()));
        assertThat(after.findings()).noneMatch(f -> f.code().equals(code));
        if (!code.equals("area-no-room")) {
            assertThat(after.area(FIRST).orElseThrow().lines()).isNotEmpty();
        }
    }

    /** Every motif that the gallery offers for an area is stitched there with the starter shelf, or says why not. */
    @Test
    void theGalleryShowsEveryMotif() {
        QuiltJob job =
                job(new Area.Blocks(2, 2, 9, 9, 1), new Area.Medallion(Area.Shape.OCTAGON, 16, 0), new Area.Body(1));
        Set<AreaMotifType<?>> seen = new HashSet<>();
        for (AreaId id : List.of(FIRST, SECOND, THIRD)) {
            List<AreaPreset> presets = AreaPreset.of(job.quilt().areas().get(id.number() - 1));
            assertThat(presets).extracting(AreaPreset::code).doesNotHaveDuplicates();
            for (AreaPreset preset : presets) {
                MotifShown<AreaPlan> entry = AreaGallery.entry(job, id, preset);
                seen.add(AreaMotifTypes.of(preset.motif()));
                assertThat(!entry.plan().lines().isEmpty() || entry.trouble().isPresent())
                        .as(preset.code())
                        .isTrue();
                assertThat(entry.plan().pieces()).hasSize(1);
                boolean byHand = entry.plan().placements().stream()
                        .allMatch(p -> p.tool().isByHand());
                assertThat(entry.templates().isEmpty()).isEqualTo(byHand);
            }
        }
        assertThat(seen).containsExactlyInAnyOrderElementsOf(AreaMotifTypes.ALL);
        assertThat(AreaPreset.of(new Area.Applique(new Area.Ellipse(Point.ORIGIN, 3, 2, 0), 0)))
                .isEmpty();
    }

    /** Planning again after something else has changed gives the same areas as planning afresh. */
    @Test
    void aPlannerThatRemembersPlansTheSame() {
        Area leaf = new Area.Applique(new Area.Ellipse(new Point(9, 9), 6, 4, 0.5), 0.5);
        QuiltJob job = job(new Area.Blocks(2, 2, 18, 18, 2), leaf).with(FIRST, hatch(1.5));
        Planner planner = new Planner();
        planner.planAgain(job);
        QuiltJob moved = job.withQuilt(job.quilt()
                .withAreas(List.of(
                        new Area.Blocks(2, 2, 18, 18, 2),
                        new Area.Applique(new Area.Ellipse(new Point(9, -9), 6, 4, 0.5), 0.5))));
        assertThat(planner.planAgain(moved).areas())
                .isEqualTo(Planner.plan(moved).areas());
        assertThat(planner.planAgain(job).areas()).isEqualTo(Planner.plan(job).areas());
    }
}
