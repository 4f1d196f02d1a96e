package jollyspindle.core.marking;

import jollyspindle.core.division.EvenDivision;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.RunFrame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** Makes the marks of a run. Each is computed from the run's zero and rounded once. */
public final class Marker {

    private static final Comparator<Mark> ALONG =
            Comparator.comparingDouble(Mark::along).thenComparing(Mark::kind).thenComparingInt(Mark::number);

    private final RunFrame frame;
    private final EvenDivision division;
    private final TapeScale tape;
    private final double clearance;
    private final boolean endsOnSeams;
    private final List<Mark> marks = new ArrayList<>();

    /**
     * A marker for one run.
     *
     * @param frame the run
     * @param division of the run
     * @param tape the readings are for
     * @param clearance from the seam to the valleys, in inches
     * @param endsOnSeams whether seams meet at both ends of the run and so mark them
     */
    public Marker(RunFrame frame, EvenDivision division, TapeScale tape, double clearance, boolean endsOnSeams) {
        this.frame = frame;
        this.division = division;
        this.tape = tape;
        this.clearance = clearance;
        this.endsOnSeams = endsOnSeams;
    }

    /** Marks a valley; 0 is the run's start. */
    public Mark valley(int k) {
        boolean end = k == 0 || k == division.count();
        boolean centre = 2 * k == division.count();
        return add(
                Mark.Kind.VALLEY,
                k,
                centre,
                division.valley(k),
                clearance,
                end && endsOnSeams ? Mark.MarkedBy.SEAM : Mark.MarkedBy.CHALK,
                centre ? Mark.Stage.BEFORE_LOADING : Mark.Stage.LOADED);
    }

    /**
     * Marks a crown; 1 is the first repeat's.
     *
     * @param rise from the valleys to the crown, in inches
     */
    public Mark crown(int k, double rise) {
        return add(
                Mark.Kind.CROWN,
                k,
                2 * k - 1 == division.count(),
                division.crown(k),
                clearance + rise,
                Mark.MarkedBy.CHALK,
                Mark.Stage.LOADED);
    }

    /** Marks the centre on the seam, where no valley stands on it. */
    public Mark centre() {
        return add(Mark.Kind.CENTRE, 1, true, division.centre(), 0, Mark.MarkedBy.CHALK, Mark.Stage.BEFORE_LOADING);
    }

    /**
     * Marks where an arc is handed over from one placement to the next.
     *
     * @param along from the run's zero, in inches
     * @param across from the seam, in inches
     */
    public Mark handOver(int number, double along, double across) {
        return add(Mark.Kind.HAND_OVER, number, false, along, across, Mark.MarkedBy.CHALK, Mark.Stage.LOADED);
    }

    private Mark add(
            Mark.Kind kind,
            int number,
            boolean onCentre,
            double along,
            double across,
            Mark.MarkedBy by,
            Mark.Stage stage) {
        Mark mark = new Mark(
                name(frame.side()) + "-" + name(kind) + "-" + number,
                frame.side(),
                kind,
                number,
                onCentre,
                along,
                across,
                frame.place(along, across),
                by,
                stage,
                new Mark.Readings(
                        tape.read(along), tape.read(division.length() - along), tape.read(along - division.centre())),
                tape.read(across));
        marks.add(mark);
        return mark;
    }

    private static String name(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** All marks made, along the run. */
    public List<Mark> marks() {
        return marks.stream().sorted(ALONG).toList();
    }
}
