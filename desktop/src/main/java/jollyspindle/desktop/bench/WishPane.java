package jollyspindle.desktop.bench;

import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What a division should be like: counts, odd or even, how short and long, which school; and what it is tied to. */
final class WishPane extends VBox {

    /** A tie that can be chosen; nothing stands for none. */
    private record TieChoice(Optional<Tie> tie, String name) {}

    private final Workbench bench;
    private final TypedField across;
    private final TypedField down;
    private final ComboBox<Wish.Parity> parity = new ComboBox<>();
    private final LengthField shortest;
    private final LengthField longest;
    private final ComboBox<Optional<SchoolKind>> school = new ComboBox<>();
    private final LengthField increment;
    private final ComboBox<TieChoice> tie = new ComboBox<>();
    private final VBox tieBox;
    private final Label note = Labelled.wrapped("", "faint");
    private boolean showing;

    WishPane(Workbench bench) {
        super(6);
        this.bench = bench;
        across = count("wish-across", "Repeats across", (wish, n) -> wish.withCounts(n, wish.down()));
        down = count("wish-down", "Repeats down", (wish, n) -> wish.withCounts(wish.across(), n));
        Choices.prepare(
                parity,
                "wish-parity",
                "Which counts are wanted: an odd one has a crown on the centre, an even one a valley",
                List.of(Wish.Parity.values()),
                p -> switch (p) {
                    case ANY -> "odd or even";
                    case ODD -> "odd: crown on centre";
                    case EVEN -> "even: valley on centre";
                });
        Choices.onChoice(
                parity,
                chosen -> edit(Said.say("step.parity", "which", DivisionWords.name(chosen)), w -> w.with(chosen)));
        shortest = length("wish-shortest", "Repeat not under", true, (w, l) -> w.withRange(l, w.longest()));
        longest = length("wish-longest", "Repeat not over", true, (w, l) -> w.withRange(w.shortest(), l));
        increment = length("wish-increment", "Stencil marks every", false, (w, l) -> w.withIncrement(l.getAsDouble()));
        List<Optional<SchoolKind>> kinds = Stream.concat(
                        Stream.of(Optional.<SchoolKind>empty()),
                        Stream.of(SchoolKind.values())
                                .filter(k -> k != SchoolKind.BY_HAND)
                                .map(Optional::of))
                .toList();
        Choices.prepare(
                school, "wish-school", "Which ways to come out are listed", kinds, k -> k.map(DivisionWords::name)
                        .orElse("all schools"));
        Choices.onChoice(
                school, chosen -> edit(chosen.map(DivisionWords::name).orElse("all schools"), w -> w.with(chosen)));
        Choices.prepare(tie, "wish-tie", "The border inside that the counts follow", List.of(), TieChoice::name);
        tie.setOnAction(e -> {
            TieChoice chosen = tie.getValue();
            if (!showing && chosen != null) {
                bench.editLayout(Said.say("step.tie", "which", chosen.name()), layout -> layout.with(chosen.tie()));
            }
        });
        tieBox = Labelled.of("Counts follow", tie);
        getChildren()
                .addAll(
                        Labelled.row(across, down),
                        Labelled.of("Counts", parity),
                        Labelled.row(shortest, longest),
                        Labelled.row(Labelled.of("Schools", school), increment),
                        tieBox,
                        note);
        Gradually.again(this);
    }

    private interface Change<T> {
        Wish apply(Wish wish, T value);
    }

    private TypedField count(String id, String name, Change<OptionalInt> change) {
        return new TypedField(id, name, text -> {
            String typed = text.strip();
            if (typed.isEmpty()) {
                edit(
                        Said.say("step.any-count", "what", name.toLowerCase(Locale.ROOT)),
                        w -> change.apply(w, OptionalInt.empty()));
                return Optional.empty();
            }
            try {
                int n = Integer.parseInt(typed);
                if (n >= 1 && n <= Counts.MOST) {
                    edit(n + " " + name.toLowerCase(Locale.ROOT), w -> change.apply(w, OptionalInt.of(n)));
                    return Optional.empty();
                }
            } catch (NumberFormatException e) {
                // Told below, like a number out of range.
            }
            return Optional.of(Said.say("field.count", "typed", typed, "most", Counts.MOST));
        });
    }

    private LengthField length(String id, String name, boolean mayBeEmpty, Change<OptionalDouble> change) {
        return new LengthField(
                        id,
                        name,
                        mayBeEmpty,
                        () -> bench.job().tape(),
                        inches -> objection(w -> change.apply(w, OptionalDouble.of(inches))),
                        inches -> edit(
                                name.toLowerCase(Locale.ROOT) + " "
                                        + (inches.isPresent() ? bench.words().exact(inches.getAsDouble()) : "any"),
                                w -> change.apply(w, inches)))
                .compact();
    }

    private Optional<String> objection(Function<Wish, Wish> change) {
        try {
            Wish unused = change.apply(bench.job().layout(bench.groupId()).wish());
            return Optional.empty();
        } catch (IllegalArgumentException e) {
            Words words = bench.words();
            return Optional.of(
                    Said.say(words, "field.repeats", "least", Wish.SHORTEST_REPEAT, "most", Wish.LONGEST_REPEAT));
        }
    }

    private void edit(String name, Function<Wish, Wish> change) {
        if (!showing) {
            bench.editLayout(name, layout -> layout.with(change.apply(layout.wish())));
        }
    }

    void show() {
        showing = true;
        GroupId group = bench.groupId();
        Wish wish = bench.job().layout(group).wish();
        across.show(wish.across().isPresent() ? "" + wish.across().getAsInt() : "");
        down.show(wish.down().isPresent() ? "" + wish.down().getAsInt() : "");
        down.setVisible(!group.strip());
        parity.setValue(wish.parity());
        shortest.show(wish.shortest());
        longest.show(wish.longest());
        increment.show(OptionalDouble.of(wish.increment()));
        school.setValue(wish.school());
        boolean canTie = !group.strip() && group.number() > 1;
        tieBox.setVisible(canTie);
        tieBox.setManaged(canTie);
        if (canTie) {
            List<TieChoice> choices = ties(group);
            tie.setItems(FXCollections.observableArrayList(choices));
            Optional<Tie> now = bench.job().layout(group).tie();
            tie.setValue(choices.stream()
                    .filter(c -> c.tie().equals(now))
                    .findFirst()
                    .orElse(choices.get(0)));
        }
        note.setText("A changed wish lets go what was chosen; the best way holds until another is.");
        showing = false;
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
