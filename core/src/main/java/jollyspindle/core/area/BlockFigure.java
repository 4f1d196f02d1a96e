package jollyspindle.core.area;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What fills a block from edge to edge in a size that comes from the template, so that some suit a block better than others. */
public enum BlockFigure {
    CLAMSHELLS(AreaMotif.Clamshells.class) {
        @Override
        List<OptionalDouble> radii(Template template, EdgeCatalog tools) {
            return template.kind() == Kind.SCALLOP_ROW ? List.of(OptionalDouble.empty()) : List.of();
        }

        @Override
        Optional<AreaMotif> motif(BlockSize size, OptionalDouble radius, Machine machine) {
            return Optional.of(new AreaMotif.Clamshells(0));
        }
    },

    /** As few squares as the arcs allow without crossing: the classic circle goes through a square's four corners. */
    PEEL(AreaMotif.Peel.class) {
        @Override
        List<OptionalDouble> radii(Template template, EdgeCatalog tools) {
            return tools
                    .arc(Optional.of(template.id()), Optional.empty())
                    .map(arc -> OptionalDouble.of(arc.stitchedRadius(tools.machine())))
                    .stream()
                    .toList();
        }

        @Override
        Optional<AreaMotif> motif(BlockSize size, OptionalDouble radius, Machine machine) {
            return counted(
                    size,
                    fewest(size.width(), classic(radius)),
                    fewest(size.height(), classic(radius)),
                    machine,
                    AreaMotif.Peel::new);
        }

        private int fewest(double length, double square) {
            return (int) Math.ceil(length / square - Tolerances.ROUNDING);
        }
    },

    /** The squares nearest to the classic ones that the circles still reach across. */
    CIRCLES(AreaMotif.Circles.class) {
        @Override
        List<OptionalDouble> radii(Template template, EdgeCatalog tools) {
            return tools.circles(Optional.of(template.id())).stream()
                    .map(StitchingEdge.Round::stitched)
                    .map(OptionalDouble::of)
                    .toList();
        }

        @Override
        Optional<AreaMotif> motif(BlockSize size, OptionalDouble radius, Machine machine) {
            int across = nearest(size.width(), radius);
            int down = nearest(size.height(), radius);
            // A single one overlaps nothing.
            return across * down < 2 ? Optional.empty() : counted(size, across, down, machine, AreaMotif.Circles::new);
        }

        private int nearest(double length, OptionalDouble radius) {
            int count = Math.max(1, (int) Math.rint(length / classic(radius)));
            return length / count < 2 * radius.orElseThrow() ? count : count + 1;
        }
    };

    /** More squares to a row than this nobody fills a block with. */
    static final int MOST_TO_A_ROW = 20;

    private final Class<? extends AreaMotif> motif;

    BlockFigure(Class<? extends AreaMotif> motif) {
        this.motif = motif;
    }

    /** The motif it is. */
    public Class<? extends AreaMotif> motif() {
        return motif;
    }

    private interface Grid {
        AreaMotif of(int across, int down);
    }

    /** The radii that a template stitches this figure with, in inches; empty for one whose size isn't a radius. */
    abstract List<OptionalDouble> radii(Template template, EdgeCatalog tools);

    /** What suits a block best; nothing if that would be too many, or squares no wider than the foot, which hides them. */
    abstract Optional<AreaMotif> motif(BlockSize size, OptionalDouble radius, Machine machine);

    /** The square whose four corners lie on the circle: R√2 wide (derived). */
    static double classic(OptionalDouble radius) {
        return radius.orElseThrow() * Math.sqrt(2);
    }

    private static Optional<AreaMotif> counted(BlockSize size, int across, int down, Machine machine, Grid grid) {
        double square = Math.min(size.width() / across, size.height() / down);
        return Math.max(across, down) > MOST_TO_A_ROW || square <= 2 * machine.footRadius()
                ? Optional.empty()
                : Optional.of(grid.of(across, down));
    }
}
