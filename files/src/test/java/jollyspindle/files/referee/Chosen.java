package jollyspindle.files.referee;

import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;

/** Motifs chosen otherwise: one thing about them or two, near to what it was. */
final class Chosen {

    private static final int TRIES = 40;

    private Chosen() {}

    /** Another motif of the same kind; itself if nothing else is found that can be made. */
    static AreaMotif otherwise(AreaMotif motif, Random random) {
        return changed(motif, AreaMotifTypes.of(motif).params(), random);
    }

    @SuppressWarnings("unchecked") // A motif's own params.
    private static <M extends AreaMotif> AreaMotif changed(AreaMotif motif, Params<M> params, Random random) {
        if (params.all().isEmpty()) {
            return motif;
        }
        for (int i = 0; i < TRIES; i++) {
            try {
                M other = (M) motif;
                for (int times = random.nextInt(2); times >= 0; times--) {
                    other = changed(
                            other, params.all().get(random.nextInt(params.all().size())), params, random);
                }
                if (!other.equals(motif)) {
                    return other;
                }
            } catch (IllegalArgumentException e) {
                // It isn't allowed beside the rest: another try.
                continue;
            }
        }
        return motif;
    }

    private static <M, T> M changed(M motif, Param<M, T> param, Params<M> params, Random random) {
        @SuppressWarnings("unchecked") // It is of the param's own kind.
        T value = (T) value(param, param.of(motif), random);
        return params.with(motif, param, value);
    }

    private static Object value(Param<?, ?> param, Object was, Random random) {
        if (param instanceof Param.Length) {
            return length((Double) was, random);
        } else if (param instanceof Param.MaybeLength) {
            OptionalDouble there = (OptionalDouble) was;
            return there.isPresent() && random.nextInt(3) == 0
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(length(there.orElse(2), random));
        } else if (param instanceof Param.Angle<?> angle) {
            return Math.toRadians(angle.least() + (angle.most() - angle.least()) * random.nextDouble());
        } else if (param instanceof Param.Decimal) {
            return (Double) was * (0.5 + random.nextDouble());
        } else if (param instanceof Param.Whole) {
            return (Integer) was + random.nextInt(7) - 3;
        } else if (param instanceof Param.MaybeWhole) {
            return OptionalInt.of(((OptionalInt) was).orElse(3) + random.nextInt(5) - 2);
        } else if (param instanceof Param.Flag) {
            return !(Boolean) was;
        } else if (param instanceof Param.Choice<?, ?> choice) {
            List<?> values = choice.values();
            return values.get(random.nextInt(values.size()));
        }
        return was;
    }

    /** Half as long to twice as long, every third time in eighths. */
    private static double length(double was, Random random) {
        double other = was == 0 ? 2 * random.nextDouble() : was * (0.5 + 1.5 * random.nextDouble());
        return random.nextInt(3) == 0 ? Math.rint(other * 8) / 8 : other;
    }
}
