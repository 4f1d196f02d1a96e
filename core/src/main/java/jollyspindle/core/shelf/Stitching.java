package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a template stitches with a foot: the curves, and the numbers beside them.
 *
 * @param template that is meant
 * @param footRadius in inches
 * @param cut the template's geometry
 * @param engraved where each engraved line lies, in the template's frame
 * @param lines what is stitched along each edge that can be followed, in the template's frame
 * @param facts the numbers, the most important first
 */
public record Stitching(
        Template template,
        double footRadius,
        Cut cut,
        List<Engraved> engraved,
        List<Line> lines,
        List<StitchFact> facts) {

    /**
     * An engraved line.
     *
     * @param strokes where it lies on the acrylic; none if it would lie beside it
     */
    public record Engraved(EngravedLine line, List<Path> strokes) {}

    /**
     * What is stitched along one edge.
     *
     * @param guide that edge
     * @param paths the needle's way; several where the foot can't get through from one to the next
     */
    public record Line(Guide guide, List<Path> paths) {}

    /** What a template stitches on a machine. */
    public static Stitching of(Template template, Machine machine) {
        return of(template, machine.footRadius());
    }

    /**
     * What a template stitches with a foot.
     *
     * @param foot its radius in inches, over 0
     */
    public static Stitching of(Template template, double foot) {
        Cut cut = template.cut();
        List<Line> lines = new ArrayList<>();
        for (Guide guide : cut.guides()) {
            List<Path> paths = guide.stitched(foot);
            if (!paths.isEmpty()) {
                lines.add(new Line(guide, paths));
            }
        }
        return new Stitching(
                template,
                foot,
                cut,
                template.lines().stream()
                        .map(line -> new Engraved(line, template.strokes(line)))
                        .toList(),
                List.copyOf(lines),
                List.copyOf(new StitchFacts(template, foot, cut, lines).all()));
    }

    /** What is stitched along an edge; nothing if the foot can't follow it. */
    public Optional<Line> line(String guideId) {
        return lines.stream().filter(l -> l.guide().id().equals(guideId)).findFirst();
    }
}
