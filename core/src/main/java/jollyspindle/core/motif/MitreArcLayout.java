package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Lays out one arc astride the mitre, its feet on both seams. */
final class MitreArcLayout {

    static final CornerType TYPE = new CornerType(CornerDesign.Kind.MITRE_ARC, Params.row(CornerDesign.FEET)) {

        @Override
        OptionalDouble feet(CornerDesign design, double radius, double room, double repeat) {
            return feetOf(design, radius, room, repeat);
        }

        @Override
        boolean isAstride(CornerDesign design) {
            return true;
        }

        @Override
        Optional<Path> encloses(CornerSpace space, List<StitchLine> lines) {
            return lines.stream()
                    .findFirst()
                    .map(arc -> new Path(List.of(
                            arc.path().curves().get(0),
                            new Segment(arc.path().end(), space.inner()),
                            new Segment(space.inner(), arc.path().start()))));
        }

        @Override
        void lay(CornerContext corner) {
            corner.tool().ifPresent(tool -> new MitreArcLayout(corner).lay(tool));
        }
    };

    private final CornerContext corner;

    private MitreArcLayout(CornerContext corner) {
        this.corner = corner;
    }

    /**
     * How far a mitre arc's feet stand from the inner corner.
     *
     * <p>With the feet at d on both seams of a right-angled corner and a stitched radius R, the centre lies k out along both
     * borders, (k + d)² + k² = R², and the crown clears the limit of stitching if k + R is no more than the room. While none
     * are chosen, the feet stand half a repeat away, as a valley would; or further, if the crown wouldn't clear so.
     *
     * @param radius stitched, in inches
     * @param room from the seam to the limit of stitching, in inches
     * @param repeat about what the runs' repeats will be, in inches
     * @return nothing if no arc of that radius goes round the corner and clears
     */
    private static OptionalDouble feetOf(CornerDesign design, double radius, double room, double repeat) {
        if (design.feet().isPresent()) {
            return design.feet();
        }
        // A small arc's feet can't stand further out than it is round the corner.
        double half = Math.min(repeat / 2, radius);
        double k = (Math.sqrt(Math.max(0, 2 * radius * radius - half * half)) - half) / 2;
        if (k + radius <= room + Tolerances.ROUNDING) {
            return OptionalDouble.of(half);
        }
        double most = room - radius;
        double square = radius * radius - most * most;
        double feet = square < 0 ? -1 : Math.sqrt(square) - most;
        return feet > 0 ? OptionalDouble.of(feet) : OptionalDouble.empty();
    }

    private void lay(StitchingEdge.Round tool) {
        double radius = tool.stitched();
        if (corner.feet.isEmpty() && corner.design.feet().isPresent()) {
            corner.tell(new MotifDiagnostic.FeetTooFar(corner.design.feet().getAsDouble(), corner.mostFeet));
            return;
        }
        if (corner.feet.isEmpty()) {
            corner.tell(new MotifDiagnostic.TooHigh(2 * radius - corner.space.room()));
            return;
        }
        double d = corner.feet.getAsDouble();
        // Reckoned back from the run's own end, so that the foot is the run's last valley whatever the tape said.
        Point first = corner.space
                .right()
                .place(
                        corner.space.right().length() - corner.space.takesOfRight(d),
                        corner.space.right().clearance());
        Point second = corner.space.leftFoot(d);
        double half = first.distance(second) / 2;
        if (half > radius) {
            corner.tell(new LayoutDiagnostic.TooFar(2 * half, 2 * radius));
            return;
        }
        // The centre lies beyond the chord, on the line that halves the corner, so the arc goes the long way round.
        Point out = second.minus(first).unit().turnedLeft();
        Point centre = first.midpoint(second).plus(out.times(Math.sqrt(radius * radius - half * half)));
        double start = first.minus(centre).angle();
        double end = second.minus(centre).angle();
        double sweep = start - end;
        sweep -= 2 * Math.PI * Math.floor(sweep / (2 * Math.PI));
        Arc line = new Arc(centre, radius, start, -sweep);
        double over = Math.max(
                corner.space.beyond(centre.plus(corner.space.left().outward().times(radius))),
                corner.space.beyond(centre.plus(corner.space.right().outward().times(radius))));
        // Feet are reckoned for square corners; in one that is a little out, a chalk line's width is nothing to tell.
        if (over > Tolerances.CHALK) {
            corner.tell(new MotifDiagnostic.TooHigh(over));
        }
        Mark from = corner.rightMarker.at(Mark.Kind.FOOT, 2, first, Mark.Stage.LOADED);
        Mark to = corner.leftMarker.at(Mark.Kind.FOOT, 1, second, Mark.Stage.LOADED);
        corner.sewing.stitch(
                PlacementBuilder.Naming.of(Stitched.CORNER_ARC, 1),
                line,
                tool,
                corner.astride(line),
                LineEnd.at(from),
                LineEnd.at(to),
                PlacementBuilder.Turn.MARKED);
    }
}
