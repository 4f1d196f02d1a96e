package jollyspindle.core.words;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.area.BlockFigure;
import jollyspindle.core.area.BlockFit;
import jollyspindle.core.area.BlockSize;
import jollyspindle.core.area.Ray;
import jollyspindle.core.code.Codes;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Says what is stitched in areas of the body, and what is the matter there.
 *
 * @param words lengths are said with
 */
public record AreaWords(Words words) {

    /** {@code Medallion}, {@code Blocks}; with their number where there are several. */
    public static String name(AreaId id, Quilt quilt) {
        Optional<Area> found = quilt.area(id);
        if (found.isEmpty()) {
            // It has just been taken out; whoever still speaks of it will hear of that with the next plan.
            return "Area " + id.number();
        }
        Area area = found.get();
        long alike = quilt.areas().stream()
                .filter(a -> a.getClass() == area.getClass())
                .count();
        String kind = area instanceof Area.Blocks
                ? "Blocks"
                : area instanceof Area.Medallion ? "Medallion" : area instanceof Area.Body ? "Background" : "Appliqué";
        return kind + (alike > 1 ? " " + id.number() : "");
    }

    /** What a motif is called. */
    public static String name(AreaMotif motif) {
        return new Texts(new Words(TapeScale.SIXTEENTHS)).name(motif);
    }

    /** What a motif is called that a gallery offers, told from others of its kind. */
    public static String name(AreaPreset preset) {
        return new Texts(new Words(TapeScale.SIXTEENTHS)).name(preset);
    }

    /**
     * One placement of a rotation plan: {@code Arm 3, ray 3 at 60°; …; turned 30° to the right from how it lay}.
     *
     * @param ray that it lies on, if it lies on one
     * @param before the placement before, if there is one
     */
    public String rotation(QuiltJob job, Placement placement, Optional<Ray> ray, Optional<Placement> before) {
        String template = job.template(placement.tool().templateId())
                .map(t -> t.name()
                        + t.cut()
                                .guide(placement.tool().guideId())
                                .map(g -> ", " + ShelfWords.edge(g))
                                .orElse(""))
                .orElse("template");
        boolean another = before.filter(b -> b.tool().equals(placement.tool())).isEmpty();
        return MotifWords.name(placement)
                + ray.map(r -> ", ray " + r.number() + " at " + Words.degrees(r.angle()))
                        .orElse("")
                + (another ? "; " + template : "") + (placement.pose().over() ? ", face down" : "") + "; "
                + words.registration(placement)
                + before.map(b -> "; " + PlacementWords.turned(placement, b)).orElse("") + ".";
    }

    /** A motif in a few words: {@code 8 arms, each out and back}. */
    public String text(AreaMotif motif) {
        return new Texts(words).text(motif);
    }

    public static String name(AreaMotif.Corner corner) {
        return ParamWords.text("area.corner-rays.corner." + Codes.of(corner));
    }

    /** Why corners in this order are no outline of an appliqué. */
    public static String difficulty(Area.Corners.Difficulty difficulty) {
        return switch (difficulty) {
            case COUNT -> "an appliqué has 3 to " + Area.MOST_CORNERS + " corners.";
            case FAR -> "a corner lies more than " + (int) QuiltRules.LONGEST + " from the quilt's middle.";
            case COINCIDENT -> "two corners that follow each other lie on the same place; leave one of them out.";
            case CROSSED ->
                "two of its sides cross. The corners should stand in the order in which they follow each other round it.";
        };
    }

    public static String name(Area.Shape shape) {
        return switch (shape) {
            case ROUND -> "round";
            case SQUARE -> "square";
            case OCTAGON -> "with eight sides";
        };
    }

    /** A ray, and where it meets the edge: {@code ray 2, by halving: 2 1/16 generous right of the middle of the top}. */
    public String text(Ray ray) {
        return "ray " + ray.number() + found(ray) + ": " + place(ray);
    }

    /** Where a ray meets the edge, and how it is found: {@code 2 1/16 generous right of the middle of the top, by halving}. */
    public String where(Ray ray) {
        return place(ray) + found(ray);
    }

    /** How rays are found, as one goes about it: {@code Mark the middle lines and diagonals first; …}. */
    public String finding(AreaPlan.Turning turning) {
        Set<Ray.Found> how = turning.rays().stream().map(Ray::found).collect(Collectors.toSet());
        // Where the first is turned by some angle of its own, only its reading tells where it is.
        boolean turned = how.equals(Set.of(Ray.Found.STEPPED));
        return (turned ? "Mark ray 1 by its reading" : "Mark the middle lines and the diagonals first")
                + (how.contains(Ray.Found.HALVED) ? ", and halve the space between two" : "")
                + turning.stepping()
                        .map(s -> "; step the others off with " + words.length(s.chord()) + " on a circle of radius "
                                + words.length(s.radius()) + " about the centre")
                        .orElse("")
                + ".";
    }

