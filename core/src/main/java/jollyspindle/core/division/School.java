package jollyspindle.core.division;

import jollyspindle.core.quilt.QuiltRules;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.IntFunction;
import java.util.function.ToLongFunction;
import java.util.stream.LongStream;

/**
 * A way to make a run come out (common practice, no source). All lengths in inches.
 *
 * <p>A division that has no room on a run is none: too few inches for the repeats that are asked for.
 */
public sealed interface School {

    /** Spaces of no more than this, in inches, are nothing. */
    double NOTHING = 1e-9;

    /** No repeat is pieced from more units. */
    int MOST_UNITS = 12;

    /** No unit is shared by more repeats. */
    int MOST_PARTS = 4;

    /**
     * Cuts a run.
     *
     * @param length of the run, over 0
     * @return nothing if the run is too short for it
     */
    Optional<RunDivision> divide(double length);

    SchoolKind kind();

    /**
     * The same with more repeats or fewer.
     *
     * @param by how many more; where repeats come in pairs, so many pairs
     * @param length of the run, in inches
     * @return nothing if the run can't be divided so
     */
    default Optional<School> step(int by, double length) {
        try {
            return stepped(by, length).filter(s -> s.divide(length).isPresent());
        } catch (IllegalArgumentException e) {
            // No such count.
            return Optional.empty();
        }
    }

    /** As {@link #step}, not yet tried. */
    Optional<School> stepped(int by, double length);

    /** So many repeats, each stretched alike. */
    record Even(int count) implements School {

        public Even {
            atLeastOne(count);
        }

        @Override
        public SchoolKind kind() {
            return SchoolKind.EVEN;
        }

        @Override
        public Optional<School> stepped(int by, double length) {
            return counted(count + by, Even::new);
        }

        @Override
        public Optional<RunDivision> divide(double length) {
            return Optional.of(equal(length, length / count, count));
        }
    }

    /**
     * Whole repeats of a fixed length from both corners; the space in the middle gets a motif of its own.
     *
     * @param each how many repeats from each corner
     * @param filling what stands on the space in the middle
     */
    record CornersIn(double repeat, int each, Filling filling) implements School {

        /** With a motif of its own in the middle. */
        public CornersIn(double repeat, int each) {
            this(repeat, each, new Filling.OwnMotif());
        }

        public CornersIn {
            checkRepeat(repeat);
            atLeastOne(each);
            if (2 * each > Counts.MOST) {
                throw new IllegalArgumentException(
                        each + " repeats from both corners are more than " + Counts.MOST + " in all");
            }
        }

        /** With as many repeats as there is room for; nothing if there isn't room for one from each corner. */
        public static Optional<CornersIn> most(double length, double repeat) {
            int each = (int) Math.floor(length / (2 * repeat) + NOTHING);
            return each < 1 || 2 * each > Counts.MOST ? Optional.empty() : Optional.of(new CornersIn(repeat, each));
        }

        @Override
        public SchoolKind kind() {
            return SchoolKind.CORNERS_IN;
        }

        @Override
        public Optional<School> stepped(int by, double length) {
            return each + by < 1 || 2 * (each + by) > Counts.MOST
                    ? Optional.empty()
                    : Optional.of(new CornersIn(repeat, each + by, filling));
        }

        @Override
        public Optional<RunDivision> divide(double length) {
            double space = length - 2 * each * repeat;
            if (space < -NOTHING) {
                return Optional.empty();
            }
            List<Cell> cells = new ArrayList<>();
            for (int i = 0; i < each; i++) {
                cells.add(new Cell(Cell.Kind.REPEAT, i * repeat, (i + 1) * repeat));
            }
            double right = length - each * repeat;
            if (space > NOTHING) {
                cells.add(new Cell(Cell.Kind.MIDDLE, each * repeat, right));
            }
            for (int i = each; i > 0; i--) {
                cells.add(new Cell(Cell.Kind.REPEAT, length - i * repeat, length - (i - 1) * repeat));
            }
            return Optional.of(new RunDivision(repeat, cells));
        }
    }

    /**
     * Whole repeats of a fixed length about the run's centre; what is left goes into the corners. An even count has a valley
     * on the centre, an odd one a crown.
     *
     * @param ends what becomes of the odd pieces at the ends
     */
    record CentreOut(double repeat, int count, EndUse ends) implements School {

        /** With ends that belong to the corners' motifs. */
        public CentreOut(double repeat, int count) {
            this(repeat, count, EndUse.CORNER);
        }

