package jollyspindle.core.words;

import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Counts;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Fractions;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.plan.ChalkLine;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.SeamRegister;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Says what was measured, chosen, divided, marked and placed.
 *
 * @param tape lengths are said on
 */
public record Words(TapeScale tape) {

    /** What is counted. */
    public enum Thing {
        ARC,
        BLOCK,
        CIRCLE,
        CORNER,
        LINE,
        MARK,
        PLACEMENT,
        RAY,
        REPEAT,
        WHOLE_REPEAT,
        ROW,
        SHELL,
        SQUARE,
        SMALLER_RING,
        START,
        THREAD_START,
        SWIVEL,
        TEMPLATE
    }

    /** What a line lies off by that nobody sees, in inches. */
    private static final double UNSEEN = 1.0 / 256;

    private static final String MARKS = Codes.path(Mark.Kind.class) + ".";

    private Texts texts() {
        return new Texts(this);
    }

    /** A length as the tape shows it: {@code 5 15/16 generous}. */
    public String length(double inches) {
        TapeReading reading = tape.read(inches);
        // What is less than half a tick is told more finely.
        return reading.ticks() == 0 && reading.lean() != TapeReading.Lean.ON ? difference(inches) : reading.text();
    }

    /** What is printed on a template, in inches: {@code 2}, {@code 2 1/4 in} beside metric lengths. */
    public String printed(double inches) {
        return Fractions.exact(inches, TapeScale.SIXTEENTHS) + (tape.isMetric() ? " in" : "");
    }

    /** The true length to a thousandth of an inch: {@code 6.150 in}. */
    public String exactly(double inches) {
        return tape.read(inches).exactText();
    }

    /** A setting, exactly: {@code 0.245}. */
    public String exact(double inches) {
        return Fractions.exact(inches, tape);
    }

    public String difference(double inches) {
        return Fractions.difference(inches, tape);
    }

    /** Degrees rounded to one place, without a needless zero: {@code 127.4°}. */
    public static String degrees(double radians) {
        double rounded = Math.round(Math.toDegrees(radians) * 10) / 10.0;
        String text = rounded == Math.rint(rounded)
                ? String.format(Locale.ROOT, "%.0f", rounded)
                : String.format(Locale.ROOT, "%.1f", rounded);
        return text.replace('-', '−') + "°";
    }

    public static String name(Side side) {
        return Texts.name(side);
    }

    public static String border(Side side) {
        return Texts.plainly("run.first", "side", side);
    }

    public static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    /** {@code 1 repeat}, {@code 2 repeats}. */
    public static String count(long number, Thing thing) {
        return Texts.plainly("count." + Codes.of(thing), "number", number);
    }

    /** Which corner of the quilt a run starts from. */
    public static String startCorner(Side side) {
        return Texts.name("start-corner", side);
    }

    public static String name(Corners corners) {
        return Texts.name(corners);
    }

    public static String name(TapeScale scale) {
        return Texts.name(scale);
    }

    public static String name(Dimension dimension) {
        return Texts.plainly(
                "dimension." + Codes.of(dimension.what()), "dimension", dimension, "outer", dimension.border() > 1);
    }

    /** {@code Top border}, {@code Border 2, top}, {@code Strip 1}. */
    public static String name(RunId run) {
        int number = run.group().number();
        return run.side()
                .map(side -> number == 1 ? border(side) : Texts.plainly("run.border", "border", number, "side", side))
                .orElseGet(() -> Texts.plainly("run.strip", "number", number));
    }

    /** A run as the quilter calls it: a strip by its own name. */
    public static String name(RunId run, Quilt quilt) {
        return quilt.strip(run.group()).map(Strip::name).orElseGet(() -> name(run));
    }

    /** {@code Border 2}, {@code Strip 1}. */
    public static String name(GroupId group) {
        return Texts.plainly(group.strip() ? "group.strip" : "group.border", "number", group.number());
    }

    /** A group as the quilter calls it: a strip by its own name. */
    public static String name(GroupId group, Quilt quilt) {
        return quilt.strip(group).map(Strip::name).orElseGet(() -> name(group));
    }

