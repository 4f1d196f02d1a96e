package jollyspindle.desktop.bench;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.BlockFit;
import jollyspindle.core.area.Ray;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.RayDial;
import jollyspindle.desktop.control.View;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What is stitched in the middle of the quilt: in a medallion, or in blocks. */
final class AreasPane extends VBox {

    private static final double SPACING = 0.5;

    /** What can be chosen, with the numbers it begins with. */
    private static final List<AreaMotif> OFFERED = List.of(
            new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0),
            new AreaMotif.Rings(2, SPACING, 5, AreaMotif.Spokes.ONE),
            new AreaMotif.Clamshells(0),
            new AreaMotif.Peel(4, 4),
            new AreaMotif.Crosshatch(1, Math.PI / 4),
            new AreaMotif.Quarters(0.25, SPACING));

    private static final int SIZES_SHOWN = 4;
    private static final double PICTURE = 92;

    private final Workbench bench;
    private final Look look;
    private int number = 1;

    AreasPane(Workbench bench, Look look) {
        super(8);
        this.bench = bench;
        this.look = look;
    }

    /** Shows the area that is looked at as it is. */
    void show() {
        getChildren().clear();
        // Nothing is stitched on an appliqué.
        List<Integer> areas = IntStream.rangeClosed(
                        1, bench.job().quilt().areas().size())
                .filter(n -> !(bench.job().quilt().areas().get(n - 1) instanceof Area.Applique))
                .boxed()
                .toList();
        if (areas.isEmpty()) {
            getChildren()
                    .add(Labelled.wrapped(
                            "No medallion and no blocks yet. Give their sizes under Measure, Strips and areas.",
                            "reason"));
            return;
        }
        number = areas.contains(number) ? number : areas.get(0);
        AreaId id = new AreaId(number);
        MotifFields fields = new MotifFields(bench, motif -> {});
        if (areas.size() > 1) {
            getChildren()
                    .add(fields.choice(
                            "area-choice",
                            "Area",
                            areas,
                            number,
                            n -> AreaWords.name(new AreaId(n), bench.job().quilt()),
                            n -> {
                                number = n;
                                show();
                            }));
        } else {
            getChildren().add(Labelled.heading(AreaWords.name(id, bench.job().quilt())));
        }
        AreaDesign design = bench.job().design(id);
        for (int i = 0; i < design.layers().size(); i++) {
            layer(fields, id, design, i);
        }
        adding(id, design);
        bench.plan().area(id).ifPresent(this::said);
    }

    // --- which motifs ------------------------------------------------------------------------------------------

    private void adding(AreaId id, AreaDesign design) {
        if (design.layers().size() >= AreaDesign.MOST_LAYERS) {
            return;
        }
        FlowPane row = new FlowPane(4, 4);
        for (AreaMotif motif : OFFERED) {
            Button add = new Button(AreaWords.name(motif));
            add.setId("area-add-" + motif.getClass().getSimpleName().toLowerCase(java.util.Locale.ROOT));
            add.getStyleClass().add("page-button");
            add.setTooltip(new Tooltip(Words.capital(new AreaWords(bench.words()).text(motif))));
            add.setOnAction(e -> {
                List<AreaDesign.Layer> all = new ArrayList<>(design.layers());
                all.add(new AreaDesign.Layer(motif, Optional.empty()));
                change(id, Words.decapital(AreaWords.name(motif)), new AreaDesign(all));
            });
            row.getChildren().add(add);
        }
        getChildren()
                .addAll(
                        Labelled.wrapped(
                                design.layers().isEmpty() ? "What is stitched here?" : "And besides?", "faint"),
                        row);
    }

    private void layer(MotifFields fields, AreaId id, AreaDesign design, int index) {
        AreaDesign.Layer layer = design.layers().get(index);
        Button remove = new Button("Leave it out");
        remove.setId("area-remove-" + (index + 1));
        remove.setOnAction(e -> {
            List<AreaDesign.Layer> all = new ArrayList<>(design.layers());
            all.remove(index);
            change(id, Words.decapital(AreaWords.name(layer.motif())) + " left out", new AreaDesign(all));
        });
        Label title = Labelled.wrapped(Words.capital(new AreaWords(bench.words()).text(layer.motif())) + ".", "reason");
        title.setId("area-text-" + (index + 1));
        getChildren().add(title);
        getChildren()
                .addAll(fields(
                        fields,
                        layer.motif(),
                        motif -> replace(id, design, index, new AreaDesign.Layer(motif, layer.templateId()))));
        getChildren().add(template(id, design, index));
        if (layer.motif() instanceof AreaMotif.Clamshells
                && bench.job().quilt().areas().get(id.number() - 1) instanceof Area.Blocks blocks) {
            sizes(id, design, index, blocks);
        }
        getChildren().add(remove);
    }

    /** Which size fits this block: each as it comes out, the best first. */
    private void sizes(AreaId id, AreaDesign design, int index, Area.Blocks blocks) {
        List<BlockFit> fits = BlockFit.of(
                blocks.width(),
                blocks.height(),
                bench.shelf().templates(),
                bench.job().machine(),
                bench.job().tape());
        getChildren().add(Labelled.wrapped("Which size fits a block? The best first.", "faint"));
        for (BlockFit fit : fits.subList(0, Math.min(SIZES_SHOWN, fits.size()))) {
            Label text = Labelled.wrapped(
                    fit.template().name() + ": " + new AreaWords(bench.words()).text(fit) + ".", "reason");
            Button use = new Button("Use it");
            use.setId("area-size-" + fit.template().id());
            use.setAccessibleText("Use " + text.getText());
            use.setDisable(design.layers()
                    .get(index)
                    .templateId()
                    .filter(fit.template().id()::equals)
                    .isPresent());
            use.setOnAction(e -> replace(
                    id,
                    design,
                    index,
                    new AreaDesign.Layer(
                            design.layers().get(index).motif(),
                            Optional.of(fit.template().id()))));
            VBox said = new VBox(4, text, use);
            HBox.setHgrow(said, Priority.ALWAYS);
            getChildren().add(new HBox(8, picture(fit, blocks), said));
        }
    }

    private Canvas picture(BlockFit fit, Area.Blocks blocks) {
        double most = Math.max(blocks.width(), blocks.height());
        double scale = (PICTURE - 4) / most;
        Canvas canvas = new Canvas(blocks.width() * scale + 4, blocks.height() * scale + 4);
        GraphicsContext g = canvas.getGraphicsContext2D();
        View view = new View(scale, canvas.getWidth() / 2, canvas.getHeight() / 2);
        Palette p = look.palette();
        g.setFill(p.cloth());
        g.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
        g.setStroke(p.seam());
        g.strokeRect(2, 2, canvas.getWidth() - 4, canvas.getHeight() - 4);
        g.setStroke(p.stitch());
        g.setLineWidth(1.2);
        fit.lines().forEach(line -> view.stroke(g, line.path()));
        return canvas;
    }

    private void replace(AreaId id, AreaDesign design, int index, AreaDesign.Layer layer) {
        List<AreaDesign.Layer> all = new ArrayList<>(design.layers());
        all.set(index, layer);
        change(id, new AreaWords(bench.words()).text(layer.motif()), new AreaDesign(all));
    }

    private void change(AreaId id, String name, AreaDesign design) {
        bench.designArea(id, name, design);
        show();
    }

    private static List<Node> fields(MotifFields f, AreaMotif motif, java.util.function.Consumer<AreaMotif> take) {
        if (motif instanceof AreaMotif.Arms a) {
            return List.of(
                    Labelled.row(
                            f.whole(
                                    "area-arms",
                                    "Arms",
                                    a.arms(),
                                    AreaMotif.FEWEST_ARMS,
                                    AreaMotif.MOST_ARMS,
                                    n -> take.accept(new AreaMotif.Arms(n, a.way(), a.stop()))),
                            f.length(
                                    "area-stop",
                                    "Stop from centre",
                                    false,
                                    OptionalDouble.of(a.stop()),
                                    0,
                                    12,
                                    d -> take.accept(new AreaMotif.Arms(a.arms(), a.way(), d.orElse(0))))),
                    f.choice(
                            "area-way",
                            "The needle goes",
                            List.of(AreaMotif.Way.values()),
                            a.way(),
                            AreaWords::name,
                            w -> take.accept(new AreaMotif.Arms(a.arms(), w, a.stop()))));
        }
        if (motif instanceof AreaMotif.Rings r) {
            return List.of(
                    Labelled.row(
                            f.length(
                                    "area-first",
                                    "First across",
                                    false,
                                    OptionalDouble.of(r.first()),
                                    0.0625,
                                    60,
                                    d -> take.accept(new AreaMotif.Rings(d.orElse(1), r.gap(), r.rings(), r.spokes()))),
                            f.length(
                                    "area-gap",
                                    "Apart",
                                    false,
                                    OptionalDouble.of(r.gap()),
                                    0.0625,
                                    60,
                                    d -> take.accept(
                                            new AreaMotif.Rings(r.first(), d.orElse(1), r.rings(), r.spokes())))),
                    f.whole(
                            "area-rings",
                            "Rings",
                            r.rings(),
                            1,
                            AreaMotif.MOST,
                            n -> take.accept(new AreaMotif.Rings(r.first(), r.gap(), n, r.spokes()))),
                    f.choice(
                            "area-spokes",
                            "Joined",
                            List.of(AreaMotif.Spokes.values()),
                            r.spokes(),
                            AreaWords::name,
                            s -> take.accept(new AreaMotif.Rings(r.first(), r.gap(), r.rings(), s))));
        }
        if (motif instanceof AreaMotif.Clamshells c) {
            return List.of(f.length(
                    "area-allowance",
                    "Seam allowance at the lower edge",
                    false,
                    OptionalDouble.of(c.allowance()),
                    0,
                    2,
                    d -> take.accept(new AreaMotif.Clamshells(d.orElse(0)))));
        }
        if (motif instanceof AreaMotif.Peel p) {
            return List.of(Labelled.row(
                    f.whole(
                            "area-across",
                            "Squares across",
                            p.across(),
                            1,
                            AreaMotif.MOST,
                            n -> take.accept(new AreaMotif.Peel(n, p.down()))),
                    f.whole(
                            "area-down",
                            "Squares down",
                            p.down(),
                            1,
                            AreaMotif.MOST,
                            n -> take.accept(new AreaMotif.Peel(p.across(), n)))));
        }
        if (motif instanceof AreaMotif.Quarters q) {
            return List.of(Labelled.row(
                    f.length(
                            "area-close",
                            "Across, apart",
                            false,
                            OptionalDouble.of(q.close()),
                            0.0625,
                            60,
                            d -> take.accept(new AreaMotif.Quarters(d.orElse(1), q.wide()))),
                    f.length(
                            "area-wide",
                            "Down, apart",
                            false,
                            OptionalDouble.of(q.wide()),
                            0.0625,
                            60,
                            d -> take.accept(new AreaMotif.Quarters(q.close(), d.orElse(1))))));
        }
        AreaMotif.Crosshatch h = (AreaMotif.Crosshatch) motif;
        return List.of(Labelled.row(
                f.length(
                        "area-spacing",
                        "Apart",
                        false,
                        OptionalDouble.of(h.spacing()),
                        0.0625,
                        60,
                        d -> take.accept(new AreaMotif.Crosshatch(d.orElse(1), h.angle()))),
                f.whole(
                        "area-angle",
                        "Degrees",
                        (int) Math.round(Math.toDegrees(h.angle())),
                        10,
                        170,
                        n -> take.accept(new AreaMotif.Crosshatch(h.spacing(), Math.toRadians(n))))));
    }

    /** The kinds of template that stitch a motif. */
    private static Set<Kind> kinds(AreaMotif motif) {
        if (motif instanceof AreaMotif.Arms) {
            return EnumSet.of(Kind.TURNED_ARM);
        }
        if (motif instanceof AreaMotif.Rings) {
            return EnumSet.of(Kind.CIRCLE, Kind.SLOTTED_CIRCLES);
        }
        if (motif instanceof AreaMotif.Clamshells) {
            return EnumSet.of(Kind.SCALLOP_ROW);
        }
        return motif instanceof AreaMotif.Peel ? EnumSet.of(Kind.ARC) : EnumSet.of(Kind.STRAIGHT_EDGE);
    }

    private Node template(AreaId id, AreaDesign design, int index) {
        AreaDesign.Layer layer = design.layers().get(index);
        List<Template> all = bench.shelf().templates().stream()
                .filter(t -> kinds(layer.motif()).contains(t.kind()))
                .filter(t -> !t.retired()
                        || layer.templateId().filter(t.id()::equals).isPresent())
                .toList();
        ComboBox<Template> box = new ComboBox<>();
        Choices.prepare(box, "area-template-" + (index + 1), "The template it is stitched with", all, Template::name);
        box.setItems(FXCollections.observableArrayList(all));
        all.stream()
                .filter(t -> layer.templateId().filter(t.id()::equals).isPresent())
                .findFirst()
                .ifPresent(box::setValue);
        box.setPromptText(layer.motif() instanceof AreaMotif.Rings ? "whichever have the sizes" : "whichever suits");
        box.setOnAction(e -> {
            if (box.getValue() != null) {
                replace(
                        id,
                        design,
                        index,
                        new AreaDesign.Layer(
                                layer.motif(), Optional.of(box.getValue().id())));
            }
        });
        return Labelled.of("Template", box);
    }

    // --- what comes of it --------------------------------------------------------------------------------------

    private void said(AreaPlan plan) {
        Label sums = Labelled.wrapped(
                Words.count(plan.lines().size(), "line") + ", "
                        + Words.count(plan.placements().size(), "placement") + ", "
                        + Words.count(plan.marks().size(), "mark") + ", " + Words.count(plan.starts(), "start")
                        + (plan.pieces() > 1 ? " in " + Words.count(plan.pieces(), "block") : "") + ".",
                "reason");
        sums.setId("area-sums");
        getChildren().add(sums);
        FindingWords words = new FindingWords(bench.words());
        plan.told().forEach(told -> getChildren()
                .add(Labelled.wrapped(
                        words.text(new Finding.AreaTrouble(plan.id(), told.layer(), told.what())),
                        told.what().stops() ? "refused" : "reason")));
        if (!plan.placements().isEmpty()) {
            Button step = new Button("See how it lies");
            step.setId("area-step");
            step.setTooltip(new Tooltip("The template on the table, placement by placement: step on with . and ,"));
            step.setOnAction(
                    e -> bench.placementProperty().set(plan.placements().get(0)));
            getChildren().add(step);
        }
        if (!plan.rays().isEmpty()) {
            getChildren().add(new RayDial(bench, look, plan));
        }
        for (Ray ray : plan.rays()) {
            getChildren().add(Labelled.wrapped(Words.capital(new AreaWords(bench.words()).text(ray)) + ".", "faint"));
        }
    }
}
