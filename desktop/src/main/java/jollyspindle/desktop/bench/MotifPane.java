package jollyspindle.desktop.bench;

import jollyspindle.core.motif.Arrangement;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.CheckField;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Keyboard;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.MotifGallery;
import jollyspindle.desktop.control.StitchingPicture;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
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

    /** How high a picture of the gallery is, in pixels. */
    private static final double PICTURE = 56;

    private final Workbench bench;
    private final MotifGallery<Optional<RunPlan>> gallery;
    private final FlowPane heads = new FlowPane(4, 4);
    private final VBox body = new VBox(8);

    private final CornerFields corners;

    /** What the body has, each made when it has its turn. */
    private final List<Supplier<? extends Node>> parts = new ArrayList<>();

    private int looked;
    private boolean choosing;
    private boolean alone;
    private String shown = "";
    private RunId shownRun;

    MotifPane(Workbench bench, Look look) {
        super(8);
        this.bench = bench;
        getStyleClass().add("motif-pane");
        gallery = new MotifGallery<>("gallery", Orientation.VERTICAL, bench, look, (run, wide) -> run.filter(
                        r -> !r.laidOut().lines().isEmpty())
                .map(r -> StitchingPicture.draw(
                        r, look.palette(), wide, PICTURE * look.scaleProperty().get())));
        corners = new CornerFields(bench, this::show);
        getChildren().addAll(heads, body);
    }

    /** Shows the design as it is; who had the keyboard keeps it. */
    void show() {
        Keyboard.kept(body, this::build);
    }

    /** Something else is looked at: from its beginning. */
    private void toTop() {
        for (Node n = getParent(); n != null; n = n.getParent()) {
            if (n instanceof ScrollPane pane) {
                pane.setVvalue(0);
                return;
            }
        }
    }

    private void build() {
        Design design = design();
        String subject = looked + (choosing ? " gallery" : "");
        boolean another = !subject.equals(shown);
        if (another) {
            shown = subject;
            toTop();
        }
        if (looked >= layers().size() + (choosing ? 1 : 0) || looked == CORNERS && isStrip()) {
            looked = 0;
            choosing = false;
        }
        heads();
        parts.clear();
        if (choosing) {
            offer();
            parts.addAll(List.of(this::galleryHead, () -> gallery));
        } else if (looked == CORNERS) {
            parts.addAll(corners.parts());
        } else {
            parts.add(() -> scope(design));
            layer(looked);
        }
        RunId run = bench.selection().whereProperty().get();
        if (another) {
            Gradually.fill(body, List.copyOf(parts).stream());
        } else if (!run.equals(shownRun)) {
            // What is half typed about one run isn't meant for another.
            Gradually.atOnce(body, parts.stream().<Node>map(Supplier::get).toList());
        } else {
            Gradually.renew(body, parts.stream().<Node>map(Supplier::get).toList());
        }
        shownRun = run;
    }

    /** Shows the motif that is looked at. */
    void showMotif() {
        choosing = false;
        looked = Math.max(0, Math.min(looked, layers().size() - 1));
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

    /** The motifs of the run that is looked at. */
    private List<Layer> layers() {
        return design().layers(bench.selection().whereProperty().get());
    }

    /** Whether what is changed is changed on this side only; a side that is its own stays so. */
    private boolean isAlone() {
        RunId run = bench.selection().whereProperty().get();
        return alone || run.side().filter(design().sides()::containsKey).isPresent();
    }

    /** Whether all sides are changed together; and the way to bring this side's motifs to the others. */
    private Node scope(Design design) {
        CheckField own = new CheckField("motif-alone", "This side for itself", isAlone(), only -> alone = only);
        Tip.on(own, "What is changed is changed on this side only");
        own.setDisable(!alone && isAlone());
        FlowPane row = new FlowPane(8, 4);
        if (!isStrip()) {
            row.getChildren().add(own);
        }
        if (!design.sides().isEmpty()) {
            Button round = new Button("Copy it round");
            round.setId("motif-copy");
            Tip.on(round, "All sides get the motifs of this one");
            round.setOnAction(e -> {
                RunId run = bench.selection().whereProperty().get();
                alone = false;
                bench.design("motifs copied round", l -> l.with(l.design().copiedRound(run)));
                show();
            });
            row.getChildren().add(round);
        }
        List<GroupId> others = bench.job().quilt().groups().stream()
                .filter(g -> !g.equals(bench.groupId()))
                .toList();
        if (!others.isEmpty()) {
            row.getChildren().add(copyTo(others));
        }
        return row;
    }

    /** Brings the motifs of the run that is looked at to other borders and strips. */
    private MenuButton copyTo(List<GroupId> others) {
        MenuButton copy = new MenuButton("Copy to…");
        copy.setId("motif-copy-to");
        Tip.on(copy, "Stitch these motifs on another border or strip, too");
        for (GroupId to : others) {
            String name = Words.name(to, bench.job().quilt());
            MenuItem item = new MenuItem(name);
            item.setId("motif-copy-to-" + (to.strip() ? "strip-" : "border-") + to.number());
            item.setOnAction(e -> {
                RunId run = bench.selection().whereProperty().get();
                bench.edit(Said.say("step.copied-to", "where", name), job -> job.copying(run, to));
            });
            copy.getItems().add(item);
        }
        return copy;
    }

    /** A layout with the motifs of the run that is looked at changed: on all runs, or on this one. */
    private RunLayout with(RunLayout layout, List<Layer> layers) {
        RunId run = bench.selection().whereProperty().get();
        Design design = layout.design();
        return layout.with(
                isAlone()
                        ? design.withRun(run, layers)
                        : new Design(layers, design.sides(), design.corner(), design.corners()));
    }

    private static List<Layer> replaced(List<Layer> layers, int index, Layer layer) {
        List<Layer> all = new ArrayList<>(layers);
        all.set(index, layer);
        return all;
    }

    private boolean isStrip() {
        return bench.groupId().strip();
    }

    // --- which motif -------------------------------------------------------------------------------------------

    private void heads() {
        List<Object> now = List.of(
                layers().stream().map(layer -> MotifWords.name(layer.motif())).toList(), looked, isStrip());
        if (now.equals(heads.getUserData())) {
            return;
        }
        heads.setUserData(now);
        heads.getChildren().clear();
        ToggleGroup together = new ToggleGroup();
        for (int i = 0; i < layers().size(); i++) {
            String name = (layers().size() == 1 ? "" : (i + 1) + " ")
                    + MotifWords.name(layers().get(i).motif());
            heads.getChildren().add(head("motif-" + (i + 1), name, i, together));
        }
        if (!isStrip()) {
            heads.getChildren().add(head("motif-corners", "Corners", CORNERS, together));
        }
        Button add = new Button("Add a motif");
        add.setId("motif-add");
        add.getStyleClass().add("page-button");
        Tip.on(add, "Stitch another motif in what the others leave");
        add.setDisable(layers().size() >= Design.MOST_LAYERS);
        add.setOnAction(e -> {
            looked = layers().size();
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
            head.setSelected(true);
            looked = which;
            choosing = false;
            show();
        });
        return head;
    }

    private Node galleryHead() {
        boolean adding = looked >= layers().size();
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
            looked = Math.min(looked, layers().size() - 1);
            show();
        });
        HBox head = new HBox(8, back, title);
        HBox.setHgrow(title, Priority.ALWAYS);
        return head;
    }

    private void offer() {
        int place = looked;
        QuiltJob job = bench.job().offering(bench.shelf().templates());
        RunId run = bench.selection().whereProperty().get();
        Stream<MotifGallery.Offered<Optional<RunPlan>>> motifs = Preset.all().stream()
                .map(preset -> new MotifGallery.Offered<>(
                        preset.code(),
                        MotifWords.name(preset),
                        () -> Gallery.entry(job, run, preset, place),
                        () -> adopt(preset)));
        // Whole borders, where the main motif of all runs is chosen.
        Stream<MotifGallery.Offered<Optional<RunPlan>>> whole = place > 0 || isAlone()
                ? Stream.empty()
                : Arrangement.all().stream()
                        .filter(arrangement -> !isStrip() || !arrangement.needsCorners())
                        .map(arrangement -> new MotifGallery.Offered<>(
                                arrangement.code(),
                                MotifWords.name(arrangement),
                                () -> Gallery.entry(job, run, layout -> Gallery.adopted(job, layout, run, arrangement)),
                                () -> adopt(arrangement)));
        gallery.show(Stream.concat(motifs, whole).toList());
    }

    private void adopt(Arrangement arrangement) {
        QuiltJob all = bench.job().offering(bench.shelf().templates());
        RunId run = bench.selection().whereProperty().get();
        choosing = false;
        bench.design(
                Words.decapital(MotifWords.name(arrangement)),
                layout -> Gallery.adopted(all, layout, run, arrangement));
        show();
    }

    private void adopt(Preset preset) {
        int place = looked;
        QuiltJob all = bench.job().offering(bench.shelf().templates());
        RunId run = bench.selection().whereProperty().get();
        choosing = false;
        bench.design(Words.decapital(MotifWords.name(preset)), layout -> {
            if (isAlone()) {
                List<Layer> own = new ArrayList<>(layout.design().layers(run));
                if (place < own.size()) {
                    own.set(place, preset.layer(own.get(place)));
                } else {
                    own.add(filling(preset.layer(Layer.of(preset.motif()))));
                }
                return with(layout, own);
            }
            RunLayout adopted = Gallery.adopted(all, layout, run, preset, place);
            return place == 0
                    ? adopted
                    : adopted.with(adopted.design()
                            .withLayer(place, filling(adopted.design().layers().get(place))));
        });
        show();
    }

    /** A further motif that is for filling begins inside of what the one before encloses. */
    private static Layer filling(Layer layer) {
        boolean fills = layer.space() == Layer.Space.ALL
                && (layer.motif() instanceof Motif.Crosshatch || layer.motif() instanceof Motif.StraightLines);
        return fills ? layer.with(Layer.Space.INSIDE) : layer;
    }

    // --- one motif ---------------------------------------------------------------------------------------------

    private void layer(int index) {
        Layer layer = layers().get(index);
        Button another = new Button("Another motif…");
        another.setId("motif-gallery");
        Tip.on(another, "A gallery of all motifs on this very run");
        another.setOnAction(e -> {
            choosing = true;
            show();
        });
        HBox buttons = new HBox(8, another);
        if (index > 0) {
            Button remove = new Button("Leave it out");
            remove.setId("motif-remove");
            remove.setOnAction(e -> {
                bench.design(Said.say("step.left-out", "motif", MotifWords.name(layer.motif())), l -> {
                    List<Layer> fewer = new ArrayList<>(layers());
                    fewer.remove(index);
                    return with(l, fewer);
                });
                looked = 0;
                show();
            });
            buttons.getChildren().add(remove);
        }
        LayerFields fields = new LayerFields(
                bench, index, layer, motif -> change(index, motif), (other, name) -> change(index, other, name));
        parts.add(() -> Labelled.wrapped(
                Words.capital(new MotifWords(bench.words()).text(layer.motif())) + ". " + fields.counts(), "reason"));
        parts.add(() -> buttons);
        parts.addAll(fields.parts());
    }

    private void change(int index, Motif motif) {
        bench.design(
                new MotifWords(bench.words()).text(motif),
                l -> with(l, replaced(layers(), index, layers().get(index).with(motif))));
    }

    private void change(int index, Layer layer, String name) {
        bench.design(
                Words.decapital(MotifWords.name(layer.motif())) + " " + name,
                l -> with(l, replaced(layers(), index, layer)));
    }
}
