package jollyspindle.desktop.area;

import jollyspindle.core.area.AreaArrangement;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.area.Ray;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.plan.AreaGallery;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.ChoiceField;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.MotifGallery;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What is stitched in the middle of the quilt: in a medallion, in blocks, or over the whole body. */
public final class AreasPane extends VBox {

    /** What can be turned to. */
    private enum Page {
        MOTIFS("area-motifs", "Motifs"),
        GALLERY("area-show-gallery", "Gallery"),
        LETTERS("area-letters", "Letters"),
        SIZES("area-sizes", "Sizes"),
        ROTATION("area-rotation", "Order");

        private final String id;
        private final String title;

        Page(String id, String title) {
            this.id = id;
            this.title = title;
        }
    }

    /** How large a picture of the gallery is, in pixels. */
    private static final double PICTURE = 104;

    private final Workbench bench;
    private final AreaSelection desk;
    private final MotifGallery<AreaPlan> gallery;
    private final LettersPane letters;
    private final SizesPane sizes;
    private final RotationPane rotation;
    private final FlowPane pills = new FlowPane(4, 4);
    private Page page = Page.MOTIFS;

    /** What is seen, each made when it has its turn. */
    private final List<Supplier<? extends Node>> parts = new ArrayList<>();

    private String shown = "-";

    /** Which motif the gallery puts another in place of; one more than there are adds it. */
    private int place;

    public AreasPane(Workbench bench, Look look) {
        super(8);
        // Clear of the bar that scrolls it.
        setPadding(new Insets(0, 10, 0, 0));
        this.bench = bench;
        this.desk = bench.areas();
        gallery = new MotifGallery<>(
                "area-gallery",
                Orientation.HORIZONTAL,
                bench,
                look,
                (plan, wide) -> plan.lines().isEmpty()
                        ? Optional.empty()
                        : Optional.of(AreaPicture.draw(
                                plan.pieces().get(0).cloth().outline(),
                                plan.lines(),
                                look.palette(),
                                PICTURE * look.scaleProperty().get())));
        letters = new LettersPane(bench);
        sizes = new SizesPane(bench, look);
        rotation = new RotationPane(bench, look);
    }

    /** Shows the area that is looked at as it is. */
    public void show() {
        desk.chooseAny();
        parts.clear();
        gallery.leave();
        sizes.leave();
        String subject = collect();
        if (subject.equals(shown)) {
            Gradually.renew(this, parts.stream().<Node>map(Supplier::get).toList());
        } else {
            shown = subject;
            Gradually.fill(this, List.copyOf(parts).stream());
        }
    }

    /** Says what the parts are of. */
    private String collect() {
        if (!desk.isLooked()) {
            parts.add(() -> Labelled.wrapped(
                    desk.stitchable().isEmpty()
                            ? "No medallion, no blocks and no background yet. Give their sizes under Measure,"
                                    + " Strips and areas."
                            : "Once the body is measured, what is stitched in its middle is chosen here.",
                    "reason"));
            return "";
        }
        AreaId id = desk.lookedProperty().get().id();
        heads(id);
        boolean blocks = desk.area().orElseThrow() instanceof Area.Blocks;
        if (!blocks && (page == Page.LETTERS || page == Page.SIZES)) {
            page = Page.MOTIFS;
        }
        pills(blocks);
        switch (page) {
            case MOTIFS -> motifs();
            case GALLERY -> {
                showGallery(id);
                parts.add(() -> gallery);
            }
            case LETTERS -> {
                letters.show();
                parts.add(() -> letters);
            }
            case SIZES -> {
                sizes.show();
                parts.add(() -> sizes);
            }
            case ROTATION -> {
                rotation.show();
                parts.add(() -> rotation);
            }
        }
        return id.code() + page + desk.letter();
    }

    /** Shows what else could be stitched. */
    public void showGallery() {
        place = part().layers().size();
        turnTo(Page.GALLERY);
    }

    /** Shows the placements in order. */
    public void showRotation() {
        turnTo(Page.ROTATION);
    }

    /** Shows which block has which letter. */
    public void showLetters() {
        turnTo(Page.LETTERS);
    }

    private void turnTo(Page to) {
        page = to;
        show();
    }

    private AreaDesign.Part part() {
        return desk.design().part(desk.letter());
    }

