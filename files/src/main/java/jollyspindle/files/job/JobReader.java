package jollyspindle.files.job;

import jollyspindle.core.division.Counts;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RingLayout;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.shelf.TemplateReader;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** From a job file's fields to a job. */
final class JobReader {

    private JobReader() {}

    static QuiltJob read(Fields root) throws FileTrouble {
        String name = root.text("name");
        if (name.isBlank() || name.length() > QuiltJob.LONGEST_NAME) {
            throw root.trouble("name", "a job's name has 1 to " + QuiltJob.LONGEST_NAME + " characters.");
        }
        TapeScale tape = root.choice("tape", TapeScale.class);
        Machine machine = TemplateReader.machine(root.object("machine"));
        QuiltJob job = new QuiltJob(
                name.strip(),
                tape,
                machine,
                quilt(root.object("quilt"), tape),
                TemplateReader.templates(root),
                layout(root.object("layout")));
        root.done();
        return job;
    }

    private static Quilt quilt(Fields fields, TapeScale tape) throws FileTrouble {
        Map<Dimension, Double> measured = new EnumMap<>(Dimension.class);
        Map<Dimension, String> places = new EnumMap<>(Dimension.class);
        Corners corners = fields.choice("corners", Corners.class);
        Fields body = fields.object("body");
        Fields depth = fields.object("borderDepth");
        for (Side side : Side.values()) {
            take(body, Words.name(side), Dimension.body(side), measured, places);
            take(depth, Words.name(side), Dimension.depth(side), measured, places);
        }
        Optional<Fields> diagonals = fields.optionalObject("diagonals");
        if (diagonals.isPresent()) {
            take(diagonals.get(), JobWriter.DOWN, Dimension.DIAGONAL_DOWN, measured, places);
            take(diagonals.get(), JobWriter.UP, Dimension.DIAGONAL_UP, measured, places);
            diagonals.get().done();
        }
        take(fields, "reserve", Dimension.RESERVE, measured, places);
        take(fields, "clearance", Dimension.CLEARANCE, measured, places);
        body.done();
        depth.done();
        fields.done();
        Quilt quilt = new Quilt(measured, corners);
        Optional<Dimension> wrong = QuiltRules.firstRefused(quilt);
        if (wrong.isPresent()) {
            double inches = quilt.length(wrong.get());
            QuiltRules.Refusal why =
                    QuiltRules.refusal(quilt, wrong.get(), inches).orElseThrow();
            throw new FileTrouble(
                    "At “" + places.get(wrong.get()) + "”: " + new Words(tape).refusal(why, wrong.get(), inches));
        }
        return quilt;
    }

    private static void take(
            Fields fields,
            String field,
            Dimension dimension,
            Map<Dimension, Double> measured,
            Map<Dimension, String> places)
            throws FileTrouble {
        OptionalDouble value = fields.optionalNumber(field, 0, QuiltRules.LONGEST);
        if (value.isPresent()) {
            measured.put(dimension, value.getAsDouble());
            places.put(dimension, fields.place(field));
        }
    }

    private static RingLayout layout(Fields fields) throws FileTrouble {
        fields.fixed("motif", JobWriter.ARCS);
        Optional<String> template = fields.optionalText("template");
        Optional<String> edge = fields.optionalText("edge");
        Fields division = fields.object("division");
        division.fixed("school", JobWriter.EVEN);
        double wanted = division.number("wantedRepeat", RingLayout.SHORTEST_REPEAT, RingLayout.LONGEST_REPEAT);
        Optional<Counts> counts = Optional.empty();
        Optional<Fields> chosen = division.optionalObject("counts");
        if (chosen.isPresent()) {
            counts = Optional.of(new Counts(
                    chosen.get().whole("across", 1, Counts.MOST), chosen.get().whole("down", 1, Counts.MOST)));
            chosen.get().done();
        }
        division.done();
        fields.done();
        return new RingLayout(template, edge, wanted, counts);
    }
}
