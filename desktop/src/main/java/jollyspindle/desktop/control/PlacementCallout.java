package jollyspindle.desktop.control;

import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.PlacementWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Says how the template lies for the placement shown on the table, and steps from one to the next. */
public final class PlacementCallout extends ScrollPane {

    private final Workbench bench;
    private final VBox content;
    private final Label sideTitle = new Label();
    private final Label arc = said("fit-arc");
    private final Label room = said("fit-room");
    private final Label register = said("fit-register");
    private final Label title = new Label();
    private final Label turn = said("placement-turn");
    private final Label path = said("placement-path");
    private final Label count = new Label();
    private final Slider steps = new Slider(1, 2, 1);
    private boolean showing;

    public PlacementCallout(Workbench bench) {
        this.bench = bench;
        setId("placement-callout");
        getStyleClass().add("callout");
        setMaxHeight(USE_PREF_SIZE);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        setFocusTraversable(false);
        title.getStyleClass().add("card-title");
        title.setId("placement-title");
        sideTitle.getStyleClass().add("card-title");
        count.getStyleClass().add("faint");
        Button before = new Button("Before");
        before.setId("placement-before");
        Tip.on(before, "The placement before (,)");
        before.setOnAction(e -> bench.selection().stepPlacement(-1));
        Button next = new Button("Next");
        next.setId("placement-next");
        Tip.on(next, "The next placement (.)");
        next.setOnAction(e -> bench.selection().stepPlacement(1));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox buttons = new HBox(8, before, next, gap, count);
        buttons.setAlignment(Pos.CENTER_LEFT);
        steps.setId("placement-slider");
        steps.setBlockIncrement(1);
        steps.setMajorTickUnit(1);
        steps.setAccessibleText("Placements of this run, one after the other");
        Tip.on(steps, "Drag to see the template as it lies, one placement after the other");
        steps.valueProperty().addListener(o -> {
            if (!showing) {
                bench.selection().showPlacement((int) Math.round(steps.getValue()) - 1);
            }
        });
        content = new VBox(3, title, turn, path, buttons, steps, sideTitle, arc, room, register);
        VBox.setMargin(sideTitle, new Insets(8, 0, 0, 0));
        setContent(content);
        Soon soon = new Soon(this, this::show);
        bench.planProperty().addListener(o -> soon.ask());
        bench.selection().whereProperty().addListener(o -> soon.ask());
        bench.selection().placementProperty().addListener(o -> soon.ask());
        bench.stageProperty().addListener(o -> soon.ask());
        soon.ask();
    }

    /** As high as its text takes at this width, which a scroll pane by itself doesn't reckon with. */
    @Override
    protected double computePrefHeight(double width) {
        double across = getInsets().getLeft() + getInsets().getRight();
        return content.prefHeight(getPrefWidth() - across)
                + getInsets().getTop()
                + getInsets().getBottom()
                + 1;
    }

    private static Label said(String id) {
        Label label = new Label();
        label.setId(id);
        label.getStyleClass().add("reason");
        label.setWrapText(true);
        label.setMinHeight(USE_PREF_SIZE);
        return label;
    }

    private void show() {
        Optional<RunPlan> run = bench.run();
        boolean shown = run.isPresent() && bench.stageProperty().get() == WorkStage.LAY_OUT;
        setVisible(shown);
        setManaged(shown);
        run.ifPresent(this::side);
        run.ifPresent(this::placement);
        // What is said of the side's arcs doesn't belong beside a placement in the middle of the quilt.
        boolean area = bench.selection().placementProperty().get() != null
                && bench.selection().placementProperty().get().region() instanceof AreaId;
        for (Node node : List.of(sideTitle, arc)) {
            node.setManaged(!area);
            node.setVisible(!area);
        }
        if (area) {
            List.of(room, register).forEach(label -> {
                label.setManaged(false);
                label.setVisible(false);
            });
        }
    }

    private void side(RunPlan run) {
        Words words = bench.words();
        sideTitle.setText(bench.name(run.id()) + ": "
                + Words.decapital(MotifWords.name(bench.plan()
                        .job()
                        .layout(run.id().group())
                        .design()
                        .main()
                        .motif())));
        for (Label label : List.of(room, register)) {
            label.setManaged(run.fit().isPresent());
            label.setVisible(run.fit().isPresent());
        }
        run.fit().ifPresentOrElse(fit -> fit(run, fit), () -> {
            arc.setText(Words.capital(new MotifWords(words)
                            .text(bench.plan()
                                    .job()
                                    .layout(run.id().group())
                                    .design()
                                    .main()
                                    .motif()))
                    + ".");
            Tip.on(arc, "");
        });
    }

    private void fit(RunPlan run, ArcFit fit) {
        Words words = bench.words();
        CircularSegment segment = fit.segment();
        Optional<ArcTemplate> template = bench.plan().job().arc(run.id().group());
        arc.setText(Said.say(
                bench.words(),
                "callout.arc",
                "template",
                template.map(ArcTemplate::name),
                "radius",
                template.map(t -> t.stitchedRadius(bench.plan().job().machine())),
                "span",
                segment.chord(),
                "rise",
                segment.height(),
                "sweep",
                segment.sweep(),
                "parts",
                fit.parts()));
        Tip.on(
                arc,
                Said.say(
                        words,
                        "callout.exactly",
                        "radius",
                        segment.radius(),
                        "span",
                        segment.chord(),
                        "rise",
                        segment.height()));
        room.setText(words.room(fit));
        room.getStyleClass().setAll("label", fit.fitsRoom() ? "reason-good" : "reason-warning");
        register.setText(words.instruction(fit));
    }

    private void placement(RunPlan run) {
        List<Placement> all = bench.selection().stepped();
        Placement placement = bench.selection().placementProperty().get();
        for (Label label : List.of(turn, path)) {
            label.setManaged(placement != null);
            label.setVisible(placement != null);
        }
        showing = true;
        steps.setMax(Math.max(2, all.size()));
        steps.setValue(placement == null ? 1 : all.indexOf(placement) + 1);
        steps.setDisable(all.size() < 2);
        showing = false;
        if (placement == null) {
            title.setText("How the template lies");
            count.setText(Words.count(all.size(), Words.Thing.PLACEMENT));
            return;
        }
        int index = all.indexOf(placement);
        title.setText(Words.name(placement));
        count.setText(Said.say("of", "number", index + 1, "all", all.size()));
        boolean onSeam = placement.registration() instanceof Registration.OnSeam;
        turn.setText(new PlacementWords(bench.words())
                        .lying(
                                bench.plan().job(),
                                placement,
                                index > 0 ? Optional.of(all.get(index - 1)) : Optional.empty())
                + (onSeam ? "" : "; " + bench.words().registration(placement)) + ".");
        path.setText(Said.say(
                "callout.path",
                "start",
                MotifWords.at(placement.start()),
                "end",
                MotifWords.at(placement.end()),
                "swept",
                placement.sweep() != 0 && placement.curves().size() == 1,
                "sweep",
                Math.abs(placement.sweep()),
                "passes",
                MotifWords.passes(placement.of())));
    }
}
