package jollyspindle.desktop.control;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** A few nodes in a moment, the first ones first, and all of them in the end. */
@ExtendWith(ApplicationExtension.class)
class GraduallyTest {

    /** Longer than a moment may take. */
    private static final long SLOW = 20;

    private final VBox pane = new VBox();
    private final StackPane root = new StackPane(pane);
    private final List<String> done = Collections.synchronizedList(new ArrayList<>());
    private final String apart = System.getProperty(Soon.APART);

    @Start
    void start(Stage stage) {
        stage.setScene(new Scene(root, 200, 400));
        stage.show();
    }

    @BeforeEach
    void inMoments() {
        System.setProperty(Soon.APART, "32");
    }

    @AfterEach
    void asBefore() {
        System.setProperty(Soon.APART, apart);
    }

    private Node slow(String name) {
        try {
            Thread.sleep(SLOW);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
        done.add(name);
        return new Label(name);
    }

    private static List<String> names(VBox of) {
        return of.getChildren().stream().map(n -> ((Label) n).getText()).toList();
    }

    private void await(int count) throws Exception {
        WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> done.size() >= count);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void aFewAtATimeAndTheWindowAnswersInBetween(FxRobot robot) throws Exception {
        robot.interact(() -> {
            Gradually.fill(pane, IntStream.range(0, 5).mapToObj(i -> () -> slow("" + i)));
            Gradually.whenFilled(() -> done.add("filled"));
            assertThat(names(pane)).as("the first at once, the others later").containsExactly("0");
        });
        await(6);
        assertThat(names(pane)).containsExactly("0", "1", "2", "3", "4");
        assertThat(done).endsWith("4", "filled");
    }

    @Test
    void panesThatAreFilledInOneGoShareTheMoment(FxRobot robot) throws Exception {
        robot.interact(() -> {
            for (int i = 0; i < 4; i++) {
                VBox other = new VBox();
                root.getChildren().add(other);
                int which = i;
                Gradually.fill(other, Stream.of(() -> slow("pane " + which)));
            }
            assertThat(done).as("the window isn't kept waiting by the others").hasSize(1);
        });
        await(4);
        assertThat(done).hasSize(4);
    }

    @Test
    void whatComesInsideOfItIsFilledBeforeTheNext(FxRobot robot) throws Exception {
        VBox inner = new VBox();
        robot.interact(() -> {
            Gradually.fill(inner, IntStream.range(0, 3).mapToObj(i -> () -> slow("inner " + i)));
            assertThat(inner.getChildren()).as("in no window").isEmpty();
            VBox outer = new VBox();
            root.getChildren().add(outer);
            Gradually.fill(outer, Stream.<Supplier<Node>>of(() -> inner, () -> slow("outer")));
        });
        await(4);
        assertThat(done).containsExactly("inner 0", "inner 1", "inner 2", "outer");
    }

    @Test
    void anotherFillingTakesThePlaceOfTheOneBefore(FxRobot robot) throws Exception {
        robot.interact(() -> {
            Gradually.fill(pane, IntStream.range(0, 5).mapToObj(i -> () -> slow("old " + i)));
            Gradually.fill(pane, IntStream.range(0, 3).mapToObj(i -> () -> slow("new " + i)));
        });
        await(4);
        assertThat(names(pane)).containsExactly("new 0", "new 1", "new 2");
        assertThat(done).containsExactly("old 0", "new 0", "new 1", "new 2");
    }

    @Test
    void whatIsPutThereAtOnceStaysByItself(FxRobot robot) throws Exception {
        Label label = new Label("kept");
        robot.interact(() -> {
            Gradually.fill(pane, Stream.<Supplier<Node>>of(() -> slow("old"), () -> label));
            Gradually.atOnce(pane, List.of(label));
        });
        Thread.sleep(100);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(pane.getChildren()).containsExactly(label);
    }

    @Test
    void oneThatFailsKeepsNoOtherAway(FxRobot robot) throws Exception {
        robot.interact(() -> {
            slow("before");
            Gradually.fill(pane, IntStream.range(0, 3).mapToObj(i -> () -> {
                if (i == 1) {
                    throw new IllegalStateException("on purpose");
                }
                return slow("" + i);
            }));
        });
        await(3);
        assertThat(names(pane)).containsExactly("0", "2");
        WaitForAsyncUtils.clearExceptions();
    }

    @Test
    void whatIsTakenOutOfTheWindowWaits(FxRobot robot) throws Exception {
        robot.interact(() -> {
            Gradually.fill(pane, IntStream.range(0, 3).mapToObj(i -> () -> slow("" + i)));
            root.getChildren().remove(pane);
        });
        Thread.sleep(100);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(done).containsExactly("0");
        robot.interact(() -> root.getChildren().add(pane));
        await(3);
        assertThat(names(pane)).containsExactly("0", "1", "2");
    }
}
