package jollyspindle.core.plan;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.RunId;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What a change of measurements moved on the cloth.
 *
 * @param runs that changed, in order
 */
public record Moves(List<Move> runs) {

    /**
     * What changed on one run.
     *
     * @param run which
     * @param kept whether it has the same marks as before, only elsewhere
     * @param countBefore how many repeats it had
     * @param count how many it has
     * @param repeatBefore in inches
     * @param repeat in inches
     * @param rise now less before, in inches
     * @param farthest how far the mark moved that moved most, from the run's left end, in inches; only among marks that were
     *     there before
     */
    public record Move(
            RunId run,
            boolean kept,
            int countBefore,
            int count,
            double repeatBefore,
            double repeat,
            double rise,
            double farthest) {}

    /** Compares two plans of one quilt. */
    public static Moves between(WorkPlan before, WorkPlan after) {
        List<Move> moves = new ArrayList<>();
        for (RunPlan now : after.runs()) {
            Optional<RunPlan> was = before.run(now.id());
            was.map(w -> move(w, now))
                    .filter(m -> !m.kept()
                            || m.farthest() > Tolerances.SAME_PLACE
                            || Math.abs(m.rise()) > Tolerances.SAME_PLACE)
                    .ifPresent(moves::add);
        }
        return new Moves(List.copyOf(moves));
    }

    private static Move move(RunPlan was, RunPlan now) {
        Map<MarkId, Mark> before =
                was.laidOut().marks().stream().collect(Collectors.toMap(Mark::id, Function.identity()));
        List<Mark> marks = now.laidOut().marks();
        double farthest = marks.stream()
                .filter(m -> before.containsKey(m.id()))
                .mapToDouble(m -> Math.abs(m.along() - before.get(m.id()).along()))
                .max()
                .orElse(0);
        return new Move(
                now.id(),
                marks.size() == before.size() && marks.stream().allMatch(m -> before.containsKey(m.id())),
                was.division().count(),
                now.division().count(),
                was.division().repeat(),
                now.division().repeat(),
                rise(now) - rise(was),
                farthest);
    }

    private static double rise(RunPlan run) {
        return run.fit().map(fit -> fit.segment().height()).orElse(0.0);
    }

    public boolean isNothing() {
        return runs.isEmpty();
    }
}
