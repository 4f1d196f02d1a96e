package jollyspindle.command;

import jollyspindle.core.inspection.Finding;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import picocli.CommandLine.Parameters;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;

/** The job a command works on. */
final class JobArgument {

    @Parameters(index = "0", paramLabel = "JOB", description = "A job file, whose name ends in " + JobFile.SUFFIX + ".")
    private Path job;

    WorkPlan plan() throws FileTrouble {
        return Planner.plan(JobFile.read(job).job());
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
                err.println("spindle: " + FindingWords.name(finding.severity()) + ": " + where + said.text(finding));
            }
        }
        return plan.hasProblems() ? SpindleCommand.TROUBLE : 0;
    }

    static void write(Path file, byte[] content) throws FileTrouble {
        try {
            AtomicFile.write(file, content);
        } catch (IOException e) {
            throw new FileTrouble("“" + file + "” can't be written: is its folder there, and may you write in it?", e);
        }
    }
}
