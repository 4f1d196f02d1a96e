package jollyspindle.core.area;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SizeLabel;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.graph.Multigraph;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.algorithm.distance.DiscreteHausdorffDistance;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.util.AffineTransformation;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

import static jollyspindle.core.area.AreaChecks.JTS;
import static jollyspindle.core.area.AreaChecks.MACHINE;
import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.cloth;
import static jollyspindle.core.area.AreaChecks.flat;
import static jollyspindle.core.area.AreaChecks.layOut;
import static jollyspindle.core.area.AreaChecks.plan;
import static jollyspindle.core.area.AreaChecks.told;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** Motifs over a block. */
class BlockMotifsTest {

    // --- shells ------------------------------------------------------------------------------------------------

    /**
     * The trade's values for a 4 1/2 block: shells of 1 make 4 1/2 a row and 9 rows, 1 1/2 make 3 and 6, 3 make 1 1/2 and 3
     * (common practice, no source; half circles rise half their width).
     */
    @ParameterizedTest
    @CsvSource({"thatch-small, 4.5, 9", "thatch-middle, 3, 6", "thatch-large, 1.5, 3"})
    void shellsFillABlock(String template, double perRow, int rows) {
        AreaPlan plan = plan(block(4.5), new AreaMotif.Clamshells(0), template);
        AreaDiagnostic.Shells told = (AreaDiagnostic.Shells) told(plan).get(0);
        assertThat(told.perRow()).isCloseTo(perRow, within(1e-9));
        assertThat(told.rows()).isEqualTo(rows);
        assertThat(told.over()).isCloseTo(0, within(1e-6));
        assertThat(told.squeezed()).isFalse();
        assertThat(plan.lines()).hasSize(rows);
        for (int row = 0; row < rows; row++) {
            Path path = plan.lines().get(row).path();
            assertThat(path.box().bottom()).isCloseTo(-2.25 + row * told.rise(), within(1e-6));
            assertThat(path.box().top()).isCloseTo(-2.25 + (row + 1) * told.rise(), within(1e-6));
            assertThat(path.start().x()).isCloseTo(row % 2 == 0 ? -2.25 : 2.25, within(1e-6));
        }
        // 4 1/2 and 1 1/2 a row end in a half: each row ends on the crown where the next begins.
        if (perRow % 1 != 0) {
            double travel = plan.lines()
                    .get(0)
                    .path()
                    .end()
                    .distance(plan.lines().get(1).path().start());
            assertThat(travel).isLessThan(1e-6);
        }
    }

