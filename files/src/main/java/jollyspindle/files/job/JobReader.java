package jollyspindle.files.job;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.cloth.ClothLook;
import jollyspindle.core.division.Judging;
import jollyspindle.core.effort.TooManyLinesException;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;
import jollyspindle.files.shelf.TemplateFields;

import java.util.List;
import java.util.Optional;
import java.util.SortedMap;

/** From a job file's fields to a job. */
final class JobReader {

    private JobReader() {}

    /**
     * Reads a job.
     *
     * @param told takes what couldn't be read and is as usual instead
     */
    static QuiltJob read(Fields root, List<String> told) throws FileTrouble {
        String name = root.text("name");
        if (name.isBlank() || name.length() > QuiltJob.LONGEST_NAME) {
            throw root.trouble("name", FileTexts.say("job.name", "most", QuiltJob.LONGEST_NAME));
        }
        TapeScale tape = root.choice("tape", TapeScale.class);
        Machine machine = TemplateFields.machine(root);
        Quilt quilt = QuiltReader.read(root.object("quilt"), tape);
        Judging judged = judging(root.optionalObject("judging"));
        List<Template> templates = TemplateFields.read(root);
        SortedMap<GroupId, RunLayout> layouts = LayoutReader.read(root, quilt);
        SortedMap<AreaId, AreaDesign> designs = AreaDesigns.read(root, quilt);
        ClothLook look = ClothFields.read(root, told);
        QuiltJob job;
        try {
            job = new QuiltJob(name.strip(), tape, machine, quilt, templates, judged, layouts, designs, look);
        } catch (TooManyLinesException e) {
            throw root.trouble("areaDesigns", e.getMessage() + ".");
        }
        root.done();
        return job;
    }

    private static Judging judging(Optional<Fields> fields) throws FileTrouble {
        if (fields.isEmpty()) {
            return Judging.usual();
        }
        Judging judging = ParamFields.read(fields.get(), Judging.PARAMS);
        fields.get().done();
        return judging;
    }
}
