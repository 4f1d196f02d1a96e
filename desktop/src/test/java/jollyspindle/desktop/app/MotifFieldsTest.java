package jollyspindle.desktop.app;

import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.desktop.model.WorkStage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** Every choice on the motifs' bench changes just what it says, and undo brings the motif back. */
@ExtendWith(ApplicationExtension.class)
class MotifFieldsTest extends Hands {

    private static final GroupId INNER = GroupId.border(1);

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void lay(FxRobot robot, Motif motif, String template) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs");
        robot.interact(() -> bench.edit("motif", job -> job.withTemplates(StarterShelf.templates())
                .editing(
                        INNER,
                        l -> l.with(
                                Design.of(Layer.of(motif).withTemplate(Optional.of(template), Optional.empty()))))));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Motif motif() {
        return bench.job().layout(INNER).design().main().motif();
    }

    private CornerDesign corner() {
        return bench.job().layout(INNER).design().corner();
    }

    private void typed(FxRobot robot, String field, String text, Motif expected) {
        scrollTo(robot, field);
        type(robot, field, text);
        assertThat(motif()).as(field + " " + text).isEqualTo(expected);
    }

    private <T> void chosen(FxRobot robot, String field, T value, Motif expected) {
        scrollTo(robot, field);
        choose(robot, field, value);
        assertThat(motif()).as(field + " " + value).isEqualTo(expected);
    }

    private void ticked(FxRobot robot, String field, Motif expected) {
        scrollTo(robot, field);
        robot.clickOn(field);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(motif()).as(field).isEqualTo(expected);
    }

    private void refused(FxRobot robot, String field, String text, String said) {
        Motif before = motif();
        scrollTo(robot, field);
        type(robot, field, text);
        assertThat(read(robot, field + "-said")).contains(said);
        assertThat(motif()).isEqualTo(before);
    }

    private void undoneTo(FxRobot robot, Motif first) {
        for (int i = 0; i < 20 && !motif().equals(first); i++) {
            robot.interact(bench::undo);
        }
        assertThat(motif()).isEqualTo(first);
    }

