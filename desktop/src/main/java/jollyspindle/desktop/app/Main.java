package jollyspindle.desktop.app;

import jollyspindle.command.SpindleCommand;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.plan.Planner;
import jollyspindle.desktop.words.Said;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.packet.Packet;
import jollyspindle.files.packet.PaperSize;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.Charset;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;

/** Where everything starts: the window without arguments, else a command. */
public final class Main {

    // Kept, so that its level is.
    private static final Logger JAVAFX = Logger.getLogger("javafx");

    private static final String DEMO = "demo";

    private Main() {}

    /** Starts the application or carries out a command. */
    public static void main(String[] args) {
        System.exit(run(args));
    }

    private static int run(String[] args) {
        // JavaFX warns when it isn't run as a module, which matters only to those who pack modules.
        JAVAFX.setLevel(Level.SEVERE);
        // A window is there sooner if no command has to be made out first.
        Optional<String> job = plainlyOpened(args);
        if (job.isPresent() && hasDisplay()) {
            return launch(new PrintWriter(System.err, true, Charset.defaultCharset()), job.get());
        }
        if (args.length == 0 && hasDisplay()) {
            return launch(new PrintWriter(System.err, true, Charset.defaultCharset()));
        }
        if (List.of(args).equals(List.of(DEMO)) && hasDisplay()) {
            return demoInWindow(
                    new PrintWriter(System.out, true, Charset.defaultCharset()),
                    new PrintWriter(System.err, true, Charset.defaultCharset()));
        }
        CommandLine line = SpindleCommand.commandLine();
        line.addSubcommand(new Open());
        line.addSubcommand(new Demo());
        line.addSubcommand(new Screenshots());
        line.addSubcommand(new Ready());
        if (job.isPresent()) {
            return line.execute("open", job.get());
        }
        return args.length == 0 ? line.execute("open") : line.execute(args);
    }

    /** The job that is to be opened, if that is all that is asked for. A file manager hands over just its name. */
    private static Optional<String> plainlyOpened(String... args) {
        String last = args.length == 0 ? "" : args[args.length - 1];
        boolean asked = args.length == 2 && args[0].equals("open") && !last.startsWith("-");
        return asked || args.length == 1 && last.endsWith(JobFile.SUFFIX) ? Optional.of(last) : Optional.empty();
    }

    /** Whether this machine can show a window, as far as can be told before trying. */
    static boolean hasDisplay() {
        String system = System.getProperty("os.name").toLowerCase(Locale.ROOT);
        if (system.contains("win") || system.contains("mac")) {
            return true;
        }
        String display = System.getenv("DISPLAY");
        return display != null && !display.isBlank();
    }

    /** Opens the window and stays until it is closed. */
    private static int launch(PrintWriter err, String... arguments) {
        try {
            SpindleApp.begin(arguments);
            Application.launch(SpindleApp.class, arguments);
            return 0;
        } catch (RuntimeException | LinkageError e) {
            Throwable cause = e.getCause() == null ? e : e.getCause();
            // What JavaFX says when there is no screen or no library to draw with; anything else is our own fault.
            boolean noScreen = cause instanceof LinkageError || cause instanceof UnsupportedOperationException;
            if (!noScreen) {
                Logger.getLogger(Main.class.getName()).log(Level.SEVERE, "the window couldn't be opened", cause);
            }
            err.println(couldNotOpen(noScreen ? Optional.of(cause) : Optional.empty()));
            err.flush();
            return SpindleCommand.TROUBLE;
        }
    }

    /** What to say when there is no window: whether the machine can't show one, or the fault is our own. */
    static String couldNotOpen(Optional<Throwable> noScreen) {
        return Said.say("start.no-window", "cause", noScreen.map(cause -> String.valueOf(cause.getMessage())));
    }

