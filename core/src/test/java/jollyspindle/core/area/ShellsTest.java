package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.RefusedValue;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.SizeLabel;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** Rows of shells that are eased, hang from the top, or are drawn from marks; how many of them go in. */
class ShellsTest {

    private static AreaPlan plan(double width, double height, AreaMotif.Clamshells shells, String plate, double foot) {
        return AreaChecks.layOut(
                new Area.Blocks(1, 1, width, height, 0),
                AreaDesign.of(shells, Optional.ofNullable(plate)),
                List.of(),
                StarterShelf.templates(),
                new Machine(foot));
    }

    private static AreaMotif.Clamshells eased() {
        return new AreaMotif.Clamshells(0, OptionalDouble.empty(), true, false, false);
    }

    private static <T> T told(AreaPlan plan, Class<T> what) {
        return AreaChecks.told(plan).stream()
                .filter(what::isInstance)
                .map(what::cast)
                .findFirst()
                .orElseThrow();
    }

    /** W/P in halves, next to even: what is left over is shared out at the crowns (derived), where nobody sees it. */
    @ParameterizedTest
    @CsvSource({"9.3, thatch-middle, 6, 1.55", "8.9, thatch-large, 3, 2.966667", "7.4, thatch-small, 7.5, 0.986667"})
    void shellsAreEasedAtTheirCrowns(double width, String plate, double perRow, double pitch) {
        AreaPlan plan = plan(width, 6, eased(), plate, 0.25);
        AreaDiagnostic.ShellsEased eased = told(plan, AreaDiagnostic.ShellsEased.class);
        assertThat(eased.perRow()).isEqualTo(perRow);
        assertThat(told(plan, AreaDiagnostic.Shells.class).perRow()).isCloseTo(perRow, within(1e-9));
        for (StitchLine line : plan.lines()) {
            double low = line.path().box().bottom();
            double from = line.number() % 2 == 1 ? 0 : pitch / 2;
            line.path().curves().stream()
                    .map(c -> c.start())
                    .filter(p -> p.y() < low + 1e-6)
                    .forEach(valley -> {
                        double along = (valley.x() + width / 2 - from) / pitch;
                        assertThat(Math.abs(along - Math.rint(along)) * pitch).isLessThan(1e-5);
                    });
            // From seam to seam in one line.
            assertThat(line.path().box().width()).isCloseTo(width, within(1e-6));
        }
        // One hold over each valley: half a shell on either side.
        assertThat(plan.placements().stream().filter(p -> p.of().number() == 1)).hasSize((int) Math.floor(perRow) + 1);
    }

    /** More than an eighth would be seen (common practice, no source): such rows are cut off, and that is told. */
    @Test
    void whatWouldBeSeenIsNotEased() {
        AreaPlan plan = plan(8.4, 6, eased(), "thatch-large", 0.25);
        assertThat(told(plan, AreaDiagnostic.ShellsNotEased.class).by()).isCloseTo(-0.2, within(1e-9));
        assertThat(told(plan, AreaDiagnostic.Shells.class).perRow()).isCloseTo(2.8, within(1e-9));
    }

    /** Half a thousandth too little doesn't squeeze a row; about half a row does. */
    @ParameterizedTest
    @CsvSource({"8, 16, 0, false", "7.9994, 16, 0, false", "8.0006, 16, 0.0006, false", "8.3, 17, 0.3, true"})
    void aHairIsNoRow(double height, int rows, double over, boolean squeezed) {
        AreaDiagnostic.Shells shells =
                told(plan(8, height, new AreaMotif.Clamshells(0), "thatch-small", 0.25), AreaDiagnostic.Shells.class);
        assertThat(shells.rows()).isEqualTo(rows);
        assertThat(shells.over()).isCloseTo(over, within(1e-6));
        assertThat(shells.squeezed()).isEqualTo(squeezed);
    }

