package jollyspindle.desktop.bench;

import jollyspindle.core.code.LastingNumbers;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.desktop.control.ChoiceField;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Keyboard;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Sashing and other strips, and the areas of the body. */
final class StripsPane extends VBox {

    private final Workbench bench;
    private final ComboBox<GroupId> chosen = new ComboBox<>();
    private final VBox one = new VBox(4);
    private final BodyAreasPane areas;
    private final Button remove = new Button("Take it out");
    private GroupId edited = GroupId.strip(1);
    private Object shownStrip;
    private GroupId shownId;
    private boolean showing;

    StripsPane(Workbench bench, Supplier<Optional<OutlineForm>> drawing) {
        super(6);
        this.bench = bench;
        areas = new BodyAreasPane(bench, drawing);
        Choices.prepare(chosen, "strip-choice", "Which strip", List.of(), id -> bench.job()
                .quilt()
                .strip(id)
                .map(Strip::name)
                .orElse(""));
        chosen.setPromptText("no strip yet");
        chosen.setOnAction(e -> {
            if (!showing && chosen.getValue() != null) {
                edited = chosen.getValue();
                bench.selection().choose(RunId.strip(edited.number()));
                show();
            }
        });
        Button across = new Button("+ across");
        across.setId("strip-add-across");
        across.setOnAction(e -> add(true));
        Button down = new Button("+ down");
        down.setId("strip-add-down");
        down.setOnAction(e -> add(false));
        remove.setId("strip-remove");
        remove.setOnAction(e -> {
            GroupId gone = edited;
            bench.edit(Said.say("step.strip-out", "number", gone.number()), job -> job.withoutStrip(gone));
        });
        getChildren()
                .addAll(
                        Labelled.heading("Strips"),
                        Labelled.wrapped(
                                "Sashing, and any other strip that is quilted like a border: it is divided by itself.",
                                "faint"),
                        new HBox(8, across, down, remove),
                        Labelled.of("Strip", chosen),
                        one,
                        Labelled.heading("Areas of the body"),
                        areas);
        Gradually.again(this);
    }

    /** A strip through the middle of the body, across or down it. */
    private void add(boolean across) {
        Quilt quilt = bench.job().quilt();
        double wide = quilt.get(Dimension.BODY_TOP).orElse(60);
        double high = quilt.get(Dimension.BODY_LEFT).orElse(80);
        double width = 2;
        int next = LastingNumbers.next(quilt.numbers().strips());
        Strip strip = across
                ? new Strip(
                        Said.say("strip.name", "number", next),
                        Strip.Kind.SASHING,
                        new Point(-wide / 2, -width / 2),
                        0,
                        wide,
                        width,
                        OptionalDouble.empty())
                : new Strip(
                        Said.say("strip.name", "number", next),
                        Strip.Kind.SASHING,
                        new Point(-width / 2, high / 2),
                        -Math.PI / 2,
                        high,
                        width,
                        OptionalDouble.empty());
        edited = GroupId.strip(next);
        bench.editQuilt(Said.say("step.strip-added", "number", next), q -> q.adding(strip));
        if (bench.plan().shape().isPresent()) {
            bench.selection().choose(RunId.strip(next));
        }
    }

    private void edit(String name, UnaryOperator<Strip> change) {
        GroupId id = edited;
        // If the strip is gone, its fields are about to go.
        bench.job()
                .quilt()
                .strip(id)
                .ifPresent(was -> bench.editQuilt(
                        was.name() + " " + name,
                        quilt -> quilt.with(id, change.apply(quilt.strip(id).orElseThrow()))));
    }

    void show() {
        showing = true;
        Quilt quilt = bench.job().quilt();
        List<GroupId> ids = quilt.stripIds();
        if (!ids.isEmpty() && !ids.contains(edited)) {
            // The one that was added before, or else the first.
            edited = ids.stream()
                    .filter(id -> id.number() < edited.number())
                    .reduce((a, b) -> b)
                    .orElse(ids.get(0));
        }
        chosen.setItems(FXCollections.observableArrayList(ids));
        chosen.setValue(ids.isEmpty() ? null : edited);
        remove.setDisable(ids.isEmpty());
        Object wanted = ids.isEmpty()
                ? "none"
                : List.of(edited, quilt.strip(edited).orElseThrow(), bench.job().tape());
        if (!wanted.equals(shownStrip)) {
            shownStrip = wanted;
            boolean same = edited.equals(shownId);
            shownId = edited;
            List<Node> fields =
                    ids.isEmpty() ? List.of() : fields(quilt.strip(edited).orElseThrow());
            if (same) {
                // In one go: what shrinks and grows again would move under the quilter's eyes.
                Keyboard.kept(one, () -> Gradually.renew(one, fields));
            } else {
                Gradually.fill(one, fields.toArray(Node[]::new));
            }
        }
        areas.show();
        showing = false;
    }

