package jollyspindle.core.division;

/** What speaks for or against a candidate, as numbers; said in words elsewhere. */
public sealed interface Reason {

    /** How it weighs. */
    enum Tone {
        GOOD,
        PLAIN,
        WARNING
    }

    Tone tone();

    /**
     * What stands on the centres of the sides.
     *
     * @param valleyAcross whether a valley stands on the centre of top and bottom; otherwise a crown
     * @param valleyDown the same of right and left
     */
    record OnCentre(boolean valleyAcross, boolean valleyDown) implements Reason {
        @Override
        public Tone tone() {
            return valleyAcross == valleyDown ? Tone.GOOD : Tone.PLAIN;
        }
    }

    /**
     * How much the longest repeat of the four sides differs from the shortest.
     *
     * @param inches 0 or more
     */
    record SidesDiffer(double inches) implements Reason {
        /** What nobody sees in a repeat, in inches (common practice, no source). */
        public static final double UNSEEN = 1.0 / 8;

        @Override
        public Tone tone() {
            return inches <= UNSEEN ? Tone.GOOD : Tone.WARNING;
        }
    }

    /**
     * How much the mean repeat differs from the wanted one.
     *
     * @param inches over 0 if it is longer
     */
    record OffWanted(double inches) implements Reason {
        @Override
        public Tone tone() {
            return Tone.PLAIN;
        }
    }

    /**
     * The crown comes into the strip where nothing may be stitched.
     *
     * @param inches how far, on the worst side
     */
    record IntoReserve(double inches) implements Reason {
        @Override
        public Tone tone() {
            return Tone.WARNING;
        }
    }

    /**
     * The template must be placed more than once for an arc.
     *
     * @param parts how often, on the worst side
     */
    record SeveralPlacements(int parts) implements Reason {
        @Override
        public Tone tone() {
            return Tone.PLAIN;
        }
    }

    /**
     * The template stitches no arc this wide.
     *
     * @param widest what it can span, in inches
     */
    record TooWide(double widest) implements Reason {
        @Override
        public Tone tone() {
            return Tone.WARNING;
        }
    }
}
