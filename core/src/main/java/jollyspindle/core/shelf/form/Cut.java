package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The true geometry of a template.
 *
 * @param pieces of acrylic
 * @param guides the edges the foot runs along, the main one first
 */
public record Cut(List<Piece> pieces, List<Guide> guides) {

    /**
     * One piece of acrylic.
     *
     * @param outlines closed, the outer one first, then the openings in it
     */
    public record Piece(List<Path> outlines) {

        static Piece of(Path... outlines) {
            return new Piece(List.of(outlines));
        }

        /** Whether there is acrylic at a place. */
        public boolean covers(Point p) {
            return outlines.stream().filter(o -> o.contains(p)).count() % 2 == 1;
        }

        public Piece posed(Pose pose) {
            return new Piece(outlines.stream().map(o -> o.posed(pose)).toList());
        }

        public Piece moved(Point by) {
            return new Piece(outlines.stream().map(o -> o.moved(by)).toList());
        }
    }

    public Cut {
        pieces = List.copyOf(pieces);
        guides = List.copyOf(guides);
    }

    static final Cut NOTHING = new Cut(List.of(), List.of());

    public Optional<Guide> main() {
        return guides.stream().findFirst();
    }

    public Optional<Guide> guide(String id) {
        return guides.stream().filter(g -> g.id().equals(id)).findFirst();
    }

    /** The box round all acrylic; nothing if there is none. */
    public Optional<Box> box() {
        return pieces.stream()
                .flatMap(p -> p.outlines().stream())
                .map(Path::box)
                .reduce(Box::with);
    }

    public boolean covers(Point p) {
        return pieces.stream().anyMatch(piece -> piece.covers(p));
    }

    /**
     * Where a straight line runs over acrylic.
     *
     * @param through a place on the line
     * @param direction unit vector
     * @param onlyAhead whether the line starts at that place
     */
    public List<Segment> chords(Point through, Point direction, boolean onlyAhead) {
        double far = 4 * Form.LARGEST;
        Segment line = new Segment(
                onlyAhead ? through : through.minus(direction.times(far)), through.plus(direction.times(far)));
        List<Double> places = new ArrayList<>(List.of(0.0, 1.0));
        for (Piece piece : pieces) {
            for (Path outline : piece.outlines()) {
                outline.curves().forEach(c -> Crossings.of(line, c).forEach(x -> places.add(x.onFirst())));
            }
        }
        places.sort(null);
        List<Segment> chords = new ArrayList<>();
        double from = Double.NaN;
        double last = 0;
        for (double to : places) {
            if ((to - last) * line.length() < Tolerances.SAME_PLACE) {
                continue;
            }
            Point middle = line.at((last + to) / 2);
            // Along an edge, what lies there still lies on the acrylic.
            boolean inside = covers(middle) || isOnEdge(middle);
            if (inside && Double.isNaN(from)) {
                from = last;
            } else if (!inside && !Double.isNaN(from)) {
                chords.add(line.piece(from, last));
                from = Double.NaN;
            }
            last = to;
        }
        return chords;
    }

    /** What of a path lies on acrylic, in the path's direction. */
    public List<Path> within(Path path) {
        return pieces.stream()
                .flatMap(piece -> Region.of(piece.outlines()).within(path).stream())
                .toList();
    }

    private boolean isOnEdge(Point p) {
        return pieces.stream()
                .flatMap(piece -> piece.outlines().stream())
                .anyMatch(outline -> outline.distance(p) < Tolerances.ROUNDING);
    }
}
