package jollyspindle.core.effort;

import java.util.concurrent.CancellationException;

/** Lets long computations be stopped, and keeps them from filling the memory. */
public final class Effort {

    /** More lines, marks or placements than this nobody stitches, and no computer shows at once. */
    public static final int MOST = 200_000;

    private Effort() {}

    /**
     * To be called wherever a computation takes a step: ends it if whoever runs it has interrupted its thread.
     *
     * @throws CancellationException if it isn't wanted any more
     */
    public static void step() {
        if (Thread.currentThread().isInterrupted()) {
            throw new CancellationException("stopped");
        }
    }

    /**
     * To be called with how much there is so far.
     *
     * @throws TooMuchException if it is more than {@link #MOST}
     */
    public static void within(int soFar) {
        if (soFar > MOST) {
            throw new TooMuchException();
        }
    }
}
