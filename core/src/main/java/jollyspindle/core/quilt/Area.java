package jollyspindle.core.quilt;

import jollyspindle.core.geometry.ArcSpline;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.FreeCurve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A part of the body: blocks in rows or a medallion, which are quilted and lie about the middle of the body; the body itself,
 * quilted where nothing else lies; or an appliqué, which is quilted round.
 */
public sealed interface Area {

    /** More rows or columns than any quilt has. */
    int MOST = 100;

    /** More areas than this no quilt has. */
    int MOST_AREAS = 20;

    /** Kept free along the area's edge, or round an appliqué; in inches, 0 to {@link QuiltRules#LONGEST}. */
    double clearance();

    /** This area with another clearance. */
    Area withClearance(double inches);

    /**
     * Whether this area lies on another one, which is stitched round it: appliqués on everything, medallions on blocks and on
     * larger medallions, all of them on the body.
     */
    default boolean isOver(Area other) {
        if (this instanceof Medallion here && other instanceof Medallion there) {
            return here.diameter() < there.diameter();
        }
        return !(other instanceof Applique) && rank() > other.rank();
    }

    private int rank() {
        return this instanceof Applique ? 3 : this instanceof Medallion ? 2 : this instanceof Blocks ? 1 : 0;
    }

    /**
     * Blocks in rows.
     *
     * @param columns from left to right, 1 to {@link #MOST}
     * @param rows from top to bottom, 1 to {@link #MOST}
     * @param width of a block, in inches, over 0
     * @param height of a block, in inches, over 0
     * @param gap between blocks, in inches, 0 or more: the sashing's width
     */
    record Blocks(int columns, int rows, double width, double height, double gap, double clearance) implements Area {
        public Blocks {
            Guards.within("columns", columns, 1, MOST);
            Guards.within("rows", rows, 1, MOST);
            size("width", width);
            size("height", height);
            Guards.within("gap", gap, 0, QuiltRules.LONGEST);
            notNegative(clearance);
        }

        /** Stitched up to their seams. */
        public Blocks(int columns, int rows, double width, double height, double gap) {
            this(columns, rows, width, height, gap, 0);
        }

        /** Of all of them, in inches. */
        public double across() {
            return columns * width + (columns - 1) * gap;
        }

        /** Of all of them, in inches. */
        public double down() {
            return rows * height + (rows - 1) * gap;
        }

        public int count() {
            return columns * rows;
        }

        @Override
        public Area withClearance(double inches) {
            return new Blocks(columns, rows, width, height, gap, inches);
        }
    }

    /** What a medallion's edge is. */
    enum Shape {
        ROUND,
        SQUARE,
        /** Regular, with a side at the top. */
        OCTAGON
    }

    /**
     * A medallion.
     *
     * @param shape of its edge
     * @param diameter of a round one; of the others from side to opposite side; in inches, over 0
     */
    record Medallion(Shape shape, double diameter, double clearance) implements Area {
        public Medallion {
            size("diameter", diameter);
            notNegative(clearance);
        }

        /** A round one, stitched up to its edge. */
        public Medallion(double diameter) {
            this(Shape.ROUND, diameter, 0);
        }

        /**
         * Its edge, or a line beside it; counter-clockwise, about the middle of the body.
         *
         * @param outward how far further out, in inches; below 0 inward, by less than half the diameter
         */
        public Path edge(double outward) {
            double half = diameter / 2 + outward;
            return switch (shape) {
                case ROUND -> Path.circle(Point.ORIGIN, half);
                case SQUARE ->
                    Path.polygon(List.of(
                            new Point(-half, -half),
                            new Point(half, -half),
                            new Point(half, half),
                            new Point(-half, half)));
                // The corners of a regular octagon lie half·√(1 + tan² 22.5°) out (regular polygons in any handbook).
                case OCTAGON ->
                    Path.polygon(IntStream.range(0, 8)
                            .mapToObj(i -> Point.direction(Math.PI / 8 + i * Math.PI / 4)
                                    .times(half / Math.cos(Math.PI / 8)))
                            .toList());
            };
        }

        @Override
        public Area withClearance(double inches) {
            return new Medallion(shape, diameter, inches);
        }
    }