    private void heads(AreaId id) {
        List<AreaId> areas = desk.stitchable();
        if (areas.size() > 1) {
            parts.add(() -> new ChoiceField<>(
                    "area-choice",
                    "Which area",
                    areas,
                    id,
                    area -> AreaWords.name(area, bench.job().quilt()),
                    area -> desk.choose(area, 1)));
        } else {
            parts.add(() -> Labelled.heading(AreaWords.name(id, bench.job().quilt())));
        }
        desk.plan().filter(plan -> plan.pieces().size() > 1).ifPresent(plan -> desk.piece()
                .ifPresent(piece -> parts.add(() -> Labelled.wrapped(
                        Said.say(
                                "area.block",
                                "number",
                                piece.number(),
                                "all",
                                plan.pieces().size(),
                                "plain",
                                piece.letter() == AreaDesign.PLAIN,
                                "several",
                                desk.design().parts().size() > 1,
                                "letter",
                                String.valueOf(piece.letter())),
                        "faint"))));
    }

    private void pills(boolean blocks) {
        parts.add(() -> pills);
        List<Object> wanted = List.of(blocks, page);
        if (wanted.equals(pills.getUserData())) {
            return;
        }
        pills.setUserData(wanted);
        pills.getChildren().clear();
        ToggleGroup together = new ToggleGroup();
        for (Page p : Page.values()) {
            if (blocks || p != Page.LETTERS && p != Page.SIZES) {
                ToggleButton pill = new ToggleButton(p.title);
                pill.setId(p.id);
                pill.getStyleClass().add("page-button");
                pill.setToggleGroup(together);
                pill.setSelected(p == page);
                pill.setOnAction(e -> {
                    pill.setSelected(true);
                    place = part().layers().size();
                    turnTo(p);
                });
                pills.getChildren().add(pill);
            }
        }
    }

    // --- which motifs ------------------------------------------------------------------------------------------

    private void motifs() {
        AreaDesign.Part part = part();
        for (int i = 0; i < part.layers().size(); i++) {
            layer(part, i);
        }
        if (part.layers().size() < AreaDesign.MOST_LAYERS) {
            Button add = new Button(part.layers().isEmpty() ? "Choose a motif" : "Another motif besides");
            add.setId("area-add");
            add.setOnAction(e -> showGallery());
            parts.add(() -> add);
        }
        desk.plan().ifPresent(this::said);
    }

    private void showGallery(AreaId id) {
        QuiltJob job = bench.job().offering(bench.shelf().templates());
        if (!job.quilt().missing().isEmpty() || bench.plan().shape().isEmpty()) {
            gallery.show("Once the body is measured, the motifs are shown here.");
            return;
        }
        Area area = job.quilt().area(id).orElseThrow();
        Stream<MotifGallery.Offered<AreaPlan>> motifs = AreaPreset.of(area).stream()
                .map(preset -> new MotifGallery.Offered<>(
                        preset.code(),
                        AreaWords.name(preset),
                        () -> AreaGallery.entry(job, id, preset),
                        () -> adopt(preset)));
        // Several together, in place of all that is there.
        Stream<MotifGallery.Offered<AreaPlan>> together = AreaArrangement.of(area).stream()
                .map(arrangement -> new MotifGallery.Offered<>(
                        "together-" + arrangement.code(),
                        AreaWords.name(arrangement),
                        () -> AreaGallery.entry(job, id, arrangement),
                        () -> adopt(arrangement)));
        gallery.show(Stream.concat(motifs, together).toList());
    }

    private void adopt(AreaArrangement arrangement) {
        page = Page.MOTIFS;
        desk.design(Words.decapital(AreaWords.name(arrangement)), arrangement.in(desk.design(), desk.letter()));
        show();
    }

    private void adopt(AreaPreset preset) {
        page = Page.MOTIFS;
        desk.editPart(
                Words.decapital(AreaWords.name(preset)),
                part -> part.withLayer(
                        Math.min(place, part.layers().size()), new AreaDesign.Layer(preset.motif(), Optional.empty())));
        show();
    }

