package jollyspindle.desktop.app;

import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.FindingWords;
import jollyspindle.desktop.bench.LayOutBench;
import jollyspindle.desktop.bench.MeasureBench;
import jollyspindle.desktop.control.ClothBar;
import jollyspindle.desktop.control.CompareView;
import jollyspindle.desktop.control.Deck;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.PlacementCallout;
import jollyspindle.desktop.control.ProtractorTape;
import jollyspindle.desktop.control.QuiltTable;
import jollyspindle.desktop.control.TableHead;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.shelf.ShelfBench;
import jollyspindle.desktop.shelf.ShelfModel;
import jollyspindle.desktop.shelf.ShelfStage;
import jollyspindle.desktop.tape.TapeView;
import jollyspindle.desktop.words.Said;
import jollyspindle.files.FileTrouble;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.InvalidationListener;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.layout.Background;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import javafx.stage.Window;

/** The window: stages above, regions left, the table in the middle, the bench right, the tape below. */
public final class MainWindow {

    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;

    /** About what the parts beside the table take, so that it stays where it is when they come. */
    private static final double ABOVE = 82;

    private static final double ABOVE_TABLE = 44;
    private static final double LEFT = 220;
    private static final double BELOW = 219;
    private final Workbench bench;
    private final Look look = new Look();
    private final Filing filing;
    private final Stage stage;
    private final BorderPane root = new BorderPane();
    private final Deck middle = new Deck();
    private final Deck right = new Deck();
    private final Region nothing = new Region();
    private final MessageBar messages = new MessageBar();
    private final QuiltTable table;
    private final StackPane tableAndCallout;
    private final BorderPane tablePane = new BorderPane();

    /** Round the table nothing is built before the quilt is seen on it, and nothing of a stage before it is looked at. */
    private final Late<TapeView> tape;

    private final Late<ProtractorTape> protractor;
    private final Late<PlacementCallout> callout;
    private final Late<CompareView> compare;
    private final Late<ShelfStage> shelf;
    private final Benches benches;
    private final ShelfModel shelfModel;
    private final ShelfFiling shelfFiling;
    private final Deque<Runnable> toPrepare = new ArrayDeque<>();
    private final Deque<Runnable> toBuild = new ArrayDeque<>();

    private final ChangeListener<Boolean> comesForward = (o, was, now) -> {
        if (now) {
            lookAgain();
        }
    };

    /**
     * Builds the window on a stage, all of it; the caller shows it.
     *
     * @param asking makes what answers the window's questions
     * @param folder where the person's settings are kept
     */
    public MainWindow(Stage stage, Workbench bench, Function<Window, Dialogs> asking, Path folder) {
        this(stage, bench, asking, PersonsThings.read(folder));
        buildAll();
    }

    /**
     * Builds of the window what the quilt is seen on; the caller shows it, and calls {@link #buildNext} or {@link #buildAll}
     * for all else.
     */
    MainWindow(Stage stage, Workbench bench, Function<Window, Dialogs> asking, PersonsThings things) {
        this.stage = stage;
        this.bench = bench;
        filing = new Filing(bench, asking.apply(stage), messages, things);
        table = new QuiltTable(bench, look, this::measure);
        tape = new Late<>(() -> new TapeView(bench, look));
        protractor = new Late<>(() -> new ProtractorTape(bench, look, table));
        callout = new Late<>(() -> new PlacementCallout(bench));
        compare = new Late<>(() -> new CompareView(bench, look));
        shelfModel = new ShelfModel(bench);
        shelfFiling = new ShelfFiling(bench, shelfModel, asking.apply(stage), messages, things);
        shelf = new Late<>(() -> new ShelfStage(bench, shelfModel, look, shelfFiling));
        benches = new Benches(
                bench,
                shelfModel,
                look,
                root,
                () -> table.roomBesideProperty().get() ? null : callout.get(),
                () -> new MeasureBench(bench, this::toFoot, shelfFiling::outline));
        tableAndCallout = new StackPane(table);
        tablePane.setTop(space(0, ABOVE_TABLE));
        tablePane.setCenter(tableAndCallout);
        middle.setMinWidth(0);
        middle.getChildren().add(tablePane);
        root.getStyleClass().add("work");
        look.darkProperty().set(things.settings().dark());
        look.scaleProperty().set(things.settings().typeScale());
        double type = look.scaleProperty().get();
        root.setTop(space(0, ABOVE * type));
        root.setLeft(space(LEFT * type, 0));
        root.setCenter(middle);
        root.setRight(space(Benches.USUAL * type, 0));
        root.setBottom(space(0, bench.stageProperty().get() == WorkStage.LAY_OUT ? BELOW * type : 0));
        Scene scene = new Scene(root, WIDTH, HEIGHT);
        root.setBackground(Background.fill(look.palette().panel()));
        table.setBackground(Background.fill(look.palette().table()));
        stage.setScene(scene);
        // No control has the word before the quilter gives it one.
        root.requestFocus();
        stage.setMinWidth(1024);
        stage.setMinHeight(700);
        stage.titleProperty().bind(Bindings.createStringBinding(this::title, bench.changesProperty()));
        stage.setOnCloseRequest(e -> {
            if (filing.mayLeave()) {
                leave();
            } else {
                e.consume();
            }
        });
        toBuild.addAll(List.of(
                () -> ForkJoinPool.commonPool().execute(FindingWords::prepare),
                this::dress,
                this::buildAbove,
                this::buildLeft,
                this::buildAboutTable,
                () -> benches.of(bench.stageProperty().get()),
                tape::get,
                this::arrangeFromNow));
        List.of(WorkStage.LAY_OUT, WorkStage.MARK, WorkStage.SHELF, WorkStage.MEASURE)
                .forEach(this::prepare);
    }