        public CentreOut {
            checkRepeat(repeat);
            atLeastOne(count);
        }

        /**
         * With as many repeats as there is room for.
         *
         * @param valleyOnCentre whether a valley or a crown is wanted there
         * @return nothing if there isn't room for them
         */
        public static Optional<CentreOut> most(double length, double repeat, boolean valleyOnCentre) {
            int room = (int) Math.floor(length / repeat + NOTHING);
            int count = room % 2 == (valleyOnCentre ? 0 : 1) ? room : room - 1;
            return count < 1 ? Optional.empty() : Optional.of(new CentreOut(repeat, count));
        }

        @Override
        public SchoolKind kind() {
            return SchoolKind.CENTRE_OUT;
        }

        @Override
        public Optional<School> stepped(int by, double length) {
            return counted(count + 2 * by, more -> new CentreOut(repeat, more, ends));
        }

        @Override
        public Optional<RunDivision> divide(double length) {
            double end = (length - count * repeat) / 2;
            if (end < -NOTHING) {
                return Optional.empty();
            }
            List<Cell> cells = new ArrayList<>();
            double first = length / 2 - count * repeat / 2;
            if (end > NOTHING) {
                cells.add(new Cell(Cell.Kind.END, 0, first));
            }
            for (int i = 0; i < count; i++) {
                double from = i == 0 && end <= NOTHING ? 0 : length / 2 + (i - count / 2.0) * repeat;
                double to = i == count - 1 && end <= NOTHING ? length : length / 2 + (i + 1 - count / 2.0) * repeat;
                cells.add(new Cell(Cell.Kind.REPEAT, from, to));
            }
            if (end > NOTHING) {
                cells.add(new Cell(Cell.Kind.END, length / 2 + count * repeat / 2, length));
            }
            return Optional.of(new RunDivision(repeat, cells));
        }
    }

    /**
     * Half a repeat at both ends, whole ones between: L = n·p again. Two sets of marks half a repeat apart, on the seam and on
     * the outer line, take turns: one at 0, p, 2p …, the other at p/2, 3p/2 … Cells end at the latter. Arcs have their feet
     * there and half an arc at both ends, its crown at the corner.
     *
     * @param count n, the two halves counted as one
     */
    record HalfSteps(int count) implements School {

        public HalfSteps {
            atLeastOne(count);
        }

        @Override
        public SchoolKind kind() {
            return SchoolKind.HALF_STEPS;
        }

        @Override
        public Optional<School> stepped(int by, double length) {
            return counted(count + by, HalfSteps::new);
        }

        @Override
        public Optional<RunDivision> divide(double length) {
            List<Cell> cells = new ArrayList<>();
            double at = 0;
            for (int i = 0; i <= count; i++) {
                double to = i == count ? length : length * (i + 0.5) / count;
                cells.add(new Cell(i == 0 || i == count ? Cell.Kind.HALF : Cell.Kind.REPEAT, at, to));
                at = to;
            }
            return Optional.of(new RunDivision(length / count, cells));
        }
    }

    /** Which repeats take what is left over. */
    sealed interface Spread {

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

    /** Repeats of a fixed length, and what is left over, e = L − n·p, spread over some of them alike. */
    record Fudged(double repeat, int count, Spread spread) implements School {

        public Fudged {
            checkRepeat(repeat);
            atLeastOne(count);
        }

        /** The numbers of the repeats that take it, from 1; none if there are no such. */
        private Set<Integer> taking() {
            if (spread instanceof Spread.Chosen chosen) {
                return chosen.numbers().stream().allMatch(k -> k >= 1 && k <= count) ? chosen.numbers() : Set.of();
            }
            int wide = count;
            if (spread instanceof Spread.RoundCentre round) {
                // As many as have their middle on the centre, and never the first or last.
                wide = Math.min(round.repeats(), count - 2);
                wide -= (count - wide) % 2;
            }
            Set<Integer> taking = new TreeSet<>();
            for (int i = 0; i < wide; i++) {
                taking.add((count - wide) / 2 + i + 1);
            }
            return taking;
        }

        @Override
        public SchoolKind kind() {
            return SchoolKind.FUDGED;
        }

        @Override
        public Optional<School> stepped(int by, double length) {
            return counted(count + by, more -> new Fudged(repeat, more, spread));
        }