    private void layer(AreaDesign.Part part, int index) {
        AreaDesign.Layer layer = part.layers().get(index);
        Label name = Labelled.heading(AreaWords.name(layer.motif()));
        Label title = Labelled.wrapped(Words.capital(new AreaWords(bench.words()).text(layer.motif())) + ".", "reason");
        title.setId("area-text-" + (index + 1));
        parts.addAll(List.of(() -> name, () -> title));
        parts.addAll(fields(layer.motif(), motif -> replace(index, new AreaDesign.Layer(motif, layer.templateId()))));
        parts.add(() -> template(layer, index));
        Button instead = new Button("Another instead");
        instead.setId("area-instead-" + (index + 1));
        instead.setOnAction(e -> {
            place = index;
            turnTo(Page.GALLERY);
        });
        Button remove = new Button("Leave it out");
        remove.setId("area-remove-" + (index + 1));
        remove.setOnAction(e -> desk.editPart(
                Said.say("step.left-out", "motif", AreaWords.name(layer.motif())), p -> p.withoutLayer(index)));
        parts.add(() -> new HBox(8, instead, remove));
    }

    private void replace(int index, AreaDesign.Layer layer) {
        desk.editPart(new AreaWords(bench.words()).text(layer.motif()), part -> part.withLayer(index, layer));
    }

    private <M extends AreaMotif> List<Supplier<Node>> fields(M motif, Consumer<AreaMotif> take) {
        AreaMotifType<M> type = AreaMotifTypes.of(motif);
        return new ParamForm<M>(bench, "area", "area." + type.code(), type.params(), motif, take::accept).rows();
    }

    private Node template(AreaDesign.Layer layer, int index) {
        Set<Kind> kinds = AreaMotifTypes.of(layer.motif()).templates();
        List<Template> all = bench.shelf().templates().stream()
                .filter(t -> kinds.contains(t.kind()))
                .filter(t -> !t.retired()
                        || layer.templateId().filter(t.id()::equals).isPresent())
                .toList();
        Template now = all.stream()
                .filter(t -> layer.templateId().filter(t.id()::equals).isPresent())
                .findFirst()
                .orElse(null);
        ChoiceField<Template> box = new ChoiceField<>(
                "area-template-" + (index + 1),
                "The template it is stitched with",
                all,
                now,
                Template::name,
                chosen -> replace(index, new AreaDesign.Layer(layer.motif(), Optional.of(chosen.id()))));
        return Labelled.of(
                "Template",
                box.prompting(
                        layer.motif() instanceof AreaMotif.Rings ? "whichever have the sizes" : "whichever suits"));
    }

    // --- what comes of it --------------------------------------------------------------------------------------

    private void said(AreaPlan plan) {
        if (plan.lines().isEmpty() && plan.diagnosed().isEmpty()) {
            return;
        }
        plan.sums().stream()
                .filter(s -> s.letter() == desk.letter())
                .findFirst()
                .ifPresent(sum -> {
                    Label sums = Labelled.wrapped(
                            Words.capital(AreaWords.text(sum, plan.pieces().size() > 1)) + ".", "reason");
                    sums.setId("area-sums");
                    parts.add(() -> sums);
                });
        FindingWords words = new FindingWords(bench.words());
        plan.diagnosed().stream()
                .filter(told -> told.letter() == desk.letter())
                .forEach(told -> parts.add(() -> Labelled.wrapped(
                        words.text(new Finding.AreaTrouble(
                                plan.id(), told.letter(), false, told.layer(), told.what(), Optional.empty())),
                        told.what().stops() ? "refused" : "reason")));
        if (!desk.placements().isEmpty()) {
            Button step = new Button("See how it lies");
            step.setId("area-step");
            Tip.on(step, "The template on the table, placement by placement: step on with . and ,");
            step.setOnAction(e -> {
                bench.selection().placementProperty().set(desk.placements().get(0));
                turnTo(Page.ROTATION);
            });
            parts.add(() -> step);
        }
        desk.turning().ifPresent(turning -> {
            Label finding = Labelled.wrapped(new AreaWords(bench.words()).finding(turning), "reason");
            finding.setId("area-finding");
            parts.add(() -> finding);
        });
        String drawn = new AreaWords(bench.words()).toDraw(plan, desk.letter());
        if (!drawn.isEmpty()) {
            parts.add(() -> Labelled.wrapped(drawn, "reason"));
        }
        for (Ray ray : desk.rays()) {
            parts.add(() -> Labelled.wrapped(Words.capital(new AreaWords(bench.words()).text(ray)) + ".", "faint"));
        }
    }
}
