package jollyspindle.core.words;

import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaRules;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;

/** Says what there is to know about a motif in an area, in a sentence or two. */
record AreaDiagnosticWords(Words words) {

    private String length(double inches) {
        return words.length(inches);
    }

    String text(AreaDiagnostic told) {
        if (told instanceof AreaDiagnostic.NoTool none) {
            return "It needs a "
                    + switch (none.need()) {
                        case ARM -> "turned arm";
                        case CIRCLE -> "circle template";
                        case SCALLOPS -> "clamshell row";
                        case ARC -> "template with a round edge";
                        case STRAIGHT_EDGE -> "straight edge";
                    }
                    + ", and this job has none.";
        }
        if (told instanceof AreaDiagnostic.TooFine fine) {
            return Words.tooFine(fine.most());
        }
        if (told instanceof AreaDiagnostic.NoRoom) {
            return "Not a line of it has room here.";
        }
        if (told instanceof AreaDiagnostic.NothingOutside) {
            return "Only round a medallion can echoes lie outside. Lay them inside here.";
        }
        if (told instanceof AreaDiagnostic.RingMissing ring) {
            return "No template stitches a ring " + length(ring.diameter()) + " across."
                    + (ring.nearest().isPresent()
                            ? " The nearest is " + length(ring.nearest().getAsDouble()) + "."
                            : "");
        }
        if (told instanceof AreaDiagnostic.TooFar far) {
            return "The template can't do it: " + length(far.distance()) + " is asked for, " + length(far.most())
                    + " is the most.";
        }
        if (told instanceof AreaDiagnostic.TooRound round) {
            return "Arcs of radius " + length(round.radius()) + " bulge into each other. From radius "
                    + length(round.least()) + " on they don't: take a larger template, or more squares.";
        }
        if (told instanceof AreaDiagnostic.NoShells none) {
            return "Shells " + length(none.width()) + " wide "
                    + (none.rise() > 0
                            ? "don't go in: no wider than the foot, or higher than the block."
                            : "can't be stitched with this foot.");
        }
        return warning(told);
    }

    private String warning(AreaDiagnostic told) {
        if (told instanceof AreaDiagnostic.ReachShort reach) {
            return Words.count(reach.arms(), "arm") + (reach.arms() == 1 ? " ends" : " end")
                    + " short of the edge: an arm reaches " + length(reach.reach()) + ", and "
                    + length(reach.needed()) + " is the farthest. Take a longer arm, or leave those corners.";
        }
        if (told instanceof AreaDiagnostic.PileUp pile) {
            return pile.lines() + " lines lead to within " + length(AreaRules.POINT)
                    + " of one place, and thread piles up there; " + pile.most()
                    + " are no matter. Stop them on a small circle, or leave some out.";
        }
        if (told instanceof AreaDiagnostic.PetalsCross cross) {
            return cross.petals() + " petals so wide cross their neighbours. Take fewer, or a flatter arc.";
        }
        if (told instanceof AreaDiagnostic.CirclesApart apart) {
            return "Circles " + length(apart.diameter()) + " across don't reach their neighbours "
                    + length(apart.apart()) + " away. Take larger ones, or more squares.";
        }
        if (told instanceof AreaDiagnostic.HatchLikeEcho like) {
            return "Lines " + length(like.spacing())
                    + " apart read as one texture with the echoes beside them. Space them otherwise.";
        }
        if (told instanceof AreaDiagnostic.CutOff cut) {
            return "What lies on it parts a piece in " + cut.parts()
                    + ", with no seam from one to the other: each needs a thread start of its own.";
        }
        if (told instanceof AreaDiagnostic.Unstitched open) {
            return "A circle " + length(open.diameter()) + " across stays without a stitch; the batting allows "
                    + length(open.most()) + ". Seams count as stitched in the ditch.";
        }
        if (told instanceof AreaDiagnostic.Shells shells) {
            return "Shells rise " + length(shells.rise()) + " with this foot: "
                    + TapeScale.EIGHTHS.read(shells.perRow()).text() + " to a row, "
                    + Words.count(shells.rows(), "row")
                    + (shells.squeezed()
                            ? ", the last one squeezed into " + length(shells.over())
                            : shells.over() > Tolerances.CHALK ? ", " + length(shells.over()) + " left at the top" : "")
                    + ".";
        }
        return note(told);
    }

    private String note(AreaDiagnostic told) {
        if (told instanceof AreaDiagnostic.RingGaps gaps) {
            return "Spread evenly, rings would stand " + length(gaps.wanted())
                    + " apart; with the sizes on the shelf they stand " + length(gaps.narrowest())
                    + (gaps.widest() - gaps.narrowest() > Tolerances.CHALK ? " to " + length(gaps.widest()) : "") + ".";
        }
        if (told instanceof AreaDiagnostic.Wreath wreath) {
            return "Circles " + length(wreath.diameter()) + " across, their middles " + length(wreath.out())
                    + " from the centre: neighbours "
                    + (Math.abs(wreath.gap()) < Tolerances.CHALK
                            ? "touch, and one thread goes round them all."
                            : wreath.gap() > 0
                                    ? "stand " + length(wreath.gap()) + " apart."
                                    : "cross by " + length(-wreath.gap()) + ".");
        }
        if (told instanceof AreaDiagnostic.Caps caps) {
            return Words.count(caps.petals(), "petal") + ": caps " + length(caps.cap()) + " wide and "
                    + length(caps.gap()) + " apart, square to them; tips " + length(caps.tips())
                    + " apart on the small arc.";
        }
        AreaDiagnostic.FewerSets fewer = (AreaDiagnostic.FewerSets) told;
        return "There is room for " + fewer.room() + " of " + fewer.asked() + ".";
    }
}
