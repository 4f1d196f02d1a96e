package jollyspindle.files.packet;

import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The typefaces of one packet. A character that one file lacks is taken from the next; one that all lack shows as ?. */
final class Type {

    private static final String FOLDER = "/jollyspindle/files/fonts/";

    /** A piece of a text that one font can show. */
    record Piece(PDFont font, String text) {}

    private final List<PDFont> regular;
    private final List<PDFont> bold;
    private final Map<Integer, Glyph> regularGlyphs = new HashMap<>();
    private final Map<Integer, Glyph> boldGlyphs = new HashMap<>();

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

    /** How a character is set: in which font, as what, how wide in thousandths of the type's size. */
    private record Glyph(PDFont font, String shown, double width) {}

    /** A packet has few characters, and sets them very often. */
    private Glyph glyph(int character, boolean heavy) throws IOException {
        Map<Integer, Glyph> known = heavy ? boldGlyphs : regularGlyphs;
        Glyph glyph = known.get(character);
        if (glyph == null) {
            List<PDFont> fonts = heavy ? bold : regular;
            String text = Character.toString(character);
            Optional<PDFont> able = fonts.stream().filter(f -> shows(f, text)).findFirst();
            String shown = able.isPresent() ? text : Character.isWhitespace(character) ? " " : "?";
            PDFont font = able.orElse(fonts.get(0));
            glyph = new Glyph(font, shown, font.getStringWidth(shown));
            known.put(character, glyph);
        }
        return glyph;
    }

    List<Piece> pieces(String text, boolean heavy) throws IOException {
        List<Piece> pieces = new ArrayList<>();
        StringBuilder together = new StringBuilder();
        PDFont font = null;
        for (int c : text.codePoints().toArray()) {
            Glyph glyph = glyph(c, heavy);
            if (glyph.font() != font && font != null) {
                pieces.add(new Piece(font, together.toString()));
                together.setLength(0);
            }
            font = glyph.font();
            together.append(glyph.shown());
        }
        if (font != null) {
            pieces.add(new Piece(font, together.toString()));
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
        for (int c : text.codePoints().toArray()) {
            width += glyph(c, heavy).width();
        }
        return width / 1000 * points / Sheet.POINTS;
    }

    /** Breaks a text into lines no wider than this, in inches. A word that is wider stands alone. */
    List<String> wrap(String text, double width, double points, boolean heavy) throws IOException {
        List<String> lines = new ArrayList<>();
        double space = width(" ", points, heavy);
        StringBuilder line = new StringBuilder();
        double taken = 0;
        for (String word : text.split(" ")) {
            double wide = width(word, points, heavy);
            if (line.length() > 0 && taken + space + wide > width) {
                lines.add(line.toString());
                line.setLength(0);
            }
            if (line.length() > 0) {
                line.append(' ');
                taken += space + wide;
            } else {
                taken = wide;
            }
            line.append(word);
        }
        lines.add(line.toString());
        return lines;
    }
}
