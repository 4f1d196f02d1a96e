package jollyspindle.core.division;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;

import java.util.function.Function;

/**
 * How ways to come out even are judged. The tolerances are the trade's rules of thumb, the weights those rules put into
 * numbers (common practice, no source); all can be set.
 *
 * @param stretchUnseen how much one repeat may differ from its neighbours before it is seen, in inches
 * @param leftoverAlone how much odd space may be left as it is, in inches
 * @param mismatchUnseen how much repeats may differ from side to side before it is seen, in inches
 * @param squareLimit how much a side may be off before it is worth a word, as a part of its length
 * @param mostInAPoint so many lines may lead to within an eighth of a place before thread piles up there
 * @param changeOver whether lines may be changed over where they cross, to begin the thread less often: it takes more holds
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
        boolean changeOver,
        double offWanted,
        double mismatch,
        double stretch,
        double oddSpace,
        double intoReserve,
        double placement,
        double unlike,
        double readings) {

    /** No tolerance in inches is larger. */
    private static final double MOST_TOLERANCE = 2;

    /** No weight is larger. */
    private static final double MOST_WEIGHT = 100;

    private static final Param.Length<Judging> STRETCH_UNSEEN =
            tolerance("stretchUnseen", 0.125, Judging::stretchUnseen);
    private static final Param.Length<Judging> LEFTOVER_ALONE =
            tolerance("leftoverAlone", 0.125, Judging::leftoverAlone);
    private static final Param.Length<Judging> MISMATCH_UNSEEN =
            tolerance("mismatchUnseen", 0.125, Judging::mismatchUnseen);
    /** How much a side may be off. */
    public static final Param.Decimal<Judging> SQUARE_LIMIT =
            Param.<Judging>decimal("squareLimit", 0, 0.1, Judging::squareLimit).usually(0.005);

    private static final Param.Whole<Judging> MOST_IN_A_POINT =
            Param.<Judging>whole("mostInAPoint", 0, 100, Judging::mostInAPoint).usually(8);
    /** Whether lines may be changed over. */
    public static final Param.Flag<Judging> CHANGE_OVER = Param.flag("changeOver", Judging::changeOver, false);

    private static final Param.Decimal<Judging> OFF_WANTED = weight("offWanted", 1, Judging::offWanted);
    private static final Param.Decimal<Judging> MISMATCH = weight("mismatch", 4, Judging::mismatch);
    private static final Param.Decimal<Judging> STRETCH = weight("stretch", 10, Judging::stretch);
    private static final Param.Decimal<Judging> ODD_SPACE = weight("oddSpace", 1, Judging::oddSpace);
    private static final Param.Decimal<Judging> INTO_RESERVE = weight("intoReserve", 8, Judging::intoReserve);
    private static final Param.Decimal<Judging> PLACEMENT = weight("placement", 0.1, Judging::placement);
    private static final Param.Decimal<Judging> UNLIKE = weight("unlike", 0.05, Judging::unlike);
    private static final Param.Decimal<Judging> READINGS = weight("readings", 0.05, Judging::readings);

    /** All that can be set. */
    public static final Params<Judging> PARAMS = Params.of(
                    v -> new Judging(
                            v.get(STRETCH_UNSEEN),
                            v.get(LEFTOVER_ALONE),
                            v.get(MISMATCH_UNSEEN),
                            v.get(SQUARE_LIMIT),
                            v.get(MOST_IN_A_POINT),
                            v.get(CHANGE_OVER),
                            v.get(OFF_WANTED),
                            v.get(MISMATCH),
                            v.get(STRETCH),
                            v.get(ODD_SPACE),
                            v.get(INTO_RESERVE),
                            v.get(PLACEMENT),
                            v.get(UNLIKE),
                            v.get(READINGS)),
                    Params.row(STRETCH_UNSEEN, LEFTOVER_ALONE),
                    Params.row(MISMATCH_UNSEEN, SQUARE_LIMIT),
                    Params.row(OFF_WANTED, MISMATCH),
                    Params.row(STRETCH, ODD_SPACE),
                    Params.row(READINGS, MOST_IN_A_POINT),
                    Params.row(INTO_RESERVE, PLACEMENT, UNLIKE),
                    Params.row(CHANGE_OVER))
            .brief(CHANGE_OVER)
            .kept(
                    STRETCH_UNSEEN,
                    LEFTOVER_ALONE,
                    MISMATCH_UNSEEN,
                    SQUARE_LIMIT,
                    MOST_IN_A_POINT,
                    CHANGE_OVER,
                    OFF_WANTED,
                    MISMATCH,
                    STRETCH,
                    ODD_SPACE,
                    INTO_RESERVE,
                    PLACEMENT,
                    UNLIKE,
                    READINGS);

    private static final Judging USUAL = PARAMS.usual();

    public Judging {
        STRETCH_UNSEEN.check(stretchUnseen);
        LEFTOVER_ALONE.check(leftoverAlone);
        MISMATCH_UNSEEN.check(mismatchUnseen);
        SQUARE_LIMIT.check(squareLimit);
        MOST_IN_A_POINT.check(mostInAPoint);
        OFF_WANTED.check(offWanted);
        MISMATCH.check(mismatch);
        STRETCH.check(stretch);
        ODD_SPACE.check(oddSpace);
        INTO_RESERVE.check(intoReserve);
        PLACEMENT.check(placement);
        UNLIKE.check(unlike);
        READINGS.check(readings);
    }

    private static Param.Length<Judging> tolerance(String code, double usual, Function<Judging, Double> get) {
        return Param.length(code, 0, MOST_TOLERANCE, get).usually(usual);
    }

    private static Param.Decimal<Judging> weight(String code, double usual, Function<Judging, Double> get) {
        return Param.decimal(code, 0, MOST_WEIGHT, get).usually(usual);
    }

    /** The trade's rules of thumb. */
    public static Judging usual() {
        return USUAL;
    }
}
