package jollyspindle.desktop.model;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.AreaId;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;

/** What can be dragged in a piece of an area: the numbers of each of its motifs. */
final class AreaKnobs {

    /** Where knobs of circles about the centre stand, clockwise from the top: beside the usual rays. */
    private static final double ASIDE = Math.toRadians(67.5);

    private final AreaId id;
    private final AreaDesign design;
    private final char letter;
    private final Point centre;
    private final Box box;
    private final List<Knob> knobs = new ArrayList<>();
    private int layer;

    private AreaKnobs(AreaId id, AreaDesign design, AreaPlan.Piece piece) {
        this.id = id;
        this.design = design;
        this.letter = piece.letter();
        this.centre = piece.cloth().centre();
        this.box = piece.cloth().outline().box();
    }

    static List<Knob> of(AreaId id, AreaDesign design, AreaPlan.Piece piece) {
        AreaKnobs of = new AreaKnobs(id, design, piece);
        List<AreaDesign.Layer> layers = design.part(piece.letter()).layers();
        for (int i = 0; i < layers.size(); i++) {
            of.layer = i;
            of.motif(layers.get(i).motif());
        }
        return List.copyOf(of.knobs);
    }

    private void motif(AreaMotif motif) {
        switch (motif.kind()) {
            case ARMS -> {
                AreaMotif.Arms arms = (AreaMotif.Arms) motif;
                out("stop", "arms stopped from the centre", arms.stop(), 1, arms::withStop);
            }
            case RINGS -> rings((AreaMotif.Rings) motif);
            case WREATH -> {
                AreaMotif.Wreath wreath = (AreaMotif.Wreath) motif;
                wreath.out()
                        .ifPresent(out -> out(
                                "out",
                                "circles from the centre",
                                out,
                                1,
                                d -> new AreaMotif.Wreath(wreath.circles(), OptionalDouble.of(d))));
            }
            case PETALS -> {
                AreaMotif.Petals p = (AreaMotif.Petals) motif;
                out("from", "petals begin", p.from(), 1, d -> new AreaMotif.Petals(p.petals(), d, p.to()));
                out("to", "petals end", p.to(), 1, d -> new AreaMotif.Petals(p.petals(), p.from(), d));
            }
            case POINTS -> {
                AreaMotif.Points p = (AreaMotif.Points) motif;
                out("inner", "notches", p.inner(), 1, d -> new AreaMotif.Points(p.points(), d, p.outer()));
                out("outer", "tips", p.outer(), 1, d -> new AreaMotif.Points(p.points(), p.inner(), d));
            }
            case ECHOES -> echoes((AreaMotif.Echoes) motif);
            case CORNER_RAYS -> cornerRays((AreaMotif.CornerRays) motif);
            default -> overBlock(motif);
        }
    }

    private void rings(AreaMotif.Rings r) {
        out(
                "first",
                "first ring across",
                r.first() / 2,
                2,
                d -> new AreaMotif.Rings(d, r.gap(), r.rings(), r.spokes()));
        if (r.gap().isPresent() && r.rings() > 1) {
            Point way = way(ASIDE);
            Point origin = centre.plus(way.times(r.first() / 2));
            double gap = r.gap().getAsDouble();
            add(
                    "gap",
                    "rings apart",
                    origin.plus(way.times(gap)),
                    origin,
                    way,
                    1,
                    d -> new AreaMotif.Rings(r.first(), OptionalDouble.of(d), r.rings(), r.spokes()));
        }
    }

    private void echoes(AreaMotif.Echoes e) {
        double sign = e.outside() ? 1 : -1;
        Point edge = new Point(box.right(), centre.y());
        add(
                "spacing",
                "lines apart",
                edge.plus(new Point(sign * e.spacing(), 0)),
                edge,
                new Point(sign, 0),
                1,
                d -> new AreaMotif.Echoes(e.echoes(), d, e.outside()));
    }

    private void cornerRays(AreaMotif.CornerRays r) {
        boolean right = r.corner() == AreaMotif.Corner.TOP_RIGHT || r.corner() == AreaMotif.Corner.BOTTOM_RIGHT;
        boolean top = r.corner() == AreaMotif.Corner.TOP_LEFT || r.corner() == AreaMotif.Corner.TOP_RIGHT;
        Point corner = new Point(right ? box.right() : box.left(), top ? box.top() : box.bottom());
        Point inward = new Point(right ? -1 : 1, top ? -1 : 1).unit();
        add(
                "stop",
                "tips from the corner",
                corner.plus(inward.times(r.stop())),
                corner,
                inward,
                1,
                d -> new AreaMotif.CornerRays(r.corner(), r.petals(), d, r.margin()));
        Point far = new Point(right ? box.left() : box.right(), centre.y());
        Point back = new Point(right ? 1 : -1, 0);
        add(
                "margin",
                "caps from the far seam",
                far.plus(back.times(r.margin())),
                far,
                back,
                1,
                d -> new AreaMotif.CornerRays(r.corner(), r.petals(), r.stop(), d));
    }