    @Test
    void arcs(FxRobot robot) {
        Motif first = new Motif.Arcs(Motif.Inner.LOWERED, 2, 0.5, List.of(), Optional.empty(), 1);
        Optional<String> none = Optional.empty();
        lay(robot, first, "orchard-hill");
        typed(robot, "#motif-lines", "3", new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(), none, 1));
        typed(robot, "#motif-step", "3/8", new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.375, List.of(), none, 1));
        typed(
                robot,
                "#motif-rises",
                "1 1/2; 3/4",
                new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.375, List.of(1.5, 0.75), none, 1));
        refused(robot, "#motif-rises", "1; 2", "each rise is less than the one before");
        refused(robot, "#motif-rises", "one", "isn't a length");
        chosen(
                robot,
                "#motif-other",
                Optional.of("low-dune"),
                new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.375, List.of(1.5, 0.75), Optional.of("low-dune"), 1));
        chosen(
                robot,
                "#motif-inner",
                Motif.Inner.PARALLEL,
                new Motif.Arcs(Motif.Inner.PARALLEL, 3, 0.375, List.of(1.5, 0.75), Optional.of("low-dune"), 1));
        chosen(
                robot,
                "#motif-passes",
                3,
                new Motif.Arcs(Motif.Inner.PARALLEL, 3, 0.375, List.of(1.5, 0.75), Optional.of("low-dune"), 3));
        refused(robot, "#motif-step", "99", "Between");
        undoneTo(robot, first);
    }

    @Test
    void facingArcs(FxRobot robot) {
        OptionalDouble nothing = OptionalDouble.empty();
        Optional<String> same = Optional.empty();
        Motif first = new Motif.FacingArcs(Motif.Facing.CROWNS, nothing, nothing, false, false, same, 1);
        lay(robot, first, "orchard-hill");
        OptionalDouble one = OptionalDouble.of(1);
        OptionalDouble inset = OptionalDouble.of(0.75);
        typed(
                robot,
                "#motif-channel",
                "1",
                new Motif.FacingArcs(Motif.Facing.CROWNS, one, nothing, false, false, same, 1));
        typed(
                robot,
                "#motif-inset",
                "3/4",
                new Motif.FacingArcs(Motif.Facing.CROWNS, one, inset, false, false, same, 1));
        typed(
                robot,
                "#motif-channel",
                "",
                new Motif.FacingArcs(Motif.Facing.CROWNS, nothing, inset, false, false, same, 1));
        ticked(
                robot,
                "#motif-crown-lines",
                new Motif.FacingArcs(Motif.Facing.CROWNS, nothing, inset, true, false, same, 1));
        ticked(
                robot,
                "#motif-valley-lines",
                new Motif.FacingArcs(Motif.Facing.CROWNS, nothing, inset, true, true, same, 1));
        Optional<String> dune = Optional.of("low-dune");
        chosen(
                robot,
                "#motif-other",
                dune,
                new Motif.FacingArcs(Motif.Facing.CROWNS, nothing, inset, true, true, dune, 1));
        chosen(
                robot,
                "#motif-facing",
                Motif.Facing.HALF_STEP,
                new Motif.FacingArcs(Motif.Facing.HALF_STEP, nothing, inset, true, true, dune, 1));
        chosen(
                robot,
                "#motif-passes",
                2,
                new Motif.FacingArcs(Motif.Facing.HALF_STEP, nothing, inset, true, true, dune, 2));
        undoneTo(robot, first);
    }

    @Test
    void sailsFansAndCircles(FxRobot robot) {
        lay(robot, new Motif.Sails(3, 0.5, Motif.Lean.RIGHT), "mill-bridge");
        typed(robot, "#motif-echoes", "0", new Motif.Sails(0, 0.5, Motif.Lean.RIGHT));
        typed(robot, "#motif-spacing", "5/8", new Motif.Sails(0, 0.625, Motif.Lean.RIGHT));
        refused(robot, "#motif-echoes", "-1", "type a whole number from 0 to 24");
        lay(robot, new Motif.Fans(3, 1), "barley-fan");
        typed(robot, "#motif-blades", "2", new Motif.Fans(2, 1));
        typed(robot, "#motif-rows", "2", new Motif.Fans(2, 2));
        refused(robot, "#motif-rows", "7", "type a whole number from 1 to 6");
        Motif chain = new Motif.Circles(0.25, 3, Motif.Turning.ALTERNATING, false);
        lay(robot, chain, "barley-fan");
        typed(robot, "#motif-gap", "1/2", new Motif.Circles(0.5, 3, Motif.Turning.ALTERNATING, false));
        chosen(robot, "#motif-turns", 2, new Motif.Circles(0.5, 2, Motif.Turning.ALTERNATING, false));
        chosen(robot, "#motif-turning", Motif.Turning.SAME, new Motif.Circles(0.5, 2, Motif.Turning.SAME, false));
        ticked(robot, "#motif-swirl", new Motif.Circles(0.5, 2, Motif.Turning.SAME, true));
        undoneTo(robot, chain);
    }

    /** What is half typed about one side isn't meant for another, though both have the same. */
    @Test
    void whatIsHalfTypedStaysWithItsRun(FxRobot robot) {
        Motif first = new Motif.Sails(3, 0.5, Motif.Lean.RIGHT);
        lay(robot, first, "mill-bridge");
        scrollTo(robot, "#motif-echoes");
        robot.clickOn("#motif-echoes").write("9");
        robot.interact(() -> bench.selection().choose(RunId.of(Side.BOTTOM)));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#motif-echoes")).isEqualTo("3");
    }

    @Test
    void chevronsAndLines(FxRobot robot) {
        OptionalDouble nothing = OptionalDouble.empty();
        Motif first = new Motif.Chevrons(Motif.Points.PEAKS, nothing, 0, 2, 0.5);
        lay(robot, first, "furrow-long");
        OptionalDouble two = OptionalDouble.of(2);
        typed(robot, "#motif-height", "2", new Motif.Chevrons(Motif.Points.PEAKS, two, 0, 2, 0.5));
        typed(robot, "#motif-rounding", "1/2", new Motif.Chevrons(Motif.Points.PEAKS, two, 0.5, 2, 0.5));
        typed(robot, "#motif-lines", "3", new Motif.Chevrons(Motif.Points.PEAKS, two, 0.5, 3, 0.5));
        typed(robot, "#motif-spacing", "3/8", new Motif.Chevrons(Motif.Points.PEAKS, two, 0.5, 3, 0.375));
        chosen(robot, "#motif-points", Motif.Points.BOXES, new Motif.Chevrons(Motif.Points.BOXES, two, 0.5, 3, 0.375));
        undoneTo(robot, first);
        lay(robot, new Motif.StraightLines(6, Math.PI / 2), "furrow-long");
        typed(robot, "#motif-per-repeat", "4", new Motif.StraightLines(4, Math.PI / 2));
        typed(robot, "#motif-angle", "60", new Motif.StraightLines(4, Math.toRadians(60)));
        refused(robot, "#motif-angle", "5", "type 10 to 170; 90 is straight across");
        // Repeats of 7.1625 and lines at 60°: 7.1625 · sin 60° / 12 is nearest to a half.
        typed(robot, "#motif-apart", "1/2", new Motif.StraightLines(12, Math.toRadians(60)));
        lay(robot, new Motif.Serpentine(2, false), "orchard-hill");
        typed(robot, "#motif-apart", "1 3/4", new Motif.Serpentine(4, false));
        ticked(robot, "#motif-mirrored", new Motif.Serpentine(4, true));
        lay(robot, new Motif.Crosshatch(1, Math.PI / 4, true, false), "furrow-long");
        typed(robot, "#motif-spacing", "3/4", new Motif.Crosshatch(0.75, Math.PI / 4, true, false));
        typed(robot, "#motif-angle", "30°", new Motif.Crosshatch(0.75, Math.toRadians(30), true, false));
        ticked(robot, "#motif-curved", new Motif.Crosshatch(0.75, Math.toRadians(30), true, true));
    }

    @Test
    void corners(FxRobot robot) {
        lay(robot, Motif.Arcs.single(), "orchard-hill");
        robot.clickOn("#motif-corners");
        choose(robot, "#corner-kind", CornerDesign.Kind.DIAGONAL_CUT);
        scrollTo(robot, "#corner-closing");
        choose(robot, "#corner-closing", CornerDesign.Closing.ARC);
        assertThat(corner())
                .isEqualTo(CornerDesign.of(CornerDesign.Kind.DIAGONAL_CUT).with(CornerDesign.Closing.ARC));
        assertThat(bench.plan().corners()).hasSize(4).allMatch(c -> c.lines().size() == 1);
        choose(robot, "#corner-kind", CornerDesign.Kind.QUARTER_FAN);
        scrollTo(robot, "#corner-lines");
        type(robot, "#corner-lines", "3");
        scrollTo(robot, "#corner-about");
        choose(robot, "#corner-about", true);
        assertThat(corner().lines()).isEqualTo(3);
        assertThat(corner().fromOuter()).isTrue();
        assertThat(bench.plan().corners()).allMatch(c -> c.lines().size() == 3);
        // One corner for itself: the one at the left end of the side that is looked at.
        scrollTo(robot, "#corner-alone");
        robot.clickOn("#corner-alone");
        choose(robot, "#corner-kind", CornerDesign.Kind.PLAIN);
        assertThat(bench.job().layout(INNER).design().corners()).containsOnlyKeys(Side.TOP);
        assertThat(bench.plan().corners()).hasSize(3);
        robot.interact(() -> bench.editQuilt("cornerstones", q -> q.with(Corners.CORNERSTONES)));
        robot.interact(bench::undo);
        robot.interact(bench::undo);
        assertThat(bench.plan().corners()).hasSize(4);
    }
}
