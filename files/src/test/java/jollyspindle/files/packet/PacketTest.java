package jollyspindle.files.packet;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Counts;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.Rich;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.awt.geom.Line2D;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

class PacketTest {

    /** Collects stroked squares and the extents of curved paths, in points on the page. */
    private static final class Strokes extends PDFGraphicsStreamEngine {

        private final List<Rectangle2D> rectangles = new ArrayList<>();
        private final List<Rectangle2D> curves = new ArrayList<>();
        private final List<Line2D> lines = new ArrayList<>();
        private Rectangle2D rectangle;
        private List<Point2D> path = new ArrayList<>();
        private boolean curved;

        Strokes(PDPage page) throws IOException {
            super(page);
            processPage(page);
        }

        @Override
        public void appendRectangle(Point2D p0, Point2D p1, Point2D p2, Point2D p3) {
            rectangle = new Rectangle2D.Double(p0.getX(), p0.getY(), p2.getX() - p0.getX(), p2.getY() - p0.getY());
        }

        @Override
        public void strokePath() {
            if (rectangle != null) {
                rectangles.add(rectangle);
            }
            if (!curved && path.size() == 2) {
                lines.add(new Line2D.Double(path.get(0), path.get(1)));
            }
            if (curved) {
                Rectangle2D box =
                        new Rectangle2D.Double(path.get(0).getX(), path.get(0).getY(), 0, 0);
                path.forEach(box::add);
                curves.add(box);
            }
            endPath();
        }

        @Override
        public void moveTo(float x, float y) {
            path.add(new Point2D.Float(x, y));
        }

        @Override
        public void lineTo(float x, float y) {
            path.add(new Point2D.Float(x, y));
        }

        @Override
        public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
            curved = true;
            Point2D from = getCurrentPoint();
            for (int i = 1; i <= 64; i++) {
                double t = i / 64.0;
                double u = 1 - t;
                path.add(new Point2D.Double(
                        u * u * u * from.getX() + 3 * u * u * t * x1 + 3 * u * t * t * x2 + t * t * t * x3,
                        u * u * u * from.getY() + 3 * u * u * t * y1 + 3 * u * t * t * y2 + t * t * t * y3));
            }
        }

        @Override
        public void endPath() {
            rectangle = null;
            curved = false;
            path = new ArrayList<>();
        }

        @Override
        public Point2D getCurrentPoint() {
            return path.isEmpty() ? new Point2D.Float() : path.get(path.size() - 1);
        }

        @Override
        public void closePath() {}

        @Override
        public void fillPath(int windingRule) {
            endPath();
        }

        @Override
        public void fillAndStrokePath(int windingRule) {
            endPath();
        }

        @Override
        public void clip(int windingRule) {}

        @Override
        public void drawImage(PDImage image) {
            throw new AssertionError("a packet is drawn, not painted");
        }

