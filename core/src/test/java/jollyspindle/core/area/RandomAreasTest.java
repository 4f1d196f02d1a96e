package jollyspindle.core.area;

import jollyspindle.core.geometry.Jts;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.operation.linemerge.LineMerger;
import org.locationtech.jts.operation.overlayng.OverlayNG;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;

import static jollyspindle.core.area.AreaChecks.MACHINE;
import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.check;
import static jollyspindle.core.area.AreaChecks.filled;
import static jollyspindle.core.area.AreaChecks.flat;
import static jollyspindle.core.area.AreaChecks.layOut;
import static jollyspindle.core.area.AreaChecks.plan;
import static org.assertj.core.api.Assertions.assertThat;

/** Random areas, motifs and appliqués. */
class RandomAreasTest {

    // --- random areas ------------------------------------------------------------------------------------------

    @Provide
    Arbitrary<Area> areas() {
        Arbitrary<Double> size = Arbitraries.doubles().between(2, 16);
        return Arbitraries.oneOf(
                size.map(d -> (Area) new Area.Medallion(2 * d)),
                Combinators.combine(
                                Arbitraries.integers().between(1, 3),
                                Arbitraries.integers().between(1, 2),
                                size,
                                size,
                                Arbitraries.doubles().between(0, 2))
                        .as((c, r, w, h, g) -> (Area) new Area.Blocks(c, r, w, h, g)));
    }

    private static final Arbitrary<Integer> COUNT = Arbitraries.integers().between(1, 6);
    private static final Arbitrary<Double> SPACING = Arbitraries.doubles().between(0.4, 3);

    @Provide
    Arbitrary<AreaMotif> motifs() {
        return Arbitraries.oneOf(List.of(
                Combinators.combine(
                                Arbitraries.integers().between(2, 64),
                                Arbitraries.of(AreaMotif.Way.class),
                                Arbitraries.of(0.0, 0.5, 0.75),
                                Arbitraries.of(true, false),
                                Arbitraries.of(0.0, 0.1, 2.0),
                                Arbitraries.of(true, false))
                        .as((n, way, stop, both, turn, circled) ->
                                new AreaMotif.Arms(n, way, stop, both, turn, circled && stop > 0)),
                Combinators.combine(
                                Arbitraries.of(1.0, 2.0, 2.5),
                                Arbitraries.of(0.25, 0.5, 1.0).optional(),
                                Arbitraries.integers().between(1, 12),
                                Arbitraries.of(AreaMotif.Spokes.class))
                        .as((d, g, n, s) -> new AreaMotif.Rings(d, number(g), n, s)),
                Combinators.combine(Arbitraries.integers().between(3, 20), SPACING.optional())
                        .as((n, out) -> new AreaMotif.Wreath(n, number(out))),
                Combinators.combine(Arbitraries.integers().between(2, 20), Arbitraries.of(0.0, 0.5), SPACING)
                        .as((n, from, length) -> new AreaMotif.Petals(n, from, from + length)),
                Combinators.combine(Arbitraries.integers().between(3, 20), SPACING, SPACING)
                        .as((n, inner, more) -> new AreaMotif.Points(n, inner, inner + more)),
                Combinators.combine(COUNT, Arbitraries.of(0.25, 0.5, 1.0), Arbitraries.of(true, false))
                        .as(AreaMotif.Echoes::new),
                Arbitraries.of(0.0, 0.25).map(AreaMotif.Clamshells::new),
                Combinators.combine(Arbitraries.doubles().between(0.2, 2), Arbitraries.of(true, false))
                        .as((a, pieced) -> new AreaMotif.Quarters(a, 2 * a, pieced)),
                Combinators.combine(COUNT, COUNT, Arbitraries.of(0.25, 0.5).optional())
                        .as((a, d, in) -> new AreaMotif.Peel(a, d, number(in))),
                Combinators.combine(COUNT, COUNT).as(AreaMotif.Circles::new),
                Combinators.combine(SPACING, Arbitraries.integers().between(20, 160))
                        .as((s, a) -> new AreaMotif.Crosshatch(s, Math.toRadians(a))),
                SPACING.map(AreaMotif.CurvedHatch::new),
                Combinators.combine(
                                Arbitraries.of(AreaMotif.Corner.class),
                                Arbitraries.of(1, 5, 9, 21).optional(),
                                Arbitraries.of(0.5, 0.75))
                        .as((c, n, stop) -> new AreaMotif.CornerRays(
                                c, n.map(OptionalInt::of).orElse(OptionalInt.empty()), stop, 0.25)),
                Combinators.combine(Arbitraries.integers().between(1, 5), Arbitraries.of(0.25, 0.5), COUNT)
                        .as((n, s, sets) -> new AreaMotif.Whirl(n, s, 4 * sets)),
                Combinators.combine(COUNT, COUNT, Arbitraries.integers().between(2, 9))
                        .as((a, d, n) -> new AreaMotif.StraightFans(a, d, n, 0.5))));
    }

    private static OptionalDouble number(Optional<Double> given) {
        return given.map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }

    @Property(tries = 300)
    void everyMotifIsLaidOutInsideItsAreaOrRefused(
            @ForAll("areas") Area area,
            @ForAll("motifs") AreaMotif motif,
            @ForAll @DoubleRange(min = 0, max = 1) double any) {
        AreaPlan plan = plan(area, motif, null);
        assertThat(!plan.lines().isEmpty()
                        || plan.diagnosed().stream().anyMatch(t -> t.what().stops()))
                .isTrue();
        assertThat(plan(area, motif, null)).isEqualTo(plan);
    }

