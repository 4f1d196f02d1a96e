package jollyspindle.benchmarks;

import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Says how long the window takes to the first drawn plan and a command takes to its answer, each in a process of its own and
 * in turn with what the least of its kind takes: an empty window, a program that does nothing. Needs a display.
 */
public final class StartReport {

    private static final int TIMES = 11;

    private StartReport() {}

    /** Does nothing: what every program of Java's takes to start. */
    public static final class Nothing {

        private Nothing() {}

        /** Does nothing. */
        public static void main(String[] args) {
            // Nothing.
        }
    }

    /**
     * Runs the report.
     *
     * @param args the folder of the product, in which it has been built by {@code ./spindle}; the working folder if not said
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        Path home = Path.of(args.length == 0 ? "." : args[0]).toAbsolutePath().normalize();
        String launcher = home.resolve("spindle").toString();
        String classes = home.resolve("desktop/target/app") + "/*" + File.pathSeparator
                + System.getProperty("java.class.path").split(File.pathSeparator)[0];
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        List<String> empty = List.of(java, "-cp", classes, EmptyWindow.Launcher.class.getName());
        List<String> nothing = List.of(java, "-cp", classes, Nothing.class.getName());
        compare("to the first drawn plan", List.of(launcher, "demo"), empty);
        compare("spindle divide", List.of(launcher, "divide", "--length", "62", "--about", "6"), nothing);
    }

    private static void compare(String what, List<String> ours, List<String> least)
            throws IOException, InterruptedException {
        double[] one = new double[TIMES];
        double[] other = new double[TIMES];
        run(ours);
        for (int i = 0; i < TIMES; i++) {
            one[i] = run(ours);
            other[i] = run(least);
        }
        Arrays.sort(one);
        Arrays.sort(other);
        System.out.printf(
                Locale.ROOT,
                "%s: %.0f ms (%.0f to %.0f); the least %.0f ms (%.0f to %.0f); ratio of the middle ones %.2f%n",
                what,
                one[TIMES / 2],
                one[0],
                one[TIMES - 1],
                other[TIMES / 2],
                other[0],
                other[TIMES - 1],
                one[TIMES / 2] / other[TIMES / 2]);
    }

    /** Milliseconds until a process has ended. */
    private static double run(List<String> command) throws IOException, InterruptedException {
        ProcessBuilder process = new ProcessBuilder(new ArrayList<>(command))
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.DISCARD);
        // The window ends itself once its first plan is drawn.
        process.environment().putAll(Map.of("JAVA_TOOL_OPTIONS", "-Dspindle.measure.start=true"));
        long begun = System.nanoTime();
        int status = process.start().waitFor();
        if (status != 0) {
            throw new IOException(command + " ended with " + status);
        }
        return (System.nanoTime() - begun) / 1e6;
    }
}
