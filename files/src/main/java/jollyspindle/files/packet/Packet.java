package jollyspindle.files.packet;

import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.words.Cautions;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Makes the packet: cover, mark lists, placement lists, one repeat at true size, cautions. */
public final class Packet {

    private static final double HEAD = 1.05;

    /** What the foot of each page takes, with its check square, in inches from the bottom. */
    private static final double FOOT = 1.75;

    private final WorkPlan plan;
    private final Words words;
    private final PaperSize paper;
    private final PDDocument document = new PDDocument();
    private final Type type;
    private Sheet sheet;
    private int pages;

    private Packet(WorkPlan plan, PaperSize paper) throws IOException {
        this.plan = plan;
        this.paper = paper;
        this.words = new Words(plan.job().tape());
        this.type = new Type(document);
    }

    /**
     * Makes a packet.
     *
     * @return the PDF's bytes
     * @throws FileTrouble if nothing is planned yet
     */
    public static byte[] format(WorkPlan plan, PaperSize paper) throws FileTrouble {
        if (plan.runs().isEmpty()) {
            FindingWords said = new FindingWords(new Words(plan.job().tape()));
            throw new FileTrouble("There is nothing to take to the machine yet. "
                    + said.text(plan.findings().get(0)));
        }
        try {
            return new Packet(plan, paper).write();
        } catch (IOException e) {
            throw new IllegalStateException("writing into memory can't fail", e);
        }
    }

    private byte[] write() throws IOException {
        try (document) {
            PDDocumentInformation about = new PDDocumentInformation();
            about.setTitle(plan.job().name());
            about.setCreator("Jolly Spindle");
            document.setDocumentInformation(about);
            cover();
            for (RunPlan run : plan.runs()) {
                marks(run);
            }
            for (RunPlan run : plan.runs()) {
                placements(run);
            }
            trueSize(plan.runs().get(0));
            advice();
            sheet.close();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        }
    }

    private void open(String title, PDRectangle size) throws IOException {
        if (sheet != null) {
            sheet.close();
        }
        sheet = new Sheet(document, type, size);
        pages++;
        double left = Sheet.MARGIN;
        double right = sheet.width() - Sheet.MARGIN;
        sheet.text(title, left, 0.85, 17, true, Sheet.INK);
        sheet.line(left, 0.95, right, 0.95, Sheet.Pen.solid(Sheet.RULE, 0.8));
        double square = sheet.height() - Sheet.MARGIN - 1;
        sheet.rectangle(left, square, 1, 1, Sheet.Pen.solid(Sheet.INK, 0.6));
        sheet.textCentred("1 inch", left + 0.5, square + 0.47, 9, false);
        sheet.textCentred("2.54 cm", left + 0.5, square + 0.62, 9, false);
        sheet.text(
                "Measure this square. If it isn't 1 inch, print again at 100 %, without fitting to the page.",
                left + 1.15, square + 0.76, 8.5, false, Sheet.FAINT);
        sheet.text(plan.job().name() + " · Jolly Spindle", left + 1.15, square + 0.94, 8.5, false, Sheet.FAINT);
        sheet.textRight("page " + pages, right, square + 0.94, 8.5, Sheet.FAINT);
    }

    private double bottom() {
        return sheet.height() - FOOT;
    }

    private void cover() throws IOException {
        open(plan.job().name(), paper.upright());
        double y = HEAD + 0.2;
        for (String[] fact : facts()) {
            sheet.text(fact[0], Sheet.MARGIN, y, 10, true, Sheet.INK);
            for (String line : sheet.wrap(fact[1], sheet.width() - 2 * Sheet.MARGIN - 1.6, 10)) {
                sheet.text(line, Sheet.MARGIN + 1.6, y, 10);
                y += 0.19;
            }
            y += 0.04;
        }
        new LayoutPicture(plan)
                .draw(sheet, Sheet.MARGIN, y + 0.05, sheet.width() - 2 * Sheet.MARGIN, bottom() - y - 0.05);
    }

