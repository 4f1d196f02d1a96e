package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.CornerForm;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.TurnedArm;
import org.apache.commons.math3.analysis.integration.SimpsonIntegrator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

/** The numbers quilters know, from the templates that stitch them. */
class CheckValuesTest {

    private static final double F = 0.25;

    private static Template template(Form form, SizeLabel label, EngravedLine... lines) {
        return Template.of("t", "T", form, label, List.of(lines));
    }

    private static <T extends StitchFact> List<T> facts(Template template, double foot, Class<T> type) {
        return Stitching.of(template, foot).facts().stream()
                .filter(type::isInstance)
                .map(type::cast)
                .toList();
    }

    // --- needle, foot and edge ---------------------------------------------------------------------------------------

    // Stitched 1/2, 1 3/4 and 2 1/4 need holes of 1, 2 1/4 and 2 3/4 with the usual foot (common practice, no source;
    // by
    // d + 2f).
    @ParameterizedTest
    @CsvSource({"1, 0.5", "2.25, 1.75", "2.75, 2.25"})
    void holesStitchTheirWidthLessTheFoots(double hole, double stitched) {
        Template plate =
                template(new CircleForm(CircleForm.Cutting.HOLES, List.of(hole), 0.75), SizeLabel.DIAMETER_AS_CUT);
        assertThat(2 * facts(plate, F, StitchFact.Round.class).get(0).radius()).isCloseTo(stitched, within(1e-12));
        assertThat(Stitching.of(plate, F).lines().get(0).paths().get(0).length())
                .isCloseTo(Math.PI * stitched, within(1e-9));
    }

    // Marked 1/2 as stitched is cut 1/4 from the edge (common practice, no source): echoes 1/2 away.
    @Test
    void echoesStandTheLinePlusTheFootAway() {
        Template ruler = StarterShelf.template("furrow-long");
        assertThat(facts(ruler, F, StitchFact.Echo.class))
                .extracting(StitchFact.Echo::spacing)
                .containsExactly(0.25, 0.5, 0.75, 1.0, 1.25);
        Template counted = ruler.withLines(
                List.of(new EngravedLine(EngravedLine.Kind.PARALLEL, 0.5, LabelConvention.AS_STITCHED)));
        assertThat(facts(counted, F, StitchFact.Echo.class).get(1)).satisfies(e -> {
            assertThat(e.lineFromEdge()).isEqualTo(0.25);
            assertThat(e.spacing()).isEqualTo(0.5);
        });
    }

    // The walk from one line to the next, s/sin t: 1/2 at 60° → 0.577, at 45° → 0.707 (derived); s − f is seen.
    @ParameterizedTest
    @CsvSource({"60, 0.577", "45, 0.707", "90, 0.5"})
    void theWalkIsLongerThanTheSpacing(double degrees, double walk) {
        StitchFact.Echo half = facts(StarterShelf.template("furrow-long"), F, StitchFact.Echo.class)
                .get(1);
        assertThat(half.spacing()).isEqualTo(0.5);
        assertThat(half.seen()).isEqualTo(0.25);
        assertThat(half.walk(Math.toRadians(degrees))).isCloseTo(walk, within(5e-4));
    }

    // An inside apex moves by f/sin(half the angle): 90°, 60°, 120° for f = 1/4 (derived; rounded to four places).
    @ParameterizedTest
    @CsvSource({"90, 0.3536", "60, 0.5000", "120, 0.2887"})
    void aNotchStitchesASharpPoint(double degrees, double moved) {
        Template corner = template(new CornerForm(Math.toRadians(degrees), 5, 1.5), SizeLabel.RADIUS_AS_CUT);
        assertThat(facts(corner, F, StitchFact.SharpPoint.class).get(0).moved()).isCloseTo(moved, within(5e-5));
        // So does the exact offset of the notch: two lines that meet below its point.
        Stitching.Line notch = Stitching.of(corner, F).line("notch").orElseThrow();
        assertThat(notch.paths()).hasSize(1);
        Point apex = notch.paths().get(0).curves().get(0).end();
        Point cut = notch.guide().edge().curves().get(0).end();
        assertThat(apex.distance(cut)).isCloseTo(moved, within(5e-5));
        assertThat(notch.paths().get(0).curves()).hasSize(2);
        // Round the outside corner goes a piece of a circle of the foot's radius.
        assertThat(Stitching.of(corner, F)
                        .line("corner")
                        .orElseThrow()
                        .paths()
                        .get(0)
                        .curves()
                        .get(1))
                .isInstanceOfSatisfying(Arc.class, round -> {
                    assertThat(round.radius()).isCloseTo(F, within(1e-12));
                    assertThat(Math.toDegrees(Math.abs(round.sweep()))).isCloseTo(180 - degrees, within(1e-9));
                });
    }

