package jollyspindle.files.job;

import jollyspindle.core.code.Codes;
import jollyspindle.core.code.LastingNumbers;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifType;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.Side;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Optional;

/** From a file's fields to a design. */
public final class DesignReader {

    private DesignReader() {}

    public static Design read(Fields fields) throws FileTrouble {
        List<Layer> layers = layers(fields, "layers");
        EnumMap<Side, List<Layer>> sides = new EnumMap<>(Side.class);
        Optional<Fields> own = fields.optionalObject("sides");
        if (own.isPresent()) {
            for (Side side : Side.values()) {
                if (own.get().has(Codes.of(side))) {
                    sides.put(side, layers(own.get(), Codes.of(side)));
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
                Optional<Fields> one = single.get().optionalObject(Codes.of(side));
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
            layers.add(layer(one, layers.size() + 1));
            one.done();
        }
        if (layers.isEmpty()) {
            throw fields.trouble(field, "there should be at least one motif.");
        }
        return layers;
    }

    private static Layer layer(Fields fields, int place) throws FileTrouble {
        return new Layer(
                motif(fields),
                choice(fields, "edge", Layer.Edge.SEAM),
                choice(fields, "space", Layer.Space.ALL),
                choice(fields, "cells", Layer.Cells.EVERY),
                fields.optionalNumber("breathing", 0, Layer.MOST_BREATHING).orElse(0),
                fields.has("halfStep") && fields.flag("halfStep"),
                fields.optionalText("template"),
                fields.optionalText("guide"),
                fields.has("number") ? fields.whole("number", 1, LastingNumbers.MOST) : place);
    }

    private static <E extends Enum<E>> E choice(Fields fields, String field, E usual) throws FileTrouble {
        return fields.has(field) ? fields.choice(field, usual.getDeclaringClass()) : usual;
    }

    private static Motif motif(Fields fields) throws FileTrouble {
        String code = fields.oneOf(
                "motif", MotifTypes.ALL.stream().map(MotifType::code).toList());
        Params<? extends Motif> params = MotifTypes.of(code).orElseThrow().params();
        ParamFields.refuseOthers(fields, MotifTypes.ALL.stream().map(MotifType::params), params);
        return ParamFields.read(fields, params);
    }

    private static CornerDesign corner(Fields fields) throws FileTrouble {
        CornerDesign corner = ParamFields.read(fields, CornerDesign.PARAMS);
        fields.done();
        return corner;
    }
}
