package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Circles about one centre, cut as slots with a bridge that holds the plate together. Its frame has the origin at that
 * centre, and the bridge below.
 *
 * @param sizes printed on it, ascending; as cut a slot's middle, as stitched what the usual foot stitches along the outer
 *     wall
 * @param slotWidth in inches
 * @param sweep of each slot between its round ends, in radians, less than a full turn
 */
public record SlottedCircles(List<Double> sizes, double slotWidth, double sweep) implements Form {
    private static final Param.Lengths<SlottedCircles> SIZES =
            Param.lengths("sizes", SMALLEST, LARGEST, MOST_SIZES, SlottedCircles::sizes);
    private static final Param.Length<SlottedCircles> SLOT =
            Param.length("slotWidth", SMALLEST, LARGEST, SlottedCircles::slotWidth);
    private static final Param.Angle<SlottedCircles> SWEEP =
            Param.angle("sweep", LEAST_SWEEP, MOST_SWEEP, SlottedCircles::sweep);

    /** Templates of this form. */
    public static final FormType<SlottedCircles> TYPE = FormType.of(
            Kind.SLOTTED_CIRCLES,
            SlottedCircles.class,
            Params.of(
                    v -> new SlottedCircles(v.get(SIZES), v.get(SLOT), v.get(SWEEP)),
                    Params.row(SIZES),
                    Params.row(SLOT, SWEEP)),
            new SlottedCircles(List.of(2.0, 3.0, 4.0), Slots.USUAL, Math.toRadians(310)));

    public SlottedCircles {
        sizes = sizes.stream().sorted().distinct().toList();
        Slots.check(sizes, slotWidth);
        Guards.degrees("sweep", sweep, LEAST_SWEEP, MOST_SWEEP);
    }

    @Override
    public FormType<SlottedCircles> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.rounds();
        facts.ringGap();
        facts.slotPlay(slotWidth);
    }

    @Override
    public void inspect(Template template, Machine machine, List<TemplateDiagnostic> found) {
        Slots.inspect(sizes, slotWidth, template.label(), machine, found);
        sizes.stream()
                .filter(size -> bridge(size, template.label()) <= 0)
                .forEach(size -> found.add(new TemplateDiagnostic.BridgeCut(size)));
    }

    @Override
    public boolean hasSizeLabel() {
        return true;
    }

    @Override
    public boolean hasOpenings() {
        return true;
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.CENTRE, EngravedLine.Kind.REFERENCE);
    }

    /** The largest. */
    @Override
    public double mainSize() {
        return sizes.get(sizes.size() - 1);
    }

    @Override
    public SlottedCircles withMainSize(double size) {
        return new SlottedCircles(Sizes.scaled(sizes, size), slotWidth, sweep);
    }

    /**
     * How much acrylic is left between a slot's round ends, in inches; not over 0 if the slot runs into itself.
     *
     * @param size printed at the slot
     */
    public double bridge(double size, SizeLabel label) {
        return 2 * Slots.middle(size, label, slotWidth) * Math.sin(Math.min(Math.PI, 2 * Math.PI - sweep) / 2)
                - slotWidth;
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        Slots slots = new Slots(sizes, label, slotWidth, sweep);
        List<Path> outlines = new ArrayList<>(List.of(Path.circle(Point.ORIGIN, slots.reach() + RIM)));
        outlines.addAll(slots.openings);
        return new Cut(List.of(new Cut.Piece(outlines)), slots.guides);
    }
}
