package jollyspindle.core.shelf;

import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.CornerForm;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SerpentineStrip;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.StraightEdge;
import jollyspindle.core.shelf.form.TurnedArm;

import java.util.OptionalDouble;

/**
 * The one number of a template that is easiest measured on cloth.
 *
 * @param what is measured
 * @param inches what is foretold; not over 0 if the template can't stitch
 */
public record Prediction(What what, double inches) {

    /** What is measured on cloth. */
    public enum What {
        /** Of the main edge's circle. */
        RADIUS,
        /** Of the main edge's circle. */
        DIAMETER,
        /** From a shell's valleys to its crown. */
        SHELL_RISE,
        /** From the edge to the stitched line. */
        EDGE_TO_LINE,
        /** From the notch's point to the stitched point. */
        POINT_TO_POINT,
        /** Between the levels of troughs and crests, or notches and tips. */
        HEIGHT,
        /** From the centre to the end of the stitched arm. */
        REACH,
        /** Straight across from left to right. */
        WIDTH
    }

    /** What a template is foretold to stitch with a foot of a radius in inches. */
    public static Prediction of(Template template, double foot) {
        return of(template, template.label(), foot);
    }

    /** The same, if its label meant something else. */
    static Prediction of(Template template, SizeLabel label, double foot) {
        Cut cut = template.form().cut(label, template.gap());
        if (template.form() instanceof ScallopRow row) {
            return new Prediction(What.SHELL_RISE, row.bumpRadius() > 0 ? row.stitchedRise(foot) : 0);
        }
        if (template.form() instanceof StraightEdge) {
            return new Prediction(What.EDGE_TO_LINE, foot);
        }
        if (template.form() instanceof CornerForm corner) {
            return new Prediction(What.POINT_TO_POINT, corner.apexMoved(foot));
        }
        if (template.form() instanceof SerpentineStrip || template.form() instanceof ChevronStrip) {
            return new Prediction(What.HEIGHT, stitchedBox(cut, foot, false).orElse(0));
        }
        if (template.form() instanceof TurnedArm) {
            return new Prediction(What.REACH, reach(cut, foot));
        }
        if (template.form() instanceof OutlineForm) {
            return new Prediction(What.WIDTH, stitchedBox(cut, foot, true).orElse(0));
        }
        double radius = round(template, label, cut, foot);
        return template.label().printed() == SizeLabel.Printed.DIAMETER
                ? new Prediction(What.DIAMETER, 2 * radius)
                : new Prediction(What.RADIUS, radius);
    }

    private static double round(Template template, SizeLabel label, Cut cut, double foot) {
        if (template.form() instanceof ArcForm arc) {
            ArcEdge edge = arc.bulging().isPresent() ? ArcEdge.CONVEX : ArcEdge.CONCAVE;
            return arc.edgeRadius(edge, label).orElseThrow() + edge.footSign() * foot;
        }
        return cut.main()
                .flatMap(Guide::round)
                .map(r -> r.radius() + r.edge().footSign() * foot)
                .orElse(0.0);
    }

    private static OptionalDouble stitchedBox(Cut cut, double foot, boolean width) {
        return cut.main().stream()
                .flatMap(guide -> guide.stitched(foot).stream().limit(1))
                .mapToDouble(p -> width ? p.box().width() : p.box().height())
                .findFirst();
    }

    private static double reach(Cut cut, double foot) {
        return cut.main().stream()
                .flatMap(guide -> guide.stitched(foot).stream().limit(1))
                .mapToDouble(path -> Math.hypot(path.end().x(), path.end().y()))
                .findFirst()
                .orElse(0);
    }
}
