package jollyspindle.core.shelf;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.SizeLabel;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

class ArcTemplateTest {

    private static ArcTemplate template(ArcEdge edge, double radius, LabelConvention label) {
        return template(edge, radius, label, 150, 4);
    }

    private static ArcTemplate template(
            ArcEdge edge, double radius, LabelConvention label, double usableDegrees, double depth) {
        double sweep = Math.toRadians(usableDegrees);
        return Template.of(
                        "t",
                        "T",
                        edge == ArcEdge.CONVEX
                                ? ArcForm.bulging(radius, sweep, depth)
                                : ArcForm.hollow(radius, sweep, depth),
                        new SizeLabel(SizeLabel.Printed.RADIUS, label),
                        Stream.of(1.0, 1.5, 2.0, 3.0).map(EngravedLine::rise).toList())
                .arcs()
                .get(0);
    }

    // A hole that is to stitch diameter d is cut d + 2f wide: 1/2, 1 3/4, 2 1/4 need 1, 2 1/4, 2 3/4 (common practice,
    // no
    // source); a convex edge of radius r stitches r + f (geometry).
    @ParameterizedTest
    @CsvSource({
        "CONCAVE, 0.5, AS_CUT, 0.25, 0.25",
        "CONCAVE, 1.125, AS_CUT, 0.25, 0.875",
        "CONCAVE, 1.375, AS_CUT, 0.25, 1.125",
        "CONVEX, 3.75, AS_CUT, 0.25, 4",
        "CONVEX, 4, AS_STITCHED, 0.25, 4",
        "CONCAVE, 4, AS_STITCHED, 0.25, 4",
        "CONVEX, 4, AS_STITCHED, 0.245, 3.995",
        "CONCAVE, 4, AS_STITCHED, 0.245, 4.005",
        "CONVEX, 5.5, AS_CUT, 0.245, 5.745",
        "CONCAVE, 4.75, AS_CUT, 0.26, 4.49",
    })
    void stitchesTheEdgesOffset(ArcEdge edge, double radius, LabelConvention label, double foot, double stitched) {
        assertThat(template(edge, radius, label).stitchedRadius(new Machine(foot)))
                .isCloseTo(stitched, within(1e-12));
    }

    @Property
    void labelsOfEitherConventionForOneEdgePlanAlike(
            @ForAll @DoubleRange(min = 1, max = 20) double edgeRadius,
            @ForAll ArcEdge edge,
            @ForAll @DoubleRange(min = 0.15, max = 0.4) double foot) {
        double asStitched = edge == ArcEdge.CONVEX ? edgeRadius + 0.25 : edgeRadius - 0.25;
        Machine machine = new Machine(foot);
        assertThat(template(edge, asStitched, LabelConvention.AS_STITCHED).stitchedRadius(machine))
                .isCloseTo(template(edge, edgeRadius, LabelConvention.AS_CUT).stitchedRadius(machine), within(1e-12));
    }

    @Property
    void aConvexAndAConcaveEdgeTwoFeetApartStitchTheSame(
            @ForAll @DoubleRange(min = 1, max = 20) double radius,
            @ForAll @DoubleRange(min = 0.15, max = 0.4) double foot) {
        Machine machine = new Machine(foot);
        assertThat(template(ArcEdge.CONVEX, radius, LabelConvention.AS_CUT).stitchedRadius(machine))
                .isCloseTo(
                        template(ArcEdge.CONCAVE, radius + 2 * foot, LabelConvention.AS_CUT)
                                .stitchedRadius(machine),
                        within(1e-12));
    }

