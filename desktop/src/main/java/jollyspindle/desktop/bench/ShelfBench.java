package jollyspindle.desktop.bench;

import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.words.Cautions;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The facts of one template on the shelf, changed in place. */
public final class ShelfBench extends VBox {

    private static final double LARGEST = 100;

    /** Changes one length of a template. */
    private interface LengthChange {
        ArcTemplate apply(ArcTemplate template, double inches);
    }

    private final Workbench bench;
    private final ShelfStage shelf;
    private final TextField name = new TextField();
    private final ComboBox<ArcEdge> edge = new ComboBox<>();
    private final ComboBox<LabelConvention> label = new ComboBox<>();
    private final LengthField radius;
    private final LengthField depth;
    private final LengthField thickness;
    private final TextField sweep = new TextField();
    private final Label sweepSaid = new Label();
    private final TextField lines = new TextField();
    private final Label linesSaid = new Label();
    private final Label stitches = new Label();
    private final Label caution = new Label();
    private final Button use = new Button("Use for the border");
    private final Button copy = new Button("Copy");
    private final Button remove = new Button("Remove");
    private boolean showing;

    /**
     * A bench beside a shelf.
     *
     * @param shelf says which template is meant
     */
    public ShelfBench(Workbench bench, ShelfStage shelf) {
        this.bench = bench;
        this.shelf = shelf;
        getStyleClass().add("bench-content");
        radius = length("template-radius", "Radius printed on it", ArcTemplate::withLabelRadius);
        depth = length("template-depth", "Plate, crown to far side", ArcTemplate::withPlateDepth);
        thickness = length("template-thickness", "Thickness", ArcTemplate::withThickness);
        Choices.prepare(
                edge,
                "template-edge",
                "Which way the edge curves",
                List.of(ArcEdge.values()),
                e -> e == ArcEdge.CONVEX ? "bulges" : "hollow");
        Choices.prepare(
                label,
                "template-label",
                "What the printed radius means",
                List.of(LabelConvention.values()),
                l -> l == LabelConvention.AS_CUT ? "as cut" : "as stitched");
        edge.setOnAction(e -> change("edge", t -> t.withEdge(edge.getValue())));
        label.setOnAction(e -> change("label", t -> t.withLabel(label.getValue())));
        typed(name, "template-name", this::takeName);
        typed(sweep, "template-sweep", this::takeSweep);
        typed(lines, "template-lines", this::takeLines);
        for (Label said : List.of(sweepSaid, linesSaid, stitches, caution)) {
            said.setWrapText(true);
            said.setMinHeight(USE_PREF_SIZE);
            said.managedProperty().bind(said.textProperty().isNotEmpty());
        }
        stitches.setId("template-stitched");
        linesSaid.setId("template-lines-said");
        sweepSaid.setId("template-sweep-said");
        caution.getStyleClass().add("faint");
        use.setId("template-use");
        use.setDefaultButton(false);
        use.setOnAction(
                e -> shown().ifPresent(t -> bench.edit("template " + t.name(), job -> job.withTemplateChosen(t.id()))));
        copy.setId("template-copy");
        copy.setOnAction(e -> shown().ifPresent(this::copy));
        remove.setId("template-remove");
        remove.setOnAction(e -> shown().ifPresent(t -> bench.edit(
                "removed " + t.name(),
                job -> job.withShelf(job.shelf().stream()
                        .filter(other -> !other.id().equals(t.id()))
                        .toList()))));
        Label heading = new Label("This template");
        heading.getStyleClass().add("heading");
        getChildren()
                .addAll(
                        heading,
                        labelled("Name", name),
                        new HBox(12, grow(labelled("Edge", edge)), grow(labelled("Label is", label))),
                        new HBox(12, grow(radius), grow(depth)),
                        new HBox(
                                12,
                                grow(new VBox(labelled("Usable sweep, degrees", sweep), sweepSaid)),
                                grow(thickness)),
                        labelled("Engraved rise lines", lines),
                        linesSaid,
                        stitches,
                        new HBox(8, use, copy, remove),
                        caution);
        shelf.shownIdProperty().addListener(o -> show());
        bench.planProperty().addListener(o -> show());
        show();
    }

    private static Node grow(Node node) {
        HBox.setHgrow(node, Priority.ALWAYS);
        if (node instanceof Region region) {
            region.setPrefWidth(160);
        }
        return node;
    }

    private LengthField length(String id, String text, LengthChange change) {
        return new LengthField(
                id,
                text,
                false,
                () -> bench.job().tape(),
                inches -> inches > 0 && inches <= LARGEST
                        ? Optional.empty()
                        : Optional.of("It must be more than 0 and at most "
                                + bench.words().exact(LARGEST) + "."),
                inches -> change(text.toLowerCase(Locale.ROOT), t -> change.apply(t, inches.getAsDouble())));
    }

