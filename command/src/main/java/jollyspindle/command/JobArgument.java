package jollyspindle.command;

import jollyspindle.core.inspection.Finding;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.JsonFormat;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;

/** The job a command works on. */
final class JobArgument {

    @Parameters(index = "0", paramLabel = "JOB", description = "A job file, whose name ends in " + JobFile.SUFFIX + ".")
    private Path job;

    @Spec(Spec.Target.MIXEE)
    private CommandSpec asked;

    private boolean isJob(Path file) {
        try {
            return Files.exists(file) && Files.isSameFile(file, job);
        } catch (IOException e) {
            return false;
        }
    }

    WorkPlan plan() throws FileTrouble {
        JobFile.Opened opened = JobFile.read(job);
        opened.told().forEach(asked.commandLine().getErr()::println);
        return Planner.plan(opened.job());
    }

    /**
     * Tells the plan's problems and warnings on standard error.
     *
     * @return the exit status
     */
    static int tell(WorkPlan plan, PrintWriter err) {
        FindingWords said = new FindingWords(new Words(plan.job().tape()));
        for (Finding finding : plan.findings()) {
            if (finding.severity() != Finding.Severity.NOTE) {
                String where = FindingWords.where(finding, plan.job().quilt());
                err.println(Said.say(
                        "finding",
                        "severity",
                        FindingWords.name(finding.severity()),
                        "where",
                        where,
                        "finding",
                        said.text(finding)));
            }
        }
        return plan.hasProblems() ? SpindleCommand.TROUBLE : 0;
    }

    /** Writes what was made of the job, but never over the job, or another file that only Jolly Spindle can read. */
    void write(Path file, byte[] content) throws FileTrouble {
        if (isJob(file) || JsonFormat.formatOf(file).isPresent()) {
            throw new FileTrouble(Said.say("file.lost", "file", file.toString(), "job", isJob(file)));
        }
        try {
            AtomicFile.write(file, content);
        } catch (IOException e) {
            throw new FileTrouble(Said.say("file.not-written", "file", file.toString()), e);
        }
    }
}
