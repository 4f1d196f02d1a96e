package jollyspindle.desktop.app;

import jollyspindle.core.area.AreaArrangement;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.area.BlockFigure;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.desktop.model.Knob;
import jollyspindle.desktop.model.WorkStage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;
import javafx.event.ActionEvent;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** What is stitched in the middle of the quilt: chosen, typed, dragged and looked at. */
@ExtendWith(ApplicationExtension.class)
class AreasTest extends Hands {

    private static final AreaId FIRST = new AreaId(1);

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void with(FxRobot robot, Area... areas) {
        demo(robot, WorkStage.LAY_OUT);
        robot.interact(() -> bench.editQuilt("areas", q -> q.withAreas(List.of(areas))));
        robot.clickOn("#show-areas");
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Takes a motif from the gallery, once its picture is there. */
    private void take(FxRobot robot, String code) throws TimeoutException {
        scrollTo(robot, "#area-add");
        robot.clickOn("#area-add");
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> robot.lookup("#area-gallery-" + code)
                .tryQuery()
                .map(card -> card.lookup("Canvas") != null)
                .orElse(false));
        WaitForAsyncUtils.waitForFxEvents();
        scrollTo(robot, "#area-gallery-" + code);
        robot.clickOn("#area-gallery-" + code);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private AreaPlan plan() {
        return bench.plan().area(FIRST).orElseThrow();
    }

    private AreaMotif motif() {
        return bench.job().design(FIRST).parts().get(0).layers().get(0).motif();
    }

    private Knob knob(String id) {
        return bench.handles().stream()
                .filter(k -> k.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private void drag(FxRobot robot, Point from, Point to) {
        robot.moveTo(window.table().onScreen(from))
                .press(MouseButton.PRIMARY)
                .moveTo(window.table().onScreen(to))
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void anEmptyMiddleSaysWhereToBegin(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-areas");
        assertThat(robot.lookup(
                                "No medallion, no blocks and no background yet. Give their sizes under Measure, Strips and"
                                        + " areas.")
                        .tryQuery())
                .isPresent();
    }

    @Test
    void armsAreTurnedAboutAMedallionsCentre(FxRobot robot) throws Exception {
        with(robot, new Area.Medallion(14));
        take(robot, "arms");
        // The arm comes from the shelf with the motif.
        assertThat(plan().lines()).hasSize(8).allMatch(l -> l.kind() == Stitched.ARM);
        type(robot, "#area-arms", "12");
        assertThat(plan().rays('A')).hasSize(12);
        type(robot, "#area-arms", "99");
        assertThat(read(robot, "#area-arms-said")).contains("“99”: type a whole number from 2 to 64");
        assertThat(plan().rays('A')).hasSize(12);
        type(robot, "#area-stop", "3/4");
        choose(robot, "#area-way", AreaMotif.Way.ALONG_EDGE);
        assertThat(motif()).isEqualTo(new AreaMotif.Arms(12, AreaMotif.Way.ALONG_EDGE, 0.75));
        assertThat(read(robot, "#area-text-1")).contains("12 arms, out along one and in along the next, stopped 3/4");
        scrollTo(robot, "#area-mirrored");
        robot.clickOn("#area-mirrored");
        assertThat(plan().lines()).hasSize(24);
        assertThat(plan().placements()).filteredOn(p -> p.pose().over()).hasSize(12);
        type(robot, "#area-turn", "ten");
        assertThat(read(robot, "#area-turn-said")).contains("“ten”: type 0 to 360; 0 is straight up");
        type(robot, "#area-turn", "10");
        assertThat(((AreaMotif.Arms) motif()).turn()).isCloseTo(Math.toRadians(10), within(1e-9));
        for (int i = 0; i < 6; i++) {
            robot.interact(bench::undo);
        }
        assertThat(plan().lines()).isEmpty();
    }

    @Test
    void theOrderIsSteppedThroughOnDialAndList(FxRobot robot) throws Exception {
        with(robot, new Area.Medallion(14));
        take(robot, "arms");
        type(robot, "#area-arms", "12");
        scrollTo(robot, "#area-step");
        robot.clickOn("#area-step");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.selection().placementProperty().get())
                .isEqualTo(plan().placements().get(0));
        robot.interact(() -> bench.selection().stepPlacement(1));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#ray-said")).startsWith("Ray 2, by stepping");
        Node dial = ((VBox) robot.lookup("#ray-dial").query()).getChildren().get(0);
        var bounds = dial.localToScreen(dial.getBoundsInLocal());
        robot.clickOn(bounds.getMaxX() - 40, bounds.getCenterY());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#ray-said"))
                .startsWith("Ray 4: in the middle of the right side; the template turned 90");
        robot.push(KeyCode.RIGHT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#ray-said")).startsWith("Ray 5, by stepping");
        ListView<Placement> list = robot.lookup("#rotation-list").queryListView();
        assertThat(list.getItems()).hasSize(12);
        assertThat(list.getSelectionModel().getSelectedIndex()).isEqualTo(4);
        robot.interact(() -> list.getSelectionModel().select(7));
        assertThat(bench.selection().placementProperty().get())
                .isEqualTo(plan().placements().get(7));
    }

    /** The tape bent round the centre: rays are clicked, stepped and dragged. */
    @Test
    void theProtractorTapeTurnsAndCounts(FxRobot robot) throws Exception {
        with(robot, new Area.Medallion(14));
        take(robot, "arms");
        Node tape = robot.lookup("#protractor").query();
        assertThat(tape.isVisible()).isTrue();
        assertThat(robot.lookup("#tape").query().isVisible())
                .as("the straight one makes room")
                .isFalse();
        // The whole quilt and back to the medallion, and to its tape by key.
        double large = bandAt(tape);
        robot.push(KeyCode.CONTROL, KeyCode.DIGIT0);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bandAt(tape)).isLessThan(large / 2);
        robot.push(KeyCode.CONTROL, KeyCode.DIGIT9);
        robot.push(KeyCode.F6);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(tape.isFocused()).isTrue();
        double band = bandAt(tape);
        assertThat(band).isEqualTo(large);
        robot.clickOn(onTape(band, 90));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.areas().ray().orElseThrow().number()).isEqualTo(3);
        assertThat(tape.getAccessibleText()).contains("Ray 3: in the middle of the right side", "turned 90");
        robot.push(KeyCode.RIGHT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.areas().ray().orElseThrow().number()).isEqualTo(4);
        robot.push(KeyCode.ADD);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(((AreaMotif.Arms) motif()).arms()).isEqualTo(9);
        robot.push(KeyCode.SHIFT, KeyCode.RIGHT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(((AreaMotif.Arms) motif()).turn()).isCloseTo(Math.toRadians(1), within(1e-9));
        robot.push(KeyCode.HOME).push(KeyCode.SUBTRACT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(motif()).isEqualTo(new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0));
        // The second ray dragged from 45 to 30 degrees: twelve arms. The first dragged to 20: all turned.
        dragOnTape(robot, band, 45, 30);
        assertThat(((AreaMotif.Arms) motif()).arms()).isEqualTo(12);
        dragOnTape(robot, band, 0, 20);
        assertThat(((AreaMotif.Arms) motif()).turn()).isCloseTo(Math.toRadians(20), within(Math.toRadians(1.01)));
        assertThat(bench.undoName().orElseThrow()).startsWith("the first arm at");
        robot.interact(bench::undo);
        assertThat(bench.undoName()).contains("12 arms");
        // Petals, points and circles are counted on it as well.
        robot.interact(
                () -> bench.areas().design("petals", AreaDesign.of(new AreaMotif.Petals(8, 1, 5), Optional.empty())));
        WaitForAsyncUtils.waitForFxEvents();
        dragOnTape(robot, bandAt(tape), 45, 72);
        assertThat(motif()).isEqualTo(new AreaMotif.Petals(5, 1, 5));
        assertThat(bench.undoName()).contains("5 petals");
        robot.push(KeyCode.ADD);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(motif()).isEqualTo(new AreaMotif.Petals(6, 1, 5));
        // A second button in the middle of it changes nothing, and leaves nothing hanging.
        var begun = bench.job();
        robot.moveTo(onTape(band, 60)).press(MouseButton.PRIMARY).moveTo(onTape(band, 66));
        robot.press(MouseButton.SECONDARY)
                .moveTo(onTape(band, 72))
                .release(MouseButton.SECONDARY)
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.isPreviewing()).isFalse();
        assertThat(motif()).isEqualTo(new AreaMotif.Petals(5, 1, 5));
        robot.interact(bench::undo);
        assertThat(bench.job()).isEqualTo(begun);
        robot.interact(
                () -> bench.areas().design("points", AreaDesign.of(new AreaMotif.Points(6, 2, 5), Optional.empty())));
        WaitForAsyncUtils.waitForFxEvents();
        // A tip half-way between two notches, from 30 to 20 degrees.
        dragOnTape(robot, bandAt(tape), 30, 20);
        assertThat(motif()).isEqualTo(new AreaMotif.Points(9, 2, 5));
    }

    private Point2D onTape(double band, double degrees) {
        Point centre = bench.areas().piece().orElseThrow().cloth().centre();
        Point2D at = window.table().onScreen(centre);
        double angle = Math.toRadians(degrees);
        return new Point2D(at.getX() + band * Math.sin(angle), at.getY() - band * Math.cos(angle));
    }

    /** How far the band is from the centre: where the tape first takes the mouse. */
    private double bandAt(Node tape) {
        Point2D centre = tape.screenToLocal(window.table()
                .onScreen(bench.areas().piece().orElseThrow().cloth().centre()));
        for (int r = 10; r < 900; r++) {
            if (tape.contains(centre.getX() + r, centre.getY())) {
                return r + 12;
            }
        }
        throw new AssertionError("no band");
    }

    private void dragOnTape(FxRobot robot, double band, double from, double to) {
        robot.moveTo(onTape(band, from))
                .press(MouseButton.PRIMARY)
                .moveTo(onTape(band, (from + to) / 2))
                .moveTo(onTape(band, to))
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void blocksAreFilledAndWhatCantBeDoneIsSaid(FxRobot robot) throws Exception {
        with(robot, new Area.Blocks(2, 2, 9, 9, 1));
        take(robot, "clamshells");
        assertThat(plan().lines()).isNotEmpty().allMatch(l -> l.kind() == Stitched.SHELLS);
        assertThat(read(robot, "#area-sums")).contains("4 blocks");
        scrollTo(robot, "#area-instead-1");
        robot.clickOn("#area-instead-1");
        WaitForAsyncUtils.waitForFxEvents();
        scrollTo(robot, "#area-gallery-peel");
        robot.clickOn("#area-gallery-peel");
        WaitForAsyncUtils.waitForFxEvents();
        type(robot, "#area-across", "3");
        assertThat(motif()).isEqualTo(new AreaMotif.Peel(3, 2));
        // Whichever arc suits is taken until one is named.
        scrollTo(robot, "#area-template-1");
        choose(robot, "#area-template-1", bench.shelf().template("orchard-hill").orElseThrow());
        scrollTo(robot, "#area-across");
        type(robot, "#area-across", "1");
        assertThat(bench.plan().findings())
                .anyMatch(f -> f.code().equals("area-too-far") || f.code().equals("area-too-round"));
        // The remedy takes as many squares as the arc needs.
        Button remedy = robot.lookup(n -> n.getId() != null && n.getId().startsWith("remedy-area-too"))
                .queryButton();
        robot.interact(remedy::fire);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.plan().findings()).noneMatch(f -> f.code().startsWith("area-too"));
        assertThat(plan().lines()).isNotEmpty();
        scrollTo(robot, "#area-remove-1");
        robot.clickOn("#area-remove-1");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(plan().lines()).isEmpty();
    }

    /** Several motifs together, or blocks that differ, are taken from the gallery at once, and given back at once. */
    @Test
    void wholeBlocksAndMedallionsAreLaidOutByClicks(FxRobot robot) throws Exception {
        Set<String> worked = Set.of(
                "shells-by-fabric",
                "shells-hanging-and-a-line",
                "arms-along-the-edge-crossed",
                "rays-on-the-diagonal",
                "floating-arms",
                "sixteen-waves-from-a-corner",
                "pieced-peel",
                "quarters-each-its-own",
                "rings-of-two-sets",
                "rings-that-overlap",
                "wreath-in-rings");
        Area leaf = new Area.Applique(new Area.Ellipse(new Point(2, 2), 7, 5, 0.4), 0);
        for (Area area : List.of(new Area.Blocks(3, 3, 9, 9, 0), new Area.Medallion(16), new Area.Body(0))) {
            with(robot, area, leaf);
            AreaDesign before = bench.job().design(FIRST);
            for (AreaArrangement arrangement : AreaArrangement.of(area).stream()
                    .filter(a -> worked.contains(a.code())
                            && !(area instanceof Area.Medallion && a.code().equals("floating-arms")))
                    .toList()) {
                scrollTo(robot, "#area-add");
                robot.clickOn("#area-add");
                String card = "#area-gallery-together-" + arrangement.code();
                WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> robot.lookup(card)
                        .tryQuery()
                        .isPresent());
                scrollTo(robot, card);
                robot.clickOn(card);
                WaitForAsyncUtils.waitForFxEvents();
                assertThat(bench.job().design(FIRST)).as(arrangement.code()).isEqualTo(arrangement.design());
                assertThat(plan().lines()).as(arrangement.code()).isNotEmpty();
                assertThat(bench.plan().findings())
                        .as(arrangement.code())
                        .filteredOn(f -> f.severity() == Finding.Severity.PROBLEM)
                        .isEmpty();
                robot.interact(bench::undo);
                assertThat(bench.job().design(FIRST)).as(arrangement.code()).isEqualTo(before);
            }
        }
    }

    /** A V and a whirl in turn from block to block, each taken from the gallery for its letter. */
    @Test
    void aVAndAWhirlAreLaidOutByClicks(FxRobot robot) throws Exception {
        with(robot, new Area.Blocks(2, 2, 7.5, 7.5, 0));
        take(robot, "vee");
        robot.clickOn("#area-letters").clickOn("#letter-add").clickOn("#letter-in-turn");
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> bench.areas().choose(FIRST, 2));
        robot.clickOn("#area-motifs");
        scrollTo(robot, "#area-remove-1");
        robot.clickOn("#area-remove-1");
        take(robot, "whirl");
        assertThat(bench.job().design(FIRST).parts())
                .extracting(part -> part.layers().get(0).motif().getClass())
                .isEqualTo(List.of(AreaMotif.Vee.class, AreaMotif.Whirl.class));
        assertThat(plan().pieces()).extracting(AreaPlan.Piece::letter).containsExactly('A', 'B', 'B', 'A');
    }

