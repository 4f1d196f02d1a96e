package jollyspindle.files.job;

import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifKind;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** From a file's fields to a design. */
public final class DesignReader {

    private DesignReader() {}

    public static Design read(Fields fields) throws FileTrouble {
        List<Layer> layers = layers(fields, "layers");
        EnumMap<Side, List<Layer>> sides = new EnumMap<>(Side.class);
        Optional<Fields> own = fields.optionalObject("sides");
        if (own.isPresent()) {
            for (Side side : Side.values()) {
                if (own.get().has(Words.name(side))) {
                    sides.put(side, layers(own.get(), Words.name(side)));
                }
            }
            own.get().done();
        }
        Optional<Fields> everywhere = fields.optionalObject("corner");
        CornerDesign corner = everywhere.isPresent() ? corner(everywhere.get()) : CornerDesign.plain();
        EnumMap<Side, CornerDesign> corners = new EnumMap<>(Side.class);
        Optional<Fields> single = fields.optionalObject("corners");
        if (single.isPresent()) {
            for (Side side : Side.values()) {
                Optional<Fields> one = single.get().optionalObject(Words.name(side));
                if (one.isPresent()) {
                    corners.put(side, corner(one.get()));
                }
            }
            single.get().done();
        }
        return new Design(layers, sides, corner, corners);
    }

    private static List<Layer> layers(Fields fields, String field) throws FileTrouble {
        List<Layer> layers = new ArrayList<>();
        for (Fields one : fields.objects(field, Design.MOST_LAYERS)) {
            layers.add(layer(one));
            one.done();
        }
        if (layers.isEmpty()) {
            throw fields.trouble(field, "there should be at least one motif.");
        }
        return layers;
    }

    private static Layer layer(Fields fields) throws FileTrouble {
        return new Layer(
                motif(fields),
                choice(fields, "edge", Layer.Edge.SEAM),
                choice(fields, "space", Layer.Space.ALL),
                choice(fields, "cells", Layer.Cells.EVERY),
                fields.optionalText("template"),
                fields.optionalText("guide"));
    }

    private static <E extends Enum<E>> E choice(Fields fields, String field, E usual) throws FileTrouble {
        return fields.has(field) ? fields.choice(field, usual.getDeclaringClass()) : usual;
    }

    private static Motif motif(Fields fields) throws FileTrouble {
        MotifKind kind = fields.choice("motif", MotifKind.class);
        try {
            return switch (kind) {
                case ARCS -> arcs(fields);
                case FACING_ARCS ->
                    new Motif.FacingArcs(
                            fields.choice("facing", Motif.Facing.class),
                            fields.optionalNumber("channel", -Motif.FARTHEST, Motif.FARTHEST),
                            distance(fields, "inset"),
                            flag(fields, "crownLines"),
                            flag(fields, "valleyLines"),
                            fields.optionalText("otherTemplate"),
                            whole(fields, "passes", 1, Motif.MOST_PASSES, 1));
                case SAILS -> new Motif.Sails(fields.whole("echoes", 0, Motif.MOST_LINES), needed(fields, "spacing"));
                case FANS ->
                    new Motif.Fans(fields.whole("blades", 1, Motif.MOST_LINES), whole(fields, "rows", 1, 6, 1));
                case CIRCLES ->
                    new Motif.Circles(
                            fields.optionalNumber("gap", 0, Motif.WIDEST).orElse(0),
                            whole(fields, "halfTurns", 2, 6, 3),
                            choice(fields, "turning", Motif.Turning.SAME),
                            flag(fields, "swirl"));
                case SERPENTINE ->
                    new Motif.Serpentine(whole(fields, "perRepeat", 1, Motif.MOST_LINES, 1), flag(fields, "mirrored"));
                case CHEVRONS ->
                    new Motif.Chevrons(
                            choice(fields, "points", Motif.Points.PEAKS),
                            distance(fields, "height"),
                            fields.optionalNumber("rounding", 0, Motif.WIDEST).orElse(0),
                            whole(fields, "lines", 1, Motif.MOST_LINES, 1),
                            distance(fields, "spacing").orElse(0.5));
                case STRAIGHT_LINES ->
                    new Motif.StraightLines(whole(fields, "perRepeat", 1, Motif.MOST_LINES, 1), angle(fields));
                case CROSSHATCH ->
                    new Motif.Crosshatch(needed(fields, "spacing"), angle(fields), flag(fields, "curved"));
            };
        } catch (IllegalArgumentException e) {
            throw fields.trouble("motif", e.getMessage() + ".");
        }
    }

    private static Motif arcs(Fields fields) throws FileTrouble {
        Motif.Arcs usual = Motif.Arcs.single();
        return new Motif.Arcs(
                choice(fields, "inner", usual.inner()),
                whole(fields, "lines", 1, Motif.MOST_LINES, 1),
                distance(fields, "step").orElse(usual.step()),
                fields.has("rises")
                        ? fields.numbers("rises", Motif.CLOSEST, Motif.FARTHEST, Motif.MOST_LINES)
                        : List.of(),
                fields.optionalText("otherTemplate"),
                whole(fields, "passes", 1, Motif.MOST_PASSES, 1));
    }

    private static double needed(Fields fields, String field) throws FileTrouble {
        return fields.number(field, Motif.CLOSEST, Motif.FARTHEST);
    }

    private static OptionalDouble distance(Fields fields, String field) throws FileTrouble {
        return fields.optionalNumber(field, Motif.CLOSEST, Motif.FARTHEST);
    }

    private static double angle(Fields fields) throws FileTrouble {
        return fields.optionalDegrees("angleDegrees", 10, 170).orElse(Math.PI / 2);
    }

    private static boolean flag(Fields fields, String field) throws FileTrouble {
        return fields.has(field) && fields.flag(field);
    }

    private static int whole(Fields fields, String field, int least, int most, int usual) throws FileTrouble {
        return fields.has(field) ? fields.whole(field, least, most) : usual;
    }

    private static CornerDesign corner(Fields fields) throws FileTrouble {
        CornerDesign corner = new CornerDesign(
                choice(fields, "kind", CornerDesign.Kind.PLAIN),
                fields.optionalText("template"),
                fields.optionalText("guide"),
                fields.optionalNumber("feet", CornerDesign.NEAREST_FEET, CornerDesign.FARTHEST_FEET),
                whole(fields, "lines", 1, Motif.MOST_LINES, 1),
                flag(fields, "fromOuter"),
                fields.has("asks") ? fields.choice("asks", CornerAsk.class) : CornerAsk.NOTHING,
                fields.has("closing")
                        ? fields.choice("closing", CornerDesign.Closing.class)
                        : CornerDesign.Closing.DIAMOND);
        fields.done();
        return corner;
    }
}
