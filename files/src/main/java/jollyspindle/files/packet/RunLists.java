package jollyspindle.files.packet;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.route.Routed;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** What is marked and placed on the runs, as lists. */
final class RunLists {

    private static final double LEAST_PICTURE = 1.8;
    private static final double LARGEST_PICTURE = 3.6;
    private final WorkPlan plan;
    private final Words words;
    private final Pages pages;

    RunLists(WorkPlan plan, Pages pages) {
        this.plan = plan;
        this.words = new Words(plan.job().tape());
        this.pages = pages;
    }

    void marks(RunPlan run) throws IOException {
        List<Pages.Column> columns = List.of(
                new Pages.Column(Said.say("column.mark"), 0),
                new Pages.Column(Said.say("column.from-left"), 0.19),
                new Pages.Column(Said.say("column.from-right"), 0.38),
                new Pages.Column(Said.say("column.from-centre"), 0.57),
                new Pages.Column(Said.say("column.above-seam"), 0.79));
        String title =
                Said.say("list.marks", "name", Words.name(run.id(), plan.job().quilt()));
        String note = Said.say(
                words,
                "marks.note",
                "length",
                run.division().length(),
                "school",
                new DivisionWords(words).school(run.divided().school()),
                "side",
                run.id().side().isPresent(),
                "start",
                Words.start(run.id()),
                "lines",
                words.chalkLines(plan.chalkLines(run.id())));
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of(Said.say("marks.before-loading")));
        marks(run, mark -> mark.stage() == Mark.Stage.BEFORE_LOADING, rows);
        rows.add(List.of(Said.say("marks.loaded")));
        marks(run, mark -> mark.stage() == Mark.Stage.LOADED, rows);
        run.laidOut().marks().stream()
                .flatMap(mark -> mark.after().stream())
                .distinct()
                .sorted(Comparator.comparingInt(Mark.After::motif).thenComparing(Mark.After::pass))
                .forEach(after -> {
                    rows.add(List.of(Words.capital(Words.after(after))));
                    marks(run, mark -> mark.after().filter(after::equals).isPresent(), rows);
                });
        pages.table(title, note, columns, rows);
    }

    private static void marks(RunPlan run, Predicate<Mark> which, List<List<String>> rows) {
        for (Mark mark : run.laidOut().marks()) {
            if (which.test(mark) && mark.by() != Mark.MarkedBy.TEMPLATE) {
                String shown = mark.by() == Mark.MarkedBy.SEAM
                        ? "seam"
                        : mark.onCentre() && mark.kind() != Mark.Kind.CENTRE ? "centre" : "none";
                rows.add(List.of(
                        Said.say("marks.name", "mark", Words.name(mark), "shown", shown),
                        Words.fromEnd(mark.readings().fromLeft()),
                        Words.fromEnd(mark.readings().fromRight()),
                        Words.fromCentre(mark.readings().fromCentre()),
                        Words.above(mark)));
            }
        }
    }

    void placements(RunPlan run) throws IOException {
        List<Pages.Column> columns = PlacementTable.columns();
        List<Placement> all = plan.placements(run.id());
        if (all.isEmpty()) {
            return;
        }
        Placement first = all.get(0);
        String title = Said.say(
                "list.placements", "name", Words.name(run.id(), plan.job().quilt()));
        String note = Said.say(
                "placements.note",
                "lying",
                lying(run),
                "corners",
                !plan.corners().isEmpty() && run.id().side().isPresent(),
                "direction",
                Words.direction(run.id()),
                "turn",
                Words.turn(first.pose().rotation()),
                "rotation",
                first.pose().rotation(),
                "starts",
                Routed.starts(all.stream().map(Placement::of).distinct().toList()));
        double below = pages.table(title, note, columns, new PlacementTable(plan).rows(all));
        double room = pages.bottom() - below;
        if (room > LEAST_PICTURE) {
            new LyingPicture(plan, run, first)
                    .draw(
                            pages.sheet(),
                            below + 0.1,
                            pages.sheet().width() - 2 * Sheet.MARGIN,
                            Math.min(room - 0.1, LARGEST_PICTURE));
        }
    }

    /** How the template is laid; where arcs of the run are laid otherwise, which and how. */
    private String lying(RunPlan run) {
        List<RunPlan.LaidAlike> alike = run.laidAlike();
        if (alike.isEmpty()) {
            return "";
        }
        if (alike.size() == 1) {
            return Said.say(
                    "lying.one", "instruction", words.instruction(alike.get(0).fit()));
        }
        String all = alike.stream()
                .map(group -> Said.say(
                        "lying.arcs",
                        "count",
                        group.arcs().size(),
                        "arcs",
                        listed(group.arcs()),
                        "instruction",
                        words.instruction(group.fit())))
                .collect(Collectors.joining(" "));
        return Said.say("lying.some", "all", all);
    }

    /** {@code 1 to 4, 7}. */
    private static String listed(List<Integer> numbers) {
        List<String> said = new ArrayList<>();
        for (int i = 0; i < numbers.size(); ) {
            int j = i;
            while (j + 1 < numbers.size() && numbers.get(j + 1) == numbers.get(j) + 1) {
                j++;
            }
            said.add(
                    j == i
                            ? String.valueOf(numbers.get(i))
                            : Said.say("numbers.range", "from", numbers.get(i), "to", numbers.get(j)));
            i = j + 1;
        }
        return String.join(", ", said);
    }
}
