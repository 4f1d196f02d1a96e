package jollyspindle.core.shelf;

import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.form.SizeLabel;

import java.util.stream.Stream;

/**
 * What size would do what is wanted, where no template does.
 *
 * @param foot from the needle to the outside of the foot, in inches
 */
record MissingSize(double foot) implements Find.Wanted.Visitor<Find.Missing> {

    @Override
    public Find.Missing span(Find.Wanted.Span wanted) {
        double half = wanted.span() / 2;
        if (wanted.rise().isPresent()) {
            double rise = Math.min(Math.min(wanted.rise().get(), wanted.room()), half);
            double radius =
                    CircularSegment.ofChordAndHeight(wanted.span(), rise).radius();
            return new Find.Missing.StitchedRadius(radius, radius);
        }
        double least = wanted.room() >= half
                ? half
                : CircularSegment.ofChordAndHeight(wanted.span(), wanted.room()).radius();
        return new Find.Missing.StitchedRadius(least, Double.POSITIVE_INFINITY);
    }

    @Override
    public Find.Missing circle(Find.Wanted.Circle wanted) {
        return diameter(wanted.diameter());
    }

    @Override
    public Find.Missing rings(Find.Wanted.Rings wanted) {
        int count = wanted.possible();
        return count < 2
                ? diameter(wanted.largest())
                : new Find.Missing.Set(
                        wanted.largest() - (count - 1) * 2 * wanted.gap(), 2 * wanted.gap(), wanted.largest());
    }

    @Override
    public Find.Missing fan(Find.Wanted.Fan wanted) {
        return new Find.Missing.FanRadius(wanted.depth() - wanted.reserve());
    }

    @Override
    public Find.Missing block(Find.Wanted.Block wanted) {
        double side = wanted.side();
        double shells = Stream.of(1.0, 1.5, 2.0, 3.0, 0.75)
                .filter(w -> Math.abs(2 * side / w - Math.rint(2 * side / w)) < Tolerances.ROUNDING)
                .findFirst()
                .orElse(side / Math.max(1, Math.rint(side / 1.5)));
        return new Find.Missing.ForBlock(shells, side / Math.sqrt(2));
    }

    @Override
    public Find.Missing strip(Find.Wanted.Strip wanted) {
        return new Find.Missing.Height(wanted.width());
    }

    private Find.Missing diameter(double diameter) {
        SizeLabel label = SizeLabel.DIAMETER_AS_CUT;
        return new Find.Missing.StitchedDiameter(
                diameter,
                label.sizeThatStitches(diameter / 2, ArcEdge.CONCAVE, foot),
                label.sizeThatStitches(diameter / 2, ArcEdge.CONVEX, foot));
    }
}
