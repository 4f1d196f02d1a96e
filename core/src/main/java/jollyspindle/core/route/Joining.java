package jollyspindle.core.route;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Leads the needle from what is stitched in one piece of cloth to the next, along seams and over what it has just stitched. */
public final class Joining {

    private Joining() {}

    /**
     * The ways from each piece into the next.
     *
     * @param pieces in the order in which they are stitched, each with at least one line
     * @param seams that the needle can travel in, of all pieces
     * @param most that is travelled for one start less, in inches
     * @return for each piece but the first the way to its first line; nothing if the thread is begun anew there
     */
    public static List<Optional<Travel>> between(List<Routed> pieces, List<Path> seams, double most) {
        List<Point> ends = pieces.stream().flatMap(p -> ends(p.lines())).toList();
        Ditches ways = new Ditches(seams, ends);
        Ditches over = null;
        List<Optional<Travel>> between = new ArrayList<>();
        for (int i = 1; i < pieces.size(); i++) {
            List<StitchLine> before = pieces.get(i - 1).lines();
            StitchLine next = pieces.get(i).lines().get(0);
            Point at = before.get(before.size() - 1).needleAt();
            Point to = next.path().start();
            Optional<Ditches.Found> found = ways.between(at, to);
            if (found.isEmpty()) {
                if (over == null) {
                    over = new Ditches(
                            seams,
                            pieces.stream()
                                    .flatMap(p -> p.lines().stream())
                                    .flatMap(l ->
                                            Stream.of(l.path().start(), l.path().end()))
                                    .toList());
                }
                for (StitchLine line : before) {
                    over.stitched(line.path());
                }
                found = over.between(at, to);
            }
            between.add(
                    found.filter(f -> f.path().length() <= most).map(f -> new Travel(next.id(), f.how(), f.path())));
        }
        return between;
    }

    private static Stream<Point> ends(List<StitchLine> lines) {
        return Stream.of(
                lines.get(0).path().start(), lines.get(lines.size() - 1).needleAt());
    }
}
