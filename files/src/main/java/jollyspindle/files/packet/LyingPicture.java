package jollyspindle.files.packet;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.words.Words;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** How the template lies for the first arc of a run, turned as it is turned on the quilt. */
final class LyingPicture {

    private static final Sheet.Pen SEAM = Sheet.Pen.solid(Sheet.RULE, 1);
    private static final Sheet.Pen OUTER = Sheet.Pen.solid(Sheet.RULE, 0.7);
    private static final Sheet.Pen STITCH = Sheet.Pen.solid(Sheet.STITCH, 1.6);
    private static final Sheet.Pen NEXT = Sheet.Pen.solid(Sheet.STITCH, 0.6);
    private static final Sheet.Pen EDGE = Sheet.Pen.solid(Sheet.TEMPLATE, 1.1);
    private static final Sheet.Pen LAID = Sheet.Pen.solid(Sheet.TEMPLATE, 2.2);
    private static final Sheet.Pen START = Sheet.Pen.solid(Sheet.MARK, 1.2);
    private static final double START_SIZE = 0.055;

    private final WorkPlan plan;
    private final RunPlan run;
    private final Placement placement;

    LyingPicture(WorkPlan plan, RunPlan run, Placement placement) {
        this.plan = plan;
        this.run = run;
        this.placement = placement;
    }

    /** Draws under a line of the sheet, in the middle, as large as goes into a box given in inches. */
    void draw(Sheet sheet, double top, double width, double height) throws IOException {
        List<Curve> outline = plan.job().outlines(placement.tool()).stream()
                .flatMap(o -> o.curves().stream())
                .map(c -> c.posed(placement.pose()))
                .toList();
        RunFrame frame = run.frame();
        double repeat = run.division().repeat();
        double shown = Math.min(run.division().length(), 2 * repeat);
        Box box = outline.stream()
                .map(Curve::box)
                .reduce(Box::with)
                .orElseThrow()
                .with(frame.place(0, 0))
                .with(frame.place(shown, 0))
                .with(frame.place(0, frame.depth()))
                .with(frame.place(shown, frame.depth()));
        double caption = 0.3;
        double scale = Math.min(width / box.width(), (height - caption) / box.height());
        Sheet.Mapping to = new Sheet.Mapping(
                scale,
                sheet.width() / 2 - scale * (box.left() + box.right()) / 2,
                top + (height - caption) / 2 + scale * (box.bottom() + box.top()) / 2);
        sheet.curves(
                List.of(
                        new Segment(frame.place(0, 0), frame.place(shown, 0)),
                        new Segment(frame.place(0, frame.depth()), frame.place(shown, frame.depth()))),
                to,
                OUTER);
        sheet.curves(List.of(new Segment(frame.place(0, 0), frame.place(shown, 0))), to, SEAM);
        for (StitchLine line : run.laidOut().lines()) {
            if (line.path().box().meets(box)) {
                sheet.curves(line.path().curves(), to, NEXT);
            }
        }
        sheet.curves(outline, to, EDGE);
        Optional<ArcTemplate> round = plan.job().arc(placement.tool());
        if (round.isPresent()) {
            laid(sheet, round.get(), to);
        }
        sheet.curves(placement.path().curves(), to, STITCH);
        Point start = to.map(placement.path().start());
        sheet.rectangle(start.x() - START_SIZE, start.y() - START_SIZE, 2 * START_SIZE, 2 * START_SIZE, START);
        boolean onSeam = placement.registration() instanceof Registration.OnSeam on && !on.far();
        sheet.textCentred(
                Said.say(
                        "lying.picture",
                        "placement",
                        Words.name(placement).toLowerCase(Locale.ROOT),
                        "run",
                        Words.decapital(Words.name(run.id(), plan.job().quilt())),
                        "seam",
                        onSeam),
                sheet.width() / 2,
                top + height - 0.05,
                8.5,
                false);
    }

    private void laid(Sheet sheet, ArcTemplate template, Sheet.Mapping to) throws IOException {
        Optional<SeamRegister> standing = placement.registration().standing();
        if (standing.isPresent()) {
            double below = Double.NaN;
            if (standing.get() instanceof SeamRegister.EngravedLine line) {
                below = line.belowEdge();
            } else if (standing.get() instanceof SeamRegister.Tape tape) {
                below = tape.belowEdge();
            }
            if (!Double.isNaN(below)) {
                for (Segment stroke : template.strokesAt(below)) {
                    sheet.curves(List.of(stroke.posed(placement.pose())), to, LAID);
                }
            }
        }
    }
}
