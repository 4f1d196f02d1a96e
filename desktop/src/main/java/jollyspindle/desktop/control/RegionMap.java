package jollyspindle.desktop.control;

import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Polygon;

/**
 * The quilt's regions: a small map that can be clicked, and under it the same for the keyboard. Where there are several
 * borders or strips, one of them is turned to, and its runs are listed.
 */
public final class RegionMap extends VBox {

    private static final double WIDTH = 186;
    private static final double HEIGHT = 118;
    private static final PseudoClass DROP = PseudoClass.getPseudoClass("drop");
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Workbench bench;
    private final Pane map = new Pane();
    private final VBox list = new VBox(2);
    private final Consumer<RunId> opened;
    private final Predicate<Object> dropped;
    private final ToggleGroup regions = new ToggleGroup();
    private final Map<GroupId, ToggleButton> groupButtons = new LinkedHashMap<>();

    /** What is listed, by what it is made of. */
    private Map<Object, Node> listed = Map.of();

    private List<Node> shown = List.of();
    private List<Object> drawn = List.of();

    /**
     * A map for a workbench.
     *
     * @param opened called when a run is asked for twice, to be shown large
     * @param dropped called with what was dragged onto the run that has just been chosen; whether that was anything to use there
     */
    public RegionMap(Workbench bench, Consumer<RunId> opened, Predicate<Object> dropped) {
        super(2);
        this.bench = bench;
        this.opened = opened;
        this.dropped = dropped;
        map.setMinSize(WIDTH, HEIGHT);
        map.setPrefSize(WIDTH, HEIGHT);
        map.setId("region-map");
        getChildren().addAll(map, list);
        Soon soon = new Soon(this, this::show);
        bench.planProperty().addListener(o -> soon.ask());
        bench.selection().whereProperty().addListener(o -> soon.ask());
        bench.areas().lookedProperty().addListener(o -> soon.ask());
        soon.ask();
    }

    private void show() {
        list();
        QuiltShape shape = bench.plan().shape().orElse(null);
        List<Object> wanted = List.of(
                Optional.ofNullable(shape),
                bench.selection().whereProperty().get(),
                bench.plan().job().quilt().groups(),
                bench.plan().job().quilt().areaIds(),
                bench.plan().job().quilt().areas(),
                Optional.ofNullable(bench.areas().lookedProperty().get()));
        if (wanted.equals(drawn)) {
            return;
        }
        drawn = wanted;
        map.getChildren().clear();
        if (shape == null) {
            placeholder();
            return;
        }
        double across = shape.outer().stream()
                .mapToDouble(Point::x)
                .map(Math::abs)
                .max()
                .orElseThrow();
        double down = shape.outer().stream()
                .mapToDouble(Point::y)
                .map(Math::abs)
                .max()
                .orElseThrow();
        double scale = Math.min((WIDTH / 2 - 4) / across, (HEIGHT / 2 - 4) / down);
        View view = new View(scale, WIDTH / 2, HEIGHT / 2);
        Polygon body = polygon(shape.body().corners(), view);
        body.getStyleClass().add("map-body");
        map.getChildren().add(body);
        for (RunFrame frame : shape.runs().values()) {
            Polygon cloth = polygon(shape.region(frame.id()), view);
            if (bench.plan().job().quilt().groups().contains(frame.id().group())) {
                region(frame.id(), cloth);
            } else {
                cloth.getStyleClass().add("map-body");
                map.getChildren().add(cloth);
            }
        }
        areas(body, view);
    }

    /** The areas of the body, those below first: the background is the body itself. */
    private void areas(Polygon body, View view) {
        Quilt quilt = bench.plan().job().quilt();
        quilt.areaIdsFromBelow().forEach(id -> bench.plan().area(id).ifPresent(plan -> {
            if (quilt.area(id).orElseThrow() instanceof Area.Body) {
                area(plan.id(), 1, body);
                return;
            }
            for (AreaPlan.Piece piece : plan.pieces()) {
                Polygon cloth = polygon(piece.cloth().seam().flattened(0.1), view);
                map.getChildren().add(cloth);
                area(plan.id(), piece.number(), cloth);
            }
        }));
    }

