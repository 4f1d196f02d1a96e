package jollyspindle.desktop.bench;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.AreaType;
import jollyspindle.core.quilt.AreaTypes;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.ParamWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.EntryFields;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Keyboard;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The areas of the body, measured: blocks, medallions, the background, and appliqués, typed or drawn. */
final class BodyAreasPane extends VBox {

    private static final String CLEARANCE = "clearance";
    private static final String CORNERS = "corners";
    private static final double FAR = QuiltRules.LONGEST;
    private static final double SPACING = 4;

    private final Workbench bench;
    private final Supplier<Optional<OutlineForm>> drawing;
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
        bench.areas().drawnProperty().addListener(o -> show());
        getChildren().add(head);
    }

    void show() {
        Quilt quilt = bench.job().quilt();
        Optional<List<Point>> drawn = bench.areas().drawnProperty().get();
        List<Object> above = List.of(
                quilt.areas().size() >= Area.MOST_AREAS, bench.plan().shape().isPresent(), drawn);
        if (!above.equals(head.getUserData())) {
            head.setUserData(above);
            Gradually.renew(head, head(drawn));
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
            Keyboard.kept(box, () -> Gradually.renew(box, nodes));
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
                            : Said.say("drawing.corners", "corners", Words.count(corners.size(), Words.Thing.CORNER)),
                    "reason");
            said.setId("drawing-said");
            nodes.add(said);
        });
        return nodes;
    }

    private Button add(String id, String text, String name, Supplier<Area> area) {
        Button button = new Button(text);
        button.setId(id);
        button.setDisable(bench.job().quilt().areas().size() >= Area.MOST_AREAS);
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
                bench.plan().shape().isEmpty() || bench.job().quilt().areas().size() >= Area.MOST_AREAS);
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
        button.setDisable(bench.job().quilt().areas().size() >= Area.MOST_AREAS);
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

    private <A extends Area> void one(AreaId id, A area, List<Node> nodes) {
        AreaType<A> type = AreaTypes.of(area);
        nodes.add(Labelled.heading(AreaWords.name(id, bench.job().quilt())));
        String field = area instanceof Area.Applique ? "applique" : "area";
        ParamForm<A> form = form(field, type, id, area).without(CLEARANCE);
        if (area instanceof Area.Applique applique && applique.outline() instanceof Area.Drawn drawn) {
            form.instead(CORNERS, name -> size(id, name, applique, drawn));
        } else if (area instanceof Area.Applique applique && applique.outline() instanceof Area.Corners corners) {
            form.instead(CORNERS, name -> corners(id, name, applique, corners));
        }
        form.rows().forEach(row -> nodes.add(row.get()));
        if (area instanceof Area.Blocks blocks) {
            over(id, blocks).ifPresent(nodes::add);
        }
        Button out = new Button("Take it out");
        out.setId("area-remove-" + id.number());
        out.setOnAction(e -> bench.edit(
                Said.say("step.area-out", "area", AreaWords.name(id, bench.job().quilt())), job -> job.without(id)));
        Node clearance = form("area", type, id, area)
                .only(List.of(CLEARANCE))
                .rows()
                .get(0)
                .get();
        nodes.add(Labelled.row(clearance, out));
    }

    private <A extends Area> ParamForm<A> form(String field, AreaType<A> type, AreaId id, A now) {
        ParamWords words = new ParamWords("area-kind." + type.code());
        return new ParamForm<A>(bench, field, "area-kind." + type.code(), type.params(), now, next -> type.params()
                        .changed(now, next)
                        .ifPresent(param -> replace(id, words.name(param), next)))
                .numbered(id.number());
    }

    /** That all blocks together are larger than the body, if they are. */
    private Optional<Node> over(AreaId id, Area.Blocks b) {
        double wide = bench.job().quilt().get(Dimension.BODY_TOP).orElse(FAR);
        double high = bench.job().quilt().get(Dimension.BODY_LEFT).orElse(FAR);
        if (b.across() <= wide && b.down() <= high) {
            return Optional.empty();
        }
        Label over = Labelled.wrapped(new AreaWords(bench.words()).over(b.across(), b.down(), wide, high), "refused");
        over.setId("area-over-" + id.number());
        return Optional.of(over);
    }

    // --- appliqués ---------------------------------------------------------------------------------------------

    private Node size(AreaId id, String name, Area.Applique a, Area.Drawn d) {
        return new EntryFields(bench)
                .length(
                        "applique-width-" + id.number(),
                        name,
                        false,
                        OptionalDouble.of(d.shape().mainSize()),
                        AreaTypes.SMALLEST_TYPED,
                        FAR,
                        v -> replace(
                                id,
                                name,
                                with(
                                        a,
                                        new Area.Drawn(
                                                d.shape().withMainSize(v.getAsDouble()), d.centre(), d.turned()))));
    }

    /** The corners, each right of and above the middle; typed they are what is clicked on the table. */
    private Node corners(AreaId id, String name, Area.Applique a, Area.Corners c) {
        TypedField field =
                new TypedField("applique-corners-" + id.number(), name, text -> new TypedCorners(bench.words(), FAR)
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
