package jollyspindle.core.quilt;

/** A part of the body that is quilted as an area: blocks in rows, or a medallion. Both are centred on a place of the body. */
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
}
