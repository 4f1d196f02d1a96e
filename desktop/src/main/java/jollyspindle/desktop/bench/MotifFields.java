package jollyspindle.desktop.bench;

import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifType;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.words.MotifWords;
import jollyspindle.desktop.control.EntryFields;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.Supplier;
import javafx.scene.Node;

/** The few choices that each motif has. */
final class MotifFields extends EntryFields {

    private static final double LONGEST = Motif.FARTHEST;

    private final Consumer<Motif> change;

    MotifFields(Workbench bench, Consumer<Motif> change) {
        super(bench);
        this.change = change;
    }

    /** A field for each thing that is chosen about a motif; a few are told or taken in a way of their own. */
    <M extends Motif> List<Supplier<Node>> of(M motif) {
        ParamForm<M> form = form(motif);
        if (motif instanceof Motif.Arcs arcs) {
            form.instead(
                    "step", name -> distance("motif-step", name, arcs.step(), d -> change.accept(arcs.withStep(d))));
            if (arcs.lines() == 1) {
                form.without("inner", "rises");
            }
            form.instead(
                    "otherTemplate",
                    name -> other(
                            name, EdgeKind.ARC, arcs.otherTemplate(), id -> change.accept(arcs.withOtherTemplate(id))));
            form.instead(
                    "passes",
                    name -> passes("motif-passes", name, arcs.passes(), n -> change.accept(arcs.withPasses(n))));
        } else if (motif instanceof Motif.FacingArcs facing) {
            form.instead(
                    "otherTemplate",
                    name -> other(
                            name,
                            EdgeKind.ARC,
                            facing.otherTemplate(),
                            id -> change.accept(facing.withOtherTemplate(id))));
            form.instead(
                    "passes",
                    name -> passes("motif-passes", name, facing.passes(), n -> change.accept(facing.withPasses(n))));
            form.instead(
                    "diamondPasses",
                    name -> passes(
                            "motif-diamond-passes",
                            name,
                            facing.diamondPasses(),
                            n -> change.accept(facing.withDiamondPasses(n))));
            if (facing.inset().isEmpty()) {
                form.without("diamondPasses");
            }
        } else if (motif instanceof Motif.Circles circles) {
            form.instead("halfTurns", name -> turns(name, circles));
        } else if (motif instanceof Motif.Fans fans) {
            form.instead(
                    "otherTemplate",
                    name -> other(
                            name, EdgeKind.FAN, fans.otherTemplate(), id -> change.accept(fans.withOtherTemplate(id))));
        } else if (motif instanceof Motif.Serpentine s) {
            form.instead(
                    "perRepeat",
                    name -> perRepeat(name, s.perRepeat(), Math.PI / 2, n -> change.accept(s.withPerRepeat(n))));
        } else if (motif instanceof Motif.StraightLines l) {
            form.instead(
                    "perRepeat",
                    name -> perRepeat(name, l.perRepeat(), l.angle(), n -> change.accept(l.withPerRepeat(n))));
        }
        return form.rows();
    }

    private <M extends Motif> ParamForm<M> form(M motif) {
        MotifType<M> type = MotifTypes.of(motif);
        return new ParamForm<M>(bench, "motif", "run." + type.code(), type.params(), motif, change::accept);
    }

    /** The choices that a strip of its own shape leaves. */
    List<Supplier<Node>> alongStrip(Motif.Chevrons chevrons) {
        ParamForm<Motif.Chevrons> form = form(chevrons);
        return (chevrons.points() == Motif.Points.BOXES ? form : form.without("height", "rounding", "closed")).rows();
    }

    private Node perRepeat(String name, int now, double angle, IntConsumer take) {
        return Labelled.row(whole("motif-per-repeat", name, now, 1, Motif.MOST_LINES, take), apart(now, angle, take));
    }

    /** How far lines are apart, square to them, on the run that is looked at; typed, it asks for as many as come nearest. */
    private Node apart(int perRepeat, double angle, IntConsumer take) {
        OptionalDouble repeat = bench.run()
                .map(run -> OptionalDouble.of(run.division().repeat() * Math.sin(angle)))
                .orElse(OptionalDouble.empty());
        return length(
                "motif-apart",
                "Apart, about",
                false,
                repeat.isPresent() ? about(repeat.getAsDouble() / perRepeat) : OptionalDouble.empty(),
                Motif.CLOSEST,
                LONGEST,
                apart -> {
                    long lines = Math.round(repeat.orElse(0) / apart.orElse(1));
                    take.accept((int) Math.max(1, Math.min(Motif.MOST_LINES, lines)));
                });
    }

    /** What comes of other choices, as the tape reads it: nobody types it so exactly. */
    OptionalDouble about(double inches) {
        return OptionalDouble.of(bench.job().tape().read(inches).onTape());
    }

    /** A second template, or none. */
    private Node other(String name, EdgeKind kind, Optional<String> now, Consumer<Optional<String>> take) {
        List<Optional<String>> ids = new ArrayList<>(List.of(Optional.empty()));
        Map<String, String> names = new HashMap<>();
        for (TemplateChoice c : TemplateChoice.of(bench.job(), now, bench.shelf(), kind)) {
            if (names.put(c.template().id(), c.template().name()) == null) {
                ids.add(Optional.of(c.template().id()));
            }
        }
        return choice(
                "motif-other",
                name,
                ids,
                now,
                t -> t.map(n -> names.getOrDefault(n, n)).orElse(kind == EdgeKind.FAN ? "none" : "the same"),
                take);
    }

    private Node turns(String name, Motif.Circles circles) {
        return choice(
                "motif-turns",
                name,
                List.of(2, 3, 4, 5, 6),
                circles.halfTurns(),
                MotifWords::turns,
                n -> change.accept(circles.withHalfTurns(n)));
    }

    private Node passes(String id, String name, int now, Consumer<Integer> take) {
        return choice(
                id,
                name,
                List.of(1, 2, 3),
                now,
                n -> n == 1 ? "once" : n == 2 ? "twice: the needle comes back" : "three times, as a thick line",
                take);
    }

    private Node distance(String id, String name, double now, Consumer<Double> take) {
        return length(
                id, name, false, OptionalDouble.of(now), Motif.CLOSEST, LONGEST, d -> take.accept(d.getAsDouble()));
    }
}
