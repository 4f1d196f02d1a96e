package jollyspindle.core.measure;

/** How the quilter's tape measure is divided. It decides how lengths are said, never what they are. */
public enum TapeScale {
    /** Inches and eighths. */
    EIGHTHS(1.0 / 8, 8),
    /** Inches and sixteenths. */
    SIXTEENTHS(1.0 / 16, 16),
    /** Inches and thirty-seconds. */
    THIRTY_SECONDS(1.0 / 32, 32),
    /** Centimetres and millimetres. */
    CENTIMETRES(0.1 / LengthParser.CENTIMETRES_PER_INCH, 10);

    private final double tick;
    private final int ticksPerUnit;

    TapeScale(double tick, int ticksPerUnit) {
        this.tick = tick;
        this.ticksPerUnit = ticksPerUnit;
    }

    /** The smallest division of the tape, in inches. */
    public double tick() {
        return tick;
    }

    /** Ticks to the inch, or to the centimetre on a metric tape. */
    public int ticksPerUnit() {
        return ticksPerUnit;
    }

    /** The length of one numbered unit of this tape (an inch or a centimetre), in inches. */
    public double unit() {
        return isMetric() ? 1 / LengthParser.CENTIMETRES_PER_INCH : 1;
    }

    public boolean isMetric() {
        return this == CENTIMETRES;
    }

    /**
     * Reads a length off this tape.
     *
     * @param inches the true length in inches, finite
     */
    public TapeReading read(double inches) {
        return TapeReading.of(inches, this);
    }
}
