package jollyspindle.files;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/** A job with everything a job can hold. */
public final class Rich {

    private Rich() {}

    /** Three borders, two strips, areas, wishes, ties and every school. */
    public static QuiltJob job() {
        Quilt quilt = DemoJob.heronWeir().quilt();
        quilt = quilt.withBorder(1, quilt.border(1).withUnit(OptionalDouble.of(4.5)))
                .withBorderOutside(new Border(Corners.CORNERSTONES, true, OptionalDouble.empty()))
                .withBorderOutside(new Border(Corners.SIDES_THROUGH, false, OptionalDouble.empty()))
                .with(new Quilt.Easings(Easing.MEAN, Easing.TO_SHORTER))
                .with(Dimension.seam(3, Side.LEFT), 104.5)
                .with(Dimension.clearance(3), 0.25)
                .with(Dimension.RESERVE, 0.75)
                .withStrips(List.of(
                        new Strip("Sash", Strip.Kind.SASHING, new Point(-30, 0), 0, 60, 2, OptionalDouble.of(3)),
                        new Strip(
                                "Slope",
                                Strip.Kind.FREE,
                                new Point(-3, 1),
                                Math.toRadians(30),
                                40,
                                3,
                                OptionalDouble.empty())))
                .withAreas(List.of(new Area.Blocks(4, 5, 12, 12.5, 2), new Area.Medallion(20)));
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.depth(2, side), 2).with(Dimension.depth(3, side), 6.5);
        }
        Wish wish = Wish.about(6.5)
                .with(Wish.ACROSS, OptionalInt.of(11))
                .with(Wish.DOWN, OptionalInt.of(13))
                .with(Wish.PARITY, Wish.Parity.ODD)
                .withRange(OptionalDouble.of(5), OptionalDouble.of(8))
                .with(Wish.SCHOOL, Optional.of(SchoolKind.HALF_STEPS))
                .with(Wish.INCREMENT, 0.5);
        QuiltJob job = DemoJob.heronWeir()
                .withQuilt(quilt)
                .with(new Judging(0.25, 0.1, 0.2, 0.01, 8, true, 2, 3, 4, 5, 8, 0.1, 0.05, 6))
                .editing(GroupId.border(3), l -> l.with(wish).with(Optional.of(new Tie(3, 1, Tie.Ratio.DOUBLE))));
        Map<RunId, School> schools = Map.of(
                RunId.of(Side.TOP), new CornersIn(6, 4, new Filling.LargerArc("mill-bridge", "bulging")),
                RunId.of(Side.RIGHT), new CornersIn(6, 5, new Filling.TwoHalfArcs()),
                RunId.of(Side.BOTTOM), new Fudged(7, 10, new Spread.Chosen(Set.of(3, 5))),
                RunId.of(Side.LEFT), new ByHand(12, Map.of(3, 20.5, 7, 50.0)),
                RunId.of(3, Side.TOP), new CentreOut(7, 9, EndUse.SHORT_ARC),
                RunId.of(3, Side.RIGHT), new ByPiecing(4.5, 3, 2),
                RunId.of(3, Side.BOTTOM), new ByIncrements(1, 6),
                RunId.of(3, Side.LEFT), new Fudged(7, 14, new Spread.RoundCentre(4)),
                RunId.strip(1), new Fudged(6, 10, new Spread.All()),
                RunId.strip(2), new CornersIn(6, 2, new Filling.Plain()));
        return job.choosing(schools);
    }
}
