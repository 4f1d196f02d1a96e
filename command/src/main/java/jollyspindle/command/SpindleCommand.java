package jollyspindle.command;

import jollyspindle.core.division.school.SchoolKind;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.regex.Pattern;

/** The command line's root. Exit status: 0 done; 1 the job has problems, or a file can't be used; 2 wrong use. */
@Command(
        name = "spindle",
        description = "Lays out, marks and plans ruler work for longarm quilters.",
        mixinStandardHelpOptions = true,
        version = "Jolly Spindle 0.1",
        exitCodeListHeading = "%nExit status:%n",
        exitCodeList = {"0:Done.", "1:The job has problems, or a file can't be used.", "2:Wrong use."},
        synopsisSubcommandLabel = "COMMAND",
        subcommands = {
            PlanCommand.class,
            PacketCommand.class,
            SvgCommand.class,
            PictureCommand.class,
            DivideCommand.class,
            ArcCommand.class,
            ShelfCommand.class,
            FindCommand.class,
            TemplateCommand.class,
            CommandLine.HelpCommand.class
        })
public final class SpindleCommand implements Runnable {

    /** The job has problems, or a file can't be used. */
    public static final int TROUBLE = 1;

    private static final Pattern FRACTION = Pattern.compile("\\d+/\\d+.*");

    @Spec
    private CommandSpec spec;

    /** The command line, ready to be executed or to be given further commands. */
    public static CommandLine commandLine() {
        CommandLine line = new CommandLine(new SpindleCommand());
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.registerConverter(SchoolKind.class, SchoolOption::read);
        line.registerConverter(Path.class, SpindleCommand::path);
        line.setExecutionStrategy(parsed -> {
            CommandLine root = parsed.commandSpec().commandLine();
            root.setOut(new PrintWriter(new PlainWriter(root.getOut()), true));
            root.setErr(new PrintWriter(new PlainWriter(root.getErr()), true));
            return new CommandLine.RunLast().execute(parsed);
        });
        line.setExecutionExceptionHandler((trouble, command, parsed) -> {
            if (trouble instanceof jollyspindle.files.FileTrouble) {
                command.getErr().println(Said.say("trouble", "trouble", trouble.getMessage()));
                return TROUBLE;
            }
            throw trouble;
        });
        line.setParameterExceptionHandler((wrong, arguments) -> refuse(wrong));
        return line;
    }

    private static Path path(String typed) {
        try {
            return Path.of(typed);
        } catch (InvalidPathException e) {
            throw new CommandLine.TypeConversionException(Said.say("file.no-name", "typed", typed));
        }
    }

    /** Says what was wrong and where to read on. All options would push that off the screen. */
    private static int refuse(CommandLine.ParameterException wrong) {
        CommandLine command = wrong.getCommandLine();
        PrintWriter err = command.getErr();
        err.println(wrong.getMessage());
        if (wrong instanceof CommandLine.UnmatchedArgumentException unmatched) {
            CommandLine.UnmatchedArgumentException.printSuggestions(wrong, err);
            if (unmatched.getUnmatched().stream().anyMatch(FRACTION.asMatchPredicate())) {
                err.println("A length with a space in it goes in quotes: '71 5/8'.");
            }
        }
        if (command.getParent() == null) {
            command.usage(err);
        } else {
            err.println(Said.say("help", "command", command.getCommandName()));
        }
        return command.getCommandSpec().exitCodeOnInvalidInput();
    }

    @Override
    public void run() {
        throw new CommandLine.ParameterException(spec.commandLine(), "Which command?");
    }
}
