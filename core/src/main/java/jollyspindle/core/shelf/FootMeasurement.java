package jollyspindle.core.shelf;

import jollyspindle.core.shelf.form.Form;

/** Something stitched on a scrap and measured, from which the foot's radius follows. Lengths in inches, over 0. */
public sealed interface FootMeasurement {

    /** The foot's radius by this measurement, in inches; not over 0 where the numbers can't be. */
    double footRadius();

    /**
     * A circle stitched inside a hole: f = (hole − stitched)/2.
     *
     * @param hole its diameter, measured on the acrylic
     * @param stitched the diameter of the stitched circle
     */
    record InHole(double hole, double stitched) implements FootMeasurement {

        public InHole {
            check(hole, stitched);
        }

        @Override
        public double footRadius() {
            return (hole - stitched) / 2;
        }
    }

    /**
     * A circle stitched round a disc: f = (stitched − disc)/2.
     *
     * @param disc its diameter, measured on the acrylic
     * @param stitched the diameter of the stitched circle
     */
    record RoundDisc(double disc, double stitched) implements FootMeasurement {

        public RoundDisc {
            check(disc, stitched);
        }

        @Override
        public double footRadius() {
            return (stitched - disc) / 2;
        }
    }

    /**
     * A line stitched along a straight edge: f is the distance between them.
     *
     * @param distance from the edge to the stitched line
     */
    record AlongEdge(double distance) implements FootMeasurement {

        public AlongEdge {
            check(distance, distance);
        }

        @Override
        public double footRadius() {
            return distance;
        }
    }

    private static void check(double a, double b) {
        if (!(Math.min(a, b) >= Form.SMALLEST && Math.max(a, b) <= Form.LARGEST)) {
            throw new IllegalArgumentException("measured " + a + " and " + b);
        }
    }
}
