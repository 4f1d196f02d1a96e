package jollyspindle.core.division;

import java.util.Optional;

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
     * What stands on the centres of the runs.
     *
     * @param across on that of top and bottom, or of a strip
     * @param down on that of right and left; nothing if there are none
     */
    record Centres(OnCentre across, Optional<OnCentre> down) implements Reason {

        public boolean alike() {
            return down.filter(d -> d != across).isEmpty();
        }

        @Override
        public Tone tone() {
            return alike() && across != OnCentre.NEITHER ? Tone.GOOD : Tone.PLAIN;
        }
    }

    /**
     * How much the longest repeat of the four sides differs from the shortest.
     *
     * @param inches 0 or more
     * @param unseen what nobody sees, in inches
     */
    record SidesDiffer(double inches, double unseen) implements Reason {
        @Override
        public Tone tone() {
            return inches <= unseen ? Tone.GOOD : Tone.WARNING;
        }
    }

    /**
     * The corners' arcs take the ends of the runs. They look like one of the row where their feet stand half a repeat away.
     *
     * @param feet how far from the corner the runs' first valleys stand, in inches
     * @param half of the mean repeat, in inches
     * @param unseen what nobody sees of a difference in repeats, in inches
     */
    record CornerArcs(double feet, double half, double unseen) implements Reason {

        /** Whether the corner looks like one more repeat. */
        public boolean agree() {
            return 2 * Math.abs(feet - half) <= unseen;
        }

        @Override
        public Tone tone() {
            return agree() ? Tone.GOOD : Tone.PLAIN;
        }
    }

    /**
     * The corners ask for something.
     *
     * @param ask what
     * @param met whether all runs come out so
     */
    record CornersAsk(CornerAsk ask, boolean met) implements Reason {
        @Override
        public Tone tone() {
            return met ? Tone.GOOD : Tone.WARNING;
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
     * How far repeats are from the template's own, the one its engraved line gives.
     *
     * @param inches the largest change, 0 or more
     * @param own repeat of the template, in inches
     */
    record OffOwn(double inches, double own) implements Reason {
        @Override
        public Tone tone() {
            return Tone.PLAIN;
        }
    }

    /**
     * Repeats of one run differ among themselves.
     *
     * @param inches the longest less the shortest, over 0
     * @param unseen what nobody sees, in inches
     */
    record Uneven(double inches, double unseen) implements Reason {
        @Override
        public Tone tone() {
            return inches <= unseen ? Tone.PLAIN : Tone.WARNING;
        }
    }

    /**
     * An odd space in the middle, on the side where it is widest.
     *
     * @param width in inches
     * @param figure that stands on it
     * @param rise of its neighbours, in inches; 0 if the template can't span them
     */
    record Middle(double width, Figure figure, double rise) implements Reason {
        @Override
        public Tone tone() {
            return figure instanceof Figure.Empty ? Tone.WARNING : Tone.PLAIN;
        }
    }

    /**
     * Odd pieces at the ends, on the side where they are longest.
     *
     * @param width in inches
     * @param use of them
     * @param aside whether they are so short that they may be left as they are
     * @param corner the arc astride the mitre that has its feet where the repeats end, if there can be one
     */
    record Ends(double width, EndUse use, boolean aside, Optional<CornerArc> corner) implements Reason {
        @Override
        public Tone tone() {
            return use == EndUse.SHORT_ARC && !aside ? Tone.WARNING : Tone.PLAIN;
        }
    }

    /** A valley stands at every corner. */
    record ValleysAtCorners() implements Reason {
        @Override
        public Tone tone() {
            return Tone.PLAIN;
        }
    }

    /** Half a repeat stands at every corner. */
    record HalvesAtCorners() implements Reason {
        @Override
        public Tone tone() {
            return Tone.PLAIN;
        }
    }

    /** The pieced seams serve as marks. */
    record SeamsMark(int units, int parts) implements Reason {
        @Override
        public Tone tone() {
            return Tone.GOOD;
        }
    }

    /**
     * A stencil's marks run in from both ends leave a sliver in the middle, merged into one mark.
     *
     * @param inches of it, on the run where it is largest; below 0 if it is lacking there
     * @param shared whether two repeats share it; otherwise the one about the centre takes it all
     */
    record Sliver(double inches, boolean shared) implements Reason {
        @Override
        public Tone tone() {
            return Tone.PLAIN;
        }
    }

    /**
     * How many marks between the ends lie on a tick of the tape.
     *
     * @param on of them do
     * @param of all
     */
    record Readings(int on, int of) implements Reason {
        @Override
        public Tone tone() {
            return 2 * on >= of ? Tone.GOOD : Tone.PLAIN;
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
