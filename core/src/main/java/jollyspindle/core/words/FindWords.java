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

    private Texts texts() {
        return new Texts(words);
    }

    /** What was asked for: {@code a span of 6 1/8 with room 5 1/2}. */
    public String wanted(Find.Wanted wanted) {
        return texts().text(wanted);
    }

    /** The answer above the matches: {@code 3 templates do it, best first: …}. */
    public String answer(Find find) {
        if (find.missing().isPresent()) {
            return missing(find.missing().get());
        }
        long templates =
                find.matches().stream().map(m -> m.template().id()).distinct().count();
        return Texts.plainly("found", "templates", templates, "wanted", wanted(find.wanted()));
    }

    /** A match with the edge that is meant, where the template has others: {@code Hole 2: diameter 1 3/4}. */
    public String match(Find.Match match) {
        Find.Change first = match.changes().get(0);
        boolean one = match.template().cut().guides().size() == 1
                || !(first instanceof Find.Change.Rises || first instanceof Find.Change.Diameter);
        // What is left or goes beyond is said already.
        boolean told = first instanceof Find.Change.FanArcs || first instanceof Find.Change.ReachBeyond;
        return texts().say(
                        "found.match",
                        "edge",
                        !one,
                        "guide",
                        match.guide(),
                        "does",
                        changes(match),
                        "told",
                        told || match.off() < Tolerances.UNSAID,
                        "off",
                        match.off());
    }

    /** A match in a line: {@code rise 2 7/8, 2 5/8 of room left; 1/4 tape on the back …}. */
    public String changes(Find.Match match) {
        return Words.capital(match.changes().stream().map(texts()::text).collect(Collectors.joining("; ")));
    }

    /** How many shells there are to a row, whole or half ones. */
    static String shells(double shells) {
        long whole = (long) Math.floor(shells);
        return shells == whole ? Words.count(whole, Words.Thing.SHELL) : Texts.plainly("shells.half", "whole", whole);
    }

    /** Sizes in a row, the middle ones left out where there are many. */
    String sizes(List<Double> diameters) {
        return ShelfWords.some(diameters.stream().map(words::length).toList());
    }

    /** What size is missing: {@code No template … does this. …}. */
    public String missing(Find.Missing missing) {
        return texts().text(missing);
    }
}