    /** The whole body, where no blocks, no medallion and no appliqué lie: what is called the background. */
    record Body(double clearance) implements Area {
        public Body {
            notNegative(clearance);
        }

        @Override
        public Area withClearance(double inches) {
            return new Body(inches);
        }
    }

    private static void notNegative(double clearance) {
        Guards.within("clearance", clearance, 0, QuiltRules.LONGEST);
    }

    private static void size(String what, double inches) {
        Guards.within(what, inches, QuiltRules.SMALLEST, QuiltRules.LONGEST);
    }

    private static void place(Point centre, double turned) {
        Guards.within("place", centre.x(), -QuiltRules.LONGEST, QuiltRules.LONGEST);
        Guards.within("place", centre.y(), -QuiltRules.LONGEST, QuiltRules.LONGEST);
        Guards.degrees("turn", turned, -360, 360);
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
            notNegative(clearance);
        }

        @Override
        public Area withClearance(double inches) {
            return new Applique(outline, inches);
        }
    }

    /** The outline of an appliqué, in the quilt's frame: from the middle of the body to the right and up, in inches. */
    sealed interface Outline {

        /** Closed, counter-clockwise. */
        Path path();

        /** The same in another place. */
        Outline moved(Point by);
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
            place(centre, turned);
            size("width", width);
            size("height", height);
        }

        @Override
        public Outline moved(Point by) {
            return new Ellipse(centre.plus(by), width, height, turned);
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

        /** Corners nearer to each other than this, in inches, are one. */
        private static final double NEAREST = 1e-3;

        /** Why there is no such outline. */
        public enum Difficulty {
            /** Too few corners, or too many. */
            COUNT,
            /** A corner so far from the quilt's middle that it can't be on a quilt. */
            FAR,
            /** Two corners that follow each other lie on the same place. */
            COINCIDENT,
            /** Two sides cross or touch, other than at the corner between them. */
            CROSSED
        }

        public Corners {
            corners = List.copyOf(corners);
            Optional<Difficulty> difficulty = difficulty(corners);
            if (difficulty.isPresent()) {
                throw new IllegalArgumentException(
                        Refusals.say("area.corners", "difficulty", difficulty.get(), "corners", corners.size()));
            }
        }

        /** Why corners in this order are no outline; nothing if they are one. */
        public static Optional<Difficulty> difficulty(List<Point> corners) {
            int count = corners.size();
            if (count < 3 || count > MOST_CORNERS) {
                return Optional.of(Difficulty.COUNT);
            }
            if (!corners.stream().allMatch(QuiltRules::isPlace)) {
                return Optional.of(Difficulty.FAR);
            }
            for (int i = 0; i < count; i++) {
                if (corners.get(i).distance(corners.get((i + 1) % count)) < NEAREST) {
                    return Optional.of(Difficulty.COINCIDENT);
                }
            }
            List<Curve> sides = Path.polygon(corners).curves();
            for (int i = 0; i < count; i++) {
                for (int j = i + 1; j < count; j++) {
                    boolean neighbours = j == i + 1 || i == 0 && j == count - 1;
                    int meetings = Crossings.of(sides.get(i), sides.get(j)).size();
                    if (meetings > (neighbours ? 1 : 0)) {
                        return Optional.of(Difficulty.CROSSED);
                    }
                }
            }
            return Optional.empty();
        }

        @Override
        public Outline moved(Point by) {
            return new Corners(corners.stream().map(by::plus).toList());
        }

        @Override
        public Path path() {
            Path path = Path.polygon(corners);
            return path.area() < 0 ? path.reversed() : path;
        }
    }

    /**
     * Any closed shape, as a drawing gives it.
     *
     * @param shape whose middle lies at a place
     * @param centre that place
     * @param turned counter-clockwise, in radians
     */
    record Drawn(OutlineForm shape, Point centre, double turned) implements Outline {
        public Drawn {
            place(centre, turned);
            // What is quilted round is no window.
            shape = shape.window() ? new OutlineForm(shape.corners(), false) : shape;
        }

        @Override
        public Outline moved(Point by) {
            return new Drawn(shape, centre.plus(by), turned);
        }

        @Override
        public Path path() {
            return shape.path().posed(new Pose(centre, turned));
        }
    }
}
