package jollyspindle.desktop.control;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.Reason;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A candidate as a picture of the top border, with its numbers and reasons. Chosen by a click or the space bar. */
public final class CandidateCard extends ToggleButton {

    private final double picture;

    private final Candidate candidate;
    private final Label flag = new Label();
    private final VBox content;

    public CandidateCard(Candidate candidate, Workbench bench, Palette palette, double width, boolean best) {
        this.candidate = candidate;
        this.picture = width;
        Words words = bench.words();
        setId("candidate-" + candidate.counts().across() + "-"
                + candidate.counts().down());
        getStyleClass().addAll("card", "choice");
        setMaxWidth(Double.MAX_VALUE);
        Label title = new Label(Words.counts(candidate.counts()));
        title.getStyleClass().add("card-title");
        flag.getStyleClass().add("chosen-flag");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label numbers = new Label("repeats " + words.repeats(candidate) + "; " + words.rise(candidate));
        numbers.setWrapText(true);
        numbers.getStyleClass().add("reason");
        content = new VBox(
                2,
                new HBox(title, gap, flag),
                RunPicture.draw(candidate, bench.job().quilt(), Side.TOP, palette, picture),
                numbers);
        for (Reason.Tone tone : List.of(Reason.Tone.WARNING, Reason.Tone.GOOD, Reason.Tone.PLAIN)) {
            String said = candidate.reasons().stream()
                    .filter(reason -> reason.tone() == tone)
                    .map(words::reason)
                    .collect(Collectors.joining("; "));
            if (!said.isEmpty()) {
                Label label = new Label((tone == Reason.Tone.WARNING ? "Take care: " : "") + said);
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
        setAccessibleText((best ? "Best: " : "") + Words.counts(candidate.counts()) + ", repeats "
                + words.repeats(candidate) + "; " + words.reasons(candidate));
        setTooltip(new Tooltip(exactly(candidate, words)));
        setOnAction(e -> {
            setSelected(true);
            bench.choose(candidate);
        });
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

    private static String exactly(Candidate candidate, Words words) {
        return Stream.of(Side.values())
                .map(side -> Words.name(side) + " " + words.exactly(candidate.repeat(side)))
                .collect(Collectors.joining(", ", "Repeats exactly: ", ""));
    }

    /** Shows whether this is the one chosen. */
    public void show(Optional<Candidate> chosen) {
        boolean mine = chosen.filter(candidate::equals).isPresent();
        setSelected(mine);
        flag.setText(mine ? "chosen" : "");
    }
}
