package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A strip whose edge is an S of two arcs, over and over. As stitched, the needle draws the S with equal arcs, and the
 * acrylic's bulges are the foot's width smaller than its hollows; as cut, the acrylic's arcs are equal. Its frame has the
 * origin in the middle of the strip, on the line between crests and troughs.
 *
 * @param module from crest to crest, in inches
 * @param height from trough to crest, in inches, at most half the module
 * @param waves how many, 1 to 40
 * @param depth from the troughs to the far side, in inches
 */
public record SerpentineStrip(double module, double height, int waves, double depth) implements Form {
    private static final int MOST_WAVES = 40;
    private static final Param.Length<SerpentineStrip> MODULE =
            Param.length("module", SMALLEST, LARGEST, SerpentineStrip::module);
    private static final Param.Length<SerpentineStrip> HEIGHT =
            Param.length("height", SMALLEST, LARGEST, SerpentineStrip::height);
    private static final Param.Whole<SerpentineStrip> WAVES =
            Param.whole("waves", 1, MOST_WAVES, SerpentineStrip::waves);
    private static final Param.Length<SerpentineStrip> DEPTH =
            Param.length("depth", SMALLEST, LARGEST, SerpentineStrip::depth);

    /** Templates of this form. */
    public static final FormType<SerpentineStrip> TYPE = FormType.of(
            Kind.SERPENTINE_STRIP,
            SerpentineStrip.class,
            Params.of(
                    v -> new SerpentineStrip(v.get(MODULE), v.get(HEIGHT), v.get(WAVES), v.get(DEPTH)),
                    Params.row(MODULE, HEIGHT),
                    Params.row(WAVES, DEPTH)),
            new SerpentineStrip(4, 1, 2, 1.25));

    public SerpentineStrip {
        Form.size(module, "module");
        Form.size(height, "height");
        Form.size(depth, "depth");
        Guards.within("waves", waves, 1, MOST_WAVES);
        if (height > module / 2 + Tolerances.ROUNDING) {
            throw new IllegalArgumentException(Refusals.say("form.serpentine"));
        }
    }

    @Override
    public FormType<SerpentineStrip> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.module(module, waves);
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        return Prediction.height(cut, foot);
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

    /** The S as it is labelled, from left to right. */
    public Path line() {
        CircularSegment arc = CircularSegment.ofChordAndHeight(module / 2, Math.min(height / 2, module / 4));
        List<Curve> curves = new ArrayList<>();
        for (int i = 0; i < 2 * waves; i++) {
            double middle = (i + 0.5 - waves) * module / 2;
            int up = i % 2 == 0 ? 1 : -1;
            Point centre = new Point(middle, up * (arc.height() - arc.radius()));
            curves.add(new Arc(centre, arc.radius(), up * (Math.PI / 2 + arc.sweep() / 2), -up * arc.sweep()));
        }
        return new Path(curves);
    }

    @Override
    public double mainSize() {
        return module;
    }

    @Override
    public SerpentineStrip withMainSize(double size) {
        return new SerpentineStrip(size, height * size / module, waves, depth);
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        return Strip.cut(Strip.edge(line(), label), Guide.Role.SERPENTINE, depth);
    }
}
