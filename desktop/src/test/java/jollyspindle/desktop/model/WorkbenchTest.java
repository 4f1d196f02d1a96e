package jollyspindle.desktop.model;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Counts;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

class WorkbenchTest {

    @TempDir
    private Path folder;

    private final Workbench bench = new Workbench();

    @BeforeEach
    void layDemo() {
        bench.start(DemoJob.heronWeir());
    }

    @Test
    void everyChangeIsUndoneAndRedoneByName() {
        List<String> names = new ArrayList<>();
        bench.edit("top 70", job -> job.withQuilt(job.quilt().with(Dimension.BODY_TOP, 70)));
        bench.edit("nothing", job -> job);
        bench.dividing().choose(bench.group().orElseThrow().candidates().get(2));
        bench.edit("name", job -> job.withName("Other"));
        while (bench.undoName().isPresent()) {
            names.add(bench.undoName().get());
            bench.undo();
        }
        assertThat(names).hasSize(3).containsSubsequence("name", "top 70");
        assertThat(bench.job()).isEqualTo(DemoJob.heronWeir());
        assertThat(bench.redoName()).contains("top 70");
        bench.redo();
        bench.redo();
        bench.redo();
        bench.redo();
        assertThat(bench.job().name()).isEqualTo("Other");
        bench.undo();
        bench.edit("another way", job -> job.withName("Third"));
        assertThat(bench.redoName()).as("a new change lets go what was undone").isEmpty();
    }

    @Test
    void itIsSavedWhenItIsAsItWasSaved() throws FileTrouble {
        assertThat(bench.savedProperty().get()).isTrue();
        bench.dividing().stepRepeats(1);
        assertThat(bench.savedProperty().get()).isFalse();
        bench.undo();
        assertThat(bench.savedProperty().get())
                .as("undone back to what was saved")
                .isTrue();
        bench.redo();
        Path file = folder.resolve("a.spindle.json");
        bench.save(file);
        assertThat(bench.savedProperty().get()).isTrue();
        assertThat(bench.fileProperty().get()).isEqualTo(file);
        bench.undo();
        assertThat(bench.savedProperty().get()).isFalse();
        bench.open(file);
        assertThat(bench.job()).isEqualTo(bench.job().withCounts(new Counts(11, 13)));
        assertThat(bench.undoName()).isEmpty();
    }

    @Test
    void aFileThatCantBeReadChangesNothing() throws Exception {
        bench.dividing().stepRepeats(-1);
        Path broken = folder.resolve("b.spindle.json");
        Files.writeString(broken, "{]");
        assertThatThrownBy(() -> bench.open(broken)).isInstanceOf(FileTrouble.class);
        assertThatThrownBy(() -> bench.save(folder.resolve("no/where.spindle.json")))
                .isInstanceOf(FileTrouble.class);
        assertThat(bench.job()).isEqualTo(bench.job().withCounts(new Counts(9, 11)));
        assertThat(bench.undoName()).contains("repeats 9 across, 11 down");
        assertThat(bench.fileProperty().get()).isNull();
        assertThat(bench.savedProperty().get()).isFalse();
    }

    @Test
    void whatAFileHeldBeyondThisVersionSurvivesChangesAndUndo() throws Exception {
        Path file = folder.resolve("c.spindle.json");
        String text = new String(JobFile.format(DemoJob.heronWeir(), UnknownFields.none()), StandardCharsets.UTF_8);
        Files.writeString(file, text.replaceFirst("\\{", "{ \"batting\": \"wool\","));
        bench.open(file);
        bench.edit("name", job -> job.withName("Other"));
        bench.undo();
        bench.dividing().stepRepeats(1);
        bench.save(file);
        assertThat(Files.readString(file)).contains("\"batting\" : \"wool\"");
        bench.start(DemoJob.heronWeir());
        bench.save(folder.resolve("d.spindle.json"));
        assertThat(Files.readString(folder.resolve("d.spindle.json"))).doesNotContain("batting");
    }

    @Test
    void pointingStepsThroughMarksAndStopsAtTheEnds() {
        bench.selection().stepMark(1);
        assertThat(bench.selection().pointedProperty().get().id().code()).isEqualTo("top-valley-0");
        bench.selection().stepMark(-1);
        assertThat(bench.selection().pointedProperty().get().id().code()).isEqualTo("top-valley-0");
        bench.selection().stepMark(3);
        assertThat(bench.selection().pointedProperty().get().id().code()).isEqualTo("top-crown-2");
        bench.edit("longer", job -> job.withQuilt(job.quilt().with(Dimension.BODY_TOP, 71.75)));
        assertThat(bench.selection().pointedProperty().get().along())
                .as("the same mark, where it stands now")
                .isEqualTo(71.75 * 1.5 / 10);
        bench.selection().choose(Side.LEFT);
        assertThat(bench.selection().pointedProperty().get()).isNull();
        bench.selection().stepMark(-1);
        assertThat(bench.selection().pointedProperty().get().id().code()).isEqualTo("left-valley-12");
    }

