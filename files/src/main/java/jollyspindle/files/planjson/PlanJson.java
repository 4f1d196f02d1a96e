package jollyspindle.files.planjson;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.EvenDivision;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;

import java.util.List;
import java.util.function.Consumer;

import static jollyspindle.files.planjson.Values.curve;
import static jollyspindle.files.planjson.Values.degrees;
import static jollyspindle.files.planjson.Values.name;
import static jollyspindle.files.planjson.Values.number;
import static jollyspindle.files.planjson.Values.point;
import static jollyspindle.files.planjson.Values.rounded;

/** Writes a plan as JSON: lengths in inches, angles in degrees, both to nine decimals. */
public final class PlanJson {

    private final WorkPlan plan;
    private final Words words;

    private PlanJson(WorkPlan plan) {
        this.plan = plan;
        this.words = new Words(plan.job().tape());
    }

    /** The plan as JSON text, ending in a line break. The same plan always gives the same text. */
    public static String format(WorkPlan plan) {
        return new PlanJson(plan).root().toPrettyString() + "\n";
    }

    private ObjectNode root() {
        QuiltJob job = plan.job();
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", "jolly-spindle-plan");
        root.put("version", 1);
        root.put("job", job.name());
        root.put("tape", name(job.tape()));
        number(root.putObject("machine"), "footRadius", job.machine().footRadius());
        plan.shape().ifPresent(shape -> quilt(root.putObject("quilt"), shape));
        job.arc().ifPresent(t -> template(root.putObject("template"), t));
        ArrayNode candidates = root.putArray("candidates");
        plan.candidates().forEach(c -> candidate(candidates.addObject(), c));
        ArrayNode runs = root.putArray("runs");
        plan.runs().forEach(r -> run(runs.addObject(), r));
        ArrayNode findings = root.putArray("findings");
        plan.findings().forEach(f -> finding(findings.addObject(), f));
        ObjectNode totals = root.putObject("totals");
        totals.put("repeats", plan.repeats());
        totals.put("placements", plan.placements());
        totals.put("marksToMake", plan.chalkMarks());
        number(totals, "stitchedLength", plan.stitchedLength());
        return root;
    }

    private static void points(ArrayNode node, List<Point> points) {
        points.forEach(p -> point(node.addArray(), p));
    }

    private static void quilt(ObjectNode node, QuiltShape shape) {
        points(node.putArray("body"), shape.body().corners());
        points(node.putArray("outer"), shape.outer());
        points(node.putArray("reserve"), shape.reserve());
        ArrayNode seams = node.putArray("cornerSeams");
        shape.cornerSeams().forEach(s -> points(seams.addArray(), List.of(s.from(), s.to())));
    }

    private void template(ObjectNode node, ArcTemplate template) {
        node.put("id", template.templateId());
        node.put("guide", template.guideId());
        node.put("name", template.name());
        node.put("edge", name(template.edge()));
        number(node, "edgeRadius", template.edgeRadius());
        number(node, "stitchedRadius", template.stitchedRadius(plan.job().machine()));
        degrees(node, "usableSweepDegrees", template.usableSweep());
        number(node, "thickness", template.thickness());
    }

    private void candidate(ObjectNode node, Candidate candidate) {
        node.put("across", candidate.counts().across());
        node.put("down", candidate.counts().down());
        node.put("chosen", plan.chosen().filter(candidate::equals).isPresent());
        ObjectNode repeats = node.putObject("repeat");
        ObjectNode rises = node.putObject("rise");
        for (Side side : Side.values()) {
            number(repeats, Words.name(side), candidate.repeat(side));
            candidate
                    .fit(side)
                    .ifPresent(
                            fit -> number(rises, Words.name(side), fit.segment().height()));
        }
        number(node, "mismatch", candidate.mismatch());
        number(node, "penalty", candidate.penalty());
        ArrayNode reasons = node.putArray("reasons");
        candidate.reasons().forEach(r -> reasons.add(words.reason(r)));
    }

