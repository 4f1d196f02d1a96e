package jollyspindle.desktop.control;

import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.function.IntConsumer;
import javafx.scene.Node;

/** Makes fields for the numbers and choices of a motif. */
public class EntryFields {

    protected final Workbench bench;

    public EntryFields(Workbench bench) {
        this.bench = bench;
    }

    /**
     * An angle.
     *
     * @param now in radians, as what is taken
     * @param hint what is said besides the range
     */
    public Node degrees(
            String id, String name, double now, double least, double most, String hint, Consumer<Double> take) {
        TypedField field = new TypedField(id, name, text -> {
            try {
                double degrees =
                        Double.parseDouble(text.strip().replace("°", "").replace(',', '.'));
                if (degrees >= least && degrees <= most) {
                    take.accept(Math.toRadians(degrees));
                    return Optional.empty();
                }
            } catch (NumberFormatException e) {
                // Told below, as a number out of range is.
            }
            return Optional.of(
                    Said.say("field.degrees", "typed", text.strip(), "least", least, "most", most, "hint", hint));
        });
        double degrees = Math.rint(Math.toDegrees(now) * 100) / 100;
        field.show(degrees == Math.rint(degrees) ? Long.toString(Math.round(degrees)) : Double.toString(degrees));
        return field;
    }

    /** A number in a range that need not be whole. */
    public Node number(String id, String name, double now, double least, double most, DoubleConsumer take) {
        TypedField field = new TypedField(id, name, text -> {
            try {
                double number = Double.parseDouble(text.strip().replace(',', '.'));
                if (number >= least && number <= most) {
                    take.accept(number);
                    return Optional.empty();
                }
            } catch (NumberFormatException e) {
                // Told below, as a number out of range is.
            }
            return Optional.of(
                    Said.say("field.number", "typed", text.strip(), "least", plain(least), "most", plain(most)));
        });
        field.show(plain(now));
        return field;
    }

    /** A number as it is typed. */
    protected static String plain(double number) {
        return String.format(Locale.ROOT, "%.4f", number).replaceAll("\\.?0+$", "");
    }

    /** A length in a range. */
    public Node length(
            String id,
            String name,
            boolean mayBeEmpty,
            OptionalDouble now,
            double least,
            double most,
            Consumer<OptionalDouble> take) {
        LengthField field = new LengthField(
                        id,
                        name,
                        mayBeEmpty,
                        () -> bench.job().tape(),
                        inches -> inches >= least && inches <= most
                                ? tooMuch(
                                                now.orElse(most),
                                                inches,
                                                bench.job().tape().tick(),
                                                d -> take.accept(OptionalDouble.of(d)),
                                                bench.words()::exact)
                                        .map(Words::capital)
                                : Optional.of(Said.say(bench.words(), "field.between", "least", least, "most", most)),
                        take)
                .compact();
        field.show(now);
        return field;
    }

    /** A whole number in a range. */
    public Node whole(String id, String name, int now, int least, int most, IntConsumer take) {
        TypedField field = new TypedField(id, name, text -> {
            try {
                int number = Integer.parseInt(text.strip());
                if (number >= least && number <= most) {
                    Optional<String> tooMuch =
                            tooMuch(now, number, 1, n -> take.accept((int) n), n -> Long.toString(Math.round(n)));
                    if (tooMuch.isEmpty()) {
                        take.accept(number);
                    }
                    return tooMuch.map(why -> "“" + text.strip() + "”: " + why);
                }
            } catch (NumberFormatException e) {
                // Told below, as a number out of range is.
            }
            return Optional.of(Said.say("field.whole", "typed", text.strip(), "least", least, "most", most));
        });
        field.show(Integer.toString(now));
        return field;
    }

    /**
     * Why a number would be too much to plan, with the one next to it that wouldn't. What is taken must go through the
     * workbench and do nothing else, since it is tried.
     *
     * @param good a number that isn't too much
     * @param unit numbers go in steps of
     * @param said how a number is told
     */
    private Optional<String> tooMuch(
            double good, double asked, double unit, DoubleConsumer take, DoubleFunction<String> said) {
        // What stands there already needn't be tried, and it is shown rounded.
        boolean stands = Math.abs(asked - good) < unit / 2;
        Optional<String> why = stands ? Optional.empty() : bench.tooMuch(() -> take.accept(asked));
        if (why.isEmpty()) {
            return Optional.empty();
        }
        double goes = Math.rint(good / unit);
        double doesnt = asked / unit;
        while (Math.abs(goes - doesnt) > 1) {
            double middle = Math.floor((goes + doesnt) / 2);
            if (middle == goes || middle == doesnt) {
                break;
            }
            if (bench.tooMuch(() -> take.accept(middle * unit)).isPresent()) {
                doesnt = middle;
            } else {
                goes = middle;
            }
        }
        return Optional.of(Said.say(
                "field.too-much", "why", why.get(), "number", said.apply(goes * unit), "greater", asked > good));
    }

    public static Node check(String id, String name, boolean now, Consumer<Boolean> take) {
        return new CheckField(id, name, now, take);
    }

    /** One of a few. */
    public <T> Node choice(String id, String name, List<T> values, T now, Function<T, String> said, Consumer<T> take) {
        return Labelled.of(name, new ChoiceField<>(id, name, values, now, said, take));
    }
}
