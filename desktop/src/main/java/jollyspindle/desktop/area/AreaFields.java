package jollyspindle.desktop.area;

import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.words.AreaWords;
import jollyspindle.desktop.control.EntryFields;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import javafx.scene.Node;

/** The numbers and choices of each motif of an area. */
final class AreaFields extends EntryFields {

    private static final double CLOSEST = AreaMotif.CLOSEST;
    private static final double LARGEST = AreaMotif.LARGEST;

    private final Consumer<AreaMotif> take;

    AreaFields(Workbench bench, Consumer<AreaMotif> take) {
        super(bench);
        this.take = take;
    }

    List<Node> of(AreaMotif motif) {
        return switch (motif.kind()) {
            case ARMS -> arms((AreaMotif.Arms) motif);
            case RINGS -> rings((AreaMotif.Rings) motif);
            case WREATH -> {
                AreaMotif.Wreath w = (AreaMotif.Wreath) motif;
                yield List.of(Labelled.row(
                        whole(
                                "area-circles",
                                "Circles",
                                w.circles(),
                                3,
                                AreaMotif.MOST_ARMS,
                                n -> take.accept(new AreaMotif.Wreath(n, w.out()))),
                        length(
                                "area-out",
                                "From the centre",
                                true,
                                w.out(),
                                CLOSEST,
                                LARGEST,
                                d -> take.accept(new AreaMotif.Wreath(w.circles(), d)))));
            }
            case PETALS -> {
                AreaMotif.Petals p = (AreaMotif.Petals) motif;
                yield List.of(
                        whole(
                                "area-petals",
                                "Petals",
                                p.petals(),
                                AreaMotif.FEWEST_ARMS,
                                AreaMotif.MOST_ARMS,
                                n -> take.accept(new AreaMotif.Petals(n, p.from(), p.to()))),
                        Labelled.row(
                                between(
                                        "area-from",
                                        "Begin, from centre",
                                        p.from(),
                                        0,
                                        p.to() - CLOSEST,
                                        d -> new AreaMotif.Petals(p.petals(), d, p.to())),
                                between(
                                        "area-to",
                                        "End, from centre",
                                        p.to(),
                                        p.from() + CLOSEST,
                                        LARGEST,
                                        d -> new AreaMotif.Petals(p.petals(), p.from(), d))));
            }
            case POINTS -> {
                AreaMotif.Points p = (AreaMotif.Points) motif;
                yield List.of(
                        whole(
                                "area-points",
                                "Points",
                                p.points(),
                                3,
                                AreaMotif.MOST_ARMS,
                                n -> take.accept(new AreaMotif.Points(n, p.inner(), p.outer()))),
                        Labelled.row(
                                between(
                                        "area-inner",
                                        "Notches, from centre",
                                        p.inner(),
                                        CLOSEST,
                                        p.outer() - CLOSEST,
                                        d -> new AreaMotif.Points(p.points(), d, p.outer())),
                                between(
                                        "area-outer",
                                        "Tips, from centre",
                                        p.outer(),
                                        p.inner() + CLOSEST,
                                        LARGEST,
                                        d -> new AreaMotif.Points(p.points(), p.inner(), d))));
            }
            case ECHOES -> {
                AreaMotif.Echoes e = (AreaMotif.Echoes) motif;
                yield List.of(
                        Labelled.row(
                                whole(
                                        "area-echoes",
                                        "Lines",
                                        e.echoes(),
                                        1,
                                        AreaMotif.MOST,
                                        n -> take.accept(new AreaMotif.Echoes(n, e.spacing(), e.outside()))),
                                apart(e.spacing(), d -> new AreaMotif.Echoes(e.echoes(), d, e.outside()))),
                        check(
                                "area-outside",
                                "Outside it (round a medallion)",
                                e.outside(),
                                o -> take.accept(new AreaMotif.Echoes(e.echoes(), e.spacing(), o))));
            }
            default -> overBlock(motif);
        };
    }

