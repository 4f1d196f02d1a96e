package jollyspindle.core.route;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Lines in the order in which they are stitched.
 *
 * @param lines in that order, each the way it is stitched
 * @param placements in that order
 * @param travels from line to line, where the needle doesn't end where the next line begins and yet needn't start anew
 */
public record Routed(List<StitchLine> lines, List<Placement> placements, List<Travel> travels) {

    public Routed {
        lines = List.copyOf(lines);
        placements = List.copyOf(placements);
        travels = List.copyOf(travels);
    }

    /** How often the needle begins anew. */
    public int starts() {
        return starts(lines) - travels.size();
    }

    /** The same, each thread by itself. */
    public List<Routed> threads() {
        Map<LineId, Travel> led = new HashMap<>();
        travels.forEach(travel -> led.put(travel.to(), travel));
        Map<LineId, List<Placement>> lying = new HashMap<>();
        placements.forEach(
                p -> lying.computeIfAbsent(p.of().id(), id -> new ArrayList<>()).add(p));
        List<List<StitchLine>> threads = new ArrayList<>();
        StitchLine before = null;
        for (StitchLine line : lines) {
            boolean on = before != null
                    && (led.containsKey(line.id())
                            || before.needleAt().distance(line.path().start()) < Tolerances.SAME_PLACE);
            if (!on) {
                threads.add(new ArrayList<>());
            }
            threads.get(threads.size() - 1).add(line);
            before = line;
        }
        return threads.stream()
                .map(thread -> new Routed(
                        thread,
                        thread.stream()
                                .flatMap(line -> lying.getOrDefault(line.id(), List.of()).stream())
                                .toList(),
                        thread.stream()
                                .map(line -> led.get(line.id()))
                                .filter(Objects::nonNull)
                                .toList()))
                .toList();
    }

    /** How far the needle travels, in inches. */
    public double travelled() {
        return travels.stream().mapToDouble(t -> t.path().length()).sum();
    }

    /** How often a needle that doesn't travel begins anew. */
    public static int starts(List<StitchLine> lines) {
        int starts = 0;
        StitchLine before = null;
        for (StitchLine line : lines) {
            boolean on =
                    before != null && before.needleAt().distance(line.path().start()) < Tolerances.SAME_PLACE;
            starts += on ? 0 : 1;
            before = line;
        }
        return starts;
    }
}
