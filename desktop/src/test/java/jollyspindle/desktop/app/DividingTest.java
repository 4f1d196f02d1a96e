package jollyspindle.desktop.app;

import jollyspindle.core.division.Counts;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.MiddleOption;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.desktop.model.WorkStage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** How borders come out: measured, wished, chosen for one side or all, compared, judged. */
@ExtendWith(ApplicationExtension.class)
class DividingTest extends Hands {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private School school(Side side) {
        return bench.plan().run(side).orElseThrow().divided().school();
    }

    // --- laying out ----------------------------------------------------------------------------------------------

    @Test
    void wishesDecideWhatIsListed(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-wishes");
        choose(robot, "#wish-parity", Wish.Parity.ODD);
        assertThat(bench.group().orElseThrow().candidates().stream()
                        .filter(c -> c.kind().equals(Optional.of(SchoolKind.EVEN))))
                .isNotEmpty()
                .allMatch(c -> c.count(RunId.of(Side.TOP)) % 2 == 1 && c.count(RunId.of(Side.LEFT)) % 2 == 1);
        type(robot, "#wish-across", "many");
        assertThat(read(robot, "#wish-across-said")).contains("“many” isn't a whole number from 1 to 400");
        type(robot, "#wish-across", "9");
        assertThat(bench.group().orElseThrow().chosen().count(RunId.of(Side.TOP)))
                .isEqualTo(9);
        type(robot, "#wish-across", "");
        choose(robot, "#wish-school", Optional.of(SchoolKind.CENTRE_OUT));
        assertThat(bench.group().orElseThrow().candidates())
                .allMatch(c -> c.kind().equals(Optional.of(SchoolKind.CENTRE_OUT)));
        choose(robot, "#wish-school", Optional.<SchoolKind>empty());
        // Nothing odd lies between 7 1/8 and 7 1/4; the finding tells a range that has some, and its button takes it.
        type(robot, "#wish-shortest", "7 1/8");
        type(robot, "#wish-longest", "7 1/4");
        assertThat(bench.plan().findings()).anyMatch(f -> f.code().equals("no-solution"));
        scrollTo(robot, "#remedy-no-solution");
        robot.clickOn("#remedy-no-solution");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.plan().findings()).noneMatch(f -> f.code().equals("no-solution"));
        type(robot, "#wish-longest", "0.1");
        assertThat(read(robot, "#wish-longest-said")).matches("Between 6\\.5114 and 60\\..*");
    }

    @Test
    void aWayIsChosenForAllSidesForTwoOrForOne(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#scope-one");
        scrollTo(robot, "#candidate-half-steps-10-12");
        robot.clickOn("#candidate-half-steps-10-12");
        assertThat(school(Side.TOP).kind()).isEqualTo(SchoolKind.HALF_STEPS);
        assertThat(school(Side.BOTTOM).kind()).isEqualTo(SchoolKind.EVEN);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        robot.clickOn("#scope-opposite");
        scrollTo(robot, "#candidate-half-steps-10-12");
        robot.clickOn("#candidate-half-steps-10-12");
        assertThat(school(Side.BOTTOM).kind()).isEqualTo(SchoolKind.HALF_STEPS);
        assertThat(school(Side.LEFT).kind()).isEqualTo(SchoolKind.EVEN);
        robot.clickOn("#scope-all");
        scrollTo(robot, "#candidate-half-steps-10-12");
        robot.clickOn("#candidate-half-steps-10-12");
        assertThat(school(Side.LEFT).kind()).isEqualTo(SchoolKind.HALF_STEPS);
        // Any sides may be picked, and the last of them can't be dropped.
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(school(Side.BOTTOM).kind()).isEqualTo(SchoolKind.EVEN);
        robot.clickOn("#scope-picked").clickOn("#pick-right");
        assertThat(bench.selection().picked()).containsExactlyInAnyOrder(Side.TOP, Side.RIGHT);
        scrollTo(robot, "#candidate-half-steps-10-12");
        robot.clickOn("#candidate-half-steps-10-12");
        assertThat(Arrays.stream(Side.values()).filter(s -> school(s).kind() == SchoolKind.HALF_STEPS))
                .containsExactly(Side.TOP, Side.RIGHT);
        robot.clickOn("#pick-top").clickOn("#pick-right");
        assertThat(bench.selection().picked()).containsExactly(Side.RIGHT);
    }

    @Test
    void oneRunIsDividedByAnySchoolWithItsOwnNumbers(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#scope-one").clickOn("#show-run");
        choose(robot, "#run-school", SchoolKind.CORNERS_IN);
        assertThat(school(Side.TOP)).isEqualTo(new CornersIn(7, 5));
        type(robot, "#run-each", "4");
        assertThat(school(Side.TOP)).isEqualTo(new CornersIn(7, 4));
        type(robot, "#run-each", "9");
        assertThat(read(robot, "#run-each-said")).contains("has no room for 9 of 7 from each corner");
        type(robot, "#run-repeat", "6 1/2");
        assertThat(((CornersIn) school(Side.TOP)).repeat()).isEqualTo(6.5);
        // An arc from the shelf over the middle: its template comes into the job.
        ComboBox<MiddleOption> middle = robot.lookup("#run-middle").queryComboBox();
        MiddleOption larger = middle.getItems().stream()
                .filter(o -> o.filling() instanceof Filling.LargerArc arc
                        && bench.job().template(arc.templateId()).isEmpty())
                .findFirst()
                .orElseThrow();
        choose(robot, "#run-middle", larger);
        Filling.LargerArc filling = (Filling.LargerArc) ((CornersIn) school(Side.TOP)).filling();
        assertThat(bench.job().template(filling.templateId())).isPresent();
        assertThat(bench.run().orElseThrow().laidOut().lines())
                .as("eight, and the one in the middle")
                .hasSize(9);
        choose(robot, "#run-school", SchoolKind.CENTRE_OUT);
        choose(robot, "#run-ends", EndUse.SHORT_ARC);
        assertThat(((CentreOut) school(Side.TOP)).ends()).isEqualTo(EndUse.SHORT_ARC);
        assertThat(read(robot, "#run-result")).contains("At each end", "one arc astride the mitre");
        choose(robot, "#run-school", SchoolKind.FUDGED);
        type(robot, "#run-chosen", "3, 4");
        assertThat(((Fudged) school(Side.TOP)).spread()).isInstanceOf(Spread.Chosen.class);
        type(robot, "#run-chosen", "third");
        assertThat(read(robot, "#run-chosen-said")).contains("Type their numbers");
        choose(robot, "#run-school", SchoolKind.BY_INCREMENTS);
        assertThat(school(Side.TOP).kind()).isEqualTo(SchoolKind.BY_INCREMENTS);
        choose(robot, "#run-school", SchoolKind.BY_PIECING);
        assertThat(read(robot, "#run-result")).contains("No pieced unit is measured");
        choose(robot, "#run-school", SchoolKind.BY_HAND);
        assertThat(robot.lookup("#run-unpin").query().isDisabled()).isTrue();
        assertThat(school(Side.BOTTOM)).as("the others were left alone").isEqualTo(new Even(10));
    }

    @Test
    void waysAreComparedSideBySide(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        scrollTo(robot, "#compare-candidate-10-12");
        robot.clickOn("#compare-candidate-10-12");
        assertThat(robot.lookup("#compare").query().isVisible())
                .as("one alone isn't compared")
                .isFalse();
        scrollTo(robot, "#compare-candidate-11-13");
        robot.clickOn("#compare-candidate-11-13");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#compare")).isEqualTo("Compare these 2 side by side");
        robot.clickOn("#compare");
        assertThat(robot.lookup("#compare-view").tryQuery()).isPresent();
        // Each way is planned away from the window.
        await(robot, "#compare-counts-1");
        assertThat(read(robot, "#compare-counts-1")).isEqualTo("10 across, 12 down");
        assertThat(read(robot, "#compare-counts-2")).isEqualTo("≠ 11 across, 13 down");
        assertThat(read(robot, "#compare-way-2")).as("alike, so not marked").isEqualTo("Even");
        assertThat(read(robot, "#compare-placements-2")).isEqualTo("≠ 48");
        assertThat(bench.group().orElseThrow().chosen().counts())
                .as("looking changes nothing")
                .contains(new Counts(10, 12));
        robot.clickOn("#use-2");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.group().orElseThrow().chosen().counts()).contains(new Counts(11, 13));
        assertThat(robot.lookup("#compare-view").query().isVisible()).isFalse();
    }

    @Test
    void theRulesAreSettings(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-rules");
        type(robot, "#rules-stretch-unseen", "1/4");
        assertThat(bench.job().judging().stretchUnseen()).isEqualTo(0.25);
        type(robot, "#rules-square", "0.1");
        assertThat(bench.job().judging().squareLimit()).isCloseTo(0.001, within(1e-12));
        assertThat(bench.plan().findings())
                .as("an eighth is more than a thousandth")
                .anyMatch(f -> f.code().equals("opposite-sides-differ"));
        type(robot, "#rules-mismatch", "lots");
        assertThat(read(robot, "#rules-mismatch-said")).contains("isn't a number from 0 to 100");
        type(robot, "#rules-mismatch", "0");
        assertThat(bench.job().judging().mismatch()).isZero();
        scrollTo(robot, "#rules-usual");
        robot.clickOn("#rules-usual");
        assertThat(bench.job().judging()).isEqualTo(Judging.usual());
    }

    // --- measuring -----------------------------------------------------------------------------------------------

    @Test
    void bordersAreAddedMeasuredTiedAndTakenOut(FxRobot robot) {
        demo(robot, WorkStage.MEASURE);
        robot.clickOn("#measure-borders").clickOn("#border-add");
        assertThat(bench.plan().findings()).anyMatch(f -> f.code().equals("not-measured"));
        type(robot, "#depth-2-top", "5 1/2");
        assertThat(bench.job().quilt().length(Dimension.depth(2, Side.LEFT))).isEqualTo(5.5);
        type(robot, "#seam-2-top", "86 1/4");
        assertThat(bench.plan()
                        .run(RunId.of(2, Side.TOP))
                        .orElseThrow()
                        .division()
                        .length())
                .isEqualTo(86.25);
        type(robot, "#border-unit", "4 5/16");
        assertThat(bench.job().quilt().border(2).unit()).isEqualTo(OptionalDouble.of(4.3125));
        robot.clickOn("#stage-lay-out").clickOn("#group-border-2");
        assertThat(bench.selection().whereProperty().get()).isEqualTo(RunId.of(2, Side.TOP));
        assertThat(read(robot, "#table-head")).startsWith("Border 2, top, 86 1/4 by 5 1/2");
        robot.clickOn("#show-wishes");
        ComboBox<Object> tie = robot.lookup("#wish-tie").queryComboBox();
        choose(robot, "#wish-tie", tie.getItems().get(1));
        assertThat(bench.job().layout(GroupId.border(2)).tie()).contains(new Tie(2, 1, Tie.Ratio.SAME));
        // Both borders' counts were weighed together.
        int inside = bench.plan().run(Side.TOP).orElseThrow().division().count();
        assertThat(read(robot, "#region-said-border-2-top")).startsWith(inside + " of");
        robot.clickOn("#map-left");
        assertThat(bench.selection().whereProperty().get()).isEqualTo(RunId.of(Side.LEFT));
        robot.clickOn("#stage-measure").clickOn("#border-2").clickOn("#border-plain");
        assertThat(bench.plan().runs()).as("plain, so nothing is planned on it").hasSize(4);
        robot.clickOn("#border-remove");
        assertThat(bench.job().quilt().borders()).hasSize(1);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(bench.job().quilt().borders()).hasSize(2);
        // A quilt may have no border at all; every stage still opens, and one can be added again.
        robot.clickOn("#border-remove").clickOn("#border-remove");
        assertThat(bench.job().quilt().borders()).isEmpty();
        assertThat(bench.plan().shape()).as("its body is drawn").isPresent();
        for (WorkStage stage : WorkStage.values()) {
            robot.clickOn("#stage-" + stage.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            assertThat(bench.stageProperty().get()).isEqualTo(stage);
        }
        robot.clickOn("#stage-measure").clickOn("#border-add");
        assertThat(bench.job().quilt().borders()).hasSize(1);
        assertThat(bench.plan().findings()).as("its depth is asked for").anyMatch(f -> f.code()
                .equals("not-measured"));
    }

    @Test
    void sidesAreEasedAndWhatMovedIsTold(FxRobot robot) {
        demo(robot, WorkStage.MEASURE);
        assertThat(read(robot, "#square-said")).startsWith("Square? Top 1/8 shorter than bottom");
        choose(robot, "#ease-across", Easing.TO_SHORTER);
        assertThat(read(robot, "#square-said")).contains("Planned at 71 5/8: bottom is eased in by 1/8.");
        assertThat(read(robot, "#message"))
                .isEqualTo("Divided again. Bottom border: 10 repeats stay, each 1/64 shorter; marks move up to 1/8.");
        type(robot, "#body-right", "88");
        assertThat(read(robot, "#square-said")).contains("More than 0.5 % of a side is seen.");
        assertThat(robot.lookup("#square-said").<Labeled>query().getStyleClass())
                .contains("reason-warning");
        // The remedy plans both alike.
        scrollTo(robot, "#remedy-opposite-sides-differ");
        robot.clickOn("#remedy-opposite-sides-differ");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().quilt().easing().down()).isEqualTo(Easing.MEAN);
        assertThat(bench.job().quilt().length(Dimension.BODY_RIGHT))
                .as("what was measured stays")
                .isEqualTo(88);
    }

    @Test
    void stripsAndAreasAreMeasured(FxRobot robot) {
        demo(robot, WorkStage.MEASURE);
        robot.clickOn("#measure-strips").clickOn("#strip-add-down");
        assertThat(bench.job().quilt().strips()).hasSize(1);
        assertThat(bench.selection().whereProperty().get()).isEqualTo(RunId.strip(1));
        type(robot, "#strip-name", "Long sash");
        assertThat(read(robot, "#region-said-strip-1")).contains(" of ");
        assertThat(read(robot, "#table-head")).startsWith("Long sash, 86 1/4 by 2");
        robot.interact(() -> bench.stageProperty().set(WorkStage.LAY_OUT));
        assertThat(read(robot, "#tape-ends"))
                .as("whose left end is its left end")
                .isEqualTo("+ generous, − scant");
        robot.interact(() -> bench.stageProperty().set(WorkStage.MEASURE));
        type(robot, "#strip-width", "2 1/2");
        assertThat(bench.job().quilt().strips().get(0).width()).isEqualTo(2.5);
        type(robot, "#strip-angle", "up");
        assertThat(read(robot, "#strip-angle-said")).contains("0 runs to the right");
        type(robot, "#strip-angle", "0");
        assertThat(bench.plan().findings()).as("it now runs off to the right").anyMatch(f -> f.code()
                .equals("strip-off-quilt"));
        scrollTo(robot, "#strip-remove");
        robot.clickOn("#strip-remove");
        assertThat(bench.job().quilt().strips()).isEmpty();
        assertThat(bench.selection().whereProperty().get()).isEqualTo(RunId.of(Side.TOP));
    }
}
