package jollyspindle.desktop.form;

import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.words.ParamWords;
import jollyspindle.desktop.control.EntryFields;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.Node;

/**
 * A field for each thing that is chosen about another, with its name, its range and its value.
 *
 * @param <M> what it is chosen about
 */
public final class ParamForm<M> extends EntryFields {

    private final String id;
    private final ParamWords words;
    private final Params<M> params;
    private final M now;
    private final Consumer<M> take;
    private final Map<String, Function<String, Node>> odd = new HashMap<>();
    private final Set<String> hidden = new HashSet<>();
    private String number = "";

    /**
     * A form.
     *
     * @param id what the ids of its fields begin with; the lasting names of the params follow, with hyphens
     * @param kind the lasting name of the kind of thing, by which its texts are found
     * @param now as it stands
     * @param take takes the thing with another value of one param; it goes through the workbench and does nothing else, since
     *     it is tried
     */
    public ParamForm(Workbench bench, String id, String kind, Params<M> params, M now, Consumer<M> take) {
        super(bench);
        this.id = id;
        this.words = new ParamWords(kind);
        this.params = params;
        this.now = now;
        this.take = take;
    }

    /** The fields, a node a row, each made when it is asked for. */
    public List<Supplier<Node>> rows() {
        return params.rows().stream()
                .map(row -> row.stream()
                        .filter(param -> !hidden.contains(param.code()))
                        .toList())
                .filter(row -> !row.isEmpty())
                .<Supplier<Node>>map(row -> () -> row(row))
                .toList();
    }

    /** Ends the ids of the fields with a number, where there are several such things. */
    public ParamForm<M> numbered(int of) {
        number = "-" + of;
        return this;
    }

    /** Leaves out fields that have nothing to say as the rest stands. */
    public ParamForm<M> without(String... codes) {
        hidden.addAll(List.of(codes));
        return this;
    }

    /** Shows these fields only. */
    public ParamForm<M> only(List<String> codes) {
        params.all().stream()
                .map(Param::code)
                .filter(code -> !codes.contains(code))
                .forEach(hidden::add);
        return this;
    }

    private Node row(List<Param<M, ?>> row) {
        List<Node> nodes = row.stream().map(this::field).toList();
        return nodes.size() == 1 ? nodes.get(0) : Labelled.row(nodes.toArray(Node[]::new));
    }

    /** Shows something else in place of the field of one param; it is made with the param's name. */
    public ParamForm<M> instead(String code, Function<String, Node> field) {
        odd.put(code, field);
        return this;
    }

    private Node field(Param<M, ?> param) {
        Node node = odd.containsKey(param.code())
                ? odd.get(param.code()).apply(words.name(param))
                : param.accept(new Maker());
        node.setDisable(!param.applies(now));
        return node;
    }

    private <T> void take(Param<M, T> param, T value) {
        take.accept(params.with(now, param, value));
    }

    /** Makes the field for a param. */
    private final class Maker implements Param.Visitor<M, Node, RuntimeException> {

        private String id(Param<M, ?> param) {
            return id + "-" + param.code().replaceAll("(?=[A-Z])", "-").toLowerCase(Locale.ROOT) + number;
        }

        @Override
        public Node length(Param.Length<M> param) {
            Param.Room room = param.room().apply(now);
            return ParamForm.this.length(
                    id(param),
                    words.name(param),
                    false,
                    OptionalDouble.of(param.of(now)),
                    room.least(),
                    room.most(),
                    inches -> take(param, inches.getAsDouble()));
        }

        @Override
        public Node maybeLength(Param.MaybeLength<M> param) {
            Param.Room room = param.room().apply(now);
            return ParamForm.this.length(
                    id(param),
                    words.name(param),
                    true,
                    param.of(now),
                    room.least(),
                    room.most(),
                    inches -> take(param, inches));
        }

        @Override
        public Node angle(Param.Angle<M> param) {
            return degrees(
                    id(param),
                    words.name(param),
                    param.of(now),
                    param.least(),
                    param.most(),
                    words.hint(param),
                    angle -> take(param, angle));
        }

