package jollyspindle.core.division;

import jollyspindle.core.division.school.School;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The runs that are divided together, and everything that decides how: the four sides of a border, or a strip by itself.
 *
 * @param runs in order
 * @param repeating what is to stand on a repeat
 * @param others the job's other round edges, for odd spaces; each without a difficulty
 * @param machine to be used
 * @param tape marks are read on
 * @param wish of the quilter
 * @param judging how the ways are weighed
 * @param unit the runs are pieced from, in inches
 * @param corners what the motifs in the corners ask for, what weighs most first; none of them {@link CornerAsk#NOTHING}
 */
public record RunSet(
        List<Run> runs,
        Repeating repeating,
        List<ArcTemplate> others,
        Machine machine,
        TapeScale tape,
        Wish wish,
        Judging judging,
        OptionalDouble unit,
        List<CornerAsk> corners) {

    /** How far the template's own repeat may be from the wanted one and still be of interest, as a part of that. */
    private static final double NEAR_WANTED = 0.25;

    public RunSet {
        runs = List.copyOf(runs);
        others = List.copyOf(others);
        corners = List.copyOf(corners);
    }

    /** Runs for the arcs of one template, their corners asking for nothing. */
    public RunSet(
            List<Run> runs,
            ArcTemplate template,
            List<ArcTemplate> others,
            Machine machine,
            TapeScale tape,
            Wish wish,
            Judging judging,
            OptionalDouble unit) {
        this(runs, new Repeating.Arcs(template), others, machine, tape, wish, judging, unit, List.of());
    }

    /** The same with other round edges for odd spaces. */
    RunSet withOthers(List<ArcTemplate> edges) {
        return new RunSet(runs, repeating, edges, machine, tape, wish, judging, unit, corners);
    }

    /** The template whose arcs stand on the repeats; nothing if no arcs do. */
    public Optional<ArcTemplate> template() {
        return repeating instanceof Repeating.Arcs arcs ? Optional.of(arcs.template()) : Optional.empty();
    }

    Run run(RunId id) {
        return runs.stream().filter(r -> r.id().equals(id)).findFirst().orElseThrow();
    }

    /** The axes there are: 0, and 1 if there are right and left sides. */
    List<Integer> axes() {
        return runs.stream().map(Run::axis).distinct().sorted().toList();
    }

    List<Run> onAxis(int axis) {
        return runs.stream().filter(r -> r.axis() == axis).toList();
    }

    double longest(int axis) {
        return onAxis(axis).stream().mapToDouble(Run::length).max().orElseThrow();
    }

    double shortest(int axis) {
        return onAxis(axis).stream().mapToDouble(Run::length).min().orElseThrow();
    }

    /** The widest repeat that can be spanned, in inches. */
    public double widest() {
        return repeating.widest(machine);
    }

    /**
     * The repeat that comes by itself. Of arcs: the span of the engraved rise line whose span is nearest to the wanted repeat, since it
     * needs no tape. In inches; nothing if no line comes near.
     */
    public OptionalDouble ownRepeat() {
        if (repeating instanceof Repeating.Figures figures) {
            return figures.own();
        }
        ArcTemplate template = template().orElseThrow();
        double radius = template.stitchedRadius(machine);
        double clearance = runs.get(0).clearance();
        return template.riseLines().stream()
                .map(line -> template.stitchedRise(line, machine) - clearance)
                .filter(rise -> rise > 0 && rise <= radius)
                .mapToDouble(
                        rise -> CircularSegment.ofRadiusAndHeight(radius, rise).chord())
                .filter(span -> Math.abs(span - wish.repeat()) <= NEAR_WANTED * wish.repeat())
                .boxed()
                .min(Comparator.comparingDouble(span -> Math.abs(span - wish.repeat())))
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }

    /**
     * The repeat whose arcs rise so high, in inches: the chord 2√(2Rh − h²).
     *
     * @param rise from where the motif stands, in inches
     * @return nothing if no arcs stand on the repeats, or the template's don't rise so
     */
    public OptionalDouble repeatRising(double rise) {
        return template()
                .map(t -> t.stitchedRadius(machine))
                .filter(radius -> rise > 0 && rise <= radius)
                .map(radius -> OptionalDouble.of(
                        CircularSegment.ofRadiusAndHeight(radius, rise).chord()))
                .orElse(OptionalDouble.empty());
    }

    /** Divides a run; nothing if the school leaves it no room. */
    public Optional<DividedRun> divide(Run run, School school) {
        return school.divide(run.length())
                .map(division -> new DividedRun(run, school, division, figures(run, school, division)));
    }

    private List<Figure> figures(Run run, School school, RunDivision division) {
        return repeating instanceof Repeating.Figures figures
                ? others(figures, run, school, division)
                : arcs(template().orElseThrow(), run, school, division);
    }

    private List<Figure> arcs(ArcTemplate template, Run run, School school, RunDivision division) {
        List<Figure> figures = new ArrayList<>();
        double half = division.repeat() / 2;
        Optional<ArcFit> usual = fit(template, run, division.repeat());
        Optional<ArcFit> beside = Optional.empty();
        for (Cell cell : division.cells()) {
            switch (cell.kind()) {
                case REPEAT -> {
                    beside = same(cell.width(), division.repeat()) ? usual : fit(template, run, cell.width());
                    figures.add(whole(cell, template, beside));
                }
                case HALF -> {
                    Optional<ArcFit> fit = same(cell.width(), half) ? usual : fit(template, run, 2 * cell.width());
                    boolean atLeft = figures.isEmpty();
                    figures.add(fit.<Figure>map(f -> new Figure.HalfArc(cell, template, f, atLeft))
                            .orElseGet(() -> new Figure.Empty(cell, Figure.Why.TOO_WIDE)));
                }
                case MIDDLE ->
                    figures.add(middle(
                            cell, template, run, beside, school.inMiddle().orElseThrow()));
                default -> figures.add(end(cell, template, run, school.atEnds().orElseThrow()));
            }
        }
        return List.copyOf(figures);
    }

    /** Figures that take the width they are given; in an odd space one stands only where an arc would. */
    private static List<Figure> others(Repeating.Figures what, Run run, School school, RunDivision division) {
        List<Figure> figures = new ArrayList<>();
        for (Cell cell : division.cells()) {
            double width = cell.kind() == Cell.Kind.HALF ? 2 * cell.width() : cell.width();
            Optional<Figure.Why> empty = Optional.empty();
            if (cell.kind() == Cell.Kind.MIDDLE) {
                Filling filling = school.inMiddle().orElseThrow();
                empty = filling instanceof Filling.OwnMotif
                        ? Optional.of(Figure.Why.OWN_MOTIF)
                        : filling instanceof Filling.Plain ? Optional.of(Figure.Why.PLAIN) : Optional.empty();
            } else if (cell.kind() == Cell.Kind.END) {
                empty = switch (school.atEnds().orElseThrow()) {
                    case CORNER -> Optional.of(Figure.Why.CORNER);
                    case PLAIN -> Optional.of(Figure.Why.PLAIN);
                    case SHORT_ARC -> Optional.empty();
                };
            }
            if (empty.isEmpty() && width > what.widest() + Tolerances.ROUNDING) {
                empty = Optional.of(Figure.Why.TOO_WIDE);
            }
            figures.add(empty.<Figure>map(why -> new Figure.Empty(cell, why))
                    .orElseGet(() -> new Figure.Other(cell, what.height() - run.room())));
        }
        return List.copyOf(figures);
    }

    private static boolean same(double a, double b) {
        return Math.abs(a - b) < Tolerances.ROUNDING;
    }

    private Optional<ArcFit> fit(ArcTemplate with, Run run, double span) {
        return ArcFit.of(with, machine, span, run.room(), run.clearance());
    }

    private static Figure whole(Cell cell, ArcTemplate with, Optional<ArcFit> fit) {
        return fit.<Figure>map(f -> new Figure.WholeArc(cell, with, f))
                .orElseGet(() -> new Figure.Empty(cell, Figure.Why.TOO_WIDE));
    }

    private Figure end(Cell cell, ArcTemplate template, Run run, EndUse use) {
        return switch (use) {
            case SHORT_ARC -> whole(cell, template, fit(template, run, cell.width()));
            case CORNER -> new Figure.Empty(cell, Figure.Why.CORNER);
            case PLAIN -> new Figure.Empty(cell, Figure.Why.PLAIN);
        };
    }

    private Figure middle(Cell cell, ArcTemplate template, Run run, Optional<ArcFit> beside, Filling filling) {
        if (filling instanceof Filling.LargerArc larger) {
            return edge(larger)
                    .map(with -> whole(cell, with, fit(with, run, cell.width())))
                    .orElseGet(() -> new Figure.Empty(cell, Figure.Why.NO_TEMPLATE));
        }
        if (filling instanceof Filling.TwoHalfArcs) {
            if (beside.isEmpty()) {
                return new Figure.Empty(cell, Figure.Why.TOO_WIDE);
            }
            ArcFit fit = beside.get();
            MiddleSpace space = new MiddleSpace(cell.width(), fit.segment());
            OptionalDouble height = space.halfArcsMeetAt();
            return height.isPresent()
                    ? new Figure.HalvesMeeting(cell, template, fit, height.getAsDouble(), space.meeting())
                    : new Figure.Empty(cell, Figure.Why.DONT_MEET);
        }
        return new Figure.Empty(cell, filling instanceof Filling.OwnMotif ? Figure.Why.OWN_MOTIF : Figure.Why.PLAIN);
    }

    private Optional<ArcTemplate> edge(Filling.LargerArc arc) {
        return others.stream()
                .filter(t ->
                        t.templateId().equals(arc.templateId()) && t.guideId().equals(arc.guideId()))
                .findFirst();
    }
}
