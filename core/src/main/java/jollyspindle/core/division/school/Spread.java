package jollyspindle.core.division.school;

import java.util.Collections;
import java.util.Set;
import java.util.TreeSet;

/** Which repeats take what is left over. */
public sealed interface Spread {

    /** All of them. */
    record All() implements Spread {}

    /** So many about the centre; the corners' are never among them. */
    record RoundCentre(int repeats) implements Spread {}

    /** Those with these numbers, from 1 at the left end; at a corner only because they are asked for. */
    record Chosen(Set<Integer> numbers) implements Spread {
        public Chosen {
            numbers = Collections.unmodifiableSet(new TreeSet<>(numbers));
        }
    }
}
