package jollyspindle.core.plan;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Optional;

import static org.assertj.core.api.Assertions.assertThat;

/** A card of the gallery must promise what the plan then asks for. */
class GalleryTest {

    private static final QuiltJob JOB = DemoJob.heronWeir().withTemplates(StarterShelf.templates());

    static List<Preset> presets() {
        return Preset.all();
    }

    @ParameterizedTest
    @MethodSource("presets")
    void aCardPromisesWhatThePlanThenAsksFor(Preset preset) {
        RunId id = JOB.quilt().groups().stream()
                .flatMap(group -> JOB.quilt().runs(group).stream())
                .findFirst()
                .orElseThrow();
        MotifShown<Optional<RunPlan>> card = Gallery.entry(JOB, id, preset, 0);
        WorkPlan plan = Planner.plan(JOB.editing(id.group(), l -> Gallery.adopted(JOB, l, id, preset, 0)));
        assertThat(card.plan()).isEqualTo(plan.run(id));
        assertThat(card.plan().isPresent() || card.trouble().isPresent())
                .as("a card without a picture says why")
                .isTrue();
        plan.run(id).ifPresent(run -> {
            assertThat(card.placements()).isEqualTo(run.laidOut().placements().size());
            assertThat(card.marks())
                    .isEqualTo(run.laidOut().marks().stream()
                            .filter(m -> m.by() == Mark.MarkedBy.CHALK)
                            .count());
            assertThat(card.starts()).isBetween(1, run.laidOut().lines().size());
            assertThat(card.templates())
                    .isNotEmpty()
                    .doesNotHaveDuplicates()
                    .isSubsetOf(JOB.templates().stream().map(Template::name).toList());
        });
    }
}
