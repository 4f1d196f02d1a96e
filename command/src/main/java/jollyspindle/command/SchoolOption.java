package jollyspindle.command;

import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.QuiltRules;
import picocli.CommandLine;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** How a run is made to come out: the school, and what it needs. */
final class SchoolOption {

    /** What is shorter to type than a school's lasting name. */
    private static final Map<SchoolKind, String> SHORT = Map.of(
            SchoolKind.FUDGED, "fudge", SchoolKind.BY_PIECING, "piecing", SchoolKind.BY_INCREMENTS, "increments");

    /** The schools, as they are typed. */
    static final class Names extends ArrayList<String> {

        private static final long serialVersionUID = 1;

        Names() {
            super(Stream.of(SchoolKind.values()).map(SchoolOption::typed).toList());
        }
    }

    private static String typed(SchoolKind kind) {
        return SHORT.getOrDefault(kind, Codes.of(kind));
    }

    /** Reads a school as it is typed, in whichever case. */
    static SchoolKind read(String typed) {
        String name = typed.strip().toLowerCase(Locale.ROOT);
        return Stream.of(SchoolKind.values())
                .filter(kind -> name.equals(typed(kind)) || name.equals(Codes.of(kind)))
                .findFirst()
                .orElseThrow(() -> new CommandLine.TypeConversionException(
                        Said.say("school.none", "typed", typed, "all", String.join(", ", new Names()))));
    }

    /** What stands on the centre. */
    enum OnCentre {
        VALLEY,
        CROWN
    }

    @Option(
            names = "--school",
            completionCandidates = Names.class,
            description =
                    "How it is made to come out: ${COMPLETION-CANDIDATES}. If not said, all ways are listed, or with"
                            + " --count that one even way is shown.")
    private SchoolKind way;

    @Option(names = "--count", description = "How many repeats; for corners-in from each corner.")
    private Integer count;

    @Option(names = "--centre", description = "What stands on the centre in centre-out: valley or crown.")
    private OnCentre centre = OnCentre.VALLEY;

    @Option(
            names = "--spread",
            description = "What takes the leftover in fudge: all, round-centre=N, or the repeats' numbers as 3,4,9;"
                    + " all if not said.")
    private String spread = "all";

    @Option(names = "--unit", description = "The pieced unit; the repeat is --units of them over --parts.")
    private String unit;

    @Option(names = "--units", description = "Pieced units to a repeat.")
    private int units = 1;

    @Option(names = "--parts", description = "Repeats to so many units.")
    private int parts = 1;

    @Option(names = "--step", description = "From one mark of the stencil to the next; the repeat is --steps of them.")
    private String step;

    @Option(names = "--steps", description = "Steps to a repeat.")
    private int steps = 1;

    @Option(names = "--pin", paramLabel = "N=LENGTH", description = "A valley pinned by hand, by its number.")
    private Map<Integer, String> pins = Map.of();

    @Option(
            names = "--radius",
            description = "The stitched radius of the arcs, to say what can stand in the middle of corners-in.")
    private String radius;

    /** The arc over a repeat, if its radius was typed. */
    Optional<CircularSegment> beside(CommandSpec spec, double repeat, TapeScale tape) {
        if (radius == null) {
            return Optional.empty();
        }
        double stitched = Typed.length(spec, "--radius", radius, tape, QuiltRules.LONGEST);
        if (!CircularSegment.spans(stitched, repeat)) {
            throw wrong(
                    spec,
                    Said.say(
                            "school.radius",
                            "radius",
                            tape.read(stitched).text(),
                            "most",
                            tape.read(2 * stitched).text(),
                            "repeat",
                            tape.read(repeat).text()));
        }
        return Optional.of(CircularSegment.ofRadiusAndChord(stitched, repeat));
    }

    /** The school that was asked for, as the finder knows it. */
    Optional<SchoolKind> kind() {
        return Optional.ofNullable(way);
    }

    /** The pieced unit that was typed, in inches. */
    OptionalDouble unit(CommandSpec spec, TapeScale tape) {
        return unit == null
                ? OptionalDouble.empty()
                : OptionalDouble.of(Typed.length(spec, "--unit", unit, tape, QuiltRules.LONGEST));
    }

    /** From mark to mark of the stencil that was typed, in inches. */
    OptionalDouble step(CommandSpec spec, TapeScale tape) {
        return step == null
                ? OptionalDouble.empty()
                : OptionalDouble.of(Typed.length(spec, "--step", step, tape, Wish.LONGEST_REPEAT));
    }

    /** Whether one way is asked for, and not the list of them; a count alone asks for the even one. */
    boolean given() {
        return way != null || count != null;
    }

    boolean counts() {
        return count != null;
    }

    private SchoolKind asked() {
        return way == null ? SchoolKind.EVEN : way;
    }

    /** The school that is asked for, as it is typed. */
    String typed() {
        return typed(asked());
    }

