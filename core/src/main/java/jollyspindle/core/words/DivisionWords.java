package jollyspindle.core.words;

import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.Cell;
import jollyspindle.core.division.CornerArc;
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
import jollyspindle.core.division.school.Spread;
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
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Says how runs come out: schools, candidates, and what speaks for and against them.
 *
 * @param words lengths are said with
 */
public record DivisionWords(Words words) {

    public static String name(SchoolKind kind) {
        return ParamWords.text("school." + Codes.of(kind) + ".name");
    }

    /** What a school does, in a sentence. */
    public static String explained(SchoolKind kind) {
        return ParamWords.text("school." + Codes.of(kind) + ".does");
    }

    public static String name(OnCentre there) {
        return switch (there) {
            case VALLEY -> "valley";
            case CROWN -> "crown";
            case SPACE -> "odd space";
            case NEITHER -> "neither valley nor crown";
        };
    }

    public static String name(Wish.Parity parity) {
        return switch (parity) {
            case ANY -> "any";
            case ODD -> "odd";
            case EVEN -> "even";
        };
    }

    /** What corners ask for. */
    public static String name(CornerAsk ask) {
        return switch (ask) {
            case NOTHING -> "whatever comes";
            case ODD -> "an odd count on every side";
            case EVEN -> "an even count on every side";
            case HALVES -> "half a repeat at each end";
        };
    }

    public static String name(EndUse use) {
        return ParamWords.text("school.centre-out.ends." + Codes.of(use));
    }

    public static String name(Tie.Ratio ratio) {
        return switch (ratio) {
            case SAME -> "as many as";
            case DOUBLE -> "twice as many as";
            case HALF -> "half as many as";
        };
    }

    /** What stands in the middle, as a choice. */
    public static String name(Filling filling) {
        if (filling instanceof Filling.TwoHalfArcs) {
            return "two half arcs";
        }
        if (filling instanceof Filling.LargerArc) {
            return "one larger arc";
        }
        return filling instanceof Filling.OwnMotif ? "a motif of its own" : "plain";
    }

    /** A school with its numbers: {@code 10 repeats}, {@code 5 of 7 from each corner, two half arcs in the middle}. */
    public String school(School school) {
        return new Texts(words).text(school);
    }

    /** What the leftover of a fixed repeat goes into. */
    static String spread(Spread spread) {
        if (spread instanceof Spread.RoundCentre round) {
            return "in " + round.repeats() + " about the centre";
        }
        return spread instanceof Spread.Chosen chosen
                ? "in "
                        + new TreeSet<>(chosen.numbers())
                                .stream().map(n -> "" + n).collect(Collectors.joining(", "))
                : "in all";
    }

