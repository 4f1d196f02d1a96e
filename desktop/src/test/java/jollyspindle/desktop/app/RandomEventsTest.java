package jollyspindle.desktop.app;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Soon;
import jollyspindle.desktop.model.Planning;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.logging.Logger;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/**
 * A window that is worked at random, by somebody who presses second buttons, types nonsense, changes files from outside and
 * never waits for the plan. Seeds that once found something are among those tried. With {@code -Pfuzz}, many more are.
 */
@ExtendWith(ApplicationExtension.class)
class RandomEventsTest {

    private static final int EVENTS = Integer.getInteger("spindle.fuzz.events", 250);
    private static final int SEEDS = Integer.getInteger("spindle.fuzz.seeds", 3);
    private static final int PATIENCE = 60;
    private static final Logger LOG = Logger.getLogger(RandomEventsTest.class.getName());

    private static final List<String> TYPED = List.of(
            "7 1/4",
            "0",
            "-3",
            "200",
            "0.005",
            "64",
            "1/16",
            "12",
            "45",
            "",
            "x",
            "3 1/2; 2",
            "A B",
            "182.5 cm",
            "1e9",
            "90",
            "0, 0; 9, 0; 9, 9",
            "8 by 8",
            "24",
            "0.3",
            "100");

    private static final List<KeyCode> KEYS = List.of(
            KeyCode.LEFT,
            KeyCode.RIGHT,
            KeyCode.UP,
            KeyCode.DOWN,
            KeyCode.PLUS,
            KeyCode.MINUS,
            KeyCode.ENTER,
            KeyCode.ESCAPE,
            KeyCode.SPACE,
            KeyCode.HOME,
            KeyCode.END,
            KeyCode.DELETE,
            KeyCode.PAGE_DOWN,
            KeyCode.PAGE_UP,
            KeyCode.PERIOD,
            KeyCode.COMMA,
            KeyCode.P,
            KeyCode.Z,
            KeyCode.C,
            KeyCode.DIGIT0,
            KeyCode.DIGIT1,
            KeyCode.TAB);

    /** What would end the window or ask for a file. */
    private static final Set<String> LEFT_ALONE = Set.of("message-action");

    @TempDir
    static Path folder;

    private final String apart = System.getProperty(Soon.APART);
    private final List<Throwable> faults = Collections.synchronizedList(new ArrayList<>());
    private Workbench bench;
    private MainWindow window;
    private Random random;
    private Path file;
    private Thread windowThread;

    private final Dialogs asking = new Dialogs() {
        @Override
        public Unsaved unsaved(String jobName) {
            return Unsaved.values()[random.nextInt(3)];
        }

        @Override
        public Changed changedElsewhere(String fileName) {
            return Changed.values()[random.nextInt(3)];
        }

        @Override
        public boolean mayReplace(String fileName) {
            return random.nextBoolean();
        }

        @Override
        public Optional<Path> toOpen(String title, String kind, String suffix) {
            return random.nextBoolean() ? Optional.empty() : Optional.of(file);
        }

        @Override
        public Optional<Path> toWrite(String title, String suggestedName, String kind, String suffix) {
            return suffix.equals(JobFile.SUFFIX) && random.nextBoolean() ? Optional.of(file) : Optional.empty();
        }
    };

    @Start
    void start(Stage stage) {
        // As for somebody who looks at it, not as soon as it can be.
        System.clearProperty(Soon.APART);
        bench = new Workbench(Planning.away());
        window = new MainWindow(stage, bench, owner -> asking, folder.resolve("settings"));
        stage.show();
        windowThread = Thread.currentThread();
        Thread.UncaughtExceptionHandler kept = (thread, fault) -> faults.add(fault);
        Thread.currentThread().setUncaughtExceptionHandler(kept);
        Thread.setDefaultUncaughtExceptionHandler(kept);
    }

    @AfterEach
    void tidy(FxRobot robot) {
        robot.interact(() -> {
            window.leave();
            window.stage().hide();
        });
        Thread.setDefaultUncaughtExceptionHandler(null);
        System.setProperty(Soon.APART, apart);
    }

