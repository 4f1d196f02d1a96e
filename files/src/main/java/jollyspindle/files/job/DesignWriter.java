package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.quilt.Side;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.List;
import java.util.Map;

/** From a design to a file's fields. What is as usual isn't written. */
public final class DesignWriter {

    private DesignWriter() {}

    public static void write(ObjectNode node, Design design) {
        ArrayNode layers = node.putArray("layers");
        layers(layers, design.layers());
        if (!design.sides().isEmpty()) {
            ObjectNode sides = node.putObject("sides");
            design.sides().forEach((side, own) -> layers(sides.putArray(Codes.of(side)), own));
        }
        if (!design.corner().equals(CornerDesign.plain())) {
            ParamFields.write(node.putObject("corner"), CornerDesign.PARAMS, design.corner());
        }
        if (!design.corners().isEmpty()) {
            ObjectNode corners = node.putObject("corners");
            for (Map.Entry<Side, CornerDesign> one : design.corners().entrySet()) {
                ParamFields.write(corners.putObject(Codes.of(one.getKey())), CornerDesign.PARAMS, one.getValue());
            }
        }
    }

    private static void layers(ArrayNode array, List<Layer> layers) {
        for (Layer layer : layers) {
            int place = array.size() + 1;
            ObjectNode node = array.addObject();
            layer(node, layer);
            if (layer.number() != place) {
                node.put("number", layer.number());
            }
        }
    }

    private static void layer(ObjectNode node, Layer layer) {
        node.put("motif", MotifTypes.of(layer.motif()).code());
        if (layer.edge() != Layer.Edge.SEAM) {
            node.put("edge", Fields.name(layer.edge()));
        }
        if (layer.space() != Layer.Space.ALL) {
            node.put("space", Fields.name(layer.space()));
        }
        if (layer.cells() != Layer.Cells.EVERY) {
            node.put("cells", Fields.name(layer.cells()));
        }
        if (layer.breathing() > 0) {
            node.put("breathing", layer.breathing());
        }
        if (layer.halfStep()) {
            node.put("halfStep", true);
        }
        layer.templateId().ifPresent(id -> node.put("template", id));
        layer.guideId().ifPresent(id -> node.put("guide", id));
        motif(node, layer.motif());
    }

    private static <M extends Motif> void motif(ObjectNode node, M motif) {
        ParamFields.write(node, MotifTypes.of(motif).params(), motif);
    }
}
