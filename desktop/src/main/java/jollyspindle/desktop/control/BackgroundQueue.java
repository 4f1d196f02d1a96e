package jollyspindle.desktop.control;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * Works through what takes long, one after the other and away from the window; what was asked for before is let go. Where
 * nothing is spread over moments ({@link Soon#isApart}), all is made at once, so that it is there when it is looked for.
 */
public final class BackgroundQueue {

    private final ExecutorService worker;
    private final AtomicInteger asked = new AtomicInteger();

    /** Work in a thread of its own, which doesn't keep the application alive. */
    public BackgroundQueue(String name) {
        worker = Executors.newSingleThreadExecutor(work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        });
    }

    /** Lets go what was asked for so far. */
    public void letGo() {
        asked.incrementAndGet();
    }

    /**
     * Asks for one thing more.
     *
     * @param make makes it, away from the window
     * @param show takes it, in the window, unless it was let go meanwhile
     */
    public <T> void ask(Supplier<T> make, Consumer<T> show) {
        if (!Soon.isApart()) {
            show.accept(make.get());
            return;
        }
        int turn = asked.get();
        worker.execute(() -> {
            if (turn == asked.get()) {
                T made = make.get();
                Platform.runLater(() -> {
                    if (turn == asked.get()) {
                        show.accept(made);
                    }
                });
            }
        });
    }
}
