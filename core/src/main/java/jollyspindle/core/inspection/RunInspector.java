package jollyspindle.core.inspection;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.Cell;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.RunSet;
import jollyspindle.core.division.Stepping;
import jollyspindle.core.division.school.School;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/** Looks at what a chosen candidate does on each run. */
public final class RunInspector {

    private final RunSet set;
    private final Candidate chosen;
    private final List<Candidate> candidates;
    private final double reserve;
    private final boolean outermost;
    private final CandidateFinder finder;
    private final List<Finding> findings = new ArrayList<>();

    private RunInspector(
            CandidateFinder finder, Candidate chosen, List<Candidate> candidates, double reserve, boolean outermost) {
        this.finder = finder;
        this.set = finder.set();
        this.chosen = chosen;
        this.candidates = candidates;
        this.reserve = reserve;
        this.outermost = outermost;
    }

    /**
     * Inspects a candidate.
     *
     * @param finder of the runs it divides
     * @param chosen candidate
     * @param candidates all of them, best first
     * @param reserve the strip along the outer edge where nothing may be stitched, in inches
     * @param outermost whether the quilt's edge lies beyond these runs
     */
    public static List<Finding> inspect(
            CandidateFinder finder, Candidate chosen, List<Candidate> candidates, double reserve, boolean outermost) {
        RunInspector inspector = new RunInspector(finder, chosen, candidates, reserve, outermost);
        inspector.inspect();
        return inspector.findings;
    }

    private void inspect() {
        Optional<Remedy> clearing = chosen.clears()
                ? Optional.empty()
                : candidates.stream()
                        .filter(Candidate::clears)
                        .findFirst()
                        .or(() -> finder.clearing(chosen))
                        .<Remedy>map(c -> new Remedy.Divide(c.schools()))
                        .or(() -> Optional.of(new Remedy.SeeShelf()));
        for (DividedRun run : chosen.runs()) {
            fits(run, clearing);
            spaces(run);
            evenness(run);
        }
        sides();
        corners();
        stepping();
        wish();
    }

    private void corners() {
        for (CornerAsk ask : set.corners()) {
            chosen.runs().stream()
                    .filter(run -> !ask.isMetBy(run))
                    .findFirst()
                    .ifPresent(run -> findings.add(new Finding.CornersGiveWay(
                            run.id(), ask, CornerAsk.figures(run), without(c -> c.runs().stream()
                                    .allMatch(ask::isMetBy)))));
        }
    }

    private void fits(DividedRun run, Optional<Remedy> clearing) {
        if (run.tooWide() > 0) {
            findings.add(new Finding.RepeatTooWide(run.id(), run.tooWide(), set.widest(), clearing));
        }
        if (run.overRoom() > Tolerances.ROUNDING) {
            findings.add(new Finding.IntoReserve(run.id(), run.overRoom(), reserve, outermost, clearing));
        }
        run.fit().ifPresent(fit -> set.template().ifPresent(template -> plate(run.id(), fit, template)));
    }

    private void plate(RunId id, ArcFit fit, ArcTemplate template) {
        // With an even number of parts the template never stands upright, and nothing is laid on the seam.
        if (fit.parts() % 2 == 1 && fit.register() instanceof SeamRegister.OffThePlate) {
            findings.add(new Finding.SeamOffPlate(id));
        }
        if (fit.parts() > 1) {
            findings.add(
                    new Finding.SeveralPlacements(id, fit.parts(), fit.segment().sweep(), template.usableSweep()));
        }
    }

    private void spaces(DividedRun run) {
        double width = run.division().leftover();
        if (width <= set.judging().leftoverAlone()) {
            return;
        }
        Figure figure = run.middle().or(run::end).orElseThrow();
        if (figure instanceof Figure.Empty empty && empty.why() != Figure.Why.TOO_WIDE) {
            findings.add(new Finding.SpaceEmpty(run.id(), width, empty.why(), without(c -> c.runs().stream()
                    .allMatch(r -> r.division().leftover() <= set.judging().leftoverAlone()))));
        }
    }