    static LongStream seeds() {
        return LongStream.rangeClosed(1, SEEDS);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void nothingIsLostAndNothingFails(long seed, FxRobot robot) throws Exception {
        random = new Random(seed);
        file = folder.resolve("random-" + seed + JobFile.SUFFIX);
        robot.interact(() -> bench.start(job()));
        Waits waits = new Waits(windowThread);
        List<String> done = new ArrayList<>();
        for (int i = 0; i < EVENTS && faults.isEmpty(); i++) {
            long wished = System.nanoTime();
            Platform.runLater(() -> {
                try {
                    waits.stamp(wished, " before " + last(done));
                    done.add(event());
                    waits.stamp(0, last(done));
                } catch (RuntimeException | FileTrouble e) {
                    faults.add(e);
                }
            });
            if (random.nextInt(4) == 0) {
                WaitForAsyncUtils.waitForFxEvents();
            }
        }
        settle();
        waits.end();
        LOG.info("seed " + seed + ": " + waits);
        assertThat(faults.stream().map(RandomEventsTest::trace))
                .as("seed %d, after %s", seed, done.subList(Math.max(0, done.size() - 12), done.size()))
                .isEmpty();
        robot.interact(() -> {
            bench.dropGesture();
            bench.stageProperty().set(WorkStage.LAY_OUT);
        });
        settle();
        assertThat(bench.plan().job()).isEqualTo(bench.job());
        // What the window took, the file takes back.
        QuiltJob last = bench.job();
        Path own = folder.resolve("own-" + seed + JobFile.SUFFIX);
        robot.interact(() -> {
            try {
                bench.save(own);
                bench.open(own);
            } catch (FileTrouble e) {
                faults.add(e);
            }
        });
        settle();
        assertThat(faults).isEmpty();
        assertThat(bench.job()).isEqualTo(last);
    }

    private static String last(List<String> done) {
        return done.isEmpty() ? "nothing" : done.get(done.size() - 1);
    }

    /** How long each step takes on the window's thread, which is asked each millisecond unless it still owes an answer. */
    private static final class Waits {

        private static final long SLOW = 70_000_000;
        private static final double LONG = 100;

        private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

        private final List<Double> millis = Collections.synchronizedList(new ArrayList<>());
        private final List<String> longSteps = Collections.synchronizedList(new ArrayList<>());
        private final Map<String, Integer> slow = new ConcurrentHashMap<>();
        private volatile boolean over;
        private volatile long asked;
        private volatile long worked;
        private volatile long posted;

        Waits(Thread window) {
            Thread watch = new Thread(() -> watch(window), "waits");
            watch.setDaemon(true);
            watch.start();
        }

        /** Looks what the window's thread is at when it has been at it for long. */
        private void watch(Thread window) {
            while (!over) {
                ask();
                long owed = posted;
                if (owed != 0 && System.nanoTime() - owed > SLOW) {
                    List<String> at = Arrays.stream(window.getStackTrace())
                            .filter(e -> e.getClassName().startsWith("jollyspindle")
                                    && !e.getClassName().contains("Test"))
                            .map(e -> e.getClassName().replaceAll(".*\\.|\\$.*", "") + "." + e.getMethodName())
                            .toList();
                    slow.merge(
                            at.isEmpty()
                                    ? framework(window.getStackTrace())
                                    : at.get(0) + " < " + at.get(at.size() / 2),
                            1,
                            Integer::sum);
                }
                try {
                    Thread.sleep(1);
                } catch (InterruptedException e) {
                    return;
                }
            }
        }

        /** What JavaFX itself is at, as far as its stack says. */
        private static String framework(StackTraceElement[] stack) {
            return Arrays.stream(stack)
                    .map(e -> e.getClassName().replaceAll(".*\\.|\\$.*", "") + "." + e.getMethodName())
                    .filter(
                            name -> name.matches(
                                    "(VirtualFlow|TableView|ScrollPane|Text|Label|Control|Canvas|Scene|Region|Parent|TabPane|Toolkit)\\w*\\..*"))
                    .distinct()
                    .limit(4)
                    .collect(Collectors.joining(" < ", "JavaFX ", ""));
        }

        private void ask() {
            if (posted != 0) {
                return;
            }
            posted = System.nanoTime();
            Platform.runLater(() -> {
                stamp(posted, "");
                posted = 0;
            });
        }

        /** Another step begins; the one before ends. It began when the thread was last free, or when this was asked of it. */
        void stamp(long wished, String what) {
            long now = System.nanoTime();
            double took = (now - Math.max(asked, wished)) / 1e6;
            millis.add(took);
            long own = THREADS.getCurrentThreadCpuTime();
            if (took > LONG) {
                // What a machine that is busy otherwise adds to it isn't the thread's own work.
                longSteps.add(Math.round(took) + " ms, " + (own - worked) / 1_000_000 + " at work " + what);
            }
            asked = now;
            worked = own;
        }

        void end() {
            over = true;
        }

        @Override
        public String toString() {
            List<Double> sorted = new ArrayList<>(millis);
            Collections.sort(sorted);
            return String.format(
                    Locale.ROOT,
                    "longest step %.0f ms, %d over 100 ms, %d over 16 ms of %d; at %s; %s",
                    sorted.get(sorted.size() - 1),
                    sorted.stream().filter(m -> m > LONG).count(),
                    sorted.stream().filter(m -> m > 16).count(),
                    sorted.size(),
                    slow.entrySet().stream()
                            .sorted(Map.Entry.<String, Integer>comparingByValue()
                                    .reversed())
                            .limit(12)
                            .map(Object::toString)
                            .toList(),
                    longSteps);
        }
    }

    private void settle() throws Exception {
        WaitForAsyncUtils.waitForFxEvents();
        // What is still to come into the window takes the focus from what goes, and so what was typed there.
        CompletableFuture<Void> filled = new CompletableFuture<>();
        Platform.runLater(() -> Gradually.whenFilled(() -> filled.complete(null)));
        filled.get(PATIENCE, TimeUnit.SECONDS);
        WaitForAsyncUtils.waitForFxEvents();
        WaitForAsyncUtils.waitFor(PATIENCE, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(
                        () -> !bench.catchingUpProperty().get())
                .get());
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static String trace(Throwable fault) {
        StringWriter text = new StringWriter();
        fault.printStackTrace(new PrintWriter(text));
        return text.toString().lines().limit(14).reduce("", (a, b) -> a + "\n" + b);
    }

    // --- what happens ----------------------------------------------------------------------------------------------

    private <T> T any(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    private QuiltJob job() {
        List<QuiltJob> jobs = new ArrayList<>(DemoRings.all().values());
        jobs.add(DemoJob.heronWeir());
        QuiltJob job = any(jobs);
        if (random.nextBoolean()) {
            return job;
        }
        List<Area> areas = List.of(
                new Area.Blocks(3, 3, 12, 12, 2),
                new Area.Medallion(14),
                new Area.Applique(new Area.Ellipse(new Point(5, 5), 6, 4, 0.3), 0.25),
                new Area.Body(0.25));
        return job.withQuilt(job.quilt().withAreas(areas))
                .with(new AreaId(1), AreaDesign.of(new AreaMotif.Whirl(3, 0.5, 6), Optional.empty()))
                .with(
                        new AreaId(2),
                        AreaDesign.of(new AreaMotif.Arms(12, AreaMotif.Way.OUT_AND_BACK, 0.75), Optional.empty()));
    }

    private String event() throws FileTrouble {
        return switch (random.nextInt(16)) {
            case 0, 1, 2, 3 -> press();
            case 4, 5 -> type();
            case 6 -> choose();
            case 7, 8, 9, 10 -> mouse();
            case 11, 12 -> key();
            case 13 -> stage();
            case 14 -> step();
            default -> files();
        };
    }

    private <T extends Node> List<T> seen(Class<T> type) {
        List<T> all = new ArrayList<>();
        for (Node node : window.stage().getScene().getRoot().lookupAll("*")) {
            if (type.isInstance(node) && node.isVisible() && !node.isDisabled() && isShown(node)) {
                all.add(type.cast(node));
            }
        }
        return all;
    }

    private static boolean isShown(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private String press() {
        List<ButtonBase> all = seen(ButtonBase.class);
        all.removeIf(b -> b.getId() != null && LEFT_ALONE.contains(b.getId()));
        if (all.isEmpty()) {
            return "nothing to press";
        }
        ButtonBase button = any(all);
        button.fire();
        return "press " + button.getId() + " " + (button instanceof Button b ? b.getText() : "");
    }

    private String type() {
        List<TextField> all = seen(TextField.class);
        if (all.isEmpty()) {
            return "nothing to type in";
        }
        TextField field = any(all);
        String text = any(TYPED);
        field.requestFocus();
        field.setText(text);
        if (random.nextInt(3) > 0) {
            Event.fireEvent(field, key(KeyEvent.KEY_PRESSED, KeyCode.ENTER, false));
            field.fireEvent(new javafx.event.ActionEvent());
        }
        return "type " + text + " in " + field.getId();
    }

    private String choose() {
        List<ComboBox<Object>> all = new ArrayList<>();
        seen(ComboBox.class).forEach(b -> {
            @SuppressWarnings("unchecked")
            ComboBox<Object> box = b;
            all.add(box);
        });
        all.removeIf(b -> b.getItems().isEmpty());
        if (all.isEmpty()) {
            return "nothing to choose";
        }
        ComboBox<Object> box = any(all);
        if (random.nextInt(6) == 0) {
            box.requestFocus();
            box.setValue(null);
            return "nothing of " + box.getId();
        }
        box.setValue(any(box.getItems()));
        return "choose " + box.getValue() + " of " + box.getId();
    }

    private static KeyEvent key(EventType<KeyEvent> type, KeyCode code, boolean control) {
        return new KeyEvent(type, "", "", code, false, control, false, false);
    }

    private String key() {
        Node focus = window.stage().getScene().getFocusOwner();
        List<Node> targets = new ArrayList<>(List.of(window.table(), window.tape()));
        if (focus != null) {
            targets.add(focus);
        }
        Node target = any(targets);
        KeyCode code = any(KEYS);
        boolean control = code == KeyCode.SPACE && random.nextBoolean();
        Event.fireEvent(target, key(KeyEvent.KEY_PRESSED, code, control));
        Event.fireEvent(target, key(KeyEvent.KEY_RELEASED, code, control));
        return "key " + code;
    }

    private final Set<MouseButton> down = java.util.EnumSet.noneOf(MouseButton.class);
    private Node dragged;

    private MouseEvent mouse(EventType<MouseEvent> type, Node on, double x, double y, MouseButton button) {
        return new MouseEvent(
                type,
                x,
                y,
                x,
                y,
                button,
                1,
                false,
                false,
                random.nextInt(8) == 0,
                false,
                down.contains(MouseButton.PRIMARY),
                down.contains(MouseButton.MIDDLE),
                down.contains(MouseButton.SECONDARY),
                true,
                false,
                random.nextBoolean(),
                new PickResult(on, x, y));
    }

    /** Presses, moves and lets go, each by itself, so that anything may happen in between. */
    private String mouse() {
        List<Node> surfaces = new ArrayList<>(List.of(window.table()));
        surfaces.addAll(window.stage().getScene().getRoot().lookupAll("#tape-drawing"));
        surfaces.addAll(window.stage().getScene().getRoot().lookupAll("#protractor"));
        Node on = down.isEmpty() || dragged == null ? any(surfaces) : dragged;
        double x = random.nextDouble() * on.getBoundsInLocal().getWidth();
        double y = random.nextDouble() * on.getBoundsInLocal().getHeight();
        if (on == window.table()
                && window.table().onScreen(new Point(0, 0)) != null
                && random.nextBoolean()
                && !bench.handles().isEmpty()) {
            var at = window.table()
                    .screenToLocal(window.table().onScreen(any(bench.handles()).place()));
            x = at.getX();
            y = at.getY();
        }
        MouseButton button =
                any(List.of(MouseButton.PRIMARY, MouseButton.PRIMARY, MouseButton.SECONDARY, MouseButton.MIDDLE));
        if (random.nextInt(3) == 0 || down.isEmpty()) {
            if (down.add(button)) {
                dragged = on;
                Event.fireEvent(on, mouse(MouseEvent.MOUSE_PRESSED, on, x, y, button));
            }
            return "mouse down " + button;
        }
        if (random.nextInt(3) > 0) {
            Event.fireEvent(on, mouse(MouseEvent.MOUSE_DRAGGED, on, x, y, any(List.copyOf(down))));
            return "mouse dragged";
        }
        MouseButton up = any(List.copyOf(down));
        down.remove(up);
        Event.fireEvent(on, mouse(MouseEvent.MOUSE_RELEASED, on, x, y, up));
        Event.fireEvent(on, mouse(MouseEvent.MOUSE_CLICKED, on, x, y, up));
        return "mouse up " + up;
    }

    private String stage() {
        WorkStage stage = any(List.of(WorkStage.MEASURE, WorkStage.SHELF, WorkStage.LAY_OUT, WorkStage.MARK));
        bench.stageProperty().set(stage);
        return "to " + stage;
    }

    private String step() {
        switch (random.nextInt(5)) {
            case 0, 1 -> bench.undo();
            case 2 -> bench.redo();
            case 3 -> bench.areas().chooseAny();
            default ->
                bench.selection()
                        .choose(any(List.copyOf(
                                bench.job().quilt().groups().isEmpty()
                                        ? List.of(bench.selection()
                                                .whereProperty()
                                                .get())
                                        : bench.job()
                                                .quilt()
                                                .runs(any(bench.job().quilt().groups())))));
        }
        return "step";
    }

    private String files() throws FileTrouble {
        switch (random.nextInt(5)) {
            case 0 -> bench.start(job());
            case 1 -> {
                try {
                    bench.save(file);
                } catch (FileTrouble e) {
                    // What can't be kept in a file is taken back with the plan, if that hasn't come yet.
                    if (!bench.catchingUpProperty().get()) {
                        throw e;
                    }
                }
            }
            case 2 -> JobFile.write(file, job(), UnknownFields.none());
            case 3 -> window.open(file);
            default -> {
                bench.stopPlanning();
                return "stop";
            }
        }
        return "files";
    }
}
