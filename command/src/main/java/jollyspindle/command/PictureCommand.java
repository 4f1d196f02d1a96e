package jollyspindle.command;

import jollyspindle.core.plan.WorkPlan;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.drawing.ClothPng;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;

/** {@code spindle picture}. */
@Command(
        name = "picture",
        description = "Pictures a job as it will look once it is quilted, as PNG.",
        mixinStandardHelpOptions = true)
final class PictureCommand implements Callable<Integer> {

    @Mixin
    private JobArgument job;

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "FILE.png",
            description = "Where to write.")
    private Path output;

    @Option(
            names = "--width",
            paramLabel = "PIXELS",
            defaultValue = "2400",
            description =
                    "How wide, from " + ClothPng.NARROWEST + " to " + ClothPng.WIDEST + ". Default: ${DEFAULT-VALUE}.")
    private int width;

    @Option(
            names = "--region",
            paramLabel = "REGION",
            description = "Only this part: top, border-2-left, strip-1, body, area-1.")
    private Optional<String> region;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws FileTrouble {
        WorkPlan plan = job.plan();
        int status = JobArgument.tell(plan, spec.commandLine().getErr());
        job.write(output, ClothPng.format(plan, region, width));
        return status;
    }
}
