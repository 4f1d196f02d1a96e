package jollyspindle.core.area;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** A ray is moved, and what stands round the centre follows: 360 degrees by what lies between two rays. */
class RayMoveTest {

    private static final AreaMotif.Counted ARMS = new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0.75);

    @ParameterizedTest
    @CsvSource({
        // The second of eight at 30 degrees: twelve. The fifth, opposite the first, at 120: 4 of 30 degrees, too.
        "45, 30, 12",
        "180, 120, 12",
        "45, 72, 5",
        // The other way round it is the last that is moved: 7 of 51.4 degrees before a whole turn, from 315 to 309.
        "315, 308.6, 8",
        "45, 46, 8",
    })
    void theCountFollows(double from, double to, int count) {
        assertThat(RayMove.of(ARMS, Math.toRadians(from), Math.toRadians(to)).orElseThrow())
                .isEqualTo(ARMS.withCount(count));
    }

    @ParameterizedTest
    @CsvSource({"20.4, 20", "-30, 330", "359.7, 0", "400, 40"})
    void theFirstTurnsAllInWholeDegrees(double to, double turn) {
        AreaMotif.Counted moved = RayMove.of(ARMS, 0, Math.toRadians(to)).orElseThrow();
        assertThat(Math.toDegrees(moved.turn())).isCloseTo(turn, within(1e-9));
        assertThat(moved.count()).isEqualTo(8);
    }

    @ParameterizedTest
    @CsvSource({"45, 0.5", "45, 350", "315, 20"})
    void whatNoCountHasThereStays(double from, double to) {
        assertThat(RayMove.of(ARMS, Math.toRadians(from), Math.toRadians(to))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"30, 20, 9", "0, 20, 0"})
    void ofPointsTheTipsStandHalfWay(double from, double to, int points) {
        AreaMotif.Counted star = new AreaMotif.Points(6, 2, 5);
        assertThat(RayMove.of(star, Math.toRadians(from), Math.toRadians(to))
                        .map(AreaMotif.Counted::count)
                        .orElse(0))
                .isEqualTo(points);
    }
}
