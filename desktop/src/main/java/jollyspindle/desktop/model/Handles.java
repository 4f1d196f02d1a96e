package jollyspindle.desktop.model;

import java.util.Arrays;
import java.util.List;

/** What can be dragged on the table, found once for what is shown. */
final class Handles {

    private final Workbench bench;

    private List<Object> handlesFor = List.of();
    private List<Knob> handles = List.of();

    Handles(Workbench bench) {
        this.bench = bench;
    }

    /** What can be dragged: sizes of areas while measuring; numbers of the chosen run, or of the piece looked at, while laying out. */
    List<Knob> now() {
        List<Object> asked = Arrays.asList(
                bench.plan(),
                bench.job(),
                bench.stageProperty().get(),
                bench.selection().whereProperty().get(),
                bench.areas().lookedProperty().get());
        if (!asked.equals(handlesFor)) {
            handlesFor = asked;
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
                : bench.run()
                        .map(r -> MotifHandles.of(bench.plan(), r).stream()
                                .map(h -> h.knob(r.frame(), r.id().group()))
                                .toList())
                        .orElse(List.of());
    }
}
