package jollyspindle.desktop.control;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.TableView;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;

/**
 * Fills panes a few nodes at a time. JavaFX makes the skins of all new controls, styles them and lays them out in one go; hundreds
 * of them, a stage seen for the first time, would make the window wait for as long. Here a moment takes as many as it has time
 * for, and the window answers in between. What came into the window last is filled first, so that all is filled from its
 * beginning. To be used in the window's thread.
 */
public final class Gradually {

    /** How long a moment may take, in nanoseconds; what is new is still to be drawn. */
    private static final long ENOUGH = 16_000_000;

    /** How far moments are apart, in milliseconds. */
    private static final double NEAREST = 16;

    private static final double FARTHEST = 120;
    private static final double LONG_PULSE = 30;
    private static final double EASED = 0.8;

    /** By how much a table grows at a time, in pixels: its head, or some rows. */
    private static final double STEP = 45;

    private static final int STEPS = 20;

    private static final Deque<Gradually> PENDING = new ArrayDeque<>();
    private static final List<Runnable> AFTER = new ArrayList<>();
    private static boolean set;
    private static double apart = FARTHEST / 2;

    /** When the present moment is over; all that fills panes in one step of the window's thread shares it. */
    private static long until;

    private static boolean begun;

    private final Node where;

    private final Deque<Runnable> rest;

    private Gradually(Node where, Stream<Runnable> steps) {
        this.where = where;
        this.rest = new ArrayDeque<>(steps.toList());
    }

    /** Exchanges all that is in a pane for these nodes, the first of them at once if there is time. */
    public static void fill(Pane pane, Node... nodes) {
        fill(pane, Arrays.stream(nodes).map(node -> () -> node));
    }

    /** Exchanges all that is in a pane for these nodes, each made when it has its turn. */
    public static void fill(Pane pane, Stream<? extends Supplier<? extends Node>> nodes) {
        List<? extends Supplier<? extends Node>> all = nodes.toList();
        pane.getChildren().clear();
        start(new Gradually(pane, all.stream().<Runnable>map(next -> () -> {
            Node node = next.get();
            pane.getChildren().add(node);
            style(node);
        })));
    }

    /** Exchanges all that is in a pane for these nodes, at once; what was still to come into it doesn't. */
    public static void atOnce(Pane pane, List<? extends Node> nodes) {
        start(new Gradually(pane, Stream.of()));
        pane.getChildren().setAll(nodes);
    }

    /**
     * Shows these nodes in a pane in place of others that were made for the same; what was still to come into it doesn't. Fields
     * that are alike stay, and take over at once what the new ones show: making them would take long, and somebody may be typing
     * in one. What is new comes in where it belongs, in turn with all else.
     */
    public static void renew(Pane pane, List<? extends Node> nodes) {
        List<Node> all = Renewal.of(pane.getChildren(), nodes);
        Set<Node> there = new HashSet<>(pane.getChildren());
        List<Node> kept = all.stream().filter(there::contains).toList();
        // What stays is never out of the window, not even for a moment: it would be styled anew, and lose the keyboard.
        pane.getChildren().removeIf(node -> !all.contains(node));
        if (!pane.getChildren().equals(kept)) {
            pane.getChildren().setAll(kept);
        }
        start(new Gradually(
                pane,
                IntStream.range(0, all.size())
                        .filter(i -> !there.contains(all.get(i)))
                        .mapToObj(i -> () -> {
                            pane.getChildren()
                                    .add(Math.min(i, pane.getChildren().size()), all.get(i));
                            style(all.get(i));
                        })));
    }

    /** Fills a pane anew with what it has. */
    public static void again(Pane pane) {
        fill(pane, pane.getChildren().toArray(Node[]::new));
    }

