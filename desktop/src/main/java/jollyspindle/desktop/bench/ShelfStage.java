package jollyspindle.desktop.bench;

import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.TemplatePicture;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;

import java.util.Optional;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The job's templates as pictures at one scale, recognised by their shape. */
public final class ShelfStage extends ScrollPane {

    private static final double SCALE = 27;

    private final Workbench bench;
    private final Look look;
    private final FlowPane cards = new FlowPane(14, 14);
    private final ToggleGroup group = new ToggleGroup();
    private final ReadOnlyStringWrapper shownId = new ReadOnlyStringWrapper();

    public ShelfStage(Workbench bench, Look look) {
        this.bench = bench;
        this.look = look;
        setId("shelf");
        setFitToWidth(true);
        cards.setRowValignment(VPos.TOP);
        Label note =
                new Label("Your templates, all drawn at one scale. Ochre is the acrylic with its engraved lines, the"
                        + " solid line is what the needle stitches with this job's foot.");
        note.setWrapText(true);
        note.getStyleClass().add("faint");
        VBox content = new VBox(12, note, cards);
        content.setStyle("-fx-padding: 16; -fx-background-color: -table;");
        content.setMinHeight(Region.USE_PREF_SIZE);
        setContent(content);
        setFitToHeight(true);
        bench.planProperty().addListener(o -> show());
        look.darkProperty().addListener(o -> show());
        show();
    }

    /** The id of the template whose facts the bench shows. */
    public ReadOnlyStringProperty shownIdProperty() {
        return shownId.getReadOnlyProperty();
    }

    private void show() {
        boolean gone = bench.job().shelf().stream().noneMatch(t -> t.id().equals(shownId.get()));
        if (gone) {
            shownId.set(bench.job()
                    .layout()
                    .templateId()
                    .or(() -> bench.job().shelf().stream().findFirst().map(ArcTemplate::id))
                    .orElse(null));
        }
        boolean focused = group.getSelectedToggle() instanceof ToggleButton b && b.isFocused();
        cards.getChildren().setAll(bench.job().shelf().stream().map(this::card).toList());
        if (focused && group.getSelectedToggle() instanceof ToggleButton b) {
            b.requestFocus();
        }
    }

    private Node card(ArcTemplate template) {
        Words words = bench.words();
        Label name = new Label(template.name());
        name.getStyleClass().add("heading");
        Label used = new Label(
                bench.job().template().map(ArcTemplate::id).equals(Optional.of(template.id())) ? "in use" : "");
        used.getStyleClass().add("chosen-flag");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label stitches =
                new Label(Words.capital(words.stitches(template, bench.job().machine())));
        Label label = new Label(Words.capital(words.label(template)));
        label.getStyleClass().add("faint");
        VBox content = new VBox(4, new HBox(name, gap, used));
        if (template.difficulty(bench.job().machine()).isEmpty()) {
            content.getChildren().add(TemplatePicture.draw(template, bench.job().machine(), words, look, SCALE));
        }
        content.getChildren().addAll(stitches, label);
        ToggleButton card = new ToggleButton();
        card.setGraphic(content);
        card.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        card.setId("shelf-" + template.id());
        card.setAccessibleText(template.name() + ", " + stitches.getText());
        card.getStyleClass().addAll("card", "choice");
        card.setToggleGroup(group);
        card.setSelected(template.id().equals(shownId.get()));
        card.setOnAction(e -> {
            card.setSelected(true);
            shownId.set(template.id());
        });
        return card;
    }
}
