package jollyspindle.desktop.control;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Reason;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A candidate as a picture of a run, with its numbers and reasons. Chosen by a click or the space bar. */
public final class CandidateCard extends ToggleButton {

    private final double picture;

    private final Candidate candidate;
    private final Label flag = new Label();
    private final VBox content;

    /**
     * A card.
     *
     * @param plan that the candidate is of; the one on the table may be another by now
     * @param inTurn lays out what is seen on its picture
     * @param width of its picture, in pixels
     * @param best whether it is the first of all
     */
    public CandidateCard(
            Candidate candidate,
            Workbench bench,
            WorkPlan plan,
            BackgroundQueue inTurn,
            Palette palette,
            double width,
            boolean best) {
        this.candidate = candidate;
        this.picture = width;
        DivisionWords words = new DivisionWords(bench.words());
        setId(id(candidate));
        getStyleClass().addAll("card", "choice");
        setMaxWidth(Double.MAX_VALUE);
        Label title = new Label(words.counts(candidate));
        title.getStyleClass().add("card-title");
        title.setWrapText(true);
        // Beside it stands the box that takes the card among those to be compared.
        title.setMaxWidth(width - 96);
        Label kind = new Label(words.kind(candidate));
        kind.getStyleClass().add("school-name");
        flag.getStyleClass().add("chosen-flag");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label numbers = new Label(Said.say(
                "way.repeats",
                "repeats",
                words.repeats(candidate),
                "rise",
                Optional.of(candidate)
                        .filter(c -> c.runs().stream().anyMatch(r -> r.fit().isPresent()))
                        .map(words::rise)));
        numbers.setWrapText(true);
        numbers.getStyleClass().add("reason");
        DividedRun shown = shown(candidate, bench.selection().whereProperty().get());
        content =
                new VBox(2, new HBox(8, kind, gap, flag), title, picture(bench, plan, shown, palette, inTurn), numbers);
        for (Reason.Tone tone : List.of(Reason.Tone.WARNING, Reason.Tone.GOOD, Reason.Tone.PLAIN)) {
            String said = candidate.reasons().stream()
                    .filter(reason -> reason.tone() == tone)
                    .map(words::reason)
                    .collect(Collectors.joining("; "));
            if (!said.isEmpty()) {
                Label label = new Label(
                        (tone == Reason.Tone.WARNING ? Said.say("way.care", "reasons", said) : Words.capital(said))
                                + ".");
                label.setWrapText(true);
                label.getStyleClass()
                        .add(
                                tone == Reason.Tone.PLAIN
                                        ? "reason"
                                        : "reason-" + tone.name().toLowerCase(Locale.ROOT));
                content.getChildren().add(label);
            }
        }
        content.setMinWidth(picture);
        content.setMaxWidth(picture);
        setGraphic(content);
        setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        setAccessibleText(Said.say(
                "way.all",
                "best",
                best,
                "kind",
                words.kind(candidate),
                "counts",
                words.counts(candidate),
                "repeats",
                words.repeats(candidate),
                "reasons",
                words.reasons(candidate)));
        Tip.on(this, () -> words.sentence(candidate) + "\n" + exactly(candidate, bench));
        setOnAction(e -> {
            setSelected(true);
            bench.dividing().choose(candidate);
        });
    }

    /** {@code candidate-10-12}, {@code candidate-corners-in-10-12}. */
    private static String id(Candidate candidate) {
        String kind = candidate
                .kind()
                .filter(k -> k != SchoolKind.EVEN)
                .map(k -> k.name().toLowerCase(Locale.ROOT).replace('_', '-') + "-")
                .orElse("");
        return "candidate-" + kind
                + candidate.counts().map(c -> c.across() + "-" + c.down()).orElseGet(() -> candidate.runs().stream()
                        .map(r -> "" + r.division().count())
                        .collect(Collectors.joining("-")));
    }

    /** Single arcs are what the cells say; anything else is laid out to be seen. */
    private static boolean isPlain(WorkPlan plan, DividedRun shown) {
        List<Layer> layers = plan.job().layout(shown.id().group()).design().layers(shown.id());
        return layers.size() == 1
                && layers.get(0).edge() == Layer.Edge.SEAM
                && layers.get(0).motif().equals(Motif.Arcs.single());
    }

    /** The picture, drawn as soon as what is to be seen on it is laid out. */
    private Node picture(Workbench bench, WorkPlan plan, DividedRun shown, Palette palette, BackgroundQueue inTurn) {
        RunFrame frame = plan.shape().orElseThrow().run(shown.id());
        StackPane place = new StackPane(RunPicture.draw(shown, frame, List.of(), palette, picture));
        if (!isPlain(plan, shown)) {
            inTurn.ask(bench.stitching(plan, shown), lines -> place.getChildren()
                    .setAll(RunPicture.draw(shown, frame, lines, palette, picture)));
        }
        return place;
    }

    private static DividedRun shown(Candidate candidate, RunId where) {
        return candidate.byRun().containsKey(where)
                ? candidate.run(where)
                : candidate.runs().iterator().next();
    }

    public Candidate candidate() {
        return candidate;
    }

    /** Its labels wrap, which a button by itself doesn't reckon with. */
    @Override
    protected double computePrefHeight(double width) {
        return getInsets().getTop() + content.prefHeight(picture) + getInsets().getBottom();
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    private static String exactly(Candidate candidate, Workbench bench) {
        return candidate.runs().stream()
                .map(run -> Words.decapital(bench.name(run.id())) + " "
                        + bench.words().exactly(run.division().repeat()))
                .collect(Collectors.joining(", ", "Repeats exactly: ", ""));
    }

    /** Shows whether this is the one chosen. */
    public void show(GroupPlan group) {
        boolean mine = group.chosen().byRun().equals(candidate.byRun());
        setSelected(mine);
        flag.setText(mine ? "chosen" : "");
    }
}
