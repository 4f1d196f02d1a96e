package jollyspindle.core.motif;

import jollyspindle.core.division.CornerAsk;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.Provide;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Motifs, the layers and corners they stand in, at random. */
abstract class RandomMotifs {

    @Provide
    Arbitrary<Motif> motifs() {
        Arbitrary<Integer> few = Arbitraries.integers().between(1, 4);
        Arbitrary<Double> step = Arbitraries.doubles().between(0.3, 1.5);
        Arbitrary<Boolean> flag = Arbitraries.of(true, false);
        Arbitrary<OptionalDouble> maybe =
                step.optional().map(o -> o.map(OptionalDouble::of).orElse(OptionalDouble.empty()));
        Arbitrary<Optional<String>> other =
                Arbitraries.of("low-dune", "quiet-cove", "chapel-door").optional();
        Arbitrary<Double> angle = Arbitraries.integers().between(30, 150).map(d -> Math.toRadians(d));
        return Arbitraries.oneOf(
                Combinators.combine(Arbitraries.of(Motif.Inner.class), few, step, other, few.map(n -> Math.min(n, 3)))
                        .as((i, n, s, o, p) -> (Motif) new Motif.Arcs(i, n, s, List.of(), o, p)),
                Combinators.combine(Arbitraries.of(Motif.Facing.class), maybe, maybe, flag, flag, other)
                        .as((f, c, i, a, b, o) -> (Motif) new Motif.FacingArcs(f, c, i, a, b, o, 1)),
                Combinators.combine(few, step, Arbitraries.of(Motif.Lean.class))
                        .as((n, s, l) -> (Motif) new Motif.Sails(n - 1, s, l)),
                Combinators.combine(few, few.map(n -> Math.min(n, 3))).as((b, r) -> (Motif) new Motif.Fans(b, r)),
                Combinators.combine(Arbitraries.doubles().between(0, 0.5), few, flag)
                        .as((g, n, s) -> (Motif) new Motif.Circles(g, n + 1, Motif.Turning.ALTERNATING, s)),
                Combinators.combine(few, flag).as((n, m) -> (Motif) new Motif.Serpentine(n, m)),
                Combinators.combine(Arbitraries.of(Motif.Points.class), maybe, Arbitraries.of(0.0, 0.5, 1.0), few, step)
                        .as((p, h, r, n, s) -> (Motif) new Motif.Chevrons(p, h, r, n, s)),
                Combinators.combine(few, angle).as((n, a) -> (Motif) new Motif.StraightLines(n, a)),
                Combinators.combine(step, angle, flag, flag)
                        .as((s, a, e, c) -> (Motif) new Motif.Crosshatch(s, a, e, c)));
    }

    @Provide
    Arbitrary<Layer> layers() {
        return Combinators.combine(
                        motifs(),
                        Arbitraries.of(Layer.Edge.class),
                        Arbitraries.of(Layer.Space.class),
                        Arbitraries.of(Layer.Cells.class),
                        Arbitraries.of("orchard-hill", "chapel-door", "twin-gable", "half-moon", "mill-bridge"))
                .as((m, e, s, c, t) -> {
                    Layer layer = Layer.of(m).with(e).with(s).with(c);
                    return switch (DivisionConstraints.template(m)) {
                        case ARC -> layer.withTemplate(Optional.of(t), Optional.empty());
                        case S_CURVE ->
                            layer.withTemplate(
                                    Optional.of(t.equals("half-moon") ? "brook-strip" : t), Optional.empty());
                        case ZIGZAG ->
                            t.startsWith("m") ? layer.withTemplate(Optional.of("lane-strip"), Optional.empty()) : layer;
                        default -> layer;
                    };
                });
    }

    @Provide
    Arbitrary<CornerDesign> corners() {
        return Combinators.combine(
                        Arbitraries.of(CornerDesign.Kind.class),
                        Arbitraries.of("orchard-hill", "low-dune", "half-moon", "chapel-door"),
                        Arbitraries.integers().between(1, 4),
                        Arbitraries.of(true, false),
                        Arbitraries.of(CornerDesign.Closing.class),
                        Arbitraries.of(CornerAsk.class))
                .as((k, t, n, o, c, a) -> {
                    CornerDesign corner = CornerDesign.of(k)
                            .withLines(n)
                            .withFromOuter(o)
                            .with(c)
                            .with(a);
                    return k == CornerDesign.Kind.QUARTER_FAN
                            ? corner
                            : corner.withTemplate(Optional.of(t), Optional.empty());
                });
    }
}
