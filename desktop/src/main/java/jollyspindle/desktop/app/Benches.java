package jollyspindle.desktop.app;

import jollyspindle.desktop.bench.LayOutBench;
import jollyspindle.desktop.bench.MarkBench;
import jollyspindle.desktop.bench.MeasureBench;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.shelf.ShelfBench;
import jollyspindle.desktop.shelf.ShelfModel;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;

/** The benches beside the table, one for each stage; each is made when it is first looked at. */
final class Benches {

    /** How wide the one is that the window opens with, in pixels. */
    static final double USUAL = 346;

    private final Workbench bench;
    private final Look look;
    private final Region window;
    private final Late<LayOutBench> layOut;
    private final Late<MeasureBench> measure;
    private final Late<ShelfBench> shelf;
    private final Map<WorkStage, Late<? extends Region>> all = new EnumMap<>(WorkStage.class);

    /**
     * Benches.
     *
     * @param window they stand in
     * @param housed what is shown on the bench where the table has no room for it; null where it has
     */
    Benches(
            Workbench bench,
            ShelfModel model,
            Look look,
            Region window,
            Supplier<Node> housed,
            Supplier<MeasureBench> measured) {
        this.bench = bench;
        this.look = look;
        this.window = window;
        layOut = new Late<>(() -> layOut(housed));
        measure = new Late<>(measured);
        shelf = new Late<>(() -> new ShelfBench(bench, model));
        all.put(WorkStage.MEASURE, new Late<>(() -> bench(measure.get(), 400)));
        all.put(WorkStage.SHELF, new Late<>(() -> bench(shelf.get(), 380)));
        all.put(WorkStage.LAY_OUT, layOut);
        all.put(WorkStage.MARK, new Late<>(this::marks));
    }

    /** A stage's bench, made if it isn't yet. */
    Region of(WorkStage stage) {
        return all.get(stage).get();
    }

    Late<LayOutBench> layOut() {
        return layOut;
    }

    MeasureBench measure() {
        return measure.get();
    }

    ShelfBench shelf() {
        return shelf.get();
    }

    private LayOutBench layOut(Supplier<Node> housed) {
        LayOutBench made = new LayOutBench(bench, look);
        made.getStyleClass().add("bench");
        widen(made, USUAL);
        made.house(housed.get());
        return made;
    }

    private MarkBench marks() {
        MarkBench marks = new MarkBench(bench);
        marks.getStyleClass().add("bench");
        // On a narrow window the list gives way, so that the quilt is still seen.
        marks.prefWidthProperty()
                .bind(Bindings.min(
                        look.scaleProperty().multiply(812),
                        window.widthProperty().subtract(468)));
        return marks;
    }

    private ScrollPane bench(Region content, double width) {
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("bench");
        widen(scroll, width);
        return scroll;
    }

    /** Gives a panel a width that grows with the type. */
    void widen(Region panel, double width) {
        panel.prefWidthProperty().bind(look.scaleProperty().multiply(width));
        panel.minWidthProperty().bind(look.scaleProperty().multiply(width));
    }
}
