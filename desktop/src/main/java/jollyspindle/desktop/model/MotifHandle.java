package jollyspindle.desktop.model;

import jollyspindle.core.division.Wish;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.RunFrame;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;

/**
 * A place on the table where a number of the chosen run's first motif can be taken and dragged.
 *
 * @param id of the number, such as {@code step}
 * @param name of it, in the quilter's words
 * @param place where it is now, in the quilt's frame
 * @param along whether it is dragged along the run; otherwise across
 * @param from where the number counts from, in inches along or across the run
 * @param factor what an inch dragged is worth, in inches of the number; below 0 if it grows the other way
 * @param changed the layout with another number, in inches
 */
public record MotifHandle(
        String id,
        String name,
        Point place,
        boolean along,
        double from,
        double factor,
        DoubleFunction<Optional<RunLayout>> changed) {

    /** What can be dragged on a run; nothing where its motif has nothing to drag or isn't laid out. */
    public static List<MotifHandle> of(WorkPlan plan, RunPlan run) {
        RunLayout layout = plan.job().layout(run.id().group());
        Design design = layout.design();
        List<MotifHandle> handles = new ArrayList<>();
        if (!design.layers(run.id()).equals(design.layers())) {
            return handles;
        }
        pitch(layout, run).ifPresent(handles::add);
        Layer main = design.main();
        if (main.edge() == Layer.Edge.OUTSIDE) {
            return handles;
        }
        motif(layout, run, main).ifPresent(handles::add);
        return handles;
    }

    /** The number for a place dragged to. */
    public double number(RunFrame frame, Point to) {
        Point from = to.minus(frame.origin());
        double at = along ? from.dot(frame.along()) : from.dot(frame.outward());
        return (at - this.from) * factor;
    }

    private static Optional<MotifHandle> pitch(RunLayout layout, RunPlan run) {
        if (run.division().divided().size() < 2) {
            return Optional.empty();
        }
        double first = run.division().valley(0);
        double second = run.division().valley(1);
        return Optional.of(new MotifHandle(
                "pitch",
                "repeat of about",
                run.frame().place(second, -run.frame().depth() / 8),
                true,
                first,
                1,
                inches -> inches >= Wish.SHORTEST_REPEAT && inches <= Wish.LONGEST_REPEAT
                        ? Optional.of(layout.with(layout.wish().withRepeat(inches)))
                        : Optional.empty()));
    }

    private static Optional<MotifHandle> motif(RunLayout layout, RunPlan run, Layer main) {
        RunFrame frame = run.frame();
        if (main.motif() instanceof Motif.Arcs a && a.lines() > 1) {
            return line(run, Stitched.ARC, 0).flatMap(outer -> line(run, inner(a), 1)
                    .map(second -> new MotifHandle(
                            "step",
                            "each line lower by",
                            middle(second),
                            false,
                            across(frame, middle(outer)),
                            -1,
                            with(
                                    layout,
                                    d -> new Motif.Arcs(
                                            a.inner(), a.lines(), d, List.of(), a.otherTemplate(), a.passes())))));
        }
        if (main.motif() instanceof Motif.FacingArcs f && f.inset().isPresent()) {
            return line(run, Stitched.DIAMOND, 1)
                    .map(side -> new MotifHandle(
                            "inset",
                            "diamond from the crowns",
                            side.path().start(),
                            true,
                            along(frame, side.path().start()) - f.inset().getAsDouble(),
                            1,
                            with(
                                    layout,
                                    d -> new Motif.FacingArcs(
                                            f.facing(),
                                            f.channel(),
                                            OptionalDouble.of(d),
                                            f.crownLines(),
                                            f.valleyLines(),
                                            f.otherTemplate(),
                                            f.passes()))));
        }
        if (main.motif() instanceof Motif.Sails s && s.echoes() > 0) {
            return line(run, Stitched.SAIL, 0)
                    .flatMap(sail -> line(run, Stitched.ECHO, 1).map(echo -> {
                        // The first echo comes back from the outer edge: its foot is its end.
                        Point foot = echo.path().end();
                        double from = along(frame, sail.path().start());
                        return new MotifHandle(
                                "spacing",
                                "echoes apart",
                                foot,
                                true,
                                from,
                                s.spacing() / (along(frame, foot) - from),
                                with(layout, d -> new Motif.Sails(s.echoes(), d)));
                    }));
        }
        if (main.motif() instanceof Motif.Chevrons c) {
            return line(run, Stitched.CHEVRON, 0)
                    .map(first -> new MotifHandle(
                            "rise",
                            "height",
                            first.path().curves().get(0).end(),
                            false,
                            frame.clearance(),
                            1,
                            with(
                                    layout,
                                    d -> new Motif.Chevrons(
                                            c.points(), OptionalDouble.of(d), c.rounding(), c.lines(), c.spacing()))));
        }
        return Optional.empty();
    }

    private static Stitched inner(Motif.Arcs arcs) {
        return arcs.inner() == Motif.Inner.LOWERED ? Stitched.NESTED_ARC : Stitched.ECHO;
    }

    private static DoubleFunction<Optional<RunLayout>> with(RunLayout layout, DoubleFunction<Motif> motif) {
        return inches -> {
            try {
                Design design = layout.design();
                return Optional.of(layout.with(design.withMain(design.main().with(motif.apply(inches)))));
            } catch (IllegalArgumentException e) {
                // Too small or too large to be stitched: it stays as it was.
                return Optional.empty();
            }
        };
    }

    private static Optional<StitchLine> line(RunPlan run, Stitched kind, int sub) {
        return run.laidOut().lines().stream()
                .filter(l -> l.kind() == kind && l.layer() == 1 && l.number() == 1 && l.sub() == sub)
                .findFirst();
    }

    private static Point middle(StitchLine line) {
        return line.path().curves().get(0).at(0.5);
    }

    private static double along(RunFrame frame, Point p) {
        return p.minus(frame.origin()).dot(frame.along());
    }

    private static double across(RunFrame frame, Point p) {
        return p.minus(frame.origin()).dot(frame.outward());
    }
}
