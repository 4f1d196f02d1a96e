package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Jts;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.SerpentineStrip;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.TurnedArm;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

import java.util.List;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Every kind of template by its true geometry, measured by JTS. */
class TemplateGeometryTest {

    private static final double TOLERANCE = 1e-4;

    /** The starter shelf and the usual form of each kind, in other sizes too. */
    @Provide
    Arbitrary<Template> templates() {
        List<Template> usual = new java.util.ArrayList<>(StarterShelf.templates());
        for (Kind kind : Kind.values()) {
            usual.add(Template.usual(kind, "usual", "Usual"));
        }
        return Arbitraries.of(usual)
                .flatMap(t -> Arbitraries.doubles()
                        .between(0.8, 1.6)
                        .map(k -> k > 1.2 ? t : t.resized(t.form().mainSize() * k)))
                // What can't be is told, and isn't cut.
                .filter(t ->
                        TemplateInspector.inspect(t, Machine.usual()).stream().noneMatch(TemplateDiagnostic::stops));
    }

    @Property(tries = 120)
    void theNeedleRunsAFootsRadiusFromTheAcrylicEverywhere(
            @ForAll("templates") Template template, @ForAll @DoubleRange(min = 0.2, max = 0.25) double foot) {
        Cut cut = template.cut();
        for (Guide guide : cut.guides()) {
            LineString edge = Jts.line(guide.edge());
            for (Path path : guide.stitched(foot)) {
                for (Curve curve : path.curves()) {
                    for (double part : new double[] {0, 0.3, 0.7, 1}) {
                        assertThat(edge.distance(Jts.point(curve.at(part))))
                                .as(template.name() + ", " + guide.id())
                                .isCloseTo(foot, within(TOLERANCE));
                    }
                }
            }
        }
    }

    /** Nothing is missing: what bounds JTS's buffer of a closed edge, on the foot's side, is stitched. */
    @Property(tries = 60)
    void allThatTheFootCanReachIsStitched(
            @ForAll("templates") Template template, @ForAll @DoubleRange(min = 0.2, max = 0.25) double foot) {
        for (Guide guide : template.cut().guides()) {
            if (!guide.edge().closed()) {
                continue;
            }
            Polygon inside = Jts.polygon(guide.edge());
            boolean within = guide.footLeft() == guide.edge().area() > 0;
            Geometry reached = Jts.buffer(inside, within ? -foot : foot);
            double stitched = guide.stitched(foot).stream()
                    .mapToDouble(p -> Math.abs(p.area()))
                    .sum();
            assertThat(stitched).isCloseTo(reached.getArea(), within(1e-3 * (1 + reached.getArea())));
            assertThat(Math.abs(guide.edge().area())).isCloseTo(Jts.awtArea(guide.edge()), within(1e-4));
        }
    }

    @Property(tries = 120)
    void acrylicIsWholeAndItsEdgesAndLinesLieOnIt(@ForAll("templates") Template template) {
        Cut cut = template.cut();
        assertThat(cut.pieces()).isNotEmpty();
        for (Cut.Piece piece : cut.pieces()) {
            Geometry plate = Jts.polygon(piece.outlines().get(0));
            assertThat(plate.isValid()).as(template.name()).isTrue();
            for (Path opening : piece.outlines().subList(1, piece.outlines().size())) {
                Geometry hole = Jts.polygon(opening);
                assertThat(plate.covers(hole)).as(template.name()).isTrue();
                plate = plate.difference(hole);
            }
            assertThat(plate.getArea()).isPositive();
        }
        for (Guide guide : cut.guides()) {
            // Each edge is a piece of an outline.
            for (Curve c : guide.edge().curves()) {
                assertThat(cut.pieces().stream()
                                .flatMap(p -> p.outlines().stream())
                                .mapToDouble(o -> o.distance(c.at(0.4)))
                                .min()
                                .orElse(9))
                        .isLessThan(1e-6);
            }
        }
        for (EngravedLine line : template.lines()) {
            for (Path stroke : template.strokes(line)) {
                LineString engraved = Jts.line(stroke);
                assertThat(cut.pieces().stream()
                                .anyMatch(piece -> plate(piece).buffer(1e-3).covers(engraved)))
                        .as(template.name() + " " + line)
                        .isTrue();
            }
        }
    }

