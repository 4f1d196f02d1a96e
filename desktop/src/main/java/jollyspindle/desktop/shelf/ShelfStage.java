package jollyspindle.desktop.shelf;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.shelf.Find;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.FindWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.BackgroundQueue;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The shelf: what is looked for above, the templates as pictures at one scale, and below what the chosen one stitches. */
public final class ShelfStage extends BorderPane {

    /** What the shelf hands on to files and takes from them; the window asks where. */
    public interface Files {

        /** Writes templates to a file the quilter names. */
        void write(List<Template> templates, String suggestedName);

        /** Takes templates in from a file the quilter names. */
        void takeIn();

        /** Makes a template of a drawing the quilter names. */
        void takeOutline();
    }

    /** All that a card's looks depend on. */
    private record Face(
            Template template,
            String id,
            Optional<String> does,
            String flag,
            double scale,
            Machine machine,
            TapeScale tape,
            boolean dark,
            double typeScale) {}

    private static final double SCALE = 13.5;
    private static final double SMALLEST_SCALE = 6;
    private static final double LARGEST_SCALE = 60;

    /** So many new cards are there at once, so that the others needn't go and come again. */
    private static final int FEW = 3;

    private final Workbench bench;
    private final ShelfModel model;
    private final Look look;
    private final Files files;
    private final FlowPane cards = new FlowPane(10, 10);
    private final ScrollPane scroll = new ScrollPane(cards);
    private final ToggleGroup group = new ToggleGroup();
    private final Label head = Labelled.wrapped("", "faint");
    private final Slider scale = new Slider(SMALLEST_SCALE, LARGEST_SCALE, SCALE);
    private final TextField search = new TextField();
    private final ComboBox<Optional<Kind>> kind = new ComboBox<>();
    private final LengthField size;
    private final ToggleButton finding = new ToggleButton("Which template?");
    private final FlowPane looking;
    private final FindForm form;
    private final Map<Face, TemplateCard> made = new HashMap<>();
    private final BackgroundQueue work = new BackgroundQueue("shelf");
    private ShelfModel.Contents shown = new ShelfModel.Contents(List.of(), Optional.empty(), Map.of());
    private String brought;
    private List<String> shownIds = List.of();

