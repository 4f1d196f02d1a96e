package jollyspindle.desktop.control;

import org.junit.jupiter.api.AfterEach;
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
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** What has changed is shown once, where it is seen, and in moments that keep apart. */
@ExtendWith(ApplicationExtension.class)
class SoonTest {

    private static final String APART = "spindle.window.apart";

    private final StackPane root = new StackPane();
    private final StackPane view = new StackPane();
    private final StackPane other = new StackPane();
    private final List<Long> shown = Collections.synchronizedList(new ArrayList<>());
    private final String apart = System.getProperty(APART);

    @Start
    void start(Stage stage) {
        root.getChildren().addAll(view, other);
        stage.setScene(new Scene(root, 200, 100));
        stage.show();
    }

    @AfterEach
    void asBefore() {
        System.setProperty(APART, apart);
    }

    @Test
    void manyChangesAreShownOnceAndOnlyWhereTheyAreSeen(FxRobot robot) {
        Soon soon = new Soon(view, () -> shown.add(System.nanoTime()));
        robot.interact(() -> {
            soon.ask();
            soon.ask();
            assertThat(soon.isDue()).isTrue();
            assertThat(shown).isEmpty();
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(shown).hasSize(1);
        robot.interact(() -> {
            root.getChildren().remove(view);
            soon.ask();
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(shown).as("nobody sees it").hasSize(1);
        robot.interact(() -> {
            root.getChildren().add(view);
            assertThat(shown).as("at once, so that nothing old is seen").hasSize(2);
        });
        Deck deck = new Deck();
        robot.interact(() -> {
            root.getChildren().setAll(deck);
            deck.show(view);
            deck.show(other);
            soon.ask();
            soon.now();
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(shown).as("hidden behind another").hasSize(2);
        robot.interact(() -> {
            deck.show(view);
            assertThat(shown).hasSize(3);
            deck.letHiddenGo();
            assertThat(deck.getChildren()).containsExactly(view);
        });
        robot.interact(() -> {
            soon.ask();
            soon.now();
            assertThat(shown).hasSize(4);
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(shown).hasSize(4);
    }

    @Test
    void aViewThatHasHiddenItselfIsAskedAgain(FxRobot robot) {
        Soon soon = new Soon(view, () -> {
            shown.add(System.nanoTime());
            view.setVisible(shown.size() % 2 == 0);
        });
        robot.interact(soon::ask);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(view.isVisible()).isFalse();
        robot.interact(soon::ask);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(view.isVisible()).isTrue();
    }

    @Test
    void aViewThatFailsKeepsNoOtherFromShowing(FxRobot robot) {
        Soon failing = new Soon(view, () -> {
            throw new IllegalStateException("on purpose");
        });
        Soon soon = new Soon(other, () -> shown.add(System.nanoTime()));
        robot.interact(() -> {
            failing.ask();
            soon.ask();
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(shown).hasSize(1);
        WaitForAsyncUtils.clearExceptions();
    }

    @Test
    void momentsKeepApart(FxRobot robot) throws Exception {
        System.setProperty(APART, "120");
        Soon soon = new Soon(view, () -> shown.add(System.nanoTime()));
        robot.interact(soon::ask);
        WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> shown.size() == 1);
        robot.interact(soon::ask);
        WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> shown.size() == 2);
        // A pulse of the screen's may come a little before its time.
        assertThat((shown.get(1) - shown.get(0)) / 1e6).isGreaterThan(90);
    }
}