    /** Begun at the top it is the same turned by half a turn. */
    @Test
    void rowsHangFromTheTop() {
        AreaPlan standing = plan(8.4, 6.7, new AreaMotif.Clamshells(0.25), "thatch-middle", 0.25);
        AreaPlan hanging = plan(
                8.4,
                6.7,
                new AreaMotif.Clamshells(0.25, OptionalDouble.empty(), false, true, false),
                "thatch-middle",
                0.25);
        assertThat(hanging.lines()).hasSameSizeAs(standing.lines());
        Pose turned = new Pose(Point.ORIGIN, Math.PI);
        for (StitchLine line : standing.lines()) {
            Path other = line.path().posed(turned);
            assertThat(hanging.lines())
                    .anyMatch(l -> l.path().passes(other.start(), 1e-6)
                            && l.path().passes(other.end(), 1e-6)
                            && Math.abs(l.path().length() - other.length()) < 1e-6);
        }
        assertThat(hanging.placements())
                .extracting(Placement::registration)
                .filteredOn(Registration.OnRow.class::isInstance)
                .anyMatch(on -> ((Registration.OnRow) on).level() == Registration.OnRow.Level.UPPER_EDGE);
    }

    /** Wherever a row is laid on the one before, one of the plate's valleys lies over one of its crowns. */
    @ParameterizedTest
    @ValueSource(doubles = {0.2375, 0.25, 0.262})
    void valleysLieOverCrowns(double foot) {
        AreaPlan plan = plan(8, 6, new AreaMotif.Clamshells(0), "thatch-middle", foot);
        Template plate = StarterShelf.templates().stream()
                .filter(t -> t.id().equals("thatch-middle"))
                .findFirst()
                .orElseThrow();
        assertThat(plate.lines()).isNotEmpty();
        long laid = plan.placements().stream()
                .filter(p -> p.registration() instanceof Registration.OnRow on && on.overCrown())
                .peek(p -> {
                    Registration.OnRow on = (Registration.OnRow) p.registration();
                    StitchLine before = plan.lines().stream()
                            .filter(l -> l.id().equals(on.lineId().orElseThrow()))
                            .findFirst()
                            .orElseThrow();
                    double crowns = before.path().box().top();
                    assertThat(IntStream.rangeClosed(0, 5)
                                    .mapToObj(i -> new Point(p.pose().position().x() + (i - 2.5) * 1.5, crowns)))
                            .anyMatch(place -> before.path().passes(place, Tolerances.CHALK));
                })
                .count();
        assertThat(laid).isPositive();
    }

    /** A third of an inch is narrower than the foot: such shells are drawn, and stitched by hand, with nothing on the shelf. */
    @Test
    void smallShellsAreDrawnFromMarks() {
        AreaMotif.Clamshells small = new AreaMotif.Clamshells(0, OptionalDouble.of(1.0 / 3), false, false, true);
        AreaPlan plan = AreaChecks.layOut(
                new Area.Blocks(1, 1, 2, 1, 0),
                AreaDesign.of(small, Optional.empty()),
                List.of(),
                List.of(),
                new Machine(0.25));
        // Six to a row, six rows; lines across a sixth apart, and lines up.
        assertThat(plan.lines()).hasSize(6);
        assertThat(plan.placements()).hasSize(6).allMatch(p -> p.tool().isByHand());
        assertThat(plan.lines().get(0).path().curves()).hasSize(6).allSatisfy(c -> assertThat(((Arc) c).radius())
                .isCloseTo(1.0 / 6, within(1e-9)));
        assertThat(plan.pieces().get(0).cloth().drawn()).hasSize(7 + 11);
        assertThat(told(plan, AreaDiagnostic.ShellGrid.class).apart()).isCloseTo(1.0 / 6, within(1e-9));
        assertThat(plan.marks()).isEmpty();
        assertThatThrownBy(() -> new AreaMotif.Clamshells(0, OptionalDouble.empty(), false, false, true))
                .isInstanceOf(RefusedValue.class)
                .hasMessageContaining("need a width");
    }

