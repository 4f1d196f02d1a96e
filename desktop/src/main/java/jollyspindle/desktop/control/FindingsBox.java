package jollyspindle.desktop.control;

import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;

import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What the plan finds, worst first, each with its remedy as a button. */
public final class FindingsBox extends VBox {

    private final Workbench bench;
    private final Consumer<Remedy> apply;

    /**
     * A list of findings.
     *
     * @param apply carries out a remedy
     */
    public FindingsBox(Workbench bench, Consumer<Remedy> apply) {
        super(6);
        this.bench = bench;
        this.apply = apply;
        setId("findings");
        bench.planProperty().addListener(o -> show());
        show();
    }

    private void show() {
        getChildren().clear();
        FindingWords said = new FindingWords(bench.words());
        for (Finding finding : bench.plan().findings()) {
            String where = finding.side().map(s -> " · " + Words.border(s)).orElse("");
            Label head = new Label(FindingWords.name(finding.severity()) + where);
            head.getStyleClass().add("region-name");
            Label text = new Label(said.text(finding));
            text.setWrapText(true);
            text.setMinHeight(USE_PREF_SIZE);
            VBox box = new VBox(head, text);
            box.getStyleClass()
                    .addAll("finding", "finding-" + finding.severity().name().toLowerCase(java.util.Locale.ROOT));
            finding.remedy().ifPresent(remedy -> {
                Button button = new Button(said.text(remedy));
                button.setId("remedy-" + finding.code());
                button.setWrapText(true);
                button.setOnAction(e -> apply.accept(remedy));
                box.getChildren().add(button);
            });
            getChildren().add(box);
        }
        if (getChildren().isEmpty()) {
            Label well = new Label("Nothing in the way: every crown clears the reserve.");
            well.getStyleClass().add("all-well");
            well.setWrapText(true);
            getChildren().add(well);
        }
    }
}
