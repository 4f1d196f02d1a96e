package jollyspindle.core.param;

import jollyspindle.core.text.Guards;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * One thing that is chosen about another. Of the ranges, both ends are allowed.
 *
 * <p>The page is long because each kind of param is a record of it, and {@link Visitor} must know them all.
 *
 * @param <M> what it is chosen about
 * @param <T> what is chosen
 */
public sealed interface Param<M, T> {

    /** Its lasting name, by which files keep it; never shown. */
    String code();

    /** What is chosen about something. */
    T of(M about);

    /** What holds where nothing is said; empty if something must be. */
    Optional<T> usual();

    /** Whether it can be chosen at all, as the rest stands. */
    default boolean applies(M about) {
        return true;
    }

    /** Does what is to be done with its kind. */
    <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X;

    /**
     * What is done with each kind of param.
     *
     * @param <M> what it is chosen about
     * @param <R> what comes of it
     * @param <X> what it may throw
     */
    interface Visitor<M, R, X extends Exception> {

        R length(Length<M> param) throws X;

        R maybeLength(MaybeLength<M> param) throws X;

        R angle(Angle<M> param) throws X;

        R decimal(Decimal<M> param) throws X;

        R whole(Whole<M> param) throws X;

        R maybeWhole(MaybeWhole<M> param) throws X;

        R flag(Flag<M> param) throws X;

        <E extends Enum<E>> R choice(Choice<M, E> param) throws X;

        <E extends Enum<E>> R maybeChoice(MaybeChoice<M, E> param) throws X;

        R lengths(Lengths<M> param) throws X;

        R text(Text<M> param) throws X;

        R maybeText(MaybeText<M> param) throws X;

        <T> R own(Own<M, T> param) throws X;
    }

    /**
     * A number with a range.
     *
     * @param <M> what it is chosen about
     * @param <T> its kind
     */
    sealed interface Ranged<M, T> extends Param<M, T> {

        double least();

        double most();

        /** Whether a number lies in the range; one that is none does not. */
        default boolean allows(double number) {
            return number >= least() && number <= most();
        }

        /**
         * Makes sure that a number lies in the range.
         *
         * @throws RefusedValue if it doesn't
         */
        default void check(double number) {
            if (!allows(number)) {
                throw new RefusedValue(code(), Guards.outside(code(), least(), most(), number));
            }
        }
    }

    /**
     * A length in inches.
     *
     * @param room the range as the rest stands, for what can't be chosen by itself
     * @param none whether 0 means that there is none, and is shown as nothing
     */
    record Length<M>(
            String code,
            double least,
            double most,
            Function<M, Double> get,
            Optional<Double> usual,
            Function<M, Room> room,
            boolean none)
            implements Ranged<M, Double> {

        @Override
        public Double of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.length(this);
        }

        /** One that need not be said. */
        public Length<M> usually(double inches) {
            return new Length<>(code, least, most, get, Optional.of(inches), room, none);
        }