    private void copy(ArcTemplate t) {
        List<String> ids = bench.job().shelf().stream().map(ArcTemplate::id).toList();
        String id = IntStream.iterate(2, n -> n + 1)
                .mapToObj(n -> "copy-" + n)
                .filter(candidate -> !ids.contains(candidate))
                .findFirst()
                .orElseThrow();
        String copyName = t.name().length() > QuiltJob.LONGEST_NAME - 8 ? t.name() : t.name() + ", copy";
        ArcTemplate copied = t.withId(id).withName(copyName);
        bench.edit("copied " + t.name(), job -> {
            List<ArcTemplate> all = new ArrayList<>(job.shelf());
            all.add(copied);
            return job.withShelf(all);
        });
    }

    private void takeName() {
        String typed = name.getText().strip();
        if (!typed.isEmpty() && typed.length() <= QuiltJob.LONGEST_NAME) {
            change("name", t -> t.withName(typed));
        } else {
            show();
        }
    }

    private void takeSweep() {
        try {
            double degrees =
                    Double.parseDouble(sweep.getText().strip().replace(',', '.').replace("°", ""));
            if (degrees >= 1 && degrees <= 180) {
                sweepSaid.setText("");
                change(
                        "usable sweep",
                        t -> Math.abs(Math.toDegrees(t.usableSweep()) - degrees) < 1e-9
                                ? t
                                : t.withUsableSweep(Math.toRadians(degrees)));
                return;
            }
        } catch (NumberFormatException e) {
            // Told below, like a number out of range.
        }
        sweepSaid.setText("“" + sweep.getText() + "” isn't between 1 and 180 degrees. The last good value stands.");
        sweepSaid.getStyleClass().setAll("label", "refused");
    }

    private void takeLines() {
        List<Double> read = new ArrayList<>();
        for (String text : lines.getText().split("[;,]")) {
            if (text.isBlank()) {
                continue;
            }
            if (LengthParser.parse(text, bench.job().tape()) instanceof LengthReading.Understood one
                    && one.inches() > 0
                    && one.inches() <= LARGEST) {
                read.add(one.inches());
            } else {
                linesSaid.setText("“" + text.strip() + "” isn't a rise. Write rises between semicolons: 1; 1 1/2; 2."
                        + " The last good lines stand.");
                linesSaid.getStyleClass().setAll("label", "refused");
                return;
            }
        }
        linesSaid.setText("");
        change("rise lines", t -> t.withRiseLines(read));
    }

    private static void typed(TextField field, String id, Runnable take) {
        field.setId(id);
        field.setOnAction(e -> take.run());
        field.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                take.run();
            }
        });
    }

    private void change(String what, UnaryOperator<ArcTemplate> change) {
        if (!showing) {
            shown().ifPresent(t -> bench.edit(t.name() + ", " + what, job -> job.withTemplate(change.apply(t))));
        }
    }

    private Optional<ArcTemplate> shown() {
        String id = shelf.shownIdProperty().get();
        return bench.job().shelf().stream().filter(t -> t.id().equals(id)).findFirst();
    }

    private static VBox labelled(String text, Control field) {
        Label said = new Label(text);
        said.getStyleClass().add("length-label");
        said.setLabelFor(field);
        if (field.getAccessibleText() == null) {
            field.setAccessibleText(text);
        }
        return new VBox(1, said, field);
    }

    private void show() {
        showing = true;
        Optional<ArcTemplate> shown = shown();
        setDisable(shown.isEmpty());
        shown.ifPresent(t -> {
            Words words = bench.words();
            name.setText(t.name());
            edge.setValue(t.edge());
            label.setValue(t.label());
            radius.show(OptionalDouble.of(t.labelRadius()));
            depth.show(OptionalDouble.of(t.plateDepth()));
            thickness.show(OptionalDouble.of(t.thickness()));
            sweep.setText(Words.degrees(t.usableSweep()).replace("°", ""));
            lines.setText(t.riseLines().stream().map(words::exact).collect(Collectors.joining("; ")));
            sweepSaid.setText("");
            linesSaid.setText("");
            stitches.setText(Words.capital(words.stitches(t, bench.job().machine())) + " with a foot of radius "
                    + words.exact(bench.job().machine().footRadius()) + ".");
            stitches.getStyleClass()
                    .setAll("label", t.difficulty(bench.job().machine()).isPresent() ? "refused" : "understood");
            use.setDisable(bench.job().layout().templateId().equals(Optional.of(t.id())));
            caution.setText(Cautions.thickness(t.thickness(), words) + " " + Cautions.MANUAL_FIRST);
        });
        showing = false;
    }
}
