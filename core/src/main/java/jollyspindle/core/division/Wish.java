package jollyspindle.core.division;

import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.RefusedValue;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.text.Refusals;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What a quilter would like a division to be.
 *
 * @param repeat about how long a repeat should be, in inches, {@link #SHORTEST_REPEAT} to {@link #LONGEST_REPEAT}
 * @param across how many repeats on top and bottom, or on a strip, if that is wanted; 1 to {@link Counts#MOST}
 * @param down how many repeats on right and left
 * @param parity which counts are wanted
 * @param shortest the shortest repeat allowed, in inches; nothing if that isn't said
 * @param longest the longest repeat allowed, in inches, not under the shortest; nothing if that isn't said
 * @param school the only way wanted; nothing if all are welcome
 * @param increment from mark to mark of the stencil, in inches, over 0
 */
public record Wish(
        double repeat,
        OptionalInt across,
        OptionalInt down,
        Parity parity,
        OptionalDouble shortest,
        OptionalDouble longest,
        Optional<SchoolKind> school,
        double increment) {

    public static final double SHORTEST_REPEAT = 0.5;
    public static final double LONGEST_REPEAT = 60;

    /** From mark to mark of the usual stencil, in inches (common practice, no source). */
    public static final double USUAL_INCREMENT = 1;

    /** Which counts are wanted. */
    public enum Parity {
        ANY,
        /** A crown on the centre of an evenly divided run. */
        ODD,
        /** A valley on the centre of an evenly divided run. */
        EVEN;

        public boolean welcomes(int count) {
            return this == ANY || (count % 2 == 0) == (this == EVEN);
        }
    }

    /** How long a repeat should be. */
    public static final Param.Length<Wish> REPEAT =
            Param.length("repeat", SHORTEST_REPEAT, LONGEST_REPEAT, Wish::repeat);

    /** How many repeats on top and bottom, or on a strip. */
    public static final Param.MaybeWhole<Wish> ACROSS = Param.maybeWhole("across", 1, Counts.MOST, Wish::across);
    /** How many repeats on right and left. */
    public static final Param.MaybeWhole<Wish> DOWN = Param.maybeWhole("down", 1, Counts.MOST, Wish::down);
    /** Which counts are wanted. */
    public static final Param.Choice<Wish, Parity> PARITY =
            Param.<Wish, Parity>choice("parity", Parity.class, Wish::parity).usually(Parity.ANY);

    private static final Param.MaybeLength<Wish> SHORTEST = Param.maybeLength(
            "shortest",
            SHORTEST_REPEAT,
            LONGEST_REPEAT,
            Wish::shortest,
            w -> new Param.Room(SHORTEST_REPEAT, w.longest().orElse(LONGEST_REPEAT)));
    private static final Param.MaybeLength<Wish> LONGEST = Param.maybeLength(
            "longest",
            SHORTEST_REPEAT,
            LONGEST_REPEAT,
            Wish::longest,
            w -> new Param.Room(w.shortest().orElse(SHORTEST_REPEAT), LONGEST_REPEAT));
    /** The only way wanted. */
    public static final Param.MaybeChoice<Wish, SchoolKind> SCHOOL =
            Param.maybeChoice("school", SchoolKind.class, Wish::school);

    /** From mark to mark of the stencil. */
    public static final Param.Length<Wish> INCREMENT = Param.<Wish>length(
                    "increment", QuiltRules.SMALLEST_STEP, LONGEST_REPEAT, Wish::increment)
            .usually(USUAL_INCREMENT);

    /** All that can be wished. */
    public static final Params<Wish> PARAMS = Params.of(
                    v -> new Wish(
                            v.get(REPEAT),
                            v.get(ACROSS),
                            v.get(DOWN),
                            v.get(PARITY),
                            v.get(SHORTEST),
                            v.get(LONGEST),
                            v.get(SCHOOL),
                            v.get(INCREMENT)),
                    Params.row(REPEAT),
                    Params.row(ACROSS, DOWN),
                    Params.row(PARITY),
                    Params.row(SHORTEST, LONGEST),
                    Params.row(SCHOOL, INCREMENT))
            .brief(PARITY)
            .brief(INCREMENT);

    public Wish {
        REPEAT.check(repeat);
        shortest.ifPresent(SHORTEST::check);
        longest.ifPresent(LONGEST::check);
        if (shortest.orElse(0) > longest.orElse(LONGEST_REPEAT)) {
            throw new RefusedValue(LONGEST.code(), Refusals.say("wish.range"));
        }
        across.ifPresent(ACROSS::check);
        down.ifPresent(DOWN::check);
        INCREMENT.check(increment);
    }

    /** Repeats of about a length, and nothing else. */
    public static Wish about(double inches) {
        return new Wish(
                inches,
                OptionalInt.empty(),
                OptionalInt.empty(),
                Parity.ANY,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                USUAL_INCREMENT);
    }

    public Wish withRepeat(double inches) {
        return new Wish(inches, across, down, parity, shortest, longest, school, increment);
    }

    /**
     * This wish with another range of repeats, in inches.
     *
     * @throws IllegalArgumentException if the shortest is longer than the longest
     */
    public Wish withRange(OptionalDouble from, OptionalDouble to) {
        return new Wish(repeat, across, down, parity, from, to, school, increment);
    }

    /** This wish with another value of one thing that is wished. */
    public <T> Wish with(Param<Wish, T> param, T value) {
        return PARAMS.with(this, param, value);
    }

    /** How many repeats are wanted: on the first axis (top and bottom, or a strip), or on the second. */
    OptionalInt count(int axis) {
        return axis == 0 ? across : down;
    }

    /** Whether a repeat of this length is within the range that was said. */
    boolean allows(double inches) {
        double slack = Tolerances.ROUNDING;
        return inches >= shortest.orElse(0) - slack && inches <= longest.orElse(Double.MAX_VALUE) + slack;
    }
}
