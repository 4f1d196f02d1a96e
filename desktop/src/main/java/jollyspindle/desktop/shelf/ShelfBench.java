package jollyspindle.desktop.shelf;

import jollyspindle.desktop.control.Deck;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Beside the shelf: the template that is looked at, or the machine's foot. */
public final class ShelfBench extends VBox {

    private final ToggleButton footPill = new ToggleButton("The foot");

    /**
     * A bench beside a shelf.
     *
     * @param model says which template is meant
     */
    public ShelfBench(Workbench bench, ShelfModel model) {
        getStyleClass().add("bench-content");
        Node template = new TemplateBench(bench, model);
        Node foot = new FootBench(bench, model);
        Deck deck = new Deck();
        deck.setAlignment(Pos.TOP_LEFT);
        ToggleButton templatePill = new ToggleButton("This template");
        ToggleGroup pills = new ToggleGroup();
        for (ToggleButton pill : List.of(templatePill, footPill)) {
            pill.getStyleClass().add("zero-button");
            pill.setToggleGroup(pills);
        }
        templatePill.setId("bench-template");
        footPill.setId("bench-foot");
        Runnable turn = () -> deck.show(footPill.isSelected() ? foot : template);
        templatePill.setOnAction(e -> {
            templatePill.setSelected(true);
            turn.run();
        });
        footPill.setOnAction(e -> {
            footPill.setSelected(true);
            turn.run();
        });
        templatePill.setSelected(true);
        turn.run();
        model.shownIdProperty().addListener(o -> templatePill.fire());
        getChildren().addAll(new HBox(8, templatePill, footPill), deck);
    }

    /** Turns to the foot. */
    public void showFoot() {
        footPill.fire();
    }
}
