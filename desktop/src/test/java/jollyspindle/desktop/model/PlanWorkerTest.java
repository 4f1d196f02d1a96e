package jollyspindle.desktop.model;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

/** Plans made elsewhere: the newest wish wins, and what fails is taken back. */
class PlanWorkerTest {

    private static final int PATIENCE = 20;

    @TempDir
    private Path folder;

    // --- the worker --------------------------------------------------------------------------------------------------

    private final LinkedBlockingQueue<Runnable> window = new LinkedBlockingQueue<>();
    private final PlanWorker worker = new PlanWorker(window::add);
    private final List<String> shown = new ArrayList<>();

    private void wish(String what, Callable<String> make) {
        worker.wish(
                make,
                shown::add,
                fault -> shown.add(what + " failed: " + fault.getClass().getSimpleName()));
    }

    private void showOne() throws InterruptedException {
        Runnable next = window.poll(PATIENCE, TimeUnit.SECONDS);
        assertThat(next).isNotNull();
        next.run();
    }

    @Test
    void onlyTheNewestWishIsMadeOfThoseThatWait() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch free = new CountDownLatch(1);
        AtomicInteger made = new AtomicInteger();
        wish("first", () -> {
            begun.countDown();
            free.await();
            return "first";
        });
        begun.await();
        for (int i = 2; i < 100; i++) {
            int number = i;
            wish("n", () -> {
                made.incrementAndGet();
                return "wish " + number;
            });
        }
        assertThat(shown).as("nobody waits").isEmpty();
        free.countDown();
        showOne();
        showOne();
        assertThat(shown).containsExactly("first", "wish 99");
        assertThat(made).hasValue(1);
    }

    @Test
    void whatIsMadeCanBeStoppedAndWhatFailsIsTold() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        wish("endless", () -> {
            begun.countDown();
            while (true) {
                jollyspindle.core.effort.Effort.step();
            }
        });
        begun.await();
        worker.stop();
        showOne();
        wish("wrong", () -> {
            throw new IllegalStateException("wrong");
        });
        showOne();
        wish("deep", () -> {
            throw new OutOfMemoryError("not really");
        });
        showOne();
        // A stop that comes too late does nothing to the next.
        worker.stop();
        wish("good", () -> "good");
        showOne();
        assertThat(shown)
                .containsExactly(
                        "endless failed: CancellationException",
                        "wrong failed: IllegalStateException",
                        "deep failed: OutOfMemoryError",
                        "good");
    }

    // --- the workbench -----------------------------------------------------------------------------------------------

    /** A planning that waits until it is told to go on, or to fail. */
    private static final class Held implements Planning {

        private record Wish<T>(Callable<T> make, Consumer<T> show, Consumer<Throwable> failed) {
            void go() {
                try {
                    show.accept(make.call());
                } catch (Exception e) {
                    failed.accept(e);
                }
            }
        }

        private final Deque<Wish<?>> wishes = new ArrayDeque<>();

        @Override
        public <T> void wish(Callable<T> make, Consumer<T> show, Consumer<Throwable> failed) {
            wishes.add(new Wish<>(make, show, failed));
        }

        @Override
        public void stop() {
            wishes.removeLast().failed().accept(new CancellationException());
        }

        void fail() {
            wishes.removeLast().failed().accept(new IllegalStateException("on purpose"));
        }

        /** As the worker does it: what isn't the newest is never made. */
        void goOnWithTheNewest() {
            while (wishes.size() > 1) {
                wishes.removeFirst();
            }
            goOn();
        }

        void goOn() {
            while (!wishes.isEmpty()) {
                wishes.removeFirst().go();
            }
        }
    }

    private final Held held = new Held();
    private final Workbench bench = new Workbench(held);
    private final List<String> told = new ArrayList<>();

    private void layDemo() {
        bench.setOnTrouble(told::add);
        bench.start(DemoJob.heronWeir());
        held.goOn();
        assertThat(bench.plan())
                .isEqualTo(Planner.plan(DemoJob.heronWeir())
                        .withFindings(Planner.compareWithShelf(
                                DemoJob.heronWeir(), bench.shelf().templates())));
    }

    @Test
    void typingUndoingAndSavingDontWaitForThePlan() throws Exception {
        layDemo();
        bench.editQuilt("top 70", quilt -> quilt.with(Dimension.BODY_TOP, 70));
        bench.edit("name", job -> job.withName("Ahead"));
        assertThat(bench.catchingUpProperty().get()).isTrue();
        assertThat(bench.job().name()).isEqualTo("Ahead");
        assertThat(bench.plan().job()).as("the plan before").isEqualTo(DemoJob.heronWeir());
        Path file = folder.resolve("ahead" + JobFile.SUFFIX);
        bench.save(file);
        assertThat(JobFile.read(file).job()).isEqualTo(bench.job());
        bench.undo();
        assertThat(bench.job().name()).isEqualTo("Heron Weir");
        assertThat(bench.redoName()).contains("name");
        bench.redo();
        assertThat(bench.savedProperty().get()).isTrue();
        held.goOn();
        assertThat(bench.catchingUpProperty().get()).isFalse();
        assertThat(bench.plan().job()).isEqualTo(bench.job());
        assertThat(bench.movedProperty().get().runs()).isNotEmpty();
    }

    @Test
    void whatFailsIsTakenBackAndTold() {
        layDemo();
        bench.edit("good", job -> job.withName("Good"));
        held.goOn();
        QuiltJob good = bench.job();
        bench.edit("one", job -> job.withName("One"));
        bench.edit("two", job -> job.withName("Two"));
        held.fail();
        assertThat(bench.job()).isEqualTo(good);
        assertThat(bench.plan().job()).isEqualTo(good);
        assertThat(bench.undoName()).contains("good");
        assertThat(told).hasSize(1);
        assertThat(told.get(0)).contains("couldn't be planned", "taken back");
        bench.edit("three", job -> job.withName("Three"));
        bench.stopPlanning();
        assertThat(told.get(1)).contains("Stopped");
        assertThat(bench.job()).isEqualTo(good);
        bench.redo();
        held.goOn();
        assertThat(bench.job().name()).as("what was stopped can be done again").isEqualTo("Three");
    }

    @Test
    void aJobThatCantBePlannedLeavesTheOneBeforeWithItsFile() throws Exception {
        layDemo();
        Path mine = folder.resolve("mine" + JobFile.SUFFIX);
        Path other = folder.resolve("other" + JobFile.SUFFIX);
        bench.edit("name", job -> job.withName("Mine"));
        held.goOn();
        bench.save(mine);
        JobFile.write(other, DemoJob.heronWeir().withName("Other"), UnknownFields.none());
        bench.open(other);
        assertThat(bench.job().name()).as("until it is planned").isEqualTo("Mine");
        held.fail();
        assertThat(bench.job().name()).isEqualTo("Mine");
        assertThat(bench.fileProperty().get()).isEqualTo(mine);
        assertThat(bench.undoName()).contains("name");
        assertThat(told.get(0)).contains("still is");
        bench.save(bench.fileProperty().get());
        assertThat(JobFile.read(other).job().name()).isEqualTo("Other");
        bench.open(other);
        held.goOn();
        assertThat(bench.job().name()).isEqualTo("Other");
        assertThat(bench.fileProperty().get()).isEqualTo(other);
        assertThat(bench.undoName()).isEmpty();
    }

    @Test
    void whatTheFileWouldRefuseIsTakenBack() {
        layDemo();
        // More measurements than a file takes; no field has a say in that.
        bench.editShelf("many", shelf -> {
            var one = shelf.templates().get(0);
            var all = shelf;
            for (int i = 0; i < 500; i++) {
                all = all.with(one.withId("copy-" + i).withName("Copy " + i));
            }
            return all;
        });
        held.goOn();
        assertThat(told).hasSize(1);
        assertThat(told.get(0)).contains("at most 500", "taken back");
        assertThat(bench.shelf().templates()).hasSizeLessThan(500);
    }

    @Test
    void aDragBegunBeforeThePlanIsThereLosesNothingOfIt() {
        layDemo();
        Motif fans = new Motif.Fans(3, 1);
        bench.design("fans", layout -> layout.with(layout.design().withMain(Layer.of(fans))));
        Gesture drag = bench.begin();
        held.goOn();
        int taken = bench.job().templates().size();
        assertThat(taken)
                .as("the shelf's fan came along")
                .isGreaterThan(DemoJob.heronWeir().templates().size());
        drag.to(job -> job.withName("Dragged"));
        drag.keep("dragged");
        held.goOn();
        assertThat(bench.job().templates()).hasSize(taken);
        assertThat(bench.job().name()).isEqualTo("Dragged");
        // A plan that fails while something is dragged is taken back all the same.
        bench.edit("bad", job -> job.withName("Bad"));
        Gesture next = bench.begin();
        held.fail();
        assertThat(next.isOver()).isTrue();
        assertThat(bench.job().name()).isEqualTo("Dragged");
        assertThat(bench.catchingUpProperty().get()).isFalse();
    }

    @Test
    void whatIsDoneWhileAnotherJobIsOpenedIsntDoneToThatOne() throws Exception {
        layDemo();
        Path other = folder.resolve("other" + JobFile.SUFFIX);
        QuiltJob written = DemoJob.heronWeir().withName("Other");
        JobFile.write(other, written, UnknownFields.none());
        bench.open(other);
        bench.editQuilt("top 0.3", quilt -> quilt.with(Dimension.BODY_TOP, 0.3));
        bench.edit("name", job -> job.withName("Late"));
        Gesture drag = bench.begin();
        drag.to(job -> job.withName("Dragged"));
        drag.keep("dragged");
        assertThat(told).hasSize(2).allMatch(text -> text.contains("Another job is being opened"));
        Path mine = folder.resolve("mine" + JobFile.SUFFIX);
        assertThatThrownBy(() -> bench.save(mine)).hasMessageContaining("nothing was saved");
        assertThat(mine).as("its file would have been given the other").doesNotExist();
        bench.editShelf("mine", shelf -> shelf.with(shelf.templates().get(0).withName("Mine")));
        held.goOnWithTheNewest();
        assertThat(bench.job().quilt()).isEqualTo(written.quilt());
        assertThat(bench.job().name()).isEqualTo("Other");
        assertThat(bench.shelf().templates().get(0).name())
                .as("the shelf is of no job")
                .isEqualTo("Mine");
        assertThat(bench.plan().job()).isEqualTo(bench.job());
        bench.edit("name", job -> job.withName("In time"));
        held.goOnWithTheNewest();
        assertThat(bench.plan().job().name()).isEqualTo("In time");
    }

    @Test
    void aDragThatComesToNothingLeavesNoChangeUnplanned() {
        layDemo();
        bench.edit("good", job -> job.withName("Good"));
        Gesture drag = bench.begin();
        drag.to(job -> job.withName("Dragged"));
        drag.drop();
        held.goOnWithTheNewest();
        assertThat(bench.plan().job().name()).isEqualTo("Good");
        // Dragged away and back to where it was.
        Gesture back = bench.begin();
        back.to(job -> job.withName("Dragged"));
        back.to(job -> job.withName("Good"));
        back.drop();
        held.goOnWithTheNewest();
        assertThat(bench.catchingUpProperty().get()).isFalse();
        // What the file would refuse is found all the same.
        bench.editQuilt("top 0.3", quilt -> quilt.with(Dimension.BODY_TOP, 0.3));
        Gesture late = bench.begin();
        late.to(job -> job.withName("Dragged"));
        held.goOnWithTheNewest();
        late.drop();
        held.goOnWithTheNewest();
        assertThat(told).hasSize(1);
        assertThat(told.get(0)).contains("Body, top reads 0.3", "taken back");
        assertThat(bench.plan().job()).isEqualTo(bench.job());
        // A drag that can't be planned takes nothing else along.
        bench.edit("better", job -> job.withName("Better"));
        bench.begin().to(job -> job.withName("Dragged"));
        held.fail();
        held.goOnWithTheNewest();
        assertThat(bench.plan().job().name()).isEqualTo("Better");
        // A mere click plans nothing again.
        bench.begin().drop();
        assertThat(bench.catchingUpProperty().get()).isFalse();
    }

    /** Taken out with a key while the mouse has it. */
    @Test
    void anAppliqueThatIsGoneIsntDragged() {
        layDemo();
        Area leaf = new Area.Applique(new Area.Ellipse(Point.ORIGIN, 6, 4, 0), 0.25);
        bench.editQuilt("a leaf", quilt -> quilt.adding(leaf));
        held.goOn();
        AreaId taken = bench.job().quilt().areaIds().get(0);
        bench.undo();
        held.goOn();
        bench.areas().moveApplique(bench.begin(), taken, new Point(1, 1));
        bench.dropGesture();
        assertThat(bench.job()).isEqualTo(DemoJob.heronWeir());
        bench.redo();
        held.goOn();
        Gesture drag = bench.begin();
        bench.areas().moveApplique(drag, taken, new Point(1, 1));
        drag.keep("moved");
        held.goOn();
        assertThat(bench.plan().appliques().get(taken).box().middle().distance(new Point(1, 1)))
                .isLessThan(1e-9);
    }

    @Test
    void ofADragOnlyWhatIsNewestIsShownAndNothingWhenItIsOver() {
        layDemo();
        Gesture drag = bench.begin();
        for (int i = 1; i <= 5; i++) {
            String name = "Dragged " + i;
            drag.to(job -> job.withName(name));
        }
        bench.edit("else", job -> job.withName("Something else"));
        assertThat(drag.isOver()).isTrue();
        drag.to(job -> job.withName("After"));
        drag.keep("after");
        held.goOn();
        assertThat(bench.job().name()).isEqualTo("Something else");
        assertThat(bench.plan().job().name()).isEqualTo("Something else");
        bench.undo();
        held.goOn();
        assertThat(bench.job()).isEqualTo(DemoJob.heronWeir());
    }
}
