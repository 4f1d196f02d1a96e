package jollyspindle.desktop.model;

import jollyspindle.core.plan.WorkPlan;

import java.util.Arrays;
import java.util.List;

/** What can be dragged on the table, found once for what is shown. */
final class Handles {

    private final Workbench bench;

    /** The plan and the rest of what they were found for. */
    private WorkPlan foundIn;

    private List<Object> foundFor = List.of();
    private List<Knob> handles = List.of();

    Handles(Workbench bench) {
        this.bench = bench;
    }

    /** What can be dragged: sizes of areas while measuring; numbers of the chosen run, or of the piece looked at, while laying out. */
    List<Knob> now() {
        List<Object> asked = Arrays.asList(
                bench.job(),
                bench.stageProperty().get(),
                bench.selection().whereProperty().get(),
                bench.areas().lookedProperty().get());
        // Each plan is another, and to compare all its lines takes longer than to find what can be dragged.
        if (foundIn != bench.plan() || !asked.equals(foundFor)) {
            foundIn = bench.plan();
            foundFor = asked;
            handles = findHandles();
        }
        return handles;
    }

    private List<Knob> findHandles() {
        if (bench.stageProperty().get() == WorkStage.MEASURE
                && bench.plan().shape().isPresent()) {
            return AreaSizeKnobs.of(bench.job().quilt());
        }
        if (bench.stageProperty().get() != WorkStage.LAY_OUT) {
            return List.of();
        }
        return bench.areas().isLooked()
                ? bench.areas().knobs()
                : bench.run().map(r -> RunKnobs.of(bench.plan(), r)).orElse(List.of());
    }
}
