package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Offsets;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.layout.StitchSpace;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.Side;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * One piece of cloth that a motif lies in: a medallion, a block, or the body.
 *
 * @param number which of its area, from 1, row by row from the top left
 * @param column from 0 at the left
 * @param row from 0 at the top
 * @param centre in the quilt's frame
 * @param cloth up to its seams, counter-clockwise
 * @param outline of what may be stitched, counter-clockwise: the seam, or as far inside it as is kept clear
 * @param region of it that may be stitched
 * @param inTheWay outlines that nothing is stitched in
 * @param edges those of them that are seams, or edges of an appliqué, and don't lie on open cloth
 * @param outer its sides that no other piece of the area lies beyond: of blocks those at the quilt's edge, if any are
 */
record AreaSpace(
        int number,
        int column,
        int row,
        Point centre,
        Path cloth,
        Path outline,
        Region region,
        List<Path> inTheWay,
        List<Path> edges,
        Set<Side> outer)
        implements StitchSpace {

    /**
     * The pieces of an area, centred on the middle of the body; none of an appliqué.
     *
     * @param around what else is there
     */
    static List<AreaSpace> of(Area area, AreaSurroundings around) {
        List<AreaSpace> free = new ArrayList<>();
        List<Box> boxes = around.inTheWay().stream().map(Path::box).toList();
        for (AreaSpace space : pieces(area, around.body())) {
            List<Path> there = IntStream.range(0, boxes.size())
                    .filter(i -> boxes.get(i).meets(space.box()))
                    .mapToObj(around.inTheWay()::get)
                    .toList();
            free.add(space.without(there, around));
        }
        return free;
    }

    private AreaSpace without(List<Path> there, AreaSurroundings around) {
        return there.isEmpty()
                ? this
                : new AreaSpace(
                        number,
                        column,
                        row,
                        centre,
                        cloth,
                        outline,
                        region.minus(Region.union(there)),
                        there,
                        there.stream()
                                .filter(path -> !around.open().contains(path))
                                .toList(),
                        outer);
    }

    /** What is kept free of an appliqué: its outline with the clearance round it. */
    static Path grown(Area.Applique applique) {
        Path outline = applique.outline().path();
        return applique.clearance() == 0
                ? outline
                : Offsets.follow(outline, false, applique.clearance()).get(0);
    }

    /**
     * The outlines of an area's cloth, up to its seams, that nothing of an area under it is stitched in.
     *
     * @param body the edge of the whole body
     */
    static List<Path> cloth(Area area, Path body) {
        return area instanceof Area.Applique applique
                ? List.of(grown(applique))
                : pieces(area.withClearance(0), body).stream()
                        .map(AreaSpace::outline)
                        .toList();
    }

    private static List<AreaSpace> pieces(Area area, Path body) {
        List<AreaSpace> spaces = new ArrayList<>();
        double clear = area.clearance();
        if (area instanceof Area.Blocks blocks && Math.min(blocks.width(), blocks.height()) > 2 * clear) {
            for (int row = 0; row < blocks.rows(); row++) {
                for (int column = 0; column < blocks.columns(); column++) {
                    double left = -blocks.across() / 2 + column * (blocks.width() + blocks.gap());
                    double top = blocks.down() / 2 - row * (blocks.height() + blocks.gap());
                    Box cloth = Box.of(new Point(left, top), new Point(left + blocks.width(), top - blocks.height()));
                    spaces.add(piece(
                            spaces.size() + 1,
                            column,
                            row,
                            cloth.middle(),
                            cloth.outline(),
                            cloth.grown(-clear).outline(),
                            outer(blocks, column, row)));
                }
            }
        } else if (area instanceof Area.Medallion medallion && medallion.diameter() > 2 * clear) {
            spaces.add(
                    piece(1, 0, 0, Point.ORIGIN, medallion.edge(0), medallion.edge(-clear), EnumSet.allOf(Side.class)));
        } else if (area instanceof Area.Body) {
            List<Path> inset = Offsets.follow(body, true, clear);
            if (!inset.isEmpty()) {
                spaces.add(piece(1, 0, 0, Point.ORIGIN, body, inset.get(0), EnumSet.allOf(Side.class)));
            }
        }
        return spaces;
    }

    private static Set<Side> outer(Area.Blocks blocks, int column, int row) {
        Set<Side> outer = EnumSet.noneOf(Side.class);
        if (row == 0) {
            outer.add(Side.TOP);
        }
        if (row == blocks.rows() - 1) {
            outer.add(Side.BOTTOM);
        }
        if (column == 0) {
            outer.add(Side.LEFT);
        }
        if (column == blocks.columns() - 1) {
            outer.add(Side.RIGHT);
        }
        return outer;
    }

    private static AreaSpace piece(
            int number, int column, int row, Point centre, Path cloth, Path outline, Set<Side> outer) {
        return new AreaSpace(
                number, column, row, centre, cloth, outline, Region.of(outline), List.of(), List.of(), outer);
    }

    /** What of the body lies round this piece, with what is in the way there. */
    AreaSpace outside(AreaSurroundings around) {
        Region outside = Region.of(around.body()).minus(Region.of(outline));
        return new AreaSpace(
                        number, column, row, centre, around.body(), around.body(), outside, List.of(), List.of(), outer)
                .without(around.inTheWay(), around);
    }

    /** Edges of what is kept clear: inside its seam, and round what is in its way. */
    List<Path> keptClear() {
        Set<Path> felt = new HashSet<>(edges);
        return Stream.concat(
                        onSeam() ? Stream.of() : Stream.of(outline),
                        inTheWay.stream().filter(p -> !felt.contains(p)))
                .toList();
    }

    /** Whether the outline is the seam. */
    boolean onSeam() {
        return outline.equals(cloth);
    }

    /** Whether a place lies on its edge, or on that of something in the way. */
    boolean onEdge(Point place) {
        return onEdge(place, Tolerances.SAME_PLACE);
    }

    /** Whether a place lies no further than so many inches off its edge, or off that of something in the way. */
    boolean onEdge(Point place, double within) {
        return outline.passes(place, within) || inTheWay.stream().anyMatch(path -> path.passes(place, within));
    }

    @Override
    public Optional<LineEnd.ShownBy> shownBy(Point place) {
        boolean onSeam = seams().anyMatch(path -> path.passes(place, Tolerances.SAME_PLACE));
        return onSeam
                ? Optional.of(LineEnd.ShownBy.SEAM)
                : onEdge(place) ? Optional.of(LineEnd.ShownBy.KEPT_CLEAR) : Optional.empty();
    }

    /** Whole outlines of the piece and of what is in its way that are seams, or edges of an appliqué. */
    Stream<Path> seams() {
        return Stream.concat(onSeam() ? Stream.of(outline) : Stream.of(), edges.stream());
    }

    Box box() {
        return outline.box();
    }

    /** How far from the centre a circle can be that lies inside, in inches. */
    double inside() {
        return outline.distance(centre);
    }

    /** A place counted from the lower left corner of what it takes up, in the quilt's frame. */
    Point place(double along, double up) {
        return new Point(box().left() + along, box().bottom() + up);
    }
}