    private void evenness(DividedRun run) {
        Judging judging = set.judging();
        double uneven = run.division().unevenness();
        List<Cell> cells = run.division().cells();
        int last = cells.size() - 1;
        boolean atRight = last > 0
                && Math.abs(step(cells.get(last), cells.get(last - 1))) > Math.abs(step(cells.get(0), cells.get(1)));
        Cell odd = cells.get(atRight ? last : 0);
        Cell beside = cells.get(atRight ? last - 1 : Math.min(1, last));
        // Where the corner's repeat is unlike the one beside it, that is the trouble; else the run is uneven.
        boolean atCorner = Math.abs(step(odd, beside)) > judging.stretchUnseen();
        if (atCorner && !figureAtEndIsFree(run)) {
            findings.add(new Finding.OddAtCorner(run.id(), odd.width(), beside.width(), without(c -> c.runs().stream()
                    .allMatch(r -> r.end().isEmpty() && r.division().unevenness() <= judging.stretchUnseen()))));
        } else if (uneven > judging.stretchUnseen()) {
            findings.add(new Finding.StretchSeen(
                    run.id(), uneven, judging.stretchUnseen(), true, without(c -> c.runs().stream()
                            .allMatch(r -> r.division().unevenness() <= judging.stretchUnseen()))));
        }
    }

    /** How much longer a corner's cell is than the one beside it; halves and odd spaces in the middle aren't compared. */
    private static double step(Cell corner, Cell beside) {
        boolean repeats = corner.kind() != Cell.Kind.HALF && beside.kind() == Cell.Kind.REPEAT;
        return repeats ? corner.width() - beside.width() : 0;
    }

    /** Whether the corner's motif, or nothing, stands on the odd piece at the end. */
    private static boolean figureAtEndIsFree(DividedRun run) {
        return run.end().filter(Figure.Empty.class::isInstance).isPresent();
    }

    private void sides() {
        for (Side side : new Side[] {Side.TOP, Side.RIGHT}) {
            Optional<DividedRun> here = on(side);
            Optional<DividedRun> opposite = on(side.opposite());
            if (here.isPresent() && opposite.isPresent()) {
                int a = here.get().division().count();
                int b = opposite.get().division().count();
                if (a != b) {
                    DividedRun more = a > b ? here.get() : opposite.get();
                    DividedRun fewer = a > b ? opposite.get() : here.get();
                    School school = fewer.school();
                    findings.add(new Finding.CountsDiffer(
                            more.id(),
                            Math.max(a, b),
                            Math.min(a, b),
                            school.divide(more.run().length()).map(d -> new Remedy.Divide(Map.of(more.id(), school)))));
                }
            }
        }
        double mismatch = chosen.mismatch();
        if (mismatch > set.judging().mismatchUnseen()) {
            RunId worst = chosen.runs().stream()
                    .max(Comparator.comparingDouble(r -> r.division().repeat()))
                    .map(DividedRun::id)
                    .orElseThrow();
            findings.add(new Finding.StretchSeen(
                    worst,
                    mismatch,
                    set.judging().mismatchUnseen(),
                    false,
                    without(c -> c.mismatch() <= set.judging().mismatchUnseen())));
        }
    }

    private Optional<DividedRun> on(Side side) {
        return chosen.runs().stream()
                .filter(r -> r.id().side().filter(side::equals).isPresent())
                .findFirst();
    }

    /** The best candidate that hasn't the trouble. */
    private Optional<Remedy> without(Predicate<Candidate> hasnt) {
        return candidates.stream()
                .filter(hasnt)
                .filter(Candidate::spans)
                .findFirst()
                .map(c -> new Remedy.Divide(c.schools()));
    }

    private void stepping() {
        chosen.runs().stream()
                .max(Comparator.comparingDouble(r -> Math.abs(stepped(r))))
                .filter(r -> Math.abs(stepped(r)) >= set.judging().stretchUnseen())
                .ifPresent(r -> findings.add(new Finding.SteppingEndsOff(
                        r.id(), r.division().repeat(), r.division().count(), stepped(r))));
    }

    private double stepped(DividedRun run) {
        return Stepping.error(run.division().repeat(), run.division().count(), set.tape());
    }

    private void wish() {
        finder.rangeWithSolution()
                .ifPresent(range -> findings.add(new Finding.NoSolution(
                        set.runs().get(0).id(),
                        set.wish(),
                        range.length == 0 ? 0 : range[0],
                        range.length == 0 ? 0 : range[1])));
    }
}
