package jollyspindle.command;

import jollyspindle.core.plan.WorkPlan;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.drawing.PlanSvg;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.concurrent.Callable;

/** {@code spindle svg}. */
@Command(name = "svg", description = "Draws a job as SVG at true size.", mixinStandardHelpOptions = true)
final class SvgCommand implements Callable<Integer> {

    @Mixin
    private JobArgument job;

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "FILE.svg",
            description = "Where to write.")
    private Path output;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws FileTrouble {
        WorkPlan plan = job.plan();
        int status = JobArgument.tell(plan, spec.commandLine().getErr());
        job.write(output, PlanSvg.format(plan));
        return status;
    }
}