    @Test
    void placementsAreSteppedRoundAndRound() {
        bench.selection().stepPlacement(-1);
        assertThat(bench.selection().placementProperty().get().id().code()).isEqualTo("top-arc-10");
        bench.selection().stepPlacement(1);
        assertThat(bench.selection().placementProperty().get().id().code()).isEqualTo("top-arc-1");
        bench.edit("more", job -> job.withCounts(new Counts(11, 13)));
        assertThat(bench.selection().placementProperty().get().id().code()).isEqualTo("top-arc-1");
        bench.edit("unmeasured", job -> job.withQuilt(job.quilt().without(Dimension.BODY_TOP)));
        assertThat(bench.selection().placementProperty().get()).isNull();
        bench.selection().stepPlacement(1);
        bench.selection().stepMark(1);
        bench.dividing().stepRepeats(1);
        bench.dividing().stepCandidate(1);
        assertThat(bench.selection().placementProperty().get())
                .as("nothing to step through, nothing happens")
                .isNull();
    }

    @Test
    void candidatesAreSteppedFromTheBestToTheLast() {
        int count = bench.group().orElseThrow().candidates().size();
        for (int i = 0; i < count + 3; i++) {
            bench.dividing().stepCandidate(1);
        }
        assertThat(bench.group().orElseThrow().chosen())
                .isEqualTo(bench.group().orElseThrow().candidates().get(count - 1));
        for (int i = 0; i < count + 3; i++) {
            bench.dividing().stepCandidate(-1);
        }
        assertThat(bench.group().orElseThrow().chosen())
                .isEqualTo(bench.group().orElseThrow().candidates().get(0));
    }

    @Test
    void repeatsAreSteppedOnTheChosenSideAndNeighboursFollow() {
        bench.selection().choose(Side.RIGHT);
        bench.dividing().stepRepeats(1);
        assertThat(bench.group().orElseThrow().chosen().counts()).contains(new Counts(11, 13));
        bench.dividing().stepRepeats(-3);
        assertThat(bench.group().orElseThrow().chosen().counts()).contains(new Counts(8, 10));
        assertThat(bench.plan().runs()).as("8 are too wide for this template").hasSize(0);
        bench.undo();
        assertThat(bench.plan().runs()).hasSize(4);
    }

    @Test
    void theShelfIsChangedAndUndoneWithTheJob() {
        Template hill = bench.shelf().template("orchard-hill").orElseThrow();
        bench.editShelf("larger", shelf -> shelf.with(hill.resized(4.5)));
        assertThat(bench.job().template("orchard-hill"))
                .as("the job's copy was like it, and goes along")
                .contains(hill.resized(4.5));
        bench.editShelf("notes", shelf -> shelf.with(hill.resized(4.5).withNotes("new")));
        bench.edit("another copy", job -> job.withTemplate(hill.resized(6)));
        bench.editShelf("larger still", shelf -> shelf.with(hill.resized(5)));
        assertThat(bench.job().template("orchard-hill"))
                .as("what differed stays")
                .contains(hill.resized(6));
        assertThat(bench.plan().findings()).extracting(Finding::code).contains("changed-on-shelf");
        bench.takeFromShelf("orchard-hill");
        assertThat(bench.plan().findings()).extracting(Finding::code).doesNotContain("changed-on-shelf");
        while (bench.undoName().isPresent()) {
            bench.undo();
        }
        assertThat(bench.job()).isEqualTo(DemoJob.heronWeir());
        assertThat(bench.shelf()).isEqualTo(Shelf.starter());
    }

    @Test
    void theMachineIsTheQuiltersAndTheNextJobBeginsWithIt() {
        bench.editMachine("foot 0.26", machine -> machine.withFootRadius(0.26));
        assertThat(bench.job().machine().footRadius()).isEqualTo(0.26);
        assertThat(bench.newJob().machine()).isEqualTo(bench.shelf().machine());
        bench.undo();
        assertThat(bench.job().machine().footRadius()).isEqualTo(0.245);
        assertThat(bench.shelf().machine()).isEqualTo(Machine.usual());
    }

    @Test
    void aNewJobBeginsWithTheFirstArcThatIsInUse() {
        Template hill = bench.shelf().template("orchard-hill").orElseThrow();
        bench.editShelf("retired", shelf -> shelf.with(hill.withRetired(true)));
        assertThat(bench.newJob().layout().templateId()).contains("mill-bridge");
        bench.layShelf(new Shelf(Machine.usual(), List.of()));
        assertThat(bench.newJob().templates()).isEmpty();
        assertThat(bench.undoName()).as("another shelf has no history").isEmpty();
        assertThat(bench.plan().findings()).extracting(Finding::code).contains("not-on-shelf");
        bench.putOnShelf("orchard-hill");
        assertThat(bench.shelf().template("orchard-hill")).isPresent();
        assertThat(bench.plan().findings()).extracting(Finding::code).doesNotContain("not-on-shelf");
        bench.use(hill.withId("other").resized(5), Optional.of("bulging"));
        assertThat(bench.job().arc().orElseThrow().edgeRadius()).isEqualTo(4.75);
    }

    @Test
    void anUntouchedNewJobFollowsTheShelfThatIsLaidBesideIt() {
        Workbench fresh = new Workbench();
        Machine measured = new Machine(0.24);
        fresh.layShelf(Shelf.starter().withMachine(measured));
        assertThat(fresh.job().machine()).isEqualTo(measured);
        assertThat(fresh.savedProperty().get()).isTrue();
        bench.layShelf(Shelf.starter().withMachine(measured));
        assertThat(bench.job()).as("a job that is at work stays").isEqualTo(DemoJob.heronWeir());
    }
}
