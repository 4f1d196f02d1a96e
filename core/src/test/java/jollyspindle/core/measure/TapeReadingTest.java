package jollyspindle.core.measure;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import static org.assertj.core.api.Assertions.assertThat;

class TapeReadingTest {

    @ParameterizedTest
    @CsvSource({
        "6.15, SIXTEENTHS, 6 1/8 generous, 6.150 in",
        "5.9375, SIXTEENTHS, 5 15/16, 5.938 in",
        "6.104166666, SIXTEENTHS, 6 1/8 scant, 6.104 in",
        "6.104166666, EIGHTHS, 6 1/8 scant, 6.104 in",
        "6.104166666, THIRTY_SECONDS, 6 3/32 generous, 6.104 in",
        "0, EIGHTHS, 0, 0.000 in",
        "0.375, EIGHTHS, 3/8, 0.375 in",
        "3.999, SIXTEENTHS, 4, 3.999 in",
        "3.99, SIXTEENTHS, 4 scant, 3.990 in",
        "0.01, SIXTEENTHS, 0 generous, 0.010 in",
        "-2.5, SIXTEENTHS, −2 1/2, −2.500 in",
        "-0.0001, SIXTEENTHS, 0, 0.000 in",
        "6.15, CENTIMETRES, 15.6 cm generous, 15.621 cm",
        "10, CENTIMETRES, 25.4 cm, 25.400 cm",
    })
    void readsAsATapeIsRead(double inches, TapeScale tape, String text, String exact) {
        assertThat(tape.read(inches).text()).isEqualTo(text);
        assertThat(tape.read(inches).exactText()).isEqualTo(exact);
    }

    @ParameterizedTest
    @CsvSource({
        "0.046, SIXTEENTHS, 3/64",
        "0.001, SIXTEENTHS, under 1/64",
        "-0.125, EIGHTHS, 1/8",
        "0.43, SIXTEENTHS, 7/16",
        "1.5, THIRTY_SECONDS, 1 1/2",
        "0.046, CENTIMETRES, 1.2 mm",
        "0.0005, CENTIMETRES, under 0.1 mm",
    })
    void saysDifferencesFinerThanTheTape(double inches, TapeScale tape, String text) {
        assertThat(Fractions.difference(inches, tape)).isEqualTo(text);
    }

    @Property
    void aReadingIsNeverOffByMoreThanHalfATick(
            @ForAll @DoubleRange(min = -200, max = 200) double inches, @ForAll TapeScale tape) {
        TapeReading reading = tape.read(inches);
        assertThat(Math.abs(reading.onTape() - inches)).isLessThanOrEqualTo(tape.tick() / 2 * (1 + 1e-9));
        switch (reading.lean()) {
            // Nothing is less than 0: a place a little to the left of it is told so.
            case SCANT ->
                assertThat(reading.ticks() == 0 ? inches : Math.abs(inches)).isLessThan(Math.abs(reading.onTape()));
            case GENEROUS -> assertThat(Math.abs(inches)).isGreaterThan(Math.abs(reading.onTape()));
            case ON -> assertThat(Math.abs(inches - reading.onTape())).isLessThan(tape.tick() / 19);
        }
    }

    /** What is scant to the right of a zero is scant to the left of it. */
    @Property
    void readingsToTheLeftLeanAsThoseToTheRight(
            @ForAll @DoubleRange(min = 0.1, max = 200) double inches, @ForAll TapeScale tape) {
        TapeReading right = tape.read(inches);
        TapeReading left = tape.read(-inches);
        assertThat(left.ticks()).isEqualTo(-right.ticks());
        assertThat(left.text()).isEqualTo(right.ticks() == 0 ? left.text() : "−" + right.text());
        assertThat(left.lean() == right.lean() || right.ticks() == 0).isTrue();
    }
}
