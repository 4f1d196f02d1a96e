package jollyspindle.files.planjson;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.Ray;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;

import java.util.List;

import static jollyspindle.files.planjson.Values.degrees;
import static jollyspindle.files.planjson.Values.name;
import static jollyspindle.files.planjson.Values.number;
import static jollyspindle.files.planjson.Values.path;
import static jollyspindle.files.planjson.Values.point;

/** Writes the plan of one area. */
record AreaJson(PlanJson all, Words words, QuiltJob job, AreaPlan area) {

    void write(ObjectNode node) {
        node.put("id", area.id().code());
        node.put("name", AreaWords.name(area.id(), job.quilt()));
        AreaDesign design = job.design(area.id());
        ArrayNode pieces = node.putArray("pieces");
        area.pieces().forEach(piece -> {
            ObjectNode one = pieces.addObject();
            one.put("number", piece.number()).put("letter", String.valueOf(piece.letter()));
            point(one.putArray("centre"), piece.cloth().centre());
            path(one.putArray("edge"), piece.cloth().seam());
            paths(one, "seams", piece.cloth().seams());
            paths(one, "keptClear", piece.cloth().keptClear());
            paths(one, "drawn", piece.cloth().drawn());
        });
        node.put("starts", area.starts());
        number(node, "travelled", area.travelled());
        ArrayNode letters = node.putArray("letters");
        for (int i = 0; i < design.parts().size(); i++) {
            letter(letters.addObject(), (char) ('A' + i), design.parts().get(i));
        }
        ArrayNode marks = node.putArray("marks");
        area.marks().forEach(m -> all.mark(marks.addObject(), m));
        ArrayNode lines = node.putArray("lines");
        area.lines().forEach(l -> PlanJson.line(lines.addObject(), l));
        all.placements(area.placements(), node.putArray("placements"));
        ArrayNode travels = node.putArray("travels");
        area.travels().forEach(t -> {
            ObjectNode one = travels.addObject();
            one.put("to", t.to().code()).put("how", name(t.how()));
            path(one.putArray("curves"), t.path());
        });
    }

    private static void paths(ObjectNode node, String name, List<Path> paths) {
        ArrayNode all = node.putArray(name);
        paths.forEach(p -> path(all.addArray(), p));
    }

    private void letter(ObjectNode node, char letter, AreaDesign.Part part) {
        AreaWords said = new AreaWords(words);
        node.put("letter", String.valueOf(letter));
        ArrayNode layers = node.putArray("layers");
        part.layers().forEach(l -> layers.addObject()
                .put("kind", AreaMotifTypes.of(l.motif()).code())
                .put("motif", AreaWords.name(l.motif()))
                .put("text", said.text(l.motif())));
        area.sums().stream().filter(s -> s.letter() == letter).findFirst().ifPresent(sum -> {
            node.put("blocks", sum.blocks())
                    .put("lines", sum.lines())
                    .put("placements", sum.placements())
                    .put("starts", sum.starts());
            number(node, "stitchedLength", sum.stitched());
            number(node, "travelled", sum.travelled());
        });
        ArrayNode rays = node.putArray("rays");
        area.rays(letter).forEach(ray -> ray(rays.addObject(), ray));
        area.turning(letter).flatMap(AreaPlan.Turning::stepping).ifPresent(s -> {
            ObjectNode stepping = node.putObject("stepping");
            number(stepping, "radius", s.radius());
            number(stepping, "chord", s.chord());
        });
    }

    private void ray(ObjectNode node, Ray ray) {
        node.put("number", ray.number());
        ray.from().ifPresent(corner -> node.put("from", name(corner)));
        degrees(node, "angleDegrees", ray.angle());
        node.put("found", name(ray.found()));
        node.put("side", Words.name(ray.side()));
        number(node, "fromMiddle", ray.fromMiddle());
        node.put("text", new AreaWords(words).text(ray));
    }
}
