package jollyspindle.desktop.control;

import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;

/** What the plan finds, worst first, each with its remedy as a button. */
public final class FindingsBox extends VBox {

    private final Workbench bench;
    private final Consumer<Remedy> apply;
    private List<Object> told = List.of();

    /**
     * A list of findings.
     *
     * @param apply carries out a remedy
     */
    public FindingsBox(Workbench bench, Consumer<Remedy> apply) {
        super(6);
        this.bench = bench;
        this.apply = apply;
        setId("findings");
        Soon soon = new Soon(this, this::show);
        bench.planProperty().addListener(o -> soon.ask());
        soon.ask();
    }

    /** {@code top} on a quilt with one border. */
    private String name(RunId run) {
        boolean one = bench.plan().job().quilt().borders().size() == 1;
        return one && run.side().isPresent() ? Words.name(run.side().get()) : Words.decapital(bench.name(run));
    }

    private void show() {
        List<Object> wanted = List.of(
                bench.plan().findings(),
                bench.plan().job().quilt().groups(),
                bench.plan().job().tape());
        if (wanted.equals(told)) {
            return;
        }
        told = wanted;
        List<Node> boxes = new ArrayList<>();
        FindingWords said = new FindingWords(bench.words());
        // The same trouble on several sides is said once.
        Map<List<Object>, List<Finding>> grouped = bench.plan().findings().stream()
                .collect(Collectors.groupingBy(
                        f -> List.of(
                                f.code(),
                                f.severity(),
                                f.remedy(),
                                f.run().<Object>map(RunId::group).orElse(f)),
                        LinkedHashMap::new,
                        Collectors.toList()));
        for (List<Finding> group : grouped.values()) {
            Finding finding = group.get(0);
            String where = group.stream()
                    .flatMap(f -> f instanceof Finding.AreaTrouble area
                            ? Stream.of(Words.decapital(AreaWords.name(
                                    area.area(), bench.plan().job().quilt())))
                            : f.run().map(this::name).stream())
                    .distinct()
                    .collect(Collectors.joining(", "));
            Label head = new Label(FindingWords.name(finding.severity()) + (where.isEmpty() ? "" : " · " + where));
            head.setWrapText(true);
            head.setMinHeight(USE_PREF_SIZE);
            head.getStyleClass().add("region-name");
            Label text = new Label(said.text(finding));
            text.setWrapText(true);
            text.setMinHeight(USE_PREF_SIZE);
            VBox box = new VBox(head, text);
            box.setId("finding-" + finding.code());
            if (finding instanceof Finding.AreaTrouble area) {
                // A click shows where it stands.
                box.setCursor(Cursor.HAND);
                box.setOnMouseClicked(e -> show(area));
            }
            box.getStyleClass()
                    .addAll("finding", "finding-" + finding.severity().name().toLowerCase(Locale.ROOT));
            finding.remedy().ifPresent(remedy -> {
                Button button = new Button(said.text(remedy));
                button.setId("remedy-" + finding.code());
                button.setWrapText(true);
                button.setMinHeight(USE_PREF_SIZE);
                button.setTextAlignment(TextAlignment.CENTER);
                button.setOnAction(e -> apply.accept(remedy));
                box.getChildren().add(button);
            });
            boxes.add(box);
        }
        if (boxes.isEmpty()) {
            Label well = new Label("Nothing in the way: every crown clears the reserve.");
            well.getStyleClass().add("all-well");
            well.setWrapText(true);
            well.setMinHeight(USE_PREF_SIZE);
            boxes.add(well);
        }
        Gradually.renew(this, boxes);
    }

    /** The piece of the area where the finding stands. */
    private void show(Finding.AreaTrouble trouble) {
        bench.stageProperty().set(WorkStage.LAY_OUT);
        int piece = trouble.place()
                .flatMap(bench.areas()::at)
                .filter(l -> l.id().equals(trouble.area()))
                .map(AreaSelection.Looked::piece)
                .orElseGet(() -> bench.plan().area(trouble.area()).stream()
                        .flatMap(a -> a.pieces().stream())
                        .filter(p -> p.letter() == trouble.letter())
                        .findFirst()
                        .map(AreaPlan.Piece::number)
                        .orElse(1));
        bench.areas().choose(trouble.area(), piece);
    }
}
