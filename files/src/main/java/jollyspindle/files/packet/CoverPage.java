package jollyspindle.files.packet;

import jollyspindle.core.code.Codes;
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
import java.util.function.Function;
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
                pages.open(
                        Said.continued(plan.job().name(), true), pages.paper().upright());
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
            pages.open(
                    Said.say("whole-quilt", "job", plan.job().name()),
                    pages.paper().upright());
            y = Pages.HEAD + 0.1;
        }
        new LayoutPicture(plan).draw(pages.sheet(), Sheet.MARGIN, y + 0.05, width, pages.bottom() - y - 0.05);
    }

    private List<String[]> facts() {
        QuiltJob job = plan.job();
        List<String[]> facts = new ArrayList<>();
        facts.add(new String[] {Said.say("cover.body"), sides("cover.sides", Dimension::body)});
        planned().ifPresent(said -> facts.add(new String[] {Said.say("cover.planned"), said}));
        for (int number = 1; number <= job.quilt().borders().size(); number++) {
            facts.add(new String[] {
                job.quilt().borders().size() == 1
                        ? Said.say("cover.border")
                        : Said.say("cover.border-number", "number", number),
                border(number)
            });
        }
        for (GroupPlan group : plan.groups()) {
            String said = division(group);
            facts.add(new String[] {
                Said.say("cover.division"),
                plan.groups().size() == 1
                        ? said
                        : Said.say("cover.of", "of", Words.name(group.id(), job.quilt()), "said", said)
            });
        }
        ShelfWords shelf = new ShelfWords(words);
        Set<Template> used = new LinkedHashSet<>();
        plan.groups().forEach(g -> job.chosenTemplate(g.id()).ifPresent(used::add));
        used.forEach(t -> facts.add(new String[] {
            Said.say("cover.template"),
            Said.say(
                    words,
                    "cover.template-is",
                    "name",
                    t.name(),
                    "marked",
                    shelf.marked(t),
                    "summary",
                    shelf.summary(Stitching.of(t, job.machine())),
                    "foot",
                    job.machine().footRadius())
        }));
        Map<String, List<String>> sides = new LinkedHashMap<>();
        for (RunPlan run : plan.runs()) {
            String said = Said.say(
                    words,
                    "cover.run",
                    "repeat",
                    run.division().repeat(),
                    "rise",
                    run.fit().map(fit -> fit.segment().height()),
                    "instruction",
                    run.fit().map(words::instruction));
            sides.computeIfAbsent(said, t -> new ArrayList<>()).add(shortName(run.id()));
        }
        sides.forEach((said, who) -> facts.add(new String[] {Words.capital(String.join(", ", who)), said}));
        facts.add(new String[] {
            Said.say("cover.in-all"),
            Said.say(
                    words,
                    "cover.totals",
                    "lines",
                    Words.count(plan.repeats(), Words.Thing.LINE),
                    "placements",
                    Words.count(plan.placements(), Words.Thing.PLACEMENT),
                    "marks",
                    Words.count(plan.chalkMarks(), Words.Thing.MARK),
                    "stitched",
                    plan.stitchedLength())
        });
        return facts;
    }

    /** A length of each side, in a sentence. */
    private String sides(String key, Function<Side, Dimension> dimension) {
        List<Object> lengths = new ArrayList<>();
        for (Side side : Side.values()) {
            lengths.add(Codes.of(side));
            lengths.add(plan.job().quilt().length(dimension.apply(side)));
        }
        return Said.say(words, key, lengths.toArray());
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
                .map(side -> Said.say(words, "cover.planned-side", "side", side, "planned", quilt.planned(side)))
                .collect(Collectors.joining(", ")));
    }

    private String border(int number) {
        Quilt quilt = plan.job().quilt();
        List<Double> depths = Stream.of(Side.values())
                .map(side -> quilt.length(Dimension.depth(number, side)))
                .distinct()
                .toList();
        Border border = quilt.border(number);
        return Said.say(
                words,
                "cover.border-is",
                "deep",
                depths.size() == 1
                        ? Said.say(words, "cover.deep", "depth", depths.get(0))
                        : sides("cover.deep-sides", side -> Dimension.depth(number, side)),
                "corners",
                Words.name(border.corners()).toLowerCase(Locale.ROOT),
                "unit",
                border.unit(),
                "plain",
                border.plain(),
                "clearance",
                quilt.length(Dimension.clearance(number)),
                "outermost",
                number == quilt.borders().size(),
                "reserve",
                quilt.length(Dimension.RESERVE));
    }

    private String division(GroupPlan group) {
        DivisionWords said = new DivisionWords(words);
        String way = Said.say(
                "cover.way",
                "kind",
                said.kind(group.chosen()).toLowerCase(Locale.ROOT),
                "counts",
                said.counts(group.chosen()));
        // Where there is more than one to be told, the weightiest reason must do.
        return plan.groups().size() == 1
                ? Said.say("cover.way-all", "way", way, "reasons", said.reasons(group.chosen()))
                : Said.say("cover.way-first", "way", way, "reason", said.sentence(group.chosen()));
    }
}
