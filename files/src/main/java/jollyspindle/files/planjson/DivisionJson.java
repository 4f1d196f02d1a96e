package jollyspindle.files.planjson;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.Cell;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Figure;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;

import static jollyspindle.files.planjson.Values.name;
import static jollyspindle.files.planjson.Values.number;

/** Writes ways to come out as JSON, in the plan and wherever else they are asked for. */
public final class DivisionJson {

    private final TapeScale tape;
    private final DivisionWords words;

    /**
     * A writer.
     *
     * @param tape readings are judged on
     */
    public DivisionJson(TapeScale tape) {
        this.tape = tape;
        this.words = new DivisionWords(new Words(tape));
    }

    /** A candidate: what it does on each run, what it is worth and why. */
    public ObjectNode candidate(ObjectNode node, Candidate candidate) {
        candidate.kind().ifPresent(kind -> node.put("school", name(kind)));
        candidate.counts().ifPresent(c -> node.put("across", c.across()).put("down", c.down()));
        ObjectNode runs = node.putObject("runs");
        for (DividedRun run : candidate.runs()) {
            ObjectNode one = runs.putObject(run.id().code());
            one.put("school", name(run.school().kind()));
            one.put("text", words.school(run.school()));
            one.put("count", run.division().count());
            number(one, "repeat", run.division().repeat());
            run.fit().ifPresent(fit -> number(one, "rise", fit.segment().height()));
            number(one, "largestChange", run.division().largestChange());
            number(one, "leftover", run.division().leftover());
            one.put("marksOnTick", run.onTick(tape));
            one.put("marksBetween", run.marksBetween());
        }
        number(node, "mismatch", candidate.mismatch());
        number(node, "penalty", candidate.penalty());
        ArrayNode reasons = node.putArray("reasons");
        candidate.reasons().forEach(r -> reasons.add(words.reason(r)));
        return node;
    }

    /** A piece of a divided run, and what stands on it. */
    public void cell(ObjectNode node, Figure figure, DividedRun run) {
        node.put("kind", name(figure.cell().kind()));
        number(node, "from", figure.cell().from());
        number(node, "to", figure.cell().to());
        figure.arc().ifPresent(fit -> number(node, "rise", fit.segment().height()));
        if (figure.cell().kind() == Cell.Kind.MIDDLE || figure.cell().kind() == Cell.Kind.END) {
            node.put(
                    "text",
                    words.space(figure, run.fit().map(f -> f.segment().height()).orElse(0.0)));
        }
        if (figure instanceof Figure.HalvesMeeting halves) {
            number(node, "meetAt", halves.height());
        }
    }
}
