package jollyspindle.desktop.bench;

import jollyspindle.core.division.Judging;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.desktop.control.EntryFields;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.form.ParamStep;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/** How ways to come out are weighed: what nobody sees, and what counts for how much; and how the thread goes. */
final class RulesPane extends VBox {

    private static final String RULES = "rules";

    private static final List<String> TOLERANCES =
            List.of("stretchUnseen", "leftoverAlone", "mismatchUnseen", "squareLimit");
    private static final List<String> WEIGHTS =
            List.of("offWanted", "mismatch", "stretch", "oddSpace", "readings", "mostInAPoint");
    private static final List<String> THREAD = List.of("changeOver");

    private static final double PERCENT = 100;

    /** What is shown: the rules, and how their lengths are told. */
    private record Shown(Judging rules, TapeScale tape) {}

    private final Workbench bench;
    private Shown shown;

    RulesPane(Workbench bench) {
        super(6);
        this.bench = bench;
    }

    private List<Node> nodes(Judging rules) {
        List<Node> nodes = new ArrayList<>();
        nodes.add(Labelled.wrapped("What nobody sees (common practice): up to this much is let pass.", "faint"));
        form(rules).only(TOLERANCES).rows().stream().map(Supplier::get).forEach(nodes::add);
        nodes.add(Labelled.wrapped("What counts for how much, an inch of each:", "faint"));
        form(rules).only(WEIGHTS).rows().stream().map(Supplier::get).forEach(nodes::add);
        nodes.add(Labelled.wrapped("How the thread goes:", "faint"));
        form(rules).only(THREAD).rows().stream().map(Supplier::get).forEach(nodes::add);
        nodes.add(usual(rules));
        return nodes;
    }

    private Button usual(Judging rules) {
        Button usual = new Button("The usual rules again");
        usual.setId("rules-usual");
        usual.setDisable(rules.equals(Judging.usual()));
        usual.setOnAction(e -> bench.edit("the usual rules", job -> job.with(Judging.usual())));
        return usual;
    }

    private ParamForm<Judging> form(Judging rules) {
        return new ParamForm<>(bench, RULES, RULES, Judging.PARAMS, rules, next -> edit(rules, next))
                .instead("squareLimit", name -> square(name, rules));
    }

    /** Kept as a part of a side's length, and typed in per cent of it. */
    private Node square(String name, Judging rules) {
        return new EntryFields(bench)
                .number(
                        "rules-square",
                        name,
                        PERCENT * rules.squareLimit(),
                        PERCENT * Judging.SQUARE_LIMIT.least(),
                        PERCENT * Judging.SQUARE_LIMIT.most(),
                        percent -> bench.edit(
                                Said.say("step.param", "what", name.toLowerCase(Locale.ROOT), "value", percent),
                                job -> job.with(Judging.PARAMS.with(rules, Judging.SQUARE_LIMIT, percent / PERCENT))));
    }

    private void edit(Judging was, Judging now) {
        ParamStep.of(Judging.PARAMS, RULES, was, now, bench.words())
                .ifPresent(what -> bench.edit(what, job -> job.with(now)));
    }

    void show() {
        Shown next = new Shown(bench.job().judging(), bench.job().tape());
        if (!next.equals(shown)) {
            shown = next;
            Gradually.renew(this, nodes(next.rules()));
        }
    }
}
