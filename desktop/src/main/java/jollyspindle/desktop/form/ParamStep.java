package jollyspindle.desktop.form;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.words.ParamWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.words.Said;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/**
 * Says what was changed about a thing, and to what.
 *
 * @param <M> the thing
 * @param now as it is after the change
 */
public record ParamStep<M>(ParamWords names, Words words, M now) implements Param.Visitor<M, String, RuntimeException> {

    /**
     * What was changed.
     *
     * @param kind the lasting name of the kind of thing
     * @return nothing if the two are alike
     */
    public static <M> Optional<String> of(Params<M> params, String kind, M was, M now, Words words) {
        ParamWords names = new ParamWords(kind);
        return params.changed(was, now)
                .map(param -> Said.say(
                        "step.param",
                        "what",
                        names.name(param).toLowerCase(Locale.ROOT),
                        "value",
                        param.accept(new ParamStep<>(names, words, now))));
    }

    private static String any() {
        return Said.say("step.any");
    }

    private static String number(double number) {
        return number == Math.rint(number) ? Long.toString(Math.round(number)) : Double.toString(number);
    }

    @Override
    public String length(Param.Length<M> param) {
        return words.exact(param.of(now));
    }

    @Override
    public String maybeLength(Param.MaybeLength<M> param) {
        OptionalDouble inches = param.of(now);
        return inches.isPresent() ? words.exact(inches.getAsDouble()) : any();
    }

    @Override
    public String angle(Param.Angle<M> param) {
        return Words.degrees(param.of(now));
    }

    @Override
    public String decimal(Param.Decimal<M> param) {
        return number(param.of(now));
    }

    @Override
    public String whole(Param.Whole<M> param) {
        return Integer.toString(param.of(now));
    }

    @Override
    public String maybeWhole(Param.MaybeWhole<M> param) {
        OptionalInt number = param.of(now);
        return number.isPresent() ? Integer.toString(number.getAsInt()) : any();
    }

    @Override
    public String flag(Param.Flag<M> param) {
        return Said.say("step.flag", "on", param.of(now));
    }

    @Override
    public <E extends Enum<E>> String choice(Param.Choice<M, E> param) {
        return names.name(param, param.of(now));
    }

    /** Which is for who shows it to say. */
    @Override
    public <E extends Enum<E>> String maybeChoice(Param.MaybeChoice<M, E> param) {
        return param.of(now).isPresent() ? "" : any();
    }

    @Override
    public String lengths(Param.Lengths<M> param) {
        return param.of(now).stream().map(words::exact).collect(Collectors.joining("; "));
    }

    @Override
    public String text(Param.Text<M> param) {
        return Said.say("step.quoted", "text", param.of(now));
    }

    @Override
    public String maybeText(Param.MaybeText<M> param) {
        return param.of(now).orElseGet(ParamStep::any);
    }

    /** What is of no common kind isn't told in a word. */
    @Override
    public <T> String own(Param.Own<M, T> param) {
        return "";
    }
}
