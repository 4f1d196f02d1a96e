package jollyspindle.core.quilt;

import jollyspindle.core.geometry.ArcSpline;
import jollyspindle.core.geometry.FreeCurve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;

import java.util.List;

/**
 * A part of the body: blocks in rows or a medallion, which are quilted and lie about the middle of the body; or an appliqué,
 * which is quilted round.
 */
public sealed interface Area {

    /** More rows or columns than any quilt has. */
    int MOST = 100;

    /**
     * Blocks in rows.
     *
     * @param columns from left to right, 1 to {@link #MOST}
     * @param rows from top to bottom, 1 to {@link #MOST}
     * @param width of a block, in inches, over 0
     * @param height of a block, in inches, over 0
     * @param gap between blocks, in inches, 0 or more: the sashing's width
     */
    record Blocks(int columns, int rows, double width, double height, double gap) implements Area {
        public Blocks {
            if (columns < 1 || rows < 1 || columns > MOST || rows > MOST) {
                throw new IllegalArgumentException(columns + " by " + rows + " blocks");
            }
            if (!(width > 0) || !(height > 0) || !(gap >= 0)) {
                throw new IllegalArgumentException("blocks of " + width + " by " + height + ", " + gap + " apart");
            }
        }

        /** Of all of them, in inches. */
        public double across() {
            return columns * width + (columns - 1) * gap;
        }

        /** Of all of them, in inches. */
        public double down() {
            return rows * height + (rows - 1) * gap;
        }
    }

    /**
     * A round medallion.
     *
     * @param diameter in inches, over 0
     */
    record Medallion(double diameter) implements Area {
        public Medallion {
            if (!(diameter > 0)) {
                throw new IllegalArgumentException("a medallion of " + diameter);
            }
        }
    }

    /** More corners than this no appliqué has. */
    int MOST_CORNERS = 200;

    /**
     * An appliqué: nothing is stitched on it, nor so near to it.
     *
     * @param outline of it
     * @param clearance kept round it, in inches, 0 or more
     */
    record Applique(Outline outline, double clearance) implements Area {
        public Applique {
            if (!(clearance >= 0)) {
                throw new IllegalArgumentException("a clearance of " + clearance);
            }
        }
    }

    /** The outline of an appliqué, in the quilt's frame: from the middle of the body to the right and up, in inches. */
    sealed interface Outline {

        /** Closed, counter-clockwise. */
        Path path();
    }

    /**
     * An ellipse.
     *
     * @param centre of it
     * @param width over 0
     * @param height over 0
     * @param turned counter-clockwise, in radians
     */
    record Ellipse(Point centre, double width, double height, double turned) implements Outline {
        public Ellipse {
            if (!(width > 0) || !(height > 0)) {
                throw new IllegalArgumentException("an ellipse of " + width + " by " + height);
            }
        }

        @Override
        public Path path() {
            if (width == height) {
                return Path.circle(centre, width / 2);
            }
            return new Path(ArcSpline.of(new FreeCurve() {
                        @Override
                        public Point at(double t) {
                            return new Point(
                                    width / 2 * Math.cos(2 * Math.PI * t), height / 2 * Math.sin(2 * Math.PI * t));
                        }

                        @Override
                        public Point derivative(double t) {
                            return new Point(
                                    -Math.PI * width * Math.sin(2 * Math.PI * t),
                                    Math.PI * height * Math.cos(2 * Math.PI * t));
                        }
                    }))
                    .posed(new Pose(centre, turned));
        }
    }

    /**
     * Straight from corner to corner.
     *
     * @param corners in order, 3 to {@link #MOST_CORNERS}; no side crosses another
     */
    record Corners(List<Point> corners) implements Outline {
        public Corners {
            if (corners.size() < 3 || corners.size() > MOST_CORNERS) {
                throw new IllegalArgumentException("3 to " + MOST_CORNERS + " corners, not " + corners.size());
            }
            corners = List.copyOf(corners);
        }

        @Override
        public Path path() {
            Path path = Path.polygon(corners);
            return path.area() < 0 ? path.reversed() : path;
        }
    }
}