    public ShelfStage(Workbench bench, ShelfModel model, Look look, Files files) {
        this.bench = bench;
        this.model = model;
        this.look = look;
        this.files = files;
        setId("shelf");
        getStyleClass().add("shelf");
        setMinWidth(0);
        form = new FindForm(bench, model);
        search.setId("shelf-search");
        search.setPromptText("Name, kind or note");
        search.setAccessibleText("Search the shelf");
        search.setPrefColumnCount(11);
        search.textProperty()
                .addListener((o, was, now) -> model.searchProperty().set(now));
        model.searchProperty().addListener((o, was, now) -> search.setText(now));
        List<Optional<Kind>> kinds = new ArrayList<>(List.of(Optional.empty()));
        Stream.of(Kind.values()).map(Optional::of).forEach(kinds::add);
        Choices.prepare(kind, "shelf-kind", "Kind of template", kinds, k -> k.map(ShelfWords::name)
                .orElse("All kinds"));
        kind.setValue(Optional.empty());
        Choices.onChoice(kind, model.kindProperty()::set);
        model.kindProperty().addListener((o, was, now) -> kind.setValue(now));
        size = new LengthField(
                        "shelf-size",
                        "Size on it",
                        true,
                        () -> bench.job().tape(),
                        inches -> inches > 0 && inches <= Form.LARGEST
                                ? Optional.empty()
                                : Optional.of(Said.say(bench.words(), "field.over-zero", "most", Form.LARGEST)),
                        inches -> model.sizeProperty().set(inches))
                .compact();
        size.setStyle("-fx-pref-width: 7.4em; -fx-min-width: 7.4em;");
        model.sizeProperty().addListener((o, was, now) -> size.show(now));
        CheckBox retired = new CheckBox("Retired too");
        retired.setId("shelf-retired");
        retired.selectedProperty().bindBidirectional(model.withRetiredProperty());
        kind.setPrefWidth(170);
        looking = new FlowPane(10, 4, Labelled.of("Look for", search), Labelled.of("Kind", kind), size, retired);
        looking.setRowValignment(VPos.TOP);
        Gradually.again(looking);
        finding.setId("shelf-find");
        finding.getStyleClass().add("zero-button");
        Tip.on(finding, "Which of the templates does what is wanted?");
        finding.selectedProperty().addListener((o, was, now) -> {
            if (now) {
                form.ask();
            } else {
                model.wantedProperty().set(Optional.empty());
            }
            arrange();
        });
        model.wantedProperty().addListener((o, was, now) -> {
            if (now.isPresent()) {
                finding.setSelected(true);
            }
        });
        scale.setId("shelf-scale");
        scale.setPrefWidth(90);
        scale.setMinWidth(40);
        scale.setAccessibleText("How large the pictures are");
        Tip.on(scale, "How large the pictures are, all at one scale");
        scale.valueProperty().addListener(o -> show());
        cards.setRowValignment(VPos.TOP);
        cards.setId("shelf-cards");
        cards.setStyle("-fx-padding: 4 12 12 12;");
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.AS_NEEDED);
        scroll.setId("shelf-scroll");
        scroll.setMinHeight(150);
        head.setId("shelf-head");
        StitchView stitches = new StitchView(bench, model, look);
        stitches.prefHeightProperty().bind(heightProperty().multiply(0.43));
        stitches.setMinHeight(210);
        setTop(top());
        setCenter(scroll);
        setBottom(stitches);
        model.onChange(this, this::show, look.darkProperty(), look.scaleProperty());
        model.shownIdProperty().addListener(o -> brought = null);
        arrange();
        show();
    }

    private Node top() {
        MenuButton add = new MenuButton("Add");
        add.setId("shelf-add");
        add.setMinWidth(Region.USE_PREF_SIZE);
        for (Kind k : Kind.values()) {
            if (k == Kind.OUTLINE) {
                add.getItems()
                        .addAll(new SeparatorMenuItem(), item("Outline from a drawing (SVG)…", files::takeOutline));
            } else {
                MenuItem item = item(ShelfWords.name(k), () -> {
                    finding.setSelected(false);
                    model.add(k);
                });
                item.setId("add-" + k.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
                add.getItems().add(item);
            }
        }
        MenuButton hand = new MenuButton("Share");
        hand.setId("shelf-hand-on");
        hand.setMinWidth(Region.USE_PREF_SIZE);
        hand.getItems()
                .addAll(
                        item("This template to a file…", () -> model.shown()
                                .ifPresent(t -> files.write(List.of(t), t.name()))),
                        item("All that are shown to a file…", () -> files.write(shown.templates(), "Templates")),
                        new SeparatorMenuItem(),
                        item("Take templates in from a file…", files::takeIn));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label scaled = new Label("Pictures");
        scaled.getStyleClass().add("faint");
        scaled.setLabelFor(scale);
        scaled.setMinWidth(0);
        finding.setMinWidth(Region.USE_PREF_SIZE);
        HBox bar = new HBox(8);
        Gradually.fill(bar, finding, gap, scaled, scale, add, hand);
        bar.setAlignment(Pos.CENTER_LEFT);
        VBox top = new VBox(4);
        Gradually.fill(top, bar, looking, form, head);
        top.setStyle("-fx-padding: 8 12 2 12;");
        return top;
    }

    private static MenuItem item(String text, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> action.run());
        return item;
    }

    private void arrange() {
        for (Node node : List.of(looking, form)) {
            boolean visible = (node == form) == finding.isSelected();
            node.setVisible(visible);
            node.setManaged(visible);
        }
        show();
    }

    private void show() {
        work.letGo();
        work.ask(model.contents(), this::show);
    }

    private void show(ShelfModel.Contents contents) {
        contents.reports().values().forEach(model::keep);
        shown = contents;
        Optional<Find> find = contents.find();
        boolean focused = group.getSelectedToggle() instanceof ToggleButton b && b.isFocused();
        List<Face> next = new ArrayList<>();
        FindWords said = new FindWords(bench.words());
        if (find.isPresent()) {
            Set<String> seen = new HashSet<>();
            for (Find.Match match : find.get().matches()) {
                Template template = match.template();
                String id = "shelf-" + template.id();
                // The same template again does it with another edge.
                String own = seen.add(id) ? id : id + "-" + match.guide().id();
                next.add(face(template, own, Optional.of(said.match(match))));
            }
        } else {
            contents.templates().forEach(t -> next.add(face(t, "shelf-" + t.id(), Optional.empty())));
        }
        Set<Face> faces = Set.copyOf(next);
        made.entrySet().removeIf(card -> {
            boolean gone = !faces.contains(card.getKey());
            if (gone) {
                // Else the group would hold it, and its picture, for good.
                card.getValue().setToggleGroup(null);
            }
            return gone;
        });
        head.setText(find.map(said::answer).orElseGet(() -> count(next.size())));
        List<String> ids = next.stream().map(Face::id).toList();
        boolean others = !ids.equals(shownIds);
        shownIds = ids;
        if (faces.size() - made.size() > FEW) {
            Gradually.fill(cards, next.stream().map(face -> () -> card(face)));
        } else {
            Gradually.atOnce(cards, next.stream().map(this::card).toList());
        }
        if (others) {
            scroll.setVvalue(0);
            brought = null;
        }
        Gradually.whenFilled(() -> {
            if (focused && group.getSelectedToggle() instanceof ToggleButton b) {
                b.requestFocus();
            }
            bringIntoView();
        });
    }

    private String count(int shown) {
        long all = bench.shelf().templates().stream().filter(t -> !t.retired()).count();
        return shown == 0
                ? "Nothing here answers to that. Clear what is looked for, or add a template."
                : Said.say(
                        "shelf.count",
                        "templates",
                        shown == all
                                ? Words.count(shown, Words.Thing.TEMPLATE)
                                : Said.say(
                                        "shelf.some", "shown", shown, "all", Words.count(all, Words.Thing.TEMPLATE)));
    }

    private Face face(Template template, String id, Optional<String> does) {
        return new Face(
                template,
                id,
                does,
                TemplateCard.flag(bench, template),
                scale.getValue(),
                bench.job().machine(),
                bench.job().tape(),
                look.darkProperty().get(),
                look.scaleProperty().get());
    }

    /** The card for a template; the one that is there if it would look the same. */
    private TemplateCard card(Face face) {
        TemplateCard card = made.computeIfAbsent(face, this::make);
        card.setSelected(
                model.shown().filter(t -> t.id().equals(face.template().id())).isPresent());
        return card;
    }

    private TemplateCard make(Face face) {
        Template template = face.template();
        TemplateCard card = new TemplateCard(bench, look, shown.reports().get(template), face.does(), face.scale());
        card.setId(face.id());
        card.setToggleGroup(group);
        card.setOnAction(e -> {
            card.setSelected(true);
            model.look(template.id());
        });
        return card;
    }

    /** Brings a newly chosen card into view, and leaves the quilter's own scrolling alone after that. */
    private void bringIntoView() {
        String id = model.shown().map(Template::id).orElse(null);
        if (id == null || id.equals(brought)) {
            return;
        }
        brought = id;
        javafx.application.Platform.runLater(() -> cards.getChildren().stream()
                .filter(n -> ("shelf-" + id).equals(n.getId()))
                .findFirst()
                .ifPresent(card -> {
                    double hidden =
                            cards.getHeight() - scroll.getViewportBounds().getHeight();
                    Bounds place = card.getBoundsInParent();
                    double top = scroll.getVvalue() * hidden;
                    boolean seen = place.getMinY() >= top - 1
                            && place.getMaxY()
                                    <= top + scroll.getViewportBounds().getHeight() + 1;
                    if (hidden > 0 && !seen) {
                        scroll.setVvalue(Math.max(0, Math.min(1, (place.getMinY() - 4) / hidden)));
                    }
                }));
    }

    /** The template on a card of this shelf; nothing for anything else. */
    public Optional<Template> template(Object card) {
        return card instanceof TemplateCard c && cards.getChildren().contains(c)
                ? Optional.of(c.template())
                : Optional.empty();
    }

    /** Shows the whole shelf again. */
    public void showAll() {
        finding.setSelected(false);
        model.showAll();
    }

    /** Asks which template does what the job's chosen side wants. */
    public void find() {
        finding.setSelected(true);
    }
}
