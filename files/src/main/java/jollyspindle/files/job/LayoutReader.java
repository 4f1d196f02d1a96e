package jollyspindle.files.job;

import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.motif.Design;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.Optional;
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
        Fields wished = fields.object("wish");
        Wish wish = ParamFields.read(wished, Wish.PARAMS);
        wished.done();
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

    private static School school(Fields fields) throws FileTrouble {
        try {
            return ParamFields.read(
                    fields,
                    SchoolTypes.of(fields.choice("school", SchoolKind.class)).params());
        } catch (IllegalArgumentException e) {
            throw fields.trouble("school", e.getMessage() + ".");
        }
    }
}
