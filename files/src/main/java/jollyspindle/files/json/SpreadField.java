package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Coded;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.school.Spread;
import jollyspindle.files.FileTrouble;

import java.util.Set;
import java.util.TreeSet;

/** Keeps which repeats take what is left over. */
final class SpreadField implements OwnField<Spread> {

    private static final String OVER = "over";
    private static final String REPEATS = "repeats";
    private static final String NUMBERS = "numbers";

    /** What takes the leftover, as files name it. */
    private enum Over implements Coded {
        ALL("all"),
        ROUND_CENTRE("round-centre"),
        CHOSEN("chosen");

        private final String code;

        Over(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    @Override
    public void write(ObjectNode node, String field, Spread spread) {
        ObjectNode kept = node.putObject(field);
        if (spread instanceof Spread.RoundCentre round) {
            kept.put(OVER, Over.ROUND_CENTRE.code()).put(REPEATS, round.repeats());
        } else if (spread instanceof Spread.Chosen chosen) {
            ArrayNode numbers = kept.put(OVER, Over.CHOSEN.code()).putArray(NUMBERS);
            new TreeSet<>(chosen.numbers()).forEach(numbers::add);
        } else {
            kept.put(OVER, Over.ALL.code());
        }
    }

    @Override
    public Spread read(Fields fields, String field) throws FileTrouble {
        Fields kept = fields.object(field);
        Spread spread =
                switch (kept.choice(OVER, Over.class)) {
                    case ALL -> new Spread.All();
                    case ROUND_CENTRE -> new Spread.RoundCentre(kept.whole(REPEATS, 1, Counts.MOST));
                    case CHOSEN -> {
                        Set<Integer> numbers = new TreeSet<>();
                        for (double number : kept.numbers(NUMBERS, 1, Counts.MOST, Counts.MOST)) {
                            numbers.add((int) number);
                        }
                        yield new Spread.Chosen(numbers);
                    }
                };
        kept.done();
        return spread;
    }

    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "object").putArray("required").add(OVER);
        ObjectNode fields = schema.putObject("properties");
        ArrayNode over = fields.putObject(OVER).putArray("enum");
        Codes.all(Over.class).forEach(over::add);
        count(fields.putObject(REPEATS));
        count(fields.putObject(NUMBERS)
                .put("type", "array")
                .put("maxItems", Counts.MOST)
                .putObject("items"));
    }

    private static void count(ObjectNode field) {
        field.put("type", "integer").put("minimum", 1).put("maximum", Counts.MOST);
    }
}