    /** The school for a run; nothing if the run has no room for it. */
    Optional<? extends School> school(CommandSpec spec, double length, Optional<Double> about, TapeScale tape) {
        try {
            return switch (asked()) {
                case EVEN -> Optional.of(new Even(countOr(length, about, spec)));
                case HALF_STEPS -> Optional.of(new HalfSteps(countOr(length, about, spec)));
                case CORNERS_IN ->
                    count == null
                            ? CornersIn.most(length, repeat(about, spec))
                            : Optional.of(new CornersIn(repeat(about, spec), count));
                case CENTRE_OUT ->
                    count == null
                            ? CentreOut.most(length, repeat(about, spec), centre == OnCentre.VALLEY)
                            : Optional.of(new CentreOut(repeat(about, spec), count));
                case FUDGED -> Optional.of(new Fudged(repeat(about, spec), countOr(length, about, spec), spread(spec)));
                case BY_PIECING -> Optional.of(new ByPiecing(needed("--unit", unit, spec, tape), units, parts));
                case BY_INCREMENTS -> Optional.of(new ByIncrements(needed("--step", step, spec, tape), steps));
                case BY_HAND -> Optional.of(new ByHand(countOr(length, about, spec), pins(length, spec, tape)));
            };
        } catch (IllegalArgumentException e) {
            throw wrong(spec, Said.say("school.refused", "school", typed(), "why", e.getMessage()));
        }
    }

    /** What of the same school comes out on a run where the typed doesn't, in a sentence. */
    Optional<String> comingOut(CommandSpec spec, double length, TapeScale tape) {
        if (way == SchoolKind.BY_INCREMENTS) {
            double marks = needed("--step", step, spec, tape);
            List<Integer> numbers = ByIncrements.all(length, marks).stream()
                    .map(ByIncrements::steps)
                    .sorted()
                    .toList();
            return numbers.isEmpty()
                    ? Optional.empty()
                    : Optional.of(Said.say(
                            "school.steps",
                            "step",
                            tape.read(marks).text(),
                            "steps",
                            numbers.stream().map(String::valueOf).collect(Collectors.joining(", "))));
        }
        if (way == SchoolKind.BY_PIECING) {
            String repeats = ByPiecing.all(length, needed("--unit", unit, spec, tape)).stream()
                    .map(s -> Said.say("school.parts", "units", s.units(), "parts", s.parts()))
                    .collect(Collectors.joining(", "));
            return repeats.isEmpty() ? Optional.empty() : Optional.of(Said.say("school.units", "repeats", repeats));
        }
        return Optional.empty();
    }

    private static CommandLine.ParameterException wrong(CommandSpec spec, String message) {
        return new CommandLine.ParameterException(spec.commandLine(), message);
    }

    private double repeat(Optional<Double> about, CommandSpec spec) {
        return about.orElseThrow(() -> wrong(spec, Said.say("school.comes-repeat", "school", typed())));
    }

    private int countOr(double length, Optional<Double> about, CommandSpec spec) {
        if (count != null) {
            return count;
        }
        if (about.isEmpty()) {
            throw wrong(spec, Said.say("school.comes-count", "school", typed()));
        }
        return (int) Math.max(1, Math.min(Counts.MOST, Math.round(length / about.get())));
    }

    private double needed(String option, String text, CommandSpec spec, TapeScale tape) {
        if (text == null) {
            throw wrong(spec, Said.say("school.comes", "school", typed(), "option", option));
        }
        return Typed.length(spec, option, text, tape, QuiltRules.LONGEST);
    }

    private Spread spread(CommandSpec spec) {
        try {
            if (spread.equalsIgnoreCase("all")) {
                return new Spread.All();
            }
            if (spread.startsWith("round-centre=")) {
                return new Spread.RoundCentre(Integer.parseInt(spread.substring("round-centre=".length())));
            }
            Set<Integer> numbers = new TreeSet<>();
            for (String number : spread.split(",")) {
                numbers.add(Integer.parseInt(number.strip()));
            }
            return new Spread.Chosen(numbers);
        } catch (NumberFormatException e) {
            throw wrong(spec, Said.say("school.spread", "typed", spread));
        }
    }

    private Map<Integer, Double> pins(double length, CommandSpec spec, TapeScale tape) {
        TreeMap<Integer, Double> read = new TreeMap<>();
        new TreeMap<>(pins).forEach((valley, text) -> {
            double at = Typed.length(spec, "--pin " + valley, text, tape, length);
            if (!read.isEmpty() && at <= read.lastEntry().getValue()) {
                throw wrong(
                        spec,
                        Said.say(
                                "school.pin",
                                "valley",
                                valley,
                                "at",
                                tape.read(at).text(),
                                "before",
                                read.lastKey(),
                                "beforeAt",
                                tape.read(read.lastEntry().getValue()).text()));
            }
            read.put(valley, at);
        });
        return read;
    }
}
