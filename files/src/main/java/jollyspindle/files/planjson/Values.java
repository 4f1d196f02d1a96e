package jollyspindle.files.planjson;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;

/** Numbers, names and curves as all JSON for scripts has them: inches and degrees, to nine decimals. */
final class Values {

    private static final double DECIMALS = 1e9;

    private Values() {}

    /** A constant in lower case with hyphens. */
    static String name(Enum<?> value) {
        return Codes.of(value);
    }

    static double rounded(double value) {
        double rounded = Math.rint(value * DECIMALS) / DECIMALS;
        return rounded == 0 ? 0 : rounded;
    }

    static void number(ObjectNode node, String field, double value) {
        node.put(field, rounded(value));
    }

    static void degrees(ObjectNode node, String field, double radians) {
        number(node, field, Math.toDegrees(radians));
    }

    static void point(ArrayNode node, Point point) {
        node.add(rounded(point.x())).add(rounded(point.y()));
    }

    static void path(ArrayNode node, Path path) {
        path.curves().forEach(c -> curve(node.addObject(), c));
    }

    static void curve(ObjectNode node, Curve curve) {
        if (curve instanceof Arc arc) {
            node.put("kind", "arc");
            point(node.putArray("centre"), arc.centre());
            number(node, "radius", arc.radius());
            degrees(node, "startAngleDegrees", arc.startAngle());
            degrees(node, "sweepDegrees", arc.sweep());
        } else {
            node.put("kind", "segment");
        }
        point(node.putArray("start"), curve.start());
        point(node.putArray("end"), curve.end());
        number(node, "length", curve.length());
    }
}
