package jollyspindle.desktop.bench;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.BackgroundQueue;
import jollyspindle.desktop.control.CandidateCard;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Scope;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.application.Platform;
import javafx.collections.ListChangeListener;
import javafx.collections.SetChangeListener;
import javafx.geometry.Bounds;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The ways a border or strip comes out, best first, as pictures; to be chosen for all its sides or some, or compared. */
final class WaysPane extends VBox {

    private static final double PICTURE = 286;

    private final Workbench bench;
    private final Look look;
    private final VBox cards = new VBox(8);
    private final ToggleGroup group = new ToggleGroup();
    private final ScrollPane scroll = new ScrollPane();
    private final HBox scopes = new HBox(4);
    private final HBox picks = new HBox(12);
    private final Button compare = new Button();
    private List<Candidate> shown = List.of();
    private RunId shownFor;
    private Optional<TapeScale> shownTape = Optional.empty();
    private final BackgroundQueue inTurn = new BackgroundQueue("pictures of ways");
    private final Map<Candidate, Node> made = new IdentityHashMap<>();

    WaysPane(Workbench bench, Look look) {
        super(6);
        this.bench = bench;
        this.look = look;
        ToggleGroup together = new ToggleGroup();
        for (Scope scope : Scope.values()) {
            scopes.getChildren().add(scope(scope, together));
        }
        scopes.setAlignment(Pos.CENTER_LEFT);
        for (Side side : Side.values()) {
            picks.getChildren().add(pick(side));
        }
        compare.setId("compare");
        compare.setMaxWidth(Double.MAX_VALUE);
        compare.setOnAction(e -> bench.comparison()
                .shownProperty()
                .set(!bench.comparison().shownProperty().get()));
        bench.comparison().ways().addListener((ListChangeListener<Object>) c -> showCompare());
        bench.comparison().shownProperty().addListener(o -> showCompare());
        scroll.setContent(cards);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setId("candidates");
        scroll.setMinHeight(120);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(scopes, picks, compare, scroll);
        showCompare();
    }

    private Node scope(Scope scope, ToggleGroup together) {
        ToggleButton button = new ToggleButton(
                switch (scope) {
                    case ALL -> "all sides";
                    case OPPOSITE -> "pair";
                    case ONE -> "this side";
                    case PICKED -> "some";
                });
        button.setId("scope-" + scope.code());
        button.getStyleClass().add("zero-button");
        button.setToggleGroup(together);
        button.setSelected(scope == bench.selection().scopeProperty().get());
        Tip.on(button, Said.say("ways.scope", "scope", scope.code()));
        button.setOnAction(e -> {
            button.setSelected(true);
            bench.selection().scopeProperty().set(scope);
            if (scope == Scope.PICKED && bench.selection().picked().isEmpty()) {
                bench.selection()
                        .whereProperty()
                        .get()
                        .side()
                        .ifPresent(bench.selection().picked()::add);
            }
            showPicks();
        });
        return button;
    }

    private Node pick(Side side) {
        CheckBox box = new CheckBox(Words.name(side));
        box.setId("pick-" + Words.name(side));
        box.selectedProperty().addListener((o, was, is) -> {
            if (is) {
                bench.selection().picked().add(side);
            } else {
                bench.selection().picked().remove(side);
            }
        });
        // The last one stays: a way is for some side.
        bench.selection().picked().addListener((SetChangeListener<Side>) c -> {
            box.setSelected(bench.selection().picked().contains(side));
            box.setDisable(bench.selection().picked().equals(Set.of(side)));
        });
        return box;
    }

    private void showPicks() {
        boolean wanted = bench.selection().scopeProperty().get() == Scope.PICKED
                && !bench.groupId().strip();
        picks.setVisible(wanted);
        picks.setManaged(wanted);
    }

