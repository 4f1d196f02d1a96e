package jollyspindle.core.plan;

import jollyspindle.core.division.DividedRun;
import jollyspindle.core.effort.Effort;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.RunInspector;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.LaidOut;
import jollyspindle.core.motif.RingDesigner;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.EdgeCatalog;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/** How what is stitched on the borders and strips of one job is laid out. */
final class RunPlanning {

    private final QuiltJob job;
    private final Quilt quilt;
    private final QuiltShape shape;
    private final PlanMemory memory;
    private final EdgeCatalog tools;
    private final RunDividing dividing;
    private final List<Finding> findings;

    private final Map<GroupId, PlanMemory.RingLaid> rings = new TreeMap<>();
    private final List<RunPlan> runs = new ArrayList<>();
    private final List<RingDesigner.Corner> corners = new ArrayList<>();
    private final Set<List<Object>> toldBefore = new HashSet<>();

    /**
     * Lays out what has been divided.
     *
     * @param findings what is the matter with it is added to these
     */
    RunPlanning(QuiltJob job, QuiltShape shape, PlanMemory memory, RunDividing dividing, List<Finding> findings) {
        this.job = job;
        this.quilt = job.quilt();
        this.shape = shape;
        this.memory = memory;
        this.tools = memory.tools(job);
        this.dividing = dividing;
        this.findings = findings;
    }

    List<RunPlan> runs() {
        return List.copyOf(runs);
    }

    List<RingDesigner.Corner> corners() {
        return List.copyOf(corners);
    }

    /** All that was laid out, to be remembered. */
    Map<GroupId, PlanMemory.RingLaid> laidOut() {
        return rings;
    }

    void layOut(GroupPlan group) {
        Effort.step();
        RunLayout layout = job.layout(group.id());
        List<PlanMemory.RunAsked> whole = new ArrayList<>();
        for (DividedRun divided : group.chosen().runs()) {
            if (divided.stitched()) {
                RunFrame frame = shape.run(divided.id());
                double[] ends = dividing.taken(divided.id());
                whole.add(new PlanMemory.RunAsked(frame, divided.between(ends[0], ends[1]), endsOnSeams(frame)));
            }
        }
        PlanMemory.RingAsked asked = new PlanMemory.RingAsked(
                layout.design(),
                whole,
                quilt.unit(group.id()),
                Planner.ring(shape, group.id()),
                Planner.meeting(quilt, group.id()),
                layout.wish().repeat(),
                job.templates(),
                job.machine(),
                job.tape());
        PlanMemory.RingLaid laid = memory.ring(group.id(), asked).orElseGet(() -> laid(group.id(), asked));
        rings.put(group.id(), laid);
        runs.addAll(laid.runs());
        corners.addAll(laid.corners());
        laid.diagnosed().forEach(diagnosed -> tell(layout.design(), diagnosed));
        boolean outermost =
                !group.id().strip() && group.id().number() == quilt.borders().size();
        findings.addAll(RunInspector.inspect(
                dividing.finder(group.id()),
                group.chosen(),
                group.candidates(),
                outermost ? quilt.length(Dimension.RESERVE) : 0,
                outermost));
    }

    private PlanMemory.RingLaid laid(GroupId group, PlanMemory.RingAsked asked) {
        RingDesigner designer = new RingDesigner(asked.design(), tools, asked.tape());
        for (PlanMemory.RunAsked run : asked.runs()) {
            designer.begin(run.frame(), run.whole(), run.endsOnSeams(), asked.unit());
        }
        if (!group.strip()) {
            designer.layOutCorners(asked.ring(), asked.meeting(), asked.repeat());
        }
        asked.runs().forEach(run -> designer.layOut(run.frame(), asked.ring(), asked.meeting()));
        List<Segment> seams = shape.cornerSeams();
        List<RunPlan> plans = asked.runs().stream()
                .map(run -> {
                    LaidOut laidOut = designer.laidOut(run.frame().id());
                    List<Placement> there = Stream.concat(
                                    laidOut.placements().stream(),
                                    designer.corners().stream()
                                            .filter(corner ->
                                                    isAtEnd(corner, run.frame().id()))
                                            .flatMap(corner -> corner.placements().stream()))
                            .toList();
                    return new RunPlan(
                            run.frame(), run.whole(), laidOut, ChalkLine.of(run.frame(), seams, there, asked.tape()));
                })
                .toList();
        return new PlanMemory.RingLaid(asked, plans, designer.corners(), designer.diagnosed());
    }

    /** Runs follow each other clockwise, and a corner is at the left end of one. */
    private static boolean isAtEnd(RingDesigner.Corner corner, RunId run) {
        return corner.run().equals(run)
                || run.side().map(Side::next).equals(corner.run().side());
    }

    /** The number of a fan's arcs, once chosen, holds for every fan of the quilt (common practice, no source). */
    void fansAlike() {
        Map<GroupId, Integer> blades = new TreeMap<>();
        for (RunPlan run : runs) {
            run.laidOut().lines().stream()
                    .filter(l -> l.kind() == Stitched.BLADE)
                    .forEach(l -> blades.merge(run.id().group(), l.sub(), Math::max));
        }
        int fewest = blades.values().stream().mapToInt(n -> n).min().orElse(0);
        blades.forEach((group, count) -> {
            if (count > fewest) {
                findings.add(new Finding.FansDiffer(
                        quilt.runs(group).get(0),
                        count,
                        fewest,
                        Redesigns.withBlades(job.layout(group).design(), fewest)));
            }
        });
    }

    /** Makes a finding of what a motif tells; what is the same on all sides is told once. */
    private void tell(Design design, RingDesigner.Diagnosed diagnosed) {
        boolean first = toldBefore.add(List.of(
                diagnosed.run().group(),
                diagnosed.layer(),
                diagnosed.diagnostic().getClass()));
        if (!first) {
            return;
        }
        Optional<Design> better = Redesigns.without(design, diagnosed);
        findings.add(
                diagnosed.layer() == 0
                        ? new Finding.CornerTrouble(
                                diagnosed.run(),
                                design.corner(diagnosed.run().side().orElseThrow())
                                        .kind(),
                                diagnosed.diagnostic(),
                                better)
                        : new Finding.MotifTrouble(
                                diagnosed.run(),
                                diagnosed.layer(),
                                design.layers(diagnosed.run())
                                        .get(diagnosed.layer() - 1)
                                        .motif(),
                                diagnosed.diagnostic(),
                                better));
    }

    private boolean endsOnSeams(RunFrame frame) {
        boolean through = frame.id() instanceof RunId.BorderRun border
                && quilt.border(border.border()).corners().runsThrough(border.where());
        return !through && frame.clearance() == 0;
    }
}