    /** A row is one line, but a million shells nobody draws. */
    @Test
    void shellsThatAreTooManyToDrawAreRefused() {
        AreaMotif.Clamshells tiny = new AreaMotif.Clamshells(0, OptionalDouble.of(1.0 / 16), false, false, true);
        AreaPlan plan = plan(60, 60, tiny, null, 0.25);
        assertThat(plan.lines()).isEmpty();
        assertThat(AreaChecks.told(plan)).anyMatch(LayoutDiagnostic.TooFine.class::isInstance);
    }

    /** h = R - √(R² - W²/4) over each shell, valleys on crowns: along the edge of an arc, and in a hole. */
    @ParameterizedTest
    @CsvSource({
        "arc, 1.5, 2.5, 4.7, 0.670843802",
        "hole, 1.5, 2.5, 4.7, 0.670843802",
        "hole, 1.25, 2.5, 5, 1.25",
        "hole, 1, 2.01, 5, 1",
        "hole, 1, , 5, 1"
    })
    void whatNoPlateDoesIsStitchedShellByShell(String form, double radius, Double width, double height, double rise) {
        Template round = Template.of(
                "round",
                "Round",
                form.equals("arc")
                        ? ArcForm.bulging(radius, Math.PI, radius)
                        : new CircleForm(CircleForm.Cutting.HOLES, List.of(radius), 1),
                SizeLabel.RADIUS_AS_STITCHED,
                List.of());
        OptionalDouble wished = width == null ? OptionalDouble.empty() : OptionalDouble.of(width);
        AreaPlan plan = AreaChecks.layOut(
                new Area.Blocks(1, 1, 10, height, 0),
                AreaDesign.of(new AreaMotif.Clamshells(0, wished, false, false, false), Optional.empty()),
                List.of(),
                List.of(round),
                new Machine(0.25));
        assertThat(told(plan, AreaDiagnostic.Shells.class).rise()).isCloseTo(rise, within(1e-6));
        double pitch = Math.min(2 * radius, wished.orElse(2 * radius));
        assertThat(plan.lines()).hasSize((int) (height / rise + 0.01)).allSatisfy(line -> {
            double from = line.number() % 2 == 1 ? -5 : -5 - pitch / 2;
            double up = -height / 2 + (line.number() - 1) * rise;
            for (Curve curve : line.path().curves()) {
                Arc arc = (Arc) curve;
                assertThat(arc.radius()).isCloseTo(radius, within(1e-9));
                double middle = (arc.centre().x() - from) / pitch;
                assertThat(middle).isCloseTo(Math.floor(middle) + 0.5, within(1e-6));
                assertThat(arc.centre().y()).isCloseTo(up + rise - radius, within(1e-6));
            }
        });
        // Each by itself, about a mark or between two.
        assertThat(plan.placements())
                .hasSameSizeAs(plan.lines().stream()
                        .flatMap(line -> line.path().curves().stream())
                        .toList())
                .allMatch(p -> rise == radius
                        ? p.registration() instanceof Registration.CentreOnMark
                        : p.registration() instanceof Registration.FootOnBothMarks);
    }