    private static Geometry plate(Cut.Piece piece) {
        Geometry plate = Jts.polygon(piece.outlines().get(0));
        for (Path opening : piece.outlines().subList(1, piece.outlines().size())) {
            plate = plate.difference(Jts.polygon(opening));
        }
        return plate;
    }

    @Property
    void aCopyInAnotherSizeIsThatSize(
            @ForAll("templates") Template template, @ForAll @DoubleRange(min = 0.9, max = 2) double k) {
        double size = template.form().mainSize() * k;
        Template copy = template.resized(size);
        assertThat(copy.form().mainSize()).isCloseTo(size, within(1e-6));
        assertThat(copy.form().sizes()).hasSameSizeAs(template.form().sizes());
        assertThat(copy.kind()).isEqualTo(template.kind());
        if (Math.abs(k - 1) > 0.01) {
            assertThat(copy.worksLike(template)).isFalse();
        }
        assertThat(template.withName("Other").worksLike(template)).isTrue();
    }

    /** What is labelled as cut and what is labelled as stitched, of the same template, stitches alike. */
    @Property
    void labelsOfEitherConventionOfTheSameTemplateStitchAlike(
            @ForAll @DoubleRange(min = 1.2, max = 6) double size,
            @ForAll CircleForm.Cutting cutting,
            @ForAll @DoubleRange(min = 0.2, max = 0.24) double foot) {
        Assume.that(cutting != CircleForm.Cutting.RING);
        double sign = cutting == CircleForm.Cutting.DISCS ? 1 : -1;
        Template cut = circle(cutting, size, SizeLabel.DIAMETER_AS_CUT);
        Template stitched = circle(cutting, size + sign * 0.5, SizeLabel.DIAMETER_AS_STITCHED);
        alike(cut, stitched, foot);
        // A radius and a diameter, too.
        alike(cut, circle(cutting, size / 2, SizeLabel.RADIUS_AS_CUT), foot);
        alike(
                slots(size + 1, SizeLabel.DIAMETER_AS_STITCHED),
                slots((size + 1) / 2 + 0.25 - 0.26, SizeLabel.RADIUS_AS_CUT),
                foot);
    }

    private static Template circle(CircleForm.Cutting cutting, double size, SizeLabel label) {
        return Template.of("c", "C", new CircleForm(cutting, List.of(size), 0.75), label, List.of());
    }

    private static Template slots(double size, SizeLabel label) {
        return Template.of("s", "S", new SlottedCircles(List.of(size), 0.52, 6), label, List.of());
    }

    private static void alike(Template a, Template b, double foot) {
        List<Path> first = Stitching.of(a, foot).lines().get(0).paths();
        List<Path> second = Stitching.of(b, foot).lines().get(0).paths();
        assertThat(first.get(0).length()).isCloseTo(second.get(0).length(), within(1e-9));
        assertThat(first.get(0)
                        .curves()
                        .get(0)
                        .at(0.3)
                        .distance(second.get(0).curves().get(0).at(0.3)))
                .isLessThan(1e-9);
    }

    /** A hole and a disc 2f apart in radius stitch the same circle. */
    @Property
    void aHoleAndADiscTwoFeetApartStitchTheSameCircle(
            @ForAll @DoubleRange(min = 0.5, max = 6) double radius,
            @ForAll @DoubleRange(min = 0.15, max = 0.4) double foot) {
        Template disc = circle(CircleForm.Cutting.DISCS, 2 * radius, SizeLabel.DIAMETER_AS_CUT);
        Template hole = circle(CircleForm.Cutting.HOLES, 2 * radius + 4 * foot, SizeLabel.DIAMETER_AS_CUT);
        assertThat(Stitching.of(disc, foot).lines().get(0).paths().get(0).length())
                .isCloseTo(
                        Stitching.of(hole, foot).lines().get(0).paths().get(0).length(), within(1e-9));
    }

