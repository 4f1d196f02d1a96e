package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.Values;
import jollyspindle.core.shelf.form.OutlineForm;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Function;

/** The kinds of areas, and what is measured of each. Lengths in inches. */
public final class AreaTypes {

    private static final double FAR = QuiltRules.LONGEST;
    private static final double TURN = 360;

    /** A size that is typed and less than this, in inches, is a slip of the hand. */
    public static final double SMALLEST_TYPED = 1.0 / 8;

    /** So is more clearance than this round an appliqué, or within another area. */
    private static final double MOST_ROUND = 12;

    private static final double MOST_WITHIN = 6;

    /** All there are. */
    public static final List<AreaType<?>> ALL = List.of(blocks(), medallion(), body(), ellipse(), corners(), drawn());

    private AreaTypes() {}

    /** The kind of an area. */
    @SuppressWarnings("unchecked")
    public static <A extends Area> AreaType<A> of(A area) {
        // Each area is of one kind, which holds areas of its class.
        return (AreaType<A>)
                ALL.stream().filter(type -> type.isOf(area)).findFirst().orElseThrow();
    }

    /** The kind with a lasting name. */
    public static Optional<AreaType<?>> of(String code) {
        return ALL.stream().filter(type -> type.code().equals(code)).findFirst();
    }

    private static AreaType<Area.Blocks> blocks() {
        Param.Whole<Area.Blocks> columns = Param.whole("columns", 1, Area.MOST, Area.Blocks::columns);
        Param.Whole<Area.Blocks> rows = Param.whole("rows", 1, Area.MOST, Area.Blocks::rows);
        Param.Length<Area.Blocks> width = size("width", Area.Blocks::width);
        Param.Length<Area.Blocks> height = size("height", Area.Blocks::height);
        Param.Length<Area.Blocks> gap = Param.length("gap", 0, FAR, Area.Blocks::gap);
        Param.Length<Area.Blocks> clearance = clearance();
        return new AreaType<>(
                "blocks",
                Area.Blocks.class,
                a -> true,
                Params.of(
                        v -> new Area.Blocks(
                                v.get(columns), v.get(rows), v.get(width), v.get(height), v.get(gap), v.get(clearance)),
                        Params.row(columns, rows),
                        Params.row(width, height),
                        Params.row(gap),
                        Params.row(clearance)));
    }

    private static AreaType<Area.Medallion> medallion() {
        Param.Choice<Area.Medallion, Area.Shape> shape = Param.<Area.Medallion, Area.Shape>choice(
                        "shape", Area.Shape.class, Area.Medallion::shape)
                .usually(Area.Shape.ROUND);
        Param.Length<Area.Medallion> diameter = size("diameter", Area.Medallion::diameter);
        Param.Length<Area.Medallion> clearance = clearance();
        return new AreaType<>(
                        "medallion",
                        Area.Medallion.class,
                        a -> true,
                        Params.of(
                                v -> new Area.Medallion(v.get(shape), v.get(diameter), v.get(clearance)),
                                Params.row(shape, diameter),
                                Params.row(clearance)))
                .dragged(m -> List.of(across(
                        diameter,
                        Point.ORIGIN,
                        new Point(1, 0),
                        m.diameter(),
                        inches -> new Area.Medallion(m.shape(), inches, m.clearance()))));
    }

    private static AreaType<Area.Body> body() {
        Param.Length<Area.Body> clearance = clearance();
        return new AreaType<>(
                "body",
                Area.Body.class,
                a -> true,
                Params.of(v -> new Area.Body(v.get(clearance)), Params.row(clearance)));
    }

    private static AreaType<Area.Applique> ellipse() {
        Placed placed = new Placed(a -> ellipse(a).centre(), a -> ellipse(a).turned());
        Param.Length<Area.Applique> width = size("width", a -> ellipse(a).width());
        Param.Length<Area.Applique> height = size("height", a -> ellipse(a).height());
        Param.Length<Area.Applique> clearance = clearance();
        return applique(
                        "ellipse",
                        Area.Ellipse.class,
                        Params.of(
                                        v -> new Area.Applique(
                                                new Area.Ellipse(
                                                        placed.centre(v),
                                                        v.get(width),
                                                        v.get(height),
                                                        v.get(placed.angle)),
                                                v.get(clearance)),
                                        Params.row(width, height),
                                        Params.row(placed.x, placed.y),
                                        Params.row(placed.angle),
                                        Params.row(clearance))
                                .kept(placed.x, placed.y, placed.angle, width, height, clearance))
                .dragged(a -> {
                    Area.Ellipse e = ellipse(a);
                    Point along = Point.direction(e.turned());
                    return List.of(
                            across(
                                    width,
                                    e.centre(),
                                    along,
                                    e.width(),
                                    inches ->
                                            outlined(a, new Area.Ellipse(e.centre(), inches, e.height(), e.turned()))),
                            across(
                                    height,
                                    e.centre(),
                                    along.turnedLeft(),
                                    e.height(),
                                    inches ->
                                            outlined(a, new Area.Ellipse(e.centre(), e.width(), inches, e.turned()))));
                });
    }

