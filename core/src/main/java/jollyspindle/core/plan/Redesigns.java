package jollyspindle.core.plan;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifDiagnostic;
import jollyspindle.core.motif.RingDesigner;
import jollyspindle.core.quilt.Side;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;

/** Designs that haven't a trouble any more. */
final class Redesigns {

    private Redesigns() {}

    /** The same design, changed as little as gets round what was told; nothing if that isn't sure to help. */
    static Optional<Design> without(Design design, RingDesigner.Diagnosed diagnosed) {
        if (diagnosed.layer() == 0) {
            return corner(design, diagnosed);
        }
        if (!design.layers(diagnosed.run()).equals(design.layers())) {
            return Optional.empty();
        }
        Layer layer = design.layers().get(diagnosed.layer() - 1);
        return motif(layer.motif(), diagnosed.diagnostic())
                .map(better -> design.withLayer(diagnosed.layer() - 1, layer.with(better)))
                .or(() -> diagnosed.diagnostic() instanceof MotifDiagnostic.NoSpace && diagnosed.layer() > 1
                        ? Optional.of(design.withoutLayer(diagnosed.layer() - 1))
                        : Optional.empty());
    }

    /** The same design with all fans of so many arcs. */
    static Design withBlades(Design design, int blades) {
        UnaryOperator<List<Layer>> alike = layers -> layers.stream()
                .map(l -> l.motif() instanceof Motif.Fans f ? l.with(f.withBlades(blades)) : l)
                .toList();
        Map<Side, List<Layer>> sides = new EnumMap<>(Side.class);
        design.sides().forEach((side, layers) -> sides.put(side, alike.apply(layers)));
        return new Design(alike.apply(design.layers()), sides, design.corner(), design.corners());
    }

    private static Optional<Motif> motif(Motif motif, Diagnostic diagnostic) {
        if (diagnostic instanceof MotifDiagnostic.TooMany many && many.room() >= 1) {
            return fewer(motif, many);
        }
        if (diagnostic instanceof MotifDiagnostic.TooManyRows rows && motif instanceof Motif.Fans fans) {
            return Optional.of(fans.withRows(rows.room()));
        }
        if (diagnostic instanceof LayoutDiagnostic.HatchLikeEcho && motif instanceof Motif.Crosshatch hatch) {
            return Optional.of(hatch.withSpacing(2 * hatch.spacing()));
        }
        if (diagnostic instanceof MotifDiagnostic.TooManyOutside outside && motif instanceof Motif.Chevrons c) {
            return Optional.of(c.withOuter(outside.room()));
        }
        if (diagnostic instanceof MotifDiagnostic.TooHigh
                && motif instanceof Motif.Almonds a
                && a.height().isPresent()) {
            return Optional.of(new Motif.Almonds(OptionalDouble.empty()));
        }
        if (diagnostic instanceof MotifDiagnostic.TooHigh
                && motif instanceof Motif.FacingArcs f
                && f.channel().isPresent()) {
            return Optional.of(f.withChannel(OptionalDouble.empty()));
        }
        return Optional.empty();
    }

    private static Optional<Motif> fewer(Motif motif, MotifDiagnostic.TooMany many) {
        if (motif instanceof Motif.Arcs a) {
            return Optional.of(a.withLines(many.room()));
        }
        if (motif instanceof Motif.Sails s) {
            return Optional.of(s.withEchoes(many.room()));
        }
        if (motif instanceof Motif.Fans f) {
            return Optional.of(f.withBlades(many.room()));
        }
        if (motif instanceof Motif.FacingArcs f && many.room() <= f.rises().size()) {
            return Optional.of(f.withRises(f.rises().subList(0, many.room() - 1)));
        }
        if (motif instanceof Motif.Chevrons c) {
            return Optional.of(c.withLines(many.room()));
        }
        return Optional.empty();
    }

    private static Optional<Design> corner(Design design, RingDesigner.Diagnosed diagnosed) {
        boolean mended = diagnosed.diagnostic().stops() || diagnosed.diagnostic() instanceof MotifDiagnostic.RunsAlong;
        if (!mended) {
            return Optional.empty();
        }
        Side side = diagnosed.run().side().orElseThrow();
        CornerDesign corner = design.corner(side);
        return corner(corner, diagnosed.diagnostic())
                // A corner that is its own is mended alone, and the others stay as they are in either case.
                .map(better -> design.corners().containsKey(side)
                        ? design.withCorner(side, better)
                        : new Design(design.layers(), design.sides(), better, design.corners()));
    }

    private static Optional<CornerDesign> corner(CornerDesign corner, Diagnostic diagnostic) {
        if (diagnostic instanceof MotifDiagnostic.TooMany many && many.room() >= 1) {
            return Optional.of(corner.withLines(many.room()));
        }
        if (diagnostic instanceof MotifDiagnostic.RunsAlong along) {
            return along.better().isPresent() ? Optional.of(corner.withFeet(along.better())) : Optional.empty();
        }
        boolean feet =
                diagnostic instanceof MotifDiagnostic.TooHigh || diagnostic instanceof MotifDiagnostic.FeetTooFar;
        if (feet && corner.feet().isPresent()) {
            return Optional.of(corner.withFeet(OptionalDouble.empty()));
        }
        return diagnostic instanceof LayoutDiagnostic.NoTool || diagnostic instanceof LayoutDiagnostic.FootStaysOut
                ? Optional.empty()
                : Optional.of(corner.with(CornerDesign.Kind.PLAIN));
    }
}
