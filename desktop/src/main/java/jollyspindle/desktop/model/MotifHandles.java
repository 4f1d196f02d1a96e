package jollyspindle.desktop.model;

import jollyspindle.core.division.RunSet;
import jollyspindle.core.division.Wish;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;

/**
 * What can be dragged on a run: the pitch, and what its first motif and the corner at its left end have to drag. Heights are
 * counted from the edge that the motif stands on.
 */
final class MotifHandles {

    private final WorkPlan plan;
    private final RunPlan run;
    private final RunFrame frame;
    private final RunLayout layout;
    private final Layer main;
    private final boolean hanging;
    private final List<MotifHandle> handles = new ArrayList<>();

    private MotifHandles(WorkPlan plan, RunPlan run) {
        this.plan = plan;
        this.run = run;
        this.frame = run.frame();
        this.layout = plan.job().layout(run.id().group());
        this.main = layout.design().layers(run.id()).get(0);
        this.hanging = main.edge() == Layer.Edge.OUTSIDE;
    }

    /** What can be dragged on a run; nothing of a motif that isn't laid out. */
    static List<MotifHandle> of(WorkPlan plan, RunPlan run) {
        MotifHandles of = new MotifHandles(plan, run);
        of.pitch();
        of.motif();
        of.corner();
        return List.copyOf(of.handles);
    }

    private void pitch() {
        if (run.division().divided().size() < 2) {
            return;
        }
        handles.add(new MotifHandle(
                "pitch",
                "repeat of about",
                frame.place(run.division().valley(1), -frame.depth() / 8),
                true,
                run.division().valley(0),
                1,
                this::repeat));
    }

    private Optional<RunLayout> repeat(double inches) {
        return inches >= Wish.SHORTEST_REPEAT && inches <= Wish.LONGEST_REPEAT
                ? Optional.of(layout.with(layout.wish().withRepeat(inches)))
                : Optional.empty();
    }

    private void motif() {
        if (main.motif() instanceof Motif.Arcs a) {
            rise();
            if (a.lines() > 1) {
                step(a);
            }
        } else if (main.motif() instanceof Motif.FacingArcs f) {
            rise();
            f.inset().ifPresent(inset -> inset(f, inset));
        } else if (main.motif() instanceof Motif.Sails s && s.echoes() > 0) {
            echoes(s);
        } else if (main.motif() instanceof Motif.Chevrons c) {
            height(c);
        } else if (main.motif() instanceof Motif.Crosshatch h && !h.curved()) {
            hatch(h);
        }
    }

    /** The rise of arcs follows from the repeat: the crown is dragged to where the template's own arc of that rise has it. */
    private void rise() {
        Optional<RunSet> set = plan.group(run.id().group()).map(GroupPlan::set);
        // A few arcs on, so that not all knobs stand on the first; the third is as large as the first where sizes take
        // turns.
        Optional<StitchLine> arc = line(Stitched.ARC, 3, 0).or(() -> line(Stitched.ARC, 1, 0));
        if (set.flatMap(RunSet::template).isPresent() && arc.isPresent()) {
            across("rise", "rise of about", middle(arc.get()), foot(), 1, rise -> {
                OptionalDouble repeat = set.get().repeatRising(rise);
                return repeat.isPresent() ? repeat(repeat.getAsDouble()) : Optional.empty();
            });
        }
    }

    private void step(Motif.Arcs a) {
        Stitched inner = a.inner() == Motif.Inner.LOWERED ? Stitched.NESTED_ARC : Stitched.ECHO;
        Optional<StitchLine> outer = line(Stitched.ARC, 0);
        Optional<StitchLine> second = line(inner, 1);
        if (outer.isPresent() && second.isPresent()) {
            across(
                    "step",
                    "each line lower by",
                    middle(second.get()),
                    across(middle(outer.get())),
                    -1,
                    with(d -> a.withStep(d)));
        }
    }

    private void inset(Motif.FacingArcs f, double inset) {
        line(Stitched.DIAMOND, 1)
                .ifPresent(side -> along(
                        "inset",
                        "diamond from the crowns",
                        side.path().start(),
                        along(side.path().start()) - sign() * inset,
                        sign(),
                        with(d -> f.withInset(OptionalDouble.of(d)))));
    }

    private void echoes(Motif.Sails s) {
        Optional<StitchLine> sail = line(Stitched.SAIL, 0);
        Optional<StitchLine> echo = line(Stitched.ECHO, 1);
        if (sail.isPresent() && echo.isPresent()) {
            // The first echo comes back from the far edge: its foot is its end.
            Point foot = echo.get().path().end();
            double from = along(sail.get().path().start());
            along(
                    "spacing",
                    "echoes apart",
                    foot,
                    from,
                    s.spacing() / (along(foot) - from),
                    with(d -> s.withSpacing(d)));
        }
    }

