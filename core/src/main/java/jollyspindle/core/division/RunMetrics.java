package jollyspindle.core.division;

import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.measure.TapeScale;

/**
 * What of divided runs counts for {@link CandidateFinder}'s penalty, so that runs are looked at once however many ways they
 * are combined in. All lengths in inches.
 *
 * @param runs how many
 * @param repeats the sum of their meant repeats
 * @param longest of them
 * @param shortest of them
 * @param uneven how far the repeats of the worst run differ among themselves
 * @param over how far the highest crown passes its room, at least 0
 * @param parts the most placements an arc takes
 * @param odd what the worst odd space weighs
 * @param widest odd space; 0 if there is none
 * @param narrowest odd space; 0 if a run has none
 * @param off the sum of the runs' parts of marks off the tape's ticks
 * @param tooWide whether the template can't span something
 * @param halves whether half repeats want a corner to meet in
 * @param centre what stands on the centres; of the first run
 * @param unlikeCentres whether that differs from run to run
 * @param look of the odd space; of the first run
 * @param unlikeLooks whether that differs from run to run
 */
record RunMetrics(
        int runs,
        double repeats,
        double longest,
        double shortest,
        double uneven,
        double over,
        int parts,
        double odd,
        double widest,
        double narrowest,
        double off,
        boolean tooWide,
        boolean halves,
        OnCentre centre,
        boolean unlikeCentres,
        Object look,
        boolean unlikeLooks) {

    /**
     * Of one run.
     *
     * @param odd what its odd space weighs
     * @param look of its odd space
     */
    static RunMetrics of(DividedRun run, double odd, Object look, TapeScale tape) {
        double repeat = run.division().repeat();
        double leftover = run.division().leftover();
        int between = run.marksBetween();
        return new RunMetrics(
                1,
                repeat,
                repeat,
                repeat,
                run.division().unevenness(),
                Math.max(0, run.overRoom()),
                run.parts(),
                odd,
                leftover,
                leftover,
                between == 0 ? 0 : 1 - (double) run.onTick(tape) / between,
                run.tooWide() > 0,
                run.school() instanceof HalfSteps,
                run.division().onCentre(),
                false,
                look,
                false);
    }

    /** Of these runs and others. */
    RunMetrics with(RunMetrics other) {
        return new RunMetrics(
                runs + other.runs,
                repeats + other.repeats,
                Math.max(longest, other.longest),
                Math.min(shortest, other.shortest),
                Math.max(uneven, other.uneven),
                Math.max(over, other.over),
                Math.max(parts, other.parts),
                Math.max(odd, other.odd),
                Math.max(widest, other.widest),
                Math.min(narrowest, other.narrowest),
                off + other.off,
                tooWide || other.tooWide,
                halves || other.halves,
                centre,
                unlikeCentres || other.unlikeCentres || centre != other.centre,
                look,
                unlikeLooks || other.unlikeLooks || !look.equals(other.look));
    }

    /**
     * The penalty, see {@link CandidateFinder}.
     *
     * @param halvesAsked whether the corners ask for half repeats to meet in
     */
    double penalty(Judging j, double wanted, boolean halvesAsked, double unlikeSpaces, double cantSpan) {
        double mean = repeats / runs;
        int unlike = (unlikeCentres ? 1 : 0) + (unlikeLooks ? 1 : 0) + (halves && !halvesAsked ? 1 : 0);
        return j.offWanted() * Math.abs(mean - wanted)
                + j.mismatch() * (longest - shortest)
                + j.offWanted() * uneven
                + j.stretch() * Math.max(0, uneven - j.stretchUnseen())
                + j.intoReserve() * over
                + j.placement() * (parts - 1)
                + j.unlike() * unlike
                + j.readings() * off / runs
                + j.oddSpace() * (odd + unlikeSpaces * (widest - narrowest) / mean)
                + (tooWide ? cantSpan : 0);
    }
}
