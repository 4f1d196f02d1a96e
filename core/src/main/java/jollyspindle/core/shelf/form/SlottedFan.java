package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
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
 * A fan: arc-shaped slots about a pivot, and two straight legs from the pivot to lay on the ditch. Its frame has the origin
 * at the pivot, and the slots above it.
 *
 * @param sizes printed at the slots, ascending; as cut a slot's middle, as stitched what the usual foot stitches along the
 *     outer wall
 * @param slotWidth in inches
 * @param sweep of each slot between its round ends, in radians, at most that of the legs
 * @param legAngle from one leg to the other, in radians; half a turn if both lie on one ditch
 */
public record SlottedFan(List<Double> sizes, double slotWidth, double sweep, double legAngle) implements Form {
    private static final Param.Lengths<SlottedFan> SIZES =
            Param.lengths("sizes", SMALLEST, LARGEST, MOST_SIZES, SlottedFan::sizes);
    private static final Param.Length<SlottedFan> SLOT =
            Param.length("slotWidth", SMALLEST, LARGEST, SlottedFan::slotWidth);
    private static final Param.Angle<SlottedFan> SWEEP =
            Param.angle("sweep", LEAST_SWEEP, MOST_SWEEP, SlottedFan::sweep);
    private static final Param.Angle<SlottedFan> LEGS =
            Param.angle("legAngle", LEAST_SWEEP, MOST_SWEEP, SlottedFan::legAngle);

    /** Templates of this form. */
    public static final FormType<SlottedFan> TYPE = FormType.of(
            Kind.SLOTTED_FAN,
            SlottedFan.class,
            Params.of(
                    v -> new SlottedFan(v.get(SIZES), v.get(SLOT), v.get(SWEEP), v.get(LEGS)),
                    Params.row(SIZES),
                    Params.row(SLOT, SWEEP),
                    Params.row(LEGS)),
            new SlottedFan(List.of(1.5, 3.0, 4.5, 6.0), Slots.USUAL, Math.toRadians(120), Math.PI));

    public SlottedFan {
        sizes = sizes.stream().sorted().distinct().toList();
        Slots.check(sizes, slotWidth);
        Guards.degrees("sweep", sweep, LEAST_SWEEP, MOST_SWEEP);
        Guards.degrees("legAngle", legAngle, LEAST_SWEEP, MOST_SWEEP);
    }

    @Override
    public FormType<SlottedFan> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.rounds();
        facts.fans(this);
        facts.slotPlay(slotWidth);
    }

    @Override
    public void inspect(Template template, Machine machine, List<TemplateDiagnostic> found) {
        Slots.inspect(sizes, slotWidth, template.label(), machine, found);
        if (reachesBeyondLegs(template.label())) {
            found.add(new TemplateDiagnostic.SlotsBeyondLegs(sweep, legAngle));
        }
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
    public SlottedFan withMainSize(double size) {
        return new SlottedFan(Sizes.scaled(sizes, size), slotWidth, sweep, legAngle);
    }

    /** Whether a slot with its round ends would run out over the legs. */
    public boolean reachesBeyondLegs(SizeLabel label) {
        double innermost = Slots.middle(sizes.get(0), label, slotWidth);
        double end = innermost > slotWidth / 2 ? Math.asin(slotWidth / 2 / innermost) : 0;
        return sweep + 2 * end > legAngle + Tolerances.ROUNDING;
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        Slots slots = new Slots(sizes, label, slotWidth, Math.min(sweep, legAngle));
        double radius = slots.reach() + RIM;
        Arc rim = new Arc(Point.ORIGIN, radius, Math.PI / 2 - legAngle / 2, legAngle);
        List<Path> outlines = new ArrayList<>(
                List.of(Path.of(new Segment(Point.ORIGIN, rim.start()), rim, new Segment(rim.end(), Point.ORIGIN))));
        outlines.addAll(slots.openings);
        return new Cut(List.of(new Cut.Piece(outlines)), slots.guides);
    }
}
