package jollyspindle.core.placement;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.quilt.RegionId;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * How the template lies for one stitched piece of a line.
 *
 * @param id which placement it is
 * @param of the line that is stitched
 * @param part which placement of that line, in the order of stitching, from 1
 * @param parts how many placements that line takes
 * @param tool which edge of which template
 * @param pose how it lies in the quilt's frame; the tool's own origin and home are as {@link ToolId} says
 * @param registration what it is laid on
 * @param start under the needle when the piece starts
 * @param end under the needle when the piece ends
 * @param path what is stitched, in the quilt's frame, from start to end
 */
public record Placement(
        PlacementId id,
        StitchLine of,
        int part,
        int parts,
        ToolId tool,
        Pose pose,
        Registration registration,
        LineEnd start,
        LineEnd end,
        Path path) {

    /**
     * The same placement stitched from its end to its start.
     *
     * @param line that it is part of, reversed
     */
    public Placement reversed(StitchLine line) {
        return reversed(line, registration);
    }

    /**
     * The same placement stitched from its end to its start.
     *
     * @param line that it is part of, reversed
     * @param laid what the template is laid on then
     */
    public Placement reversed(StitchLine line, Registration laid) {
        return new Placement(id, line, parts + 1 - part, parts, tool, pose, laid, end, start, path.reversed());
    }

    public RegionId region() {
        return of.region();
    }

    /** How far the stitching turns on the way, in radians; counter-clockwise if over 0. */
    public double sweep() {
        return path.curves().stream()
                .filter(Arc.class::isInstance)
                .mapToDouble(c -> ((Arc) c).sweep())
                .sum();
    }

    /** The marks that it starts and stops on, and that the template is laid on. */
    public Stream<Mark> marks() {
        return Stream.concat(Stream.of(start, end).flatMap(s -> s.mark().stream()), registration.marks());
    }

    /** The same with its marks exchanged. */
    public Placement with(UnaryOperator<Mark> exchanged) {
        return new Placement(
                id,
                of,
                part,
                parts,
                tool,
                pose,
                registration.with(exchanged, line -> line),
                start.with(exchanged),
                end.with(exchanged),
                path);
    }

    public List<Curve> curves() {
        return path.curves();
    }
}
