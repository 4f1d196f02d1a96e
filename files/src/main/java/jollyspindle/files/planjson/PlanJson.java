package jollyspindle.files.planjson;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.division.Stepping;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.motif.RingDesigner;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.ChalkLine;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Squareness;
import jollyspindle.core.route.Routed;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;

import static jollyspindle.files.planjson.Values.degrees;
import static jollyspindle.files.planjson.Values.name;
import static jollyspindle.files.planjson.Values.number;
import static jollyspindle.files.planjson.Values.path;
import static jollyspindle.files.planjson.Values.point;
import static jollyspindle.files.planjson.Values.rounded;

/** Writes a plan as JSON: lengths in inches, angles in degrees, both to nine decimals. */
public final class PlanJson {

    private final WorkPlan plan;
    private final Words words;
    private final DivisionJson division;

    private PlanJson(WorkPlan plan) {
        this.plan = plan;
        this.words = new Words(plan.job().tape());
        this.division = new DivisionJson(plan.job().tape());
    }

    /** The plan as JSON text, ending in a line break. The same plan always gives the same text. */
    public static String format(WorkPlan plan) {
        return new PlanJson(plan).root().toPrettyString() + "\n";
    }

    private ObjectNode root() {
        QuiltJob job = plan.job();
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", "jolly-spindle-plan");
        root.put("version", 4);
        root.put("job", job.name());
        root.put("tape", name(job.tape()));
        number(root.putObject("machine"), "footRadius", job.machine().footRadius());
        plan.shape().ifPresent(shape -> quilt(root.putObject("quilt"), shape));
        plan.squareness().ifPresent(s -> squareness(root.putObject("squareness"), s));
        ArrayNode groups = root.putArray("groups");
        plan.groups().forEach(g -> group(groups.addObject(), g));
        ArrayNode runs = root.putArray("runs");
        plan.runs().forEach(r -> run(runs.addObject(), r));
        ArrayNode corners = root.putArray("corners");
        plan.corners().forEach(c -> corner(corners.addObject(), c));
        ArrayNode areas = root.putArray("areas");
        plan.areas().forEach(a -> new AreaJson(this, words, plan.job(), a).write(areas.addObject()));
        ArrayNode findings = root.putArray("findings");
        plan.findings().forEach(f -> finding(findings.addObject(), f));
        ObjectNode totals = root.putObject("totals");
        totals.put("lines", plan.repeats());
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

    private void squareness(ObjectNode node, Squareness squareness) {
        number(node, "topLessBottom", squareness.across());
        number(node, "rightLessLeft", squareness.down());
        squareness.diagonals().ifPresent(by -> number(node, "diagonalsDiffer", by));
        ArrayNode corners = node.putArray("cornersDegrees");
        squareness.corners().forEach(angle -> corners.add(rounded(Math.toDegrees(angle))));
        ObjectNode measured = node.putObject("measured");
        ObjectNode planned = node.putObject("planned");
        for (Side side : Side.values()) {
            number(measured, Codes.of(side), plan.job().quilt().length(Dimension.body(side)));
            number(planned, Codes.of(side), plan.job().quilt().planned(side));
        }
    }

    private void group(ObjectNode node, GroupPlan group) {
        node.put("id", group.id().code());
        node.put("name", Words.name(group.id(), plan.job().quilt()));
        ArrayNode layers = node.putArray("layers");
        plan.job().layout(group.id()).design().layers().forEach(layer -> layers.addObject()
                .put("motif", MotifTypes.of(layer.motif()).code())
                .put("edge", name(layer.edge()))
                .put("space", name(layer.space()))
                .put("text", new MotifWords(words).text(layer.motif())));
        group.set().template().ifPresent(template -> template(node.putObject("template"), template));
        node.put("wish", new DivisionWords(words).wish(group.set().wish()));
        plan.job().layout(group.id()).tie().ifPresent(tie -> node.putObject("tie")
                .put("to", GroupId.border(tie.to()).code())
                .put("ratio", name(tie.ratio())));
        ArrayNode candidates = node.putArray("candidates");
        group.candidates().forEach(c -> division.candidate(candidates.addObject(), c)
                .put("chosen", c.byRun().equals(group.chosen().byRun())));
    }

    private void run(ObjectNode node, RunPlan run) {
        RunDivision cells = run.division();
        node.put("id", run.id().code());
        node.put("group", run.id().group().code());
        run.id().side().ifPresent(side -> node.put("side", Codes.of(side)));
        point(node.putArray("origin"), run.frame().origin());
        degrees(node, "rotationDegrees", run.frame().rotation());
        number(node, "length", cells.length());
        number(node, "depth", run.frame().depth());
        node.put("school", name(run.divided().school().kind()));
        node.put("count", cells.count());
        number(node, "repeat", cells.repeat());
        run.fit().ifPresent(fit -> {
            number(node, "radius", fit.segment().radius());
            number(node, "rise", fit.segment().height());
            degrees(node, "sweepDegrees", fit.segment().sweep());
            number(node, "overRoom", run.divided().overRoom());
        });
        if (cells.cornerLeft() > 0 || cells.cornerRight() > 0) {
            number(node, "cornerTakesLeft", cells.cornerLeft());
            number(node, "cornerTakesRight", cells.cornerRight());
        }
        number(
                node,
                "steppedError",
                Stepping.error(cells.repeat(), cells.count(), plan.job().tape()));
        run.fit().ifPresent(fit -> register(node.putObject("seamRegister"), fit.register()));
        ObjectNode positions = node.putObject("positions");
        ArrayNode valleys = positions.putArray("valleys");
        ArrayNode crowns = positions.putArray("crowns");
        for (Mark mark : run.laidOut().marks()) {
            if (mark.kind() == Mark.Kind.VALLEY || mark.kind() == Mark.Kind.CROWN) {
                (mark.kind() == Mark.Kind.VALLEY ? valleys : crowns).add(rounded(mark.along()));
            }
        }
        number(positions, "centre", cells.centre());
        each(
                run.divided().figures(),
                node.putArray("cells"),
                (cell, figure) -> division.cell(cell, figure, run.divided()));
        each(plan.chalkLines(run.id()), node.putArray("chalkLines"), this::chalkLine);
        each(run.laidOut().marks(), node.putArray("marks"), this::mark);
        placements(run.laidOut().placements(), node.putArray("placements"));
        node.put("starts", Routed.starts(run.laidOut().lines()));
        ArrayNode lines = node.putArray("stitchLines");
        run.laidOut().lines().forEach(line -> line(lines.addObject(), line));
    }

    private void corner(ObjectNode node, RingDesigner.Corner corner) {
        node.put("atLeftEndOf", corner.run().code());
        node.put("kind", name(corner.design().kind()));
        placements(corner.placements(), node.putArray("placements"));
        ArrayNode lines = node.putArray("stitchLines");
        corner.lines().forEach(line -> line(lines.addObject(), line));
    }

    /** Which piece of an area something is on, where there are several. */
    private static void block(ObjectNode node, PieceId piece) {
        if (piece.number() > 0) {
            node.put("block", piece.number());
        }
    }

    static void line(ObjectNode node, StitchLine line) {
        node.put("id", line.id().code());
        block(node, line.id().piece());
        node.put("kind", name(line.kind()));
        node.put("layer", line.layer());
        if (line.id().motif() != line.layer()) {
            node.put("motif", line.id().motif());
        }
        node.put("number", line.number());
        if (line.sub() > 0) {
            node.put("sub", line.sub());
        }
        if (line.id().section() > 1) {
            node.put("section", line.id().section());
        }
        node.put("passes", line.passes());
        node.put("text", MotifWords.name(line));
        number(node, "length", line.path().length());
        path(node.putArray("curves"), line.path());
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

    private void chalkLine(ObjectNode node, ChalkLine chalk) {
        node.put("id", chalk.code());
        node.put("which", name(chalk.which()));
        points(node.putArray("line"), List.of(chalk.line().from(), chalk.line().to()));
        reading(node.putObject("reading"), chalk.reading(), TapeReading::text);
        node.put("text", words.chalkLine(chalk));
    }

    void mark(ObjectNode node, Mark mark) {
        node.put("id", mark.id().code());
        block(node, mark.id().piece());
        node.put("kind", name(mark.kind()));
        node.put("number", mark.number());
        node.put("onCentre", mark.onCentre());
        number(node, "along", mark.along());
        number(node, "across", mark.across());
        point(node.putArray("place"), mark.place());
        node.put("by", name(mark.by()));
        node.put("stage", name(mark.stage()));
        mark.after().ifPresent(after -> {
            node.put("afterPass", name(after.pass()));
            node.put("ofMotif", after.motif());
        });
        ObjectNode readings = node.putObject("readings");
        reading(readings.putObject("fromLeft"), mark.readings().fromLeft(), Words::fromEnd);
        reading(readings.putObject("fromRight"), mark.readings().fromRight(), Words::fromEnd);
        reading(readings.putObject("fromCentre"), mark.readings().fromCentre(), Words::fromCentre);
        reading(readings.putObject("height"), mark.height(), height -> Words.above(mark));
    }

    private static void reading(ObjectNode node, TapeReading reading, Function<TapeReading, String> said) {
        node.put("text", said.apply(reading));
        number(node, "tick", reading.onTape());
        number(node, "exact", reading.exact());
    }

    /** All placements of a region, with how many others each hangs on: an error of the first runs on into as many. */
    void placements(List<Placement> placements, ArrayNode array) {
        Map<LineId, Integer> chains = new HashMap<>();
        for (Placement placement : placements) {
            ObjectNode node = array.addObject();
            placement(node, placement);
            // What is laid by eye hands on no error.
            boolean byEye = placement.registration() instanceof Registration.ByEye;
            int chain = placement
                    .registration()
                    .before()
                    .filter(before -> !byEye)
                    .map(before -> chains.getOrDefault(before, 0) + 1)
                    .orElse(0);
            chains.merge(placement.of().id(), chain, Math::max);
            if (chain > 0) {
                ((ObjectNode) node.get("registration")).put("chain", chain);
            }
        }
    }

    private void placement(ObjectNode node, Placement placement) {
        node.put("id", placement.id().code());
        node.put("lineId", placement.of().id().code());
        block(node, placement.id().line().piece());
        node.put("number", placement.of().number());
        node.put("part", placement.part());
        node.put("parts", placement.parts());
        if (!placement.tool().isByHand()) {
            node.put("template", placement.tool().templateId());
            node.put("guide", placement.tool().guideId());
        }
        placement.tool().edge().ifPresent(edge -> {
            node.put("edge", name(edge));
            node.put("footSide", edge == ArcEdge.CONVEX ? "outside-the-curve" : "inside-the-curve");
        });
        ObjectNode pose = node.putObject("pose");
        point(pose.putArray("position"), placement.pose().position());
        degrees(pose, "rotationDegrees", placement.pose().rotation());
        pose.put("turn", Words.turn(placement.pose().rotation()));
        if (placement.pose().over()) {
            pose.put("faceDown", true);
        }
        ObjectNode registration = node.putObject("registration");
        if (placement.registration() instanceof Registration.OnSeam on) {
            registration.put("on", placement.region().code() + (on.far() ? "-outer-edge" : "-seam"));
            register(registration, on.what());
            on.centre().ifPresent(mark -> registration
                    .put("centreLineOn", mark.id().code())
                    .put("centreLine", on.engraved() ? "engraved" : "tape"));
        } else {
            otherRegistration(registration, placement);
        }
        spot(node, "start", placement.start());
        spot(node, "end", placement.end());
        if (placement.sweep() != 0) {
            node.put("direction", placement.sweep() < 0 ? "clockwise" : "counter-clockwise");
            degrees(node, "sweepDegrees", Math.abs(placement.sweep()));
        }
        path(node.putArray("curves"), placement.path());
    }

    private void otherRegistration(ObjectNode node, Placement placement) {
        if (placement.registration() instanceof Registration.OnStitching on) {
            node.put("on", on.lineId().code());
            node.put("kind", on.fromEdge() == 0 ? "edge" : on.engraved() ? "engraved-line" : "tape-on-back");
            number(node, "fromEdge", on.fromEdge());
        } else if (placement.registration() instanceof Registration.AlongSeam on) {
            node.put("on", placement.region().code() + "-seam");
            node.put("kind", on.fromEdge() == 0 ? "edge" : on.engraved() ? "engraved-line" : "tape-on-back");
            number(node, "fromEdge", on.fromEdge());
        } else if (placement.registration() instanceof Registration.CentreOnMark on) {
            node.put("on", on.centre().id().code());
            node.put("kind", "centre");
            node.put("legOnSeam", on.legOnSeam());
        } else if (placement.registration() instanceof Registration.OnRow on) {
            node.put(
                    "on",
                    on.lineId().map(LineId::code).orElse(placement.region().code() + "-" + name(on.level())));
            node.put("valleyOverCrown", on.overCrown());
            on.valley().ifPresent(mark -> node.put("mark", mark.id().code()));
            node.put("kind", on.line().map(line -> name(line.kind()) + "-line").orElse("tape-on-back"));
            number(node, "belowCrowns", on.belowCrowns());
        } else if (placement.registration() instanceof Registration.NotchOnMark on) {
            node.put("on", placement.region().code() + (on.far() ? "-outer-edge" : "-seam"));
            node.put("kind", "notch-on-mark");
            on.mark().ifPresent(mark -> node.put("mark", mark.id().code()));
            number(node, "tapeBelowPoints", on.below());
        } else if (placement.registration() instanceof Registration.OnRay on) {
            node.put("on", on.ray().id().code());
            node.put(
                    "kind",
                    on.onFoot(placement.start().place())
                            ? "hook-on-centre"
                            : on.hooked() ? "hook-over-centre" : "line-on-ray");
            node.put("centre", on.centre().id().code());
            node.put("centreLine", on.engraved() ? "engraved" : "tape");
        } else if (placement.registration() instanceof Registration.AtAngle at) {
            node.put("on", placement.region().code() + "-seam");
            node.put("kind", "line-at-angle");
            degrees(node, "angleDegrees", at.angle());
        } else if (placement.registration() instanceof Registration.Stepped on) {
            node.put("on", on.lineId().code());
            node.put("kind", "stepped");
            number(node, "stepAtStart", on.atStart());
            number(node, "stepAtEnd", on.atEnd());
        } else if (placement.registration() instanceof Registration.Crosswise on) {
            node.put("on", placement.region().code() + (on.far() ? "-outer-edge" : "-seam"));
            node.put("kind", "crosswise");
            node.put("centreLine", on.engraved() ? "engraved" : "tape");
            number(node, "fromMiddle", on.fromMiddle());
            on.lineId().ifPresent(id -> {
                node.put("after", id.code());
                number(node, "step", on.step());
            });
        } else if (placement.registration() instanceof Registration.InChain on) {
            node.put("on", "middle-line");
            node.put("kind", "in-chain");
            node.put("centreLine", on.engraved() ? "engraved" : "tape");
            node.put("after", on.lineId().code());
            number(node, "gap", on.gap());
        } else if (placement.registration() instanceof Registration.ByEye on) {
            node.put("on", on.lineId().map(LineId::code).orElse("middle"));
            node.put("kind", "by-eye");
            number(node, "least", on.least());
            number(node, "most", on.most());
        } else if (placement.registration() instanceof Registration.ByHand on) {
            node.put("on", on.drawn() ? "drawn-lines" : "nothing");
            node.put("kind", "by-hand");
        } else if (placement.registration() instanceof Registration.FootOverMarks on) {
            node.put("on", "marks");
            node.put("kind", "foot-over-marks");
            node.put("first", on.first().id().code());
            node.put("second", on.second().id().code());
        } else if (placement.registration() instanceof Registration.Onward on) {
            node.put("on", on.far().id().code());
            node.put("kind", "onward");
        } else if (placement.registration() instanceof Registration.OverEnd on) {
            node.put("on", on.lineId().map(LineId::code).orElse("corner"));
            node.put("kind", "over-end");
            node.put("engraved", on.engraved());
            number(node, "fromEdge", on.fromEdge());
        } else if (placement.registration() instanceof Registration.OnMitre) {
            node.put("on", "mitre");
            node.put("kind", "centre-line");
        } else {
            node.put("on", "marks");
            node.put("kind", "foot-on-both-marks");
        }
        node.put("text", words.registration(placement));
    }

    private static void spot(ObjectNode node, String which, LineEnd spot) {
        spot.mark()
                .ifPresentOrElse(
                        mark -> node.put(which + "Mark", mark.id().code()),
                        () -> node.put(which + "ShownBy", name(spot.shownBy())));
    }

    private void finding(ObjectNode node, Finding finding) {
        FindingWords said = new FindingWords(words);
        node.put("code", finding.code());
        node.put("severity", name(finding.severity()));
        finding.run().ifPresent(run -> {
            node.put("run", run.code());
            run.side().ifPresent(side -> node.put("side", Codes.of(side)));
        });
        if (finding instanceof Finding.AreaTrouble area) {
            node.put("area", area.area().code()).put("letter", String.valueOf(area.letter()));
        }
        finding.place().ifPresent(place -> point(node.putArray("place"), place));
        node.put("text", said.text(finding));
        finding.remedy().ifPresent(remedy -> node.put("remedy", said.text(remedy)));
    }
}
