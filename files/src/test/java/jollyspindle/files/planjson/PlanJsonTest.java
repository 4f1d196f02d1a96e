package jollyspindle.files.planjson;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.files.Rich;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

class PlanJsonTest {

    private static JsonNode json(QuiltJob job) throws IOException {
        return new ObjectMapper().readTree(PlanJson.format(Planner.plan(job)));
    }

    private static void names(JsonNode node, Set<String> found) {
        for (Map.Entry<String, JsonNode> field : node.properties()) {
            found.add(field.getKey());
            names(field.getValue(), found);
        }
        if (node.isArray()) {
            node.forEach(entry -> names(entry, found));
        }
    }

    @Test
    void everyNameIsDocumented() throws IOException {
        String document = Files.readString(Path.of("../docs/plan-format.md"));
        TreeSet<String> found = new TreeSet<>();
        QuiltJob demo = DemoJob.heronWeir();
        names(json(demo), found);
        Template hill = demo.chosenTemplate().orElseThrow();
        names(json(demo.withTemplate(hill.withForm(swept((ArcForm) hill.form(), 1)))), found);
        names(
                json(demo.withTemplate(StarterShelf.template("mill-bridge"))
                        .editing(GroupId.border(1), l -> l.withTemplate("mill-bridge", Optional.empty()))),
                found);
        names(json(demo.withQuilt(demo.quilt().with(Dimension.DEPTH_TOP, 1.5))), found);
        names(json(Rich.job()), found);
        for (QuiltJob ring : DemoRings.all().values()) {
            names(json(ring), found);
        }
        assertThat(found).hasSizeGreaterThan(60);
        assertThat(found.stream()
                        .filter(name -> RunId.parse(name).isEmpty())
                        .filter(name -> !document.contains("`" + name + "`") && !document.contains("." + name + "`")))
                .isEmpty();
    }

    @Test
    void agreesWithHandReckoning() throws IOException {
        JsonNode plan = json(DemoJob.heronWeir());
        JsonNode top = plan.path("runs").get(0);
        assertThat(plan.path("groups")
                        .get(0)
                        .path("template")
                        .path("stitchedRadius")
                        .asDouble())
                .isCloseTo(3.995, within(1e-9));
        assertThat(top.path("repeat").asDouble()).isCloseTo(7.1625, within(1e-9));
        // R − √(R² − c²/4) and 2·asin(c/2R)
        assertThat(top.path("rise").asDouble())
                .isCloseTo(3.995 - Math.sqrt(3.995 * 3.995 - 3.58125 * 3.58125), within(1e-9));
        assertThat(top.path("sweepDegrees").asDouble())
                .isCloseTo(2 * Math.toDegrees(Math.asin(3.58125 / 3.995)), within(1e-6));
        assertThat(top.path("positions").path("valleys")).hasSize(11);
        assertThat(top.path("positions").path("valleys").get(7).asDouble()).isCloseTo(50.1375, within(1e-9));
        JsonNode valley = find(top.path("marks"), "top-valley-7");
        assertThat(valley.path("readings").path("fromLeft").path("text").asText())
                .isEqualTo("50 1/8 generous");
        assertThat(valley.path("readings").path("fromRight").path("text").asText())
                .isEqualTo("21 1/2 scant");
        assertThat(valley.path("readings").path("fromCentre").path("exact").asDouble())
                .isCloseTo(14.325, within(1e-9));
        for (JsonNode run : plan.path("runs")) {
            double home = List.of(0.0, -90.0, 180.0, 90.0)
                    .get(List.of("top", "right", "bottom", "left")
                            .indexOf(run.path("side").asText()));
            for (JsonNode placement : run.path("placements")) {
                double turned = placement.path("pose").path("rotationDegrees").asDouble();
                assertThat(Math.abs(Math.IEEEremainder(turned - home, 360)))
                        .as("a quilt that leans a little turns its templates a little")
                        .isLessThan(0.25);
                assertThat(placement.path("direction").asText()).isEqualTo("clockwise");
                JsonNode line = placement.path("curves").get(0);
                JsonNode start =
                        find(run.path("marks"), placement.path("startMark").asText());
                assertThat(line.path("start").get(0).asDouble())
                        .isCloseTo(start.path("place").get(0).asDouble(), within(1e-3));
                assertThat(line.path("start").get(1).asDouble())
                        .isCloseTo(start.path("place").get(1).asDouble(), within(1e-3));
            }
        }
    }

    private static JsonNode find(JsonNode list, String id) {
        for (JsonNode entry : list) {
            if (entry.path("id").asText().equals(id)) {
                return entry;
            }
        }
        throw new AssertionError("no " + id);
    }

    @Test
    void saysWhatIsWrongWhereNothingCanBePlanned() throws IOException {
        JsonNode plan =
                json(DemoJob.heronWeir().withQuilt(DemoJob.heronWeir().quilt().without(Dimension.BODY_TOP)));
        assertThat(plan.has("quilt")).isFalse();
        assertThat(plan.path("runs")).isEmpty();
        assertThat(plan.path("findings").get(0).path("code").asText()).isEqualTo("not-measured");
    }

    /** An arc of which the foot can follow another piece, in radians. */
    private static ArcForm swept(ArcForm arc, double usable) {
        return new ArcForm(arc.bulging(), arc.hollow(), usable, arc.legs(), arc.halfCircle(), arc.depth());
    }
}
