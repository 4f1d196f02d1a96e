package jollyspindle.core.param;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * All that is chosen about a thing, and how it is made of that.
 *
 * @param <M> the thing
 * @param rows the params as a form shows them, those of a row side by side
 * @param all the params as files keep them
 * @param make makes the thing of a value for each
 * @param brief those that files leave out while they are as usual, unless something holds of the thing
 */
public record Params<M>(
        List<List<Param<M, ?>>> rows,
        List<Param<M, ?>> all,
        Function<Values<M>, M> make,
        Map<Param<M, ?>, Predicate<M>> brief) {

    public Params {
        rows = rows.stream().map(List::copyOf).toList();
        all = List.copyOf(all);
        brief = Map.copyOf(brief);
        List<Param<M, ?>> shown = rows.stream().flatMap(List::stream).toList();
        if (shown.size() != all.size() || !shown.containsAll(all)) {
            throw new IllegalArgumentException("rows show each param once");
        }
        if (all.stream().map(Param::code).distinct().count() != all.size()) {
            throw new IllegalArgumentException("params have names of their own");
        }
    }

    /** Those in a row of a form. */
    @SafeVarargs
    @SuppressWarnings("varargs")
    public static <M> List<Param<M, ?>> row(Param<M, ?>... params) {
        return List.of(params);
    }

    /** Params that a form shows in these rows, and files keep in the same order. */
    @SafeVarargs
    @SuppressWarnings("varargs")
    public static <M> Params<M> of(Function<Values<M>, M> make, List<Param<M, ?>>... rows) {
        List<List<Param<M, ?>>> all = List.of(rows);
        return new Params<>(all, all.stream().flatMap(List::stream).toList(), make, Map.of());
    }

    /** The whole numbers among them. */
    @SuppressWarnings("unchecked") // All are chosen about the same.
    public List<Param.Whole<M>> wholes() {
        return all.stream()
                .filter(Param.Whole.class::isInstance)
                .map(param -> (Param.Whole<M>) param)
                .toList();
    }

    /** The lengths among them. */
    @SuppressWarnings("unchecked") // All are chosen about the same.
    public List<Param.Length<M>> lengths() {
        return all.stream()
                .filter(Param.Length.class::isInstance)
                .map(param -> (Param.Length<M>) param)
                .toList();
    }

    /** These params, kept in files in another order. */
    @SafeVarargs
    @SuppressWarnings("varargs")
    public final Params<M> kept(Param<M, ?>... order) {
        return new Params<>(rows, List.of(order), make, brief);
    }

    /** These params, of which files leave one out while it is as usual. */
    public Params<M> brief(Param<M, ?> param) {
        return brief(param, thing -> false);
    }

    /** These params, of which files leave one out while it is as usual, unless something holds of the thing. */
    public Params<M> brief(Param<M, ?> param, Predicate<M> unless) {
        Map<Param<M, ?>, Predicate<M>> more = new HashMap<>(brief);
        more.put(param, unless);
        return new Params<>(rows, all, make, more);
    }

    /** Whether files leave a param of a thing out. */
    public boolean isLeftOut(Param<M, ?> param, M thing) {
        Predicate<M> unless = brief.get(param);
        return unless != null && !unless.test(thing) && param.usual().equals(Optional.of(param.of(thing)));
    }

    /**
     * The thing with all that is usual.
     *
     * @throws java.util.NoSuchElementException if something must be said of it
     */
    public M usual() {
        Values<M> values = new Values<>();
        all.forEach(param -> asUsual(param, values));
        return make.apply(values);
    }

    /** The param with a lasting name. */
    public Param<M, ?> get(String code) {
        return all.stream()
                .filter(param -> param.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    /** What is chosen about a thing. */
    public Values<M> values(M of) {
        Values<M> values = new Values<>();
        all.forEach(param -> copy(param, of, values));
        return values;
    }

    private static <M, T> void copy(Param<M, T> param, M from, Values<M> to) {
        to.put(param, param.of(from));
    }

    /**
     * A thing with another value of one param. Another one that doesn't go with it any more is as usual again.
     *
     * @throws IllegalArgumentException if that can't be
     */
    public <T> M with(M thing, Param<M, T> param, T value) {
        Values<M> values = values(thing).put(param, value);
        try {
            return make.apply(values);
        } catch (RefusedValue e) {
            Param<M, ?> other = all.stream()
                    .filter(p ->
                            p != param && p.code().equals(e.code()) && p.usual().isPresent())
                    .findFirst()
                    .orElseThrow(() -> e);
            asUsual(other, values);
            return make.apply(values);
        }
    }

    /** The first param whose value two things differ in; nothing if they are alike. */
    public Optional<Param<M, ?>> changed(M was, M now) {
        return all.stream()
                .filter(param -> !param.of(was).equals(param.of(now)))
                .findFirst();
    }

    private static <M, T> void asUsual(Param<M, T> param, Values<M> values) {
        values.put(param, param.usual().orElseThrow());
    }
}
