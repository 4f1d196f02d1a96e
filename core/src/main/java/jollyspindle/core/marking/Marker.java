package jollyspindle.core.marking;

import jollyspindle.core.division.RunDivision;
import jollyspindle.core.geometry.Places;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.quilt.RunFrame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Makes the marks of a run, each place once whatever is laid on it. Each is computed from the run's zero or its far end and
 * rounded once.
 */
public final class Marker {

    private static final Comparator<Mark> ALONG =
            Comparator.comparingDouble(Mark::along).thenComparing(Mark::kind).thenComparingInt(Mark::number);

    private final PieceId piece;
    private final Point origin;
    private final Point along;
    private final Point outward;
    private final double length;
    private final double middle;
    private final double clearance;
    private final Optional<RunDivision> division;
    private final TapeScale tape;
    private final boolean endsOnSeams;
    private final OptionalDouble pieced;
    private final List<Mark> marks = new ArrayList<>();

    /** By where they are, the marks' places among all. */
    private final Places<Integer> places = new Places<>(Tolerances.SAME_PLACE);

    /** The numbers of each kind, as they are told. */
    private final Map<Mark.Kind, Numbers> told = new EnumMap<>(Mark.Kind.class);

    /** Those of the present motif's own marks. */
    private final Map<Mark.Kind, Numbers> own = new EnumMap<>(Mark.Kind.class);

    /** Where seams cross or meet, apart from a run's own. */
    private final Places<Boolean> crossings = new Places<>(Tolerances.SAME_PLACE);

    private int motif = 1;

    private boolean sooner;

    /** Numbers given away. */
    private static final class Numbers {

        private final Set<Integer> taken = new HashSet<>();
        private int last;

        /** The number that is wanted; where there is none, or it is taken, the one after the last. */
        int give(OptionalInt wanted) {
            int number = wanted.isPresent() && !taken.contains(wanted.getAsInt()) ? wanted.getAsInt() : last + 1;
            taken.add(number);
            last = Math.max(last, number);
            return number;
        }
    }

    /**
     * A marker for one run.
     *
     * @param frame the run
     * @param division of the run, with what the corners take
     * @param tape the readings are for
     * @param endsOnSeams whether seams meet at both ends of the run and so mark them
     * @param unit the run is pieced from, in inches
     */
    public Marker(RunFrame frame, RunDivision division, TapeScale tape, boolean endsOnSeams, OptionalDouble unit) {
        this.piece = PieceId.of(frame.id());
        this.origin = frame.origin();
        this.along = frame.along();
        this.outward = frame.outward();
        this.length = division.length();
        this.middle = division.centre();
        this.clearance = frame.clearance();
        this.division = Optional.of(division);
        this.tape = tape;
        this.endsOnSeams = endsOnSeams;
        // The run has a whole number of units, each a little longer or shorter than it was meant to be.
        this.pieced = unit.isPresent() && Math.round(length / unit.getAsDouble()) >= 1
                ? OptionalDouble.of(length / Math.round(length / unit.getAsDouble()))
                : OptionalDouble.empty();
    }

    /**
     * A marker for an upright area, which is read along its lower edge and upwards from there.
     *
     * @param piece of the area
     * @param lowerLeft its corner, in the quilt's frame
     * @param width of it, in inches
     */
    public Marker(PieceId piece, Point lowerLeft, double width, TapeScale tape) {
        this.piece = piece;
        this.origin = lowerLeft;
        this.along = new Point(1, 0);
        this.outward = new Point(0, 1);
        this.length = width;
        this.middle = width / 2;
        this.clearance = 0;
        this.division = Optional.empty();
        this.tape = tape;
        this.endsOnSeams = false;
        this.pieced = OptionalDouble.empty();
    }

    /**
     * Says which motif the next marks are made for.
     *
     * @param lasting number of it, from 1; 0 for a corner's
     */
    public void begin(int lasting) {
        if (lasting != motif) {
            motif = lasting;
            own.clear();
        }
    }

    /** Says that seams cross or meet at a place in the quilt's frame, so that nobody need mark it. */
    public void seamsCross(Point place) {
        crossings.put(place, true);
    }

    /** Marks a valley, where two cells meet; 0 is where the first one starts. */
    public Mark valley(int k) {
        double at = division.orElseThrow().valley(k);
        return add(Mark.Kind.VALLEY, k, at, clearance, loaded(at));
    }

    /** Marks the centre on the seam, where no valley stands on it. */
    public Mark centre() {
        return add(Mark.Kind.CENTRE, 1, middle, 0, Mark.Stage.BEFORE_LOADING);
    }

    /**
     * Marks a place.
     *
     * @param number which of its kind
     * @param place in the quilt's frame
     */
    public Mark at(Mark.Kind kind, int number, Point place, Mark.Stage stage) {
        return at(kind, OptionalInt.of(number), place, stage, Optional.empty());
    }

    private Mark at(Mark.Kind kind, OptionalInt number, Point place, Mark.Stage stage, Optional<Mark.After> after) {
        Point from = place.minus(origin);
        double there = from.dot(along);
        // What rounding makes of a place on the seam is the seam.
        double across = snapped(from.dot(outward));
        return add(
                kind, number, snapped(there), across, stage == Mark.Stage.LOADED ? loaded(kind, there) : stage, after);
    }