    private List<String[]> facts() {
        QuiltJob job = plan.job();
        List<String[]> facts = new ArrayList<>();
        facts.add(new String[] {
            "Body",
            "top " + measured(Dimension.BODY_TOP) + ", right " + measured(Dimension.BODY_RIGHT) + ", bottom "
                    + measured(Dimension.BODY_BOTTOM) + ", left " + measured(Dimension.BODY_LEFT)
        });
        facts.add(new String[] {"Border", border()});
        facts.add(new String[] {"Counts", counts()});
        ShelfWords shelf = new ShelfWords(words);
        job.chosenTemplate()
                .ifPresent(t -> facts.add(new String[] {
                    "Template",
                    t.name() + ": " + shelf.marked(t) + "; "
                            + shelf.summary(Stitching.of(t, job.machine())) + " with a foot of radius "
                            + words.exact(job.machine().footRadius())
                }));
        Map<String, String> sides = new LinkedHashMap<>();
        for (RunPlan run : plan.runs()) {
            String said = "repeat " + words.length(run.division().repeat()) + ", rise "
                    + words.length(run.fit().segment().height()) + ". " + words.instruction(run.fit());
            sides.merge(said, Words.name(run.side()), (a, b) -> a + ", " + b);
        }
        sides.forEach((said, who) -> facts.add(new String[] {Words.capital(who), said}));
        facts.add(new String[] {
            "In all",
            Words.count(plan.repeats(), "arc") + ", " + Words.count(plan.placements(), "placement") + ", "
                    + Words.count(plan.chalkMarks(), "mark") + " to make, "
                    + words.length(plan.stitchedLength()) + " of stitching"
        });
        return facts;
    }

    private String measured(Dimension dimension) {
        return words.exact(plan.job().quilt().length(dimension));
    }

    private String border() {
        QuiltJob job = plan.job();
        List<String> depths = new ArrayList<>();
        for (Side side : Side.values()) {
            depths.add(measured(Dimension.depth(side)));
        }
        String deep = depths.stream().distinct().count() == 1
                ? depths.get(0) + " deep"
                : "top " + depths.get(0) + ", right " + depths.get(1) + ", bottom " + depths.get(2) + ", left "
                        + depths.get(3) + " deep";
        return deep + "; corners: " + Words.name(job.quilt().corners()).toLowerCase(java.util.Locale.ROOT)
                + "; outer reserve " + measured(Dimension.RESERVE) + ", seam clearance "
                + measured(Dimension.CLEARANCE);
    }

    private String counts() {
        return plan.chosen()
                .map(c -> "repeats: " + Words.counts(c.counts()) + " (" + words.reasons(c) + ")")
                .orElse("");
    }

    /** A column of a list: its head, and how far its left edge is from the margin, as a part of the width. */
    private record Column(String head, double at) {}

