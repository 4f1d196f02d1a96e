package jollyspindle.core.route;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.PlacementId;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Cuts lines in two, each part with the template as it lay for the whole. */
final class Cutting {

    private final Map<LineId, List<Placement>> placements;

    /** Those that are laid on a line, by that line. */
    private final Map<LineId, List<Placement>> laidOn = new HashMap<>();

    /** What was cut, and into what. */
    private final Map<LineId, List<StitchLine>> parts = new HashMap<>();

    /** The last section of each line. */
    private final Map<LineId, Integer> sections = new HashMap<>();

    /**
     * For some lines.
     *
     * @param placements of each line, by its id
     */
    Cutting(Map<LineId, List<Placement>> placements) {
        this.placements = placements;
        placements.values().stream().flatMap(Collection::stream).forEach(p -> p.registration()
                .before()
                .ifPresent(
                        id -> laidOn.computeIfAbsent(id, i -> new ArrayList<>()).add(p)));
        placements.keySet().forEach(id -> sections.merge(id.section(1), id.section(), Math::max));
    }

    /**
     * A cut.
     *
     * @param place where
     * @param placement in which of the line's placements that is, from 0
     * @param before the path of the line up to there
     * @param after the rest
     */
    record Cut(Point place, int placement, Path before, Path after) {

        /** The end of the line that is further away. */
        Point farEnd() {
            return before.length() > after.length() ? before.start() : after.end();
        }

        /** How far it is to the nearer end, in inches. */
        double stub() {
            return Math.min(before.length(), after.length());
        }
    }

    /** A line, or what it was cut into, and how templates lie for it. */
    record Part(StitchLine line, List<Placement> placements) {}

    /**
     * How a line is cut in a place.
     *
     * @param least the shortest part, in inches
     * @return nothing if it can't be, or if something wouldn't be held any more that is laid on it or that it is laid on
     */
    Optional<Cut> cut(StitchLine line, Point place, double least) {
        List<Placement> own = own(line);
        Optional<Path> before = line.path().between(line.path().start(), place);
        Optional<Path> after = line.path().between(place, line.path().end());
        if (line.path().closed() || before.isEmpty() || after.isEmpty()) {
            return Optional.empty();
        }
        return IntStream.range(0, own.size())
                .filter(i -> laid(own.get(i)).isPresent() && isInside(own.get(i), place))
                .mapToObj(i -> new Cut(place, i, before.get(), after.get()))
                .filter(cut -> cut.stub() >= least && isHeld(line, cut))
                .findFirst();
    }

    private static boolean isInside(Placement placement, Point place) {
        Path path = placement.path();
        return path.between(path.start(), place).isPresent()
                && path.between(place, path.end()).isPresent();
    }

    private List<Placement> own(StitchLine line) {
        return placements.getOrDefault(line.id(), List.of());
    }

    /** What a template is laid on once but a part is stitched along it; nothing if that has to do with the ends of the whole. */
    private static Optional<Registration> laid(Placement placement) {
        Registration laid = placement.registration();
        if (laid instanceof Registration.FootOnBothMarks
                && placement.path().curves().size() == 1) {
            return placement.start().mark().flatMap(first -> placement
                    .end()
                    .mark()
                    .map(second -> new Registration.FootOverMarks(first, second)));
        }
        boolean lies = laid instanceof Registration.FootOverMarks
                || laid instanceof Registration.OnStitching
                || laid instanceof Registration.CentreOnMark
                || laid instanceof Registration.OnRay
                || laid instanceof Registration.OnRow
                || laid instanceof Registration.AlongSeam
                || laid instanceof Registration.ByHand;
        return lies ? Optional.of(laid) : Optional.empty();
    }

    // --- what lies on what -------------------------------------------------------------------------------------

    /** Whether everything that is laid on something is still held once a line is cut. */
    private boolean isHeld(StitchLine line, Cut cut) {
        List<Path> halves = List.of(cut.before(), cut.after());
        boolean others = laidOn.getOrDefault(line.id(), List.of()).stream()
                .allMatch(p -> straight(p).filter(part -> isHeld(part, halves)).isPresent());
        return others && isHeldOnParts(own(line).get(cut.placement()), cut.place());
    }

