package jollyspindle.core.motif;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.EvenDivision;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Run;
import jollyspindle.core.division.RunSet;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.geometry.Angles;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.SizeLabel;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.apache.commons.numbers.fraction.Fraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** The motif by itself, on a run that lies level with its left end at the origin. */
class ArcsTest {

    private static final ArcTemplate FOUR = four(ArcEdge.CONVEX, Math.PI).arcs().get(0);

    private static Template four(ArcEdge edge, double sweep) {
        return Template.of(
                "four",
                "Four",
                edge == ArcEdge.CONVEX ? ArcForm.bulging(4, sweep, 4) : ArcForm.hollow(4, sweep, 4),
                SizeLabel.RADIUS_AS_STITCHED,
                List.of(EngravedLine.rise(1), EngravedLine.rise(2), EngravedLine.rise(3)));
    }

    private static LaidOut layOut(ArcTemplate template, double length, int count, double clearance) {
        RunFrame frame = new RunFrame(RunId.of(Side.TOP), Point.ORIGIN, new Point(1, 0), length, 8, clearance, 0.5);
        return layOut(template, frame, new Even(count), List.of());
    }

    private static LaidOut layOut(ArcTemplate template, RunFrame frame, School school, List<ArcTemplate> others) {
        Run run = new Run(frame.id(), frame.length(), frame.room(), frame.clearance());
        RunSet set = new RunSet(
                List.of(run),
                template,
                others,
                Machine.usual(),
                TapeScale.SIXTEENTHS,
                Wish.about(6),
                Judging.usual(),
                OptionalDouble.empty());
        RingDesigner designer = new RingDesigner(
                Design.of(Layer.of(Motif.Arcs.single())),
                new EdgeCatalog(List.of(), Machine.usual()),
                TapeScale.SIXTEENTHS);
        designer.begin(frame, set.divide(run, school).orElseThrow(), frame.clearance() == 0, OptionalDouble.empty());
        designer.layOut(frame, Map.of(), Corners.MITRED);
        return designer.laidOut(frame.id());
    }

    // R = 4 with rises 3, 2, 1 spans 7.746, 6.928, 5.292 (common practice, no source; by Pythagoras).
    @ParameterizedTest
    @CsvSource({"7.745967, 3", "6.928203, 2", "5.291503, 1", "8, 4"})
    void crownsStandAtTheRise(double span, double rise) {
        LaidOut laid = layOut(FOUR, 5 * span, 5, 0);
        for (int k = 1; k <= 5; k++) {
            Point crown = Laid.arcs(laid).get(k - 1).at(0.5);
            assertThat(crown.x()).isCloseTo((k - 0.5) * span, within(1e-6));
            assertThat(crown.y()).isCloseTo(rise, within(1e-5));
        }
        assertThat(laid.marks().stream().filter(m -> m.kind() == Mark.Kind.CROWN))
                .allSatisfy(m -> assertThat(m.across()).isCloseTo(rise, within(1e-5)));
    }

    @Property
    void clearanceLiftsEverythingAlikeAndTakesTheSeamsHelpAway(
            @ForAll @DoubleRange(min = 0.01, max = 2) double clearance,
            @ForAll @IntRange(min = 1, max = 30) int count) {
        LaidOut flat = layOut(FOUR, count * 6.5, count, 0);
        LaidOut lifted = layOut(FOUR, count * 6.5, count, clearance);
        for (int i = 0; i < count; i++) {
            Arc a = Laid.arcs(flat).get(i);
            Arc b = Laid.arcs(lifted).get(i);
            assertThat(b.at(0.4).minus(a.at(0.4)).distance(new Point(0, clearance)))
                    .isLessThan(1e-9);
        }
        assertThat(flat.marks().stream().filter(m -> m.by() == Mark.MarkedBy.SEAM))
                .hasSize(2);
        assertThat(lifted.marks().stream().filter(m -> m.by() == Mark.MarkedBy.SEAM))
                .as("off the seam, its ends mark nothing")
                .isEmpty();
    }

    @Property
    void handOversLieOnTheArcAtEvenParts(@ForAll @IntRange(min = 3, max = 9) int parts) {
        double sweep = 2 * Math.asin(3.25 / 4);
        ArcTemplate narrow = four(ArcEdge.CONVEX, sweep / parts + 1e-6).arcs().get(0);
        LaidOut laid = layOut(narrow, 13, 2, 0.5);
        List<Placement> first = laid.placements().subList(0, parts);
        for (int i = 0; i < parts; i++) {
            Placement placement = first.get(i);
            assertThat(Math.abs(Laid.arc(placement).sweep())).isCloseTo(sweep / parts, within(1e-9));
            assertThat(placement
                            .end()
                            .place()
                            .distance(new Point(
                                    placement.end().mark().orElseThrow().along(),
                                    placement.end().mark().orElseThrow().across())))
                    .isLessThan(1e-9);
            assertThat(placement.end().place().distance(Laid.arc(placement).centre()))
                    .isCloseTo(4, within(1e-9));
            // The template's own crown stands in the middle of what it stitches.
            assertThat(Angles.normal(placement.pose().rotation()
                            + Math.PI / 2
                            - Laid.arc(placement)
                                    .at(0.5)
                                    .minus(Laid.arc(placement).centre())
                                    .angle()))
                    .isCloseTo(0, within(1e-9));
        }
        long handOvers = laid.marks().stream()
                .filter(m -> m.kind() == Mark.Kind.HAND_OVER)
                .count();
        assertThat(handOvers)
                .as("the crown itself is one of them where there is a middle")
                .isEqualTo(2L * (parts % 2 == 0 ? parts - 2 : parts - 1));
    }

