package jollyspindle.files.planjson;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.shelf.Find;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.shelf.TemplateInspector;
import jollyspindle.core.words.DiagnosticWords;
import jollyspindle.core.words.FindWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;

import java.util.List;

import static jollyspindle.files.planjson.Values.degrees;
import static jollyspindle.files.planjson.Values.name;
import static jollyspindle.files.planjson.Values.number;
import static jollyspindle.files.planjson.Values.rounded;

/** Writes what templates stitch, and which one does what is wanted, as JSON for scripts. */
public final class ShelfJson {

    private final Machine machine;
    private final Words words;
    private final ShelfWords shelfWords;

    private ShelfJson(Machine machine, TapeScale tape) {
        this.machine = machine;
        this.words = new Words(tape);
        this.shelfWords = new ShelfWords(words);
    }

    /** What templates stitch on a machine, as JSON text that ends in a line break. */
    public static String format(List<Template> templates, Machine machine, TapeScale tape) {
        ShelfJson json = new ShelfJson(machine, tape);
        ObjectNode root = json.begin("jolly-spindle-stitching");
        ArrayNode list = root.putArray("templates");
        templates.forEach(t -> json.template(list.addObject(), t));
        return root.toPrettyString() + "\n";
    }

    /** Which templates do what is wanted, as JSON text that ends in a line break. */
    public static String format(Find find, Machine machine, TapeScale tape) {
        ShelfJson json = new ShelfJson(machine, tape);
        ObjectNode root = json.begin("jolly-spindle-find");
        wanted(root.putObject("wanted"), find.wanted());
        ArrayNode matches = root.putArray("matches");
        find.matches().forEach(m -> json.match(matches.addObject(), m));
        find.missing().ifPresent(m -> json.missing(root.putObject("missing"), m));
        return root.toPrettyString() + "\n";
    }

