package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * An angle cut from the sheet: round its outside corner the foot stitches a quarter-round or the like, in its V notch a
 * sharp point. Its frame has the origin at the outside corner, which points up.
 *
 * @param angle of the corner and of the notch, in radians, between 0 and a half turn
 * @param arm how long each edge of the corner is, in inches
 * @param width from the outer edges square across to the inner ones, in inches
 */
public record CornerForm(double angle, double arm, double width) implements Form {

    public CornerForm {
        Form.angle(angle, 10, 170, "corner's angle");
        Form.size(arm, "arm");
        Form.size(width, "width");
    }

    @Override
    public Kind kind() {
        return Kind.CORNER;
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.CENTRE, EngravedLine.Kind.PARALLEL);
    }

    /**
     * How far the needle's sharp point lies from the notch's own, in inches: f / sin(half the angle). 90° with 1/4: 0.3536.
     */
    public double apexMoved(double foot) {
        return foot / Math.sin(angle / 2);
    }

    @Override
    public double mainSize() {
        return arm;
    }

    @Override
    public CornerForm withMainSize(double size) {
        return new CornerForm(angle, size, width);
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        Point down = Point.direction(-Math.PI / 2 + angle / 2);
        Point right = down.times(arm);
        Point left = right.mirrored();
        Point inner = new Point(0, -width / Math.sin(angle / 2));
        // Square across from the arm's end, as far as the notch's edge is long.
        Point across = down.turnedLeft().times(-width);
        Point innerRight = right.plus(across);
        if (innerRight.x() <= 0) {
            Path triangle = Path.of(
                    new Segment(left, Point.ORIGIN), new Segment(Point.ORIGIN, right), new Segment(right, left));
            return new Cut(
                    List.of(Cut.Piece.of(triangle)),
                    List.of(Guide.free("corner", Guide.Role.OUTSIDE_CORNER, outer(left, right), true)));
        }
        Point innerLeft = innerRight.mirrored();
        Path notch = Path.of(new Segment(innerRight, inner), new Segment(inner, innerLeft));
        Path outline = Path.of(
                new Segment(left, Point.ORIGIN),
                new Segment(Point.ORIGIN, right),
                new Segment(right, innerRight),
                notch.curves().get(0),
                notch.curves().get(1),
                new Segment(innerLeft, left));
        return new Cut(
                List.of(Cut.Piece.of(outline)),
                List.of(
                        Guide.free("corner", Guide.Role.OUTSIDE_CORNER, outer(left, right), true),
                        Guide.free("notch", Guide.Role.NOTCH, notch, true)));
    }

    private static Path outer(Point left, Point right) {
        return Path.of(new Segment(left, Point.ORIGIN), new Segment(Point.ORIGIN, right));
    }
}
