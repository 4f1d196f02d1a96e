package jollyspindle.desktop.bench;

import jollyspindle.core.division.Wish;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.motif.DivisionConstraints;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.area.AreasPane;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Deck;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.Soon;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.beans.InvalidationListener;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * How a border or strip comes out: template and wanted repeat above; under them in turn the ways as pictures, the run that is
 * looked at by itself, the wishes, the rules, and how the template lies.
 */
public final class LayOutBench extends VBox {

    /** What is shown in turn. */
    private enum Page {
        MOTIFS("show-motifs", "Motifs", "What is stitched, on the runs and in the corners"),
        WAYS("show-candidates", "Ways", "The ways it comes out, best first"),
        RUN("show-run", "Run", "The run that is looked at, by itself"),
        WISHES("show-wishes", "Wishes", "Counts, odd or even, range, school, what it is tied to"),
        RULES("show-rules", "Rules", "How the ways are weighed"),
        AREAS("show-areas", "Middle", "What is stitched in a medallion or in blocks"),
        ARCS("show-arcs", "How it lies", "How the template lies for each arc");

        private final String id;
        private final String title;
        private final String purpose;

        Page(String id, String title, String purpose) {
            this.id = id;
            this.title = title;
            this.purpose = purpose;
        }
    }

    private final Workbench bench;
    private final ComboBox<TemplateChoice> template = new ComboBox<>();
    private final LengthField wanted;
    private final MotifPane motifs;
    private final WaysPane ways;
    private final RunPane run;
    private final WishPane wishes;
    private final RulesPane rules;
    private final AreasPane areas;

    /** What is chosen for borders and strips, whatever page of them is looked at. */
    private final HBox ofTheRuns;

    private final Deck deck = new Deck();
    private final StackPane housed = new StackPane();
    private final Map<Page, ToggleButton> pills = new EnumMap<>(Page.class);
    private final Map<Page, Region> pages = new EnumMap<>(Page.class);
    private Shelf offeredFrom;
    private EdgeKind offeredTo;
    private Optional<Template> offeredFor = Optional.empty();
    private Page page = Page.WAYS;
    private boolean showing;

    public LayOutBench(Workbench bench, Look look) {
        this.bench = bench;
        getStyleClass().add("bench-content");
        wanted = new LengthField(
                "wanted-repeat",
                "Repeat of about",
                false,
                () -> bench.job().tape(),
                this::objection,
                inches -> bench.editLayout(
                        Said.say(bench.words(), "step.repeat", "repeat", inches.getAsDouble()),
                        layout -> layout.with(layout.wish().withRepeat(inches.getAsDouble()))));
        buildTemplate();
        Label label = new Label("Template");
        label.getStyleClass().add("length-label");
        label.setLabelFor(template);
        VBox templateBox = new VBox(1, label, template);
        HBox.setHgrow(templateBox, Priority.ALWAYS);
        wanted.prefWidthProperty().bind(look.scaleProperty().multiply(148));
        wanted.setMinWidth(USE_PREF_SIZE);
        ways = new WaysPane(bench, look);
        run = new RunPane(bench);
        wishes = new WishPane(bench);
        rules = new RulesPane(bench);
        motifs = new MotifPane(bench, look);
        areas = new AreasPane(bench, look);
        pages.put(Page.MOTIFS, scrolled(motifs));
        pages.put(Page.WAYS, ways);
        pages.put(Page.RUN, scrolled(run));
        pages.put(Page.WISHES, scrolled(wishes));
        pages.put(Page.RULES, scrolled(rules));
        pages.put(Page.AREAS, scrolled(areas));
        pages.put(Page.ARCS, housed);
        housed.setAlignment(Pos.TOP_LEFT);
        FlowPane heads = new FlowPane(4, 4);
        ToggleGroup together = new ToggleGroup();
        for (Page p : Page.values()) {
            heads.getChildren().add(pill(p, together));
        }
        ofTheRuns = new HBox(12, templateBox, wanted);
        getChildren().addAll(ofTheRuns, heads);
        deck.setAlignment(Pos.TOP_LEFT);
        deck.setMinHeight(0);
        VBox.setVgrow(deck, Priority.ALWAYS);
        getChildren().add(deck);
        Gradually.again(this);
        house(null);
        // Its pictures take longer than a frame allows: they are drawn while they are looked at.
        Soon soon = new Soon(this, () -> {
            boolean waits = page == Page.WAYS && bench.isPreviewing();
            if (bench.stageProperty().get() == WorkStage.LAY_OUT && !waits) {
                show();
            }
        });
        InvalidationListener follow = o -> soon.ask();
        bench.changesProperty().addListener(o -> {
            // While something is dragged, its plan comes soon enough.
            if (!bench.isPreviewing()) {
                follow.invalidated(o);
            }
        });
        bench.planProperty().addListener(follow);
        bench.areas().lookedProperty().addListener((o, was, now) -> {
            if (now == null && page == Page.AREAS) {
                turnTo(Page.WAYS);
            } else if (now != null && page != Page.AREAS) {
                turnTo(Page.AREAS);
            } else {
                soon.ask();
                soon.now();
            }
        });
        // Fields of another border than the one that is looked at would change the wrong one.
        bench.selection().whereProperty().addListener(o -> {
            soon.ask();
            soon.now();
        });
        bench.stageProperty().addListener(follow);
        bench.selection().placementProperty().addListener((o, was, now) -> {
            // From one to another: the quilter is stepping. The first is shown without being asked for.
            if (was != null
                    && now != null
                    && !bench.areas().isLooked()
                    && was.region().equals(now.region())
                    && !housed.getChildren().isEmpty()) {
                turnTo(Page.ARCS);
            }
        });
        InvalidationListener otherwise = o -> {
            deck.letHiddenGo();
            ways.forget();
            soon.ask();
        };
        look.darkProperty().addListener(otherwise);
        look.scaleProperty().addListener(otherwise);
        show();
    }

