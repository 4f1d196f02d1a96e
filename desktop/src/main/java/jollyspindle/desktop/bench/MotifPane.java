package jollyspindle.desktop.bench;

import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.Needs;
import jollyspindle.core.motif.Obstacle;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * What is stitched: the motifs of the chosen border or strip in the order of stitching, what stands in its corners, and a
 * gallery of what else could be. Only the one that is looked at shows its choices.
 */
final class MotifPane extends VBox {

    /** Looking at the corners, not at a motif of the runs. */
    private static final int CORNERS = -1;

    private final Workbench bench;
    private final GalleryPane gallery;
    private final FlowPane heads = new FlowPane(4, 4);
    private final VBox body = new VBox(8);
    private int looked;
    private boolean choosing;

    MotifPane(Workbench bench, Look look) {
        super(8);
        this.bench = bench;
        getStyleClass().add("motif-pane");
        gallery = new GalleryPane(bench, look, this::adopt);
        getChildren().addAll(heads, body);
    }

    /** Shows the design as it is. */
    void show() {
        Design design = design();
        if (looked >= design.layers().size() + (choosing ? 1 : 0) || looked == CORNERS && isStrip()) {
            looked = 0;
            choosing = false;
        }
        heads(design);
        body.getChildren().clear();
        if (choosing) {
            gallery.show(looked);
            body.getChildren().addAll(galleryHead(design), gallery);
        } else if (looked == CORNERS) {
            corners(design);
        } else {
            layer(design, looked);
        }
    }

    /** Shows the motif that is looked at. */
    void showMotif() {
        choosing = false;
        looked = Math.max(0, Math.min(looked, design().layers().size() - 1));
        show();
    }

    /** Shows what could be stitched instead of the motif that is looked at. */
    void showGallery() {
        choosing = true;
        looked = Math.max(0, looked);
        show();
    }

    private Design design() {
        return bench.job().layout(bench.groupId()).design();
    }

    private boolean isStrip() {
        return bench.groupId().strip();
    }

    // --- which motif -------------------------------------------------------------------------------------------

    private void heads(Design design) {
        heads.getChildren().clear();
        ToggleGroup together = new ToggleGroup();
        for (int i = 0; i < design.layers().size(); i++) {
            String name = (design.layers().size() == 1 ? "" : (i + 1) + " ")
                    + MotifWords.name(design.layers().get(i).motif().kind());
            heads.getChildren().add(head("motif-" + (i + 1), name, i, together));
        }
        if (!isStrip()) {
            heads.getChildren().add(head("motif-corners", "Corners", CORNERS, together));
        }
        Button add = new Button("Add a motif");
        add.setId("motif-add");
        add.getStyleClass().add("page-button");
        add.setTooltip(new Tooltip("Stitch another motif in what the others leave"));
        add.setDisable(design.layers().size() >= Design.MOST_LAYERS);
        add.setOnAction(e -> {
            looked = design().layers().size();
            choosing = true;
            show();
        });
        heads.getChildren().add(add);
    }

    private Node head(String id, String name, int which, ToggleGroup together) {
        ToggleButton head = new ToggleButton(name);
        head.setId(id);
        head.getStyleClass().add("page-button");
        head.setToggleGroup(together);
        head.setSelected(which == looked);
        head.setOnAction(e -> {
            looked = which;
            choosing = false;
            show();
        });
        return head;
    }

    private Node galleryHead(Design design) {
        boolean adding = looked >= design.layers().size();
        Label title = Labelled.wrapped(
                adding
                        ? "What is stitched besides, in what the others leave?"
                        : "What is stitched instead? Each picture is this very run.",
                "faint");
        Button back = new Button("Back");
        back.setId("gallery-back");
        back.setMinWidth(USE_PREF_SIZE);
        back.setOnAction(e -> {
            choosing = false;
            looked = Math.min(looked, design().layers().size() - 1);
            show();
        });
        HBox head = new HBox(8, back, title);
        HBox.setHgrow(title, Priority.ALWAYS);
        return head;
    }

