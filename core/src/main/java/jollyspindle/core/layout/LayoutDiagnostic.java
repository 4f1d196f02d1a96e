package jollyspindle.core.layout;

import jollyspindle.core.diagnostic.Diagnostic;

/**
 * What can be the matter with a motif wherever it is laid out, on a run or in a piece of cloth. All lengths in inches, without the
 * last digits that depend on where it lies, so that what is alike is told alike.
 */
public sealed interface LayoutDiagnostic extends Diagnostic {

    /**
     * A length without its last digits.
     *
     * @param inches any length
     */
    private static double settled(double inches) {
        return Math.rint(inches * 1e9) / 1e9;
    }

    /**
     * No template of the needed sort is in the job.
     *
     * @param radius it must stitch; 0 if any will do
     */
    record NoTool(EdgeKind need, double radius) implements LayoutDiagnostic {

        /** Any of a sort will do. */
        public NoTool(EdgeKind need) {
            this(need, 0);
        }
    }

    /**
     * The only templates of the needed sort have slots that the foot doesn't go into.
     *
     * @param slot how wide the widest of them are
     * @param foot how wide it is
     */
    record FootStaysOut(EdgeKind need, double slot, double foot) implements LayoutDiagnostic {}

    /**
     * It would take more lines and placements than can be planned.
     *
     * @param most that can
     */
    record TooFine(int most) implements LayoutDiagnostic {}

    /**
     * The template can't reach from one mark to the next.
     *
     * @param distance between them
     * @param most it can span
     */
    record TooFar(double distance, double most) implements LayoutDiagnostic {
        public TooFar {
            distance = settled(distance);
            most = settled(most);
        }
    }

    /**
     * Parallel lines are as far apart as the echoes beside them, so that both read as one texture ({@link Spacing}).
     *
     * @param spacing of both
     */
    record HatchLikeEcho(double spacing) implements LayoutDiagnostic, Diagnostic.Warning {
        public HatchLikeEcho {
            spacing = settled(spacing);
        }
    }

    /**
     * Lines are laid one on the other, and every so many a line is marked again.
     *
     * @param every how many
     */
    record Chained(int every) implements LayoutDiagnostic, Diagnostic.Note {}

    /**
     * Parallel lines come otherwise than wanted, so that they divide a space evenly.
     *
     * @param wanted between them, square to them
     * @param really between them
     * @param lines that go into the space
     * @param space they divide
     */
    record Evened(double wanted, double really, int lines, double space) implements LayoutDiagnostic, Diagnostic.Note {
        public Evened {
            really = settled(really);
            space = settled(space);
        }
    }

    /** The template has no such edge as was asked for, so that another of its edges is taken. */
    record EdgeGone() implements LayoutDiagnostic, Diagnostic.Warning {}
}