    /** Shows what is stitched in the middle of the quilt. */
    public void showAreas() {
        turnTo(Page.AREAS);
    }

    /** Shows the placements in an area in order. */
    public void showAreaRotation() {
        turnTo(Page.AREAS);
        areas.showRotation();
    }

    /** Shows what else could be stitched in an area. */
    public void showAreaGallery() {
        turnTo(Page.AREAS);
        areas.showGallery();
    }

    /** Shows which block of an area has which letter. */
    public void showAreaLetters() {
        turnTo(Page.AREAS);
        areas.showLetters();
    }

    /** Shows what is stitched. */
    public void showMotifs() {
        turnTo(Page.MOTIFS);
        motifs.showMotif();
    }

    /** Shows what else could be stitched. */
    public void showGallery() {
        turnTo(Page.MOTIFS);
        motifs.showGallery();
    }

    /** Shows the ways to come out. */
    public void showWays() {
        turnTo(Page.WAYS);
    }

    /** Shows the run that is looked at by itself. */
    public void showRun() {
        turnTo(Page.RUN);
    }

    private static ScrollPane scrolled(Region content) {
        ScrollPane pane = new ScrollPane(content);
        pane.setFitToWidth(true);
        pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        return pane;
    }

    private Node pill(Page p, ToggleGroup together) {
        ToggleButton pill = new ToggleButton(p.title);
        pill.setId(p.id);
        pill.getStyleClass().add("page-button");
        pill.setToggleGroup(together);
        Tip.on(pill, p.purpose);
        pill.setOnAction(e -> turnTo(p));
        pills.put(p, pill);
        return pill;
    }

    /**
     * Takes in what is said about the arcs, where the table has no room for it.
     *
     * @param callout to be shown in turn with the candidates; null to give it back
     */
    public void house(Node callout) {
        housed.getChildren().clear();
        if (callout != null) {
            housed.getChildren().add(callout);
        }
        show(pills.get(Page.ARCS), callout != null);
        turnTo(page == Page.ARCS && callout == null ? Page.WAYS : page);
    }

    private void turnTo(Page to) {
        page = to;
        if (to != Page.AREAS && bench.areas().isLooked()) {
            bench.selection().choose(bench.selection().whereProperty().get());
        }
        pills.forEach((p, pill) -> pill.setSelected(p == to));
        deck.show(pages.get(to));
        show(ofTheRuns, to != Page.AREAS);
        showPage();
    }

    private static void show(Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }

    private Optional<String> objection(double inches) {
        Words words = bench.words();
        return inches >= Wish.SHORTEST_REPEAT && inches <= Wish.LONGEST_REPEAT
                ? Optional.empty()
                : Optional.of(
                        Said.say(words, "field.repeat", "least", Wish.SHORTEST_REPEAT, "most", Wish.LONGEST_REPEAT));
    }

    private void buildTemplate() {
        Choices.prepare(
                template,
                "template-choice",
                "The template every arc of the border is stitched with",
                List.of(),
                TemplateChoice::name);
        template.setOnAction(e -> {
            TemplateChoice chosen = template.getValue();
            if (!showing && chosen != null) {
                bench.use(chosen.template(), chosen.guideId());
            }
        });
    }

    private void show() {
        showing = true;
        QuiltJob job = bench.job();
        GroupId group = bench.groupId();
        Layer main = job.layout(group).design().main();
        EdgeKind need = DivisionConstraints.template(main.motif());
        if (bench.shelf() != offeredFrom || !job.chosenTemplate(group).equals(offeredFor) || need != offeredTo) {
            offeredFrom = bench.shelf();
            offeredFor = job.chosenTemplate(group);
            offeredTo = need;
            template.setItems(
                    FXCollections.observableArrayList(TemplateChoice.of(job, main.templateId(), offeredFrom, need)));
        }
        Optional<String> edge = need == EdgeKind.ARC ? job.arc(group).map(ArcTemplate::guideId) : main.guideId();
        template.setValue(template.getItems().stream()
                .filter(c -> c.is(main.templateId(), edge))
                .findFirst()
                .orElse(null));
        wanted.show(OptionalDouble.of(job.layout(group).wish().repeat()));
        showPage();
        showing = false;
    }

    /** Only what is looked at is drawn. */
    private void showPage() {
        switch (page) {
            case MOTIFS -> motifs.show();
            case WAYS -> ways.show();
            case RUN -> run.show();
            case WISHES -> wishes.show();
            case RULES -> rules.show();
            case AREAS -> areas.show();
            case ARCS -> {
                // The callout follows the plan by itself.
            }
        }
    }
}
