package jollyspindle.desktop.control;

import jollyspindle.core.plan.MotifShown;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Motifs as small pictures of the very place that is looked at, with this quilter's templates. Each is laid out in turn away
 * from the window, and shown as soon as it is ready.
 *
 * @param <P> what they are laid out as
 */
public final class MotifGallery<P> extends VBox {

    private static final double WIDE = 270;

    /**
     * A motif to be had.
     *
     * @param code lasting
     * @param name as the quilter calls it
     * @param laidOut lays it out; called away from the window
     * @param taken what happens when it is chosen
     */
    public record Offered<P>(String code, String name, Supplier<MotifShown<P>> laidOut, Runnable taken) {}

    /** Draws what is laid out; nothing if there is nothing to see. */
    public interface Picture<P> {
        Optional<Node> draw(P plan, double wide);
    }

    private final Orientation orientation;
    private final Workbench bench;
    private final Look look;
    private final Picture<P> picture;
    private final BackgroundQueue work;

    /**
     * A gallery with nothing in it.
     *
     * @param id its cards' begin with it
     * @param orientation whether pictures stand beside what is said of them, or above
     */
    public MotifGallery(String id, Orientation orientation, Workbench bench, Look look, Picture<P> picture) {
        super(8);
        setId(id);
        this.orientation = orientation;
        this.bench = bench;
        this.look = look;
        this.picture = picture;
        work = new BackgroundQueue(id);
    }

    /** Shows motifs. */
    public void show(List<Offered<P>> motifs) {
        work.letGo();
        Gradually.fill(this, motifs.stream().map(motif -> () -> {
            Card card = new Card(motif);
            work.ask(motif.laidOut(), card::show);
            return card;
        }));
    }

    /** Says why there is nothing to choose from. */
    public void show(String why) {
        leave();
        getChildren().add(Labelled.wrapped(why, "reason"));
    }

    /** Stops what is still to be laid out. */
    public void leave() {
        Gradually.fill(this);
        work.letGo();
    }

    /** One motif. */
    private final class Card extends PictureCard {

        private final Pane content;
        private final Label name;

        Card(Offered<P> motif) {
            this(motif, orientation == Orientation.HORIZONTAL ? new HBox(8) : new VBox(2));
        }

        private Card(Offered<P> motif, Pane content) {
            super(
                    MotifGallery.this.getId() + "-" + motif.code(),
                    motif.name(),
                    content,
                    WIDE * look.scaleProperty().get());
            this.content = content;
            name = Labelled.wrapped(motif.name(), "card-title");
            VBox said = new VBox(2, name, Labelled.wrapped("…", "faint"));
            content.getChildren().add(said);
            setOnAction(e -> motif.taken().run());
        }

        void show(MotifShown<P> shown) {
            String takes = MotifWords.takes(shown);
            VBox said = new VBox(2);
            HBox.setHgrow(said, Priority.ALWAYS);
            if (!takes.isEmpty()) {
                said.getChildren().add(Labelled.wrapped(takes, "reason"));
            }
            shown.trouble().ifPresent(f -> said.getChildren()
                    .add(Labelled.wrapped(new FindingWords(bench.words()).text(f), "reason-warning")));
            Optional<Node> drawn =
                    picture.draw(shown.plan(), WIDE * look.scaleProperty().get());
            if (orientation == Orientation.HORIZONTAL) {
                said.getChildren().add(0, name);
                content.getChildren().setAll(drawn.stream().toList());
            } else {
                content.getChildren().setAll(name);
                drawn.ifPresent(content.getChildren()::add);
            }
            content.getChildren().add(said);
            setAccessibleText(name.getText() + ". " + takes);
        }
    }
}
