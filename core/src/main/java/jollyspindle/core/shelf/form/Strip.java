package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Offsets;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;

import java.util.ArrayList;
import java.util.List;

/** Plates whose edge follows a given line: the line itself if it was cut so, else a foot's radius inside of it. */
final class Strip {

    private Strip() {}

    /**
     * The acrylic edge for a line.
     *
     * @param line with the plate on its right
     * @return the longest piece; nothing if no edge can stitch that line
     */
    static Path edge(Path line, SizeLabel label) {
        if (label.convention() == LabelConvention.AS_CUT) {
            return line;
        }
        List<Path> edges = Offsets.follow(line, false, Machine.NOMINAL_FOOT_RADIUS);
        return edges.isEmpty() ? null : edges.get(0);
    }

    /** A plate below an edge that runs to the right, with a straight lower edge. */
    static Cut cut(Path edge, Guide.Role role, double depth) {
        if (edge == null) {
            return Cut.NOTHING;
        }
        double low = edge.box().bottom() - depth;
        Point lowRight = new Point(edge.end().x(), low);
        Point lowLeft = new Point(edge.start().x(), low);
        List<Curve> outline = new ArrayList<>(edge.curves());
        outline.add(new Segment(edge.end(), lowRight));
        outline.add(new Segment(lowRight, lowLeft));
        outline.add(new Segment(lowLeft, edge.start()));
        return new Cut(
                List.of(Cut.Piece.of(new Path(outline))),
                List.of(
                        Guide.free("edge", role, edge, true),
                        Guide.free("lower", Guide.Role.LOWER_EDGE, Path.of(new Segment(lowRight, lowLeft)), true)));
    }
}
