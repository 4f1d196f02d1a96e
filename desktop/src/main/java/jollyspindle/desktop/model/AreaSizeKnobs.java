package jollyspindle.desktop.model;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Quilt;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/** What of the areas' sizes can be dragged while the quilt is measured. */
final class AreaSizeKnobs {

    private AreaSizeKnobs() {}

    static List<Knob> of(Quilt quilt) {
        List<Knob> knobs = new ArrayList<>();
        for (AreaId id : quilt.areaIds()) {
            Area area = quilt.area(id).orElseThrow();
            if (area instanceof Area.Medallion m) {
                knobs.add(knob(
                        id,
                        "medallion across",
                        Point.ORIGIN,
                        new Point(1, 0),
                        m.diameter(),
                        v -> new Area.Medallion(m.shape(), v, m.clearance())));
            } else if (area instanceof Area.Applique a && a.outline() instanceof Area.Ellipse e) {
                Point along = Point.direction(e.turned());
                knobs.add(knob(
                        id,
                        "appliqué wide",
                        e.centre(),
                        along,
                        e.width(),
                        v -> new Area.Applique(
                                new Area.Ellipse(e.centre(), v, e.height(), e.turned()), a.clearance())));
                knobs.add(knob(
                        id,
                        "appliqué high",
                        e.centre(),
                        along.turnedLeft(),
                        e.height(),
                        v -> new Area.Applique(new Area.Ellipse(e.centre(), e.width(), v, e.turned()), a.clearance())));
            } else if (area instanceof Area.Applique a && a.outline() instanceof Area.Drawn d) {
                Box box = d.shape().path().box();
                knobs.add(knob(
                        id,
                        "appliqué wide",
                        d.centre(),
                        Point.direction(d.turned()),
                        box.width(),
                        v -> new Area.Applique(
                                new Area.Drawn(d.shape().withMainSize(v), d.centre(), d.turned()), a.clearance())));
            }
        }
        return List.copyOf(knobs);
    }

    /** A size that grows on both sides of a middle. */
    private static Knob knob(AreaId id, String name, Point middle, Point way, double now, DoubleFunction<Area> area) {
        return new Knob(
                "size-" + id.number() + "-" + name.substring(name.indexOf(' ') + 1),
                name,
                middle.plus(way.times(now / 2)),
                middle,
                way,
                2,
                inches -> {
                    try {
                        Area next = area.apply(inches);
                        return Optional.of(job -> job.withQuilt(job.quilt().with(id, next)));
                    } catch (IllegalArgumentException e) {
                        // Too small or too large: it stays as it was.
                        return Optional.empty();
                    }
                });
    }
}
