package jollyspindle.core.area;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.DiagnosticWords;
import jollyspindle.core.words.Words;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.FieldSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

import static jollyspindle.core.area.AreaChecks.MACHINE;
import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.check;
import static jollyspindle.core.area.AreaChecks.layOut;
import static jollyspindle.core.area.AreaChecks.told;
import static org.assertj.core.api.Assertions.assertThat;

/** What a shelf that lacks something leads to: it is told, and what can be stitched is. */
class MissingTemplatesTest {

    private static final AreaMotif.Arms CIRCLED = new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 1, false, 0, true);

    static Stream<Arguments> motifs() {
        return AreaPreset.of(block(12)).stream()
                .filter(preset -> !(preset.motif() instanceof AreaMotif.Clamshells shells && shells.byHand()))
                .map(preset -> Arguments.of(preset.motif(), need(preset.motif())));
    }

    private static EdgeKind need(AreaMotif motif) {
        return switch (AreaMotifTypes.of(motif).code()) {
            case "arms" -> EdgeKind.ARM;
            case "rings", "wreath", "circles" -> EdgeKind.CIRCLE;
            case "petals", "peel", "curved-hatch" -> EdgeKind.ARC;
            case "clamshells" -> EdgeKind.SCALLOPS;
            case "points", "echoes", "crosshatch", "quarters", "corner-rays", "whirl", "vee", "straight-fans" ->
                EdgeKind.STRAIGHT_EDGE;
            default -> throw new AssertionError("what does " + motif + " need?");
        };
    }

    @Test
    void everyKindIsAmongThem() {
        Set<AreaMotifType<?>> kinds = Stream.concat(
                        AreaPreset.of(block(12)).stream(), AreaPreset.of(new Area.Medallion(12)).stream())
                .map(preset -> AreaMotifTypes.of(preset.motif()))
                .collect(Collectors.toCollection(HashSet::new));
        assertThat(kinds).containsExactlyInAnyOrderElementsOf(AreaMotifTypes.ALL);
    }

    /** With nothing on the shelf, or all of it put away, a motif says what it needs. */
    @ParameterizedTest
    @MethodSource("motifs")
    void anEmptyShelfIsTold(AreaMotif motif, EdgeKind need) {
        List<Template> retired =
                StarterShelf.templates().stream().map(t -> t.withRetired(true)).toList();
        for (List<Template> shelf : List.of(List.<Template>of(), retired)) {
            AreaPlan plan = layOut(block(12), AreaDesign.of(motif, Optional.empty()), List.of(), shelf, MACHINE);
            assertThat(plan.lines()).isEmpty();
            assertThat(plan.marks()).isEmpty();
            assertThat(told(plan)).contains(new LayoutDiagnostic.NoTool(need)).anyMatch(Diagnostic::stops);
            assertThat(told(plan))
                    .allSatisfy(what -> assertThat(new DiagnosticWords(new Words(TapeScale.SIXTEENTHS)).text(what))
                            .isNotBlank());
        }
    }

    /** One that is put away is still used by a motif that asks for it by name. */
    @Test
    void whatIsPutAwayIsUsedWhereItIsAskedFor() {
        List<Template> retired =
                StarterShelf.templates().stream().map(t -> t.withRetired(true)).toList();
        AreaPlan plan = layOut(
                block(12),
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of("thatch-middle")),
                List.of(),
                retired,
                MACHINE);
        check(block(12), plan, retired);
        assertThat(plan.lines()).isNotEmpty();
    }

    static final List<Kind> WITHOUT_CIRCLES = List.of(Kind.CIRCLE, Kind.SLOTTED_CIRCLES);

    /** Arms stop on their circle all the same; that it can't be stitched is told. */
    @Test
    void armsGoOnWithoutTheCircle() {
        List<Template> shelf = StarterShelf.templates().stream()
                .filter(t -> !WITHOUT_CIRCLES.contains(t.kind()))
                .toList();
        AreaPlan plan = layOut(block(12), AreaDesign.of(CIRCLED, Optional.empty()), List.of(), shelf, MACHINE);
        check(block(12), plan, shelf);
        assertThat(plan.lines()).hasSize(8);
        assertThat(told(plan)).contains(new AreaDiagnostic.RingMissing(2, OptionalDouble.empty()));
        // What isn't stitched shows nothing: they stop on a drawn one.
        assertThat(plan.placements())
                .flatExtracting(p -> List.of(p.start().shownBy(), p.end().shownBy()))
                .contains(LineEnd.ShownBy.STOP_CIRCLE)
                .doesNotContain(LineEnd.ShownBy.STITCHING);
    }

    /** Rings are stitched without their spokes; that there is no straight edge is told. */
    @ParameterizedTest
    @FieldSource("SPOKES")
    void ringsGoOnWithoutSpokes(AreaMotif.Spokes spokes) {
        List<Template> shelf = StarterShelf.templates().stream()
                .filter(t -> t.kind() != Kind.STRAIGHT_EDGE)
                .toList();
        AreaDesign joined = AreaDesign.of(new AreaMotif.Rings(2, 1, 4, spokes), Optional.empty());
        AreaDesign apart = AreaDesign.of(new AreaMotif.Rings(2, 1, 4, AreaMotif.Spokes.NONE), Optional.empty());
        AreaPlan plan = layOut(block(12), joined, List.of(), shelf, MACHINE);
        check(block(12), plan, shelf);
        assertThat(told(plan)).contains(new LayoutDiagnostic.NoTool(EdgeKind.STRAIGHT_EDGE));
        assertThat(plan.lines())
                .hasSameSizeAs(
                        layOut(block(12), apart, List.of(), shelf, MACHINE).lines());
    }

    static final List<AreaMotif.Spokes> SPOKES = List.of(AreaMotif.Spokes.ONE, AreaMotif.Spokes.FOUR);

    /** Rings that only slots stitch aren't stitched if the foot doesn't get in, and that it is the foot is told. */
    @Test
    void whatTheFootDoesntGoIntoIsToldWhereARingIsMissing() {
        List<Template> slots = StarterShelf.templates().stream()
                .filter(t -> t.kind() == Kind.SLOTTED_CIRCLES)
                .toList();
        List<Template> holes = StarterShelf.templates().stream()
                .filter(t -> t.kind() != Kind.SLOTTED_CIRCLES)
                .toList();
        List<Template> both = Stream.concat(holes.stream(), slots.stream()).toList();
        AreaDesign rings = AreaDesign.of(new AreaMotif.Rings(2, 1, 7, AreaMotif.Spokes.NONE), Optional.empty());
        Area area = block(32);
        assertThat(layOut(area, rings, List.of(), both, MACHINE).lines()).hasSize(7);
        AreaPlan plan = layOut(area, rings, List.of(), both, new Machine(0.262));
        Set<String> openings = holes.stream().map(Template::id).collect(Collectors.toSet());
        assertThat(plan.placements())
                .isNotEmpty()
                .allMatch(p -> openings.contains(p.tool().templateId()));
        assertThat(told(plan))
                .contains(new LayoutDiagnostic.FootStaysOut(EdgeKind.CIRCLE, 0.515, 0.524))
                .anyMatch(AreaDiagnostic.RingMissing.class::isInstance);
        AreaPlan alone = layOut(area, rings, List.of(), slots, new Machine(0.262));
        assertThat(alone.lines()).isEmpty();
        assertThat(told(alone)).containsExactly(new LayoutDiagnostic.FootStaysOut(EdgeKind.CIRCLE, 0.515, 0.524));
    }

    /** Where even the smallest circle doesn't go between centre and edge there is no wreath. */
    @Test
    void aWreathNeedsRoom() {
        AreaPlan plan = layOut(
                block(0.6),
                AreaDesign.of(new AreaMotif.Wreath(12, OptionalDouble.empty()), Optional.empty()),
                List.of(),
                StarterShelf.templates(),
                MACHINE);
        assertThat(plan.lines()).isEmpty();
        assertThat(told(plan)).contains(new AreaDiagnostic.NoRoom());
    }
}
