package jollyspindle.files.shelf;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.CornerForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SerpentineStrip;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.StraightEdge;
import jollyspindle.core.shelf.form.TurnedArm;
import jollyspindle.files.json.Degrees;
import jollyspindle.files.json.Fields;

import java.util.List;

/** From templates and machines to fields. */
public final class TemplateWriter {

    static final String IN_HOLE = "in-hole";
    static final String ROUND_DISC = "round-disc";
    static final String ALONG_EDGE = "along-edge";

    private TemplateWriter() {}

    public static void templates(ArrayNode list, List<Template> templates) {
        templates.forEach(t -> template(list.addObject(), t));
    }

    private static void template(ObjectNode node, Template template) {
        node.put("id", template.id());
        node.put("name", template.name());
        node.put("kind", Fields.name(template.kind()));
        form(node.putObject("form"), template.form());
        ObjectNode label = node.putObject("label");
        label.put("size", Fields.name(template.label().printed()));
        label.put("means", Fields.name(template.label().convention()));
        if (template.gap() > 0) {
            node.put("gap", template.gap());
        }
        ArrayNode lines = node.putArray("lines");
        template.lines().forEach(line -> line(lines.addObject(), line));
        ObjectNode material = node.putObject("material");
        material.put("thickness", template.material().thickness());
        material.put("name", template.material().name());
        material.put("tint", Fields.name(template.material().tint()));
        if (!template.notes().isEmpty()) {
            node.put("notes", template.notes());
        }
        template.checked().ifPresent(check -> node.putObject("checked")
                .put("date", check.date().toString())
                .put("footRadius", check.footRadius())
                .put("measured", check.measured()));
        if (template.retired()) {
            node.put("retired", true);
        }
    }

    private static void line(ObjectNode node, EngravedLine line) {
        node.put("kind", Fields.name(line.kind()));
        if (line.kind() == EngravedLine.Kind.REFERENCE) {
            Degrees.put(node, "degrees", line.value());
        } else if (line.kind() != EngravedLine.Kind.CENTRE) {
            node.put("value", line.value());
            node.put("means", Fields.name(line.convention()));
        }
    }

    private static void form(ObjectNode node, Form form) {
        if (form instanceof ArcForm arc) {
            arc.bulging().ifPresent(v -> node.put("bulging", v));
            arc.hollow().ifPresent(v -> node.put("hollow", v));
            Degrees.put(node, "usableSweepDegrees", arc.usableSweep());
            if (arc.legs() > 0) {
                node.put("legs", arc.legs());
            }
            if (arc.halfCircle()) {
                node.put("halfCircle", true);
            }
            node.put("depth", arc.depth());
        } else if (form instanceof CircleForm circle) {
            node.put("cutting", Fields.name(circle.cutting()));
            sizes(node, circle.sizes());
            node.put("rim", circle.rim());
        } else if (form instanceof SlottedCircles slots) {
            sizes(node, slots.sizes());
            node.put("slotWidth", slots.slotWidth());
            Degrees.put(node, "sweepDegrees", slots.sweep());
        } else if (form instanceof SlottedFan fan) {
            sizes(node, fan.sizes());
            node.put("slotWidth", fan.slotWidth());
            Degrees.put(node, "sweepDegrees", fan.sweep());
            Degrees.put(node, "legAngleDegrees", fan.legAngle());
        } else if (form instanceof ScallopRow row) {
            node.put("bumps", row.bumps()).put("width", row.width()).put("depth", row.depth());
        } else if (form instanceof StraightEdge edge) {
            node.put("length", edge.length()).put("width", edge.width()).put("notch", edge.notch());
        } else if (form instanceof CornerForm corner) {
            Degrees.put(node, "angleDegrees", corner.angle());
            node.put("arm", corner.arm()).put("width", corner.width());
        } else if (form instanceof SerpentineStrip strip) {
            node.put("module", strip.module()).put("height", strip.height());
            node.put("waves", strip.waves()).put("depth", strip.depth());
        } else if (form instanceof ChevronStrip strip) {
            node.put("module", strip.module());
            Degrees.put(node, "angleDegrees", strip.angle());
            node.put("tips", strip.tips()).put("depth", strip.depth());
        } else if (form instanceof TurnedArm arm) {
            figure(node, arm.figure());
            node.put("reach", arm.reach()).put("hook", arm.hook()).put("width", arm.width());
        } else if (form instanceof OutlineForm outline) {
            node.put("window", outline.window());
            OutlineFields.write(node, outline.corners());
        }
    }

    private static void figure(ObjectNode node, TurnedArm.Figure figure) {
        if (figure instanceof TurnedArm.Wave wave) {
            node.put("figure", "wave").put("bend", wave.bend()).put("waves", wave.waves());
        } else if (figure instanceof TurnedArm.Spiral spiral) {
            node.put("figure", "spiral");
            Degrees.put(node, "turnDegrees", spiral.turn());
        } else {
            node.put("figure", "petal").put("rise", ((TurnedArm.Petal) figure).rise());
        }
    }

    private static void sizes(ObjectNode node, List<Double> sizes) {
        ArrayNode list = node.putArray("sizes");
        sizes.forEach(list::add);
    }

    /** A machine: its foot, and what it was measured from. */
    public static void machine(ObjectNode node, Machine machine) {
        node.put("footRadius", machine.footRadius());
        node.put("footType", Fields.name(machine.footType()));
        if (!machine.measured().isEmpty()) {
            ArrayNode measured = node.putArray("measured");
            machine.measured().forEach(m -> measurement(measured.addObject(), m));
        }
    }

    private static void measurement(ObjectNode node, FootMeasurement m) {
        if (m instanceof FootMeasurement.InHole in) {
            node.put("how", IN_HOLE).put("hole", in.hole()).put("stitched", in.stitched());
        } else if (m instanceof FootMeasurement.RoundDisc round) {
            node.put("how", ROUND_DISC).put("disc", round.disc()).put("stitched", round.stitched());
        } else {
            node.put("how", ALONG_EDGE).put("distance", ((FootMeasurement.AlongEdge) m).distance());
        }
    }
}
