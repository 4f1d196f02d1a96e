package jollyspindle.core.words;

import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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
                    + Stream.of(
                                    missing("the body", missing, Dimension.Kind.BODY),
                                    missing("the border's depth", missing, Dimension.Kind.DEPTH))
                            .filter(said -> !said.isEmpty())
                            .collect(Collectors.joining("; "))
                    + ".";
        }
        if (finding instanceof Finding.SidesDontMeet) {
            return "With sides like these the corners can't be anything like square. Measure opposite sides again.";
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
        if (finding instanceof Finding.TemplateConcern about) {
            return about.template() + ": " + new ConcernWords(words).text(about.concern());
        }
        if (finding instanceof Finding.ChangedOnShelf changed) {
            return changed.template() + " has changed on your shelf since this job took its copy. The job still plans"
                    + " with the copy.";
        }
        if (finding instanceof Finding.NotOnShelf missing) {
            return "The job brings its own copy of " + missing.template() + ", which isn't on your shelf.";
        }
        if (finding instanceof Finding.RepeatTooWide wide) {
            return "A repeat of " + words.length(wide.repeat()) + " is wider than this template can span, which is "
                    + words.length(wide.widest()) + ".";
        }
        if (finding instanceof Finding.IntoReserve into) {
            return into.offTheCloth()
                    ? "Crowns would run " + words.difference(into.by() - into.reserve()) + " off the quilt's edge."
                    : "Crowns stand " + words.difference(into.by()) + " into the reserve: the binding may cover them.";
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

    private static String missing(String what, Finding.NotMeasured finding, Dimension.Kind kind) {
        List<String> sides = Stream.of(Side.values())
                .filter(side -> finding.missing()
                        .contains(kind == Dimension.Kind.BODY ? Dimension.body(side) : Dimension.depth(side)))
                .map(Words::name)
                .toList();
        if (sides.isEmpty()) {
            return "";
        }
        return what + (sides.size() == 4 ? " on all four sides" : " at the " + String.join(", ", sides));
    }

    /** The remedy as a command, for a button. */
    public String text(Remedy remedy) {
        if (remedy instanceof Remedy.Measure measure) {
            return "Measure: " + Words.decapital(Words.name(measure.what()));
        }
        if (remedy instanceof Remedy.UseCounts use) {
            return "Use " + Words.counts(use.counts());
        }
        if (remedy instanceof Remedy.TakeFromShelf) {
            return "Take the shelf's";
        }
        if (remedy instanceof Remedy.PutOnShelf) {
            return "Put it on the shelf";
        }
        return "Look at the shelf";
    }

    public static String name(Finding.Severity severity) {
        return switch (severity) {
            case PROBLEM -> "To be settled";
            case WARNING -> "Take care";
            case NOTE -> "Note";
        };
    }
}