    @Test
    void knowsEdgesTheFootCantFollow() {
        Machine usual = Machine.usual();
        assertThat(template(ArcEdge.CONCAVE, 0.25, LabelConvention.AS_CUT).difficulty(usual))
                .contains(ArcTemplate.Difficulty.HOLLOW_SMALLER_THAN_FOOT);
        assertThat(template(ArcEdge.CONCAVE, 0.26, LabelConvention.AS_CUT).difficulty(usual))
                .isEmpty();
        assertThat(template(ArcEdge.CONVEX, 0.25, LabelConvention.AS_STITCHED).difficulty(usual))
                .contains(ArcTemplate.Difficulty.LABEL_SMALLER_THAN_FOOT);
        assertThatThrownBy(() -> new Machine(0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Machine(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> template(ArcEdge.CONVEX, -1, LabelConvention.AS_CUT))
                .hasMessageContaining("bulging edge");
        assertThatThrownBy(() -> template(ArcEdge.CONVEX, 1, LabelConvention.AS_CUT, 189, 1))
                .hasMessageContaining("half circle");
    }

    // With the line marked 2 on the seam the crown stitches 2 above it with the usual foot (common practice, no
    // source).
    @ParameterizedTest
    @CsvSource({
        // a radius of 4 rises 2 over 6.928
        "CONVEX, 4, 6.9282, 0, 0.25, line 2",
        "CONCAVE, 4, 6.9282, 0, 0.25, line 2",
        // with a clearance the line higher by it lies on the seam
        "CONVEX, 4, 6.9282, 1, 0.25, line 3",
        // a smaller foot stitches a smaller radius, which rises higher, while the line stitches lower: 0.015 apart
        "CONVEX, 4, 6.9282, 0, 0.245, line 2",
        "CONVEX, 4, 6.9282, 0, 0.24, tape 0.020 from 2.0",
        // no line near: the tape, measured from the line next to it
        "CONVEX, 4, 7.3, 0, 0.25, tape 0.364 from 2.0",
        "CONVEX, 4, 6.6, 0, 0.25, tape 0.239 from 1.5",
        // the seam passes below the legs of a hollow template
        "CONCAVE, 4, 7.9, 0, 0.25, off",
    })
    void saysWhatLiesOnTheSeam(
            ArcEdge edge, double radius, double span, double clearance, double foot, String expected) {
        ArcTemplate template = template(edge, radius, LabelConvention.AS_STITCHED);
        ArcFit fit = ArcFit.of(template, new Machine(foot), span, 6, clearance).orElseThrow();
        String said;
        if (fit.register() instanceof SeamRegister.EngravedLine line) {
            said = "line " + (int) line.label();
        } else if (fit.register() instanceof SeamRegister.Tape tape) {
            said = String.format(Locale.ROOT, "tape %.3f from %s", tape.belowLine(), tape.nearestLine());
            // Wherever the tape is measured from, it lies where the seam passes.
            assertThat(belowCrown(template, tape.nearestLine()) + tape.belowLine())
                    .isCloseTo(tape.belowEdge(), within(1e-9));
        } else {
            said = "off";
        }
        assertThat(said).isEqualTo(expected);
    }

    /** By the label's own meaning: as stitched with the usual foot. */
    private static double belowCrown(ArcTemplate template, double label) {
        return template.edge() == ArcEdge.CONVEX ? label - 0.25 : label + 0.25;
    }

    @Property
    void layingTheRegisterOnTheSeamStitchesThePlannedRise(
            @ForAll @DoubleRange(min = 1, max = 7.9) double span,
            @ForAll ArcEdge edge,
            @ForAll @DoubleRange(min = 0.2, max = 0.3) double foot) {
        ArcTemplate template = template(edge, 4.1, LabelConvention.AS_STITCHED);
        Machine machine = new Machine(foot);
        ArcFit fit = ArcFit.of(template, machine, span, 6, 0).orElseThrow();
        double crownFromEdge = template.stitchedRadius(machine) - template.edgeRadius();
        if (fit.register() instanceof SeamRegister.EngravedLine line) {
            double rise = belowCrown(template, line.label()) + crownFromEdge;
            assertThat(line.belowEdge()).isCloseTo(belowCrown(template, line.label()), within(1e-12));
            assertThat(rise).isCloseTo(fit.segment().height(), within(Tolerances.CHALK));
            assertThat(rise - fit.segment().height()).isCloseTo(line.off(), within(1e-9));
        } else if (fit.register() instanceof SeamRegister.Tape tape) {
            assertThat(tape.belowEdge() + crownFromEdge).isCloseTo(fit.segment().height(), within(1e-9));
            assertThat(template.strokesAt(tape.belowEdge())).isNotEmpty();
        }
    }

    @Test
    void aLineBesideTheAcrylicServesNothing() {
        // A radius of 4 rises 3 over 7.746, where a line is said to be, but the plate ends before it.
        ArcTemplate shallow = template(ArcEdge.CONVEX, 4, LabelConvention.AS_STITCHED, 80, 2);
        assertThat(ArcFit.of(shallow, Machine.usual(), 7.745967, 6, 0)
                        .orElseThrow()
                        .register())
                .isInstanceOf(SeamRegister.OffThePlate.class);
    }

    @Test
    void saysWhetherItFitsAndHowOftenItIsPlaced() {
        ArcTemplate template = template(ArcEdge.CONVEX, 4, LabelConvention.AS_STITCHED);
        assertThat(ArcFit.of(template, Machine.usual(), 8.01, 6, 0)).isEqualTo(Optional.empty());
        ArcFit half = ArcFit.of(template, Machine.usual(), 8, 3.875, 0).orElseThrow();
        assertThat(half.segment().height()).isCloseTo(4, within(1e-9));
        assertThat(half.overRoom()).isCloseTo(0.125, within(1e-9));
        assertThat(half.fitsRoom()).isFalse();
        assertThat(half.parts()).isEqualTo(2);
        ArcTemplate narrow = template(ArcEdge.CONVEX, 4, LabelConvention.AS_STITCHED, 60, 4);
        assertThat(ArcFit.of(narrow, Machine.usual(), 8, 6, 0).orElseThrow().parts())
                .isEqualTo(3);
        assertThat(ArcFit.of(narrow, Machine.usual(), 4, 6, 0).orElseThrow().parts())
                .isEqualTo(1);
    }
}
