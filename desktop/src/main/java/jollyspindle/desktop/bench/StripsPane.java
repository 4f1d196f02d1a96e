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
import jollyspindle.core.words.ParamWords;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.EntryFields;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Keyboard;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.form.ParamStep;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.function.Supplier;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Sashing and other strips, and the areas of the body. */
final class StripsPane extends VBox {

    private static final String STRIP = "strip";

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

    private void edit(Strip was, Strip now) {
        GroupId id = edited;
        if (bench.job().quilt().strip(id).isEmpty()) {
            // The strip is gone, and its fields are about to go.
            return;
        }
        ParamStep.of(Strip.PARAMS, STRIP, was, now, bench.words())
                .ifPresent(what -> bench.editQuilt(
                        Said.say("step.of", "whose", was.name(), "what", what), quilt -> quilt.with(id, now)));
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
        return new ParamForm<>(bench, STRIP, STRIP, Strip.PARAMS, strip, next -> edit(strip, next))
                .instead("start", name -> start(strip)).rows().stream()
                        .map(Supplier::get)
                        .toList();
    }

    /** Where it begins, as two lengths from the middle. */
    private Node start(Strip strip) {
        Point at = strip.start();
        return Labelled.row(
                along("right", at.x(), right -> strip.withStart(new Point(right, at.y())), strip),
                along("up", at.y(), up -> strip.withStart(new Point(at.x(), up)), strip));
    }

    private Node along(String way, double now, DoubleFunction<Strip> moved, Strip strip) {
        return new EntryFields(bench)
                .length(
                        "strip-" + way,
                        new ParamWords(STRIP).name("start." + way),
                        false,
                        OptionalDouble.of(now),
                        -QuiltRules.LONGEST,
                        QuiltRules.LONGEST,
                        inches -> edit(strip, moved.apply(inches.getAsDouble())));
    }
}
