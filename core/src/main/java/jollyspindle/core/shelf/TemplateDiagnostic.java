package jollyspindle.core.shelf;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.SizeLabel;

import java.util.List;

/** Something about a template that can't be, or that wants another look. Inches and radians. */
public sealed interface TemplateDiagnostic extends Diagnostic {

    /** Adds that a label makes no sense where what it says is an edge of no radius. */
    static void small(double size, double radius, List<TemplateDiagnostic> found) {
        if (radius <= 0) {
            found.add(new LabelSmallerThanFoot(size));
        }
    }

    /** A hollow of no more than the foot's own radius: the foot can't follow, nothing is stitched. */
    record HollowSmallerThanFoot(Guide guide, double edgeRadius, double footRadius) implements TemplateDiagnostic {}

    /** A size that would count the foot, but is no larger than the foot: there is no such edge. */
    record LabelSmallerThanFoot(double size) implements TemplateDiagnostic {}

    /** The foot doesn't get into the slots. */
    record SlotTooNarrow(double slotWidth, double footWidth) implements TemplateDiagnostic {}

    /** A slot's round ends run into each other across the bridge, so that the inside would fall out. */
    record BridgeCut(double size) implements TemplateDiagnostic {}

    /** Two slots, or a ring's hole and rim, run into each other. */
    record RunsInto(double size, double next) implements TemplateDiagnostic {}

    /** Shells no wider than the foot can't be made. */
    record ShellsTooNarrow(double width, double footWidth) implements TemplateDiagnostic {}

    /** The foot gets nowhere along an edge, or an edge as it is labelled can't be cut. */
    record NothingStitched() implements TemplateDiagnostic {}

    /** The foot can't follow an edge all the way; the line breaks off, or cuts across. */
    record CantFollowAll(Guide guide, int pieces) implements TemplateDiagnostic, Diagnostic.Warning {}

    /** It is sold as a half circle, or has legs, but its sweep falls short of one. */
    record SweepShortOfHalfCircle(double usableSweep) implements TemplateDiagnostic, Diagnostic.Warning {}

    /** A rise line asks for more sweep than the edge has. */
    record LineBeyondSweep(EngravedLine line, double needed, double usableSweep)
            implements TemplateDiagnostic, Diagnostic.Warning {}

    /** A line that its label puts beside the acrylic. */
    record LineOffPlate(EngravedLine line) implements TemplateDiagnostic, Diagnostic.Warning {}

    /**
     * What was measured on cloth isn't what the label foretells.
     *
     * @param better what the label would have to mean for it to fit; null if nothing does
     */
    record CheckDisagrees(Prediction foretold, double measured, double footRadius, SizeLabel better)
            implements TemplateDiagnostic, Diagnostic.Warning {

        /** Whether it would fit if the label meant something else. */
        public boolean fits() {
            return better != null;
        }
    }

    /** The way into an opening is narrower than the foot. */
    record GapTooNarrow(double gap, double footWidth) implements TemplateDiagnostic, Diagnostic.Warning {}

    /** There is no way into an opening: needle and foot up, and it is lifted over the foot. */
    record NoGap() implements TemplateDiagnostic, Diagnostic.Warning {}

    /** The hook doesn't hold the foot where it should. */
    record HookDoesntFit(double hook, double footRadius) implements TemplateDiagnostic, Diagnostic.Warning {

        /** Whether it doesn't go round the foot; otherwise the foot has play in it. */
        public boolean tight() {
            return hook < footRadius;
        }
    }

    /** Thin templates go with low-shank feet, thick ones with high-shank feet and longarms. */
    record ThicknessAgainstFoot(double thickness, boolean thin, Machine.FootType foot)
            implements TemplateDiagnostic, Diagnostic.Warning {}

    /** Parts of a fan's slots lie beyond its legs. */
    record SlotsBeyondLegs(double sweep, double legAngle) implements TemplateDiagnostic, Diagnostic.Warning {}
}
