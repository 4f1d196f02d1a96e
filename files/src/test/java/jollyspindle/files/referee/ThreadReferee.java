package jollyspindle.files.referee;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Judges the thread: each way of the needle leads along seams or stitching from where it is; and of starts there are no more than need be. */
final class ThreadReferee {

    private static final double ON = Referee.ON;
    private static final double CHALK = 1.0 / 64 + ON;

    private final ToldPlan plan;
    private final List<Referee.Complaint> complaints = new ArrayList<>();

    private ThreadReferee(ToldPlan plan) {
        this.plan = plan;
    }

    /** All that is wrong with the thread in one piece. */
    static List<Referee.Complaint> judge(ToldPlan plan) {
        ThreadReferee referee = new ThreadReferee(plan);
        referee.thread();
        return referee.complaints;
    }

    private void thread() {
        if (plan.ditches().isEmpty() && plan.travels().isEmpty()) {
            return;
        }
        int starts = starts();
        int least = new LeastStarts(plan).count();
        if (starts > least) {
            complaints.add(new Referee.Complaint(Referee.Fault.STARTS, "", starts + " starts, " + least + " would do"));
        }
    }

    /** How often the thread is begun as it is told; ways over open cloth are complained of. */
    private int starts() {
        Map<String, ToldPlan.Travel> travels = new HashMap<>();
        plan.travels().forEach(t -> travels.put(t.to(), t));
        List<Path> done = new ArrayList<>();
        int starts = 0;
        for (int i = 0; i < plan.steps().size(); i++) {
            ToldPlan.Step step = plan.steps().get(i);
            Optional<ToldPlan.Step> before =
                    i == 0 ? Optional.empty() : Optional.of(plan.steps().get(i - 1));
            boolean first = before.filter(b -> b.lineId().equals(step.lineId())).isEmpty();
            Optional<ToldPlan.Travel> travel =
                    Optional.ofNullable(travels.get(step.lineId())).filter(t -> first);
            travel.ifPresent(t -> travelled(step, before, t.path(), done));
            if (travel.isEmpty() && !plan.isNeedleAt(step, before)) {
                starts++;
            }
            done.add(step.path());
        }
        return starts;
    }

    private void travelled(ToldPlan.Step step, Optional<ToldPlan.Step> before, Path way, List<Path> done) {
        boolean from = before.filter(b -> plan.needleAfter(b).distance(way.start()) < ON)
                .isPresent();
        if (!from || way.end().distance(step.path().start()) > ON) {
            complain(
                    step,
                    "the needle travels from " + way.start() + " to " + way.end() + ", not from "
                            + before.map(plan::needleAfter) + " to "
                            + step.path().start());
        }
        for (Curve curve : way.curves()) {
            for (double part : new double[] {0, 0.25, 0.5, 0.75, 1}) {
                Point at = curve.at(part);
                // A line that ends a chalk line's width beside a seam ends in it, and the needle goes over.
                double beside = curve.length() < CHALK ? CHALK : ON;
                if (plan.ditches().stream().noneMatch(d -> d.distance(at) < beside)
                        && done.stream().noneMatch(p -> p.passes(at, ON))) {
                    complain(step, "the needle travels over open cloth at " + at);
                    return;
                }
            }
        }
    }

    private void complain(ToldPlan.Step step, String what) {
        complaints.add(new Referee.Complaint(Referee.Fault.TRAVEL, step.id(), what));
    }

    // --- from piece to piece ---------------------------------------------------------------------------------------

    /**
     * What is wrong with how the needle gets from piece to piece of an area: it goes where it may, and pieces with one letter that
     * touch, at a corner say, are one thread if each of them is one that gets to its seams.
     *
     * @param pieces of the area, in the order in which they are told
     * @param area all of them as one plan, in the order of stitching, with the ways between them alone
     * @param letters of the pieces
     */
    static List<Referee.Complaint> between(List<ToldPlan> pieces, ToldPlan area, List<String> letters) {
        ThreadReferee referee = new ThreadReferee(area);
        List<Path> done = new ArrayList<>();
        Map<String, ToldPlan.Travel> travels = new HashMap<>();
        area.travels().forEach(t -> travels.put(t.to(), t));
        int joined = 0;
        for (int i = 0; i < area.steps().size(); i++) {
            ToldPlan.Step step = area.steps().get(i);
            Optional<ToldPlan.Step> before =
                    i == 0 ? Optional.empty() : Optional.of(area.steps().get(i - 1));
            boolean first = before.filter(b -> b.lineId().equals(step.lineId())).isEmpty();
            if (first && travels.containsKey(step.lineId())) {
                referee.travelled(step, before, travels.get(step.lineId()).path(), done);
                joined++;
            } else if (first
                    && before.isPresent()
                    && area.isNeedleAt(step, before)
                    && isNewPiece(pieces, before.get(), step)) {
                joined++;
            }
            done.add(step.path());
        }
        int should = joinable(pieces, letters);
        if (joined < should) {
            referee.complaints.add(new Referee.Complaint(
                    Referee.Fault.STARTS, "", joined + " pieces are joined, " + should + " could be"));
        }
        return referee.complaints;
    }

    private static boolean isNewPiece(List<ToldPlan> pieces, ToldPlan.Step one, ToldPlan.Step other) {
        return pieces.stream().anyMatch(p -> has(p, one) != has(p, other));
    }

    private static boolean has(ToldPlan piece, ToldPlan.Step step) {
        return piece.steps().stream().anyMatch(s -> s.id().equals(step.id()));
    }

    /** How many pieces hang together with others of their letter, less one for each such set. */
    private static int joinable(List<ToldPlan> pieces, List<String> letters) {
        int[] set = new int[pieces.size()];
        for (int i = 0; i < set.length; i++) {
            set[i] = i;
        }
        int joined = 0;
        for (int i = 0; i < set.length; i++) {
            for (int j = 0; j < i; j++) {
                if (letters.get(i).equals(letters.get(j))
                        && set[i] != set[j]
                        && isOneThread(pieces.get(i))
                        && isOneThread(pieces.get(j))
                        && touch(pieces.get(i), pieces.get(j))) {
                    int from = set[i];
                    int to = set[j];
                    for (int k = 0; k < set.length; k++) {
                        set[k] = set[k] == from ? to : set[k];
                    }
                    joined++;
                }
            }
        }
        return joined;
    }

    /** Whether a piece is stitched with one thread, which can come from its seams. */
    private static boolean isOneThread(ToldPlan piece) {
        return !piece.steps().isEmpty()
                && new ThreadReferee(piece).starts() == 1
                && piece.steps().stream().filter(s -> isFree(s, piece)).anyMatch(s -> piece.ditches().stream()
                        .anyMatch(d -> d.distance(s.path().start()) < ON
                                || d.distance(s.path().end()) < ON));
    }

    /** Whether a line may be the first in its piece. */
    private static boolean isFree(ToldPlan.Step step, ToldPlan piece) {
        return !step.start().shownBy().equals(Optional.of("stitching"))
                && !step.end().shownBy().equals(Optional.of("stitching"))
                && piece.steps().stream()
                        .noneMatch(s -> s.lineId().equals(step.on().on()));
    }

    private static boolean touch(ToldPlan one, ToldPlan other) {
        return one.ditches().stream().anyMatch(d -> other.ditches().stream()
                .anyMatch(e -> d.distance(e.start()) < ON || e.distance(d.start()) < ON));
    }
}
