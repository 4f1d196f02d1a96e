package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Where 1/4 tape goes on the back of a template for what no engraved line gives (common practice, no source). */
public final class TapePlaces {

    /** What is wanted of the line that is laid on a seam or on earlier stitching. Inches. */
    public sealed interface Wanted {

        /** Where it is on a template; nothing if it lies beside the acrylic, or the edge isn't of that kind. */
        Optional<Place> find(Template template, Guide guide, Machine machine);

        /** Stitched so high above the seam. */
        record Rise(double inches) implements Wanted {

            @Override
            public Optional<Place> find(Template template, Guide guide, Machine machine) {
                return rise(template, guide, inches, machine);
            }
        }

        /** So far from earlier stitching that runs alike. */
        record Spacing(double inches) implements Wanted {

            @Override
            public Optional<Place> find(Template template, Guide guide, Machine machine) {
                return beside(template, guide, inches - machine.footRadius());
            }
        }

        /** Laid on a stitched circle of that radius about the same centre. */
        record Radius(double inches) implements Wanted {

            @Override
            public Optional<Place> find(Template template, Guide guide, Machine machine) {
                return guide.round()
                        .flatMap(round -> beside(template, guide, round.edge().footSign() * (round.radius() - inches)));
            }
        }
    }

    /**
     * A place on a template.
     *
     * @param fromEdge of the tape's near edge from the acrylic edge, in inches: straight down from the crown for a rise,
     *     else square to the edge
     * @param line the engraved line next to it
     * @param beyondLine from that line on to the tape, away from the edge, in inches; negative towards the edge
     * @param onLine whether the line serves as it is, within {@link Tolerances#CHALK}
     * @param strokes where it lies, in the template's frame
     */
    public record Place(
            double fromEdge, Optional<EngravedLine> line, double beyondLine, boolean onLine, List<Path> strokes) {}

    private TapePlaces() {}

    /**
     * Finds the place.
     *
     * @param guide edge the foot runs along
     * @return nothing if that lies beside the acrylic, or if the edge isn't of the kind that this is wanted of
     */
    public static Optional<Place> find(Template template, Guide guide, Wanted wanted, Machine machine) {
        return wanted.find(template, guide, machine);
    }

    private static Optional<Place> beside(Template template, Guide guide, double fromEdge) {
        Cut cut = template.cut();
        if (fromEdge < -Tolerances.ROUNDING) {
            return Optional.empty();
        }
        List<Path> strokes = template.parallel(cut, guide, Math.max(0, fromEdge));
        if (strokes.isEmpty()) {
            return Optional.empty();
        }
        // Parallels are engraved along the main edge.
        boolean main = cut.main().filter(guide::equals).isPresent();
        return Optional.of(place(
                fromEdge,
                main
                        ? template.lines().stream()
                                .filter(l -> l.kind() == EngravedLine.Kind.PARALLEL)
                                .toList()
                        : List.of(),
                l -> l.fromEdge(1),
                strokes));
    }

    private static Optional<Place> rise(Template template, Guide guide, double rise, Machine machine) {
        Optional<ArcTemplate> arc = template.arcs().stream()
                .filter(a -> a.guideId().equals(guide.id()))
                .findFirst();
        if (arc.isEmpty()) {
            return Optional.empty();
        }
        double below = arc.get().crownToSeam(rise, machine);
        List<Path> strokes = arc.get().strokesAt(below).stream()
                .map(s -> Path.of(s).moved(guide.round().orElseThrow().centre()))
                .toList();
        if (strokes.isEmpty()) {
            return Optional.empty();
        }
        ArcTemplate edge = arc.get();
        List<EngravedLine> lines = template.lines().stream()
                .filter(l -> l.kind() == EngravedLine.Kind.RISE
                        && edge.riseLines().stream().anyMatch(r -> r.label() == l.value()))
                .toList();
        return Optional.of(place(
                below,
                lines,
                l -> edge.riseLines().stream()
                        .filter(r -> r.label() == l.value())
                        .findFirst()
                        .orElseThrow()
                        .belowCrown(),
                strokes));
    }

    private interface FromEdge {
        double of(EngravedLine line);
    }

    private static Place place(double fromEdge, List<EngravedLine> lines, FromEdge at, List<Path> strokes) {
        Optional<EngravedLine> nearest =
                lines.stream().min(Comparator.comparingDouble(l -> Math.abs(at.of(l) - fromEdge)));
        double beyond = nearest.map(l -> fromEdge - at.of(l)).orElse(Double.NaN);
        return new Place(fromEdge, nearest, beyond, Math.abs(beyond) <= Tolerances.CHALK, strokes);
    }
}
