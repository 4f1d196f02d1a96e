package jollyspindle.core.marking;

import jollyspindle.core.division.RunDivision;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.RunFrame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/** Makes the marks of a run. Each is computed from the run's zero or its far end and rounded once. */
public final class Marker {

    /** How near a pieced seam must be to serve as a mark, in inches: a chalk line's width. */
    public static final double ON_A_SEAM = 1.0 / 64;

    private static final double EXACT = 1e-9;

    private static final Comparator<Mark> ALONG =
            Comparator.comparingDouble(Mark::along).thenComparing(Mark::kind).thenComparingInt(Mark::number);

    private final RunFrame frame;
    private final RunDivision division;
    private final TapeScale tape;
    private final boolean endsOnSeams;
    private final OptionalDouble pieced;
    private final List<Mark> marks = new ArrayList<>();

    /**
     * A marker for one run.
     *
     * @param frame the run
     * @param division of the run
     * @param tape the readings are for
     * @param endsOnSeams whether seams meet at both ends of the run and so mark them
     * @param unit the run is pieced from, in inches
     */
    public Marker(RunFrame frame, RunDivision division, TapeScale tape, boolean endsOnSeams, OptionalDouble unit) {
        this.frame = frame;
        this.division = division;
        this.tape = tape;
        this.endsOnSeams = endsOnSeams;
        double length = division.length();
        // The run has a whole number of units, each a little longer or shorter than it was meant to be.
        this.pieced = unit.isPresent() && Math.round(length / unit.getAsDouble()) >= 1
                ? OptionalDouble.of(length / Math.round(length / unit.getAsDouble()))
                : OptionalDouble.empty();
    }

    /** Marks a valley, where two cells meet; 0 is the run's start. */
    public Mark valley(int k) {
        double along = division.boundary(k);
        boolean centre = isCentre(along);
        return add(
                Mark.Kind.VALLEY,
                k,
                along,
                frame.clearance(),
                marksItself(along) ? Mark.MarkedBy.SEAM : Mark.MarkedBy.CHALK,
                centre ? Mark.Stage.BEFORE_LOADING : Mark.Stage.LOADED);
    }

    private boolean marksItself(double along) {
        boolean end = along < EXACT || along > division.length() - EXACT;
        if (end) {
            return endsOnSeams;
        }
        // Only on the seam does a pieced unit's seam end that can be laid on.
        return frame.clearance() == 0
                && pieced.isPresent()
                && Math.abs(along - Math.rint(along / pieced.getAsDouble()) * pieced.getAsDouble()) <= ON_A_SEAM;
    }

    private boolean isCentre(double along) {
        return Math.abs(along - division.centre()) < EXACT * Math.max(1, division.length());
    }

    /**
     * Marks a crown.
     *
     * @param number of the arc it belongs to, from 1
     * @param along from the run's zero, in inches
     * @param rise from the valleys to the crown, in inches
     */
    public Mark crown(int number, double along, double rise) {
        return add(Mark.Kind.CROWN, number, along, frame.clearance() + rise, Mark.MarkedBy.CHALK, Mark.Stage.LOADED);
    }

    /**
     * Marks where two half arcs meet.
     *
     * @param along from the run's zero, in inches
     * @param height above the valleys, in inches
     */
    public Mark meeting(double along, double height) {
        return add(Mark.Kind.MEETING, 1, along, frame.clearance() + height, Mark.MarkedBy.CHALK, Mark.Stage.LOADED);
    }

    /** Marks the centre on the seam, where no valley stands on it. */
    public Mark centre() {
        return add(Mark.Kind.CENTRE, 1, division.centre(), 0, Mark.MarkedBy.CHALK, Mark.Stage.BEFORE_LOADING);
    }

    /**
     * Marks where an arc is handed over from one placement to the next.
     *
     * @param along from the run's zero, in inches
     * @param across from the seam, in inches
     */
    public Mark handOver(int number, double along, double across) {
        return add(Mark.Kind.HAND_OVER, number, along, across, Mark.MarkedBy.CHALK, Mark.Stage.LOADED);
    }

    private Mark add(Mark.Kind kind, int number, double along, double across, Mark.MarkedBy by, Mark.Stage stage) {
        Mark mark = new Mark(
                frame.id().code() + "-" + kind.name().toLowerCase(Locale.ROOT).replace('_', '-') + "-" + number,
                frame.id(),
                kind,
                number,
                kind != Mark.Kind.HAND_OVER && isCentre(along),
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

    /** All marks made, along the run. */
    public List<Mark> marks() {
        return marks.stream().sorted(ALONG).toList();
    }
}
