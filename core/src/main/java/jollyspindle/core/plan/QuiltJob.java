package jollyspindle.core.plan;

import jollyspindle.core.division.Counts;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Everything a quilter measured and decided for one quilt; nothing computed.
 *
 * @param name of the job, not blank, at most {@link #LONGEST_NAME} characters
 * @param tape lengths are read on
 * @param machine it is stitched on
 * @param quilt as measured
 * @param shelf the templates this job can use, each id once
 * @param layout what was decided for the border
 */
public record QuiltJob(
        String name, TapeScale tape, Machine machine, Quilt quilt, List<ArcTemplate> shelf, RingLayout layout) {

    public static final int LONGEST_NAME = 80;

    public QuiltJob {
        if (name.isBlank() || name.length() > LONGEST_NAME) {
            throw new IllegalArgumentException("a job's name has 1 to " + LONGEST_NAME + " characters");
        }
        shelf = List.copyOf(shelf);
        Set<String> ids = new HashSet<>();
        shelf.forEach(t -> {
            if (!ids.add(t.id())) {
                throw new IllegalArgumentException("two templates are called " + t.id());
            }
        });
    }

    public QuiltJob withName(String other) {
        return new QuiltJob(other, tape, machine, quilt, shelf, layout);
    }

    public QuiltJob withTape(TapeScale other) {
        return new QuiltJob(name, other, machine, quilt, shelf, layout);
    }

    public QuiltJob withMachine(Machine other) {
        return new QuiltJob(name, tape, other, quilt, shelf, layout);
    }

    public QuiltJob withQuilt(Quilt other) {
        return new QuiltJob(name, tape, machine, other, shelf, layout);
    }

    public QuiltJob withShelf(List<ArcTemplate> other) {
        return new QuiltJob(name, tape, machine, quilt, other, layout);
    }

    /** This job with a template in place of the one with the same id. */
    public QuiltJob withTemplate(ArcTemplate changed) {
        return withShelf(shelf.stream()
                .map(t -> t.id().equals(changed.id()) ? changed : t)
                .toList());
    }

    public QuiltJob withTemplateChosen(String id) {
        return withLayout(new RingLayout(Optional.of(id), layout.wantedRepeat(), layout.counts()));
    }

    /** This job with another wanted repeat; counts chosen for the old one are let go. */
    public QuiltJob withWantedRepeat(double inches) {
        return withLayout(new RingLayout(layout.templateId(), inches, Optional.empty()));
    }

    public QuiltJob withCounts(Counts counts) {
        return withLayout(new RingLayout(layout.templateId(), layout.wantedRepeat(), Optional.of(counts)));
    }

    private QuiltJob withLayout(RingLayout other) {
        return new QuiltJob(name, tape, machine, quilt, shelf, other);
    }

    /** The chosen template, if one is chosen and on the shelf. */
    public Optional<ArcTemplate> template() {
        return layout.templateId()
                .flatMap(id -> shelf.stream().filter(t -> t.id().equals(id)).findFirst());
    }
}
