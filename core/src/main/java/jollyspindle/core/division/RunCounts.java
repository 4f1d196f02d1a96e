package jollyspindle.core.division;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** The counts of repeats for one run by itself. */
public final class RunCounts {

    private RunCounts() {}

    /**
     * The counts nearest to length over wanted repeat, the nearest first; a tie goes to the fewer repeats.
     *
     * @param length of the run, in inches, over 0
     * @param wanted repeat, in inches, over 0; where it is longer than the run, one repeat comes nearest
     * @param most how many to list, 1 or more
     */
    public static List<EvenDivision> near(double length, double wanted, int most) {
        double exact = Math.max(1, Math.min(Counts.MOST, length / wanted));
        int middle = (int) Math.round(exact);
        return IntStream.rangeClosed(middle - most, middle + most)
                .filter(n -> n >= 1 && n <= Counts.MOST)
                .boxed()
                .sorted(Comparator.comparingDouble((Integer n) -> Math.abs(n - exact))
                        .thenComparing(n -> n))
                .map(n -> new EvenDivision(length, n))
                .limit(most)
                .toList();
    }
}
