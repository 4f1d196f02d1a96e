package jollyspindle.core.plan;

import jollyspindle.core.code.Codes;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A line that is drawn on a run before anything is stitched, since lines start or end on it and there is no seam to be seen.
 *
 * @param run it is drawn on
 * @param which line it is
 * @param line from its left end to its right, or from the seam outward, in the quilt's frame
 * @param reading how far it is from the run's seam, or from its left end
 */
public record ChalkLine(RunId run, Which which, Segment line, TapeReading reading) {

    /** Which line is drawn. */
    public enum Which {
        /** Along the whole run, where stitching ends before the outer edge. */
        LIMIT,
        /** Along the whole run, where the motif stands before the seam. */
        CLEARANCE,
        /** Along the whole run, through the middles of what stands there. */
        MIDDLE,
        /** From the left end of the seam square across the run. */
        LEFT_END,
        /** From the right end of the seam square across the run. */
        RIGHT_END,
        /** The seam carried on into the corner at its left end. */
        LEFT_ON,
        /** The seam carried on into the corner at its right end. */
        RIGHT_ON
    }

    /** Its lasting name: {@code top-limit}. */
    public String code() {
        return run.code() + "-" + Codes.of(which);
    }

    private boolean isOn(Point place) {
        return line.distance(place) < Tolerances.SAME_PLACE;
    }

    /**
     * Those that a run needs.
     *
     * @param seams in the corners
     * @param placements of what is stitched on it, and in the corners at its ends
     */
    static List<ChalkLine> of(RunFrame frame, List<Segment> seams, List<Placement> placements, TapeScale tape) {
        List<ChalkLine> all =
                Stream.of(Which.values()).map(which -> of(which, frame, tape)).toList();
        List<ChalkLine> needed = new ArrayList<>();
        for (Placement placement : placements) {
            for (LineEnd end : List.of(placement.start(), placement.end())) {
                if (isToBeDrawn(end, frame, seams)) {
                    all.stream()
                            .filter(line -> line.isOn(end.place()) && !needed.contains(line))
                            .findFirst()
                            .ifPresent(needed::add);
                }
            }
        }
        needed.sort((a, b) -> a.which().compareTo(b.which()));
        return List.copyOf(needed);
    }

    private static ChalkLine of(Which which, RunFrame frame, TapeScale tape) {
        double across =
                switch (which) {
                    case LIMIT -> frame.depth() - frame.reserve();
                    case MIDDLE -> frame.clearance() + frame.room() / 2;
                    case CLEARANCE, LEFT_END, RIGHT_END, LEFT_ON, RIGHT_ON -> frame.clearance();
                };
        // A border's limit meets its neighbours' in the corners.
        double on = frame.id().side().isPresent() && which == Which.LIMIT ? across : 0;
        double length = frame.length();
        return switch (which) {
            case LIMIT, CLEARANCE, MIDDLE ->
                of(which, frame, new Point(-on, across), new Point(length + on, across), across, tape);
            case LEFT_END -> of(which, frame, new Point(0, 0), new Point(0, frame.depth()), 0, tape);
            case RIGHT_END -> of(which, frame, new Point(length, 0), new Point(length, frame.depth()), length, tape);
            case LEFT_ON -> of(which, frame, new Point(-frame.depth(), 0), new Point(0, 0), 0, tape);
            case RIGHT_ON -> of(which, frame, new Point(length, 0), new Point(length + frame.depth(), 0), length, tape);
        };
    }

    private static ChalkLine of(Which which, RunFrame frame, Point from, Point to, double reading, TapeScale tape) {
        return new ChalkLine(
                frame.id(),
                which,
                new Segment(frame.place(from.x(), from.y()), frame.place(to.x(), to.y())),
                TapeReading.of(reading, tape));
    }

    /** Whether a place is said to be seen and no seam and no edge of the cloth is there. */
    private static boolean isToBeDrawn(LineEnd end, RunFrame frame, List<Segment> seams) {
        boolean seen =
                switch (end.shownBy()) {
                    case SEAM, FAR_EDGE, RUN_END, MIDDLE_LINE -> false;
                    case MARK, ANYWHERE, KEPT_CLEAR, DRAWN_LINE, MITRE, STITCHING, STOP_CIRCLE, TEMPLATE, NEEDLE ->
                        true;
                };
        return !seen
                && Stream.concat(seams.stream(), Stream.of(edge(frame, 0), edge(frame, frame.depth())))
                        .noneMatch(seam -> seam.distance(end.place()) < Tolerances.SAME_PLACE);
    }

    private static Segment edge(RunFrame frame, double across) {
        return new Segment(frame.place(0, across), frame.place(frame.length(), across));
    }
}