    /** The seam a run's motif stands on: {@code top seam}, {@code inner seam of border 2, top}, {@code lower seam of the strip}. */
    public static String seam(RegionId region) {
        if (!(region instanceof RunId run)) {
            return Texts.plainly("seam.area");
        }
        if (run instanceof RunId.BorderRun border) {
            return Texts.plainly(
                    border.border() == 1 ? "seam.first" : "seam.border",
                    "border",
                    border.border(),
                    "side",
                    border.where());
        }
        return Texts.plainly("seam.strip");
    }

    /** Where a run starts, as it is said of its left end. */
    public static String start(RunId run) {
        return run.side()
                .map(side -> Texts.plainly("run-start.side", "corner", startCorner(side)))
                .orElseGet(() -> Texts.plainly("run-start.strip"));
    }

    /** Which way a run is stitched. */
    public static String direction(RunId run) {
        return run.side().map(Words::direction).orElseGet(() -> Texts.plainly("direction.strip"));
    }

    public static String name(Easing easing) {
        return Texts.name(easing);
    }

    /** Why a length was refused, what is allowed, what to do. */
    public String refusal(QuiltRules.Refusal why, Dimension dimension, double inches) {
        return texts().say(
                        Codes.path(why.getClass()),
                        "why",
                        why,
                        "dimension",
                        dimension,
                        "inches",
                        inches,
                        "least",
                        QuiltRules.SMALLEST_GAP,
                        "most",
                        QuiltRules.LONGEST);
    }

    /** {@code 10 repeats across, 12 down}. */
    public static String counts(Counts counts) {
        return Texts.told(counts);
    }

    /** What of the template lies on the seam: {@code the line 2 1/4}. */
    public String register(SeamRegister register) {
        return texts().text(register);
    }

    /** Where tape goes on the back of the template. */
    public String tapePlace(SeamRegister.Tape strip) {
        return texts().say(
                        Double.isNaN(strip.nearestLine()) ? "tape-place.from-edge" : "tape-place.from-line",
                        "strip",
                        strip);
    }

    /** How to make the template ready for a repeat, as an instruction. */
    public String instruction(SeamRegister register) {
        if (register instanceof SeamRegister.EngravedLine line) {
            return texts().say("make-ready.line", "line", line, "seen", Math.abs(line.off()) >= UNSEEN);
        }
        return texts().say(
                        register instanceof SeamRegister.Tape ? "make-ready.tape" : "make-ready.off", "tape", register);
    }

    /** How a template is laid for each arc, in all its placements, as an instruction. */
    public String instruction(ArcFit fit) {
        if (fit.parts() == 1) {
            return instruction(fit.register());
        }
        return texts().say(
                        "make-ready.parts",
                        "parts",
                        fit.parts(),
                        "odd",
                        fit.parts() % 2 == 1,
                        "upright",
                        decapital(instruction(fit.register())));
    }