    private void height(Motif.Chevrons c) {
        boolean strip = run.laidOut().placements().stream()
                .filter(p -> p.of().layer() == 1)
                .findFirst()
                .flatMap(p -> plan.job().template(p.tool().templateId()))
                .filter(t -> t.kind() == Kind.CHEVRON_STRIP)
                .isPresent();
        Optional<StitchLine> first = line(Stitched.CHEVRON, 0);
        if (first.isEmpty()) {
            return;
        }
        Point tip = highest(first.get());
        if (!strip) {
            across("rise", "height", tip, foot(), 1, with(d -> c.withHeight(OptionalDouble.of(d))));
        }
        line(Stitched.ECHO, 1).map(this::highest).ifPresent(second -> {
            double lower = Math.abs(across(tip) - across(second));
            across("spacing", "lines apart", second, across(tip), -c.spacing() / lower, with(d -> c.withSpacing(d)));
        });
    }

    private void hatch(Motif.Crosshatch h) {
        List<StitchLine> leaning = run.laidOut().lines().stream()
                .filter(l -> l.kind() == Stitched.HATCH && l.layer() == 1 && l.sub() == 1)
                .filter(l -> Math.abs(up(low(l))) < Tolerances.SAME_PLACE)
                .limit(2)
                .toList();
        if (leaning.size() == 2) {
            double from = along(low(leaning.get(0)));
            Point second = low(leaning.get(1));
            along(
                    "spacing",
                    "lines apart",
                    second,
                    from,
                    h.spacing() / (along(second) - from),
                    with(d -> new Motif.Crosshatch(d, h.angle(), false)));
        }
    }

    /** Where the arc astride the mitre stands on this run. */
    private void corner() {
        Optional<Side> side = run.id().side();
        if (side.isEmpty()) {
            return;
        }
        CornerDesign corner = layout.design().corner(side.get());
        if (corner.kind() != CornerDesign.Kind.MITRE_ARC) {
            return;
        }
        plan.corner(run.id())
                .flatMap(c -> c.lines().stream().findFirst())
                .ifPresent(arc -> along(
                        "feet",
                        "corner arc's feet from the corner",
                        arc.path().end(),
                        0,
                        1,
                        feet -> feet >= CornerDesign.NEAREST_FEET && feet <= CornerDesign.FARTHEST_FEET
                                ? Optional.of(layout.with(
                                        layout.design().corners().containsKey(side.get())
                                                ? layout.design()
                                                        .withCorner(
                                                                side.get(), corner.withFeet(OptionalDouble.of(feet)))
                                                : withAll(corner.withFeet(OptionalDouble.of(feet)))))
                                : Optional.empty()));
    }

    /** All corners that aren't their own stay alike. */
    private Design withAll(CornerDesign corner) {
        Design now = layout.design();
        return new Design(now.layers(), now.sides(), corner, now.corners());
    }

    // --- places ------------------------------------------------------------------------------------------------

    private void across(
            String id,
            String name,
            Point place,
            double from,
            double factor,
            DoubleFunction<Optional<RunLayout>> changed) {
        handles.add(new MotifHandle(id, name, place, false, from, hanging ? -factor : factor, changed));
    }

    private void along(
            String id,
            String name,
            Point place,
            double from,
            double factor,
            DoubleFunction<Optional<RunLayout>> changed) {
        handles.add(new MotifHandle(id, name, place, true, from, factor, changed));
    }

    /** Where motifs stand, across the run. */
    private double foot() {
        return hanging ? frame.depth() - frame.reserve() : frame.clearance();
    }

    /** Hanging motifs run from the run's right end to its left one. */
    private int sign() {
        return hanging ? -1 : 1;
    }

    private double up(Point p) {
        return (across(p) - foot()) * sign();
    }

    private Point low(StitchLine line) {
        return up(line.path().start()) < up(line.path().end())
                ? line.path().start()
                : line.path().end();
    }

    private Point highest(StitchLine line) {
        return line.path().flattened(1e-3).stream()
                .max((a, b) -> Double.compare(up(a), up(b)))
                .orElseThrow();
    }

    private DoubleFunction<Optional<RunLayout>> with(DoubleFunction<Motif> motif) {
        return inches -> {
            try {
                List<Layer> layers = new ArrayList<>(layout.design().layers(run.id()));
                layers.set(0, main.with(motif.apply(inches)));
                Design design = layout.design();
                boolean own =
                        run.id().side().filter(design.sides()::containsKey).isPresent();
                return Optional.of(layout.with(
                        own
                                ? design.withRun(run.id(), layers)
                                : new Design(layers, design.sides(), design.corner(), design.corners())));
            } catch (IllegalArgumentException e) {
                // Too small or too large to be stitched: it stays as it was.
                return Optional.empty();
            }
        };
    }

    private Optional<StitchLine> line(Stitched kind, int sub) {
        return line(kind, 1, sub);
    }

    private Optional<StitchLine> line(Stitched kind, int number, int sub) {
        return run.laidOut().lines().stream()
                .filter(l -> l.kind() == kind && l.layer() == 1 && l.number() == number && l.sub() == sub)
                .findFirst();
    }

    private static Point middle(StitchLine line) {
        return line.path().curves().get(0).at(0.5);
    }

    private double along(Point p) {
        return p.minus(frame.origin()).dot(frame.along());
    }

    private double across(Point p) {
        return p.minus(frame.origin()).dot(frame.outward());
    }
}
