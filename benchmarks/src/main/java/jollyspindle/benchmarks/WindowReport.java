package jollyspindle.benchmarks;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.desktop.app.Dialogs;
import jollyspindle.desktop.app.MainWindow;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.QuiltTable;
import jollyspindle.desktop.model.Knob;
import jollyspindle.desktop.model.Planning;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import javafx.stage.Stage;

/**
 * Says how long the window's thread is busy at a time while something is dragged on a king-size quilt, drawn by software and
 * off screen: knobs on the table and a valley on the tape, a move every 16 ms. How long the thread lets others wait is a step.
 */
public final class WindowReport {

    private static final int WARM_UP = 300;
    private static final int MOVES = 600;
    private static final long BETWEEN_MOVES = 16;
    private static final int ROUNDS = 5;
    private static final long QUIET = 700;

    private final Workbench bench = new Workbench(Planning.away());
    private final Idle idle = new Idle();
    private Stage stage;
    private MainWindow window;

    private WindowReport() {}

    /** Runs the report; with the word {@code around} only of going from stage to stage. */
    public static void main(String[] args) throws Exception {
        System.setProperty("glass.platform", "Monocle");
        System.setProperty("monocle.platform", "Headless");
        System.setProperty("prism.order", "sw");
        System.setProperty("prism.text", "t2k");
        System.setProperty("java.awt.headless", "true");
        CountDownLatch started = new CountDownLatch(1);
        Platform.startup(started::countDown);
        started.await();
        new WindowReport().run(!List.of(args).contains("around"));
        Platform.exit();
    }

    private void run(boolean drags) throws Exception {
        QuiltJob job = LargeJobs.KING_SIZE.times(1);
        var folder = Files.createTempDirectory("spindle-report");
        inWindow(() -> {
            stage = new Stage();
            window = new MainWindow(stage, bench, Dialogs::inDialogs, folder);
            stage.show();
            bench.start(job);
            bench.stageProperty().set(WorkStage.LAY_OUT);
            return null;
        });
        settle();
        prepare();
        for (int round = 0; round < 2 && drags; round++) {
            boolean counts = round > 0;
            int moves = counts ? MOVES : WARM_UP;
            List<Knob> knobs = inWindow(() -> List.copyOf(bench.handles()));
            for (int i = 0; i < Math.min(3, knobs.size()); i++) {
                Knob knob = knobs.get(i);
                report(counts, "knob: " + knob.name(), dragKnob(knob, moves));
            }
            report(counts, "valley on the tape", dragValley(moves));
        }
        goAround();
        System.out.printf(
                Locale.ROOT,
                "meanwhile the machine kept a thread that only sleeps waiting for up to %.0f ms, and over 50 ms %d times%n",
                idle.longest,
                idle.often.get());
    }

    /** Waits, as somebody does who looks at the quilt first, until what can be turned to is at hand. */
    private void prepare() throws Exception {
        List<Step> longest = new ArrayList<>();
        AtomicBoolean more = new AtomicBoolean(true);
        while (more.get()) {
            longest.add(longest(() -> more.set(!Gradually.isFilled() || window.prepareNext())));
        }
        System.out.printf(
                Locale.ROOT,
                "%-40s longest step %s; of each part %s%n",
                "made before it is asked for",
                longest(longest),
                longest);
    }

    /** Goes from stage to stage, from page to page and from light to dark; the first time all of it is new. */
    private void goAround() throws Exception {
        Map<String, List<Step>> longest = new LinkedHashMap<>();
        for (int round = 0; round < ROUNDS; round++) {
            for (WorkStage to : List.of(WorkStage.MEASURE, WorkStage.SHELF, WorkStage.MARK, WorkStage.LAY_OUT)) {
                longest.computeIfAbsent("to " + to, k -> new ArrayList<>())
                        .add(longest(() -> bench.stageProperty().set(to)));
            }
            for (String page : List.of("motifs", "candidates", "run", "wishes", "rules", "areas", "candidates")) {
                longest.computeIfAbsent("to the page of " + page, k -> new ArrayList<>())
                        .add(longest(() -> ((ButtonBase) root().lookup("#show-" + page)).fire()));
            }
            for (int i = 0; i < 2; i++) {
                longest.computeIfAbsent(i == 0 ? "dark" : "light", k -> new ArrayList<>())
                        .add(longest(() -> ((ButtonBase) root().lookup("#look")).fire()));
            }
        }
        longest.forEach((what, steps) -> System.out.printf(
                Locale.ROOT,
                "%-40s longest step the first time %s, the second %s, the last of %d %s%n",
                what,
                steps.get(0),
                steps.get(1),
                steps.size(),
                steps.get(steps.size() - 1)));
    }

    private Step longest(Runnable what) throws Exception {
        Steps steps = new Steps();
        inWindow(() -> {
            what.run();
            return null;
        });
        Thread.sleep(QUIET);
        return longest(steps.end());
    }

    private static Step longest(List<Step> steps) {
        return steps.stream().max(Comparator.comparingDouble(Step::took)).orElse(Step.NONE);
    }

    private Node root() {
        return stage.getScene().getRoot();
    }

    private static void report(boolean counts, String what, List<Step> steps) {
        if (!counts) {
            return;
        }
        List<Double> sorted = steps.stream().map(Step::took).sorted().toList();
        System.out.printf(
                Locale.ROOT,
                "%-40s 99th percentile %.1f ms, longest %s, %d of %d steps over 16 ms%n",
                what,
                sorted.get((int) (0.99 * (sorted.size() - 1))),
                longest(steps),
                sorted.stream().filter(s -> s > 16).count(),
                sorted.size());
    }

