package jollyspindle.core.motif;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.param.Param;
import jollyspindle.core.placement.StitchLine;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** All there is to know about a kind of motif of corners. Each stands in the file that lays it out; {@link CornerTypes} finds it. */
public abstract class CornerType {

    private final CornerDesign.Kind kind;
    private final List<Param<CornerDesign, ?>> chosen;

    /**
     * A kind of motif of corners.
     *
     * @param chosen what is chosen about it besides its template and what it asks of the runs
     */
    CornerType(CornerDesign.Kind kind, List<Param<CornerDesign, ?>> chosen) {
        this.kind = kind;
        this.chosen = List.copyOf(chosen);
    }

    public CornerDesign.Kind kind() {
        return kind;
    }

    /** Its lasting name. */
    public String code() {
        return kind.code();
    }

    /** What is chosen about it besides its template and what it asks of the runs, in the order of a form. */
    public List<Param<CornerDesign, ?>> chosen() {
        return chosen;
    }

    /** What sort of template it is stitched with. */
    public EdgeKind edge() {
        return EdgeKind.ARC;
    }

    /**
     * How far from the inner corner its feet stand on both seams; so much is taken of the runs.
     *
     * @param radius stitched, in inches
     * @param legs how far the template's edge goes straight on at both ends of a half circle, in inches; 0 if it doesn't
     * @param room from the seam to the limit of stitching, in inches
     * @param repeat about what the runs' repeats will be, in inches
     * @return nothing if it has no feet there, or they can't stand
     */
    OptionalDouble feet(CornerDesign design, double radius, double legs, double room, double repeat) {
        return OptionalDouble.empty();
    }

    /**
     * How far its feet stand out in one corner, which may not be quite square.
     *
     * @param feet as they stand in a square one, in inches
     * @param radius stitched, in inches
     */
    double feetIn(CornerSpace space, double feet, double radius) {
        return feet;
    }

    /** Whether the repeats run on to the mitre and are cut off there. */
    boolean runsOn() {
        return false;
    }

    /** Whether its first line stands astride the mitre, with its crown on it. */
    boolean isAstride(CornerDesign design) {
        return false;
    }

    /**
     * What it encloses of the runs beside it, closed: nothing of theirs goes in there.
     *
     * @param lines that are stitched of it
     */
    Optional<Path> encloses(CornerSpace space, List<StitchLine> lines) {
        return Optional.empty();
    }

    /** Lays it out. */
    abstract void lay(CornerContext corner);
}
