package jollyspindle.core.param;

import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/**
 * Values at random, over the whole range of each param and often at its ends.
 *
 * @param <M> what they are chosen about
 */
public final class RandomValues<M> implements Param.Visitor<M, Void, RuntimeException> {

    private static final int TRIES = 200;

    private final Random random;
    private final Values<M> values = new Values<>();

    private RandomValues(Random random) {
        this.random = random;
    }

    /** A thing with all its params at random; of values that don't go together others are tried. */
    public static <M> M thing(Params<M> params, Random random) {
        return thing(params, random, RefusedValue.class);
    }

    /**
     * The same of something that refuses what doesn't go together in another way.
     *
     * @param refusal how; what is thrown otherwise is a fault
     */
    public static <M> M thing(Params<M> params, Random random, Class<? extends IllegalArgumentException> refusal) {
        for (int i = 0; i < TRIES; i++) {
            RandomValues<M> some = new RandomValues<>(random);
            params.all().forEach(param -> param.accept(some));
            try {
                return params.make().apply(some.values);
            } catch (IllegalArgumentException e) {
                // Others are tried.
                assertThat(e).isInstanceOf(refusal);
            }
        }
        throw new IllegalStateException("no values that go together");
    }

    /**
     * Checks that a thing is made of what its params say, and that each can be changed by itself, or is refused with a reason.
     *
     * @param refusal how a value is refused that doesn't go with the others
     * @return a thing with all its params at random
     */
    public static <M> M check(Params<M> params, Random random, Class<? extends IllegalArgumentException> refusal) {
        M thing = thing(params, random, refusal);
        assertThat(params.make().apply(params.values(thing))).isEqualTo(thing);
        M other = thing(params, random, refusal);
        params.all().forEach(param -> changed(params, thing, param, other, refusal));
        return thing;
    }

    private static <M, T> void changed(
            Params<M> params, M thing, Param<M, T> param, M from, Class<? extends IllegalArgumentException> refusal) {
        T value = param.of(from);
        try {
            assertThat(param.of(params.with(thing, param, value))).isEqualTo(value);
        } catch (IllegalArgumentException e) {
            assertThat(e).isInstanceOf(refusal).hasMessageMatching("[a-z0-9].*[^.]");
        }
    }

    private double within(Param.Ranged<M, ?> param) {
        return switch (random.nextInt(8)) {
            case 0 -> param.least();
            case 1 -> param.most();
            default -> param.least() + random.nextDouble() * (param.most() - param.least());
        };
    }

    private int whole(Param.Ranged<M, ?> param) {
        return (int) Math.round(within(param));
    }

    @Override
    public Void length(Param.Length<M> param) {
        values.put(param, within(param));
        return null;
    }

    @Override
    public Void maybeLength(Param.MaybeLength<M> param) {
        values.put(param, random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(within(param)));
        return null;
    }

    @Override
    public Void angle(Param.Angle<M> param) {
        values.put(param, Math.toRadians(within(param)));
        return null;
    }

    @Override
    public Void decimal(Param.Decimal<M> param) {
        values.put(param, within(param));
        return null;
    }

    @Override
    public Void whole(Param.Whole<M> param) {
        values.put(param, whole((Param.Ranged<M, ?>) param));
        return null;
    }

    @Override
    public Void maybeWhole(Param.MaybeWhole<M> param) {
        int number = whole((Param.Ranged<M, ?>) param);
        values.put(
                param, random.nextBoolean() ? OptionalInt.empty() : OptionalInt.of(param.odd() ? number | 1 : number));
        return null;
    }

    @Override
    public Void flag(Param.Flag<M> param) {
        values.put(param, random.nextBoolean());
        return null;
    }

    @Override
    public <E extends Enum<E>> Void choice(Param.Choice<M, E> param) {
        values.put(param, param.values().get(random.nextInt(param.values().size())));
        return null;
    }

    @Override
    public <E extends Enum<E>> Void maybeChoice(Param.MaybeChoice<M, E> param) {
        values.put(
                param,
                random.nextBoolean()
                        ? Optional.empty()
                        : Optional.of(
                                param.values().get(random.nextInt(param.values().size()))));
        return null;
    }

    @Override
    public Void text(Param.Text<M> param) {
        int length = param.least() + random.nextInt(param.most() - param.least() + 1);
        values.put(
                param,
                Stream.generate(() -> "aé“\\\"".charAt(random.nextInt(5)))
                        .limit(length)
                        .map(String::valueOf)
                        .collect(Collectors.joining()));
        return null;
    }

    @Override
    public Void lengths(Param.Lengths<M> param) {
        int least = param.usual().isPresent() ? 0 : 1;
        values.put(
                param,
                random.doubles(least + random.nextInt(4), param.least(), param.most())
                        .boxed()
                        .toList());
        return null;
    }

    @Override
    @SuppressWarnings("unchecked") // What is made is of the param's type.
    public <T> Void own(Param.Own<M, T> param) {
        values.put(param, (T) own(param.type()));
        return null;
    }

    private Object own(Class<?> type) {
        if (type == OutlineForm.Corner.class) {
            return Stream.generate(() -> new OutlineForm.Corner(
                            coordinate(), coordinate(), random.nextBoolean() ? 0 : random.nextDouble() - 0.5))
                    .limit(2 + random.nextInt(6))
                    .toList();
        }
        if (type == Filling.class) {
            return List.of(
                            new Filling.LargerArc("some-" + random.nextInt(9), "bulging"),
                            new Filling.TwoHalfArcs(),
                            new Filling.OwnMotif(),
                            new Filling.Plain())
                    .get(random.nextInt(4));
        }
        if (type == Spread.class) {
            return List.of(
                            new Spread.All(),
                            new Spread.RoundCentre(1 + random.nextInt(Counts.MOST)),
                            new Spread.Chosen(Set.of(1, 2 + random.nextInt(9))))
                    .get(random.nextInt(3));
        }
        if (type == Point.class) {
            return new Point(coordinate(), coordinate());
        }
        if (type == Area.Corners.class) {
            return List.of(new Point(0, 0), new Point(1 + random.nextInt(9), 0), new Point(0, 1 + random.nextInt(9)));
        }
        if (type == LocalDate.class) {
            return LocalDate.ofEpochDay(random.nextInt(40_000));
        }
        if (type == FootMeasurement.class) {
            // A measured radius would stand in for the one that is chosen.
            return List.of();
        }
        assertThat(type).isEqualTo(Map.class);
        return random.nextBoolean()
                ? Map.of()
                : Map.of(1 + random.nextInt(20), (random.nextDouble() - 0.5) * 2 * QuiltRules.LONGEST);
    }

    private double coordinate() {
        return (random.nextDouble() - 0.5) * 2 * Form.LARGEST;
    }

    @Override
    public Void maybeText(Param.MaybeText<M> param) {
        values.put(param, random.nextBoolean() ? Optional.empty() : Optional.of("some-" + random.nextInt(9)));
        return null;
    }
}
