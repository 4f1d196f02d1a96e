package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Some valleys pinned by hand, the others spread evenly between those.
 *
 * @param pins where valleys stand, by their number from 1 to count − 1
 */
public record ByHand(int count, Map<Integer, Double> pins) implements School {

    /** How many valleys are pinned. */
    public int pinned() {
        return pins.size();
    }

    /** How many repeats there are. */
    public static final Param.Whole<ByHand> COUNT = Param.whole("count", 1, Counts.MOST, ByHand::count);

    private static final Param.Own<ByHand, Map<Integer, Double>> PINS = Param.own("pins", Map.class, ByHand::pins);

    public static final SchoolType<ByHand> TYPE =
            new SchoolType<>(
                    SchoolKind.BY_HAND,
                    ByHand.class,
                    Params.of(v -> new ByHand(v.get(COUNT), v.get(PINS)), Params.row(COUNT), Params.row(PINS))) {

                @Override
                public List<ByHand> options(Asked asked) {
                    return List.of();
                }

                @Override
                public Optional<ByHand> near(Now now) {
                    return Optional.of(new ByHand(now.division().cells().size(), Map.of()));
                }
            };

    public ByHand {
        Repeats.atLeastOne(count);
        int most = count;
        pins = Map.copyOf(pins);
        pins.values().forEach(along -> Guards.within("pin", along, -QuiltRules.LONGEST, QuiltRules.LONGEST));
        if (!pins.keySet().stream().allMatch(k -> k > 0 && k < most)) {
            throw new IllegalArgumentException(Refusals.say("school.pins"));
        }
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.BY_HAND;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return Repeats.counted(count + by, more -> new ByHand(more, Map.of()));
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        TreeMap<Integer, Double> fixed = new TreeMap<>(pins);
        fixed.put(0, 0.0);
        fixed.put(count, length);
        List<Cell> cells = new ArrayList<>();
        double at = 0;
        for (int k = 1; k <= count; k++) {
            Map.Entry<Integer, Double> before = fixed.lowerEntry(k);
            Map.Entry<Integer, Double> after = fixed.ceilingEntry(k);
            double part = (double) (k - before.getKey()) / (after.getKey() - before.getKey());
            double to = k == after.getKey()
                    ? after.getValue()
                    : before.getValue() + part * (after.getValue() - before.getValue());
            if (to <= at + NOTHING) {
                return Optional.empty();
            }
            cells.add(new Cell(Cell.Kind.REPEAT, at, to));
            at = to;
        }
        return Optional.of(new RunDivision(length / count, cells));
    }
}
