package jollyspindle.files.packet;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.words.Words;

import java.io.IOException;
import java.util.List;

/**
 * A run's marks at true size, to be cut out, joined and laid on the seam: a tape of the run's own, in pieces that go on
 * paper. Each piece begins where the one before ends; joining marks with letters show which belong together.
 */
final class MarkingStrip {

    /** How high a piece is, in inches. */
    static final double HIGH = 0.62;

    /** From one piece's top to the next one's, in inches. */
    static final double STEP = 0.86;

    /** What each piece has over at its right, to be stuck under the next, in inches. */
    static final double TAB = 0.35;

    private static final double TEXT = 7.5;
    private static final double LONG_TICK = 0.16;
    private static final Sheet.Pen EDGE = Sheet.Pen.solid(Sheet.INK, 0.8);
    private static final Sheet.Pen CUT = new Sheet.Pen(Sheet.RULE, 0.6, new float[] {2, 2});
    private static final Sheet.Pen TICK = Sheet.Pen.solid(Sheet.FAINT, 0.4);
    private static final Sheet.Pen VALLEY = Sheet.Pen.solid(Sheet.MARK, 1.4);
    private static final Sheet.Pen CROWN = new Sheet.Pen(Sheet.STITCH, 1, new float[] {4, 2});
    private static final Sheet.Pen JOIN = new Sheet.Pen(Sheet.INK, 0.8, new float[] {6, 2, 1, 2});

    private final RunPlan run;
    private final TapeScale tape;
    private final double piece;

    /**
     * A strip for a run.
     *
     * @param width of the paper between its margins, in inches
     */
    MarkingStrip(RunPlan run, TapeScale tape, double width) {
        this.run = run;
        this.tape = tape;
        // Whole units to a piece, so that a joint is easily checked against a tape.
        this.piece = Math.floor((width - TAB) / tape.unit()) * tape.unit();
    }

    /** How many pieces it takes. */
    int pieces() {
        return (int) Math.max(1, Math.ceil(run.division().length() / piece - Tolerances.ROUNDING));
    }

    /** Where a piece begins on the run, in inches; the first is 0. */
    double begins(int number) {
        return number * piece;
    }

    /**
     * Draws a piece.
     *
     * @param number of it, from 0
     * @param left where it begins on the sheet, in inches
     * @param top of it on the sheet, in inches
     */
    void draw(Sheet sheet, int number, double left, double top) throws IOException {
        double from = begins(number);
        double to = Math.min(run.division().length(), from + piece);
        boolean first = number == 0;
        boolean last = number == pieces() - 1;
        double right = left + to - from;
        double bottom = top + HIGH;
        sheet.line(left, bottom, right, bottom, EDGE);
        sheet.line(left, top, right, top, CUT);
        if (first) {
            sheet.line(left, top, left, bottom, EDGE);
        } else {
            join(sheet, left, top, number, 1);
        }
        if (last) {
            sheet.line(right, top, right, bottom, EDGE);
        } else {
            join(sheet, right, top, number + 1, -1);
            sheet.line(right, top, right + TAB, top, CUT);
            sheet.line(right + TAB, top, right + TAB, bottom, CUT);
            sheet.line(right, bottom, right + TAB, bottom, CUT);
        }
        ticks(sheet, from, to, left, bottom);
        for (Mark mark : run.laidOut().marks()) {
            if (mark.along() > from - Tolerances.ROUNDING && mark.along() < to + Tolerances.ROUNDING) {
                mark(sheet, mark, left + mark.along() - from, top, bottom);
            }
        }
        sheet.text(
                Said.say(
                        "strip.piece",
                        "number",
                        number + 1,
                        "pieces",
                        pieces(),
                        "named",
                        first && run.id().side().isPresent(),
                        "start",
                        Words.start(run.id())),
                left + 0.05,
                top - 0.05,
                TEXT);
    }

    /**
     * The line two pieces meet at, and its letter on this piece, so that both still show it when they are cut out.
     *
     * @param inward over 0 if the piece lies to the right of the line
     */
    private static void join(Sheet sheet, double x, double top, int joint, int inward) throws IOException {
        sheet.line(x, top, x, top + HIGH, JOIN);
        double middle = x + 0.13 * inward;
        double y = top + 0.25;
        sheet.polygon(
                List.of(
                        new Point(middle - 0.09, y),
                        new Point(middle, y - 0.09),
                        new Point(middle + 0.09, y),
                        new Point(middle, y + 0.09)),
                EDGE,
                null);
        sheet.textCentred("" + letter(joint), middle, y + 0.03, 6.5, true);
    }

    /** A for the first joint, B for the second; after Z they begin anew. */
    private static char letter(int joint) {
        return (char) ('A' + (joint - 1) % 26);
    }

    private void ticks(Sheet sheet, double from, double to, double left, double bottom) throws IOException {
        long last = (long) Math.floor(to / tape.tick() + Tolerances.ROUNDING);
        for (long tick = (long) Math.ceil(from / tape.tick() - Tolerances.ROUNDING); tick <= last; tick++) {
            double x = left + tick * tape.tick() - from;
            long rest = Math.floorMod(tick, (long) tape.ticksPerUnit());
            double size = rest == 0
                    ? LONG_TICK
                    : 2 * rest == tape.ticksPerUnit()
                            ? LONG_TICK * 0.75
                            : 4 * rest % tape.ticksPerUnit() == 0 ? LONG_TICK * 0.55 : LONG_TICK * 0.35;
            sheet.line(x, bottom, x, bottom - size, TICK);
            if (rest == 0) {
                sheet.textCentred("" + tick / tape.ticksPerUnit(), x + 0.07, bottom - LONG_TICK, TEXT, false);
            }
        }
    }

    private void mark(Sheet sheet, Mark mark, double x, double top, double bottom) throws IOException {
        boolean valley = mark.kind().low();
        boolean crown = !valley && mark.kind() != Mark.Kind.CENTRE && mark.kind() != Mark.Kind.HAND_OVER;
        if (!valley && !crown) {
            return;
        }
        sheet.line(x, bottom, x, top + (valley ? 0.14 : 0.3), valley ? VALLEY : CROWN);
        String said = Words.name(mark).charAt(0)
                + (mark.kind() == Mark.Kind.MEETING ? "" : Integer.toString(mark.number())) + " "
                + mark.readings().fromLeft().number();
        if (mark.along() < Tolerances.ROUNDING) {
            sheet.text(said, x, top + 0.11, TEXT, valley, Sheet.INK);
        } else {
            sheet.textCentred(said, x, top + (valley ? 0.11 : 0.27), TEXT, valley);
        }
    }
}
