package jollyspindle.core.division;

import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.List;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** The span that a template gives at a rise: chord 2√(2Rh − h²) of any handbook of mathematics, worked out by hand. */
class RiseChoicesTest {

    private static List<RiseChoices.Choice> choices(double length, double repeat, double rise) {
        return RiseChoices.of(StarterShelf.templates(), new Machine(0.25), length, repeat, rise);
    }

    @ParameterizedTest
    @CsvSource({"3, 7.746, 9, 2.286", "2, 6.928, 10, 2.718", "1, 5.292, 13, 3.209", "4, 8, 9, 0"})
    void radiusFour(double rise, double span, int repeats, double left) {
        assertThat(choices(72, 7, rise))
                .filteredOn(c -> c.template().templateId().equals("orchard-hill"))
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.span()).isCloseTo(span, within(5e-4));
                    assertThat(c.repeats()).isEqualTo(repeats);
                    // Each span is rounded in the table.
                    assertThat(c.left()).isCloseTo(left, within(1e-2));
                });
    }

    @Test
    void thoseNearestToTheWantedRepeatComeFirstAndNoneThatCannot() {
        List<RiseChoices.Choice> all = choices(72, 7, 3);
        assertThat(all)
                .hasSizeGreaterThan(2)
                .isSortedAccordingTo((a, b) -> Double.compare(Math.abs(a.span() - 7), Math.abs(b.span() - 7)));
        assertThat(all).allMatch(c -> c.template().stitchedRadius(new Machine(0.25)) >= 3 - 1e-9);
        assertThat(choices(72, 7, 100)).isEmpty();
        assertThat(choices(5, 7, 3)).allMatch(c -> c.span() <= 5);
        assertThat(RiseChoices.highest(StarterShelf.templates(), new Machine(0.25))
                        .orElse(0))
                .isGreaterThan(6);
        assertThat(RiseChoices.highest(List.of(), new Machine(0.25))).isEmpty();
    }
}
