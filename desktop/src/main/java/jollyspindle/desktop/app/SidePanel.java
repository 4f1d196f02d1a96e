package jollyspindle.desktop.app;

import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.quilt.RunId;
import jollyspindle.desktop.control.FindingsBox;
import jollyspindle.desktop.control.RegionMap;
import jollyspindle.desktop.model.Workbench;

import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;

/** The quilt's map, and under it what to look at. */
final class SidePanel extends ScrollPane {

    /**
     * A panel.
     *
     * @param turnedTo what happens when the quilter turns to a run on the map
     * @param dropped takes what is let go over a side of the map, if it can
     * @param carryOut does what a finding's button says
     */
    SidePanel(Workbench bench, Consumer<RunId> turnedTo, Predicate<Object> dropped, Consumer<Remedy> carryOut) {
        Label heading = new Label("Quilt");
        heading.getStyleClass().add("heading");
        Label findings = new Label("To look at");
        findings.getStyleClass().addAll("heading", "section");
        VBox panel =
                new VBox(heading, new RegionMap(bench, turnedTo, dropped), findings, new FindingsBox(bench, carryOut));
        panel.getStyleClass().add("side-panel");
        setContent(panel);
        setFitToWidth(true);
        setFitToHeight(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
    }
}