    /** Kept clear of the seams, each line is a start, unless the rules allow lines to be changed over. */
    @Test
    void theRulesAllowLinesToBeChangedOver(FxRobot robot) throws Exception {
        with(robot, new Area.Blocks(1, 1, 8, 8, 0, 0.25));
        take(robot, "curved-hatch");
        int starts = plan().starts();
        int holds = plan().placements().size();
        robot.clickOn("#show-rules");
        scrollTo(robot, "#rules-change-over");
        robot.clickOn("#rules-change-over");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(plan().starts()).isLessThan(starts);
        assertThat(plan().placements()).hasSizeGreaterThan(holds);
        assertThat(bench.undoName().orElseThrow()).contains("change lines over");
        robot.interact(bench::undo);
        assertThat(plan().starts()).isEqualTo(starts);
    }

    /** Every motif is in the gallery, and each of its fields changes it. */
    @Test
    void everyFieldOfEveryMotifChangesIt(FxRobot robot) {
        with(robot, new Area.Medallion(16), new Area.Blocks(1, 1, 24, 24, 0));
        List<AreaMotif> motifs = new ArrayList<>();
        for (Area area : bench.job().quilt().areas()) {
            AreaPreset.of(area).stream()
                    .map(AreaPreset::motif)
                    .filter(m -> motifs.stream().noneMatch(o -> o.getClass() == m.getClass()))
                    .forEach(motifs::add);
        }
        assertThat(motifs)
                .extracting(Object::getClass)
                .containsAll(
                        AreaMotifTypes.ALL.stream().map(AreaMotifType::type).toList());
        Map<String, String> typed = Map.of(
                "area-across",
                "7",
                "area-down",
                "6",
                "area-angle",
                "60",
                "area-turn",
                "15",
                "area-petals",
                "5",
                "area-allowance",
                "1/4",
                "area-outer",
                "11 1/8",
                "area-right",
                "-1 1/2",
                "area-up",
                "1",
                "area-closest",
                "1/8");
        Set<String> checked = new TreeSet<>();
        for (AreaMotif motif : motifs) {
            robot.interact(() -> {
                bench.areas().choose(FIRST, 1);
                bench.areas().design("a motif", AreaDesign.of(motif, Optional.empty()));
                robot.lookup("#area-motifs").queryAs(ToggleButton.class).fire();
            });
            WaitForAsyncUtils.waitForFxEvents();
            Set<String> ids = robot
                    .lookup(n -> n instanceof TextField f
                            && f.getId() != null
                            && f.getId().startsWith("area-")
                            && f.isVisible())
                    .queryAllAs(TextField.class)
                    .stream()
                    .map(Node::getId)
                    .collect(Collectors.toCollection(TreeSet::new));
            assertThat(ids).as(motif + " has fields").isNotEmpty();
            for (String id : ids) {
                AreaMotif before = motif();
                TextField field = robot.lookup("#" + id).queryAs(TextField.class);
                String text = typed.getOrDefault(
                        id, before instanceof AreaMotif.Points && id.equals("area-points") ? "9" : "4 1/8");
                boolean whole = field.getText().matches("\\d+")
                        && Set.of(
                                        "area-arms",
                                        "area-rings",
                                        "area-circles",
                                        "area-points",
                                        "area-echoes",
                                        "area-lines",
                                        "area-sets")
                                .contains(id);
                robot.interact(() -> {
                    field.requestFocus();
                    field.setText(whole ? "7" : text);
                    field.fireEvent(new ActionEvent());
                });
                WaitForAsyncUtils.waitForFxEvents();
                assertThat(motif()).as(motif + ", " + id).isNotEqualTo(before);
                robot.interact(() -> bench.areas().design("as it was", AreaDesign.of(motif, Optional.empty())));
                WaitForAsyncUtils.waitForFxEvents();
            }
            for (String id : List.of("area-mirrored", "area-circled", "area-outside", "area-pieced")) {
                robot.lookup("#" + id)
                        .tryQueryAs(CheckBox.class)
                        .filter(c -> !c.isDisabled())
                        .ifPresent(box -> {
                            AreaMotif before = motif();
                            robot.interact(box::fire);
                            WaitForAsyncUtils.waitForFxEvents();
                            assertThat(motif()).as(motif + ", " + id).isNotEqualTo(before);
                            checked.add(id);
                        });
            }
        }
        assertThat(checked).contains("area-mirrored", "area-pieced");
    }

