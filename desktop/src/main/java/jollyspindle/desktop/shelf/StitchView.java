package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.TapePlaces;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.shelf.TemplateReport;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.words.DiagnosticWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.desktop.control.BackgroundQueue;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.StitchPicture;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What the template that is looked at stitches: the picture, the numbers, what is the matter, where tape goes. */
final class StitchView extends HBox {

    /** What tape is wanted for. */
    private enum TapeFor {
        RISE("a rise of"),
        SPACING("an echo's spacing of"),
        RADIUS("an earlier circle of radius");

        private final String name;

        TapeFor(String name) {
            this.name = name;
        }

        TapePlaces.Wanted wanted(double inches) {
            return switch (this) {
                case RISE -> new TapePlaces.Wanted.Rise(inches);
                case SPACING -> new TapePlaces.Wanted.Spacing(inches);
                case RADIUS -> new TapePlaces.Wanted.Radius(inches);
            };
        }
    }

    private final Workbench bench;
    private final ShelfModel model;
    private final StitchPicture picture;
    private final Label name = new Label();
    private final Label summary = Labelled.wrapped("", "reason");
    private final VBox facts = new VBox(3);
    private final ComboBox<TapeFor> tapeFor = new ComboBox<>();
    private final LengthField tapeLength;
    private final ComboBox<Guide> tapeEdge = new ComboBox<>();
    private final VBox tapeEdgeBox = Labelled.of("with the foot along the", tapeEdge);
    private final Label tapeSaid = Labelled.wrapped("", "reason");
    /** Large and curved templates take longer than a frame. */
    private final BackgroundQueue work = new BackgroundQueue("template");

    private OptionalDouble typed = OptionalDouble.empty();

    StitchView(Workbench bench, ShelfModel model, Look look) {
        super(10);
        this.bench = bench;
        this.model = model;
        setId("stitch-view");
        getStyleClass().add("stitch-view");
        picture = new StitchPicture(look);
        name.getStyleClass().add("card-title");
        name.setId("stitch-name");
        summary.setId("stitch-summary");
        ToggleButton trueSize = new ToggleButton("True size");
        trueSize.setId("true-size");
        trueSize.getStyleClass().add("zero-button");
        trueSize.selectedProperty().bindBidirectional(picture.trueSizeProperty());
        trueSize.setMinWidth(Region.USE_PREF_SIZE);
        Choices.prepare(
                tapeFor, "tape-for", "What tape on the back is wanted for", List.of(TapeFor.values()), t -> t.name);
        tapeFor.setValue(TapeFor.RISE);
        Choices.onChoice(tapeFor, chosen -> ask());
        Choices.prepare(tapeEdge, "tape-edge", "Which edge the foot runs along", List.<Guide>of(), ShelfWords::edge);
        tapeEdge.setOnAction(e -> {
            if (tapeEdge.getValue() != null) {
                model.tapeEdgeProperty().set(tapeEdge.getValue().id());
            }
        });
        tapeLength = new LengthField(
                "tape-length",
                "Length",
                true,
                () -> bench.job().tape(),
                inches -> inches > 0 && inches <= Form.LARGEST
                        ? Optional.empty()
                        : Optional.of(Said.say(bench.words(), "field.over-zero", "most", Form.LARGEST)),
                inches -> {
                    typed = inches;
                    ask();
                });
        tapeSaid.setId("tape-said");
        tapeSaid.managedProperty().bind(tapeSaid.textProperty().isNotEmpty());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(8, name, gap, trueSize);
        head.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        facts.setId("stitch-facts");
        VBox said = new VBox(5);
        Gradually.fill(
                said,
                head,
                summary,
                facts,
                Labelled.row(Labelled.of("Where tape goes for", tapeFor), tapeLength),
                tapeEdgeBox,
                tapeSaid);
        said.setStyle("-fx-padding: 0 8 8 0;");
        ScrollPane scroll = new ScrollPane(said);
        scroll.setFitToWidth(true);
        scroll.setMinWidth(230);
        scroll.prefWidthProperty().bind(widthProperty().multiply(0.585));
        HBox.setHgrow(picture, Priority.ALWAYS);
        Gradually.fill(this, picture, scroll);
        model.onChange(this, this::show);
        show();
    }

