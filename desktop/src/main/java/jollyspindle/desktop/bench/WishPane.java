package jollyspindle.desktop.bench;

import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.desktop.control.ChoiceField;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.form.ParamStep;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** What a division should be like: counts, odd or even, how short and long, which school; and what it is tied to. */
final class WishPane extends VBox {

    /** A tie that can be chosen; nothing stands for none. */
    private record TieChoice(Optional<Tie> tie, String name) {}

    /** What is shown: of which border or strip, what is wished of it, and what it could follow. */
    private record Shown(GroupId group, Wish wish, Optional<Tie> tie, List<GroupId> groups, TapeScale tape) {}

    private static final String WISH = "wish";

    private final Workbench bench;
    private Shown shown;

    WishPane(Workbench bench) {
        super(6);
        this.bench = bench;
    }

    private List<Node> nodes(Shown now) {
        GroupId group = now.group();
        ParamForm<Wish> form = new ParamForm<>(
                        bench, WISH, WISH, Wish.PARAMS, now.wish(), next -> edit(now.wish(), next))
                .instead("school", name -> school(name, now.wish()))
                // It stands beside the ways.
                .without("repeat");
        if (group.strip()) {
            form.without("down");
        }
        List<Node> nodes = new ArrayList<>();
        form.rows().stream().map(Supplier::get).forEach(nodes::add);
        if (!group.strip() && group.number() > 1) {
            nodes.add(Labelled.of("Counts follow", tie(now)));
        }
        nodes.add(Labelled.wrapped(
                "A changed wish lets go what was chosen; the best way holds until another is.", "faint"));
        return nodes;
    }

    private Node school(String name, Wish wish) {
        List<Optional<SchoolKind>> kinds = Stream.concat(
                        Stream.of(Optional.<SchoolKind>empty()),
                        Stream.of(SchoolKind.values())
                                .filter(k -> k != SchoolKind.BY_HAND)
                                .map(Optional::of))
                .toList();
        return Labelled.of(
                name,
                new ChoiceField<>(
                        "wish-school",
                        "Which ways to come out are listed",
                        kinds,
                        wish.school(),
                        WishPane::schools,
                        chosen -> bench.editLayout(
                                schools(chosen),
                                layout -> layout.with(layout.wish().with(Wish.SCHOOL, chosen)))));
    }

    private static String schools(Optional<SchoolKind> only) {
        return only.map(DivisionWords::name).orElse("all schools");
    }

    private ChoiceField<TieChoice> tie(Shown now) {
        List<TieChoice> choices = ties(now.group());
        return new ChoiceField<>(
                "wish-tie",
                "The border inside that the counts follow",
                choices,
                choices.stream()
                        .filter(c -> c.tie().equals(now.tie()))
                        .findFirst()
                        .orElse(choices.get(0)),
                TieChoice::name,
                chosen -> bench.editLayout(
                        Said.say("step.tie", "which", chosen.name()), layout -> layout.with(chosen.tie())));
    }

    private void edit(Wish was, Wish now) {
        ParamStep.of(Wish.PARAMS, WISH, was, now, bench.words())
                .ifPresent(what -> bench.editLayout(what, layout -> layout.with(now)));
    }

    void show() {
        GroupId group = bench.groupId();
        RunLayout layout = bench.job().layout(group);
        Shown next = new Shown(
                group,
                layout.wish(),
                layout.tie(),
                bench.job().quilt().groups(),
                bench.job().tape());
        if (next.equals(shown)) {
            return;
        }
        boolean same = shown != null && shown.group().equals(group);
        shown = next;
        if (same) {
            Gradually.renew(this, nodes(next));
        } else {
            // What is half typed about one border isn't meant for another.
            Gradually.fill(this, nodes(next).toArray(Node[]::new));
        }
    }

    private List<TieChoice> ties(GroupId group) {
        List<TieChoice> choices = new ArrayList<>(List.of(new TieChoice(Optional.empty(), "no other border")));
        for (GroupId inside : bench.job().quilt().groups()) {
            if (!inside.strip() && inside.number() < group.number()) {
                for (Tie.Ratio ratio : Tie.Ratio.values()) {
                    choices.add(new TieChoice(
                            Optional.of(new Tie(group.number(), inside.number(), ratio)),
                            Said.say("wish.tie", "how", DivisionWords.name(ratio), "number", inside.number())));
                }
            }
        }
        return choices;
    }
}
