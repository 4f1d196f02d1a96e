package jollyspindle.core.placement;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.shelf.form.EngravedLine;

import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** What a template is laid on, so that it lies as planned. */
public sealed interface Registration {

    /**
     * The same with other marks and lines; itself if it has none.
     *
     * @param marks what each mark becomes
     * @param lines what each earlier line becomes
     */
    default Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
        return this;
    }

    /** The marks that the template is laid on. */
    default Stream<Mark> marks() {
        return Stream.empty();
    }

    /** What of the template lies on an edge of the run, if the template stands upright on it. */
    default Optional<SeamRegister> standing() {
        return Optional.empty();
    }

    /** The earlier line that the template is laid on or against, if it is one. */
    default Optional<LineId> before() {
        return Optional.empty();
    }

    /**
     * Something of the template lies on the edge of the run that the motif stands on.
     *
     * @param what of the template
     * @param far whether that is the run's outer edge and not its seam
     * @param centre the mark that the template's centre line lies on besides, where the ends of the line don't tell
     * @param engraved whether the template has a centre line; otherwise tape is stuck on for one
     */
    record OnSeam(SeamRegister what, boolean far, Optional<Mark> centre, boolean engraved) implements Registration {
        @Override
        public Optional<SeamRegister> standing() {
            return Optional.of(what);
        }

        @Override
        public Stream<Mark> marks() {
            return centre.stream();
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new OnSeam(what, far, centre.map(marks), engraved);
        }
    }

    /**
     * The edge lies along a start mark, and a line engraved at an angle to it lies on the seam.
     *
     * @param angle from the seam to the edge, in radians
     */
    record AtAngle(double angle) implements Registration {}

    /**
     * The template is turned, so that none of its lines is parallel to the seam: it is pushed against the foot with the
     * needle over the start mark, and against the foot again over the end mark.
     */
    record FootOnBothMarks() implements Registration {}

    /**
     * A straight edge lies by eye, along the line before and somewhere within limits from it: what is uneven on purpose.
     *
     * @param lineId the line before; without one it is what the lines begin at
     * @param least from there, in inches
     * @param most from there, in inches
     */
    record ByEye(Optional<LineId> lineId, double least, double most) implements Registration {
        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new ByEye(lineId.map(lines), least, most);
        }

        @Override
        public Optional<LineId> before() {
            return lineId;
        }
    }

    /**
     * There is no template: the line is stitched by hand.
     *
     * @param drawn whether along what is drawn
     */
    record ByHand(boolean drawn) implements Registration {}

    /**
     * An edge lies along a line, mostly a straight one, on which two marks stand: foot over the one, then over the other, edge against
     * it both times. Where on that line the stitching starts and ends is seen otherwise.
     *
     * @param first of the marks
     * @param second of them
     */
    record FootOverMarks(Mark first, Mark second) implements Registration {
        @Override
        public Stream<Mark> marks() {
            return Stream.of(first, second);
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new FootOverMarks(marks.apply(first), marks.apply(second));
        }
    }

    /**
     * A straight edge slides on along the line it has stitched so far: against the foot where the needle waits, straight on, and
     * against the foot over a mark.
     *
     * @param far the mark, where this part ends
     */
    record Onward(Mark far) implements Registration {
        @Override
        public Stream<Mark> marks() {
            return Stream.of(far);
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new Onward(marks.apply(far));
        }
    }

    /**
     * The edge lies against the foot over the place that several lines start from, and a line engraved beside it over the far
     * end of the line before.
     *
     * @param lineId the line before; without one it is a seam, which ends in a corner
     * @param fromEdge from the template's edge to what lies over that end, in inches, 0 or more
     * @param engraved whether there is an engraved line at that distance; otherwise tape goes there
     * @param left whether that end lies on the left of the line's way
     */
    record OverEnd(Optional<LineId> lineId, double fromEdge, boolean engraved, boolean left) implements Registration {
        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new OverEnd(lineId.map(lines), fromEdge, engraved, left);
        }

        @Override
        public Optional<LineId> before() {
            return lineId;
        }
    }

    /** The template's centre line lies on the mitre, and its edge against the foot over both marks. */
    record OnMitre() implements Registration {}

    /**
     * The edge lies along an earlier line of stitching, or a line engraved beside the edge does.
     *
     * @param lineId the earlier line
     * @param fromEdge from the template's edge to what lies on the stitching, in inches; 0 if it is the edge itself
     * @param engraved whether there is an engraved line at that distance; otherwise tape goes there
     */
    record OnStitching(LineId lineId, double fromEdge, boolean engraved) implements Registration {

        /** A template that is laid on a line lies along so much of it, in inches, or it isn't held (common practice, no source). */
        private static final double HELD_ALONG = 0.5;

        /** Whether a line lies beside a straight part of another far enough for the template to be laid on it. */
        public static boolean holds(Path line, Segment part) {
            return beside(line, part) >= Math.min(HELD_ALONG, part.length() / 4);
        }

        /** How much of a straight part lies beside a line, in inches; beside something round all of it does. */
        public static double beside(Path line, Segment part) {
            Point way = part.direction(0);
            return line.curves().stream()
                    .mapToDouble(curve -> {
                        if (!(curve instanceof Segment)) {
                            return part.length();
                        }
                        if (Math.abs(curve.direction(0).cross(way)) >= Tolerances.SAME_PLACE) {
                            return 0;
                        }
                        double from = curve.start().minus(part.from()).dot(way);
                        double to = curve.end().minus(part.from()).dot(way);
                        return Math.min(part.length(), Math.max(from, to)) - Math.max(0, Math.min(from, to));
                    })
                    .max()
                    .orElseThrow();
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new OnStitching(lines.apply(lineId), fromEdge, engraved);
        }

        @Override
        public Optional<LineId> before() {
            return Optional.of(lineId);
        }
    }

    /**
     * A round edge beside a round seam: the edge, or a line engraved along it, lies on the seam all along the template, wherever that
     * has slid round to.
     *
     * @param fromEdge from the template's edge to what lies on the seam, in inches; 0 if it is the edge itself
     * @param engraved whether there is an engraved line at that distance; otherwise tape goes there
     */
    record AlongSeam(double fromEdge, boolean engraved) implements Registration {}

    /**
     * A row of shells: something that runs across the template lies on the crowns stitched before, or on the edge that the
     * area's rows begin at.
     *
     * @param line the engraved line that lies there; without one tape goes there
     * @param belowCrowns from the template's own crowns straight down to it, in inches, 0 or more
     * @param lineId the row stitched before; without one it is something straight
     * @param level what that is
     * @param valley the mark that one of the template's valleys lies over; without one it lies over one of the crowns, if there are
     *     any, or tells nothing
     */
    record OnRow(
            Optional<EngravedLine> line,
            double belowCrowns,
            Optional<LineId> lineId,
            Level level,
            Optional<Mark> valley)
            implements Registration {

        /** Whether one of the template's valleys lies over one of the crowns. */
        public boolean overCrown() {
            return lineId.isPresent() && valley.isEmpty();
        }

        @Override
        public Stream<Mark> marks() {
            return valley.stream();
        }

        /** Something straight that a row of shells is laid on. */
        public enum Level {
            LOWER_EDGE,
            UPPER_EDGE,
            /** A line that is drawn across. */
            DRAWN_LINE
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new OnRow(line, belowCrowns, lineId.map(lines), level, valley.map(marks));
        }

        @Override
        public Optional<LineId> before() {
            return lineId;
        }
    }

    /**
     * The template's centre lies on a mark, and one of its straight legs or lines on the seam.
     *
     * @param centre the mark
     * @param legOnSeam whether something lies on the seam besides
     */
    record CentreOnMark(Mark centre, boolean legOnSeam) implements Registration {
        @Override
        public Stream<Mark> marks() {
            return Stream.of(centre);
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new CentreOnMark(marks.apply(centre), legOnSeam);
        }
    }

    /**
     * The template slides on along a chain: its middle line lies on the line drawn along the middle of the run, and its edge
     * against the foot, with the needle on that line so far beyond what was stitched before.
     *
     * @param lineId what was stitched before
     * @param gap from there to the needle, in inches, 0 or more
     * @param engraved whether the template has a middle line; otherwise tape is stuck on for one
     */
    record InChain(LineId lineId, double gap, boolean engraved) implements Registration {
        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new InChain(lines.apply(lineId), gap, engraved);
        }

        @Override
        public Optional<LineId> before() {
            return Optional.of(lineId);
        }
    }

    /**
     * Both ends are so far on from those of the line before, along what they lie on, and the foot tells how the template lies, over
     * the one and over the other.
     *
     * @param lineId the line before
     * @param atStart from its end that is next to the start, in inches, over 0
     * @param atEnd from its end that is next to the end, in inches, over 0
     */
    record Stepped(LineId lineId, double atStart, double atEnd) implements Registration {

        /** Whether it is as far at both ends. */
        public boolean alike() {
            return Math.abs(atStart - atEnd) < Tolerances.SAME_PLACE;
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new Stepped(lines.apply(lineId), atStart, atEnd);
        }

        @Override
        public Optional<LineId> before() {
            return Optional.of(lineId);
        }
    }

    /**
     * A strip with a zigzag edge: tape across its back lies on the edge of the run that the motif stands on, and one of its notches
     * over a mark, or the foot.
     *
     * @param mark under the needle in the notch, or straight below it; nothing if the start's own mark tells
     * @param below from the strip's points straight down to the tape's upper edge, in inches
     * @param far whether it lies on the run's outer edge and not on its seam
     */
    record NotchOnMark(Optional<Mark> mark, double below, boolean far) implements Registration {
        @Override
        public Stream<Mark> marks() {
            return mark.stream();
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new NotchOnMark(mark.map(marks), below, far);
        }
    }

    /**
     * A strip that lies across the run: a line across it lies on the edge of the run, and its edge against the foot, with the
     * needle on a mark there, or so far along the edge from where the line before meets it.
     *
     * @param fromMiddle from the strip's middle along it to the line, in inches, in its own frame to the right
     * @param engraved whether that is the strip's engraved middle line; otherwise tape goes there
     * @param far whether it lies on the run's outer edge and not on its seam
     * @param lineId the line before; nothing if the start is marked
     * @param step from there to the needle, in inches; 0 if the start is marked
     */
    record Crosswise(double fromMiddle, boolean engraved, boolean far, Optional<LineId> lineId, double step)
            implements Registration {
        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new Crosswise(fromMiddle, engraved, far, lineId.map(lines), step);
        }

        @Override
        public Optional<LineId> before() {
            return lineId;
        }
    }

    /**
     * A template's reference line lies on a ray from the centre.
     *
     * @param centre the mark of the centre
     * @param ray the mark where the ray meets the area's edge
     * @param hooked whether its hook goes round the foot over the centre; otherwise its middle line is meant
     * @param engraved whether that line is on it; otherwise tape is stuck on for one
     */
    record OnRay(Mark centre, Mark ray, boolean hooked, boolean engraved) implements Registration {

        /**
         * Whether the foot stands in the hook when the template is laid; otherwise the hook's middle lies over the centre's mark.
         *
         * @param start where the needle is then
         */
        public boolean onFoot(Point start) {
            return hooked && start.distance(centre.place()) < Tolerances.CHALK;
        }

        @Override
        public Stream<Mark> marks() {
            return Stream.of(centre, ray);
        }

        @Override
        public Registration with(UnaryOperator<Mark> marks, UnaryOperator<LineId> lines) {
            return new OnRay(marks.apply(centre), marks.apply(ray), hooked, engraved);
        }
    }
}
