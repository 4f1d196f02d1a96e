package jollyspindle.desktop.tape;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.words.Words;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** The tape itself: a band with ticks and numbers, as near to each other as can be read. */
final class TapeRuler {

    static final double BAND = 36;
    private static final double NEAREST_TICKS = 3.5;
    private static final double NUMBER_TYPE = 15;

    private final Words words;
    private final TapeText text;

    TapeRuler(Words words, TapeText text) {
        this.words = words;
        this.text = text;
    }

    Rectangle band(Stretch view, double top) {
        Rectangle band = new Rectangle(view.left(), top, view.width(), text.px(BAND));
        band.getStyleClass().add("tape-band");
        return band;
    }

    List<Node> of(RunPlan run, Stretch view, TapeZero zero, double top) {
        List<Node> drawn = new ArrayList<>();
        TapeScale tape = words.tape();
        double pixels = view.scale();
        int every = 1;
        while (tape.tick() * every * pixels < NEAREST_TICKS && every < tape.ticksPerUnit()) {
            every = tape.isMetric() ? (every == 1 ? 5 : 10) : every * 2;
        }
        int numbered = numberedUnits(tape, pixels);
        Path path = new Path();
        path.getStyleClass().add("tape-ticks");
        // From the zero both ways; what falls beside the run or out of sight isn't drawn.
        long first = (long) Math.floor((view.from() - zero.along()) / tape.tick());
        long last = (long) Math.ceil((view.to() - zero.along()) / tape.tick());
        for (long tick = first; tick <= last; tick++) {
            double along = zero.along() + tick * tape.tick();
            if (tick % every != 0
                    || !view.shows(along)
                    || along < -Tolerances.ROUNDING
                    || along > run.division().length() + Tolerances.ROUNDING) {
                continue;
            }
            double x = Math.rint(view.x(along)) + 0.5;
            long rest = Math.floorMod(tick, (long) tape.ticksPerUnit());
            double size =
                    rest == 0 ? 14 : 2 * rest == tape.ticksPerUnit() ? 10 : 4 * rest % tape.ticksPerUnit() == 0 ? 8 : 6;
            path.getElements().addAll(new MoveTo(x, top), new LineTo(x, top + size));
            long unit = tick / tape.ticksPerUnit();
            if (rest == 0 && unit % numbered == 0) {
                Text number = new Text(Long.toString(Math.abs(unit)));
                if (!tape.isMetric() && unit % 12 == 0) {
                    number.setStyle("-fx-font-weight: 600;");
                }
                text.place(number, "tape-number", x, top + text.px(29), NUMBER_TYPE, false);
                drawn.add(number);
            }
        }
        // Ticks under the numbers, over the band.
        drawn.addAll(0, List.of(band(view, top), path));
        return drawn;
    }

    private int numberedUnits(TapeScale tape, double pixels) {
        int[] steps = tape.isMetric() ? new int[] {1, 5, 10, 20} : new int[] {1, 2, 6, 12};
        for (int step : steps) {
            if (step * tape.unit() * pixels >= text.px(26)) {
                return step;
            }
        }
        return steps[steps.length - 1];
    }
}
