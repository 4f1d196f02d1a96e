package jollyspindle.core.words;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Squareness;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Says how square a quilt is.
 *
 * @param words lengths are said with
 */
public record SquareWords(Words words) {

    /** Whether something is further off than the limit, a part of a side's length. */
    public static boolean past(Squareness square, Quilt quilt, double limit) {
        double across = quilt.length(Dimension.BODY_TOP);
        double down = quilt.length(Dimension.BODY_LEFT);
        return Math.abs(square.across()) > limit * across
                || Math.abs(square.down()) > limit * down
                || Math.abs(square.diagonals().orElse(0)) > limit * Math.hypot(across, down);
    }

    /**
     * How far opposite sides and diagonals differ, what angle that is, what each side is planned at, and who takes the easing.
     *
     * @param limit what may be off, as a part of a side's length
     */
    public String text(Squareness square, Quilt quilt, double limit) {
        List<String> said = new ArrayList<>();
        said.add(differ(square.across(), Side.TOP, Side.BOTTOM));
        said.add(differ(square.down(), Side.RIGHT, Side.LEFT));
        if (square.diagonals().isPresent()) {
            said.add(texts().say("square.diagonals", "by", square.diagonals().getAsDouble()));
            said.add(texts().say("square.corners", "by", square.mostOffSquare()));
        } else {
            said.add(Texts.plainly("square.no-diagonals"));
        }
        return Texts.plainly(
                "square.all",
                "all",
                String.join("; ", said),
                "eased",
                eased(square, quilt, Side.TOP) + eased(square, quilt, Side.LEFT),
                "past",
                past(square, quilt, limit),
                "limit",
                percent(limit));
    }

    private String differ(double by, Side one, Side other) {
        return texts().say(
                        Math.abs(by) < Tolerances.UNSAID ? "square.alike" : "square.differ",
                        "by",
                        by,
                        "one",
                        Texts.name("square.sides", one),
                        "other",
                        Texts.name("square.sides", other));
    }

    /** What two opposite sides are planned at, if that isn't what they measure. */
    private String eased(Squareness square, Quilt quilt, Side side) {
        String sides = Stream.of(side, side.opposite())
                .filter(one -> Math.abs(square.eased().get(one)) >= Tolerances.UNSAID)
                .map(one -> texts().say(
                                "square.eased-side",
                                "side",
                                one,
                                "by",
                                square.eased().get(one)))
                .collect(Collectors.joining(", "));
        return sides.isEmpty() ? "" : texts().say("square.eased", "planned", quilt.planned(side), "sides", sides);
    }

    private static String percent(double part) {
        return Texts.plainly(
                "square.percent",
                "number",
                String.format(Locale.ROOT, "%.2f", 100 * part).replaceAll("\\.?0+$", ""));
    }

    private Texts texts() {
        return new Texts(words);
    }
}
