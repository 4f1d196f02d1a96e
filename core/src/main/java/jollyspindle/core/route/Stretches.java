package jollyspindle.core.route;

import jollyspindle.core.geometry.CurveIndex;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What may be stitched in another order, and what must come before what. */
final class Stretches {

    private final Map<LineId, List<Placement>> placements;
    /** Of each line, sets of lines of which one each must be stitched before. */
    private final Map<LineId, List<Set<LineId>>> needed = new HashMap<>();

    private final List<Stretch> all = new ArrayList<>();
    private final List<StitchLine> lines;

    /** Those whose needs are found. */
    private final Map<LineId, StitchLine> byId = new HashMap<>();

    /**
     * The stretches of some lines.
     *
     * @param lines as they were laid out
     * @param placements of each line, by its id
     */
    Stretches(List<StitchLine> lines, Map<LineId, List<Placement>> placements) {
        this.placements = placements;
        List<StitchLine> glued = new ArrayList<>();
        for (StitchLine line : lines) {
            boolean goesOn = !glued.isEmpty() && waitsFor(glued.get(glued.size() - 1), line);
            if (!goesOn && !glued.isEmpty()) {
                add(glued);
                glued = new ArrayList<>();
            }
            glued.add(line);
        }
        if (!glued.isEmpty()) {
            add(glued);
        }
        this.lines = List.copyOf(lines);
    }

    /** In the order in which they were laid out. */
    List<Stretch> all() {
        return all;
    }

    private void add(List<StitchLine> lines) {
        all.add(new Stretch(List.copyOf(lines), lines.size() == 1 && turns(lines.get(0), of(lines.get(0)))));
    }

    private List<Placement> of(StitchLine line) {
        return placements.getOrDefault(line.id(), List.of());
    }

    /** Whether nothing but the needle, left by the line before, shows where a line begins. */
    private boolean waitsFor(StitchLine before, StitchLine line) {
        return before.layer() == line.layer()
                && before.needleAt().distance(line.path().start()) < Tolerances.SAME_PLACE
                && of(line).stream()
                        .findFirst()
                        .filter(p -> p.start().shownBy() == LineEnd.ShownBy.NEEDLE)
                        .isPresent();
    }

    /** Whether a line may be stitched backwards, since that is the same to the quilter. */
    static boolean turns(StitchLine line, List<Placement> own) {
        return !line.path().closed()
                && Stream.concat(
                                own.stream().limit(1).map(Placement::start),
                                own.stream().skip(Math.max(0, own.size() - 1)).map(Placement::end))
                        .noneMatch(s -> s.shownBy() == LineEnd.ShownBy.NEEDLE)
                && own.stream()
                        .filter(p -> !lies(p))
                        .flatMap(p -> Stream.of(p.start(), p.end()))
                        .noneMatch(s -> s.shownBy() == LineEnd.ShownBy.NEEDLE);
    }

    /** Whether how a template lies has nothing to do with where the needle was left when it was moved on. */
    private static boolean lies(Placement placement) {
        Registration laid = placement.registration();
        return laid instanceof Registration.OnRow
                || laid instanceof Registration.CentreOnMark
                || laid instanceof Registration.OnStitching
                || laid instanceof Registration.FootOverMarks
                || laid instanceof Registration.ByEye;
    }

    /** What a stretch is laid on or ends on that isn't its own: sets of lines of which one each must be stitched before. */
    List<Set<LineId>> waitsFor(Stretch stretch) {
        if (needed.isEmpty()) {
            findNeeded();
        }
        List<Set<LineId>> others = new ArrayList<>();
        Set<LineId> own = new HashSet<>();
        for (StitchLine line : stretch.lines()) {
            needed.get(line.id()).stream()
                    .filter(some -> some.stream().noneMatch(own::contains))
                    .forEach(others::add);
            own.add(line.id());
        }
        return others;
    }

