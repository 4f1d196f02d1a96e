package jollyspindle.desktop.app;

import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.job.JobFile;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.input.TransferMode;

/** Takes files that are dropped on the window: jobs, shelves, outlines. */
final class DroppedFiles {

    private final Workbench bench;
    private final Filing filing;
    private final ShelfFiling shelfFiling;

    DroppedFiles(Workbench bench, Filing filing, ShelfFiling shelfFiling) {
        this.bench = bench;
        this.filing = filing;
        this.shelfFiling = shelfFiling;
    }

    void followIn(Scene scene) {
        scene.setOnDragOver(e -> {
            if (dropped(e.getDragboard().getFiles()).isPresent()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
            e.consume();
        });
        scene.setOnDragDropped(e -> {
            Optional<Path> file = dropped(e.getDragboard().getFiles());
            file.ifPresent(f -> Platform.runLater(() -> take(f)));
            e.setDropCompleted(file.isPresent());
            e.consume();
        });
    }

    /** The job among dropped files. Any single file is tried: what it is, its content says. */
    static Optional<Path> dropped(List<File> files) {
        return files.stream()
                .filter(f -> files.size() == 1 || f.getName().endsWith(JobFile.SUFFIX))
                .map(File::toPath)
                .findFirst();
    }

    private void take(Path file) {
        if (shelfFiling.takes(file)) {
            bench.stageProperty().set(WorkStage.SHELF);
        } else {
            filing.open(file);
        }
    }
}
