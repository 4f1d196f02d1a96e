package jollyspindle.core.words;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.Tie;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Says findings and their remedies.
 *
 * @param words lengths are said with
 */
public record FindingWords(Words words) {

    /** The first of some findings after a sentence, with a space before it; nothing if there is none. */
    public String first(List<Finding> findings) {
        return findings.stream().findFirst().map(f -> " " + text(f)).orElse("");
    }

    /** What is the matter, in a sentence or two. */
    public String text(Finding finding) {
        if (finding instanceof Finding.NotMeasured missing) {
            return "Still to be measured: " + missing(missing.missing()) + ".";
        }
        if (finding instanceof Finding.SidesDontMeet) {
            return "With sides like these the corners can't be anything like square. Measure opposite sides again.";
        }
        if (finding instanceof Finding.NoTemplate) {
            return "No template with a round edge is chosen. Pick one on the shelf.";
        }
        if (finding instanceof Finding.TemplateUseless useless) {
            return useless.why() == ArcTemplate.Difficulty.HOLLOW_SMALLER_THAN_FOOT
                    ? useless.template() + " has a hollow of radius " + words.exact(useless.edgeRadius())
                            + ", and the foot's radius is " + words.exact(useless.footRadius())
                            + ": the foot can't follow it."
                    : useless.template() + " is labelled as stitched, but its radius is no larger than a foot's. Is the"
                            + " label as cut?";
        }
        if (finding instanceof Finding.TemplateTrouble about) {
            return about.template() + ": " + new TemplateDiagnosticWords(words).text(about.diagnostic());
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
                    : into.outermost()
                            ? "Crowns stand " + words.difference(into.by())
                                    + " into the reserve: the binding may cover them."
                            : "Crowns stand " + words.difference(into.by()) + " over the seam beyond.";
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
                    + (differ.eased()
                            ? ". Both are planned alike: the cloth takes the difference up while loading."
                            : ". That will show: measure both again, or ease the longer one in.");
        }
        if (finding instanceof Finding.Leans leans) {
            return "The diagonals differ by " + words.difference(leans.by()) + ": the quilt leans to the "
                    + (leans.by() > 0 ? "left" : "right") + ", its corners up to " + Words.degrees(leans.angle())
                    + " off square. Square it up, or ease it in while loading.";
        }
        if (finding instanceof Finding.DiagonalsDontFit dont) {
            return "The diagonals are " + words.difference(dont.by()) + (dont.by() > 0 ? " longer" : " shorter")
                    + " than these four sides allow. Measure sides and diagonals again.";
        }
        if (finding instanceof Finding.MotifTrouble trouble) {
            return MotifWords.name(trouble.motif()) + ": "
                    + Words.decapital(new MotifWords(words).text(trouble.diagnostic()));
        }
        if (finding instanceof Finding.CornerTrouble trouble) {
            return "Corner, " + Words.decapital(MotifWords.name(trouble.corner())) + ": "
                    + Words.decapital(new MotifWords(words).text(trouble.diagnostic()));
        }
        return dividing(finding);
    }