    /** Of each stretch, sets of stretches by their numbers, from 0, of which one each must be stitched before. */
    List<List<BitSet>> waits() {
        Map<LineId, Integer> numbers = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            for (StitchLine line : all.get(i).lines()) {
                numbers.put(line.id(), i);
            }
        }
        return all.stream()
                .map(stretch -> waitsFor(stretch).stream()
                        .map(some -> some.stream().map(numbers::get).collect(BitSet::new, BitSet::set, BitSet::or))
                        .toList())
                .toList();
    }

    /** Of each stretch, how many others must follow each other before it comes, at most; the others may be laid out only before it. */
    Map<Stretch, Integer> depths() {
        Map<LineId, Integer> byLine = new HashMap<>();
        Map<Stretch, Integer> depths = new HashMap<>();
        for (Stretch stretch : all) {
            int depth = waitsFor(stretch).stream()
                    .mapToInt(some -> some.stream()
                            .mapToInt(id -> byLine.getOrDefault(id, 0) + 1)
                            .min()
                            .orElse(0))
                    .max()
                    .orElse(0);
            stretch.lines().forEach(line -> byLine.put(line.id(), depth));
            depths.put(stretch, depth);
        }
        return depths;
    }

    /** Whether everything is stitched that something is laid on or ends on. */
    boolean isReady(Stretch stretch, Set<LineId> stitched) {
        return waitsFor(stretch).stream().noneMatch(some -> some.stream().noneMatch(stitched::contains));
    }

    /** Whether an order keeps motifs one after the other, and has everything stitched by the time something is laid on it or ends on it. */
    boolean isAllowed(List<Stretch> order) {
        Set<LineId> stitched = new HashSet<>();
        int layer = 0;
        for (Stretch stretch : order) {
            if (stretch.layer() < layer) {
                return false;
            }
            layer = stretch.layer();
            if (!isReady(stretch, stitched)) {
                return false;
            }
            stretch.lines().forEach(line -> stitched.add(line.id()));
        }
        return true;
    }

    /** The lines that pass a place, or at least by no more than a chalk line's width. */
    static Set<LineId> passing(CurveIndex<LineId> lines, Point place) {
        Set<LineId> found = lines.passing(place, Tolerances.SAME_PLACE);
        return found.isEmpty() ? lines.passing(place, Tolerances.CHALK) : found;
    }

    /** The lines that show a place: that end there, where that is what is looked for and one does; else those that pass it. */
    private Set<LineId> showing(CurveIndex<LineId> lines, Point place, Registration laid) {
        Set<LineId> passing = passing(lines, place);
        Set<LineId> ending = laid instanceof Registration.OverEnd
                ? passing.stream().filter(id -> ends(byId.get(id), place)).collect(Collectors.toSet())
                : Set.of();
        return ending.isEmpty() ? passing : ending;
    }

    private static boolean ends(StitchLine line, Point place) {
        return line.path().start().distance(place) < Tolerances.SAME_PLACE
                || line.path().end().distance(place) < Tolerances.SAME_PLACE;
    }

    /** Looks what each line lies on or ends on. */
    private void findNeeded() {
        Set<LineId> ids = new HashSet<>();
        CurveIndex<LineId> before = new CurveIndex<>();
        for (StitchLine line : lines) {
            List<Set<LineId>> own = new ArrayList<>();
            for (Placement p : of(line)) {
                p.registration().before().filter(ids::contains).ifPresent(id -> own.add(Set.of(id)));
                Stream.of(p.start(), p.end())
                        .filter(s -> s.shownBy() == LineEnd.ShownBy.STITCHING)
                        .map(s -> showing(before, s.place(), p.registration()))
                        .filter(some -> !some.isEmpty())
                        .forEach(own::add);
            }
            needed.put(line.id(), own);
            ids.add(line.id());
            before.add(line.path(), line.id());
            byId.put(line.id(), line);
        }
    }
}
