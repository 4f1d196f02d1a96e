package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.css.PseudoClass;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Polygon;

/** The quilt's regions: a small map that can be clicked, and under it the same as a list for the keyboard. */
public final class RegionMap extends VBox {

    private static final double WIDTH = 186;
    private static final double HEIGHT = 118;
    private static final PseudoClass DROP = PseudoClass.getPseudoClass("drop");
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Workbench bench;
    private final Pane map = new Pane();
    private final Map<Side, ToggleButton> buttons = new EnumMap<>(Side.class);
    private final Map<Side, Label> said = new EnumMap<>(Side.class);
    private final Consumer<Side> opened;
    private final Predicate<Object> dropped;

    /**
     * A map for a workbench.
     *
     * @param opened called when a side is asked for twice, to be shown large
     * @param dropped called with what was dragged onto a side; whether that was anything to use there
     */
    public RegionMap(Workbench bench, Consumer<Side> opened, Predicate<Object> dropped) {
        super(2);
        this.bench = bench;
        this.opened = opened;
        this.dropped = dropped;
        map.setMinSize(WIDTH, HEIGHT);
        map.setPrefSize(WIDTH, HEIGHT);
        map.setId("region-map");
        getChildren().add(map);
        ToggleGroup group = new ToggleGroup();
        for (Side side : Side.values()) {
            Label name = new Label(Words.border(side));
            name.getStyleClass().add("region-name");
            Label what = new Label();
            what.getStyleClass().add("faint");
            what.setId("region-said-" + Words.name(side));
            said.put(side, what);
            ToggleButton button = new ToggleButton();
            button.setGraphic(new VBox(name, what));
            button.setId("region-" + Words.name(side));
            button.setToggleGroup(group);
            button.setMaxWidth(Double.MAX_VALUE);
            button.getStyleClass().add("region-button");
            button.setOnAction(e -> {
                button.setSelected(true);
                bench.choose(side);
            });
            button.setOnMouseClicked(e -> {
                if (e.getClickCount() == 2) {
                    opened.accept(side);
                }
            });
            takesDrops(button, side);
            buttons.put(side, button);
            getChildren().add(button);
        }
        bench.planProperty().addListener(o -> show());
        bench.sideProperty().addListener(o -> show());
        show();
    }

    private void show() {
        Words words = bench.words();
        for (Side side : Side.values()) {
            buttons.get(side).setSelected(side == bench.sideProperty().get());
            String text = bench.plan()
                    .run(side)
                    .map(run -> run.division().count() + " of "
                            + words.length(run.division().repeat()))
                    .orElse("not planned yet");
            said.get(side).setText(text);
            buttons.get(side)
                    .setTooltip(new Tooltip(bench.plan()
                            .run(side)
                            .map(run -> "Repeats of exactly "
                                    + words.exactly(run.division().repeat())
                                    + ". Click to show this side on the tape, twice to show it large")
                            .orElse("Click to show this side, twice to show it large")));
            buttons.get(side).setAccessibleText(Words.border(side) + ", " + text);
        }
        map.getChildren().clear();
        QuiltShape shape = bench.plan().shape().orElse(null);
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
        for (Side side : Side.values()) {
            side(side, polygon(shape.regions().get(side), view));
        }
    }

    private void placeholder() {
        View view = new View((HEIGHT / 2 - 4) / 46, WIDTH / 2, HEIGHT / 2);
        List<Point> o = List.of(new Point(-40, 46), new Point(40, 46), new Point(40, -46), new Point(-40, -46));
        List<Point> i = List.of(new Point(-31, 37), new Point(31, 37), new Point(31, -37), new Point(-31, -37));
        for (Side side : Side.values()) {
            int a = side.ordinal();
            int b = (a + 1) % 4;
            side(side, polygon(List.of(i.get(a), o.get(a), o.get(b), i.get(b)), view));
        }
    }

    private void side(Side side, Polygon polygon) {
        polygon.getStyleClass().add("map-side");
        polygon.setId("map-" + Words.name(side));
        polygon.setCursor(Cursor.HAND);
        polygon.pseudoClassStateChanged(CHOSEN, side == bench.sideProperty().get());
        polygon.setOnMouseClicked(e -> {
            bench.choose(side);
            if (e.getClickCount() == 2) {
                opened.accept(side);
            }
        });
        takesDrops(polygon, side);
        map.getChildren().add(polygon);
        if (side == bench.sideProperty().get()) {
            polygon.setViewOrder(-1);
        }
    }

    /** Lights up under a template that is dragged over it, and uses it when it is let go. */
    private void takesDrops(Node node, Side side) {
        node.setOnMouseDragEntered(e -> node.pseudoClassStateChanged(DROP, true));
        node.setOnMouseDragExited(e -> node.pseudoClassStateChanged(DROP, false));
        node.setOnMouseDragReleased(e -> {
            if (dropped.test(e.getGestureSource())) {
                bench.choose(side);
            }
        });
    }

    private static Polygon polygon(List<Point> points, View view) {
        Polygon polygon = new Polygon();
        points.forEach(p -> polygon.getPoints().addAll(view.x(p), view.y(p)));
        return polygon;
    }
}