    /**
     * A larger foot flattens shells: of 1 wide with a foot of 9/32 the circle of radius 17/32 rises
     * 17/32 − (√((17/32)² − 1/4) − …) over the chord 1: R − √(R² − 1/4) with R = 0.53125 is 0.35178.
     */
    @Test
    void aLargerFootFlattensShells() {
        Machine machine = new Machine(0.28125);
        AreaPlan plan = layOut(
                block(4.5),
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of("thatch-small")),
                List.of(),
                StarterShelf.templates(),
                machine);
        AreaDiagnostic.Shells told = (AreaDiagnostic.Shells) told(plan).get(0);
        assertThat(told.rise()).isCloseTo(0.53125 - Math.sqrt(0.53125 * 0.53125 - 0.25), within(1e-6));
        assertThat(told.rise())
                .isCloseTo(
                        ((ScallopRow) StarterShelf.template("thatch-small").form()).stitchedRise(0.28125),
                        within(1e-6));
        assertThat(told.rows()).isEqualTo((int) Math.floor(4.5 / told.rise()) + (told.squeezed() ? 1 : 0));
    }

    @Test
    void aShorterRowIsSqueezedInWhereHalfOfOneIsLeft() {
        AreaPlan plan = plan(block(5.25), new AreaMotif.Clamshells(0), "thatch-large");
        AreaDiagnostic.Shells told = (AreaDiagnostic.Shells) told(plan).get(0);
        assertThat(told.over()).isCloseTo(0.75, within(1e-6));
        assertThat(told.squeezed()).isTrue();
        List<StitchLine> last =
                plan.lines().stream().filter(l -> l.number() == 4).toList();
        assertThat(last).isNotEmpty();
        assertThat(last.stream().mapToDouble(l -> l.path().box().top()).max().orElse(0))
                .isCloseTo(5.25 / 2, within(1e-6));
        // Nothing of it crosses the row below.
        for (StitchLine line : last) {
            Point middle = line.path().curves().get(0).at(0.5);
            plan.lines().stream().filter(l -> l.number() == 3).forEach(l -> assertThat(
                            flat(l.path()).crosses(flat(line.path())))
                    .isFalse());
            assertThat(middle.y()).isGreaterThan(5.25 / 2 - 1.5);
        }
    }

    @Test
    void shellsNoWiderThanTheFootAreRefused() {
        Template tiny =
                Template.of("tiny", "Tiny", new ScallopRow(5, 0.55, 1.5), SizeLabel.RADIUS_AS_STITCHED, List.of());
        AreaPlan plan = layOut(
                block(6),
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of("tiny")),
                List.of(),
                List.of(tiny),
                new Machine(0.3));
        assertThat(plan.lines()).isEmpty();
        assertThat(told(plan)).anyMatch(AreaDiagnostic.NoShells.class::isInstance);
    }

    // --- peel and hatch ----------------------------------------------------------------------------------------

    /** Grid 4, the classic circle through four grid points has diameter 4√2 = 5.657 (the trade's value). */
    @Test
    void petalsAreAsWideAsTheTemplateMakesThem() {
        AreaPlan plan = plan(block(12), new AreaMotif.Peel(3, 3), "orchard-hill");
        StitchLine inner =
                plan.lines().stream().filter(l -> l.sub() == 2).findFirst().orElseThrow();
        double rise = inner.path()
                .curves()
                .get(0)
                .at(0.5)
                .distance(inner.path().start().midpoint(inner.path().end()));
        assertThat(2 * rise).isCloseTo(2 * (4 - Math.sqrt(16 - 4)), within(1e-9));
        // 12 edges of the outline once, 12 inside twice.
        assertThat(plan.lines()).hasSize(12 + 2 * 12);
        assertThat(told(plan(block(18), new AreaMotif.Peel(3, 3), "orchard-hill")))
                .contains(new AreaDiagnostic.TooRound(4, 6 / Math.sqrt(2)));
    }

    /** Every junction is even, so that one thread closes; JGraphT counts. */
    @ParameterizedTest
    @CsvSource({"1, 1", "2, 3", "5, 4"})
    void junctionsOfThePeelAreEven(int across, int down) {
        AreaPlan plan =
                plan(new Area.Blocks(1, 1, 2 * across, 2 * down, 0), new AreaMotif.Peel(across, down), "orchard-hill");
        var graph = new Multigraph<String, Object>(Object.class);
        int edge = 0;
        for (StitchLine line : plan.lines()) {
            String from = at(line.path().start());
            String to = at(line.path().end());
            graph.addVertex(from);
            graph.addVertex(to);
            graph.addEdge(from, to, edge++);
        }
        assertThat(graph.vertexSet()).hasSize((across + 1) * (down + 1));
        assertThat(graph.vertexSet()).allMatch(v -> graph.degreeOf(v) % 2 == 0);
        assertThat(new ConnectivityInspector<>(graph).isConnected()).isTrue();
        // And one thread does it, from crossing to crossing and home again, without a travelled inch.
        assertThat(plan.starts()).isEqualTo(1);
        assertThat(plan.travelled()).isZero();
        assertThat(at(plan.lines().get(edge - 1).needleAt()))
                .isEqualTo(at(plan.lines().get(0).path().start()));
    }

    private static String at(Point p) {
        return Math.round(p.x() * 1e4) + "," + Math.round(p.y() * 1e4);
    }

    /** What is covered is what there is less what is cut off: JTS cuts the unclipped lines itself. */
    @ParameterizedTest
    @CsvSource({"45, 1", "60, 0.75", "90, 1.5"})
    void hatchingFillsTheBlockEvenly(double degrees, double spacing) {
        AreaPlan plan = plan(block(9), new AreaMotif.Crosshatch(spacing, Math.toRadians(degrees)), "furrow-long");
        double sin = Math.sin(Math.toRadians(degrees));
        double step = 9.0 / Math.round(9 / (spacing / sin));
        double expected = 0;
        double lean = 9 / Math.tan(Math.toRadians(degrees));
        Geometry cloth = cloth(block(9));
        for (int set = 0; set < 2; set++) {
            double over = set == 0 ? lean : -lean;
            for (int i = -40; i <= 40; i++) {
                LineString line = JTS.createLineString(new Coordinate[] {
                    new Coordinate(-4.5 + i * step, -4.5), new Coordinate(-4.5 + i * step + over, 4.5)
                });
                boolean edge = Math.abs(lean) < 1e-9 && (i == 0 || Math.abs(i * step - 9) < 1e-9);
                double kept = edge ? 0 : line.intersection(cloth).getLength();
                expected += kept >= PieceContext.SHORTEST ? kept : 0;
            }
        }
        assertThat(plan.lines().stream().mapToDouble(l -> l.path().length()).sum())
                .isCloseTo(expected, within(1e-6));
    }

    /** A quarter of 3 takes 11 lines at 1/4 and 5 at 1/2 (the trade's value). */
    @Test
    void quartersOfABlock() {
        AreaPlan plan = plan(block(6), new AreaMotif.Quarters(0.25, 0.5), "furrow-short");
        for (int quarter = 1; quarter <= 4; quarter++) {
            int set = quarter;
            List<StitchLine> lines =
                    plan.lines().stream().filter(l -> l.sub() == set).toList();
            assertThat(lines).hasSize(quarter % 2 == 1 ? 11 : 5);
            assertThat(lines).allMatch(l -> Math.abs(l.path().length() - 3) < 1e-9);
        }
        // Two marks a quarter: whatever else there is is laid beside the line before, but for the ninth of eleven.
        assertThat(plan.marks()).hasSize(12);
    }

    /** The trade's value: a measured rise of 7/16 instead of 1/2 makes 10 rows in 4 1/2, with 1/8 left. */
    @Test
    void rowsArePlannedFromTheRiseThatIsStitched() {
        // R − √(R² − 1/4) = 7/16 over the chord 1 for R = (1/4 + 49/256)/(7/8); the bumps' own radius is 1/4.
        double foot = (0.25 + 49.0 / 256) / 0.875 - 0.25;
        AreaPlan plan = layOut(
                block(4.5),
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of("thatch-small")),
                List.of(),
                StarterShelf.templates(),
                new Machine(foot));
        AreaDiagnostic.Shells told = (AreaDiagnostic.Shells) told(plan).get(0);
        assertThat(told.rise()).isCloseTo(0.4375, within(1e-6));
        assertThat(told.rows()).isEqualTo(10);
        assertThat(told.over()).isCloseTo(0.125, within(1e-6));
        assertThat(told.squeezed()).isFalse();
        assertThat(told.weight()).isEqualTo(Diagnostic.Weight.INFORMS);
    }

    /**
     * The first row lies with its crown line on the seam, or at the quilt's edge with its seam-allowance line on the raw edge;
     * the others with the crown line on the crowns before, the squeezed one with tape, since it lies deeper.
     */
    @ParameterizedTest
    @CsvSource({
        "5.25, 0, CROWN, 0.75",
        "5.5, 0.25, SEAM_ALLOWANCE, 0.75",
        "5.3, 0.3, '', 0.5",
        "4.75, 0.25, SEAM_ALLOWANCE, 0",
    })
    void rowsLieOnWhatIsThere(double height, double allowance, String first, double over) {
        Area area = new Area.Blocks(1, 1, 4.5, height, 0);
        AreaPlan plan = plan(area, new AreaMotif.Clamshells(allowance), "thatch-large");
        assertThat(((AreaDiagnostic.Shells) told(plan).get(0)).over()).isCloseTo(over, within(1e-6));
        for (Placement placement : plan.placements()) {
            Registration.OnRow on = (Registration.OnRow) placement.registration();
            int row = placement.of().number();
            String line = on.line().map(l -> l.kind().name()).orElse("");
            assertThat(line).as("row %d", row).isEqualTo(row == 1 ? first : row < 4 ? "CROWN" : "");
            assertThat(on.lineId().isPresent()).isEqualTo(row > 1);
        }
    }

    /** Kept clear of the seam, the tape is told from the seam; on a round medallion there is none to lie on. */
    @Test
    void theFirstRowLiesOnTheSeamWhereThereIsALevelOne() {
        Area clear = new Area.Blocks(1, 1, 9, 9, 0, 0.375);
        assertThat(first(plan(clear, new AreaMotif.Clamshells(0), "thatch-large")))
                .isInstanceOfSatisfying(Registration.OnRow.class, on -> {
                    assertThat(on.line()).isEmpty();
                    // The bumps are 1 1/4 of acrylic high over valleys that stand 3/8 above the seam.
                    assertThat(on.belowCrowns()).isCloseTo(1.25 + 0.375, within(1e-6));
                });
        assertThat(first(plan(
                        new Area.Medallion(Area.Shape.OCTAGON, 12, 0), new AreaMotif.Clamshells(0), "thatch-large")))
                .isInstanceOf(Registration.OnRow.class);
        assertThat(first(plan(new Area.Medallion(12), new AreaMotif.Clamshells(0), "thatch-large")))
                .isInstanceOfSatisfying(Registration.OnRow.class, on -> assertThat(on.level())
                        .isEqualTo(Registration.OnRow.Level.DRAWN_LINE));
    }

    private static Registration first(AreaPlan plan) {
        return plan.placements().get(0).registration();
    }

    /** Where the crowns before lie beyond the acrylic, in the foot's own gap, a line is drawn for the squeezed row along its valleys. */
    @Test
    void aSqueezedRowIsLaidByItsValleysWhereNothingOfTheTemplateLiesOnCrowns() {
        AreaPlan plan = plan(new Area.Blocks(1, 1, 4, 4.22, 0), new AreaMotif.Clamshells(0), "thatch-small");
        List<Placement> last =
                plan.placements().stream().filter(p -> p.of().number() == 9).toList();
        assertThat(last).isNotEmpty().allSatisfy(p -> {
            assertThat(p.registration()).isInstanceOfSatisfying(Registration.OnRow.class, on -> assertThat(on.level())
                    .isEqualTo(Registration.OnRow.Level.DRAWN_LINE));
            assertThat(p.start().shownBy()).isEqualTo(LineEnd.ShownBy.STITCHING);
            assertThat(p.end().shownBy()).isEqualTo(LineEnd.ShownBy.STITCHING);
        });
    }

    /** Whole shells to a row: every second turn climbs two rows' rise along the edge (the trade's value). */
    @Test
    void wholeShellsClimbTwoRows() {
        AreaPlan plan = plan(block(4.5), new AreaMotif.Clamshells(0), "thatch-middle");
        assertThat(plan.starts()).isEqualTo(1);
        assertThat(plan.travels()).hasSize(3);
        assertThat(plan.travels()).allMatch(t -> Math.abs(t.path().length() - 2 * 0.75) < 1e-6);
        assertThat(plan(block(4.5), new AreaMotif.Clamshells(0), "thatch-large").travels())
                .isEmpty();
    }

    // --- peel, circles, curved hatching ------------------------------------------------------------------------

    /** Inner petals lie on the same axes, their ends so far inside; each closes by itself. */
    @Test
    void aSmallerPeelLiesInside() {
        AreaPlan plan = plan(block(12), new AreaMotif.Peel(3, 3, OptionalDouble.of(0.75)), "orchard-hill");
        List<StitchLine> inner = plan.lines().stream()
                .filter(l -> l.kind() == Stitched.INNER_PETAL)
                .toList();
        assertThat(inner).hasSize(12).allMatch(l -> l.path().closed());
        for (StitchLine line : inner) {
            Box box = line.path().box();
            assertThat(Math.max(box.width(), box.height())).isCloseTo(4 - 1.5, within(1e-9));
            // 2(R − √(R² − c²/4)) of the chord 2 1/2.
            assertThat(Math.min(box.width(), box.height())).isCloseTo(2 * (4 - Math.sqrt(16 - 1.5625)), within(1e-9));
        }
        assertThat(told(plan(block(12), new AreaMotif.Peel(3, 3, OptionalDouble.of(3)), "orchard-hill")))
                .anyMatch(LayoutDiagnostic.TooFar.class::isInstance);
    }

    /** The classic circle through four grid points is s√2 across: 2 makes 2.828, 4 makes 5.657 (the trade's values). */
    @Test
    void overlappingCirclesTakeTheSizeNearestToTheClassic() {
        AreaPlan plan = plan(block(12), new AreaMotif.Circles(3, 3), null);
        double diameter = 2 * ((Arc) plan.lines().get(0).path().curves().get(0)).radius();
        assertThat(diameter).isCloseTo(4 * Math.sqrt(2), within(0.5));
        assertThat(4 * Math.sqrt(2)).isCloseTo(5.657, within(1e-3));
        double classic = StarterShelf.templates().stream()
                .flatMap(t -> new EdgeCatalog(List.of(t), MACHINE).circles(Optional.empty()).stream())
                .mapToDouble(StitchingEdge.Round::stitched)
                .map(r -> Math.abs(2 * r - 4 * Math.sqrt(2)))
                .min()
                .orElseThrow();
        assertThat(Math.abs(diameter - 4 * Math.sqrt(2))).isCloseTo(classic, within(1e-9));
        // One thread for all: along the circle before to where the next crosses it.
        assertThat(plan.starts()).isEqualTo(1);
        assertThat(told(plan(block(60), new AreaMotif.Circles(2, 2), null)))
                .anyMatch(AreaDiagnostic.CirclesApart.class::isInstance);
    }

    @Test
    void curvedHatchingIsOneArcMovedOn() {
        AreaPlan plan = plan(block(6), new AreaMotif.CurvedHatch(1), "orchard-hill");
        for (int set = 1; set <= 2; set++) {
            int one = set;
            List<StitchLine> lines = plan.lines().stream()
                    .filter(l -> l.sub() == one)
                    .sorted(Comparator.comparingInt(StitchLine::number))
                    .toList();
            List<Double> centres = lines.stream()
                    .map(l -> ((Arc) l.path().curves().get(0)).centre())
                    .map(c -> Math.rint((one == 1 ? c.x() : c.y()) * 1e6) / 1e6)
                    .distinct()
                    .toList();
            for (int i = 1; i < centres.size(); i++) {
                assertThat(centres.get(i) - centres.get(i - 1)).isCloseTo(1, within(2e-6));
            }
        }
        assertThat(plan.placements()).allMatch(p -> p.registration() instanceof Registration.FootOnBothMarks);
        assertThat(told(plan(block(9), new AreaMotif.CurvedHatch(1), "orchard-hill")))
                .contains(new LayoutDiagnostic.TooFar(9, 8));
    }

    // --- corner rays, whirl, straight-line fans ----------------------------------------------------------------

    /**
     * The trade's values: an arc of 3/4 about the corner, caps about 3/4 wide and 1/4 apart square to the ray, so 0.26 to
     * 0.35 along the edge; an odd number, 1/4 inside the far seams, and the outermost lines 1/4 inside the others.
     */
    @ParameterizedTest
    @CsvSource({"5.5, 5.5, 9, 4", "6.5, 6.5, 11, 5", "9, 9, 15, 7", "9, 6, 13, 5", "5, 8, 11, 6"})
    void cornerRaysHaveEvenCaps(double width, double height, int petals, int upright) {
        AreaPlan plan = plan(
                new Area.Blocks(1, 1, width, height, 0),
                new AreaMotif.CornerRays(AreaMotif.Corner.BOTTOM_LEFT, OptionalInt.empty(), 0.75, 0.25),
                "furrow-long");
        AreaDiagnostic.Caps told = (AreaDiagnostic.Caps) told(plan).get(0);
        assertThat(told.petals()).isEqualTo(petals);
        assertThat(told.upright()).isCloseTo(0.75, within(0.09));
        assertThat(told.level()).isCloseTo(0.75, within(0.09));
        assertThat(plan.lines()).as("without a break").hasSize(1);
        List<Curve> sides = plan.lines().get(0).path().curves();
        assertThat(sides).hasSize(3 * petals + 1);
        Point corner = new Point(-width / 2, -height / 2);
        double right = width / 2 - 0.25;
        double top = height / 2 - 0.25;
        int capsOnUpright = 0;
        List<Point> ends = new ArrayList<>();
        for (Curve s : sides) {
            boolean fromTip = s.start().distance(corner) < 0.76;
            boolean toTip = s.end().distance(corner) < 0.76;
            if (toTip) {
                assertThat(s.end().distance(corner)).isCloseTo(0.75, within(1e-9));
            }
            if (fromTip) {
                ends.add(s.end());
            } else if (toTip) {
                ends.add(s.start());
            } else {
                // A cap, on a line 1/4 inside a far seam.
                boolean onUpright = Math.abs(s.at(0.5).x() - right) < 1e-9;
                assertThat(onUpright || Math.abs(s.at(0.5).y() - top) < 1e-9).isTrue();
                capsOnUpright += onUpright && !s.end().isAt(new Point(right, top)) ? 1 : 0;
            }
        }
        assertThat(capsOnUpright).isEqualTo(upright);
        // Square to a ray, a cap or gap from angle a to b on a side at D is D(asinh tan b - asinh tan a): told so.
        for (int i = 0; i + 1 < ends.size(); i++) {
            Point one = ends.get(i).minus(corner);
            Point other = ends.get(i + 1).minus(corner);
            boolean onUpright = Math.abs(one.x() - other.x()) < 1e-9;
            if (!onUpright && Math.abs(one.y() - other.y()) > 1e-9) {
                continue;
            }
            double wide = onUpright
                    ? one.x() * (asinh(other.y() / one.x()) - asinh(one.y() / one.x()))
                    : one.y() * (asinh(one.x() / one.y()) - asinh(other.x() / one.y()));
            double cap = onUpright ? told.upright() : told.level();
            assertThat(wide).isCloseTo(i % 2 == 0 ? cap : cap / 3, within(1e-9));
            if (petals == 9 && i % 2 == 1) {
                assertThat(one.distance(other)).isBetween(0.23, 0.37);
            }
        }
        // The outermost lines, 1/4 from the seams beside them all along.
        for (Curve outer : List.of(sides.get(0), sides.get(sides.size() - 1))) {
            boolean level = outer == sides.get(0);
            for (Point p : List.of(outer.start(), outer.end())) {
                assertThat(level ? p.y() - corner.y() : p.x() - corner.x()).isCloseTo(0.25, within(1e-9));
            }
        }
        if (width == height) {
            // The same seen in the diagonal.
            Geometry all = flat(plan.lines().get(0).path());
            Geometry mirrored = new AffineTransformation(0, 1, 0, 1, 0, 0).transform(all);
            assertThat(DiscreteHausdorffDistance.distance(all, mirrored)).isLessThan(1e-6);
        }
    }

    private static double asinh(double x) {
        return Math.log(x + Math.sqrt(x * x + 1));
    }

    /** From corner to corner: the first and the last line run into it, so that the next block's ditch is there. */
    @Test
    void cornerRaysMayRunIntoTheCorner() {
        AreaPlan plan = plan(
                block(6.5),
                new AreaMotif.CornerRays(AreaMotif.Corner.TOP_RIGHT, OptionalInt.of(9), 0.75, 0.25, true),
                "furrow-long");
        Path line = plan.lines().get(0).path();
        assertThat(line.start().isAt(new Point(3.25, 3.25))).isTrue();
        assertThat(line.end().isAt(new Point(3.25, 3.25))).isTrue();
    }

    @Test
    void cornerRaysOfAnOblongStandOnItsFarCorner() {
        AreaPlan plan = plan(
                new Area.Blocks(1, 1, 9, 6, 0),
                new AreaMotif.CornerRays(AreaMotif.Corner.TOP_RIGHT, OptionalInt.of(7), 0.75, 0.5),
                "furrow-long");
        assertThat(plan.lines().get(0).path().distance(new Point(-4, -2.5))).isLessThan(1e-9);
        assertThatThrownBy(() -> new AreaMotif.CornerRays(AreaMotif.Corner.TOP_RIGHT, OptionalInt.of(8), 0.75, 0.25))
                .hasMessageContaining("odd");
        assertThat(told(plan(
                        block(1),
                        new AreaMotif.CornerRays(AreaMotif.Corner.TOP_LEFT, OptionalInt.empty(), 0.75, 0.25),
                        null)))
                .contains(new AreaDiagnostic.NoRoom());
    }

    /** From a place square to a straight line, however long that is. */
    private static double square(Path line, Point place) {
        return Math.abs(
                place.minus(line.start()).cross(line.end().minus(line.start()).unit()));
    }

    /** Sets of three, 1/2 apart at the far end, by a line of the ruler and not by marks; an odd number ends where the next set starts (the trade's values). */
    @Test
    void aWhirlGoesRoundTheBlock() {
        AreaPlan plan = plan(block(9), new AreaMotif.Whirl(3, 0.5, 8), "furrow-long");
        assertThat(plan.lines()).hasSize(24);
        for (int set = 0; set < 8; set++) {
            List<StitchLine> lines = plan.lines().subList(3 * set, 3 * set + 3);
            Point from = lines.get(0).path().start();
            assertThat(square(lines.get(1).path(), lines.get(0).path().end())).isCloseTo(0.5, within(1e-9));
            assertThat(square(lines.get(2).path(), lines.get(1).path().start())).isCloseTo(0.5, within(1e-9));
            assertThat(lines.get(1).path().end().distance(from)).isLessThan(1e-9);
            if (set < 7) {
                assertThat(plan.lines()
                                .get(3 * set + 3)
                                .path()
                                .start()
                                .distance(lines.get(2).path().end()))
                        .isLessThan(1e-9);
            }
        }
        assertThat(plan.marks()).isEmpty();
        assertThat(plan.placements()).allMatch(p -> p.registration() instanceof Registration.OverEnd);
        // The first from the upper left corner to 1/2 below the upper right one.
        assertThat(plan.lines().get(0).path().start().distance(new Point(-4.5, 4.5)))
                .isLessThan(1e-9);
        double below = 9 * Math.tan(Math.asin(0.5 / 9));
        assertThat(plan.lines().get(0).path().end().distance(new Point(4.5, 4.5 - below)))
                .isLessThan(1e-9);
        assertThat(plan.starts()).as("one thread, along the far sides").isEqualTo(1);
        AreaPlan small = plan(block(4), new AreaMotif.Whirl(3, 0.5, 50), "furrow-long");
        assertThat(told(small)).anyMatch(t -> t instanceof AreaDiagnostic.FewerSets f && f.room() < 50);
    }

    @Test
    void straightLineFansMakeWheels() {
        AreaPlan plan = plan(block(12), new AreaMotif.StraightFans(2, 2, 5, 1), "furrow-short");
        assertThat(plan.lines()).hasSize(20);
        // One thread: the block's own edge leads from line to line, and the small circle about the middle back.
        assertThat(plan.starts()).isEqualTo(1);
        // All four stand on the middle, which their lines stop 1 short of, 18 degrees apart.
        List<Double> angles = plan.lines().stream()
                .map(l -> l.path().curves().stream()
                        .max(Comparator.comparingDouble(Curve::length))
                        .orElseThrow()
                        .at(0.5)
                        .angle())
                .sorted()
                .toList();
        for (int i = 1; i < angles.size(); i++) {
            assertThat(angles.get(i) - angles.get(i - 1)).isCloseTo(Math.toRadians(18), within(1e-9));
        }
        double chord = Math.cos(Math.toRadians(9));
        assertThat(plan.lines()).allMatch(l -> {
            double nearest = l.path().distance(Point.ORIGIN);
            return nearest > chord - 1e-9 && nearest < 1 + 1e-9;
        });
    }

    /** Wheels that meet in the block are each one thread, stitched along the squares' sides; half ones at the edge, too. */
    @ParameterizedTest
    @CsvSource({"4, 4, 6, 4", "4, 2, 5, 2", "3, 3, 4, 4", "1, 1, 4, 1", "2, 1, 3, 1"})
    void wheelsAreOneThreadEach(int across, int down, int lines, int wheels) {
        AreaPlan plan = plan(
                new Area.Blocks(1, 1, 4 * across, 4 * down, 0),
                new AreaMotif.StraightFans(across, down, lines, 0.75),
                "furrow-long");
        assertThat(plan.lines()).hasSize(across * down * lines);
        assertThat(plan.starts()).isLessThanOrEqualTo(wheels);
    }

    /** Quarters that are patches have seams to travel in; others have their middle lines stitched first. */
    @Test
    void quartersAreFewThreads() {
        for (boolean pieced : new boolean[] {true, false}) {
            AreaPlan plan = plan(block(6), new AreaMotif.Quarters(0.25, 0.5, pieced), "furrow-short");
            assertThat(plan.lines()).hasSize(2 * (11 + 5) + (pieced ? 0 : 2));
            // Over stitching the needle goes along one line, not round the corner in the middle.
            assertThat(plan.starts()).as("pieced: " + pieced).isLessThanOrEqualTo(pieced ? 1 : 3);
        }
    }
}
