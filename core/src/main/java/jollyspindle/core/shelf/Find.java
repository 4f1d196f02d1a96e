package jollyspindle.core.shelf;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.form.Guide;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which templates do what is wanted.
 *
 * @param wanted what was asked for
 * @param matches those on the shelf that do it, the best first
 * @param missing what size would do it, if none does
 */
public record Find(Wanted wanted, List<Match> matches, Optional<Missing> missing) {

    /** What a template is wanted for. Inches, over 0. */
    public sealed interface Wanted {

        /** Does what is to be done for its kind. */
        <R> R accept(Visitor<R> visitor);

        /**
         * What is done for each kind.
         *
         * @param <R> what comes of it
         */
        interface Visitor<R> {

            R span(Span wanted);

            R circle(Circle wanted);

            R rings(Rings wanted);

            R fan(Fan wanted);

            R block(Block wanted);

            R strip(Strip wanted);
        }

        /**
         * An arc over a span.
         *
         * @param room from the arc's feet to where nothing may be stitched
         * @param rise how high it should rise, if that matters
         */
        record Span(double span, double room, Optional<Double> rise) implements Wanted {

            @Override
            public <R> R accept(Visitor<R> visitor) {
                return visitor.span(this);
            }
        }

        /** A stitched circle. */
        record Circle(double diameter) implements Wanted {

            @Override
            public <R> R accept(Visitor<R> visitor) {
                return visitor.circle(this);
            }
        }

        /**
         * Rings about one centre.
         *
         * @param gap from each to the next
         * @param largest diameter of the outermost
         */
        record Rings(double gap, double largest) implements Wanted {

            @Override
            public <R> R accept(Visitor<R> visitor) {
                return visitor.rings(this);
            }

            /** How many such rings there can be. */
            int possible() {
                return (int) Math.floor(largest / 2 / gap + Tolerances.ROUNDING);
            }
        }

        /**
         * Fans upright on a run.
         *
         * @param depth of the border
         * @param reserve along its outer edge, 0 or more
         */
        record Fan(double depth, double reserve) implements Wanted {

            @Override
            public <R> R accept(Visitor<R> visitor) {
                return visitor.fan(this);
            }
        }

        /** A square block, to be filled from its centre or in rows. */
        record Block(double side) implements Wanted {

            @Override
            public <R> R accept(Visitor<R> visitor) {
                return visitor.block(this);
            }
        }

        /** A strip, to be stitched along its length. */
        record Strip(double width) implements Wanted {

            @Override
            public <R> R accept(Visitor<R> visitor) {
                return visitor.strip(this);
            }
        }
    }

    /**
     * A template that does it.
     *
     * @param template that is meant
     * @param guide edge of it
     * @param off how far what it stitches is from what is wanted, in inches; at least 0
     * @param penalty by which matches are ordered; less is better
     * @param changes what to do or to put up with
     */
    public record Match(Template template, Guide guide, double off, double penalty, List<Change> changes) {

        /** The same with something more to put up with. */
        Match with(Change other) {
            return new Match(
                    template,
                    guide,
                    off,
                    penalty,
                    Stream.concat(changes.stream(), Stream.of(other)).toList());
        }
    }

    /** What a match comes with. Inches and radians. */
    public sealed interface Change {

        /** An arc over the wanted span rises so high. */
        record Rises(double rise, double roomLeft) implements Change {}

        /** It has so little room; negative room. */
        record OverRoom(double by) implements Change {}

        /** What lies on the seam. */
        record OnSeam(SeamRegister register) implements Change {}

        /** The template is placed so many times for one figure. */
        record Placements(int count) implements Change {}

        /** It stitches this diameter instead. */
        record Diameter(double diameter) implements Change {}

        /** Rings of these diameters, and which of the wanted ones aren't among them. */
        record Rings(List<Double> diameters, List<Double> lacking, double gap) implements Change {

            /** Whether any are missing. */
            public boolean lacks() {
                return !lacking.isEmpty();
            }
        }

        /** The template's thickness doesn't go with the machine's foot. */
        record Caution(double thickness, boolean thin, Machine.FootType foot) implements Change {}

        /** Together with another template. */
        record With(Template other) implements Change {}

        /** So many arcs of a fan fit, the outermost of this radius, and so much is left. */
        record FanArcs(int count, double outer, double left, int swivels) implements Change {}

        /** An arm reaches so far beyond the corners, or falls short if negative. */
        record ReachBeyond(double inches) implements Change {}

        /** Shells a row, rows, and what is left at the top, or what the last of them is squeezed into. */
        record ShellRows(double perRow, int rows, double rise, double left, boolean squeezed) implements Change {}

        /**
         * Rows of shells across a strip, however long it is.
         *
         * @param left what whole rows leave, in inches, or what the last is squeezed into
         */
        record ShellsAcross(int rows, double rise, double left, boolean squeezed) implements Change {}

        /** Repeats of this size, so many to the width. */
        record Repeats(int count, double each, double stretch) implements Change {}

        /** A strip's figure is this much lower than the width; half of it is left on either side. */
        record LeftBeside(double inches) implements Change {}
    }

    /** What size would do it. Inches. */
    public sealed interface Missing {

        /**
         * An arc that stitches a radius between these.
         *
         * @param most infinite if flatter ones do as well
         */
        record StitchedRadius(double least, double most) implements Missing {}

        /** A circle that stitches this diameter: cut as a hole, or as a disc so wide (not over 0 if there is none). */
        record StitchedDiameter(double diameter, double hole, double disc) implements Missing {}

        /** A set of circles with this first diameter, and then in steps up to the largest. */
        record Set(double first, double step, double largest) implements Missing {

            /** The second, in inches. */
            public double second() {
                return first + step;
            }

            /** Whether there are more than two. */
            public boolean more() {
                return largest > first + 1.5 * step;
            }
        }

        /** A fan with a spacing of arcs no more than this. */
        record FanRadius(double atMost) implements Missing {}

        /** Shells of a width, or an arm of at least this reach. */
        record ForBlock(double shells, double reach) implements Missing {}

        /** A strip of this height, or a circle of this diameter. */
        record Height(double height) implements Missing {}
    }
}
