package jollyspindle.desktop.tape;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.desktop.model.Zero;

/**
 * Where the tape's zero lies on a run.
 *
 * @param kind as it was chosen
 * @param along the run, in inches
 */
record TapeZero(Zero kind, double along) {

    /**
     * The zero of a run.
     *
     * @param mark the zero lies at, if it was laid at one
     */
    static TapeZero of(Zero kind, double length, Mark mark) {
        return switch (kind) {
            case LEFT -> new TapeZero(kind, 0);
            case CENTRE -> new TapeZero(kind, length / 2);
            case RIGHT -> new TapeZero(kind, length);
            case MARK -> new TapeZero(kind, mark == null ? 0 : mark.along());
        };
    }

    /** What the tape says at a mark, without a sign. */
    TapeReading read(Mark mark, TapeScale tape) {
        return switch (kind) {
            case LEFT -> mark.readings().fromLeft();
            case RIGHT -> mark.readings().fromRight();
            default -> read(mark.along(), tape);
        };
    }

    /** What the tape says at a place, in inches along the run, without a sign. */
    TapeReading read(double place, TapeScale tape) {
        return tape.read(Math.abs(place - along));
    }

    /** The place of the tick nearest to a place, both in inches along the run. */
    double snapped(double place, TapeScale tape) {
        return along + Math.rint((place - along) / tape.tick()) * tape.tick();
    }
}
