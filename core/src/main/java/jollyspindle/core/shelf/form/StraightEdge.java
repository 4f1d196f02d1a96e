package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A straight ruler. Its frame has the origin in the middle of the upper edge, which runs to the right.
 *
 * @param length of the edge, in inches
 * @param width across, in inches
 * @param notch how deep the square-cornered notches in its two ends are, in inches; 0 if there are none
 */
public record StraightEdge(double length, double width, double notch) implements Form {
    private static final Param.Length<StraightEdge> LENGTH =
            Param.length("length", SMALLEST, LARGEST, StraightEdge::length);
    private static final Param.Length<StraightEdge> WIDTH =
            Param.length("width", SMALLEST, LARGEST, StraightEdge::width);
    private static final Param.Length<StraightEdge> NOTCH =
            Param.<StraightEdge>length("notch", 0, LARGEST, StraightEdge::notch).orNone();

    /** Templates of this form. */
    public static final FormType<StraightEdge> TYPE = FormType.of(
            Kind.STRAIGHT_EDGE,
            StraightEdge.class,
            Params.of(
                    v -> new StraightEdge(v.get(LENGTH), v.get(WIDTH), v.get(NOTCH)),
                    Params.row(LENGTH, WIDTH),
                    Params.row(NOTCH)),
            new StraightEdge(8, 2, 0));

    public StraightEdge {
        Form.size(length, "length");
        Form.size(width, "width");
        Guards.within("notch", notch, 0, LARGEST);
    }

    @Override
    public FormType<StraightEdge> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.lengths();
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        return new Prediction(Prediction.What.EDGE_TO_LINE, foot);
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.PARALLEL, EngravedLine.Kind.CENTRE, EngravedLine.Kind.REFERENCE);
    }

    @Override
    public double mainSize() {
        return length;
    }

    @Override
    public StraightEdge withMainSize(double size) {
        return new StraightEdge(size, width, notch);
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        double half = length / 2;
        // A notch takes twice its depth of the end it is in.
        double deep = Math.min(notch, Math.min(width / 2, length / 2) * 0.9);
        Point upLeft = new Point(-half, 0);
        Point upRight = new Point(half, 0);
        Point lowRight = new Point(half, -width);
        Point lowLeft = new Point(-half, -width);
        Segment upper = new Segment(upLeft, upRight);
        Segment lower = new Segment(lowRight, lowLeft);
        List<Guide> guides = new ArrayList<>(List.of(
                Guide.free("upper", Guide.Role.UPPER_EDGE, Path.of(upper), true),
                Guide.free("lower", Guide.Role.LOWER_EDGE, Path.of(lower), true)));
        List<Curve> outline = new ArrayList<>(List.of(upper));
        end(upRight, lowRight, new Point(half - deep, -width / 2), deep, 1, outline, guides);
        outline.add(lower);
        end(lowLeft, upLeft, new Point(-half + deep, -width / 2), deep, 2, outline, guides);
        return new Cut(List.of(Cut.Piece.of(new Path(outline))), guides);
    }

    private static void end(
            Point from, Point to, Point apex, double deep, int number, List<Curve> outline, List<Guide> guides) {
        if (deep == 0) {
            outline.add(new Segment(from, to));
            return;
        }
        Point along = to.minus(from).unit().times(deep);
        Point middle = from.midpoint(to);
        Segment in = new Segment(middle.minus(along), apex);
        Segment back = new Segment(apex, middle.plus(along));
        outline.add(new Segment(from, in.from()));
        outline.add(in);
        outline.add(back);
        outline.add(new Segment(back.to(), to));
        guides.add(
                new Guide("notch-" + number, Guide.Role.END_NOTCH, number, Path.of(in, back), true, Optional.empty()));
    }
}
