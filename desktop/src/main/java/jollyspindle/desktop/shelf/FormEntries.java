package jollyspindle.desktop.shelf;

import jollyspindle.core.code.Codes;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.FormType;
import jollyspindle.core.shelf.form.FormTypes;
import jollyspindle.core.words.ParamWords;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;

/** The fields for how a template is cut and what it is made of, as their params say. */
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
        return new Fields<>(
                        "",
                        new ParamWords(KIND + type.code()),
                        type.params(),
                        t -> type.type().cast(t.form()),
                        Template::withForm)
                .rows();
    }

    /** The fields for what a template is made of. */
    List<List<FieldBinding>> material() {
        return new Fields<>(
                        "material-",
                        new ParamWords("material"),
                        Material.PARAMS,
                        Template::material,
                        Template::withMaterial)
                .rows();
    }

    /** The field for the way that lets the foot into an opening. */
    FieldBinding gap() {
        return Template.GAP.accept(
                new Fields<>("", new ParamWords("template"), Template.PARAMS, t -> t, (was, now) -> now));
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

    /**
     * Makes the fields for a part of a template.
     *
     * @param <P> the part
     */
    private final class Fields<P> implements Param.Visitor<P, FieldBinding, RuntimeException> {

        private final String prefix;
        private final ParamWords words;
        private final Params<P> params;
        private final Function<Template, P> part;
        private final BiFunction<Template, P, Template> with;

        /**
         * Fields.
         *
         * @param prefix what their ids begin with
         */
        Fields(
                String prefix,
                ParamWords words,
                Params<P> params,
                Function<Template, P> part,
                BiFunction<Template, P, Template> with) {
            this.prefix = prefix;
            this.words = words;
            this.params = params;
            this.part = part;
            this.with = with;
        }

        List<List<FieldBinding>> rows() {
            return params.rows().stream()
                    .map(row -> row.stream().map(param -> param.accept(this)).toList())
                    .toList();
        }

        private String id(Param<P, ?> param) {
            return prefix + param.code().replaceAll("(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
        }

        private <T> T get(Param<P, T> param, Template template) {
            return param.of(part.apply(template));
        }

        private <T> Template set(Param<P, T> param, Template template, T value) {
            return with.apply(template, params.with(part.apply(template), param, value));
        }

        @Override
        public FieldBinding length(Param.Length<P> param) {
            return param.none()
                    ? make.optionalLength(
                            id(param),
                            words.name(param),
                            t -> get(param, t) > 0 ? OptionalDouble.of(get(param, t)) : OptionalDouble.empty(),
                            (t, v) -> set(param, t, v.orElse(0)))
                    : make.length(id(param), words.name(param), t -> get(param, t), (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding maybeLength(Param.MaybeLength<P> param) {
            return make.optionalLength(id(param), words.name(param), t -> get(param, t), (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding angle(Param.Angle<P> param) {
            return make.degrees(
                    id(param),
                    words.name(param),
                    param.least(),
                    param.most(),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding decimal(Param.Decimal<P> param) {
            return make.number(
                    id(param),
                    words.name(param),
                    param.least(),
                    param.most(),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding whole(Param.Whole<P> param) {
            return make.number(
                    id(param), words.name(param), param.least(), param.most(), t -> get(param, t), (t, v) -> {
                        if (v != Math.rint(v)) {
                            throw new IllegalArgumentException("only whole numbers make sense here");
                        }
                        return set(param, t, v.intValue());
                    });
        }

        @Override
        public FieldBinding flag(Param.Flag<P> param) {
            return make.flag(id(param), words.name(param), t -> get(param, t), (t, v) -> set(param, t, v));
        }

        @Override
        public <E extends Enum<E>> FieldBinding choice(Param.Choice<P, E> param) {
            return make.choice(
                    id(param),
                    words.name(param),
                    param.values(),
                    value -> words.name(param, value),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        @Override
        public FieldBinding lengths(Param.Lengths<P> param) {
            return make.lengths(
                    id(param),
                    words.name(param),
                    param.usual().isPresent(),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        /** What can't be typed is drawn; of an outline, its width is typed. */
        @Override
        public <T> FieldBinding own(Param.Own<P, T> param) {
            return make.length(
                    "width",
                    words.name(param),
                    t -> t.form().mainSize(),
                    (t, v) -> t.withForm(t.form().withMainSize(v)));
        }

        @Override
        public FieldBinding text(Param.Text<P> param) {
            return make.text(
                    id(param),
                    words.name(param),
                    param::allows,
                    Said.say("field.characters", "least", param.least(), "most", param.most()),
                    t -> get(param, t),
                    (t, v) -> set(param, t, v));
        }

        @Override
        public <E extends Enum<E>> FieldBinding maybeChoice(Param.MaybeChoice<P, E> param) {
            throw new IllegalArgumentException("no field for " + param.code());
        }

        @Override
        public FieldBinding maybeWhole(Param.MaybeWhole<P> param) {
            throw new IllegalArgumentException("no field for " + param.code());
        }

        @Override
        public FieldBinding maybeText(Param.MaybeText<P> param) {
            throw new IllegalArgumentException("no field for " + param.code());
        }
    }
}
