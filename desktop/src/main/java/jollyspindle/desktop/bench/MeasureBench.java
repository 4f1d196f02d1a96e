package jollyspindle.desktop.bench;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.words.Cautions;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.model.Workbench;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** What the tape says: the job's name, the body, the border, the foot. */
public final class MeasureBench extends VBox {

    private final Workbench bench;
    private final TextField name = new TextField();
    private final Label nameSaid = new Label();
    private final ComboBox<TapeScale> tape = new ComboBox<>();
    private final ComboBox<Corners> corners = new ComboBox<>();
    private final LengthField foot;
    private final Map<Dimension, LengthField> fields = new EnumMap<>(Dimension.class);
    private boolean showing;

    /**
     * A bench.
     *
     * @param toFoot goes to where the foot is calibrated
     */
    public MeasureBench(Workbench bench, Runnable toFoot) {
        this.bench = bench;
        getStyleClass().add("bench-content");
        for (Dimension dimension : Dimension.values()) {
            fields.put(dimension, field(dimension));
        }
        foot = new LengthField(
                "foot-radius",
                "Ruler foot, radius",
                false,
                () -> bench.job().tape(),
                this::footObjection,
                inches -> bench.editMachine(
                        "foot " + bench.words().exact(inches.getAsDouble()),
                        machine -> machine.withFootRadius(inches.getAsDouble())));
        buildName();
        Choices.prepare(tape, "tape-scale", "How lengths are shown", List.of(TapeScale.values()), Words::name);
        tape.setOnAction(e -> {
            if (!showing && tape.getValue() != null) {
                bench.edit(
                        "tape in " + Words.name(tape.getValue()).toLowerCase(Locale.ROOT),
                        job -> job.withTape(tape.getValue()));
            }
        });
        Choices.prepare(corners, "corners", "How the border turns its corners", List.of(Corners.values()), Words::name);
        corners.setOnAction(e -> {
            if (!showing && corners.getValue() != null) {
                bench.edit(
                        "corners " + Words.name(corners.getValue()).toLowerCase(Locale.ROOT),
                        job -> job.withQuilt(job.quilt().with(corners.getValue())));
            }
        });
        Hyperlink calibrate = new Hyperlink("measure it");
        calibrate.setId("calibrate");
        calibrate.setAccessibleText("Measure the foot by what it stitches");
        calibrate.setTooltip(new Tooltip("Measure the foot by what it stitches (Ctrl+K)"));
        calibrate.setOnAction(e -> toFoot.run());
        foot.beside(calibrate);
        getChildren()
                .addAll(
                        grid(labelled("Job name", name, nameSaid), labelled("Tape measure", tape, null)),
                        heading("Body, seam to seam"),
                        grid(
                                of(Dimension.BODY_TOP),
                                of(Dimension.BODY_BOTTOM),
                                of(Dimension.BODY_LEFT),
                                of(Dimension.BODY_RIGHT)),
                        grid(of(Dimension.DIAGONAL_DOWN), of(Dimension.DIAGONAL_UP)),
                        heading("Border, seam to raw edge"),
                        grid(
                                of(Dimension.DEPTH_TOP),
                                of(Dimension.DEPTH_BOTTOM),
                                of(Dimension.DEPTH_LEFT),
                                of(Dimension.DEPTH_RIGHT)),
                        grid(labelled("Corners", corners, null), foot, of(Dimension.RESERVE), of(Dimension.CLEARANCE)));
        bench.planProperty().addListener(o -> show());
        show();
    }

    private LengthField field(Dimension dimension) {
        String id = dimension.name().toLowerCase(Locale.ROOT).replace('_', '-');
        return new LengthField(
                id,
                label(dimension),
                dimension.kind() == Dimension.Kind.DIAGONAL,
                () -> bench.job().tape(),
                inches -> objection(dimension, inches),
                inches -> measured(dimension, inches));
    }

