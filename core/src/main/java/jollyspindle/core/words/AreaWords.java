package jollyspindle.core.words;

import jollyspindle.core.area.AreaArrangement;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.area.BlockFigure;
import jollyspindle.core.area.BlockFit;
import jollyspindle.core.area.BlockSize;
import jollyspindle.core.area.Ray;
import jollyspindle.core.code.Codes;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.AreaTypes;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.Template;

import java.util.ArrayList;
import java.util.Arrays;
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
            return Texts.plainly("area.gone", "number", id.number());
        }
        Area area = found.get();
        long alike = quilt.areas().stream()
                .filter(a -> a.getClass() == area.getClass())
                .count();
        String kind = ParamWords.text("area-kind." + AreaTypes.of(area).code());
        return alike > 1 ? Texts.plainly("area.numbered", "name", kind, "number", id.number()) : kind;
    }

    /** What a motif is called. */
    public static String name(AreaMotif motif) {
        return new Texts(new Words(TapeScale.SIXTEENTHS)).name(motif);
    }

    /** What stands round the centre, counted: {@code 12 arms}. */
    public static String counted(AreaMotif.Counted motif) {
        return Texts.counted(motif);
    }

    /** What a gallery calls several motifs together. */
    public static String name(AreaArrangement arrangement) {
        return Texts.name(arrangement);
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
        Optional<Template> template = job.template(placement.tool().templateId());
        return new Texts(words)
                .say(
                        "area.rotation",
                        "placement",
                        MotifWords.name(placement),
                        "ray",
                        ray,
                        "another",
                        before.filter(b -> b.tool().equals(placement.tool())).isEmpty(),
                        "template",
                        template.map(Template::name).orElseGet(() -> Texts.plainly("area.rotation.template")),
                        "guide",
                        template.flatMap(t -> t.cut().guide(placement.tool().guideId())),
                        "byHand",
                        placement.tool().isByHand(),
                        "over",
                        placement.pose().over(),
                        "registration",
                        words.registration(placement),
                        "turned",
                        before.filter(b -> !placement.tool().isByHand()).map(b -> PlacementWords.turned(placement, b)));
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
        return Texts.plainly(
                Codes.path(Area.Corners.Difficulty.class) + "." + Codes.of(difficulty),
                "corners",
                Area.MOST_CORNERS,
                "most",
                (int) QuiltRules.LONGEST);
    }

    /** A ray, and where it meets the edge: {@code ray 2, by halving: 2 1/16 generous right of the middle of the top}. */
    public String text(Ray ray) {
        return Texts.plainly("ray", "ray", ray, "corner", ray.from(), "place", place(ray));
    }

    /** Where a ray meets the edge, and how it is found: {@code 2 1/16 generous right of the middle of the top, by halving}. */
    public String where(Ray ray) {
        return Texts.plainly("ray.where", "ray", ray, "place", place(ray));
    }

    /** That all blocks together are larger than the body, in inches. */
    public String over(double across, double down, double wide, double high) {
        return new Texts(words).say("area.over", "across", across, "down", down, "wide", wide, "high", high);
    }

    /** How rays are found, as one goes about it: {@code Mark the middle lines and diagonals first; …}. */
    public String finding(AreaPlan.Turning turning) {
        Set<Ray.Found> how = turning.rays().stream().map(Ray::found).collect(Collectors.toSet());
        boolean read = how.remove(Ray.Found.READ);
        // Where the first is turned by some angle of its own, only its reading tells where it is.
        boolean turned = how.equals(Set.of(Ray.Found.STEPPED));
        return new Texts(words)
                .say(
                        "rays.found",
                        "read",
                        read,
                        "centred",
                        !how.isEmpty(),
                        "turned",
                        turned,
                        "halved",
                        how.contains(Ray.Found.HALVED),
                        "stepping",
                        turning.stepping());
    }

    /**
     * What is drawn on each of a letter's pieces before the first stitch: circles about the centre, lines across, or a grid; empty if
     * nothing is.
     *
     * @param plan the area's
     * @param letter of the pieces
     */
    public String toDraw(AreaPlan plan, char letter) {
        Optional<AreaPlan.Cloth> cloth = plan.pieces().stream()
                .filter(piece -> piece.letter() == letter)
                .map(AreaPlan.Piece::cloth)
                .findFirst();
        List<String> said = new ArrayList<>();
        cloth.ifPresent(there -> there.drawn().stream()
                .filter(Path::closed)
                .map(circle -> stopCircle(there, (Arc) circle.curves().get(0)))
                .forEach(said::add));
        List<String> grids = plan.diagnosed().stream()
                .filter(d -> d.letter() == letter && d.what() instanceof AreaDiagnostic.ShellGrid)
                .map(d -> new DiagnosticWords(words).text(d.what()))
                .toList();
        said.addAll(grids);
        if (grids.isEmpty()) {
            cloth.map(AreaWords::levels)
                    .filter(levels -> !levels.isEmpty())
                    .map(levels -> new Texts(words)
                            .say(
                                    "drawn-across",
                                    "lines",
                                    levels.size(),
                                    "heights",
                                    levels.stream().map(words::length).collect(Collectors.joining(", "))))
                    .ifPresent(said::add);
        }
        return String.join(" ", said);
    }

    private String stopCircle(AreaPlan.Cloth cloth, Arc circle) {
        return new Texts(words)
                .say(
                        "stop-circle",
                        "radius",
                        circle.radius(),
                        "corner",
                        Arrays.stream(AreaMotif.Corner.values())
                                .filter(corner ->
                                        corner.in(cloth.outline().box()).isAt(circle.centre()))
                                .findFirst());
    }

    /** How high the lines that are drawn across stand above a piece's lower seam, in inches, each once. */
    private static List<Double> levels(AreaPlan.Cloth cloth) {
        double seam = cloth.seam().box().bottom();
        List<Double> levels = new ArrayList<>();
        cloth.drawn().stream()
                .filter(path -> !path.closed() && path.box().height() < Tolerances.SAME_PLACE)
                .mapToDouble(path -> path.start().y() - seam)
                .sorted()
                .filter(level -> levels.isEmpty() || level - levels.get(levels.size() - 1) > Tolerances.SAME_PLACE)
                .forEach(levels::add);
        return levels;
    }

    private String place(Ray ray) {
        String side = Texts.plainly(
                "ray.side", "side", ray.side(), "across", ray.side().isAcross());
        if (Math.abs(ray.fromMiddle()) < Tolerances.ROUNDING) {
            return Texts.plainly("ray.in", "side", side);
        }
        String where = Texts.plainly("side-of." + Codes.of(ray.toward()), "of", side);
        return new Texts(words).say("ray.off", "distance", ray.fromMiddle(), "where", where);
    }

    /** How a figure comes out in blocks: {@code 3 to a row, 6 rows; comes out even}; sizes one after the other. */
    public String text(BlockFit fit) {
        String blocks = fit.blocks().stream()
                .map(b -> fit.blocks().size() > 1
                        ? Texts.plainly("block-fit.of-several", "size", size(b.size()), "fit", text(b))
                        : text(b))
                .collect(Collectors.joining(". "));
        return new Texts(words)
                .say(
                        "block-fit",
                        "blocks",
                        blocks,
                        "placements",
                        fit.placements(),
                        "stitched",
                        fit.stitched(),
                        "count",
                        fit.count(),
                        "density",
                        fit.density());
    }

    /** A block's size: {@code 4 1/2}, {@code 12 of 6 by 9}. */
    public String size(BlockSize size) {
        return new Texts(words)
                .say("block-size", "size", size, "several", size.count() > 1, "square", size.height() == size.width());
    }

    private String text(BlockFit.InBlock fit) {
        List<String> off = new ArrayList<>();
        if (isOff(fit.overAcross())) {
            off.add(Texts.plainly("block-fit.across", "by", off(fit.overAcross())));
        }
        if (isOff(fit.overUp())) {
            off.add(new Texts(words)
                    .say(
                            "block-fit." + Codes.of(fit.up()),
                            "by",
                            fit.up() == BlockFit.Up.SHARED ? off(fit.overUp()) : fit.overUp()));
        }
        return Texts.plainly(
                "block-fit.block",
                "counted",
                counted(fit),
                "off",
                off.isEmpty() ? Texts.plainly("block-fit.even") : String.join(", ", off));
    }

    private static boolean isOff(double over) {
        return Math.abs(over) >= Tolerances.CHALK;
    }

    /** {@code 1/8 to squeeze}. */
    private String off(double over) {
        return new Texts(words).say("block-fit.off", "over", over);
    }

    private static String counted(BlockFit.InBlock fit) {
        if (fit.motif() instanceof AreaMotif.Clamshells) {
            return Texts.plainly("block-fit.shells", "perRow", fit.perRow(), "rows", fit.rows());
        }
        Words.Thing figure = fit.motif() instanceof AreaMotif.Circles ? Words.Thing.CIRCLE : Words.Thing.SQUARE;
        return Texts.plainly(
                "block-fit.squares", "counted", Words.count(Math.round(fit.perRow()), figure), "rows", fit.rows());
    }

    /** What is stitched of this figure: {@code clamshells}. */
    public static String name(BlockFigure figure) {
        return Words.decapital(Texts.name(AreaMotifTypes.of(figure.motif())));
    }

    /** The template, and which of its edges: {@code Circle 3, stitching 3 1/2 across}. */
    public String name(BlockFit fit) {
        return new Texts(words)
                .say(
                        "block-fit." + Codes.of(fit.figure()),
                        "template",
                        fit.template().name(),
                        "radius",
                        fit.radius());
    }

    /** What comes of a letter's blocks: {@code 8 blocks: 24 lines, 24 placements, 8 starts, 120 inches}. */
    public static String text(AreaPlan.Sum sum, boolean blocks) {
        return Texts.plainly("area-sum", "sum", sum, "counted", blocks, "travelled", sum.travelled() >= 0.5);
    }
}
