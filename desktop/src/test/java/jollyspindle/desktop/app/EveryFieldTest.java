package jollyspindle.desktop.app;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.shelf.ShelfFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/**
 * Whatever any field of the window takes, the file takes back: values small, large, odd and at random are typed into each, and
 * what became of the job and the shelf is read back. What can't be is refused by its field, never later.
 */
@ExtendWith(ApplicationExtension.class)
class EveryFieldTest extends Hands {

    private static final List<String> VALUES = List.of(
            "0.005",
            "0.02",
            "0",
            "-1",
            "1/32",
            "0.03",
            "1/16",
            "64",
            "24",
            "60",
            "61",
            "100",
            "101",
            "199",
            "200",
            "201",
            "400",
            "1; 0.005",
            "3; 2; 1",
            "0, 0; 0, 0; 5, 5",
            "3, 4; 6, -2; 0, 0",
            "A A B",
            "5 by 0.001",
            "  spaces  ",
            "45",
            "179",
            "0.0001",
            "720");

    private static final int EACH = Integer.getInteger("spindle.fuzz.values", 9);

    private final List<String> troubles = new ArrayList<>();
    private final Random random = new Random(5);
    private int typed;

    @Start
    void start(Stage stage) {
        open(stage);
        bench.setOnTrouble(troubles::add);
    }

    private Set<String> fields() {
        Set<String> ids = new LinkedHashSet<>();
        for (Node node : window.stage().getScene().getRoot().lookupAll(".text-field")) {
            if (node instanceof TextField field && field.getId() != null && isSeen(field) && field.isEditable()) {
                ids.add(field.getId());
            }
        }
        return ids;
    }

    private static boolean isSeen(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return true;
    }

    /** Types everything into each field that is to be seen. */
    private void typeAll(FxRobot robot, String where) throws Exception {
        WaitForAsyncUtils.waitForFxEvents();
        for (String id : WaitForAsyncUtils.asyncFx(this::fields).get()) {
            robot.interact(() -> {
                QuiltJob before = bench.job();
                for (String value : some()) {
                    type(where, id, value);
                }
                type(where, id, String.format(java.util.Locale.ROOT, "%.6f", Math.exp(random.nextDouble() * 12 - 6)));
                check(where + " " + id);
                // The next field starts from a job that has room for all.
                bench.edit("back", job -> before);
            });
        }
    }

    /** Some of the values, other ones for each field; all of them where there is time. */
    private List<String> some() {
        List<String> all = new ArrayList<>(VALUES);
        Collections.shuffle(all, random);
        return all.subList(0, Math.min(all.size(), EACH));
    }

    private void type(String where, String id, String value) {
        Node node = window.stage().getScene().getRoot().lookup("#" + id);
        if (!(node instanceof TextField field) || !isSeen(field)) {
            return;
        }
        field.setText(value);
        field.fireEvent(new ActionEvent());
        typed++;
        assertThat(troubles).as("%s: “%s” in %s", where, value, id).isEmpty();
    }

    private void check(String what) {
        try {
            byte[] job = JobFile.format(bench.keptJob(), UnknownFields.none());
            assertThat(JobFile.parse(job).job()).as(what).isEqualTo(bench.keptJob());
            Path folder = Files.createTempDirectory(Hands.folder, "shelf");
            ShelfFile.write(folder, bench.shelf(), UnknownFields.none());
            assertThat(ShelfFile.read(folder).shelf()).as(what).isEqualTo(bench.shelf());
        } catch (Exception e) {
            throw new AssertionError(what, e);
        }
    }

