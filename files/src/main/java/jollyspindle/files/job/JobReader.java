package jollyspindle.files.job;

import jollyspindle.core.division.Judging;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.shelf.Machine;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.shelf.TemplateReader;

import java.util.Optional;

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
        Quilt quilt = QuiltReader.read(root.object("quilt"), tape);
        Optional<Fields> judging = root.optionalObject("judging");
        QuiltJob job = new QuiltJob(
                name.strip(),
                tape,
                machine,
                quilt,
                TemplateReader.templates(root),
                judging.isPresent() ? LayoutReader.judging(judging.get()) : Judging.usual(),
                LayoutReader.read(root, quilt),
                AreaDesigns.read(root, quilt));
        root.done();
        return job;
    }
}
