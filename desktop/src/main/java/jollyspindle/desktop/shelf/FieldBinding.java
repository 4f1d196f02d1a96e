package jollyspindle.desktop.shelf;

import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;

/**
 * One fact of a template, as a field.
 *
 * @param node the field
 * @param show shows a template's value in it
 * @param wide whether it takes a whole row
 */
record FieldBinding(Node node, Consumer<Template> show, boolean wide) {

    FieldBinding(Node node, Consumer<Template> show) {
        this(node, show, false);
    }

    /** Makes fields that change the template that is looked at. */
    static final class Maker {

        private final Workbench bench;
        private final ShelfModel model;
        private boolean showing;

        Maker(Workbench bench, ShelfModel model) {
            this.bench = bench;
            this.model = model;
        }

        /** Shows a template in fields, which is no change of it. */
        void show(List<FieldBinding> entries, Template template) {
            showing = true;
            entries.forEach(e -> e.show().accept(template));
            showing = false;
        }

        private void change(String what, Function<Template, Template> change) {
            if (!showing
                    && objection(() -> model.shown().map(change).orElse(null)).isEmpty()) {
                model.change(what, change::apply);
            }
        }

        /** What is wrong with a changed template that can't be; nothing if it can. */
        private Optional<String> objection(Supplier<Template> changed) {
            try {
                Template unused = changed.get();
                return Optional.empty();
            } catch (IllegalArgumentException e) {
                return Optional.of(Words.capital(e.getMessage()) + ".");
            } catch (ClassCastException e) {
                // Another kind of template has come to be looked at before this field was left.
                return Optional.of("This belongs to another template.");
            }
        }

        FieldBinding length(
                String id, String name, ToDoubleFunction<Template> get, BiFunction<Template, Double, Template> set) {
            LengthField field = new LengthField(
                    "template-" + id,
                    name,
                    false,
                    () -> bench.job().tape(),
                    inches -> lengthObjection(inches, set),
                    inches -> change(name.toLowerCase(Locale.ROOT), t -> set.apply(t, inches.getAsDouble())));
            return new FieldBinding(field, t -> field.show(OptionalDouble.of(get.applyAsDouble(t))));
        }

        /** A length that may be missing. */
        FieldBinding optionalLength(
                String id,
                String name,
                Function<Template, OptionalDouble> get,
                BiFunction<Template, OptionalDouble, Template> set) {
            LengthField[] own = new LengthField[1];
            LengthField field = new LengthField(
                    "template-" + id,
                    name,
                    true,
                    () -> bench.job().tape(),
                    inches -> lengthObjection(inches, (t, v) -> set.apply(t, OptionalDouble.of(v))),
                    inches -> {
                        Optional<String> wrong = model.shown().flatMap(t -> objection(() -> set.apply(t, inches)));
                        if (wrong.isEmpty()) {
                            change(name.toLowerCase(Locale.ROOT), t -> set.apply(t, inches));
                        } else {
                            // Only emptying it can come to this: it stays as it was.
                            model.shown().ifPresent(t -> own[0].show(get.apply(t)));
                        }
                    });
            own[0] = field;
            field.prompting("none");
            return new FieldBinding(field, t -> field.show(get.apply(t)));
        }

        private Optional<String> lengthObjection(double inches, BiFunction<Template, Double, Template> set) {
            if (!(inches >= Form.SMALLEST) || inches > Form.LARGEST) {
                return Optional.of(Said.say(
                        bench.words(), "field.must-be", "least", String.valueOf(Form.SMALLEST), "most", Form.LARGEST));
            }
            return model.shown().flatMap(t -> objection(() -> set.apply(t, inches)));
        }

        FieldBinding degrees(
                String id,
                String name,
                double least,
                double most,
                ToDoubleFunction<Template> get,
                BiFunction<Template, Double, Template> set) {
            return number(
                    id,
                    Said.say("field.in-degrees", "name", name),
                    least,
                    most,
                    t -> Math.round(Math.toDegrees(get.applyAsDouble(t)) * 1000) / 1000.0,
                    (t, degrees) -> set.apply(t, Math.toRadians(degrees)));
        }

        /** A plain number; whole numbers are shown without a point. */
        FieldBinding number(
                String id,
                String name,
                double least,
                double most,
                ToDoubleFunction<Template> get,
                BiFunction<Template, Double, Template> set) {
            TypedField field = new TypedField("template-" + id, name, text -> {
                double typed;
                try {
                    typed = Double.parseDouble(text.strip().replace(',', '.').replace("°", ""));
                } catch (NumberFormatException e) {
                    return Optional.of(Said.say("field.not-number", "typed", text));
                }
                if (!(typed >= least && typed <= most)) {
                    return Optional.of(
                            Said.say("field.not-between", "typed", text, "least", plain(least), "most", plain(most)));
                }
                Optional<String> wrong = model.shown().flatMap(t -> objection(() -> set.apply(t, typed)));
                if (wrong.isEmpty()) {
                    change(name.toLowerCase(Locale.ROOT), t -> set.apply(t, typed));
                }
                return wrong;
            });
            return new FieldBinding(field, t -> field.show(plain(get.applyAsDouble(t))));
        }