    private List<Step> dragKnob(Knob knob, int moves) throws Exception {
        QuiltTable table = (QuiltTable) inWindow(() -> root().lookup("#quilt-table"));
        Point2D at = inWindow(() -> table.screenToLocal(table.onScreen(knob.place())));
        Point way = knob.way();
        return drag(table, at.getX(), at.getY(), way.x(), -way.y(), moves);
    }

    private List<Step> dragValley(int moves) throws Exception {
        Node tape = inWindow(() -> root().lookup("#tape-drawing"));
        double width = inWindow(() -> tape.getBoundsInLocal().getWidth());
        double y = inWindow(() -> tape.getBoundsInLocal().getHeight()) / 2;
        double x = width / 4;
        while (!isOnValley(tape, x, y)) {
            x++;
            if (x > width) {
                throw new IllegalStateException("no valley on the tape");
            }
        }
        return drag(tape, x, y, 1, 0, moves);
    }

    /** Presses there and lets go, and looks what was taken. */
    private boolean isOnValley(Node tape, double x, double y) throws Exception {
        fire(tape, MouseEvent.MOUSE_PRESSED, x, y);
        fire(tape, MouseEvent.MOUSE_RELEASED, x, y);
        return inWindow(() -> {
            Mark taken = bench.selection().pointedProperty().get();
            return taken != null && taken.kind() == Mark.Kind.VALLEY;
        });
    }

    /** Presses, moves to and fro, and lets go; how long each step of the window's thread took meanwhile, in milliseconds. */
    private List<Step> drag(Node on, double x, double y, double dx, double dy, int moves) throws Exception {
        fire(on, MouseEvent.MOUSE_PRESSED, x, y);
        Steps steps = new Steps();
        for (int i = 0; i < moves; i++) {
            double by = 12 * Math.sin(i / 9.0);
            fire(on, MouseEvent.MOUSE_DRAGGED, x + by * dx, y + by * dy);
            Thread.sleep(BETWEEN_MOVES);
        }
        List<Step> taken = steps.end();
        fire(on, MouseEvent.MOUSE_RELEASED, x, y);
        settle();
        inWindow(() -> {
            bench.undo();
            return null;
        });
        settle();
        return taken;
    }

    private static void fire(Node on, EventType<MouseEvent> type, double x, double y) {
        boolean down = type != MouseEvent.MOUSE_RELEASED;
        Platform.runLater(() -> Event.fireEvent(
                on,
                new MouseEvent(
                        type,
                        x,
                        y,
                        x,
                        y,
                        MouseButton.PRIMARY,
                        1,
                        false,
                        false,
                        false,
                        false,
                        down,
                        false,
                        false,
                        true,
                        false,
                        false,
                        new PickResult(on, x, y))));
    }

    private void settle() throws Exception {
        CountDownLatch planned = new CountDownLatch(1);
        Platform.runLater(() -> bench.whenPlanned(plan -> planned.countDown()));
        planned.await();
        Thread.sleep(500);
    }

    private static <T> T inWindow(java.util.concurrent.Callable<T> what)
            throws InterruptedException, ExecutionException {
        FutureTask<T> task = new FutureTask<>(what);
        Platform.runLater(task);
        return task.get();
    }

    /** A thread that does nothing; what keeps it waiting is the machine, not the window. */
    private static final class Idle extends Thread {

        private static final double LONG = 50;

        private volatile double longest;
        private final AtomicInteger often = new AtomicInteger();

        Idle() {
            super("idle");
            setDaemon(true);
            start();
        }

        @Override
        public void run() {
            try {
                while (true) {
                    long began = System.nanoTime();
                    Thread.sleep(1);
                    double late = (System.nanoTime() - began) / 1e6 - 1;
                    longest = Math.max(longest, late);
                    if (late > LONG) {
                        often.incrementAndGet();
                    }
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /**
     * A step of the window's thread, in milliseconds.
     *
     * @param took how long others had to wait, which the machine may have made longer
     * @param own how long of that the thread itself was at work; what it waited for, a picture still being drawn, isn't in it
     */
    private record Step(double took, double own) {

        static final Step NONE = new Step(0, 0);

        @Override
        public String toString() {
            return String.format(Locale.ROOT, "%.0f ms (%.0f at work)", took, own);
        }
    }

    /** Asks the window's thread every millisecond; what it answers at once isn't counted, since it had nothing to do. */
    private static final class Steps {

        private static final double BUSY = 1;
        private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

        private final List<Step> all = Collections.synchronizedList(new ArrayList<>());
        private final Thread asking = new Thread(this::ask, "asking");

        Steps() {
            asking.setDaemon(true);
            asking.start();
        }

        private void ask() {
            try {
                long worked = inWindow(THREADS::getCurrentThreadCpuTime);
                while (!Thread.interrupted()) {
                    long asked = System.nanoTime();
                    long until = inWindow(THREADS::getCurrentThreadCpuTime);
                    double waited = (System.nanoTime() - asked) / 1e6;
                    if (waited > BUSY) {
                        all.add(new Step(waited, (until - worked) / 1e6));
                    }
                    worked = until;
                    Thread.sleep(1);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            } catch (ExecutionException e) {
                throw new IllegalStateException(e);
            }
        }

        List<Step> end() throws InterruptedException {
            asking.interrupt();
            asking.join();
            return List.copyOf(all);
        }
    }
}
