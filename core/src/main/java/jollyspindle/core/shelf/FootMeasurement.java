package jollyspindle.core.shelf;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.form.Form;

import java.util.List;
import java.util.function.Function;

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

        private static final Param.Length<InHole> HOLE = size("hole", InHole::hole);
        private static final Param.Length<InHole> STITCHED = size("stitched", InHole::stitched);

        static final Type<InHole> TYPE = new Type<>(
                "in-hole",
                InHole.class,
                Params.of(v -> new InHole(v.get(HOLE), v.get(STITCHED)), Params.row(HOLE, STITCHED)));

        public InHole {
            HOLE.check(hole);
            STITCHED.check(stitched);
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

        private static final Param.Length<RoundDisc> DISC = size("disc", RoundDisc::disc);
        private static final Param.Length<RoundDisc> STITCHED = size("stitched", RoundDisc::stitched);

        static final Type<RoundDisc> TYPE = new Type<>(
                "round-disc",
                RoundDisc.class,
                Params.of(v -> new RoundDisc(v.get(DISC), v.get(STITCHED)), Params.row(DISC, STITCHED)));

        public RoundDisc {
            DISC.check(disc);
            STITCHED.check(stitched);
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

        private static final Param.Length<AlongEdge> DISTANCE = size("distance", AlongEdge::distance);

        static final Type<AlongEdge> TYPE = new Type<>(
                "along-edge", AlongEdge.class, Params.of(v -> new AlongEdge(v.get(DISTANCE)), Params.row(DISTANCE)));

        public AlongEdge {
            DISTANCE.check(distance);
        }

        @Override
        public double footRadius() {
            return distance;
        }
    }

    private static <F> Param.Length<F> size(String code, Function<F, Double> get) {
        return Param.length(code, Form.SMALLEST, Form.LARGEST, get);
    }

    /**
     * A way to measure.
     *
     * @param <F> what is measured
     * @param code its lasting name
     * @param params all that is measured
     */
    record Type<F extends FootMeasurement>(String code, Class<F> type, Params<F> params) {}

    /** All ways there are. */
    static List<Type<?>> types() {
        return List.of(InHole.TYPE, RoundDisc.TYPE, AlongEdge.TYPE);
    }
}
