package jollyspindle.desktop.shelf;

import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.Find;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;

/** Asks what a template is wanted for. Begins with what the job's chosen side wants. */
final class FindForm extends FlowPane {

    /** What a template can be wanted for, and the lengths that say it. */
    enum Purpose {
        SPAN("an arc over a span", "Span", "Room above seam", "Rise, if wished"),
        CIRCLE("a stitched circle", "Diameter"),
        RINGS("rings about one centre", "From ring to ring", "Largest diameter"),
        FAN("fans along a border", "Border depth", "Reserve"),
        BLOCK("a square block", "Side of the block"),
        STRIP("a strip", "Width of the strip");

        private final String name;
        private final List<String> lengths;

        Purpose(String name, String... lengths) {
            this.name = name;
            this.lengths = List.of(lengths);
        }
    }

    private static final int RISE = 2;

    private final Workbench bench;
    private final ShelfModel model;
    private final ComboBox<Purpose> purpose = new ComboBox<>();
    private final Map<Purpose, List<OptionalDouble>> typed = new EnumMap<>(Purpose.class);

    FindForm(Workbench bench, ShelfModel model) {
        super(10, 4);
        this.bench = bench;
        this.model = model;
        setId("find-form");
        setRowValignment(VPos.TOP);
        Choices.prepare(
                purpose, "find-purpose", "What a template is wanted for", List.of(Purpose.values()), p -> p.name);
        purpose.setValue(Purpose.SPAN);
        Choices.onChoice(purpose, chosen -> ask());
    }

    /** Asks anew, with the job's own lengths where nothing was typed. */
    void ask() {
        Purpose p = purpose.getValue();
        List<OptionalDouble> lengths = typed.computeIfAbsent(p, this::begin);
        List<Node> row = new ArrayList<>(List.of(Labelled.of("Which template for", purpose)));
        for (int i = 0; i < p.lengths.size(); i++) {
            int index = i;
            boolean mayBeEmpty = p == Purpose.SPAN && i == RISE;
            boolean mayBeZero = p == Purpose.FAN && i == 1;
            LengthField field = new LengthField(
                    "find-" + (i + 1),
                    p.lengths.get(i),
                    mayBeEmpty,
                    () -> bench.job().tape(),
                    inches -> (mayBeZero ? inches >= 0 : inches > 0) && inches <= QuiltRules.LONGEST
                            ? Optional.empty()
                            : Optional.of(Said.say(bench.words(), "field.over-zero", "most", QuiltRules.LONGEST)),
                    inches -> {
                        lengths.set(index, inches);
                        tell(p, lengths);
                    });
            field.show(lengths.get(i));
            field.setStyle("-fx-pref-width: 8.5em;");
            row.add(field);
        }
        for (Node node : row) {
            ((Region) node).setMinWidth(Region.USE_PREF_SIZE);
        }
        getChildren().setAll(row);
        tell(p, lengths);
    }

    private void tell(Purpose p, List<OptionalDouble> lengths) {
        boolean complete = true;
        for (int i = 0; i < lengths.size(); i++) {
            complete &= lengths.get(i).isPresent() || p == Purpose.SPAN && i == RISE;
        }
        model.wantedProperty().set(complete ? Optional.of(wanted(p, lengths)) : Optional.empty());
    }

    private static Find.Wanted wanted(Purpose p, List<OptionalDouble> lengths) {
        double first = lengths.get(0).getAsDouble();
        return switch (p) {
            case SPAN ->
                new Find.Wanted.Span(
                        first,
                        lengths.get(1).getAsDouble(),
                        lengths.get(RISE).isPresent()
                                ? Optional.of(lengths.get(RISE).getAsDouble())
                                : Optional.empty());
            case CIRCLE -> new Find.Wanted.Circle(first);
            case RINGS -> new Find.Wanted.Rings(first, lengths.get(1).getAsDouble());
            case FAN -> new Find.Wanted.Fan(first, lengths.get(1).getAsDouble());
            case BLOCK -> new Find.Wanted.Block(first);
            case STRIP -> new Find.Wanted.Strip(first);
        };
    }

    /** Lengths to begin with: what the chosen side of the job wants, else common ones. */
    private List<OptionalDouble> begin(Purpose p) {
        Optional<RunPlan> run = bench.run();
        double depth = run.map(r -> r.frame().depth()).orElse(8.0);
        double reserve = bench.job().quilt().length(Dimension.RESERVE);
        List<Double> first =
                switch (p) {
                    case SPAN ->
                        List.of(
                                run.map(r -> r.division().repeat()).orElse(6.0),
                                Math.max(0.5, run.map(r -> r.frame().room()).orElse(depth - reserve)));
                    case CIRCLE -> List.of(2.0);
                    case RINGS -> List.of(0.5, 6.0);
                    case FAN -> List.of(depth, reserve);
                    case BLOCK -> List.of(4.5);
                    case STRIP -> List.of(2.0);
                };
        List<OptionalDouble> lengths = new ArrayList<>();
        first.forEach(v -> lengths.add(OptionalDouble.of(v)));
        while (lengths.size() < p.lengths.size()) {
            lengths.add(OptionalDouble.empty());
        }
        return lengths;
    }
}
