package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.RefusedValue;
import jollyspindle.core.param.Values;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Writes, reads and describes what is chosen about a thing, as its params say. */
public final class ParamFields {

    private static final String DEGREES = "Degrees";

    private ParamFields() {}

    /** The field a param is kept in. */
    public static String field(Param<?, ?> param) {
        return param instanceof Param.Angle ? param.code() + DEGREES : param.code();
    }

    /** Writes all that is chosen. */
    public static <M> void write(ObjectNode node, Params<M> params, M thing) {
        Writer<M> writer = new Writer<>(node, thing);
        params.all().stream().filter(param -> !params.isLeftOut(param, thing)).forEach(param -> param.accept(writer));
    }

    /**
     * Reads what is chosen and makes the thing of it.
     *
     * @throws FileTrouble if a value is missing, of another kind, out of its range, or doesn't go with another
     */
    public static <M> M read(Fields fields, Params<M> params) throws FileTrouble {
        Values<M> values = new Values<>();
        for (Param<M, ?> param : params.all()) {
            read(fields, param, values);
        }
        try {
            return params.make().apply(values);
        } catch (RefusedValue e) {
            throw fields.trouble(e.code(), e.getMessage() + ".");
        }
    }

    /**
     * Refuses what belongs to another kind: else what somebody chose would be left out without a word.
     *
     * @param kinds all there are
     * @param own that of the thing that is read
     * @throws FileTrouble if a field is there that only others have
     */
    public static void refuseOthers(Fields fields, Stream<Params<?>> kinds, Params<?> own) throws FileTrouble {
        Set<String> mine = names(own).collect(Collectors.toSet());
        Optional<String> foreign = kinds.flatMap(ParamFields::names)
                .filter(name -> !mine.contains(name) && fields.has(name))
                .findFirst();
        if (foreign.isPresent()) {
            throw fields.trouble(
                    foreign.get(),
                    FileTexts.say("field.foreign", "only", names(own).collect(Collectors.joining(", "))));
        }
    }

    private static Stream<String> names(Params<?> params) {
        return params.all().stream().map(ParamFields::field);
    }

    private static <M, T> void read(Fields fields, Param<M, T> param, Values<M> values) throws FileTrouble {
        if (param.usual().isPresent() && !fields.has(field(param))) {
            values.put(param, param.usual().get());
        } else {
            param.accept(new Reader<>(fields, values));
        }
    }

    /** The part of a schema that says which fields there are, of which kind and range, what is usual, and which must be there. */
    public static ObjectNode schema(Params<?> params) {
        ObjectNode schema = JsonNodeFactory.instance.objectNode();
        describe(schema.putArray("required"), schema.putObject("properties"), params);
        return schema;
    }

    private static <M> void describe(ArrayNode required, ObjectNode properties, Params<M> params) {
        for (Param<M, ?> param : params.all()) {
            if (param.usual().isEmpty()) {
                required.add(field(param));
            }
            param.accept(new Describer<M>(properties.putObject(field(param))));
        }
    }

    /** Puts values into fields. */
    private record Writer<M>(ObjectNode node, M thing) implements Param.Visitor<M, Void, RuntimeException> {

        @Override
        public Void length(Param.Length<M> param) {
            node.put(field(param), param.of(thing));
            return null;
        }

        @Override
        public Void maybeLength(Param.MaybeLength<M> param) {
            param.of(thing).ifPresent(inches -> node.put(field(param), inches));
            return null;
        }

        @Override
        public Void angle(Param.Angle<M> param) {
            Degrees.put(node, field(param), param.of(thing));
            return null;
        }

        @Override
        public Void decimal(Param.Decimal<M> param) {
            node.put(field(param), param.of(thing));
            return null;
        }

        @Override
        public Void whole(Param.Whole<M> param) {
            node.put(field(param), param.of(thing));
            return null;
        }

        @Override
        public Void maybeWhole(Param.MaybeWhole<M> param) {
            param.of(thing).ifPresent(number -> node.put(field(param), number));
            return null;
        }

        @Override
        public Void flag(Param.Flag<M> param) {
            node.put(field(param), param.of(thing));
            return null;
        }

        @Override
        public <E extends Enum<E>> Void choice(Param.Choice<M, E> param) {
            node.put(field(param), Codes.of(param.of(thing)));
            return null;
        }

        @Override
        public <E extends Enum<E>> Void maybeChoice(Param.MaybeChoice<M, E> param) {
            param.of(thing).ifPresent(constant -> node.put(field(param), Codes.of(constant)));
            return null;
        }

        @Override
        public Void text(Param.Text<M> param) {
            node.put(field(param), param.of(thing));
            return null;
        }

        @Override
        public Void lengths(Param.Lengths<M> param) {
            ArrayNode all = node.putArray(field(param));
            param.of(thing).forEach(all::add);
            return null;
        }

        @Override
        public Void maybeText(Param.MaybeText<M> param) {
            param.of(thing).ifPresent(text -> node.put(field(param), text));
            return null;
        }

        @Override
        public <T> Void own(Param.Own<M, T> param) {
            OwnField.<T>of(param).write(node, field(param), param.of(thing));
            return null;
        }
    }

    /** Takes values out of fields that are there. */
    private record Reader<M>(Fields fields, Values<M> values) implements Param.Visitor<M, Values<M>, FileTrouble> {

        @Override
        public Values<M> length(Param.Length<M> param) throws FileTrouble {
            return values.put(param, number(param));
        }

