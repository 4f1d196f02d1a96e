package jollyspindle.desktop.bench;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * The corners of an appliqué as they are typed: of each how far it is right of the middle and above it, with a comma between
 * them and a semicolon after it.
 *
 * @param words lengths are said with
 * @param far how far from the middle a corner can be, in inches
 */
record TypedCorners(Words words, double far) {

    /**
     * Reads corners.
     *
     * @param take takes them, if they make an outline
     * @return why they don't; nothing if they do
     */
    Optional<String> read(String text, Consumer<List<Point>> take) {
        List<Point> corners = new ArrayList<>();
        for (String one : text.split(";")) {
            if (one.isBlank()) {
                continue;
            }
            String[] both = one.strip().split("\\s*,\\s*");
            if (both.length != 2) {
                return Optional.of(Said.say("field.corner", "typed", one.strip()));
            }
            double[] at = new double[2];
            for (int i = 0; i < 2; i++) {
                LengthReading read = LengthParser.parse(both[i], words.tape());
                if (read instanceof LengthReading.Refused refused) {
                    return Optional.of(refused.message());
                }
                at[i] = ((LengthReading.Understood) read).inches();
                if (Math.abs(at[i]) > far) {
                    return Optional.of(Said.say(words, "field.too-far", "typed", both[i], "most", far));
                }
            }
            corners.add(new Point(at[0], at[1]));
        }
        Optional<String> wrong =
                Area.Corners.difficulty(corners).map(AreaWords::difficulty).map(Words::capital);
        if (wrong.isEmpty()) {
            take.accept(corners);
        }
        return wrong;
    }
}
