package jollyspindle.desktop.bench;

import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The borders from the body outward: one of them at a time, with what is measured of it and what it is. */
final class BordersPane extends VBox {

    private final Workbench bench;
    private final Function<Dimension, LengthField> field;
    private final HBox numbers = new HBox(4);
    private final Label heading = new Label();
    private final VBox content = new VBox(4);
    private final ComboBox<Corners> corners = new ComboBox<>();
    private final CheckBox plain = new CheckBox("left plain");
    private final LengthField unit;
    private final Map<Dimension, LengthField> fields = new HashMap<>();
    private int number = 1;
    private int shownNumber;
    private int shownBorders = -1;
    private boolean showing;

    /**
     * A pane.
     *
     * @param field makes the field for a dimension
     */
    BordersPane(Workbench bench, Function<Dimension, LengthField> field) {
        super(4);
        this.bench = bench;
        this.field = field;
        heading.getStyleClass().addAll("heading", "section");
        numbers.setAlignment(Pos.CENTER_LEFT);
        Choices.prepare(corners, "corners", "How the border turns its corners", List.of(Corners.values()), Words::name);
        corners.setOnAction(e -> {
            Corners chosen = corners.getValue();
            if (!showing && chosen != null) {
                edit(Said.say("step.corners", "how", Words.name(chosen).toLowerCase(Locale.ROOT)), b -> b.with(chosen));
            }
        });
        plain.setId("border-plain");
        plain.setOnAction(
                e -> edit(plain.isSelected() ? "left plain" : "to be stitched", b -> b.withPlain(plain.isSelected())));
        unit = new LengthField(
                "border-unit",
                "Pieced unit",
                true,
                () -> bench.job().tape(),
                inches -> Border.UNIT.allows(inches) ? Optional.empty() : Optional.of(unitRange(bench.words())),
                inches -> edit(
                        inches.isPresent()
                                ? Said.say(bench.words(), "step.unit", "unit", inches.getAsDouble())
                                : "not pieced",
                        b -> b.withUnit(inches)));
        getChildren().addAll(numbers, heading, content);
    }

    /** What a pieced unit can be. */
    static String unitRange(Words words) {
        return Said.say(words, "field.unit", "least", Border.UNIT.least(), "most", Border.UNIT.most());
    }

    private void edit(String name, UnaryOperator<Border> change) {
        int edited = number;
        if (edited > bench.job().quilt().borders().size()) {
            // The border is gone, and its fields are about to go.
            return;
        }
        bench.editQuilt(
                Words.name(GroupId.border(edited)).toLowerCase(Locale.ROOT) + " " + name,
                quilt -> quilt.withBorder(edited, change.apply(quilt.border(edited))));
    }

    private void add() {
        int next = bench.job().quilt().borders().size() + 1;
        number = next;
        // Most borders are like the one inside them; its depth is asked for.
        bench.editQuilt(
                Said.say("step.border-added", "number", next),
                quilt -> quilt.withBorderOutside(
                        quilt.borders().isEmpty()
                                ? Border.USUAL
                                : Border.USUAL.with(quilt.border(next - 1).corners())));
        focus(Dimension.depth(next, Side.TOP));
    }

    private void remove() {
        int gone = number;
        number = Math.max(1, gone - 1);
        bench.edit(Said.say("step.border-out", "number", gone), job -> job.withoutBorder(gone));
    }

    void show() {
        showing = true;
        Quilt quilt = bench.job().quilt();
        int borders = quilt.borders().size();
        number = Math.max(1, Math.min(number, borders));
        if (number != shownNumber || borders != shownBorders) {
            shownNumber = number;
            shownBorders = borders;
            build(borders);
        }
        heading.setText(
                borders == 0
                        ? "No border"
                        : borders == 1
                                ? "Border, seam to raw edge"
                                : Said.say("border.heading", "number", number, "outermost", number == borders));
        fields.forEach((dimension, f) -> f.show(quilt.get(dimension)));
        if (borders > 0) {
            corners.setValue(quilt.border(number).corners());
            plain.setSelected(quilt.border(number).plain());
            unit.show(quilt.border(number).unit());
        }
        showing = false;
    }

    private void build(int borders) {
        numbers.getChildren().clear();
        ToggleGroup together = new ToggleGroup();
        for (int n = 1; borders > 1 && n <= borders; n++) {
            int which = n;
            ToggleButton button = new ToggleButton("" + n);
            button.setId("border-" + n);
            button.getStyleClass().add("zero-button");
            button.setToggleGroup(together);
            button.setSelected(n == number);
            button.setAccessibleText(Said.say("border.counted", "number", n));
            button.setOnAction(e -> {
                button.setSelected(true);
                number = which;
                if (!bench.job().quilt().border(which).plain()) {
                    bench.selection()
                            .choose(RunId.of(
                                    which,
                                    bench.selection()
                                            .whereProperty()
                                            .get()
                                            .side()
                                            .orElse(Side.TOP)));
                }
                show();
            });
            numbers.getChildren().add(button);
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        numbers.getChildren().add(gap);
        Button more = new Button("Add a border");
        more.setId("border-add");
        Tip.on(more, "Another border outside");
        more.setDisable(borders >= Quilt.MOST_BORDERS);
        more.setOnAction(e -> add());
        Button fewer = new Button("Take out");
        fewer.setId("border-remove");
        Tip.on(fewer, "Take this border out");
        fewer.setAccessibleText("Take this border out");
        fewer.setDisable(borders == 0);
        fewer.setOnAction(e -> remove());
        numbers.getChildren().addAll(fewer, more);
        fields.clear();
        if (borders == 0) {
            Gradually.fill(content);
            return;
        }
        List<Node> nodes = new ArrayList<>();
        nodes.add(MeasureBench.grid(
                made(Dimension.depth(number, Side.TOP)),
                made(Dimension.depth(number, Side.BOTTOM)),
                made(Dimension.depth(number, Side.LEFT)),
                made(Dimension.depth(number, Side.RIGHT))));
        if (number > 1) {
            nodes.add(MeasureBench.grid(
                    made(Dimension.seam(number, Side.TOP)).compact(),
                    made(Dimension.seam(number, Side.BOTTOM)).compact(),
                    made(Dimension.seam(number, Side.LEFT)).compact(),
                    made(Dimension.seam(number, Side.RIGHT)).compact()));
        }
        nodes.add(MeasureBench.grid(MeasureBench.labelled("Corners", corners, null), unit));
        nodes.add(MeasureBench.grid(made(Dimension.clearance(number)), plain));
        Gradually.fill(content, nodes.toArray(Node[]::new));
    }

    private LengthField made(Dimension dimension) {
        return fields.computeIfAbsent(dimension, field);
    }

    /** Goes to a field, ready to type over it. */
    void focus(Dimension dimension) {
        number = dimension.border();
        show();
        LengthField there = fields.get(dimension);
        if (there != null) {
            Gradually.whenFilled(there::requestFieldFocus);
        }
    }
}
