package jollyspindle.desktop.bench;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.EntryFields;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Keyboard;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The areas of the body, measured: blocks, medallions, the background, and appliqués, typed or drawn. */
final class BodyAreasPane extends VBox {

    /** More areas than a quilt has. */
    private static final int MOST = 20;

    private static final double FAR = QuiltRules.LONGEST;
    private static final double SPACING = 4;

    private final Workbench bench;
    private final Supplier<Optional<OutlineForm>> drawing;
    private final Fields make;
    private final VBox head = new VBox(SPACING);

    /** The areas' fields, a box each. */
    private final Map<AreaId, VBox> boxes = new HashMap<>();

    /**
     * A pane for the job on the table.
     *
     * @param drawing asks for a drawing and takes the outline out of it
     */
    BodyAreasPane(Workbench bench, Supplier<Optional<OutlineForm>> drawing) {
        super(SPACING);
        this.bench = bench;
        this.drawing = drawing;
        this.make = new Fields(bench);
        bench.areas().drawnProperty().addListener(o -> show());
        getChildren().add(head);
    }

    /** Makes fields that tell what changed. */
    private final class Fields extends EntryFields {

        Fields(Workbench bench) {
            super(bench);
        }

        Node size(AreaId of, String id, String name, double now, DoubleFunction<Area> area) {
            return between(of, id, name, now, 1.0 / 8, FAR, area);
        }

        Node between(
                AreaId of, String id, String name, double now, double least, double most, DoubleFunction<Area> area) {
            return length(
                    id + "-" + of.number(),
                    name,
                    false,
                    OptionalDouble.of(now),
                    least,
                    most,
                    d -> replace(of, name, area.apply(d.getAsDouble())));
        }

        Node count(AreaId of, String id, String name, int now, IntFunction<Area> area) {
            return whole(id + "-" + of.number(), name, now, 1, Area.MOST, n -> replace(of, name, area.apply(n)));
        }
    }

    void show() {
        Quilt quilt = bench.job().quilt();
        Optional<List<Point>> drawn = bench.areas().drawnProperty().get();
        List<Object> above =
                List.of(quilt.areas().size() >= MOST, bench.plan().shape().isPresent(), drawn);
        if (!above.equals(head.getUserData())) {
            head.setUserData(above);
            Gradually.atOnce(head, head(drawn));
        }
        boxes.keySet().removeIf(id -> {
            boolean gone = quilt.area(id).isEmpty();
            if (gone) {
                getChildren().remove(boxes.get(id));
            }
            return gone;
        });
        for (AreaId id : quilt.areaIds()) {
            VBox box = boxes.computeIfAbsent(id, i -> {
                VBox made = new VBox(SPACING);
                getChildren().add(made);
                return made;
            });
            show(id, quilt.area(id).orElseThrow(), box);
        }
        // One that was taken out and is brought back stands where it stood.
        List<Node> order = new ArrayList<>(List.of(head));
        quilt.areaIds().forEach(id -> order.add(boxes.get(id)));
        if (!getChildren().equals(order)) {
            getChildren().setAll(order);
        }
    }

    /** Makes an area's fields anew if they would show something else; those of the other areas stay. */
    private void show(AreaId id, Area area, VBox box) {
        Quilt quilt = bench.job().quilt();
        Shown next = new Shown(
                AreaWords.name(id, quilt),
                area,
                bench.job().tape(),
                quilt.get(Dimension.BODY_TOP),
                quilt.get(Dimension.BODY_LEFT));
        if (next.equals(box.getUserData())) {
            return;
        }
        boolean alike = box.getUserData() instanceof Shown before && before.isLike(next);
        box.setUserData(next);
        List<Node> nodes = new ArrayList<>();
        one(id, area, nodes);
        if (alike) {
            // In one go: what shrinks and grows again would move under the quilter's eyes.
            Keyboard.kept(box, () -> Gradually.atOnce(box, nodes));
        } else {
            Gradually.fill(box, nodes.toArray(Node[]::new));
        }
    }

    /** What an area's fields were made of. */
    private record Shown(String name, Area area, TapeScale tape, OptionalDouble wide, OptionalDouble high) {

        /** Whether the other has the same fields. */
        boolean isLike(Shown other) {
            return area instanceof Area.Applique one && other.area instanceof Area.Applique two
                    ? one.outline().getClass() == two.outline().getClass()
                    : area.getClass() == other.area.getClass();
        }
    }

