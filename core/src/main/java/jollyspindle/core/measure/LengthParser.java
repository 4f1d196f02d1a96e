package jollyspindle.core.measure;

import jollyspindle.core.text.Refusals;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads lengths the way people write them: {@code 71 7/8}, {@code 71-7/8"}, {@code 71⅞}, {@code 71.875}, {@code 5'11 7/8"},
 * {@code 6 ft 2 in}, {@code 182.5 cm}, {@code 182,5 cm}, {@code 1825 mm}, {@code 1.825 m}.
 *
 * <p>One inch is 25.4 mm exactly (the international inch of 1959). A number without a unit counts in the unit of the
 * tape in use.
 *
 * <p>Not a calculator: sums are refused.
 */
public final class LengthParser {

    /** Centimetres to the inch, exactly. */
    public static final double CENTIMETRES_PER_INCH = 2.54;

    private static final int LONGEST_TEXT = 40;

    private static final String WHOLE = "(?<whole>\\d{1,7})";
    private static final String DECIMAL = "(?<decimal>\\d{0,7}[.,]\\d{1,9}|\\d{1,7}[.,]?)";
    private static final String FRACTION = "(?<num>\\d{1,4})\\s*/\\s*(?<den>\\d{1,4})";

    private static final Pattern MIXED =
            Pattern.compile("(?:" + WHOLE + "(?:\\s*-\\s*|\\s+(?:and\\s+)?|\\s*&\\s*))?" + FRACTION);
    private static final Pattern PLAIN = Pattern.compile(DECIMAL);
    private static final Pattern FEET = Pattern.compile("(?<feet>.+?)\\s*(?:'|feet|foot|ft\\.?)\\s*-?\\s*(?<rest>.*)");
    private static final Pattern WITH_UNIT = Pattern.compile(
            "(?<number>.*?)\\s*(?<unit>\"|inches|inch|ins\\.?|in\\.?|centimetres?|centimeters?|cm\\.?|millimetres?|millimeters?|mm\\.?|metres?|meters?|m)");

    private static final Map<Character, Double> INCHES_PER_UNIT =
            Map.of('"', 1.0, 'i', 1.0, 'c', 1 / CENTIMETRES_PER_INCH);

    private LengthParser() {}

    /**
     * Reads a length.
     *
     * @param text what was typed; may be null or blank
     * @param tape whose unit a bare number takes
     * @return the length in inches, or why there is none; never null
     */
    public static LengthReading parse(String text, TapeScale tape) {
        String typed = text == null ? "" : text.strip();
        if (typed.isEmpty()) {
            return new LengthReading.Refused(typed, Refusals.say("length.nothing", "examples", examples(tape)));
        }
        if (typed.length() > LONGEST_TEXT) {
            String start = typed.substring(0, 20);
            return new LengthReading.Refused(
                    typed, Refusals.say("length.long", "start", start, "examples", examples(tape)));
        }
        String plain = normalise(typed);
        boolean negative = plain.startsWith("-");
        OptionalDouble inches = read(negative ? plain.substring(1).strip() : plain, tape);
        if (inches.isEmpty()) {
            boolean zero = plain.matches(".*/\\s*0+(?!\\d).*");
            return new LengthReading.Refused(
                    typed, Refusals.say("length.none", "typed", typed, "zero", zero, "examples", examples(tape)));
        }
        return new LengthReading.Understood(negative ? -inches.getAsDouble() : inches.getAsDouble(), typed);
    }

    private static String examples(TapeScale tape) {
        return Refusals.say("length.examples", "metric", tape.isMetric());
    }

    /** Lower case, plain quotes and hyphens, and fraction characters written out as {@code n/d}. */
    private static String normalise(String typed) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < typed.length(); i++) {
            char c = typed.charAt(i);
            if (Character.getType(c) == Character.OTHER_NUMBER) {
                // ⅞ decomposes to 7⁄8; the blank keeps 71⅞ from becoming 717/8.
                out.append(' ')
                        .append(Normalizer.normalize(String.valueOf(c), Normalizer.Form.NFKD))
                        .append(' ');
            } else {
                out.append(c);
            }
        }
        return out.toString()
                .replace("''", "\"")
                .replaceAll("[\u201c\u201d\u201e\u2033\u02ba\u00a8\uff02]", "\"")
                .replaceAll("[\u2018\u2019\u201a\u2032\u02b9\u00b4`\uff07]", "'")
                .replaceAll("''", "\"")
                .replaceAll("[\u2010-\u2015\u2212]", "-")
                .replace('\u2044', '/')
                .replaceAll("[\\s\u00a0\u2000-\u200a\u202f\u3000]+", " ")
                .strip()
                .toLowerCase(Locale.ROOT);
    }

    private static OptionalDouble read(String text, TapeScale tape) {
        Matcher feet = FEET.matcher(text);
        if (feet.matches() && !feet.group("feet").isBlank()) {
            return readFeet(feet.group("feet"), feet.group("rest"));
        }
        Matcher unit = WITH_UNIT.matcher(text);
        if (unit.matches()) {
            return scaled(unit.group("number"), inchesPer(unit.group("unit")));
        }
        return scaled(text, tape.isMetric() ? 1 / CENTIMETRES_PER_INCH : 1);
    }

    private static OptionalDouble readFeet(String feetText, String rest) {
        OptionalDouble feet = number(feetText);
        if (feet.isEmpty()) {
            return feet;
        }
        if (rest.isBlank()) {
            return OptionalDouble.of(feet.getAsDouble() * 12);
        }
        Matcher unit = WITH_UNIT.matcher(rest);
        boolean named = unit.matches();
        if (named && inchesPer(unit.group("unit")) != 1) {
            return OptionalDouble.empty();
        }
        OptionalDouble inches = number(named ? unit.group("number") : rest);
        // 5' 14" is a slip of the pen more often than 6' 2".
        if (inches.isEmpty() || inches.getAsDouble() >= 12) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(feet.getAsDouble() * 12 + inches.getAsDouble());
    }

    private static double inchesPer(String unit) {
        if (unit.startsWith("mm") || unit.startsWith("milli")) {
            return 1 / (10 * CENTIMETRES_PER_INCH);
        }
        if (unit.startsWith("m")) {
            return 100 / CENTIMETRES_PER_INCH;
        }
        return INCHES_PER_UNIT.get(unit.charAt(0));
    }

    private static OptionalDouble scaled(String text, double factor) {
        OptionalDouble value = number(text);
        return value.isPresent() ? OptionalDouble.of(value.getAsDouble() * factor) : value;
    }

    private static OptionalDouble number(String text) {
        String stripped = text.strip();
        Matcher mixed = MIXED.matcher(stripped);
        if (mixed.matches()) {
            double denominator = Double.parseDouble(mixed.group("den"));
            if (denominator == 0) {
                return OptionalDouble.empty();
            }
            double whole = mixed.group("whole") == null ? 0 : Double.parseDouble(mixed.group("whole"));
            return OptionalDouble.of(whole + Double.parseDouble(mixed.group("num")) / denominator);
        }
        Matcher plain = PLAIN.matcher(stripped);
        if (plain.matches()) {
            return OptionalDouble.of(Double.parseDouble(stripped.replace(',', '.')));
        }
        return OptionalDouble.empty();
    }
}
