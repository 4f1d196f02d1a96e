package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Offsets;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.quilt.Area;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * One piece of cloth that a motif lies in: a medallion, or a block.
 *
 * @param number which of its area, from 1, row by row from the top left
 * @param centre in the quilt's frame
 * @param outline of the cloth
 * @param region of it that may be stitched
 * @param inTheWay outlines that nothing is stitched in
 */
record AreaSpace(int number, Point centre, Path outline, Region region, List<Path> inTheWay) {

    /** The pieces of an area, without what other things are in the way. */
    static List<AreaSpace> of(Area area) {
        return of(area, List.of());
    }

    /**
     * The pieces of an area, centred on the middle of the body; none of an appliqué.
     *
     * @param inTheWay whose outlines nothing is stitched in
     */
    static List<AreaSpace> of(Area area, List<Path> inTheWay) {
        List<AreaSpace> free = new ArrayList<>();
        List<Box> boxes = inTheWay.stream().map(Path::box).toList();
        for (AreaSpace space : pieces(area)) {
            List<Path> there = IntStream.range(0, boxes.size())
                    .filter(i -> boxes.get(i).meets(space.box()))
                    .mapToObj(inTheWay::get)
                    .toList();
            free.add(
                    there.isEmpty()
                            ? space
                            : new AreaSpace(
                                    space.number,
                                    space.centre,
                                    space.outline,
                                    space.region.minus(Region.union(there)),
                                    there));
        }
        return free;
    }

    /** An outline with so much round it as is kept clear, in inches. */
    static Path grown(Area.Applique applique) {
        Path outline = applique.outline().path();
        return applique.clearance() == 0
                ? outline
                : Offsets.follow(outline, false, applique.clearance()).get(0);
    }

    private static List<AreaSpace> pieces(Area area) {
        List<AreaSpace> spaces = new ArrayList<>();
        if (area instanceof Area.Blocks blocks) {
            for (int row = 0; row < blocks.rows(); row++) {
                for (int column = 0; column < blocks.columns(); column++) {
                    double left = -blocks.across() / 2 + column * (blocks.width() + blocks.gap());
                    double top = blocks.down() / 2 - row * (blocks.height() + blocks.gap());
                    spaces.add(upright(spaces.size() + 1, left, top, blocks.width(), blocks.height()));
                }
            }
        } else if (area instanceof Area.Medallion medallion) {
            double radius = medallion.diameter() / 2;
            Path rim = Path.circle(Point.ORIGIN, radius);
            spaces.add(new AreaSpace(1, Point.ORIGIN, rim, Region.of(rim), List.of()));
        }
        return spaces;
    }

    private static AreaSpace upright(int number, double left, double top, double width, double height) {
        Path outline = Path.polygon(List.of(
                new Point(left, top),
                new Point(left + width, top),
                new Point(left + width, top - height),
                new Point(left, top - height)));
        return new AreaSpace(
                number, new Point(left + width / 2, top - height / 2), outline, Region.of(outline), List.of());
    }

    Box box() {
        return outline.box();
    }

    /** A place counted from the lower left corner of what it takes up, in the quilt's frame. */
    Point place(double along, double up) {
        return new Point(box().left() + along, box().bottom() + up);
    }
}
