package jollyspindle.core.cloth;

import jollyspindle.core.text.Guards;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * A colour of cloth or thread, as screens show it (sRGB).
 *
 * @param rgb red, green and blue, eight bits each, red highest; 0 to {@link #WHITE}
 */
public record Colour(int rgb) {

    public static final int WHITE = 0xFFFFFF;

    private static final int BYTE = 0xFF;
    private static final int HEX = 16;
    private static final Pattern CODE = Pattern.compile("#[0-9A-Fa-f]{6}");

    // How bright the three look (ITU-R BT.709; from memory).
    private static final double RED = 0.2126;
    private static final double GREEN = 0.7152;
    private static final double BLUE = 0.0722;

    public Colour {
        Guards.within("rgb", rgb, 0, WHITE);
    }

    /** From a {@link #code}, in capitals or not; nothing if it is none. */
    public static Optional<Colour> parse(String code) {
        return CODE.matcher(code).matches()
                ? Optional.of(new Colour(Integer.parseInt(code.substring(1), HEX)))
                : Optional.empty();
    }

    /** A lasting name for files and scripts: {@code #EAD9C4}. */
    public String code() {
        return String.format(Locale.ROOT, "#%06X", rgb);
    }

    /** 0 to 255. */
    public int red() {
        return rgb >> 16 & BYTE;
    }

    /** 0 to 255. */
    public int green() {
        return rgb >> 8 & BYTE;
    }

    /** 0 to 255. */
    public int blue() {
        return rgb & BYTE;
    }

    /** How bright it looks, 0 to 1, without regard to how screens bend their scale. */
    public double brightness() {
        return (RED * red() + GREEN * green() + BLUE * blue()) / BYTE;
    }

    /**
     * This colour with part of another in it.
     *
     * @param part of the other, 0 to 1
     */
    public Colour mixed(Colour other, double part) {
        return new Colour(mixed(red(), other.red(), part) << 16
                | mixed(green(), other.green(), part) << 8
                | mixed(blue(), other.blue(), part));
    }

    private static int mixed(int own, int other, double part) {
        return (int) Math.round(own + (other - own) * part);
    }
}
