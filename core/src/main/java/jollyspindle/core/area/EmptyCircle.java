package jollyspindle.core.area;

import jollyspindle.core.effort.Effort;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The largest circle about a place of a region that no line cuts, if it is larger than may be. Squares are halved, the most
 * promising first, until no square can hold a better centre: from a square's middle to its corners a distance changes by no
 * more than it is to them (branch and bound, as for poles of inaccessibility). Each square keeps only the lines that can be
 * the nearest to a place in it, and those that can't hold a circle larger than may be are let go, so that the work grows with
 * the lines and with the cloth that is nearly too open, and not with the cloth.
 */
final class EmptyCircle {

    /** How exactly the radius is found, in inches. */
    private static final double EXACT = 1.0 / 2000;

    private static final int STEP = 1023;

    private final double[] x1;
    private final double[] y1;
    private final double[] x2;
    private final double[] y2;
    private final IndexedPointInAreaLocator inside;
    private final double[] apart;

    /** A square, with the lines that can be the nearest to a place in it. */
    private static final class Square implements Comparable<Square> {

        private final double x;
        private final double y;
        private final double half;
        private double distance;

        /** No circle about a place in it is larger. */
        private double bound;

        private boolean within;
        private int[] near;

        Square(double x, double y, double half) {
            this.x = x;
            this.y = y;
            this.half = half;
        }

        @Override
        public int compareTo(Square other) {
            return Double.compare(other.bound, bound);
        }
    }

    private EmptyCircle(List<Coordinate[]> lines, Geometry region) {
        int count = lines.stream().mapToInt(l -> l.length - 1).sum();
        x1 = new double[count];
        y1 = new double[count];
        x2 = new double[count];
        y2 = new double[count];
        apart = new double[count];
        int i = 0;
        for (Coordinate[] line : lines) {
            for (int k = 1; k < line.length; k++) {
                x1[i] = line[k - 1].x;
                y1[i] = line[k - 1].y;
                x2[i] = line[k].x;
                y2[i] = line[k].y;
                i++;
            }
        }
        inside = new IndexedPointInAreaLocator(region);
    }

    /**
     * Finds it.
     *
     * @param most diameter that may be, in inches, over 0
     * @param lines none of which may cut the circle, in straight pieces; the edges of the region among them
     * @param region in which its centre lies
     */
    static Optional<Gaps.Circle> over(double most, List<Coordinate[]> lines, Geometry region) {
        return region.isEmpty() ? Optional.empty() : new EmptyCircle(lines, region).find(most, region);
    }

    private Optional<Gaps.Circle> find(double most, Geometry region) {
        int[] all = new int[x1.length];
        Arrays.setAll(all, i -> i);
        Envelope box = region.getEnvelopeInternal();
        double half = Math.max(box.getWidth(), box.getHeight()) / 2;
        Square root = new Square(box.centre().x, box.centre().y, half);
        look(root, all);
        PriorityQueue<Square> open = new PriorityQueue<>();
        open.add(root);
        double best = most / 2;
        Square found = null;
        if (root.within && root.distance > best) {
            best = root.distance;
            found = root;
        }
        int looked = 0;
        while (!open.isEmpty()) {
            Square square = open.poll();
            // Until one is found, what is hardly larger than may be doesn't count.
            if (square.bound <= best + (found == null ? Tolerances.CHALK / 2 : EXACT)) {
                break;
            }
            if ((looked++ & STEP) == 0) {
                Effort.step();
            }
            double quarter = square.half / 2;
            for (int k = 0; k < 4; k++) {
                Square part = new Square(
                        square.x + ((k & 1) == 0 ? -quarter : quarter),
                        square.y + ((k & 2) == 0 ? -quarter : quarter),
                        quarter);
                look(part, square.near);
                if (part.within && part.distance > best) {
                    best = part.distance;
                    found = part;
                }
                if (part.bound > best + (found == null ? Tolerances.CHALK / 2 : EXACT)) {
                    open.add(part);
                }
            }
        }
        return Optional.ofNullable(found)
                .map(f -> new Gaps.Circle(new Point(f.x, f.y), 2 * f.distance))
                .filter(c -> c.diameter() > most + Tolerances.CHALK);
    }

    /** Measures from a square's middle. */
    private void look(Square square, int[] candidates) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < candidates.length; i++) {
            apart[i] = distance(candidates[i], square.x, square.y);
            least = Math.min(least, apart[i]);
        }
        double corner = square.half * Math.sqrt(2);
        int kept = 0;
        for (int i = 0; i < candidates.length; i++) {
            if (apart[i] <= least + 2 * corner) {
                kept++;
            }
        }
        int[] near = new int[kept];
        int next = 0;
        for (int i = 0; i < candidates.length; i++) {
            if (apart[i] <= least + 2 * corner) {
                near[next++] = candidates[i];
            }
        }
        square.near = near;
        square.distance = least;
        square.within = inside.locate(new Coordinate(square.x, square.y)) != Location.EXTERIOR;
        // From outside a place in it is reached only across the region's edge, which is a line.
        square.bound = square.within ? least + corner : corner - least;
    }

    private double distance(int i, double x, double y) {
        double dx = x2[i] - x1[i];
        double dy = y2[i] - y1[i];
        double length = dx * dx + dy * dy;
        double along = length == 0 ? 0 : ((x - x1[i]) * dx + (y - y1[i]) * dy) / length;
        double t = Math.max(0, Math.min(1, along));
        return Point.length(x1[i] + t * dx - x, y1[i] + t * dy - y);
    }
}
