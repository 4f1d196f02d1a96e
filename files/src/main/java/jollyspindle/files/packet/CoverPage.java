package jollyspindle.files.packet;

import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The packet's first page: what was measured and chosen, and the whole quilt. */
final class CoverPage {

    private static final double NAMES = 1.6;
    private static final double LEAST_LAYOUT = 3;
    private final WorkPlan plan;
    private final Words words;
    private final Pages pages;

    CoverPage(WorkPlan plan, Pages pages) {
        this.plan = plan;
        this.words = new Words(plan.job().tape());
        this.pages = pages;
    }

    void write() throws IOException {
        pages.open(plan.job().name(), pages.paper().upright());
        double y = Pages.HEAD + 0.2;
        double width = pages.sheet().width() - 2 * Sheet.MARGIN;
        for (String[] fact : facts()) {
            List<String> names = pages.type().wrap(fact[0], NAMES - Pages.GAP, 10, true);
            List<String> lines = pages.sheet().wrap(fact[1], width - NAMES, 10);
            double high = 0.19 * Math.max(names.size(), lines.size()) + 0.04;
            if (y + high > pages.bottom()) {
                pages.open(plan.job().name() + ", continued", pages.paper().upright());
                y = Pages.HEAD + 0.2;
            }
            for (int line = 0; line < names.size(); line++) {
                pages.sheet().text(names.get(line), Sheet.MARGIN, y + 0.19 * line, 10, true, Sheet.INK);
            }
            for (int line = 0; line < lines.size(); line++) {
                pages.sheet().text(lines.get(line), Sheet.MARGIN + NAMES, y + 0.19 * line, 10);
            }
            y += high;
        }
        if (pages.bottom() - y < LEAST_LAYOUT) {
            pages.open(plan.job().name() + ", the whole quilt", pages.paper().upright());
            y = Pages.HEAD + 0.1;
        }
        new LayoutPicture(plan).draw(pages.sheet(), Sheet.MARGIN, y + 0.05, width, pages.bottom() - y - 0.05);
    }

    private List<String[]> facts() {
        QuiltJob job = plan.job();
        List<String[]> facts = new ArrayList<>();
        facts.add(new String[] {
            "Body",
            "top " + measured(Dimension.BODY_TOP) + ", right " + measured(Dimension.BODY_RIGHT) + ", bottom "
                    + measured(Dimension.BODY_BOTTOM) + ", left " + measured(Dimension.BODY_LEFT)
        });
        planned().ifPresent(said -> facts.add(new String[] {"Planned at", said}));
        for (int number = 1; number <= job.quilt().borders().size(); number++) {
            facts.add(new String[] {job.quilt().borders().size() == 1 ? "Border" : "Border " + number, border(number)});
        }
        for (GroupPlan group : plan.groups()) {
            String name = plan.groups().size() == 1 ? "" : Words.name(group.id(), job.quilt()) + ": ";
            facts.add(new String[] {"Division", name + division(group)});
        }
        ShelfWords shelf = new ShelfWords(words);
        Set<Template> used = new LinkedHashSet<>();
        plan.groups().forEach(g -> job.chosenTemplate(g.id()).ifPresent(used::add));
        used.forEach(t -> facts.add(new String[] {
            "Template",
            t.name() + ": " + shelf.marked(t) + "; " + shelf.summary(Stitching.of(t, job.machine()))
                    + " with a foot of radius " + words.exact(job.machine().footRadius())
        }));
        Map<String, List<String>> sides = new LinkedHashMap<>();
        for (RunPlan run : plan.runs()) {
            String said = "repeat " + words.length(run.division().repeat())
                    + run.fit()
                            .map(fit ->
                                    ", rise " + words.length(fit.segment().height()) + ". " + words.instruction(fit))
                            .orElse("");
            sides.computeIfAbsent(said, t -> new ArrayList<>()).add(shortName(run.id()));
        }
        sides.forEach((said, who) -> facts.add(new String[] {Words.capital(String.join(", ", who)), said}));
        facts.add(new String[] {
            "In all",
            Words.count(plan.repeats(), Words.Thing.LINE) + ", " + Words.count(plan.placements(), Words.Thing.PLACEMENT)
                    + ", "
                    + Words.count(plan.chalkMarks(), Words.Thing.MARK) + " to make, "
                    + words.length(plan.stitchedLength()) + " of stitching"
        });
        return facts;
    }

    private String measured(Dimension dimension) {
        return words.exact(plan.job().quilt().length(dimension));
    }

    /** {@code top} on a quilt with one border, {@code border 2, top} or the strip's name elsewhere. */
    private String shortName(RunId run) {
        boolean one = plan.job().quilt().borders().size() == 1;
        return one && run.side().isPresent()
                ? Words.name(run.side().get())
                : Words.decapital(Words.name(run, plan.job().quilt()));
    }

    /** What eased sides are planned at; nothing if all are planned as measured. */
    private Optional<String> planned() {
        Quilt quilt = plan.job().quilt();
        if (quilt.easing().equals(Quilt.Easings.NONE)) {
            return Optional.empty();
        }
        return Optional.of(Stream.of(Side.values())
                .map(side -> Words.name(side) + " " + words.length(quilt.planned(side)))
                .collect(Collectors.joining(", ")));
    }

    private String border(int number) {
        Quilt quilt = plan.job().quilt();
        List<String> depths = new ArrayList<>();
        for (Side side : Side.values()) {
            depths.add(measured(Dimension.depth(number, side)));
        }
        String deep = depths.stream().distinct().count() == 1
                ? depths.get(0) + " deep"
                : "top " + depths.get(0) + ", right " + depths.get(1) + ", bottom " + depths.get(2) + ", left "
                        + depths.get(3) + " deep";
        Border border = quilt.border(number);
        return deep + "; corners: " + Words.name(border.corners()).toLowerCase(Locale.ROOT)
                + border.unit().stream()
                        .mapToObj(unit -> "; pieced from units of " + words.exact(unit))
                        .collect(Collectors.joining())
                + (border.plain() ? "; left plain" : "; seam clearance " + measured(Dimension.clearance(number)))
                + (number == quilt.borders().size() ? "; outer reserve " + measured(Dimension.RESERVE) : "");
    }

    private String division(GroupPlan group) {
        DivisionWords said = new DivisionWords(words);
        String way = said.kind(group.chosen()).toLowerCase(Locale.ROOT) + ", " + said.counts(group.chosen());
        // Where there is more than one to be told, the weightiest reason must do.
        return plan.groups().size() == 1
                ? way + " (" + said.reasons(group.chosen()) + ")"
                : way + ". " + said.sentence(group.chosen());
    }
}
