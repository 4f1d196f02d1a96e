package jollyspindle.core.words;

import jollyspindle.core.code.Codes;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.motif.Arrangement;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.MotifShown;
import jollyspindle.core.quilt.AreaId;

/** Says what motifs are, and what is the matter with them. */
public record MotifWords(Words words) {

    private static final String LINES = Codes.path(Stitched.class) + ".";

    /** {@code Arcs}, {@code Facing arcs}. */
    public static String name(Motif motif) {
        return Texts.name(motif);
    }

    /** What a gallery calls it. */
    public static String name(Preset preset) {
        return Texts.name(preset);
    }

    /** What a gallery calls a whole border. */
    public static String name(Arrangement arrangement) {
        return Texts.name(arrangement);
    }

    /** What stands in a corner. */
    public static String name(CornerDesign.Kind kind) {
        return ParamWords.text("corner." + Codes.of(kind));
    }

    public static String name(Layer.Space space) {
        return Texts.name(space);
    }

    /** What a motif of a gallery takes: {@code Orchard Hill; 9 marks, 10 placements, 1 start}; nothing if it can't be stitched. */
    public static String takes(MotifShown<?> shown) {
        if (shown.placements() == 0) {
            return "";
        }
        return Texts.plainly(
                "motif-takes",
                "templates",
                String.join(", ", shown.templates()),
                "marks",
                Words.count(shown.marks(), Words.Thing.MARK),
                "placements",
                Words.count(shown.placements(), Words.Thing.PLACEMENT),
                "starts",
                Words.count(shown.starts(), Words.Thing.START));
    }

    /** A motif in a few words: {@code arcs, 3 lines, each 1/2 lower}. */
    public String text(Motif motif) {
        return new Texts(words).text(motif);
    }

    /** How often a line is stitched over, and where that leaves the needle; nothing for a single pass. */
    public static String passes(StitchLine line) {
        return line.passes() == 1 ? "" : Texts.plainly("passes", "returns", line.returns());
    }

    /** {@code once}, {@code once and a half}. */
    public static String turns(int halfTurns) {
        return Texts.plainly("turns", "whole", halfTurns / 2, "half", halfTurns % 2 == 1);
    }

    // --- lines and placements ----------------------------------------------------------------------------------

    /** {@code Arc 7}, {@code Blade 2 of fan 3}. */
    public static String name(StitchLine line) {
        return Texts.plainly(
                LINES + Codes.of(line.kind()),
                "number",
                line.number(),
                "sub",
                line.sub(),
                "part",
                line.sub() + 1,
                "area",
                line.region() instanceof AreaId);
    }

    /** {@code Arc 7}, or {@code Arc 7, part 1 of 2}. */
    public static String name(Placement placement) {
        return Texts.plainly(
                "placement-of", "line", name(placement.of()), "part", placement.part(), "parts", placement.parts());
    }

    /** Where a line starts or stops: {@code valley 3, 18 7/16}, {@code on the seam}. */
    public static String at(LineEnd spot) {
        if (spot.mark().isEmpty()) {
            return Texts.name(spot.shownBy());
        }
        Mark mark = spot.mark().get();
        TapeReading left = mark.readings().fromLeft();
        return Texts.plainly(
                "line-end.mark",
                "mark",
                Words.decapital(Words.name(mark)),
                "place",
                left.ticks() < 0
                        ? Texts.plainly(
                                "from-left.before",
                                "distance",
                                TapeReading.of(-left.exact(), left.scale()).text())
                        : left.text());
    }
}
