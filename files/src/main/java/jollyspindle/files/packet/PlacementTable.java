package jollyspindle.files.packet;

import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;

import java.util.ArrayList;
import java.util.List;

/** Placements as rows of a list: how the template is turned and laid, where to start and to stop. */
final class PlacementTable {

    static List<Pages.Column> columns() {
        return List.of(
                new Pages.Column(Said.say("column.line"), 0),
                new Pages.Column(Said.say("column.turn"), 0.13),
                new Pages.Column(Said.say("column.laid"), 0.385),
                new Pages.Column(Said.say("column.start"), 0.575),
                new Pages.Column(Said.say("column.stop"), 0.79));
    }

    private final WorkPlan plan;
    private final Words words;

    PlacementTable(WorkPlan plan) {
        this.plan = plan;
        this.words = new Words(plan.job().tape());
    }

    List<List<String>> rows(List<Placement> all) {
        List<List<String>> rows = new ArrayList<>();
        Placement before = null;
        for (Placement placement : all) {
            rows.add(List.of(
                    Words.name(placement),
                    Words.turn(placement.pose().rotation()),
                    laid(placement, before),
                    Words.capital(MotifWords.at(placement.start())),
                    Words.capital(MotifWords.at(placement.end()))));
            before = placement;
        }
        return rows;
    }

    /** Which edge is laid on what; short where nothing changes. */
    private String laid(Placement placement, Placement before) {
        String on = Words.capital(words.registration(placement));
        if (before != null && placement.tool().equals(before.tool())) {
            return words.registration(before).equals(words.registration(placement))
                    ? Said.say("placements.as-before")
                    : on;
        }
        return plan.job()
                .template(placement.tool().templateId())
                .map(t -> Said.say(
                        "placements.laid",
                        "name",
                        t.name(),
                        "edge",
                        placement.tool().edge(),
                        "on",
                        on))
                .orElse(on);
    }
}
