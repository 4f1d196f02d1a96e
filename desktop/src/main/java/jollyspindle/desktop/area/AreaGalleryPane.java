package jollyspindle.desktop.area;

import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.plan.AreaGallery;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.BackgroundQueue;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.PictureCard;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.function.Consumer;
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
    private final BackgroundQueue work = new BackgroundQueue("area-gallery");

    AreaGalleryPane(Workbench bench, Look look, Consumer<AreaPreset> choose) {
        super(8);
        this.bench = bench;
        this.look = look;
        this.choose = choose;
        setId("area-gallery");
    }

    /** Shows the motifs for an area. */
    void show(AreaId id) {
        leave();
        QuiltJob job = bench.job().offering(bench.shelf().templates());
        if (!job.quilt().missing().isEmpty() || bench.plan().shape().isEmpty()) {
            getChildren().add(Labelled.wrapped("Once the body is measured, the motifs are shown here.", "reason"));
            return;
        }
        Gradually.fill(
                this, AreaPreset.of(job.quilt().area(id).orElseThrow()).stream().map(preset -> () -> {
                    Card card = new Card(preset);
                    work.ask(() -> AreaGallery.entry(job, id, preset), card::show);
                    return card;
                }));
    }

    /** Stops what is still to be laid out. */
    void leave() {
        Gradually.fill(this);
        work.letGo();
    }

    /** One motif. */
    private final class Card extends PictureCard {

        private final HBox content;
        private final Label name;

        Card(AreaPreset preset) {
            this(preset, new HBox(8));
        }

        private Card(AreaPreset preset, HBox content) {
            super(
                    "area-gallery-" + preset.code(),
                    AreaWords.name(preset),
                    content,
                    WIDE * look.scaleProperty().get());
            this.content = content;
            name = Labelled.wrapped(AreaWords.name(preset), "card-title");
            content.getChildren().addAll(name);
            setOnAction(e -> choose.accept(preset));
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
                    + Words.count(entry.plan().marks().size(), Words.Thing.MARK) + ", "
                    + Words.count(entry.plan().placements().size(), Words.Thing.PLACEMENT) + ", "
                    + Words.count(entry.plan().starts(), Words.Thing.START);
        }
    }
}