    /** Whether what is cut is still held on what that was cut into before. */
    private boolean isHeldOnParts(Placement own, Point place) {
        List<Path> on = own.registration().before().map(parts::get).orElse(List.of()).stream()
                .map(StitchLine::path)
                .toList();
        return on.isEmpty()
                || straight(own)
                        .filter(part -> isHeld(new Segment(part.from(), place), on)
                                && isHeld(new Segment(place, part.to()), on))
                        .isPresent();
    }

    /** The part that is stitched along a straight edge that is laid along a line. */
    private static Optional<Segment> straight(Placement p) {
        return p.registration() instanceof Registration.OnStitching
                        && p.path().curves().get(0) instanceof Segment part
                ? Optional.of(part)
                : Optional.empty();
    }

    private static boolean isHeld(Segment laid, List<Path> on) {
        return on.stream().anyMatch(path -> Registration.OnStitching.holds(path, laid));
    }

    /** The part of a line that was cut, that something straight lies along most. */
    private LineId now(LineId on, Segment laid) {
        return parts.getOrDefault(on, List.of()).stream()
                .max(Comparator.comparingDouble(part -> Registration.OnStitching.beside(part.path(), laid)))
                .map(StitchLine::id)
                .orElse(on);
    }

    // --- cutting -----------------------------------------------------------------------------------------------

    /** Lines as they are, on what those before were cut into. */
    List<Part> whole(List<StitchLine> lines) {
        return lines.stream()
                .map(line ->
                        new Part(line, own(line).stream().map(this::onParts).toList()))
                .toList();
    }

    private Placement onParts(Placement p) {
        return laid(p, p.of(), p.part(), p.parts());
    }

    /** A line in two parts, from its start to where it is cut and on from there; the shorter one first. */
    List<Part> cut(StitchLine line, Cut cut) {
        int next = sections.merge(line.id().section(1), 1, Integer::sum);
        StitchLine first = new StitchLine(line.id(), line.layer(), line.passes(), cut.before());
        StitchLine second = new StitchLine(line.id().section(next), line.layer(), line.passes(), cut.after());
        parts.put(line.id(), List.of(first, second));
        List<Placement> own = own(line);
        Placement on = own.get(cut.placement());
        Registration laid = laid(on).orElseThrow();
        LineEnd place = LineEnd.at(cut.place(), LineEnd.ShownBy.STITCHING);
        List<Placement> early = new ArrayList<>(own.subList(0, cut.placement()));
        early.add(part(on, laid, on.start(), place));
        List<Placement> late = new ArrayList<>(List.of(part(on, laid, place, on.end())));
        late.addAll(own.subList(cut.placement() + 1, own.size()));
        List<Part> both =
                new ArrayList<>(List.of(new Part(first, of(first, early)), new Part(second, of(second, late))));
        both.sort(Comparator.comparingDouble(part -> part.line().path().length()));
        return both;
    }

    private static Placement part(Placement of, Registration laid, LineEnd start, LineEnd end) {
        Path path = of.path().between(start.place(), end.place()).orElseThrow();
        return new Placement(of.id(), of.of(), 1, 1, of.tool(), of.pose(), laid, start, end, path);
    }

    private List<Placement> of(StitchLine line, List<Placement> own) {
        List<Placement> all = new ArrayList<>();
        for (int i = 0; i < own.size(); i++) {
            Placement p = own.get(i);
            all.add(laid(p, line, i + 1, own.size()));
        }
        return all;
    }

    /** The same of a line that may be part of what it was, laid on what is left of the one before. */
    private Placement laid(Placement p, StitchLine line, int part, int count) {
        Registration now = straight(p)
                .map(straight -> p.registration().with(mark -> mark, id -> now(id, straight)))
                .orElse(p.registration());
        return new Placement(
                new PlacementId(line.id(), count > 1 ? part : 0),
                line,
                part,
                count,
                p.tool(),
                p.pose(),
                now,
                p.start(),
                p.end(),
                p.path());
    }
}
