package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.OnCentre;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * One arc a repeat, standing on the valleys with its crown towards the outside edge, stitched along the run; without a break
 * unless a cell is left free.
 */
public final class SingleArcs {

    private final RunFrame frame;
    private final DividedRun divided;
    private final RunDivision division;
    private final Marker marker;
    private final List<Arc> lines = new ArrayList<>();
    private final List<Placement> placements = new ArrayList<>();
    private int arcs;
    private int handOvers;

    private SingleArcs(RunFrame frame, DividedRun divided, Marker marker) {
        this.frame = frame;
        this.divided = divided;
        this.division = divided.division();
        this.marker = marker;
    }

    /**
     * Lays arcs on a run.
     *
     * @param frame of the run
     * @param divided the run's cells and what stands on them
     * @param tape for readings
     * @param endsOnSeams whether seams mark both ends of the run
     * @param unit the run is pieced from, in inches
     */
    public static LaidOut layOut(
            RunFrame frame, DividedRun divided, TapeScale tape, boolean endsOnSeams, OptionalDouble unit) {
        Marker marker = new Marker(frame, divided.division(), tape, endsOnSeams, unit);
        return new SingleArcs(frame, divided, marker).layOut();
    }

    private LaidOut layOut() {
        if (division.onCentre() != OnCentre.VALLEY) {
            marker.centre();
        }
        List<Cell> cells = division.cells();
        boolean halves = cells.get(0).kind() == Cell.Kind.HALF;
        Mark before = halves ? null : marker.valley(0);
        for (int k = 1; k <= cells.size(); k++) {
            Figure figure = divided.figures().get(k - 1);
            boolean last = halves && k == cells.size();
            Mark after = last ? null : marker.valley(k);
            lay(figure, before, after);
            before = after;
        }
        return new LaidOut(List.copyOf(lines), marker.marks(), List.copyOf(placements));
    }

    private void lay(Figure figure, Mark before, Mark after) {
        if (figure instanceof Figure.WholeArc arc) {
            double crownAlong = arc.cell().middle();
            Mark crown = marker.crown(++arcs, crownAlong, arc.fit().segment().height());
            stitch(arc.template(), arc.fit(), crownAlong, 0, 1, before, crown, after);
        } else if (figure instanceof Figure.HalfArc half) {
            double crownAlong =
                    half.fromCrown() ? half.cell().from() : half.cell().to();
            Mark crown = marker.crown(++arcs, crownAlong, half.fit().segment().height());
            if (half.fromCrown()) {
                stitch(half.template(), half.fit(), crownAlong, 0.5, 1, crown, null, after);
            } else {
                stitch(half.template(), half.fit(), crownAlong, 0, 0.5, before, null, crown);
            }
        } else if (figure instanceof Figure.HalvesMeeting meeting) {
            meet(meeting, before, after);
        }
    }

    private void meet(Figure.HalvesMeeting figure, Mark before, Mark after) {
        ArcFit fit = figure.fit();
        double half = fit.segment().chord() / 2;
        double cut = figure.cut();
        Mark meeting = marker.meeting(figure.cell().middle(), figure.height());
        arcs++;
        stitch(figure.template(), fit, figure.cell().from() + half, 0, cut, before, null, meeting);
        arcs++;
        stitch(figure.template(), fit, figure.cell().to() - half, 1 - cut, 1, meeting, null, after);
    }

    /**
     * Stitches a piece of an arc, in as many placements as it takes.
     *
     * @param from where the piece starts, as a part of the whole arc's sweep
     * @param to where it ends
     * @param crown the crown's mark, if a whole arc may be handed over there
     */
    private void stitch(
            ArcTemplate template,
            ArcFit fit,
            double crownAlong,
            double from,
            double to,
            Mark start,
            Mark crown,
            Mark end) {
        Arc whole = arc(crownAlong, fit);
        Arc line = from == 0 && to == 1 ? whole : whole.piece(from, to);
        lines.add(line);
        // A piece of an arc that goes on in one upright placement does so too.
        int parts = fit.parts() == 1
                ? 1
                : (int) Math.max(1, Math.ceil((to - from) * fit.segment().sweep() / template.usableSweep() - 1e-9));
        Mark at = start;
        for (int part = 1; part <= parts; part++) {
            double pieceFrom = from + (to - from) * (part - 1) / parts;
            double pieceTo = from + (to - from) * part / parts;
            Mark next;
            if (part == parts) {
                next = end;
            } else if (crown != null && 2 * part == parts) {
                next = crown;
            } else {
                next = handOver(crownAlong, fit, pieceTo);
            }
            // Upright if it can be; else it turns about the arc's centre, its crown in the middle of what it stitches.
            double fromCrown = fit.parts() == 1
                    ? 0
                    : ((pieceFrom + pieceTo) / 2 - 0.5) * fit.segment().sweep();
            boolean upright = Math.abs(fromCrown) < 1e-9;
            placements.add(new Placement(
                    frame.id().code() + "-arc-" + arcs + (parts > 1 ? "-part-" + part : ""),
                    frame.id(),
                    arcs,
                    part,
                    parts,
                    template.templateId(),
                    template.guideId(),
                    template.edge(),
                    new Pose(whole.centre(), frame.rotation() - (upright ? 0 : fromCrown)),
                    upright ? new Registration.OnSeam(fit.register()) : new Registration.FootOnBothMarks(),
                    at,
                    next,
                    parts == 1 ? line : whole.piece(pieceFrom, pieceTo)));
            at = next;
        }
    }

    private Arc arc(double crownAlong, ArcFit fit) {
        double radius = fit.segment().radius();
        Point centre = frame.place(crownAlong, frame.clearance() + fit.segment().height() - radius);
        double sweep = fit.segment().sweep();
        return new Arc(centre, radius, frame.rotation() + Math.PI / 2 + sweep / 2, -sweep);
    }

    private Mark handOver(double crownAlong, ArcFit fit, double wayAlong) {
        double radius = fit.segment().radius();
        double fromCrown = (wayAlong - 0.5) * fit.segment().sweep();
        return marker.handOver(
                ++handOvers,
                crownAlong + radius * Math.sin(fromCrown),
                frame.clearance() + fit.segment().height() - radius * (1 - Math.cos(fromCrown)));
    }
}
