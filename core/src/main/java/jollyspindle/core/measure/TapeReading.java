package jollyspindle.core.measure;

import jollyspindle.core.text.Refusals;

import java.util.Locale;

/**
 * A true length and the tick of the tape nearest to it. Rounded once from the true length, so that readings never add up
 * each other's rounding.
 *
 * <p>Not a length to compute with: use {@link #exact()}.
 *
 * @param exact the true length in inches
 * @param ticks the nearest tick, counted from zero; one midway between two takes that further from zero
 * @param scale the tape
 */
public record TapeReading(double exact, long ticks, TapeScale scale) {

    /** Where the true length lies against the tick. */
    public enum Lean {
        /** On the tick, or so near that a chalk line covers the difference. */
        ON,
        /** A little short of the tick, seen from zero. */
        SCANT,
        /** A little past the tick, seen from zero. */
        GENEROUS
    }

    /** The part of a tick below which a true length counts as on it: 1/20, about 0.003 in on a tape of sixteenths. */
    public static final double ON_THE_TICK = 0.05;

    /**
     * Rounds a length to the tape.
     *
     * @throws IllegalArgumentException if the length isn't finite
     */
    public static TapeReading of(double inches, TapeScale scale) {
        if (!Double.isFinite(inches)) {
            throw new IllegalArgumentException(Refusals.say("length.infinite", "found", inches));
        }
        // To the left of a zero as to the right of it.
        long ticks = (long) Math.floor(Math.abs(inches) / scale.tick() + 0.5);
        return new TapeReading(inches, inches < 0 ? -ticks : ticks, scale);
    }

    /** The tick's own place, in inches. */
    public double onTape() {
        return ticks * scale.tick();
    }

    /** How the true place lies against the tick, seen from zero: to the left of it scant is less far to the left, too. */
    public Lean lean() {
        double off = ticks < 0 ? onTape() - exact : exact - onTape();
        if (Math.abs(off) <= ON_THE_TICK * scale.tick()) {
            return Lean.ON;
        }
        return off < 0 ? Lean.SCANT : Lean.GENEROUS;
    }

    /** The tick alone: {@code 5 15/16}, {@code 0}, {@code 3/8} or {@code 15.1 cm}. */
    public String tickText() {
        return scale.isMetric() ? number() + " cm" : number();
    }

    /** The tick without its unit, as it is written along a tape: {@code 5 15/16} or {@code 15.1}. */
    public String number() {
        return sign() + magnitude();
    }

    /** The tick and how the true length lies against it: {@code 5 15/16 generous}. */
    public String text() {
        return switch (lean()) {
            case ON -> tickText();
            case SCANT -> tickText() + " scant";
            case GENEROUS -> tickText() + " generous";
        };
    }

    /** The true length to a thousandth of an inch, or a hundredth of a millimetre: {@code 6.193 in}. */
    public String exactText() {
        double value = scale.isMetric() ? exact * LengthParser.CENTIMETRES_PER_INCH : exact;
        String number = String.format(Locale.ROOT, "%.3f", Math.abs(value));
        boolean below = value < 0 && !number.equals("0.000");
        return (below ? "−" : "") + number + (scale.isMetric() ? " cm" : " in");
    }

    private String sign() {
        return ticks < 0 ? "−" : "";
    }

    private String magnitude() {
        long count = Math.abs(ticks);
        long whole = count / scale.ticksPerUnit();
        long part = count % scale.ticksPerUnit();
        if (scale.isMetric()) {
            return whole + (part == 0 ? "" : "." + part);
        }
        return Fractions.mixed(whole, part, scale.ticksPerUnit());
    }

    @Override
    public String toString() {
        return text();
    }
}
