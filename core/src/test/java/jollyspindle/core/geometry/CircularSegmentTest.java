package jollyspindle.core.geometry;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.awt.geom.Arc2D;
import java.awt.geom.PathIterator;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

class CircularSegmentTest {

    // Segments of a circle of radius 1 by central angle: arc length, height, chord. From the table "Segments of
    // circles"
    // in Machinery's Handbook, quoted from memory and agreeing with a regular polygon's side, 2·sin(180°/n).
    @ParameterizedTest
    @CsvSource({
        "30, 0.52360, 0.03407, 0.51764",
        "45, 0.78540, 0.07612, 0.76537",
        "60, 1.04720, 0.13397, 1.00000",
        "72, 1.25664, 0.19098, 1.17557",
        "90, 1.57080, 0.29289, 1.41421",
        "120, 2.09440, 0.50000, 1.73205",
        "150, 2.61799, 0.74118, 1.93185",
        "180, 3.14159, 1.00000, 2.00000",
    })
    void agreesWithTheHandbookTable(double degrees, double length, double height, double chord) {
        for (CircularSegment segment : new CircularSegment[] {
            CircularSegment.ofRadiusAndChord(1, 2 * Math.sin(Math.toRadians(degrees) / 2)),
            CircularSegment.ofRadiusAndHeight(1, 1 - Math.cos(Math.toRadians(degrees) / 2)),
        }) {
            assertThat(Math.toDegrees(segment.sweep())).isCloseTo(degrees, within(1e-5));
            assertThat(segment.arcLength()).isCloseTo(length, within(6e-6));
            assertThat(segment.height()).isCloseTo(height, within(6e-6));
            assertThat(segment.chord()).isCloseTo(chord, within(6e-6));
        }
    }

    // Worked examples of the craft: spans of a stitched radius at a rise (common practice, no source; by Pythagoras).
    @ParameterizedTest
    @CsvSource({"4, 3, 7.746", "4, 2, 6.928", "4, 1, 5.292", "3, 3, 6.000", "3, 2, 5.657", "3, 1, 4.472", "2, 2, 4.000"
    })
    void agreesWithTheCraftsWorkedExamples(double radius, double rise, double span) {
        assertThat(CircularSegment.ofRadiusAndHeight(radius, rise).chord()).isCloseTo(span, within(5e-4));
        assertThat(CircularSegment.ofRadiusAndChord(
                                radius,
                                CircularSegment.ofRadiusAndHeight(radius, rise).chord())
                        .height())
                .isCloseTo(rise, within(1e-6));
    }

    @Property
    void anyTwoGiveTheThird(
            @ForAll @DoubleRange(min = 0.1, max = 50) double radius,
            @ForAll @DoubleRange(min = 0.01, max = 1) double part) {
        CircularSegment segment = CircularSegment.ofRadiusAndChord(radius, 2 * radius * part);
        assertThat(CircularSegment.ofChordAndHeight(segment.chord(), segment.height())
                        .radius())
                .isCloseTo(radius, within(radius * 1e-9));
        assertThat(CircularSegment.ofRadiusAndHeight(radius, segment.height()).chord())
                .isCloseTo(segment.chord(), within(radius * 1e-6));
    }

    /** The referee is java.awt.geom, whose arcs count angles clockwise on a page with y down, as ours on one with y up. */
    @Property
    void arcsAgreeWithAwt(
            @ForAll @DoubleRange(min = -50, max = 50) double x,
            @ForAll @DoubleRange(min = 0.1, max = 20) double radius,
            @ForAll @DoubleRange(min = -7, max = 7) double start,
            @ForAll @DoubleRange(min = -6.2, max = 6.2) double sweep,
            @ForAll @DoubleRange(min = -3.1, max = 3.1) double turn) {
        Pose pose = new Pose(new Point(3, -x), turn);
        Arc arc = new Arc(new Point(x, 2), radius, start, sweep).posed(pose);
        Point c = arc.centre();
        Arc2D awt = new Arc2D.Double(
                c.x() - radius,
                -c.y() - radius,
                2 * radius,
                2 * radius,
                Math.toDegrees(start + pose.rotation()),
                Math.toDegrees(sweep),
                Arc2D.OPEN);
        assertThat(arc.start()
                        .distance(new Point(
                                awt.getStartPoint().getX(), -awt.getStartPoint().getY())))
                .isLessThan(1e-9);
        assertThat(arc.end()
                        .distance(new Point(
                                awt.getEndPoint().getX(), -awt.getEndPoint().getY())))
                .isLessThan(1e-9);
        assertThat(flattenedLength(awt)).isCloseTo(arc.length(), within(1e-3 * radius));
    }

    private static double flattenedLength(Arc2D arc) {
        double length = 0;
        double[] at = new double[6];
        double[] before = new double[2];
        for (PathIterator it = arc.getPathIterator(null, 1e-5); !it.isDone(); it.next()) {
            if (it.currentSegment(at) == PathIterator.SEG_LINETO) {
                length += Math.hypot(at[0] - before[0], at[1] - before[1]);
            }
            before[0] = at[0];
            before[1] = at[1];
        }
        return length;
    }

    @Test
    void refusesWhatNoCircleHas() {
        assertThatThrownBy(() -> CircularSegment.ofRadiusAndChord(3, 6.1)).hasMessageContaining("can't span");
        assertThatThrownBy(() -> CircularSegment.ofRadiusAndHeight(3, 3.1)).hasMessageContaining("half circle");
        assertThatThrownBy(() -> CircularSegment.ofChordAndHeight(6, 3.1)).hasMessageContaining("half circle");
        assertThatThrownBy(() -> CircularSegment.ofRadiusAndChord(0, 1)).hasMessageContaining("over 0");
        assertThatThrownBy(() -> CircularSegment.ofRadiusAndChord(Double.NaN, 1))
                .hasMessageContaining("over 0");
        assertThatThrownBy(() -> new Arc(Point.ORIGIN, -1, 0, 1)).hasMessageContaining("radius");
        assertThatThrownBy(() -> Point.meeting(Point.ORIGIN, new Point(1, 1), new Point(0, 1), new Point(-2, -2)))
                .hasMessageContaining("parallel");
    }
}