    private void area(AreaId id, int piece, Polygon cloth) {
        cloth.getStyleClass().setAll("map-side");
        cloth.setId("map-" + id.code() + (piece > 1 ? "-" + piece : ""));
        cloth.setCursor(Cursor.HAND);
        cloth.pseudoClassStateChanged(
                CHOSEN,
                new AreaSelection.Looked(id, piece)
                        .equals(bench.areas().lookedProperty().get()));
        cloth.setOnMouseClicked(e -> bench.areas().choose(id, piece));
    }

    // --- the list ----------------------------------------------------------------------------------------------

    private void list() {
        Quilt quilt = bench.plan().job().quilt();
        List<GroupId> groups = quilt.groups();
        GroupId chosen = bench.groupId();
        // What is listed already stays, so that the keyboard's place isn't lost; to make it would take its time, too.
        Map<Object, Node> next = new LinkedHashMap<>();
        if (groups.size() > 1) {
            List<String> names =
                    groups.stream().map(id -> Words.name(id, quilt)).toList();
            next.put(names, listed.containsKey(names) ? listed.get(names) : groups(groups));
        }
        for (RunId run : groups.contains(chosen) ? quilt.runs(chosen) : List.<RunId>of()) {
            List<Object> named = List.of(run, bench.name(run));
            next.put(named, listed.containsKey(named) ? listed.get(named) : button(run));
        }
        for (AreaId id : AreaSelection.stitchable(quilt)) {
            next.put(id, listed.containsKey(id) ? listed.get(id) : button(id));
        }
        listed.values().stream()
                .filter(gone -> gone instanceof ToggleButton && !next.containsValue(gone))
                .forEach(gone -> ((ToggleButton) gone).setToggleGroup(null));
        listed = next;
        List<Node> nodes = List.copyOf(next.values());
        if (!nodes.equals(shown)) {
            shown = nodes;
            Gradually.renew(list, nodes);
        }
        groupButtons.forEach((id, button) -> button.setSelected(id.equals(chosen)));
        for (Node node : listed.values()) {
            if (node.getUserData() instanceof RunId run) {
                say((ToggleButton) node, run);
            } else if (node.getUserData() instanceof AreaId area) {
                say((ToggleButton) node, area);
            }
        }
    }

    private Node groups(List<GroupId> groups) {
        groupButtons.clear();
        HBox row = new HBox(3);
        VBox rows = new VBox(3);
        ToggleGroup together = new ToggleGroup();
        for (GroupId id : groups) {
            ToggleButton button = new ToggleButton(id.strip() ? "S" + id.number() : "" + id.number());
            button.setId("group-" + id.code());
            button.getStyleClass().add("zero-button");
            button.setToggleGroup(together);
            String name = Words.name(id, bench.plan().job().quilt());
            Tip.on(button, name);
            button.setAccessibleText(name);
            groupButtons.put(id, button);
            button.setOnAction(e -> {
                button.setSelected(true);
                bench.selection().choose(first(id));
            });
            if (row.getChildren().size() == 4) {
                rows.getChildren().add(row);
                row = new HBox(3);
            }
            row.getChildren().add(button);
        }
        rows.getChildren().add(row);
        return rows;
    }

    /** The same side of another border, or a strip. */
    private RunId first(GroupId id) {
        Side side = bench.selection().whereProperty().get().side().orElse(Side.TOP);
        return id.strip() ? RunId.strip(id.number()) : RunId.of(id.number(), side);
    }

    private ToggleButton button(RunId run) {
        Label name = new Label(bench.name(run));
        name.getStyleClass().add("region-name");
        Label what = new Label();
        what.getStyleClass().add("faint");
        what.setId("region-said-" + run.code());
        ToggleButton button = new ToggleButton();
        button.setUserData(run);
        button.setGraphic(new VBox(name, what));
        button.setId("region-" + run.code());
        button.setToggleGroup(regions);
        button.setMaxWidth(Double.MAX_VALUE);
        button.getStyleClass().add("region-button");
        button.setOnAction(e -> {
            button.setSelected(true);
            bench.selection().choose(run);
        });
        button.setOnMouseClicked(e -> {
            if (e.getClickCount() == 2) {
                opened.accept(run);
            }
        });
        takesDrops(button, run);
        return button;
    }

