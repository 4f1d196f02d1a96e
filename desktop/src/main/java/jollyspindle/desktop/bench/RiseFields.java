package jollyspindle.desktop.bench;

import jollyspindle.core.division.RiseChoices;
import jollyspindle.core.division.RunSet;
import jollyspindle.core.division.Wish;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.FlowPane;

/**
 * How high a run's arcs rise: it follows from repeat and template, and typed, it asks for both. Where the template that is there
 * can't rise so, the one is taken whose span is nearest to the wanted repeat; others that can are named.
 */
final class RiseFields {

    /** So many other templates are named. */
    private static final int MOST_NAMED = 4;

    private static final double LEAST = 1.0 / 16;

    private final Workbench bench;
    private final MotifFields fields;
    private final RunSet set;

    RiseFields(Workbench bench, MotifFields fields, RunSet set) {
        this.bench = bench;
        this.fields = fields;
        this.set = set;
    }

    /** The field and the templates; none if no arcs stand on the repeats. */
    List<Supplier<Node>> parts() {
        Optional<RunPlan> run = bench.run();
        Optional<Double> rise = set.template()
                .flatMap(t -> run)
                .flatMap(r -> r.divided().fit())
                .map(fit -> fit.segment().height());
        return rise.isEmpty()
                ? List.of()
                : List.of(() -> field(run.orElseThrow(), rise.get()), () -> others(run.orElseThrow(), rise.get()));
    }

    private Node field(RunPlan run, double rise) {
        Machine machine = bench.job().machine();
        double highest = RiseChoices.highest(templates(), machine).orElse(rise);
        return fields.length(
                "motif-rise",
                "Rise of about",
                false,
                fields.about(rise),
                LEAST,
                Math.max(
                        set.template().orElseThrow().stitchedRadius(machine),
                        Math.min(highest, run.frame().room())),
                wished -> take(wished.orElse(rise), run));
    }

    private List<Template> templates() {
        return bench.job().offering(bench.shelf().templates()).templates();
    }

    private List<RiseChoices.Choice> choices(RunPlan run, double rise) {
        return RiseChoices.of(
                templates(),
                bench.job().machine(),
                run.frame().length(),
                set.wish().repeat(),
                rise);
    }

    private boolean isThere(ArcTemplate template) {
        return set.template()
                .filter(t -> t.templateId().equals(template.templateId())
                        && t.guideId().equals(template.guideId()))
                .isPresent();
    }

    /** The template that is there stays if it can; else another comes with its span. */
    private void take(double rise, RunPlan run) {
        List<RiseChoices.Choice> all = choices(run, rise);
        all.stream()
                .filter(c -> isThere(c.template()))
                .findFirst()
                .or(() -> all.stream().findFirst())
                .ifPresent(choice -> take(choice, rise));
    }

    private void take(RiseChoices.Choice choice, double rise) {
        ArcTemplate template = choice.template();
        String what = isThere(template)
                ? Said.say(bench.words(), "step.rise", "rise", rise)
                : Said.say(bench.words(), "step.rise-with", "rise", rise, "template", template.name());
        bench.design(what, layout -> with(layout, choice));
    }

    private RunLayout with(RunLayout layout, RiseChoices.Choice choice) {
        ArcTemplate template = choice.template();
        RunLayout wished = layout.with(layout.wish().withRepeat(Math.max(Wish.SHORTEST_REPEAT, choice.span())));
        return isThere(template)
                ? wished
                : wished.with(wished.design()
                        .withLayer(
                                0,
                                wished.design()
                                        .main()
                                        .withTemplate(
                                                Optional.of(template.templateId()), Optional.of(template.guideId()))));
    }

    /** Which other templates rise as high, and over which span. */
    private Node others(RunPlan run, double rise) {
        FlowPane row = new FlowPane(6, 0);
        row.setId("rise-others");
        choices(run, rise).stream()
                .filter(c -> !isThere(c.template()))
                .limit(MOST_NAMED)
                .forEach(c -> row.getChildren().add(other(c, rise)));
        if (!row.getChildren().isEmpty()) {
            row.getChildren().add(0, Labelled.wrapped("As high with", "faint"));
        }
        return row;
    }

    private Hyperlink other(RiseChoices.Choice choice, double rise) {
        Hyperlink link = new Hyperlink(Said.say(
                bench.words(), "rise.other", "template", choice.template().name(), "span", choice.span()));
        link.setId("rise-with-" + choice.template().templateId());
        Tip.on(link, Said.say(bench.words(), "rise.repeats", "repeats", choice.repeats(), "left", choice.left()));
        link.setOnAction(e -> take(choice, rise));
        return link;
    }
}
