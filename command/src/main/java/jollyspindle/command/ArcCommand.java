package jollyspindle.command;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.words.Words;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Stream;

/** {@code spindle arc}. */
@Command(
        name = "arc",
        description = "From any two of radius, span and rise of a stitched arc, gives the rest.",
        mixinStandardHelpOptions = true)
final class ArcCommand implements Callable<Integer> {

    private static final double LONGEST = 1000;

    @Option(names = "--radius", description = "The stitched radius.")
    private String radius;

    @Option(names = "--span", description = "From foot to foot.")
    private String span;

    @Option(names = "--rise", description = "From the line between the feet to the crown.")
    private String rise;

    @Option(
            names = "--tape",
            defaultValue = "SIXTEENTHS",
            description = "${COMPLETION-CANDIDATES}; ${DEFAULT-VALUE} if not said.")
    private TapeScale tape;

    @Option(names = "--json", description = "Print JSON, in inches and degrees.")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        if (Stream.of(radius, span, rise).filter(s -> s != null).count() != 2) {
            throw wrong("Give two of --radius, --span and --rise; the third follows from them.");
        }
        CircularSegment arc = solve();
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(JsonNodeFactory.instance
                    .objectNode()
                    .put("radius", arc.radius())
                    .put("span", arc.chord())
                    .put("rise", arc.height())
                    .put("sweepDegrees", Math.toDegrees(arc.sweep()))
                    .put("length", arc.arcLength())
                    .toPrettyString());
        } else {
            print(out, "radius", arc.radius());
            print(out, "span", arc.chord());
            print(out, "rise", arc.height());
            out.printf(Locale.ROOT, "%-7s %s%n", "sweep", Words.degrees(arc.sweep()));
            print(out, "length", arc.arcLength());
        }
        out.flush();
        return 0;
    }

    private CircularSegment solve() {
        Words words = new Words(tape);
        if (rise == null) {
            double r = read("--radius", radius);
            double c = read("--span", span);
            if (!CircularSegment.spans(r, c)) {
                throw wrong(Said.say(words, "arc.spans", "radius", r, "span", c));
            }
            return CircularSegment.ofRadiusAndChord(r, c);
        }
        double h = read("--rise", rise);
        if (span == null) {
            double r = read("--radius", radius);
            if (h > r) {
                throw wrong(Said.say(words, "arc.rises", "radius", r, "rise", h));
            }
            return CircularSegment.ofRadiusAndHeight(r, h);
        }
        double c = read("--span", span);
        if (h > c / 2) {
            throw wrong(Said.say(words, "arc.span-rises", "span", c, "rise", h));
        }
        return CircularSegment.ofChordAndHeight(c, h);
    }

    private double read(String option, String text) {
        return Typed.length(spec, option, text, tape, LONGEST);
    }

    private CommandLine.ParameterException wrong(String message) {
        return new CommandLine.ParameterException(spec.commandLine(), message);
    }

    private void print(PrintWriter out, String what, double inches) {
        out.printf(
                Locale.ROOT,
                "%-7s %-22s (%s)%n",
                what,
                tape.read(inches).text(),
                tape.read(inches).exactText());
    }
}
