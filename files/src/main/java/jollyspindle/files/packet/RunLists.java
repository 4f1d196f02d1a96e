package jollyspindle.files.packet;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
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
                new Pages.Column("Mark", 0),
                new Pages.Column("From left end", 0.19),
                new Pages.Column("From right end", 0.38),
                new Pages.Column("From centre", 0.57),
                new Pages.Column("Above seam", 0.79));
        String title = Words.name(run.id(), plan.job().quilt()) + ": marks";
        String note = "Run of " + words.length(run.division().length()) + ", divided into "
                + new DivisionWords(words).school(run.divided().school())
                + ". Left end: the " + Words.start(run.id()) + ", seen with the outside edge up."
                + " Lay the tape once and mark every reading from the same zero.";
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of("Before loading the quilt"));
        marks(run, mark -> mark.stage() == Mark.Stage.BEFORE_LOADING, rows);
        rows.add(List.of("On the frame"));
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
                boolean seam = mark.by() == Mark.MarkedBy.SEAM;
                rows.add(List.of(
                        Words.name(mark) + (seam ? " (seam)" : mark.onCentre() ? " (centre)" : ""),
                        mark.readings().fromLeft().text(),
                        mark.readings().fromRight().text(),
                        Words.fromCentre(mark.readings().fromCentre()),
                        mark.across() == 0 ? "on the seam" : mark.height().text()));
            }
        }
    }

    void placements(RunPlan run) throws IOException {
        List<Pages.Column> columns = PlacementTable.COLUMNS;
        List<Placement> all = plan.placements(run.id());
        if (all.isEmpty()) {
            return;
        }
        Placement first = all.get(0);
        String title = Words.name(run.id(), plan.job().quilt()) + ": placements";
        String note = lying(run) + "Stitch from " + Words.direction(run.id()) + ". The first lies "
                + Words.turn(first.pose().rotation()) + " ("
                + Words.degrees(first.pose().rotation()) + ").";
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
            return words.instruction(alike.get(0).fit()) + " ";
        }
        return alike.stream()
                        .map(group -> (group.arcs().size() == 1 ? "Arc " : "Arcs ") + listed(group.arcs()) + ": "
                                + words.instruction(group.fit()))
                        .collect(Collectors.joining(" "))
                + " ";
    }

    /** {@code 1 to 4, 7}. */
    private static String listed(List<Integer> numbers) {
        List<String> said = new ArrayList<>();
        for (int i = 0; i < numbers.size(); ) {
            int j = i;
            while (j + 1 < numbers.size() && numbers.get(j + 1) == numbers.get(j) + 1) {
                j++;
            }
            said.add(j == i ? "" + numbers.get(i) : numbers.get(i) + " to " + numbers.get(j));
            i = j + 1;
        }
        return String.join(", ", said);
    }
}
