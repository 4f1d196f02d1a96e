package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.List;

/** Round slots about the origin, centred on the upward axis. */
final class Slots {

    /** A slot that lets a foot of the usual size in with a little play, in inches. */
    static final double USUAL = 0.515;

    final List<Path> openings = new ArrayList<>();
    final List<Guide> guides = new ArrayList<>();
    private double reach;

    /**
     * Cuts slots.
     *
     * @param sweep between the middles of a slot's round ends, in radians
     */
    Slots(List<Double> sizes, SizeLabel label, double width, double sweep) {
        for (int i = 0; i < sizes.size(); i++) {
            double middle = middle(sizes.get(i), label, width);
            double inner = middle - width / 2;
            double outer = middle + width / 2;
            if (inner <= 0) {
                continue;
            }
            double from = Math.PI / 2 - sweep / 2;
            Arc wall = new Arc(Point.ORIGIN, outer, from, sweep);
            Arc core = new Arc(Point.ORIGIN, inner, from, sweep);
            Point end = Point.direction(from + sweep).times(middle);
            Point start = Point.direction(from).times(middle);
            openings.add(Path.of(
                    wall,
                    new Arc(end, width / 2, from + sweep, Math.PI),
                    core.reversed(),
                    new Arc(start, width / 2, from + Math.PI, Math.PI)));
            guides.add(Guide.round("slot-" + (i + 1) + "-outer", Guide.Role.OUTER_WALL, i + 1, wall, ArcEdge.CONCAVE));
            guides.add(Guide.round("slot-" + (i + 1) + "-inner", Guide.Role.INNER_WALL, i + 1, core, ArcEdge.CONVEX));
            reach = Math.max(reach, outer);
        }
    }

    /** How far out the outermost slot reaches, in inches. */
    double reach() {
        return reach;
    }

    /**
     * The radius of a slot's middle line, in inches. A size as cut is that line's; a size as stitched is what the usual
     * foot stitches along the outer wall.
     */
    static double middle(double size, SizeLabel label, double width) {
        double radius = label.radius(size);
        return label.convention() == LabelConvention.AS_CUT ? radius : radius + Machine.NOMINAL_FOOT_RADIUS - width / 2;
    }

    static void check(List<Double> sizes, double width) {
        if (sizes.isEmpty()) {
            throw new IllegalArgumentException(Refusals.say("form.slots"));
        }
        sizes.forEach(size -> Form.size(size, "size"));
        Form.size(width, "slotWidth");
    }

    /** Adds what is the matter with slots: too narrow for the foot, or one running into the next. */
    static void inspect(
            List<Double> sizes, double width, SizeLabel label, Machine machine, List<TemplateDiagnostic> found) {
        if (width < 2 * machine.footRadius() - Tolerances.ROUNDING) {
            found.add(new TemplateDiagnostic.SlotTooNarrow(width, 2 * machine.footRadius()));
        }
        for (int i = 1; i < sizes.size(); i++) {
            double apart = label.radius(sizes.get(i)) - label.radius(sizes.get(i - 1));
            if (apart <= width) {
                found.add(new TemplateDiagnostic.RunsInto(sizes.get(i - 1), sizes.get(i)));
            }
        }
    }
}
