package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
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

    public ChevronStrip {
        Form.size(module, "module");
        Form.size(depth, "depth");
        Form.angle(angle, 20, 170, "chevron's angle");
        if (tips < 1 || tips > 40) {
            throw new IllegalArgumentException("a strip has 1 to 40 tips");
        }
    }

    @Override
    public Kind kind() {
        return Kind.CHEVRON_STRIP;
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