    /** The circle that arms stop on can be stitched as soon as they stop on one; what it is drawn with is said until then. */
    @Test
    void armsStopOnACircleThatIsDrawnOrStitched(FxRobot robot) {
        // Where its edge is but kept clear of, no seam leads from one arm to the next.
        with(robot, new Area.Medallion(12).withClearance(0.25));
        robot.interact(() -> {
            bench.areas().choose(FIRST, 1);
            bench.areas()
                    .design(
                            "arms",
                            AreaDesign.of(
                                    new AreaMotif.Arms(12, AreaMotif.Way.OUT_AND_BACK, 0), Optional.of("willow-arm")));
            robot.lookup("#area-motifs").queryAs(ToggleButton.class).fire();
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#area-circled").queryAs(CheckBox.class).isDisabled())
                .isTrue();
        TextField stop = robot.lookup("#area-stop").queryAs(TextField.class);
        robot.interact(() -> {
            stop.setText("1/2");
            stop.fireEvent(new ActionEvent());
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(plan().starts()).isEqualTo(12);
        assertThat(said(robot)).contains("Draw a circle of radius 1/2 about the centre; the arms stop on it.");
        scrollTo(robot, "#area-circled");
        robot.clickOn("#area-circled");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(plan().starts()).isEqualTo(1);
        assertThat(said(robot)).noneMatch(text -> text.startsWith("Draw a circle"));
        // A size that no template stitches is told, with the nearest as a button.
        robot.interact(() -> {
            TextField other = robot.lookup("#area-stop").queryAs(TextField.class);
            other.setText("5/8");
            other.fireEvent(new ActionEvent());
        });
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(robot.lookup("#remedy-area-ring-missing").queryButton()::fire);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.plan().findings()).noneMatch(f -> f.code().equals("area-ring-missing"));
        assertThat(((AreaMotif.Arms) motif()).stop()).isBetween(0.49, 0.51);
    }

    private static List<String> said(FxRobot robot) {
        return robot.lookup(n -> n instanceof Label && n.isVisible()).queryAllAs(Label.class).stream()
                .map(Label::getText)
                .toList();
    }

    /** Whatever number can be dragged goes where it is dragged. */
    @Test
    void knobsAreDraggedOnTheTable(FxRobot robot) {
        with(robot, new Area.Blocks(1, 1, 16, 16, 0));
        Map<AreaMotif, String> knobs = new LinkedHashMap<>();
        knobs.put(new AreaMotif.Rings(4, 1, 4, AreaMotif.Spokes.NONE), "gap");
        knobs.put(new AreaMotif.Petals(8, 1, 5), "to");
        knobs.put(new AreaMotif.Points(8, 3, 6), "outer");
        knobs.put(new AreaMotif.Echoes(3, 1, false), "spacing");
        knobs.put(new AreaMotif.Quarters(1, 2), "wide");
        knobs.put(new AreaMotif.Whirl(3, 1, 4), "spacing");
        knobs.put(new AreaMotif.CornerRays(AreaMotif.Corner.TOP_LEFT, OptionalInt.empty(), 2, 1), "stop");
        knobs.forEach((motif, id) -> {
            robot.interact(() -> {
                bench.areas().choose(FIRST, 1);
                bench.areas().design("a motif", AreaDesign.of(motif, Optional.empty()));
                bench.selection().placementProperty().set(null);
            });
            WaitForAsyncUtils.waitForFxEvents();
            Knob knob = knob("area-" + id + "-1");
            double was = knob.number(knob.place());
            Point to = knob.place().plus(knob.way().times(0.75 / knob.factor()));
            drag(robot, knob.place(), to);
            assertThat(motif()).as(id).isNotEqualTo(motif);
            Knob there = knob("area-" + id + "-1");
            assertThat(there.number(there.place())).as(id).isCloseTo(was + 0.75, within(0.13));
            assertThat(bench.undoName().orElseThrow()).startsWith(knob.name());
        });
    }

    @Test
    void blocksHaveLettersAndTotals(FxRobot robot) throws Exception {
        with(robot, new Area.Blocks(3, 2, 8, 8, 1));
        take(robot, "crosshatch");
        robot.clickOn("#area-letters").clickOn("#letter-add").clickOn("#letter-in-turn");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().design(FIRST).letters()).containsExactly("AB", "BA");
        assertThat(plan().pieces()).extracting(AreaPlan.Piece::letter).containsExactly('A', 'B', 'A', 'B', 'A', 'B');
        // Another motif for B: one of its blocks is clicked on the table.
        Point second = plan().pieces().get(1).cloth().centre();
        robot.interact(() -> window.table().zoom(-6));
        robot.clickOn(window.table().onScreen(second.plus(new Point(3, 0.2))));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.areas().lookedProperty().get().piece()).isEqualTo(2);
        robot.clickOn("#area-motifs");
        scrollTo(robot, "#area-remove-1");
        robot.clickOn("#area-remove-1");
        take(robot, "whirl");
        assertThat(plan().lines().stream().map(l -> l.kind()).distinct())
                .containsExactlyInAnyOrder(Stitched.HATCH, Stitched.WHIRL);
        robot.clickOn("#area-letters");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#letter-sum-A")).startsWith("A: crosshatch 1 apart. 3 blocks:");
        assertThat(read(robot, "#letter-sum-B")).startsWith("B: a whirl of 8 sets");
        assertThat(read(robot, "#letter-total")).startsWith("All 6: ").contains("yards of stitching");
        scrollTo(robot, "#letter-block-6");
        robot.clickOn("#letter-block-6");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(plan().pieces().get(5).letter()).isEqualTo('-');
        type(robot, "#letter-rows", "AC");
        assertThat(read(robot, "#letter-rows-said")).contains("rows of the letters A to B");
        type(robot, "#letter-rows", "abb");
        assertThat(plan().pieces()).extracting(AreaPlan.Piece::letter).containsExactly('A', 'B', 'B', 'A', 'B', 'B');
    }

    @Test
    void theSizeThatFitsIsUsed(FxRobot robot) {
        with(robot, new Area.Blocks(2, 2, 4.5, 4.5, 1));
        robot.clickOn("#area-sizes");
        shown(robot, "#area-size-thatch-middle");
        scrollTo(robot, "#area-size-thatch-middle");
        robot.clickOn("#area-size-thatch-middle");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().design(FIRST).parts().get(0).layers().get(0))
                .isEqualTo(new AreaDesign.Layer(new AreaMotif.Clamshells(0), Optional.of("thatch-middle"), 1));
        scrollTo(robot, "#size-list");
        type(robot, "#size-list", "12 of 4 1/2; twelve");
        assertThat(read(robot, "#size-list-said")).contains("“twelve” isn't a block's size");
        type(robot, "#size-list", "12 of 4 1/2; 4 of 6 by 9");
        shown(robot, "#area-size-thatch-middle");
        assertThat(robot.lookup(n -> n instanceof Label l && l.getText().contains("in all 16"))
                        .queryAll())
                .isNotEmpty();
    }

