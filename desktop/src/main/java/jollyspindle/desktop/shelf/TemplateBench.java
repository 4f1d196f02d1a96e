package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.ClothCheck;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateReport;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.BackgroundQueue;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextFormatter;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The facts of the template that is looked at, changed in place. */
final class TemplateBench extends VBox {

    private static final double VALUES = 210;
    private static final double MEANING = 132;

    private final Workbench bench;
    private final ShelfModel model;
    private final FieldBinding.Maker make;
    private final Label kind = Labelled.wrapped("", "faint");
    private final TypedField name;
    private final LengthField copySize;
    private final Button use = new Button("Use for the border");
    private final Button retire = new Button();
    private final VBox fields = new VBox(8);
    private final TextArea notes = new TextArea();
    private final Label notesFull =
            Labelled.wrapped(Said.say("field.notes", "most", Template.LONGEST_NOTES), "refused");
    private final Label checked = Labelled.wrapped("", "reason");
    private final Button uncheck = new Button("Forget the check");
    private final VBox checking = new VBox(4);
    private final BackgroundQueue work = new BackgroundQueue("template facts");
    private List<FieldBinding> entries = List.of();
    private Object layout;
    private Prediction.What measured;
    private LengthField measuredField;

    TemplateBench(Workbench bench, ShelfModel model) {
        super(8);
        this.bench = bench;
        this.model = model;
        make = new FieldBinding.Maker(bench, model);
        name = new TypedField("template-name", "Name", this::rename);
        copySize = new LengthField(
                "template-copy-size",
                "Copy it in size",
                false,
                () -> bench.job().tape(),
                this::copyObjection,
                inches -> model.copy(inches.getAsDouble()));
        Button copy = new Button("Copy");
        copy.setId("template-copy");
        Tip.on(copy, "Copies this template as it is. A size typed beside it makes the copy that size.");
        copy.setOnAction(e -> model.shown().ifPresent(t -> model.copy(t.form().mainSize())));
        use.setId("template-use");
        Tip.on(
                use,
                "Every arc of the border is stitched with it. Dragging its picture to the quilt's map"
                        + " does the same.");
        use.setOnAction(e -> model.shown().ifPresent(t -> bench.use(t, Optional.empty())));
        retire.setId("template-retire");
        Tip.on(retire, "Keeps it out of the way without deleting it");
        retire.setOnAction(e -> model.shown()
                .ifPresent(t -> bench.editShelf(
                        (t.retired() ? "took back " : "retired ") + t.name(),
                        shelf -> shelf.with(t.withRetired(!t.retired())))));
        notes.setId("template-notes");
        notes.setPrefRowCount(3);
        notes.setWrapText(true);
        // Tab goes on to the next field, as everywhere.
        notes.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.TAB && !e.isControlDown()) {
                notes.fireEvent(new KeyEvent(
                        notes, notes, KeyEvent.KEY_PRESSED, "", "", KeyCode.TAB, e.isShiftDown(), true, false, false));
                e.consume();
            }
        });
        notes.setTextFormatter(new TextFormatter<>(change -> {
            boolean fits = change.getControlNewText().length() <= Template.LONGEST_NOTES
                    || change.getText().isEmpty();
            notesFull.setVisible(!fits);
            return fits ? change : null;
        }));
        notesFull.setId("template-notes-full");
        notesFull.setVisible(false);
        notesFull.managedProperty().bind(notesFull.visibleProperty());
        notes.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                takeNotes();
            }
        });
        uncheck.setId("template-uncheck");
        uncheck.setOnAction(e -> model.change("check forgotten", t -> t.withCheck(Optional.empty())));
        checked.setId("template-checked");
        HBox copyRow = new HBox(8, copySize, copy);
        HBox.setHgrow(copySize, Priority.ALWAYS);
        copyRow.setAlignment(javafx.geometry.Pos.BOTTOM_LEFT);
        copyRow.setFillHeight(false);
        Gradually.fill(
                this,
                kind,
                name,
                new HBox(8, use, retire),
                fields,
                Labelled.heading("Checked on cloth"),
                checked,
                checking,
                Labelled.heading("Notes"),
                notes,
                notesFull,
                Labelled.heading("Another like it"),
                copyRow);
        model.onChange(this, this::show);
        show();
    }

    private Optional<String> rename(String typed) {
        String text = typed.strip();
        if (!Template.NAME.allows(text)) {
            return Optional.of(
                    Said.say("field.characters", "least", Template.NAME.least(), "most", Template.NAME.most()));
        }
        model.change("name", t -> t.withName(text));
        return Optional.empty();
    }

    private Optional<String> copyObjection(double inches) {
        if (!(inches > 0) || inches > Form.LARGEST) {
            return Optional.of(Said.say(bench.words(), "field.over-zero", "most", Form.LARGEST));
        }
        return model.shown().flatMap(t -> {
            try {
                t.resized(inches);
                return Optional.empty();
            } catch (IllegalArgumentException e) {
                return Optional.of(Words.capital(e.getMessage()) + ".");
            }
        });
    }

    private void takeNotes() {
        String text = notes.getText();
        model.change("notes", t -> t.withNotes(text));
    }

    private void show() {
        Optional<Template> shown = model.shown();
        setDisable(shown.isEmpty());
        shown.ifPresent(this::show);
    }

    private void show(Template t) {
        name.show(t.name());
        Object wanted = List.of(t.form().type(), t.form().hasOpenings());
        if (!wanted.equals(layout)) {
            layout = wanted;
            build(t);
        }
        make.show(entries, t);
        if (!notes.isFocused()) {
            notes.setText(t.notes());
        }
        retire.setText(t.retired() ? "Take back" : "Retire");
        copySize.show(OptionalDouble.of(t.form().mainSize()));
        work.letGo();
        model.known(t).ifPresentOrElse(this::show, () -> work.ask(model.reporting(t), this::show));
    }

    /** What only comes of how it is cut. */
    private void show(TemplateReport report) {
        model.keep(report);
        Template t = report.template();
        kind.setText(ShelfWords.name(t.kind())
                + (t.retired() ? ", retired" : "")
                + (report.arcs() ? "" : ". A border of arcs needs an arc or a circle."));
        boolean inUse = bench.job().layout().templateId().equals(Optional.of(t.id()));
        use.setDisable(!report.arcs() || inUse);
        use.setText(inUse ? "In use for the border" : "Use for the border");
        check(report);
    }

    private void build(Template t) {
        Form form = t.form();
        List<FieldBinding> all = new ArrayList<>();
        Gradually.atOnce(fields, List.of());
        fields.getChildren().add(Labelled.heading("How it is cut"));
        FormEntries entered = new FormEntries(make);
        entered.of(form.type()).forEach(row -> rows(row, all));
        if (form.hasSizeLabel()) {
            rows(label(form), all);
        }
        if (form.hasOpenings()) {
            rows(List.of(entered.gap()), all);
        }
        Set<EngravedLine.Kind> kinds = form.lines();
        fields.getChildren().add(Labelled.heading("Engraved on it"));
        for (List<FieldBinding> row : new LineEntries(make).of(kinds)) {
            rows(row, all);
            if (row.size() == 2) {
                // Several values take more room than what they mean.
                ((Region) row.get(0).node()).setPrefWidth(VALUES);
                ((Region) row.get(1).node()).setPrefWidth(MEANING);
            }
        }
        fields.getChildren().add(Labelled.heading("Made of"));
        entered.material().forEach(row -> rows(row, all));
        entries = all;
        Gradually.again(fields);
    }

    /** Two to a row. */
    private void rows(List<FieldBinding> some, List<FieldBinding> all) {
        int i = 0;
        while (i < some.size()) {
            FieldBinding first = some.get(i++);
            boolean pair = !first.wide() && i < some.size() && !some.get(i).wide();
            fields.getChildren()
                    .add(pair ? Labelled.row(first.node(), some.get(i++).node()) : first.node());
        }
        all.addAll(some);
    }

    private List<FieldBinding> label(Form form) {
        FieldBinding means = make.choice(
                "label",
                "The label is",
                List.of(LabelConvention.values()),
                ShelfWords::name,
                t -> t.label().convention(),
                (t, v) -> t.withLabel(new SizeLabel(t.label().printed(), v)));
        if (!printsRound(form)) {
            return List.of(means);
        }
        return List.of(
                make.choice(
                        "printed",
                        "Printed are",
                        List.of(SizeLabel.Printed.values()),
                        p -> p == SizeLabel.Printed.RADIUS ? "radii" : "diameters",
                        t -> t.label().printed(),
                        (t, v) -> t.withLabel(new SizeLabel(v, t.label().convention()))),
                means);
    }

    /** Whether its sizes are those of circles. */
    private static boolean printsRound(Form form) {
        return switch (form.kind()) {
            case ARC, CIRCLE, SLOTTED_CIRCLES, SLOTTED_FAN -> true;
            default -> false;
        };
    }

    private void check(TemplateReport report) {
        Words words = bench.words();
        Template t = report.template();
        Prediction.What what = report.foretold().what();
        if (what != measured) {
            measured = what;
            measuredField = new LengthField(
                    "template-measured",
                    Said.say("template.measured", "what", ShelfWords.measure(what)),
                    true,
                    () -> bench.job().tape(),
                    inches -> ClothCheck.MEASURED.allows(inches)
                            ? Optional.empty()
                            : Optional.of(Said.say(
                                    words,
                                    "field.must-be",
                                    "least",
                                    String.valueOf(ClothCheck.MEASURED.least()),
                                    "most",
                                    ClothCheck.MEASURED.most())),
                    inches -> model.change(
                            "checked on cloth",
                            shown -> shown.withCheck(
                                    inches.isEmpty()
                                            ? Optional.empty()
                                            : Optional.of(new ClothCheck(
                                                    LocalDate.now(ZoneId.systemDefault()),
                                                    bench.job().machine().footRadius(),
                                                    inches.getAsDouble())))));
            checking.getChildren().setAll(measuredField, uncheck);
        }
        measuredField.show(t.checked().map(c -> OptionalDouble.of(c.measured())).orElse(OptionalDouble.empty()));
        uncheck.setVisible(t.checked().isPresent());
        uncheck.setManaged(t.checked().isPresent());
        checked.setText(new ShelfWords(words).checked(report));
    }
}
