package jollyspindle.desktop.model;

import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.application.Platform;

/** Where plans are made: what is wished for, the newest first. What was wished before and isn't begun yet is let go. */
public interface Planning {

    /**
     * Asks for something.
     *
     * @param make makes it; it may run anywhere, one at a time
     * @param show takes it, in the window
     * @param failed takes what went wrong, in the window
     */
    <T> void wish(Callable<T> make, Consumer<T> show, Consumer<Throwable> failed);

    /** Stops what is being made: it fails. */
    void stop();

    /** Plans made at once, before the wish returns. */
    static Planning here() {
        return new Planning() {
            @Override
            public <T> void wish(Callable<T> make, Consumer<T> show, Consumer<Throwable> failed) {
                T made;
                try {
                    made = make.call();
                } catch (Exception | StackOverflowError | OutOfMemoryError e) {
                    failed.accept(e);
                    return;
                }
                show.accept(made);
            }

            @Override
            public void stop() {
                // Nothing is being made when anybody could ask.
            }
        };
    }

    /** Plans made in a thread of their own, so that the window never waits; it doesn't keep the application alive. */
    static Planning away() {
        return away(Platform::runLater);
    }

    /**
     * Plans made in a thread of their own.
     *
     * @param window runs in the window's thread what takes them
     */
    static Planning away(Executor window) {
        return new PlanWorker(window);
    }
}
