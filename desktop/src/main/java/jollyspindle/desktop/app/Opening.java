package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.desktop.model.Planning;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.FileTrouble;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;

/**
 * What is read and planned while JavaFX is still starting, which takes about as long.
 *
 * @param job the file that was opened, if one was asked for
 * @param trouble why it couldn't be
 * @param windowIsThere to be counted down once the window's thread can take plans
 */
record Opening(
        Workbench bench,
        PersonsThings things,
        Optional<Path> job,
        Optional<FileTrouble> trouble,
        CountDownLatch windowIsThere) {

    /** Begins in a thread of its own. */
    static CompletableFuture<Opening> begin(Path folder, List<String> arguments) {
        CompletableFuture<Opening> made = new CompletableFuture<>();
        Thread thread = new Thread(
                () -> {
                    try {
                        made.complete(of(folder, arguments));
                    } catch (RuntimeException | LinkageError e) {
                        made.completeExceptionally(e);
                    }
                },
                "opening");
        thread.setDaemon(true);
        thread.start();
        return made;
    }

    private static Opening of(Path folder, List<String> arguments) {
        CountDownLatch windowIsThere = new CountDownLatch(1);
        PersonsThings things = PersonsThings.read(folder);
        Workbench bench = new Workbench(things.begun(), Planning.away(task -> {
            try {
                windowIsThere.await();
                Platform.runLater(task);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }));
        if (!arguments.isEmpty()) {
            bench.stageProperty().set(WorkStage.LAY_OUT);
        }
        if (arguments.contains(SpindleApp.DEMO)) {
            bench.start(DemoJob.heronWeir());
            return new Opening(bench, things, Optional.empty(), Optional.empty(), windowIsThere);
        }
        Optional<Path> job = arguments.stream().map(Path::of).findFirst();
        Optional<FileTrouble> trouble = job.flatMap(bench::tryToOpen);
        return new Opening(bench, things, job, trouble, windowIsThere);
    }
}