    private static Region space(double width, double height) {
        Region space = new Region();
        space.setPrefSize(width, height);
        return space;
    }

    // --- what is built once the quilt is seen ----------------------------------------------------------------------

    /**
     * Builds the next part of the window.
     *
     * @return whether there is more to build
     */
    boolean buildNext() {
        Runnable part = toBuild.poll();
        if (part != null) {
            part.run();
        }
        return !toBuild.isEmpty();
    }

    /** Builds what isn't built yet. */
    void buildAll() {
        while (buildNext()) {
            // The next one.
        }
    }

    /**
     * Makes in a quiet moment what isn't seen yet, so that it is there when it is first asked for.
     *
     * @return whether there is more of it
     */
    public boolean prepareNext() {
        Runnable part = toPrepare.poll();
        if (part != null) {
            part.run();
        }
        return !toPrepare.isEmpty();
    }

    private void prepare(WorkStage later) {
        if (later == WorkStage.SHELF) {
            toPrepare.add(shelf::get);
            toPrepare.add(() -> middle.keep(shelf.get()));
        }
        toPrepare.add(() -> benches.of(later));
        toPrepare.add(() -> right.keep(benches.of(later)));
    }

    private void dress() {
        look.dress(root.getScene());
        InvalidationListener otherwise = o -> {
            middle.letHiddenGo();
            right.letHiddenGo();
            keepLook();
        };
        look.darkProperty().addListener(otherwise);
        look.scaleProperty().addListener(otherwise);
    }

    private void buildAbove() {
        root.setTop(new VBox(new Menus(this, bench, filing, look).bar(), new StageBar(bench, look), messages));
    }

    private void buildLeft() {
        SidePanel panel = new SidePanel(
                bench, run -> table.zoomToSide(), this::useDropped, new Remedies(bench, this::measure)::carryOut);
        benches.widen(panel, LEFT);
        root.setLeft(panel);
    }

    private void buildAboutTable() {
        tablePane.setTop(new VBox(new TableHead(bench, table), new ClothBar(bench, table)));
        StackPane.setAlignment(callout.get(), Pos.CENTER_RIGHT);
        StackPane.setMargin(callout.get(), new Insets(10));
        tableAndCallout.getChildren().add(protractor.get());
        table.roomBesideProperty().addListener(o -> Platform.runLater(this::placeCallout));
        placeCallout();
        CatchingUp waiting = new CatchingUp(bench);
        // In the table's head, beside its tools, where it hides nothing of the quilt.
        StackPane.setAlignment(waiting, Pos.TOP_RIGHT);
        StackPane.setMargin(waiting, new Insets(2, 228, 0, 0));
        StackPane middleAndWaiting = new StackPane(middle, waiting);
        middleAndWaiting.setMinWidth(0);
        root.setCenter(middleAndWaiting);
    }

    /** From now on, what is seen follows the stage and what is looked at. */
    private void arrangeFromNow() {
        root.setRight(right);
        root.setBottom(tape.get());
        new LayOutKeys(bench).followIn(root.getScene());
        new DroppedFiles(bench, filing, shelfFiling).followIn(root.getScene());
        bench.stageProperty().addListener(o -> arrange());
        bench.comparison().shownProperty().addListener(o -> arrange());
        bench.areas().lookedProperty().addListener((o, was, now) -> {
            if ((was == null) != (now == null)) {
                arrange();
            }
        });
        bench.selection().whereProperty().addListener(o -> showTemplate());
        // The stage may outlive what is shown on it.
        stage.focusedProperty().addListener(new WeakChangeListener<>(comesForward));
        bench.changesProperty().addListener(o -> messages.hide());
        bench.planProperty().addListener(o -> showTemplate());
        bench.movedProperty().addListener((o, was, now) -> MovesTold.tell(now, bench, messages));
        arrange();
        // No control has the word before the quilter gives it one.
        Platform.runLater(root::requestFocus);
    }

