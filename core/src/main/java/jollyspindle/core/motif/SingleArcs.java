package jollyspindle.core.motif;

import jollyspindle.core.division.EvenDivision;
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
import java.util.Locale;

/**
 * One arc a repeat, standing on the valleys with its crown towards the outside edge, stitched along the run without a
 * break.
 *
 * @param template all arcs are stitched with
 * @param clearance from the seam to the arcs' feet, in inches
 */
public record SingleArcs(ArcTemplate template, double clearance) {

    /**
     * Lays the arcs on a run.
     *
     * @param frame of the run
     * @param division of the run
     * @param fit of the template to one repeat of this division
     * @param tape for readings
     * @param endsOnSeams whether seams mark both ends of the run
     */
    public LaidOut layOut(RunFrame frame, EvenDivision division, ArcFit fit, TapeScale tape, boolean endsOnSeams) {
        Marker marker = new Marker(frame, division, tape, clearance, endsOnSeams);
        List<Arc> lines = new ArrayList<>();
        List<Placement> placements = new ArrayList<>();
        if (!division.valleyOnCentre()) {
            marker.centre();
        }
        int handOvers = 0;
        Mark valley = marker.valley(0);
        for (int k = 1; k <= division.count(); k++) {
            Mark next = marker.valley(k);
            Mark crown = marker.crown(k, fit.segment().height());
            Arc line = arc(frame, division.crown(k), fit);
            lines.add(line);
            Mark start = valley;
            for (int part = 1; part <= fit.parts(); part++) {
                Mark end;
                if (part == fit.parts()) {
                    end = next;
                } else if (2 * part == fit.parts()) {
                    end = crown;
                } else {
                    end = handOver(marker, ++handOvers, division.crown(k), fit, (double) part / fit.parts());
                }
                placements.add(placement(frame, k, part, fit, line, start, end));
                start = end;
            }
            valley = next;
        }
        return new LaidOut(List.copyOf(lines), marker.marks(), List.copyOf(placements));
    }

    private Arc arc(RunFrame frame, double crownAlong, ArcFit fit) {
        double radius = fit.segment().radius();
        Point centre = frame.place(crownAlong, clearance + fit.segment().height() - radius);
        double sweep = fit.segment().sweep();
        return new Arc(centre, radius, frame.rotation() + Math.PI / 2 + sweep / 2, -sweep);
    }

    private Mark handOver(Marker marker, int number, double crownAlong, ArcFit fit, double wayAlong) {
        double radius = fit.segment().radius();
        double fromCrown = (wayAlong - 0.5) * fit.segment().sweep();
        return marker.handOver(
                number,
                crownAlong + radius * Math.sin(fromCrown),
                clearance + fit.segment().height() - radius * (1 - Math.cos(fromCrown)));
    }

    private Placement placement(RunFrame frame, int repeat, int part, ArcFit fit, Arc line, Mark start, Mark end) {
        int parts = fit.parts();
        // The template turns about the arc's centre, so that its crown is in the middle of the piece it stitches.
        double fromCrown = ((part - 0.5) / parts - 0.5) * fit.segment().sweep();
        boolean upright = 2 * part == parts + 1;
        String id =
                frame.side().name().toLowerCase(Locale.ROOT) + "-arc-" + repeat + (parts > 1 ? "-part-" + part : "");
        return new Placement(
                id,
                frame.side(),
                repeat,
                part,
                parts,
                template.templateId(),
                template.edge(),
                new Pose(line.centre(), frame.rotation() - fromCrown),
                upright ? new Registration.OnSeam(fit.register()) : new Registration.FootOnBothMarks(),
                start,
                end,
                line.piece((part - 1.0) / parts, (double) part / parts));
    }
}