    private void press(FxRobot robot, String id) {
        robot.interact(() -> {
            if (window.stage().getScene().getRoot().lookup(id) instanceof javafx.scene.control.ButtonBase button) {
                button.fire();
            }
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void measuring(FxRobot robot) throws Exception {
        List<Area> areas = List.of(
                new Area.Blocks(3, 3, 12, 12, 2),
                new Area.Medallion(14),
                new Area.Applique(new Area.Ellipse(new Point(5, 5), 6, 4, 0.3), 0.25),
                new Area.Applique(new Area.Corners(List.of(new Point(0, 0), new Point(4, 0), new Point(0, 4))), 0.25),
                new Area.Body(0.25));
        robot.interact(() -> {
            bench.start(DemoJob.heronWeir()
                    .withQuilt(DemoJob.heronWeir()
                            .quilt()
                            .withAreas(areas)
                            .withStrips(List.of(new Strip(
                                    "Sash", Strip.Kind.FREE, new Point(-20, 0), 0, 40, 3, OptionalDouble.of(2))))));
            bench.stageProperty().set(WorkStage.MEASURE);
        });
        for (String page : List.of("body", "borders", "strips")) {
            press(robot, "#measure-" + page);
            typeAll(robot, "measure " + page);
        }
        assertThat(typed).isGreaterThan(250);
    }

    @Test
    void theShelf(FxRobot robot) throws Exception {
        robot.interact(() -> {
            bench.start(DemoJob.heronWeir());
            bench.stageProperty().set(WorkStage.SHELF);
        });
        for (Kind kind : Kind.values()) {
            Optional<Template> one = bench.shelf().templates().stream()
                    .filter(t -> t.kind() == kind)
                    .findFirst();
            if (one.isPresent()) {
                robot.interact(() -> window.shelfModel().look(one.get().id()));
                typeAll(robot, "shelf " + kind);
            }
        }
        robot.interact(() -> window.shelfBench().showFoot());
        typeAll(robot, "foot");
        assertThat(typed).isGreaterThan(250);
    }

    @Test
    void layingOutBorders(FxRobot robot) throws Exception {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        robot.interact(() -> {
            bench.start(demo);
            bench.stageProperty().set(WorkStage.LAY_OUT);
            window.layOutBench().showMotifs();
        });
        Set<Object> kinds = new LinkedHashSet<>();
        for (Preset preset : Preset.all()) {
            if (kinds.add(preset.motif().getClass())) {
                robot.interact(() -> bench.edit(
                        "motif",
                        job -> demo.editing(
                                GroupId.border(1),
                                l -> jollyspindle.core.plan.Gallery.adopted(demo, l, RunId.of(Side.TOP), preset, 0))));
                typeAll(robot, "motif " + preset.code());
            }
        }
        for (CornerDesign.Kind kind : CornerDesign.Kind.values()) {
            robot.interact(() -> bench.edit(
                    "corner",
                    job -> demo.editing(
                            GroupId.border(1), l -> l.with(l.design().withCorner(CornerDesign.of(kind))))));
            typeAll(robot, "corner " + kind);
        }
        robot.interact(() -> bench.edit("back", job -> demo));
        for (School school : List.of(
                new Even(10),
                new CornersIn(6, 4),
                new CentreOut(7, 9, jollyspindle.core.division.EndUse.PLAIN),
                new HalfSteps(10),
                new Fudged(7, 10, new Spread.All()),
                new ByIncrements(1, 6),
                new ByHand(10, Map.of(3, 20.0)))) {
            robot.interact(() -> {
                bench.dividing().divide(Map.of(RunId.of(Side.TOP), school));
                window.layOutBench().showRun();
            });
            typeAll(robot, "run " + school.kind());
        }
        press(robot, "#show-wishes");
        typeAll(robot, "wishes");
        press(robot, "#show-rules");
        typeAll(robot, "rules");
        assertThat(typed).isGreaterThan(250);
    }

    @Test
    void layingOutAreas(FxRobot robot) throws Exception {
        List<Area> areas = List.of(new Area.Blocks(2, 2, 12, 12, 2), new Area.Medallion(14));
        QuiltJob demo = DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .withQuilt(DemoJob.heronWeir().quilt().withAreas(areas));
        robot.interact(() -> {
            bench.start(demo);
            bench.stageProperty().set(WorkStage.LAY_OUT);
            window.layOutBench().showAreas();
        });
        Set<Class<?>> kinds = new HashSet<>();
        for (int area = 1; area <= 2; area++) {
            AreaId id = new AreaId(area);
            for (AreaPreset preset : AreaPreset.of(areas.get(area - 1))) {
                if (kinds.add(preset.motif().getClass())) {
                    robot.interact(() -> {
                        bench.areas().choose(id, 1);
                        bench.edit("motif", job -> demo.with(id, AreaDesign.of(preset.motif(), Optional.empty())));
                    });
                    typeAll(robot, "area " + AreaMotifTypes.of(preset.motif()).code());
                }
            }
        }
        robot.interact(() -> window.layOutBench().showAreaLetters());
        typeAll(robot, "letters");
        assertThat(typed).isGreaterThan(150);
    }
}