    /** What is said about the arcs stands beside the quilt where there is room, else on the bench. */
    private void placeCallout() {
        tableAndCallout.getChildren().remove(callout.get());
        boolean beside = table.roomBesideProperty().get();
        benches.layOut().ifMade(made -> made.house(beside ? null : callout.get()));
        if (beside) {
            tableAndCallout.getChildren().add(callout.get());
        }
    }

    /** Looks whether somebody else has changed what this window has read. */
    private void lookAgain() {
        filing.lookAgain();
        shelfFiling.lookAgain();
    }

    private void keepLook() {
        filing.keepLook(look.darkProperty().get(), look.scaleProperty().get());
    }

    private String title() {
        Path file = bench.fileProperty().get();
        return Said.say(
                "window.title",
                "job",
                bench.job().name(),
                "saved",
                bench.savedProperty().get(),
                "file",
                Optional.ofNullable(file).map(Path::getFileName).map(Path::toString));
    }

    // --- what happens ------------------------------------------------------------------------------------------

    private void arrange() {
        WorkStage now = bench.stageProperty().get();
        boolean compared =
                now == WorkStage.LAY_OUT && bench.comparison().shownProperty().get();
        Gradually.inTurn(
                root,
                () -> {
                    // Nothing beside it that belongs to the stage before.
                    right.show(nothing);
                    if (now == WorkStage.SHELF) {
                        shelf.get();
                    }
                },
                () -> middle.show(now == WorkStage.SHELF ? shelf.get() : compared ? compare.get() : tablePane),
                () -> benches.of(now),
                () -> right.show(benches.of(now)));
        boolean withTape = now == WorkStage.LAY_OUT && !compared || now == WorkStage.MARK;
        // Round an area's centre the tape is bent, on the table.
        Deck.show(tape.get(), withTape && !bench.areas().isLooked());
        showTemplate();
    }

    /** Laying out, the first arc's template lies on the table until another is asked for, or Esc takes it away. */
    private void showTemplate() {
        if (bench.stageProperty().get() == WorkStage.LAY_OUT
                && bench.selection().placementProperty().get() == null) {
            bench.selection().stepPlacement(1);
        }
    }

    /** Goes to the tape, whether it lies straight or is bent round a centre. */
    void toTape() {
        if (protractor.get().isShown()) {
            protractor.get().requestFocus();
        } else {
            tape.get().requestFocus();
        }
    }

    /** Goes to where the foot is calibrated. */
    void toFoot() {
        bench.stageProperty().set(WorkStage.SHELF);
        benches.shelf().showFoot();
    }

    /** Goes to the shelf and asks which template does what the chosen side wants. */
    void toFinding() {
        bench.stageProperty().set(WorkStage.SHELF);
        shelf.get().find();
    }

    /** What must be done before the window goes. */
    void leave() {
        shelfFiling.keep();
        filing.leave();
    }

    private void measure(Dimension dimension) {
        bench.stageProperty().set(WorkStage.MEASURE);
        Platform.runLater(() -> benches.measure().focus(dimension));
    }

    /** A template was let go over a side of the quilt's map. */
    private boolean useDropped(Object source) {
        Optional<Template> template = shelf.get().template(source);
        template.ifPresent(t -> {
            if (t.arcs().isEmpty()) {
                messages.tell(Said.say("drop.no-round-edge", "template", t.name()));
            } else {
                bench.use(t, Optional.empty());
            }
        });
        return template.isPresent();
    }

    /** Offers what a run that is over didn't save. */
    public void offerUnsaved() {
        filing.offerUnsaved();
    }

    /** Tells that something went wrong that shouldn't; the job is still there. */
    public void tellFault() {
        messages.warn(
                "Something went wrong inside Jolly Spindle. Your job is still here; save it under another name to be safe.");
    }

    MeasureBench measureBench() {
        return benches.measure();
    }

    LayOutBench layOutBench() {
        return benches.layOut().get();
    }

    QuiltTable table() {
        return table;
    }

    ShelfStage shelf() {
        return shelf.get();
    }

    ShelfModel shelfModel() {
        return shelfModel;
    }

    ShelfBench shelfBench() {
        return benches.shelf();
    }

    TapeView tape() {
        return tape.get();
    }

    Stage stage() {
        return stage;
    }

    /** How the window looks. */
    public Look look() {
        return look;
    }

    /** Opens a job file, after asking about unsaved changes. */
    public void open(Path file) {
        filing.open(file);
    }

    /** Tells how the opening of a job file ended that began before the window was there. */
    void opened(Path file, Optional<FileTrouble> trouble) {
        filing.opened(file, trouble);
    }
}
