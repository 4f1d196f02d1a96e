package jollyspindle.core.words;

import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.Cell;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.OnCentre;
import jollyspindle.core.division.Reason;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.plan.Moves;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Says how runs come out: schools, candidates, and what speaks for and against them.
 *
 * @param words lengths are said with
 */
public record DivisionWords(Words words) {

    private Texts texts() {
        return new Texts(words);
    }

    public static String name(SchoolKind kind) {
        return ParamWords.text("school." + Codes.of(kind) + ".name");
    }

    /** What a school does, in a sentence. */
    public static String explained(SchoolKind kind) {
        return ParamWords.text("school." + Codes.of(kind) + ".does");
    }

    public static String name(OnCentre there) {
        return Texts.name(there);
    }

    public static String name(Wish.Parity parity) {
        return Texts.name(parity);
    }

    /** What corners ask for. */
    public static String name(CornerAsk ask) {
        return Texts.name(ask);
    }

    public static String name(EndUse use) {
        return ParamWords.text("school.centre-out.ends." + Codes.of(use));
    }

    public static String name(Tie.Ratio ratio) {
        return Texts.name(ratio);
    }

    /** What stands in the middle, as a choice. */
    public static String name(Filling filling) {
        return Texts.told(filling);
    }

    /** A school with its numbers: {@code 10 repeats}, {@code 5 of 7 from each corner, two half arcs in the middle}. */
    public String school(School school) {
        return texts().text(school);
    }

    /** Schools of several runs, in short: {@code 10 across, 12 down}; the runs' own where they aren't so simple. */
    public String schools(SortedMap<RunId, School> schools) {
        boolean even = schools.values().stream().allMatch(Even.class::isInstance);
        Map<String, List<RunId>> said = new LinkedHashMap<>();
        schools.forEach((id, school) ->
                said.computeIfAbsent(school(school), s -> new ArrayList<>()).add(id));
        if (said.size() == 1) {
            return said.keySet().iterator().next();
        }
        return said.values().stream()
                .map(runs -> {
                    School school = schools.get(runs.get(0));
                    return Texts.plainly(
                            "schools.where",
                            "school",
                            school instanceof Even only && even ? only.count() : school(school),
                            "where",
                            where(runs));
                })
                .collect(Collectors.joining(even ? ", " : "; "));
    }

    private static String where(List<RunId> runs) {
        boolean across = runs.size() == 2
                && runs.stream()
                        .allMatch(r -> r.side().filter(s -> s.isAcross()).isPresent());
        boolean down = runs.size() == 2
                && runs.stream()
                        .allMatch(r -> r.side().filter(s -> !s.isAcross()).isPresent());
        if (across || down) {
            return Texts.plainly(across ? "schools.across" : "schools.down");
        }
        return Texts.plainly(
                "schools.on",
                "runs",
                runs.stream().map(r -> Words.decapital(Words.name(r))).collect(Collectors.joining(", ")));
    }

    /** A candidate's counts: {@code 10 across, 12 down}; {@code 14 repeats} on a strip. */
    public String counts(Candidate candidate) {
        List<DividedRun> runs = List.copyOf(candidate.runs());
        if (runs.size() == 1) {
            return Words.count(runs.get(0).division().count(), Words.Thing.REPEAT);
        }
        return candidate.counts().map(Words::counts).orElseGet(() -> runs.stream()
                .map(r -> Texts.plainly(
                        "counts.side",
                        "count",
                        r.division().count(),
                        "side",
                        r.id().side().map(Words::name).orElse("")))
                .collect(Collectors.joining(", ")));
    }

    /** The kind of school, or that there are several. */
    public String kind(Candidate candidate) {
        return candidate.kind().map(DivisionWords::name).orElseGet(() -> Texts.plainly("schools.by-themselves"));
    }

    /**
     * The repeats that are meant, across and down: {@code 7 3/16 scant and 7 3/16}; the shortest and the longest where
     * opposite sides differ by more than a tick of the tape.
     */
    public String repeats(Candidate candidate) {
        return lengths(candidate, r -> Stream.of(r.division().repeat()));
    }

    /** The rises of a candidate's usual repeats, said as {@link #repeats} are, or that there is none. */
    public String rise(Candidate candidate) {
        String rises = lengths(
                candidate, r -> r.fit().stream().map(fit -> fit.segment().height()));
        return Texts.plainly("rise", "there", !rises.isEmpty(), "rises", rises);
    }