    private static Area.Ellipse ellipse(Area.Applique applique) {
        return (Area.Ellipse) applique.outline();
    }

    private static AreaType<Area.Applique> corners() {
        Param.Own<Area.Applique, List<Point>> corners =
                Param.own("corners", Area.Corners.class, a -> ((Area.Corners) a.outline()).corners());
        Param.Length<Area.Applique> clearance = clearance();
        return applique(
                "corners",
                Area.Corners.class,
                Params.of(
                        v -> new Area.Applique(new Area.Corners(v.get(corners)), v.get(clearance)),
                        Params.row(corners),
                        Params.row(clearance)));
    }

    private static AreaType<Area.Applique> drawn() {
        Placed placed = new Placed(a -> drawn(a).centre(), a -> drawn(a).turned());
        Param.Own<Area.Applique, List<OutlineForm.Corner>> shape = Param.own(
                "corners", OutlineForm.Corner.class, a -> drawn(a).shape().corners());
        Param.Length<Area.Applique> clearance = clearance();
        return applique(
                        "drawn",
                        Area.Drawn.class,
                        Params.of(
                                        v -> new Area.Applique(
                                                new Area.Drawn(
                                                        new OutlineForm(v.get(shape), false),
                                                        placed.centre(v),
                                                        v.get(placed.angle)),
                                                v.get(clearance)),
                                        Params.row(shape),
                                        Params.row(placed.x, placed.y),
                                        Params.row(placed.angle),
                                        Params.row(clearance))
                                .kept(placed.x, placed.y, placed.angle, shape, clearance))
                .dragged(a -> {
                    Area.Drawn d = drawn(a);
                    double wide = d.shape().path().box().width();
                    return List.of(across(
                            shape,
                            d.centre(),
                            Point.direction(d.turned()),
                            wide,
                            inches -> outlined(
                                    a, new Area.Drawn(d.shape().withMainSize(inches), d.centre(), d.turned()))));
                });
    }

    private static Area.Applique outlined(Area.Applique was, Area.Outline outline) {
        return new Area.Applique(outline, was.clearance());
    }

    /** A size that is dragged, and grows on both sides of a middle. */
    private static <A> ParamKnob<A> across(
            Param<A, ?> param, Point middle, Point way, double now, DoubleFunction<A> changed) {
        return new ParamKnob<>(param, middle.plus(way.times(now / 2)), middle, way, 2, changed);
    }

    private static Area.Drawn drawn(Area.Applique applique) {
        return (Area.Drawn) applique.outline();
    }

    /** Where an appliqué lies, and how it is turned. */
    private static final class Placed {

        private final Param.Length<Area.Applique> x;
        private final Param.Length<Area.Applique> y;
        private final Param.Angle<Area.Applique> angle;

        Placed(Function<Area.Applique, Point> centre, Function<Area.Applique, Double> turned) {
            x = Param.length("x", -FAR, FAR, a -> centre.apply(a).x());
            y = Param.length("y", -FAR, FAR, a -> centre.apply(a).y());
            angle = Param.angle("angle", -TURN, TURN, turned, 0);
        }

        Point centre(Values<Area.Applique> values) {
            return new Point(values.get(x), values.get(y));
        }
    }

    private static AreaType<Area.Applique> applique(
            String code, Class<? extends Area.Outline> outline, Params<Area.Applique> params) {
        return new AreaType<>(code, Area.Applique.class, a -> outline.isInstance(a.outline()), params);
    }

    private static <A extends Area> Param.Length<A> size(String code, Function<A, Double> get) {
        return Param.length(code, QuiltRules.SMALLEST, FAR, get, a -> new Param.Room(SMALLEST_TYPED, FAR));
    }

    private static <A extends Area> Param.Length<A> clearance() {
        return Param.<A>length(
                        "clearance",
                        0,
                        FAR,
                        Area::clearance,
                        a -> new Param.Room(0, a instanceof Area.Applique ? MOST_ROUND : MOST_WITHIN))
                .usually(0);
    }
}
