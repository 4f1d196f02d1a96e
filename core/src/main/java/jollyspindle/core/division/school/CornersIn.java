package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.RunDivision;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Whole repeats of a fixed length from both corners; the space in the middle gets a motif of its own.
 *
 * @param each how many repeats from each corner
 * @param filling what stands on the space in the middle
 */
public record CornersIn(double repeat, int each, Filling filling) implements School {

    /** With a motif of its own in the middle. */
    public CornersIn(double repeat, int each) {
        this(repeat, each, new Filling.OwnMotif());
    }

    public CornersIn {
        Repeats.checkRepeat(repeat);
        Repeats.atLeastOne(each);
        if (2 * each > Counts.MOST) {
            throw new IllegalArgumentException(
                    each + " repeats from both corners are more than " + Counts.MOST + " in all");
        }
    }

    /** With as many repeats as there is room for; nothing if there isn't room for one from each corner. */
    public static Optional<CornersIn> most(double length, double repeat) {
        int each = (int) Math.floor(length / (2 * repeat) + NOTHING);
        return each < 1 || 2 * each > Counts.MOST ? Optional.empty() : Optional.of(new CornersIn(repeat, each));
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.CORNERS_IN;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return each + by < 1 || 2 * (each + by) > Counts.MOST
                ? Optional.empty()
                : Optional.of(new CornersIn(repeat, each + by, filling));
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        double space = length - 2 * each * repeat;
        if (space < -NOTHING) {
            return Optional.empty();
        }
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < each; i++) {
            cells.add(new Cell(Cell.Kind.REPEAT, i * repeat, (i + 1) * repeat));
        }
        double right = length - each * repeat;
        if (space > NOTHING) {
            cells.add(new Cell(Cell.Kind.MIDDLE, each * repeat, right));
        }
        for (int i = each; i > 0; i--) {
            cells.add(new Cell(Cell.Kind.REPEAT, length - i * repeat, length - (i - 1) * repeat));
        }
        return Optional.of(new RunDivision(repeat, cells));
    }
}
