package jollyspindle.core.division;

import jollyspindle.core.division.school.School;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.ArcFit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A run divided, and what stands on its cells.
 *
 * @param run that was divided
 * @param school by which
 * @param division the cells
 * @param figures one a cell, in order
 */
public record DividedRun(Run run, School school, RunDivision division, List<Figure> figures) {

    public RunId id() {
        return run.id();
    }

    /** How the template suits the run's first whole repeat that it can span, or its halves; nothing if it can span none. */
    public Optional<ArcFit> fit() {
        return Stream.of(Cell.Kind.REPEAT, Cell.Kind.HALF)
                .flatMap(kind -> figures.stream().filter(f -> f.cell().kind() == kind))
                .flatMap(f -> f.arc().stream())
                .findFirst();
    }

    /** Whether something is stitched on it. */
    public boolean stitched() {
        return figures.stream().anyMatch(f -> !(f instanceof Figure.Empty));
    }

    /**
     * This run with what the corners take at both ends, in inches, so that it has its true length.
     *
     * @param left at least 0
     * @param right at least 0
     */
    public DividedRun between(double left, double right) {
        if (left == 0 && right == 0) {
            return this;
        }
        RunDivision whole = division.between(left, right);
        List<Figure> all = new ArrayList<>();
        if (left > 0) {
            all.add(new Figure.Empty(whole.cells().get(0), Figure.Why.CORNER));
        }
        figures.forEach(f -> all.add(f.moved(left)));
        if (right > 0) {
            all.add(new Figure.Empty(whole.cells().get(whole.cells().size() - 1), Figure.Why.CORNER));
        }
        return new DividedRun(
                new Run(run.id(), whole.length(), run.room(), run.clearance()), school, whole, List.copyOf(all));
    }

    /** How far the highest crown passes the room it has, in inches; below 0 if room is left. */
    public double overRoom() {
        return figures.stream()
                .flatMap(f -> f instanceof Figure.Other other
                        ? Stream.of(other.overRoom())
                        : f.arc().map(ArcFit::overRoom).stream())
                .mapToDouble(over -> over)
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
    }

    /** How many placements the arc takes that takes most; at least 1. */
    public int parts() {
        return figures.stream()
                .flatMap(f -> f.arc().stream())
                .mapToInt(ArcFit::parts)
                .max()
                .orElse(1);
    }

    /** The width of the widest cell the template can't span, in inches; 0 if it spans all. */
    public double tooWide() {
        return figures.stream()
                .filter(f -> f instanceof Figure.Empty empty
                        && (empty.why() == Figure.Why.TOO_WIDE || empty.why() == Figure.Why.NO_TEMPLATE))
                .mapToDouble(f -> f.cell().kind() == Cell.Kind.HALF
                        ? 2 * f.cell().width()
                        : f.cell().width())
                .max()
                .orElse(0);
    }

    /** What stands on the odd space in the middle, if there is one. */
    public Optional<Figure> middle() {
        return figures.stream().filter(f -> f.cell().kind() == Cell.Kind.MIDDLE).findFirst();
    }

    /** What stands on the odd piece at the left end, if there is one; the right one is like it. */
    public Optional<Figure> end() {
        return figures.stream().filter(f -> f.cell().kind() == Cell.Kind.END).findFirst();
    }

    /** The marks between the ends that lie on a tick of the tape, read from the zero that suits best: left end or centre. */
    public int onTick(TapeScale tape) {
        return Math.max(onTick(tape, 0), onTick(tape, run.left() + division.length() / 2));
    }

    private int onTick(TapeScale tape, double zero) {
        int on = 0;
        for (int k = 1; k < division.cells().size(); k++) {
            double ticks = (division.boundary(k) + run.left() - zero) / tape.tick();
            on += Math.abs(ticks - Math.rint(ticks)) <= TapeReading.ON_THE_TICK ? 1 : 0;
        }
        return on;
    }

    /** How many marks stand between the ends. */
    public int marksBetween() {
        return division.cells().size() - 1;
    }
}