    // --- round appliqués ---------------------------------------------------------------------------------------

    @Provide
    Arbitrary<Area.Applique> appliques() {
        Arbitrary<Double> at = Arbitraries.doubles().between(-6, 6);
        Arbitrary<Double> size = Arbitraries.doubles().between(0.5, 6);
        Arbitrary<Double> clearance = Arbitraries.of(0.0, 0.25, 0.5);
        Arbitrary<Area.Outline> ellipse = Combinators.combine(
                        at, at, size, size, Arbitraries.doubles().between(0, 3))
                .as((x, y, w, h, t) -> new Area.Ellipse(new Point(x, y), w, h, t));
        Arbitrary<Area.Outline> corners = Combinators.combine(
                        at, at, size, Arbitraries.integers().between(3, 9))
                .as((x, y, r, n) -> {
                    List<Point> all = new ArrayList<>();
                    for (int i = 0; i < n; i++) {
                        // A star's corners, out and in.
                        all.add(new Point(x, y)
                                .plus(Point.direction(2 * Math.PI * i / n).times(i % 2 == 0 ? r : 0.7 * r)));
                    }
                    return new Area.Corners(all);
                });
        return Combinators.combine(Arbitraries.oneOf(ellipse, corners), clearance)
                .as(Area.Applique::new);
    }

    /** What is grown for the clearance is what JTS makes of the outline with a round buffer. */
    @Property(tries = 60)
    void clearanceIsTheSameAllRound(@ForAll("appliques") Area.Applique applique) {
        Geometry grown = filled(AreaSpace.grown(applique));
        Geometry expected = filled(applique.outline().path()).buffer(applique.clearance(), 64);
        assertThat(grown.symDifference(expected).getArea()).isLessThan(0.01);
    }

    /** Every line keeps off the appliqués, and what is stitched is all of it less what JTS cuts off. */
    @Property(tries = 200)
    void linesStopRoundAppliques(
            @ForAll("appliques") Area.Applique one,
            @ForAll("appliques") Area.Applique two,
            @ForAll("motifs") AreaMotif motif) {
        Area block = new Area.Blocks(1, 1, 13, 11, 0);
        AreaDesign design = AreaDesign.of(motif, Optional.empty());
        AreaPlan whole = layOut(block, design, List.of(), StarterShelf.templates(), MACHINE);
        AreaPlan clipped = layOut(
                block, design, List.of(AreaSpace.grown(one), AreaSpace.grown(two)), StarterShelf.templates(), MACHINE);
        check(block, clipped, StarterShelf.templates());
        Geometry free = OverlayNG.overlay(
                filled(AreaSpace.grown(one)), filled(AreaSpace.grown(two)), OverlayNG.UNION, new PrecisionModel(1e7));
        Geometry inner = free.buffer(-2e-3);
        for (StitchLine line : clipped.lines()) {
            assertThat(flat(line.path()).intersection(inner).getLength())
                    .as(line.id().code())
                    .isLessThan(1e-3);
        }
        // Rows of shells are laid out anew over what is in the way; everything else is only cut off.
        if (!(motif instanceof AreaMotif.Clamshells)) {
            // What runs along an edge, or is just as long as a snippet, may be stitched or not; so may a snippet that
            // another line goes on from.
            double least = left(whole, free.buffer(2e-3), PieceContext.SHORTEST + 0.01, false);
            double most = left(whole, free.buffer(-2e-3), PieceContext.SHORTEST - 0.01, true);
            assertThat(clipped.lines().stream()
                            .mapToDouble(l -> l.path().length())
                            .sum())
                    .as(motif + "")
                    .isBetween(least - 0.03, most + 0.03);
        }
    }

    /** How much JTS leaves of a plan's lines, without pieces that are shorter than a length. */
    private static double left(AreaPlan whole, Geometry free, double shortest, boolean ends) {
        double all = 0;
        for (StitchLine line : whole.lines()) {
            LineMerger merger = new LineMerger();
            merger.add(flat(line.path()).difference(free));
            for (Object left : merger.getMergedLineStrings()) {
                Geometry piece = (Geometry) left;
                boolean atEnd = Stream.of(line.path().start(), line.path().end())
                        .anyMatch(p -> piece.isWithinDistance(Jts.point(p), 1e-6));
                all += piece.getLength() >= shortest || ends && atEnd ? piece.getLength() : 0;
            }
        }
        return all;
    }

    /** A ring on the edge of one appliqué that lies wholly under another is not stitched; on a free edge it may be. */
    @Test
    void anEdgeUnderAnotherAppliqueIsNoEdge() {
        Area.Applique inner = new Area.Applique(new Area.Ellipse(Point.ORIGIN, 0.5, 0.5, 0), 0.25);
        Area.Applique outer = new Area.Applique(new Area.Ellipse(Point.ORIGIN, 0.5, 0.5, 0), 0.5);
        AreaDesign ring = AreaDesign.of(new AreaMotif.Rings(1, 0.25, 1, AreaMotif.Spokes.NONE), Optional.empty());
        List<Template> shelf = StarterShelf.templates();
        List<Path> both = List.of(AreaSpace.grown(inner), AreaSpace.grown(outer));
        assertThat(layOut(block(12), ring, both, shelf, MACHINE).lines()).isEmpty();
        assertThat(layOut(block(12), ring, both.subList(0, 1), shelf, MACHINE).lines())
                .hasSize(1);
    }
}
