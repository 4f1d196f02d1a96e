package jollyspindle.core.division;

import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.QuiltRules;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Why a way to come out even is as good as it is: what is seen of it on the cloth, on the tape and in the work. */
record Reasoning(RunSet set) {

    /** What there is to say of runs divided together, always in the same order. */
    List<Reason> of(Collection<DividedRun> runs) {
        List<Reason> reasons = new ArrayList<>();
        Judging j = set.judging();
        List<DividedRun> all = List.copyOf(runs);
        if (all.stream().anyMatch(r -> r.tooWide() > 0)) {
            reasons.add(new Reason.TooWide(set.widest()));
        }
        double over = all.stream().mapToDouble(DividedRun::overRoom).max().orElse(0);
        if (over > Tolerances.ROUNDING) {
            reasons.add(new Reason.IntoReserve(over));
        }
        reasons.add(new Reason.Centres(
                all.get(0).division().onCentre(),
                all.stream().filter(r -> r.run().axis() == 1).findFirst().map(r -> r.division()
                        .onCentre())));
        set.corners()
                .forEach(ask ->
                        reasons.add(new Reason.CornersAsk(ask, all.stream().allMatch(ask::isMetBy))));
        spaces(all, reasons);
        double longest =
                all.stream().mapToDouble(r -> r.division().repeat()).max().orElseThrow();
        double shortest =
                all.stream().mapToDouble(r -> r.division().repeat()).min().orElseThrow();
        if (all.size() > 1) {
            reasons.add(new Reason.SidesDiffer(longest - shortest, j.mismatchUnseen()));
        }
        double uneven =
                all.stream().mapToDouble(r -> r.division().unevenness()).max().orElse(0);
        if (uneven > Tolerances.UNSAID) {
            reasons.add(new Reason.Uneven(uneven, j.stretchUnseen()));
        }
        double mean =
                all.stream().mapToDouble(r -> r.division().repeat()).average().orElseThrow();
        if (Math.abs(mean - set.wish().repeat()) > Tolerances.UNSAID) {
            reasons.add(new Reason.OffWanted(mean - set.wish().repeat()));
        }
        set.ownRepeat().ifPresent(own -> {
            double most = all.stream()
                    .flatMap(r -> r.division().cells().stream())
                    .filter(c -> c.kind() == Cell.Kind.REPEAT)
                    .mapToDouble(c -> Math.abs(c.width() - own))
                    .max()
                    .orElse(0);
            reasons.add(new Reason.OffOwn(most, own));
        });
        int of = all.stream().mapToInt(DividedRun::marksBetween).sum();
        if (of > 0) {
            reasons.add(new Reason.Readings(
                    all.stream().mapToInt(r -> r.onTick(set.tape())).sum(), of));
        }
        int parts = all.stream().mapToInt(DividedRun::parts).max().orElse(1);
        if (parts > 1) {
            reasons.add(new Reason.SeveralPlacements(parts));
        }
        return List.copyOf(reasons);
    }

    private void spaces(List<DividedRun> all, List<Reason> reasons) {
        all.stream()
                .filter(r -> r.middle().isPresent())
                .max(Comparator.comparingDouble(r -> r.division().leftover()))
                .ifPresent(r -> reasons.add(new Reason.Middle(
                        r.division().leftover(),
                        r.middle().orElseThrow(),
                        r.fit().map(f -> f.segment().height()).orElse(0.0))));
        all.stream()
                .filter(r -> r.end().isPresent())
                .max(Comparator.comparingDouble(r -> r.division().leftover()))
                .ifPresent(r -> reasons.add(new Reason.Ends(
                        r.division().leftover(),
                        r.school().atEnds().orElseThrow(),
                        r.division().leftover() <= set.judging().leftoverAlone(),
                        corner(r))));
        if (all.stream().anyMatch(r -> r.school() instanceof HalfSteps)) {
            reasons.add(new Reason.HalvesAtCorners());
        } else if (all.stream().allMatch(r -> r.end().isEmpty())) {
            double feet = all.stream().mapToDouble(r -> r.run().left()).max().orElse(0);
            double half = all.stream()
                            .mapToDouble(r -> r.division().repeat())
                            .average()
                            .orElse(0)
                    / 2;
            reasons.add(
                    feet > 0
                            ? new Reason.CornerArcs(feet, half, set.judging().mismatchUnseen())
                            : new Reason.ValleysAtCorners());
        }
        all.stream()
                .filter(r -> r.school() instanceof ByIncrements)
                .max(Comparator.comparingDouble(r -> Math.abs(sliver(r))))
                .filter(r -> Math.abs(sliver(r)) > Tolerances.UNSAID)
                .ifPresent(r ->
                        reasons.add(new Reason.Sliver(sliver(r), r.division().onCentre() == OnCentre.VALLEY)));
        all.stream()
                .filter(r -> r.school() instanceof ByPiecing)
                .map(r -> (ByPiecing) r.school())
                .findFirst()
                .ifPresent(s -> reasons.add(new Reason.SeamsMark(s.units(), s.parts())));
    }

    private static double sliver(DividedRun run) {
        return ((ByIncrements) run.school()).sliver(run.run().length());
    }

    /** What could stand astride the mitre; strips and arcs off the seam have no such place. */
    private Optional<CornerArc> corner(DividedRun run) {
        return run.id().side().isPresent()
                        && run.run().clearance() == 0
                        && run.run().room() < QuiltRules.LONGEST
                ? set.template()
                        .flatMap(template -> CornerArc.of(
                                run.division().leftover(),
                                template.stitchedRadius(set.machine()),
                                run.run().room()))
                : Optional.empty();
    }
}
