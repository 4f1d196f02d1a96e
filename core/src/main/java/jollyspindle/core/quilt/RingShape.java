package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * One border drawn true.
 *
 * @param border from the body outward, from 1
 * @param outer its outer corners, clockwise from the top left
 * @param limit the corners of what may be stitched, clockwise from the top left
 * @param cornerSeams the seams in its corners
 * @param regions each side's piece of cloth, its corners in order
 * @param runs each side's run
 */
public record RingShape(
        int border,
        List<Point> outer,
        List<Point> limit,
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

    /** Where a ring's seam, its outer edge and the limit of stitching run, on each side. */
    private record Lines(Map<Side, Line> seams, Map<Side, Line> edges, Map<Side, Line> limits) {

        /** Where the seams of a side and the one before it meet: the left end of the side's run. */
        Point inner(Side side) {
            return seams.get(side).meets(seams.get(side.previous()));
        }
    }

    /**
     * Draws a border.
     *
     * @param border from the body outward, from 1
     */
    static RingShape of(Quilt quilt, BodyShape body, int border) {
        Map<Side, Line> seams = new EnumMap<>(Side.class);
        Map<Side, Line> edges = new EnumMap<>(Side.class);
        Map<Side, Line> limits = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            double inside = 0;
            for (int within = 1; within < border; within++) {
                inside += quilt.length(Dimension.depth(within, side));
            }
            double outside = inside + quilt.length(Dimension.depth(border, side));
            seams.put(side, Line.beside(body, side, inside));
            edges.put(side, Line.beside(body, side, outside));
            limits.put(side, Line.beside(body, side, outside - quilt.reserve(border)));
        }
        Lines lines = new Lines(seams, edges, limits);
        Corners corners = quilt.border(border).corners();
        Map<Side, List<Point>> regions = new EnumMap<>(Side.class);
        Map<Side, RunFrame> runs = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            regions.put(side, region(side, corners, lines));
            runs.put(side, run(side, border, quilt, lines));
        }
        return new RingShape(
                border,
                corners(edges),
                corners(limits),
                cornerSeams(corners, lines),
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

    private static RunFrame run(Side side, int border, Quilt quilt, Lines lines) {
        Line seam = lines.seams.get(side);
        boolean through = quilt.border(border).corners().runsThrough(side);
        // A border that runs through has the binding, or the next border, across its own ends.
        Point from = through ? seam.meets(lines.limits.get(side.previous())) : lines.inner(side);
        Point to = through ? seam.meets(lines.limits.get(side.next())) : lines.inner(side.next());
        double drawn = from.distance(to);
        // Between corner and corner the tape's own word counts, not what drawing made of it.
        double length = through
                ? drawn
                : border == 1
                        ? quilt.planned(side)
                        : quilt.get(Dimension.seam(border, side)).orElse(drawn);
        return new RunFrame(
                RunId.of(border, side),
                from,
                seam.along(),
                length,
                quilt.length(Dimension.depth(border, side)),
                quilt.length(Dimension.clearance(border)),
                quilt.reserve(border));
    }

    private static List<Point> region(Side side, Corners corners, Lines lines) {
        List<Point> points = new ArrayList<>();
        Line edge = lines.edges.get(side);
        Line seam = lines.seams.get(side);
        if (corners.runsThrough(side)) {
            points.add(seam.meets(lines.edges.get(side.previous())));
            points.add(edge.meets(lines.edges.get(side.previous())));
            points.add(edge.meets(lines.edges.get(side.next())));
            points.add(seam.meets(lines.edges.get(side.next())));
            return List.copyOf(points);
        }
        Map<Side, Line> bounds = corners == Corners.MITRED ? lines.edges : lines.seams;
        points.add(lines.inner(side));
        points.add(edge.meets(bounds.get(side.previous())));
        points.add(edge.meets(bounds.get(side.next())));
        points.add(lines.inner(side.next()));
        return List.copyOf(points);
    }

    private static List<Segment> cornerSeams(Corners corners, Lines lines) {
        List<Segment> found = new ArrayList<>();
        for (Side side : Side.values()) {
            // The corner at this side's left end, which it shares with the side before.
            Point inner = lines.inner(side);
            Side before = side.previous();
            Segment mitre = new Segment(inner, lines.edges.get(side).meets(lines.edges.get(before)));
            Segment alongThis = new Segment(inner, lines.seams.get(side).meets(lines.edges.get(before)));
            Segment alongBefore = new Segment(inner, lines.seams.get(before).meets(lines.edges.get(side)));
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
