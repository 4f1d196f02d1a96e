package jollyspindle.core.area;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.shelf.StarterShelf;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

import java.util.List;

import static jollyspindle.core.area.AreaChecks.MACHINE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Which size fits blocks. */
class BlockFitTest {

    // --- which size fits ---------------------------------------------------------------------------------------

    /** In a 4 1/2 block all three sizes of the starter shelf come out even; the largest takes the fewest placements. */
    @Test
    void theSizesThatComeOutEvenAreListedFirst() {
        List<BlockFit> fits = BlockFit.of(
                List.of(new BlockSize(4.5, 4.5, 1)), StarterShelf.templates(), MACHINE, TapeScale.SIXTEENTHS);
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
        List<BlockFit> fits = BlockFit.of(
                List.of(new BlockSize(width, height, 1)), StarterShelf.templates(), MACHINE, TapeScale.SIXTEENTHS);
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
}
