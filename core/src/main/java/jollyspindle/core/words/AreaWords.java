package jollyspindle.core.words;

import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaTold;
import jollyspindle.core.area.BlockFit;
import jollyspindle.core.area.Ray;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Quilt;

/**
 * Says what is stitched in areas of the body, and what is the matter there.
 *
 * @param words lengths are said with
 */
public record AreaWords(Words words) {

    /** {@code Medallion}, {@code Blocks}; with their number where there are several. */
    public static String name(AreaId id, Quilt quilt) {
        Area area = quilt.areas().get(id.number() - 1);
        long alike = quilt.areas().stream()
                .filter(a -> a.getClass() == area.getClass())
                .count();
        String kind =
                area instanceof Area.Blocks ? "Blocks" : area instanceof Area.Medallion ? "Medallion" : "Appliqué";
        return kind + (alike > 1 ? " " + id.number() : "");
    }

    /** What a motif is called. */
    public static String name(AreaMotif motif) {
        if (motif instanceof AreaMotif.Arms) {
            return "Turned arms";
        }
        if (motif instanceof AreaMotif.Rings) {
            return "Rings";
        }
        if (motif instanceof AreaMotif.Clamshells) {
            return "Clamshells";
        }
        if (motif instanceof AreaMotif.Quarters) {
            return "Quarters";
        }
        return motif instanceof AreaMotif.Peel ? "Orange peel" : "Crosshatch";
    }

    /** A motif in a few words: {@code 8 arms, each out and back}. */
    public String text(AreaMotif motif) {
        if (motif instanceof AreaMotif.Arms arms) {
            return Words.count(arms.arms(), "arm")
                    + (arms.way() == AreaMotif.Way.OUT_AND_BACK
                            ? ", each out and back"
                            : ", out along one and in along the next")
                    + (arms.stop() > 0 ? ", stopped " + words.length(arms.stop()) + " from the centre" : "");
        }
        if (motif instanceof AreaMotif.Rings rings) {
            return Words.count(rings.rings(), "ring") + " from " + words.length(rings.first()) + " across, "
                    + words.length(rings.gap()) + " apart"
                    + switch (rings.spokes()) {
                        case NONE -> ", each begun anew";
                        case ONE -> ", joined along one spoke";
                        case FOUR -> ", joined along four spokes";
                    };
        }
        if (motif instanceof AreaMotif.Clamshells) {
            return "rows of clamshells";
        }
        if (motif instanceof AreaMotif.Peel peel) {
            return "orange peel, " + peel.across() + " by " + peel.down();
        }
        if (motif instanceof AreaMotif.Quarters quarters) {
            return "quarters, lines " + words.length(quarters.close()) + " apart across and "
                    + words.length(quarters.wide()) + " down in turn";
        }
        return "crosshatch " + words.length(((AreaMotif.Crosshatch) motif).spacing()) + " apart";
    }

    public static String name(AreaMotif.Way way) {
        return way == AreaMotif.Way.OUT_AND_BACK ? "out and back" : "out, along the edge, in";
    }

    public static String name(AreaMotif.Spokes spokes) {
        return switch (spokes) {
            case NONE -> "not joined: each begun anew";
            case ONE -> "along one spoke";
            case FOUR -> "along four spokes";
        };
    }

    /** A ray, and where it meets the edge: {@code ray 2, by halving: 2 1/16 generous right of the middle of the top}. */
    public String text(Ray ray) {
        return "ray " + ray.number() + found(ray) + ": " + place(ray);
    }

    /** Where a ray meets the edge, and how it is found: {@code 2 1/16 generous right of the middle of the top, by halving}. */
    public String where(Ray ray) {
        return place(ray) + found(ray);
    }

    private static String found(Ray ray) {
        return switch (ray.found()) {
            case USUAL -> "";
            case HALVED -> ", by halving";
            case STEPPED -> ", by stepping";
        };
    }

    private String place(Ray ray) {
        String side = "the middle of the " + Words.name(ray.side());
        return Math.abs(ray.fromMiddle()) < 1e-9
                ? "in " + side
                : words.length(Math.abs(ray.fromMiddle())) + (ray.fromMiddle() > 0 ? " right" : " left") + " of "
                        + side;
    }

    /** How shells come out in a block: {@code 3 to a row, 6 rows; comes out even}. */
    public String text(BlockFit fit) {
        String across =
                fit.overAcross() < 1.0 / 64 ? "" : words.difference(fit.overAcross()) + " to stretch or squeeze across";
        String up = fit.overUp() < 1.0 / 64
                ? ""
                : words.difference(fit.overUp())
                        + (fit.shells().squeezed() ? " missing in the squeezed row" : " left at the top");
        return TapeScale.EIGHTHS.read(fit.shells().perRow()).text() + " to a row, "
                + Words.count(fit.shells().rows(), "row") + "; "
                + (across.isEmpty() && up.isEmpty()
                        ? "comes out even"
                        : across + (across.isEmpty() || up.isEmpty() ? "" : ", ") + up)
                + "; " + Words.count(fit.placements(), "placement") + ", " + Math.round(fit.stitched())
                + (fit.stitched() < 1.5 ? " inch" : " inches") + " of stitching a block";
    }

    /** What is the matter, in a sentence or two. */
    public String text(AreaTold told) {
        if (told instanceof AreaTold.NoTool none) {
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
        if (told instanceof AreaTold.NoRoom) {
            return "Not a line of it has room here.";
        }
        if (told instanceof AreaTold.RingMissing ring) {
            return "No template stitches a ring " + words.length(ring.diameter()) + " across.";
        }
        if (told instanceof AreaTold.ReachShort reach) {
            return Words.count(reach.arms(), "arm") + (reach.arms() == 1 ? " ends" : " end")
                    + " short of the edge: an arm reaches " + words.length(reach.reach()) + ", and "
                    + words.length(reach.needed()) + " is the farthest. Take a longer arm, or leave those corners.";
        }
        if (told instanceof AreaTold.PileUp pile) {
            return pile.lines() + " lines meet in the centre, and thread piles up there. Stop them on a small circle.";
        }
        if (told instanceof AreaTold.TooFar far) {
            return "The template can't do it: " + words.length(far.distance()) + " is asked for, "
                    + words.length(far.most()) + " is the most.";
        }
        if (told instanceof AreaTold.TooRound round) {
            return "Arcs of radius " + words.length(round.radius()) + " bulge into each other. From radius "
                    + words.length(round.least()) + " on they don't: take a larger template, or more squares.";
        }
        if (told instanceof AreaTold.NoShells none) {
            return none.rise() > 0
                    ? "Shells " + words.length(none.width())
                            + " wide don't go in: no wider than the foot, or higher than" + " the block."
                    : "Shells " + words.length(none.width()) + " wide can't be stitched with this foot.";
        }
        AreaTold.Shells shells = (AreaTold.Shells) told;
        return "Shells rise " + words.length(shells.rise()) + " with this foot: "
                + TapeScale.EIGHTHS.read(shells.perRow()).text()
                + " to a row, " + Words.count(shells.rows(), "row")
                + (shells.squeezed()
                        ? ", the last one squeezed into " + words.length(shells.over())
                        : shells.over() > 1.0 / 64 ? ", " + words.length(shells.over()) + " left at the top" : "")
                + ".";
    }
}
