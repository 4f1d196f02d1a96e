package jollyspindle.core.area;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.StarterShelf;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

import static jollyspindle.core.area.AreaChecks.ID;
import static jollyspindle.core.area.AreaChecks.MACHINE;
import static jollyspindle.core.area.AreaChecks.around;
import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.plan;
import static jollyspindle.core.area.AreaChecks.told;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** What is told of what is stitched in an area: open cloth, thread that piles up, parts that are cut off, likeness. */
class AreaFindingsTest {

    private static final AreaRules BATTING = new AreaRules(OptionalDouble.of(1), 8, false);

    private static AreaPlan judged(Area area, List<AreaMotif> motifs, List<Path> inTheWay, List<Double> echoes) {
        return AreaDesigner.layOut(
                ID,
                area,
                AreaDesign.of(motifs.stream()
                        .map(m -> new AreaDesign.Layer(m, Optional.empty()))
                        .toList()),
                new AreaSurroundings(AreaSurroundings.none().body(), inTheWay, echoes),
                BATTING,
                new EdgeCatalog(StarterShelf.templates(), MACHINE),
                TapeScale.SIXTEENTHS);
    }

    private static <T extends Diagnostic> Optional<T> find(AreaPlan plan, Class<T> kind) {
        return told(plan).stream().filter(kind::isInstance).map(kind::cast).findFirst();
    }

    /** In squares of side s the largest circle is s across; in the corner of a ring's square it is known, too. */
    @ParameterizedTest
    @CsvSource({"12, 2, 2", "12, 3, 3", "10, 2.5, 2.5"})
    void theLargestCircleBetweenSquareLinesIsAsWideAsTheSquare(double side, double spacing, double diameter) {
        AreaPlan plan =
                judged(block(side), List.of(new AreaMotif.Crosshatch(spacing, Math.PI / 2)), List.of(), List.of());
        AreaDiagnostic.Unstitched open =
                find(plan, AreaDiagnostic.Unstitched.class).orElseThrow();
        assertThat(open.diameter()).isCloseTo(diameter, within(3e-3));
        assertThat(open.most()).isEqualTo(1);
        // Its centre is as far from all lines: half a spacing from the nearest of each set.
        double off = Math.abs(Math.IEEEremainder(open.centre().x() + side / 2 - spacing / 2, spacing));
        assertThat(off).isLessThan(3e-3);
    }

    /** One ring of radius r in a square of side S leaves a circle in each corner of radius (S/√2 − r)/(1 + √2). */
    @Test
    void theLargestCircleBesideARingIsInTheCorner() {
        AreaPlan plan =
                judged(block(10), List.of(new AreaMotif.Rings(4, 1, 1, AreaMotif.Spokes.NONE)), List.of(), List.of());
        AreaDiagnostic.Unstitched open =
                find(plan, AreaDiagnostic.Unstitched.class).orElseThrow();
        double r = plan.lines().get(0).path().start().distance(Point.ORIGIN);
        double corner = (10 / Math.sqrt(2) - r) / (1 + Math.sqrt(2));
        // The ring's own inside is r; whichever is larger is told.
        assertThat(open.diameter()).isCloseTo(2 * Math.max(corner, r), within(3e-3));
    }

    /** A block that is left plain beside others has its largest circle told, too; without any others nothing is decided yet. */
    @Test
    void plainBlocksAreJudgedBesideOthers() {
        Area blocks = new Area.Blocks(2, 1, 6, 6, 1);
        AreaDesign rings = AreaDesign.of(new AreaMotif.Crosshatch(0.75, Math.PI / 2), Optional.empty());
        AreaPlan plan = AreaDesigner.layOut(
                ID,
                blocks,
                rings.withLetters(List.of("A-")),
                AreaSurroundings.none(),
                BATTING,
                new EdgeCatalog(StarterShelf.templates(), MACHINE),
                TapeScale.SIXTEENTHS);
        assertThat(plan.diagnosed()).singleElement().satisfies(told -> {
            assertThat(told.letter()).isEqualTo(AreaDesign.PLAIN);
            AreaDiagnostic.Unstitched open = (AreaDiagnostic.Unstitched) told.what();
            assertThat(open.diameter()).isCloseTo(6, within(3e-3));
            assertThat(open.centre().distance(new Point(3.5, 0))).isLessThan(3e-3);
        });
        assertThat(told(judged(blocks, List.of(), List.of(), List.of()))).isEmpty();
    }

