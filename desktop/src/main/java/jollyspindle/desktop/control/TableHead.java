package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.material2.Material2AL;
import org.kordamp.ikonli.material2.Material2MZ;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** What lies on the worktable, and how near it is seen. */
public final class TableHead extends HBox {

    private final Workbench bench;

    public TableHead(Workbench bench, QuiltTable table) {
        this.bench = bench;
        Label what = new Label();
        what.setId("table-head");
        what.getStyleClass().add("heading");
        what.setMinWidth(60);
        what.managedProperty().bind(what.visibleProperty());
        // Beside the marks there is little room, and their own heading says it.
        what.visibleProperty().bind(bench.stageProperty().isNotEqualTo(WorkStage.MARK));
        Runnable show = () -> what.setText(
                bench.areas().isLooked()
                        ? area()
                        : bench.name(bench.selection().whereProperty().get()) + size());
        Soon soon = new Soon(this, show);
        bench.stageProperty().addListener(o -> soon.ask());
        bench.planProperty().addListener(o -> soon.ask());
        bench.selection().whereProperty().addListener(o -> soon.ask());
        bench.areas().lookedProperty().addListener(o -> soon.ask());
        soon.ask();
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        getChildren()
                .addAll(
                        what,
                        gap,
                        cloth(table),
                        tool("zoom-out", Material2MZ.ZOOM_OUT, "Zoom out (Ctrl+-)", () -> table.zoom(-1)),
                        tool("zoom-in", Material2MZ.ZOOM_IN, "Zoom in (Ctrl++)", () -> table.zoom(1)),
                        tool(
                                "zoom-side",
                                Material2AL.BORDER_OUTER,
                                "Show this side or block large (Ctrl+9)",
                                table::zoomToSide),
                        tool("zoom-fit", Material2AL.CROP_FREE, "Show the whole quilt (Ctrl+0)", table::fit));
        getStyleClass().add("table-head");
    }

    private ToggleButton cloth(QuiltTable table) {
        ToggleButton cloth = new ToggleButton(null, new FontIcon(Material2MZ.TEXTURE));
        String what = "As it will look, in cloth (F8)";
        cloth.setId("as-cloth");
        cloth.getStyleClass().add("table-tool");
        Tip.on(cloth, what);
        cloth.setAccessibleText(what);
        cloth.selectedProperty().bindBidirectional(table.asClothProperty());
        // Where lengths are measured and marks made, the drawing is needed.
        cloth.visibleProperty().bind(bench.stageProperty().isEqualTo(WorkStage.LAY_OUT));
        cloth.managedProperty().bind(cloth.visibleProperty());
        return cloth;
    }

    /** {@code Blocks, block 3 of 12, 9 by 9}. */
    private String area() {
        Words words = bench.words();
        int pieces = bench.areas().plan().map(a -> a.pieces().size()).orElse(1);
        Box box = bench.areas().piece().map(p -> p.cloth().seam().box()).orElse(null);
        AreaSelection.Looked looked = bench.areas().lookedProperty().get();
        return AreaWords.name(looked.id(), bench.plan().job().quilt())
                + (pieces > 1 ? Said.say("head.block", "number", looked.piece(), "all", pieces) : "")
                + (box == null
                        ? ""
                        : bench.areas().area().orElse(null) instanceof Area.Medallion
                                ? Said.say(words, "head.across", "width", box.width())
                                : Said.say(words, "head.by", "width", box.width(), "height", box.height()));
    }

    private String size() {
        return bench.plan()
                .shape()
                .flatMap(shape -> shape.find(bench.selection().whereProperty().get()))
                .map(run -> Said.say(bench.words(), "head.by", "width", run.length(), "height", run.depth()))
                .orElse(", not measured yet");
    }

    private static Button tool(String id, Ikon icon, String text, Runnable action) {
        return IconButtons.of(id, icon, "table-tool", text, action);
    }
}
