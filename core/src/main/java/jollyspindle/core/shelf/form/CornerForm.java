package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.text.Guards;

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
    private static final double LEAST_ANGLE = 10;
    private static final double MOST_ANGLE = 170;
    private static final Param.Angle<CornerForm> ANGLE =
            Param.angle("angle", LEAST_ANGLE, MOST_ANGLE, CornerForm::angle);
    private static final Param.Length<CornerForm> ARM = Param.length("arm", SMALLEST, LARGEST, CornerForm::arm);
    private static final Param.Length<CornerForm> WIDTH = Param.length("width", SMALLEST, LARGEST, CornerForm::width);

    /** Templates of this form. */
    public static final FormType<CornerForm> TYPE = FormType.of(
            Kind.CORNER,
            CornerForm.class,
            Params.of(
                    v -> new CornerForm(v.get(ANGLE), v.get(ARM), v.get(WIDTH)),
                    Params.row(ANGLE, ARM),
                    Params.row(WIDTH)),
            new CornerForm(Math.PI / 2, 4, 1.5));

    public CornerForm {
        Guards.degrees("angle", angle, LEAST_ANGLE, MOST_ANGLE);
        Form.size(arm, "arm");
        Form.size(width, "width");
    }

    @Override
    public FormType<CornerForm> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        if (facts.hasEdge("notch")) {
            facts.add(new StitchFact.SharpPoint(angle, apexMoved(facts.foot())));
        }
        facts.add(new StitchFact.RoundCorner(facts.foot(), Math.PI - angle));
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        return new Prediction(Prediction.What.POINT_TO_POINT, apexMoved(foot));
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
