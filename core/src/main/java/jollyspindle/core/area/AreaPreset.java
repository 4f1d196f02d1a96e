package jollyspindle.core.area;

import jollyspindle.core.quilt.Area;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * A motif to begin with, as a gallery offers it for an area, with numbers that suit its size.
 *
 * @param code lasting, letters and hyphens
 * @param motif with those numbers
 */
public record AreaPreset(String code, AreaMotif motif) {

    private static final double SPACING = 0.5;

    /** About as wide are the squares of overlapping circles, for want of a wish; in inches. */
    private static final double SQUARE = 2;

    /** And those of a peel, which the usual arcs make fuller petals on. */
    private static final double PEEL_SQUARE = 4;

    /** All that make sense in an area: about its centre, or over it. None for an appliqué. */
    public static List<AreaPreset> of(Area area) {
        List<AreaPreset> all = new ArrayList<>();
        if (area instanceof Area.Blocks blocks) {
            blocks(all, blocks.width(), blocks.height());
            centre(all, Math.min(blocks.width(), blocks.height()));
        } else if (area instanceof Area.Medallion medallion) {
            centre(all, medallion.diameter());
            add(all, new AreaMotif.Echoes(3, SPACING, true), "-outside");
            blocks(all, medallion.diameter(), medallion.diameter());
        } else if (area instanceof Area.Body) {
            add(all, new AreaMotif.Crosshatch(1, Math.PI / 4), "");
            add(all, new AreaMotif.Crosshatch(1, Math.PI / 2), "-upright");
            add(all, new AreaMotif.Clamshells(0), "");
            add(all, new AreaMotif.Peel(20, 20), "");
            add(all, new AreaMotif.Circles(12, 12), "");
            add(all, new AreaMotif.StraightFans(8, 8, 6, SPACING), "");
            add(all, new AreaMotif.Echoes(3, SPACING, false), "");
            centre(all, 24);
        }
        return List.copyOf(all);
    }

    private static void blocks(List<AreaPreset> all, double width, double height) {
        add(all, new AreaMotif.Clamshells(0), "");
        add(all, new AreaMotif.Peel(squares(width, PEEL_SQUARE), squares(height, PEEL_SQUARE)), "");
        add(all, new AreaMotif.Circles(squares(width, SQUARE), squares(height, SQUARE)), "");
        add(all, new AreaMotif.Crosshatch(1, Math.PI / 4), "");
        add(all, new AreaMotif.CurvedHatch(1), "");
        add(all, new AreaMotif.Quarters(SPACING / 2, SPACING), "");
        add(
                all,
                new AreaMotif.CornerRays(
                        AreaMotif.Corner.BOTTOM_LEFT, OptionalInt.empty(), tips(Math.min(width, height)), 0.25),
                "");
        add(all, new AreaMotif.Whirl(3, SPACING, 8), "");
        add(all, new AreaMotif.StraightFans(2, 2, 5, SPACING), "");
    }

    private static void centre(List<AreaPreset> all, double wide) {
        double half = wide / 2;
        add(all, new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0), "");
        add(all, new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, SPACING, true, 0), "-crossed");
        add(all, new AreaMotif.Rings(2, SPACING, rings(half), AreaMotif.Spokes.ONE), "");
        add(all, new AreaMotif.Wreath(8, OptionalDouble.empty()), "");
        add(all, new AreaMotif.Petals(8, eighths(half / 8), eighths(half * 0.75)), "");
        add(all, new AreaMotif.Points(8, eighths(half * 0.5), eighths(half * 0.9)), "");
        add(all, new AreaMotif.Echoes(2, SPACING, false), "");
    }

    private static void add(List<AreaPreset> all, AreaMotif motif, String variant) {
        String code = AreaMotifTypes.of(motif).code() + variant;
        if (all.stream().noneMatch(p -> p.code().equals(code))) {
            all.add(new AreaPreset(code, motif));
        }
    }

    private static int squares(double inches, double wide) {
        return (int) Math.max(1, Math.min(AreaMotif.MOST, Math.round(inches / wide)));
    }

    /** The radius of the arc on which the tips of usual petals stand 1/8 apart, 3/4 at least (common practice, no source). */
    private static double tips(double side) {
        double petals = 2 * Math.log(1 + Math.sqrt(2)) * side;
        return Math.max(0.75, eighths(petals * AreaRules.POINT / (Math.PI / 2)));
    }

    /** As many as lie inside, five at most to begin with. */
    private static int rings(double half) {
        return (int) Math.max(1, Math.min(5, Math.floor((half - 1) / SPACING)));
    }

    private static double eighths(double inches) {
        return Math.max(1.0 / 8, Math.rint(inches * 8) / 8);
    }
}