        @Override
        public Node decimal(Param.Decimal<M> param) {
            return number(
                    id(param),
                    words.name(param),
                    param.of(now),
                    param.least(),
                    param.most(),
                    number -> take(param, number));
        }

        @Override
        public Node whole(Param.Whole<M> param) {
            return ParamForm.this.whole(
                    id(param),
                    words.name(param),
                    param.of(now),
                    (int) param.least(),
                    (int) param.most(),
                    number -> take(param, number));
        }

        @Override
        public Node maybeWhole(Param.MaybeWhole<M> param) {
            TypedField field = new TypedField(id(param), words.name(param), text -> maybe(param, text.strip()));
            OptionalInt number = param.of(now);
            field.show(number.isPresent() ? Integer.toString(number.getAsInt()) : "");
            return field;
        }

        private Optional<String> maybe(Param.MaybeWhole<M> param, String text) {
            if (text.isEmpty()) {
                take(param, OptionalInt.empty());
                return Optional.empty();
            }
            try {
                int number = Integer.parseInt(text);
                if (param.allows(number) && (!param.odd() || number % 2 != 0)) {
                    take(param, OptionalInt.of(number));
                    return Optional.empty();
                }
            } catch (NumberFormatException e) {
                // Told below, as a number out of range is.
            }
            return Optional.of(Said.say(
                    "field.maybe-whole",
                    "odd",
                    param.odd(),
                    "typed",
                    text,
                    "least",
                    (int) param.least(),
                    "most",
                    (int) param.most(),
                    "hint",
                    words.hint(param)));
        }

        @Override
        public Node lengths(Param.Lengths<M> param) {
            TypedField field = new TypedField(id(param), words.name(param), text -> lengths(param, text.strip()));
            field.show(param.of(now).stream().map(bench.words()::exact).collect(Collectors.joining("; ")));
            return field;
        }

        private Optional<String> lengths(Param.Lengths<M> param, String text) {
            List<Double> all = new ArrayList<>();
            for (String one : text.isEmpty() ? new String[0] : text.split(";")) {
                LengthReading read = LengthParser.parse(one, bench.job().tape());
                if (read instanceof LengthReading.Refused refused) {
                    return Optional.of(refused.message());
                }
                all.add(((LengthReading.Understood) read).inches());
            }
            try {
                take(param, all);
                return Optional.empty();
            } catch (IllegalArgumentException e) {
                return Optional.of("“" + text + "”: " + words.hint(param) + ".");
            }
        }

        @Override
        public Node text(Param.Text<M> param) {
            TypedField field = new TypedField(id(param), words.name(param), typed -> {
                String text = typed.strip();
                if (!param.allows(text)) {
                    return Optional.of(Said.say("field.characters", "least", param.least(), "most", param.most()));
                }
                take(param, text);
                return Optional.empty();
            });
            field.show(param.of(now));
            return field;
        }

        /** Only who knows when there is one can say what none means. */
        @Override
        public <E extends Enum<E>> Node maybeChoice(Param.MaybeChoice<M, E> param) {
            throw new IllegalArgumentException("no field for " + param.code());
        }

        /** The lasting name of something that only who knows what it is of can show. */
        @Override
        public Node maybeText(Param.MaybeText<M> param) {
            throw new IllegalArgumentException("no field for " + param.code());
        }

        @Override
        public <T> Node own(Param.Own<M, T> param) {
            throw new IllegalArgumentException("no field for " + param.code());
        }

        @Override
        public Node flag(Param.Flag<M> param) {
            return check(id(param), words.name(param), param.of(now), chosen -> take(param, chosen));
        }

        @Override
        public <E extends Enum<E>> Node choice(Param.Choice<M, E> param) {
            return ParamForm.this.choice(
                    id(param),
                    words.name(param),
                    param.values(),
                    param.of(now),
                    value -> words.name(param, value),
                    value -> take(param, value));
        }
    }
}