    private void marks(RunPlan run) throws IOException {
        List<Column> columns = List.of(
                new Column("Mark", 0),
                new Column("From left end", 0.19),
                new Column("From right end", 0.38),
                new Column("From centre", 0.57),
                new Column("Above seam", 0.79));
        String title = Words.border(run.side()) + ": marks";
        String note = "Run of " + words.length(run.division().length()) + ", divided into "
                + Words.count(run.division().count(), "repeat") + " of "
                + words.length(run.division().repeat())
                + ". Left end: the " + Words.startCorner(run.side()) + " corner, seen with the outside edge up."
                + " Lay the tape once and mark every reading from the same zero.";
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of("Before loading the quilt"));
        marks(run, Mark.Stage.BEFORE_LOADING, rows);
        rows.add(List.of("On the frame"));
        marks(run, Mark.Stage.LOADED, rows);
        table(title, note, columns, rows);
    }

    private static void marks(RunPlan run, Mark.Stage stage, List<List<String>> rows) {
        for (Mark mark : run.laidOut().marks()) {
            if (mark.stage() == stage) {
                boolean seam = mark.by() == Mark.MarkedBy.SEAM;
                rows.add(List.of(
                        Words.name(mark) + (seam ? " (seam)" : mark.onCentre() ? " (centre)" : ""),
                        mark.readings().fromLeft().text(),
                        mark.readings().fromRight().text(),
                        Words.fromCentre(mark.readings().fromCentre()),
                        mark.across() == 0 ? "on the seam" : mark.height().text()));
            }
        }
    }

    private void placements(RunPlan run) throws IOException {
        List<Column> columns = List.of(
                new Column("Arc", 0),
                new Column("Turn the template", 0.165),
                new Column("Start at", 0.42),
                new Column("Stop at", 0.675),
                new Column("Sweep", 0.935));
        Placement first = run.laidOut().placements().get(0);
        String title = Words.border(run.side()) + ": placements";
        String note = plan.job().chosenTemplate().map(t -> t.name() + ", ").orElse("") + Words.edge(first.edge())
                + ". " + words.instruction(run.fit()) + " Stitch from " + Words.direction(run.side())
                + " without a break; crowns towards the outer edge."
                + " The first lies " + Words.turn(first.pose().rotation()) + " ("
                + Words.degrees(first.pose().rotation()) + ").";
        List<List<String>> rows = new ArrayList<>();
        for (Placement placement : run.laidOut().placements()) {
            rows.add(List.of(
                    Words.name(placement),
                    Words.turn(placement.pose().rotation()),
                    at(placement.start()),
                    at(placement.end()),
                    Words.degrees(Math.abs(placement.line().sweep()))));
        }
        double below = table(title, note, columns, rows);
        double room = bottom() - below;
        if (room > LEAST_PICTURE) {
            new LyingPicture(plan, run, first)
                    .draw(sheet, below + 0.1, sheet.width() - 2 * Sheet.MARGIN, Math.min(room - 0.1, LARGEST_PICTURE));
        }
    }

    private static String at(Mark mark) {
        return Words.name(mark) + ", " + mark.readings().fromLeft().text();
    }

    private static final double ROW = 0.21;
    private static final double LINE = 0.17;
    private static final double GAP = 0.08;
    private static final double LEAST_PICTURE = 1.8;
    private static final double LARGEST_PICTURE = 3.6;

    /** A table over as many pages as it takes; returns how far down the last one it goes. */
    private double table(String title, String note, List<Column> columns, List<List<String>> rows) throws IOException {
        double width = paper.width() - 2 * Sheet.MARGIN;
        double y = Double.MAX_VALUE;
        boolean shaded = false;
        boolean first = true;
        for (List<String> row : rows) {
            boolean heading = row.size() == 1;
            List<List<String>> cells = heading ? List.of() : wrapped(row, columns, width);
            double height =
                    ROW + LINE * (cells.stream().mapToInt(List::size).max().orElse(1) - 1);
            // A heading never stands alone at a page's end.
            if (first || y + height + (heading ? ROW : 0) > bottom()) {
                open(title + (first ? "" : ", continued"), paper.upright());
                y = first ? paragraph(note, HEAD + 0.15, width) : HEAD + 0.2;
                for (Column column : columns) {
                    sheet.text(column.head(), Sheet.MARGIN + column.at() * width, y, 9.5, true, Sheet.FAINT);
                }
                y += ROW;
                first = false;
            }
            if (heading) {
                sheet.text(row.get(0), Sheet.MARGIN, y + 0.03, 10.5, true, Sheet.MARK);
                shaded = false;
            } else {
                if (shaded) {
                    sheet.band(Sheet.MARGIN, y - 0.15, width, height, Sheet.BAND);
                }
                shaded = !shaded;
                for (int c = 0; c < cells.size(); c++) {
                    double left = Sheet.MARGIN + columns.get(c).at() * width;
                    for (int line = 0; line < cells.get(c).size(); line++) {
                        sheet.text(cells.get(c).get(line), left, y + line * LINE, 10, c == 0, Sheet.INK);
                    }
                }
            }
            y += height;
        }
        return y;
    }

    /** Each cell's text in lines no wider than its column. */
    private List<List<String>> wrapped(List<String> row, List<Column> columns, double width) throws IOException {
        List<List<String>> cells = new ArrayList<>();
        for (int c = 0; c < row.size(); c++) {
            double until = c + 1 < columns.size() ? columns.get(c + 1).at() : 1;
            cells.add(type.wrap(row.get(c), (until - columns.get(c).at()) * width - GAP, 10, c == 0));
        }
        return cells;
    }

    private double paragraph(String text, double top, double width) throws IOException {
        double y = top + 0.05;
        for (String line : sheet.wrap(text, width, 10)) {
            sheet.text(line, Sheet.MARGIN, y, 10);
            y += 0.18;
        }
        return y + 0.12;
    }

    private void trueSize(RunPlan run) throws IOException {
        TrueSizeRepeat picture = new TrueSizeRepeat(plan, run);
        PDRectangle size = picture.fits(paper.width()) ? paper.upright() : paper.sideways();
        open("One repeat of the " + Words.name(run.side()) + " border at true size", size);
        picture.draw(sheet, HEAD, bottom());
    }

    private void advice() throws IOException {
        open("Before you start", paper.upright());
        double width = sheet.width() - 2 * Sheet.MARGIN;
        double y = HEAD + 0.1;
        if (!plan.findings().isEmpty()) {
            sheet.text("What to know about this plan", Sheet.MARGIN, y + 0.1, 12, true, Sheet.INK);
            y += 0.25;
            FindingWords said = new FindingWords(words);
            for (Finding finding : plan.findings()) {
                String where = finding.side().map(s -> Words.border(s) + ": ").orElse("");
                y = paragraph(FindingWords.name(finding.severity()) + ". " + where + said.text(finding), y, width)
                        - 0.05;
            }
            y += 0.15;
        }
        sheet.text("Care at the machine", Sheet.MARGIN, y + 0.1, 12, true, Sheet.INK);
        y += 0.25;
        for (String caution : Cautions.of(plan.job())) {
            y = paragraph("• " + caution, y, width) - 0.05;
        }
        sheet.text(Cautions.MANUAL_FIRST, Sheet.MARGIN, y + 0.1, 11, true, Sheet.STITCH);
    }
}
