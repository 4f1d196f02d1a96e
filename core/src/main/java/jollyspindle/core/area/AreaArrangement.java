package jollyspindle.core.area;

import jollyspindle.core.quilt.Area;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * A whole block, medallion or background to begin with, as a gallery offers it for an area: several motifs together, or
 * blocks that differ, with numbers that suit its size.
 *
 * <p>Common practice, no source, for what goes together.
 *
 * @param code lasting, letters and hyphens
 * @param design of it; with several letters it is one for all blocks
 */
public record AreaArrangement(String code, AreaDesign design) {

    /** Shells a third of an inch wide are stitched from marks alone. */
    private static final double SMALL_SHELL = 1.0 / 3;

    /** The stop of arms that many lines lead to, in inches (common practice, no source). */
    private static final double STOP = 0.75;

    /** All that make sense in an area. None for an appliqué. */
    public static List<AreaArrangement> of(Area area) {
        List<AreaArrangement> all = new ArrayList<>();
        AreaPreset.Cloth.of(area).ifPresent(cloth -> {
            if (area instanceof Area.Blocks blocks) {
                blocks(blocks, cloth, all);
            } else if (area instanceof Area.Medallion) {
                medallion(cloth, all);
            } else {
                background(all);
            }
        });
        return all;
    }

    /** Whether it is about which block has what, and so for all of them. */
    public boolean isForAllBlocks() {
        return !design.letters().isEmpty();
    }

    /** What a design becomes by it: all of it, or what stands under a letter. */
    public AreaDesign in(AreaDesign was, char letter) {
        return isForAllBlocks() ? design : was.with(letter, design.part('A'));
    }

    private static AreaArrangement of(String code, AreaMotif... motifs) {
        return new AreaArrangement(code, AreaDesign.of(layers(motifs)));
    }

    private static List<AreaDesign.Layer> layers(AreaMotif... motifs) {
        return List.of(motifs).stream()
                .map(motif -> new AreaDesign.Layer(motif, Optional.empty()))
                .toList();
    }

    private static AreaDesign.Part part(AreaMotif... motifs) {
        return new AreaDesign.Part(layers(motifs));
    }

    // --- blocks ----------------------------------------------------------------------------------------------------

    private static void blocks(Area.Blocks blocks, AreaPreset.Cloth cloth, List<AreaArrangement> all) {
        if (blocks.count() > 1) {
            all.add(new AreaArrangement(
                    "shells-by-fabric",
                    new AreaDesign(
                                    List.of(
                                            part(shells(1)),
                                            part(shells(1.5)),
                                            part(shells(3)),
                                            part(new AreaMotif.Clamshells(
                                                    0, OptionalDouble.of(SMALL_SHELL), true, false, true))),
                                    List.of())
                            .inTurn()));
        }
        if (Math.min(blocks.columns(), blocks.rows()) > 1) {
            all.add(new AreaArrangement("rays-on-the-diagonal", onDiagonal(blocks, part(rays(cloth)))));
        }
        all.add(of("arms-along-the-edge-crossed", new AreaMotif.Arms(8, AreaMotif.Way.ALONG_EDGE, 0, true, 0)));
        all.add(of("floating-arms", floating(cloth)));
        all.add(of("sixteen-waves", waves(16)));
        all.add(of("sixteen-waves-from-a-corner", waves(16).about(AreaMotif.About.BOTTOM_LEFT)));
        all.add(of(
                "pieced-peel",
                new AreaMotif.Peel(
                        AreaPreset.squares(cloth.width(), 2),
                        AreaPreset.squares(cloth.height(), 2),
                        OptionalDouble.empty(),
                        true,
                        true,
                        AreaMotif.Round.CLOCKWISE)));
        all.add(of(
                "quarters-each-its-own",
                new AreaMotif.Quarters(
                        AreaPreset.SPACING / 2,
                        AreaPreset.SPACING,
                        true,
                        AreaMotif.Lined.CLOSE_ACROSS,
                        AreaMotif.Lined.WIDE_DOWN,
                        AreaMotif.Lined.CLOSE_DOWN,
                        AreaMotif.Lined.WIDE_ACROSS,
                        false)));
        all.add(of(
                "whirl-in-an-echo",
                new AreaMotif.Echoes(1, AreaPreset.SPACING / 2, false),
                new AreaMotif.Whirl(3, AreaPreset.SPACING, 8)));
        all.add(overlapping(cloth));
    }

    private static AreaMotif shells(double width) {
        return new AreaMotif.Clamshells(0, OptionalDouble.of(width), true, false, false);
    }

