package jollyspindle.core.param;

import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
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
        for (int i = 0; i < TRIES; i++) {
            RandomValues<M> some = new RandomValues<>(random);
            params.all().forEach(param -> param.accept(some));
            try {
                return params.make().apply(some.values);
            } catch (IllegalArgumentException e) {
                // Others are tried.
            }
        }
        throw new IllegalStateException("no values that go together");
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
    public Void maybeOdd(Param.MaybeOdd<M> param) {
        values.put(
                param,
                random.nextBoolean() ? OptionalInt.empty() : OptionalInt.of(whole((Param.Ranged<M, ?>) param) | 1));
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
