package jollyspindle.core.words;

import jollyspindle.core.division.Counts;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Fractions;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
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

import java.util.Locale;

/**
 * Says what was measured, chosen, divided, marked and placed.
 *
 * @param tape lengths are said on
 */
public record Words(TapeScale tape) {

    /** A length as the tape shows it: {@code 5 15/16 generous}. */
    public String length(double inches) {
        return tape.read(inches).text();
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
        return switch (side) {
            case TOP -> "top";
            case RIGHT -> "right";
            case BOTTOM -> "bottom";
            case LEFT -> "left";
        };
    }

    public static String border(Side side) {
        return capital(name(side)) + " border";
    }

    public static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    /** {@code 1 repeat}, {@code 2 repeats}. */
    public static String count(long number, String thing) {
        return number + " " + thing + (number == 1 ? "" : "s");
    }

    /** Which corner of the quilt a run starts from. */
    public static String startCorner(Side side) {
        return switch (side) {
            case TOP -> "top left";
            case RIGHT -> "top right";
            case BOTTOM -> "bottom right";
            case LEFT -> "bottom left";
        };
    }

    public static String name(Corners corners) {
        return switch (corners) {
            case MITRED -> "Mitred";
            case CORNERSTONES -> "Cornerstones";
            case TOP_AND_BOTTOM_THROUGH -> "Butted: top and bottom run through";
            case SIDES_THROUGH -> "Butted: right and left run through";
        };
    }

    public static String name(TapeScale scale) {
        return switch (scale) {
            case EIGHTHS -> "Inches, 1/8";
            case SIXTEENTHS -> "Inches, 1/16";
            case THIRTY_SECONDS -> "Inches, 1/32";
            case CENTIMETRES -> "Centimetres";
        };
    }

    public static String name(Dimension dimension) {
        String side = dimension.side().map(Words::name).orElse("");
        String border = dimension.border() > 1 ? "Border " + dimension.border() + ", " : "";
        return switch (dimension.what()) {
            case BODY -> "Body, " + side;
            case DIAGONAL_DOWN -> "Diagonal, top left to bottom right";
            case DIAGONAL_UP -> "Diagonal, bottom left to top right";
            case SEAM -> border + "inner seam, " + side;
            case DEPTH -> border.isEmpty() ? "Border depth, " + side : border + "depth, " + side;
            case RESERVE -> "Outer reserve";
            case BATTING -> "Batting: most unstitched";
            case CLEARANCE -> border.isEmpty() ? "Seam clearance" : border + "seam clearance";
        };
    }

    /** {@code Top border}, {@code Border 2, top}, {@code Strip 1}. */
    public static String name(RunId run) {
        if (run instanceof RunId.BorderRun border) {
            return border.border() == 1
                    ? border(border.where())
                    : "Border " + border.border() + ", " + name(border.where());
        }
        return "Strip " + ((RunId.StripRun) run).number();
    }

    /** A run as the quilter calls it: a strip by its own name. */
    public static String name(RunId run, Quilt quilt) {
        return quilt.strip(run.group()).map(Strip::name).orElseGet(() -> name(run));
    }

    /** {@code Border 2}, {@code Strip 1}. */
    public static String name(GroupId group) {
        return (group.strip() ? "Strip " : "Border ") + group.number();
    }

    /** A group as the quilter calls it: a strip by its own name. */
    public static String name(GroupId group, Quilt quilt) {
        return quilt.strip(group).map(Strip::name).orElseGet(() -> name(group));
    }

    /** The seam a run's motif stands on: {@code top seam}, {@code inner seam of border 2, top}, {@code lower seam of the strip}. */
    public static String seam(RegionId region) {
        if (!(region instanceof RunId run)) {
            return "area's lower edge";
        }
        if (run instanceof RunId.BorderRun border) {
            return border.border() == 1
                    ? name(border.where()) + " seam"
                    : "inner seam of border " + border.border() + ", " + name(border.where());
        }
        return "lower seam of the strip";
    }

    /** Where a run starts, as it is said of its left end. */
    public static String start(RunId run) {
        return run.side().map(side -> startCorner(side) + " corner").orElse("left end");
    }

    /** Which way a run is stitched. */
    public static String direction(RunId run) {
        return run.side().map(Words::direction).orElse("its left end to its right");
    }

    public static String name(Easing easing) {
        return switch (easing) {
            case AS_MEASURED -> "as measured";
            case MEAN -> "at the mean";
            case TO_SHORTER -> "at the shorter";
            case TO_LONGER -> "at the longer";
        };
    }

