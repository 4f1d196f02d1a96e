package jollyspindle.core.area;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Point;

import java.util.Optional;
import java.util.OptionalDouble;

/** Why a motif can't be laid out in an area as it was asked for, or what there is to know about it. All lengths in inches. */
public sealed interface AreaDiagnostic extends Diagnostic {

    /**
     * A length without the last digits that depend on where a block lies, so that blocks that are alike are told alike.
     *
     * @param inches any length
     */
    private static double settled(double inches) {
        return Math.rint(inches * 1e9) / 1e9;
    }

    /** Not a line of it has room. */
    record NoRoom() implements AreaDiagnostic {}

    /** Only a medallion has something outside it that is stitched with it. */
    record NothingOutside() implements AreaDiagnostic {}

    /**
     * No template stitches a ring of this size.
     *
     * @param diameter wanted
     * @param nearest that a template stitches, if there is any
     */
    record RingMissing(double diameter, OptionalDouble nearest) implements AreaDiagnostic {
        public RingMissing {
            diameter = settled(diameter);
            nearest = nearest.isPresent() ? OptionalDouble.of(settled(nearest.getAsDouble())) : nearest;
        }
    }

    /**
     * Rings are larger or smaller than wished, by what the foot differs from the one that templates are labelled for.
     *
     * @param by over 0 if they are larger across, in inches
     */
    record RingsByFoot(double by) implements AreaDiagnostic, Diagnostic.Note {
        public RingsByFoot {
            by = settled(by);
        }
    }

    /**
     * How far apart rings really are that are spread evenly with the sizes there are.
     *
     * @param wanted if there were every size
     * @param narrowest gap
     * @param widest gap
     */
    record RingGaps(double wanted, double narrowest, double widest) implements AreaDiagnostic, Diagnostic.Note {
        public RingGaps {
            wanted = settled(wanted);
            narrowest = settled(narrowest);
            widest = settled(widest);
        }

        /** By how much the gaps differ. */
        public double spread() {
            return widest - narrowest;
        }
    }

    /**
     * Arms end short of the area's edge.
     *
     * @param reach of an arm
     * @param needed to the farthest place of the edge that an arm points to
     * @param arms how many end short
     */
    record ReachShort(double reach, double needed, int arms) implements AreaDiagnostic, Diagnostic.Warning {
        public ReachShort {
            reach = settled(reach);
            needed = settled(needed);
        }
    }

    /**
     * The foot doesn't go into an arm's hook, so that the arm is laid by its line alone.
     *
     * @param hook its radius
     * @param footRadius of the foot
     * @param beside how far from the centre the line begins so
     */
    record HookTooTight(double hook, double footRadius, double beside) implements AreaDiagnostic, Diagnostic.Warning {
        public HookTooTight {
            beside = settled(beside);
        }
    }

    /**
     * Arms leave the piece before they end, and what comes back into it isn't stitched.
     *
     * @param arms how many
     * @param longest of what is left out
     */
    record ArmsLeave(int arms, double longest) implements AreaDiagnostic, Diagnostic.Note {
        public ArmsLeave {
            longest = settled(longest);
        }
    }

    /**
     * So many lines meet in a point that thread piles up.
     *
     * @param lines how many
     * @param most that are no matter
     * @param place where
     */
    record PileUp(int lines, int most, Point place) implements AreaDiagnostic, Diagnostic.Warning {

        /** Within how far of that point they end. */
        public double near() {
            return AreaRules.POINT;
        }

        @Override
        public Optional<Point> where() {
            return Optional.of(place);
        }
    }

    /**
     * Petals are so round that they bulge into each other.
     *
     * @param radius the template stitches
     * @param least that doesn't
     */
    record TooRound(double radius, double least) implements AreaDiagnostic {
        public TooRound {
            radius = settled(radius);
            least = settled(least);
        }
    }

    /**
     * Petals round a centre cross their neighbours.
     *
     * @param petals how many there are
     */
    record PetalsCross(int petals) implements AreaDiagnostic, Diagnostic.Warning {}

    /**
     * Circles don't reach their neighbours.
     *
     * @param diameter of each
     * @param apart from middle to middle
     */
    record CirclesApart(double diameter, double apart) implements AreaDiagnostic, Diagnostic.Warning {
        public CirclesApart {
            diameter = settled(diameter);
            apart = settled(apart);
        }
    }

    /**
     * How a wreath comes out.
     *
     * @param diameter of each circle
     * @param out from the centre to their middles
     * @param gap between neighbours; below 0 if they cross
     */
    record Wreath(double diameter, double out, double gap) implements AreaDiagnostic, Diagnostic.Note {
        public Wreath {
            diameter = settled(diameter);
            out = settled(out);
            gap = settled(gap);
        }

        /** By how much neighbours cross; below 0 if they don't. */
        public double overlap() {
            return -gap;
        }
    }

    /**
     * No plate has bumps of that width; each shell is stitched by itself along a round edge.
     *
     * @param width of a shell, in inches
     * @param radius that the edge stitches
     */
    record ShellsOneByOne(double width, double radius) implements AreaDiagnostic, Diagnostic.Note {}