    private void adopt(Preset preset) {
        int place = looked;
        QuiltJob all = bench.job().offering(bench.shelf().templates());
        choosing = false;
        bench.design(
                Words.decapital(MotifWords.name(preset)),
                layout ->
                        space(Gallery.adopted(all, layout, bench.whereProperty().get(), preset, place), place));
        show();
    }

    /** A further motif begins where there is room for it: inside of what the one before encloses, if it is for filling. */
    private static RunLayout space(RunLayout layout, int place) {
        Layer layer = layout.design().layers().get(place);
        boolean fills = place > 0
                && layer.space() == Layer.Space.ALL
                && (layer.motif() instanceof Motif.Crosshatch || layer.motif() instanceof Motif.StraightLines);
        return fills ? layout.with(layout.design().withLayer(place, layer.with(Layer.Space.INSIDE))) : layout;
    }

    // --- one motif ---------------------------------------------------------------------------------------------

    private void layer(Design design, int index) {
        Layer layer = design.layers().get(index);
        Button other = new Button("Another motif…");
        other.setId("motif-gallery");
        other.setTooltip(new Tooltip("A gallery of all motifs on this very run"));
        other.setOnAction(e -> {
            choosing = true;
            show();
        });
        HBox buttons = new HBox(8, other);
        if (index > 0) {
            Button remove = new Button("Leave it out");
            remove.setId("motif-remove");
            remove.setOnAction(e -> {
                bench.design(
                        Words.decapital(MotifWords.name(layer.motif().kind())) + " left out",
                        l -> l.with(l.design().withoutLayer(index)));
                looked = 0;
                show();
            });
            buttons.getChildren().add(remove);
        }
        body.getChildren()
                .addAll(
                        Labelled.wrapped(
                                Words.capital(new MotifWords(bench.words()).text(layer.motif())) + ".", "reason"),
                        buttons);
        MotifFields fields = new MotifFields(bench, motif -> change(index, motif));
        body.getChildren().addAll(fields.of(layer.motif()));
        body.getChildren()
                .add(fields.choice(
                        "motif-edge",
                        "Stands on",
                        List.of(Layer.Edge.values()),
                        layer.edge(),
                        e -> e == Layer.Edge.SEAM ? "the seam" : "the outer edge, hanging",
                        edge -> change(index, layer.with(edge), "on the other edge")));
        if (index > 0) {
            body.getChildren().add(template(index, layer));
            body.getChildren()
                    .add(fields.choice(
                            "motif-space",
                            "Fills",
                            List.of(Layer.Space.values()),
                            layer.space(),
                            MotifWords::name,
                            space -> change(index, layer.with(space), "filling " + MotifWords.name(space))));
            if (layer.space() != Layer.Space.ALL) {
                body.getChildren()
                        .add(fields.choice(
                                "motif-cells",
                                "Of the figures",
                                List.of(Layer.Cells.values()),
                                layer.cells(),
                                c -> switch (c) {
                                    case EVERY -> "every one";
                                    case ODD -> "the first, the third …";
                                    case EVEN -> "the second, the fourth …";
                                },
                                cells -> change(index, layer.with(cells), "other figures filled")));
            }
        }
    }

    private void change(int index, Motif motif) {
        bench.design(
                new MotifWords(bench.words()).text(motif),
                l -> l.with(l.design()
                        .withLayer(index, l.design().layers().get(index).with(motif))));
        show();
    }

    private void change(int index, Layer layer, String name) {
        bench.design(
                Words.decapital(MotifWords.name(layer.motif().kind())) + " " + name,
                l -> l.with(l.design().withLayer(index, layer)));
        show();
    }

