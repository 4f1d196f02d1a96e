package jollyspindle.core.plan;

import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.motif.LaidOut;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What to do on one run.
 *
 * @param frame of the run
 * @param divided its cells, and what stands on them
 * @param laidOut lines, marks and placements
 * @param chalkLines drawn before anything is stitched on it, or in the corners at its ends
 */
public record RunPlan(RunFrame frame, DividedRun divided, LaidOut laidOut, List<ChalkLine> chalkLines) {

    /**
     * Arcs of the run that are laid alike.
     *
     * @param template they are stitched with
     * @param fit of the first of them
     * @param arcs their numbers along the run, from 1
     */
    public record LaidAlike(ArcTemplate template, ArcFit fit, List<Integer> arcs) {}

    public RunId id() {
        return frame.id();
    }

    public RunDivision division() {
        return divided.division();
    }

    /** How the template suits the run's usual repeat; nothing if no arcs stand on the repeats. */
    public Optional<ArcFit> fit() {
        return divided.fit();
    }

    /** The run's arcs by how they are laid, the first first. */
    public List<LaidAlike> laidAlike() {
        List<LaidAlike> all = new ArrayList<>();
        int number = 0;
        for (Figure figure : divided.figures()) {
            int lines =
                    figure instanceof Figure.HalvesMeeting ? 2 : figure.arc().isPresent() ? 1 : 0;
            for (int i = 0; i < lines; i++) {
                add(all, figure.arcTemplate().orElseThrow(), figure.arc().orElseThrow(), ++number);
            }
        }
        return List.copyOf(all);
    }

    private static void add(List<LaidAlike> all, ArcTemplate template, ArcFit fit, int number) {
        for (LaidAlike group : all) {
            boolean alike = group.template().equals(template)
                    && Math.abs(group.fit().segment().chord() - fit.segment().chord()) < Tolerances.CHALK;
            if (alike) {
                group.arcs().add(number);
                return;
            }
        }
        all.add(new LaidAlike(template, fit, new ArrayList<>(List.of(number))));
    }
}
