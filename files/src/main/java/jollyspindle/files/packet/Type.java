package jollyspindle.files.packet;

import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The typefaces of one packet. A character that one file lacks is taken from the next; one that all lack shows as ?. */
final class Type {

    private static final String FOLDER = "/jollyspindle/files/fonts/";

    /** A piece of a text that one font can show. */
    record Piece(PDFont font, String text) {}

    private final List<PDFont> regular;
    private final List<PDFont> bold;

    Type(PDDocument document) throws IOException {
        regular = List.of(
                load(document, "AtkinsonHyperlegibleNext-Regular.ttf"),
                load(document, "AtkinsonHyperlegibleNextExt-Regular.ttf"));
        bold = List.of(
                load(document, "AtkinsonHyperlegibleNext-Bold.ttf"),
                load(document, "AtkinsonHyperlegibleNextExt-Bold.ttf"));
    }

    private static PDFont load(PDDocument document, String name) throws IOException {
        try (InputStream in = Type.class.getResourceAsStream(FOLDER + name)) {
            if (in == null) {
                throw new IllegalStateException("font not shipped: " + name);
            }
            return PDType0Font.load(document, in, true);
        }
    }

    List<Piece> pieces(String text, boolean heavy) {
        List<PDFont> fonts = heavy ? bold : regular;
        List<Piece> pieces = new ArrayList<>();
        for (int c : text.codePoints().toArray()) {
            String character = Character.toString(c);
            Optional<PDFont> able =
                    fonts.stream().filter(f -> shows(f, character)).findFirst();
            String shown = able.isPresent() ? character : Character.isWhitespace(c) ? " " : "?";
            PDFont font = able.orElse(fonts.get(0));
            int last = pieces.size() - 1;
            if (last >= 0 && pieces.get(last).font() == font) {
                pieces.set(last, new Piece(font, pieces.get(last).text() + shown));
            } else {
                pieces.add(new Piece(font, shown));
            }
        }
        return pieces;
    }

    private static boolean shows(PDFont font, String character) {
        try {
            font.encode(character);
            return true;
        } catch (IOException | IllegalArgumentException e) {
            return false;
        }
    }

    /** How wide a text is set, in inches. */
    double width(String text, double points, boolean heavy) throws IOException {
        double width = 0;
        for (Piece piece : pieces(text, heavy)) {
            width += piece.font().getStringWidth(piece.text()) / 1000 * points;
        }
        return width / Sheet.POINTS;
    }

    /** Breaks a text into lines no wider than this, in inches. A word that is wider stands alone. */
    List<String> wrap(String text, double width, double points, boolean heavy) throws IOException {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(longer, points, heavy) > width) {
                lines.add(line);
                line = word;
            } else {
                line = longer;
            }
        }
        lines.add(line);
        return lines;
    }
}
