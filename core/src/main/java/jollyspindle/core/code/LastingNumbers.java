package jollyspindle.core.code;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.ToIntFunction;

/** Numbers that things in a list keep when others come and go, so that what is made of them can be named by them. */
public final class LastingNumbers {

    /** The largest there is. */
    public static final int MOST = 999;

    private LastingNumbers() {}

    /**
     * Gives a number to those of a list that have none, or one that another before has: the one after the largest, so that none
     * is used again while there are others.
     *
     * @param all not more than {@link #MOST}
     * @param number of one of them; below 1 if it has none yet
     * @param with the same with another number
     */
    public static <T> List<T> given(List<T> all, ToIntFunction<T> number, BiFunction<T, Integer, T> with) {
        Set<Integer> taken = new HashSet<>();
        int last = 0;
        for (T one : all) {
            int own = number.applyAsInt(one);
            if (own >= 1 && own <= MOST) {
                last = Math.max(last, own);
            }
        }
        List<T> numbered = new ArrayList<>();
        Set<Integer> known = new HashSet<>();
        all.forEach(one -> known.add(number.applyAsInt(one)));
        for (T one : all) {
            int own = number.applyAsInt(one);
            if (own < 1 || own > MOST || !taken.add(own)) {
                own = last < MOST ? ++last : free(taken, known);
                taken.add(own);
                numbered.add(with.apply(one, own));
            } else {
                numbered.add(one);
            }
        }
        return List.copyOf(numbered);
    }

    /** The number that one more is given, beside some that have theirs. */
    public static int next(List<Integer> numbers) {
        int last = numbers.stream().mapToInt(n -> n).max().orElse(0);
        return last < MOST ? last + 1 : free(new HashSet<>(numbers), Set.of());
    }

    private static int free(Set<Integer> taken, Set<Integer> known) {
        int number = 1;
        while (taken.contains(number) || known.contains(number)) {
            number++;
        }
        return number;
    }
}
