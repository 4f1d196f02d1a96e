package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How what one template stitches comes out in blocks.
 *
 * @param figure what it stitches
 * @param template it is stitched with
 * @param radius of the template's edge that is stitched along, in inches; empty for shells
 * @param blocks how it comes out in each size
 */
public record BlockFit(BlockFigure figure, Template template, OptionalDouble radius, List<InBlock> blocks) {

    /** Squares stretched or squeezed by less than this part of them look alike (common practice, no source). */
    private static final double UNSEEN = 1.0 / 20;

    private static final Comparator<BlockFit> BEST_FIRST = Comparator.comparingLong(BlockFit::rank)
            .thenComparingInt(BlockFit::placements)
            .thenComparing(fit -> fit.template().id())
            .thenComparing(fit -> fit.radius().orElse(0));

    /** What becomes of what a block's height is off. */
    public enum Up {
        /** It is left at the top. */
        LEFT,
        /** A squeezed row lacks it. */
        MISSING,
        /** It is shared among all rows. */
        SHARED
    }

    /**
     * How it comes out in blocks of one size.
     *
     * @param size of the block
     * @param motif what is stitched in it
     * @param perRow how many to a row: shells, squares or circles
     * @param rows how many rows
     * @param overAcross what the block is wider than whole figures, or than whole and half shells, to be stretched over a row;
     *     below 0 what a row is squeezed by; in inches
     * @param overUp what the block is higher than whole rows, in inches; below 0 what they are squeezed by or lack
     * @param up what becomes of that
     * @param stitched length of all lines in one block, in inches
     * @param placements of the template in one block
     * @param lines in a block about the middle of the body
     */
    public record InBlock(
            BlockSize size,
            AreaMotif motif,
            double perRow,
            int rows,
            double overAcross,
            double overUp,
            Up up,
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
            return Math.abs(overAcross) + Math.abs(overUp);
        }

