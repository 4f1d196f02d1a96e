package jollyspindle.desktop.bench;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.words.Cautions;
import jollyspindle.core.words.SquareWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Deck;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.Soon;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import javafx.beans.InvalidationListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What the tape says: the job's name, the body, the borders, strips and areas, the foot. */
public final class MeasureBench extends VBox {

    /** What is measured in turn. */
    private enum Page {
        BODY("Body"),
        BORDERS("Borders"),
        STRIPS("Strips and areas");

        private final String title;

        Page(String title) {
            this.title = title;
        }
    }

    private final Workbench bench;
    private final TextField name = new TextField();
    private final Label nameSaid = new Label();
    private final ComboBox<TapeScale> tape = new ComboBox<>();
    private final LengthField foot;
    private final Map<Dimension, LengthField> fields = new HashMap<>();
    private final Map<Boolean, ComboBox<Easing>> easings = new HashMap<>();
    private final Label square = Labelled.wrapped("", "reason");
    private final BordersPane borders;
    private final StripsPane strips;
    private final Soon soon;
    private final Map<Page, ToggleButton> pills = new EnumMap<>(Page.class);
    private final Deck deck = new Deck();
    private final Map<Page, Region> pages = new EnumMap<>(Page.class);
    private Page page = Page.BODY;
    private boolean showing;

    /**
     * A bench for the job on the table.
     *
     * @param toFoot goes to where the foot is calibrated
     * @param drawing asks for a drawing and takes the outline out of it
     */
    public MeasureBench(Workbench bench, Runnable toFoot, Supplier<Optional<OutlineForm>> drawing) {
        this.bench = bench;
        getStyleClass().add("bench-content");
        for (Dimension dimension : Quilt.unmeasured().dimensions()) {
            if (dimension.border() == 0) {
                fields.put(dimension, field(dimension));
            }
        }
        foot = new LengthField(
                "foot-radius",
                "Ruler foot, radius",
                false,
                () -> bench.job().tape(),
                this::footObjection,
                inches -> bench.editMachine(
                        Said.say(bench.words(), "step.foot", "radius", inches.getAsDouble()),
                        machine -> machine.withFootRadius(inches.getAsDouble())));
        buildName();
        Choices.prepare(tape, "tape-scale", "How lengths are shown", List.of(TapeScale.values()), Words::name);
        tape.setOnAction(e -> {
            if (!showing && tape.getValue() != null) {
                bench.edit(
                        Said.say(
                                "step.tape",
                                "scale",
                                Words.name(tape.getValue()).toLowerCase(Locale.ROOT)),
                        job -> job.withTape(tape.getValue()));
            }
        });
        Hyperlink calibrate = new Hyperlink("measure it");
        calibrate.setId("calibrate");
        calibrate.setAccessibleText("Measure the foot by what it stitches");
        Tip.on(calibrate, "Measure the foot by what it stitches (Ctrl+K)");
        calibrate.setOnAction(e -> toFoot.run());
        foot.beside(calibrate);
        square.setId("square-said");
        borders = new BordersPane(bench, this::field);
        strips = new StripsPane(bench, drawing);
        VBox body = new VBox(6);
        Gradually.fill(
                body,
                heading("Body, seam to seam"),
                grid(
                        of(Dimension.BODY_TOP),
                        of(Dimension.BODY_BOTTOM),
                        of(Dimension.BODY_LEFT),
                        of(Dimension.BODY_RIGHT)),
                grid(of(Dimension.DIAGONAL_DOWN), of(Dimension.DIAGONAL_UP)),
                grid(easing(true), easing(false)),
                square,
                heading("Machine"),
                foot);
        pages.put(Page.BODY, body);
        pages.put(Page.BORDERS, new VBox(6, borders, grid(of(Dimension.RESERVE), of(Dimension.BATTING))));
        pages.put(Page.STRIPS, strips);
        HBox row = new HBox(4);
        ToggleGroup together = new ToggleGroup();
        for (Page page : Page.values()) {
            ToggleButton pill = new ToggleButton(page.title);
            pill.setId("measure-" + page.name().toLowerCase(Locale.ROOT));
            pill.getStyleClass().add("page-button");
            pill.setToggleGroup(together);
            pill.setOnAction(e -> {
                turnTo(page);
                show();
            });
            pills.put(page, pill);
            row.getChildren().add(pill);
        }
        getChildren().addAll(grid(labelled("Job name", name, nameSaid), labelled("Tape measure", tape, null)), row);
        deck.setAlignment(Pos.TOP_LEFT);
        getChildren().add(deck);
        Gradually.again(this);
        turnTo(Page.BODY);
        // Shown while it is looked at; a valley that is dragged elsewhere needn't wait for it.
        soon = new Soon(this, this::show);
        InvalidationListener follow = o -> soon.ask();
        bench.changesProperty().addListener(follow);
        bench.planProperty().addListener(follow);
        show();
    }

    private void turnTo(Page to) {
        page = to;
        pills.forEach((page, pill) -> pill.setSelected(page == to));
        deck.show(pages.get(to));
    }

