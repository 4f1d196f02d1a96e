package jollyspindle.desktop.bench;

import jollyspindle.core.division.CornerArc;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.SchoolType;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Keyboard;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.model.Scope;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** How the run that is looked at comes out: its school, and that school's own numbers. */
final class RunPane extends VBox {

    private final Workbench bench;
    private final ComboBox<SchoolKind> kind = new ComboBox<>();
    private final VBox numbers = new VBox(6);
    private final Label result = Labelled.wrapped("", "reason");
    private final Label pinned = Labelled.wrapped("", "reason");
    private final Button free = new Button("Let all pins go");
    private final SchoolFields fields;
    private boolean showing;

    /** What the fields were made for; made anew only when that changes, so that the keyboard's place isn't lost. */
    private Object madeFor;

    RunPane(Workbench bench) {
        super(6);
        this.bench = bench;
        fields = new SchoolFields(bench, this, pinned, free);
        Choices.prepare(
                kind, "run-school", "How this run comes out", List.of(SchoolKind.values()), DivisionWords::name);
        kind.setOnAction(e -> {
            if (!showing && kind.getValue() != null) {
                begin(kind.getValue());
            }
        });
        free.setId("run-unpin");
        result.setId("run-result");
        getChildren().addAll(Labelled.of("This run comes out", kind), numbers, result);
        Gradually.again(this);
    }

    // --- changing it -------------------------------------------------------------------------------------------

    Optional<DividedRun> run() {
        RunId where = bench.selection().whereProperty().get();
        return bench.group().map(g -> g.chosen().run(where));
    }

    /** Divides the run, and the one opposite if both are to be alike. */
    Optional<String> divide(School school) {
        DividedRun run = run().orElseThrow();
        if (school.divide(run.run().length()).isEmpty()) {
            return Optional.of(Said.say(
                    bench.words(),
                    "field.no-room-for",
                    "length",
                    run.run().length(),
                    "school",
                    new DivisionWords(bench.words()).school(school)));
        }
        bench.dividing().divide(both(run.id(), school));
        return Optional.empty();
    }

    /** Begins with another school, near to how the run is divided now. */
    private void begin(SchoolKind wanted) {
        GroupPlan group = bench.group().orElseThrow();
        DividedRun run = run().orElseThrow();
        Optional<? extends School> school = SchoolTypes.of(wanted)
                .near(new SchoolType.Now(
                        run.run().length(),
                        group.set().wish().repeat(),
                        run.division(),
                        group.set().unit(),
                        group.set().wish().increment()));
        Optional<String> wrong = school.isPresent()
                ? divide(school.get())
                : Optional.of(
                        wanted == SchoolKind.BY_PIECING && group.set().unit().isEmpty()
                                ? "No pieced unit is measured for this border: type it under Measure."
                                : "This run doesn't come out so. Try another repeat.");
        wrong.ifPresent(this::refuse);
    }

    void refuse(String why) {
        show();
        result.setText(why);
        result.getStyleClass().setAll("label", "refused");
    }

    // --- showing it --------------------------------------------------------------------------------------------

    void show() {
        Optional<DividedRun> run = run();
        setDisable(run.isEmpty());
        if (run.isEmpty()) {
            Gradually.atOnce(numbers, List.of());
            madeFor = null;
            result.setText("Once the quilt is measured, this run's division stands here.");
            return;
        }
        showing = true;
        School school = run.get().school();
        kind.setValue(school.kind());
        // A pin that is dragged changes what is said, not the fields.
        Object numbered = school instanceof ByHand hand ? hand.count() : school;
        Object wanted =
                List.of(run.get().id(), school.kind(), numbered, bench.job().tape(), bench.shelf());
        if (!wanted.equals(madeFor)) {
            madeFor = wanted;
            boolean same = List.of(run.get().id(), school.kind()).equals(numbers.getUserData());
            numbers.setUserData(List.of(run.get().id(), school.kind()));
            List<Node> next = fields.of(run.get(), school);
            if (same) {
                Keyboard.kept(numbers, () -> Gradually.renew(numbers, next));
            } else {
                // What is half typed about one run isn't meant for another.
                Gradually.atOnce(numbers, next);
            }
        }
        if (school instanceof ByHand hand) {
            showPins(hand);
        }
        result.getStyleClass().setAll("label", "reason");
        result.setText(said(run.get()));
        showing = false;
    }

    private String said(DividedRun run) {
        DivisionWords said = new DivisionWords(bench.words());
        Words words = bench.words();
        double rise = run.fit().map(f -> f.segment().height()).orElse(0.0);
        return Said.say(
                words,
                "run.said",
                "school",
                DivisionWords.explained(run.school().kind()),
                "centre",
                DivisionWords.name(run.division().onCentre()),
                "change",
                run.division().largestChange(),
                "middle",
                run.middle().map(m -> m.cell().width()),
                "inMiddle",
                run.middle().map(m -> said.space(m, rise)),
                "end",
                run.end().map(e -> e.cell().width()),
                "atEnd",
                run.end().map(e -> said.space(e, rise) + corner(run, e.cell().width())));
    }

    /** What the corner could do with the end pieces. */
    private String corner(DividedRun run, double end) {
        GroupPlan group = bench.group().orElseThrow();
        if (run.id() instanceof RunId.BorderRun border
                && bench.job().quilt().border(border.border()).corners() == Corners.CORNERSTONES) {
            double side = bench.job().quilt().length(Dimension.depth(border.border(), border.where()));
            return "; " + new DivisionWords(bench.words()).cornerstone(side);
        }
        Optional<CornerArc> arc = run.id().side().isEmpty()
                ? Optional.empty()
                : group.set()
                        .template()
                        .flatMap(template -> CornerArc.of(
                                end,
                                template.stitchedRadius(bench.job().machine()),
                                run.run().room()));
        return arc.map(a -> Said.say(bench.words(), "run.astride", "over", a.overRoom()))
                .orElse("");
    }

    private void showPins(ByHand hand) {
        String pins = new TreeMap<>(hand.pins())
                .entrySet().stream()
                        .map(p -> Said.say(bench.words(), "run.pin", "number", p.getKey(), "place", p.getValue()))
                        .collect(Collectors.joining(", "));
        pinned.setText(
                pins.isEmpty()
                        ? "Drag a valley on the tape, or point at it there and press Enter."
                        : Said.say("run.pinned", "pins", pins));
        free.setDisable(hand.pins().isEmpty());
        free.setOnAction(e -> divide(new ByHand(hand.count(), Map.of())));
    }

    /** A run's school, and the same for the run opposite if both are to be alike, or for all that are picked. */
    Map<RunId, School> both(RunId id, School school) {
        Map<RunId, School> schools = new TreeMap<>(Map.of(id, school));
        Scope scope = bench.selection().scopeProperty().get();
        if (scope != Scope.ONE) {
            bench.group().orElseThrow().set().runs().stream()
                    .filter(r -> scope == Scope.PICKED
                            ? bench.selection().inScope(r.id())
                            : r.id().side().isPresent()
                                    && r.id().side().equals(id.side().map(Side::opposite)))
                    .filter(r -> school.divide(r.length()).isPresent())
                    .forEach(r -> schools.put(r.id(), school));
        }
        return schools;
    }
}
