package jollyspindle.desktop.area;

import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.plan.AreaGallery;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * All motifs as small pictures of the piece that is looked at, with this quilter's templates. Each is laid out in turn away
 * from the window, and shown as soon as it is ready.
 */
final class AreaGalleryPane extends VBox {

    private static final double PICTURE = 104;
    private static final double WIDE = 272;

    private final Workbench bench;
    private final Look look;
    private final Consumer<AreaPreset> choose;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "area-gallery");
        thread.setDaemon(true);
        return thread;
    });
    private volatile int asked;

    AreaGalleryPane(Workbench bench, Look look, Consumer<AreaPreset> choose) {
        super(8);
        this.bench = bench;
        this.look = look;
        this.choose = choose;
        setId("area-gallery");
    }

    /** Shows the motifs for an area. */
    void show(AreaId id) {
        getChildren().clear();
        int turn = ++asked;
        QuiltJob job = bench.job().offering(bench.shelf().templates());
        if (!job.quilt().missing().isEmpty() || bench.plan().shape().isEmpty()) {
            getChildren().add(Labelled.wrapped("Once the body is measured, the motifs are shown here.", "reason"));
            return;
        }
        for (AreaPreset preset : AreaPreset.of(job.quilt().areas().get(id.number() - 1))) {
            Card card = new Card(preset);
            getChildren().add(card);
            worker.execute(() -> {
                if (turn == asked) {
                    AreaGallery.Entry entry = AreaGallery.entry(job, id, preset);
                    Platform.runLater(() -> {
                        if (turn == asked) {
                            card.show(entry);
                        }
                    });
                }
            });
        }
    }

    /** Stops what is still to be laid out. */
    void leave() {
        asked++;
    }

    /** One motif. */
    private final class Card extends Button {

        private final HBox content = new HBox(8);
        private final Label name;

        Card(AreaPreset preset) {
            setId("area-gallery-" + preset.code());
            getStyleClass().add("card");
            setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
            setMaxWidth(Double.MAX_VALUE);
            name = Labelled.wrapped(AreaWords.name(preset), "card-title");
            content.getChildren().addAll(name);
            double wide = WIDE * look.scaleProperty().get();
            content.setMinWidth(wide);
            content.setMaxWidth(wide);
            setGraphic(content);
            setAccessibleText(name.getText());
            setOnAction(e -> choose.accept(preset));
        }

        /** Its labels wrap, which a button by itself doesn't reckon with. */
        @Override
        protected double computePrefHeight(double width) {
            return getInsets().getTop()
                    + content.prefHeight(content.getMaxWidth())
                    + getInsets().getBottom();
        }

        @Override
        protected double computeMinHeight(double width) {
            return computePrefHeight(width);
        }

        void show(AreaGallery.Entry entry) {
            VBox said = new VBox(2, name);
            HBox.setHgrow(said, Priority.ALWAYS);
            content.getChildren().clear();
            if (!entry.plan().lines().isEmpty()) {
                content.getChildren()
                        .add(AreaPicture.draw(
                                entry.plan().pieces().get(0).cloth().outline(),
                                entry.plan().lines(),
                                look.palette(),
                                PICTURE * look.scaleProperty().get()));
                said.getChildren().add(Labelled.wrapped(takes(entry), "reason"));
            }
            entry.trouble().ifPresent(f -> said.getChildren()
                    .add(Labelled.wrapped(new FindingWords(bench.words()).text(f), "reason-warning")));
            content.getChildren().add(said);
            setAccessibleText(name.getText() + ". " + takes(entry));
        }

        /** {@code Willow Arm; 9 marks, 8 placements, 1 start}. */
        private static String takes(AreaGallery.Entry entry) {
            List<String> templates = entry.templates();
            return (templates.isEmpty() ? "" : String.join(", ", templates) + "; ")
                    + Words.count(entry.plan().marks().size(), "mark") + ", "
                    + Words.count(entry.plan().placements().size(), "placement") + ", "
                    + Words.count(entry.plan().starts(), "start");
        }
    }
}
