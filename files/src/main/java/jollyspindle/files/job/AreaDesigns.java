package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Quilt;
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

    /** What motifs are called in files. */
    private enum Kind {
        ARMS,
        RINGS,
        CLAMSHELLS,
        PEEL,
        CROSSHATCH,
        QUARTERS
    }

    private AreaDesigns() {}

    static void write(ObjectNode root, Map<AreaId, AreaDesign> designs) {
        if (designs.isEmpty()) {
            return;
        }
        ArrayNode all = root.putArray(FIELD);
        designs.forEach((id, design) -> {
            ObjectNode node = all.addObject();
            node.put("area", id.code());
            ArrayNode layers = node.putArray("layers");
            design.layers().forEach(layer -> layer(layers.addObject(), layer));
        });
    }

    private static void layer(ObjectNode node, AreaDesign.Layer layer) {
        AreaMotif motif = layer.motif();
        if (motif instanceof AreaMotif.Arms arms) {
            node.put("motif", Fields.name(Kind.ARMS));
            node.put("arms", arms.arms()).put("way", Fields.name(arms.way())).put("stop", arms.stop());
        } else if (motif instanceof AreaMotif.Rings rings) {
            node.put("motif", Fields.name(Kind.RINGS));
            node.put("first", rings.first()).put("gap", rings.gap()).put("rings", rings.rings());
            node.put("spokes", Fields.name(rings.spokes()));
        } else if (motif instanceof AreaMotif.Clamshells shells) {
            node.put("motif", Fields.name(Kind.CLAMSHELLS)).put("allowance", shells.allowance());
        } else if (motif instanceof AreaMotif.Peel peel) {
            node.put("motif", Fields.name(Kind.PEEL))
                    .put("across", peel.across())
                    .put("down", peel.down());
        } else if (motif instanceof AreaMotif.Quarters quarters) {
            node.put("motif", Fields.name(Kind.QUARTERS))
                    .put("close", quarters.close())
                    .put("wide", quarters.wide());
        } else {
            AreaMotif.Crosshatch hatch = (AreaMotif.Crosshatch) motif;
            node.put("motif", Fields.name(Kind.CROSSHATCH)).put("spacing", hatch.spacing());
            // What was typed in degrees stays that number.
            node.put("angleDegrees", Math.rint(Math.toDegrees(hatch.angle()) * 1e9) / 1e9);
        }
        layer.templateId().ifPresent(id -> node.put("template", id));
    }

    static SortedMap<AreaId, AreaDesign> read(Fields root, Quilt quilt) throws FileTrouble {
        TreeMap<AreaId, AreaDesign> designs = new TreeMap<>();
        if (!root.has(FIELD)) {
            return designs;
        }
        for (Fields node : root.objects(FIELD, quilt.areas().size())) {
            String code = node.text("area");
            AreaId id = AreaId.parse(code)
                    .filter(a -> a.number() <= quilt.areas().size())
                    .orElseThrow(() -> node.trouble("area", "the quilt has no " + code + "."));
            List<AreaDesign.Layer> layers = new ArrayList<>();
            for (Fields layer : node.objects("layers", AreaDesign.MOST_LAYERS)) {
                layers.add(new AreaDesign.Layer(motif(layer), layer.optionalText("template")));
                layer.done();
            }
            node.done();
            designs.put(id, new AreaDesign(layers));
        }
        return designs;
    }

    private static AreaMotif motif(Fields f) throws FileTrouble {
        return switch (f.choice("motif", Kind.class)) {
            case ARMS ->
                new AreaMotif.Arms(
                        f.whole("arms", AreaMotif.FEWEST_ARMS, AreaMotif.MOST_ARMS),
                        f.choice("way", AreaMotif.Way.class),
                        f.number("stop", 0, AreaMotif.LARGEST));
            case RINGS ->
                new AreaMotif.Rings(
                        f.number("first", AreaMotif.CLOSEST, AreaMotif.LARGEST),
                        f.number("gap", AreaMotif.CLOSEST, AreaMotif.LARGEST),
                        f.whole("rings", 1, AreaMotif.MOST),
                        f.choice("spokes", AreaMotif.Spokes.class));
            case CLAMSHELLS -> new AreaMotif.Clamshells(f.number("allowance", 0, AreaMotif.LARGEST));
            case PEEL -> new AreaMotif.Peel(f.whole("across", 1, AreaMotif.MOST), f.whole("down", 1, AreaMotif.MOST));
            case QUARTERS ->
                new AreaMotif.Quarters(
                        f.number("close", AreaMotif.CLOSEST, AreaMotif.LARGEST),
                        f.number("wide", AreaMotif.CLOSEST, AreaMotif.LARGEST));
            case CROSSHATCH ->
                new AreaMotif.Crosshatch(
                        f.number("spacing", AreaMotif.CLOSEST, AreaMotif.LARGEST),
                        Math.toRadians(f.number("angleDegrees", 10, 170)));
        };
    }
}
