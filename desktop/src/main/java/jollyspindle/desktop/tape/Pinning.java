package jollyspindle.desktop.tape;

import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Pins valleys of a run by hand; the others spread between those that are pinned. */
final class Pinning {

    private Pinning() {}

    /** The run divided by hand with a valley at a place, in inches along it; nothing if it would pass a neighbour's pin. */
    static Optional<School> pinned(RunPlan run, int valley, double along) {
        // Pins are reckoned from where the corner leaves off.
        double left = run.division().cornerLeft();
        Map<Integer, Double> pins = pins(run);
        pins.put(valley, along - left);
        School school = new ByHand(run.division().divided().size(), pins);
        return school.divide(run.division().length() - left - run.division().cornerRight())
                .map(d -> school);
    }

    private static Map<Integer, Double> pins(RunPlan run) {
        return run.divided().school() instanceof ByHand hand ? new TreeMap<>(hand.pins()) : new TreeMap<>();
    }

    /**
     * Pins a valley.
     *
     * @return whether it could be
     */
    static boolean pin(Workbench bench, RunPlan run, int valley, double along) {
        Optional<School> school = pinned(run, valley, along);
        school.ifPresent(s -> bench.edit(name(bench, valley, along), job -> job.choosing(Map.of(run.id(), s))));
        return school.isPresent();
    }

    static String name(Workbench bench, int valley, double along) {
        return Said.say(bench.words(), "step.pinned", "number", valley, "place", along);
    }

    /** Lets a valley go again; with the last pin the run is divided evenly. */
    static void unpin(Workbench bench, RunPlan run, int valley) {
        Map<Integer, Double> pins = pins(run);
        if (pins.remove(valley) != null) {
            int count = run.division().divided().size();
            School school = pins.isEmpty() ? new Even(count) : new ByHand(count, pins);
            bench.edit(
                    Said.say("step.let-go", "number", valley, "run", bench.name(run.id())),
                    job -> job.choosing(Map.of(run.id(), school)));
        }
    }
}
