package jollyspindle.desktop.shelf;

import jollyspindle.core.code.Codes;
import jollyspindle.core.param.Param;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.FormType;
import jollyspindle.core.shelf.form.FormTypes;
import jollyspindle.core.words.ParamWords;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/** The fields for how a template is cut, as the params of its form say. */
final class FormEntries {

    private static final String KIND = "form.";

    private final FieldBinding.Maker make;

    FormEntries(FieldBinding.Maker make) {
        this.make = make;
    }

    /** The fields for forms of a type, those of a row side by side. */
    List<List<FieldBinding>> of(FormType<?> type) {
        List<List<FieldBinding>> rows = new ArrayList<>(rows(type));
        if (type.figure().isPresent()) {
            List<FieldBinding> first = new ArrayList<>(List.of(figure(type)));
            first.addAll(rows.get(0));
            rows.set(0, first);
        }
        return rows;
    }

    private <F extends Form> List<List<FieldBinding>> rows(FormType<F> type) {
        Fields<F> fields = new Fields<>(type, new ParamWords(KIND + type.code()));
        return type.params().rows().stream()
                .map(row -> row.stream().map(param -> param.accept(fields)).toList())
                .toList();
    }

    /** What it draws, where templates of its kind draw several figures. */
    private FieldBinding figure(FormType<?> shown) {
        ParamWords words = new ParamWords(KIND + Codes.of(shown.kind()));
        return make.choice(
                "figure",
                words.name("figure"),
                FormTypes.of(shown.kind()),
                type -> words.name(type.figure().orElseThrow()),
                t -> t.form().type(),
                (t, type) -> t.form().type() == type ? t : t.withForm(type.like(t.form())));
    }

    /** Makes the field for a param. */
    private final class Fields<F extends Form> implements Param.Visitor<F, FieldBinding, RuntimeException> {

        private final FormType<F> type;
        private final ParamWords words;

        Fields(FormType<F> type, ParamWords words) {
            this.type = type;
            this.words = words;
        }

        private String id(Param<F, ?> param) {
            return param.code().replaceAll("(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
        }

        private <T> T get(Param<F, T> param, Template template) {
            return param.of(type.type().cast(template.form()));
        }

        private <T> Template set(Param<F, T> param, Template template, T value) {
            return template.withForm(type.params().with(type.type().cast(template.form()), param, value));
        }

        @Override
        public FieldBinding length(Param.Length<F> param) {
            return param.none()
                    ? make.optionalLength(
                            id(param),
                            words.name(param),
                            t -> get(param, t) > 0 ? OptionalDouble.of(get(param, t)) : OptionalDouble.empty(),
                            (t, v) -> set(param, t, v.orElse(0)))
                    : make.length(id(param), words.name(param), t -> get(param, t), (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding maybeLength(Param.MaybeLength<F> param) {
            return make.optionalLength(id(param), words.name(param), t -> get(param, t), (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding angle(Param.Angle<F> param) {
            return make.degrees(
                    id(param),
                    words.name(param),
                    param.least(),
                    param.most(),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding decimal(Param.Decimal<F> param) {
            return make.number(
                    id(param),
                    words.name(param),
                    param.least(),
                    param.most(),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding whole(Param.Whole<F> param) {
            return make.number(
                    id(param), words.name(param), param.least(), param.most(), t -> get(param, t), (t, v) -> {
                        if (v != Math.rint(v)) {
                            throw new IllegalArgumentException("only whole numbers make sense here");
                        }
                        return set(param, t, v.intValue());
                    });
        }

        @Override
        public FieldBinding flag(Param.Flag<F> param) {
            return make.flag(id(param), words.name(param), t -> get(param, t), (t, v) -> set(param, t, v));
        }

        @Override
        public <E extends Enum<E>> FieldBinding choice(Param.Choice<F, E> param) {
            return make.choice(
                    id(param),
                    words.name(param),
                    param.values(),
                    value -> words.name(param, value),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding lengths(Param.Lengths<F> param) {
            return make.lengths(
                    id(param),
                    words.name(param),
                    param.usual().isPresent(),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        /** What can't be typed is drawn; of an outline, its width is typed. */
        @Override
        public <T> FieldBinding own(Param.Own<F, T> param) {
            return make.length(
                    "width",
                    words.name(param),
                    t -> t.form().mainSize(),
                    (t, v) -> t.withForm(t.form().withMainSize(v)));
        }

        @Override
        public FieldBinding maybeOdd(Param.MaybeOdd<F> param) {
            throw new IllegalArgumentException("no field for " + param.code());
        }

        @Override
        public FieldBinding maybeText(Param.MaybeText<F> param) {
            throw new IllegalArgumentException("no field for " + param.code());
        }
    }
}