    private void showCompare() {
        int marked = bench.comparison().ways().size();
        boolean on = bench.comparison().shownProperty().get();
        compare.setVisible(marked > 1);
        compare.setManaged(marked > 1);
        compare.setText(on ? "Back to the quilt" : Said.say("ways.compare", "number", marked));
        for (Node node : cards.getChildren()) {
            if (node instanceof StackPane pane && pane.getChildren().get(1) instanceof CheckBox box) {
                box.setSelected(bench.comparison().ways().contains(((Candidate) box.getUserData()).schools()));
            }
        }
    }

    /** Forgets its pictures, since they look otherwise now. */
    void forget() {
        shown = List.of();
        made.clear();
        inTurn.letGo();
        Gradually.fill(cards);
    }

    void show() {
        Optional<GroupPlan> plan = bench.group();
        boolean border = !bench.groupId().strip();
        scopes.setVisible(border);
        scopes.setManaged(border);
        showPicks();
        List<Candidate> candidates = plan.map(GroupPlan::candidates).orElse(List.of());
        if (!candidates.equals(shown)
                || !bench.selection().whereProperty().get().equals(shownFor)
                || cards.getChildren().isEmpty()) {
            shown = candidates;
            if (!bench.selection().whereProperty().get().equals(shownFor)
                    || !Optional.of(bench.job().tape()).equals(shownTape)) {
                made.clear();
                inTurn.letGo();
            }
            shownTape = Optional.of(bench.job().tape());
            shownFor = bench.selection().whereProperty().get();
            // Cards of the same candidates are used again: a valley that is dragged changes but one.
            made.keySet().retainAll(identities(candidates));
            WorkPlan of = bench.plan();
            Gradually.fill(
                    cards,
                    candidates.stream()
                            .map(c -> () -> made.computeIfAbsent(c, way -> card(way, of, way == candidates.get(0)))));
            if (candidates.isEmpty()) {
                Label empty =
                        new Label("Measure the quilt first; then the ways it comes out even stand here, best first.");
                empty.setWrapText(true);
                empty.getStyleClass().add("faint");
                cards.getChildren().add(empty);
            }
        }
        cards.getChildren().forEach(this::showChosen);
        Gradually.whenFilled(() -> Platform.runLater(() -> cards.getChildren().stream()
                .filter(node -> card(node).isPresent() && card(node).get().isSelected())
                .findFirst()
                .ifPresent(this::bringIntoView)));
        showCompare();
    }

    private static Set<Candidate> identities(List<Candidate> candidates) {
        Set<Candidate> all = Collections.newSetFromMap(new IdentityHashMap<>());
        all.addAll(candidates);
        return all;
    }

    private static Optional<CandidateCard> card(Node node) {
        return node instanceof StackPane pane && pane.getChildren().get(0) instanceof CandidateCard card
                ? Optional.of(card)
                : Optional.empty();
    }

    private void showChosen(Node node) {
        card(node).ifPresent(card -> bench.group().ifPresent(card::show));
    }

    private Node card(Candidate candidate, WorkPlan plan, boolean best) {
        CandidateCard card = new CandidateCard(
                candidate,
                bench,
                plan,
                inTurn,
                look.palette(),
                PICTURE * look.scaleProperty().get(),
                best);
        card.setToggleGroup(group);
        CheckBox box = new CheckBox("compare");
        box.getStyleClass().add("faint");
        box.setId("compare-" + card.getId());
        box.setUserData(candidate);
        Tip.on(box, "Compare this way with others, side by side");
        box.setAccessibleText(Said.say("ways.compare-one", "way", card.getAccessibleText()));
        box.setOnAction(e -> bench.comparison().take(candidate, box.isSelected()));
        StackPane.setAlignment(box, Pos.TOP_RIGHT);
        StackPane.setMargin(box, new Insets(28, 8, 0, 0));
        StackPane pane = new StackPane(card, box);
        // Only the box itself takes clicks; beside it the card does.
        box.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        box.setSelected(bench.comparison().ways().contains(candidate.schools()));
        showChosen(pane);
        return pane;
    }

    private void bringIntoView(Node card) {
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
