package jollyspindle.files.job;

import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.motif.Design;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.RunId;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SortedMap;
import java.util.TreeMap;

/** From a job file's fields to what was decided for borders and strips. */
final class LayoutReader {

    /** More layouts than there can be borders and strips. */
    private static final int MOST_LAYOUTS = 200;

    private LayoutReader() {}

    static SortedMap<GroupId, RunLayout> read(Fields root, Quilt quilt) throws FileTrouble {
        TreeMap<GroupId, RunLayout> layouts = new TreeMap<>();
        for (Fields fields : root.objects("layouts", MOST_LAYOUTS)) {
            Optional<GroupId> named = GroupId.parse(fields.text("id"));
            if (named.isEmpty()) {
                throw fields.trouble("id", "there should be a border or a strip, such as border-1.");
            }
            GroupId id = named.get();
            boolean there = id.strip()
                    ? quilt.strip(id).isPresent()
                    : id.number() <= quilt.borders().size();
            if (!there || layouts.containsKey(id)) {
                throw fields.trouble(
                        "id", there ? "this one has been laid out already." : "this job has no such border or strip.");
            }
            layouts.put(id, layout(fields, id));
            fields.done();
        }
        return layouts;
    }

    private static RunLayout layout(Fields fields, GroupId id) throws FileTrouble {
        Design design = DesignReader.read(fields);
        Wish wish = wish(fields.object("wish"));
        Optional<Fields> tied = fields.optionalObject("tie");
        Optional<Tie> tie = Optional.empty();
        if (tied.isPresent()) {
            if (id.strip() || id.number() == 1) {
                throw fields.trouble("tie", "only a border can follow one inside it.");
            }
            tie = Optional.of(new Tie(
                    id.number(),
                    tied.get().whole("to", 1, id.number() - 1),
                    tied.get().choice("ratio", Tie.Ratio.class)));
            tied.get().done();
        }
        TreeMap<RunId, School> chosen = new TreeMap<>();
        if (fields.has("chosen")) {
            for (Fields one : fields.objects("chosen", 4)) {
                RunId run = RunId.parse(one.text("id"))
                        .filter(r -> r.group().equals(id))
                        .orElse(null);
                if (run == null) {
                    throw one.trouble("id", FileTexts.say("job.run-of", "group", id.code()));
                }
                chosen.put(run, school(one));
                one.done();
            }
        }
        return new RunLayout(design, wish, tie, chosen);
    }

    private static Wish wish(Fields fields) throws FileTrouble {
        double least = Wish.SHORTEST_REPEAT;
        double most = Wish.LONGEST_REPEAT;
        double repeat = fields.number("repeat", least, most);
        OptionalDouble shortest = fields.optionalNumber("shortest", least, most);
        OptionalDouble longest = fields.optionalNumber("longest", shortest.orElse(least), most);
        Wish wish = new Wish(
                repeat,
                count(fields, "across"),
                count(fields, "down"),
                fields.has("parity") ? fields.choice("parity", Wish.Parity.class) : Wish.Parity.ANY,
                shortest,
                longest,
                fields.has("school") ? Optional.of(fields.choice("school", SchoolKind.class)) : Optional.empty(),
                fields.optionalNumber("increment", QuiltRules.SMALLEST_STEP, most)
                        .orElse(Wish.USUAL_INCREMENT));
        fields.done();
        return wish;
    }

    private static OptionalInt count(Fields fields, String field) throws FileTrouble {
        return fields.has(field) ? OptionalInt.of(fields.whole(field, 1, Counts.MOST)) : OptionalInt.empty();
    }

    private static School school(Fields fields) throws FileTrouble {
        try {
            return ParamFields.read(
                    fields,
                    SchoolTypes.of(fields.choice("school", SchoolKind.class)).params());
        } catch (IllegalArgumentException e) {
            throw fields.trouble("school", e.getMessage() + ".");
        }
    }

    static Judging judging(Fields fields) throws FileTrouble {
        Judging usual = Judging.usual();
        double tolerance = Judging.MOST_TOLERANCE;
        double weight = Judging.MOST_WEIGHT;
        Judging judging = new Judging(
                fields.optionalNumber("stretchUnseen", 0, tolerance).orElse(usual.stretchUnseen()),
                fields.optionalNumber("leftoverAlone", 0, tolerance).orElse(usual.leftoverAlone()),
                fields.optionalNumber("mismatchUnseen", 0, tolerance).orElse(usual.mismatchUnseen()),
                fields.optionalNumber("squareLimit", 0, Judging.MOST_SQUARE_LIMIT)
                        .orElse(usual.squareLimit()),
                fields.has("mostInAPoint")
                        ? fields.whole("mostInAPoint", 0, Judging.MOST_IN_A_POINT)
                        : usual.mostInAPoint(),
                fields.optionalNumber("offWanted", 0, weight).orElse(usual.offWanted()),
                fields.optionalNumber("mismatch", 0, weight).orElse(usual.mismatch()),
                fields.optionalNumber("stretch", 0, weight).orElse(usual.stretch()),
                fields.optionalNumber("oddSpace", 0, weight).orElse(usual.oddSpace()),
                fields.optionalNumber("intoReserve", 0, weight).orElse(usual.intoReserve()),
                fields.optionalNumber("placement", 0, weight).orElse(usual.placement()),
                fields.optionalNumber("unlike", 0, weight).orElse(usual.unlike()),
                fields.optionalNumber("readings", 0, weight).orElse(usual.readings()));
        fields.done();
        return judging;
    }
}
