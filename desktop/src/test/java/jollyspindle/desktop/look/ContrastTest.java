package jollyspindle.desktop.look;

import jollyspindle.core.shelf.Material;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;

import static org.assertj.core.api.Assertions.assertThat;

/** Contrast as WCAG 2.2 reckons it (1.4.3: text 4.5 to 1; 1.4.11: lines and signs 3 to 1). */
class ContrastTest {

    private static final double TEXT = 4.5;
    private static final double LINE = 3;

    private static double linear(double channel) {
        return channel <= 0.04045 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
    }

    private static double luminance(Color c) {
        return 0.2126 * linear(c.getRed()) + 0.7152 * linear(c.getGreen()) + 0.0722 * linear(c.getBlue());
    }

    private static double contrast(Color a, Color b) {
        double x = luminance(a) + 0.05;
        double y = luminance(b) + 0.05;
        return Math.max(x, y) / Math.min(x, y);
    }

    private static Color over(Color above, Color below) {
        return below.interpolate(Color.color(above.getRed(), above.getGreen(), above.getBlue()), above.getOpacity());
    }

    @Test
    void blackOnWhiteIsTwentyOneToOne() {
        assertThat(contrast(Color.BLACK, Color.WHITE)).isEqualTo(21);
    }

    @Test
    void drawingsStandOutInBothLooks() {
        for (Palette p : List.of(Palette.LIGHT, Palette.DARK)) {
            for (Color cloth : List.of(p.cloth(), p.border())) {
                assertThat(contrast(p.stitch(), cloth)).as("stitch").isGreaterThan(LINE);
                assertThat(contrast(p.mark(), cloth)).as("mark").isGreaterThan(LINE);
                assertThat(contrast(p.seam(), cloth)).as("seam").isGreaterThan(LINE);
                assertThat(contrast(p.chosen(), cloth)).as("chosen").isGreaterThan(LINE);
                assertThat(contrast(p.ink(), cloth)).as("ink").isGreaterThan(TEXT);
                for (Material.Tint tint : Material.Tint.values()) {
                    Color acrylic = over(p.tint(tint), cloth);
                    assertThat(contrast(p.template(), acrylic))
                            .as("edge of the template, " + tint)
                            .isGreaterThan(LINE);
                    assertThat(contrast(p.stitch(), acrylic))
                            .as("stitching through the template, " + tint)
                            .isGreaterThan(LINE);
                }
            }
            assertThat(contrast(p.ink(), p.panel())).isGreaterThan(TEXT);
            assertThat(contrast(p.ink(), p.table())).isGreaterThan(TEXT);
            assertThat(contrast(p.tapeInk(), p.tape())).isGreaterThan(TEXT);
        }
    }

    @Test
    void textIsReadableInBothLooks() throws IOException {
        String css = new String(
                Look.class
                        .getResourceAsStream("/jollyspindle/desktop/look/spindle.css")
                        .readAllBytes(),
                StandardCharsets.UTF_8);
        for (String look : List.of(".root {", ".root:dark {")) {
            Map<String, Color> role = new HashMap<>();
            Matcher m = Pattern.compile("(-[a-z-]+): (#[0-9A-F]{6});")
                    .matcher(css.substring(css.indexOf(look), css.indexOf("}", css.indexOf(look))));
            while (m.find()) {
                role.put(m.group(1), Color.web(m.group(2)));
            }
            for (String ground : List.of("-panel", "-card", "-table", "-chosen-fill")) {
                assertThat(contrast(role.get("-ink"), role.get(ground)))
                        .as("ink on " + ground)
                        .isGreaterThan(TEXT);
            }
            for (String text : List.of("-faint", "-mark", "-stitch", "-chosen", "-done", "-trouble")) {
                for (String ground : List.of("-panel", "-card")) {
                    assertThat(contrast(role.get(text), role.get(ground)))
                            .as(text + " on " + ground + " in " + look)
                            .isGreaterThan(TEXT);
                }
            }
            assertThat(contrast(role.get("-bar-ink"), role.get("-bar"))).isGreaterThan(TEXT);
            assertThat(contrast(role.get("-bar-faint"), role.get("-bar"))).isGreaterThan(TEXT);
            assertThat(contrast(role.get("-done"), role.get("-chosen-fill"))).isGreaterThan(TEXT);
            assertThat(contrast(role.get("-trouble"), role.get("-chosen-fill"))).isGreaterThan(TEXT);
            assertThat(contrast(role.get("-chosen"), role.get("-chosen-fill"))).isGreaterThan(LINE);
        }
    }
}
