package jollyspindle.core.area;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.shelf.StarterShelf;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.stream.IntStream;

import static jollyspindle.core.area.AreaChecks.MACHINE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Which size fits blocks. */
class BlockFitTest {

    private static List<BlockFit> fits(BlockFigure figure, BlockSize size) {
        return BlockFit.of(figure, List.of(size), StarterShelf.templates(), MACHINE, TapeScale.SIXTEENTHS);
    }

    // --- shells ------------------------------------------------------------------------------------------------

    /** In a 4 1/2 block all three sizes of the starter shelf come out even; the largest takes the fewest placements. */
    @Test
    void theSizesThatComeOutEvenAreListedFirst() {
        List<BlockFit> fits = fits(BlockFigure.CLAMSHELLS, new BlockSize(4.5, 4.5, 1));
        assertThat(fits)
                .extracting(f -> f.template().id())
                .containsExactly("thatch-large", "thatch-middle", "thatch-small");
        assertThat(fits).allMatch(f -> f.off() < 1e-6);
        // Half circles: of 3 wide, 1 1/2 of them a row and 3 rows are 4 1/2 half circles of radius 1 1/2.
        assertThat(fits.get(0).stitched()).isCloseTo(4.5 * Math.PI * 1.5, within(1e-4));
        assertThat(fits.get(0).density()).isCloseTo(Math.PI / 3, within(1e-4));
    }

    /** Against all sizes tried one by one with the trade's own arithmetic. */
    @Property(tries = 60)
    void theBestSizeIsTheOneLeastOff(
            @ForAll @DoubleRange(min = 3, max = 14) double width,
            @ForAll @DoubleRange(min = 3, max = 14) double height) {
        List<BlockFit> fits = fits(BlockFigure.CLAMSHELLS, new BlockSize(width, height, 1));
        double least = Double.MAX_VALUE;
        for (double shell : new double[] {1, 1.5, 3}) {
            double rise = shell / 2;
            double halves = Math.rint(2 * width / shell);
            double across = Math.abs(width - halves * shell / 2);
            double over = height - rise * Math.floor(height / rise + 1e-9);
            double up = over >= 0.4 * rise - 1e-9 ? rise - over : over;
            if (Math.abs(over - 0.4 * rise) > 1e-6) {
                least = Math.min(least, across + up);
            }
        }
        assertThat(fits).isNotEmpty();
        assertThat(fits.get(0).off()).isLessThanOrEqualTo(least + 1.0 / 64);
        for (int i = 1; i < fits.size(); i++) {
            assertThat(fits.get(i).off()).isGreaterThanOrEqualTo(fits.get(i - 1).off() - 1.0 / 64);
        }
    }

    /** In steps of a twentieth, and in each the fewest placements. */
    private static void assertThatTheLeastStretchedComeFirst(List<BlockFit> fits) {
        for (int i = 1; i < fits.size(); i++) {
            double more = fits.get(i).stretch() - fits.get(i - 1).stretch();
            assertThat(more).isGreaterThan(-0.0501);
            if (fits.get(i).placements() < fits.get(i - 1).placements()) {
                assertThat(more).isPositive();
            }
        }
    }

    // --- petals and circles ------------------------------------------------------------------------------------

    /** A radius of 3 makes squares of 4.2426: two of them to 8.4853 come out even, with quarter circles on 12 edges. */
    @Test
    void theClassicPeelComesOutEven() {
        double block = 6 * Math.sqrt(2);
        for (BlockFit fit : fits(BlockFigure.PEEL, new BlockSize(block, block, 1))) {
            BlockFit.InBlock in = fit.blocks().get(0);
            if (Math.abs(fit.radius().orElseThrow() - 3) < 1e-9) {
                assertThat(in.motif()).isEqualTo(new AreaMotif.Peel(2, 2));
                assertThat(fit.off()).isLessThan(1e-9);
                // Of the 12 edges of the grid 8 lie on the block's own and have the inner arc alone.
                assertThat(fit.stitched()).isCloseTo(16 * 3 * Math.PI / 2, within(1e-6));
            }
        }
        assertThat(fits(BlockFigure.PEEL, new BlockSize(block, block, 1)))
                .anyMatch(fit -> Math.abs(fit.radius().orElseThrow() - 3) < 1e-9);
    }

