package jollyspindle.desktop.app;

import jollyspindle.core.division.Wish;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.plan.Moves;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.bench.LayOutBench;
import jollyspindle.desktop.bench.MarkBench;
import jollyspindle.desktop.bench.MeasureBench;
import jollyspindle.desktop.control.CompareView;
import jollyspindle.desktop.control.Deck;
import jollyspindle.desktop.control.FindingsBox;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.PlacementCallout;
import jollyspindle.desktop.control.ProtractorTape;
import jollyspindle.desktop.control.QuiltTable;
import jollyspindle.desktop.control.RegionMap;
import jollyspindle.desktop.control.TableHead;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.shelf.ShelfBench;
import jollyspindle.desktop.shelf.ShelfModel;
import jollyspindle.desktop.shelf.ShelfStage;
import jollyspindle.desktop.tape.TapeView;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;

import java.io.File;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.beans.InvalidationListener;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
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
    private static final int MOVES_TOLD = 4;

    /** About what the parts beside the table take, so that it stays where it is when they come. */
    private static final double ABOVE = 82;

    private static final double ABOVE_TABLE = 44;
    private static final double LEFT = 220;
    private static final double BELOW = 219;
    private static final double BENCH = 346;

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

    private final Late<LayOutBench> layOut;
    private final Late<MeasureBench> measureBench;
    private final Late<ShelfStage> shelf;
    private final Late<ShelfBench> shelfBench;
    private final Map<WorkStage, Late<? extends Region>> benches = new EnumMap<>(WorkStage.class);
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
        shelfBench = new Late<>(() -> new ShelfBench(bench, shelfModel));
        measureBench = new Late<>(() -> new MeasureBench(bench, this::toFoot, shelfFiling::outline));
        benches.put(WorkStage.MEASURE, new Late<>(() -> bench(measureBench.get(), 400)));
        benches.put(WorkStage.SHELF, new Late<>(() -> bench(shelfBench.get(), 380)));
        layOut = new Late<>(this::layOut);
        benches.put(WorkStage.LAY_OUT, layOut);
        benches.put(WorkStage.MARK, new Late<>(this::marks));
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
        root.setRight(space(BENCH * type, 0));
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
                this::dress,
                this::buildAbove,
                this::buildLeft,
                this::buildAboutTable,
                () -> benches.get(bench.stageProperty().get()).get(),
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
        toPrepare.add(benches.get(later)::get);
        toPrepare.add(() -> right.keep(benches.get(later).get()));
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
        root.setLeft(leftPanel());
    }

    private void buildAboutTable() {
        tablePane.setTop(new TableHead(bench, table));
        StackPane.setAlignment(callout.get(), Pos.CENTER_RIGHT);
        StackPane.setMargin(callout.get(), new Insets(10));
        tableAndCallout.getChildren().add(protractor.get());
        table.roomBesideProperty().addListener(o -> Platform.runLater(this::placeCallout));
        placeCallout();
        CatchingUp waiting = new CatchingUp(bench);
        // In the table's head, beside its tools, where it hides nothing of the quilt.
        StackPane.setAlignment(waiting, Pos.TOP_RIGHT);
        StackPane.setMargin(waiting, new Insets(2, 184, 0, 0));
        StackPane middleAndWaiting = new StackPane(middle, waiting);
        middleAndWaiting.setMinWidth(0);
        root.setCenter(middleAndWaiting);
    }

    /** From now on, what is seen follows the stage and what is looked at. */
    private void arrangeFromNow() {
        root.setRight(right);
        root.setBottom(tape.get());
        root.getScene().addEventHandler(KeyEvent.KEY_PRESSED, this::press);
        drops(root.getScene());
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
        bench.movedProperty().addListener((o, was, now) -> tellMoved(now));
        arrange();
        // No control has the word before the quilter gives it one.
        Platform.runLater(root::requestFocus);
    }

    private LayOutBench layOut() {
        LayOutBench made = new LayOutBench(bench, look);
        made.getStyleClass().add("bench");
        widen(made, BENCH);
        made.house(table.roomBesideProperty().get() ? null : callout.get());
        return made;
    }

    private MarkBench marks() {
        MarkBench marks = new MarkBench(bench);
        marks.getStyleClass().add("bench");
        // On a narrow window the list gives way, so that the quilt is still seen.
        marks.prefWidthProperty()
                .bind(Bindings.min(
                        look.scaleProperty().multiply(812), root.widthProperty().subtract(468)));
        return marks;
    }

    /** What is said about the arcs stands beside the quilt where there is room, else on the bench. */
    private void placeCallout() {
        tableAndCallout.getChildren().remove(callout.get());
        boolean beside = table.roomBesideProperty().get();
        layOut.ifMade(made -> made.house(beside ? null : callout.get()));
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
        return bench.job().name() + (bench.savedProperty().get() ? "" : " (not saved)")
                + (file == null ? "" : " · " + file.getFileName()) + " · Jolly Spindle";
    }

    /** Gives a panel a width that grows with the type. */
    private void widen(Region panel, double width) {
        panel.prefWidthProperty().bind(look.scaleProperty().multiply(width));
        panel.minWidthProperty().bind(look.scaleProperty().multiply(width));
    }

    private ScrollPane bench(Region content, double width) {
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("bench");
        widen(scroll, width);
        return scroll;
    }

    // --- parts -------------------------------------------------------------------------------------------------

    private Node leftPanel() {
        Label heading = new Label("Quilt");
        heading.getStyleClass().add("heading");
        RegionMap map = new RegionMap(bench, run -> table.zoomToSide(), this::useDropped);
        Label findings = new Label("To look at");
        findings.getStyleClass().addAll("heading", "section");
        VBox panel = new VBox(heading, map, findings, new FindingsBox(bench, this::carryOut));
        panel.getStyleClass().add("side-panel");
        ScrollPane scroll = new ScrollPane(panel);
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        widen(scroll, LEFT);
        return scroll;
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
                () -> benches.get(now).get(),
                () -> right.show(benches.get(now).get()));
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

    private void press(KeyEvent e) {
        boolean typing = root.getScene().getFocusOwner() instanceof TextInputControl;
        if (typing
                || e.isShortcutDown()
                || e.isAltDown()
                || bench.stageProperty().get() != WorkStage.LAY_OUT) {
            return;
        }
        if (e.getCode() == KeyCode.PAGE_DOWN || e.getCode() == KeyCode.PAGE_UP) {
            int step = e.getCode() == KeyCode.PAGE_DOWN ? 1 : -1;
            if (e.isShiftDown()) {
                bench.dividing().stepSchool(step);
            } else {
                bench.dividing().stepCandidate(step);
            }
        } else if (e.getCode() == KeyCode.PERIOD) {
            bench.selection().stepPlacement(1);
        } else if (e.getCode() == KeyCode.COMMA) {
            bench.selection().stepPlacement(-1);
        } else if (e.getCode() == KeyCode.ESCAPE) {
            bench.selection().placementProperty().set(null);
        }
    }

    private void drops(Scene scene) {
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
        shelfBench.get().showFoot();
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

    private void carryOut(Remedy remedy) {
        if (remedy instanceof Remedy.Measure measure) {
            measure(measure.what());
        } else if (remedy instanceof Remedy.Divide divide) {
            bench.dividing().divide(divide.schools());
        } else if (remedy instanceof Remedy.FollowBest follow) {
            bench.edit("the best way", job -> job.editing(follow.group(), RunLayout::choosingNone));
        } else if (remedy instanceof Remedy.AllowRange range) {
            bench.edit(
                    "another range of repeats",
                    job -> job.editing(
                            range.group(),
                            run -> run.with(run.wish()
                                    .withRange(
                                            OptionalDouble.of(Math.max(Wish.SHORTEST_REPEAT, range.shortest())),
                                            OptionalDouble.of(Math.min(Wish.LONGEST_REPEAT, range.longest()))))));
        } else if (remedy instanceof Remedy.Redesign redesign) {
            bench.edit("motifs that fit", job -> job.editing(redesign.group(), l -> l.with(redesign.design())));
        } else if (remedy instanceof Remedy.RedesignArea redesign) {
            bench.areas().choose(redesign.area(), 1);
            bench.areas().design("motifs that fit", redesign.design());
        } else if (remedy instanceof Remedy.Untie untie) {
            bench.edit("counts by themselves", job -> job.editing(untie.group(), l -> l.with(Optional.empty())));
        } else if (remedy instanceof Remedy.Ease ease) {
            bench.editQuilt(
                    "opposite sides planned " + Words.name(ease.to()),
                    quilt -> quilt.with(quilt.easing().with(ease.side(), ease.to())));
        } else if (remedy instanceof Remedy.SeeMarks see) {
            bench.selection().choose(see.run());
            bench.stageProperty().set(WorkStage.MARK);
        } else if (remedy instanceof Remedy.TakeFromShelf take) {
            bench.takeFromShelf(take.templateId());
        } else if (remedy instanceof Remedy.PutOnShelf put) {
            bench.putOnShelf(put.templateId());
        } else {
            bench.stageProperty().set(WorkStage.SHELF);
        }
    }

    /** Says what a new measurement moved, once there was something to move. */
    private void tellMoved(Moves moves) {
        if (moves == null || moves.isNothing()) {
            return;
        }
        DivisionWords said = new DivisionWords(bench.words());
        Quilt quilt = bench.job().quilt();
        messages.tell("Divided again. "
                + moves.runs().stream()
                        .limit(MOVES_TOLD)
                        .map(move -> Words.capital(said.move(move, quilt)) + ".")
                        .collect(Collectors.joining(" "))
                + (moves.runs().size() > MOVES_TOLD
                        ? " And " + (moves.runs().size() - MOVES_TOLD) + " more runs."
                        : ""));
    }

    private void measure(Dimension dimension) {
        bench.stageProperty().set(WorkStage.MEASURE);
        Platform.runLater(() -> measureBench.get().focus(dimension));
    }

    /** A template was let go over a side of the quilt's map. */
    private boolean useDropped(Object source) {
        Optional<Template> template = shelf.get().template(source);
        template.ifPresent(t -> {
            if (t.arcs().isEmpty()) {
                messages.tell(t.name() + " has no round edge: a border of arcs can't be stitched along it.");
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
        return measureBench.get();
    }

    LayOutBench layOutBench() {
        return layOut.get();
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
        return shelfBench.get();
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
