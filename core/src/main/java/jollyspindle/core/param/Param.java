package jollyspindle.core.param;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * One thing that is chosen about another. Of the ranges, both ends are allowed.
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

        R maybeOdd(MaybeOdd<M> param) throws X;

        R flag(Flag<M> param) throws X;

        <E extends Enum<E>> R choice(Choice<M, E> param) throws X;

        R lengths(Lengths<M> param) throws X;

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

    /** A length in inches, or none. */
    record MaybeLength<M>(String code, double least, double most, Function<M, OptionalDouble> get)
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
    record Decimal<M>(String code, double least, double most, Function<M, Double> get) implements Ranged<M, Double> {

        @Override
        public Double of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.decimal(this);
        }

        @Override
        public Optional<Double> usual() {
            return Optional.empty();
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

    /** An odd number, or none. */
    record MaybeOdd<M>(String code, double least, double most, Function<M, OptionalInt> get)
            implements Ranged<M, OptionalInt> {

        @Override
        public OptionalInt of(M about) {
            return get.apply(about);
        }

        @Override
        public <R, X extends Exception> R accept(Visitor<M, R, X> visitor) throws X {
            return visitor.maybeOdd(this);
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
    record Own<M, T>(String code, Class<?> type, Function<M, T> get) implements Param<M, T> {

        @Override
        public T of(M about) {
            return get.apply(about);
        }

        @Override
        public Optional<T> usual() {
            return Optional.empty();
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
        return new MaybeLength<>(code, least, most, get);
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

    static <M> MaybeOdd<M> maybeOdd(String code, int least, int most, Function<M, OptionalInt> get) {
        return new MaybeOdd<>(code, least, most, get);
    }

    static <M> Decimal<M> decimal(String code, double least, double most, Function<M, Double> get) {
        return new Decimal<>(code, least, most, get);
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
}
