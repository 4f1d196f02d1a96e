package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.SizeLabel;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

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
        Form form = template.form();
        return form.foretell(form.cut(label, template.gap()), label, foot);
    }

    /** What a round main edge stitches. */
    public static Prediction round(Cut cut, SizeLabel label, double foot) {
        return round(
                cut.main()
                        .flatMap(Guide::round)
                        .map(r -> r.radius() + r.edge().footSign() * foot)
                        .orElse(0.0),
                label);
    }

    /** A circle of a radius in inches, measured as it is labelled. */
    public static Prediction round(double radius, SizeLabel label) {
        return label.printed() == SizeLabel.Printed.DIAMETER
                ? new Prediction(What.DIAMETER, 2 * radius)
                : new Prediction(What.RADIUS, radius);
    }

    /** How high the line along the main edge is. */
    public static Prediction height(Cut cut, double foot) {
        return new Prediction(
                What.HEIGHT, line(cut, foot).map(p -> p.box().height()).orElse(0.0));
    }

    /**
     * How high one figure of the line along the main edge is: from the notches beside it to its tip. The ends of the line, where no
     * figure comes next, lie a little lower or higher than notches with any foot but the one that the edge was made for.
     *
     * @param from where it begins along the template, in inches
     * @param to where it ends
     */
    public static Prediction height(Cut cut, double foot, double from, double to) {
        return new Prediction(
                What.HEIGHT,
                line(cut, foot)
                        .flatMap(p -> figure(p, from, to))
                        .map(p -> p.box().height())
                        .orElse(0.0));
    }

    private static Optional<Path> figure(Path line, double from, double to) {
        double low = line.box().bottom() - 1;
        double high = line.box().top() + 1;
        return Region.of(Path.polygon(
                        List.of(new Point(from, low), new Point(to, low), new Point(to, high), new Point(from, high))))
                .within(line)
                .stream()
                .max(Comparator.comparingDouble(Path::length));
    }

    /** How wide the line along the main edge is. */
    public static Prediction width(Cut cut, double foot) {
        return new Prediction(
                What.WIDTH, line(cut, foot).map(p -> p.box().width()).orElse(0.0));
    }

    /** How far from the centre the line along the main edge ends. */
    public static Prediction reach(Cut cut, double foot) {
        return new Prediction(
                What.REACH, line(cut, foot).map(p -> p.end().length()).orElse(0.0));
    }

    private static Optional<Path> line(Cut cut, double foot) {
        return cut.main().flatMap(guide -> guide.stitched(foot).stream().findFirst());
    }
}
