package jollyspindle.core.division;

/**
 * How ways to come out even are judged. The tolerances are the trade's rules of thumb, the weights those rules put into
 * numbers (common practice, no source); all can be set.
 *
 * @param stretchUnseen how much one repeat may differ from its neighbours before it is seen, in inches
 * @param leftoverAlone how much odd space may be left as it is, in inches
 * @param mismatchUnseen how much repeats may differ from side to side before it is seen, in inches
 * @param squareLimit how much a side may be off before it is worth a word, as a part of its length
 * @param mostInAPoint so many lines may lead to within an eighth of a place before thread piles up there
 * @param offWanted the weight of an inch between the mean repeat and the wanted one
 * @param mismatch the weight of an inch between the longest and the shortest side's repeat
 * @param stretch the weight of an inch of a repeat's change beyond what is unseen
 * @param oddSpace the weight of an odd space, see {@link CandidateFinder}
 * @param intoReserve the weight of an inch into the strip where nothing may be stitched
 * @param placement the weight of each further placement an arc takes
 * @param unlike the weight of sides with unlike centres or unlike odd spaces
 * @param readings the weight of marks that are all off the tape's ticks
 */
public record Judging(
        double stretchUnseen,
        double leftoverAlone,
        double mismatchUnseen,
        double squareLimit,
        int mostInAPoint,
        double offWanted,
        double mismatch,
        double stretch,
        double oddSpace,
        double intoReserve,
        double placement,
        double unlike,
        double readings) {

    /** No tolerance in inches is larger. */
    public static final double MOST_TOLERANCE = 2;

    /** No limit for squareness is larger, as a part of a side. */
    public static final double MOST_SQUARE_LIMIT = 0.1;

    /** No number of lines in a point is larger. */
    public static final int MOST_IN_A_POINT = 100;

    /** No weight is larger. */
    public static final double MOST_WEIGHT = 100;

    private static final Judging USUAL = new Judging(0.125, 0.125, 0.125, 0.005, 8, 1, 4, 10, 1, 8, 0.1, 0.05, 0.05);

    public Judging {
        within("a tolerance", MOST_TOLERANCE, stretchUnseen, leftoverAlone, mismatchUnseen);
        within("the limit for square", MOST_SQUARE_LIMIT, squareLimit);
        within("the lines in a point", MOST_IN_A_POINT, mostInAPoint);
        within(
                "a weight",
                MOST_WEIGHT,
                offWanted,
                mismatch,
                stretch,
                oddSpace,
                intoReserve,
                placement,
                unlike,
                readings);
    }

    private static void within(String what, double most, double... values) {
        for (double value : values) {
            if (!(value >= 0 && value <= most)) {
                throw new IllegalArgumentException(what + " lies between 0 and " + most + ", not at " + value);
            }
        }
    }

    /** The trade's rules of thumb. */
    public static Judging usual() {
        return USUAL;
    }

    /** These rules with other tolerances: in inches, the last as a part of a side's length. */
    public Judging withTolerances(double stretched, double leftover, double sides, double square) {
        return new Judging(
                stretched,
                leftover,
                sides,
                square,
                mostInAPoint,
                offWanted,
                mismatch,
                stretch,
                oddSpace,
                intoReserve,
                placement,
                unlike,
                readings);
    }

    /** These rules with other weights for what a quilter most often sets. */
    public Judging withWeights(double wanted, double sides, double stretching, double odd, double readingsOff) {
        return new Judging(
                stretchUnseen,
                leftoverAlone,
                mismatchUnseen,
                squareLimit,
                mostInAPoint,
                wanted,
                sides,
                stretching,
                odd,
                intoReserve,
                placement,
                unlike,
                readingsOff);
    }

    /** These rules with so many lines in a point that are no matter. */
    public Judging withMostInAPoint(int lines) {
        return new Judging(
                stretchUnseen,
                leftoverAlone,
                mismatchUnseen,
                squareLimit,
                lines,
                offWanted,
                mismatch,
                stretch,
                oddSpace,
                intoReserve,
                placement,
                unlike,
                readings);
    }
}
