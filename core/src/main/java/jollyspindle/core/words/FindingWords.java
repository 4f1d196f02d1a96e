package jollyspindle.core.words;

import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.stream.Collectors;

/**
 * Says findings and their remedies.
 *
 * @param words lengths are said with
 */
public record FindingWords(Words words) {

    /** What is the matter, in a sentence or two. */
    public String text(Finding finding) {
        if (finding instanceof Finding.NotMeasured missing) {
            return "Still to be measured: "
                    + missing.missing().stream()
                            .map(d -> decapital(Words.name(d)))
                            .collect(Collectors.joining("; "))
                    + ".";
        }
        if (finding instanceof Finding.NoTemplate) {
            return "No template is chosen. Pick one on the shelf.";
        }
        if (finding instanceof Finding.TemplateUseless useless) {
            return useless.why() == ArcTemplate.Difficulty.HOLLOW_SMALLER_THAN_FOOT
                    ? useless.template() + " has a hollow of radius " + words.exact(useless.edgeRadius())
                            + ", and the foot's radius is " + words.exact(useless.footRadius())
                            + ": the foot can't follow it."
                    : useless.template() + " is labelled as stitched, but its radius is no larger than a foot's. Is the"
                            + " label as cut?";
        }
        if (finding instanceof Finding.RepeatTooWide wide) {
            return "A repeat of " + words.length(wide.repeat()) + " is wider than this template can span, which is "
                    + words.length(wide.widest()) + ".";
        }
        if (finding instanceof Finding.IntoReserve into) {
            return "Crowns stand " + words.difference(into.by()) + " into the reserve: the binding may cover them.";
        }
        if (finding instanceof Finding.SeamOffPlate) {
            return "The seam runs past the template's plate, so no line or tape can lie on it. Set the foot on the marks.";
        }
        if (finding instanceof Finding.SeveralPlacements several) {
            return "Each arc sweeps " + Words.degrees(several.sweep()) + ", and the edge is usable over "
                    + Words.degrees(several.usable()) + ": the template is placed "
                    + Words.count(several.parts(), "time") + " an arc.";
        }
        if (finding instanceof Finding.OppositeSidesDiffer differ) {
            return "The body's " + Words.name(differ.where()) + " is " + words.difference(differ.by())
                    + " longer than its " + Words.name(differ.where().opposite())
                    + ". That will show: measure both again, or ease the longer one in.";
        }
        if (finding instanceof Finding.Leans leans) {
            return "The diagonals differ by " + words.difference(leans.by()) + ": the quilt leans to the "
                    + (leans.by() > 0 ? "left" : "right") + ". Square it up, or ease it in while loading.";
        }
        double by = ((Finding.DiagonalsDontFit) finding).by();
        return "The diagonals are " + words.difference(by) + (by > 0 ? " longer" : " shorter")
                + " than these four sides allow. Measure sides and diagonals again.";
    }

    /** The remedy as a command, for a button. */
    public String text(Remedy remedy) {
        if (remedy instanceof Remedy.Measure measure) {
            return "Measure: " + decapital(Words.name(measure.what()));
        }
        if (remedy instanceof Remedy.UseCounts use) {
            return "Use " + Words.counts(use.counts());
        }
        return "Look at the shelf";
    }

    public static String name(Finding.Severity severity) {
        return switch (severity) {
            case PROBLEM -> "Problem";
            case WARNING -> "Take care";
            case NOTE -> "Note";
        };
    }

    private static String decapital(String text) {
        return text.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + text.substring(1);
    }
}