    /** Marks a place once something is stitched. */
    public Mark later(Mark.Kind kind, int number, Point place, Mark.After after) {
        return at(kind, OptionalInt.of(number), place, Mark.Stage.STITCHED, Optional.of(after));
    }

    /** Marks a place once something is stitched, numbering it after the last of its kind. */
    public Mark later(Mark.Kind kind, Point place, Mark.After after) {
        return at(kind, OptionalInt.empty(), place, Mark.Stage.STITCHED, Optional.of(after));
    }

    /** Marks a place, numbering it after the last of its kind. */
    public Mark next(Mark.Kind kind, Point place, Mark.Stage stage) {
        return at(kind, OptionalInt.empty(), place, stage, Optional.empty());
    }

    /**
     * Notes a place that the template shows by itself once it is laid, unless it is marked anyway.
     *
     * @param number which of its kind
     * @param place in the quilt's frame
     */
    public void shownByTemplate(Mark.Kind kind, int number, Point place) {
        if (places.at(place).isPresent()) {
            return;
        }
        int before = marks.size();
        Point from = place.minus(origin);
        Mark mark = add(kind, number, snapped(from.dot(along)), snapped(from.dot(outward)), Mark.Stage.LOADED);
        if (marks.size() > before && mark.by() == Mark.MarkedBy.CHALK) {
            marks.set(before, mark.shownBy(Mark.MarkedBy.TEMPLATE));
        }
    }

    private static double snapped(double inches) {
        return Math.abs(inches) < Tolerances.ROUNDING ? 0 : inches;
    }

    /** The centres of runs are marked while the quilt lies flat; so are an area's centre and its rays. */
    private Mark.Stage loaded(Mark.Kind kind, double along) {
        if (division.isPresent()) {
            return loaded(along);
        }
        return kind == Mark.Kind.CENTRE || kind == Mark.Kind.RAY ? Mark.Stage.BEFORE_LOADING : Mark.Stage.LOADED;
    }

    private Mark.Stage loaded(double along) {
        return isCentre(along) ? Mark.Stage.BEFORE_LOADING : Mark.Stage.LOADED;
    }

    private boolean marksItself(double along, double across) {
        boolean end = Math.abs(along) < Tolerances.ROUNDING || Math.abs(along - length) < Tolerances.ROUNDING;
        if (end) {
            return endsOnSeams && across == 0;
        }
        // Only on the seam does a pieced unit's seam end that can be laid on.
        return across == 0
                && along > 0
                && along < length
                && pieced.isPresent()
                && Math.abs(along - Math.rint(along / pieced.getAsDouble()) * pieced.getAsDouble()) <= Tolerances.CHALK;
    }

    private boolean isCentre(double along) {
        return Math.abs(along - middle) < Tolerances.ROUNDING * Math.max(1, length);
    }

    private Mark add(Mark.Kind kind, int wanted, double along, double across, Mark.Stage stage) {
        return add(kind, OptionalInt.of(wanted), along, across, stage, Optional.empty());
    }

    private Mark add(
            Mark.Kind kind,
            OptionalInt wanted,
            double along,
            double across,
            Mark.Stage stage,
            Optional<Mark.After> after) {
        Point place = origin.plus(this.along.times(along)).plus(outward.times(across));
        Optional<Integer> there = places.at(place);
        if (there.isPresent()) {
            Mark mark = marks.get(there.get());
            if (mark.stage() == Mark.Stage.STITCHED && stage != Mark.Stage.STITCHED) {
                // Somebody needs it before that is stitched.
                mark = mark.madeAt(stage);
                marks.set(there.get(), mark);
                sooner = true;
            }
            return mark;
        }
        // Two motifs may each have a third crown; the later one is numbered after all others.
        Mark mark = new Mark(
                new MarkId(
                        piece,
                        motif,
                        kind,
                        own.computeIfAbsent(kind, k -> new Numbers()).give(wanted)),
                told.computeIfAbsent(kind, k -> new Numbers()).give(wanted),
                kind != Mark.Kind.HAND_OVER && isCentre(along),
                along,
                across,
                place,
                marksItself(along, across) || crossings.at(place).isPresent()
                        ? Mark.MarkedBy.SEAM
                        : Mark.MarkedBy.CHALK,
                stage,
                after,
                new Mark.Readings(tape.read(along), tape.read(length - along), tape.read(along - middle)),
                tape.read(across));
        places.put(place, marks.size());
        marks.add(mark);
        return mark;
    }

    /** Whether a mark that was handed out is made sooner than it said then. */
    public boolean isSooner() {
        return sooner;
    }

    /**
     * A mark that was handed out, as it is made: it may have waited for stitching that what was laid out later can't wait for.
     */
    public Mark asMade(Mark mark) {
        return places.at(mark.place())
                .map(marks::get)
                .filter(made -> made.id().equals(mark.id()))
                .orElse(mark);
    }

    /** The cloth that is marked. */
    public PieceId piece() {
        return piece;
    }

    /** All marks made, along the run. */
    public List<Mark> marks() {
        return marks.stream().sorted(ALONG).toList();
    }
}
