package jollyspindle.desktop.bench;

import jollyspindle.core.motif.Preset;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.StitchingPicture;
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
import javafx.scene.layout.VBox;

/**
 * All motifs as small pictures of the run that is looked at, with this quilter's templates. Each is laid out in turn away
 * from the window, and shown as soon as it is ready.
 */
final class GalleryPane extends VBox {

    private static final double HIGH = 56;
    private static final double WIDE = 268;

    private final Workbench bench;
    private final Look look;
    private final Consumer<Preset> choose;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "gallery");
        thread.setDaemon(true);
        return thread;
    });
    private volatile int asked;

    GalleryPane(Workbench bench, Look look, Consumer<Preset> choose) {
        super(8);
        this.bench = bench;
        this.look = look;
        this.choose = choose;
        setId("gallery");
    }

    /**
     * Shows the gallery.
     *
     * @param place of the motif that is to be chosen, from 0
     */
    void show(int place) {
        getChildren().clear();
        int turn = ++asked;
        QuiltJob job = bench.job().offering(bench.shelf().templates());
        RunId run = bench.whereProperty().get();
        for (Preset preset : Preset.all()) {
            Card card = new Card(preset);
            getChildren().add(card);
            worker.execute(() -> {
                if (turn != asked) {
                    return;
                }
                Gallery.Entry entry = Gallery.entry(job, run, preset, place);
                Platform.runLater(() -> {
                    if (turn == asked) {
                        card.show(entry);
                    }
                });
            });
        }
    }

    /** One motif. */
    private final class Card extends Button {

        private final VBox content = new VBox(2);
        private final Label name;

        Card(Preset preset) {
            setId("gallery-" + preset.code());
            getStyleClass().add("card");
            setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
            setMaxWidth(Double.MAX_VALUE);
            name = new Label(MotifWords.name(preset));
            name.getStyleClass().add("card-title");
            content.getChildren().addAll(name, said("…", "faint"));
            double wide = WIDE * look.scaleProperty().get();
            content.setMinWidth(wide);
            content.setMaxWidth(wide);
            setGraphic(content);
            setAccessibleText(MotifWords.name(preset));
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

        void show(Gallery.Entry entry) {
            content.getChildren().setAll(name);
            double wide = WIDE * look.scaleProperty().get();
            entry.run().filter(r -> !r.laidOut().lines().isEmpty()).ifPresent(r -> content.getChildren()
                    .add(StitchingPicture.draw(
                            r, look.palette(), wide, HIGH * look.scaleProperty().get())));
            String takes = takes(entry);
            if (!takes.isEmpty()) {
                content.getChildren().add(said(takes, "reason"));
            }
            entry.trouble().ifPresent(f -> content.getChildren()
                    .add(said(new FindingWords(bench.words()).text(f), "reason-warning")));
            setAccessibleText(name.getText() + ". " + takes);
        }

        private static Label said(String text, String style) {
            Label label = new Label(text);
            label.setWrapText(true);
            label.getStyleClass().add(style);
            return label;
        }

        /** {@code Orchard Hill; 9 marks, 10 placements, 1 start}. */
        private static String takes(Gallery.Entry entry) {
            if (entry.placements() == 0) {
                return "";
            }
            List<String> templates = entry.templates();
            return String.join(", ", templates) + "; " + Words.count((int) entry.marks(), "mark") + ", "
                    + Words.count(entry.placements(), "placement") + ", " + Words.count(entry.starts(), "start");
        }
    }
}