    /** As stitched, strips and arms stitch just the line on their label with the usual foot, within the arcs' tolerance. */
    @Property
    void stripsAndArmsStitchTheirLine(
            @ForAll @DoubleRange(min = 3, max = 6) double module,
            @ForAll @DoubleRange(min = 0.3, max = 1.2) double height,
            @ForAll @IntRange(min = 1, max = 4) int count,
            @ForAll @DoubleRange(min = 0.2, max = 1) double bend) {
        SerpentineStrip serpentine = new SerpentineStrip(module, height, count, 1.5);
        stitchesItsLine(serpentine, serpentine.line());
        TurnedArm wave = new TurnedArm(new TurnedArm.Wave(bend, 1), module * 1.5, 0.25, 1);
        stitchesItsLine(wave, wave.line());
        TurnedArm spiral = new TurnedArm(new TurnedArm.Spiral(Math.toRadians(60 + 40 * bend)), module, 0.25, 1);
        stitchesItsLine(spiral, spiral.line());
        // A zigzag's tips are rounded by the foot, so only its straight pieces are compared.
        ChevronStrip chevron = new ChevronStrip(module, Math.PI / 2, count, 1.5);
        Path stitched = Stitching.of(Template.of("s", "S", chevron, SizeLabel.RADIUS_AS_STITCHED, List.of()), 0.25)
                .lines()
                .get(0)
                .paths()
                .get(0);
        for (Curve c : chevron.line().curves()) {
            assertThat(stitched.distance(c.at(0.5))).isLessThan(1e-6);
        }
    }

    private static void stitchesItsLine(Form form, Path line) {
        Template template = Template.of("s", "S", form, SizeLabel.RADIUS_AS_STITCHED, List.of());
        Path stitched = Stitching.of(template, 0.25).lines().get(0).paths().get(0);
        int count = line.curves().size();
        for (int i = 0; i < count; i++) {
            // At its very ends the acrylic ends too.
            double part = i == 0 ? 0.8 : i == count - 1 ? 0.2 : 0.5;
            Point p = line.curves().get(i).at(part);
            assertThat(stitched.distance(p)).isLessThan(5e-4);
        }
    }

    @Property(tries = 60)
    void outlinesKeepTheirShapeThroughTheirCorners(
            @ForAll @IntRange(max = 100_000) int seed, @ForAll @IntRange(min = 3, max = 10) int corners) {
        Path path = Jts.star(seed, corners);
        Assume.that(Jts.polygon(path).isValid());
        OutlineForm form = OutlineForm.of(path, false);
        assertThat(form.path().area()).isCloseTo(Math.abs(path.area()), within(1e-7));
        assertThat(form.mainSize()).isCloseTo(path.box().width(), within(1e-7));
        assertThat(form.scaled(2).path().area()).isCloseTo(4 * Math.abs(path.area()), within(1e-6));
        assertThat(new OutlineForm(form.corners(), false))
                .as("corners stay what files keep")
                .isEqualTo(form);
    }

    /** A fan's slots reach as far as they say, whichever wall is followed. */
    @Property
    void slotsOfAFanLieBetweenItsLegs(
            @ForAll @DoubleRange(min = 0.6, max = 3) double sweep,
            @ForAll @DoubleRange(min = 0.52, max = 0.6) double width) {
        SlottedFan fan = new SlottedFan(List.of(1.5, 3.0, 4.5), width, sweep, Math.PI);
        for (Guide guide : fan.cut(SizeLabel.RADIUS_AS_STITCHED, 0).guides()) {
            Guide.Round round = guide.round().orElseThrow();
            assertThat(round.sweep()).isCloseTo(sweep, within(1e-12));
            double stitched = round.stitchedRadius(Machine.usual());
            double named = fan.sizes().get(guide.number() - 1);
            assertThat(stitched)
                    .isCloseTo(guide.role() == Guide.Role.OUTER_WALL ? named : named - width + 0.5, within(1e-9));
        }
    }

    /** Both edges of an arc, with every foot: the offset's radius is the edge's plus or minus the foot's. */
    @Property
    void arcsStitchConcentricCircles(
            @ForAll @DoubleRange(min = 1, max = 8) double outer,
            @ForAll @DoubleRange(min = 0.2, max = 0.3) double foot,
            @ForAll @DoubleRange(min = 0.5, max = 3.1) double sweep) {
        ArcForm form = new ArcForm(
                java.util.OptionalDouble.of(outer), java.util.OptionalDouble.of(outer), sweep, 0, false, 1.5);
        for (Stitching.Line line : Stitching.of(Template.of("a", "A", form, SizeLabel.RADIUS_AS_CUT, List.of()), foot)
                .lines()) {
            double radius = outer + (line.guide().role() == Guide.Role.BULGING_EDGE ? foot : -foot);
            assertThat(line.paths().get(0).length()).isCloseTo(radius * sweep, within(1e-9));
        }
    }
}
