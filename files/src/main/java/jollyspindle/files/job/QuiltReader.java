package jollyspindle.files.job;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** From a job file's fields to the quilt as measured. */
final class QuiltReader {

    private final TreeMap<Dimension, Double> measured = new TreeMap<>();
    private final Map<Dimension, String> places = new TreeMap<>();

    private QuiltReader() {}

    static Quilt read(Fields fields, TapeScale tape) throws FileTrouble {
        return new QuiltReader().quilt(fields, tape);
    }

    private Quilt quilt(Fields fields, TapeScale tape) throws FileTrouble {
        for (MeasuredFields some : List.of(MeasuredFields.BODY, MeasuredFields.DIAGONALS, MeasuredFields.ALL_ROUND)) {
            some.read(fields, measured, places);
        }
        List<Border> borders = new ArrayList<>();
        for (Fields border : fields.objects("borders", Quilt.MOST_BORDERS)) {
            borders.add(border(border, borders.size() + 1));
        }
        List<Integer> stripNumbers = new ArrayList<>();
        List<Integer> areaNumbers = new ArrayList<>();
        Quilt quilt = new Quilt(
                measured,
                borders,
                easings(fields),
                strips(fields, stripNumbers),
                Areas.read(fields, areaNumbers),
                new Quilt.Numbers(stripNumbers, areaNumbers));
        fields.done();
        Optional<Dimension> wrong = QuiltRules.firstRefused(quilt);
        if (wrong.isPresent()) {
            double inches = quilt.length(wrong.get());
            QuiltRules.Refusal why =
                    QuiltRules.refusal(quilt, wrong.get(), inches).orElseThrow();
            throw new FileTrouble(FileTexts.say(
                    "field.at",
                    "place",
                    places.get(wrong.get()),
                    "what",
                    new Words(tape).refusal(why, wrong.get(), inches)));
        }
        return quilt;
    }

    private Border border(Fields fields, int number) throws FileTrouble {
        fields.optionalText("id");
        Border border = ParamFields.read(fields, Border.PARAMS);
        for (MeasuredFields some : MeasuredFields.ofBorder(number)) {
            some.read(fields, measured, places);
        }
        fields.done();
        return border;
    }

    private static Quilt.Easings easings(Fields fields) throws FileTrouble {
        Optional<Fields> found = fields.optionalObject("plannedAt");
        if (found.isEmpty()) {
            return Quilt.Easings.NONE;
        }
        Quilt.Easings easings = new Quilt.Easings(
                easing(found.get(), "topAndBottom", Quilt.Easings.NONE.across()),
                easing(found.get(), "rightAndLeft", Quilt.Easings.NONE.down()));
        found.get().done();
        return easings;
    }

    private static Easing easing(Fields fields, String field, Easing usual) throws FileTrouble {
        return fields.has(field) ? fields.choice(field, Easing.class) : usual;
    }

    private static List<Strip> strips(Fields fields, List<Integer> numbers) throws FileTrouble {
        List<Strip> strips = new ArrayList<>();
        if (!fields.has("strips")) {
            return strips;
        }
        for (Fields strip : fields.objects("strips", Strip.MOST)) {
            int place = strips.size() + 1;
            numbers.add(strip.optionalText("id")
                    .flatMap(GroupId::parse)
                    .filter(GroupId::strip)
                    .map(GroupId::number)
                    .orElse(place));
            strips.add(ParamFields.read(strip, Strip.PARAMS));
            strip.done();
        }
        return strips;
    }
}
