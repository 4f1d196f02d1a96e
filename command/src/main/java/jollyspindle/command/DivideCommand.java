package jollyspindle.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.EvenDivision;
import jollyspindle.core.division.RunCounts;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.words.Words;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.util.List;
import java.util.concurrent.Callable;

/** {@code spindle divide}. */
@Command(
        name = "divide",
        description = "Divides one run into even repeats, and says where the valleys stand.",
        mixinStandardHelpOptions = true,
        footer = "%nLengths are typed as on the tape: 73 1/4, 73.25, 186 cm, 6'1 1/4\".")
final class DivideCommand implements Callable<Integer> {

    private static final int LISTED = 4;

    @Option(names = "--length", required = true, description = "The run's length.")
    private String length;

    @Option(names = "--about", required = true, description = "About how long a repeat should be.")
    private String about;

    @Option(
            names = "--tape",
            defaultValue = "SIXTEENTHS",
            description = "${COMPLETION-CANDIDATES}; ${DEFAULT-VALUE} if not said.")
    private TapeScale tape;

    @Option(names = "--json", description = "Print JSON, in inches.")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        double run = Typed.length(spec, "--length", length, tape, QuiltRules.LONGEST);
        double wanted = Typed.length(spec, "--about", about, tape, QuiltRules.LONGEST);
        List<EvenDivision> found = RunCounts.near(run, wanted, LISTED);
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(asJson(run, found).toPrettyString());
        } else {
            asText(run, wanted, found, out);
        }
        out.flush();
        return 0;
    }

    private void asText(double run, double wanted, List<EvenDivision> found, PrintWriter out) {
        Words words = new Words(tape);
        out.println(words.length(run) + " divided about every " + words.length(wanted) + ", nearest first:");
        for (EvenDivision division : found) {
            out.printf(
                    "  %-11s of %-22s %s on the centre%n",
                    Words.count(division.count(), "repeat"),
                    words.length(division.repeat()),
                    division.valleyOnCentre() ? "valley" : "crown");
        }
        EvenDivision best = found.get(0);
        out.println();
        out.println("Valleys for " + Words.count(best.count(), "repeat") + ", each from one zero:");
        out.printf("  %-9s %-22s %-22s %s%n", "", "from left end", "from right end", "from centre");
        for (int k = 0; k <= best.count(); k++) {
            double along = best.valley(k);
            out.printf(
                    "  %-9s %-22s %-22s %s%n",
                    "Valley " + k,
                    words.length(along),
                    words.length(run - along),
                    Words.fromCentre(tape.read(along - best.centre())));
        }
    }

    private static ObjectNode asJson(double run, List<EvenDivision> found) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("length", run);
        ArrayNode divisions = root.putArray("divisions");
        for (EvenDivision division : found) {
            ObjectNode node = divisions.addObject();
            node.put("count", division.count());
            node.put("repeat", division.repeat());
            node.put("onCentre", division.valleyOnCentre() ? "valley" : "crown");
            ArrayNode valleys = node.putArray("valleys");
            for (int k = 0; k <= division.count(); k++) {
                valleys.add(division.valley(k));
            }
        }
        return root;
    }
}
