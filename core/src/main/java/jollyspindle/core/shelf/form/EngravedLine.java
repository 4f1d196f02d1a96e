package jollyspindle.core.shelf.form;

import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.text.Guards;

/**
 * A line engraved on a template.
 *
 * @param kind what it is for
 * @param value what is printed at it, in inches; for {@link Kind#REFERENCE} an angle in radians, counter-clockwise from the
 *     template's up; for {@link Kind#CENTRE} 0
 * @param convention whether the value is measured on the acrylic or counts the foot
 */
public record EngravedLine(Kind kind, double value, LabelConvention convention) {

    /** What an engraved line is for. */
    public enum Kind {
        /** Parallel to an arc's chord: laid on the seam, the arc rises so much above it. */
        RISE,
        /** Parallel to the edge: laid on earlier stitching, it sets the echo's spacing. */
        PARALLEL,
        /** Through the middle of the template, square to its chord or long edge. */
        CENTRE,
        /** Laid on the crowns of the row before, the value below this row's own crowns. */
        CROWN,
        /** Laid on the raw edge, the value below the row's valleys, so that the seam allowance stays free. */
        SEAM_ALLOWANCE,
        /** From the turning centre outward: laid on a reference ray. */
        REFERENCE
    }

    public EngravedLine {
        if (kind == Kind.CENTRE) {
            value = 0;
        }
        if (kind == Kind.CENTRE || kind == Kind.REFERENCE) {
            convention = LabelConvention.AS_CUT;
        }
        if (kind == Kind.REFERENCE) {
            Guards.degrees("line", Math.abs(value), 0, 360);
        } else {
            Guards.within("line", value, 0, Form.LARGEST);
        }
    }

    public static EngravedLine rise(double stitched) {
        return new EngravedLine(Kind.RISE, stitched, LabelConvention.AS_STITCHED);
    }

    public static EngravedLine parallel(double cut) {
        return new EngravedLine(Kind.PARALLEL, cut, LabelConvention.AS_CUT);
    }

    public static EngravedLine centre() {
        return new EngravedLine(Kind.CENTRE, 0, LabelConvention.AS_CUT);
    }

    public static EngravedLine reference(double angle) {
        return new EngravedLine(Kind.REFERENCE, angle, LabelConvention.AS_CUT);
    }

    /**
     * How far from the edge it is engraved, in inches.
     *
     * @param footSign 1 where the foot lies beyond the edge as seen from the line, −1 where it lies between
     */
    public double fromEdge(int footSign) {
        return convention == LabelConvention.AS_STITCHED ? value - footSign * Machine.NOMINAL_FOOT_RADIUS : value;
    }
}
