package jollyspindle.files;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * Lets windows, in one process or in many, do something one after the other that none may begin while another is at it, such
 * as reading a file and writing what is made of it.
 */
public final class InTurns {

    private static final Logger LOG = Logger.getLogger(InTurns.class.getName());
    private static final Object HERE = new Object();
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
        synchronized (HERE) {
            Optional<FileChannel> held = hold(folder, name);
            try {
                what.run();
            } finally {
                held.ifPresent(InTurns::letGo);
            }
        }
    }

    private static Optional<FileChannel> hold(Path folder, String name) {
        if (!Files.isDirectory(folder)) {
            return Optional.empty();
        }
        try {
            FileChannel channel = FileChannel.open(
                    folder.resolve("." + name + ".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            try {
                waitFor(channel);
            } catch (IOException e) {
                LOG.log(Level.FINE, "files can't be locked here", e);
            }
            return Optional.of(channel);
        } catch (IOException e) {
            LOG.log(Level.FINE, "no lock can be kept here", e);
            return Optional.empty();
        }
    }

    /** Closing it lets the lock go. */
    private static void letGo(FileChannel channel) {
        try {
            channel.close();
        } catch (IOException e) {
            LOG.log(Level.FINE, "the lock goes with the process", e);
        }
    }

    private static void waitFor(FileChannel channel) throws IOException {
        for (int i = 0; i < TRIES; i++) {
            if (channel.tryLock() != null) {
                return;
            }
            try {
                Thread.sleep(BETWEEN);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }
}