    // A slot wider than the foot by G lets the diameter drift by 2G (derived).
    @Test
    void slotsHavePlay() {
        Template rings =
                template(new SlottedCircles(List.of(3.0, 4.0), 0.53, Math.toRadians(340)), SizeLabel.DIAMETER_AS_CUT);
        StitchFact.Play play = facts(rings, F, StitchFact.Play.class).get(0);
        assertThat(play.play()).isCloseTo(0.03, within(1e-12));
        List<StitchFact.Round> walls = facts(rings, F, StitchFact.Round.class);
        assertThat(2 * (walls.get(0).radius() - walls.get(1).radius())).isCloseTo(play.drift(), within(1e-12));
    }

    // --- arcs --------------------------------------------------------------------------------------------------------

    // Nested arcs by lowering: R = 4 with rises 3, 2, 1 has feet 0.409 and 0.818 apart; R = 3: 0.172 and 0.592
    // (derived).
    @ParameterizedTest
    @CsvSource({"4, 7.746, 6.928, 5.292, 0.409, 0.818", "3, 6.000, 5.657, 4.472, 0.172, 0.592"})
    void loweredArcsPinchAtTheirFeet(double radius, double c3, double c2, double c1, double first, double second) {
        Template arc = template(
                ArcForm.bulging(radius, Math.PI, radius),
                SizeLabel.RADIUS_AS_STITCHED,
                EngravedLine.rise(1),
                EngravedLine.rise(2),
                EngravedLine.rise(3));
        assertThat(facts(arc, F, StitchFact.SpanAndRise.class).stream()
                        .mapToDouble(StitchFact.SpanAndRise::span)
                        .sorted())
                .zipSatisfy(DoubleStream.of(c1, c2, c3).boxed().toList(), (span, expected) -> assertThat(span)
                        .isCloseTo(expected, within(5e-4)));
        List<StitchFact.Lowered> lowered = facts(arc, F, StitchFact.Lowered.class);
        assertThat(lowered.get(0).footGap()).isCloseTo(first, within(6e-4));
        assertThat(lowered.get(1).footGap()).isCloseTo(second, within(6e-4));
        assertThat(lowered.get(1).crownGap()).isCloseTo(1, within(1e-9));
    }

    // Each side stitches half circles with the usual foot, the far one upside down; both facts are told.
    @Test
    void aPlateHasBumpsOfTwoSizes() {
        Template plate = template(new ScallopRow(3, 2, 3, OptionalDouble.of(1.5)), SizeLabel.RADIUS_AS_STITCHED);
        assertThat(facts(plate, F, StitchFact.Shells.class))
                .extracting(StitchFact.Shells::bumps, StitchFact.Shells::width, StitchFact.Shells::rise)
                .containsExactly(tuple(3, 2.0, 1.0), tuple(4, 1.5, 0.75));
        Cut cut = plate.cut();
        assertThat(cut.guides()).hasSize(2).allSatisfy(guide -> {
            Box line = guide.stitched(F).get(0).box();
            boolean far = guide.id().equals(ScallopRow.FAR_EDGE);
            // From the foot on the gap's floor to the crown.
            assertThat(line.height()).isCloseTo(far ? 0.75 : 1, within(1e-9));
            assertThat(far ? -line.bottom() : line.top()).isCloseTo(far ? 2.25 + 0.25 : 1, within(1e-9));
        });
        // Crown to crown as deep as it says.
        assertThat(cut.pieces().get(0).outlines().get(0).box().height()).isCloseTo(3, within(1e-9));
    }

