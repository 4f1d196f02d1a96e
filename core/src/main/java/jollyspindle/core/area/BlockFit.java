package jollyspindle.core.area;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.sewing.Tools;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How the shells of one template come out in a block.
 *
 * @param template they are stitched with
 * @param shells how many to a row, and how many rows
 * @param overAcross what a row is off whole shells or a half at its end, to be stretched or squeezed over all of it, in
 *     inches
 * @param overUp what is left at the top, or what the squeezed row lacks, in inches
 * @param stitched length of all lines in the block, in inches
 * @param placements of the template
 * @param lines in a block about the middle of the body
 */
public record BlockFit(
        Template template,
        AreaTold.Shells shells,
        double overAcross,
        double overUp,
        double stitched,
        int placements,
        List<StitchLine> lines) {

    /** Differences that don't count, in inches. */
    private static final double ALIKE = 1.0 / 128;

    private static final Comparator<BlockFit> BEST_FIRST = Comparator.comparingLong(
                    (BlockFit fit) -> Math.round(fit.off() / ALIKE))
            .thenComparingInt(BlockFit::placements)
            .thenComparing(fit -> fit.template().id());

    /** What it is off a block that comes out even, in inches. */
    public double off() {
        return overAcross + overUp;
    }

    /** How far the stitching goes, in inches to a square inch of the block. */
    public double density(double width, double height) {
        return stitched / (width * height);
    }

    /**
     * Which shells suit a block, the best first: those least off in both directions, then the fewest placements. Templates
     * that have no room in it aren't listed.
     *
     * @param width of the block, in inches
     * @param height of the block, in inches
     */
    public static List<BlockFit> of(
            double width, double height, List<Template> templates, Machine machine, TapeScale tape) {
        return templates.stream()
                .filter(t -> t.kind() == Kind.SCALLOP_ROW && !t.retired())
                .flatMap(t -> of(width, height, t, machine, tape))
                .sorted(BEST_FIRST)
                .toList();
    }

    private static Stream<BlockFit> of(
            double width, double height, Template template, Machine machine, TapeScale tape) {
        AreaPlan plan = AreaDesigner.layOut(
                new AreaId(1),
                new Area.Blocks(1, 1, width, height, 0),
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of(template.id())),
                List.of(),
                new Tools(List.of(template), machine),
                tape);
        return plan.told().stream()
                .map(AreaPlan.Told::what)
                .filter(AreaTold.Shells.class::isInstance)
                .map(AreaTold.Shells.class::cast)
                .map(shells -> new BlockFit(
                        template,
                        shells,
                        Math.abs(shells.perRow() - Math.rint(2 * shells.perRow()) / 2) * width / shells.perRow(),
                        shells.squeezed() ? shells.rise() - shells.over() : shells.over(),
                        plan.lines().stream()
                                .mapToDouble(l -> l.path().length())
                                .sum(),
                        plan.placements().size(),
                        plan.lines()));
    }
}
