package jollyspindle.core.division;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.List;

/**
 * A run cut into cells from end to end. Each place is reckoned from the run's zero or from its far end, never stepped off
 * from the place before.
 *
 * @param repeat that was meant, in inches: what the template or the wish asks for
 * @param cells from the run's left end to its right, each beginning where the one before ends
 */
public record RunDivision(double repeat, List<Cell> cells) {

    public RunDivision {
        cells = List.copyOf(cells);
        double at = 0;
        for (Cell cell : cells) {
            if (Math.abs(cell.from() - at) > Tolerances.SAME_PLACE) {
                throw new IllegalArgumentException(Refusals.say("run.gap", "at", at));
            }
            at = cell.to();
        }
        if (cells.isEmpty()) {
            throw new IllegalArgumentException(Refusals.say("run.empty"));
        }
    }

    /** Of the run, in inches. */
    public double length() {
        return cells.get(cells.size() - 1).to();
    }

    public double centre() {
        return length() / 2;
    }

    /**
     * Where two cells meet, in inches along the run.
     *
     * @param k 0 is the run's left end, the number of cells its right one
     */
    public double boundary(int k) {
        return k == 0 ? 0 : cells.get(k - 1).to();
    }

    /** The cells that were divided: all but what the corners take. */
    public List<Cell> divided() {
        return cells.stream().filter(c -> c.kind() != Cell.Kind.CORNER).toList();
    }

    /**
     * Where two divided cells meet, in inches along the run.
     *
     * @param k 0 is the left end of the first one
     */
    public double valley(int k) {
        List<Cell> inner = divided();
        return k == 0 ? inner.get(0).from() : inner.get(k - 1).to();
    }

    /** What the corner takes at the left end, in inches. */
    public double cornerLeft() {
        return divided().get(0).from();
    }

    /** What the corner takes at the right end, in inches. */
    public double cornerRight() {
        List<Cell> inner = divided();
        return length() - inner.get(inner.size() - 1).to();
    }

    /**
     * This division with what the corners take at both ends.
     *
     * @param left in inches, at least 0
     * @param right in inches, at least 0
     */
    public RunDivision between(double left, double right) {
        if (left == 0 && right == 0) {
            return this;
        }
        List<Cell> all = new ArrayList<>();
        if (left > 0) {
            all.add(new Cell(Cell.Kind.CORNER, 0, left));
        }
        cells.forEach(c -> all.add(c.moved(left)));
        if (right > 0) {
            all.add(new Cell(Cell.Kind.CORNER, length() + left, length() + left + right));
        }
        return new RunDivision(repeat, all);
    }

    /** The middles of whole repeats, in inches along the run: their crowns. */
    public List<Double> middles() {
        return cells.stream()
                .filter(c -> c.kind() == Cell.Kind.REPEAT)
                .map(Cell::middle)
                .toList();
    }

    /** How many whole repeats there are. */
    public int repeats() {
        return (int) cells.stream().filter(c -> c.kind() == Cell.Kind.REPEAT).count();
    }

    /** How many repeats there are, two halves counted as one. */
    public int count() {
        return repeats()
                + (int) cells.stream().filter(c -> c.kind() == Cell.Kind.HALF).count() / 2;
    }

    /** What stands on the centre. */
    public OnCentre onCentre() {
        double centre = centre();
        double near = Tolerances.ROUNDING * Math.max(1, length());
        for (Cell cell : cells) {
            if (Math.abs(cell.to() - centre) < near) {
                return OnCentre.VALLEY;
            }
            if (Math.abs(cell.middle() - centre) < near) {
                return cell.kind() == Cell.Kind.REPEAT ? OnCentre.CROWN : OnCentre.SPACE;
            }
        }
        return OnCentre.NEITHER;
    }

    /** The largest change of a whole repeat against the one that was meant, in inches; at least 0. */
    public double largestChange() {
        return cells.stream()
                .filter(c -> c.kind() == Cell.Kind.REPEAT)
                .mapToDouble(c -> Math.abs(c.width() - repeat))
                .max()
                .orElse(0);
    }

    /** The longest whole repeat less the shortest, in inches: what the eye compares. */
    public double unevenness() {
        var widths = cells.stream()
                .filter(c -> c.kind() == Cell.Kind.REPEAT)
                .mapToDouble(Cell::width)
                .summaryStatistics();
        double apart = widths.getCount() == 0 ? 0 : widths.getMax() - widths.getMin();
        return apart < Tolerances.SAME_PLACE ? 0 : apart;
    }

    /** The odd space in the middle, or at each end; 0 if the repeats fill the run. */
    public double leftover() {
        return cells.stream()
                .filter(c -> c.kind() == Cell.Kind.MIDDLE || c.kind() == Cell.Kind.END)
                .mapToDouble(Cell::width)
                .findFirst()
                .orElse(0);
    }
}
