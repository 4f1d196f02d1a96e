package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.shelf.StarterShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

import static jollyspindle.core.area.AreaChecks.MACHINE;
import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.check;
import static jollyspindle.core.area.AreaChecks.layOut;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** Designs over many blocks: by letter, in turn, block by block, with totals; and lists of sizes. */
class BlockDesignsTest {

    private static final Area ALIKE = new Area.Blocks(3, 4, 14.3, 13.7, 3.7);

    private static final AreaDesign.Part HATCH = new AreaDesign.Part(
            List.of(new AreaDesign.Layer(new AreaMotif.Crosshatch(1, Math.PI / 4), Optional.empty())));
    private static final AreaDesign.Part WHIRL =
            new AreaDesign.Part(List.of(new AreaDesign.Layer(new AreaMotif.Whirl(3, 0.5, 4), Optional.empty())));

    private static AreaPlan plan(AreaDesign design) {
        Area blocks = new Area.Blocks(3, 2, 8, 8, 1);
        AreaPlan plan = layOut(blocks, design, List.of(), StarterShelf.templates(), MACHINE);
        check(blocks, plan, StarterShelf.templates());
        return plan;
    }

    private static String letters(AreaPlan plan) {
        return plan.pieces().stream().map(p -> "" + p.letter()).collect(Collectors.joining());
    }

    @Test
    void lettersAreRepeatedOverTheBlocks() {
        AreaDesign two = new AreaDesign(List.of(HATCH, WHIRL), List.of());
        assertThat(letters(plan(two))).isEqualTo("AAAAAA");
        assertThat(letters(plan(two.inTurn()))).isEqualTo("ABABAB");
        assertThat(letters(plan(two.withLetters(List.of("ABB", "-A"))))).isEqualTo("ABB-A-");
        assertThat(letters(plan(two.inTurn().withBlock(3, 2, 2, 1, 'A')))).isEqualTo("ABABAA");
        assertThat(letters(plan(two.inTurn().withoutLastPart()))).isEqualTo("AAAAAA");
        AreaDesign three = new AreaDesign(List.of(HATCH, WHIRL, HATCH), List.of());
        assertThat(three.inTurn().letters()).containsExactly("ABC", "BCA", "CAB");
        assertThatThrownBy(() -> two.withLetters(List.of("AC"))).hasMessageContaining("from A to B: AC");
    }

    /** Each letter has rays of its own; hatching has none. */
    @Test
    void eachLetterHasItsOwnRays() {
        AreaDesign.Part eight =
                AreaDesign.of(new AreaMotif.Points(4, 1, 3), Optional.empty()).part('A');
        AreaDesign.Part six =
                AreaDesign.of(new AreaMotif.Petals(6, 0.5, 3), Optional.empty()).part('A');
        AreaPlan plan = plan(new AreaDesign(List.of(eight, HATCH, six), List.of("ABC", "CAB")));
        assertThat(plan.turnings()).extracting(AreaPlan.Turning::letter).containsExactly('A', 'C');
        assertThat(plan.rays('A')).hasSize(8).allMatch(r -> r.found() == Ray.Found.USUAL);
        assertThat(plan.turning('A').orElseThrow().stepping()).isEmpty();
        assertThat(plan.rays('B')).isEmpty();
        assertThat(plan.rays('C')).hasSize(6);
        // 60 degrees on the circle of radius 4: the chord is the radius.
        assertThat(plan.turning('C').orElseThrow().stepping().orElseThrow().chord())
                .isCloseTo(4, within(1e-9));
        // A petal in any of the third letter's blocks lies on the ray it is turned to.
        for (AreaPlan.Piece piece : plan.pieces()) {
            List<Integer> rays = plan.placements().stream()
                    .filter(p -> piece.letter() == 'C' && p.id().line().piece().number() == piece.number())
                    .map(p -> plan.ray(p, piece).orElseThrow().number())
                    .distinct()
                    .toList();
            assertThat(rays).hasSize(piece.letter() == 'C' ? 6 : 0);
        }
    }

    /** Blocks that are alike are told of once, wherever they lie. */
    @ParameterizedTest
    @MethodSource("presets")
    void whatIsToldOfAlikeBlocksIsToldOnce(AreaPreset preset) {
        AreaDesign design = AreaDesign.of(preset.motif(), Optional.empty());
        AreaPlan all = layOut(ALIKE, design, List.of(), StarterShelf.templates(), MACHINE);
        AreaPlan one =
                layOut(new Area.Blocks(1, 1, 14.3, 13.7, 0), design, List.of(), StarterShelf.templates(), MACHINE);
        assertThat(all.diagnosed()).extracting(t -> t.what().getClass()).hasSameSizeAs(one.diagnosed());
    }

    static List<AreaPreset> presets() {
        return AreaPreset.of(ALIKE);
    }