    private List<Node> overBlock(AreaMotif motif) {
        if (motif instanceof AreaMotif.Clamshells c) {
            return List.of(between(
                    "area-allowance",
                    "Seam allowance at the lower edge",
                    c.allowance(),
                    0,
                    2,
                    AreaMotif.Clamshells::new));
        }
        if (motif instanceof AreaMotif.Peel p) {
            return List.of(
                    squares(
                            p.across(),
                            p.down(),
                            n -> new AreaMotif.Peel(n, p.down(), p.inner()),
                            n -> new AreaMotif.Peel(p.across(), n, p.inner())),
                    length(
                            "area-inset",
                            "Smaller petals inside, from the ends",
                            true,
                            p.inner(),
                            CLOSEST,
                            LARGEST,
                            d -> take.accept(new AreaMotif.Peel(p.across(), p.down(), d))));
        }
        if (motif instanceof AreaMotif.Circles c) {
            return List.of(squares(
                    c.across(),
                    c.down(),
                    n -> new AreaMotif.Circles(n, c.down()),
                    n -> new AreaMotif.Circles(c.across(), n)));
        }
        if (motif instanceof AreaMotif.Crosshatch h) {
            return List.of(Labelled.row(
                    apart(h.spacing(), d -> new AreaMotif.Crosshatch(d, h.angle())),
                    degrees(
                            "area-angle",
                            "Degrees",
                            h.angle(),
                            10,
                            170,
                            "90 is upright",
                            a -> take.accept(new AreaMotif.Crosshatch(h.spacing(), a)))));
        }
        if (motif instanceof AreaMotif.CurvedHatch h) {
            return List.of(apart(h.spacing(), AreaMotif.CurvedHatch::new));
        }
        if (motif instanceof AreaMotif.Quarters q) {
            return List.of(
                    Labelled.row(
                            between(
                                    "area-close",
                                    "Across, apart",
                                    q.close(),
                                    CLOSEST,
                                    LARGEST,
                                    d -> new AreaMotif.Quarters(d, q.wide(), q.pieced())),
                            between(
                                    "area-wide",
                                    "Down, apart",
                                    q.wide(),
                                    CLOSEST,
                                    LARGEST,
                                    d -> new AreaMotif.Quarters(q.close(), d, q.pieced()))),
                    check(
                            "area-pieced",
                            "The quarters are patches: travel in their seams",
                            q.pieced(),
                            p -> take.accept(new AreaMotif.Quarters(q.close(), q.wide(), p))));
        }
        if (motif instanceof AreaMotif.CornerRays r) {
            return cornerRays(r);
        }
        if (motif instanceof AreaMotif.Whirl w) {
            return List.of(
                    Labelled.row(
                            whole(
                                    "area-lines",
                                    "Lines to a set",
                                    w.lines(),
                                    1,
                                    9,
                                    n -> take.accept(new AreaMotif.Whirl(n, w.spacing(), w.sets()))),
                            whole(
                                    "area-sets",
                                    "Sets",
                                    w.sets(),
                                    1,
                                    AreaMotif.MOST,
                                    n -> take.accept(new AreaMotif.Whirl(w.lines(), w.spacing(), n)))),
                    apart(w.spacing(), d -> new AreaMotif.Whirl(w.lines(), d, w.sets())));
        }
        AreaMotif.StraightFans f = (AreaMotif.StraightFans) motif;
        return List.of(
                squares(
                        f.across(),
                        f.down(),
                        n -> new AreaMotif.StraightFans(n, f.down(), f.lines(), f.stop()),
                        n -> new AreaMotif.StraightFans(f.across(), n, f.lines(), f.stop())),
                Labelled.row(
                        whole(
                                "area-lines",
                                "Lines to a fan",
                                f.lines(),
                                2,
                                AreaMotif.MOST_ARMS,
                                n -> take.accept(new AreaMotif.StraightFans(f.across(), f.down(), n, f.stop()))),
                        between(
                                "area-stop",
                                "Stop from the corner",
                                f.stop(),
                                CLOSEST,
                                LARGEST,
                                d -> new AreaMotif.StraightFans(f.across(), f.down(), f.lines(), d))));
    }

    private List<Node> arms(AreaMotif.Arms a) {
        return List.of(
                Labelled.row(
                        whole(
                                "area-arms",
                                "Arms",
                                a.arms(),
                                AreaMotif.FEWEST_ARMS,
                                AreaMotif.MOST_ARMS,
                                n -> take.accept(a.withCount(n))),
                        between("area-stop", "Stop from centre", a.stop(), 0, 12, a::withStop)),
                choice(
                        "area-way",
                        "The needle goes",
                        List.of(AreaMotif.Way.values()),
                        a.way(),
                        AreaWords::name,
                        w -> take.accept(a.withWay(w))),
                degrees(
                        "area-turn",
                        "First arm from the top, degrees clockwise",
                        a.turn(),
                        0,
                        360,
                        "0 is straight up",
                        t -> take.accept(a.withTurn(t))),
                check(
                        "area-mirrored",
                        "A second set turned over, crossing the first",
                        a.mirrored(),
                        m -> take.accept(a.withMirrored(m))),
                circled(a));
    }