    /**
     * Against all numbers of squares tried one by one. Two arcs leave a crossing of the grid at the angle asin(s / 2R) from its
     * line (chord and tangent, as in any handbook's segment table), and petals side by side cross from 45 degrees on.
     */
    @Property(tries = 40)
    void petalsAreAsFullAsTheyCanBe(
            @ForAll @DoubleRange(min = 3, max = 16) double width,
            @ForAll @DoubleRange(min = 3, max = 16) double height) {
        List<BlockFit> fits = fits(BlockFigure.PEEL, new BlockSize(width, height, 2));
        assertThat(fits).isNotEmpty();
        for (BlockFit fit : fits) {
            double radius = fit.radius().orElseThrow();
            AreaMotif.Peel peel = (AreaMotif.Peel) fit.blocks().get(0).motif();
            assertThat(peel.across()).isEqualTo(fewest(width, radius));
            assertThat(peel.down()).isEqualTo(fewest(height, radius));
            assertThat(fit.blocks().get(0).overAcross()).isLessThan(1e-6);
        }
        assertThatTheLeastStretchedComeFirst(fits);
    }

    private static int fewest(double length, double radius) {
        return IntStream.rangeClosed(1, 20)
                .filter(n -> length / n / 2 / radius <= 1)
                .filter(n -> Math.toDegrees(Math.asin(length / n / 2 / radius)) <= 45 + 1e-9)
                .findFirst()
                .orElseThrow();
    }

    /** Of all numbers of circles that still cross, none comes nearer to those that meet in the squares' corners. */
    @Property(tries = 40)
    void circlesMeetAsNearlyAsTheyCan(
            @ForAll @DoubleRange(min = 3, max = 16) double width,
            @ForAll @DoubleRange(min = 3, max = 16) double height) {
        List<BlockFit> fits = fits(BlockFigure.CIRCLES, new BlockSize(width, height, 2));
        assertThat(fits).isNotEmpty();
        for (BlockFit fit : fits) {
            double across = 2 * fit.radius().orElseThrow();
            BlockFit.InBlock in = fit.blocks().get(0);
            AreaMotif.Circles circles = (AreaMotif.Circles) in.motif();
            assertThat(Math.abs(in.overAcross())).isCloseTo(least(width, across), within(1e-9));
            assertThat(Math.abs(in.overUp())).isCloseTo(least(height, across), within(1e-9));
            assertThat(across).isGreaterThan(width / circles.across()).isGreaterThan(height / circles.down());
            assertThat(Math.min(width / circles.across(), height / circles.down()))
                    .isGreaterThan(2 * MACHINE.footRadius());
            double square = across / Math.sqrt(2);
            double stretch =
                    Math.abs(1 - width / circles.across() / square) + Math.abs(1 - height / circles.down() / square);
            assertThat(fit.stretch()).isCloseTo(stretch / 2, within(1e-9));
            assertThat(fit.placements()).isGreaterThanOrEqualTo(2 * circles.across() * circles.down());
        }
        assertThatTheLeastStretchedComeFirst(fits);
    }

    private static double least(double length, double across) {
        return IntStream.rangeClosed(1, 20)
                .filter(n -> across > length / n)
                .mapToDouble(n -> Math.abs(length - n * across * Math.sin(Math.PI / 4)))
                .min()
                .orElseThrow();
    }

    @Test
    void whatWouldGoTooOftenIntoARowIsLeftOut() {
        List<BlockFit> all = fits(BlockFigure.CIRCLES, new BlockSize(10, 10, 1));
        List<BlockFit> fewer = fits(BlockFigure.CIRCLES, new BlockSize(40, 10, 1));
        assertThat(fewer)
                .hasSizeLessThan(all.size())
                .allSatisfy(fit -> assertThat(fit.blocks().get(0).perRow()).isLessThanOrEqualTo(20));
    }
}
