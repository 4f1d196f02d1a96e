package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Degrees;
import jollyspindle.files.json.Fields;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/** Reads and writes the motifs of areas. */
final class AreaMotifs {

    private static final String SPACING = "spacing";
    private static final String ACROSS = "across";
    private static final String DOWN = "down";
    private static final String STOP = "stop";

    private AreaMotifs() {}

    static void write(ObjectNode node, AreaMotif motif) {
        node.put("motif", Fields.name(motif.kind()));
        switch (motif.kind()) {
            case ARMS -> {
                AreaMotif.Arms arms = (AreaMotif.Arms) motif;
                node.put("arms", arms.arms())
                        .put("way", Fields.name(arms.way()))
                        .put(STOP, arms.stop());
                node.put("mirrored", arms.mirrored());
                Degrees.put(node, "turnDegrees", arms.turn());
                node.put("circled", arms.circled());
            }
            case RINGS -> {
                AreaMotif.Rings rings = (AreaMotif.Rings) motif;
                node.put("first", rings.first());
                rings.gap().ifPresent(gap -> node.put("gap", gap));
                node.put("rings", rings.rings()).put("spokes", Fields.name(rings.spokes()));
            }
            case WREATH -> {
                AreaMotif.Wreath wreath = (AreaMotif.Wreath) motif;
                node.put("circles", wreath.circles());
                wreath.out().ifPresent(out -> node.put("out", out));
            }
            case PETALS -> {
                AreaMotif.Petals petals = (AreaMotif.Petals) motif;
                node.put("petals", petals.petals()).put("from", petals.from()).put("to", petals.to());
            }
            case POINTS -> {
                AreaMotif.Points points = (AreaMotif.Points) motif;
                node.put("points", points.points()).put("inner", points.inner()).put("outer", points.outer());
            }
            case ECHOES -> {
                AreaMotif.Echoes echoes = (AreaMotif.Echoes) motif;
                node.put("echoes", echoes.echoes())
                        .put(SPACING, echoes.spacing())
                        .put("outside", echoes.outside());
            }
            default -> writeOverBlock(node, motif);
        }
    }

    private static void writeOverBlock(ObjectNode node, AreaMotif motif) {
        if (motif instanceof AreaMotif.Clamshells shells) {
            node.put("allowance", shells.allowance());
        } else if (motif instanceof AreaMotif.Peel peel) {
            node.put(ACROSS, peel.across()).put(DOWN, peel.down());
            peel.inner().ifPresent(inner -> node.put("inner", inner));
        } else if (motif instanceof AreaMotif.Circles circles) {
            node.put(ACROSS, circles.across()).put(DOWN, circles.down());
        } else if (motif instanceof AreaMotif.Crosshatch hatch) {
            node.put(SPACING, hatch.spacing());
            Degrees.put(node, "angleDegrees", hatch.angle());
        } else if (motif instanceof AreaMotif.CurvedHatch hatch) {
            node.put(SPACING, hatch.spacing());
        } else if (motif instanceof AreaMotif.Quarters quarters) {
            node.put("close", quarters.close()).put("wide", quarters.wide()).put("pieced", quarters.pieced());
        } else if (motif instanceof AreaMotif.CornerRays rays) {
            node.put("corner", Fields.name(rays.corner()));
            rays.petals().ifPresent(petals -> node.put("petals", petals));
            node.put(STOP, rays.stop()).put("margin", rays.margin());
        } else if (motif instanceof AreaMotif.Whirl whirl) {
            node.put("lines", whirl.lines()).put(SPACING, whirl.spacing()).put("sets", whirl.sets());
        } else {
            AreaMotif.StraightFans fans = (AreaMotif.StraightFans) motif;
            node.put(ACROSS, fans.across())
                    .put(DOWN, fans.down())
                    .put("lines", fans.lines())
                    .put(STOP, fans.stop());
        }
    }