    private String lengths(Candidate candidate, Function<DividedRun, Stream<Double>> length) {
        List<DoubleSummaryStatistics> axes = Stream.of(true, false)
                .map(across -> candidate.runs().stream()
                        .filter(r ->
                                r.id().side().map(Side::isAcross).orElse(true).equals(across))
                        .flatMap(length)
                        .mapToDouble(d -> d)
                        .summaryStatistics())
                .filter(all -> all.getCount() > 0)
                .toList();
        if (axes.stream()
                .allMatch(all -> all.getMax() - all.getMin() <= words.tape().tick())) {
            return axes.stream()
                    .map(all -> words.length(all.getAverage()))
                    .distinct()
                    .reduce((one, other) -> Texts.plainly("axes", "one", one, "other", other))
                    .orElse("");
        }
        axes.get(0).combine(axes.get(axes.size() - 1));
        return texts().say(
                        "axes.range",
                        "least",
                        axes.get(0).getMin(),
                        "most",
                        axes.get(0).getMax());
    }

    public String reason(Reason reason) {
        return texts().text(reason);
    }

    /** What stands on an odd space between arcs of a rise, in inches. */
    public String space(Figure figure, double rise) {
        double height = figure instanceof Figure.WholeArc arc
                ? arc.fit().segment().height()
                : figure instanceof Figure.HalvesMeeting halves ? halves.height() : rise;
        return texts().say(
                        Codes.path(figure.getClass()),
                        "figure",
                        figure,
                        "against",
                        texts().say("against", "off", height - rise));
    }

    /** What a cornerstone's own arcs want: from midpoint to midpoint of its sides, W/√2 (derived). */
    public String cornerstone(double side) {
        return texts().say("cornerstone", "wide", side / Math.sqrt(2));
    }

    /** All of a candidate's reasons in a row. */
    public String reasons(Candidate candidate) {
        return candidate.reasons().stream().map(this::reason).collect(Collectors.joining("; "));
    }

    /** The weightiest reason for or against a candidate, as a sentence. */
    public String sentence(Candidate candidate) {
        Optional<Reason> first = candidate.reasons().stream()
                .filter(r -> r.tone() == Reason.Tone.WARNING)
                .findFirst()
                .or(() -> candidate.reasons().stream()
                        .filter(r -> r.tone() == Reason.Tone.GOOD)
                        .findFirst());
        return first.or(() -> candidate.reasons().stream().findFirst())
                .map(r -> Texts.plainly("reason", "reason", reason(r)))
                .orElse("");
    }

    /** A wish: {@code about 6, an odd count, from 5 1/2 to 6 1/2}. */
    public String wish(Wish wish) {
        List<String> said = new ArrayList<>();
        said.add(texts().say("wish.repeat", "repeat", wish.repeat()));
        wish.across().ifPresent(n -> said.add(Texts.plainly("wish.across", "number", n)));
        wish.down().ifPresent(n -> said.add(Texts.plainly("wish.down", "number", n)));
        if (wish.parity() != Wish.Parity.ANY) {
            said.add(Texts.plainly("wish.parity", "parity", wish.parity()));
        }
        wish.shortest().ifPresent(shortest -> said.add(texts().say("wish.shortest", "length", shortest)));
        wish.longest().ifPresent(longest -> said.add(texts().say("wish.longest", "length", longest)));
        return String.join(", ", said);
    }

    /** What a new measurement moved on a run: {@code top border: 10 repeats stay, each 1/32 longer; marks move up to 3/8}. */
    public String move(Moves.Move move, Quilt quilt) {
        double longer = move.repeat() - move.repeatBefore();
        return texts().say(
                        move.kept() ? "move.kept" : "move.changed",
                        "run",
                        Words.decapital(Words.name(move.run(), quilt)),
                        "move",
                        move,
                        "longer",
                        longer,
                        "differs",
                        Math.abs(longer) >= Tolerances.SAME_PLACE,
                        "moved",
                        move.farthest() >= Tolerances.SAME_PLACE);
    }

    public static String name(Cell.Kind kind) {
        return Texts.name(kind);
    }
}
