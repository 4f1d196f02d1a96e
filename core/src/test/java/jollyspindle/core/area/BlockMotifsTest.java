package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
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
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;

import java.util.List;
import java.util.Optional;

import static jollyspindle.core.area.AreaChecks.JTS;
import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.cloth;
import static jollyspindle.core.area.AreaChecks.flat;
import static jollyspindle.core.area.AreaChecks.layOut;
import static jollyspindle.core.area.AreaChecks.plan;
import static jollyspindle.core.area.AreaChecks.told;
import static org.assertj.core.api.Assertions.assertThat;
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
        AreaTold.Shells told = (AreaTold.Shells) told(plan).get(0);
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
        AreaTold.Shells told = (AreaTold.Shells) told(plan).get(0);
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
        AreaTold.Shells told = (AreaTold.Shells) told(plan).get(0);
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
        assertThat(told(plan)).anyMatch(AreaTold.NoShells.class::isInstance);
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
                .contains(new AreaTold.TooRound(4, 6 / Math.sqrt(2)));
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
                expected += kept >= AreaLaying.SHORTEST ? kept : 0;
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
        // Two marks a quarter: whatever else there is is laid beside the line before.
        assertThat(plan.marks()).hasSize(8);
    }
}
