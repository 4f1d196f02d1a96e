package jollyspindle.core.cloth;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.plan.ClothParts;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.shelf.StarterShelf;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

/** Which colours a quilt's parts have, by lasting names, and what becomes of them when parts come and go. */
class ClothLookTest {

    private static final Colour RED = new Colour(0xAA1122);
    private static final Colour BLUE = new Colour(0x1122AA);

    @Property
    void codesComeBack(
            @ForAll @IntRange(min = 0, max = Colour.WHITE) int rgb,
            @ForAll @IntRange(min = 1, max = 999) int number,
            @ForAll @CharRange(from = 'A', to = 'Z') char letter,
            @ForAll @IntRange(min = 0, max = 99) int layer) {
        Colour colour = new Colour(rgb);
        assertThat(Colour.parse(colour.code())).contains(colour);
        assertThat(colour.red() << 16 | colour.green() << 8 | colour.blue()).isEqualTo(rgb);
        for (FabricId id : List.of(
                FabricId.BODY,
                FabricId.of(GroupId.border(number)),
                FabricId.of(GroupId.strip(number)),
                FabricId.of(new AreaId(number), letter))) {
            assertThat(FabricId.parse(id.code())).contains(id);
            ThreadId thread = new ThreadId(id, layer);
            assertThat(ThreadId.parse(thread.code())).contains(thread);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "body-1",
                "border-0",
                "border-1-A",
                "area-1",
                "area-1-a",
                "area-1-AB",
                "strip",
                "top",
                "border-1/"
            })
    void whatIsNoPartIsNone(String code) {
        assertThat(FabricId.parse(code)).isEmpty();
        assertThat(ThreadId.parse(code)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "red", "#12345", "#1234567", "112233", "#GG0000"})
    void whatIsNoColourIsNone(String code) {
        assertThat(Colour.parse(code)).isEmpty();
    }

    @Test
    void rangesHold() {
        assertThatThrownBy(() -> new Colour(-1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> ClothLook.usual().withStitches(ClothLook.MOST_STITCHES + 1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Thread is seen on its cloth, light or dark, whatever colour that has; a chosen one is just that. */
    @Property
    void threadIsSeenOnItsCloth(@ForAll @IntRange(min = 0, max = Colour.WHITE) int rgb) {
        Colour cloth = new Colour(rgb);
        ThreadId thread = new ThreadId(FabricId.BODY, 1);
        ClothLook look = ClothLook.usual().with(FabricId.BODY, cloth);
        assertThat(Math.abs(look.thread(thread).brightness() - cloth.brightness()))
                .isGreaterThan(0.03);
        assertThat(look.with(thread, RED).thread(thread)).isEqualTo(RED);
        assertThat(look.with(thread, RED).without(thread)).isEqualTo(look);
        assertThat(look.without(FabricId.BODY)).isEqualTo(ClothLook.usual());
    }

    private static QuiltJob coloured() {
        QuiltJob demo = DemoJob.heronWeir();
        return demo.withQuilt(demo.quilt().withAreas(List.of(new Area.Blocks(2, 2, 9, 9, 1), new Area.Medallion(12))))
                .with(ClothLook.usual()
                        .with(FabricId.of(GroupId.border(1)), RED)
                        .with(FabricId.of(GroupId.border(2)), BLUE)
                        .with(new ThreadId(FabricId.of(GroupId.border(2)), 1), RED)
                        .with(FabricId.of(new AreaId(1), 'A'), RED)
                        .with(FabricId.of(new AreaId(2), 'A'), BLUE)
                        .with(new ThreadId(FabricId.of(new AreaId(2), 'A'), 1), RED));
    }

    @Test
    void coloursGoWithTheirParts() {
        ClothLook inward = coloured().look().withoutBorder(1);
        assertThat(inward.fabric(FabricId.of(GroupId.border(1)))).isEqualTo(BLUE);
        assertThat(inward.thread(new ThreadId(FabricId.of(GroupId.border(1)), 1)))
                .isEqualTo(RED);
        assertThat(inward.fabrics()).doesNotContainKey(FabricId.of(GroupId.border(2)));
        QuiltJob without = coloured().without(new AreaId(2));
        assertThat(without.look().fabrics().keySet())
                .extracting(FabricId::code)
                .containsExactly("border-1", "border-2", "area-1-A");
        assertThat(without.look().threads()).hasSize(1);
        ClothLook strip = ClothLook.usual().with(FabricId.of(GroupId.strip(3)), RED);
        assertThat(strip.withoutStrip(GroupId.strip(3))).isEqualTo(ClothLook.usual());
        assertThat(strip.withoutStrip(GroupId.strip(1))).isEqualTo(strip);
    }

    /** A thread's colour stays with its motif when another before it goes. */
    @Test
    void threadsGoByWhatIsStitchedNotByItsPlace() {
        AreaId block = new AreaId(1);
        AreaMotif hatch = new AreaMotif.Crosshatch(2, Math.PI / 4);
        AreaMotif rings = new AreaMotif.Rings(2, 1, 3, AreaMotif.Spokes.NONE);
        QuiltJob both = coloured()
                .with(
                        block,
                        AreaDesign.of(rings, Optional.empty())
                                .with(
                                        'A',
                                        AreaDesign.of(rings, Optional.empty())
                                                .part('A')
                                                .withLayer(1, new AreaDesign.Layer(hatch, Optional.empty()))));
        QuiltJob one = both.with(
                block, both.design(block).with('A', both.design(block).part('A').withoutLayer(0)));
        assertThat(threads(both, block)).containsExactly("area-1-A/1", "area-1-A/2");
        assertThat(threads(one, block)).containsExactly("area-1-A/2");
    }

    private static SortedSet<String> threads(QuiltJob job, AreaId area) {
        return ClothParts.of(Planner.plan(job.withTemplates(StarterShelf.templates()))).orElseThrow().threads().stream()
                .filter(s -> s.line().region().equals(area))
                .map(s -> s.thread().code())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** All lines have a thread on the fabric they are on, and a quilt that isn't measured has no parts. */
    @Test
    void partsAreThoseOfThePlan() {
        ClothParts parts = ClothParts.of(Planner.plan(coloured())).orElseThrow();
        assertThat(parts.patches())
                .extracting(p -> p.fabric().code())
                .containsExactly("border-1", "body", "area-1-A", "area-1-A", "area-1-A", "area-1-A", "area-2-A");
        assertThat(parts.threads())
                .hasSize(Planner.plan(coloured()).lines().size())
                .allMatch(s -> s.thread().equals(new ThreadId(FabricId.of(GroupId.border(1)), 1)));
        assertThat(parts.held()).hasSize(parts.threads().size() + 1);
        QuiltJob unmeasured = DemoJob.heronWeir().withQuilt(jollyspindle.core.quilt.Quilt.unmeasured());
        assertThat(ClothParts.of(Planner.plan(unmeasured))).isEmpty();
    }
}
