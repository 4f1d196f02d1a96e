package jollyspindle.files;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * Lets windows, in one process or in many, do something one after the other that none may begin while another is at it, such
 * as reading a file and writing what is made of it.
 */
public final class InTurns {

    private static final Logger LOG = Logger.getLogger(InTurns.class.getName());
    private static final ReentrantLock HERE = new ReentrantLock();
    private static final int TRIES = 100;
    private static final long BETWEEN = 20;

    private InTurns() {}

    /**
     * Does something while nobody else does who asks by the same name. Whoever is at it for longer than two seconds is waited
     * for no more; where files can't be locked, nobody is.
     *
     * @param folder in which a lock is kept; without it nobody but this process is kept waiting
     */
    public static void inTurn(Path folder, String name, Runnable what) {
        HERE.lock();
        try (Turn turn = Turn.in(folder, name)) {
            for (int i = 1; i < TRIES && !turn.has(); i++) {
                Thread.sleep(BETWEEN);
            }
            what.run();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            what.run();
        } finally {
            HERE.unlock();
        }
    }

    /**
     * Does something as {@link #inTurn} does, if nobody is at it right now, and waits for nobody.
     *
     * @return whether it was done
     */
    public static boolean ifFree(Path folder, String name, Runnable what) {
        if (!HERE.tryLock()) {
            return false;
        }
        try (Turn turn = Turn.in(folder, name)) {
            boolean free = turn.has();
            if (free) {
                what.run();
            }
            return free;
        } finally {
            HERE.unlock();
        }
    }

    /** A lock that is asked for; closing it lets it go. */
    private static final class Turn implements AutoCloseable {

        private final Optional<FileChannel> channel;
        private boolean has;

        private Turn(Optional<FileChannel> channel) {
            this.channel = channel;
        }

        static Turn in(Path folder, String name) {
            if (!Files.isDirectory(folder)) {
                return new Turn(Optional.empty());
            }
            try {
                return new Turn(Optional.of(FileChannel.open(
                        folder.resolve("." + name + ".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)));
            } catch (IOException e) {
                LOG.log(Level.FINE, "no lock can be kept here", e);
                return new Turn(Optional.empty());
            }
        }

        /** Whether it is this one's turn; where there are no locks, it is. */
        boolean has() {
            try {
                has = has || channel.isEmpty() || channel.get().tryLock() != null;
            } catch (IOException e) {
                LOG.log(Level.FINE, "files can't be locked here", e);
                has = true;
            }
            return has;
        }

        @Override
        public void close() {
            try {
                if (channel.isPresent()) {
                    channel.get().close();
                }
            } catch (IOException e) {
                LOG.log(Level.FINE, "the lock goes with the process", e);
            }
        }
    }
}
