package jollyspindle.desktop.bench;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RingLayout;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.CandidateCard;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.application.Platform;
import javafx.beans.InvalidationListener;
import javafx.collections.FXCollections;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** How the border comes out even: template, wanted repeat, and the candidates as pictures. */
public final class LayOutBench extends VBox {

    private static final double PICTURE = 286;

    private final Workbench bench;
    private final Look look;
    private final ComboBox<ArcChoice> template = new ComboBox<>();
    private final LengthField wanted;
    private final VBox cards = new VBox(8);
    private final ToggleGroup group = new ToggleGroup();
    private final Label even = new Label("Comes out even as");
    private final ToggleButton showCandidates = new ToggleButton("Comes out even as");
    private final ToggleButton showArcs = new ToggleButton("How it lies");
    private final ScrollPane scroll = new ScrollPane();
    private final StackPane housed = new StackPane();
    private Shelf offeredFrom;
    private Optional<Template> offeredFor = Optional.empty();
    private boolean showing;
    private List<Candidate> shown = List.of();

    public LayOutBench(Workbench bench, Look look) {
        this.bench = bench;
        this.look = look;
        getStyleClass().add("bench-content");
        wanted = new LengthField(
                "wanted-repeat",
                "Repeat of about",
                false,
                () -> bench.job().tape(),
                this::objection,
                inches -> bench.edit(
                        "repeat of about " + bench.words().exact(inches.getAsDouble()),
                        job -> job.withWantedRepeat(inches.getAsDouble())));
        buildTemplate();
        Label label = new Label("Template");
        label.getStyleClass().add("length-label");
        label.setLabelFor(template);
        VBox templateBox = new VBox(1, label, template);
        HBox.setHgrow(templateBox, Priority.ALWAYS);
        wanted.prefWidthProperty().bind(look.scaleProperty().multiply(148));
        wanted.setMinWidth(USE_PREF_SIZE);
        HBox choices = new HBox(12, templateBox, wanted);
        even.getStyleClass().add("heading");
        ToggleGroup pills = new ToggleGroup();
        for (ToggleButton pill : List.of(showCandidates, showArcs)) {
            pill.getStyleClass().add("zero-button");
            pill.setToggleGroup(pills);
        }
        showCandidates.setId("show-candidates");
        showArcs.setId("show-arcs");
        showCandidates.setOnAction(e -> turnTo(false));
        showArcs.setOnAction(e -> turnTo(true));
        HBox heads = new HBox(8, even, showCandidates, showArcs);
        scroll.setContent(cards);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setId("candidates");
        scroll.setMinHeight(120);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox.setVgrow(housed, Priority.ALWAYS);
        housed.setAlignment(Pos.TOP_LEFT);
        getChildren().addAll(choices, heads, scroll, housed);
        house(null);
        // Its pictures take longer than a frame allows: they are drawn while they are looked at.
        InvalidationListener follow = o -> {
            if (bench.stageProperty().get() == WorkStage.LAY_OUT) {
                show();
            }
        };
        bench.planProperty().addListener(follow);
        bench.stageProperty().addListener(follow);
        bench.placementProperty().addListener((o, was, now) -> {
            // From one to another: the quilter is stepping. The first is shown without being asked for.
            if (was != null
                    && now != null
                    && was.side() == now.side()
                    && !housed.getChildren().isEmpty()) {
                turnTo(true);
            }
        });
        look.darkProperty().addListener(o -> redraw());
        look.scaleProperty().addListener(o -> redraw());
        show();
    }

    /**
     * Takes in what is said about the arcs, where the table has no room for it.
     *
     * @param callout to be shown in turn with the candidates; null to give it back
     */
    public void house(Node callout) {
        housed.getChildren().clear();
        if (callout != null) {
            housed.getChildren().add(callout);
        }
        boolean both = callout != null;
        show(even, !both);
        show(showCandidates, both);
        show(showArcs, both);
        turnTo(false);
    }

    private void turnTo(boolean arcs) {
        showArcs.setSelected(arcs);
        showCandidates.setSelected(!arcs);
        show(housed, arcs);
        show(scroll, !arcs);
    }

    private static void show(Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }

    private void redraw() {
        shown = List.of();
        show();
    }

    private Optional<String> objection(double inches) {
        Words words = bench.words();
        return inches >= RingLayout.SHORTEST_REPEAT && inches <= RingLayout.LONGEST_REPEAT
                ? Optional.empty()
                : Optional.of("A repeat lies between " + words.exact(RingLayout.SHORTEST_REPEAT) + " and "
                        + words.exact(RingLayout.LONGEST_REPEAT) + ".");
    }

    private void buildTemplate() {
        Choices.prepare(
                template,
                "template-choice",
                "The template every arc of the border is stitched with",
                List.of(),
                ArcChoice::name);
        template.setOnAction(e -> {
            ArcChoice chosen = template.getValue();
            if (!showing && chosen != null) {
                bench.use(chosen.template(), Optional.of(chosen.guideId()));
            }
        });
    }

    private void show() {
        showing = true;
        QuiltJob job = bench.job();
        if (bench.shelf() != offeredFrom || !job.chosenTemplate().equals(offeredFor)) {
            offeredFrom = bench.shelf();
            offeredFor = job.chosenTemplate();
            template.setItems(FXCollections.observableArrayList(ArcChoice.of(job, offeredFrom)));
        }
        Optional<ArcTemplate> arc = job.arc();
        template.setValue(template.getItems().stream()
                .filter(c -> arc.filter(c::is).isPresent())
                .findFirst()
                .orElse(null));
        wanted.show(OptionalDouble.of(job.layout().wantedRepeat()));
        candidates();
        showing = false;
    }

    private void candidates() {
        List<Candidate> candidates = bench.plan().candidates();
        if (!candidates.equals(shown) || cards.getChildren().isEmpty()) {
            shown = candidates;
            List<Node> next = new ArrayList<>();
            for (Candidate candidate : candidates) {
                CandidateCard card = new CandidateCard(
                        candidate,
                        bench,
                        look.palette(),
                        PICTURE * look.scaleProperty().get(),
                        next.isEmpty());
                card.setToggleGroup(group);
                next.add(card);
            }
            cards.getChildren().setAll(next);
            if (next.isEmpty()) {
                Label empty =
                        new Label("Measure the quilt first; then the ways it comes out even stand here, best first.");
                empty.setWrapText(true);
                empty.getStyleClass().add("faint");
                cards.getChildren().add(empty);
            }
        }
        cards.getChildren().forEach(node -> {
            if (node instanceof CandidateCard card) {
                card.show(bench.plan().chosen());
                if (card.isSelected()) {
                    Platform.runLater(() -> bringIntoView(card));
                }
            }
        });
    }

    private void bringIntoView(CandidateCard card) {
        double hidden = cards.getHeight() - scroll.getViewportBounds().getHeight();
        Bounds place = card.getBoundsInParent();
        double top = scroll.getVvalue() * hidden;
        boolean seen = place.getMinY() >= top - 1
                && place.getMaxY() <= top + scroll.getViewportBounds().getHeight() + 1;
        if (hidden > 0 && !seen) {
            scroll.setVvalue(Math.min(1, place.getMinY() / hidden));
        }
    }
}