    /** What all blocks take is so many times what one takes. */
    @Test
    void totalsAreWhatOneBlockTakesTimesTheBlocks() {
        AreaPlan plan = plan(new AreaDesign(List.of(HATCH, WHIRL), List.of("AB-", "BB")));
        AreaPlan hatch = AreaChecks.plan(block(8), HATCH.layers().get(0).motif(), null);
        AreaPlan whirl = AreaChecks.plan(block(8), WHIRL.layers().get(0).motif(), null);
        AreaPlan.Sum a =
                plan.sums().stream().filter(s -> s.letter() == 'A').findFirst().orElseThrow();
        AreaPlan.Sum b =
                plan.sums().stream().filter(s -> s.letter() == 'B').findFirst().orElseThrow();
        assertThat(a.blocks()).isEqualTo(1);
        assertThat(b.blocks()).isEqualTo(4);
        assertThat(b.lines()).isEqualTo(4 * whirl.lines().size());
        assertThat(b.placements()).isEqualTo(4 * whirl.placements().size());
        assertThat(b.starts()).isEqualTo(4 * whirl.starts());
        assertThat(b.stitched())
                .isCloseTo(
                        4
                                * whirl.lines().stream()
                                        .mapToDouble(l -> l.path().length())
                                        .sum(),
                        within(1e-6));
        assertThat(a.stitched())
                .isCloseTo(
                        hatch.lines().stream()
                                .mapToDouble(l -> l.path().length())
                                .sum(),
                        within(1e-6));
        assertThat(plan.placements()).hasSize(a.placements() + b.placements());
    }

    /** Every block with a letter is the same, moved. */
    @Test
    void blocksWithOneLetterAreAlike() {
        AreaPlan plan = plan(new AreaDesign(List.of(WHIRL), List.of()));
        int each = plan.lines().size() / 6;
        Point first = plan.pieces().get(0).cloth().centre();
        for (int block = 1; block < 6; block++) {
            Point by = plan.pieces().get(block).cloth().centre().minus(first);
            for (int i = 0; i < each; i++) {
                Path own = plan.lines().get(block * each + i).path();
                assertThat(own.start()
                                .distance(plan.lines().get(i).path().start().plus(by)))
                        .isLessThan(1e-9);
                assertThat(own.end().distance(plan.lines().get(i).path().end().plus(by)))
                        .isLessThan(1e-9);
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4 1/2 | 1 4.5 4.5",
                "12 of 4 1/2; 4 of 6 by 9 | 12 4.5 4.5, 4 6 9",
                "6x9 | 1 6 9",
                "3 OF 6 × 9 1/4; | 3 6 9.25"
            })
    void listsOfSizesAreRead(String text, String expected) {
        BlockSize.Reading.Read read = (BlockSize.Reading.Read) BlockSize.parse(text, TapeScale.SIXTEENTHS);
        assertThat(read.sizes().stream()
                        .map(s -> s.count() + " " + plain(s.width()) + " " + plain(s.height()))
                        .collect(Collectors.joining(", ")))
                .isEqualTo(expected);
    }

    private static String plain(double inches) {
        return inches == Math.rint(inches) ? "" + (long) inches : "" + inches;
    }

    @ParameterizedTest
    @CsvSource({"''", "twelve", "0 of 4", "3 by 4 by 5", "4 of", "-3", "500"})
    void whatIsNoSizeIsSaid(String text) {
        assertThat(BlockSize.parse(text, TapeScale.SIXTEENTHS))
                .isInstanceOfSatisfying(BlockSize.Reading.Refused.class, r -> assertThat(r.why())
                        .contains("12 of 4 1/2; 4 of 6 by 9"));
    }

    /** Inside a clearance, if that leaves anything. */
    @Test
    void blocksAreAsLargeAsWhatIsStitchedInThem() {
        assertThat(BlockSize.of(new Area.Blocks(2, 3, 6, 9, 1, 0.25))).contains(new BlockSize(5.5, 8.5, 6));
        assertThat(BlockSize.of(new Area.Blocks(2, 3, 6, 9, 1, 3))).isEmpty();
    }

    /** Of several sizes the one least off on the mean of all blocks comes first, and totals are of all of them. */
    @ParameterizedTest
    @EnumSource
    void oneSizeIsFoundForAllBlocks(BlockFigure figure) {
        List<BlockSize> sizes = List.of(new BlockSize(4.5, 4.5, 12), new BlockSize(6, 9, 4));
        List<BlockFit> fits = BlockFit.of(figure, sizes, StarterShelf.templates(), MACHINE, TapeScale.SIXTEENTHS);
        assertThat(fits).isNotEmpty();
        for (BlockFit fit : fits) {
            double off = 0;
            double stitched = 0;
            for (BlockSize size : sizes) {
                BlockFit one = BlockFit.of(
                                figure,
                                List.of(new BlockSize(size.width(), size.height(), 1)),
                                List.of(fit.template()),
                                MACHINE,
                                TapeScale.SIXTEENTHS)
                        .stream()
                        .filter(f -> f.radius().equals(fit.radius()))
                        .findFirst()
                        .orElseThrow();
                off += size.count() * one.off();
                stitched += size.count() * one.stitched();
            }
            assertThat(fit.off()).isCloseTo(off / 16, within(1e-9));
            assertThat(fit.stitched()).isCloseTo(stitched, within(1e-6));
            assertThat(fit.density()).isCloseTo(stitched / (12 * 20.25 + 4 * 54), within(1e-9));
        }
        assertThat(fits.stream()
                        .mapToDouble(f -> figure == BlockFigure.CLAMSHELLS
                                ? Math.rint(f.off() * 128)
                                : Math.floor(f.stretch() * 20))
                        .toArray())
                .isSorted();
    }
}
