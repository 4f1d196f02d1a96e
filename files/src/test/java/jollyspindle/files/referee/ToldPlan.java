package jollyspindle.files.referee;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * What a plan tells of borders and strips, as a foreign program reads it from the plan's JSON.
 *
 * @param foot from the needle to the outside of the foot, in inches
 * @param seams all that is to be seen on the cloth before the first stitch: seams, the raw edge, and lines drawn on it
 * @param mitres the seams in the corners
 * @param runs by their ids
 * @param marks by their ids
 * @param steps in the order of stitching
 */
record ToldPlan(
        double foot,
        List<Segment> seams,
        List<Segment> mitres,
        Map<String, Run> runs,
        Map<String, Mark> marks,
        List<Step> steps) {

    /** A run: where it begins, which way it goes, and its size in inches. */
    record Run(String id, String group, Point origin, Point along, double length, double depth) {

        Segment edge(boolean outer) {
            Point from = origin.plus(along.turnedLeft().times(outer ? depth : 0));
            return new Segment(from, from.plus(along.times(length)));
        }
    }

    /** A mark: where, how and when it is made. */
    record Mark(
            String id,
            String kind,
            String run,
            Point place,
            String by,
            String stage,
            Optional<String> afterPass,
            int ofMotif) {

        Mark made(String other, String after, int motif) {
            return new Mark(id, kind, run, place, by, other, Optional.of(after), motif);
        }
    }

    /**
     * What the template is laid on; what isn't told is empty.
     *
     * @param told field by field
     */
    record On(JsonNode told) {

        String kind() {
            return told.get("kind").asText();
        }

        String on() {
            return told.get("on").asText();
        }

        OptionalDouble line() {
            return number(told, "line");
        }

        double off() {
            return told.path("stitchesHigherBy").asDouble();
        }

        OptionalDouble belowEdgeCrown() {
            return number(told, "belowEdgeCrown");
        }

        OptionalDouble fromEdge() {
            return number(told, "fromEdge");
        }

        OptionalDouble angle() {
            return number(told, "angleDegrees");
        }

        OptionalDouble tapeBelowPoints() {
            return number(told, "tapeBelowPoints");
        }

        Optional<String> centreLineOn() {
            return text(told, "centreLineOn");
        }

        boolean centreTaped() {
            return text(told, "centreLine").equals(Optional.of("tape"));
        }

        Optional<String> mark() {
            return text(told, "mark");
        }

        boolean legOnSeam() {
            return told.path("legOnSeam").asBoolean();
        }

        Optional<String> after() {
            return text(told, "after");
        }

        OptionalDouble gap() {
            return number(told, "gap");
        }

        OptionalDouble chain() {
            return number(told, "chain");
        }

        OptionalDouble step() {
            return number(told, "step");
        }

        OptionalDouble fromMiddle() {
            return number(told, "fromMiddle");
        }

        OptionalDouble stepAtStart() {
            return number(told, "stepAtStart");
        }

        OptionalDouble stepAtEnd() {
            return number(told, "stepAtEnd");
        }

        private On changed(Consumer<ObjectNode> change) {
            ObjectNode other = told.deepCopy();
            change.accept(other);
            return new On(other);
        }

        /** The same with lengths so much larger, in inches, those of them that it has. */
        private On more(double by, String... lengths) {
            return changed(node -> Stream.of(lengths)
                    .filter(node::has)
                    .forEach(length -> node.put(length, node.get(length).asDouble() + by)));
        }

        /** The same with tape so much further from the crown, in inches. */
        On lower(double by) {
            return more(by, "belowEdgeCrown");
        }

        /** The same with what it is away from the line before so much larger, in inches. */
        On further(double by) {
            return more(by, "gap", "step", "fromMiddle", "stepAtStart", "stepAtEnd");
        }

        On centred(boolean taped) {
            return changed(node -> node.put("centreLine", taped ? "tape" : "engraved"));
        }

        On withLeg(boolean other) {
            return changed(node -> node.put("legOnSeam", other));
        }

        /** Laid a step on from another line. */
        On steppedOn(String other, double along) {
            return changed(node -> node.put("kind", "stepped")
                    .put("on", other)
                    .put("stepAtStart", along)
                    .put("stepAtEnd", along));
        }
    }

    /** Where a placement starts or ends: at a mark, or at what shows the place. */
    record End(Optional<String> mark, Optional<String> shownBy) {}

    /** One placement. */
    record Step(
            String id,
            String lineId,
            String run,
            int layer,
            int part,
            int parts,
            String template,
            String guide,
            Pose pose,
            On on,
            End start,
            End end,
            Path path) {

        /** The same with the template turned, in radians. */
        Step turned(double by) {
            Pose other = new Pose(pose.position(), pose.rotation() + by, pose.over());
            return new Step(id, lineId, run, layer, part, parts, template, guide, other, on, start, end, path);
        }

        Step with(On other) {
            return new Step(id, lineId, run, layer, part, parts, template, guide, pose, other, start, end, path);
        }
    }

    ToldPlan withoutMarks(Predicate<Mark> which) {
        Map<String, Mark> left = new HashMap<>(marks);
        left.values().removeIf(which);
        return new ToldPlan(foot, seams, mitres, runs, left, steps);
    }

    ToldPlan withMarks(UnaryOperator<Mark> change) {
        Map<String, Mark> changed = new HashMap<>(marks);
        changed.replaceAll((id, mark) -> change.apply(mark));
        return new ToldPlan(foot, seams, mitres, runs, changed, steps);
    }

    ToldPlan withoutSteps(Predicate<Step> which) {
        return new ToldPlan(
                foot,
                seams,
                mitres,
                runs,
                marks,
                steps.stream().filter(which.negate()).toList());
    }

    private static final ObjectMapper JSON = new ObjectMapper();

    /** Reads what {@code PlanJson} wrote. */
    static ToldPlan read(String json) {
        try {
            return of(JSON.readTree(json));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ToldPlan of(JsonNode root) {
        List<Segment> mitres = new ArrayList<>();
        List<Segment> seams = new ArrayList<>();
        root.at("/quilt/cornerSeams").forEach(s -> mitres.add(segment(s)));
        seams.addAll(mitres);
        seams.addAll(ring(root.at("/quilt/body")));
        seams.addAll(ring(root.at("/quilt/outer")));
        Map<String, Run> runs = new HashMap<>();
        Map<String, Mark> marks = new HashMap<>();
        List<Step> steps = new ArrayList<>();
        for (JsonNode node : root.get("runs")) {
            double turned = Math.toRadians(node.get("rotationDegrees").asDouble());
            Run run = new Run(
                    node.get("id").asText(),
                    node.get("group").asText(),
                    point(node.get("origin")),
                    Point.direction(turned),
                    node.get("length").asDouble(),
                    node.get("depth").asDouble());
            runs.put(run.id(), run);
            seams.add(run.edge(false));
            if (run.group().startsWith("strip")) {
                seams.add(run.edge(true));
            }
            // What is drawn before the first stitch is to be seen as seams are.
            node.get("chalkLines").forEach(c -> seams.add(segment(c.get("line"))));
            for (JsonNode m : node.get("marks")) {
                marks.put(
                        m.get("id").asText(),
                        new Mark(
                                m.get("id").asText(),
                                m.get("kind").asText(),
                                run.id(),
                                point(m.get("place")),
                                m.get("by").asText(),
                                m.get("stage").asText(),
                                text(m, "afterPass"),
                                m.path("ofMotif").asInt()));
            }
        }
        // Corners are stitched before the runs.
        for (JsonNode corner : root.get("corners")) {
            steps(corner, corner.get("atLeftEndOf").asText(), steps);
        }
        root.get("runs").forEach(run -> steps(run, run.get("id").asText(), steps));
        return new ToldPlan(root.at("/machine/footRadius").asDouble(), seams, mitres, runs, marks, steps);
    }

    private static void steps(JsonNode of, String run, List<Step> steps) {
        Map<String, Integer> layers = new HashMap<>();
        of.get("stitchLines")
                .forEach(line ->
                        layers.put(line.get("id").asText(), line.get("layer").asInt()));
        for (JsonNode p : of.get("placements")) {
            JsonNode pose = p.get("pose");
            JsonNode on = p.get("registration");
            String line = p.get("lineId").asText();
            steps.add(new Step(
                    p.get("id").asText(),
                    line,
                    run,
                    layers.get(line),
                    p.get("part").asInt(),
                    p.get("parts").asInt(),
                    p.get("template").asText(),
                    p.get("guide").asText(),
                    new Pose(
                            point(pose.get("position")),
                            Math.toRadians(pose.get("rotationDegrees").asDouble()),
                            pose.path("faceDown").asBoolean()),
                    new On(on),
                    new End(text(p, "startMark"), text(p, "startShownBy")),
                    new End(text(p, "endMark"), text(p, "endShownBy")),
                    path(p.get("curves"))));
        }
    }

    private static List<Segment> ring(JsonNode corners) {
        List<Segment> sides = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            sides.add(new Segment(point(corners.get(i)), point(corners.get((i + 1) % corners.size()))));
        }
        return sides;
    }

    private static Segment segment(JsonNode ends) {
        return new Segment(point(ends.get(0)), point(ends.get(1)));
    }

    private static Point point(JsonNode node) {
        return new Point(node.get(0).asDouble(), node.get(1).asDouble());
    }

    private static Optional<String> text(JsonNode node, String field) {
        return Optional.ofNullable(node.get(field)).map(JsonNode::asText);
    }

    private static OptionalDouble number(JsonNode node, String field) {
        return node.has(field) ? OptionalDouble.of(node.get(field).asDouble()) : OptionalDouble.empty();
    }

    /** Nine decimals are written, so curves are taken one by one rather than joined. */
    private static Path path(JsonNode curves) {
        List<Curve> all = new ArrayList<>();
        for (JsonNode c : curves) {
            all.add(
                    c.get("kind").asText().equals("arc")
                            ? new Arc(
                                    point(c.get("centre")),
                                    c.get("radius").asDouble(),
                                    Math.toRadians(c.get("startAngleDegrees").asDouble()),
                                    Math.toRadians(c.get("sweepDegrees").asDouble()))
                            : new Segment(point(c.get("start")), point(c.get("end"))));
        }
        return new Path(all);
    }
}