        /** What it is stretched or squeezed by, as a part of itself; the mean of both directions. */
        double stretch() {
            return (Math.abs(overAcross) / (size.width() - overAcross) + Math.abs(overUp) / (size.height() - overUp))
                    / 2;
        }
    }

    /**
     * Blocks of a size with it in place of the motif of the same kind, which keeps what has nothing to do with the size, or as
     * one more; nothing if squares would be too many or too small.
     */
    public Optional<AreaDesign.Part> in(AreaDesign.Part part, BlockSize size, Machine machine) {
        return figure.motif(size, radius, machine).map(motif -> {
            int place = 0;
            while (place < part.layers().size()
                    && !figure.motif().isInstance(part.layers().get(place).motif())) {
                place++;
            }
            AreaMotif fitted = place < part.layers().size()
                    ? kept(motif, part.layers().get(place).motif())
                    : motif;
            return part.withLayer(place, new AreaDesign.Layer(fitted, Optional.of(template.id())));
        });
    }

    private static AreaMotif kept(AreaMotif motif, AreaMotif there) {
        return motif instanceof AreaMotif.Peel wanted && there instanceof AreaMotif.Peel peel
                ? new AreaMotif.Peel(wanted.across(), wanted.down(), peel.inner())
                : motif instanceof AreaMotif.Clamshells ? there : motif;
    }

    /** What a block is off coming out even, on the mean of all of them; in inches. */
    public double off() {
        return blocks.stream().mapToDouble(b -> b.size().count() * b.off()).sum() / count();
    }

    /** What figures are stretched or squeezed by, as a part of their size; the mean of all, and of both directions. */
    public double stretch() {
        return blocks.stream().mapToDouble(b -> b.size().count() * b.stretch()).sum() / count();
    }

    /** Shells are left over or cut, and each bit shows; what all squares share is only seen from some size on. */
    private long rank() {
        return figure == BlockFigure.CLAMSHELLS
                ? Math.round(off() / Tolerances.UNSAID)
                : (long) Math.floor(stretch() / UNSEEN);
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
     * Which templates suit blocks, the best first: shells least off in both directions on the mean, squares least stretched or
     * squeezed in steps of a twentieth; then the fewest placements. Those that have no room in one of the sizes, would go more
     * than 20 times into a row or make squares no wider than the foot aren't listed.
     */
    public static List<BlockFit> of(
            BlockFigure figure, List<BlockSize> sizes, List<Template> templates, Machine machine, TapeScale tape) {
        List<BlockFit> fits = new ArrayList<>();
        for (Template template : templates) {
            if (!template.retired()) {
                EdgeCatalog tools = new EdgeCatalog(List.of(template), machine);
                for (OptionalDouble radius : figure.radii(template, tools)) {
                    of(figure, sizes, template, radius, tools, tape).ifPresent(fits::add);
                }
            }
        }
        fits.sort(BEST_FIRST);
        return fits;
    }

    private static Optional<BlockFit> of(
            BlockFigure figure,
            List<BlockSize> sizes,
            Template template,
            OptionalDouble radius,
            EdgeCatalog tools,
            TapeScale tape) {
        List<InBlock> blocks = new ArrayList<>();
        for (BlockSize size : sizes) {
            Optional<InBlock> fit = figure.motif(size, radius, tools.machine())
                    .flatMap(motif -> of(size, motif, template, radius, tools, tape));
            if (fit.isEmpty()) {
                return Optional.empty();
            }
            blocks.add(fit.get());
        }
        return Optional.of(new BlockFit(figure, template, radius, blocks));
    }

    private static Optional<InBlock> of(
            BlockSize size,
            AreaMotif motif,
            Template template,
            OptionalDouble radius,
            EdgeCatalog tools,
            TapeScale tape) {
        AreaPlan plan = AreaDesigner.layOut(
                new AreaId(1),
                new Area.Blocks(1, 1, size.width(), size.height(), 0),
                AreaDesign.of(motif, Optional.of(template.id())),
                AreaSurroundings.none(),
                new AreaRules(OptionalDouble.empty(), Integer.MAX_VALUE, false),
                tools,
                tape);
        if (plan.lines().isEmpty()) {
            return Optional.empty();
        }
        if (motif instanceof AreaMotif.Peel peel) {
            return Optional.of(shared(size, motif, peel.across(), peel.down(), radius, plan));
        }
        if (motif instanceof AreaMotif.Circles circles) {
            // The template may offer another size that lies nearer to a square that isn't one.
            return plan.lines().stream().allMatch(line -> isOf(line, radius.orElseThrow()))
                    ? Optional.of(shared(size, motif, circles.across(), circles.down(), radius, plan))
                    : Optional.empty();
        }
        return plan.diagnosed().stream()
                .map(AreaPlan.Diagnosed::what)
                .filter(AreaDiagnostic.Shells.class::isInstance)
                .map(AreaDiagnostic.Shells.class::cast)
                .findFirst()
                .map(shells -> shells(size, motif, shells, plan));
    }

    private static boolean isOf(StitchLine line, double radius) {
        return line.path().curves().stream()
                .allMatch(c -> c instanceof Arc arc && Math.abs(arc.radius() - radius) < Tolerances.ROUNDING);
    }

    private static InBlock shells(BlockSize size, AreaMotif motif, AreaDiagnostic.Shells shells, AreaPlan plan) {
        double halves = Math.rint(2 * shells.perRow());
        return new InBlock(
                size,
                motif,
                shells.perRow(),
                shells.rows(),
                (shells.perRow() - halves / 2) * size.width() / shells.perRow(),
                shells.squeezed() ? shells.over() - shells.rise() : shells.over(),
                shells.squeezed() ? Up.MISSING : Up.LEFT,
                stitched(plan),
                plan.placements().size(),
                plan.lines());
    }

    private static InBlock shared(
            BlockSize size, AreaMotif motif, int across, int down, OptionalDouble radius, AreaPlan plan) {
        double square = BlockFigure.classic(radius);
        return new InBlock(
                size,
                motif,
                across,
                down,
                size.width() - across * square,
                size.height() - down * square,
                Up.SHARED,
                stitched(plan),
                plan.placements().size(),
                plan.lines());
    }

    private static double stitched(AreaPlan plan) {
        return plan.sums().stream().mapToDouble(AreaPlan.Sum::stitched).sum();
    }
}