    /** Opens the window on the demo job; where that can't be, its pictures are written instead. */
    private static int demoInWindow(PrintWriter out, PrintWriter err) {
        int status = launch(err, SpindleApp.DEMO);
        if (status == 0) {
            return 0;
        }
        out.println("The demo is written to files instead.");
        out.flush();
        try {
            return afresh(DEMO, "--no-window");
        } catch (IOException e) {
            err.println(Said.say("start.not-written", "why", e.getMessage()));
            err.flush();
            return SpindleCommand.TROUBLE;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return SpindleCommand.TROUBLE;
        }
    }

    /** In a new process, since JavaFX can be started only once in one. */
    private static int afresh(String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Main.class.getName()));
        command.addAll(Arrays.asList(arguments));
        return new ProcessBuilder(command).inheritIO().start().waitFor();
    }

    @Command(
            name = "open",
            description = "Opens the application, on a job if one is named.",
            mixinStandardHelpOptions = true)
    private static final class Open implements Callable<Integer> {

        @Parameters(index = "0", arity = "0..1", paramLabel = "JOB", description = "A job file.")
        private Path job;

        @Spec
        private CommandSpec spec;

        @Override
        public Integer call() {
            if (!hasDisplay()) {
                spec.commandLine()
                        .getErr()
                        .println("spindle: There is no display here to open a window on. The"
                                + " commands work without one: spindle --help. So does spindle demo.");
                return SpindleCommand.TROUBLE;
            }
            PrintWriter err = spec.commandLine().getErr();
            return job == null ? launch(err) : launch(err, job.toString());
        }
    }

    @Command(
            name = DEMO,
            description = "Opens the application on the demo job; without a display, writes the demo's packet and"
                    + " pictures to demo-output/.",
            mixinStandardHelpOptions = true)
    private static final class Demo implements Callable<Integer> {

        @Option(names = "--no-window", description = "Write files, even if there is a display.")
        private boolean noWindow;

        @Spec
        private CommandSpec spec;

        @Override
        public Integer call() throws IOException, InterruptedException, FileTrouble {
            PrintWriter out = spec.commandLine().getOut();
            if (!noWindow && hasDisplay()) {
                return demoInWindow(out, spec.commandLine().getErr());
            }
            if (!noWindow) {
                out.println("There is no display here to open a window on, so the demo is written to files instead.");
                out.flush();
            }
            return write(Path.of("demo-output"), out);
        }

        private static int write(Path folder, PrintWriter out) throws IOException, InterruptedException, FileTrouble {
            Pictures.goOffScreen();
            List<Path> written = new ArrayList<>(Pictures.write(folder));
            Path packet = folder.resolve("heron-weir.pdf");
            AtomicFile.write(packet, Packet.format(Planner.plan(DemoJob.heronWeir()), PaperSize.A4));
            written.add(packet);
            Path job = folder.resolve("heron-weir" + JobFile.SUFFIX);
            JobFile.write(job, DemoJob.heronWeir(), UnknownFields.none());
            written.add(job);
            written.forEach(file -> out.println("  " + file));
            out.flush();
            return 0;
        }
    }

    /** Goes once through what is usual, so that an archive of classes can be made of what was loaded. */
    @Command(name = "ready", hidden = true, description = "Loads what is loaded at every start.")
    private static final class Ready implements Callable<Integer> {

        @Override
        public Integer call() throws IOException, InterruptedException {
            SpindleCommand.commandLine().execute("divide", "--length", "62", "--about", "6");
            Pictures.goOffScreen();
            Pictures.lookRound();
            return 0;
        }
    }

    @Command(
            name = "screenshots",
            description = "Takes pictures of the main views with the demo job, off screen.",
            mixinStandardHelpOptions = true)
    private static final class Screenshots implements Callable<Integer> {

        @Option(
                names = {"-o", "--output"},
                defaultValue = "${sys:spindle.home:-.}/docs/screenshots",
                description = "The folder; ${DEFAULT-VALUE} if not said.")
        private Path folder;

        @Spec
        private CommandSpec spec;

        @Override
        public Integer call() throws IOException, InterruptedException {
            Pictures.goOffScreen();
            PrintWriter out = spec.commandLine().getOut();
            Pictures.write(folder).forEach(file -> out.println("  " + file));
            out.flush();
            return 0;
        }
    }
}