    static AreaMotif read(Fields f) throws FileTrouble {
        AreaMotif.Kind kind = f.choice("motif", AreaMotif.Kind.class);
        return switch (kind) {
            case ARMS -> arms(f);
            case RINGS ->
                new AreaMotif.Rings(
                        distance(f, "first"),
                        optional(f, "gap"),
                        f.whole("rings", 1, AreaMotif.MOST),
                        f.choice("spokes", AreaMotif.Spokes.class));
            case WREATH -> new AreaMotif.Wreath(f.whole("circles", 3, AreaMotif.MOST_ARMS), optional(f, "out"));
            case PETALS -> petals(f);
            case POINTS -> points(f);
            case ECHOES ->
                new AreaMotif.Echoes(f.whole("echoes", 1, AreaMotif.MOST), distance(f, SPACING), f.flag("outside"));
            case CLAMSHELLS -> new AreaMotif.Clamshells(f.number("allowance", 0, AreaMotif.LARGEST));
            case PEEL -> new AreaMotif.Peel(squares(f, ACROSS), squares(f, DOWN), optional(f, "inner"));
            case CIRCLES -> new AreaMotif.Circles(squares(f, ACROSS), squares(f, DOWN));
            case CROSSHATCH -> new AreaMotif.Crosshatch(distance(f, SPACING), f.degrees("angleDegrees", 10, 170));
            case CURVED_HATCH -> new AreaMotif.CurvedHatch(distance(f, SPACING));
            case QUARTERS ->
                new AreaMotif.Quarters(distance(f, "close"), distance(f, "wide"), !f.has("pieced") || f.flag("pieced"));
            case CORNER_RAYS -> cornerRays(f);
            case WHIRL ->
                new AreaMotif.Whirl(f.whole("lines", 1, 9), distance(f, SPACING), f.whole("sets", 1, AreaMotif.MOST));
            case STRAIGHT_FANS ->
                new AreaMotif.StraightFans(
                        squares(f, ACROSS),
                        squares(f, DOWN),
                        f.whole("lines", 2, AreaMotif.MOST_ARMS),
                        distance(f, STOP));
        };
    }

    private static AreaMotif arms(Fields f) throws FileTrouble {
        double stop = f.number(STOP, 0, AreaMotif.LARGEST);
        boolean circled = f.has("circled") && f.flag("circled");
        if (circled && stop == 0) {
            throw f.trouble("circled", "arms that meet in the centre have no circle to stop on.");
        }
        return new AreaMotif.Arms(
                f.whole("arms", AreaMotif.FEWEST_ARMS, AreaMotif.MOST_ARMS),
                f.choice("way", AreaMotif.Way.class),
                stop,
                f.has("mirrored") && f.flag("mirrored"),
                f.optionalDegrees("turnDegrees", 0, 360).orElse(0),
                circled);
    }

    private static double distance(Fields f, String field) throws FileTrouble {
        return f.number(field, AreaMotif.CLOSEST, AreaMotif.LARGEST);
    }

    private static OptionalDouble optional(Fields f, String field) throws FileTrouble {
        return f.optionalNumber(field, AreaMotif.CLOSEST, AreaMotif.LARGEST);
    }

    private static int squares(Fields f, String field) throws FileTrouble {
        return f.whole(field, 1, AreaMotif.MOST);
    }

    private static AreaMotif petals(Fields f) throws FileTrouble {
        double from = f.number("from", 0, AreaMotif.LARGEST);
        double to = distance(f, "to");
        if (to <= from) {
            throw f.trouble("to", "petals end further out than they begin.");
        }
        return new AreaMotif.Petals(f.whole("petals", AreaMotif.FEWEST_ARMS, AreaMotif.MOST_ARMS), from, to);
    }

    private static AreaMotif points(Fields f) throws FileTrouble {
        double inner = distance(f, "inner");
        double outer = distance(f, "outer");
        if (outer <= inner) {
            throw f.trouble("outer", "tips lie further out than notches.");
        }
        return new AreaMotif.Points(f.whole("points", 3, AreaMotif.MOST_ARMS), inner, outer);
    }

    private static AreaMotif cornerRays(Fields f) throws FileTrouble {
        OptionalInt petals =
                f.has("petals") ? OptionalInt.of(f.whole("petals", 1, AreaMotif.MOST_ARMS - 1)) : OptionalInt.empty();
        if (petals.isPresent() && petals.getAsInt() % 2 == 0) {
            throw f.trouble("petals", "their number is odd, so that one stands on the far corner.");
        }
        return new AreaMotif.CornerRays(
                f.choice("corner", AreaMotif.Corner.class), petals, distance(f, STOP), distance(f, "margin"));
    }
}