    /** Exchanges the rows of a table; where it had none, their cells are new and made a few at a time. */
    public static <T> void rows(TableView<T> table, List<T> rows) {
        boolean first = table.getItems().isEmpty();
        table.setItems(FXCollections.observableArrayList(rows));
        if (!first || !Soon.isApart()) {
            return;
        }
        // A table makes cells for all the room it has, whether it has rows for them or not.
        StackPane.setAlignment(table, Pos.TOP_LEFT);
        table.setMinHeight(0);
        table.setMaxHeight(0);
        inTurn(
                table,
                IntStream.rangeClosed(1, STEPS)
                        .<Runnable>mapToObj(step -> () -> {
                            // Without its skin it would be laid out as nothing, and all of it in the next pulse.
                            table.applyCss();
                            table.setMaxHeight(step == STEPS ? Double.MAX_VALUE : step * STEP);
                            table.getScene().getRoot().layout();
                        })
                        .toArray(Runnable[]::new));
    }

    /** Does what puts something somewhere in turn with all else that is put there: now, if there is time. */
    public static void inTurn(Node where, Runnable... steps) {
        start(new Gradually(where, Arrays.stream(steps)));
    }

    /**
     * Styles a node that is new in the window, so that the time it takes counts as that of the moment. One that isn't new would
     * be styled anew with all that is in it.
     */
    static void style(Node added) {
        if (Soon.isApart()) {
            added.applyCss();
        }
    }

    private static void start(Gradually filling) {
        // Kept with the node, so that it goes with it.
        if (filling.where.getProperties().put(Gradually.class, filling) instanceof Gradually before) {
            before.rest.clear();
        }
        if (Soon.isApart()) {
            filling.begin();
        } else {
            while (!filling.rest.isEmpty()) {
                filling.rest.poll().run();
            }
        }
    }

    /** Does something once all is filled that is in a window, at once if it is. */
    public static void whenFilled(Runnable what) {
        AFTER.add(what);
        tell();
    }

    /** Whether nothing is still to come into a window. */
    public static boolean isFilled() {
        return PENDING.isEmpty();
    }

    private void begin() {
        if (where.getScene() != null) {
            PENDING.push(this);
            fillNext();
            return;
        }
        // What is in no window isn't styled; it is filled as it comes into one.
        where.sceneProperty().addListener(new ChangeListener<>() {
            @Override
            public void changed(ObservableValue<? extends Scene> scene, Scene was, Scene now) {
                if (now != null) {
                    scene.removeListener(this);
                    PENDING.push(Gradually.this);
                    next();
                }
            }
        });
    }

    private static void next() {
        if (!set && !PENDING.isEmpty()) {
            set = true;
            PauseTransition pause = new PauseTransition(Duration.millis(apart));
            pause.setOnFinished(e -> {
                long began = System.nanoTime();
                Platform.runLater(() -> {
                    pace((System.nanoTime() - began) / 1e6);
                    set = false;
                    fillNext();
                });
            });
            pause.play();
        }
    }

    /**
     * Keeps moments as far apart as drawing takes: a pulse waits for the picture of the one before, and the window with it.
     *
     * @param pulse how long one took, in milliseconds
     */
    private static void pace(double pulse) {
        apart = pulse > LONG_PULSE ? Math.min(FARTHEST, apart + pulse / 2) : Math.max(NEAREST, apart * EASED);
    }

    private static void fillNext() {
        try {
            while (!PENDING.isEmpty() && hasTime()) {
                Gradually top = PENDING.peek();
                if (top.rest.isEmpty()) {
                    PENDING.remove(top);
                } else if (top.where.getScene() == null) {
                    PENDING.remove(top);
                    top.begin();
                } else {
                    top.rest.poll().run();
                }
            }
        } finally {
            next();
            tell();
        }
    }

    private static boolean hasTime() {
        if (!begun) {
            begun = true;
            until = System.nanoTime() + ENOUGH;
            Platform.runLater(() -> begun = false);
            // Something is done in each moment, however long the machine was busy with something else.
            return true;
        }
        return System.nanoTime() < until;
    }

    private static void tell() {
        if (PENDING.isEmpty()) {
            List<Runnable> now = List.copyOf(AFTER);
            AFTER.clear();
            now.forEach(Runnable::run);
        }
    }
}
