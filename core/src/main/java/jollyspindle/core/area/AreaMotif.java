package jollyspindle.core.area;

import java.util.Arrays;

/**
 * What is stitched in an area. Lengths are in inches, angles in radians.
 *
 * <p>Common practice, no source, for what the motifs are; their geometry is derived where they are laid out.
 */
public sealed interface AreaMotif {

    int FEWEST_ARMS = 2;
    int MOST_ARMS = 64;

    /** More rings or rows than this nobody stitches. */
    int MOST = 100;

    /** The closest that lines can be, in inches. */
    double CLOSEST = 1.0 / 16;

    /** The largest distance that is asked for, in inches. */
    double LARGEST = 60;

    /** How the needle gets from arm to arm. */
    enum Way {
        /** Out along an arm and back along the same one, so that it is stitched twice. */
        OUT_AND_BACK,
        /** Out along one arm, along the area's edge, in along the next. */
        ALONG_EDGE
    }

    /**
     * Arms of one template, turned about the centre step by step.
     *
     * @param arms {@link #FEWEST_ARMS} to {@link #MOST_ARMS}
     * @param way of the needle
     * @param stop radius of the circle about the centre on which the lines stop, so that thread doesn't pile up; 0 if they
     *     meet in the centre
     */
    record Arms(int arms, Way way, double stop) implements AreaMotif {
        public Arms {
            within("arms", arms, FEWEST_ARMS, MOST_ARMS);
            if (!(stop >= 0) || stop > LARGEST) {
                throw new IllegalArgumentException("lines that stop at " + stop);
            }
        }
    }

    /** How the needle gets from ring to ring. */
    enum Spokes {
        /** The thread stops at each ring. */
        NONE,
        /** It steps outward along one spoke. */
        ONE,
        /** Four matching spokes are stitched. */
        FOUR
    }

    /**
     * Circles about one centre.
     *
     * @param first diameter, over 0
     * @param gap from ring to ring
     * @param rings 1 to {@link #MOST}
     * @param spokes between them
     */
    record Rings(double first, double gap, int rings, Spokes spokes) implements AreaMotif {
        public Rings {
            distance(first);
            distance(gap);
            within("rings", rings, 1, MOST);
        }

        /** The wanted diameter of a ring, from 1; in inches. */
        public double diameter(int ring) {
            return first + 2 * gap * (ring - 1);
        }
    }

    /**
     * Rows of shells, each on the crowns of the row below.
     *
     * @param allowance kept free at the lower edge, in inches: the seam allowance at the quilt's own edge, else 0
     */
    record Clamshells(double allowance) implements AreaMotif {
        public Clamshells {
            if (!(allowance >= 0) || allowance > LARGEST) {
                throw new IllegalArgumentException("a seam allowance of " + allowance);
            }
        }
    }

    /**
     * Petals along the lines of a grid: each edge the chord of two mirrored arcs.
     *
     * @param across how many squares to a block's width, 1 to {@link #MOST}
     * @param down how many to its height
     */
    record Peel(int across, int down) implements AreaMotif {
        public Peel {
            within("squares across", across, 1, MOST);
            within("squares down", down, 1, MOST);
        }
    }

    /**
     * Two sets of parallel straight lines.
     *
     * @param spacing wanted in each set; what divides the area's width evenly next to it is taken
     * @param angle of the first set against the lower edge; the second leans the other way
     */
    record Crosshatch(double spacing, double angle) implements AreaMotif {
        public Crosshatch {
            distance(spacing);
            if (!(angle >= Math.toRadians(10)) || !(angle <= Math.toRadians(170))) {
                throw new IllegalArgumentException("an angle of 10 to 170 degrees");
            }
        }
    }

    /**
     * The four quarters of a block, lines across and lines down in turn.
     *
     * @param close spacing of those across
     * @param wide spacing of those down
     */
    record Quarters(double close, double wide) implements AreaMotif {
        public Quarters {
            distance(close);
            distance(wide);
        }
    }

    private static void within(String what, int number, int least, int most) {
        if (number < least || number > most) {
            throw new IllegalArgumentException(least + " to " + most + " " + what + ", not " + number);
        }
    }

    private static void distance(double... inches) {
        if (Arrays.stream(inches).anyMatch(d -> !(d >= CLOSEST) || d > LARGEST)) {
            throw new IllegalArgumentException("a distance of 1/16 to 60, not " + Arrays.toString(inches));
        }
    }
}
