package jollyspindle.core.division;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** The counts of repeats for one run by itself. */
public final class RunCounts {

    private RunCounts() {}

    /**
     * The counts whose repeats come nearest to the wanted one, the nearest first; a tie goes to the fewer repeats.
     *
     * @param length of the run, in inches, over 0
     * @param wanted repeat, in inches, over 0; where it is longer than the run, one repeat comes nearest
     * @param most how many to list, 1 or more
     */
    public static List<EvenDivision> near(double length, double wanted, int most) {
        int middle = (int) Math.min(Counts.MOST, Math.round(length / wanted));
        return IntStream.rangeClosed(middle - most, middle + most)
                .filter(n -> n >= 1 && n <= Counts.MOST)
                .mapToObj(n -> new EvenDivision(length, n))
                .sorted(Comparator.comparingDouble((EvenDivision d) -> Math.abs(d.repeat() - wanted))
                        .thenComparingInt(EvenDivision::count))
                .limit(most)
                .toList();
    }
}
