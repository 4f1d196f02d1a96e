package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.cloth.ClothLook;
import jollyspindle.core.cloth.Colour;
import jollyspindle.core.cloth.FabricId;
import jollyspindle.core.cloth.Loft;
import jollyspindle.core.cloth.ThreadId;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * Reads and writes the colours of cloth and thread, and the batting. Nothing hangs on them but the look, so what makes no sense is
 * told and left as usual, and the job is opened all the same.
 */
final class ClothFields {

    private static final String FIELD = "look";
    private static final String LOFT = "loft";
    private static final String STITCHES = "stitchesAnInch";
    private static final String FABRICS = "fabrics";
    private static final String THREADS = "threads";
    private static final String ID = "id";
    private static final String COLOUR = "colour";

    /** More than any quilt has. */
    private static final int MOST = 2000;

    private ClothFields() {}

    static void write(ObjectNode root, ClothLook look) {
        if (look.equals(ClothLook.usual())) {
            return;
        }
        ObjectNode node = root.putObject(FIELD);
        node.put(LOFT, Fields.name(look.loft()));
        node.put(STITCHES, look.stitchesAnInch());
        write(node, FABRICS, look.fabrics(), FabricId::code);
        write(node, THREADS, look.threads(), ThreadId::code);
    }

    private static <K> void write(ObjectNode node, String field, Map<K, Colour> colours, Function<K, String> code) {
        if (!colours.isEmpty()) {
            ArrayNode all = node.putArray(field);
            colours.forEach(
                    (id, colour) -> all.addObject().put(ID, code.apply(id)).put(COLOUR, colour.code()));
        }
    }

    /**
     * Reads the look.
     *
     * @param told takes what couldn't be read and is as usual instead
     */
    static ClothLook read(Fields root, List<String> told) {
        Optional<Fields> found = tried(() -> root.optionalObject(FIELD), told).flatMap(node -> node);
        if (found.isEmpty()) {
            return ClothLook.usual();
        }
        Fields node = found.get();
        ClothLook usual = ClothLook.usual();
        ClothLook look = new ClothLook(
                node.has(LOFT)
                        ? tried(() -> node.choice(LOFT, Loft.class), told).orElse(usual.loft())
                        : usual.loft(),
                node.has(STITCHES)
                        ? tried(() -> node.whole(STITCHES, ClothLook.LEAST_STITCHES, ClothLook.MOST_STITCHES), told)
                                .orElse(usual.stitchesAnInch())
                        : usual.stitchesAnInch(),
                read(node, FABRICS, FabricId::parse, told),
                read(node, THREADS, ThreadId::parse, told));
        node.done();
        return look;
    }

    private static <K extends Comparable<K>> SortedMap<K, Colour> read(
            Fields node, String field, Function<String, Optional<K>> parse, List<String> told) {
        SortedMap<K, Colour> all = new TreeMap<>();
        if (node.has(field)) {
            for (Fields one : tried(() -> node.objects(field, MOST), told).orElse(List.of())) {
                tried(() -> one(one, parse, all), told);
                one.done();
            }
        }
        return all;
    }

    private static <K extends Comparable<K>> boolean one(
            Fields node, Function<String, Optional<K>> parse, Map<K, Colour> all) throws FileTrouble {
        // Both are asked for first, or the second would count as unknown where the first makes no sense.
        String id = node.text(ID);
        String colour = node.text(COLOUR);
        K part = parse.apply(id)
                .orElseThrow(() -> node.trouble(ID, FileTexts.say("look.part", "text", Fields.shortened(id))));
        Colour read = Colour.parse(colour)
                .orElseThrow(
                        () -> node.trouble(COLOUR, FileTexts.say("look.colour", "text", Fields.shortened(colour))));
        if (all.putIfAbsent(part, read) != null) {
            throw node.trouble(ID, FileTexts.say("look.twice", "text", id));
        }
        return true;
    }

    /** What reads one thing. */
    private interface Reading<T> {
        T read() throws FileTrouble;
    }

    private static <T> Optional<T> tried(Reading<T> reading, List<String> told) {
        try {
            return Optional.of(reading.read());
        } catch (FileTrouble e) {
            told.add(FileTexts.say("look.usual", "why", e.getMessage()));
            return Optional.empty();
        }
    }
}