    /** Why a length was refused, what is allowed, what to do. */
    public String refusal(QuiltRules.Refusal why, Dimension dimension, double inches) {
        String read = name(dimension) + " reads " + exact(inches);
        if (why instanceof QuiltRules.Refusal.NotOverZero) {
            return read + ". It must be more than 0: type what the tape says.";
        }
        if (why instanceof QuiltRules.Refusal.Negative) {
            return read + ". It can't be less than 0: type 0 or more.";
        }
        if (why instanceof QuiltRules.Refusal.GapTooSmall) {
            return read + ". No batting asks for less than " + exact(QuiltRules.SMALLEST_GAP) + " from line to line.";
        }
        if (why instanceof QuiltRules.Refusal.TooLong) {
            return read + ". The longest allowed is " + exact(QuiltRules.LONGEST) + ": check the number and its unit.";
        }
        if (why instanceof QuiltRules.Refusal.DeeperThanBody deeper) {
            return read + ", deeper than the body's " + exact(deeper.body())
                    + ". Measure from the seam out to the raw edge.";
        }
        if (why instanceof QuiltRules.Refusal.ShorterThanBorder shorter) {
            return read + ", less than the border's depth of " + exact(shorter.depth())
                    + ". Measure the body from seam to seam.";
        }
        if (why instanceof QuiltRules.Refusal.NoRoomLeft none) {
            return read + ". Reserve and clearance together take " + exact(none.strips()) + " of a border "
                    + exact(none.depth()) + " deep, and leave nothing to stitch. Make one of them smaller.";
        }
        QuiltRules.Refusal.DiagonalImpossible range = (QuiltRules.Refusal.DiagonalImpossible) why;
        return read + ". With these four sides a diagonal lies between " + length(range.shortest()) + " and "
                + length(range.longest()) + ": measure it again, corner to corner.";
    }

    /** {@code 10 repeats across, 12 down}. */
    public static String counts(Counts counts) {
        return counts.across() + " across, " + counts.down() + " down";
    }

    /** What of the template lies on the seam: {@code the line 2 1/4}. */
    public String register(SeamRegister register) {
        if (register instanceof SeamRegister.EngravedLine line) {
            return "the line " + exact(line.label());
        }
        if (register instanceof SeamRegister.Tape tapeStrip) {
            return "the tape, " + tapePlace(tapeStrip);
        }
        return "nothing: the seam runs past the plate; set the foot on the marks";
    }

    /** Where tape goes on the back of the template. */
    public String tapePlace(SeamRegister.Tape strip) {
        String below = length(strip.belowEdge()) + " below the edge's crown";
        if (Double.isNaN(strip.nearestLine())) {
            return below;
        }
        return length(Math.abs(strip.belowLine())) + (strip.belowLine() < 0 ? " above" : " below") + " the line "
                + exact(strip.nearestLine()) + " (" + below + ")";
    }

    /** How to make the template ready for a repeat, as an instruction. */
    public String instruction(SeamRegister register) {
        if (register instanceof SeamRegister.EngravedLine line) {
            String off = Math.abs(line.off()) < 1.0 / 256
                    ? ""
                    : "; it stitches " + difference(line.off()) + (line.off() < 0 ? " lower" : " higher")
                            + " than drawn";
            return "Lay the engraved line " + exact(line.label()) + " on the seam" + off + ".";
        }
        if (register instanceof SeamRegister.Tape strip) {
            return "No engraved line is near enough. Stick 1/4 tape on the back, its upper edge " + tapePlace(strip)
                    + ", and lay that edge on the seam.";
        }
        return "The seam runs past the plate, so no line can lie on it: set the foot on the start mark, the crown and"
                + " the end mark.";
    }

    /** How a template is laid for each arc, in all its placements, as an instruction. */
    public String instruction(ArcFit fit) {
        if (fit.parts() == 1) {
            return instruction(fit.register());
        }
        String turned =
                "Each arc takes " + fit.parts() + " placements, and the template is turned between them: push its"
                        + " edge against the foot over the first mark, then over the second.";
        return fit.parts() % 2 == 0
                ? turned
                : turned + " The middle one stands upright: " + decapital(instruction(fit.register()));
    }