    // Shells of 1 1/2 rise 3/4: four rows in a strip of 3, and sixteen in one of 12; those of 1 on the far side six and
    // 24.
    @Test
    void shellsGoAlongStrips() {
        Template plate = template(new ScallopRow(4, 1.5, 3, OptionalDouble.of(1)), SizeLabel.RADIUS_AS_STITCHED);
        for (double width : new double[] {3, 12}) {
            assertThat(new TemplateFinder(List.of(plate), new Machine(F))
                            .find(new Find.Wanted.Strip(width))
                            .matches())
                    .extracting(match -> match.changes().get(0))
                    .containsExactlyInAnyOrder(
                            new Find.Change.ShellsAcross((int) (width / 0.75), 0.75, 0, false),
                            new Find.Change.ShellsAcross((int) (width / 0.5), 0.5, 0, false));
        }
    }

    // Flanks of 45° made for a foot of 1/4 are lifted by √2·(f - 1/4) by another, and the tip that it rounds by f -
    // 1/4: with
    // 0.26 a zigzag of 2 is 1 - 0.25·√2 + 0.26 - √2·0.01 = 0.8923 high. A narrower foot gets down as far as it goes up
    // less, on
    // the notch's rounding (derived).
    @ParameterizedTest
    @CsvSource({"0.25, 0.89645", "0.26, 0.89230", "0.262, 0.89148", "0.3, 0.87574", "0.245, 0.89645", "0.2375, 0.89645"
    })
    void chevronsAreAsHighAsFromNotchToTip(double foot, double height) {
        for (int tips : new int[] {1, 2, 3, 4}) {
            Template chevrons = template(new ChevronStrip(2, Math.PI / 2, tips, 1.25), SizeLabel.RADIUS_AS_STITCHED);
            StitchFact.Module module =
                    facts(chevrons, foot, StitchFact.Module.class).get(0);
            // Of a single one no notch is seen, where a narrow foot would go a hair lower.
            assertThat(module.height()).isCloseTo(height, within(tips == 1 && foot < 0.25 ? 6e-3 : 1e-5));
        }
    }

    /** Arcs of a stitched radius standing on a seam at y = 0. */
    private static Arc standing(double radius, double rise, double middle, double seam, boolean up) {
        CircularSegment s = CircularSegment.ofRadiusAndHeight(radius, rise);
        double sign = up ? 1 : -1;
        Point centre = new Point(middle, seam + sign * (rise - radius));
        return new Arc(centre, radius, sign * (Math.PI / 2 + s.sweep() / 2), -sign * s.sweep());
    }

    private static List<Point> crossings(Curve a, Curve b) {
        return Crossings.of(a, b).stream()
                .map(c -> a.at(c.onFirst()))
                .sorted(Comparator.comparingDouble(Point::x))
                .toList();
    }

    // Two half arcs from both ends of a leftover space meet at √(R² − (H − c/2)²) − (R − h) (derived); R = 4, h = 3: H
    // =
    // 3.5, 3, 2 are pointed, H = 5 is a dip. Here the two arcs themselves are cut with each other.
    @ParameterizedTest
    @CsvSource({"3.5, 2.983", "3, 2.904", "2, 2.534", "5, 2.838"})
    void halfArcsMeetAtTheRightHeight(double half, double height) {
        double c = CircularSegment.ofRadiusAndHeight(4, 3).chord();
        Arc left = standing(4, 3, -half + c / 2, 0, true);
        Arc right = standing(4, 3, half - c / 2, 0, true);
        assertThat(crossings(left, right)).singleElement().satisfies(p -> assertThat(p.y())
                .isCloseTo(height, within(6e-4)));
    }

