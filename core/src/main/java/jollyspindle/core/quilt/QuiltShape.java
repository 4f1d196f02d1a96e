package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * The whole quilt drawn true: body, borders with their corner seams and runs, strips.
 *
 * @param body the pieced middle
 * @param rings the borders from the body outward
 * @param strips the run of each strip
 * @param reserve the corners of what may be stitched, clockwise from the top left
 */
public record QuiltShape(BodyShape body, List<RingShape> rings, List<RunFrame> strips, List<Point> reserve) {

    /**
     * The shape of a quilt of which all that is needed is measured.
     *
     * @throws java.util.NoSuchElementException if something needed isn't measured
     * @throws IllegalArgumentException if the sides don't meet
     */
    public static QuiltShape of(Quilt quilt) {
        BodyShape body = BodyShape.of(quilt);
        List<RingShape> rings = new ArrayList<>();
        for (int border = 1; border <= quilt.borders().size(); border++) {
            rings.add(RingShape.of(quilt, body, border));
        }
        List<RunFrame> strips = new ArrayList<>();
        for (GroupId id : quilt.stripIds()) {
            strips.add(quilt.strip(id).orElseThrow().frame(id.number()));
        }
        List<Point> reserve =
                rings.isEmpty() ? body.corners() : rings.get(rings.size() - 1).limit();
        return new QuiltShape(body, List.copyOf(rings), List.copyOf(strips), reserve);
    }

    /** The quilt's outer corners, clockwise from the top left. */
    public List<Point> outer() {
        return rings.isEmpty() ? body.corners() : rings.get(rings.size() - 1).outer();
    }

    /** The seams in all borders' corners. */
    public List<Segment> cornerSeams() {
        return rings.stream().flatMap(r -> r.cornerSeams().stream()).toList();
    }

    /** All runs, plain borders' too, in order. */
    public SortedMap<RunId, RunFrame> runs() {
        TreeMap<RunId, RunFrame> all = new TreeMap<>();
        rings.forEach(ring -> ring.runs().values().forEach(frame -> all.put(frame.id(), frame)));
        strips.forEach(frame -> all.put(frame.id(), frame));
        return Collections.unmodifiableSortedMap(all);
    }

    /** A run, if it is there. */
    public Optional<RunFrame> find(RunId id) {
        if (id instanceof RunId.BorderRun border) {
            return border.border() <= rings.size()
                    ? Optional.of(rings.get(border.border() - 1).runs().get(border.where()))
                    : Optional.empty();
        }
        return strips.stream().filter(strip -> strip.id().equals(id)).findFirst();
    }

    /**
     * A run that is there.
     *
     * @throws java.util.NoSuchElementException if it isn't
     */
    public RunFrame run(RunId id) {
        return find(id).orElseThrow();
    }

    /**
     * The piece of cloth a run's motif stands on, its corners in order.
     *
     * @throws java.util.NoSuchElementException if the run isn't there
     */
    public List<Point> region(RunId id) {
        return id instanceof RunId.BorderRun border
                ? rings.get(border.border() - 1).regions().get(border.where())
                : run(id).rectangle();
    }
}