    private void overBlock(AreaMotif motif) {
        if (motif instanceof AreaMotif.Clamshells) {
            up("allowance", "seam allowance", ((AreaMotif.Clamshells) motif).allowance(), AreaMotif.Clamshells::new);
        } else if (motif instanceof AreaMotif.Peel p) {
            squares(p.across(), n -> new AreaMotif.Peel(n, p.down(), p.inner()));
        } else if (motif instanceof AreaMotif.Circles c) {
            squares(c.across(), n -> new AreaMotif.Circles(n, c.down()));
        } else if (motif instanceof AreaMotif.StraightFans f) {
            squares(f.across(), n -> new AreaMotif.StraightFans(n, f.down(), f.lines(), f.stop()));
        } else if (motif instanceof AreaMotif.Crosshatch h) {
            along(
                    "spacing",
                    "lines apart",
                    h.spacing(),
                    1 / Math.sin(h.angle()),
                    d -> new AreaMotif.Crosshatch(d, h.angle()));
        } else if (motif instanceof AreaMotif.CurvedHatch h) {
            along("spacing", "arcs apart", h.spacing(), 1, AreaMotif.CurvedHatch::new);
        } else if (motif instanceof AreaMotif.Quarters q) {
            along("wide", "lines down, apart", q.wide(), 1, d -> new AreaMotif.Quarters(q.close(), d, q.pieced()));
            Point middle = new Point(box.left(), centre.y());
            add(
                    "close",
                    "lines across, apart",
                    middle.plus(new Point(0, q.close())),
                    middle,
                    new Point(0, 1),
                    1,
                    d -> new AreaMotif.Quarters(d, q.wide(), q.pieced()));
        } else if (motif instanceof AreaMotif.Whirl w) {
            Point corner = new Point(box.right(), box.top());
            add(
                    "spacing",
                    "lines apart",
                    corner.minus(new Point(0, w.spacing())),
                    corner,
                    new Point(0, -1),
                    1,
                    d -> new AreaMotif.Whirl(w.lines(), d, w.sets()));
        }
    }

    /** A grid's squares: as wide as they are dragged, as far as whole ones fill the width. */
    private void squares(int across, java.util.function.IntFunction<AreaMotif> motif) {
        Point left = new Point(box.left(), box.bottom());
        add(
                "squares",
                "squares wide, about",
                left.plus(new Point(box.width() / across, 0)),
                left,
                new Point(1, 0),
                1,
                d -> motif.apply((int) Math.round(box.width() / Math.max(d, 1.0 / 16))));
    }

    private static Point way(double angle) {
        return new Point(Math.sin(angle), Math.cos(angle));
    }

    /** A number that is a distance from the centre. */
    private void out(String number, String name, double now, double factor, DoubleFunction<AreaMotif> motif) {
        Point way = way(ASIDE);
        add(number, name, centre.plus(way.times(now)), centre, way, factor, motif);
    }

    /** A number counted along the lower edge from the left. */
    private void along(String number, String name, double now, double stretch, DoubleFunction<AreaMotif> motif) {
        Point left = new Point(box.left(), box.bottom());
        add(number, name, left.plus(new Point(now * stretch, 0)), left, new Point(1, 0), 1 / stretch, motif);
    }

    /** A number counted up from the lower edge. */
    private void up(String number, String name, double now, DoubleFunction<AreaMotif> motif) {
        Point foot = new Point(centre.x(), box.bottom());
        add(number, name, foot.plus(new Point(0, now)), foot, new Point(0, 1), 1, motif);
    }

    private void add(
            String number,
            String name,
            Point place,
            Point origin,
            Point way,
            double factor,
            DoubleFunction<AreaMotif> motif) {
        int index = layer;
        knobs.add(new Knob("area-" + number + "-" + (index + 1), name, place, origin, way, factor, inches -> {
            try {
                AreaDesign.Part part = design.part(letter);
                AreaDesign.Layer was = part.layers().get(index);
                AreaDesign next = design.with(
                        letter, part.withLayer(index, new AreaDesign.Layer(motif.apply(inches), was.templateId())));
                return Optional.of(job -> job.with(id, next));
            } catch (IllegalArgumentException e) {
                // Too small or too large to be stitched: it stays as it was.
                return Optional.empty();
            }
        }));
    }
}
