package jollyspindle.desktop.model;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.words.DivisionWords;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** How the runs that are looked at come out: another way, or another count. */
public final class Dividing {

    private final Workbench bench;

    Dividing(Workbench bench) {
        this.bench = bench;
    }

    /** Chooses another candidate, so many places further down the list. */
    public void stepCandidate(int places) {
        bench.group().ifPresent(group -> {
            int index = group.candidates().indexOf(group.chosen()) + places;
            if (index >= 0 && index < group.candidates().size()) {
                choose(group.candidates().get(index));
            }
        });
    }

    /** Chooses the best candidate of the next school in the list, or of the one before. */
    public void stepSchool(int by) {
        bench.group().ifPresent(group -> {
            List<Optional<SchoolKind>> kinds =
                    group.candidates().stream().map(Candidate::kind).distinct().toList();
            int next = Math.floorMod(kinds.indexOf(group.chosen().kind()) + by, kinds.size());
            group.candidates().stream()
                    .filter(c -> c.kind().equals(kinds.get(next)))
                    .findFirst()
                    .ifPresent(this::choose);
        });
    }

    /** Divides the runs of the scope as a candidate does. */
    public void choose(Candidate candidate) {
        Map<RunId, School> schools = new TreeMap<>(candidate.schools());
        schools.keySet().removeIf(id -> !bench.selection().inScope(id));
        divide(schools);
    }

    /** Divides runs by given schools; others stay as they are. */
    public void divide(Map<RunId, School> schools) {
        boolean even = schools.values().stream().allMatch(Even.class::isInstance);
        String said = new DivisionWords(bench.words()).schools(new TreeMap<>(schools));
        bench.edit((even ? "repeats " : "division ") + said, job -> job.choosing(schools));
    }

    /** More or fewer repeats on the chosen run and the one opposite; the neighbours follow. */
    public void stepRepeats(int step) {
        Planner.step(bench.plan(), bench.selection().whereProperty().get(), step)
                .ifPresent(candidate -> {
                    divide(candidate.schools());
                });
    }
}
