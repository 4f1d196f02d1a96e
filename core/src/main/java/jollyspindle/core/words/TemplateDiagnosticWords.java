package jollyspindle.core.words;

import jollyspindle.core.shelf.TemplateDiagnostic;

/**
 * Says what is the matter with a template.
 *
 * @param words for lengths
 */
public record TemplateDiagnosticWords(Words words) {

    /** What is the matter with a template, and what to do. */
    public String text(TemplateDiagnostic concern) {
        if (concern instanceof TemplateDiagnostic.HollowSmallerThanFoot c) {
            return Words.capital(ShelfWords.edge(c.guide())) + " has radius " + words.exact(c.edgeRadius())
                    + ", no more than the foot's " + words.exact(c.footRadius())
                    + ": the foot can't follow it, and there is nothing of this size to stitch.";
        }
        if (concern instanceof TemplateDiagnostic.LabelSmallerThanFoot c) {
            return "A size of " + words.exact(c.size())
                    + " as stitched is no larger than a foot, so no edge can stitch it. Is the label as cut?";
        }
        if (concern instanceof TemplateDiagnostic.SlotTooNarrow c) {
            return "The slots are " + words.exact(c.slotWidth()) + " wide, and the foot is "
                    + words.exact(c.footWidth()) + ": it doesn't get in.";
        }
        if (concern instanceof TemplateDiagnostic.BridgeCut c) {
            return "The slot " + words.exact(c.size())
                    + " runs into itself where the bridge should be. Check the sweep of the slots.";
        }
        if (concern instanceof TemplateDiagnostic.RunsInto c) {
            return "The sizes " + words.exact(c.size()) + " and " + words.exact(c.next())
                    + " run into each other on the acrylic. Check both, and what the label means.";
        }
        if (concern instanceof TemplateDiagnostic.ShellsTooNarrow c) {
            return "Shells of " + words.exact(c.width()) + " can't be made with a foot " + words.exact(c.footWidth())
                    + " wide: there is nothing left between two gaps.";
        }
        if (concern instanceof TemplateDiagnostic.NothingStitched) {
            return "The foot can follow none of its edges. Check the sizes, and what the label means.";
        }
        if (concern instanceof TemplateDiagnostic.CantFollowAll c) {
            return c.pieces() == 0
                    ? "The foot can't get along the " + ShelfWords.edge(c.guide()) + "."
                    : "Along the " + ShelfWords.edge(c.guide()) + " the foot gets stuck: the line is stitched in "
                            + c.pieces() + " pieces.";
        }
        if (concern instanceof TemplateDiagnostic.SweepShortOfHalfCircle c) {
            return "It is said to be a half circle, but only " + Words.degrees(c.usableSweep())
                    + " of its edge can be used. Measure the edge, or place it twice.";
        }
        if (concern instanceof TemplateDiagnostic.LineBeyondSweep c) {
            return Words.capital(new ShelfWords(words).line(c.line())) + " asks for " + Words.degrees(c.needed())
                    + " of the edge, and " + Words.degrees(c.usableSweep())
                    + " can be used: place it more than once there.";
        }
        if (concern instanceof TemplateDiagnostic.LineOffPlate c) {
            return Words.capital(new ShelfWords(words).line(c.line()))
                    + " would lie beside the acrylic. Check its value and what it means.";
        }
        if (concern instanceof TemplateDiagnostic.CheckDisagrees c) {
            return disagrees(c);
        }
        if (concern instanceof TemplateDiagnostic.GapTooNarrow c) {
            return "The gap is " + words.exact(c.gap()) + " wide, and the foot is " + words.exact(c.footWidth())
                    + ": it can't pass. Needle and foot up, and lift the template over. " + Cautions.MANUAL_FIRST;
        }
        if (concern instanceof TemplateDiagnostic.NoGap) {
            return "There is no gap to let the foot in: needle and foot up before it is dropped in or lifted. "
                    + Cautions.MANUAL_FIRST;
        }
        if (concern instanceof TemplateDiagnostic.HookDoesntFit c) {
            return "The hook has radius " + words.exact(c.hook()) + ", and the foot " + words.exact(c.footRadius())
                    + ": " + (c.hook() < c.footRadius() ? "it doesn't go round the foot." : "the foot has play in it.");
        }
        if (concern instanceof TemplateDiagnostic.ThicknessAgainstFoot c) {
            return "It is " + words.exact(c.thickness()) + " thick, one of the " + (c.thin() ? "thin" : "thick")
                    + " sort, and the machine has a " + ShelfWords.name(c.foot()) + ". "
                    + (c.thin()
                            ? "Thin templates go with low-shank feet."
                            : "Thick templates go with high-shank feet and longarms.")
                    + " A wrong pair lets the foot ride up over the template, or strikes the needle clamp. "
                    + Cautions.MANUAL_FIRST;
        }
        TemplateDiagnostic.SlotsBeyondLegs c = (TemplateDiagnostic.SlotsBeyondLegs) concern;
        return "The slots sweep " + Words.degrees(c.sweep()) + ", and the legs stand " + Words.degrees(c.legAngle())
                + " apart: check both.";
    }

    private String disagrees(TemplateDiagnostic.CheckDisagrees c) {
        String said = "On cloth it stitched " + ShelfWords.what(c.foretold().what()) + " " + words.exact(c.measured())
                + ", and by its label it should stitch "
                + words.length(c.foretold().inches()) + " with a foot of radius "
                + words.exact(c.footRadius()) + ".";
        return c.better() == null
                ? said + " Measure the template, the foot and the stitching again."
                : said + " It would fit if the label were " + ShelfWords.name(c.better()) + ": is it?";
    }
}