        @Override
        public Optional<RunDivision> divide(double length) {
            Set<Integer> taking = taking();
            if (taking.isEmpty()) {
                return Optional.empty();
            }
            double more = (length - count * repeat) / taking.size();
            if (repeat + more <= NOTHING) {
                return Optional.empty();
            }
            List<Cell> cells = new ArrayList<>();
            double at = 0;
            int taken = 0;
            for (int k = 1; k <= count; k++) {
                taken += taking.contains(k) ? 1 : 0;
                double to = k == count ? length : k * repeat + taken * more;
                cells.add(new Cell(Cell.Kind.REPEAT, at, to));
                at = to;
            }
            return Optional.of(new RunDivision(repeat, cells));
        }
    }

    /**
     * Repeats that are a multiple or a simple fraction of the pieced unit, so that its seams serve as marks. The run has a
     * whole number of units, each a little longer or shorter than it was meant to be.
     *
     * @param unit as pieced
     * @param units to a repeat
     * @param parts a unit is shared by, for repeats smaller than it; 1 otherwise
     */
    record ByPiecing(double unit, int units, int parts) implements School {

        public ByPiecing {
            checkStep(unit);
            atLeastOne(units);
            atLeastOne(parts);
        }

        @Override
        public SchoolKind kind() {
            return SchoolKind.BY_PIECING;
        }

        @Override
        public Optional<School> stepped(int by, double length) {
            return next(
                    all(length, unit), by, s -> pieces(length) * s.parts() / s.units(), pieces(length) * parts / units);
        }

        /** The ways a repeat can be a multiple of the unit or a simple fraction, that come out on a run; fewest repeats first. */
        public static List<ByPiecing> all(double length, double unit) {
            long pieced = Math.round(length / unit);
            List<ByPiecing> found = new ArrayList<>();
            for (int units = 1; units <= MOST_UNITS; units++) {
                for (int parts = 1; parts <= MOST_PARTS; parts++) {
                    boolean lowest = BigInteger.valueOf(units)
                            .gcd(BigInteger.valueOf(parts))
                            .equals(BigInteger.ONE);
                    if (lowest && pieced >= 1 && pieced * parts % units == 0 && pieced * parts / units <= Counts.MOST) {
                        found.add(new ByPiecing(unit, units, parts));
                    }
                }
            }
            found.sort(Comparator.comparingDouble(s -> (double) s.parts / s.units));
            return found;
        }

        private long pieces(double length) {
            return Math.round(length / unit);
        }

        @Override
        public Optional<RunDivision> divide(double length) {
            long pieced = pieces(length);
            if (pieced < 1 || pieced * parts % units != 0) {
                return Optional.empty();
            }
            long count = pieced * parts / units;
            return count < 1 || count > Counts.MOST
                    ? Optional.empty()
                    : Optional.of(equal(length, unit * units / parts, (int) count));
        }
    }

    /**
     * A stencil's even marks run in from both ends; a repeat spans a whole number of them. The sliver that is left in the
     * middle, or lacking there, is merged into one mark: both repeats beside it take half of it, or the one round it all.
     * It is always less than one step; where the marks below or above it both make whole repeats, the smaller is taken.
     *
     * @param step from mark to mark
     * @param steps to a repeat
     */
    record ByIncrements(double step, int steps) implements School {

        public ByIncrements {
            checkStep(step);
            atLeastOne(steps);
        }

        @Override
        public SchoolKind kind() {
            return SchoolKind.BY_INCREMENTS;
        }

        @Override
        public Optional<School> stepped(int by, double length) {
            return next(all(length, step), by, s -> s.repeats(length), repeats(length));
        }

        /** All numbers of steps that come out on a run, fewest repeats first. */
        public static List<ByIncrements> all(double length, double step) {
            List<ByIncrements> found = new ArrayList<>();
            for (int steps = (int) Math.min(Counts.MOST, Math.ceil(length / step)); steps >= 1; steps--) {
                ByIncrements way = new ByIncrements(step, steps);
                long repeats = way.repeats(length);
                if (repeats >= 1 && repeats <= Counts.MOST) {
                    found.add(way);
                }
            }
            return found;
        }

        /**
         * What the marks from both ends leave between them in the middle of a run.
         *
         * @param length of a run that comes out, in inches
         * @return in inches; below 0 if it is lacking there
         */
        public double sliver(double length) {
            return length - marks(length).orElseThrow() * step;
        }

        private long repeats(double length) {
            return marks(length).orElse(0) / steps;
        }

        /** The spaces from mark to mark if they make whole repeats, and the sliver is less than one of them. */
        private OptionalLong marks(double length) {
            double spaces = length / step;
            return LongStream.of((long) Math.floor(spaces), (long) Math.ceil(spaces))
                    .filter(m -> m >= steps && m % steps == 0)
                    .boxed()
                    .min(Comparator.comparingDouble(m -> Math.abs(spaces - m)))
                    .map(OptionalLong::of)
                    .orElseGet(OptionalLong::empty);
        }

