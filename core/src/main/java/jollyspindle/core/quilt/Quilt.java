package jollyspindle.core.quilt;

import jollyspindle.core.code.LastingNumbers;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A quilt, as measured so far. What the tape said stays as it is; what is planned with stands beside it ({@link #planned}).
 *
 * @param measured the lengths measured, in inches; what is missing isn't measured yet
 * @param borders from the body outward, at most {@link #MOST_BORDERS}
 * @param easing what opposite sides are planned at
 * @param strips quilted like borders
 * @param areas of the body
 * @param numbers by which strips and areas are named
 */
public record Quilt(
        SortedMap<Dimension, Double> measured,
        List<Border> borders,
        Easings easing,
        List<Strip> strips,
        List<Area> areas,
        Numbers numbers) {

    public static final int MOST_BORDERS = 4;

    /**
     * What opposite sides are planned at.
     *
     * @param across top and bottom
     * @param down right and left
     */
    public record Easings(Easing across, Easing down) {

        public static final Easings NONE = new Easings(Easing.AS_MEASURED, Easing.AS_MEASURED);

        public Easing of(Side side) {
            return side.isAcross() ? across : down;
        }

        public Easings with(Side side, Easing other) {
            return side.isAcross() ? new Easings(other, down) : new Easings(across, other);
        }
    }

    /**
     * The numbers that strips and areas keep when others come and go, each in the order in which they are listed.
     *
     * @param strips one each; where there are too few, or one twice, another is given
     * @param areas likewise
     */
    public record Numbers(List<Integer> strips, List<Integer> areas) {

        /** Each has the number of its place. */
        public static final Numbers BY_PLACE = new Numbers(List.of(), List.of());

        public Numbers {
            strips = List.copyOf(strips);
            areas = List.copyOf(areas);
        }

        private static List<Integer> given(List<Integer> numbers, int size) {
            List<Integer> all = new ArrayList<>(numbers.subList(0, Math.min(size, numbers.size())));
            all.addAll(Collections.nCopies(size - all.size(), 0));
            return LastingNumbers.given(all, n -> n, (was, now) -> now);
        }
    }

    public Quilt {
        measured = Collections.unmodifiableSortedMap(new TreeMap<>(measured));
        measured.values().forEach(v -> {
            Guards.atLeast("length", v, 0);
        });
        borders = List.copyOf(borders);
        strips = List.copyOf(strips);
        areas = List.copyOf(areas);
        Guards.within("borders", borders.size(), 0, MOST_BORDERS);
        Guards.within("strips", strips.size(), 0, Strip.MOST);
        Guards.within("areas", areas.size(), 0, Area.MOST_AREAS);
        numbers = new Numbers(
                Numbers.given(numbers.strips(), strips.size()), Numbers.given(numbers.areas(), areas.size()));
    }

    /** A quilt whose strips and areas have the numbers of their places. */
    public Quilt(
            SortedMap<Dimension, Double> measured,
            List<Border> borders,
            Easings easing,
            List<Strip> strips,
            List<Area> areas) {
        this(measured, borders, easing, strips, areas, Numbers.BY_PLACE);
    }

    /** A quilt with one border and nothing else. */
    public Quilt(Map<Dimension, Double> measured, Corners corners) {
        this(new TreeMap<>(measured), List.of(Border.USUAL.with(corners)), Easings.NONE, List.of(), List.of());
    }

    /** A quilt with one border, of which nothing is measured. */
    public static Quilt unmeasured() {
        return new Quilt(Map.of(), Corners.MITRED);
    }

    public Quilt with(Dimension dimension, double inches) {
        TreeMap<Dimension, Double> copy = new TreeMap<>(measured);
        copy.put(dimension, inches);
        return withMeasured(copy);
    }

    /**
     * This quilt with a length just read off the tape. The first depth of a border holds on all sides until another is
     * measured, since most borders are cut to one width.
     */
    public Quilt measuring(Dimension dimension, double inches) {
        Quilt next = with(dimension, inches);
        if (dimension.kind() == Dimension.Kind.DEPTH) {
            for (Side side : Side.values()) {
                Dimension depth = Dimension.depth(dimension.border(), side);
                next = next.get(depth).isPresent() ? next : next.with(depth, inches);
            }
        }
        return next;
    }

    public Quilt without(Dimension dimension) {
        TreeMap<Dimension, Double> copy = new TreeMap<>(measured);
        copy.remove(dimension);
        return withMeasured(copy);
    }

    private Quilt withMeasured(SortedMap<Dimension, Double> other) {
        return new Quilt(other, borders, easing, strips, areas, numbers);
    }

    /** This quilt with other corners of its innermost border. */
    public Quilt with(Corners other) {
        return withBorder(1, border(1).with(other));
    }

    public Quilt with(Easings other) {
        return new Quilt(measured, borders, other, strips, areas, numbers);
    }

    /** This quilt with other strips; those at places that there were keep the numbers of these. */
    public Quilt withStrips(List<Strip> other) {
        return new Quilt(measured, borders, easing, other, areas, numbers);
    }

    /** This quilt with other areas; those at places that there were keep the numbers of these. */
    public Quilt withAreas(List<Area> other) {
        return new Quilt(measured, borders, easing, strips, other, numbers);
    }

    /** This quilt with one more strip, the last of {@link #stripIds}. */
    public Quilt adding(Strip strip) {
        return withStrips(Stream.concat(strips.stream(), Stream.of(strip)).toList());
    }

    /** This quilt with one more area, the last of {@link #areaIds}. */
    public Quilt adding(Area area) {
        return withAreas(Stream.concat(areas.stream(), Stream.of(area)).toList());
    }

    /** This quilt with a strip in place of one; as it is if that isn't there. */
    public Quilt with(GroupId id, Strip strip) {
        return withStrips(replaced(strips, stripIds().indexOf(id), strip));
    }

    /** This quilt with an area in place of one; as it is if that isn't there. */
    public Quilt with(AreaId id, Area area) {
        return withAreas(replaced(areas, areaIds().indexOf(id), area));
    }

    private static <T> List<T> replaced(List<T> all, int index, T by) {
        List<T> copy = new ArrayList<>(all);
        if (index >= 0) {
            copy.set(index, by);
        }
        return copy;
    }

    /** This quilt without a strip; the others keep their numbers. */
    public Quilt withoutStrip(GroupId id) {
        int gone = stripIds().indexOf(id);
        return new Quilt(
                measured,
                borders,
                easing,
                without(strips, gone),
                areas,
                new Numbers(without(numbers.strips(), gone), numbers.areas()));
    }

    /** This quilt without an area; the others keep their numbers. */
    public Quilt without(AreaId id) {
        int gone = areaIds().indexOf(id);
        return new Quilt(
                measured,
                borders,
                easing,
                strips,
                without(areas, gone),
                new Numbers(numbers.strips(), without(numbers.areas(), gone)));
    }

    private static <T> List<T> without(List<T> all, int index) {
        List<T> copy = new ArrayList<>(all);
        if (index >= 0) {
            copy.remove(index);
        }
        return copy;
    }

    /** The strips' names, in the order in which they are listed. */
    public List<GroupId> stripIds() {
        return numbers.strips().stream().map(GroupId::strip).toList();
    }

    /** The areas' names, in the order in which they are listed. */
    public List<AreaId> areaIds() {
        return numbers.areas().stream().map(AreaId::new).toList();
    }

    /** The areas' names, those that lie below others first. */
    public List<AreaId> areaIdsFromBelow() {
        return areaIds().stream()
                .sorted((a, b) -> {
                    Area one = area(a).orElseThrow();
                    Area other = area(b).orElseThrow();
                    return one.isOver(other) ? 1 : other.isOver(one) ? -1 : 0;
                })
                .toList();
    }

    /** An area, if it is there. */
    public Optional<Area> area(AreaId id) {
        int index = numbers.areas().indexOf(id.number());
        return index < 0 ? Optional.empty() : Optional.of(areas.get(index));
    }

    public Quilt withBorder(int number, Border other) {
        List<Border> copy = new ArrayList<>(borders);
        copy.set(number - 1, other);
        return new Quilt(measured, copy, easing, strips, areas, numbers);
    }

    /** This quilt with one more border round it. */
    public Quilt withBorderOutside(Border border) {
        List<Border> copy = new ArrayList<>(borders);
        copy.add(border);
        return new Quilt(measured, copy, easing, strips, areas, numbers);
    }

    /** This quilt without a border and what was measured of it; those outside it move in by one. */
    public Quilt withoutBorder(int number) {
        List<Border> fewer = new ArrayList<>(borders);
        fewer.remove(number - 1);
        TreeMap<Dimension, Double> moved = new TreeMap<>();
        measured.forEach((dimension, inches) -> {
            // Seams measured further out were measured with this border inside them.
            boolean gone = dimension.border() == number
                    || dimension.kind() == Dimension.Kind.SEAM && dimension.border() > number;
            if (!gone) {
                moved.put(dimension.border() > number ? dimension.ofBorder(dimension.border() - 1) : dimension, inches);
            }
        });
        return new Quilt(moved, fewer, easing, strips, areas, numbers);
    }

    /**
     * A border.
     *
     * @param number from the body outward, from 1
     */
    public Border border(int number) {
        return borders.get(number - 1);
    }

    /** The innermost border's corners. */
    public Corners corners() {
        return borders.isEmpty() ? Corners.MITRED : border(1).corners();
    }

    /** Everything that can be measured on this quilt, in the order in which it is measured. */
    public List<Dimension> dimensions() {
        List<Dimension> all = new ArrayList<>();
        for (Side side : Side.values()) {
            all.add(Dimension.body(side));
        }
        all.add(Dimension.DIAGONAL_DOWN);
        all.add(Dimension.DIAGONAL_UP);
        for (int border = 1; border <= borders.size(); border++) {
            for (Side side : Side.values()) {
                all.add(Dimension.seam(border, side));
                all.add(Dimension.depth(border, side));
            }
            all.add(Dimension.clearance(border));
        }
        all.add(Dimension.RESERVE);
        all.add(Dimension.BATTING);
        return all.stream().distinct().sorted().toList();
    }

    /** All of a kind that can be measured on this quilt. */
    public List<Dimension> dimensions(Dimension.Kind kind) {
        return dimensions().stream().filter(d -> d.kind() == kind).toList();
    }

    /** What was measured, or what holds while nothing else is said; in inches. */
    public OptionalDouble get(Dimension dimension) {
        Double value = measured.get(dimension);
        return value == null ? dimension.usual() : OptionalDouble.of(value);
    }

    /**
     * A length that is there, in inches.
     *
     * @throws java.util.NoSuchElementException if it isn't measured and has no usual value
     */
    public double length(Dimension dimension) {
        return get(dimension).orElseThrow();
    }

    /**
     * What a side of the body is planned at, in inches: as measured, or eased against the opposite side.
     *
     * @throws java.util.NoSuchElementException if it or the opposite side isn't measured
     */
    public double planned(Side side) {
        return easing.of(side).planned(length(Dimension.body(side)), length(Dimension.body(side.opposite())));
    }

    /** What must still be measured before anything can be planned, in the order in which it is measured. */
    public List<Dimension> missing() {
        return dimensions().stream()
                .filter(d -> d.isNeeded() && get(d).isEmpty())
                .toList();
    }

    /** What may not be stitched along the outer edge of a border, in inches: the reserve on the outermost, else 0. */
    public double reserve(int border) {
        return border == borders.size() ? length(Dimension.RESERVE) : 0;
    }

    /** From where an arc's feet stand to where nothing may be stitched, in inches. */
    public double room(int border, Side side) {
        return length(Dimension.depth(border, side)) - reserve(border) - length(Dimension.clearance(border));
    }

    /** The unit that a border or a strip is pieced from, in inches. */
    public OptionalDouble unit(GroupId group) {
        return group.strip()
                ? strip(group).orElseThrow().unit()
                : border(group.number()).unit();
    }

    /** The borders that are stitched, and the strips, in order. */
    public List<GroupId> groups() {
        List<GroupId> groups = new ArrayList<>();
        for (int border = 1; border <= borders.size(); border++) {
            if (!border(border).plain()) {
                groups.add(GroupId.border(border));
            }
        }
        groups.addAll(stripIds());
        return List.copyOf(groups);
    }

    /** The runs of a group, in order. */
    public List<RunId> runs(GroupId group) {
        return group.strip()
                ? List.of(RunId.strip(group.number()))
                : Stream.of(Side.values())
                        .map(side -> RunId.of(group.number(), side))
                        .toList();
    }

    /** The strip of a group, if it is one that is there. */
    public Optional<Strip> strip(GroupId group) {
        int index = group.strip() ? numbers.strips().indexOf(group.number()) : -1;
        return index < 0 ? Optional.empty() : Optional.of(strips.get(index));
    }
}