    /** Schools of several runs, in short: {@code 10 across, 12 down}; the runs' own where they aren't so simple. */
    public String schools(SortedMap<RunId, School> schools) {
        Map<String, List<RunId>> said = new LinkedHashMap<>();
        schools.forEach((id, school) ->
                said.computeIfAbsent(school(school), s -> new ArrayList<>()).add(id));
        if (said.size() == 1) {
            return said.keySet().iterator().next();
        }
        boolean even = schools.values().stream().allMatch(Even.class::isInstance);
        return said.entrySet().stream()
                .map(e -> (even ? e.getKey().replaceAll(" repeats?$", "") : e.getKey()) + " " + where(e.getValue()))
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
            return across ? "across" : "down";
        }
        return "on " + runs.stream().map(r -> Words.decapital(Words.name(r))).collect(Collectors.joining(", "));
    }

    /** A candidate's counts: {@code 10 across, 12 down}; {@code 14 repeats} on a strip. */
    public String counts(Candidate candidate) {
        List<DividedRun> runs = List.copyOf(candidate.runs());
        if (runs.size() == 1) {
            return Words.count(runs.get(0).division().count(), "repeat");
        }
        return candidate.counts().map(Words::counts).orElseGet(() -> runs.stream()
                .map(r -> r.division().count() + " "
                        + r.id().side().map(Words::name).orElse(""))
                .collect(Collectors.joining(", ")));
    }

    /** The kind of school, or that there are several. */
    public String kind(Candidate candidate) {
        return candidate.kind().map(DivisionWords::name).orElse("Sides by themselves");
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
        return rises.isEmpty() ? "no rise" : "rise " + rises;
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
                    .collect(Collectors.joining(" and "));
        }
        axes.get(0).combine(axes.get(axes.size() - 1));
        return words.length(axes.get(0).getMin()) + " to "
                + words.length(axes.get(0).getMax());
    }

    public String reason(Reason reason) {
        if (reason instanceof Reason.Centres on) {
            return on.alike()
                    ? name(on.across()) + " on the centre"
                    : name(on.across()) + " on the centre of top and bottom, "
                            + name(on.down().orElseThrow()) + " on that of the sides";
        }
        if (reason instanceof Reason.SidesDiffer differ) {
            return differ.inches() < Tolerances.ROUNDING
                    ? "all sides alike"
                    : "sides differ by " + words.difference(differ.inches()) + " a repeat";
        }
        if (reason instanceof Reason.OffWanted off) {
            return words.difference(off.inches()) + (off.inches() > 0 ? " longer" : " shorter") + " than wanted";
        }
        if (reason instanceof Reason.OffOwn off) {
            return off.inches() < Tolerances.UNSAID
                    ? "just the template's own repeat, " + words.length(off.own())
                    : "up to " + words.difference(off.inches()) + " from the template's own " + words.length(off.own());
        }
        if (reason instanceof Reason.Uneven uneven) {
            return "repeats of a run differ by " + words.difference(uneven.inches());
        }
        if (reason instanceof Reason.Middle middle) {
            return words.length(middle.width()) + " in the middle: " + space(middle.figure(), middle.rise());
        }
        if (reason instanceof Reason.Ends ends) {
            return words.length(ends.width()) + " at each end"
                    + (ends.aside() ? ", little enough to leave" : ": " + ends(ends));
        }
        if (reason instanceof Reason.CornerArcs arcs) {
            return "the corners' arcs take " + words.length(arcs.feet()) + " at each end, "
                    + (arcs.agree() ? "about half a repeat" : "half a repeat is " + words.length(arcs.half()));
        }
        if (reason instanceof Reason.CornersAsk corners) {
            return (corners.met() ? "as the corners ask: " : "not as the corners ask: ") + name(corners.ask());
        }
        if (reason instanceof Reason.ValleysAtCorners) {
            return "a valley at each corner";
        }
        if (reason instanceof Reason.HalvesAtCorners) {
            return "half an arc at each corner";
        }
        if (reason instanceof Reason.SeamsMark seams) {
            return seams.parts() == 1
                    ? "pieced seams mark every valley"
                    : "pieced seams mark every " + ordinal(seams.parts()) + " valley";
        }
        if (reason instanceof Reason.Sliver sliver) {
            String size = words.difference(sliver.inches());
            String more = sliver.inches() > 0 ? " longer" : " shorter";
            return "the marks leave " + size + (sliver.inches() > 0 ? " over" : " too little") + " in the middle: "
                    + (sliver.shared()
                            ? "the two repeats beside it are " + words.difference(sliver.inches() / 2) + more
                            : "the repeat there is " + size + more);
        }
        if (reason instanceof Reason.Readings readings) {
            return readings.on() + " of " + Words.count(readings.of(), "mark") + " on a tick of the tape";
        }
        if (reason instanceof Reason.IntoReserve into) {
            return "crowns stand " + words.difference(into.inches()) + " past their room";
        }
        if (reason instanceof Reason.SeveralPlacements several) {
            return Words.count(several.parts(), "placement") + " an arc";
        }
        return "wider than this template can span (" + words.length(((Reason.TooWide) reason).widest()) + ")";
    }

    private static String ordinal(int number) {
        return switch (number) {
            case 2 -> "second";
            case 3 -> "third";
            default -> number + "th";
        };
    }

    private String ends(Reason.Ends ends) {
        return switch (ends.use()) {
            case SHORT_ARC -> "a short repeat at each corner";
            case PLAIN -> "left plain";
            case CORNER ->
                "for the corner's motif" + ends.corner().map(this::corner).orElse("");
        };
    }

    private String corner(CornerArc arc) {
        return arc.overRoom() <= Tolerances.ROUNDING
                ? "; one arc astride the mitre clears the edge by " + words.difference(arc.overRoom())
                : "; one arc astride the mitre would stand " + words.difference(arc.overRoom()) + " past the room";
    }

    /** What stands on an odd space between arcs of a rise, in inches. */
    public String space(Figure figure, double rise) {
        if (figure instanceof Figure.WholeArc arc) {
            return "one arc of " + arc.template().name() + ", "
                    + against(arc.fit().segment().height(), rise);
        }
        if (figure instanceof Figure.HalvesMeeting halves) {
            String look =
                    switch (halves.meeting()) {
                        case POINTED -> "pointed";
                        case SMOOTH -> "in a smooth crown";
                        case DIP -> "in a dip";
                    };
            return "two half arcs meeting " + look + ", " + against(halves.height(), rise);
        }
        if (figure instanceof Figure.Other) {
            return "the motif once more, as wide as the space";
        }
        return switch (((Figure.Empty) figure).why()) {
            case OWN_MOTIF -> "room for a motif of its own";
            case CORNER -> "room for the corner's motif";
            case PLAIN -> "left plain";
            case TOO_WIDE -> "too wide for the template";
            case NO_TEMPLATE -> "its template isn't in this job";
            case DONT_MEET -> "two half arcs come down before they meet";
        };
    }

    private String against(double height, double rise) {
        double off = height - rise;
        return Math.abs(off) < Tolerances.UNSAID
                ? "as high as its neighbours"
                : words.difference(off) + (off > 0 ? " higher" : " lower") + " than its neighbours";
    }

    /** What a cornerstone's own arcs want: from midpoint to midpoint of its sides, W/√2 (derived). */
    public String cornerstone(double side) {
        return "a cornerstone's arcs run from midpoint to midpoint, " + words.length(side / Math.sqrt(2)) + " wide";
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
                .map(r -> Words.capital(reason(r)) + ".")
                .orElse("");
    }

    /** A wish: {@code about 6, an odd count, from 5 1/2 to 6 1/2}. */
    public String wish(Wish wish) {
        List<String> said = new ArrayList<>();
        said.add("repeats of about " + words.exact(wish.repeat()));
        wish.across().ifPresent(n -> said.add(n + " across"));
        wish.down().ifPresent(n -> said.add(n + " down"));
        if (wish.parity() != Wish.Parity.ANY) {
            said.add((wish.parity() == Wish.Parity.ODD ? "an odd" : "an even") + " count");
        }
        if (wish.shortest().isPresent()) {
            said.add("not under " + words.exact(wish.shortest().getAsDouble()));
        }
        if (wish.longest().isPresent()) {
            said.add("not over " + words.exact(wish.longest().getAsDouble()));
        }
        return String.join(", ", said);
    }

    /** What a new measurement moved on a run: {@code top border: 10 repeats stay, each 1/32 longer; marks move up to 3/8}. */
    public String move(Moves.Move move, Quilt quilt) {
        String name = Words.decapital(Words.name(move.run(), quilt)) + ": ";
        if (!move.kept()) {
            return name + move.countBefore() + " repeats become " + move.count() + ", of "
                    + words.length(move.repeat());
        }
        double longer = move.repeat() - move.repeatBefore();
        String each = Math.abs(longer) < Tolerances.SAME_PLACE
                ? ""
                : ", each " + words.difference(longer) + (longer > 0 ? " longer" : " shorter");
        return name + Words.count(move.count(), "repeat") + " stay" + (move.count() == 1 ? "s" : "") + each
                + (move.farthest() < Tolerances.SAME_PLACE
                        ? ""
                        : "; marks move up to " + words.difference(move.farthest()));
    }

    public static String name(Cell.Kind kind) {
        return switch (kind) {
            case REPEAT -> "repeat";
            case HALF -> "half";
            case MIDDLE -> "middle";
            case END -> "end";
            case CORNER -> "corner";
        };
    }
}