    /** JTS finds whether what is engraved or taped lies on the acrylic. */
    @Property
    void strokesLieOnThePlate(
            @ForAll @DoubleRange(min = 0.01, max = 5) double below,
            @ForAll ArcEdge edge,
            @ForAll @DoubleRange(min = 0.6, max = 3.1) double sweep) {
        ArcTemplate template = four(edge, sweep).arcs().get(0);
        GeometryFactory jts = new GeometryFactory();
        List<Coordinate> ring = new ArrayList<>();
        template.outlines().stream().flatMap(o -> o.curves().stream()).forEach(curve -> {
            for (int i = 0; i < 200; i++) {
                Point p = curve.at(i / 200.0);
                ring.add(new Coordinate(p.x(), p.y()));
            }
        });
        ring.add(ring.get(0));
        LinearRing outline = jts.createLinearRing(ring.toArray(Coordinate[]::new));
        Polygon plate = jts.createPolygon(outline);
        assertThat(plate.isValid()).isTrue();
        template.strokesAt(below)
                .forEach(stroke -> assertThat(plate.buffer(2e-3).covers(jts.createLineString(new Coordinate[] {
                            new Coordinate(stroke.from().x(), stroke.from().y()),
                            new Coordinate(stroke.to().x(), stroke.to().y())
                        })))
                        .isTrue());
        double reach =
                template.edgeRadius() - template.cut().box().orElseThrow().bottom();
        assertThat(template.strokesAt(below).isEmpty()).isEqualTo(below > reach + 1e-9);
    }

    @Property
    void anglesKeepTheirDirection(@ForAll @IntRange(min = -5000, max = 5000) int degrees) {
        double normal = Angles.normal(Math.toRadians(degrees));
        assertThat(normal).isBetween(-Math.PI + 1e-9, Math.PI);
        assertThat(Math.cos(normal)).isCloseTo(Math.cos(Math.toRadians(degrees)), within(1e-9));
        assertThat(Math.sin(normal)).isCloseTo(Math.sin(Math.toRadians(degrees)), within(1e-9));
    }

    @Test
    void valuesThatMakeNoSenseAreRefused() {
        assertThatThrownBy(() -> new EvenDivision(0, 3)).hasMessageContaining("run must be over 0");
        assertThatThrownBy(() -> new EvenDivision(10, 0))
                .hasMessageContaining("number of repeats must be at least 1, not 0");
        assertThatThrownBy(() -> new Counts(0, 5)).hasMessageContaining("1 to 400");
        assertThatThrownBy(() -> Wish.about(0.4)).hasMessageContaining("0.5 to 60, not 0.4");
        assertThatThrownBy(() -> Wish.about(6).withRange(OptionalDouble.of(7), OptionalDouble.of(5)))
                .hasMessageContaining("longer than the longest");
        assertThatThrownBy(() -> Judging.PARAMS.with(Judging.usual(), Judging.SQUARE_LIMIT, 3.0))
                .hasMessageContaining("0 to 0.1, not 3");
        assertThatThrownBy(() -> new Tie(2, 2, Tie.Ratio.SAME)).hasMessageContaining("can't follow");
        QuiltJob demo = DemoJob.heronWeir();
        assertThatThrownBy(() -> demo.withName(" ")).hasMessageContaining("1 to 80");
        assertThatThrownBy(() -> demo.withTemplates(List.of(four(ArcEdge.CONVEX, 2), four(ArcEdge.CONCAVE, 2))))
                .hasMessageContaining("two templates");
        assertThatThrownBy(() -> demo.withQuilt(demo.quilt().with(Dimension.BODY_TOP, Double.NaN)))
                .hasMessageContaining("the length must be");
    }

    /** Thirty-seconds are sums of halves: a reading's fraction is always in lowest terms (Commons Numbers reduces). */
    @Property
    void fractionsAreInLowestTerms(@ForAll @IntRange(min = 0, max = 3200) int ticks) {
        String text = TapeScale.THIRTY_SECONDS.read(ticks / 32.0).text();
        Fraction exact = Fraction.of(ticks, 32);
        String[] words = text.split(" ");
        String fraction = words[words.length - 1];
        if (fraction.contains("/")) {
            assertThat(fraction)
                    .isEqualTo(exact.getNumerator() % exact.getDenominator() + "/" + exact.getDenominator());
        } else {
            assertThat(exact.getDenominator()).isEqualTo(1);
        }
    }
}
