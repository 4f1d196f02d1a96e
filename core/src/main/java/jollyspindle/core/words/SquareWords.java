package jollyspindle.core.words;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Squareness;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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
        said.add(differ(square.across(), "Top", "bottom"));
        said.add(differ(square.down(), "right", "left"));
        if (square.diagonals().isPresent()) {
            double by = square.diagonals().getAsDouble();
            said.add(
                    Math.abs(by) < Tolerances.UNSAID
                            ? "diagonals alike"
                            : "diagonals " + words.difference(by) + " apart");
            said.add("corners up to " + Words.degrees(square.mostOffSquare()) + " off square");
        } else {
            said.add("measure both diagonals to know how it leans");
        }
        String text = "Square? " + String.join("; ", said) + ".";
        for (Side side : new Side[] {Side.TOP, Side.LEFT}) {
            text += eased(square, quilt, side);
        }
        return past(square, quilt, limit) ? text + " More than " + percent(limit) + " of a side is seen." : text;
    }

    private String differ(double by, String one, String other) {
        return Math.abs(by) < Tolerances.UNSAID
                ? one + " and " + other + " alike"
                : one + " " + words.difference(by) + (by > 0 ? " longer than " : " shorter than ") + other;
    }

    /** What two opposite sides are planned at, if that isn't what they measure. */
    private String eased(Squareness square, Quilt quilt, Side side) {
        StringBuilder said = new StringBuilder();
        for (Side one : new Side[] {side, side.opposite()}) {
            double by = square.eased().get(one);
            if (Math.abs(by) >= Tolerances.UNSAID) {
                said.append(said.length() == 0 ? "" : ", ")
                        .append(Words.name(one))
                        .append(by < 0 ? " is eased in by " : " is stretched by ")
                        .append(words.difference(by));
            }
        }
        return said.length() == 0 ? "" : " Planned at " + words.length(quilt.planned(side)) + ": " + said + ".";
    }

    private static String percent(double part) {
        return String.format(Locale.ROOT, "%.2f", 100 * part).replaceAll("\\.?0+$", "") + " %";
    }
}