    private void run(ObjectNode node, RunPlan run) {
        EvenDivision division = run.division();
        node.put("side", Words.name(run.side()));
        point(node.putArray("origin"), run.frame().origin());
        degrees(node, "rotationDegrees", run.frame().rotation());
        number(node, "length", division.length());
        number(node, "depth", run.frame().depth());
        node.put("count", division.count());
        number(node, "repeat", division.repeat());
        number(node, "radius", run.fit().segment().radius());
        number(node, "rise", run.fit().segment().height());
        degrees(node, "sweepDegrees", run.fit().segment().sweep());
        number(node, "overRoom", run.fit().overRoom());
        register(node.putObject("seamRegister"), run.fit().register());
        ObjectNode positions = node.putObject("positions");
        ArrayNode valleys = positions.putArray("valleys");
        ArrayNode crowns = positions.putArray("crowns");
        for (int k = 0; k <= division.count(); k++) {
            valleys.add(rounded(division.valley(k)));
            if (k > 0) {
                crowns.add(rounded(division.crown(k)));
            }
        }
        number(positions, "centre", division.centre());
        each(run.laidOut().marks(), node.putArray("marks"), this::mark);
        each(run.laidOut().placements(), node.putArray("placements"), this::placement);
        ArrayNode lines = node.putArray("stitchLines");
        run.laidOut().lines().forEach(line -> curve(lines.addObject(), line));
    }

    private interface Writing<T> {
        void write(ObjectNode node, T thing);
    }

    private static <T> void each(List<T> things, ArrayNode array, Writing<T> writing) {
        Consumer<T> one = thing -> writing.write(array.addObject(), thing);
        things.forEach(one);
    }

    private void register(ObjectNode node, SeamRegister register) {
        if (register instanceof SeamRegister.EngravedLine line) {
            node.put("kind", "engraved-line");
            number(node, "line", line.label());
            number(node, "stitchesHigherBy", line.off());
        } else if (register instanceof SeamRegister.Tape tape) {
            node.put("kind", "tape-on-back");
            number(node, "belowEdgeCrown", tape.belowEdge());
            if (!Double.isNaN(tape.nearestLine())) {
                number(node, "nearestLine", tape.nearestLine());
                number(node, "belowNearestLine", tape.belowLine());
            }
        } else {
            node.put("kind", "none");
        }
        node.put("text", words.register(register));
    }

    private void mark(ObjectNode node, Mark mark) {
        node.put("id", mark.id());
        node.put("kind", name(mark.kind()));
        node.put("number", mark.number());
        node.put("onCentre", mark.onCentre());
        number(node, "along", mark.along());
        number(node, "across", mark.across());
        point(node.putArray("place"), mark.place());
        node.put("by", name(mark.by()));
        node.put("stage", name(mark.stage()));
        ObjectNode readings = node.putObject("readings");
        reading(readings.putObject("fromLeft"), mark.readings().fromLeft());
        reading(readings.putObject("fromRight"), mark.readings().fromRight());
        reading(readings.putObject("fromCentre"), mark.readings().fromCentre());
        reading(readings.putObject("height"), mark.height());
    }

    private static void reading(ObjectNode node, TapeReading reading) {
        node.put("text", reading.text());
        number(node, "tick", reading.onTape());
        number(node, "exact", reading.exact());
    }

    private void placement(ObjectNode node, Placement placement) {
        node.put("id", placement.id());
        node.put("repeat", placement.repeat());
        node.put("part", placement.part());
        node.put("parts", placement.parts());
        node.put("template", placement.templateId());
        node.put("edge", name(placement.edge()));
        node.put("footSide", placement.edge() == ArcEdge.CONVEX ? "outside-the-curve" : "inside-the-curve");
        ObjectNode pose = node.putObject("pose");
        point(pose.putArray("position"), placement.pose().position());
        degrees(pose, "rotationDegrees", placement.pose().rotation());
        pose.put("turn", Words.turn(placement.pose().rotation()));
        ObjectNode registration = node.putObject("registration");
        if (placement.registration() instanceof Registration.OnSeam on) {
            registration.put("on", Words.name(placement.side()) + "-seam");
            register(registration, on.what());
        } else {
            registration.put("on", "marks");
            registration.put("kind", "foot-on-both-marks");
            registration.put("text", words.registration(placement));
        }
        node.put("startMark", placement.start().id());
        node.put("endMark", placement.end().id());
        node.put("direction", placement.line().sweep() < 0 ? "clockwise" : "counter-clockwise");
        degrees(node, "sweepDegrees", Math.abs(placement.line().sweep()));
        curve(node.putObject("line"), placement.line());
    }

    private void finding(ObjectNode node, Finding finding) {
        FindingWords said = new FindingWords(words);
        node.put("code", finding.code());
        node.put("severity", name(finding.severity()));
        finding.side().ifPresent(side -> node.put("side", Words.name(side)));
        node.put("text", said.text(finding));
        finding.remedy().ifPresent(remedy -> node.put("remedy", said.text(remedy)));
    }
}
