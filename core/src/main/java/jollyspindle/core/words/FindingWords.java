package jollyspindle.core.words;

import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

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

    /** Makes ready what the first sentence would have to wait for. */
    public static void prepare() {
        new FindingWords(new Words(TapeScale.SIXTEENTHS)).text(new Remedy.SeeMarks(RunId.of(Side.TOP)));
    }

    /** The first of some findings after a sentence, with a space before it; nothing if there is none. */
    public String first(List<Finding> findings) {
        return findings.stream().findFirst().map(f -> " " + text(f)).orElse("");
    }

    /** What is the matter, in a sentence or two. */
    public String text(Finding finding) {
        return new Texts(words).text(finding);
    }

    /** What is still to be measured, kind by kind. */
    static String missing(List<Dimension> missing) {
        Map<String, List<Dimension>> kinds = new LinkedHashMap<>();
        for (Dimension dimension : missing) {
            String what = dimension.kind() == Dimension.Kind.BODY
                    ? Texts.plainly("dimensions.body")
                    : Texts.plainly("dimensions.depth", "border", dimension.border());
            kinds.computeIfAbsent(what, w -> new ArrayList<>()).add(dimension);
        }
        return kinds.entrySet().stream()
                .map(e -> Texts.plainly(
                        "dimensions.missing",
                        "which",
                        e.getKey(),
                        "all",
                        e.getValue().size() == Side.values().length,
                        "sides",
                        e.getValue().stream()
                                .flatMap(d -> d.side().stream())
                                .map(Words::name)
                                .collect(Collectors.joining(", "))))
                .collect(Collectors.joining("; "));
    }

    /** The remedy as a command, for a button. */
    public String text(Remedy remedy) {
        return new Texts(words).text(remedy);
    }

    /** Where a finding stands, before it is said: {@code Top border: }, {@code Blocks: }; empty if it is about no place. */
    public static String where(Finding finding, Quilt quilt) {
        return finding instanceof Finding.AreaTrouble area
                ? at(AreaWords.name(area.area(), quilt))
                : finding.run().map(run -> at(Words.name(run, quilt))).orElse("");
    }

    public static String name(Finding.Severity severity) {
        return Texts.name(severity);
    }

    private static String at(String where) {
        return Texts.plainly("finding.at", "where", where);
    }
}
