package jollyspindle.files.job;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.cloth.ClothLook;
import jollyspindle.core.cloth.Colour;
import jollyspindle.core.cloth.FabricId;
import jollyspindle.core.cloth.Loft;
import jollyspindle.core.cloth.ThreadId;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.files.json.Schemas;
import jollyspindle.files.json.UnknownFields;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import static org.assertj.core.api.Assertions.assertThat;

/** Colours and batting in a job file: they come back, and what makes no sense is told and as usual instead. */
class LookInFilesTest {

    private static final ObjectMapper JSON = new ObjectMapper();

    private static QuiltJob coloured(Loft loft, int stitches, int rgb) {
        FabricId border = FabricId.of(GroupId.border(1));
        FabricId block = FabricId.of(new AreaId(3), 'B');
        Colour colour = new Colour(rgb);
        return DemoJob.heronWeir()
                .with(ClothLook.usual()
                        .with(loft)
                        .withStitches(stitches)
                        .with(FabricId.BODY, colour)
                        .with(border, colour)
                        .with(block, colour)
                        .with(new ThreadId(border, 0), colour)
                        .with(new ThreadId(block, 2), colour));
    }

    @Property(tries = 50)
    void whatIsChosenComesBack(
            @ForAll Loft loft,
            @ForAll @IntRange(min = ClothLook.LEAST_STITCHES, max = ClothLook.MOST_STITCHES) int stitches,
            @ForAll @IntRange(min = 0, max = Colour.WHITE) int rgb)
            throws Exception {
        QuiltJob job = coloured(loft, stitches, rgb);
        JobFile.check(job);
        byte[] written = JobFile.format(job, UnknownFields.none());
        JobFile.Opened opened = JobFile.parse(written);
        assertThat(opened.job()).isEqualTo(job);
        assertThat(opened.told()).isEmpty();
        assertThat(Schemas.of("job").validate(JSON.readTree(written))).isEmpty();
    }

    @Test
    void whileAllIsAsUsualNothingIsWritten() throws Exception {
        assertThat(JSON.readTree(JobFile.format(DemoJob.heronWeir(), UnknownFields.none()))
                        .has("look"))
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/look/loft | \"feather\" | look › loft | thin, medium, lofty",
                "/look/loft | 3 | look › loft | should be a text",
                "/look/stitchesAnInch | 40 | look › stitchesAnInch | between 4 and 20",
                "/look/stitchesAnInch | 7.5 | look › stitchesAnInch | isn't a whole one",
                "/look/fabrics/0/colour | \"beige\" | body › colour | Write it like #EAD9C4",
                "/look/fabrics/0/id | \"sky\" | look › fabrics | no part of a quilt",
                "/look/fabrics/1/id | \"body\" | look › fabrics | has a colour already",
                "/look/fabrics | {} | look › fabrics | should be a list",
                "/look/threads/1/colour | null | look › threads | missing",
                "/look | [] | look | should be an object",
            })
    void whatMakesNoSenseIsToldAndTheRestIsRead(String place, String value, String where, String why) throws Exception {
        QuiltJob job = coloured(Loft.LOFTY, 9, 0x123456);
        ObjectNode root = (ObjectNode) JSON.readTree(JobFile.format(job, UnknownFields.none()));
        int cut = place.lastIndexOf('/');
        JsonNode parent = root.at(place.substring(0, cut));
        String field = place.substring(cut + 1);
        ((ObjectNode) parent).set(field, JSON.readTree(value));
        JobFile.Opened opened = JobFile.parse(JSON.writeValueAsBytes(root));
        assertThat(opened.told())
                .singleElement()
                .satisfies(told -> assertThat(told).contains(where, why).endsWith("It is as usual instead."));
        assertThat(opened.job().with(ClothLook.usual())).isEqualTo(DemoJob.heronWeir());
        ClothLook look = opened.job().look();
        int given = look.fabrics().size()
                + look.threads().size()
                + (look.loft() == Loft.LOFTY ? 1 : 0)
                + (look.stitchesAnInch() == 9 ? 1 : 0);
        int lost = place.equals("/look") ? 7 : place.equals("/look/fabrics") ? 3 : 1;
        assertThat(given).isEqualTo(7 - lost);
    }

    /** What a newer version adds to the look stays in the file. */
    @Test
    void whatIsNotKnownIsKept() throws Exception {
        ObjectNode root =
                (ObjectNode) JSON.readTree(JobFile.format(coloured(Loft.THIN, 12, 0x654321), UnknownFields.none()));
        ((ObjectNode) root.at("/look")).put("sheen", "silk");
        ((ObjectNode) root.at("/look/fabrics/1")).put("print", "dots");
        JobFile.Opened opened = JobFile.parse(JSON.writeValueAsBytes(root));
        JsonNode again = JSON.readTree(JobFile.format(opened.job(), opened.unknown()));
        assertThat(again.at("/look/sheen").asText()).isEqualTo("silk");
        assertThat(again.at("/look/fabrics/1/print").asText()).isEqualTo("dots");
    }
}