        @Override
        public Optional<RunDivision> divide(double length) {
            if (repeats(length) < 1 || repeats(length) > Counts.MOST) {
                return Optional.empty();
            }
            int count = (int) repeats(length);
            double repeat = step * steps;
            List<Cell> cells = new ArrayList<>();
            double at = 0;
            for (int k = 1; k <= count; k++) {
                // From the end that is nearer; a valley on the centre is the merged mark itself.
                double to = 2 * k == count ? length / 2 : 2 * k < count ? k * repeat : length - (count - k) * repeat;
                cells.add(new Cell(Cell.Kind.REPEAT, at, to));
                at = to;
            }
            return Optional.of(new RunDivision(repeat, cells));
        }
    }

    /**
     * Some valleys pinned by hand, the others spread evenly between those.
     *
     * @param pins where valleys stand, by their number from 1 to count − 1
     */
    record ByHand(int count, Map<Integer, Double> pins) implements School {

        public ByHand {
            atLeastOne(count);
            int most = count;
            pins = Map.copyOf(pins);
            if (!pins.values().stream().allMatch(along -> Math.abs(along) <= QuiltRules.LONGEST)) {
                throw new IllegalArgumentException("valleys are pinned at most 200 along");
            }
            if (!pins.keySet().stream().allMatch(k -> k > 0 && k < most)) {
                throw new IllegalArgumentException("only the valleys between the ends can be pinned");
            }
        }

        @Override
        public SchoolKind kind() {
            return SchoolKind.BY_HAND;
        }

        @Override
        public Optional<School> stepped(int by, double length) {
            return counted(count + by, more -> new ByHand(more, Map.of()));
        }

        @Override
        public Optional<RunDivision> divide(double length) {
            TreeMap<Integer, Double> fixed = new TreeMap<>(pins);
            fixed.put(0, 0.0);
            fixed.put(count, length);
            List<Cell> cells = new ArrayList<>();
            double at = 0;
            for (int k = 1; k <= count; k++) {
                Map.Entry<Integer, Double> before = fixed.lowerEntry(k);
                Map.Entry<Integer, Double> after = fixed.ceilingEntry(k);
                double part = (double) (k - before.getKey()) / (after.getKey() - before.getKey());
                double to = k == after.getKey()
                        ? after.getValue()
                        : before.getValue() + part * (after.getValue() - before.getValue());
                if (to <= at + NOTHING) {
                    return Optional.empty();
                }
                cells.add(new Cell(Cell.Kind.REPEAT, at, to));
                at = to;
            }
            return Optional.of(new RunDivision(length / count, cells));
        }
    }

    /** The way so many places further on in a list that is sorted by the count it gives, fewest first. */
    private static <S extends School> Optional<School> next(List<S> all, int by, ToLongFunction<S> count, long now) {
        List<S> further = all.stream()
                .filter(s -> by > 0 ? count.applyAsLong(s) > now : count.applyAsLong(s) < now)
                .toList();
        int index = by > 0 ? by - 1 : further.size() + by;
        return index >= 0 && index < further.size() ? Optional.of(further.get(index)) : Optional.empty();
    }

    private static RunDivision equal(double length, double meant, int count) {
        List<Cell> cells = new ArrayList<>();
        double at = 0;
        for (int i = 1; i <= count; i++) {
            double to = i == count ? length : length * i / count;
            cells.add(new Cell(Cell.Kind.REPEAT, at, to));
            at = to;
        }
        return new RunDivision(meant, cells);
    }

    /** A school with another count, if there can be so many. */
    private static Optional<School> counted(int count, IntFunction<School> make) {
        return count < 1 || count > Counts.MOST ? Optional.empty() : Optional.of(make.apply(count));
    }

    private static void atLeastOne(int count) {
        if (count < 1 || count > Counts.MOST) {
            throw new IllegalArgumentException("a count of " + count + " isn't between 1 and " + Counts.MOST);
        }
    }

    private static void checkRepeat(double inches) {
        if (!QuiltRules.isLength(inches)) {
            throw new IllegalArgumentException("a repeat's length is 0.01 to 200, not " + inches);
        }
    }

    private static void checkStep(double inches) {
        if (!QuiltRules.isStep(inches)) {
            throw new IllegalArgumentException("units and steps are 1/32 to 200, not " + inches);
        }
    }
}
