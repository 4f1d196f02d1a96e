package jollyspindle.command;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Run;
import jollyspindle.core.division.RunSet;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.files.FileTrouble;
import picocli.CommandLine;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** The runs that are divided together, and what is wished of them. */
final class WaysOption {

    @Option(names = "--top", description = "The border's run along the top, corner to corner.")
    private String top;

    @Option(names = "--right", description = "Along the right side; as --left if not said.")
    private String right;

    @Option(names = "--bottom", description = "Along the bottom; as --top if not said.")
    private String bottom;

    @Option(names = "--left", description = "Along the left side; as --right if not said.")
    private String left;

    @Option(names = "--across", description = "How many repeats are wanted on top and bottom.")
    private Integer across;

    @Option(names = "--down", description = "How many repeats are wanted on right and left.")
    private Integer down;

    @Option(names = "--counts", description = "Which counts are wanted: ${COMPLETION-CANDIDATES}.")
    private Wish.Parity parity = Wish.Parity.ANY;

    @Option(names = "--shortest", description = "The shortest repeat allowed.")
    private String shortest;

    @Option(names = "--longest", description = "The longest repeat allowed.")
    private String longest;

    @Option(
            names = "--template",
            description = "Id of the template arcs are stitched with; one that spans if not said.")
    private String template;

    @Option(names = "--room", description = "From the seam to where nothing may be stitched; not minded if not said.")
    private String room;

    @Option(names = "--show", description = "Which way's readings are listed: 1, the best, if not said.")
    private int show = 1;

    boolean isRing() {
        return top != null || right != null || bottom != null || left != null;
    }

    int show() {
        return Math.max(1, show);
    }

    /** The four runs of a border as typed, in inches. */
    Map<RunId, Double> four(CommandSpec spec, TapeScale tape) {
        String onTop = top == null ? bottom : top;
        String onLeft = left == null ? right : left;
        if (onTop == null || onLeft == null) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(), "A border needs --top or --bottom, and --left or --right.");
        }
        return Map.of(
                RunId.of(Side.TOP), read(spec, "--top", onTop, tape),
                RunId.of(Side.BOTTOM), read(spec, "--bottom", bottom == null ? onTop : bottom, tape),
                RunId.of(Side.LEFT), read(spec, "--left", onLeft, tape),
                RunId.of(Side.RIGHT), read(spec, "--right", right == null ? onLeft : right, tape));
    }

    /** One run by itself. */
    Map<RunId, Double> one(double length) {
        return Map.of(RunId.strip(1), length);
    }

    private static double read(CommandSpec spec, String option, String text, TapeScale tape) {
        return Typed.length(spec, option, text, tape, QuiltRules.LONGEST);
    }

    /**
     * All ways to come out, best first.
     *
     * @param lengths of the runs, in inches
     * @param repeat wanted, in inches
     * @param only the school that is wanted, if one is
     */
    List<Candidate> find(
            CommandSpec spec,
            Map<RunId, Double> lengths,
            double repeat,
            Optional<SchoolKind> only,
            SchoolOption school,
            TapeScale tape,
            ShelfOption from)
            throws FileTrouble {
        OptionalDouble least = optional(spec, "--shortest", shortest, tape);
        OptionalDouble most = optional(spec, "--longest", longest, tape);
        if (least.isPresent() && most.isPresent() && least.getAsDouble() > most.getAsDouble()) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(),
                    Said.say(
                            "ways.longer",
                            "shortest",
                            tape.read(least.getAsDouble()).text(),
                            "longest",
                            tape.read(most.getAsDouble()).text()));
        }
        Wish wish;
        try {
            wish = new Wish(
                    repeat,
                    whole(across),
                    whole(down),
                    parity,
                    least,
                    most,
                    only,
                    school.step(spec, tape).orElse(Wish.USUAL_INCREMENT));
        } catch (IllegalArgumentException e) {
            throw new CommandLine.ParameterException(spec.commandLine(), e.getMessage() + ".");
        }
        Shelf shelf = from.shelf(spec);
        double space = room == null ? QuiltRules.LONGEST : Typed.length(spec, "--room", room, tape, QuiltRules.LONGEST);
        List<Run> runs = lengths.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(e -> new Run(e.getKey(), e.getValue(), space, 0))
                .toList();
        List<ArcTemplate> arcs = shelf.templates().stream()
                .filter(t -> !t.retired())
                .flatMap(t -> t.arcs().stream())
                .filter(arc -> arc.difficulty(shelf.machine()).isEmpty())
                .toList();
        ArcTemplate used = template == null ? spanning(spec, arcs, repeat, shelf.machine()) : named(spec, shelf);
        RunSet set =
                new RunSet(runs, used, arcs, shelf.machine(), tape, wish, Judging.usual(), school.unit(spec, tape));
        List<Candidate> found = new CandidateFinder(set).find(Map.of());
        if (only.filter(kind -> found.get(0).kind().filter(kind::equals).isEmpty())
                .isPresent()) {
            spec.commandLine().getErr().println(Said.say("ways.not", "school", school.typed()));
        }
        return found;
    }

    private ArcTemplate named(CommandSpec spec, Shelf shelf) {
        return shelf.template(template).stream()
                .map(Template::arcs)
                .flatMap(List::stream)
                .findFirst()
                .orElseThrow(() -> new CommandLine.ParameterException(
                        spec.commandLine(), Said.say("ways.template", "template", template)));
    }

    /** The smallest that spans the longest repeat there may be; the largest if none does. */
    private static ArcTemplate spanning(CommandSpec spec, List<ArcTemplate> arcs, double repeat, Machine machine) {
        Comparator<ArcTemplate> bySize = Comparator.comparingDouble(arc -> arc.stitchedRadius(machine));
        return arcs.stream()
                .filter(arc -> arc.stitchedRadius(machine) >= 0.75 * repeat)
                .min(bySize)
                .or(() -> arcs.stream().max(bySize))
                .orElseThrow(() -> new CommandLine.ParameterException(
                        spec.commandLine(), "The shelf has no template with a round edge."));
    }

    private static OptionalInt whole(Integer number) {
        return number == null ? OptionalInt.empty() : OptionalInt.of(number);
    }

    private static OptionalDouble optional(CommandSpec spec, String option, String text, TapeScale tape) {
        return text == null
                ? OptionalDouble.empty()
                : OptionalDouble.of(Typed.length(spec, option, text, tape, Wish.LONGEST_REPEAT));
    }
}