    private Node circled(AreaMotif.Arms a) {
        Node circled = check(
                "area-circled",
                "Stitch the circle they stop on first",
                a.circled(),
                c -> take.accept(a.withCircled(c)));
        // Arms that meet in the centre have no circle.
        circled.setDisable(a.stop() == 0);
        return circled;
    }

    private List<Node> rings(AreaMotif.Rings r) {
        return List.of(
                Labelled.row(
                        between(
                                "area-first",
                                "First across",
                                r.first(),
                                CLOSEST,
                                LARGEST,
                                d -> new AreaMotif.Rings(d, r.gap(), r.rings(), r.spokes())),
                        whole(
                                "area-rings",
                                "Rings",
                                r.rings(),
                                1,
                                AreaMotif.MOST,
                                n -> take.accept(new AreaMotif.Rings(r.first(), r.gap(), n, r.spokes())))),
                length(
                        "area-gap",
                        "Apart; empty spreads them evenly",
                        true,
                        r.gap(),
                        CLOSEST,
                        LARGEST,
                        d -> take.accept(new AreaMotif.Rings(r.first(), d, r.rings(), r.spokes()))),
                choice(
                        "area-spokes",
                        "Joined",
                        List.of(AreaMotif.Spokes.values()),
                        r.spokes(),
                        AreaWords::name,
                        s -> take.accept(new AreaMotif.Rings(r.first(), r.gap(), r.rings(), s))));
    }

    private List<Node> cornerRays(AreaMotif.CornerRays r) {
        TypedField petals = new TypedField("area-petals", "Petals; empty for usual caps", text -> {
            if (text.isBlank()) {
                take.accept(new AreaMotif.CornerRays(r.corner(), OptionalInt.empty(), r.stop(), r.margin()));
                return Optional.empty();
            }
            try {
                take.accept(new AreaMotif.CornerRays(
                        r.corner(), OptionalInt.of(Integer.parseInt(text.strip())), r.stop(), r.margin()));
                return Optional.empty();
            } catch (IllegalArgumentException e) {
                return Optional.of("“" + text.strip() + "”: type an odd number from 1 to " + (AreaMotif.MOST_ARMS - 1)
                        + ", so that one petal stands on the far corner.");
            }
        });
        petals.show(r.petals().isPresent() ? "" + r.petals().getAsInt() : "");
        return List.of(
                Labelled.row(
                        choice(
                                "area-corner",
                                "From the corner",
                                List.of(AreaMotif.Corner.values()),
                                r.corner(),
                                AreaWords::name,
                                c -> take.accept(new AreaMotif.CornerRays(c, r.petals(), r.stop(), r.margin()))),
                        petals),
                Labelled.row(
                        between(
                                "area-stop",
                                "Tips from the corner",
                                r.stop(),
                                CLOSEST,
                                LARGEST,
                                d -> new AreaMotif.CornerRays(r.corner(), r.petals(), d, r.margin())),
                        between(
                                "area-margin",
                                "Caps from far seams",
                                r.margin(),
                                CLOSEST,
                                LARGEST,
                                d -> new AreaMotif.CornerRays(r.corner(), r.petals(), r.stop(), d))));
    }

    private Node apart(double now, DoubleFunction<AreaMotif> motif) {
        return between("area-spacing", "Apart", now, CLOSEST, LARGEST, motif);
    }

    private Node between(
            String id, String name, double now, double least, double most, DoubleFunction<AreaMotif> motif) {
        return length(
                id, name, false, OptionalDouble.of(now), least, most, d -> take.accept(motif.apply(d.getAsDouble())));
    }

    private interface Counted {
        AreaMotif apply(int n);
    }

    private Node squares(int across, int down, Counted withAcross, Counted withDown) {
        return Labelled.row(
                whole(
                        "area-across",
                        "Squares across",
                        across,
                        1,
                        AreaMotif.MOST,
                        n -> take.accept(withAcross.apply(n))),
                whole("area-down", "Squares down", down, 1, AreaMotif.MOST, n -> take.accept(withDown.apply(n))));
    }
}
