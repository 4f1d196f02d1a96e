package jollyspindle.core.inspection;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.Counts;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Looks at what a chosen candidate does on each side. */
public final class RunInspector {

    private RunInspector() {}

    /**
     * Inspects a candidate.
     *
     * @param chosen candidate
     * @param template it is stitched with
     * @param widest what that template spans, in inches
     * @param reserve the strip along the outer edge where nothing may be stitched, in inches
     * @param better counts that clear reserve and span on every side, if there are any
     */
    public static List<Finding> inspect(
            Candidate chosen, ArcTemplate template, double widest, double reserve, Optional<Counts> better) {
        Optional<Remedy> remedy =
                better.<Remedy>map(Remedy.UseCounts::new).or(() -> Optional.of(new Remedy.SeeShelf()));
        List<Finding> findings = new ArrayList<>();
        for (Side side : Side.values()) {
            Optional<ArcFit> fit = chosen.fit(side);
            if (fit.isEmpty()) {
                findings.add(new Finding.RepeatTooWide(side, chosen.repeat(side), widest, remedy));
            } else {
                inspect(side, fit.get(), template, reserve, remedy, findings);
            }
        }
        return findings;
    }

    private static void inspect(
            Side side,
            ArcFit fit,
            ArcTemplate template,
            double reserve,
            Optional<Remedy> remedy,
            List<Finding> findings) {
        if (!fit.fitsRoom()) {
            findings.add(new Finding.IntoReserve(side, fit.overRoom(), reserve, remedy));
        }
        // With an even number of parts the template never stands upright, and nothing is laid on the seam.
        if (fit.parts() % 2 == 1 && fit.register() instanceof SeamRegister.OffThePlate) {
            findings.add(new Finding.SeamOffPlate(side));
        }
        if (fit.parts() > 1) {
            findings.add(new Finding.SeveralPlacements(
                    side, fit.parts(), fit.segment().sweep(), template.usableSweep()));
        }
    }
}
