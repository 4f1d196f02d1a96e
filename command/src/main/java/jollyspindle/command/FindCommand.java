package jollyspindle.command;

import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.Find;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.TemplateFinder;
import jollyspindle.core.words.FindWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.planjson.ShelfJson;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;

/** {@code spindle find}. */
@Command(
        name = "find",
        description =
                "Finds the templates on the shelf that do what is wanted, best first, or says what size is missing.",
        mixinStandardHelpOptions = true,
        footer = {
            "",
            "One of:",
            "  --span 6 --room \"5 1/2\" [--rise 3]   an arc over a span",
            "  --circle 2                           a stitched circle of that diameter",
            "  --ring-gap 1/2 --largest 6           rings about one centre",
            "  --fan 8 [--reserve 1/2]              fans in a border of that depth",
            "  --block \"4 1/2\"                      a square block of that side",
            "  --strip 2                            a strip of that width",
            "",
            "Exit status 1: nothing on the shelf does it."
        })
final class FindCommand implements Callable<Integer> {

    private static final double USUAL_RESERVE = 0.5;

    @Mixin
    private ShelfOption where;

    @Option(names = "--span", description = "From foot to foot of an arc.")
    private String span;

    @Option(names = "--room", description = "From the arc's feet to where nothing may be stitched.")
    private String room;

    @Option(names = "--rise", description = "How high the arc should rise, if that matters.")
    private String rise;

    @Option(names = "--circle", description = "The stitched diameter.")
    private String circle;

    @Option(names = "--ring-gap", description = "From one ring to the next.")
    private String gap;

    @Option(names = "--largest", description = "The outermost ring's diameter.")
    private String largest;

    @Option(names = "--fan", description = "The depth of the border the fans stand in.")
    private String fan;

    @Option(names = "--reserve", description = "Along the outer edge, where nothing may be stitched; 1/2 if not said.")
    private String reserve;

    @Option(names = "--block", description = "The side of the block.")
    private String block;

    @Option(names = "--strip", description = "The width of the strip.")
    private String strip;

    @Option(names = "--json", description = "Print JSON: inches and degrees.")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws FileTrouble {
        Find.Wanted wanted = wanted();
        Shelf shelf = where.shelf(spec);
        Find find = new TemplateFinder(shelf.templates(), shelf.machine()).find(wanted);
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.print(ShelfJson.format(find, shelf.machine(), where.tape()));
        } else {
            FindWords words = new FindWords(new Words(where.tape()));
            out.println(words.answer(find));
            for (Find.Match match : find.matches()) {
                out.printf(Locale.ROOT, "  %-18s %s%n", match.template().name(), words.match(match));
            }
        }
        out.flush();
        return find.matches().isEmpty() ? SpindleCommand.TROUBLE : 0;
    }

    private Find.Wanted wanted() {
        if (Stream.of(span, circle, gap, fan, block, strip)
                        .filter(s -> s != null)
                        .count()
                != 1) {
            throw wrong("Say one thing that is wanted: --span, --circle, --ring-gap, --fan, --block or --strip.");
        }
        belongs("--room", room, "--span", span);
        belongs("--rise", rise, "--span", span);
        belongs("--largest", largest, "--ring-gap", gap);
        belongs("--reserve", reserve, "--fan", fan);
        if (span != null) {
            needs("--span", "--room", room);
            return new Find.Wanted.Span(
                    read("--span", span),
                    read("--room", room),
                    rise == null ? Optional.empty() : Optional.of(read("--rise", rise)));
        }
        if (circle != null) {
            return new Find.Wanted.Circle(read("--circle", circle));
        }
        if (gap != null) {
            needs("--ring-gap", "--largest", largest);
            return new Find.Wanted.Rings(read("--ring-gap", gap), read("--largest", largest));
        }
        if (fan != null) {
            return new Find.Wanted.Fan(
                    read("--fan", fan),
                    reserve == null
                            ? USUAL_RESERVE
                            : Typed.lengthOrZero(spec, "--reserve", reserve, where.tape(), QuiltRules.LONGEST));
        }
        return block != null
                ? new Find.Wanted.Block(read("--block", block))
                : new Find.Wanted.Strip(read("--strip", strip));
    }

    private void needs(String what, String option, String value) {
        if (value == null) {
            throw wrong(Said.say("option.comes", "what", what, "option", option));
        }
    }

    private void belongs(String option, String value, String to, String there) {
        if (value != null && there == null) {
            throw wrong(Said.say("option.goes-with", "option", option, "what", to));
        }
    }

    private double read(String option, String text) {
        return Typed.length(spec, option, text, where.tape(), QuiltRules.LONGEST);
    }

    private CommandLine.ParameterException wrong(String message) {
        return new CommandLine.ParameterException(spec.commandLine(), message);
    }
}
