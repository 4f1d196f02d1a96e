package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.Side;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Where a job file keeps the measured lengths of a quilt: in a field of an object, or of an object in it.
 *
 * @param within the object in it; nothing if they stand in it themselves
 * @param must whether that object must be there
 * @param written whether it is written even if nothing of it was measured
 * @param fields each with what is measured
 */
record MeasuredFields(
        Optional<String> within, boolean must, boolean written, List<Map.Entry<String, Dimension>> fields) {

    static final MeasuredFields BODY = sides("body", true, Dimension::body);

    static final MeasuredFields DIAGONALS = new MeasuredFields(
            Optional.of("diagonals"),
            false,
            true,
            List.of(
                    Map.entry("topLeftToBottomRight", Dimension.DIAGONAL_DOWN),
                    Map.entry("bottomLeftToTopRight", Dimension.DIAGONAL_UP)));

    static final MeasuredFields ALL_ROUND = new MeasuredFields(
            Optional.empty(),
            true,
            true,
            List.of(Map.entry("reserve", Dimension.RESERVE), Map.entry("battingGap", Dimension.BATTING)));

    /** Those of a border, from the body outward from 1. */
    static List<MeasuredFields> ofBorder(int number) {
        MeasuredFields clearance = new MeasuredFields(
                Optional.empty(), true, true, List.of(Map.entry("clearance", Dimension.clearance(number))));
        MeasuredFields depth = sides("depth", true, side -> Dimension.depth(number, side));
        // The innermost border's seam is the body's.
        return number == 1
                ? List.of(depth, clearance)
                : List.of(depth, sides("innerSeam", false, side -> Dimension.seam(number, side)), clearance);
    }

    private static MeasuredFields sides(String within, boolean must, Function<Side, Dimension> measured) {
        return new MeasuredFields(
                Optional.of(within),
                must,
                must,
                Stream.of(Side.values())
                        .map(side -> Map.entry(Codes.of(side), measured.apply(side)))
                        .toList());
    }

    void write(ObjectNode node, Quilt quilt) {
        Map<Dimension, Double> measured = quilt.measured();
        if (!written && fields.stream().map(Map.Entry::getValue).noneMatch(measured::containsKey)) {
            return;
        }
        ObjectNode object = within.map(node::putObject).orElse(node);
        fields.stream()
                .filter(field -> measured.containsKey(field.getValue()))
                .forEach(field -> object.put(field.getKey(), measured.get(field.getValue())));
    }

    /**
     * Reads what was measured of it.
     *
     * @param measured takes each
     * @param places takes where it stands
     */
    void read(Fields node, Map<Dimension, Double> measured, Map<Dimension, String> places) throws FileTrouble {
        if (within.isEmpty()) {
            take(node, measured, places);
            return;
        }
        Optional<Fields> object = must ? Optional.of(node.object(within.get())) : node.optionalObject(within.get());
        if (object.isPresent()) {
            take(object.get(), measured, places);
            object.get().done();
        }
    }

    private void take(Fields object, Map<Dimension, Double> measured, Map<Dimension, String> places)
            throws FileTrouble {
        for (Map.Entry<String, Dimension> field : fields) {
            OptionalDouble value = object.optionalNumber(field.getKey(), 0, QuiltRules.LONGEST);
            if (value.isPresent()) {
                measured.put(field.getValue(), value.getAsDouble());
                places.put(field.getValue(), object.place(field.getKey()));
            }
        }
    }
}
