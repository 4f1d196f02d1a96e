package jollyspindle.core.area;

import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Blocks of one size.
 *
 * @param width in inches, over 0
 * @param height in inches, over 0
 * @param count how many, 1 or more
 */
public record BlockSize(double width, double height, int count) {

    /** More of one size no quilt has. */
    public static final int MOST = 10_000;

    private static final Pattern COUNTED = Pattern.compile("(\\d{1,5})\\s+of\\s+(.*)", Pattern.CASE_INSENSITIVE);

    /** What was typed as a list of sizes. */
    public sealed interface Reading {

        /** It was understood. */
        record Read(List<BlockSize> sizes) implements Reading {}

        /**
         * It wasn't.
         *
         * @param why in the quilter's words: what was read, what is allowed, what to do
         */
        record Refused(String why) implements Reading {}
    }

    public BlockSize {
        Guards.overZero("width", width);
        Guards.overZero("height", height);
        Guards.atLeast("number", count, 1);
    }

    /** What is stitched in of each block, inside its clearance; nothing if that leaves no room. */
    public static Optional<BlockSize> of(Area.Blocks blocks) {
        double width = blocks.width() - 2 * blocks.clearance();
        double height = blocks.height() - 2 * blocks.clearance();
        return Math.min(width, height) > 0
                ? Optional.of(new BlockSize(width, height, blocks.count()))
                : Optional.empty();
    }

    /** Of all of them, in square inches. */
    public double cloth() {
        return width * height * count;
    }

    /**
     * Reads a list such as {@code 12 of 4 1/2; 4 of 6 by 9}: sizes with semicolons between them, each with a count before it
     * if there are several, and one length for a square.
     *
     * @param tape whose unit bare numbers take
     */
    public static Reading parse(String text, TapeScale tape) {
        List<BlockSize> sizes = new ArrayList<>();
        for (String item : (text == null ? "" : text).split("[;\\n]")) {
            if (item.isBlank()) {
                continue;
            }
            Matcher counted = COUNTED.matcher(item.strip());
            int count = counted.matches() ? Integer.parseInt(counted.group(1)) : 1;
            String[] lengths =
                    (counted.matches() ? counted.group(2) : item.strip()).split("(?i)\\s*[x×]\\s*|\\s+by\\s+", -1);
            if (lengths.length > 2 || count < 1 || count > MOST) {
                return refused(item);
            }
            double[] inches = new double[lengths.length];
            for (int i = 0; i < lengths.length; i++) {
                LengthReading reading = LengthParser.parse(lengths[i], tape);
                if (!(reading instanceof LengthReading.Understood read)
                        || !(read.inches() > 0)
                        || read.inches() > QuiltRules.LONGEST) {
                    return refused(item);
                }
                inches[i] = read.inches();
            }
            sizes.add(new BlockSize(inches[0], inches[inches.length - 1], count));
        }
        return sizes.isEmpty() ? refused("") : new Reading.Read(List.copyOf(sizes));
    }

    private static Reading refused(String item) {
        return new Reading.Refused(Refusals.say("blocks.size", "blank", item.isBlank(), "typed", item.strip()));
    }
}
