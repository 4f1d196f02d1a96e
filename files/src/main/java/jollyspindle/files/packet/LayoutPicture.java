package jollyspindle.files.packet;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RingShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;

import java.awt.Color;
import java.io.IOException;
import java.util.List;

/** The whole quilt, small and to scale. */
final class LayoutPicture {

    private static final Color CLOTH = new Color(0xFDFBF6);
    private static final Color BORDER = new Color(0xF3E8D8);
    private static final Sheet.Pen SEAM = Sheet.Pen.solid(Sheet.RULE, 0.7);
    private static final Sheet.Pen DITCH = new Sheet.Pen(Sheet.RULE, 0.6, new float[] {1, 2});
    private static final Sheet.Pen RESERVE = new Sheet.Pen(Sheet.RULE, 0.4, new float[] {4, 2});
    private static final Sheet.Pen STITCH = Sheet.Pen.solid(Sheet.STITCH, 0.9);
    private static final Sheet.Pen TICK = Sheet.Pen.solid(Sheet.MARK, 0.8);

    private final WorkPlan plan;

    LayoutPicture(WorkPlan plan) {
        this.plan = plan;
    }

    /** Draws into a box given in inches on the sheet. */
    void draw(Sheet sheet, double left, double top, double width, double height) throws IOException {
        QuiltShape shape = plan.shape().orElseThrow();
        double across = extent(shape.outer(), true);
        double down = extent(shape.outer(), false);
        double captionHeight = 0.22;
        double scale = Math.min(width / across, (height - captionHeight) / down);
        Sheet.Mapping to = new Sheet.Mapping(scale, left + width / 2, top + (height - captionHeight) / 2);
        sheet.polygon(to.map(shape.outer()), SEAM, BORDER);
        for (RingShape ring : shape.rings()) {
            sheet.polygon(to.map(ring.outer()), SEAM, null);
        }
        sheet.polygon(to.map(shape.body().corners()), SEAM, CLOTH);
        for (RunFrame strip : shape.strips()) {
            sheet.polygon(to.map(strip.rectangle()), SEAM, BORDER);
        }
        sheet.polygon(to.map(shape.reserve()), RESERVE, null);
        sheet.curves(shape.cornerSeams(), to, DITCH);
        for (StitchLine line : plan.lines()) {
            sheet.curves(line.path().curves(), to, STITCH);
        }
        for (RunPlan run : plan.runs()) {
            ticks(sheet, run, to);
            label(sheet, run, to);
        }
        sheet.textCentred(
                Said.say("layout.scale", "scale", Math.round(1 / scale)), left + width / 2, top + height, 8.5, false);
    }

    private static double extent(List<Point> points, boolean across) {
        double most =
                points.stream().mapToDouble(p -> across ? p.x() : p.y()).max().orElseThrow();
        double least =
                points.stream().mapToDouble(p -> across ? p.x() : p.y()).min().orElseThrow();
        return 2 * Math.max(most, -least);
    }

    private static void ticks(Sheet sheet, RunPlan run, Sheet.Mapping to) throws IOException {
        for (Mark mark : run.laidOut().marks()) {
            if (mark.kind() == Mark.Kind.VALLEY) {
                Point inner = to.map(mark.place().minus(run.frame().outward()));
                Point outer = to.map(mark.place());
                sheet.line(inner.x(), inner.y(), outer.x(), outer.y(), TICK);
            }
        }
    }

    private static void label(Sheet sheet, RunPlan run, Sheet.Mapping to) throws IOException {
        RunFrame frame = run.frame();
        // Inside the body beside the innermost border; beyond its own seam elsewhere there is no room.
        if (!run.id().equals(RunId.of(run.id().side().orElse(Side.TOP)))) {
            return;
        }
        boolean across = run.id().side().orElseThrow().isAcross();
        Point at = to.map(frame.place(frame.length() / 2, across ? -5 : -9));
        sheet.textCentred(Words.count(run.division().count(), Words.Thing.REPEAT), at.x(), at.y() + 0.04, 9, false);
    }
}