    // Two 4-wide half circles in a 3 strip overlap in a lens 2.646 wide, in a 4 strip they just touch; offset by half a
    // repeat they cross at 1.732, and a 2-wide half circle fits under the crossing exactly tangent (derived).
    @Test
    void halfCirclesFromBothEdgesOverlapTouchAndCross() {
        Arc low = standing(2, 2, 0, 0, true);
        List<Point> lens = crossings(low, standing(2, 2, 0, 3, false));
        assertThat(lens).hasSize(2);
        assertThat(lens.get(0).distance(lens.get(1))).isCloseTo(2.646, within(5e-4));
        assertThat(crossings(low, standing(2, 2, 0, 4, false)))
                .singleElement()
                .satisfies(p -> assertThat(p.distance(new Point(0, 2))).isLessThan(1e-6));
        List<Point> crossing = crossings(low, standing(2, 2, 2, 0, true));
        assertThat(crossing).singleElement().satisfies(p -> assertThat(p.y()).isCloseTo(1.732, within(5e-4)));
        // Touching from inside: its top lies on neither, its sides reach both where they stand.
        Arc small = standing(1, 1, 1, 0, true);
        assertThat(crossings(small, low)).singleElement().satisfies(p -> assertThat(p.x())
                .isCloseTo(2, within(1e-6)));
    }

    @Test
    void archesGoOnAsStraightLegs() {
        Template door = StarterShelf.template("chapel-door");
        // Legs of 1 1/2 below a half circle of 3: rises up to 4 1/2 over a span that stays 6.
        assertThat(facts(door, F, StitchFact.Arch.class).get(0)).isEqualTo(new StitchFact.Arch(6, 4.5));
        StitchFact.SpanAndRise four = facts(door, F, StitchFact.SpanAndRise.class).stream()
                .filter(s -> s.line().value() == 4)
                .findFirst()
                .orElseThrow();
        assertThat(four.span()).isEqualTo(6);
        assertThat(four.sweep()).isEqualTo(Math.PI);
        assertThat(Stitching.of(door, F).lines().get(0).paths().get(0).length())
                .isCloseTo(Math.PI * 3 + 2 * 1.5, within(1e-9));
    }

    @Test
    void edgesTwoFeetApartStitchTheSameCurve() {
        assertThat(facts(StarterShelf.template("twin-gable"), F, StitchFact.SameCurve.class))
                .containsExactly(new StitchFact.SameCurve(3));
        assertThat(facts(StarterShelf.template("twin-gable"), 0.24, StitchFact.SameCurve.class))
                .as("another foot parts them by twice the difference")
                .isEmpty();
        assertThat(facts(StarterShelf.template("rain-barrel"), F, StitchFact.SameCurve.class))
                .isEmpty();
    }

    // --- fans --------------------------------------------------------------------------------------------------------

    // R = 7.5, pitch 7.5: acos(−r/2R) for r = 1.5 … 7.5 (derived).
    @ParameterizedTest
    @CsvSource({"1.5, 95.7", "3, 101.5", "4.5, 107.5", "6, 113.6", "7.5, 120.0"})
    void arcsOfAFanSweepToTheBackOfTheOneBefore(double r, double degrees) {
        assertThat(Math.toDegrees(TemplateFinder.fanSweep(r, 7.5, 7.5))).isCloseTo(degrees, within(0.05));
        // Where the two circles really cross.
        Arc arc = new Arc(new Point(7.5, 0), r, 0, Math.PI);
        Arc back = new Arc(Point.ORIGIN, 7.5, 0, Math.PI);
        Point tap = crossings(arc, back).get(0);
        assertThat(Math.toDegrees(tap.minus(new Point(7.5, 0)).angle())).isCloseTo(degrees, within(0.05));
    }