        @Override
        public void shadingFill(COSName shading) {}
    }

    private static PDDocument packet(QuiltJob job, PaperSize paper) throws Exception {
        return Loader.loadPDF(Packet.format(Planner.plan(job), paper));
    }

    private static String text(PDDocument document, int page) throws IOException {
        PDFTextStripper stripper = new PDFTextStripper();
        stripper.setSortByPosition(true);
        stripper.setStartPage(page);
        stripper.setEndPage(page);
        return stripper.getText(document);
    }

    // A4 is 210 mm by 297 mm (ISO 216); US Letter 8 1/2 by 11 in (ANSI Y14.1 size A); a PDF point is 1/72 in (ISO
    // 32000).
    @ParameterizedTest
    @EnumSource(PaperSize.class)
    void everyPageHasItsPaperAndATrueInch(PaperSize paper) throws Exception {
        double width = paper == PaperSize.A4 ? 210 / 25.4 * 72 : 8.5 * 72;
        double height = paper == PaperSize.A4 ? 297 / 25.4 * 72 : 11 * 72;
        try (PDDocument document = packet(DemoJob.heronWeir(), paper)) {
            for (PDPage page : document.getPages()) {
                double w = page.getMediaBox().getWidth();
                double h = page.getMediaBox().getHeight();
                assertThat(Math.min(w, h)).isCloseTo(width, within(0.01));
                assertThat(Math.max(w, h)).isCloseTo(height, within(0.01));
                assertThat(new Strokes(page).rectangles)
                        .filteredOn(r -> r.getWidth() > 20)
                        .singleElement()
                        .satisfies(square -> {
                            assertThat(square.getWidth()).isCloseTo(72, within(0.01));
                            assertThat(square.getHeight()).isCloseTo(72, within(0.01));
                            assertThat(square.getMinX()).isGreaterThan(36);
                            assertThat(square.getMinY()).isGreaterThan(36);
                        });
            }
        }
    }

    @Test
    void oneRepeatIsDrawnAtTrueSize() throws Exception {
        try (PDDocument document = packet(DemoJob.heronWeir(), PaperSize.A4)) {
            int page = pageWith(document, "at true size");
            List<Rectangle2D> curves = new Strokes(document.getPage(page - 1)).curves;
            // The stitch line spans 7.1625 in and rises 2.2245 in.
            assertThat(curves).anySatisfy(box -> {
                assertThat(box.getWidth() / 72).isCloseTo(7.1625, within(1e-3));
                assertThat(box.getHeight() / 72).isCloseTo(2.2245, within(1e-3));
            });
            for (Rectangle2D box : curves) {
                assertThat(box.getMaxX())
                        .isLessThan(document.getPage(page - 1).getMediaBox().getWidth() - 36);
            }
        }
    }

    /** A figure without arcs, too: a circle of a chain is as wide as the plan says. */
    @ParameterizedTest
    @EnumSource(PaperSize.class)
    void oneFigureOfAnotherMotifIsDrawnAtTrueSize(PaperSize paper) throws Exception {
        Motif chain = new Motif.Circles(0.25, 2, Motif.Turning.SAME, false);
        QuiltJob job = DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .editing(
                        GroupId.border(1),
                        l -> l.with(Design.of(Layer.of(chain).withTemplate(Optional.empty(), Optional.empty()))));
        WorkPlan plan = Planner.plan(job);
        RunPlan top = plan.runs().get(0);
        List<StitchLine> circles = top.laidOut().lines();
        double diameter = circles.get(0).path().box().width();
        double pitch =
                circles.get(1).path().box().left() - circles.get(0).path().box().left();
        assertThat(pitch).isGreaterThan(diameter);
        try (PDDocument document = packet(job, paper)) {
            int page = pageWith(document, "at true size");
            List<Rectangle2D> curves = new Strokes(document.getPage(page - 1)).curves;
            List<Rectangle2D> whole = curves.stream()
                    .filter(box -> Math.abs(box.getWidth() / 72 - diameter) < 2e-3)
                    .toList();
            // What doesn't go on the paper is cut off above, and said to be; nothing is made smaller.
            assertThat(whole).isNotEmpty().allSatisfy(box -> assertThat(box.getHeight() / 72)
                    .isLessThan(diameter + 2e-3));
            boolean cut = whole.stream().anyMatch(box -> box.getHeight() / 72 < diameter - 2e-3);
            assertThat(text(document, page).contains("larger than this paper")).isEqualTo(cut);
        }
    }

    /** What is stitched in the middle is told page by page: how rays are stepped off, in which order, with what totals. */
    @Test
    void theMiddleIsTold() throws Exception {
        QuiltJob job = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        job = job.withQuilt(job.quilt().withAreas(List.of(new Area.Medallion(12), new Area.Blocks(2, 2, 12, 12, 14))))
                .with(
                        new AreaId(1),
                        AreaDesign.of(
                                new AreaMotif.Arms(10, AreaMotif.Way.OUT_AND_BACK, 0.5), Optional.of("willow-arm")))
                .with(new AreaId(2), AreaDesign.of(new AreaMotif.Whirl(3, 0.5, 8), Optional.empty()));
        StringBuilder all = new StringBuilder();
        try (PDDocument document = packet(job, PaperSize.A4)) {
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                all.append(text(document, page)).append(' ');
            }
        }
        String said = all.toString().replaceAll("\\s+", " ");
        // The chord of 36 degrees on a circle of radius 6: 3.708, a little under 3 11/16 and 1/32 (chord table).
        assertThat(said)
                .contains("step the others off with 3 11/16 generous on a circle of radius 6 about the centre")
                .contains("Whirl, set 8,")
                .contains("4 blocks: 96 lines")
                .contains("Arm 10");
    }

    /** Every piece of a strip is where it says: its marks stand at their true places, and the pieces add up to the run. */
    @ParameterizedTest
    @EnumSource(PaperSize.class)
    void markingStripsAreDrawnAtTrueSize(PaperSize paper) throws Exception {
        WorkPlan plan = Planner.plan(DemoJob.heronWeir());
        try (PDDocument document = packet(DemoJob.heronWeir(), paper)) {
            for (RunPlan run : plan.runs()) {
                String title = "Marking strip at true size: " + Words.decapital(Words.name(run.id()));
                int page = pageWith(document, title);
                List<Double> marked = new ArrayList<>();
                double joined = 0;
                for (;
                        page <= document.getNumberOfPages()
                                && text(document, page).contains(title);
                        page++) {
                    List<Line2D> lines = new Strokes(document.getPage(page - 1)).lines;
                    // The lower edge of each piece, from the top of the page down.
                    List<Line2D> edges = lines.stream()
                            .filter(l -> l.getY1() == l.getY2() && Math.abs(l.getX1() - 0.6 * 72) < 0.01)
                            .filter(l -> lines.stream()
                                    .anyMatch(tick -> tick.getX1() == tick.getX2()
                                            && Math.abs(tick.getY2() - tick.getY1()) < 0.2 * 72
                                            && Math.abs(tick.getY1() - l.getY1()) < 0.01
                                            && Math.abs(tick.getX1() - l.getX1()) < 0.01))
                            .filter(l -> l.getY1()
                                    < document.getPage(0).getMediaBox().getHeight())
                            .sorted(Comparator.comparingDouble(l -> -l.getY1()))
                            .toList();
                    for (Line2D edge : edges) {
                        double from = joined;
                        lines.stream()
                                .filter(l -> l.getX1() == l.getX2() && Math.abs(l.getY1() - edge.getY1()) < 0.01)
                                .filter(l -> Math.abs(l.getY2() - l.getY1()) > 0.3 * 72)
                                .forEach(l -> marked.add(from + (l.getX1() - edge.getX1()) / 72));
                        joined += (edge.getX2() - edge.getX1()) / 72;
                    }
                }
                assertThat(joined).isCloseTo(run.division().length(), within(1e-3));
                for (Mark mark : run.laidOut().marks()) {
                    if (mark.kind() == Mark.Kind.VALLEY || mark.kind() == Mark.Kind.CROWN) {
                        assertThat(marked).as(mark.id().code()).anySatisfy(x -> assertThat(x)
                                .isCloseTo(mark.along(), within(1e-3)));
                    }
                }
            }
        }
    }

    @Test
    void aRichJobGoesOnPaperWhole() throws Exception {
        try (PDDocument document = packet(Rich.job(), PaperSize.A4)) {
            assertThat(text(document, 1))
                    .contains("Planned at", "Border 3", "pieced from units of 4 1/2", "left plain");
            String all = new PDFTextStripper().getText(document);
            assertThat(all).contains("Border 3, left: marks", "Sash: placements", "Slope: marks");
            assertThat(all).contains("Arcs 1 to 3: ");
        }
    }

    @Test
    void aRepeatWiderThanThePaperIsDrawnInHalf() throws Exception {
        QuiltJob demo = DemoJob.heronWeir();
        QuiltJob wide = demo.withTemplate(demo.chosenTemplate().orElseThrow().resized(12))
                .withCounts(new Counts(5, 6));
        try (PDDocument document = packet(wide, PaperSize.LETTER)) {
            int page = pageWith(document, "at true size");
            assertThat(text(document, page)).contains("the half from valley to crown");
            assertThat(new Strokes(document.getPage(page - 1)).curves)
                    .anySatisfy(box -> assertThat(box.getWidth() / 72).isCloseTo(14.325 / 2, within(1e-3)));
        }
    }

    private static int pageWith(PDDocument document, String text) throws IOException {
        for (int page = 1; page <= document.getNumberOfPages(); page++) {
            if (text(document, page).contains(text)) {
                return page;
            }
        }
        throw new AssertionError("no page with " + text);
    }

    @Test
    void saysWhatIsTakenToTheMachine() throws Exception {
        try (PDDocument document = packet(DemoJob.heronWeir(), PaperSize.A4)) {
            assertThat(text(document, 1))
                    .contains("Heron Weir", "top 71 5/8, right 86 3/8, bottom 71 3/4, left 86 1/4")
                    .contains("10 across, 12 down", "mitred", "Orchard Hill", "0.245", "44 lines")
                    .contains("drawn at 1 :");
            String marks = text(document, 2);
            assertThat(marks).contains("Top border: marks", "Before loading", "On the frame");
            assertThat(marks)
                    .containsPattern("Valley 7 +50 1/8 generous +21 1/2 scant +14 5/16 generous right +on the seam");
            assertThat(marks).as("the template finds the crowns").doesNotContain("Crown");
            String right = text(document, pageWith(document, "Right border: placements"));
            assertThat(right)
                    .containsPattern(
                            "Arc 6 +a quarter turn to the right +as before +Valley 5, 36 scant +Valley 6, 43 3/16");
            assertThat(right).contains("lay that edge on the seam");
            String last = text(document, document.getNumberOfPages());
            assertThat(last).contains("fingers", "needle down", "high-shank", "manual and its dealer");
        }
    }

    @Test
    void setsAnyNameAndLongLists() throws Exception {
        QuiltJob job = DemoJob.heronWeir()
                .withName("Żółta ćma \uD83E\uDDF5 日 ½")
                .withTape(TapeScale.CENTIMETRES)
                .withCounts(new Counts(60, 72));
        try (PDDocument document = packet(job, PaperSize.LETTER)) {
            assertThat(text(document, 1)).contains("Żółta ćma ? ? ½");
            assertThat(document.getNumberOfPages()).isGreaterThan(20);
            assertThat(text(document, pageWith(document, "continued"))).contains("From left end");
            assertThat(text(document, 2)).contains("cm");
        }
    }

    @Test
    void saysWhenThereIsNothingToTake() {
        assertThatThrownBy(() -> packet(
                        DemoJob.heronWeir()
                                .withQuilt(DemoJob.heronWeir().quilt().without(Dimension.DEPTH_TOP)),
                        PaperSize.A4))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining("Still to be measured");
    }
}
