package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.RefusedValue;
import jollyspindle.core.text.Refusals;

import java.util.OptionalDouble;

/**
 * A strip of cloth that is quilted like a border's side: sashing between blocks, or any other. It lies in the quilt's frame
 * from the left end of its lower seam, seen so that its arcs stand upright.
 *
 * @param name what the quilter calls it, 1 to {@link #LONGEST_NAME} characters
 * @param kind what strip it is
 * @param start the left end of its lower seam, in the quilt's frame
 * @param angle the direction it runs in, in radians counter-clockwise; 0 runs to the right
 * @param length along it, in inches, over 0
 * @param width across it, in inches, over 0
 * @param unit it is pieced from, in inches, over 0; nothing if it is cut from one cloth
 */
public record Strip(
        String name, Kind kind, Point start, double angle, double length, double width, OptionalDouble unit) {

    public static final int LONGEST_NAME = 40;

    /** More strips than any quilt is planned with. */
    public static final int MOST = 100;

    /** What strip it is. */
    public enum Kind {
        /** Between blocks. */
        SASHING,
        /** Anywhere. */
        FREE
    }

    /** What the quilter calls it. */
    public static final Param.Text<Strip> NAME = Param.text("name", 1, LONGEST_NAME, Strip::name);

    private static final Param.Choice<Strip, Kind> KIND = Param.choice("kind", Kind.class, Strip::kind);
    private static final Param.Own<Strip, Point> START = Param.own("start", Point.class, Strip::start);
    private static final Param.Angle<Strip> ANGLE = Param.angle("angle", -360, 360, Strip::angle);
    private static final Param.Length<Strip> LENGTH =
            Param.length("length", QuiltRules.SMALLEST, QuiltRules.LONGEST, Strip::length);
    private static final Param.Length<Strip> WIDTH =
            Param.length("width", QuiltRules.SMALLEST, QuiltRules.LONGEST, Strip::width);
    private static final Param.MaybeLength<Strip> UNIT =
            Param.maybeLength("unit", QuiltRules.SMALLEST_STEP, QuiltRules.LONGEST, Strip::unit);

    /** All that is said of a strip. */
    public static final Params<Strip> PARAMS = Params.of(
                    v -> new Strip(
                            v.get(NAME),
                            v.get(KIND),
                            v.get(START),
                            v.get(ANGLE),
                            v.get(LENGTH),
                            v.get(WIDTH),
                            v.get(UNIT)),
                    Params.row(NAME, KIND),
                    Params.row(LENGTH, WIDTH),
                    Params.row(START),
                    Params.row(ANGLE, UNIT))
            .kept(NAME, KIND, START, ANGLE, LENGTH, WIDTH, UNIT);

    public Strip {
        NAME.check(name);
        name = name.strip();
        LENGTH.check(length);
        WIDTH.check(width);
        unit.ifPresent(UNIT::check);
        if (!QuiltRules.isPlace(start)) {
            throw new RefusedValue(START.code(), Refusals.say("strip.start", "most", QuiltRules.LONGEST));
        }
        ANGLE.check(Math.toDegrees(angle));
    }

    public Strip withStart(Point other) {
        return PARAMS.with(this, START, other);
    }

    public RunFrame frame(int number) {
        return new RunFrame(
                RunId.strip(number), start, new Point(Math.cos(angle), Math.sin(angle)), length, width, 0, 0);
    }
}
