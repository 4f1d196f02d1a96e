package jollyspindle.core.area;

/** Why a motif can't be laid out in an area as it was asked for, or what there is to know about it. All lengths in inches. */
public sealed interface AreaTold {

    /** Whether something that was asked for isn't stitched. */
    default boolean stops() {
        return true;
    }

    /** What sort of template is missing. */
    enum Need {
        ARM,
        CIRCLE,
        SCALLOPS,
        ARC,
        STRAIGHT_EDGE
    }

    record NoTool(Need need) implements AreaTold {}

    /** Not a line of it has room. */
    record NoRoom() implements AreaTold {}

    /**
     * No template stitches a ring of this size.
     *
     * @param diameter wanted
     */
    record RingMissing(double diameter) implements AreaTold {}

    /**
     * Arms end short of the area's edge.
     *
     * @param reach of an arm
     * @param needed to the farthest place of the edge that an arm points to
     * @param arms how many end short
     */
    record ReachShort(double reach, double needed, int arms) implements AreaTold {
        @Override
        public boolean stops() {
            return false;
        }
    }

    /**
     * So many lines meet in a point that thread piles up.
     *
     * @param lines how many
     * @param most that are no matter
     */
    record PileUp(int lines, int most) implements AreaTold {
        @Override
        public boolean stops() {
            return false;
        }
    }

    /**
     * The template can't reach from one mark to the next.
     *
     * @param distance between them
     * @param most it can span
     */
    record TooFar(double distance, double most) implements AreaTold {}

    /**
     * Petals are so round that they bulge into each other.
     *
     * @param radius the template stitches
     * @param least that doesn't
     */
    record TooRound(double radius, double least) implements AreaTold {}

    /**
     * Shells no wider than the foot can't be made, or there is no room for a row.
     *
     * @param width of a shell
     * @param rise of a row
     */
    record NoShells(double width, double rise) implements AreaTold {}

    /**
     * How rows of shells come out in a block.
     *
     * @param perRow shells to a row
     * @param rows how many
     * @param rise of each as it is stitched
     * @param over what whole rows leave at the top
     * @param squeezed whether one shorter row is squeezed in there
     */
    record Shells(double perRow, int rows, double rise, double over, boolean squeezed) implements AreaTold {
        @Override
        public boolean stops() {
            return false;
        }
    }
}
