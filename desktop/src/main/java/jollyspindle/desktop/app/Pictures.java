package jollyspindle.desktop.app;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Side;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.AtomicFile;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javax.imageio.ImageIO;

/** Takes pictures of the main views with the demo job, off screen. */
final class Pictures {

    /** A view to be pictured: how it is called, and what brings it up. */
    private record Shot(String name, Setting setting) {}

    /** Brings up a view. */
    private interface Setting {
        void set(Workbench bench, MainWindow window);
    }

    private static final List<Shot> SHOTS = List.of(
            new Shot("t-mark", (bench, window) -> {
                middle(
                        bench,
                        window,
                        List.of(new Area.Medallion(12)),
                        new AreaMotif.Arms(12, AreaMotif.Way.OUT_AND_BACK, 0.75));
                bench.stageProperty().set(WorkStage.MARK);
                bench.pointedProperty().set(bench.areas().marks().get(3));
            }),
            new Shot("t-rot", (bench, window) -> {
                bench.stageProperty().set(WorkStage.LAY_OUT);
                middle(
                        bench,
                        window,
                        List.of(new Area.Blocks(3, 4, 14, 14, 4)),
                        new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0.75));
                AreaDesign.Part b = new AreaDesign.Part(
                        List.of(new AreaDesign.Layer(new AreaMotif.Petals(6, 0.75, 5), Optional.empty())));
                bench.areas()
                        .design("letters", bench.areas().design().with('B', b).inTurn());
                bench.areas().choose(new AreaId(1), 2);
                bench.areas().showOn(3);
                window.layOutBench().showAreaRotation();
            }),
            new Shot("t-peel", (bench, window) -> {
                middle(bench, window, List.of(new Area.Blocks(3, 4, 14, 14, 4)), new AreaMotif.Peel(4, 4));
                window.layOutBench().showAreaRotation();
                bench.placementProperty().set(bench.areas().placements().get(5));
            }));

    /** The demo with something in its middle. */
    private static void middle(Workbench bench, MainWindow window, List<Area> areas, AreaMotif motif) {
        bench.start(DemoJob.heronWeir());
        window.table().fit();
        bench.editQuilt("areas", quilt -> quilt.withAreas(areas));
        window.layOutBench().showAreas();
        bench.areas().choose(new AreaId(1), 1);
        bench.areas().design("motif", AreaDesign.of(motif, Optional.empty()));
    }

    private static Shot ring(String name) {
        return new Shot(name, (bench, window) -> {
            bench.start(DemoRings.all().get(name));
            bench.choose(Side.TOP);
            window.table().zoomToCorner();
            bench.placementProperty().set(null);
            bench.stepPlacement(1);
            window.layOutBench().showMotifs();
        });
    }

    private Pictures() {}

    /** Readies JavaFX to draw without a display; to be called before anything of it is used. */
    static void goOffScreen() {
        System.setProperty("glass.platform", "Monocle");
        System.setProperty("monocle.platform", "Headless");
        System.setProperty("prism.order", "sw");
        System.setProperty("prism.text", "t2k");
        System.setProperty("java.awt.headless", "true");
    }

    /**
     * Writes a picture of each main view.
     *
     * @param folder made if it isn't there
     * @return the files written
     */
    static List<Path> write(Path folder) throws IOException, InterruptedException {
        Files.createDirectories(folder);
        Path settings = Files.createTempDirectory("spindle-pictures");
        CompletableFuture<Void> ready = new CompletableFuture<>();
        Platform.startup(() -> ready.complete(null));
        try {
            ready.get();
            Workbench bench = new Workbench();
            CompletableFuture<MainWindow> window = new CompletableFuture<>();
            Platform.runLater(() -> {
                MainWindow made = new MainWindow(new Stage(), bench, Asking::inDialogs, settings);
                made.stage().show();
                window.complete(made);
            });
            for (Shot shot : SHOTS) {
                CompletableFuture<Void> set = new CompletableFuture<>();
                Platform.runLater(() -> {
                    try {
                        shot.setting().set(bench, window.join());
                        set.complete(null);
                    } catch (RuntimeException e) {
                        set.completeExceptionally(e);
                    }
                });
                set.get();
                // Layout and fonts settle within a few pulses; a picture waits for two, and for what is drawn on the
                // side.
                for (int pulse = 0; pulse < (shot.name().contains("gallery") ? 12 : 2); pulse++) {
                    CompletableFuture<Void> idle = new CompletableFuture<>();
                    Platform.runLater(() -> idle.complete(null));
                    idle.get();
                    Thread.sleep(150);
                }
                CompletableFuture<WritableImage> image = new CompletableFuture<>();
                Platform.runLater(
                        () -> image.complete(window.join().stage().getScene().snapshot(null)));
                AtomicFile.write(folder.resolve(shot.name() + ".png"), png(image.get()));
            }
            Platform.runLater(() -> window.join().stage().hide());
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        }
        Platform.exit();
        return SHOTS.stream().map(s -> folder.resolve(s.name() + ".png")).toList();
    }

    private static byte[] png(WritableImage image) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(SwingFXUtils.fromFXImage(image, null), "png", bytes);
        return bytes.toByteArray();
    }
}
