package jollyspindle.files.referee;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.files.planjson.PlanJson;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

public final class RefereeReport {
    public static void main(String[] args) {
        Map<Referee.Fault, Integer> all = new EnumMap<>(Referee.Fault.class);
        for (Preset preset : Preset.all()) {
            for (CornerDesign.Kind kind : CornerDesign.Kind.values()) {
                if (kind != CornerDesign.Kind.PLAIN && !preset.code().equals("arcs")) continue;
                QuiltJob job = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
                Layer was = job.layout(GroupId.border(1)).design().layers().get(0);
                QuiltJob now = job.editing(
                        GroupId.border(1),
                        l -> l.with(new Design(List.of(preset.layer(was)), Map.of(), CornerDesign.of(kind), Map.of())));
                WorkPlan plan = Planner.plan(now);
                List<Referee.Complaint> c = Referee.judge(ToldPlan.read(PlanJson.format(plan)), now.templates());
                Map<Referee.Fault, Integer> n = new EnumMap<>(Referee.Fault.class);
                c.forEach(x -> {
                    n.merge(x.fault(), 1, Integer::sum);
                    all.merge(x.fault(), 1, Integer::sum);
                });
                System.out.println(preset.code() + " " + kind + ": " + plan.placements() + " " + n);
                for (Referee.Fault f : Referee.Fault.values())
                    c.stream().filter(x -> x.fault() == f).limit(2).forEach(x -> System.out.println("    " + x));
            }
        }
        System.out.println(all);
    }
}