    /** Squares as full as the arc allows; what has nothing to do with the size stays as it is. */
    @Test
    void theRadiusAndTheCircleThatFitAreUsed(FxRobot robot) throws TimeoutException {
        with(robot, new Area.Blocks(2, 2, 12, 12, 1));
        robot.interact(() -> bench.areas()
                .editPart(
                        "a peel",
                        part -> part.withLayer(
                                0,
                                new AreaDesign.Layer(
                                        new AreaMotif.Peel(8, 8, OptionalDouble.of(0.5)), Optional.empty()))));
        robot.clickOn("#area-sizes");
        choose(robot, "#size-figure", BlockFigure.PEEL);
        shown(robot, "#area-size-cart-wheel");
        assertThat(robot.lookup("#area-size-cart-wheel").queryAs(Button.class).getAccessibleText())
                .contains("5 squares across, 5 up; 7/16 to squeeze across, 7/16 to squeeze up");
        scrollTo(robot, "#area-size-cart-wheel");
        robot.clickOn("#area-size-cart-wheel");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().design(FIRST).parts().get(0).layers())
                .containsExactly(new AreaDesign.Layer(
                        new AreaMotif.Peel(5, 5, OptionalDouble.of(0.5)), Optional.of("cart-wheel"), 1));
        scrollTo(robot, "#size-figure");
        choose(robot, "#size-figure", BlockFigure.CIRCLES);
        WaitForAsyncUtils.waitFor(
                20,
                TimeUnit.SECONDS,
                () -> robot.lookup(n -> n instanceof Button b && "Use it".equals(b.getText()))
                                .queryAll()
                                .size()
                        == 12);
        assertThat(robot.lookup(n -> n instanceof Button b && "Use it".equals(b.getText()))
                        .<Button>queryAll())
                .hasSize(12)
                .extracting(Button::getId)
                .doesNotHaveDuplicates();
        scrollTo(robot, "#size-list");
        // No wider than the foot.
        type(robot, "#size-list", "1/2");
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> robot.lookup(n -> n instanceof Label l
                        && l.getText().startsWith("No circle of the shelf makes squares in all of them"))
                .tryQuery()
                .isPresent());
    }

    /** Waits for what is made ready away from the window. */
    private static void shown(FxRobot robot, String id) {
        try {
            WaitForAsyncUtils.waitFor(
                    20, TimeUnit.SECONDS, () -> robot.lookup(id).tryQuery().isPresent());
        } catch (TimeoutException e) {
            throw new AssertionError(
                    id + " is not among "
                            + robot.lookup(n -> n instanceof Label).<Label>queryAll().stream()
                                    .map(Label::getText)
                                    .toList(),
                    e);
        }
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void areasAreChosenOnTheMapAndMarked(FxRobot robot) {
        with(robot, new Area.Medallion(12), new Area.Blocks(2, 2, 20, 20, 2));
        robot.clickOn("#region-area-2");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.areas().lookedProperty().get().id().number()).isEqualTo(2);
        robot.interact(() -> bench.areas()
                .design("arms", AreaDesign.of(new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 1), Optional.empty())));
        robot.clickOn("#map-area-2-3");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.areas().lookedProperty().get().piece()).isEqualTo(3);
        assertThat(read(robot, "#table-head")).isEqualTo("Blocks, block 3 of 4, 20 by 20");
        robot.interact(() -> bench.stageProperty().set(WorkStage.MARK));
        WaitForAsyncUtils.waitForFxEvents();
        TableView<Mark> marks = robot.lookup("#mark-list").queryTableView();
        assertThat(marks.getItems()).isNotEmpty().allMatch(m -> m.id().code().startsWith("area-2-block-3-"));
        // Lines stop at the medallion's rim, under which no block is stitched.
        assertThat(bench.plan().area(new AreaId(2)).orElseThrow().lines())
                .allMatch(l -> l.path().distance(Point.ORIGIN) > 6 - 1e-6);
        robot.interact(() -> bench.selection().choose(RunId.of(Side.TOP)));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(marks.getItems()).allMatch(m -> m.id().code().startsWith("top-"));
    }

    @Test
    void findingsShowTheirPlace(FxRobot robot) {
        with(robot, new Area.Blocks(2, 1, 20, 20, 2));
        robot.interact(() -> {
            bench.editQuilt("batting", q -> q.with(Dimension.BATTING, 4));
            bench.areas().design("hatch", AreaDesign.of(new AreaMotif.Crosshatch(8, Math.PI / 2), Optional.empty()));
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.plan().findings()).anyMatch(f -> f.code().equals("area-unstitched"));
        robot.interact(() -> bench.selection().choose(RunId.of(Side.TOP)));
        scrollTo(robot, "#finding-area-unstitched");
        robot.clickOn("#finding-area-unstitched");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.areas().isLooked()).isTrue();
        robot.interact(
                () -> robot.lookup("#remedy-area-unstitched").queryButton().fire());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.plan().findings()).noneMatch(f -> f.code().equals("area-unstitched"));
    }
}