    /** What is the matter with how runs come out. */
    private String dividing(Finding finding) {
        DivisionWords said = new DivisionWords(words);
        if (finding instanceof Finding.CountsDiffer differ) {
            return Words.count(differ.here(), "repeat") + " here, " + differ.opposite()
                    + " on the opposite side. Opposite sides want the same count, even where they measure differently.";
        }
        if (finding instanceof Finding.StretchSeen seen) {
            return (seen.within() ? "Repeats of this run differ by " : "Repeats differ from side to side by up to ")
                    + words.difference(seen.by()) + ". More than " + words.difference(seen.unseen()) + " is seen.";
        }
        if (finding instanceof Finding.OddAtCorner odd) {
            return "At the corner stands a repeat of " + words.length(odd.width()) + " beside others of "
                    + words.length(odd.usual()) + ". Everybody sees one odd repeat at a corner.";
        }
        if (finding instanceof Finding.SteppingEndsOff off) {
            return "Stepping " + words.length(off.repeat()) + " off " + Words.count(off.count(), "time")
                    + " would end " + words.difference(off.ends()) + (off.ends() > 0 ? " long" : " short")
                    + ", since each step is rounded to the tape. Mark every place from one zero.";
        }
        if (finding instanceof Finding.NoSolution none) {
            return "Nothing comes out as wished: " + said.wish(none.wish()) + ". "
                    + (none.shortest() > 0
                            ? "With repeats from " + words.length(none.shortest()) + " to "
                                    + words.length(none.longest()) + " there is a way."
                            : "No count does it. Ask for less.");
        }
        if (finding instanceof Finding.FansDiffer fans) {
            return "Fans of " + fans.blades() + " arcs here, of " + fans.fewest()
                    + " elsewhere. The number of arcs, once chosen, holds for every fan of a quilt.";
        }
        if (finding instanceof Finding.AreaTrouble area) {
            String which = area.letter() == AreaDesign.PLAIN
                    ? "Left plain: "
                    : area.lettered() ? "Letter " + area.letter() + ": " : "";
            return which + new AreaWords(words).text(area.what());
        }
        if (finding instanceof Finding.CornersGiveWay corners) {
            return "The corners ask for " + DivisionWords.name(corners.ask()) + ", and this side has "
                    + Words.count(corners.count(), "figure")
                    + (corners.ask() == CornerAsk.HALVES ? " without halves at its ends." : ".")
                    + (corners.better().isPresent() ? "" : " What else is wished for leaves no such way.");
        }
        if (finding instanceof Finding.ChoiceGone gone) {
            return "The run of " + words.length(gone.length()) + " no longer comes out as chosen: "
                    + said.school(gone.chosen()) + ". It follows the best way until another is chosen.";
        }
        if (finding instanceof Finding.SpaceEmpty space) {
            return "A space of " + words.length(space.width()) + " "
                    + switch (space.why()) {
                        case OWN_MOTIF -> "in the middle is kept for a motif of its own.";
                        case CORNER -> "at each end is kept for the corner's motif.";
                        case DONT_MEET ->
                            "in the middle stays open: two half arcs come down to the seam before they meet.";
                        case NO_TEMPLATE -> "in the middle waits for its template, which this job has no copy of.";
                        default -> "is left plain.";
                    };
        }
        if (finding instanceof Finding.TieBroken broken) {
            return "This border is tied to border " + broken.tie().to()
                    + ", but can't follow it: that takes an even division there, with counts that "
                    + (broken.tie().ratio() == Tie.Ratio.HALF ? "can be halved." : "can be followed.");
        }
        if (finding instanceof Finding.SeamDiffers seam) {
            return "This seam measures " + words.difference(seam.by()) + (seam.by() > 0 ? " more" : " less")
                    + " than body and borders inside it add up to. Measure it again, or ease it in.";
        }
        return "The strip doesn't lie on the quilt. Check where it starts, its direction and its length.";
    }

    private static String missing(List<Dimension> missing) {
        Map<String, List<Dimension>> kinds = new LinkedHashMap<>();
        for (Dimension dimension : missing) {
            String what = dimension.kind() == Dimension.Kind.BODY
                    ? "the body"
                    : dimension.border() == 1 ? "the border's depth" : "the depth of border " + dimension.border();
            kinds.computeIfAbsent(what, w -> new ArrayList<>()).add(dimension);
        }
        return kinds.entrySet().stream()
                .map(e -> e.getKey()
                        + (e.getValue().size() == 4
                                ? " on all four sides"
                                : " at the "
                                        + e.getValue().stream()
                                                .flatMap(d -> d.side().stream())
                                                .map(Words::name)
                                                .collect(Collectors.joining(", "))))
                .collect(Collectors.joining("; "));
    }

    /** The remedy as a command, for a button. */
    public String text(Remedy remedy) {
        if (remedy instanceof Remedy.Measure measure) {
            return "Measure: " + Words.decapital(Words.name(measure.what()));
        }
        if (remedy instanceof Remedy.Divide divide) {
            return "Use " + new DivisionWords(words).schools(divide.schools());
        }
        if (remedy instanceof Remedy.FollowBest) {
            return "Follow the best way";
        }
        if (remedy instanceof Remedy.AllowRange range) {
            return "Allow " + words.length(range.shortest()) + " to " + words.length(range.longest());
        }
        if (remedy instanceof Remedy.Redesign || remedy instanceof Remedy.RedesignArea) {
            return "Change it so that it fits";
        }
        if (remedy instanceof Remedy.Untie) {
            return "Choose its counts by themselves";
        }
        if (remedy instanceof Remedy.Ease ease) {
            return "Plan " + (ease.side().isAcross() ? "top and bottom" : "right and left") + " "
                    + Words.name(ease.to());
        }
        if (remedy instanceof Remedy.SeeMarks) {
            return "See the readings";
        }
        if (remedy instanceof Remedy.TakeFromShelf) {
            return "Take the shelf's";
        }
        if (remedy instanceof Remedy.PutOnShelf) {
            return "Put it on the shelf";
        }
        return "Look at the shelf";
    }

    /** Where a finding stands, before it is said: {@code Top border: }, {@code Blocks: }; empty if it is about no place. */
    public static String where(Finding finding, Quilt quilt) {
        if (finding instanceof Finding.AreaTrouble area) {
            return AreaWords.name(area.area(), quilt) + ": ";
        }
        return finding.run().map(run -> Words.name(run, quilt) + ": ").orElse("");
    }

    public static String name(Finding.Severity severity) {
        return switch (severity) {
            case PROBLEM -> "To be settled";
            case WARNING -> "Take care";
            case NOTE -> "Note";
        };
    }
}