    private static String label(Dimension dimension) {
        return switch (dimension) {
            case DIAGONAL_DOWN -> "Diagonal from top left";
            case DIAGONAL_UP -> "Diagonal from bottom left";
            case RESERVE, CLEARANCE -> Words.name(dimension);
            default -> Words.capital(Words.name(dimension).replaceAll(".*, ", ""));
        };
    }

    private Optional<String> objection(Dimension dimension, double inches) {
        return QuiltRules.refusal(bench.job().quilt(), dimension, inches)
                .map(why -> bench.words().refusal(why, dimension, inches));
    }

    private Optional<String> footObjection(double inches) {
        return inches > 0 && inches <= Machine.LARGEST_FOOT_RADIUS
                ? Optional.empty()
                : Optional.of("A foot's radius is more than 0 and at most "
                        + bench.words().exact(Machine.LARGEST_FOOT_RADIUS)
                        + ": measure from the needle to the outside of the foot.");
    }

    private void measured(Dimension dimension, OptionalDouble inches) {
        String name = Words.name(dimension).toLowerCase(Locale.ROOT);
        if (inches.isEmpty()) {
            bench.edit(name + " not measured", job -> job.withQuilt(job.quilt().without(dimension)));
            return;
        }
        bench.edit(
                name + " " + bench.words().exact(inches.getAsDouble()),
                job -> job.withQuilt(job.quilt().measuring(dimension, inches.getAsDouble())));
    }

    private void buildName() {
        name.setId("job-name");
        name.setAccessibleText("Job name");
        nameSaid.setId("job-name-said");
        nameSaid.setWrapText(true);
        nameSaid.managedProperty().bind(nameSaid.textProperty().isNotEmpty());
        Runnable take = () -> {
            String typed = name.getText().strip();
            if (!typed.isEmpty() && typed.length() <= QuiltJob.LONGEST_NAME) {
                bench.edit("name “" + typed + "”", job -> job.withName(typed));
            } else {
                name.setText(bench.job().name());
            }
        };
        name.setOnAction(e -> take.run());
        name.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                take.run();
            }
        });
        name.textProperty().addListener(o -> {
            boolean wrong = name.getText().isBlank() || name.getText().strip().length() > QuiltJob.LONGEST_NAME;
            nameSaid.setText(
                    wrong ? "A name has 1 to " + QuiltJob.LONGEST_NAME + " characters; the last one stands." : "");
            nameSaid.getStyleClass().setAll("label", wrong ? "refused" : "understood");
        });
    }

    private static Node labelled(String text, Node field, Label said) {
        Label label = new Label(text);
        label.getStyleClass().add("length-label");
        label.setLabelFor(field);
        VBox box = new VBox(1, label, field);
        if (said != null) {
            box.getChildren().add(said);
        }
        return box;
    }

    private LengthField of(Dimension dimension) {
        return fields.get(dimension);
    }

    private static Label heading(String text) {
        Label label = new Label(text);
        label.getStyleClass().addAll("heading", "section");
        return label;
    }

    private static GridPane grid(Node... nodes) {
        GridPane grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(4);
        for (int column = 0; column < 2; column++) {
            ColumnConstraints half = new ColumnConstraints();
            half.setPercentWidth(50);
            grid.getColumnConstraints().add(half);
        }
        for (int i = 0; i < nodes.length; i++) {
            grid.add(nodes[i], i % 2, i / 2);
        }
        return grid;
    }

    private void show() {
        showing = true;
        QuiltJob job = bench.job();
        if (!name.isFocused() || !name.getText().strip().equals(job.name())) {
            name.setText(job.name());
        }
        tape.setValue(job.tape());
        corners.setValue(job.quilt().corners());
        fields.forEach((dimension, field) -> field.show(job.quilt().get(dimension)));
        foot.show(OptionalDouble.of(job.machine().footRadius()));
        foot.setAccessibleHelp(Cautions.MANUAL_FIRST);
        showing = false;
    }

    /** Goes to a field, ready to type over it. */
    public void focus(Dimension dimension) {
        fields.get(dimension).requestFieldFocus();
    }
}