        @Override
        public Values<M> maybeLength(Param.MaybeLength<M> param) throws FileTrouble {
            return values.put(param, OptionalDouble.of(number(param)));
        }

        @Override
        public Values<M> angle(Param.Angle<M> param) throws FileTrouble {
            return values.put(param, fields.degrees(field(param), param.least(), param.most()));
        }

        @Override
        public Values<M> decimal(Param.Decimal<M> param) throws FileTrouble {
            return values.put(param, number(param));
        }

        @Override
        public Values<M> whole(Param.Whole<M> param) throws FileTrouble {
            return values.put(param, wholeNumber(param));
        }

        @Override
        public Values<M> maybeWhole(Param.MaybeWhole<M> param) throws FileTrouble {
            return values.put(param, OptionalInt.of(wholeNumber(param)));
        }

        @Override
        public Values<M> flag(Param.Flag<M> param) throws FileTrouble {
            return values.put(param, fields.flag(field(param)));
        }

        @Override
        public <E extends Enum<E>> Values<M> choice(Param.Choice<M, E> param) throws FileTrouble {
            return values.put(param, fields.choice(field(param), param.type()));
        }

        @Override
        public <E extends Enum<E>> Values<M> maybeChoice(Param.MaybeChoice<M, E> param) throws FileTrouble {
            return values.put(param, Optional.of(fields.choice(field(param), param.type())));
        }

        @Override
        public Values<M> text(Param.Text<M> param) throws FileTrouble {
            String text = fields.text(field(param));
            if (!param.allows(text)) {
                throw fields.trouble(
                        field(param),
                        FileTexts.say(
                                "field.characters",
                                "least",
                                param.least(),
                                "most",
                                param.most(),
                                "found",
                                text.length()));
            }
            return values.put(param, text);
        }

        @Override
        public Values<M> lengths(Param.Lengths<M> param) throws FileTrouble {
            return values.put(param, fields.numbers(field(param), param.least(), param.most(), param.mostOfThem()));
        }

        @Override
        public Values<M> maybeText(Param.MaybeText<M> param) throws FileTrouble {
            return values.put(param, Optional.of(fields.text(field(param))));
        }

        @Override
        public <T> Values<M> own(Param.Own<M, T> param) throws FileTrouble {
            return values.put(param, OwnField.<T>of(param).read(fields, field(param)));
        }

        private double number(Param.Ranged<M, ?> param) throws FileTrouble {
            return fields.number(field(param), param.least(), param.most());
        }

        private int wholeNumber(Param.Ranged<M, ?> param) throws FileTrouble {
            return fields.whole(field(param), (int) param.least(), (int) param.most());
        }
    }

    /** Says what a field may hold. */
    private record Describer<M>(ObjectNode node) implements Param.Visitor<M, Void, RuntimeException> {

        private static final String DEFAULT = "default";

        @Override
        public Void length(Param.Length<M> param) {
            ranged("number", param);
            param.usual().ifPresent(inches -> node.put(DEFAULT, inches));
            return null;
        }

        @Override
        public Void maybeLength(Param.MaybeLength<M> param) {
            return ranged("number", param);
        }

        @Override
        public Void angle(Param.Angle<M> param) {
            ranged("number", param);
            param.usual().ifPresent(angle -> Degrees.put(node, DEFAULT, angle));
            return null;
        }

        @Override
        public Void decimal(Param.Decimal<M> param) {
            ranged("number", param);
            param.usual().ifPresent(number -> node.put(DEFAULT, number));
            return null;
        }

        @Override
        public Void whole(Param.Whole<M> param) {
            ranged("integer", param);
            param.usual().ifPresent(number -> node.put(DEFAULT, number));
            return null;
        }

        @Override
        public Void maybeWhole(Param.MaybeWhole<M> param) {
            return ranged("integer", param);
        }

        @Override
        public Void flag(Param.Flag<M> param) {
            node.put("type", "boolean");
            param.usual().ifPresent(usual -> node.put(DEFAULT, usual));
            return null;
        }

        @Override
        public <E extends Enum<E>> Void choice(Param.Choice<M, E> param) {
            ArrayNode all = node.putArray("enum");
            Codes.all(param.type()).forEach(all::add);
            param.usual().ifPresent(usual -> node.put(DEFAULT, Codes.of(usual)));
            return null;
        }

        @Override
        public <E extends Enum<E>> Void maybeChoice(Param.MaybeChoice<M, E> param) {
            ArrayNode all = node.putArray("enum");
            Codes.all(param.type()).forEach(all::add);
            return null;
        }

        @Override
        public Void text(Param.Text<M> param) {
            node.put("type", "string");
            if (param.least() > 0) {
                node.put("minLength", param.least());
            }
            node.put("maxLength", param.most());
            return null;
        }

        @Override
        public Void lengths(Param.Lengths<M> param) {
            node.put("type", "array").put("maxItems", param.mostOfThem());
            if (param.usual().isEmpty()) {
                node.put("minItems", 1);
            }
            node.putObject("items")
                    .put("type", "number")
                    .put("minimum", param.least())
                    .put("maximum", param.most());
            return null;
        }

        @Override
        public Void maybeText(Param.MaybeText<M> param) {
            node.put("type", "string");
            return null;
        }

        @Override
        public <T> Void own(Param.Own<M, T> param) {
            OwnField.<T>of(param).describe(node);
            return null;
        }

        private Void ranged(String type, Param.Ranged<M, ?> param) {
            node.put("type", type).put("minimum", param.least()).put("maximum", param.most());
            return null;
        }
    }
}
