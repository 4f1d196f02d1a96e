package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcSpline;
import jollyspindle.core.geometry.Box;
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
import java.util.Set;

/**
 * Any closed shape: corners with lines or arcs between them. Its frame has the origin in the middle of the box round it.
 *
 * @param corners in order, the last joined to the first; 2 to {@link #MOST_CORNERS}
 * @param window whether the shape is a window that the foot runs inside of, and not a piece it runs round
 */
public record OutlineForm(List<Corner> corners, boolean window) implements Form {
    public static final int MOST_CORNERS = 1500;

    /** Arcs further round, in radians, are two corners' business. */
    private static final double MOST_TURN = Math.toRadians(359);

    private static final Param.Own<OutlineForm, List<Corner>> CORNERS =
            Param.own("corners", Corner.class, OutlineForm::corners);
    private static final Param.Flag<OutlineForm> WINDOW = Param.flag("window", OutlineForm::window);

    /** Templates of this form. */
    public static final FormType<OutlineForm> TYPE = FormType.of(
            Kind.OUTLINE,
            OutlineForm.class,
            Params.of(v -> new OutlineForm(v.get(CORNERS), v.get(WINDOW)), Params.row(CORNERS), Params.row(WINDOW))
                    .kept(WINDOW, CORNERS),
            square(1.5));

    /**
     * A corner, and how it is joined to the next.
     *
     * @param x inches to the right
     * @param y inches up
     * @param sweep of the arc to the next corner in radians, counter-clockwise positive; 0 for a straight line
     */
    public record Corner(double x, double y, double sweep) {

        public Corner {
            Guards.within("place", x, -LARGEST, LARGEST);
            Guards.within("place", y, -LARGEST, LARGEST);
            Guards.within("sweep", sweep, -MOST_TURN, MOST_TURN);
        }

        Point place() {
            return new Point(x, y);
        }
    }

    public OutlineForm {
        corners = List.copyOf(corners);
        Guards.within("corners", corners.size(), 2, MOST_CORNERS);
    }

    /** How many corners it has, and as many sides. */
    public int sides() {
        return corners.size();
    }

    private static OutlineForm square(double half) {
        return new OutlineForm(
                List.of(
                        new Corner(-half, -half, 0),
                        new Corner(half, -half, 0),
                        new Corner(half, half, 0),
                        new Corner(-half, half, 0)),
                false);
    }

    /** The outline that a closed path draws, moved so that the origin is in its middle. */
    public static OutlineForm of(Path path, boolean window) {
        Box box = path.box();
        Point middle = new Point((box.left() + box.right()) / 2, (box.bottom() + box.top()) / 2);
        List<Corner> corners = new ArrayList<>();
        for (Curve c : path.curves()) {
            Point p = c.start().minus(middle);
            if (c instanceof Arc arc && Math.abs(arc.sweep()) > Math.PI) {
                // Between two corners a long arc would be all but undetermined; a whole circle has but one.
                Point half = c.at(0.5).minus(middle);
                corners.add(new Corner(p.x(), p.y(), arc.sweep() / 2));
                corners.add(new Corner(half.x(), half.y(), arc.sweep() / 2));
            } else {
                corners.add(new Corner(p.x(), p.y(), c instanceof Arc arc ? arc.sweep() : 0));
            }
        }
        return new OutlineForm(corners, window);
    }

    @Override
    public FormType<OutlineForm> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.lengths();
        facts.extent();
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        return Prediction.width(cut, foot);
    }

    @Override
    public boolean hasOpenings() {
        return window;
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.CENTRE, EngravedLine.Kind.PARALLEL, EngravedLine.Kind.REFERENCE);
    }

    /** The shape itself, counter-clockwise. */
    public Path path() {
        List<Curve> curves = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Corner c = corners.get(i);
            Point to = corners.get((i + 1) % corners.size()).place();
            Point along = to.minus(c.place());
            if (c.sweep() == 0 || along.dot(along) == 0) {
                curves.add(new Segment(c.place(), to));
            } else {
                curves.add(
                        ArcSpline.from(c.place(), along.turned(-c.sweep() / 2).unit(), to));
            }
        }
        Path path = new Path(curves);
        return path.area() < 0 ? path.reversed() : path;
    }

    /** This shape enlarged or reduced about its middle. */
    public OutlineForm scaled(double factor) {
        return new OutlineForm(
                corners.stream()
                        .map(c -> new Corner(c.x() * factor, c.y() * factor, c.sweep()))
                        .toList(),
                window);
    }

    /** Its width, from left to right. */
    @Override
    public double mainSize() {
        return path().box().width();
    }

    @Override
    public OutlineForm withMainSize(double size) {
        Form.size(size, "width");
        return scaled(size / mainSize());
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        Path path = path();
        if (!window) {
            return new Cut(
                    List.of(Cut.Piece.of(path)), List.of(Guide.free("outside", Guide.Role.OUTSIDE, path, false)));
        }
        Box b = path.box().grown(RIM);
        Path plate = Path.polygon(List.of(
                new Point(b.left(), b.bottom()),
                new Point(b.right(), b.bottom()),
                new Point(b.right(), b.top()),
                new Point(b.left(), b.top())));
        return new Cut(
                List.of(Cut.Piece.of(plate, path)), List.of(Guide.free("window", Guide.Role.WINDOW, path, true)));
    }
}
