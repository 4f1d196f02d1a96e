package jollyspindle.desktop.model;

import jollyspindle.core.division.RunSet;
import jollyspindle.core.division.Wish;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifType;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.ParamWords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;

/**
 * What can be dragged on a run: the pitch, the rise that comes with it, the numbers of its first motif as its kind has them, and
 * what the corner at its left end has to drag.
 */
final class RunKnobs {

    private final WorkPlan plan;
    private final RunPlan run;
    private final RunFrame frame;
    private final RunLayout layout;
    private final Layer main;
    private final boolean hanging;
    private final List<Knob> knobs = new ArrayList<>();

    private RunKnobs(WorkPlan plan, RunPlan run) {
        this.plan = plan;
        this.run = run;
        this.frame = run.frame();
        this.layout = plan.job().layout(run.id().group());
        this.main = layout.design().layers(run.id()).get(0);
        this.hanging = main.edge() == Layer.Edge.OUTSIDE;
    }

    /** What can be dragged on a run; nothing of a motif that isn't laid out. */
    static List<Knob> of(WorkPlan plan, RunPlan run) {
        RunKnobs of = new RunKnobs(plan, run);
        of.pitch();
        if (of.main.motif() instanceof Motif.Arcs || of.main.motif() instanceof Motif.FacingArcs) {
            of.rise();
        }
        of.motif();
        of.corner();
        return List.copyOf(of.knobs);
    }

    private void pitch() {
        if (run.division().divided().size() >= 2) {
            Point place = frame.place(run.division().valley(1), -frame.depth() / 8);
            along("pitch", "repeat of about", place, run.division().valley(0), this::repeat);
        }
    }

    private Optional<RunLayout> repeat(double inches) {
        return inches >= Wish.SHORTEST_REPEAT && inches <= Wish.LONGEST_REPEAT
                ? Optional.of(layout.with(layout.wish().withRepeat(inches)))
                : Optional.empty();
    }

    /** The rise of arcs follows from the repeat: the crown is dragged to where the template's own arc of that rise has it. */
    private void rise() {
        Optional<RunSet> set = plan.group(run.id().group()).map(GroupPlan::set);
        // A few arcs on, so that not all knobs stand on the first; the third is as large as the first where sizes take
        // turns.
        Optional<StitchLine> arc = arc(3).or(() -> arc(1));
        if (set.flatMap(RunSet::template).isEmpty() || arc.isEmpty()) {
            return;
        }
        double foot = hanging ? frame.depth() - frame.reserve() : frame.clearance();
        Point crown = arc.get().path().curves().get(0).at(0.5);
        add("rise", "rise of about", crown, frame.outward(), foot, hanging ? -1 : 1, rise -> {
            OptionalDouble repeat = set.get().repeatRising(rise);
            return repeat.isPresent() ? repeat(repeat.getAsDouble()) : Optional.empty();
        });
    }

    private Optional<StitchLine> arc(int number) {
        return run.laidOut().lines().stream()
                .filter(l -> l.kind() == Stitched.ARC && l.layer() == 1 && l.number() == number && l.sub() == 0)
                .findFirst();
    }

    private void motif() {
        MotifType<?> type = MotifTypes.of(main.motif());
        ParamWords words = new ParamWords("run." + type.code());
        List<StitchLine> lines =
                run.laidOut().lines().stream().filter(l -> l.layer() == 1).toList();
        for (ParamKnob<? extends Motif> knob : type.knobs(main.motif(), frame, hanging, lines, template())) {
            add(
                    knob.param().code(),
                    words.dragged(knob.param()),
                    knob.place(),
                    knob.origin(),
                    knob.way(),
                    knob.factor(),
                    inches -> with(knob, inches));
        }
    }

    /** The kind of template that the first motif is stitched with. */
    private Optional<Kind> template() {
        return run.laidOut().placements().stream()
                .filter(p -> p.of().layer() == 1)
                .findFirst()
                .flatMap(p -> plan.job().template(p.tool().templateId()))
                .map(Template::kind);
    }

    /** With another number of the first motif, on this run or on all that are alike. */
    private Optional<RunLayout> with(ParamKnob<? extends Motif> knob, double inches) {
        try {
            List<Layer> layers = new ArrayList<>(layout.design().layers(run.id()));
            layers.set(0, main.with(knob.changed().apply(inches)));
            Design design = layout.design();
            boolean own = run.id().side().filter(design.sides()::containsKey).isPresent();
            return Optional.of(layout.with(
                    own
                            ? design.withRun(run.id(), layers)
                            : new Design(layers, design.sides(), design.corner(), design.corners())));
        } catch (IllegalArgumentException e) {
            // Too small or too large to be stitched: it stays as it was.
            return Optional.empty();
        }
    }

    /** Where the arc astride the mitre stands on this run. */
    private void corner() {
        Optional<Side> side = run.id().side();
        if (side.isEmpty() || layout.design().corner(side.get()).kind() != CornerDesign.Kind.MITRE_ARC) {
            return;
        }
        plan.corner(run.id())
                .flatMap(c -> c.lines().stream().findFirst())
                .ifPresent(arc -> along(
                        "feet",
                        "corner arc's feet from the corner",
                        arc.path().end(),
                        0,
                        feet -> withFeet(side.get(), feet)));
    }

    private Optional<RunLayout> withFeet(Side side, double feet) {
        if (feet < CornerDesign.NEAREST_FEET || feet > CornerDesign.FARTHEST_FEET) {
            return Optional.empty();
        }
        Design now = layout.design();
        CornerDesign corner = now.corner(side).withFeet(OptionalDouble.of(feet));
        // All corners that aren't their own stay alike.
        return Optional.of(layout.with(
                now.corners().containsKey(side)
                        ? now.withCorner(side, corner)
                        : new Design(now.layers(), now.sides(), corner, now.corners())));
    }

    private void along(String id, String name, Point place, double from, DoubleFunction<Optional<RunLayout>> changed) {
        add(id, name, place, frame.along(), from, 1, changed);
    }

    private void add(
            String id,
            String name,
            Point place,
            Point way,
            double from,
            double factor,
            DoubleFunction<Optional<RunLayout>> changed) {
        add(id, name, place, frame.origin().plus(way.times(from)), way, factor, changed);
    }

    private void add(
            String id,
            String name,
            Point place,
            Point origin,
            Point way,
            double factor,
            DoubleFunction<Optional<RunLayout>> changed) {
        knobs.add(new Knob(id, name, place, origin, way, factor, inches -> changed.apply(inches)
                .map(next -> job -> job.withLayout(run.id().group(), next))));
    }
}
