package jollyspindle.files.referee;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;

/**
 * What a plan tells of borders and strips, or of one piece of an area, as a foreign program reads it from the plan's JSON.
 *
 * @param foot from the needle to the outside of the foot, in inches
 * @param seams all that is to be seen on the cloth before the first stitch: seams, the raw edge, and lines drawn on it
 * @param mitres the seams in the corners
 * @param runs by their ids
 * @param marks by their ids
 * @param steps in the order of stitching
 * @param travels of the needle without a new start; of borders none
 * @param ditches that the needle can travel in
 * @param twice lines that are stitched out and back, by their ids; of borders none
 */
record ToldPlan(
        double foot,
        List<Curve> seams,
        List<Segment> mitres,
        Map<String, Run> runs,
        Map<String, Mark> marks,
        List<Step> steps,
        List<Travel> travels,
        List<Curve> ditches,
        Set<String> twice) {

    /** Of borders and strips, of which no ways of the needle are told. */
    ToldPlan(
            double foot,
            List<Curve> seams,
            List<Segment> mitres,
            Map<String, Run> runs,
            Map<String, Mark> marks,
            List<Step> steps) {
        this(foot, seams, mitres, runs, marks, steps, List.of(), List.of(), Set.of());
    }

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

        Optional<String> centre() {
            return text(told, "centre");
        }

        String first() {
            return told.get("first").asText();
        }

        String second() {
            return told.get("second").asText();
        }

        OptionalDouble belowCrowns() {
            return number(told, "belowCrowns");
        }

        boolean valleyOverCrown() {
            return told.path("valleyOverCrown").asBoolean();
        }

        double least() {
            return told.get("least").asDouble();
        }

        double most() {
            return told.get("most").asDouble();
        }

        boolean isEngraved() {
            return told.path("engraved").asBoolean();
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

        /** The same with the template moved. */
        Step moved(Point by) {
            Pose other = new Pose(pose.position().plus(by), pose.rotation(), pose.over());
            return new Step(id, lineId, run, layer, part, parts, template, guide, other, on, start, end, path);
        }

        Step with(On other) {
            return new Step(id, lineId, run, layer, part, parts, template, guide, pose, other, start, end, path);
        }
    }

    /** How the needle gets to a line without a new start. */
    record Travel(String to, Path path) {}

    /** Where a placement leaves the needle: a line that is stitched out and back ends where it began. */
    Point needleAfter(Step step) {
        return twice.contains(step.lineId()) && step.part() == step.parts()
                ? steps.stream()
                        .filter(s -> s.lineId().equals(step.lineId()))
                        .findFirst()
                        .orElse(step)
                        .path()
                        .start()
                : step.path().end();
    }

    /** Whether the needle is where a placement begins, left there by the one before. */
    boolean isNeedleAt(Step step, Optional<Step> before) {
        return before.filter(b -> needleAfter(b).distance(step.path().start()) < Referee.ON)
                .isPresent();
    }

    ToldPlan withoutMarks(Predicate<Mark> which) {
        Map<String, Mark> left = new HashMap<>(marks);
        left.values().removeIf(which);
        return with(left, steps);
    }

    ToldPlan withMarks(UnaryOperator<Mark> change) {
        Map<String, Mark> changed = new HashMap<>(marks);
        changed.replaceAll((id, mark) -> change.apply(mark));
        return with(changed, steps);
    }

    ToldPlan withoutSteps(Predicate<Step> which) {
        return with(marks, steps.stream().filter(which.negate()).toList());
    }

    ToldPlan withStep(Step step, Step other) {
        return with(marks, steps.stream().map(s -> s == step ? other : s).toList());
    }

    private ToldPlan with(Map<String, Mark> other, List<Step> told) {
        return new ToldPlan(foot, seams, mitres, runs, other, told, travels, ditches, twice);
    }

    ToldPlan withThread(List<Travel> other, List<Curve> along) {
        return new ToldPlan(foot, seams, mitres, runs, marks, steps, other, along, twice);
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
        List<Curve> seams = new ArrayList<>();
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
            node.get("marks").forEach(m -> mark(m, run.id(), marks));
        }
        // Corners are stitched before the runs.
        for (JsonNode corner : root.get("corners")) {
            steps(corner, "stitchLines", corner.get("atLeftEndOf").asText(), steps, p -> true);
        }
        root.get("runs").forEach(run -> steps(run, "stitchLines", run.get("id").asText(), steps, p -> true));
        return new ToldPlan(
                root.at("/machine/footRadius").asDouble(),
                seams,
                mitres,
                runs,
                marks,
                steps,
                List.of(),
                List.of(),
                Set.of());
    }

    private static void mark(JsonNode m, String run, Map<String, Mark> marks) {
        marks.put(
                m.get("id").asText(),
                new Mark(
                        m.get("id").asText(),
                        m.get("kind").asText(),
                        run,
                        point(m.get("place")),
                        m.get("by").asText(),
                        m.get("stage").asText(),
                        text(m, "afterPass"),
                        m.path("ofMotif").asInt()));
    }

    /** Reads what {@code PlanJson} wrote of areas, each piece by itself. */
    static List<ToldPlan> areas(String json) {
        try {
            JsonNode root = JSON.readTree(json);
            List<ToldPlan> all = new ArrayList<>();
            for (JsonNode area : root.get("areas")) {
                for (JsonNode piece : area.get("pieces")) {
                    all.add(piece(root, area, piece));
                }
            }
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ToldPlan piece(JsonNode root, JsonNode area, JsonNode piece) {
        int number = area.get("pieces").size() == 1 ? 0 : piece.get("number").asInt();
        Predicate<JsonNode> own = node -> node.path("block").asInt() == number;
        List<Curve> ditches = curves(piece.get("seams"));
        List<Curve> seen = new ArrayList<>(ditches);
        seen.addAll(curves(piece.get("keptClear")));
        seen.addAll(path(piece.get("edge")).curves());
        // Rows begin at the piece's lower edge.
        Box box = path(piece.get("edge")).box();
        seen.addAll(curves(piece.get("drawn")));
        Run run = new Run(
                area.get("id").asText(),
                "area",
                new Point(box.left(), box.bottom()),
                new Point(1, 0),
                box.width(),
                box.height());
        Map<String, Mark> marks = new HashMap<>();
        StreamSupport.stream(area.get("marks").spliterator(), false).filter(own).forEach(m -> mark(m, run.id(), marks));
        List<Step> steps = new ArrayList<>();
        steps(area, "lines", run.id(), steps, own);
        Set<String> lines = steps.stream().map(Step::lineId).collect(Collectors.toSet());
        Set<String> twice = StreamSupport.stream(area.get("lines").spliterator(), false)
                .filter(line -> line.get("passes").asInt() % 2 == 0)
                .map(line -> line.get("id").asText())
                .collect(Collectors.toSet());
        List<Travel> travels = new ArrayList<>();
        area.get("travels").forEach(t -> travels.add(new Travel(t.get("to").asText(), path(t.get("curves")))));
        // What leads from one piece to the next is another matter.
        boolean alone = area.get("pieces").size() == 1;
        Set<String> from =
                alone ? Set.of() : between(area).stream().map(Travel::to).collect(Collectors.toSet());
        travels.removeIf(t -> !lines.contains(t.to()) || from.contains(t.to()));
        return new ToldPlan(
                root.at("/machine/footRadius").asDouble(),
                seen,
                List.of(),
                Map.of(run.id(), run),
                marks,
                steps,
                travels,
                ditches,
                twice);
    }

    /**
     * An area of several pieces.
     *
     * @param pieces each alone
     * @param letters of them
     * @param all of them in the order of stitching, with the ways from one to the next alone
     */
    record Joined(List<ToldPlan> pieces, List<String> letters, ToldPlan all) {}

    /** The areas of several pieces, as one plan each. */
    static List<Joined> joined(String json) {
        try {
            JsonNode root = JSON.readTree(json);
            List<Joined> all = new ArrayList<>();
            for (JsonNode area : root.get("areas")) {
                if (area.get("pieces").size() > 1) {
                    all.add(joined(root, area));
                }
            }
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Joined joined(JsonNode root, JsonNode area) {
        List<ToldPlan> pieces = new ArrayList<>();
        List<String> letters = new ArrayList<>();
        List<Curve> ditches = new ArrayList<>();
        area.get("pieces").forEach(piece -> {
            pieces.add(piece(root, area, piece));
            letters.add(piece.get("letter").asText());
            ditches.addAll(curves(piece.get("seams")));
        });
        List<Step> steps = new ArrayList<>();
        steps(area, "lines", area.get("id").asText(), steps, p -> true);
        ToldPlan one = pieces.get(0);
        return new Joined(
                pieces,
                letters,
                new ToldPlan(
                        one.foot(),
                        ditches,
                        List.of(),
                        one.runs(),
                        Map.of(),
                        steps,
                        between(area),
                        ditches,
                        pieces.stream().flatMap(p -> p.twice().stream()).collect(Collectors.toSet())));
    }

    /** The ways of the needle from one piece of an area to the next. */
    private static List<Travel> between(JsonNode area) {
        Set<String> first = new HashSet<>();
        int before = -1;
        for (JsonNode p : area.get("placements")) {
            int block = p.path("block").asInt();
            if (block != before) {
                first.add(p.get("lineId").asText());
            }
            before = block;
        }
        List<Travel> travels = new ArrayList<>();
        area.get("travels").forEach(t -> travels.add(new Travel(t.get("to").asText(), path(t.get("curves")))));
        travels.removeIf(t -> !first.contains(t.to()));
        return travels;
    }

    private static List<Curve> curves(JsonNode paths) {
        List<Curve> all = new ArrayList<>();
        paths.forEach(p -> all.addAll(path(p).curves()));
        return all;
    }

    private static void steps(JsonNode of, String lines, String run, List<Step> steps, Predicate<JsonNode> which) {
        Map<String, Integer> layers = new HashMap<>();
        of.get(lines)
                .forEach(line ->
                        layers.put(line.get("id").asText(), line.get("layer").asInt()));
        for (JsonNode p : of.get("placements")) {
            if (!which.test(p)) {
                continue;
            }
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
                    p.path("template").asText(),
                    p.path("guide").asText(),
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