    /** With a small first letter. */
    public static String decapital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toLowerCase(Locale.ROOT) + text.substring(1);
    }

    /** {@code Valley 3}, {@code Crown 2}, {@code Centre}. */
    public static String name(Mark mark) {
        return switch (mark.kind()) {
            case VALLEY -> "Valley " + mark.number();
            case CROWN -> "Crown " + mark.number();
            case CENTRE -> "Centre";
            case MEETING -> "Meeting";
            case HAND_OVER -> "Hand-over " + mark.number();
            case FAR_VALLEY -> "Far valley " + mark.number();
            case FAR_CROWN -> "Far crown " + mark.number();
            case OUTER -> "Outer mark " + mark.number();
            case PIVOT -> "Pivot " + mark.number();
            case MIDDLE -> "Circle's middle " + mark.number();
            case LINE_START -> "Line start " + mark.number();
            case LINE_END -> "Line end " + mark.number();
            case TURN -> "Turn " + mark.number();
            case TIP -> "Tip " + mark.number();
            case FOOT -> "Foot " + mark.number();
            case MIDPOINT -> "Midpoint " + mark.number();
            case RAY -> "Ray " + mark.number();
            case GRID -> "Grid point " + mark.number();
        };
    }

    /** {@code 12 5/16 left of centre}, {@code on the centre}. */
    public static String fromCentre(TapeReading reading) {
        if (reading.ticks() == 0 && reading.lean() == TapeReading.Lean.ON) {
            return "on the centre";
        }
        boolean left = reading.exact() < 0;
        TapeReading distance = TapeReading.of(Math.abs(reading.exact()), reading.scale());
        return distance.text() + (left ? " left" : " right");
    }

    /** How a mark is made, and when. */
    public static String making(Mark mark) {
        if (mark.by() == Mark.MarkedBy.SEAM) {
            return "by the seam";
        }
        if (mark.by() == Mark.MarkedBy.TEMPLATE) {
            return "by template";
        }
        return mark.after().map(Words::after).orElseGet(() -> stage(mark.stage()));
    }

    /** After which pass: {@code after both rows}, {@code after motif 1}. */
    public static String after(Mark.After after) {
        String of = after.motif() > 1 ? " of motif " + after.motif() : "";
        return switch (after.pass()) {
            case FIRST_LINES -> "after first arcs" + of;
            case BOTH_ROWS -> "after both rows" + of;
            case ROW_BELOW -> "after row below" + of;
            case MOTIFS_BEFORE -> after.motif() == 2 ? "after motif 1" : "after motifs 1–" + (after.motif() - 1);
        };
    }

    public static String stage(Mark.Stage stage) {
        return switch (stage) {
            case BEFORE_LOADING -> "before loading";
            case LOADED -> "on the frame";
            case STITCHED -> "after stitching";
        };
    }

    /** {@code Arc 7}, or {@code Arc 7, part 1 of 2}. */
    public static String name(Placement placement) {
        return MotifWords.name(placement);
    }

    /** How the template is turned from the way it is pictured, in words: {@code a quarter turn to the right}. */
    public static String turn(double rotation) {
        double degrees = Math.toDegrees(rotation);
        long quarters = Math.round(degrees / 90);
        double rest = degrees - quarters * 90;
        String whole =
                switch ((int) Math.floorMod(quarters, 4L)) {
                    case 1 -> "a quarter turn to the left";
                    case 2 -> "a half turn";
                    case 3 -> "a quarter turn to the right";
                    default -> "as pictured";
                };
        if (Math.abs(rest) < 0.5) {
            return whole;
        }
        return whole
                + (quarters == 0 ? ", tipped " : " and ")
                + degrees(Math.toRadians(Math.abs(rest)))
                + (rest > 0 ? " to the left" : " to the right");
    }

    /** What the template is laid on. */
    public String registration(Placement placement) {
        if (placement.registration() instanceof Registration.OnSeam on) {
            return "on the " + (on.far() ? "outer edge" : seam(placement.region())) + ": " + register(on.what())
                    + on.centre()
                            .map(m -> "; the template's centre line on " + decapital(name(m)))
                            .orElse("");
        }
        if (placement.registration() instanceof Registration.AtAngle at) {
            return "edge on the start mark, the template's line at " + degrees(at.angle()) + " on the seam";
        }
        if (placement.registration() instanceof Registration.OnMitre) {
            return "the template's centre line on the mitre; foot over the start mark, then over the end mark";
        }
        if (placement.registration() instanceof Registration.OnStitching on) {
            return on.fromEdge() < 1.0 / 256
                    ? "the edge itself along the line stitched before"
                    : (on.engraved() ? "the line engraved " : "tape ") + length(on.fromEdge())
                            + " from the edge, on the line stitched before";
        }
        if (placement.registration() instanceof Registration.OnRow on) {
            return on.line()
                            .map(line -> new ShelfWords(this).line(line))
                            .orElseGet(() -> "tape " + length(on.belowCrowns()) + " below the template's crowns")
                    + (on.lineId().isPresent() ? " on the crowns stitched before" : " on the lower edge");
        }
        if (placement.registration() instanceof Registration.NotchOnMark on) {
            return "a notch straight above " + decapital(name(on.mark())) + ", and tape " + length(on.below())
                    + " below the strip's points on the " + (on.far() ? "outer edge" : seam(placement.region()));
        }
        if (placement.registration() instanceof Registration.OnRay on) {
            String ray = decapital(name(on.ray()));
            return on.hooked()
                    ? "the hook against the foot over the " + decapital(name(on.centre())) + ", the template's line on "
                            + ray
                    : "the template's middle line from the " + decapital(name(on.centre())) + " to " + ray;
        }
        if (placement.registration() instanceof Registration.CentreOnMark on) {
            return "the template's centre on " + decapital(name(on.centre()))
                    + (on.legOnSeam() ? ", its leg on the seam" : "");
        }
        return "no line on the seam: foot over the start mark, then over the end mark, edge against it both times";
    }

    public static String edge(ArcEdge edge) {
        return edge == ArcEdge.CONVEX
                ? "the bulging edge, foot outside the curve"
                : "the hollow edge, foot inside the curve";
    }

    /** Which way a run is stitched. */
    public static String direction(Side side) {
        return startCorner(side) + " to " + startCorner(side.next());
    }

    /** Whether a template's arc has room: {@code 4 1/2 of room left above}. */
    public String room(ArcFit fit) {
        return fit.fitsRoom()
                ? "Fits, with " + length(-fit.overRoom()) + " left below the reserve."
                : "Doesn't fit: " + difference(fit.overRoom()) + " into the reserve.";
    }
}
