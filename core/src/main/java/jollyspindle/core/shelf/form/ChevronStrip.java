package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A strip with a zigzag edge. In the notches the needle comes to a sharp point, round the tips it stitches a small arc. As
 * stitched, the lines between are the needle's; as cut, the acrylic's. Its frame has the origin in the middle of the strip,
 * half-way up.
 *
 * @param module from tip to tip, in inches
 * @param angle of the tips and notches, in radians; a quarter turn makes the height half the module
 * @param tips how many, 1 to 40
 * @param depth from the notches to the far side, in inches
 */
public record ChevronStrip(double module, double angle, int tips, double depth) implements Form {
    private static final double LEAST_ANGLE = 20;
    private static final double MOST_ANGLE = 170;
    private static final int MOST_TIPS = 40;
    private static final Param.Length<ChevronStrip> MODULE =
            Param.length("module", SMALLEST, LARGEST, ChevronStrip::module);
    private static final Param.Angle<ChevronStrip> ANGLE =
            Param.angle("angle", LEAST_ANGLE, MOST_ANGLE, ChevronStrip::angle);
    private static final Param.Whole<ChevronStrip> TIPS = Param.whole("tips", 1, MOST_TIPS, ChevronStrip::tips);
    private static final Param.Length<ChevronStrip> DEPTH =
            Param.length("depth", SMALLEST, LARGEST, ChevronStrip::depth);

    /** Templates of this form. */
    public static final FormType<ChevronStrip> TYPE = FormType.of(
            Kind.CHEVRON_STRIP,
            ChevronStrip.class,
            Params.of(
                    v -> new ChevronStrip(v.get(MODULE), v.get(ANGLE), v.get(TIPS), v.get(DEPTH)),
                    Params.row(MODULE, ANGLE),
                    Params.row(TIPS, DEPTH)),
            new ChevronStrip(2, Math.PI / 2, 4, 1.25));

    public ChevronStrip {
        Form.size(module, "module");
        Form.size(depth, "depth");
        Guards.degrees("angle", angle, LEAST_ANGLE, MOST_ANGLE);
        Guards.within("tips", tips, 1, MOST_TIPS);
    }

    @Override
    public FormType<ChevronStrip> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.module(module, tips);
        facts.add(new StitchFact.RoundCorner(facts.foot(), Math.PI - angle));
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        double tip = (2 * (tips / 2) + 1 - tips) * module / 2;
        return Prediction.height(cut, foot, tip - module / 2, tip + module / 2);
    }

    @Override
    public OptionalDouble repeat() {
        return OptionalDouble.of(module);
    }

    @Override
    public boolean hasSizeLabel() {
        return true;
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.PARALLEL, EngravedLine.Kind.CENTRE);
    }

    /** From notch to tip, in inches. */
    public double height() {
        return module / 2 / Math.tan(angle / 2);
    }

    /** The zigzag as it is labelled, from left to right, from notch to notch. */
    public Path line() {
        List<Curve> curves = new ArrayList<>();
        Point at = new Point(-tips * module / 2, -height() / 2);
        for (int i = 1; i <= 2 * tips; i++) {
            Point next = new Point((i - tips) * module / 2, (i % 2 == 1 ? 1 : -1) * height() / 2);
            curves.add(new Segment(at, next));
            at = next;
        }
        return new Path(curves);
    }

    @Override
    public double mainSize() {
        return module;
    }

    @Override
    public ChevronStrip withMainSize(double size) {
        return new ChevronStrip(size, angle, tips, depth);
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        return Strip.cut(Strip.edge(line(), label), Guide.Role.ZIGZAG, depth);
    }
}