        /**
         * Some words.
         *
         * @param allowed which there can be
         * @param otherwise what is said of others
         */
        FieldBinding text(
                String id,
                String name,
                Predicate<String> allowed,
                String otherwise,
                Function<Template, String> get,
                BiFunction<Template, String, Template> set) {
            TypedField field = new TypedField("template-" + id, name, typed -> {
                String text = typed.strip();
                if (!allowed.test(text)) {
                    return Optional.of(otherwise);
                }
                change(name.toLowerCase(Locale.ROOT), t -> set.apply(t, text));
                return Optional.empty();
            });
            return new FieldBinding(field, t -> field.show(get.apply(t)));
        }

        /** Several lengths between semicolons. */
        FieldBinding lengths(
                String id,
                String name,
                boolean mayBeEmpty,
                Function<Template, List<Double>> get,
                BiFunction<Template, List<Double>, Template> set) {
            TypedField field = new TypedField("template-" + id, name, text -> {
                List<Double> read = new ArrayList<>();
                for (String part : text.split(";")) {
                    if (part.isBlank()) {
                        continue;
                    }
                    if (LengthParser.parse(part, bench.job().tape()) instanceof LengthReading.Understood one
                            && one.inches() >= Form.SMALLEST
                            && one.inches() <= Form.LARGEST) {
                        read.add(one.inches());
                    } else {
                        return Optional.of(Said.say("field.lengths", "typed", part.strip()));
                    }
                }
                if (read.isEmpty() && !mayBeEmpty) {
                    return Optional.of("Nothing typed.");
                }
                Optional<String> wrong = model.shown().flatMap(t -> objection(() -> set.apply(t, read)));
                if (wrong.isEmpty()) {
                    change(name.toLowerCase(Locale.ROOT), t -> set.apply(t, read));
                }
                return wrong;
            });
            return new FieldBinding(
                    field,
                    t -> field.show(get.apply(t).stream()
                            .map(v -> bench.words().exact(v))
                            .collect(Collectors.joining("; "))));
        }

        /** Several angles between semicolons; in radians, shown in degrees. */
        FieldBinding degreesList(
                String id,
                String name,
                Function<Template, List<Double>> get,
                BiFunction<Template, List<Double>, Template> set) {
            TypedField field = new TypedField("template-" + id, name, text -> {
                List<Double> read = new ArrayList<>();
                for (String part : text.split(";")) {
                    if (part.isBlank()) {
                        continue;
                    }
                    try {
                        double degrees = Double.parseDouble(
                                part.strip().replace(',', '.').replace("°", "").replace('−', '-'));
                        if (Math.abs(degrees) <= 360) {
                            read.add(Math.toRadians(degrees));
                            continue;
                        }
                    } catch (NumberFormatException e) {
                        // Told below, like an angle out of range.
                    }
                    return Optional.of(Said.say("field.angles", "typed", part.strip()));
                }
                change(name.toLowerCase(Locale.ROOT), t -> set.apply(t, read));
                return Optional.empty();
            });
            return new FieldBinding(
                    field,
                    t -> field.show(get.apply(t).stream()
                            .map(v -> Words.degrees(v).replace("°", ""))
                            .collect(Collectors.joining("; "))));
        }

        <V> FieldBinding choice(
                String id,
                String name,
                List<V> values,
                Function<V, String> said,
                Function<Template, V> get,
                BiFunction<Template, V, Template> set) {
            ComboBox<V> box = new ComboBox<>();
            Choices.prepare(box, "template-" + id, name, values, said);
            box.setOnAction(e -> {
                if (box.getValue() != null && !showing) {
                    V chosen = box.getValue();
                    Optional<String> wrong = model.shown().flatMap(t -> objection(() -> set.apply(t, chosen)));
                    if (wrong.isEmpty()) {
                        change(name.toLowerCase(Locale.ROOT), t -> set.apply(t, chosen));
                    } else {
                        model.shown().ifPresent(t -> box.setValue(get.apply(t)));
                    }
                }
            });
            return new FieldBinding(Labelled.of(name, box), t -> box.setValue(get.apply(t)));
        }

        FieldBinding flag(
                String id, String name, Predicate<Template> get, BiFunction<Template, Boolean, Template> set) {
            CheckBox box = new CheckBox(name);
            box.setId("template-" + id);
            box.setWrapText(true);
            box.setOnAction(e -> change(name.toLowerCase(Locale.ROOT), t -> set.apply(t, box.isSelected())));
            return new FieldBinding(box, t -> box.setSelected(get.test(t)));
        }

        private static String plain(double number) {
            return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
        }
    }
}