    private Node template(int index, Layer layer) {
        List<TemplateChoice> choices =
                TemplateChoice.of(bench.job(), layer.templateId(), bench.shelf(), Needs.template(layer.motif()));
        ComboBox<TemplateChoice> box = new ComboBox<>();
        Choices.prepare(box, "motif-template", "The template it is stitched with", choices, TemplateChoice::name);
        box.setItems(FXCollections.observableArrayList(choices));
        choices.stream()
                .filter(c -> c.is(layer.templateId(), layer.guideId()))
                .findFirst()
                .ifPresent(box::setValue);
        box.setPromptText("whichever suits");
        box.setOnAction(e -> {
            TemplateChoice chosen = box.getValue();
            if (chosen != null) {
                change(
                        index,
                        layer.withTemplate(Optional.of(chosen.template().id()), chosen.guideId()),
                        "with " + chosen.template().name());
            }
        });
        return Labelled.of("Template", box);
    }

    // --- corners -----------------------------------------------------------------------------------------------

    private void corners(Design design) {
        CornerDesign corner = design.corner();
        MotifFields fields = new MotifFields(bench, motif -> {});
        body.getChildren()
                .add(fields.choice(
                        "corner-kind",
                        "In every corner",
                        List.of(CornerDesign.Kind.values()),
                        corner.kind(),
                        MotifWords::name,
                        kind -> corner(corner.with(kind))));
        if (corner.kind() == CornerDesign.Kind.MITRE_ARC) {
            body.getChildren()
                    .add(fields.length(
                            "corner-feet",
                            "Feet from the corner",
                            true,
                            corner.feet(),
                            0.01,
                            60,
                            feet -> corner(corner.withFeet(feet))));
        }
        if (corner.kind() == CornerDesign.Kind.CORNERSTONE_RING || corner.kind() == CornerDesign.Kind.QUARTER_FAN) {
            body.getChildren()
                    .add(fields.whole(
                            "corner-lines",
                            corner.kind() == CornerDesign.Kind.QUARTER_FAN ? "Arcs" : "Rings",
                            corner.lines(),
                            1,
                            Motif.MOST_LINES,
                            n -> corner(corner.withLines(n))));
        }
        if (corner.kind() == CornerDesign.Kind.QUARTER_FAN) {
            body.getChildren()
                    .add(fields.choice(
                            "corner-about",
                            "About",
                            List.of(false, true),
                            corner.fromOuter(),
                            outer -> outer ? "the outer corner" : "the inner corner",
                            outer -> corner(corner.withFromOuter(outer))));
        }
        if (corner.kind() != CornerDesign.Kind.PLAIN) {
            body.getChildren().add(cornerTemplate(corner));
            body.getChildren().add(Labelled.wrapped(said(), "reason"));
        }
    }

    /** What the corners do to the runs. */
    private String said() {
        return bench.run()
                .map(run -> {
                    double left = run.division().cornerLeft();
                    return left > 0
                            ? "Its feet stand " + bench.words().length(left)
                                    + " from the corner; the rest of each run is divided."
                            : "The runs are divided from corner to corner.";
                })
                .orElse("");
    }

    private Node cornerTemplate(CornerDesign corner) {
        boolean fan = corner.kind() == CornerDesign.Kind.QUARTER_FAN;
        List<TemplateChoice> choices = TemplateChoice.of(
                bench.job(), corner.templateId(), bench.shelf(), fan ? Obstacle.Need.FAN : Obstacle.Need.ARC);
        ComboBox<TemplateChoice> box = new ComboBox<>();
        Choices.prepare(box, "corner-template", "The template for the corners", choices, TemplateChoice::name);
        choices.stream()
                .filter(c -> c.is(corner.templateId(), corner.guideId()))
                .findFirst()
                .ifPresent(box::setValue);
        box.setPromptText("the run's own");
        box.setOnAction(e -> {
            TemplateChoice chosen = box.getValue();
            if (chosen != null) {
                corner(corner.withTemplate(Optional.of(chosen.template().id()), chosen.guideId()));
            }
        });
        return Labelled.of("Template", box);
    }

    private void corner(CornerDesign corner) {
        bench.design(
                "corners: " + Words.decapital(MotifWords.name(corner.kind())),
                l -> l.with(l.design().withCorner(corner)));
        show();
    }
}
