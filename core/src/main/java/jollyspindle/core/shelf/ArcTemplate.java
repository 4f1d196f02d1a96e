package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One round edge of a template, ready to stitch arcs along: what the planner knows of it.
 *
 * <p>Its own frame has the origin at the centre of the edge's circle, and y points at the crown, so that the template turns
 * about the centre of the arc it stitches.
 *
 * @param templateId of the template it is an edge of
 * @param guideId of the edge on that template
 * @param name the template's
 * @param edge which way the edge curves
 * @param edgeRadius of the acrylic, in inches; not over 0 if its label makes no sense: {@link #difficulty} tells
 * @param usableSweep how much of the edge a foot can follow for one arc, in radians, centred on the crown; at most π
 * @param riseLines the engraved ones, from the crown down
 * @param centreLine whether its centre line is engraved
 * @param cut the whole template, in this edge's frame
 * @param thickness of the acrylic, in inches
 */
public record ArcTemplate(
        String templateId,
        String guideId,
        String name,
        ArcEdge edge,
        double edgeRadius,
        double usableSweep,
        List<RiseLine> riseLines,
        boolean centreLine,
        Cut cut,
        double thickness) {

    /**
     * A line engraved parallel to the chord.
     *
     * @param label what is printed at it, in inches
     * @param belowCrown from this edge's crown straight down to it, in inches
     */
    public record RiseLine(double label, double belowCrown) {}

    /** The bulging or the hollow edge of an arc, of a radius in inches. */
    public static ArcTemplate of(Template template, Cut cut, ArcEdge edge, double edgeRadius) {
        return cut.guides().stream()
                .filter(guide -> guide.round().filter(r -> r.edge() == edge).isPresent())
                .findFirst()
                .map(guide -> of(template, cut, guide))
                .orElseGet(() -> new ArcTemplate(
                        template.id(),
                        edge == ArcEdge.CONVEX ? "bulging" : "hollow",
                        template.name(),
                        edge,
                        edgeRadius,
                        Math.PI,
                        List.of(),
                        isCentred(template),
                        cut,
                        template.material().thickness()));
    }

    /** A round edge of another template. */
    public static ArcTemplate of(Template template, Cut cut, Guide guide) {
        Guide.Round round = guide.round().orElseThrow();
        Point by = round.centre().times(-1);
        double crown = round.centre().y() + round.radius();
        Guide.Round main = cut.main().flatMap(Guide::round).orElse(round);
        double mainCrown = main.centre().y() + main.radius();
        Cut moved = new Cut(cut.pieces().stream().map(p -> p.moved(by)).toList(), List.of());
        List<RiseLine> lines = template.lines().stream()
                .filter(line -> line.kind() == EngravedLine.Kind.RISE)
                .map(line -> new RiseLine(
                        line.value(),
                        crown - mainCrown + line.fromEdge(main.edge().footSign())))
                // A line that its label puts beside the acrylic can't be laid on anything.
                .filter(line -> !moved.chords(new Point(0, round.radius() - line.belowCrown()), new Point(1, 0), false)
                        .isEmpty())
                .sorted(Comparator.comparingDouble(RiseLine::belowCrown))
                .toList();
        return new ArcTemplate(
                template.id(),
                guide.id(),
                template.name(),
                round.edge(),
                round.radius(),
                Math.min(Math.PI, round.sweep()),
                lines,
                isCentred(template),
                moved,
                template.material().thickness());
    }

    private static boolean isCentred(Template template) {
        return template.lines().stream().anyMatch(line -> line.kind() == EngravedLine.Kind.CENTRE);
    }

    /** The radius the needle stitches with this machine's foot, in inches: the edge's offset by the foot's radius. */
    public double stitchedRadius(Machine machine) {
        return edgeRadius + edge.footSign() * machine.footRadius();
    }

    /** Why no arc can be stitched along this edge with this machine's foot. */
    public Optional<Difficulty> difficulty(Machine machine) {
        if (edgeRadius <= 0) {
            return Optional.of(Difficulty.LABEL_SMALLER_THAN_FOOT);
        }
        if (edge == ArcEdge.CONCAVE && edgeRadius <= machine.footRadius()) {
            return Optional.of(Difficulty.HOLLOW_SMALLER_THAN_FOOT);
        }
        return Optional.empty();
    }

    /** What makes an edge useless. */
    public enum Difficulty {
        /** The label is said to count the foot, but is no larger than the foot. */
        LABEL_SMALLER_THAN_FOOT,
        /** The foot can't follow a hollow of no more than its own radius. */
        HOLLOW_SMALLER_THAN_FOOT
    }

    /**
     * From the edge's crown straight down to what lies under the seam, for a stitched rise; in inches. Negative for a convex
     * template where the seam would pass above the acrylic.
     *
     * @param rise from the seam to the needle's crown, in inches
     */
    public double crownToSeam(double rise, Machine machine) {
        return rise - edge.footSign() * machine.footRadius();
    }

    /** What really stitches above the seam when a line lies on it, in inches. */
    public double stitchedRise(RiseLine line, Machine machine) {
        return line.belowCrown() + edge.footSign() * machine.footRadius();
    }

    /** The outlines of the acrylic in this edge's frame, each closed. */
    public List<Path> outlines() {
        return cut.pieces().stream().flatMap(p -> p.outlines().stream()).toList();
    }

    /**
     * Where something parallel to the chord lies on the plate, in this edge's frame; none where there is no acrylic.
     *
     * @param belowCrown from the edge's crown straight down, in inches
     */
    public List<Segment> strokesAt(double belowCrown) {
        return cut.chords(new Point(0, edgeRadius - belowCrown), new Point(1, 0), false);
    }
}
