package jollyspindle.core.plan;

import jollyspindle.core.division.EvenDivision;
import jollyspindle.core.motif.LaidOut;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;

/**
 * What to do on one run.
 *
 * @param frame of the run
 * @param division of it
 * @param fit of the template to one repeat
 * @param laidOut lines, marks and placements
 */
public record RunPlan(RunFrame frame, EvenDivision division, ArcFit fit, LaidOut laidOut) {

    public Side side() {
        return frame.side();
    }
}
