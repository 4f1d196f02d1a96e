package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.FootCalibration;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.words.FootWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The machine's foot: what kind it is, and its radius from what was stitched and measured. */
final class FootBench extends VBox {

    /** What was stitched on the scrap. */
    private enum How {
        IN_HOLE("a circle inside a hole", "Hole, on the acrylic", "Stitched circle"),
        ROUND_DISC("a circle round a disc", "Disc, on the acrylic", "Stitched circle"),
        ALONG_EDGE("a line along a straight edge", "", "From edge to line");

        private final String name;
        private final String acrylic;
        private final String cloth;

        How(String name, String acrylic, String cloth) {
            this.name = name;
            this.acrylic = acrylic;
            this.cloth = cloth;
        }
    }

    private final Workbench bench;
    private final ComboBox<Machine.FootType> type = new ComboBox<>();
    private final ComboBox<How> how = new ComboBox<>();
    private final VBox typed = new VBox(8);
    private final VBox measured = new VBox(4);
    private final Label said = Labelled.wrapped("");
    private final Label trouble = Labelled.wrapped("", "refused");
    private final LengthField radius;
    private OptionalDouble acrylic = OptionalDouble.empty();
    private OptionalDouble cloth = OptionalDouble.empty();
    private boolean showing;

    FootBench(Workbench bench, ShelfModel model) {
        super(8);
        this.bench = bench;
        Choices.prepare(
                type,
                "foot-type",
                "What kind of foot the machine has",
                List.of(Machine.FootType.values()),
                t -> Words.capital(ShelfWords.name(t)));
        type.setOnAction(e -> {
            if (!showing && type.getValue() != null) {
                bench.editMachine(ShelfWords.name(type.getValue()), m -> m.withFootType(type.getValue()));
            }
        });
        Choices.prepare(how, "foot-how", "What was stitched on a scrap", List.of(How.values()), h -> h.name);
        how.setValue(How.IN_HOLE);
        Choices.onChoice(how, chosen -> ask());
        said.setId("foot-said");
        trouble.setId("foot-trouble");
        trouble.managedProperty().bind(trouble.textProperty().isNotEmpty());
        Button add = new Button("Add this measurement");
        add.setId("foot-add");
        add.setOnAction(e -> add());
        radius = new LengthField(
                "foot-typed",
                "Or type the radius, needle to outside",
                false,
                () -> bench.job().tape(),
                inches -> Machine.FOOT_RADIUS.allows(inches)
                        ? Optional.empty()
                        : Optional.of(Said.say(
                                bench.words(),
                                "field.foot-range",
                                "least",
                                String.valueOf(Machine.FOOT_RADIUS.least()),
                                "most",
                                Machine.FOOT_RADIUS.most())),
                inches -> bench.editMachine(
                        Said.say(bench.words(), "step.foot", "radius", inches.getAsDouble()),
                        m -> m.withFootRadius(inches.getAsDouble())));
        getChildren()
                .addAll(
                        Labelled.of("The machine has a", type),
                        Labelled.wrapped(
                                "Ruler feet differ by some hundredths, and every line moves with them. Stitch once on a"
                                        + " scrap, measure, and everything is reckoned anew. Twice or three times is"
                                        + " better: the average counts.",
                                "faint"),
                        Labelled.of("I stitched", how),
                        typed,
                        add,
                        trouble,
                        Labelled.heading("Measured"),
                        measured,
                        said,
                        radius,
                        Labelled.wrapped(Said.say("foot.fingers"), "faint"));
        Gradually.again(this);
        model.onChange(this, this::show);
        ask();
        show();
    }

    /** The fields for what was stitched. */
    private void ask() {
        acrylic = OptionalDouble.empty();
        cloth = OptionalDouble.empty();
        trouble.setText("");
        LengthField second = field("foot-cloth", how.getValue().cloth, v -> cloth = v);
        if (how.getValue() == How.ALONG_EDGE) {
            typed.getChildren().setAll(second);
        } else {
            typed.getChildren()
                    .setAll(Labelled.row(field("foot-acrylic", how.getValue().acrylic, v -> acrylic = v), second));
        }
    }

    private LengthField field(String id, String name, java.util.function.Consumer<OptionalDouble> take) {
        return new LengthField(
                        id,
                        name,
                        true,
                        () -> bench.job().tape(),
                        inches -> inches >= Form.SMALLEST && inches <= Form.LARGEST
                                ? Optional.empty()
                                : Optional.of(Said.say(
                                        bench.words(),
                                        "field.must-be",
                                        "least",
                                        String.valueOf(Form.SMALLEST),
                                        "most",
                                        Form.LARGEST)),
                        take)
                .prompting("as measured");
    }

    private void add() {
        if (how.getValue() == null) {
            return;
        }
        boolean edge = how.getValue() == How.ALONG_EDGE;
        if (cloth.isEmpty() || acrylic.isEmpty() && !edge) {
            trouble.setText(
                    edge ? "Type how far the line is from the edge." : "Type both diameters: acrylic and stitching.");
            return;
        }
        FootMeasurement one =
                switch (how.getValue()) {
                    case IN_HOLE -> new FootMeasurement.InHole(acrylic.getAsDouble(), cloth.getAsDouble());
                    case ROUND_DISC -> new FootMeasurement.RoundDisc(acrylic.getAsDouble(), cloth.getAsDouble());
                    case ALONG_EDGE -> new FootMeasurement.AlongEdge(cloth.getAsDouble());
                };
        FootCalibration alone = FootCalibration.of(List.of(one));
        if (!alone.possible()) {
            trouble.setText(new FootWords(bench.words()).calibration(alone));
            return;
        }
        List<FootMeasurement> all = new ArrayList<>(bench.job().machine().measured());
        all.add(one);
        ask();
        bench.editMachine("foot measured", m -> m.withMeasured(all));
    }

    private void show() {
        showing = true;
        Machine machine = bench.job().machine();
        FootWords words = new FootWords(bench.words());
        type.setValue(machine.footType());
        radius.show(OptionalDouble.of(machine.footRadius()));
        measured.getChildren().clear();
        for (int i = 0; i < machine.measured().size(); i++) {
            int index = i;
            Label label = Labelled.wrapped(words.measurement(machine.measured().get(i)), "reason");
            Button remove = new Button("Take out");
            remove.setId("foot-remove-" + (i + 1));
            remove.setAccessibleText(Said.say("foot.take-out", "number", i + 1));
            remove.setOnAction(e -> remove(index));
            remove.setMinWidth(Region.USE_PREF_SIZE);
            HBox row = new HBox(8, label, remove);
            HBox.setHgrow(label, Priority.ALWAYS);
            label.setMaxWidth(Double.MAX_VALUE);
            measured.getChildren().add(row);
        }
        if (machine.measured().isEmpty()) {
            said.setText(Said.say(bench.words(), "foot.not-measured", "radius", machine.footRadius()));
            said.getStyleClass().setAll("label", "faint");
        } else {
            FootCalibration c = FootCalibration.of(machine.measured());
            said.setText(words.calibration(c));
            said.getStyleClass().setAll("label", c.questioned() || c.spreadsWidely() ? "refused" : "understood");
        }
        showing = false;
    }

    private void remove(int index) {
        List<FootMeasurement> left = new ArrayList<>(bench.job().machine().measured());
        left.remove(index);
        bench.editMachine(
                "measurement taken out",
                m -> left.isEmpty()
                        ? new Machine(Machine.NOMINAL_FOOT_RADIUS, m.footType(), List.of())
                        : m.withMeasured(left));
    }
}
