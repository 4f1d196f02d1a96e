package jollyspindle.core.division;

import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * One thing that can stand on the odd space in the middle of a run.
 *
 * @param filling what it is
 * @param figure what comes of it
 * @param off its height less its neighbours' rise, in inches; 0 if nothing is stitched
 * @param overRoom how far it passes the room it has, in inches; below 0 if room is left
 */
public record MiddleOption(Filling filling, Figure figure, double off, double overRoom) {

    private static final int ARCS_LISTED = 6;

    /** Whether something is stitched there. */
    public boolean isStitched() {
        return figure.arc().isPresent();
    }

    /**
     * What can stand in the middle of a run that is divided from the corners in: arcs that span it, those nearest to their
     * neighbours' rise first and those without room last; two half arcs; a motif of its own; nothing.
     *
     * @param run divided from the corners in
     * @param edges that arcs could be stitched along
     */
    public static List<MiddleOption> of(RunSet set, DividedRun run, List<ArcTemplate> edges) {
        CornersIn school = (CornersIn) run.school();
        List<ArcTemplate> usable = edges.stream()
                .filter(e -> e.difficulty(set.machine()).isEmpty())
                .toList();
        RunSet with = set.withOthers(usable);
        List<MiddleOption> found = new ArrayList<>();
        usable.stream()
                .map(edge -> new Filling.LargerArc(edge.templateId(), edge.guideId()))
                .flatMap(filling -> of(with, run, school, filling))
                .filter(MiddleOption::isStitched)
                .sorted(Comparator.comparing((MiddleOption o) -> o.overRoom > Tolerances.ROUNDING)
                        .thenComparingDouble(o -> Math.abs(o.off)))
                .limit(ARCS_LISTED)
                .forEach(found::add);
        Stream.of(new Filling.TwoHalfArcs(), new Filling.OwnMotif(), new Filling.Plain())
                .flatMap(filling -> of(with, run, school, filling))
                .forEach(found::add);
        return List.copyOf(found);
    }

    private static Stream<MiddleOption> of(RunSet set, DividedRun run, CornersIn school, Filling filling) {
        double rise = run.fit().map(f -> f.segment().height()).orElse(0.0);
        return set.divide(run.run(), new CornersIn(school.repeat(), school.each(), filling)).stream()
                .flatMap(d -> d.middle().stream())
                .map(figure -> new MiddleOption(
                        filling,
                        figure,
                        height(figure) == 0 ? 0 : height(figure) - rise,
                        figure.arc().map(f -> f.overRoom()).orElse(Double.NEGATIVE_INFINITY)));
    }

    private static double height(Figure figure) {
        return figure instanceof Figure.HalvesMeeting halves
                ? halves.height()
                : figure.arc().map(f -> f.segment().height()).orElse(0.0);
    }
}
