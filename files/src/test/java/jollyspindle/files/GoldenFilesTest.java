package jollyspindle.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.division.school.School;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.Recipe;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.planjson.PlanJson;
import jollyspindle.files.recipe.RecipeFile;
import jollyspindle.files.shelf.ShelfFile;
import jollyspindle.files.shelf.TemplateSetFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/**
 * Files as quilters have them: one of every kind, written once and kept. They must be read for ever, and what is written
 * must not change unnoticed. {@code -Dspindle.golden=write} writes what is missing or was changed on purpose.
 */
class GoldenFilesTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Path GOLDEN = Path.of("src", "test", "golden");
    private static final boolean WRITE = "write".equals(System.getProperty("spindle.golden"));

    @TempDir
    private Path folder;

    private static QuiltJob areas() {
        return DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .withQuilt(DemoJob.heronWeir()
                        .quilt()
                        .withAreas(List.of(new Area.Blocks(2, 2, 9, 9, 1), new Area.Medallion(12))))
                .with(new AreaId(1), AreaDesign.of(new AreaMotif.Crosshatch(1.5, Math.PI / 4), Optional.empty()))
                .with(
                        new AreaId(2),
                        AreaDesign.of(new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0.75), Optional.empty()));
    }

    /** A job of every kind there is, by name. */
    @SuppressWarnings("unchecked")
    private static Map<String, byte[]> jobs() {
        Map<String, byte[]> jobs = new TreeMap<>();
        RoundTripTest.kinds().forEach(arguments -> {
            Class<?> kind = (Class<?>) arguments.get()[0];
            BiFunction<QuiltJob, Object, QuiltJob> into =
                    (BiFunction<QuiltJob, Object, QuiltJob>) arguments.get()[1];
            String name = (School.class.isAssignableFrom(kind) ? "School-" : "")
                    + kind.getName().replaceAll(".*\\.", "").replace('$', '-');
            Object value = new RandomRecords(name.hashCode()).of(kind);
            jobs.put(
                    "job-" + name + ".json",
                    JobFile.format(into.apply(DemoJob.heronWeir(), value), UnknownFields.none()));
        });
        jobs.put("job-demo.json", JobFile.format(DemoJob.heronWeir(), UnknownFields.none()));
        jobs.put("job-rich.json", JobFile.format(Rich.job(), UnknownFields.none()));
        DemoRings.all()
                .forEach((name, job) -> jobs.put("job-" + name + ".json", JobFile.format(job, UnknownFields.none())));
        return jobs;
    }

    private static byte[] golden(String name, byte[] now) throws IOException {
        Path file = GOLDEN.resolve(name);
        if (WRITE) {
            Files.createDirectories(GOLDEN);
            Files.write(file, now);
        }
        assertThat(file).as("a golden file for %s; see this class", name).exists();
        return Files.readAllBytes(file);
    }

    @Test
    void jobsOfEveryKindAreWrittenAsEverAndReadToTheBit() throws Exception {
        for (Map.Entry<String, byte[]> job : jobs().entrySet()) {
            byte[] golden = golden(job.getKey(), job.getValue());
            assertThat(new String(job.getValue(), StandardCharsets.UTF_8))
                    .as(job.getKey())
                    .isEqualTo(new String(golden, StandardCharsets.UTF_8));
            JobFile.Opened opened = JobFile.parse(golden);
            assertThat(JobFile.format(opened.job(), opened.unknown()))
                    .as(job.getKey())
                    .isEqualTo(golden);
        }
        TreeSet<String> left = new TreeSet<>();
        try (Stream<Path> files = Files.list(GOLDEN)) {
            files.map(f -> f.getFileName().toString())
                    .filter(n -> n.startsWith("job-"))
                    .forEach(left::add);
        }
        left.removeAll(jobs().keySet());
        // Other values of a kind, and those of a kind that is gone, are still read, or their files wouldn't open any
        // more.
        for (String name : left) {
            byte[] golden = Files.readAllBytes(GOLDEN.resolve(name));
            JobFile.Opened opened = JobFile.parse(golden);
            assertThat(JobFile.format(opened.job(), opened.unknown())).as(name).isEqualTo(golden);
        }
    }

    @Test
    void shelfTemplatesAndRecipe() throws Exception {
        ShelfFile.write(folder, Shelf.starter(), UnknownFields.none());
        byte[] shelf = Files.readAllBytes(folder.resolve(ShelfFile.NAME));
        assertThat(golden("shelf.json", shelf)).isEqualTo(shelf);
        Files.write(folder.resolve(ShelfFile.NAME), golden("shelf.json", shelf));
        assertThat(ShelfFile.read(folder).shelf()).isEqualTo(Shelf.starter());
        byte[] templates = TemplateSetFile.format(StarterShelf.templates());
        byte[] goldenTemplates = golden("templates.json", templates);
        assertThat(goldenTemplates).isEqualTo(templates);
        Path file = Files.write(folder.resolve("t.templates.json"), goldenTemplates);
        assertThat(TemplateSetFile.read(file)).isEqualTo(StarterShelf.templates());
        Recipe recipe = Recipe.of(Planner.plan(DemoRings.all().get("ring-lanterns")), GroupId.border(1), "Lanterns");
        byte[] written = RecipeFile.format(recipe);
        byte[] goldenRecipe = golden("recipe.json", written);
        assertThat(goldenRecipe).isEqualTo(written);
        assertThat(RecipeFile.read(Files.write(folder.resolve("r.recipe.json"), goldenRecipe)))
                .isEqualTo(recipe);
    }

    @Test
    void plansForScripts() throws Exception {
        for (Map.Entry<String, QuiltJob> job : Map.of("plan-demo.json", DemoJob.heronWeir(), "plan-areas.json", areas())
                .entrySet()) {
            String now = PlanJson.format(Planner.plan(job.getValue()));
            JsonNode golden = JSON.readTree(golden(job.getKey(), now.getBytes(StandardCharsets.UTF_8)));
            alike(job.getKey(), golden, JSON.readTree(now));
        }
    }

    /** The same but for the last digits of numbers, which processors round differently. */
    private static void alike(String where, JsonNode golden, JsonNode now) {
        if (golden.isNumber() && now.isNumber()) {
            assertThat(now.doubleValue()).as(where).isCloseTo(golden.doubleValue(), within(1e-6));
        } else if (golden.isArray()) {
            assertThat(now.size()).as(where).isEqualTo(golden.size());
            for (int i = 0; i < golden.size(); i++) {
                alike(where + "/" + i, golden.get(i), now.path(i));
            }
        } else if (golden.isObject()) {
            assertThat(now.fieldNames()).toIterable().as(where).containsExactlyElementsOf(golden::fieldNames);
            golden.fieldNames().forEachRemaining(name -> alike(where + "/" + name, golden.get(name), now.get(name)));
        } else {
            assertThat(now).as(where).isEqualTo(golden);
        }
    }
}
