package jollyspindle.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import java.math.BigDecimal;
import java.math.MathContext;

/**
 * Angles as files tell them: in degrees, so that the radians come back to the bit. What was typed in degrees stays that
 * number. Not every angle has a {@code double} in degrees that leads back to it, since these lie further apart in places;
 * such an angle is written with more digits than a {@code double} has, and read with them.
 */
public final class Degrees {

    /** More digits than the shortest decimal of any {@code double}. */
    private static final int USUAL_DIGITS = 17;

    /** So many that the nearest {@code double} to the converted number is the one that was written. */
    private static final MathContext EXACT = new MathContext(25);

    /** π to 40 digits. Source: the constant's published decimals, from memory; the first 16 are {@link Math#PI}'s. */
    private static final BigDecimal PI = new BigDecimal("3.141592653589793238462643383279502884197");

    private static final BigDecimal HALF_TURN = BigDecimal.valueOf(180);
    private static final int NEIGHBOURS = 2;

    private Degrees() {}

    /** Writes an angle in radians as a field in degrees. */
    public static void put(ObjectNode node, String field, double radians) {
        double near = Math.toDegrees(radians);
        double plain = Math.rint(near * 1e9) / 1e9;
        if (Math.toRadians(plain) == radians) {
            node.put(field, plain);
            return;
        }
        double candidate = near - NEIGHBOURS * Math.ulp(near);
        for (int i = -NEIGHBOURS; i <= NEIGHBOURS; i++) {
            if (Math.toRadians(candidate) == radians) {
                node.put(field, candidate);
                return;
            }
            candidate = Math.nextUp(candidate);
        }
        BigDecimal exact = new BigDecimal(radians).multiply(HALF_TURN).divide(PI, EXACT);
        node.put(field, exact);
    }

    /** The radians of a number in degrees, as it stands in a file. */
    static double radians(JsonNode degrees) {
        if (degrees.isBigDecimal() && degrees.decimalValue().precision() > USUAL_DIGITS) {
            return degrees.decimalValue().multiply(PI).divide(HALF_TURN, EXACT).doubleValue();
        }
        return Math.toRadians(degrees.doubleValue());
    }
}
