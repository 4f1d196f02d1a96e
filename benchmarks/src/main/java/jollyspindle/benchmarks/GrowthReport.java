package jollyspindle.benchmarks;

import org.openjdk.jmh.profile.GCProfiler;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;

/** Says by how much time and memory grow when the work is doubled, and how both compare with the bare buffer of the lines. */
public final class GrowthReport {

    private static final String ALLOCATED = "gc.alloc.rate.norm";
    private static final double MEGABYTE = 1e6;

    private record Figure(double millis, double megabytes) {}

    private GrowthReport() {}

    /** Runs {@link GrowthBenchmark} and prints a line for each job, size and kind. */
    public static void main(String[] args) throws RunnerException {
        Map<String, Figure> found = new TreeMap<>();
        var options = new OptionsBuilder()
                .include(GrowthBenchmark.class.getName())
                .addProfiler(GCProfiler.class)
                .shouldFailOnError(true)
                .build();
        for (RunResult result : new Runner(options).run()) {
            String what = result.getParams().getBenchmark().replaceAll(".*\\.", "");
            String key = result.getParams().getParam("job") + " " + what + " "
                    + result.getParams().getParam("times");
            var allocated = result.getSecondaryResults().get(ALLOCATED);
            found.put(
                    key,
                    new Figure(
                            result.getPrimaryResult().getScore(),
                            allocated == null ? 0 : allocated.getScore() / MEGABYTE));
        }
        found.forEach((key, figure) -> {
            String[] parts = key.split(" ");
            int times = Integer.parseInt(parts[2]);
            Figure half = found.get(parts[0] + " " + parts[1] + " " + times / 2);
            Figure buffer = found.get(parts[0] + " bufferOfItsLines " + times);
            System.out.printf(
                    Locale.ROOT,
                    "%-10s %-17s x%d %9.1f ms %8.1f MB%s; %.2f of the buffer's time%n",
                    parts[0],
                    parts[1],
                    times,
                    figure.millis(),
                    figure.megabytes(),
                    half == null
                            ? ""
                            : String.format(
                                    Locale.ROOT,
                                    ", for twice the work %.2f of the time, %.2f of the memory",
                                    figure.millis() / half.millis(),
                                    figure.megabytes() / half.megabytes()),
                    figure.millis() / buffer.millis());
        });
    }
}
