package jollyspindle.core.area;

import jollyspindle.core.quilt.Area;
import jollyspindle.core.sewing.Reckoning;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ScallopRow;

import java.util.List;
import java.util.Optional;

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
        return AreaMotifTypes.of(layer.motif())
                .lines(layer.motif(), new Cloth(width, height, layer.templateId(), templates));
    }

    /**
     * What a motif has to do with.
     *
     * @param width of the piece of cloth, in inches
     * @param height of it, in inches
     * @param templateId of the template that was asked for
     * @param templates that the job has
     */
    record Cloth(double width, double height, Optional<String> templateId, List<Template> templates) {

        /** Radius of the largest circle that has room. */
        double reach() {
            return Math.min(width, height) / 2;
        }

        /** Placements of straight lines that are so long together. */
        double straight(double lines, double inches) {
            return Reckoning.straight(lines, inches, templateId, templates);
        }

        double upTo(int most, double room) {
            return Math.max(0, Math.min(most, Math.floor(room)));
        }

        /** Placements of the row of shells that was asked for, or of the largest there is; lines of those drawn from marks. */
        double shells(AreaMotif.Clamshells shells) {
            if (shells.byHand()) {
                return height / shells.width().orElseThrow();
            }
            return templates.stream()
                    .filter(t -> templateId.isEmpty() || templateId.get().equals(t.id()))
                    .map(Template::form)
                    .filter(ScallopRow.class::isInstance)
                    .map(ScallopRow.class::cast)
                    .flatMap(row -> row.sides().stream())
                    .mapToDouble(
                            side -> Math.floor(height / (side.width() / 2)) * width / (side.count() * side.width()))
                    .min()
                    .orElse(0);
        }
    }
}
