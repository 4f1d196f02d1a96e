package jollyspindle.core.area;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.AreaId;

import java.util.List;

/**
 * What to do in an area.
 *
 * @param id of it
 * @param pieces how many blocks it has; 1 of a medallion
 * @param lines what is stitched, in order
 * @param marks in the area
 * @param placements in the order in which they are stitched
 * @param rays of arms, those of the first piece
 * @param told what there is to know, each once; with the number of the motif, from 1
 */
public record AreaPlan(
        AreaId id,
        int pieces,
        List<StitchLine> lines,
        List<Mark> marks,
        List<Placement> placements,
        List<Ray> rays,
        List<Told> told) {

    /**
     * What there is to know about one motif.
     *
     * @param layer which, from 1
     */
    public record Told(int layer, AreaTold what) {}

    public AreaPlan {
        lines = List.copyOf(lines);
        marks = List.copyOf(marks);
        placements = List.copyOf(placements);
        rays = List.copyOf(rays);
        told = List.copyOf(told);
    }

    /** How often the needle begins anew. */
    public int starts() {
        int starts = 0;
        StitchLine before = null;
        for (StitchLine line : lines) {
            boolean on = before != null
                    && (before.returns() ? before.path().start() : before.path().end())
                                    .distance(line.path().start())
                            < 1e-6;
            starts += on ? 0 : 1;
            before = line;
        }
        return starts;
    }
}