    private static AreaMotif rays(AreaPreset.Cloth cloth) {
        double margin = AreaPreset.SPACING / 2;
        return new AreaMotif.CornerRays(
                AreaMotif.Corner.BOTTOM_LEFT,
                OptionalInt.empty(),
                CornerRaysLayout.usualStop(cloth.width(), cloth.height()),
                margin,
                true);
    }

    /** The blocks from the upper left down to the right, and again where that comes to an end. */
    private static AreaDesign onDiagonal(Area.Blocks blocks, AreaDesign.Part part) {
        int side = Math.min(blocks.columns(), blocks.rows());
        List<String> letters = IntStream.range(0, side)
                .mapToObj(row -> "-".repeat(row) + "A" + "-".repeat(side - 1 - row))
                .toList();
        return new AreaDesign(List.of(part), letters);
    }

    // --- about a centre --------------------------------------------------------------------------------------------

    private static AreaMotif.Arms waves(int arms) {
        return new AreaMotif.Arms(arms, AreaMotif.Way.OUT_AND_BACK, STOP, false, 0, true);
    }

    private static AreaMotif floating(AreaPreset.Cloth cloth) {
        double outer = AreaPreset.eighths(cloth.half() * 0.8);
        return new AreaMotif.Arms(
                8,
                AreaMotif.Way.OUT_AND_BACK,
                Math.min(STOP, outer / 2),
                true,
                0,
                true,
                OptionalDouble.of(outer),
                false);
    }

    private static AreaArrangement overlapping(AreaPreset.Cloth cloth) {
        double aside = AreaPreset.eighths(cloth.width() / 6);
        return of(
                "rings-that-overlap",
                new AreaMotif.Rings(2, 1, rings(cloth.half() - aside, 2, 1, 7), AreaMotif.Spokes.ONE).at(-aside, 0),
                new AreaMotif.Rings(3, 1, rings(cloth.half() - aside, 3, 1, 7), AreaMotif.Spokes.ONE).at(aside, 0));
    }

    /** How many rings lie within a radius, the first so wide, from each to the next so far; one at least. */
    private static int rings(double radius, double first, double gap, int most) {
        return (int) Math.max(1, Math.min(most, Math.floor((radius - first / 2) / gap) + 1));
    }

    private static void medallion(AreaPreset.Cloth cloth, List<AreaArrangement> all) {
        double half = cloth.half();
        all.add(of(
                "rings-of-two-sets",
                new AreaMotif.Rings(
                        2, AreaPreset.SPACING, rings(half, 2, AreaPreset.SPACING, 14), AreaMotif.Spokes.FOUR)));
        all.add(overlapping(cloth));
        double out = AreaPreset.eighths(half / 3);
        // Neighbours that touch reach so far out, with a little room.
        double beyond = Math.ceil(2 * out * (1 + Math.sin(Math.PI / 8)) + AreaPreset.SPACING);
        all.add(of(
                "wreath-in-rings",
                new AreaMotif.Wreath(8, OptionalDouble.of(out)),
                new AreaMotif.Rings(
                        beyond, AreaPreset.SPACING, rings(half, beyond, AreaPreset.SPACING, 7), AreaMotif.Spokes.ONE)));
        all.add(of("floating-arms", floating(cloth)));
        all.add(of("sixteen-waves", waves(16)));
        all.add(of(
                "arms-in-rings",
                new AreaMotif.Rings(Math.floor(2 * half * 0.75), AreaPreset.SPACING, 2, AreaMotif.Spokes.NONE),
                new AreaMotif.Arms(
                        8, AreaMotif.Way.OUT_AND_BACK, STOP, false, 0, false, OptionalDouble.empty(), true)));
        all.add(of(
                "petals-in-a-ring",
                new AreaMotif.Petals(8, AreaPreset.SPACING, AreaPreset.eighths(half * 0.8)),
                new AreaMotif.Rings(
                        Math.max(1, Math.floor(2 * half * 0.9)), AreaPreset.SPACING, 1, AreaMotif.Spokes.NONE)));
    }

    private static void background(List<AreaArrangement> all) {
        all.add(of(
                "shells-hanging-and-a-line",
                new AreaMotif.Echoes(1, AreaPreset.SPACING / 2, false),
                new AreaMotif.Clamshells(0, OptionalDouble.empty(), true, true, false)));
        all.add(of(
                "crosshatch-and-a-line",
                new AreaMotif.Echoes(1, AreaPreset.SPACING / 2, false),
                new AreaMotif.Crosshatch(1, Math.PI / 4)));
        all.add(of(
                "peel-between",
                new AreaMotif.Peel(12, 12, OptionalDouble.empty(), true, false, AreaMotif.Round.CLOCKWISE)));
        all.add(of("rings-from-the-centre", new AreaMotif.Rings(2, 1, 7, AreaMotif.Spokes.ONE)));
    }
}
