package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.sewing.Sewing;
import jollyspindle.core.sewing.Tools;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Lays out what is stitched in an area: in each of its blocks, or about the medallion's centre. */
public final class AreaDesigner {

    private AreaDesigner() {}

    /**
     * Lays a design out. What can't be done is told, and the rest is laid out all the same.
     *
     * @param inTheWay outlines that nothing is stitched in, see {@link #keptFree}
     */
    public static AreaPlan layOut(
            AreaId id, Area area, AreaDesign design, List<Path> inTheWay, Tools tools, TapeScale tape) {
        List<AreaSpace> spaces = AreaSpace.of(area, inTheWay);
        List<StitchLine> lines = new ArrayList<>();
        List<Mark> marks = new ArrayList<>();
        List<Placement> placements = new ArrayList<>();
        List<Ray> rays = new ArrayList<>();
        Set<AreaPlan.Told> told = new LinkedHashSet<>();
        for (AreaSpace space : spaces) {
            Marker marker = new Marker(
                    id,
                    spaces.size() == 1 ? "" : "block-" + space.number() + "-",
                    space.place(0, 0),
                    space.box().width(),
                    tape);
            Sewing sewing = new Sewing(id, marker);
            for (int i = 0; i < design.layers().size(); i++) {
                AreaDesign.Layer layer = design.layers().get(i);
                AreaLaying laying = new AreaLaying(space, sewing, tools, layer.templateId());
                sewing.begin(i + 1, 0);
                lay(laying, layer.motif());
                int number = i + 1;
                laying.told().forEach(what -> told.add(new AreaPlan.Told(number, what)));
                if (space.number() == 1) {
                    rays.addAll(laying.rays());
                }
            }
            lines.addAll(sewing.lines());
            placements.addAll(sewing.placements());
            Set<String> used = sewing.placements().stream()
                    .flatMap(Placement::marks)
                    .map(Mark::id)
                    .collect(Collectors.toSet());
            marker.marks().stream().filter(m -> used.contains(m.id())).forEach(marks::add);
        }
        for (int layer = 1; layer <= design.layers().size(); layer++) {
            int number = layer;
            boolean stitched = lines.stream().anyMatch(l -> l.layer() == number);
            boolean said =
                    told.stream().anyMatch(t -> t.layer() == number && t.what().stops());
            if (!stitched && !said) {
                told.add(new AreaPlan.Told(number, new AreaTold.NoRoom()));
            }
        }
        return new AreaPlan(id, spaces.size(), lines, marks, placements, rays, List.copyOf(told));
    }

    /** What is kept free of an appliqué: its outline with the clearance round it. */
    public static Path keptFree(Area.Applique applique) {
        return AreaSpace.grown(applique);
    }

    private static void lay(AreaLaying laying, AreaMotif motif) {
        if (motif instanceof AreaMotif.Arms arms) {
            new ArmsLayout(laying, arms).lay();
        } else if (motif instanceof AreaMotif.Rings rings) {
            new RingsLayout(laying, rings).lay();
        } else if (motif instanceof AreaMotif.Clamshells shells) {
            new ClamshellsLayout(laying, shells).lay();
        } else if (motif instanceof AreaMotif.Peel peel) {
            new PeelLayout(laying, peel).lay();
        } else if (motif instanceof AreaMotif.Quarters quarters) {
            new QuartersLayout(laying, quarters).lay();
        } else {
            new CrosshatchLayout(laying, (AreaMotif.Crosshatch) motif).lay();
        }
    }
}