    /** Against places tried one by one: no place of the cloth is further from all lines, and the one told is as far. */
    @Property(tries = 25)
    void noPlaceIsFurtherFromTheStitching(@ForAll @DoubleRange(min = 0.3, max = 1.4) double angle) {
        AreaMotif motif = new AreaMotif.Crosshatch(2.5, angle);
        Path leaf = AreaSpace.grown(new Area.Applique(new Area.Ellipse(new Point(1, 0.5), 4, 2, angle), 0.25));
        AreaPlan plan = judged(block(9), List.of(motif), List.of(leaf), List.of());
        AreaDiagnostic.Unstitched open =
                find(plan, AreaDiagnostic.Unstitched.class).orElseThrow();
        List<Path> all =
                new ArrayList<>(plan.lines().stream().map(StitchLine::path).toList());
        all.add(leaf);
        all.add(block(9) instanceof Area.Blocks b ? AreaSpace.cloth(b, leaf).get(0) : leaf);
        double there =
                all.stream().mapToDouble(p -> p.distance(open.centre())).min().orElseThrow();
        assertThat(there).isCloseTo(open.diameter() / 2, within(2e-3));
        for (double x = -4.5; x <= 4.5; x += 0.25) {
            for (double y = -4.5; y <= 4.5; y += 0.25) {
                Point place = new Point(x, y);
                if (!leaf.contains(place)) {
                    double free = all.stream()
                            .mapToDouble(p -> p.distance(place))
                            .min()
                            .orElseThrow();
                    assertThat(free).isLessThanOrEqualTo(open.diameter() / 2 + 2e-3);
                }
            }
        }
    }

    /** More lines than the set number within an eighth of a place; the whirl's corners see three, the peel's crossings eight. */
    @Test
    void linesThatLeadToOnePlaceAreCounted() {
        AreaRules three = new AreaRules(OptionalDouble.empty(), 2, false);
        AreaPlan whirl = AreaDesigner.layOut(
                ID,
                block(9),
                AreaDesign.of(new AreaMotif.Whirl(3, 0.5, 4), Optional.empty()),
                around(List.of()),
                three,
                new EdgeCatalog(StarterShelf.templates(), MACHINE),
                TapeScale.SIXTEENTHS);
        assertThat(find(whirl, AreaDiagnostic.PileUp.class).orElseThrow().lines())
                .isGreaterThanOrEqualTo(3);
        assertThat(find(plan(block(12), new AreaMotif.Peel(3, 3), "orchard-hill"), AreaDiagnostic.PileUp.class))
                .as("eight are no matter")
                .isEmpty();
        AreaPlan rays = plan(
                block(9),
                new AreaMotif.CornerRays(AreaMotif.Corner.TOP_LEFT, OptionalInt.of(63), 0.75, 0.25),
                "furrow-long");
        assertThat(find(rays, AreaDiagnostic.PileUp.class))
                .as("tips 1/50 apart")
                .isPresent();
    }

    /** A 1/4 echo wants 1/2 hatching: the same spacing reads as one texture (the trade's value). */
    @Test
    void hatchingLikeTheEchoBesideItIsTold() {
        AreaMotif echo = new AreaMotif.Echoes(2, 0.5, false);
        AreaMotif like = new AreaMotif.Crosshatch(0.5, Math.PI / 2);
        assertThat(find(
                        judged(block(9), List.of(echo, like), List.of(), List.of()),
                        LayoutDiagnostic.HatchLikeEcho.class))
                .contains(new LayoutDiagnostic.HatchLikeEcho(0.5));
        assertThat(find(
                        judged(block(9), List.of(echo, new AreaMotif.Crosshatch(1, Math.PI / 2)), List.of(), List.of()),
                        LayoutDiagnostic.HatchLikeEcho.class))
                .isEmpty();
        // What counts is how far apart lines come out: 4 into eighths is 1/2, into sevenths more than a sixteenth off
        // it.
        for (AreaMotif motif : List.of(new AreaMotif.Quarters(0.52, 2), new AreaMotif.CurvedHatch(0.51))) {
            assertThat(find(
                            judged(block(8), List.of(motif), List.of(), List.of(0.5)),
                            LayoutDiagnostic.HatchLikeEcho.class))
                    .as("" + motif)
                    .contains(new LayoutDiagnostic.HatchLikeEcho(0.5));
        }
        assertThat(find(
                        judged(block(8), List.of(new AreaMotif.Quarters(0.56, 2)), List.of(), List.of(0.5)),
                        LayoutDiagnostic.HatchLikeEcho.class))
                .isEmpty();
        // The echoes may lie round what is on the area.
        assertThat(find(judged(block(9), List.of(like), List.of(), List.of(0.5)), LayoutDiagnostic.HatchLikeEcho.class))
                .isPresent();
    }

    /** A strip from edge to edge cuts the block in two: a start for each, and one more is told; an island doesn't. */
    @Test
    void whatIsCutOffNeedsAStartOfItsOwn() {
        AreaMotif hatch = new AreaMotif.Crosshatch(1, Math.PI / 4);
        Path across = new Area.Corners(
                        List.of(new Point(-9, -0.5), new Point(9, -0.5), new Point(9, 0.5), new Point(-9, 0.5)))
                .path();
        Path island = new Area.Ellipse(Point.ORIGIN, 3, 2, 0).path();
        AreaPlan cut = judged(block(8), List.of(hatch), List.of(across), List.of());
        AreaDiagnostic.CutOff told = find(cut, AreaDiagnostic.CutOff.class).orElseThrow();
        assertThat(told.parts()).isEqualTo(2);
        assertThat(cut.starts()).isGreaterThanOrEqualTo(told.parts());
        AreaPlan round = judged(block(8), List.of(hatch), List.of(island), List.of());
        assertThat(find(round, AreaDiagnostic.CutOff.class)).isEmpty();
        assertThat(round.starts()).isEqualTo(1);
    }
}
