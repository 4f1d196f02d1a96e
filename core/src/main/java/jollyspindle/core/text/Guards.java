package jollyspindle.core.text;

import java.util.Locale;
import java.util.ResourceBundle;

/**
 * Makes sure that numbers lie in their ranges, of which both ends are allowed. What they are numbers of is called by lasting
 * names, which {@code things.properties} says in words.
 */
public final class Guards {

    private Guards() {}

    /** What they are called, once something is refused. */
    private static String name(String thing) {
        return ResourceBundle.getBundle(Guards.class.getPackageName() + ".things", Locale.ROOT)
                .getString(thing);
    }

    /** @throws IllegalArgumentException if a number doesn't lie in a range */
    public static void within(String thing, double number, double least, double most) {
        if (!(number >= least && number <= most)) {
            throw new IllegalArgumentException(outside(thing, least, most, number));
        }
    }

    /** @throws IllegalArgumentException if an angle, in radians, doesn't lie in a range in degrees */
    public static void degrees(String thing, double radians, double least, double most) {
        if (!(radians >= Math.toRadians(least) && radians <= Math.toRadians(most))) {
            throw new IllegalArgumentException(Refusals.say(
                    "range.degrees",
                    "thing",
                    name(thing),
                    "least",
                    plain(least),
                    "most",
                    plain(most),
                    "found",
                    plain(Math.toDegrees(radians))));
        }
    }

    /** @throws IllegalArgumentException if a number isn't over 0, or has no end */
    public static void overZero(String thing, double number) {
        if (!(number > 0) || Double.isInfinite(number)) {
            throw new IllegalArgumentException(
                    Refusals.say("range.over-zero", "thing", name(thing), "found", plain(number)));
        }
    }

    /** @throws IllegalArgumentException if a number isn't at least so much, or has no end */
    public static void atLeast(String thing, double number, double least) {
        if (!(number >= least) || Double.isInfinite(number)) {
            throw new IllegalArgumentException(Refusals.say(
                    "range.at-least", "thing", name(thing), "least", plain(least), "found", plain(number)));
        }
    }

    /** @throws IllegalArgumentException if words have not so many characters, without blanks at their ends */
    public static void characters(String thing, String words, int least, int most) {
        int found = words.strip().length();
        if (found < least || words.length() > most) {
            throw new IllegalArgumentException(length(thing, least, most, words));
        }
    }

    /** Why a number is refused that doesn't lie in a range. */
    public static String outside(String thing, double least, double most, double found) {
        return Refusals.say(
                "range.numbers",
                "thing",
                name(thing),
                "least",
                plain(least),
                "most",
                plain(most),
                "found",
                plain(found));
    }

    /** Why words are refused that are too few or too many. */
    public static String length(String thing, int least, int most, String found) {
        return Refusals.say(
                "range.characters",
                "thing",
                name(thing),
                "least",
                least,
                "most",
                most,
                "found",
                found.isBlank() ? 0 : found.length());
    }

    private static String plain(double number) {
        return number == Math.rint(number) && Math.abs(number) < 1e9
                ? Long.toString((long) number)
                : Double.toString(number);
    }
}