        /** One that there is none of where it is 0. */
        public Length<M> orNone() {
            return new Length<>(code, least, most, get, usual, room, true);
        }
    }

    /**
     * What a length can be at the moment, in inches.
     *
     * @param least both ends are allowed
     */
    record Room(double least, double most) {}

    /**
     * A length in inches, or none.
     *
     * @param room the range as the rest stands, for what can't be chosen by itself
     */
    record MaybeLength<M>(
            String code, double least, double most, Function<M, OptionalDouble> get, Function<M, Room> room)
            implements Ranged<M, OptionalDouble> {

        @Override
        public OptionalDouble of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.maybeLength(this);
        }

        @Override
        public Optional<OptionalDouble> usual() {
            return Optional.of(OptionalDouble.empty());
        }
    }

    /** An angle in radians; its range, and what files keep, in degrees. */
    record Angle<M>(String code, double least, double most, Function<M, Double> get, Optional<Double> usual)
            implements Ranged<M, Double> {

        @Override
        public Double of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.angle(this);
        }
    }

    /** A number that has no unit and need not be whole. */
    record Decimal<M>(String code, double least, double most, Function<M, Double> get, Optional<Double> usual)
            implements Ranged<M, Double> {

        @Override
        public Double of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.decimal(this);
        }

        /** One that need not be said. */
        public Decimal<M> usually(double number) {
            return new Decimal<>(code, least, most, get, Optional.of(number));
        }
    }

    /** A whole number. */
    record Whole<M>(String code, double least, double most, Function<M, Integer> get, Optional<Integer> usual)
            implements Ranged<M, Integer> {

        @Override
        public Integer of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.whole(this);
        }

        /** One that need not be said. */
        public Whole<M> usually(int number) {
            return new Whole<>(code, least, most, get, Optional.of(number));
        }
    }

    /**
     * A whole number, or none.
     *
     * @param odd whether it is an odd one
     */
    record MaybeWhole<M>(String code, double least, double most, boolean odd, Function<M, OptionalInt> get)
            implements Ranged<M, OptionalInt> {

        @Override
        public OptionalInt of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.maybeWhole(this);
        }

        @Override
        public Optional<OptionalInt> usual() {
            return Optional.of(OptionalInt.empty());
        }
    }

    /**
     * Yes or no.
     *
     * @param when whether it can be chosen, as the rest stands
     */
    record Flag<M>(String code, Function<M, Boolean> get, Optional<Boolean> usual, Predicate<M> when)
            implements Param<M, Boolean> {

        @Override
        public Boolean of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.flag(this);
        }

        @Override
        public boolean applies(M about) {
            return when.test(about);
        }

        /** One that can be chosen only now and then. */
        public Flag<M> when(Predicate<M> other) {
            return new Flag<>(code, get, usual, other);
        }
    }

    /**
     * One of a few.
     */
    record Choice<M, E extends Enum<E>>(String code, Class<E> type, Function<M, E> get, Optional<E> usual)
            implements Param<M, E> {

        @Override
        public E of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.choice(this);
        }

        /** One that need not be said. */
        public Choice<M, E> usually(E value) {
            return new Choice<>(code, type, get, Optional.of(value));
        }

        public List<E> values() {
            return List.of(type.getEnumConstants());
        }
    }

    /** One of a few, or none. */
    record MaybeChoice<M, E extends Enum<E>>(String code, Class<E> type, Function<M, Optional<E>> get)
            implements Param<M, Optional<E>> {

        @Override
        public Optional<E> of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.maybeChoice(this);
        }

        @Override
        public Optional<Optional<E>> usual() {
            return Optional.of(Optional.empty());
        }

        public List<E> values() {
            return List.of(type.getEnumConstants());
        }
    }

    /**
     * Some lengths in inches.
     *
     * @param mostOfThem how many there can be
     */
    record Lengths<M>(
            String code,
            double least,
            double most,
            int mostOfThem,
            Function<M, List<Double>> get,
            Optional<List<Double>> usual)
            implements Ranged<M, List<Double>> {

        @Override
        public List<Double> of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.lengths(this);
        }
    }

    /**
     * Some words of the quilter's.
     *
     * @param least how many characters there must be, in {@code char}s, without blanks at the ends
     * @param most how many there can be in all
     */
    record Text<M>(String code, int least, int most, Function<M, String> get, Optional<String> usual)
            implements Param<M, String> {

        @Override
        public String of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.text(this);
        }

        /** One that need not be said. */
        public Text<M> usually(String words) {
            return new Text<>(code, least, most, get, Optional.of(words));
        }

        /** Whether there can be such words. */
        public boolean allows(String words) {
            return words.strip().length() >= least && words.length() <= most;
        }

        /**
         * Makes sure that there can be such words.
         *
         * @throws RefusedValue if they are too few or too many
         */
        public void check(String words) {
            if (!allows(words)) {
                throw new RefusedValue(code, Guards.length(code, least, most, words));
            }
        }
    }

    /** The lasting name of something else, such as a template, or none. */
    record MaybeText<M>(String code, Function<M, Optional<String>> get) implements Param<M, Optional<String>> {

        @Override
        public Optional<String> of(M about) {
            return get.apply(about);
        }

        @Override
        public Optional<Optional<String>> usual() {
            return Optional.of(Optional.empty());
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.maybeText(this);
        }
    }

    /**
     * Something of its own kind, which files and forms treat each in their way.
     *
     * @param type what it is
     */
    record Own<M, T>(String code, Class<?> type, Function<M, T> get, Optional<T> usual) implements Param<M, T> {

        @Override
        public T of(M about) {
            return get.apply(about);
        }

        /** One that need not be said. */
        public Own<M, T> usually(T value) {
            return new Own<>(code, type, get, Optional.of(value));
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.own(this);
        }
    }

    static <M> Length<M> length(String code, double least, double most, Function<M, Double> get) {
        return new Length<>(code, least, most, get, Optional.empty(), m -> new Room(least, most), false);
    }

    /** A length whose range hangs on what else is chosen; in a file it may lie anywhere from least to most. */
    static <M> Length<M> length(
            String code, double least, double most, Function<M, Double> get, Function<M, Room> room) {
        return new Length<>(code, least, most, get, Optional.empty(), room, false);
    }

    static <M> MaybeLength<M> maybeLength(String code, double least, double most, Function<M, OptionalDouble> get) {
        return new MaybeLength<>(code, least, most, get, m -> new Room(least, most));
    }

    /** A length, or none, whose range hangs on what else is chosen. */
    static <M> MaybeLength<M> maybeLength(
            String code, double least, double most, Function<M, OptionalDouble> get, Function<M, Room> room) {
        return new MaybeLength<>(code, least, most, get, room);
    }

    static <M> Angle<M> angle(String code, double least, double most, Function<M, Double> get) {
        return new Angle<>(code, least, most, get, Optional.empty());
    }

    /** An angle that need not be said. */
    static <M> Angle<M> angle(String code, double least, double most, Function<M, Double> get, double usual) {
        return new Angle<>(code, least, most, get, Optional.of(usual));
    }

    static <M> Whole<M> whole(String code, int least, int most, Function<M, Integer> get) {
        return new Whole<>(code, least, most, get, Optional.empty());
    }

    static <M> MaybeWhole<M> maybeWhole(String code, int least, int most, Function<M, OptionalInt> get) {
        return new MaybeWhole<>(code, least, most, false, get);
    }

    static <M> MaybeWhole<M> maybeOdd(String code, int least, int most, Function<M, OptionalInt> get) {
        return new MaybeWhole<>(code, least, most, true, get);
    }

    static <M> Decimal<M> decimal(String code, double least, double most, Function<M, Double> get) {
        return new Decimal<>(code, least, most, get, Optional.empty());
    }

    /** Some lengths, at least one of them. */
    static <M> Lengths<M> lengths(
            String code, double least, double most, int mostOfThem, Function<M, List<Double>> get) {
        return new Lengths<>(code, least, most, mostOfThem, get, Optional.empty());
    }

    /** Some lengths, as usual none. */
    static <M> Lengths<M> maybeLengths(
            String code, double least, double most, int mostOfThem, Function<M, List<Double>> get) {
        return new Lengths<>(code, least, most, mostOfThem, get, Optional.of(List.of()));
    }

    static <M> Text<M> text(String code, int least, int most, Function<M, String> get) {
        return new Text<>(code, least, most, get, Optional.empty());
    }

    static <M> MaybeText<M> maybeText(String code, Function<M, Optional<String>> get) {
        return new MaybeText<>(code, get);
    }

    static <M> Flag<M> flag(String code, Function<M, Boolean> get) {
        return new Flag<>(code, get, Optional.empty(), m -> true);
    }

    /** Yes or no, which need not be said. */
    static <M> Flag<M> flag(String code, Function<M, Boolean> get, boolean usual) {
        return new Flag<>(code, get, Optional.of(usual), m -> true);
    }

    /** One of a few, which files keep by their lasting names. */
    static <M, E extends Enum<E>> Choice<M, E> choice(String code, Class<E> type, Function<M, E> get) {
        return new Choice<>(code, type, get, Optional.empty());
    }

    /** One of a few, which need not be said. */
    static <M, E extends Enum<E>> Choice<M, E> choice(String code, Class<E> type, Function<M, E> get, E usual) {
        return new Choice<>(code, type, get, Optional.of(usual));
    }

    static <M, E extends Enum<E>> MaybeChoice<M, E> maybeChoice(
            String code, Class<E> type, Function<M, Optional<E>> get) {
        return new MaybeChoice<>(code, type, get);
    }

    /** Something of its own kind. */
    static <M, T> Own<M, T> own(String code, Class<?> type, Function<M, T> get) {
        return new Own<>(code, type, get, Optional.empty());
    }
}
