package jollyspindle.desktop.bench;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Soon;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.function.Function;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.Label;
import javafx.scene.control.Tab;
import javafx.scene.control.TabPane;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What is marked on the chosen side, with readings from both ends and the centre; and how the template lies for each arc. */
public final class MarkBench extends VBox {

    private final Workbench bench;
    private final Label heading = new Label();
    private final Label note = new Label();
    private final TableView<Mark> marks = new TableView<>();
    private final TableView<Placement> placements = new TableView<>();
    private boolean showing;

    public MarkBench(Workbench bench) {
        this.bench = bench;
        getStyleClass().add("bench-content");
        heading.getStyleClass().add("heading");
        note.getStyleClass().add("faint");
        note.setWrapText(true);
        note.setMinHeight(USE_PREF_SIZE);
        marks.setId("mark-list");
        marks.setAccessibleText("Marks");
        column(marks, "Mark", 98, Words::name);
        column(marks, "From left", 132, m -> Words.fromEnd(m.readings().fromLeft()), m -> m.readings()
                .fromLeft()
                .exactText());
        column(marks, "From right", 136, m -> Words.fromEnd(m.readings().fromRight()), m -> m.readings()
                .fromRight()
                .exactText());
        column(marks, "From centre", 160, m -> Words.fromCentre(m.readings().fromCentre()), m -> m.readings()
                .fromCentre()
                .exactText());
        column(marks, "Height", 124, Words::above, m -> m.height().exactText());
        column(marks, "Made", 112, Words::making);
        placements.setId("placement-list");
        placements.setAccessibleText("Placements");
        column(placements, "Line", 120, Words::name);
        column(placements, "Turn", 190, p -> Words.turn(p.pose().rotation()));
        column(placements, "Laid on", 220, p -> bench.words().registration(p));
        column(placements, "Start at", 150, p -> MotifWords.at(p.start()));
        column(placements, "Stop at", 150, p -> MotifWords.at(p.end()));
        Tab markTab = new Tab("Marks");
        Tab placementTab = new Tab("Placements");
        TabPane tabs = new TabPane(markTab, placementTab);
        tabs.setTabClosingPolicy(TabPane.TabClosingPolicy.UNAVAILABLE);
        VBox.setVgrow(tabs, Priority.ALWAYS);
        Gradually.fill(this, heading, note, tabs);
        // A table's skin alone takes a moment, and is made before there are rows.
        Gradually.inTurn(
                tabs,
                () -> markTab.setContent(marks),
                marks::applyCss,
                () -> placementTab.setContent(placements),
                placements::applyCss);
        marks.getSelectionModel().selectedItemProperty().addListener((o, was, now) -> {
            if (!showing && now != null) {
                bench.selection().pointedProperty().set(now);
            }
        });
        placements.getSelectionModel().selectedItemProperty().addListener((o, was, now) -> {
            if (!showing && now != null) {
                bench.selection().placementProperty().set(now);
            }
        });
        // Shown while it is looked at; a valley that is dragged elsewhere needn't wait for it.
        Soon soon = new Soon(this, this::show);
        InvalidationListener follow = o -> soon.ask();
        bench.planProperty().addListener(follow);
        bench.selection().whereProperty().addListener(follow);
        bench.areas().lookedProperty().addListener(follow);
        Soon chosen = new Soon(this, this::select);
        bench.selection().pointedProperty().addListener(o -> chosen.ask());
        bench.selection().placementProperty().addListener(o -> chosen.ask());
        soon.ask();
    }

    private static <T> TableColumn<T, String> column(
            TableView<T> table, String head, double width, Function<T, String> text) {
        TableColumn<T, String> column = new TableColumn<>(head);
        column.setCellValueFactory(row -> new ReadOnlyStringWrapper(text.apply(row.getValue())));
        column.setPrefWidth(width);
        column.setSortable(false);
        column.setReorderable(false);
        table.getColumns().add(column);
        return column;
    }

    /** A column that tells the exact value on hover. */
    private static <T> void column(
            TableView<T> table, String head, double width, Function<T, String> text, Function<T, String> exact) {
        column(table, head, width, text).setCellFactory(c -> new TableCell<>() {
            {
                Tip.on(
                        this,
                        () -> isEmpty()
                                ? ""
                                : Said.say(
                                        "exactly",
                                        "reading",
                                        exact.apply(getTableRow().getItem())));
            }

            @Override
            protected void updateItem(String item, boolean empty) {
                super.updateItem(item, empty);
                setText(empty ? null : item);
            }
        });
    }

    private <T> void select(TableView<T> table, T item) {
        showing = true;
        if (item == null || !table.getItems().contains(item)) {
            table.getSelectionModel().clearSelection();
        } else if (!item.equals(table.getSelectionModel().getSelectedItem())) {
            table.getSelectionModel().select(item);
            table.scrollTo(Math.max(0, table.getSelectionModel().getSelectedIndex() - 4));
        }
        showing = false;
    }

    private void show() {
        showing = true;
        if (bench.areas().isLooked()) {
            showArea();
            showing = false;
            Gradually.whenFilled(this::select);
            return;
        }
        RunPlan run = bench.run().orElse(null);
        heading.setText(Said.say(
                "marks.head",
                "where",
                bench.name(bench.selection().whereProperty().get())));
        if (run == null) {
            note.setText("Once the quilt is measured and divided, the marks of this side stand here.");
            Gradually.rows(marks, List.of());
            Gradually.rows(placements, List.of());
        } else {
            List<Mark> chalk = run.laidOut().marks().stream()
                    .filter(m -> m.by() == Mark.MarkedBy.CHALK)
                    .toList();
            note.setText(Said.say(
                    "marks.run",
                    "marks",
                    Words.count(chalk.size(), Words.Thing.MARK),
                    "side",
                    run.id().side().isPresent(),
                    "start",
                    Words.start(run.id()),
                    "instruction",
                    run.fit().map(bench.words()::instruction).orElse(""),
                    "lines",
                    bench.words().chalkLines(bench.plan().chalkLines(run.id()))));
            Gradually.rows(marks, run.laidOut().marks());
            Gradually.rows(placements, bench.plan().placements(run.id()));
        }
        showing = false;
        Gradually.whenFilled(this::select);
    }

    private void select() {
        select(marks, bench.selection().pointedProperty().get());
        select(placements, bench.selection().placementProperty().get());
    }

    /** The marks of the piece of an area that is looked at, read along its lower edge and upwards. */
    private void showArea() {
        AreaSelection desk = bench.areas();
        AreaSelection.Looked looked = desk.lookedProperty().get();
        int pieces = desk.plan().map(p -> p.pieces().size()).orElse(1);
        heading.setText(Said.say(
                "marks.area-head",
                "where",
                AreaWords.name(looked.id(), bench.plan().job().quilt()),
                "several",
                pieces > 1,
                "number",
                looked.piece(),
                "all",
                pieces));
        note.setText(Said.say(
                "marks.area",
                "marks",
                Words.count(desk.marks().size(), Words.Thing.MARK),
                "turning",
                desk.turning().map(new AreaWords(bench.words())::finding),
                "circles",
                desk.plan().map(plan -> new AreaWords(bench.words()).toDraw(plan, desk.letter()))));
        Gradually.rows(marks, desk.marks());
        Gradually.rows(placements, desk.placements());
    }
}
