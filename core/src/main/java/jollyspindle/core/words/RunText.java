package jollyspindle.core.words;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.quilt.Quilt;

/** A run's readings as plain text with tabs between columns, to be pasted wherever the quilter keeps notes. */
public final class RunText {

    private RunText() {}

    /**
     * The readings of a run: its marks, from both ends, the centre and a zero laid elsewhere.
     *
     * @param zero where else the tape's zero lies, in inches along the run; NaN if nowhere else
     */
    public static String of(RunPlan run, Quilt quilt, Words words, double zero) {
        StringBuilder text = new StringBuilder();
        text.append(new Texts(words)
                        .say(
                                "run-text",
                                "run",
                                Words.name(run.id(), quilt),
                                "length",
                                run.division().length(),
                                "school",
                                new DivisionWords(words).school(run.divided().school()),
                                "side",
                                run.id().side().isPresent(),
                                "start",
                                Words.start(run.id())))
                .append('\n')
                .append(Texts.plainly("run-text.columns", "zero", !Double.isNaN(zero)))
                .append('\n');
        for (Mark mark : run.laidOut().marks()) {
            text.append(Words.name(mark))
                    .append('\t')
                    .append(Words.fromEnd(mark.readings().fromLeft()))
                    .append('\t')
                    .append(Words.fromEnd(mark.readings().fromRight()))
                    .append('\t')
                    .append(Words.fromCentre(mark.readings().fromCentre()));
            if (!Double.isNaN(zero)) {
                TapeReading off = words.tape().read(mark.along() - zero);
                boolean on = off.ticks() == 0 && off.lean() == TapeReading.Lean.ON;
                text.append('\t').append(on ? Texts.plainly("run-text.zero") : Words.fromCentre(off));
            }
            text.append('\t')
                    .append(Words.above(mark))
                    .append('\t')
                    .append(Words.making(mark))
                    .append('\n');
        }
        return text.toString();
    }
}
