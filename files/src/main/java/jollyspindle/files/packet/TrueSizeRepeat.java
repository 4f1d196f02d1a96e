package jollyspindle.files.packet;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.words.Words;

import java.io.IOException;
import java.util.List;

/**
 * One repeat at true size: seam, stitch line, template with its lines and the tape's place. Half of it, from the valley to
 * the crown, where the whole is wider than the paper.
 */
final class TrueSizeRepeat {

    private static final Sheet.Pen SEAM = Sheet.Pen.solid(Sheet.RULE, 1);
    private static final Sheet.Pen STITCH = Sheet.Pen.solid(Sheet.STITCH, 1.6);
    private static final Sheet.Pen EDGE = Sheet.Pen.solid(Sheet.TEMPLATE, 1.2);
    private static final Sheet.Pen ENGRAVED = new Sheet.Pen(Sheet.TEMPLATE, 0.6, new float[] {3, 2});
    private static final Sheet.Pen MARK = new Sheet.Pen(Sheet.MARK, 1, new float[] {4, 2});
    private static final Sheet.Pen RESERVE = new Sheet.Pen(Sheet.RULE, 0.6, new float[] {6, 3});

    private final RunPlan run;
    private final ArcTemplate template;
    private final CircularSegment segment;
    private final Words words;

    TrueSizeRepeat(WorkPlan plan, RunPlan run) {
        this.run = run;
        this.template = plan.job().arc(run.id().group()).orElseThrow();
        this.segment = run.fit().orElseThrow().segment();
        this.words = new Words(plan.job().tape());
    }

    /** Whether the whole repeat goes on paper this wide, in inches. */
    boolean fits(double width) {
        return segment.chord() <= width - 2 * Sheet.MARGIN - 0.3;
    }

    void draw(Sheet sheet, double top, double bottom) throws IOException {
        boolean whole = fits(sheet.width());
        double clearance = run.frame().clearance();
        double room = bottom - top - 0.75;
        // The crown stands below the text, or the reserve line if that still fits on the paper.
        double toReserve = run.frame().depth() - run.frame().reserve();
        boolean showsReserve = toReserve + 0.6 <= room;
        double above = showsReserve ? toReserve : segment.height() + clearance + 0.2;
        double left = whole ? (sheet.width() - segment.chord()) / 2 : Sheet.MARGIN + 0.2;
        // The repeat's own frame: x along the run from its first valley, y from the seam outward.
        Sheet.Mapping to = new Sheet.Mapping(1, left, top + 0.75 + above);
        double end = whole ? segment.chord() : segment.chord() / 2;
        String note = Said.say(
                "true-size.repeat", "instruction", words.instruction(run.fit().orElseThrow()), "whole", whole);
        double y = top + 0.12;
        for (String line : sheet.wrap(note, sheet.width() - 2 * Sheet.MARGIN, 9.5)) {
            sheet.text(line, Sheet.MARGIN, y, 9.5);
            y += 0.17;
        }
        sheet.curves(List.of(new Segment(new Point(0, 0), new Point(end, 0))), to, SEAM);
        sheet.text(
                Said.say("true-size.seam"),
                to.map(new Point(0.08, -0.14)).x(),
                to.map(new Point(0, -0.14)).y(),
                8.5);
        if (showsReserve) {
            sheet.curves(List.of(new Segment(new Point(0, toReserve), new Point(end, toReserve))), to, RESERVE);
            Point at = to.map(new Point(0.08, toReserve - 0.15));
            sheet.text(Said.say("true-size.reserve"), at.x(), at.y(), 8.5);
        }
        marks(sheet, to, clearance, whole);
        Arc line = stitchLine(clearance);
        sheet.curves(List.of(whole ? line : line.piece(0, 0.5)), to, STITCH);
        if (run.fit().orElseThrow().parts() == 1) {
            drawTemplate(sheet, to, line.centre(), end);
        }
    }

    private Arc stitchLine(double clearance) {
        Point centre = new Point(segment.chord() / 2, clearance + segment.height() - segment.radius());
        return new Arc(centre, segment.radius(), Math.PI / 2 + segment.sweep() / 2, -segment.sweep());
    }

    private void marks(Sheet sheet, Sheet.Mapping to, double clearance, boolean whole) throws IOException {
        double half = segment.chord() / 2;
        double crown = clearance + segment.height();
        sheet.curves(
                List.of(
                        new Segment(new Point(0, -0.3), new Point(0, clearance + 0.3)),
                        new Segment(new Point(half, crown - 0.25), new Point(half, crown + 0.15))),
                to,
                MARK);
        if (whole) {
            sheet.curves(
                    List.of(new Segment(new Point(segment.chord(), -0.3), new Point(segment.chord(), clearance + 0.3))),
                    to,
                    MARK);
        }
    }

    private void drawTemplate(Sheet sheet, Sheet.Mapping to, Point centre, double end) throws IOException {
        Pose pose = new Pose(centre, 0);
        // Only the edge's part over this repeat: the plate itself is wider than it has to be for the drawing.
        double half = Math.asin(Math.min(1, segment.chord() / 2 / template.edgeRadius()));
        double used = Math.min(template.usableSweep() / 2, half);
        Arc edge = new Arc(Point.ORIGIN, template.edgeRadius(), Math.PI / 2 + used, -2 * used);
        boolean whole = end > segment.chord() / 2 + Tolerances.ROUNDING;
        sheet.curves(List.<Curve>of((whole ? edge : edge.piece(0, 0.5)).posed(pose)), to, EDGE);
        for (ArcTemplate.RiseLine line : template.riseLines()) {
            stroke(sheet, to, pose, line.belowCrown(), end, ENGRAVED, words.exact(line.label()));
        }
        if (run.fit().orElseThrow().register() instanceof SeamRegister.Tape tape) {
            stroke(sheet, to, pose, tape.belowEdge(), end, EDGE, Said.say("true-size.tape"));
        }
    }

    private void stroke(Sheet sheet, Sheet.Mapping to, Pose pose, double below, double end, Sheet.Pen pen, String label)
            throws IOException {
        for (Segment stroke : template.strokesAt(below)) {
            Segment placed = stroke.posed(pose);
            double from = Math.max(0, placed.from().x());
            double until = Math.min(end, placed.to().x());
            if (until - from > 0.3) {
                double y = placed.from().y();
                sheet.curves(List.of(new Segment(new Point(from, y), new Point(until, y))), to, pen);
                Point at = to.map(new Point((from + until) / 2 + 0.3, y + 0.04));
                sheet.text(label, at.x(), at.y(), 8.5, false, Sheet.TEMPLATE);
            }
        }
    }
}
