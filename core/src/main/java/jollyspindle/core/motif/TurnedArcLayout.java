package jollyspindle.core.motif;

import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.List;

/** Lays out the run's arc once more, turned to look out of the corner. */
final class TurnedArcLayout {

    static final CornerType TYPE = new CornerType(CornerDesign.Kind.TURNED, List.of()) {

        @Override
        boolean isAstride(CornerDesign design) {
            return true;
        }

        @Override
        void lay(CornerContext corner) {
            corner.tool().ifPresent(tool -> new TurnedArcLayout(corner).lay(tool));
        }
    };

    private final CornerContext corner;

    private TurnedArcLayout(CornerContext corner) {
        this.corner = corner;
    }

    private void lay(StitchingEdge.Round tool) {
        double radius = tool.stitched();
        double chord = (corner.leftDivision.repeat() + corner.rightDivision.repeat()) / 2;
        if (chord > 2 * radius) {
            corner.tell(new LayoutDiagnostic.TooFar(chord, 2 * radius));
            return;
        }
        // The feet stand on the lines that go on from both seams, as far out on one as on the other.
        corner.outward(
                tool,
                chord / corner.space.towards().distance(corner.space.away().times(-1)));
    }
}
