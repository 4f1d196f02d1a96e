package jollyspindle.desktop.app;

import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.desktop.model.Knob;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.files.recipe.RecipeFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Motifs: laid from the gallery, changed on the bench and on the table, and copied round. */
@ExtendWith(ApplicationExtension.class)
class DesigningTest extends Hands {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private List<StitchLine> lines(Side side, Stitched kind) {
        return bench.plan().run(side).orElseThrow().laidOut().lines().stream()
                .filter(l -> l.kind() == kind)
                .toList();
    }

    private Motif motif() {
        return bench.job().layout(GroupId.border(1)).design().main().motif();
    }

    private void gallery(FxRobot robot, String preset) throws Exception {
        Node card = robot.lookup("#gallery-" + preset).query();
        WaitForAsyncUtils.waitFor(
                20, TimeUnit.SECONDS, () -> card.getAccessibleText().contains("placement"));
        // A card that has just been filled grows: only then is it known where it is.
        robot.interact(() -> card.getScene().getRoot().layout());
        scrollTo(robot, "#gallery-" + preset);
        scrollTo(robot, "#gallery-" + preset);
        robot.clickOn("#gallery-" + preset);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void aMotifIsLaidFromTheGalleryAndChangedOnTheBench(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs").clickOn("#motif-gallery");
        gallery(robot, "nested-arcs");
        assertThat(motif()).isInstanceOf(Motif.Arcs.class);
        assertThat(lines(Side.TOP, Stitched.NESTED_ARC)).hasSize(20);
        scrollTo(robot, "#motif-lines");
        type(robot, "#motif-lines", "2");
        assertThat(lines(Side.LEFT, Stitched.NESTED_ARC)).hasSize(12);
        scrollTo(robot, "#motif-lines");
        type(robot, "#motif-lines", "many");
        assertThat(read(robot, "#motif-lines-said")).contains("“many”: type a whole number from 1 to 24");
        scrollTo(robot, "#motif-step");
        type(robot, "#motif-step", "3/4");
        assertThat(((Motif.Arcs) motif()).step()).isEqualTo(0.75);
        choose(robot, "#motif-passes", 2);
        assertThat(lines(Side.TOP, Stitched.ARC)).allMatch(l -> l.passes() == 2 && l.returns());
        robot.interact(bench::undo).interact(bench::undo);
        assertThat(((Motif.Arcs) motif()).step()).isEqualTo(0.5);
    }

    /** A whole border by one click: its motif, what fills it and the corners, with templates that can do it; one undo takes it back. */
    @Test
    void aWholeBorderIsLaidFromTheGallery(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        QuiltJob before = bench.job();
        robot.clickOn("#show-motifs").clickOn("#motif-gallery");
        gallery(robot, "sails-and-echoes");
        assertThat(motif()).isEqualTo(new Motif.Sails(3, 0.75, Motif.Lean.RIGHT));
        assertThat(lines(Side.TOP, Stitched.SAIL))
                .isNotEmpty()
                .allMatch(l -> l.path().curves().size() == 2);
        assertThat(lines(Side.TOP, Stitched.ECHO))
                .hasSize(3 * lines(Side.TOP, Stitched.SAIL).size());
        assertThat(bench.plan().corners()).hasSize(4);
        assertThat(bench.plan().hasProblems()).isFalse();
        choose(robot, "#motif-lean", Motif.Lean.LEFT);
        assertThat(((Motif.Sails) motif()).lean()).isEqualTo(Motif.Lean.LEFT);
        robot.interact(bench::undo).interact(bench::undo);
        assertThat(bench.job()).isEqualTo(before);
    }

    /** Whole jobs as quilters work them, each by a click, and its steps gone through. */
    @Test
    void wholeJobsAreLaidOutByClicksAndGoneThrough(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        for (String job : List.of(
                "curves-there-and-back",
                "hatched-arcs",
                "nested-from-corners",
                "lanterns",
                "fans-all-round",
                "circles-in-arcs",
                "crossing-half-circles",
                "waves-on-both-edges",
                "circles-on-a-vine",
                "swirls-in-circles",
                "half-circles-and-triangles",
                "berries-beside-arcs",
                "egg-and-dart-and-lines",
                "hatched-lenses")) {
            robot.clickOn("#show-motifs");
            scrollTo(robot, "#motif-gallery");
            robot.clickOn("#motif-gallery");
            gallery(robot, job);
            assertThat(bench.plan().hasProblems()).as(job).isFalse();
            assertThat(bench.plan().placements(RunId.of(Side.TOP))).as(job).hasSizeGreaterThan(5);
            Slider steps = robot.lookup("#placement-slider").queryAs(Slider.class);
            double first = steps.getValue();
            for (int step = 0; step < 4; step++) {
                robot.clickOn("#placement-next");
                WaitForAsyncUtils.waitForFxEvents();
            }
            assertThat(steps.getValue()).as(job).isEqualTo(first + 4);
        }
    }

    @Test
    void aMotifBringsItsTemplateAndRepeatFromTheShelf(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        assertThat(bench.job().template("barley-fan")).isEmpty();
        robot.clickOn("#show-motifs").clickOn("#motif-gallery");
        gallery(robot, "fans");
        assertThat(motif()).isEqualTo(new Motif.Fans(3, 1));
        assertThat(bench.job().template("barley-fan")).isPresent();
        // Three blades of 1 1/2 reach 4 1/2: the pitch that suits them.
        assertThat(bench.job().layout(GroupId.border(1)).wish().repeat()).isCloseTo(4.5, within(0.01));
        assertThat(bench.plan().hasProblems()).isFalse();
        scrollTo(robot, "#motif-blades");
        type(robot, "#motif-blades", "9");
        assertThat(bench.plan().findings()).anyMatch(f -> f.code().equals("motif-too-many"));
        scrollTo(robot, "#remedy-motif-too-many");
        robot.clickOn("#remedy-motif-too-many");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(motif()).isEqualTo(new Motif.Fans(4, 1));
    }

    @Test
    void cornersAgreeWithTheRuns(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs").clickOn("#motif-corners");
        choose(robot, "#corner-kind", CornerDesign.Kind.MITRE_ARC);
        assertThat(bench.plan().corners()).hasSize(4);
        // Half of what a repeat near 7 comes out as on the four sides.
        double half = bench.plan().runs().stream()
                        .mapToDouble(
                                r -> r.frame().length() / Math.rint(r.frame().length() / 7))
                        .average()
                        .orElseThrow()
                / 2;
        assertThat(bench.plan().run(Side.TOP).orElseThrow().division().cornerLeft())
                .isCloseTo(half, within(1e-9));
        choose(robot, "#corner-ask", CornerAsk.EVEN);
        assertThat(bench.plan().runs()).allMatch(r -> r.division().count() % 2 == 0);
        choose(robot, "#corner-ask", CornerAsk.ODD);
        assertThat(bench.plan().runs()).allMatch(r -> r.division().count() % 2 == 1);
        scrollTo(robot, "#corner-feet");
        type(robot, "#corner-feet", "2");
        assertThat(bench.plan().run(Side.TOP).orElseThrow().division().cornerRight())
                .isCloseTo(2, within(1e-9));
        // The first placement of a run is the corner's at its left end.
        robot.interact(() -> bench.selection().placementProperty().set(null));
        robot.interact(() -> bench.selection().stepPlacement(1));
        assertThat(bench.selection().placementProperty().get().of().kind()).isEqualTo(Stitched.CORNER_ARC);
        Slider slider = robot.lookup("#placement-slider").queryAs(Slider.class);
        robot.interact(() -> slider.setValue(5));
        assertThat(bench.plan()
                        .placements(RunId.of(Side.TOP))
                        .indexOf(bench.selection().placementProperty().get()))
                .isEqualTo(4);
    }

    @Test
    void numbersAreDraggedOnTheTable(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs").clickOn("#motif-gallery");
        gallery(robot, "nested-arcs");
        robot.interact(() -> {
            window.table().zoomToCorner();
            bench.selection().placementProperty().set(null);
        });
        WaitForAsyncUtils.waitForFxEvents();
        Knob step = handle("step");
        Point to = step.place().plus(new Point(0, -0.5));
        robot.moveTo(window.table().onScreen(step.place()))
                .press(MouseButton.PRIMARY)
                .moveTo(window.table().onScreen(to))
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(((Motif.Arcs) motif()).step()).isCloseTo(1, within(1.0 / 8));
        Knob pitch = handle("pitch");
        robot.moveTo(window.table().onScreen(pitch.place()))
                .press(MouseButton.PRIMARY)
                .moveTo(window.table().onScreen(pitch.place().plus(new Point(-1.25, 0))))
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().layout(GroupId.border(1)).wish().repeat()).isCloseTo(5.9, within(0.2));
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(bench.job().layout(GroupId.border(1)).wish().repeat()).isEqualTo(7);
    }

