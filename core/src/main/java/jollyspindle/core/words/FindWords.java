package jollyspindle.core.words;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.Find;

import java.util.List;
import java.util.stream.Collectors;

/**
 * Says which templates do what is wanted.
 *
 * @param words for lengths
 */
public record FindWords(Words words) {

    /** What was asked for: {@code a span of 6 1/8 with room 5 1/2}. */
    public String wanted(Find.Wanted wanted) {
        if (wanted instanceof Find.Wanted.Span span) {
            return "a span of " + words.length(span.span()) + " with room " + words.length(span.room())
                    + span.rise().map(r -> " and rise " + words.length(r)).orElse("");
        }
        if (wanted instanceof Find.Wanted.Circle circle) {
            return "a stitched circle of diameter " + words.length(circle.diameter());
        }
        if (wanted instanceof Find.Wanted.Rings rings) {
            return "rings " + words.length(rings.gap()) + " apart, up to diameter " + words.length(rings.largest());
        }
        if (wanted instanceof Find.Wanted.Fan fan) {
            return "fans in a border " + words.length(fan.depth()) + " deep with a reserve of "
                    + words.length(fan.reserve());
        }
        if (wanted instanceof Find.Wanted.Block block) {
            return "a block of " + words.length(block.side());
        }
        return "a strip " + words.length(((Find.Wanted.Strip) wanted).width()) + " wide";
    }

    /** The answer above the matches: {@code 3 templates do it, best first: …}. */
    public String answer(Find find) {
        if (find.missing().isPresent()) {
            return missing(find.missing().get());
        }
        long templates =
                find.matches().stream().map(m -> m.template().id()).distinct().count();
        return (templates == 1 ? "1 template does it" : templates + " templates do it, best first") + ": "
                + wanted(find.wanted()) + ".";
    }

    /** A match with the edge that is meant, where the template has others: {@code Hole 2: diameter 1 3/4}. */
    public String match(Find.Match match) {
        Find.Change first = match.changes().get(0);
        boolean one = match.template().cut().guides().size() == 1
                || !(first instanceof Find.Change.Rises || first instanceof Find.Change.Diameter);
        String does = one
                ? changes(match)
                : Words.capital(ShelfWords.edge(match.guide())) + ": " + Words.decapital(changes(match));
        // What is left or goes beyond is said already.
        boolean told = first instanceof Find.Change.FanArcs || first instanceof Find.Change.ReachBeyond;
        return does + (told || match.off() < Tolerances.UNSAID ? "" : "; " + words.difference(match.off()) + " off");
    }

    /** A match in a line: {@code rise 2 7/8, 2 5/8 of room left; 1/4 tape on the back …}. */
    public String changes(Find.Match match) {
        return Words.capital(match.changes().stream().map(this::change).collect(Collectors.joining("; ")));
    }

    private String change(Find.Change change) {
        if (change instanceof Find.Change.Rises rises) {
            return "rise " + words.length(rises.rise()) + ", " + words.length(rises.roomLeft()) + " of room left";
        }
        if (change instanceof Find.Change.OverRoom over) {
            return words.difference(over.by()) + " into the reserve";
        }
        if (change instanceof Find.Change.OnSeam on) {
            return "on the seam " + words.register(on.register());
        }
        if (change instanceof Find.Change.Placements p) {
            return Words.count(p.count(), "placement") + " for each";
        }
        if (change instanceof Find.Change.Diameter d) {
            return "diameter " + words.length(d.diameter());
        }
        if (change instanceof Find.Change.Rings rings) {
            return "rings of " + sizes(rings.diameters())
                    + (rings.lacking() == 0 ? "" : ", " + Words.count(rings.lacking(), "smaller ring") + " lacking");
        }
        if (change instanceof Find.Change.With with) {
            return "together with " + with.other().name();
        }
        if (change instanceof Find.Change.FanArcs arcs) {
            return Words.count(arcs.count(), "arc") + ", the outermost " + words.length(arcs.outer()) + ", "
                    + words.length(arcs.left()) + " left"
                    + (arcs.swivels() == 0
                            ? ""
                            : ", up to " + Words.count(arcs.swivels(), "swivel") + " an arc with fans set close");
        }
        if (change instanceof Find.Change.ReachBeyond beyond) {
            return "reaches " + words.length(beyond.inches()) + " beyond the block's corners";
        }
        if (change instanceof Find.Change.ShellRows rows) {
            return shellsPerRow(rows.perRow()) + " a row and " + Words.count(rows.rows(), "row") + " rising "
                    + words.length(rows.rise()) + " each, " + words.length(rows.left()) + " left at the top";
        }
        if (change instanceof Find.Change.Repeats repeats) {
            return Words.count(repeats.count(), "row") + " of " + words.length(repeats.each())
                    + (Math.abs(repeats.stretch()) < Tolerances.UNSAID
                            ? ""
                            : ", " + words.difference(repeats.stretch())
                                    + (repeats.stretch() > 0 ? " stretched" : " squeezed") + " each");
        }
        double left = ((Find.Change.LeftBeside) change).inches();
        return Math.abs(left) < Tolerances.UNSAID
                ? "fills the strip"
                : left > 0
                        ? words.length(left) + " of the strip left"
                        : words.difference(left) + " wider than the strip";
    }

    private static String shellsPerRow(double shells) {
        long whole = (long) Math.floor(shells);
        if (shells == whole) {
            return Words.count(whole, "shell");
        }
        return (whole == 0 ? "" : whole + " ") + "1/2 shells";
    }

    private String sizes(List<Double> diameters) {
        if (diameters.size() <= 4) {
            return diameters.stream().map(words::length).collect(Collectors.joining(", "));
        }
        return words.length(diameters.get(0)) + ", " + words.length(diameters.get(1)) + " … "
                + words.length(diameters.get(diameters.size() - 1));
    }

    /** What size is missing: {@code No template … does this. …}. */
    public String missing(Find.Missing missing) {
        String none = "Nothing on the shelf does this. ";
        if (missing instanceof Find.Missing.StitchedRadius radius) {
            if (Double.isInfinite(radius.most())) {
                return none + "An arc would, that stitches a radius of " + words.length(radius.least()) + " or more.";
            }
            return none + "An arc would, that stitches a radius of " + words.length(radius.least()) + ".";
        }
        if (missing instanceof Find.Missing.StitchedDiameter d) {
            return none + "With this foot a hole cut " + words.length(d.hole()) + " wide would"
                    + (d.disc() > 0
                            ? ", or a disc of " + words.length(d.disc()) + "."
                            : "; no disc stitches a circle as small as that.");
        }
        if (missing instanceof Find.Missing.Set set) {
            boolean more = set.largest() > set.first() + 1.5 * set.step();
            return none + "A set of circles would, whose stitched diameters go " + words.length(set.first()) + ", "
                    + words.length(set.first() + set.step())
                    + (more ? " … " + words.length(set.largest()) : "") + ".";
        }
        if (missing instanceof Find.Missing.FanRadius fan) {
            return none
                    + (fan.atMost() > 0
                            ? "A fan would, whose innermost arc stitches a radius of " + words.length(fan.atMost())
                                    + " or less."
                            : "The reserve takes the whole border.");
        }
        if (missing instanceof Find.Missing.ForBlock block) {
            return none + "Shells of " + words.length(block.shells()) + " would, or an arm that reaches "
                    + words.length(block.reach()) + ".";
        }
        return none + "A strip template " + words.length(((Find.Missing.Height) missing).height())
                + " high would, or a circle of that diameter.";
    }
}
