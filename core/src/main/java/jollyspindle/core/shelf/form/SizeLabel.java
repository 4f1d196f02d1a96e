package jollyspindle.core.shelf.form;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;

/**
 * What the sizes printed on a template mean. Both conventions are in use (common practice, no source).
 *
 * @param printed radius or diameter
 * @param convention measured on the acrylic, or counting the foot
 */
public record SizeLabel(Printed printed, LabelConvention convention) {

    /** Which size of a circle is printed. */
    public enum Printed {
        RADIUS,
        DIAMETER
    }

    private static final Param.Choice<SizeLabel, Printed> SIZE =
            Param.choice("size", Printed.class, SizeLabel::printed);
    private static final Param.Choice<SizeLabel, LabelConvention> MEANS =
            Param.choice("means", LabelConvention.class, SizeLabel::convention);

    /** All that is said of a label. */
    public static final Params<SizeLabel> PARAMS =
            Params.of(v -> new SizeLabel(v.get(SIZE), v.get(MEANS)), Params.row(SIZE, MEANS));

    public static final SizeLabel RADIUS_AS_CUT = new SizeLabel(Printed.RADIUS, LabelConvention.AS_CUT);
    public static final SizeLabel RADIUS_AS_STITCHED = new SizeLabel(Printed.RADIUS, LabelConvention.AS_STITCHED);
    public static final SizeLabel DIAMETER_AS_CUT = new SizeLabel(Printed.DIAMETER, LabelConvention.AS_CUT);
    public static final SizeLabel DIAMETER_AS_STITCHED = new SizeLabel(Printed.DIAMETER, LabelConvention.AS_STITCHED);

    /** The radius that is printed, whichever way, in inches. */
    public double radius(double size) {
        return printed == Printed.DIAMETER ? size / 2 : size;
    }

    /** The size that is printed for a radius, in inches. */
    public double size(double radius) {
        return printed == Printed.DIAMETER ? 2 * radius : radius;
    }

    /**
     * The radius of the acrylic edge a printed size stands for, in inches: a label that counts the foot has counted {@link
     * Machine#NOMINAL_FOOT_RADIUS}. Not over 0 where such a label is no larger than the foot.
     */
    public double cutRadius(double size, ArcEdge edge) {
        double counted = convention == LabelConvention.AS_STITCHED ? edge.footSign() * Machine.NOMINAL_FOOT_RADIUS : 0;
        return radius(size) - counted;
    }

    /** The size printed on an edge that stitches a radius with a foot, in inches: the reverse of cutting and stitching. */
    public double sizeThatStitches(double radius, ArcEdge edge, double foot) {
        double counted = convention == LabelConvention.AS_STITCHED ? Machine.NOMINAL_FOOT_RADIUS : 0;
        return size(radius - edge.footSign() * (foot - counted));
    }
}
