package jollyspindle.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.ClothCheck;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.Schemas;
import jollyspindle.files.json.UnknownFields;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** Whatever a job can hold comes back from its file to the bit, and what a newer version has added stays in it. */
class RoundTripTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int TRIES = 60;

    /** How many of them are held against the schema, which takes far longer. */
    private static final int VALIDATED = 6;

    private static final GroupId INNER = GroupId.border(1);
    private static final String ADDED = "addedByANewerVersion";

    /** A kind of thing in a job, and how a job holds it. */
    private static <T> Stream<Arguments> each(Class<T> type, BiFunction<QuiltJob, T, QuiltJob> into) {
        return RandomRecords.kinds(type).stream()
                .map(kind -> Arguments.of(kind, (BiFunction<QuiltJob, Object, QuiltJob>)
                        (job, value) -> into.apply(job, type.cast(value))));
    }

    private static QuiltJob withTemplate(QuiltJob job, Template template) {
        return job.withTemplates(List.of(template));
    }

    static Stream<Arguments> kinds() {
        return Stream.of(
                        each(
                                Motif.class,
                                (job, motif) -> job.editing(
                                        INNER,
                                        l -> l.with(new Design(
                                                List.of(Layer.of(motif)), Map.of(), CornerDesign.plain(), Map.of())))),
                        each(
                                Layer.class,
                                (job, layer) -> job.editing(
                                        INNER,
                                        l -> l.with(new Design(
                                                List.of(layer),
                                                Map.of(Side.LEFT, List.of(layer, layer)),
                                                CornerDesign.plain(),
                                                Map.of())))),
                        each(
                                CornerDesign.class,
                                (job, corner) -> job.editing(
                                        INNER,
                                        l -> l.with(new Design(
                                                List.of(Layer.of(Motif.Arcs.single())),
                                                Map.of(),
                                                corner,
                                                Map.of(Side.TOP, corner))))),
                        each(School.class, (job, school) -> job.choosing(Map.of(RunId.of(Side.TOP), school))),
                        each(Wish.class, (job, wish) -> job.editing(INNER, l -> l.with(wish))),
                        each(Judging.class, (job, judging) -> job.with(judging)),
                        each(AreaMotif.class, (job, motif) -> withArea(job, new Area.Medallion(12))
                                .with(
                                        new AreaId(1),
                                        new AreaDesign(
                                                List.of(new AreaDesign.Part(
                                                        List.of(new AreaDesign.Layer(motif, Optional.of("low-dune"))))),
                                                List.of()))),
                        each(Area.class, RoundTripTest::withArea),
                        each(
                                Strip.class,
                                (job, strip) -> job.withQuilt(job.quilt().withStrips(List.of(strip)))),
                        each(Machine.class, QuiltJob::withMachine),
                        each(
                                FootMeasurement.class,
                                (job, measured) -> job.withMachine(
                                        measured.footRadius() >= 0.01 && measured.footRadius() <= 0.5
                                                ? job.machine().withMeasured(List.of(measured))
                                                : job.machine())),
                        each(
                                Form.class,
                                (job, form) -> withTemplate(
                                        job, Template.of("one", "One", form, SizeLabel.RADIUS_AS_CUT, List.of()))),
                        each(
                                EngravedLine.class,
                                (job, line) ->
                                        withTemplate(job, job.templates().get(0).withLines(List.of(line)))),
                        each(
                                Material.class,
                                (job, material) ->
                                        withTemplate(job, job.templates().get(0).withMaterial(material))),
                        each(
                                ClothCheck.class,
                                (job, check) ->
                                        withTemplate(job, job.templates().get(0).withCheck(Optional.of(check)))))
                .flatMap(s -> s);
    }

    private static QuiltJob withArea(QuiltJob job, Area area) {
        Quilt quilt = job.quilt().withAreas(List.of(area));
        return job.withQuilt(quilt);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("kinds")
    void everyKindWithRandomFieldsComesBackToTheBit(Class<?> kind, BiFunction<QuiltJob, Object, QuiltJob> into)
            throws Exception {
        RandomRecords random = new RandomRecords(kind.getName().hashCode());
        for (int i = 0; i < TRIES; i++) {
            Object value = random.of(kind);
            QuiltJob job = into.apply(DemoJob.heronWeir(), value);
            byte[] written = JobFile.format(job, UnknownFields.none());
            QuiltJob back = JobFile.parse(written).job();
            assertThat(back).as("%s", value).isEqualTo(job);
            assertThat(JobFile.format(back, UnknownFields.none())).isEqualTo(written);
            if (i < VALIDATED) {
                assertThat(Schemas.of("job").validate(JSON.readTree(written)))
                        .as("%s", value)
                        .isEmpty();
            }
        }
    }

    @Property(tries = 1000)
    void angles(@ForAll("angles") double radians) throws Exception {
        QuiltJob job = DemoJob.heronWeir()
                .withQuilt(DemoJob.heronWeir()
                        .quilt()
                        .withStrips(List.of(new Strip(
                                "s",
                                Strip.Kind.FREE,
                                new jollyspindle.core.geometry.Point(0, 0),
                                radians,
                                40,
                                3,
                                java.util.OptionalDouble.empty()))));
        assertThat(JobFile.parse(JobFile.format(job, UnknownFields.none()))
                        .job()
                        .quilt()
                        .strips()
                        .get(0)
                        .angle())
                .isEqualTo(radians);
    }

    @net.jqwik.api.Provide
    net.jqwik.api.Arbitrary<Double> angles() {
        return net.jqwik.api.Arbitraries.doubles().between(-6.28, 6.28).ofScale(16);
    }

    // --- what isn't known --------------------------------------------------------------------------------------------

    /** Puts a field that no version knows into every object there is; how many. */
    private static int addEverywhere(JsonNode node, int number) {
        int next = number;
        if (node instanceof ObjectNode object) {
            for (JsonNode child : object) {
                next = addEverywhere(child, next);
            }
            object.put(ADDED, next++);
        } else if (node instanceof ArrayNode) {
            for (JsonNode child : node) {
                next = addEverywhere(child, next);
            }
        }
        return next;
    }

    static Stream<Arguments> jobs() {
        RandomRecords random = new RandomRecords(7);
        List<AreaDesign.Layer> everyMotif = new ArrayList<>();
        QuiltJob areas = withArea(Rich.job(), new Area.Medallion(12));
        for (Class<? extends AreaMotif> kind : RandomRecords.kinds(AreaMotif.class)) {
            everyMotif.add(new AreaDesign.Layer(random.of(kind), Optional.empty()));
        }
        AreaDesign.Part part = new AreaDesign.Part(everyMotif.subList(0, AreaDesign.MOST_LAYERS));
        return Stream.concat(
                Stream.of(
                        Arguments.of("demo", DemoJob.heronWeir()),
                        Arguments.of("rich", Rich.job()),
                        Arguments.of(
                                "areas", areas.with(new AreaId(1), new AreaDesign(List.of(part, part), List.of())))),
                RandomRecords.kinds(Form.class).stream()
                        .map(kind -> Arguments.of(
                                kind.getSimpleName(),
                                withTemplate(
                                        DemoJob.heronWeir(),
                                        Template.of(
                                                "one", "One", random.of(kind), SizeLabel.RADIUS_AS_CUT, List.of())))));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("jobs")
    void whatANewerVersionAddedStaysInEveryObject(String name, QuiltJob job) throws Exception {
        JsonNode newer = JSON.readTree(JobFile.format(job, UnknownFields.none()));
        assertThat(addEverywhere(newer, 0)).isGreaterThan(10);
        JobFile.Opened opened = JobFile.parse(newer.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertThat(opened.job()).isEqualTo(job);
        JsonNode again = JSON.readTree(JobFile.format(opened.job(), opened.unknown()));
        assertThat(again).isEqualTo(newer);
    }

    @Test
    void entriesWithoutANameAreFoundAgainWhenOthersGo() throws Exception {
        List<Layer> layers = List.of(
                Layer.of(Motif.Arcs.single()),
                Layer.of(new Motif.Crosshatch(0.5, 1, true, false)),
                Layer.of(new Motif.Circles(0.25, 3, Motif.Turning.SAME, true)));
        QuiltJob job = DemoJob.heronWeir()
                .editing(INNER, l -> l.with(new Design(layers, Map.of(), CornerDesign.plain(), Map.of())));
        JsonNode newer = JSON.readTree(JobFile.format(job, UnknownFields.none()));
        ArrayNode written = (ArrayNode) newer.at("/layouts/0/layers");
        ((ObjectNode) written.get(2)).put(ADDED, "of the circles");
        JobFile.Opened opened = JobFile.parse(newer.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
        QuiltJob without = opened.job()
                .editing(
                        INNER,
                        l -> l.with(new Design(
                                List.of(layers.get(0), layers.get(2)), Map.of(), CornerDesign.plain(), Map.of())));
        JsonNode again =
                JSON.readTree(JobFile.format(without, opened.unknown())).at("/layouts/0/layers");
        assertThat(again.get(0).has(ADDED)).isFalse();
        assertThat(again.get(1).path(ADDED).asText()).isEqualTo("of the circles");
    }

    @Test
    void aSingleLinesChoicesComeBack() throws Exception {
        Motif.Arcs arcs = Motif.Arcs.single().with(Motif.Inner.PARALLEL).withStep(0.75);
        QuiltJob job = DemoJob.heronWeir()
                .editing(
                        INNER,
                        l -> l.with(new Design(List.of(Layer.of(arcs)), Map.of(), CornerDesign.plain(), Map.of())));
        assertThat(JobFile.parse(JobFile.format(job, UnknownFields.none())).job())
                .isEqualTo(job);
    }

    @Test
    void tieRatios() throws Exception {
        for (Tie.Ratio ratio : Tie.Ratio.values()) {
            QuiltJob job = Rich.job().editing(GroupId.border(3), l -> l.with(Optional.of(new Tie(3, 1, ratio))));
            assertThat(JobFile.parse(JobFile.format(job, UnknownFields.none())).job())
                    .isEqualTo(job);
        }
    }
}
