package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * The whole quilt drawn true: body, border, corner seams, reserve and the run of each side.
 *
 * @param body the pieced middle
 * @param outer the quilt's outer corners, clockwise from the top left
 * @param reserve the corners of what may be stitched, clockwise from the top left
 * @param cornerSeams the seams in the border's corners
 * @param regions each side's piece of border, its corners in order
 * @param runs each side's run
 */
public record QuiltShape(
        BodyShape body,
        List<Point> outer,
        List<Point> reserve,
        List<Segment> cornerSeams,
        Map<Side, List<Point>> regions,
        Map<Side, RunFrame> runs) {

    /** A straight line without ends. */
    private record Line(Point point, Point along) {
        static Line beside(BodyShape body, Side side, double outwards) {
            Point from = body.start(side);
            Point along = body.start(side.next()).minus(from).unit();
            return new Line(from.plus(along.turnedLeft().times(outwards)), along);
        }

        Point meets(Line other) {
            return Point.meeting(point, along, other.point, other.along);
        }
    }

    /**
     * The shape of a quilt of which all that is needed is measured.
     *
     * @throws java.util.NoSuchElementException if something needed isn't measured
     * @throws IllegalArgumentException if the sides don't meet
     */
    public static QuiltShape of(Quilt quilt) {
        BodyShape body = BodyShape.of(quilt);
        double keepOff = quilt.length(Dimension.RESERVE);
        Map<Side, Line> seams = new EnumMap<>(Side.class);
        Map<Side, Line> edges = new EnumMap<>(Side.class);
        Map<Side, Line> limits = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            double depth = quilt.length(Dimension.depth(side));
            seams.put(side, Line.beside(body, side, 0));
            edges.put(side, Line.beside(body, side, depth));
            limits.put(side, Line.beside(body, side, depth - keepOff));
        }
        Map<Side, List<Point>> regions = new EnumMap<>(Side.class);
        Map<Side, RunFrame> runs = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            regions.put(side, region(side, quilt.corners(), body, seams, edges));
            runs.put(side, run(side, quilt, body, seams, limits));
        }
        return new QuiltShape(
                body,
                corners(edges),
                corners(limits),
                cornerSeams(quilt.corners(), body, seams, edges),
                Collections.unmodifiableMap(regions),
                Collections.unmodifiableMap(runs));
    }

    private static List<Point> corners(Map<Side, Line> lines) {
        return List.of(
                lines.get(Side.LEFT).meets(lines.get(Side.TOP)),
                lines.get(Side.TOP).meets(lines.get(Side.RIGHT)),
                lines.get(Side.RIGHT).meets(lines.get(Side.BOTTOM)),
                lines.get(Side.BOTTOM).meets(lines.get(Side.LEFT)));
    }

    private static RunFrame run(Side side, Quilt quilt, BodyShape body, Map<Side, Line> seams, Map<Side, Line> limits) {
        Line seam = seams.get(side);
        boolean through = quilt.corners().runsThrough(side);
        // A border that runs through has the binding across its own ends.
        Point from = through ? seam.meets(limits.get(side.previous())) : body.start(side);
        Point to = through ? seam.meets(limits.get(side.next())) : body.start(side.next());
        // Between corner and corner the tape's own word counts, not what drawing made of it.
        double length = through ? from.distance(to) : quilt.length(Dimension.body(side));
        return new RunFrame(side, from, seam.along(), length, quilt.length(Dimension.depth(side)));
    }

    private static List<Point> region(
            Side side, Corners corners, BodyShape body, Map<Side, Line> seams, Map<Side, Line> edges) {
        List<Point> points = new ArrayList<>();
        Line edge = edges.get(side);
        Line seam = seams.get(side);
        if (corners.runsThrough(side)) {
            points.add(seam.meets(edges.get(side.previous())));
            points.add(edge.meets(edges.get(side.previous())));
            points.add(edge.meets(edges.get(side.next())));
            points.add(seam.meets(edges.get(side.next())));
            return List.copyOf(points);
        }
        Map<Side, Line> bounds = corners == Corners.MITRED ? edges : seams;
        points.add(body.start(side));
        points.add(edge.meets(bounds.get(side.previous())));
        points.add(edge.meets(bounds.get(side.next())));
        points.add(body.start(side.next()));
        return List.copyOf(points);
    }

    private static List<Segment> cornerSeams(
            Corners corners, BodyShape body, Map<Side, Line> seams, Map<Side, Line> edges) {
        List<Segment> found = new ArrayList<>();
        for (Side side : Side.values()) {
            // The corner at this side's left end, which it shares with the side before.
            Point inner = body.start(side);
            Side before = side.previous();
            Segment mitre = new Segment(inner, edges.get(side).meets(edges.get(before)));
            Segment alongThis = new Segment(inner, seams.get(side).meets(edges.get(before)));
            Segment alongBefore = new Segment(inner, seams.get(before).meets(edges.get(side)));
            switch (corners) {
                case MITRED -> found.add(mitre);
                case CORNERSTONES -> {
                    found.add(alongThis);
                    found.add(alongBefore);
                }
                default -> found.add(corners.runsThrough(side) ? alongThis : alongBefore);
            }
        }
        return List.copyOf(found);
    }
}
