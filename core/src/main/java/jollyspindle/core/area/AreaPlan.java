package jollyspindle.core.area;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.route.Travel;

import java.util.List;
import java.util.Optional;

/**
 * What to do in an area.
 *
 * @param id of it
 * @param pieces its blocks; one for a medallion or the body
 * @param lines what is stitched, in order
 * @param marks in the area
 * @param placements in the order in which they are stitched
 * @param travels of the needle from line to line without a new start
 * @param turnings the rays that templates are laid on, of each letter that has any
 * @param sums what comes of each letter
 * @param diagnosed what there is to know, each once
 */
public record AreaPlan(
        AreaId id,
        List<Piece> pieces,
        List<StitchLine> lines,
        List<Mark> marks,
        List<Placement> placements,
        List<Travel> travels,
        List<Turning> turnings,
        List<Sum> sums,
        List<Diagnosed> diagnosed) {

    /**
     * A piece of cloth.
     *
     * @param number from 1, row by row from the top left
     * @param column from 0 at the left
     * @param row from 0 at the top
     * @param letter under which it is stitched; {@link AreaDesign#PLAIN} if it isn't
     * @param cloth what may be stitched of it, and its centre
     */
    public record Piece(int number, int column, int row, char letter, Cloth cloth) {}

    /**
     * What templates are turned to about the centre of each of a letter's pieces, which are all alike.
     *
     * @param letter of them
     * @param rays in the first of them, 1 or more
     * @param stepping how those are stepped off that are neither usual nor halved, if there are any
     */
    public record Turning(char letter, List<Ray> rays, Optional<Stepping> stepping) {
        public Turning {
            rays = List.copyOf(rays);
        }
    }

    /**
     * How rays are stepped off.
     *
     * @param radius of a circle about the centre, in inches
     * @param chord from ray to ray on it, in inches
     */
    public record Stepping(double radius, double chord) {}

    /**
     * Cloth to stitch on.
     *
     * @param seam round it, in the quilt's frame
     * @param outline of what may be stitched of it: the seam, or as far inside it as is kept clear
     * @param centre in the quilt's frame
     * @param seams that can be felt and seen before the first stitch: round it, in it, and round appliqués
     * @param keptClear edges of what is kept clear, inside its seam and round appliqués
     * @param drawn on it before the first stitch
     */
    public record Cloth(
            Path seam, Path outline, Point centre, List<Path> seams, List<Path> keptClear, List<Path> drawn) {
        public Cloth {
            seams = List.copyOf(seams);
            keptClear = List.copyOf(keptClear);
            drawn = List.copyOf(drawn);
        }
    }

    /**
     * What comes of a letter.
     *
     * @param blocks that have it
     * @param lines in all of them
     * @param placements in all of them
     * @param starts of the thread
     * @param stitched length of all lines, as often as each is stitched over, in inches
     * @param travelled by the needle besides, in inches
     */
    public record Sum(
            char letter, int blocks, int lines, int placements, int starts, double stitched, double travelled) {

        /** The same with one start less, for so much travel more, in inches. */
        Sum joined(double by) {
            return new Sum(letter, blocks, lines, placements, starts - 1, stitched, travelled + by);
        }
    }

    /**
     * What there is to know about one motif.
     *
     * @param letter under which it is stitched
     * @param layer which, from 1; 0 for all of them together
     */
    public record Diagnosed(char letter, int layer, Diagnostic what) {}

    public AreaPlan {
        pieces = List.copyOf(pieces);
        lines = List.copyOf(lines);
        marks = List.copyOf(marks);
        placements = List.copyOf(placements);
        travels = List.copyOf(travels);
        turnings = List.copyOf(turnings);
        sums = List.copyOf(sums);
        diagnosed = List.copyOf(diagnosed);
    }

    /** The name of a piece by its number. */
    public PieceId cloth(int piece) {
        return new PieceId(id, pieces.size() == 1 ? 0 : piece);
    }

    /** How often the needle begins anew. */
    public int starts() {
        return sums.stream().mapToInt(Sum::starts).sum();
    }

    /** How far the needle travels from line to line, in inches. */
    public double travelled() {
        return sums.stream().mapToDouble(Sum::travelled).sum();
    }

    /** What templates are turned to in the pieces with a letter. */
    public Optional<Turning> turning(char letter) {
        return turnings.stream().filter(t -> t.letter() == letter).findFirst();
    }

    /** The rays in the pieces with a letter. */
    public List<Ray> rays(char letter) {
        return turning(letter).map(Turning::rays).orElse(List.of());
    }

    /**
     * The ray that a placement's template is laid on, or that leads to where it begins, ends or turns.
     *
     * @param piece that it lies in
     */
    public Optional<Ray> ray(Placement placement, Piece piece) {
        return placement
                .marks()
                .map(m -> m.place().minus(piece.cloth().centre()))
                .filter(p -> p.dot(p) > Tolerances.ROUNDING)
                .flatMap(p -> rays(piece.letter()).stream().filter(r -> r.leadsTo(p)))
                .findFirst();
    }
}