    private List<Node> fields(Strip strip) {
        TypedField name = new TypedField("strip-name", "Name", text -> {
            String typed = text.strip();
            if (typed.isEmpty() || typed.length() > Strip.LONGEST_NAME) {
                return Optional.of(Said.say("field.name", "most", Strip.LONGEST_NAME));
            }
            edit(Said.say("step.named", "name", typed), s -> s.withName(typed));
            return Optional.empty();
        });
        name.show(strip.name());
        ChoiceField<Strip.Kind> kind = new ChoiceField<>(
                "strip-kind",
                "What strip it is",
                List.of(Strip.Kind.values()),
                strip.kind(),
                k -> k == Strip.Kind.SASHING ? "sashing" : "a free strip",
                chosen -> edit(chosen == Strip.Kind.SASHING ? "is sashing" : "is a free strip", s -> s.with(chosen)));
        TypedField angle = new TypedField("strip-angle", "Direction, degrees", text -> {
            try {
                double degrees =
                        Double.parseDouble(text.strip().replace(',', '.').replace('−', '-'));
                if (Math.abs(degrees) <= 360) {
                    edit(Said.say("step.runs-at", "angle", text.strip()), s -> s.withAngle(Math.toRadians(degrees)));
                    return Optional.empty();
                }
            } catch (NumberFormatException e) {
                // Told below, like a number out of range.
            }
            return Optional.of("Type a number from -360 to 360: 0 runs to the right, 90 upwards, -90 down.");
        });
        angle.show(plain(Math.toDegrees(strip.angle())));
        return List.of(
                Labelled.row(name, Labelled.of("Kind", kind)),
                Labelled.row(
                        length("strip-length", "Length", strip.length(), true, (s, v) -> s.withSize(v, s.width())),
                        length("strip-width", "Width", strip.width(), true, (s, v) -> s.withSize(s.length(), v))),
                Labelled.row(
                        length(
                                "strip-right",
                                "Start right of middle",
                                strip.start().x(),
                                false,
                                (s, v) -> s.withStart(new Point(v, s.start().y()))),
                        length(
                                "strip-up",
                                "Start above middle",
                                strip.start().y(),
                                false,
                                (s, v) -> s.withStart(new Point(s.start().x(), v)))),
                Labelled.row(angle, unit(strip)));
    }

    private LengthField unit(Strip strip) {
        LengthField field = new LengthField(
                        "strip-unit",
                        "Pieced unit",
                        true,
                        () -> bench.job().tape(),
                        inches -> QuiltRules.isStep(inches)
                                ? Optional.empty()
                                : Optional.of(BordersPane.unitRange(bench.words())),
                        inches -> edit("pieced", s -> s.withUnit(inches)))
                .compact();
        field.show(strip.unit());
        return field;
    }

    private interface Change {
        Strip apply(Strip strip, double inches);
    }

    private LengthField length(String id, String name, double now, boolean overZero, Change change) {
        DoubleFunction<Optional<String>> check = overZero
                ? this::overZero
                : inches -> Math.abs(inches) <= QuiltRules.LONGEST
                        ? Optional.empty()
                        : Optional.of(Said.say(bench.words(), "field.either-way", "most", QuiltRules.LONGEST));
        LengthField field = new LengthField(
                        id,
                        name,
                        false,
                        () -> bench.job().tape(),
                        check,
                        inches -> edit(
                                name.toLowerCase(Locale.ROOT) + " "
                                        + bench.words().exact(inches.getAsDouble()),
                                s -> change.apply(s, inches.getAsDouble())))
                .compact();
        field.show(OptionalDouble.of(now));
        return field;
    }

    private Optional<String> overZero(double inches) {
        return QuiltRules.isLength(inches)
                ? Optional.empty()
                : Optional.of(Said.say(
                        bench.words(),
                        "field.must-be",
                        "least",
                        String.valueOf(QuiltRules.SMALLEST),
                        "most",
                        QuiltRules.LONGEST));
    }

    private static String plain(double value) {
        return String.format(Locale.ROOT, "%.3f", value).replaceAll("\\.?0+$", "");
    }
}
