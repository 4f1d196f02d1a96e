package jollyspindle.command;

import jollyspindle.core.plan.WorkPlan;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.packet.Packet;
import jollyspindle.files.packet.PaperSize;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.concurrent.Callable;

/** {@code spindle packet}. */
@Command(
        name = "packet",
        description = "Writes the pages that are taken to the machine, as PDF at true size.",
        mixinStandardHelpOptions = true)
final class PacketCommand implements Callable<Integer> {

    @Mixin
    private JobArgument job;

    @Option(
            names = {"-o", "--output"},
            required = true,
            paramLabel = "FILE.pdf",
            description = "Where to write.")
    private Path output;

    @Option(names = "--paper", defaultValue = "a4", description = "a4 or letter; ${DEFAULT-VALUE} if not said.")
    private PaperSize paper;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws FileTrouble {
        WorkPlan plan = job.plan();
        int status = JobArgument.tell(plan, spec.commandLine().getErr());
        job.write(output, Packet.format(plan, paper));
        return status;
    }
}