    private ObjectNode begin(String format) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", format).put("version", 1);
        ObjectNode node = root.putObject("machine");
        number(node, "footRadius", machine.footRadius());
        node.put("footType", name(machine.footType()));
        return root;
    }

    // --- what a template stitches --------------------------------------------------------------------------------

    private void template(ObjectNode node, Template template) {
        Stitching stitching = Stitching.of(template, machine);
        node.put("id", template.id());
        node.put("name", template.name());
        node.put("kind", name(template.kind()));
        node.put("marked", shelfWords.marked(template));
        node.put("retired", template.retired());
        node.put("summary", shelfWords.summary(stitching));
        ArrayNode facts = node.putArray("facts");
        stitching.facts().forEach(f -> fact(facts.addObject(), f));
        ArrayNode concerns = node.putArray("concerns");
        TemplateInspector.inspect(template, machine).forEach(c -> concern(concerns.addObject(), c));
        ArrayNode lines = node.putArray("lines");
        for (Stitching.Line line : stitching.lines()) {
            ObjectNode one = lines.addObject();
            one.put("guide", line.guide().id());
            one.put("edge", ShelfWords.edge(line.guide()));
            ArrayNode paths = one.putArray("paths");
            for (Path path : line.paths()) {
                Values.path(paths.addArray(), path);
            }
        }
    }

    private void concern(ObjectNode node, TemplateDiagnostic concern) {
        node.put("code", Codes.ofKind(concern));
        node.put("prevents", concern.stops());
        node.put("text", new DiagnosticWords(words).text(concern));
    }

    private void fact(ObjectNode node, StitchFact fact) {
        node.put("fact", Codes.ofKind(fact));
        if (fact instanceof StitchFact.Round f) {
            node.put("guide", f.guide().id());
            number(node, "radius", f.radius());
            number(node, "diameter", 2 * f.radius());
            degrees(node, "sweepDegrees", f.sweep());
        } else if (fact instanceof StitchFact.SameCurve f) {
            number(node, "radius", f.radius());
        } else if (fact instanceof StitchFact.SpanAndRise f) {
            node.put("guide", f.guide().id());
            number(node, "line", f.line().value());
            number(node, "span", f.span());
            number(node, "rise", f.rise());
            degrees(node, "sweepDegrees", f.sweep());
            node.put("placements", f.placements());
        } else if (fact instanceof StitchFact.Lowered f) {
            number(node, "fromLine", f.from().value());
            number(node, "toLine", f.to().value());
            number(node, "crownGap", f.crownGap());
            number(node, "footGap", f.footGap());
        } else if (fact instanceof StitchFact.FanSet f) {
            number(node, "pitch", f.pitch());
            degrees(node, "leastSweepDegrees", f.leastSweep());
            degrees(node, "mostSweepDegrees", f.mostSweep());
            node.put("swivels", f.swivels());
            number(node, "secondRow", f.secondRow());
        } else if (fact instanceof StitchFact.ArmSteps f) {
            node.put("arms", f.arms());
            degrees(node, "stepDegrees", f.step());
            number(node, "tipGap", f.tipGap());
            number(node, "tipArc", f.tipArc());
        } else if (fact instanceof StitchFact.CircleUse f) {
            node.put("guide", f.guide().id());
            number(node, "grid", f.grid());
            node.put("stitches", f.stitches());
            node.put("onceAndAHalf", f.onceAndAHalf());
        } else if (fact instanceof StitchFact.Arch f) {
            number(node, "span", f.span());
            number(node, "rise", f.rise());
        } else if (fact instanceof StitchFact.Echo f) {
            node.put("guide", f.guide().id());
            number(node, "lineFromEdge", f.lineFromEdge());
            number(node, "spacing", f.spacing());
            number(node, "seen", f.seen());
            number(node, "walkAt45Degrees", f.walk(Math.PI / 4));
        } else if (fact instanceof StitchFact.Play f) {
            number(node, "play", f.play());
            number(node, "drift", f.drift());
        } else if (fact instanceof StitchFact.RingGap f) {
            number(node, "gap", f.gap());
        } else if (fact instanceof StitchFact.SharpPoint f) {
            degrees(node, "angleDegrees", f.angle());
            number(node, "moved", f.moved());
        } else if (fact instanceof StitchFact.RoundCorner f) {
            number(node, "radius", f.radius());
            degrees(node, "sweepDegrees", f.sweep());
        } else if (fact instanceof StitchFact.Shells f) {
            node.put("bumps", f.bumps());
            number(node, "width", f.width());
            number(node, "rise", f.rise());
            number(node, "radius", f.radius());
        } else if (fact instanceof StitchFact.Module f) {
            number(node, "module", f.module());
            number(node, "height", f.height());
            node.put("repeats", f.repeats());
        } else if (fact instanceof StitchFact.Reach f) {
            number(node, "reach", f.reach());
            number(node, "length", f.length());
        } else if (fact instanceof StitchFact.CoversBlock f) {
            number(node, "side", f.side());
        } else if (fact instanceof StitchFact.Length f) {
            node.put("guide", f.guide().id());
            number(node, "length", f.length());
        } else if (fact instanceof StitchFact.Extent f) {
            number(node, "width", f.width());
            number(node, "height", f.height());
        }
        node.put("text", shelfWords.fact(fact));
    }

    // --- which template ------------------------------------------------------------------------------------------

    private static void wanted(ObjectNode node, Find.Wanted wanted) {
        node.put("for", Codes.ofKind(wanted));
        wanted.accept(new WantedNumbers(node));
    }

    /** What is wanted, in numbers. */
    private record WantedNumbers(ObjectNode node) implements Find.Wanted.Visitor<Void> {

        private Void put(String field, double inches) {
            number(node, field, inches);
            return null;
        }

        @Override
        public Void span(Find.Wanted.Span wanted) {
            put("span", wanted.span());
            put("room", wanted.room());
            wanted.rise().ifPresent(rise -> put("rise", rise));
            return null;
        }

        @Override
        public Void circle(Find.Wanted.Circle wanted) {
            return put("diameter", wanted.diameter());
        }

        @Override
        public Void rings(Find.Wanted.Rings wanted) {
            put("gap", wanted.gap());
            return put("largest", wanted.largest());
        }

        @Override
        public Void fan(Find.Wanted.Fan wanted) {
            put("depth", wanted.depth());
            return put("reserve", wanted.reserve());
        }

        @Override
        public Void block(Find.Wanted.Block wanted) {
            return put("side", wanted.side());
        }

        @Override
        public Void strip(Find.Wanted.Strip wanted) {
            return put("width", wanted.width());
        }
    }

    private void match(ObjectNode node, Find.Match match) {
        node.put("template", match.template().id());
        node.put("name", match.template().name());
        node.put("guide", match.guide().id());
        number(node, "off", match.off());
        number(node, "penalty", match.penalty());
        node.put("text", new FindWords(words).match(match));
        ArrayNode changes = node.putArray("changes");
        match.changes().forEach(c -> change(changes.addObject(), c));
    }

    private static void change(ObjectNode node, Find.Change change) {
        node.put("change", Codes.ofKind(change));
        if (change instanceof Find.Change.Rises c) {
            number(node, "rise", c.rise());
            number(node, "roomLeft", c.roomLeft());
        } else if (change instanceof Find.Change.OnSeam c) {
            onSeam(node, c.register());
        } else if (change instanceof Find.Change.Placements c) {
            node.put("placements", c.count());
        } else if (change instanceof Find.Change.Diameter c) {
            number(node, "diameter", c.diameter());
        } else if (change instanceof Find.Change.Rings c) {
            ArrayNode diameters = node.putArray("diameters");
            c.diameters().forEach(d -> diameters.add(rounded(d)));
            ArrayNode lacking = node.putArray("lacking");
            c.lacking().forEach(d -> lacking.add(rounded(d)));
        } else if (change instanceof Find.Change.Caution c) {
            number(node, "thickness", c.thickness());
            node.put("thin", c.thin()).put("foot", Codes.of(c.foot()));
        } else if (change instanceof Find.Change.With c) {
            node.put("template", c.other().id());
        } else if (change instanceof Find.Change.FanArcs c) {
            node.put("arcs", c.count());
            number(node, "outer", c.outer());
            number(node, "left", c.left());
            node.put("swivels", c.swivels());
        } else if (change instanceof Find.Change.ReachBeyond c) {
            number(node, "beyond", c.inches());
        } else if (change instanceof Find.Change.ShellRows c) {
            number(node, "perRow", c.perRow());
            node.put("rows", c.rows());
            number(node, "rise", c.rise());
            number(node, "left", c.left());
            node.put("squeezed", c.squeezed());
        } else if (change instanceof Find.Change.ShellsAcross c) {
            node.put("rows", c.rows());
            number(node, "rise", c.rise());
            number(node, "left", c.left());
            node.put("squeezed", c.squeezed());
        } else if (change instanceof Find.Change.Repeats c) {
            node.put("count", c.count());
            number(node, "each", c.each());
            number(node, "stretch", c.stretch());
        } else if (change instanceof Find.Change.LeftBeside c) {
            number(node, "left", c.inches());
        }
    }

    private static void onSeam(ObjectNode node, SeamRegister register) {
        if (register instanceof SeamRegister.EngravedLine line) {
            number(node, "line", line.label());
        } else if (register instanceof SeamRegister.Tape tape) {
            number(node, "tapeBelowEdgeCrown", tape.belowEdge());
        }
    }

    private void missing(ObjectNode node, Find.Missing missing) {
        node.put("wanted", Codes.ofKind(missing));
        if (missing instanceof Find.Missing.StitchedRadius m) {
            number(node, "least", m.least());
            if (Double.isFinite(m.most())) {
                number(node, "most", m.most());
            }
        } else if (missing instanceof Find.Missing.StitchedDiameter m) {
            number(node, "diameter", m.diameter());
            number(node, "hole", m.hole());
            if (m.disc() > 0) {
                number(node, "disc", m.disc());
            }
        } else if (missing instanceof Find.Missing.Set m) {
            number(node, "first", m.first());
            number(node, "step", m.step());
            number(node, "largest", m.largest());
        } else if (missing instanceof Find.Missing.FanRadius m) {
            number(node, "atMost", m.atMost());
        } else if (missing instanceof Find.Missing.ForBlock m) {
            number(node, "shells", m.shells());
            number(node, "reach", m.reach());
        } else if (missing instanceof Find.Missing.Height m) {
            number(node, "height", m.height());
        }
        node.put("text", new FindWords(words).missing(missing));
    }
}
