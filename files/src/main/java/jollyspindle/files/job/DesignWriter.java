package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;
import jollyspindle.files.json.Degrees;
import jollyspindle.files.json.Fields;

import java.util.Map;

/** From a design to a file's fields. What is as usual isn't written. */
public final class DesignWriter {

    private DesignWriter() {}

    public static void write(ObjectNode node, Design design) {
        ArrayNode layers = node.putArray("layers");
        design.layers().forEach(layer -> layer(layers.addObject(), layer));
        if (!design.sides().isEmpty()) {
            ObjectNode sides = node.putObject("sides");
            design.sides().forEach((side, own) -> {
                ArrayNode array = sides.putArray(Words.name(side));
                own.forEach(layer -> layer(array.addObject(), layer));
            });
        }
        if (!design.corner().equals(CornerDesign.plain())) {
            corner(node.putObject("corner"), design.corner());
        }
        if (!design.corners().isEmpty()) {
            ObjectNode corners = node.putObject("corners");
            for (Map.Entry<Side, CornerDesign> one : design.corners().entrySet()) {
                corner(corners.putObject(Words.name(one.getKey())), one.getValue());
            }
        }
    }

    private static void layer(ObjectNode node, Layer layer) {
        node.put("motif", Fields.name(layer.motif().kind()));
        if (layer.edge() != Layer.Edge.SEAM) {
            node.put("edge", Fields.name(layer.edge()));
        }
        if (layer.space() != Layer.Space.ALL) {
            node.put("space", Fields.name(layer.space()));
        }
        if (layer.cells() != Layer.Cells.EVERY) {
            node.put("cells", Fields.name(layer.cells()));
        }
        layer.templateId().ifPresent(id -> node.put("template", id));
        layer.guideId().ifPresent(id -> node.put("guide", id));
        motif(node, layer.motif());
    }

    private static void motif(ObjectNode node, Motif motif) {
        if (motif instanceof Motif.Arcs arcs) {
            Motif.Arcs usual = Motif.Arcs.single();
            boolean more = arcs.lines() > 1;
            // What a single line doesn't need yet was chosen all the same, and waits for the next line.
            if (more || arcs.inner() != usual.inner()) {
                node.put("inner", Fields.name(arcs.inner()));
            }
            if (more) {
                node.put("lines", arcs.lines());
            }
            if (more || arcs.step() != usual.step()) {
                node.put("step", arcs.step());
            }
            if (!arcs.rises().isEmpty()) {
                ArrayNode rises = node.putArray("rises");
                arcs.rises().forEach(rises::add);
            }
            arcs.otherTemplate().ifPresent(id -> node.put("otherTemplate", id));
            passes(node, arcs.passes());
        } else if (motif instanceof Motif.FacingArcs facing) {
            node.put("facing", Fields.name(facing.facing()));
            facing.channel().ifPresent(inches -> node.put("channel", inches));
            facing.inset().ifPresent(inches -> node.put("inset", inches));
            node.put("crownLines", facing.crownLines());
            node.put("valleyLines", facing.valleyLines());
            facing.otherTemplate().ifPresent(id -> node.put("otherTemplate", id));
            passes(node, facing.passes());
        } else if (motif instanceof Motif.Sails sails) {
            node.put("echoes", sails.echoes()).put("spacing", sails.spacing());
        } else if (motif instanceof Motif.Fans fans) {
            node.put("blades", fans.blades()).put("rows", fans.rows());
        } else if (motif instanceof Motif.Circles circles) {
            node.put("gap", circles.gap())
                    .put("halfTurns", circles.halfTurns())
                    .put("turning", Fields.name(circles.turning()))
                    .put("swirl", circles.swirl());
        } else if (motif instanceof Motif.Serpentine serpentine) {
            node.put("perRepeat", serpentine.perRepeat()).put("mirrored", serpentine.mirrored());
        } else if (motif instanceof Motif.Chevrons chevrons) {
            node.put("points", Fields.name(chevrons.points()));
            chevrons.height().ifPresent(inches -> node.put("height", inches));
            node.put("rounding", chevrons.rounding())
                    .put("lines", chevrons.lines())
                    .put("spacing", chevrons.spacing());
        } else if (motif instanceof Motif.StraightLines lines) {
            node.put("perRepeat", lines.perRepeat());
            Degrees.put(node, "angleDegrees", lines.angle());
        } else if (motif instanceof Motif.Crosshatch hatch) {
            node.put("spacing", hatch.spacing());
            Degrees.put(node, "angleDegrees", hatch.angle());
            node.put("curved", hatch.curved());
        }
    }

    private static void passes(ObjectNode node, int passes) {
        if (passes > 1) {
            node.put("passes", passes);
        }
    }

    private static void corner(ObjectNode node, CornerDesign corner) {
        node.put("kind", Fields.name(corner.kind()));
        corner.templateId().ifPresent(id -> node.put("template", id));
        corner.guideId().ifPresent(id -> node.put("guide", id));
        corner.feet().ifPresent(inches -> node.put("feet", inches));
        if (corner.lines() > 1) {
            node.put("lines", corner.lines());
        }
        if (corner.fromOuter()) {
            node.put("fromOuter", true);
        }
        if (corner.ask() != CornerAsk.NOTHING) {
            node.put("asks", Fields.name(corner.ask()));
        }
        if (corner.closing() != CornerDesign.Closing.DIAMOND) {
            node.put("closing", Fields.name(corner.closing()));
        }
    }
}
