package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.sewing.Tools;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * How the shells of one template come out in blocks.
 *
 * @param template they are stitched with
 * @param blocks how they come out in each size
 */
public record BlockFit(Template template, List<InBlock> blocks) {

    /** Differences that don't count, in inches. */
    private static final double ALIKE = 1.0 / 128;

    private static final Comparator<BlockFit> BEST_FIRST = Comparator.comparingLong(
                    (BlockFit fit) -> Math.round(fit.off() / ALIKE))
            .thenComparingInt(BlockFit::placements)
            .thenComparing(fit -> fit.template().id());

    /**
     * How they come out in blocks of one size.
     *
     * @param size of the block
     * @param shells how many to a row, and how many rows
     * @param overAcross what a row is off whole shells or a half at its end, to be stretched or squeezed over all of it, in
     *     inches
     * @param overUp what is left at the top, or what the squeezed row lacks, in inches
     * @param stitched length of all lines in one block, in inches
     * @param placements of the template in one block
     * @param lines in a block about the middle of the body
     */
    public record InBlock(
            BlockSize size,
            AreaTold.Shells shells,
            double overAcross,
            double overUp,
            double stitched,
            int placements,
            List<StitchLine> lines) {

        /** The block, about the middle of the body. */
        public Path outline() {
            Point corner = new Point(size.width() / 2, size.height() / 2);
            return Box.of(corner.times(-1), corner).outline();
        }

        /** What it is off a block that comes out even, in inches. */
        double off() {
            return overAcross + overUp;
        }
    }

    /** What a block is off coming out even, on the mean of all of them; in inches. */
    public double off() {
        return blocks.stream().mapToDouble(b -> b.size().count() * b.off()).sum() / count();
    }

    public int count() {
        return blocks.stream().mapToInt(b -> b.size().count()).sum();
    }

    /** Of the template, in all blocks. */
    public int placements() {
        return blocks.stream().mapToInt(b -> b.size().count() * b.placements()).sum();
    }

    /** Length of all lines in all blocks, in inches. */
    public double stitched() {
        return blocks.stream().mapToDouble(b -> b.size().count() * b.stitched()).sum();
    }

    /** How far the stitching goes, in inches to a square inch of the blocks. */
    public double density() {
        return stitched() / blocks.stream().mapToDouble(b -> b.size().cloth()).sum();
    }

    /**
     * Which shells suit blocks, the best first: those least off in both directions on the mean, then the fewest placements.
     * Templates that have no room in one of the sizes aren't listed.
     */
    public static List<BlockFit> of(List<BlockSize> sizes, List<Template> templates, Machine machine, TapeScale tape) {
        return templates.stream()
                .filter(t -> t.kind() == Kind.SCALLOP_ROW && !t.retired())
                .flatMap(t -> of(sizes, t, machine, tape))
                .sorted(BEST_FIRST)
                .toList();
    }

    private static Stream<BlockFit> of(List<BlockSize> sizes, Template template, Machine machine, TapeScale tape) {
        List<InBlock> blocks = new ArrayList<>();
        for (BlockSize size : sizes) {
            Optional<InBlock> fit = of(size, template, machine, tape);
            if (fit.isEmpty()) {
                return Stream.empty();
            }
            blocks.add(fit.get());
        }
        return Stream.of(new BlockFit(template, blocks));
    }

    private static Optional<InBlock> of(BlockSize size, Template template, Machine machine, TapeScale tape) {
        Area.Blocks block = new Area.Blocks(1, 1, size.width(), size.height(), 0);
        AreaPlan plan = AreaDesigner.layOut(
                new AreaId(1),
                block,
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of(template.id())),
                AreaSurroundings.none(),
                new AreaRules(OptionalDouble.empty(), Integer.MAX_VALUE),
                new Tools(List.of(template), machine),
                tape);
        return plan.told().stream()
                .map(AreaPlan.Told::what)
                .filter(AreaTold.Shells.class::isInstance)
                .map(AreaTold.Shells.class::cast)
                .findFirst()
                .map(shells -> new InBlock(
                        size,
                        shells,
                        Math.abs(shells.perRow() - Math.rint(2 * shells.perRow()) / 2) * size.width() / shells.perRow(),
                        shells.squeezed() ? shells.rise() - shells.over() : shells.over(),
                        plan.sums().stream().mapToDouble(AreaPlan.Sum::stitched).sum(),
                        plan.placements().size(),
                        plan.lines()));
    }
}
