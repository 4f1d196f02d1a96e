package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;

import java.util.Comparator;
import java.util.Map;
import java.util.Optional;

/** Which measured lengths go together. What is refused here never gets into a job. */
public final class QuiltRules {

    /** No quilt is longer, in inches. */
    public static final double LONGEST = 200;

    /** The smallest piece of cloth that there is to be worked on, in inches. */
    public static final double SMALLEST = 0.01;

    /** The smallest unit or step that runs are divided by, in inches: no tape is finer. */
    public static final double SMALLEST_STEP = 1.0 / 32;

    /** No batting must be held more closely than at so many inches (common practice, no source). */
    public static final double SMALLEST_GAP = 0.25;

    /** Whether a piece of cloth can be so long, in inches. */
    public static boolean isLength(double inches) {
        return inches >= SMALLEST && inches <= LONGEST;
    }

    /** Whether runs can be divided by units or steps of so many inches. */
    public static boolean isStep(double inches) {
        return inches >= SMALLEST_STEP && inches <= LONGEST;
    }

    /** Whether a place, in inches from the quilt's middle, can be on a quilt. */
    public static boolean isPlace(Point place) {
        return Math.abs(place.x()) <= LONGEST && Math.abs(place.y()) <= LONGEST;
    }

    private QuiltRules() {}

    /** Why a length is refused. */
    public sealed interface Refusal {
        /** Zero or less, where only more than zero makes sense. */
        record NotOverZero() implements Refusal {}

        /** Below zero. */
        record Negative() implements Refusal {}

        /** Over {@link QuiltRules#LONGEST}. */
        record TooLong() implements Refusal {}

        /** A gap in the batting below {@link QuiltRules#SMALLEST_GAP}. */
        record GapTooSmall() implements Refusal {}

        /**
         * A border deeper than the body is long.
         *
         * @param body the shortest side of the body, in inches
         */
        record DeeperThanBody(double body) implements Refusal {}

        /**
         * A body shorter than its border is deep.
         *
         * @param depth the deepest border, in inches
         */
        record ShorterThanBorder(double depth) implements Refusal {}

        /**
         * The strips along seam and edge leave nothing of the border to be stitched.
         *
         * @param depth of the shallowest border, in inches
         * @param strips reserve and clearance together, in inches
         */
        record NoRoomLeft(double depth, double strips) implements Refusal {}

        /**
         * A diagonal that no quilt with these sides has.
         *
         * @param shortest it could be, in inches
         * @param longest it could be, in inches
         */
        record DiagonalImpossible(double shortest, double longest) implements Refusal {}
    }

    /**
     * Checks a length before it is taken into a quilt.
     *
     * @param quilt as it stands
     * @param dimension what was measured
     * @param inches what the tape said
     * @return why it can't be so, or nothing if it can
     */
    public static Optional<Refusal> refusal(Quilt quilt, Dimension dimension, double inches) {
        if (dimension.kind() == Dimension.Kind.STRIP ? inches < 0 : !(inches > 0)) {
            return Optional.of(
                    dimension.kind() == Dimension.Kind.STRIP ? new Refusal.Negative() : new Refusal.NotOverZero());
        }
        if (inches > LONGEST) {
            return Optional.of(new Refusal.TooLong());
        }
        Quilt changed = quilt.with(dimension, inches);
        return switch (dimension.kind()) {
            case BODY -> shorterThanBorder(changed, inches);
            case SEAM -> Optional.empty();
            case LIMIT -> inches < SMALLEST_GAP ? Optional.of(new Refusal.GapTooSmall()) : Optional.empty();
            case DEPTH -> deeperThanBody(changed, inches).or(() -> noRoom(changed));
            case STRIP -> noRoom(changed);
            case DIAGONAL -> impossibleDiagonal(changed, dimension, inches);
        };
    }

    /**
     * The first length of a whole quilt that can't be so, as {@link #refusal} would have said when it was entered. A diagonal
     * is only refused when it is entered: later changes to the sides may leave it behind, which is a finding.
     */
    public static Optional<Dimension> firstRefused(Quilt quilt) {
        return quilt.measured().entrySet().stream()
                .filter(e -> refusal(quilt, e.getKey(), e.getValue())
                        .filter(why -> !(why instanceof Refusal.DiagonalImpossible))
                        .isPresent())
                .map(Map.Entry::getKey)
                .findFirst();
    }

    private static Optional<Refusal> deeperThanBody(Quilt quilt, double depth) {
        return quilt.dimensions(Dimension.Kind.BODY).stream().flatMapToDouble(d -> quilt.get(d).stream()).min().stream()
                .filter(body -> depth > body)
                .<Refusal>mapToObj(Refusal.DeeperThanBody::new)
                .findFirst();
    }

    private static Optional<Refusal> shorterThanBorder(Quilt quilt, double body) {
        return quilt.dimensions(Dimension.Kind.DEPTH).stream()
                .flatMapToDouble(d -> quilt.get(d).stream())
                .max()
                .stream()
                .filter(depth -> body < depth)
                .<Refusal>mapToObj(Refusal.ShorterThanBorder::new)
                .findFirst();
    }

    private static Optional<Refusal> noRoom(Quilt quilt) {
        return quilt.dimensions(Dimension.Kind.DEPTH).stream()
                .filter(d -> quilt.get(d).isPresent())
                .filter(d -> strips(quilt, d.border()) >= quilt.length(d))
                .min(Comparator.comparingDouble(quilt::length))
                .map(d -> new Refusal.NoRoomLeft(quilt.length(d), strips(quilt, d.border())));
    }

    private static double strips(Quilt quilt, int border) {
        return quilt.reserve(border) + quilt.length(Dimension.clearance(border));
    }

    private static Optional<Refusal> impossibleDiagonal(Quilt quilt, Dimension diagonal, double inches) {
        boolean all = quilt.dimensions(Dimension.Kind.BODY).stream()
                .allMatch(d -> quilt.get(d).isPresent());
        if (!all) {
            return Optional.empty();
        }
        return BodyShape.diagonalRange(quilt, diagonal)
                .filter(range -> inches <= range.shortest() || inches >= range.longest())
                .map(range -> new Refusal.DiagonalImpossible(range.shortest(), range.longest()));
    }
}