    @Test
    void theRiseIsTypedAndDragged(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs");
        scrollTo(robot, "#motif-rise");
        type(robot, "#motif-rise", "1 1/2");
        // 2·√(2R·1.5 − 1.5²) of the template's stitched radius.
        double radius =
                bench.job().arc().orElseThrow().stitchedRadius(bench.job().machine());
        assertThat(bench.job().layout(GroupId.border(1)).wish().repeat())
                .isCloseTo(2 * Math.sqrt(3 * radius - 2.25), within(1e-6));
        // Higher than its half circle another template rises, with its own span: found by itself, or picked.
        type(robot, "#motif-rise", "5");
        ArcTemplate other = bench.job().arc().orElseThrow();
        double larger = other.stitchedRadius(bench.job().machine());
        assertThat(larger).isGreaterThan(5);
        assertThat(bench.undoName()).contains("rise of about 5, with " + other.name());
        assertThat(bench.job().layout(GroupId.border(1)).wish().repeat())
                .isCloseTo(2 * Math.sqrt(10 * larger - 25), within(1e-6));
        robot.interact(() -> bench.undo());
        WaitForAsyncUtils.waitForFxEvents();
        scrollTo(robot, "#rise-others");
        Hyperlink link = robot.lookup("#rise-others .hyperlink").queryAs(Hyperlink.class);
        robot.clickOn(link);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(link.getText())
                .startsWith(bench.job().arc().orElseThrow().name() + ", ")
                .endsWith(" wide");
        robot.interact(() -> bench.undo());
        WaitForAsyncUtils.waitForFxEvents();
        scrollTo(robot, "#motif-rise");
        type(robot, "#motif-rise", "9");
        assertThat(read(robot, "#motif-rise-said")).contains("Between 1/16 and");
        robot.interact(() -> {
            window.table().zoomToCorner();
            bench.selection().placementProperty().set(null);
        });
        WaitForAsyncUtils.waitForFxEvents();
        double before = bench.job().layout(GroupId.border(1)).wish().repeat();
        Knob rise = handle("rise");
        robot.moveTo(window.table().onScreen(rise.place()))
                .press(MouseButton.PRIMARY)
                .moveTo(window.table().onScreen(rise.place().plus(new Point(0, 0.6))))
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().layout(GroupId.border(1)).wish().repeat()).isGreaterThan(before + 0.4);
    }

    @Test
    void motifsAreCopiedFromBorderToBorder(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        robot.interact(() -> bench.edit("a second border", job -> {
            var quilt = job.quilt().withBorderOutside(job.quilt().border(1));
            for (Side side : Side.values()) {
                quilt = quilt.with(Dimension.depth(2, side), 8);
            }
            return job.withQuilt(quilt);
        }));
        robot.clickOn("#show-motifs").clickOn("#motif-gallery");
        gallery(robot, "nested-arcs");
        scrollTo(robot, "#motif-copy-to");
        robot.clickOn("#motif-copy-to").clickOn("#motif-copy-to-border-2");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().layout(GroupId.border(2)).design().main().motif())
                .isEqualTo(motif());
        assertThat(bench.plan().lines())
                .anyMatch(
                        l -> ((RunId) l.region()).group().equals(GroupId.border(2)) && l.kind() == Stitched.NESTED_ARC);
        assertThat(bench.undoName()).contains("motifs copied to border 2");
    }

    @Test
    void peaksAreStitchedAlongAStrip(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs").clickOn("#motif-gallery");
        gallery(robot, "peaks");
        assertThat(robot.lookup("#motif-height").tryQuery()).isPresent();
        robot.interact(() -> bench.use(StarterShelf.template("lane-strip"), Optional.empty()));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#motif-height").tryQuery())
                .as("a strip is as high as it is")
                .isEmpty();
        assertThat(bench.plan().placements(GroupId.border(1)))
                .allMatch(p -> p.tool().templateId().equals("lane-strip"));
    }

    private Knob handle(String id) {
        return bench.handles().stream()
                .filter(h -> h.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aSideIsDesignedForItselfAndCopiedRound(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs").clickOn("#motif-alone").clickOn("#motif-gallery");
        gallery(robot, "facing-arcs");
        assertThat(lines(Side.TOP, Stitched.ARC)).hasSize(20);
        assertThat(lines(Side.BOTTOM, Stitched.ARC)).hasSize(10);
        scrollTo(robot, "#motif-copy");
        robot.clickOn("#motif-copy");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(lines(Side.BOTTOM, Stitched.ARC)).hasSize(20);
        assertThat(lines(Side.LEFT, Stitched.ARC)).hasSize(24);
        assertThat(robot.lookup("#motif-copy").tryQuery()).isEmpty();
    }

    @Test
    void anotherMotifFillsWhatTheFirstLeaves(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs").clickOn("#motif-add");
        gallery(robot, "crosshatch");
        Layer hatch = bench.job().layout(GroupId.border(1)).design().layers().get(1);
        assertThat(hatch.space()).isEqualTo(Layer.Space.INSIDE);
        int every = lines(Side.TOP, Stitched.HATCH).size();
        assertThat(every).isGreaterThan(40);
        scrollTo(robot, "#motif-cells");
        choose(robot, "#motif-cells", Layer.Cells.ODD);
        assertThat(lines(Side.TOP, Stitched.HATCH).size()).isLessThan(every);
        scrollTo(robot, "#motif-remove");
        robot.clickOn("#motif-remove");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(lines(Side.TOP, Stitched.HATCH)).isEmpty();
    }

    @Test
    void aDesignIsKeptAsARecipeAndUsedOnAnotherQuilt(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-motifs").clickOn("#motif-gallery");
        gallery(robot, "fans");
        Path file = folder.resolve("barley" + RecipeFile.SUFFIX);
        chosenFiles.add(file);
        robot.clickOn("Change").clickOn("Keep these motifs as a recipe…");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(file).exists();
        demo(robot, WorkStage.LAY_OUT);
        assertThat(motif()).isEqualTo(Motif.Arcs.single());
        chosenFiles.add(file);
        robot.clickOn("Change").clickOn("Use a recipe here…");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(motif()).isEqualTo(new Motif.Fans(3, 1));
        assertThat(bench.job().template("barley-fan")).isPresent();
        // What isn't a recipe is refused, and nothing changes.
        Path wrong = folder.resolve("wrong" + RecipeFile.SUFFIX);
        Files.writeString(wrong, "{\"format\": \"jolly-spindle-job\"}");
        chosenFiles.add(wrong);
        robot.clickOn("Change").clickOn("Use a recipe here…");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#message")).contains("isn't a Jolly Spindle recipe");
        assertThat(motif()).isEqualTo(new Motif.Fans(3, 1));
    }
}
