package jollyspindle.files.packet;

import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** The pages of a packet one after the other, with lists and paragraphs on them. */
final class Pages {

    static final double HEAD = 1.05;

    /** What the foot of each page takes, with its check square, in inches from the bottom. */
    private static final double FOOT = 1.75;

    private static final double ROW = 0.21;
    private static final double LINE = 0.17;
    static final double GAP = 0.08;
    private final String name;
    private final PaperSize paper;
    private final PDDocument document;
    private final Type type;
    private Sheet sheet;
    private int count;

    /**
     * Pages of a document.
     *
     * @param name of the job, at the foot of each page
     */
    Pages(PDDocument document, String name, PaperSize paper) throws IOException {
        this.document = document;
        this.name = name;
        this.paper = paper;
        this.type = new Type(document);
    }

    PaperSize paper() {
        return paper;
    }

    Type type() {
        return type;
    }

    /** The page that was opened last. */
    Sheet sheet() {
        return sheet;
    }

    /** Ends the last page. */
    void close() throws IOException {
        sheet.close();
    }

    /** Begins another page, with its title, and at its foot a square to measure. */
    void open(String title, PDRectangle size) throws IOException {
        if (sheet != null) {
            sheet.close();
        }
        sheet = new Sheet(document, type, size);
        count++;
        double left = Sheet.MARGIN;
        double right = sheet.width() - Sheet.MARGIN;
        sheet.text(title, left, 0.85, 17, true, Sheet.INK);
        sheet.line(left, 0.95, right, 0.95, Sheet.Pen.solid(Sheet.RULE, 0.8));
        double square = sheet.height() - Sheet.MARGIN - 1;
        sheet.rectangle(left, square, 1, 1, Sheet.Pen.solid(Sheet.INK, 0.6));
        sheet.textCentred(Said.say("page.inch"), left + 0.5, square + 0.47, 9, false);
        sheet.textCentred(Said.say("page.centimetres"), left + 0.5, square + 0.62, 9, false);
        sheet.text(Said.say("page.measure"), left + 1.15, square + 0.76, 8.5, false, Sheet.FAINT);
        sheet.text(Said.say("page.foot", "job", name), left + 1.15, square + 0.94, 8.5, false, Sheet.FAINT);
        sheet.textRight(Said.say("page.number", "number", count), right, square + 0.94, 8.5, Sheet.FAINT);
    }

    /** How far down a page may be written on, in inches. */
    double bottom() {
        return sheet.height() - FOOT;
    }

    /** A column of a list: its head, and how far its left edge is from the margin, as a part of the width. */
    record Column(String head, double at) {}

    /** A table over as many pages as it takes; returns how far down the last one it goes. */
    double table(String title, String note, List<Column> columns, List<List<String>> rows) throws IOException {
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
                open(Said.continued(title, !first), paper.upright());
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

    /** Writes a text from a height on, and returns how far down it goes. */
    double paragraph(String text, double top, double width) throws IOException {
        double y = top + 0.05;
        for (String line : sheet.wrap(text, width, 10)) {
            sheet.text(line, Sheet.MARGIN, y, 10);
            y += 0.18;
        }
        return y + 0.12;
    }
}