    private List<Node> head(Optional<List<Point>> drawn) {
        FlowPane row = new FlowPane(6, 6);
        row.getChildren()
                .addAll(
                        add("area-add-blocks", "+ blocks", "blocks", () -> new Area.Blocks(3, 3, 9, 9, 0)),
                        add("area-add-medallion", "+ medallion", "a medallion", () -> new Area.Medallion(12)),
                        add("area-add-body", "+ background", "a background", () -> new Area.Body(0)),
                        add(
                                "applique-add",
                                "+ appliqué",
                                "an appliqué",
                                () -> new Area.Applique(new Area.Ellipse(Point.ORIGIN, 6, 4, 0), 0.25)),
                        draw(),
                        fromDrawing());
        List<Node> nodes = new ArrayList<>();
        nodes.add(Labelled.wrapped(
                "Appliqués keep all stitching off. A medallion lies on the blocks, and both lie on the"
                        + " background: each is stitched up to the edge of what lies on it.",
                "faint"));
        nodes.add(row);
        drawn.ifPresent(corners -> {
            Label said = Labelled.wrapped(
                    corners.isEmpty()
                            ? "Click the appliqué's corners on the table, one after the other. Enter closes it, Esc gives up."
                            : Words.count(corners.size(), Words.Thing.CORNER)
                                    + ". Enter closes it, Backspace takes the last one back, Esc gives up.",
                    "reason");
            said.setId("drawing-said");
            nodes.add(said);
        });
        return nodes;
    }

    private Button add(String id, String text, String name, Supplier<Area> area) {
        Button button = new Button(text);
        button.setId(id);
        button.setDisable(bench.job().quilt().areas().size() >= MOST);
        button.setOnAction(e -> added(name, area.get()));
        return button;
    }

    private void added(String name, Area area) {
        bench.editQuilt(name, q -> q.adding(area));
    }

    private Button draw() {
        boolean drawn = bench.areas().drawnProperty().get().isPresent();
        Button button = new Button(drawn ? "Give up drawing" : "Draw an appliqué");
        button.setId("applique-draw");
        Tip.on(button, "Click its corners on the table");
        button.setDisable(
                bench.plan().shape().isEmpty() || bench.job().quilt().areas().size() >= MOST);
        button.setOnAction(e -> {
            if (drawn) {
                bench.areas().giveUpDrawing();
            } else {
                bench.areas().beginDrawing();
            }
        });
        return button;
    }

    private Button fromDrawing() {
        Button button = new Button("From a drawing …");
        button.setId("applique-from-drawing");
        Tip.on(button, "The largest closed shape of an SVG drawing, as large as the drawing says");
        button.setDisable(bench.job().quilt().areas().size() >= MOST);
        button.setOnAction(e -> drawing.get()
                .ifPresent(form -> added(
                        "an appliqué from a drawing", new Area.Applique(new Area.Drawn(form, Point.ORIGIN, 0), 0.25))));
        return button;
    }

    private void replace(AreaId id, String what, Area area) {
        if (bench.job().quilt().area(id).isEmpty()) {
            // The area is gone, and its fields are about to go.
            return;
        }
        bench.editQuilt(
                AreaWords.name(id, bench.job().quilt()) + ": " + what.toLowerCase(Locale.ROOT), q -> q.with(id, area));
    }

    // --- one area ----------------------------------------------------------------------------------------------

    private void one(AreaId id, Area area, List<Node> nodes) {
        nodes.add(Labelled.heading(AreaWords.name(id, bench.job().quilt())));
        if (area instanceof Area.Blocks b) {
            blocks(id, b, nodes);
        } else if (area instanceof Area.Medallion m) {
            nodes.add(Labelled.row(
                    make.choice(
                            "area-shape-" + id.number(),
                            "Shape",
                            List.of(Area.Shape.values()),
                            m.shape(),
                            AreaWords::name,
                            s -> replace(id, "shape", new Area.Medallion(s, m.diameter(), m.clearance()))),
                    make.size(
                            id,
                            "area-medallion",
                            m.shape() == Area.Shape.ROUND ? "Diameter" : "Side to side",
                            m.diameter(),
                            v -> new Area.Medallion(m.shape(), v, m.clearance()))));
        } else if (area instanceof Area.Applique a) {
            outline(id, a, nodes);
        }
        double most = area instanceof Area.Applique ? 12 : 6;
        Button out = new Button("Take it out");
        out.setId("area-remove-" + id.number());
        out.setOnAction(
                e -> bench.edit("without " + AreaWords.name(id, bench.job().quilt()), job -> job.without(id)));
        nodes.add(Labelled.row(
                make.between(
                        id,
                        "area-clearance",
                        area instanceof Area.Applique ? "Clearance" : "Kept clear at the edge",
                        area.clearance(),
                        0,
                        most,
                        area::withClearance),
                out));
    }

