package jollyspindle.desktop.model;

import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.function.Consumer;

/** One thread that makes what is wished for, and keeps only the newest wish while it is busy. */
final class PlanWorker implements Planning {

    private record Wish<T>(Callable<T> make, Consumer<T> show, Consumer<Throwable> failed) {}

    private final Executor window;
    private final Thread thread;
    private Wish<?> next;
    private boolean busy;

    /**
     * A worker.
     *
     * @param window runs what is shown
     */
    PlanWorker(Executor window) {
        this.window = window;
        thread = new Thread(this::work, "plans");
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public synchronized <T> void wish(Callable<T> make, Consumer<T> show, Consumer<Throwable> failed) {
        next = new Wish<>(make, show, failed);
        notifyAll();
    }

    @Override
    public synchronized void stop() {
        if (busy) {
            thread.interrupt();
        }
    }

    private synchronized Wish<?> take() throws InterruptedException {
        busy = false;
        // A stop that came too late for what was being made isn't meant for what comes next.
        Thread.interrupted();
        while (next == null) {
            wait();
        }
        Wish<?> wish = next;
        next = null;
        busy = true;
        return wish;
    }

    private void work() {
        while (true) {
            try {
                make(take());
            } catch (InterruptedException e) {
                // Nothing was being made.
                continue;
            }
        }
    }

    private <T> void make(Wish<T> wish) {
        T made;
        try {
            made = wish.make().call();
        } catch (Exception | StackOverflowError | OutOfMemoryError e) {
            window.execute(() -> wish.failed().accept(e));
            return;
        }
        window.execute(() -> wish.show().accept(made));
    }
}
