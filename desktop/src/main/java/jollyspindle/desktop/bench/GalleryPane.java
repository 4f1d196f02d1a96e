package jollyspindle.desktop.bench;

import jollyspindle.core.motif.Preset;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.BackgroundQueue;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.PictureCard;
import jollyspindle.desktop.control.StitchingPicture;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.function.Consumer;
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
    private final BackgroundQueue work = new BackgroundQueue("gallery");

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
        work.letGo();
        QuiltJob job = bench.job().offering(bench.shelf().templates());
        RunId run = bench.selection().whereProperty().get();
        Gradually.fill(this, Preset.all().stream().map(preset -> () -> {
            Card card = new Card(preset);
            work.ask(() -> Gallery.entry(job, run, preset, place), card::show);
            return card;
        }));
    }

    /** One motif. */
    private final class Card extends PictureCard {

        private final VBox content;
        private final Label name;

        Card(Preset preset) {
            this(preset, new VBox(2));
        }

        private Card(Preset preset, VBox content) {
            super(
                    "gallery-" + preset.code(),
                    MotifWords.name(preset),
                    content,
                    WIDE * look.scaleProperty().get());
            this.content = content;
            name = new Label(MotifWords.name(preset));
            name.getStyleClass().add("card-title");
            content.getChildren().addAll(name, said("…", "faint"));
            setOnAction(e -> choose.accept(preset));
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
            return String.join(", ", templates) + "; " + Words.count(entry.marks(), Words.Thing.MARK) + ", "
                    + Words.count(entry.placements(), Words.Thing.PLACEMENT) + ", "
                    + Words.count(entry.starts(), Words.Thing.START);
        }
    }
}
