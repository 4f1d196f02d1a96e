package jollyspindle.desktop.tape;

import jollyspindle.core.division.school.School;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.desktop.model.Gesture;
import jollyspindle.desktop.model.Workbench;

import java.util.Map;
import java.util.Optional;

/** A valley being dragged: shown at each step, remembered as one when it is let go. */
final class ValleyDrag {

    private final Workbench bench;
    private final RunPlan run;
    private final int valley;
    private double last = Double.NaN;
    private Gesture gesture;

    /**
     * A drag that hasn't moved yet.
     *
     * @param run as it was when the valley was taken
     */
    ValleyDrag(Workbench bench, RunPlan run, int valley) {
        this.bench = bench;
        this.run = run;
        this.valley = valley;
    }

    /**
     * Moves the valley.
     *
     * @param along the run, in inches
     * @return whether it can stand there
     */
    boolean to(double along) {
        if (along == last) {
            return true;
        }
        Optional<School> school = Pinning.pinned(run, valley, along);
        school.ifPresent(s -> {
            last = along;
            if (gesture == null) {
                gesture = bench.begin();
            }
            gesture.to(job -> job.choosing(Map.of(run.id(), s)));
        });
        return school.isPresent();
    }

    /** Lets go what was shown. */
    void drop() {
        if (gesture != null) {
            gesture.drop();
        }
    }

    void end() {
        if (gesture != null) {
            gesture.keep(Pinning.name(bench, valley, last));
        }
    }
}