    @Test
    void aFanSaysItsSweepsItsSwivelsAndItsSecondRow() {
        StitchFact.FanSet set = facts(StarterShelf.template("barley-fan"), F, StitchFact.FanSet.class)
                .get(0);
        assertThat(set.pitch()).isCloseTo(7.5, within(1e-12));
        assertThat(Math.toDegrees(set.leastSweep())).isCloseTo(95.7, within(0.05));
        assertThat(Math.toDegrees(set.mostSweep())).isCloseTo(120, within(1e-9));
        assertThat(set.swivels()).as("slots of 120° just reach").isZero();
        // 0.866 R (derived).
        assertThat(set.secondRow()).isCloseTo(0.866 * 7.5, within(5e-4));
        assertThat(facts(StarterShelf.template("even-fan"), F, StitchFact.FanSet.class)
                        .get(0)
                        .swivels())
                .as("a slot of 90° can't reach")
                .isEqualTo(1);
    }

    // A 1 1/2 fan in an 8 border: 1.5 … 7.5, 1/2 left. Even radii to 10 suit a 10 border; odd radii to 9 leave 1. In a
    // 6
    // border the fourth arc touches the edge exactly, so three once a reserve is kept (derived).
    @ParameterizedTest
    @CsvSource({
        "barley-fan, 8, 0, 5, 0.5",
        "barley-fan, 8, 0.5, 5, 0",
        "even-fan, 10, 0, 5, 0",
        "odd-fan, 10, 0, 5, 1",
        "barley-fan, 6, 0, 4, 0",
        "barley-fan, 6, 0.5, 3, 1",
    })
    void arcsThatFit(String id, double depth, double reserve, int arcs, double left) {
        Find find = new TemplateFinder(List.of(StarterShelf.template(id)), Machine.usual())
                .find(new Find.Wanted.Fan(depth, reserve));
        assertThat(find.matches().get(0).changes().get(0)).isInstanceOfSatisfying(Find.Change.FanArcs.class, fan -> {
            assertThat(fan.count()).isEqualTo(arcs);
            assertThat(fan.left()).isCloseTo(left, within(1e-9));
        });
    }

    @Test
    void evenAndOddRadiiTogetherGiveASpacingOfOne() {
        List<Double> radii = Stream.of("even-fan", "odd-fan")
                .flatMap(id -> facts(StarterShelf.template(id), F, StitchFact.Round.class).stream())
                .filter(r -> r.guide().role() == Guide.Role.OUTER_WALL)
                .map(r -> Math.round(r.radius() * 1e9) / 1e9)
                .sorted()
                .toList();
        assertThat(radii).containsExactly(1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0);
    }

    // --- clamshells --------------------------------------------------------------------------------------------------

    // In a 4 1/2 block: 1 gives 4 1/2 a row and 9 rows, 1 1/2 gives 3 and 6, 3 gives 1 1/2 and 3 (common practice, no
    // source).
    @ParameterizedTest
    @CsvSource({"1, 4.5, 9", "1.5, 3, 6", "3, 1.5, 3"})
    void shellsInABlock(double width, double perRow, int rows) {
        Template row = template(new ScallopRow(5, width, width + 1), SizeLabel.RADIUS_AS_CUT);
        Find find = new TemplateFinder(List.of(row), Machine.usual()).find(new Find.Wanted.Block(4.5));
        assertThat(find.matches().get(0).changes().get(0)).isInstanceOfSatisfying(Find.Change.ShellRows.class, s -> {
            assertThat(s.perRow()).isEqualTo(perRow);
            assertThat(s.rows()).isEqualTo(rows);
            assertThat(s.left()).isCloseTo(0, within(1e-9));
        });
        // True half circles rise half the width.
        assertThat(facts(row, F, StitchFact.Shells.class).get(0).rise()).isCloseTo(width / 2, within(1e-12));
    }

