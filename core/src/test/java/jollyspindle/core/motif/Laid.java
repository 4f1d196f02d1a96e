package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.RunPlan;

import java.util.List;

/** What was laid out as arcs, where each line is one. */
public final class Laid {

    private Laid() {}

    public static Arc arc(Placement placement) {
        return (Arc) placement.path().curves().get(0);
    }

    public static List<Arc> arcs(LaidOut laid) {
        return laid.lines().stream().map(l -> (Arc) l.path().curves().get(0)).toList();
    }

    public static List<Arc> arcs(RunPlan run) {
        return arcs(run.laidOut());
    }
}