    /**
     * Shells no wider than the foot can't be made, or there is no room for a row.
     *
     * @param width of a shell
     * @param rise of a row
     */
    record NoShells(double width, double rise) implements AreaDiagnostic {
        public NoShells {
            width = settled(width);
            rise = settled(rise);
        }
    }

    /**
     * How rows of shells come out in a block.
     *
     * @param perRow shells to a row
     * @param rows how many
     * @param rise of each as it is stitched
     * @param over what whole rows leave at the top
     * @param squeezed whether one shorter row is squeezed in there
     * @param allowance that is kept free where they begin
     */
    record Shells(double perRow, int rows, double rise, double over, boolean squeezed, double allowance)
            implements AreaDiagnostic {
        public Shells {
            allowance = settled(allowance);
            perRow = settled(perRow);
            rise = settled(rise);
            over = settled(over);
        }

        /** More than this at the top, in inches, isn't left alone (common practice, no source). */
        public static final double LEFT_ALONE = 1.0 / 8;

        @Override
        public Weight weight() {
            return squeezed || over <= LEFT_ALONE ? Weight.INFORMS : Weight.WARNS;
        }
    }

    /**
     * No row of bumps stitches shells of a width.
     *
     * @param width that was asked for
     * @param nearest that one does
     */
    record ShellsMissing(double width, double nearest) implements AreaDiagnostic {}

    /**
     * Shells are stretched or shortened at their crowns, so that rows come out even.
     *
     * @param perRow shells to a row
     * @param by how much each is wider; below 0 if it is narrower
     */
    record ShellsEased(double perRow, double by) implements AreaDiagnostic, Diagnostic.Note {
        public ShellsEased {
            perRow = settled(perRow);
            by = settled(by);
        }
    }

    /**
     * Shells would have to be eased by so much that it is seen, and are cut off instead.
     *
     * @param by how much each would be wider; below 0 if it would be narrower
     * @param most that a shell is eased by
     */
    record ShellsNotEased(double by, double most) implements AreaDiagnostic, Diagnostic.Warning {
        public ShellsNotEased {
            by = settled(by);
        }
    }

    /**
     * Shells are drawn from marks.
     *
     * @param apart lines across, and lines up
     */
    record ShellGrid(double apart) implements AreaDiagnostic, Diagnostic.Note {
        public ShellGrid {
            apart = settled(apart);
        }
    }

    /**
     * How corner rays come out.
     *
     * @param petals how many
     * @param upright the caps' width on the far upright side, square to the petals
     * @param level that on the other
     * @param tips from each to the next on the small arc, the least there is
     */
    record Caps(int petals, double upright, double level, double tips) implements AreaDiagnostic, Diagnostic.Note {
        public Caps {
            upright = settled(upright);
            level = settled(level);
            tips = settled(tips);
        }

        /** From cap to cap on the upright side, square to the petals. */
        public double uprightGap() {
            return upright * CornerRaysLayout.GAP;
        }

        /** From cap to cap on the level side, square to the petals. */
        public double levelGap() {
            return level * CornerRaysLayout.GAP;
        }

        /** How much wider they are on one side, either way. */
        public double differ() {
            return Math.abs(upright - level);
        }
    }

    /** Arms are to be turned about a corner, and the piece isn't square or oblong. */
    record NoCorner() implements AreaDiagnostic {}

    /**
     * No hole makes petals in the middle of the circles that go between the larger ones.
     *
     * @param radius of the larger ones' arcs
     */
    record NoSmallerHole(double radius) implements AreaDiagnostic {
        public NoSmallerHole {
            radius = settled(radius);
        }

        /** About as large a hole would do, across. */
        public double about() {
            return radius;
        }
    }

    /**
     * How petals in the middle of the circles come out.
     *
     * @param hole that they are stitched in, across
     * @param length of a petal
     * @param left from its tip to where the grid's lines cross
     */
    record PetalsBetween(double hole, double length, double left) implements AreaDiagnostic, Diagnostic.Note {
        public PetalsBetween {
            hole = settled(hole);
            length = settled(length);
            left = settled(left);
        }
    }

    /**
     * Lines come out even, but not just as far apart as was wished.
     *
     * @param wished from line to line
     * @param apart as they come out
     */
    record SpacedEvenly(double wished, double apart) implements AreaDiagnostic, Diagnostic.Note {
        public SpacedEvenly {
            wished = settled(wished);
            apart = settled(apart);
        }
    }

    /**
     * Fewer sets have room than were asked for.
     *
     * @param asked how many
     * @param room for how many
     */
    record FewerSets(int asked, int room) implements AreaDiagnostic, Diagnostic.Note {}

    /**
     * Something in the way cuts off a part, for which the thread is started anew.
     *
     * @param parts how many there are, 2 or more
     * @param place in one of them
     */
    record CutOff(int parts, Point place) implements AreaDiagnostic, Diagnostic.Warning {
        @Override
        public Optional<Point> where() {
            return Optional.of(place);
        }
    }

    /**
     * More stays unstitched than the batting allows.
     *
     * @param diameter of the largest circle without a stitch
     * @param centre of it
     * @param most that the batting allows
     */
    record Unstitched(double diameter, Point centre, double most) implements AreaDiagnostic, Diagnostic.Warning {
        @Override
        public Optional<Point> where() {
            return Optional.of(centre);
        }
    }
}
