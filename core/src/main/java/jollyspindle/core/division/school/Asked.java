package jollyspindle.core.division.school;

import jollyspindle.core.division.RunSet;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What is asked of the runs of an axis that are divided alike. */
public interface Asked {

    /** The runs that are divided together, of all axes. */
    RunSet set();

    /** The length of the longest run, in inches. */
    double longest();

    /** The length of the shortest run, in inches. */
    double shortest();

    /** Whether a corner's motif takes something of the runs. */
    boolean isTakenOf();

    /** The counts that are worth weighing. */
    IntStream counts();

    /** The fixed repeats that are worth trying, in inches. */
    Stream<Double> fixed();

    /** Whether so many repeats are wished for. */
    boolean isWished(int count);

    /** Whether so many figures go with what stands in the corners. */
    boolean isWelcome(int figures);

    /** Whether so many repeats are wished for and go with what stands in the corners. */
    default boolean suits(int count) {
        return isWished(count) && isWelcome(count);
    }

    /** Those with repeats in the range and counts that suit, on all runs. */
    <S extends School> List<S> inRange(List<S> all);
}