    // 7/16 instead of 1/2 makes 10 rows with 1/8 left (common practice, no source).
    @Test
    void rowsArePlannedFromTheMeasuredRise() {
        Template row = StarterShelf.template("thatch-small")
                .withCheck(Optional.of(new ClothCheck(LocalDate.of(2026, 3, 14), F, 0.4375)));
        Find.Match match = new TemplateFinder(List.of(row), Machine.usual())
                .find(new Find.Wanted.Block(4.5))
                .matches()
                .get(0);
        assertThat(match.changes()).containsExactly(new Find.Change.ShellRows(4.5, 10, 0.4375, 0.125, false));
        assertThat(new TemplateFinder(List.of(row), new Machine(0.26))
                        .find(new Find.Wanted.Block(4.5))
                        .matches()
                        .get(0)
                        .changes()
                        .get(0))
                .as("with another foot the measurement doesn't count")
                .isInstanceOfSatisfying(
                        Find.Change.ShellRows.class, s -> assertThat(s.rise()).isNotCloseTo(0.4375, within(0.01)));
    }

    @ParameterizedTest
    @CsvSource({"0.25", "0.2545", "0.26", "0.3", "0.24"})
    void aSlightlyLargerFootFlattensAShell(double foot) {
        ScallopRow row = new ScallopRow(5, 1, 2);
        double rise = row.stitchedRise(foot);
        // The needle's exact way says the same: the height between its lowest and highest place over the middle shells.
        Curve bump =
                Stitching.of(template(row, SizeLabel.RADIUS_AS_CUT), foot)
                        .lines()
                        .get(0)
                        .paths()
                        .get(0)
                        .curves()
                        .stream()
                        .filter(c -> c instanceof Arc arc
                                && Math.abs(arc.centre().x()) < 1e-9
                                && arc.centre().y() > -0.1)
                        .findFirst()
                        .orElseThrow();
        double crown = bump.box().top();
        double valley = foot > F ? bump.box().bottom() : -(F - foot);
        assertThat(crown - valley).isCloseTo(rise, within(1e-9));
    }

    // --- circles -----------------------------------------------------------------------------------------------------

    // At 14 stitches an inch a 1/2 circle takes 22 stitches, 33 for one and a half turns (common practice, no source).
    // The classic orange peel: a circle of s√2 through four grid points, 2 → 2.828, 4 → 5.657 (derived).
    @Test
    void circlesSayTheirStitchesAndTheirGrid() {
        Template plate = template(
                new CircleForm(CircleForm.Cutting.HOLES, List.of(1.0, 3.3284271, 6.1568542), 0.75),
                SizeLabel.DIAMETER_AS_CUT);
        List<StitchFact.CircleUse> uses = facts(plate, F, StitchFact.CircleUse.class);
        assertThat(uses.get(0).stitches()).isEqualTo(22);
        assertThat(uses.get(0).onceAndAHalf()).isEqualTo(33);
        assertThat(uses.get(1).grid()).isCloseTo(2, within(1e-6));
        assertThat(uses.get(2).grid()).isCloseTo(4, within(1e-6));
    }

    /** Discs out of each other, a diameter of 1 more each. */
    private static Template nest(double first, double last) {
        return template(
                new CircleForm(
                        CircleForm.Cutting.NEST,
                        DoubleStream.iterate(first, d -> d <= last, d -> d + 1)
                                .boxed()
                                .toList(),
                        0.75),
                SizeLabel.DIAMETER_AS_CUT);
    }

    // Diameters 2, 3 … have ring gaps of 1/2; the set between interleaves to 1/4 (derived).
    @Test
    void ringSetsInterleave() {
        Template whole = nest(2, 12);
        Template between = nest(2.5, 11.5);
        assertThat(facts(whole, F, StitchFact.RingGap.class).get(0).gap()).isCloseTo(0.5, within(1e-12));
        List<Double> radii = Stream.of(whole, between)
                .flatMap(t -> facts(t, F, StitchFact.Round.class).stream())
                .filter(r -> r.guide().role() == Guide.Role.DISC)
                .map(StitchFact.Round::radius)
                .sorted()
                .toList();
        for (int i = 1; i < radii.size(); i++) {
            assertThat(radii.get(i) - radii.get(i - 1)).isCloseTo(0.25, within(1e-9));
        }
    }

    // --- turned arms -------------------------------------------------------------------------------------------------