    /**
     * What is drawn for arms that stop short of the centre: {@code Draw a circle of radius 3/4 about the centre; …}. Empty
     * if none do, or if the circle is stitched.
     *
     * @param plan the area's
     * @param letter of the pieces
     * @param part what is stitched in them
     */
    public String stopCircles(AreaPlan plan, char letter, AreaDesign.Part part) {
        Set<String> said = new LinkedHashSet<>();
        for (int i = 0; i < part.layers().size(); i++) {
            int layer = i + 1;
            boolean missing = plan.diagnosed().stream()
                    .anyMatch(t -> t.letter() == letter
                            && t.layer() == layer
                            && t.what() instanceof AreaDiagnostic.RingMissing);
            if (part.layers().get(i).motif() instanceof AreaMotif.Arms arms
                    && arms.stop() > 0
                    && (!arms.circled() || missing)) {
                said.add("Draw a circle of radius " + words.length(arms.stop())
                        + " about the centre; the arms stop on it.");
            }
        }
        return String.join(" ", said);
    }

    private static String found(Ray ray) {
        return switch (ray.found()) {
            case USUAL -> "";
            case HALVED -> ", by halving";
            case STEPPED -> ", by stepping";
        };
    }

    private String place(Ray ray) {
        String side =
                "the middle of the " + Words.name(ray.side()) + (ray.side().isAcross() ? "" : " side");
        return Math.abs(ray.fromMiddle()) < Tolerances.ROUNDING
                ? "in " + side
                : words.length(Math.abs(ray.fromMiddle()))
                        + switch (ray.toward()) {
                            case TOP -> " above ";
                            case RIGHT -> " right of ";
                            case BOTTOM -> " below ";
                            case LEFT -> " left of ";
                        }
                        + side;
    }

    /** How a figure comes out in blocks: {@code 3 to a row, 6 rows; comes out even}; sizes one after the other. */
    public String text(BlockFit fit) {
        return fit.blocks().stream()
                        .map(b -> (fit.blocks().size() > 1 ? size(b.size()) + ": " : "") + text(b))
                        .collect(Collectors.joining(". "))
                + ". " + Words.count(fit.placements(), "placement") + " and " + Math.round(fit.stitched())
                + " inches of stitching in " + (fit.count() == 1 ? "a block" : "all " + fit.count()) + ", "
                + Math.round(fit.density() * 10) / 10.0 + " to the square inch";
    }

    /** A block's size: {@code 4 1/2}, {@code 12 of 6 by 9}. */
    public String size(BlockSize size) {
        return (size.count() > 1 ? size.count() + " of " : "")
                + words.length(size.width())
                + (size.height() == size.width() ? "" : " by " + words.length(size.height()));
    }

    private String text(BlockFit.InBlock fit) {
        List<String> off = new ArrayList<>();
        if (isOff(fit.overAcross())) {
            off.add(off(fit.overAcross()) + " across");
        }
        if (isOff(fit.overUp())) {
            off.add(
                    switch (fit.up()) {
                        case LEFT -> words.difference(fit.overUp()) + " left at the top";
                        case MISSING -> words.difference(-fit.overUp()) + " missing in the squeezed row";
                        case SHARED -> off(fit.overUp()) + " up";
                    });
        }
        return counted(fit) + "; " + (off.isEmpty() ? "comes out even" : String.join(", ", off));
    }

    private static boolean isOff(double over) {
        return Math.abs(over) >= Tolerances.CHALK;
    }

    /** {@code 1/8 to squeeze}. */
    private String off(double over) {
        return words.difference(Math.abs(over)) + (over > 0 ? " to stretch" : " to squeeze");
    }

    private static String counted(BlockFit.InBlock fit) {
        return fit.motif() instanceof AreaMotif.Clamshells
                ? TapeScale.EIGHTHS.read(fit.perRow()).text() + " to a row, " + Words.count(fit.rows(), "row")
                : Words.count(
                                (int) Math.rint(fit.perRow()),
                                fit.motif() instanceof AreaMotif.Circles ? "circle" : "square")
                        + " across, " + fit.rows() + " up";
    }

    /** What is stitched of this figure: {@code clamshells}. */
    public static String name(BlockFigure figure) {
        return Words.decapital(Texts.name(figure.kind()));
    }

    /** The template, and which of its edges: {@code Circle 3, stitching 3 1/2 across}. */
    public String name(BlockFit fit) {
        return fit.template().name()
                + switch (fit.figure()) {
                    case CLAMSHELLS -> "";
                    case PEEL ->
                        ", stitching a radius of " + words.length(fit.radius().orElseThrow());
                    case CIRCLES ->
                        ", stitching " + words.length(2 * fit.radius().orElseThrow()) + " across";
                };
    }

    /** What comes of a letter's blocks: {@code 8 blocks: 24 lines, 24 placements, 8 starts, 120 inches}. */
    public static String text(AreaPlan.Sum sum, boolean blocks) {
        return (blocks ? Words.count(sum.blocks(), "block") + ": " : "") + Words.count(sum.lines(), "line") + ", "
                + Words.count(sum.placements(), "placement") + ", " + Words.count(sum.starts(), "thread start") + ", "
                + Math.round(sum.stitched()) + " inches of stitching"
                + (sum.travelled() >= 0.5
                        ? " and " + Math.round(sum.travelled()) + " travelled in seams or over stitching"
                        : "");
    }
}
