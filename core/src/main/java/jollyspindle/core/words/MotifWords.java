package jollyspindle.core.words;

import jollyspindle.core.code.Codes;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.AreaId;

/** Says what motifs are, and what is the matter with them. */
public record MotifWords(Words words) {

    /** {@code Arcs}, {@code Facing arcs}. */
    public static String name(Motif motif) {
        return Texts.name(motif);
    }

    /** What a gallery calls it. */
    public static String name(Preset preset) {
        return Texts.name(preset);
    }

    /** What stands in a corner. */
    public static String name(CornerDesign.Kind kind) {
        return ParamWords.text("corner." + Codes.of(kind));
    }

    public static String name(Layer.Space space) {
        return switch (space) {
            case ALL -> "the whole run";
            case INSIDE -> "inside what is there";
            case ABOVE -> "above what is there";
            case BETWEEN -> "between its lines";
        };
    }

    /** A motif in a few words: {@code arcs, 3 lines, each 1/2 lower}. */
    public String text(Motif motif) {
        return new Texts(words).text(motif);
    }

    /** How often a line is stitched over, and where that leaves the needle; nothing for a single pass. */
    public static String passes(StitchLine line) {
        return line.passes() == 1
                ? ""
                : line.returns()
                        ? "; stitch it there and back, so that the needle ends where it began"
                        : "; stitch it there, back and there again";
    }

    /** {@code once}, {@code once and a half}. */
    public static String turns(int halfTurns) {
        String whole = halfTurns / 2 == 1 ? "once" : halfTurns / 2 == 2 ? "twice" : "three times";
        return whole + (halfTurns % 2 == 1 ? " and a half" : "");
    }

    // --- lines and placements ----------------------------------------------------------------------------------

    /** {@code Arc 7}, {@code Blade 2 of fan 3}. */
    public static String name(StitchLine line) {
        int n = line.number();
        return switch (line.kind()) {
            case ARC -> "Arc " + n;
            case NESTED_ARC -> "Arc " + n + ", line " + (line.sub() + 1);
            case ECHO -> line.sub() > 0 ? "Echo " + line.sub() + " of " + n : "Echo " + n;
            case SAIL -> "Sail " + n;
            case BLADE -> "Fan " + n + ", blade " + line.sub();
            case CIRCLE -> "Circle " + n;
            case SWIRL -> "Curl in circle " + n;
            case SERPENTINE -> "S " + n;
            case CHEVRON -> "Chevron " + n;
            case LINE -> "Line " + n;
            case HATCH ->
                "Hatch " + n
                        + (line.region() instanceof AreaId
                                ? " of set " + line.sub()
                                : line.sub() == 1 ? ", leaning right" : ", leaning left");
            case DIAMOND -> "Diamond " + n + ", side " + line.sub();
            case ARM -> "Arm " + n + (line.sub() == 2 ? ", turned over" : "");
            case RING -> "Ring " + n;
            case SPOKE -> "Spoke " + line.sub() + " to ring " + n;
            case SHELLS -> "Row " + n + " of shells";
            case PETAL -> "Petal " + n + (line.sub() > 0 ? ", side " + line.sub() : "");
            case INNER_PETAL -> "Inner petal " + n;
            case POINTS -> "Points";
            case CORNER_RAYS -> "Corner rays";
            case WHIRL -> "Whirl, set " + n + ", line " + line.sub();
            case STRAIGHT_FAN -> "Fan " + n + ", line " + line.sub();
            case CORNER_ARC -> "Corner arc " + n + (line.sub() > 0 ? ", side " + line.sub() : "");
            case CORNER_DIAMOND -> "Corner diamond, side " + line.sub();
            case CORNER_BLADE -> "Corner blade " + line.sub();
        };
    }

    /** {@code Arc 7}, or {@code Arc 7, part 1 of 2}. */
    public static String name(Placement placement) {
        return name(placement.of())
                + (placement.parts() > 1 ? ", part " + placement.part() + " of " + placement.parts() : "");
    }

    /** Where a line starts or stops: {@code valley 3, 18 7/16}, {@code on the seam}. */
    public static String at(LineEnd spot) {
        if (spot.mark().isPresent()) {
            Mark mark = spot.mark().get();
            TapeReading left = mark.readings().fromLeft();
            return Words.decapital(Words.name(mark)) + ", "
                    + (left.ticks() < 0
                            ? TapeReading.of(-left.exact(), left.scale()).text() + " beyond the left end"
                            : left.text());
        }
        return switch (spot.shownBy()) {
            case SEAM -> "on the seam";
            case FAR_EDGE -> "at the far edge";
            case KEPT_CLEAR -> "at the edge of what is kept clear";
            case RUN_END -> "at the run's end";
            case MITRE -> "on the mitre";
            case STITCHING -> "at the stitching there";
            case STOP_CIRCLE -> "on the small circle about the centre";
            case TEMPLATE -> "where the template's edge ends";
            default -> "where the needle is";
        };
    }
}
