package jollyspindle.files.packet;

import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** The paper a packet is printed on, upright. A4 is 210 by 297 mm (ISO 216), US Letter 8 1/2 by 11 in. */
public enum PaperSize {
    A4(210 / 25.4, 297 / 25.4),
    LETTER(8.5, 11);

    private final double width;
    private final double height;

    PaperSize(double width, double height) {
        this.width = width;
        this.height = height;
    }

    /** In inches. */
    public double width() {
        return width;
    }

    /** In inches. */
    public double height() {
        return height;
    }

    PDRectangle upright() {
        return new PDRectangle((float) (width * Sheet.POINTS), (float) (height * Sheet.POINTS));
    }

    PDRectangle sideways() {
        return new PDRectangle((float) (height * Sheet.POINTS), (float) (width * Sheet.POINTS));
    }
}
