package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.code.LastingNumbers;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/** Reads and writes what is stitched in the areas of the body. */
final class AreaDesigns {

    private static final String FIELD = "areaDesigns";
    private static final String LAYERS = "layers";
    private static final String PARTS = "parts";
    private static final String LETTERS = "letters";

    private AreaDesigns() {}

    static void write(ObjectNode root, Map<AreaId, AreaDesign> designs) {
        if (designs.isEmpty()) {
            return;
        }
        ArrayNode all = root.putArray(FIELD);
        designs.forEach((id, design) -> {
            ObjectNode node = all.addObject();
            node.put("area", id.code());
            if (design.parts().size() == 1) {
                layers(node, design.parts().get(0));
            } else {
                ArrayNode parts = node.putArray(PARTS);
                design.parts().forEach(part -> layers(parts.addObject(), part));
            }
            if (!design.letters().isEmpty()) {
                ArrayNode letters = node.putArray(LETTERS);
                design.letters().forEach(letters::add);
            }
        });
    }

    private static void layers(ObjectNode node, AreaDesign.Part part) {
        ArrayNode layers = node.putArray(LAYERS);
        part.layers().forEach(layer -> {
            ObjectNode one = layers.addObject();
            AreaMotifs.write(one, layer.motif());
            layer.templateId().ifPresent(id -> one.put("template", id));
            if (layer.number() != layers.size()) {
                one.put("number", layer.number());
            }
        });
    }

    static SortedMap<AreaId, AreaDesign> read(Fields root, Quilt quilt) throws FileTrouble {
        TreeMap<AreaId, AreaDesign> designs = new TreeMap<>();
        if (!root.has(FIELD)) {
            return designs;
        }
        for (Fields node : root.objects(FIELD, quilt.areas().size())) {
            String code = node.text("area");
            AreaId id = AreaId.parse(code)
                    .filter(a -> quilt.area(a).isPresent())
                    .orElseThrow(() -> node.trouble("area", FileTexts.say("job.no-area", "area", code)));
            List<AreaDesign.Part> parts = new ArrayList<>();
            if (node.has(PARTS)) {
                for (Fields part : node.objects(PARTS, AreaDesign.MOST_PARTS)) {
                    parts.add(part(part));
                    part.done();
                }
            }
            if (parts.isEmpty()) {
                parts.add(part(node));
            }
            designs.put(id, design(node, parts));
            node.done();
        }
        return designs;
    }

    private static AreaDesign design(Fields node, List<AreaDesign.Part> parts) throws FileTrouble {
        List<String> letters = node.has(LETTERS) ? node.texts(LETTERS, Area.MOST) : List.of();
        try {
            return new AreaDesign(parts, letters);
        } catch (IllegalArgumentException e) {
            throw node.trouble(LETTERS, FileTexts.say("job.area-there", "what", e.getMessage()));
        }
    }

    private static AreaDesign.Part part(Fields node) throws FileTrouble {
        List<AreaDesign.Layer> layers = new ArrayList<>();
        for (Fields layer : node.objects(LAYERS, AreaDesign.MOST_LAYERS)) {
            layers.add(new AreaDesign.Layer(
                    AreaMotifs.read(layer),
                    layer.optionalText("template"),
                    layer.has("number") ? layer.whole("number", 1, LastingNumbers.MOST) : layers.size() + 1));
            layer.done();
        }
        return new AreaDesign.Part(layers);
    }
}