    // Sides of regular polygons of circumradius 1, 2·sin(180°/n): from tables of regular polygons, from memory.
    @ParameterizedTest
    @CsvSource({
        "3, 1.73205",
        "4, 1.41421",
        "5, 1.17557",
        "6, 1.00000",
        "8, 0.76537",
        "10, 0.61803",
        "12, 0.51764",
        "16, 0.39018"
    })
    void armTipsStandLikeARegularPolygon(int arms, double side) {
        Point first = Point.direction(0).times(6);
        Point next = Point.direction(2 * Math.PI / arms).times(6);
        assertThat(first.distance(next)).isCloseTo(6 * side, within(6e-5));
        if (arms == 8) {
            // At 6, eight arms stand 4.592 apart, 4.712 along the arc (derived).
            StitchFact.ArmSteps steps =
                    facts(arm(6), F, StitchFact.ArmSteps.class).get(0);
            assertThat(steps.tipGap()).isCloseTo(first.distance(next), within(1e-3));
            assertThat(steps.tipGap()).isCloseTo(4.592, within(1e-3));
            assertThat(steps.tipArc()).isCloseTo(4.712, within(1e-3));
        }
    }

    private static Template arm(double reach) {
        return template(new TurnedArm(new TurnedArm.Wave(0.75, 1), reach, 0.25, 1.25), SizeLabel.RADIUS_AS_STITCHED);
    }

    // Reach 6 covers an 8 block (5.657) but not a 9 block's corners (6.364) (derived).
    @Test
    void anArmReachesTheBlocksCornersOrNot() {
        TemplateFinder finder = new TemplateFinder(List.of(arm(6)), Machine.usual());
        assertThat(finder.find(new Find.Wanted.Block(8))
                        .matches()
                        .get(0)
                        .changes()
                        .get(0))
                .isInstanceOfSatisfying(Find.Change.ReachBeyond.class, r -> assertThat(r.inches())
                        .isCloseTo(6 - 5.657, within(1.5e-3)));
        Find nine = finder.find(new Find.Wanted.Block(9));
        assertThat(nine.matches()).isEmpty();
        assertThat(nine.missing().orElseThrow())
                .isInstanceOfSatisfying(
                        Find.Missing.ForBlock.class, m -> assertThat(m.reach()).isCloseTo(6.364, within(5e-4)));
    }

    /** Archimedes' spiral: its length by formula, by numerical quadrature (Commons Math), and of what is cut. */
    @ParameterizedTest
    @CsvSource({"30, 4", "120, 6", "270, 5", "720, 8"})
    void spiralsAreAsLongAsTheirFormulaSays(double degrees, double reach) {
        TurnedArm.Spiral spiral = new TurnedArm.Spiral(Math.toRadians(degrees));
        double turn = Math.toRadians(degrees);
        double byQuadrature = new SimpsonIntegrator(1e-10, 1e-10, 3, 30)
                .integrate(1_000_000, phi -> reach / turn * Math.sqrt(1 + phi * phi), 0, turn);
        assertThat(spiral.length(reach)).isCloseTo(byQuadrature, within(1e-7));
        assertThat(spiral.curve(reach).length()).isCloseTo(byQuadrature, within(1e-3));
        Point tip = spiral.curve(reach).end();
        assertThat(tip.distance(new Point(reach, 0))).isLessThan(1e-9);
    }

    /** A wave's length by quadrature of √(1 + y′²), too, and a half petal's by the segment's formula. */
    @Test
    void wavesAndPetalsAreAsLongAsTheyShould() {
        double k = 2 * Math.PI / 6;
        double byQuadrature = new SimpsonIntegrator(1e-10, 1e-10, 3, 30)
                .integrate(1_000_000, x -> Math.hypot(1, 0.75 * k * Math.cos(k * x)), 0, 6);
        assertThat(new TurnedArm.Wave(0.75, 1).curve(6).length()).isCloseTo(byQuadrature, within(1e-3));
        assertThat(new TurnedArm.Petal(1).curve(4.5).length())
                .isCloseTo(CircularSegment.ofChordAndHeight(4.5, 1).arcLength(), within(1e-9));
    }
}
