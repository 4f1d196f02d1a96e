package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.shelf.TemplateReport;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.TemplatePicture;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;

import java.util.Optional;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;

/** A template as a picture with its name and what it stitches, to be chosen or dragged onto the quilt's map. */
final class TemplateCard extends ToggleButton {

    private static final double NARROWEST = 178;

    /** With what it would do for what is wanted there is more to read. */
    private static final double NARROWEST_FOUND = 280;

    private final Template template;

    /**
     * A card.
     *
     * @param does what it would do for what is wanted; nothing while the whole shelf is shown
     * @param scale of its picture, in pixels to the inch
     */
    TemplateCard(Workbench bench, Look look, TemplateReport report, Optional<String> does, double scale) {
        template = report.template();
        ShelfWords words = new ShelfWords(bench.words());
        Stitching stitching = report.stitching();
        Label name = new Label(template.name());
        name.getStyleClass().add("card-title");
        name.setMinWidth(Region.USE_PREF_SIZE);
        Label flag = new Label(flag(bench, template));
        flag.getStyleClass().add("chosen-flag");
        flag.setMinWidth(Region.USE_PREF_SIZE);
        Region gap = new Region();
        gap.setMinWidth(8);
        HBox.setHgrow(gap, Priority.ALWAYS);
        javafx.scene.canvas.Canvas picture = TemplatePicture.draw(stitching, bench.words(), look, scale);
        VBox content = new VBox(3, new HBox(name, gap, flag), picture);
        double wide = Math.max(
                (does.isPresent() ? NARROWEST_FOUND : NARROWEST)
                        * look.scaleProperty().get(),
                picture.getWidth());
        boolean trouble = report.diagnostics().stream().anyMatch(TemplateDiagnostic::stops);
        String summary = Words.capital(words.summary(stitching));
        content.getChildren().add(text(does.orElse(summary), wide, "card-text"));
        if (does.isEmpty()) {
            content.getChildren().add(text(Words.capital(words.marked(template)), wide, "card-faint"));
        }
        if (trouble) {
            content.getChildren().add(text("Look at it: something can't be", wide, "card-warning"));
        }
        setGraphic(content);
        setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        setAccessibleText(template.name() + ", " + does.orElse(summary));
        getStyleClass().addAll("card", "choice");
        setOnDragDetected(e -> {
            startFullDrag();
            e.consume();
        });
    }

    Template template() {
        return template;
    }

    /** A text and no label, since a button doesn't ask its picture how high it is at its own width. */
    private static Text text(String said, double wide, String style) {
        Text text = new Text(said);
        text.setWrappingWidth(wide);
        text.getStyleClass().add(style);
        return text;
    }

    /** What is said of it beside its name. */
    static String flag(Workbench bench, Template template) {
        if (bench.job().layout().templateId().equals(Optional.of(template.id()))) {
            return "in use";
        }
        return template.retired() ? "retired" : "";
    }
}
