package jollyspindle.benchmarks;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Wish;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.StarterShelf;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Jobs to measure with, each with so many times the usual work. The quilts are made up. */
public enum LargeJobs {

    /** The demo; more work is more repeats to a side. */
    DEMO {
        @Override
        QuiltJob times(int times) {
            return DemoJob.heronWeir()
                    .editing(GroupId.border(1), l -> l.with(l.wish().withRepeat(Math.max(0.5, 7.0 / times))));
        }
    },

    /** A king-size quilt with four borders of nested arcs. */
    KING_SIZE {
        @Override
        QuiltJob times(int times) {
            Quilt quilt = square(88, 4, 5);
            QuiltJob job = job(quilt);
            for (int border = 1; border <= 4; border++) {
                Motif arcs = Motif.Arcs.single().withLines(3).withStep(0.5);
                Layer layer = Layer.of(arcs).withTemplate(Optional.of("orchard-hill"), Optional.of("bulging"));
                double repeat = 6.0 / times;
                job = job.editing(GroupId.border(border), l -> l.with(l.design().withMain(layer))
                        .with(Wish.about(Math.max(0.5, repeat))));
            }
            return job;
        }
    },

    /** Twelve by twelve blocks of 1 in shells with appliqués, and a hatched background; more work is more blocks. */
    SHELLS {
        @Override
        QuiltJob times(int times) {
            int columns = 12;
            int rows = 6 * times;
            double block = 6;
            List<Area> areas = new ArrayList<>();
            areas.add(new Area.Body(0));
            areas.add(new Area.Blocks(columns, rows, block, block, 0));
            for (int i = 0; i < 4 * times; i++) {
                int row = i / 4;
                Point centre = new Point((i % 4 - 1.5) * 3 * block, (row - times / 2.0 + 0.5) * block);
                areas.add(new Area.Applique(new Area.Ellipse(centre, 3, 2, i % 3), 0.25));
            }
            List<Area> some = areas.subList(0, Math.min(areas.size(), Area.MOST_AREAS));
            QuiltJob job = job(sized(80, rows * block + 8, 1, 5).withAreas(some));
            return job.with(new AreaId(1), AreaDesign.of(new AreaMotif.Crosshatch(1, Math.PI / 4), Optional.empty()))
                    .with(new AreaId(2), AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of("thatch-small")));
        }
    },

    /** Sixty-four arms in every block; more work is more blocks. */
    ARMS {
        @Override
        QuiltJob times(int times) {
            Quilt quilt = sized(80, 100, 1, 5).withAreas(List.of(new Area.Blocks(5, 2 * times, 12, 12, 0)));
            return job(quilt)
                    .with(
                            new AreaId(1),
                            AreaDesign.of(
                                    new AreaMotif.Arms(64, AreaMotif.Way.OUT_AND_BACK, 0.75),
                                    Optional.of("willow-arm")));
        }
    },

    /** A border hatched at 1/4; more work is a longer one. */
    HATCHED {
        @Override
        QuiltJob times(int times) {
            Layer hatch = Layer.of(new Motif.Crosshatch(0.25, Math.PI / 4, true, false));
            QuiltJob job = job(square(40.0 * times, 1, 6));
            return job.editing(
                    GroupId.border(1), l -> l.with(l.design().withMain(hatch)).with(Wish.about(6)));
        }
    };

    /** The job with so many times the usual work: 1, 2 or 4. */
    abstract QuiltJob times(int times);

    private static QuiltJob job(Quilt quilt) {
        return DemoJob.heronWeir()
                .withQuilt(quilt)
                .withTemplates(StarterShelf.templates())
                .withLayout(GroupId.border(1), RunLayout.of(Optional.of("orchard-hill"), 6));
    }

    private static Quilt square(double side, int borders, double depth) {
        return sized(side, side, borders, depth);
    }

    private static Quilt sized(double across, double down, int borders, double depth) {
        Quilt quilt = Quilt.unmeasured();
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), side.isAcross() ? across : down);
        }
        for (int border = 1; border <= borders; border++) {
            if (border > 1) {
                quilt = quilt.withBorderOutside(new Border(Corners.MITRED, false, OptionalDouble.empty()));
            }
            for (Side side : Side.values()) {
                quilt = quilt.with(Dimension.depth(border, side), depth);
            }
        }
        return quilt;
    }
}