    private void blocks(AreaId id, Area.Blocks b, List<Node> nodes) {
        double c = b.clearance();
        Collections.addAll(
                nodes,
                Labelled.row(
                        make.count(
                                id,
                                "area-columns",
                                "Blocks across",
                                b.columns(),
                                n -> new Area.Blocks(n, b.rows(), b.width(), b.height(), b.gap(), c)),
                        make.count(
                                id,
                                "area-rows",
                                "Blocks down",
                                b.rows(),
                                n -> new Area.Blocks(b.columns(), n, b.width(), b.height(), b.gap(), c))),
                Labelled.row(
                        make.size(
                                id,
                                "area-width",
                                "Block, wide",
                                b.width(),
                                v -> new Area.Blocks(b.columns(), b.rows(), v, b.height(), b.gap(), c)),
                        make.size(
                                id,
                                "area-height",
                                "Block, high",
                                b.height(),
                                v -> new Area.Blocks(b.columns(), b.rows(), b.width(), v, b.gap(), c))),
                make.between(
                        id,
                        "area-gap",
                        "Sashing between",
                        b.gap(),
                        0,
                        FAR,
                        v -> new Area.Blocks(b.columns(), b.rows(), b.width(), b.height(), v, c)));
        double wide = bench.job().quilt().get(Dimension.BODY_TOP).orElse(FAR);
        double high = bench.job().quilt().get(Dimension.BODY_LEFT).orElse(FAR);
        if (b.across() > wide || b.down() > high) {
            Label over = Labelled.wrapped(
                    "All blocks together are " + bench.words().length(b.across()) + " by "
                            + bench.words().length(b.down()) + ", more than the body's "
                            + bench.words().length(wide)
                            + " by " + bench.words().length(high) + ".",
                    "refused");
            over.setId("area-over-" + id.number());
            nodes.add(over);
        }
    }

    // --- appliqués ---------------------------------------------------------------------------------------------

    private void outline(AreaId id, Area.Applique a, List<Node> nodes) {
        if (a.outline() instanceof Area.Ellipse e) {
            Point c = e.centre();
            Collections.addAll(
                    nodes,
                    Labelled.row(
                            make.size(
                                    id,
                                    "applique-width",
                                    "Wide",
                                    e.width(),
                                    v -> with(a, new Area.Ellipse(c, v, e.height(), e.turned()))),
                            make.size(
                                    id,
                                    "applique-height",
                                    "High",
                                    e.height(),
                                    v -> with(a, new Area.Ellipse(c, e.width(), v, e.turned())))),
                    place(id, c, p -> with(a, new Area.Ellipse(p, e.width(), e.height(), e.turned()))),
                    turned(id, e.turned(), t -> with(a, new Area.Ellipse(c, e.width(), e.height(), t))));
        } else if (a.outline() instanceof Area.Drawn d) {
            Collections.addAll(
                    nodes,
                    make.size(
                            id,
                            "applique-width",
                            "Wide; its height follows",
                            d.shape().mainSize(),
                            v -> with(a, new Area.Drawn(d.shape().withMainSize(v), d.centre(), d.turned()))),
                    place(id, d.centre(), p -> with(a, new Area.Drawn(d.shape(), p, d.turned()))),
                    turned(id, d.turned(), t -> with(a, new Area.Drawn(d.shape(), d.centre(), t))));
        } else {
            nodes.add(corners(id, a, (Area.Corners) a.outline()));
        }
    }

    private interface Placed {
        Area apply(Point p);
    }

    private Node place(AreaId id, Point c, Placed area) {
        return Labelled.row(
                make.between(
                        id,
                        "applique-x",
                        "Right of the middle",
                        c.x(),
                        -FAR,
                        FAR,
                        v -> area.apply(new Point(v, c.y()))),
                make.between(
                        id, "applique-y", "Above the middle", c.y(), -FAR, FAR, v -> area.apply(new Point(c.x(), v))));
    }

    private Node turned(AreaId id, double now, DoubleFunction<Area> area) {
        return make.degrees(
                "applique-turned-" + id.number(),
                "Turned to the left, degrees",
                now,
                -360,
                360,
                "0 is as it was drawn",
                t -> replace(id, "turned", area.apply(t)));
    }

    /** The corners, each right of and above the middle; typed they are what is clicked on the table. */
    private Node corners(AreaId id, Area.Applique a, Area.Corners c) {
        TypedField field = new TypedField(
                "applique-corners-" + id.number(), "Corners, right of and above the middle", text -> new TypedCorners(
                                bench.words(), FAR)
                        .read(text, corners -> replace(id, "corners", with(a, new Area.Corners(corners)))));
        field.show(c.corners().stream()
                .map(p -> bench.words().exact(p.x()) + ", " + bench.words().exact(p.y()))
                .collect(Collectors.joining("; ")));
        return field;
    }

    private static Area with(Area.Applique was, Area.Outline outline) {
        return new Area.Applique(outline, was.clearance());
    }
}
