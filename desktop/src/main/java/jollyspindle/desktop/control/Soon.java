package jollyspindle.desktop.control;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.WeakHashMap;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.util.Duration;

/**
 * Shows what has changed: once for all that changes in a moment, and not while nobody can see it. A single edit changes plan,
 * place, marks and placement one after the other; to draw each time would make the window wait. All views of the window show in
 * the same moments, and these keep apart from each other: were a picture asked for while the one before is still being drawn,
 * the window would have to wait for that. To be used in the window's thread.
 */
public final class Soon {

    /** The property that says how far apart the moments are at least, in milliseconds; 0 shows all as soon as it can be. */
    public static final String APART = "spindle.window.apart";

    /** Half the pace of a screen: what draws by software keeps up with it, and the eye doesn't miss the rest. */
    private static final long USUAL = 32;

    /** After so long, in nanoseconds, a moment has shown enough: what it changed is still to be laid out. */
    private static final long ENOUGH = 5_000_000;

    private static final Set<Soon> ASKED = new LinkedHashSet<>();

    /** What is due where nobody sees it. Held weakly: its window may go meanwhile. */
    private static final Set<Soon> UNSEEN = Collections.newSetFromMap(new WeakHashMap<>());

    private static long last = System.nanoTime() - 1_000_000_000;
    private static boolean set;

    private final Node seen;
    private final Runnable show;
    private boolean due;

    /**
     * Shows in turn.
     *
     * @param seen what it is shown on; while that is in no window or hidden nothing is shown, but as soon as it is put into one,
     *     or {@link #lookAgain} is called
     */
    public Soon(Node seen, Runnable show) {
        this.seen = seen;
        this.show = show;
        seen.sceneProperty().addListener((o, was, now) -> {
            if (now != null) {
                act();
            }
        });
    }

    /** Whether what is shown is spread over moments; else all is shown as soon as it can be. */
    public static boolean isApart() {
        return Long.getLong(APART, USUAL) > 0;
    }

    /** Asks for it to be shown. */
    public void ask() {
        due = true;
        if (!isSeen()) {
            UNSEEN.add(this);
            return;
        }
        ASKED.add(this);
        if (!set) {
            set = true;
            double wait = Long.getLong(APART, USUAL) - (System.nanoTime() - last) / 1e6;
            if (wait > 0) {
                PauseTransition pause = new PauseTransition(Duration.millis(wait));
                // Between two pulses, so that the next one has only to lay it out.
                pause.setOnFinished(e -> Platform.runLater(Soon::showAll));
                pause.play();
            } else {
                Platform.runLater(Soon::showAll);
            }
        }
    }

    private static void showAll() {
        set = false;
        last = System.nanoTime();
        List<Soon> all = List.copyOf(ASKED);
        ASKED.clear();
        RuntimeException fault = null;
        for (Soon one : all) {
            if (System.nanoTime() - last > ENOUGH && isApart()) {
                // What has to wait comes first in the next moment.
                one.ask();
                continue;
            }
            try {
                one.act();
            } catch (RuntimeException e) {
                // The other views have done nothing wrong, and show all the same.
                fault = e;
            }
        }
        if (fault != null) {
            throw fault;
        }
    }

    /** Shows at once what is due, for what can't wait for it. */
    public void now() {
        act();
    }

    /** Whether something has changed that isn't shown yet. */
    public boolean isDue() {
        return due;
    }

    /** Shows what is due on nodes that were hidden and aren't any more: at once, as far as there is time in a moment. */
    public static void lookAgain() {
        long began = System.nanoTime();
        for (Soon one : List.copyOf(UNSEEN)) {
            if (System.nanoTime() - began > ENOUGH && isApart()) {
                one.ask();
            } else {
                one.act();
            }
        }
    }

    /** A view that has hidden itself, since it has nothing to say, is asked again; one that another hides isn't. */
    private boolean isSeen() {
        if (Deck.hides(seen)) {
            return false;
        }
        for (Node node = seen.getParent(); node != null; node = node.getParent()) {
            if (!node.isVisible()) {
                return false;
            }
        }
        return seen.getScene() != null;
    }

    private void act() {
        if (due && isSeen()) {
            due = false;
            UNSEEN.remove(this);
            show.run();
        } else if (due) {
            UNSEEN.add(this);
        }
    }
}
