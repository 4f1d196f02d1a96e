package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/** Lays out one arc astride the mitre, its feet on both seams. */
final class MitreArcLayout {

    static final CornerType TYPE = new CornerType(CornerDesign.Kind.MITRE_ARC, Params.row(CornerDesign.FEET)) {

        @Override
        OptionalDouble feet(CornerDesign design, double radius, double legs, double room, double repeat) {
            return isArch(design, radius, legs, room)
                    ? OptionalDouble.of(radius * Math.sqrt(2))
                    : feetOf(design, radius, room, repeat);
        }

        @Override
        double feetIn(CornerSpace space, double feet, double radius) {
            // The legs of an arch stand as far apart as it is wide, whatever the corner's angle.
            double chord = space.leftFoot(feet).distance(space.rightFoot(feet));
            return Math.abs(feet - radius * Math.sqrt(2)) < Tolerances.ROUNDING ? feet * 2 * radius / chord : feet;
        }

        @Override
        boolean isAstride(CornerDesign design) {
            return true;
        }

        @Override
        Optional<Path> encloses(CornerSpace space, List<StitchLine> lines) {
            return lines.stream()
                    .findFirst()
                    .map(arc -> new Path(Stream.concat(
                                    arc.path().curves().stream(),
                                    Stream.of(
                                            new Segment(arc.path().end(), space.inner()),
                                            new Segment(
                                                    space.inner(), arc.path().start())))
                            .toList()));
        }

        @Override
        void lay(CornerContext corner) {
            corner.tool().ifPresent(tool -> new MitreArcLayout(corner).lay(tool));
        }
    };

    /** So far from the foot one looks whether two arcs run along each other, in inches. */
    private static final double LOOKED_AT = 1.0 / 2;

    /** Nearer than this they do, in inches (common practice, no source). */
    private static final double NARROW = 1.0 / 8;

    private static final double FEET_STEP = 1.0 / 8;

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

    /**
     * Whether an arch can do it in one hold: a half circle of radius R whose straight legs go on to both seams, its feet R√2 from the
     * inner corner. With legs λ long its centre lies λ − R beyond the corner along the mitre (derived).
     */
    private static boolean isArch(CornerDesign design, double radius, double legs, double room) {
        return design.feet().isEmpty() && legs >= radius - Tolerances.ROUNDING && room >= radius;
    }

    /** An arch, as far out as its legs and the room allow, held by its centre on a mark. */
    private void arch(StitchingEdge.Round tool, Point first, Point second) {
        double radius = tool.stitched();
        double out = Math.min(corner.legs(), (corner.space.room() - radius) * Math.sqrt(2) + radius);
        Point way = second.minus(first).unit().turnedLeft();
        Point centre = first.midpoint(second).plus(way.times(out));
        Point from = first.plus(way.times(out));
        Point to = second.plus(way.times(out));
        Arc half = new Arc(centre, radius, from.minus(centre).angle(), -Math.PI);
        told(centre, radius);
        // At home the crown points up.
        Pose pose = new Pose(centre, way.angle() - tool.middle());
        StitchingEdge lying = new StitchingEdge.Lying(tool.id(), tool.name(), pose);
        Registration laid = new Registration.CentreOnMark(
                corner.leftMarker.next(Mark.Kind.MIDDLE, centre, Mark.Stage.LOADED), false);
        LineEnd end = LineEnd.at(corner.leftMarker.at(Mark.Kind.FOOT, 1, second, Mark.Stage.LOADED));
        corner.sewing.stitch(
                PlacementBuilder.Naming.of(Stitched.CORNER_ARC, 1),
                List.of(
                        new PlacementBuilder.Piece(
                                new Segment(first, from), lying, laid, LineEnd.at(from, LineEnd.ShownBy.NEEDLE)),
                        new PlacementBuilder.Piece(half, lying, laid, LineEnd.at(to, LineEnd.ShownBy.NEEDLE)),
                        new PlacementBuilder.Piece(new Segment(to, second), lying, laid, end)),
                LineEnd.at(corner.rightMarker.at(Mark.Kind.FOOT, 2, first, Mark.Stage.LOADED)),
                PlacementBuilder.Turn.MARKED);
    }

    /** Tells if a circle round a centre passes the limits of stitching. */
    private void told(Point centre, double radius) {
        double over = Math.max(
                corner.space.beyond(centre.plus(corner.space.left().outward().times(radius))),
                corner.space.beyond(centre.plus(corner.space.right().outward().times(radius))));
        // Feet are reckoned for square corners; in one that is a little out, a chalk line's width is nothing to tell.
        if (over > Tolerances.CHALK) {
            corner.tell(new MotifDiagnostic.TooHigh(over));
        }
    }

    /** The gap between the arc and the first arc of the run, half an inch from the foot they share; nothing if there is none. */
    private OptionalDouble gap(double d, double radius) {
        OptionalDouble width = corner.leftDivision.cells().stream()
                .filter(c -> c.kind() == Cell.Kind.REPEAT)
                .mapToDouble(Cell::width)
                .findFirst();
        if (corner.arcs.isEmpty() || width.isEmpty() || width.getAsDouble() > 2 * corner.arcs.getAsDouble()) {
            return OptionalDouble.empty();
        }
        // Seen from the foot, along the seam and outward; the corner lies before it.
        double run = corner.arcs.getAsDouble();
        double half = width.getAsDouble() / 2;
        Point runs = new Point(half, -Math.sqrt(run * run - half * half));
        double k = (Math.sqrt(Math.max(0, 2 * radius * radius - d * d)) - d) / 2;
        Point mitre = new Point(-d - k, k);
        Point toFoot = mitre.times(-1);
        Point there = mitre.plus(toFoot.turned(LOOKED_AT / radius));
        return OptionalDouble.of(Math.abs(there.distance(runs) - run));
    }

    /** Feet that keep the arc off the run's first one, next to those it has; nothing if none do. */
    private OptionalDouble clear(double d, double radius) {
        double tick = Math.rint(d / FEET_STEP) * FEET_STEP;
        for (double by = 0; by <= d; by += FEET_STEP) {
            for (double feet : new double[] {tick - by, tick + by}) {
                double k = (Math.sqrt(Math.max(0, 2 * radius * radius - feet * feet)) - feet) / 2;
                boolean goes = feet > FEET_STEP
                        && feet <= Math.min(corner.mostFeet, radius * Math.sqrt(2))
                        && k + radius <= corner.space.room() + Tolerances.ROUNDING;
                if (goes && gap(feet, radius).orElse(0) >= NARROW) {
                    return OptionalDouble.of(feet);
                }
            }
        }
        return OptionalDouble.empty();
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
        if (isArch(corner.design, radius, corner.legs(), corner.space.room())
                && Math.abs(half - radius) < Tolerances.SAME_PLACE) {
            arch(tool, first, second);
            return;
        }
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
        told(centre, radius);
        OptionalDouble gap = gap(d, radius);
        if (gap.isPresent() && gap.getAsDouble() < NARROW) {
            corner.tell(new MotifDiagnostic.RunsAlong(gap.getAsDouble(), clear(d, radius)));
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