    private ToggleButton button(AreaId area) {
        ToggleButton button = new ToggleButton();
        button.setUserData(area);
        button.setId("region-" + area.code());
        button.setToggleGroup(regions);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        button.getStyleClass().add("region-button");
        button.setOnAction(e -> {
            button.setSelected(true);
            bench.areas().choose(area, 1);
        });
        return button;
    }

    private void say(ToggleButton button, AreaId area) {
        AreaSelection.Looked looked = bench.areas().lookedProperty().get();
        button.setSelected(looked != null && looked.id().equals(area));
        String name = AreaWords.name(area, bench.plan().job().quilt());
        String first = bench.plan().job().design(area).parts().stream()
                .flatMap(p -> p.layers().stream())
                .map(l -> Words.decapital(AreaWords.name(l.motif())))
                .distinct()
                .collect(Collectors.joining(", "));
        String what = first.isEmpty() ? "nothing yet" : first;
        if (!(name + ", " + what).equals(button.getAccessibleText())) {
            Label title = new Label(name);
            title.getStyleClass().add("region-name");
            Label below = new Label(what);
            below.getStyleClass().add("faint");
            button.setGraphic(new VBox(title, below));
        }
        Tip.on(button, "Click to show it with the tape bent round its centre");
        button.setAccessibleText(name + ", " + what);
    }

    private void say(ToggleButton button, RunId run) {
        Words words = bench.words();
        button.setSelected(run.equals(bench.selection().whereProperty().get())
                && !bench.areas().isLooked());
        String text = bench.plan()
                .run(run)
                .map(r -> Said.say(
                        words,
                        "region.repeats",
                        "count",
                        r.division().count(),
                        "repeat",
                        r.division().repeat()))
                .orElse("not planned yet");
        ((Label) ((VBox) button.getGraphic()).getChildren().get(1)).setText(text);
        Tip.on(
                button,
                bench.plan()
                        .run(run)
                        .map(r -> Said.say(
                                words, "region.tip", "repeat", r.division().repeat()))
                        .orElse("Click to show this run, twice to show it large"));
        button.setAccessibleText(bench.name(run) + ", " + text);
    }

    // --- the map -----------------------------------------------------------------------------------------------

    private void placeholder() {
        View view = new View((HEIGHT / 2 - 4) / 46, WIDTH / 2, HEIGHT / 2);
        List<Point> o = List.of(new Point(-40, 46), new Point(40, 46), new Point(40, -46), new Point(-40, -46));
        List<Point> i = List.of(new Point(-31, 37), new Point(31, 37), new Point(31, -37), new Point(-31, -37));
        for (Side side : Side.values()) {
            int a = side.ordinal();
            int b = (a + 1) % 4;
            region(RunId.of(side), polygon(new ArrayList<>(List.of(i.get(a), o.get(a), o.get(b), i.get(b))), view));
        }
    }

    private void region(RunId run, Polygon polygon) {
        boolean chosen = run.equals(bench.selection().whereProperty().get())
                && !bench.areas().isLooked();
        polygon.getStyleClass().add("map-side");
        polygon.setId("map-" + run.code());
        polygon.setCursor(Cursor.HAND);
        polygon.pseudoClassStateChanged(CHOSEN, chosen);
        polygon.setOnMouseClicked(e -> {
            bench.selection().choose(run);
            if (e.getClickCount() == 2) {
                opened.accept(run);
            }
        });
        takesDrops(polygon, run);
        map.getChildren().add(polygon);
        if (chosen) {
            polygon.setViewOrder(-1);
        }
    }

    /** Lights up under a template that is dragged over it, and uses it when it is let go. */
    private void takesDrops(Node node, RunId run) {
        node.setOnMouseDragEntered(e -> node.pseudoClassStateChanged(DROP, true));
        node.setOnMouseDragExited(e -> node.pseudoClassStateChanged(DROP, false));
        node.setOnMouseDragReleased(e -> {
            RunId before = bench.selection().whereProperty().get();
            bench.selection().choose(run);
            if (!dropped.test(Optional.ofNullable(e.getGestureSource()).orElse(node))) {
                bench.selection().choose(before);
            }
        });
    }

    private static Polygon polygon(List<Point> points, View view) {
        Polygon polygon = new Polygon();
        points.forEach(p -> polygon.getPoints().addAll(view.x(p), view.y(p)));
        return polygon;
    }
}