    private void ask() {
        model.tapeProperty()
                .set(
                        typed.isPresent()
                                ? Optional.of(tapeFor.getValue().wanted(typed.getAsDouble()))
                                : Optional.empty());
    }

    private void show() {
        Optional<Template> shown = model.shown();
        setVisible(shown.isPresent());
        work.letGo();
        shown.map(model::looking).ifPresent(looking -> work.ask(looking, this::show));
    }

    private void show(ShelfModel.Looked looked) {
        TemplateReport report = looked.report();
        model.keep(report);
        Template template = report.template();
        ShelfWords words = new ShelfWords(bench.words());
        Stitching stitching = report.stitching();
        Optional<TapePlaces.Place> place = looked.place();
        picture.show(stitching, place.map(TapePlaces.Place::strokes).orElse(List.of()), bench.words());
        picture.setAccessibleText(
                Said.say("shelf.picture", "template", template.name(), "summary", words.summary(stitching)));
        name.setText(template.name());
        summary.setText(Said.say(
                bench.words(), "shelf.summary", "summary", words.summary(stitching), "foot", stitching.footRadius()));
        summary.getStyleClass().setAll("label", stitching.lines().isEmpty() ? "refused" : "understood");
        Gradually.atOnce(facts, List.of());
        for (TemplateDiagnostic concern : report.diagnostics()) {
            Label label = Labelled.wrapped(
                    new DiagnosticWords(bench.words()).text(concern),
                    "concern",
                    concern.stops() ? "concern-problem" : "concern-note");
            facts.getChildren().add(label);
        }
        Set<StitchFact> tabled = new HashSet<>();
        List<StitchFact.Round> rounds = stitching.facts().stream()
                .filter(StitchFact.Round.class::isInstance)
                .map(StitchFact.Round.class::cast)
                .toList();
        if (rounds.size() > 2) {
            tabled.addAll(rounds);
            facts.getChildren().add(FactTables.sliding(FactTables.rounds(rounds, bench.words())));
        }
        for (StitchFact fact : stitching.facts()) {
            if (fact instanceof StitchFact.SpanAndRise first && !tabled.contains(fact)) {
                RiseTable table = RiseTable.of(first.guide(), stitching, bench.words());
                tabled.addAll(table.facts());
                facts.getChildren().add(FactTables.sliding(table.grid()));
            } else if (!tabled.contains(fact)) {
                facts.getChildren().add(Labelled.wrapped(words.fact(fact), "reason"));
            }
        }
        Gradually.again(facts);
        edges(stitching);
        tapeSaid.setText(
                model.tapeProperty().get().isEmpty()
                        ? ""
                        : place.map(p -> words.tape(
                                        p, model.tapeProperty().get().get() instanceof TapePlaces.Wanted.Rise))
                                .orElse("That lies beside the acrylic of this template, or it has no such edge."));
    }

    /** Where a template has several edges, which one the tape is for. */
    private void edges(Stitching stitching) {
        List<Guide> guides =
                stitching.lines().stream().map(Stitching.Line::guide).toList();
        boolean several = guides.size() > 1 && model.tapeProperty().get().isPresent();
        tapeEdgeBox.setVisible(several);
        tapeEdgeBox.setManaged(several);
        if (!tapeEdge.getItems().equals(guides)) {
            tapeEdge.getItems().setAll(guides);
        }
        tapeEdge.setValue(guides.stream()
                .filter(g -> g.id().equals(model.tapeEdgeProperty().get()))
                .findFirst()
                .orElse(guides.isEmpty() ? null : guides.get(0)));
    }
}