    /** A half circle of its own is laid by a line across it: on the seam, and on lines drawn where the valleys stand. */
    @ParameterizedTest
    @CsvSource({"half-moon, 4, 0.25, false", "half-moon, 4, 0.262, true", "chapel-door, 6, 0.25, true"})
    void halfCirclesAreLaidByALineAcrossThem(String template, double width, double foot, boolean fromTop) {
        AreaMotif.Clamshells shells = new AreaMotif.Clamshells(0, OptionalDouble.of(width), false, fromTop, false);
        AreaPlan plan = AreaChecks.layOut(
                new Area.Blocks(1, 1, 12, 12, 0),
                AreaDesign.of(shells, Optional.of(template)),
                List.of(),
                StarterShelf.templates(),
                new Machine(foot));
        double radius = width / 2 + foot - 0.25;
        double rise = radius - Math.sqrt(radius * radius - width * width / 4);
        assertThat(told(plan, AreaDiagnostic.ShellsOneByOne.class).radius()).isCloseTo(radius, within(1e-9));
        assertThat(told(plan, AreaDiagnostic.Shells.class).rise()).isCloseTo(rise, within(1e-9));
        for (Placement placement : plan.placements()) {
            Registration.OnRow on = (Registration.OnRow) placement.registration();
            int row = placement.of().number();
            assertThat(on.line().map(EngravedLine::value))
                    .isEqualTo(foot == 0.25 ? Optional.of(width / 2) : Optional.empty());
            assertThat(on.level())
                    .isEqualTo(
                            row > 1
                                    ? Registration.OnRow.Level.DRAWN_LINE
                                    : fromTop
                                            ? Registration.OnRow.Level.UPPER_EDGE
                                            : Registration.OnRow.Level.LOWER_EDGE);
            assertThat(on.belowCrowns()).isCloseTo(rise - foot, within(1e-9));
        }
        assertThat(plan.pieces().get(0).cloth().drawn())
                .allSatisfy(line -> assertThat(line.box().height()).isLessThan(1e-9))
                .hasSize(
                        plan.lines().stream().mapToInt(StitchLine::number).max().orElseThrow() - 1);
    }

    /** Only blocks at the quilt's edge have a raw edge there: those of the row that rows of shells begin at. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theSeamAllowanceIsKeptFreeAtTheQuiltsEdgeAlone(boolean fromTop) {
        AreaMotif.Clamshells shells = new AreaMotif.Clamshells(0.25, OptionalDouble.empty(), false, fromTop, false);
        AreaPlan plan = AreaChecks.layOut(
                new Area.Blocks(2, 3, 6, 6, 0),
                AreaDesign.of(shells, Optional.of("thatch-middle")),
                List.of(),
                StarterShelf.templates(),
                new Machine(0.25));
        for (AreaPlan.Piece piece : plan.pieces()) {
            Box block = piece.cloth().outline().box();
            Box stitched = plan.lines().stream()
                    .filter(line -> line.id().piece().number() == piece.number())
                    .map(line -> line.path().box())
                    .reduce(Box::with)
                    .orElseThrow();
            double free = fromTop ? block.top() - stitched.top() : stitched.bottom() - block.bottom();
            boolean outer = piece.row() == (fromTop ? 0 : 2);
            assertThat(free).as("row %s", piece.row()).isCloseTo(outer ? 0.25 : 0, within(1e-9));
        }
        assertThat(AreaChecks.told(plan).stream()
                        .filter(AreaDiagnostic.Shells.class::isInstance)
                        .map(AreaDiagnostic.Shells.class::cast))
                .extracting(AreaDiagnostic.Shells::allowance)
                .containsExactlyInAnyOrder(0.0, 0.25);
    }

    @Test
    void aWidthThatNoPlateHasIsTold() {
        AreaMotif.Clamshells wide = new AreaMotif.Clamshells(0, OptionalDouble.of(2.5), false, false, false);
        AreaPlan plan = AreaChecks.layOut(
                new Area.Blocks(1, 1, 8, 8, 0),
                AreaDesign.of(wide, Optional.empty()),
                List.of(),
                StarterShelf.templates().stream()
                        .filter(t -> t.kind() == Kind.SCALLOP_ROW)
                        .toList(),
                new Machine(0.25));
        assertThat(plan.lines()).isEmpty();
        assertThat(AreaChecks.told(plan))
                .filteredOn(AreaDiagnostic.ShellsMissing.class::isInstance)
                .singleElement(InstanceOfAssertFactories.type(AreaDiagnostic.ShellsMissing.class))
                .satisfies(missing -> assertThat(missing.nearest()).isEqualTo(3));
        AreaMotif.Clamshells there = new AreaMotif.Clamshells(0, OptionalDouble.of(1.5), false, false, false);
        assertThat(plan(8, 8, there, null, 0.25).placements())
                .allMatch(p -> p.tool().templateId().equals("thatch-middle"));
    }
}
