package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.List;
import java.util.Optional;

/** Lays out what closes a corner that the repeats run on into. */
final class DiagonalCutLayout {

    static final CornerType TYPE = new CornerType(CornerDesign.Kind.DIAGONAL_CUT, Params.row(CornerDesign.CLOSING)) {

        @Override
        boolean runsOn() {
            return true;
        }

        @Override
        boolean isAstride(CornerDesign design) {
            return design.closing() == CornerDesign.Closing.ARC
                    || design.closing() == CornerDesign.Closing.ARC_AND_CURVE;
        }

        @Override
        void lay(CornerContext corner) {
            new DiagonalCutLayout(corner).lay();
        }
    };

    /** Enough to halve the deepest border down to less than rounding. */
    private static final int HALVINGS = 50;

    private final CornerContext corner;

    private DiagonalCutLayout(CornerContext corner) {
        this.corner = corner;
    }

    /** The long diamond along the mitre, where nothing of the runs reaches into the corner. */
    private void lay() {
        switch (corner.design.closing()) {
            case DIAMOND -> {
                if (corner.free) {
                    corner.tool().ifPresent(tool -> diamond(tool, corner.space.inner()));
                }
            }
            case ARC -> corner.tool().ifPresent(this::closingArc);
            case ARC_AND_CURVE ->
                corner.tool().ifPresent(tool -> {
                    closingArc(tool);
                    curveInside(tool);
                });
            case NOTHING -> {}
        }
    }

    /**
     * An arc that looks out of the corner, its feet on the lines that go on from both seams: a repeat out, or as far out as
     * it clears the limits of stitching and the template spans.
     */
    private void closingArc(StitchingEdge.Round tool) {
        double repeat = (corner.leftDivision.repeat() + corner.rightDivision.repeat()) / 2;
        double least = 0;
        double most = Math.min(repeat, corner.space.room());
        if (clears(tool, most)) {
            least = most;
        }
        // The further out, the higher it stands; so the place between can be closed in on.
        for (int i = 0; i < HALVINGS && least < most; i++) {
            double middle = (least + most) / 2;
            if (clears(tool, middle)) {
                least = middle;
            } else {
                most = middle;
            }
        }
        if (least < LayoutContext.SHORTEST) {
            corner.tell(new MotifDiagnostic.TooHigh(tool.stitched() - corner.space.room()));
            return;
        }
        corner.outward(tool, least);
    }

    /** Between the closing arc's feet, bulging the other way: with it a long diamond across the mitre. */
    private void curveInside(StitchingEdge.Round tool) {
        Optional<Arc> closing = corner.lines().stream().findFirst().map(line ->
                (Arc) line.path().curves().get(0));
        if (closing.isEmpty()) {
            return;
        }
        Arc arc = closing.get();
        Arc back = ArcsBetween.bulgingTowards(arc.end(), arc.start(), tool.stitched(), corner.space.inner())
                .orElseThrow();
        if (!corner.staysInside(back)) {
            corner.tell(
                    new MotifDiagnostic.TooRound(tool.stitched(), arc.start().distance(arc.end()) / Math.sqrt(2)));
            return;
        }
        corner.sewing.stitch(
                PlacementBuilder.Naming.of(Stitched.CORNER_DIAMOND, 1, 1),
                back,
                tool,
                corner.astride(back),
                LineEnd.at(corner.leftMarker.next(Mark.Kind.FOOT, arc.end(), Mark.Stage.LOADED)),
                LineEnd.at(corner.leftMarker.next(Mark.Kind.FOOT, arc.start(), Mark.Stage.LOADED)),
                PlacementBuilder.Turn.MARKED);
    }

    private boolean clears(StitchingEdge.Round tool, double out) {
        return corner.outward(tool.stitched(), out).filter(corner::staysInside).isPresent();
    }

    /** From a place on the mitre to the outer corner, bulging to both sides. */
    private void diamond(StitchingEdge.Round tool, Point from) {
        Point to = corner.space.outer();
        double length = from.distance(to);
        if (length > 2 * tool.stitched()) {
            corner.tell(new LayoutDiagnostic.TooFar(length, 2 * tool.stitched()));
            return;
        }
        Mark near = corner.leftMarker.at(Mark.Kind.VALLEY, 0, from, Mark.Stage.LOADED);
        Mark far = corner.leftMarker.next(Mark.Kind.TIP, to, Mark.Stage.LOADED);
        Arc out = ArcsBetween.of(from, to, tool.stitched(), true).orElseThrow();
        Arc back = ArcsBetween.of(to, from, tool.stitched(), true).orElseThrow();
        if (!corner.staysInside(out) || !corner.staysInside(back)) {
            // Its points lie in corners of 90°, so its sides may lean 45° from the mitre at most.
            corner.tell(new MotifDiagnostic.TooRound(tool.stitched(), length / Math.sqrt(2)));
            return;
        }
        int side = 0;
        for (Arc arc : List.of(out, back)) {
            side++;
            corner.sewing.stitch(
                    PlacementBuilder.Naming.of(Stitched.CORNER_DIAMOND, 1, side),
                    arc,
                    tool,
                    new Registration.FootOnBothMarks(),
                    LineEnd.at(side == 1 ? near : far),
                    LineEnd.at(side == 1 ? far : near),
                    PlacementBuilder.Turn.MARKED);
        }
    }
}
