package jollyspindle.core.area;

import jollyspindle.core.quilt.Area;
import jollyspindle.core.sewing.Reckoning;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ScallopRow;

import java.util.List;

/**
 * About how many lines a design makes in an area, reckoned without laying it out, so that far too many are refused where they
 * are asked for. It says rather fewer than there will be: what needs a template that isn't there, and what lies in the way of
 * it, is for the plan to tell.
 */
public final class AreaReckoning {

    private final List<Template> templates;

    private AreaReckoning(List<Template> templates) {
        this.templates = templates;
    }

    /**
     * About how many lines there will be.
     *
     * @param width of the whole body, in inches
     * @param height of the whole body, in inches
     * @param templates that the job has
     */
    public static double lines(Area area, AreaDesign design, double width, double height, List<Template> templates) {
        AreaReckoning reckoning = new AreaReckoning(templates);
        if (area instanceof Area.Blocks blocks) {
            return reckoning.lines(blocks, design);
        }
        if (area instanceof Area.Medallion medallion) {
            // What fits into it whatever its shape.
            double within = medallion.diameter() / Math.sqrt(2) - 2 * medallion.clearance();
            return reckoning.lines(design.part('A'), within, within);
        }
        if (area instanceof Area.Body) {
            return reckoning.lines(design.part('A'), width - 2 * area.clearance(), height - 2 * area.clearance());
        }
        return 0;
    }

    private double lines(Area.Blocks blocks, AreaDesign design) {
        double wide = blocks.width() - 2 * blocks.clearance();
        double high = blocks.height() - 2 * blocks.clearance();
        if (design.letters().isEmpty()) {
            return blocks.count() * lines(design.part('A'), wide, high);
        }
        int[] pieces = new int[AreaDesign.MOST_PARTS];
        for (int row = 0; row < blocks.rows(); row++) {
            for (int column = 0; column < blocks.columns(); column++) {
                int letter = design.letter(column, row) - 'A';
                if (letter >= 0) {
                    pieces[letter]++;
                }
            }
        }
        double all = 0;
        for (int letter = 0; letter < design.parts().size(); letter++) {
            all += pieces[letter] * lines(design.part((char) ('A' + letter)), wide, high);
        }
        return all;
    }

    private double lines(AreaDesign.Part part, double width, double height) {
        if (width <= 0 || height <= 0) {
            return 0;
        }
        return part.layers().stream()
                .mapToDouble(layer -> lines(layer, width, height))
                .sum();
    }

    private double lines(AreaDesign.Layer layer, double width, double height) {
        AreaMotif motif = layer.motif();
        double reach = Math.min(width, height) / 2;
        return switch (motif.kind()) {
            case ARMS -> {
                AreaMotif.Arms arms = (AreaMotif.Arms) motif;
                yield arms.arms() * (arms.mirrored() ? 2 : 1);
            }
            case WREATH, PETALS, POINTS -> ((AreaMotif.Counted) motif).count();
            case RINGS -> {
                AreaMotif.Rings rings = (AreaMotif.Rings) motif;
                yield rings.gap().isEmpty()
                        ? rings.rings()
                        : upTo(
                                rings.rings(),
                                (reach - rings.first() / 2) / rings.gap().getAsDouble());
            }
            case ECHOES -> {
                AreaMotif.Echoes echoes = (AreaMotif.Echoes) motif;
                yield echoes.outside() ? echoes.echoes() : upTo(echoes.echoes(), reach / echoes.spacing());
            }
            case CLAMSHELLS -> shells(layer, width, height);
            case PEEL -> {
                AreaMotif.Peel peel = (AreaMotif.Peel) motif;
                yield 2.0 * peel.across() * peel.down();
            }
            case CIRCLES -> {
                AreaMotif.Circles circles = (AreaMotif.Circles) motif;
                yield circles.across() * circles.down();
            }
            case CROSSHATCH -> {
                AreaMotif.Crosshatch hatch = (AreaMotif.Crosshatch) motif;
                double sine = Math.abs(Math.sin(hatch.angle()));
                double cosine = Math.abs(Math.cos(hatch.angle()));
                yield straight(
                        layer,
                        2 * (width * sine + height * cosine) / hatch.spacing(),
                        2 * width * height / hatch.spacing());
            }
            case CURVED_HATCH -> (width + height) / ((AreaMotif.CurvedHatch) motif).spacing();
            case QUARTERS -> {
                AreaMotif.Quarters quarters = (AreaMotif.Quarters) motif;
                yield straight(
                        layer,
                        height / quarters.close() + width / quarters.wide(),
                        width * height / 2 * (1 / quarters.close() + 1 / quarters.wide()));
            }
            case CORNER_RAYS -> {
                AreaMotif.CornerRays rays = (AreaMotif.CornerRays) motif;
                yield rays.petals().orElse(1);
            }
            // No more sets are stitched than have room: what is left gets smaller with each.
            case WHIRL -> ((AreaMotif.Whirl) motif).lines();
            case STRAIGHT_FANS -> {
                AreaMotif.StraightFans fans = (AreaMotif.StraightFans) motif;
                yield (double) fans.across() * fans.down() * fans.lines();
            }
        };
    }

    private double straight(AreaDesign.Layer layer, double lines, double inches) {
        return Reckoning.straight(lines, inches, layer.templateId(), templates);
    }

    private static double upTo(int most, double room) {
        return Math.max(0, Math.min(most, Math.floor(room)));
    }

    /** Placements of the row of shells that was asked for, or of the largest there is. */
    private double shells(AreaDesign.Layer layer, double width, double height) {
        return templates.stream()
                .filter(t ->
                        layer.templateId().isEmpty() || layer.templateId().get().equals(t.id()))
                .map(Template::form)
                .filter(ScallopRow.class::isInstance)
                .map(ScallopRow.class::cast)
                .mapToDouble(row -> Math.floor(height / (row.width() / 2)) * width / (row.bumps() * row.width()))
                .min()
                .orElse(0);
    }
}