    /** With a small first letter. */
    public static String decapital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toLowerCase(Locale.ROOT) + text.substring(1);
    }

    /** {@code Valley 3}, {@code Crown 2}, {@code Centre}. */
    public static String name(Mark mark) {
        return Texts.plainly(MARKS + Codes.of(mark.kind()), "number", mark.number());
    }

    /** {@code 12 5/16 left of centre}, {@code on the centre}. */
    public static String fromCentre(TapeReading reading) {
        if (reading.ticks() == 0) {
            return near(reading, "from-centre.on", "from-centre.just");
        }
        TapeReading distance = TapeReading.of(Math.abs(reading.exact()), reading.scale());
        return Texts.plainly(
                reading.exact() < 0 ? "from-centre.left" : "from-centre.right", "distance", distance.text());
    }

    /** A reading from one end of a run, or from an area's edge: {@code 18 7/16}, {@code 3 7/16 before it}. */
    public static String fromEnd(TapeReading reading) {
        if (reading.ticks() == 0) {
            return near(reading, "from-end.on", "from-end.just");
        }
        return reading.ticks() < 0
                ? Texts.plainly(
                        "from-end.before",
                        "distance",
                        TapeReading.of(-reading.exact(), reading.scale()).text())
                : reading.text();
    }

    /** How high above the seam a mark is made: {@code on the seam}, {@code 3 1/2}, {@code 1/4 below it}. */
    public static String above(Mark mark) {
        TapeReading height = mark.height();
        if (height.ticks() == 0) {
            return near(height, "above.on", "above.just");
        }
        return height.ticks() < 0
                ? Texts.plainly(
                        "above.below",
                        "distance",
                        TapeReading.of(-height.exact(), height.scale()).text())
                : height.text();
    }

    /** What the tape can't tell from its zero. */
    private static String near(TapeReading reading, String on, String just) {
        return Math.abs(reading.exact()) < Tolerances.UNSAID
                ? Texts.plainly(on)
                : Texts.plainly(just, "before", reading.exact() < 0);
    }

    /** How a mark is made, and when. */
    public static String making(Mark mark) {
        return switch (mark.by()) {
            case SEAM, TEMPLATE -> Texts.name("made-by", mark.by());
            case CHALK -> mark.after().map(Words::after).orElseGet(() -> stage(mark.stage()));
        };
    }

    /** All that is drawn on a run before it is stitched; nothing if nothing is. */
    public Optional<String> chalkLines(List<ChalkLine> lines) {
        return lines.stream().map(this::chalkLine).reduce((a, b) -> a + " " + b);
    }

    /** What is drawn on a run before it is stitched, as an instruction. */
    public String chalkLine(ChalkLine line) {
        return texts().say(
                        "chalk-line." + Codes.of(line.which()),
                        "height",
                        line.reading().exact());
    }

    /** After which pass: {@code after both rows}, {@code after motif 1}. */
    public static String after(Mark.After after) {
        return Texts.plainly(
                "made-after." + Codes.of(after.pass()),
                "motif",
                after.motif(),
                "before",
                after.motif() - 1,
                "later",
                after.motif() > 1);
    }

    public static String stage(Mark.Stage stage) {
        return Texts.name(stage);
    }

    /** {@code Arc 7}, or {@code Arc 7, part 1 of 2}. */
    public static String name(Placement placement) {
        return MotifWords.name(placement);
    }

    /** How the template is turned from the way it is pictured, in words: {@code a quarter turn to the right}. */
    public static String turn(double rotation) {
        double degrees = Math.toDegrees(rotation);
        long quarters = Math.round(degrees / 90);
        if (Math.abs(degrees - quarters * 90) >= 0.5) {
            // One turn, the shorter way round.
            return Texts.plainly("turn.by", "turn", Math.IEEEremainder(rotation, 2 * Math.PI));
        }
        return Texts.plainly(
                switch ((int) Math.floorMod(quarters, 4L)) {
                    case 1 -> "turn.left";
                    case 2 -> "turn.half";
                    case 3 -> "turn.right";
                    default -> "turn.none";
                });
    }

    /** What the template is laid on. */
    public String registration(Placement placement) {
        Registration on = placement.registration();
        return texts().say(
                        Codes.path(on.getClass()),
                        "on",
                        on,
                        "seam",
                        seam(placement.region()),
                        "inHook",
                        on instanceof Registration.OnRay ray
                                && ray.onFoot(placement.start().place()),
                        "itself",
                        on instanceof Registration.OnStitching along && along.fromEdge() < UNSEEN
                                || on instanceof Registration.AlongSeam beside && beside.fromEdge() < UNSEEN);
    }

    public static String edge(ArcEdge edge) {
        return Texts.name(edge);
    }

    /** Which way a run is stitched. */
    public static String direction(Side side) {
        return Texts.plainly("direction.side", "from", startCorner(side), "to", startCorner(side.next()));
    }

    /** Whether a template's arc has room: {@code 4 1/2 of room left above}. */
    public String room(ArcFit fit) {
        return fit.fitsRoom()
                ? texts().say("room.fits", "left", -fit.overRoom())
                : texts().say("room.over", "over", fit.overRoom());
    }
}
