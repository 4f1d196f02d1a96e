package jollyspindle.desktop.app;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.desktop.control.Soon;
import jollyspindle.desktop.model.Scope;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.AtomicFile;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
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
            new Shot("new-job", (bench, window) -> {
                bench.start(bench.newJob());
                bench.stageProperty().set(WorkStage.MEASURE);
            }),
            new Shot("measure", (bench, window) -> {
                bench.start(DemoJob.heronWeir());
                bench.stageProperty().set(WorkStage.MEASURE);
            }),
            new Shot("measure-borders", (bench, window) -> {
                bench.editQuilt("two more borders", quilt -> {
                    Quilt more = quilt.withBorderOutside(Border.USUAL.withPlain(true))
                            .withBorderOutside(Border.USUAL.with(Corners.CORNERSTONES));
                    return more.measuring(Dimension.depth(2, Side.TOP), 1.5)
                            .measuring(Dimension.depth(3, Side.TOP), 5.5);
                });
                bench.edit(
                        "as many outside",
                        job -> job.editing(
                                GroupId.border(3), layout -> layout.with(Optional.of(new Tie(3, 1, Tie.Ratio.SAME)))));
                window.measureBench().focus(Dimension.depth(3, Side.TOP));
            }),
            new Shot("shelf", (bench, window) -> bench.stageProperty().set(WorkStage.SHELF)),
            new Shot("shelf-find", (bench, window) -> window.shelf().find()),
            new Shot("shelf-foot", (bench, window) -> {
                window.shelf().showAll();
                window.shelfModel().look("barley-fan");
                window.shelfBench().showFoot();
                bench.editMachine(
                        "foot measured",
                        machine -> machine.withMeasured(List.of(
                                new FootMeasurement.InHole(2.75, 2.26),
                                new FootMeasurement.RoundDisc(3, 3.5),
                                new FootMeasurement.AlongEdge(0.24))));
            }),
            new Shot("lay-out", (bench, window) -> {
                bench.start(DemoJob.heronWeir());
                bench.stageProperty().set(WorkStage.LAY_OUT);
            }),
            new Shot("lay-out-compared", (bench, window) -> {
                List<Candidate> ways = bench.group().orElseThrow().candidates();
                bench.comparison().take(ways.get(0), true);
                bench.comparison().take(ways.get(3), true);
                bench.comparison().take(ways.get(5), true);
                bench.comparison().shownProperty().set(true);
            }),
            new Shot("lay-out-by-hand", (bench, window) -> {
                bench.comparison().shownProperty().set(false);
                bench.selection().scopeProperty().set(Scope.ONE);
                bench.dividing().divide(Map.of(RunId.of(Side.TOP), new ByHand(10, Map.of(3, 21.0, 7, 50.5))));
                window.layOutBench().showRun();
                bench.selection()
                        .layZero(bench.run().orElseThrow().laidOut().marks().get(6));
            }),
            new Shot("lay-out-side-large", (bench, window) -> {
                bench.start(DemoJob.heronWeir());
                window.layOutBench().showWays();
                bench.selection().scopeProperty().set(Scope.ALL);
                bench.selection().choose(Side.RIGHT);
                window.table().zoomToSide();

                for (int i = 0; i < 6; i++) {
                    bench.selection().stepPlacement(1);
                }
                window.table().zoom(7);
            }),
            new Shot("mark", (bench, window) -> {
                window.table().fit();
                bench.selection().choose(Side.TOP);
                bench.stageProperty().set(WorkStage.MARK);
                for (int i = 0; i < 7; i++) {
                    bench.selection().stepMark(1);
                }
            }),
            new Shot("motif-gallery", (bench, window) -> {
                bench.stageProperty().set(WorkStage.LAY_OUT);
                bench.selection().pointedProperty().set(null);
                bench.start(DemoJob.heronWeir());
                window.layOutBench().showGallery();
            }),
            ring("ring-nested-arcs"),
            ring("ring-hanging-fans"),
            ring("ring-lanterns"),
            ring("ring-peaks"),
            new Shot("middle-arms", (bench, window) -> {
                middle(
                        bench,
                        window,
                        List.of(new Area.Medallion(12)),
                        new AreaMotif.Arms(12, AreaMotif.Way.OUT_AND_BACK, 0.75));
                bench.areas().showOn(3);
                window.layOutBench().showAreaRotation();
            }),
            new Shot("middle-gallery-dark", (bench, window) -> {
                middle(bench, window, List.of(new Area.Blocks(3, 4, 14, 14, 4)), new AreaMotif.Whirl(3, 0.5, 14));
                window.layOutBench().showAreaGallery();
                window.look().darkProperty().set(true);
            }),
            new Shot("middle-letters", (bench, window) -> {
                window.look().darkProperty().set(false);
                Area flower = new Area.Applique(new Area.Ellipse(new Point(-9, 9), 7, 4, 0.5), 0.25);
                middle(
                        bench,
                        window,
                        List.of(new Area.Blocks(3, 4, 14, 14, 4), flower, new Area.Body(0.5)),
                        new AreaMotif.CornerRays(AreaMotif.Corner.BOTTOM_LEFT, OptionalInt.empty(), 2, 0.25));
                AreaDesign rays = bench.areas().design();
                AreaDesign.Part shells = new AreaDesign.Part(
                        List.of(new AreaDesign.Layer(new AreaMotif.Clamshells(0), Optional.of("thatch-large"))));
                bench.areas().design("letters", rays.with('B', shells).inTurn());
                bench.areas().choose(new AreaId(3), 1);
                bench.areas()
                        .design(
                                "background",
                                AreaDesign.of(new AreaMotif.Crosshatch(1.5, Math.PI / 4), Optional.empty()));
                bench.areas().choose(new AreaId(1), 5);
                window.layOutBench().showAreaLetters();
                window.table().zoom(-2);
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
            bench.selection().choose(Side.TOP);
            window.table().zoomToCorner();
            bench.selection().placementProperty().set(null);
            bench.selection().stepPlacement(1);
            window.layOutBench().showMotifs();
        });
    }

    private Pictures() {}

    /** How the main views are called. */
    static List<String> names() {
        return SHOTS.stream().map(Shot::name).toList();
    }

    /** Readies JavaFX to draw without a display; to be called before anything of it is used. */
    static void goOffScreen() {
        System.setProperty("glass.platform", "Monocle");
        System.setProperty("monocle.platform", "Headless");
        System.setProperty("prism.order", "sw");
        System.setProperty("prism.text", "t2k");
        System.setProperty("java.awt.headless", "true");
        // Nobody waits for the window here, and pictures are to show all there is.
        System.setProperty(Soon.APART, "0");
    }

    /** Takes a picture of each main view and keeps none; then does once what hands do. */
    static void lookRound() throws IOException, InterruptedException {
        take((shot, image) -> {}, Rehearsal::in);
    }

    /** What is done once all pictures are taken, with a folder that may be written to. */
    private interface After {
        void in(Path folder) throws InterruptedException, ExecutionException;
    }

    /** What becomes of a picture. */
    private interface Use {
        void of(Shot shot, WritableImage image) throws IOException;
    }

    /**
     * Writes a picture of each main view.
     *
     * @param folder made if it isn't there
     * @return the files written
     */
    static List<Path> write(Path folder) throws IOException, InterruptedException {
        Files.createDirectories(folder);
        take((shot, image) -> AtomicFile.write(folder.resolve(shot.name() + ".png"), png(image)), settings -> {});
        return SHOTS.stream().map(s -> folder.resolve(s.name() + ".png")).toList();
    }

    private static void take(Use use, After after) throws IOException, InterruptedException {
        Path settings = Files.createTempDirectory("spindle-pictures");
        CompletableFuture<Void> ready = new CompletableFuture<>();
        Platform.startup(() -> ready.complete(null));
        try {
            ready.get();
            Workbench bench = new Workbench();
            MainWindow window = inWindow(() -> {
                MainWindow made = new MainWindow(new Stage(), bench, Dialogs::inDialogs, settings);
                made.stage().show();
                return made;
            });
            for (Shot shot : SHOTS) {
                inWindow(() -> {
                    shot.setting().set(bench, window);
                    return shot;
                });
                // Layout and fonts settle within a few pulses; a picture waits for two, and for what is drawn on the
                // side.
                for (int pulse = 0; pulse < (shot.name().matches(".*(gallery|compared).*") ? 12 : 2); pulse++) {
                    inWindow(() -> shot);
                    Thread.sleep(150);
                }
                use.of(shot, inWindow(() -> window.stage().getScene().snapshot(null)));
            }
            after.in(settings);
            // With the last window JavaFX ends.
            Platform.runLater(() -> window.stage().hide());
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        }
        Platform.exit();
    }

    /** Does something in the window's thread, and waits for it; whatever goes wrong there comes back here. */
    static <T> T inWindow(Callable<T> what) throws InterruptedException, ExecutionException {
        FutureTask<T> task = new FutureTask<>(what);
        Platform.runLater(task);
        return task.get();
    }

    private static byte[] png(WritableImage image) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(SwingFXUtils.fromFXImage(image, null), "png", bytes);
        return bytes.toByteArray();
    }
}
