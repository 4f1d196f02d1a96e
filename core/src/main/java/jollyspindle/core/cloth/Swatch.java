package jollyspindle.core.cloth;

import jollyspindle.core.code.Coded;

/** The quiet colours that are offered for cloth and thread; any other can be had by its {@link Colour#code}. */
public enum Swatch implements Coded {
    PLAIN("plain", 0xFDFBF6),
    OAT("oat", 0xEAD9C4),
    STRAW("straw", 0xE3CC93),
    CLAY("clay", 0xC98F6B),
    ROSE("rose", 0xD3A3A0),
    BERRY("berry", 0x8E2440),
    LEAF("leaf", 0x8FA27A),
    FIR("fir", 0x4E6B57),
    MIST("mist", 0xB5C4C9),
    POND("pond", 0x5F7F93),
    NIGHT("night", 0x2E3F52),
    BARK("bark", 0x5B4636);

    private final String code;
    private final Colour colour;

    Swatch(String code, int rgb) {
        this.code = code;
        this.colour = new Colour(rgb);
    }

    @Override
    public String code() {
        return code;
    }

    public Colour colour() {
        return colour;
    }
}
