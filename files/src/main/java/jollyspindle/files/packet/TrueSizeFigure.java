package jollyspindle.files.packet;

import jollyspindle.core.division.Cell;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.quilt.RunFrame;

import java.io.IOException;
import java.util.List;

/** One repeat of whatever is stitched, at true size, or as much of it as goes on the paper. */
final class TrueSizeFigure {

    private static final Sheet.Pen SEAM = Sheet.Pen.solid(Sheet.RULE, 1);
    private static final Sheet.Pen STITCH = Sheet.Pen.solid(Sheet.STITCH, 1.4);
    private static final Sheet.Pen MARK = new Sheet.Pen(Sheet.MARK, 1, new float[] {4, 2});
    private static final Sheet.Pen LIMIT = new Sheet.Pen(Sheet.RULE, 0.6, new float[] {6, 3});

    /** What is kept clear above the figure for the text, in inches. */
    private static final double TEXT = 0.75;

    private static final double TICK = 0.15;

    private final RunPlan run;
    private final Cell cell;

    TrueSizeFigure(RunPlan run) {
        this.run = run;
        List<Cell> cells = run.division().divided();
        // One in the middle looks like most; the first may be cut off by the run's end.
        this.cell = cells.get(cells.size() / 2);
    }

    /** Whether the whole repeat goes on paper this wide, in inches. */
    boolean fits(double width) {
        return cell.width() <= width - 2 * Sheet.MARGIN;
    }

    /** Draws between two lines of the sheet. */
    void draw(Sheet sheet, double top, double bottom) throws IOException {
        RunFrame frame = run.frame();
        double wide = Math.min(cell.width(), sheet.width() - 2 * Sheet.MARGIN);
        double high = Math.min(frame.depth(), bottom - top - TEXT);
        boolean whole = wide > cell.width() - Tolerances.ROUNDING && high > frame.depth() - Tolerances.ROUNDING;
        double y = top + 0.12;
        String note = Said.say("true-size.figure", "whole", whole);
        for (String line : sheet.wrap(note, sheet.width() - 2 * Sheet.MARGIN, 9.5)) {
            sheet.text(line, Sheet.MARGIN, y, 9.5);
            y += 0.17;
        }
        // The figure's own frame: x along the run from the cell's start, y from the seam outward.
        Sheet.Mapping to = new Sheet.Mapping(1, (sheet.width() - wide) / 2, top + TEXT + high);
        Path box =
                Path.polygon(List.of(new Point(0, 0), new Point(wide, 0), new Point(wide, high), new Point(0, high)));
        Pose home = new Pose(
                frame.origin().times(-1).turned(-frame.rotation()).minus(new Point(cell.from(), 0)), -frame.rotation());
        sheet.curves(List.of(new Segment(new Point(0, 0), new Point(wide, 0))), to, SEAM);
        double limit = frame.depth() - frame.reserve();
        if (limit <= high) {
            sheet.curves(List.of(new Segment(new Point(0, limit), new Point(wide, limit))), to, LIMIT);
        }
        Region shown = Region.of(box);
        for (StitchLine line : run.laidOut().lines()) {
            for (Path piece : shown.within(line.path().posed(home))) {
                sheet.curves(piece.curves(), to, STITCH);
            }
        }
        for (Mark mark : run.laidOut().marks()) {
            double x = mark.along() - cell.from();
            if (mark.by() == Mark.MarkedBy.CHALK
                    && x > -Tolerances.ROUNDING
                    && x < wide + Tolerances.ROUNDING
                    && mark.across() < high + Tolerances.ROUNDING) {
                sheet.curves(
                        List.of(new Segment(new Point(x, mark.across() - TICK), new Point(x, mark.across() + TICK))),
                        to,
                        MARK);
            }
        }
    }
}