    /** What two opposite sides are planned at. */
    private Node easing(boolean across) {
        ComboBox<Easing> box = new ComboBox<>();
        String sides = across ? "top and bottom" : "right and left";
        Choices.prepare(
                box,
                across ? "ease-across" : "ease-down",
                Said.say("measure.ease-purpose", "sides", sides),
                List.of(Easing.values()),
                Words::name);
        box.setOnAction(e -> {
            Easing chosen = box.getValue();
            if (!showing && chosen != null) {
                bench.editQuilt(
                        Said.say("step.ease", "sides", sides, "how", Words.name(chosen)),
                        quilt -> quilt.with(quilt.easing().with(across ? Side.TOP : Side.LEFT, chosen)));
            }
        });
        easings.put(across, box);
        return labelled(Said.say("measure.ease", "sides", sides), box, null);
    }

    private LengthField field(Dimension dimension) {
        return new LengthField(
                dimension.code(),
                label(dimension),
                dimension.kind() == Dimension.Kind.DIAGONAL
                        || dimension.kind() == Dimension.Kind.SEAM
                        || dimension.kind() == Dimension.Kind.LIMIT,
                () -> bench.job().tape(),
                inches -> objection(dimension, inches),
                inches -> measured(dimension, inches));
    }

    private static String label(Dimension dimension) {
        return switch (dimension.what()) {
            case DIAGONAL_DOWN -> "Diagonal from top left";
            case DIAGONAL_UP -> "Diagonal from bottom left";
            case RESERVE -> "Outer reserve";
            case BATTING -> "Batting, widest gap";
            case CLEARANCE -> "Seam clearance";
            case SEAM ->
                Said.say(
                        "measure.seam",
                        "side",
                        dimension.side().map(Words::name).orElse(""));
            default -> Words.capital(dimension.side().map(Words::name).orElse(""));
        };
    }

    private Optional<String> objection(Dimension dimension, double inches) {
        Quilt quilt = bench.job().quilt();
        return QuiltRules.refusal(quilt, dimension, inches)
                .map(why -> bench.words().refusal(why, dimension, inches))
                .or(() -> elsewhere(quilt.measuring(dimension, inches)));
    }

    /** What no longer goes together with a length that was just typed, as the file would say it. */
    private Optional<String> elsewhere(Quilt changed) {
        return QuiltRules.firstRefused(changed)
                .flatMap(other -> QuiltRules.refusal(changed, other, changed.length(other))
                        .map(why -> bench.words().refusal(why, other, changed.length(other))));
    }

    private Optional<String> footObjection(double inches) {
        return Machine.FOOT_RADIUS.allows(inches)
                ? Optional.empty()
                : Optional.of(Said.say(
                        bench.words(),
                        "field.foot",
                        "least",
                        String.valueOf(Machine.FOOT_RADIUS.least()),
                        "most",
                        Machine.FOOT_RADIUS.most()));
    }

    private void measured(Dimension dimension, OptionalDouble inches) {
        String name = Words.name(dimension).toLowerCase(Locale.ROOT);
        if (inches.isEmpty()) {
            bench.editQuilt(Said.say("step.not-measured", "what", name), quilt -> quilt.without(dimension));
            return;
        }
        bench.editQuilt(
                name + " " + bench.words().exact(inches.getAsDouble()),
                quilt -> quilt.measuring(dimension, inches.getAsDouble()));
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
                bench.edit(Said.say("step.name", "name", typed), job -> job.withName(typed));
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
            nameSaid.setText(wrong ? Said.say("field.job-name", "most", QuiltJob.LONGEST_NAME) : "");
            nameSaid.getStyleClass().setAll("label", wrong ? "refused" : "understood");
        });
    }

    static Node labelled(String text, Node field, Label said) {
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

    static GridPane grid(Node... nodes) {
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
        fields.forEach((dimension, field) -> field.show(job.quilt().get(dimension)));
        easings.get(true).setValue(job.quilt().easing().across());
        easings.get(false).setValue(job.quilt().easing().down());
        showSquareness(bench.plan());
        if (page == Page.BORDERS) {
            borders.show();
        } else if (page == Page.STRIPS) {
            strips.show();
        }
        foot.show(OptionalDouble.of(job.machine().footRadius()));
        foot.setAccessibleHelp(Cautions.MANUAL_FIRST);
        showing = false;
    }

    private void showSquareness(WorkPlan plan) {
        Quilt quilt = plan.job().quilt();
        double limit = plan.job().judging().squareLimit();
        square.setText(plan.squareness()
                .map(sq -> new SquareWords(bench.words()).text(sq, quilt, limit))
                .orElse(""));
        boolean past = plan.squareness()
                .filter(sq -> SquareWords.past(sq, quilt, limit))
                .isPresent();
        square.getStyleClass().setAll("label", past ? "reason-warning" : "reason");
    }

    /** Goes to a field, ready to type over it. */
    public void focus(Dimension dimension) {
        soon.now();
        turnTo(dimension.border() > 0 || dimension.kind() == Dimension.Kind.STRIP ? Page.BORDERS : Page.BODY);
        show();
        Gradually.whenFilled(() -> {
            if (dimension.border() > 0) {
                borders.focus(dimension);
            } else {
                fields.get(dimension).requestFieldFocus();
            }
        });
    }
}
