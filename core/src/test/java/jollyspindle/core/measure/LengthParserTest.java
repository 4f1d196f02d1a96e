package jollyspindle.core.measure;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

class LengthParserTest {

    private static double inches(String text, TapeScale tape) {
        LengthReading reading = LengthParser.parse(text, tape);
        assertThat(reading).as(text).isInstanceOf(LengthReading.Understood.class);
        return ((LengthReading.Understood) reading).inches();
    }

    // Metric values by the international inch of 25.4 mm (international yard and pound agreement, 1959).
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "71 7/8; 71.875",
                "71-7/8\"; 71.875",
                "71 - 7/8; 71.875",
                "71.875; 71.875",
                "71,875; 71.875",
                "71⅞; 71.875",
                "71 ⅞ in; 71.875",
                "⅞; 0.875",
                "71 7⁄8”; 71.875",
                "71 7 / 8''; 71.875",
                "71 and 7/8 inches; 71.875",
                "7/8; 0.875",
                "15/8; 1.875",
                ".5; 0.5",
                "6.; 6",
                "182.5 cm; 71.8503937007874",
                "182,5cm; 71.8503937007874",
                "1825 mm; 71.8503937007874",
                "1.825 m; 71.8503937007874",
                "2.54cm; 1",
                "25.4 mm; 1",
                "5'11 7/8\"; 71.875",
                "5’ 11⅞″; 71.875",
                "5 ft 11 7/8 in; 71.875",
                "5' 11 7/8; 71.875",
                "6'; 72",
                "5.5 ft; 66",
                "  61 1/2  ; 61.5",
                "61\u00a01/2; 61.5",
                "-3; -3",
                "−3 1/2; -3.5",
                "0; 0",
            })
    void understandsLengthsAsPeopleWriteThem(String text, double expected) {
        assertThat(inches(text, TapeScale.SIXTEENTHS)).isCloseTo(expected, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"182.5; 71.8503937007874", "182 1/2; 71.8503937007874", "72\"; 72", "7 1/4 in; 7.25", "6'; 72"})
    void aBareNumberTakesTheUnitOfTheTape(String text, double expected) {
        assertThat(inches(text, TapeScale.CENTIMETRES)).isCloseTo(expected, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "   ",
                "abc",
                "7 8",
                "71 7/0",
                "1/2/3",
                "71 7/8 7/8",
                "5' 14\"",
                "5' 3 cm",
                "1e3",
                "NaN",
                "Infinity",
                "0x10",
                "3 + 4",
                "71 7/8 yards",
                "1.2.3",
                "7½⅞",
                "12345678901234567890",
                "99999999999999999999999999999999999999999999999999999",
                "'",
                "\"",
                "/",
                "1/",
            })
    void refusesWhatIsNoLengthAndSaysWhatWouldBe(String text) {
        LengthReading reading = LengthParser.parse(text, TapeScale.SIXTEENTHS);
        assertThat(reading).as(text).isInstanceOf(LengthReading.Refused.class);
        String message = ((LengthReading.Refused) reading).message();
        assertThat(message).contains("71 7/8");
        if (!text.isBlank() && text.length() < 40) {
            assertThat(message).contains(text.strip());
        }
    }

    @Property
    void whatIsSaidExactlyReadsBackTheSame(
            @ForAll @DoubleRange(min = 0, max = 200) double inches, @ForAll TapeScale tape) {
        assertThat(inches(Fractions.exact(inches, tape), tape)).isCloseTo(inches, within(5e-5));
    }

    @Property
    void aTickReadsBackAsItself(@ForAll @IntRange(max = 6400) int ticks, @ForAll TapeScale tape) {
        double place = ticks * tape.tick();
        TapeReading reading = tape.read(place);
        assertThat(reading.ticks()).isEqualTo(ticks);
        assertThat(reading.lean()).isEqualTo(TapeReading.Lean.ON);
        assertThat(inches(reading.text(), tape)).isCloseTo(place, within(1e-9));
    }

    @Property
    void neverFailsWhateverIsTyped(@ForAll String text, @ForAll TapeScale tape) {
        assertThat(LengthParser.parse(text, tape)).isNotNull();
    }
}
