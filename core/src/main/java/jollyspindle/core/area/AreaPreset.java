package jollyspindle.core.area;

import jollyspindle.core.quilt.Area;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A motif to begin with, as a gallery offers it for an area, with numbers that suit its size.
 *
 * @param code lasting, letters and hyphens
 * @param motif with those numbers
 */
public record AreaPreset(String code, AreaMotif motif) {

    /** How far lines beside each other are apart to begin with, in inches. */
    static final double SPACING = 0.5;

    /** About a centre in a background a motif begins as if there were so much cloth round it, in inches. */
    private static final double ROUND_CENTRE = 24;

    /**
     * The cloth that a motif is offered for.
     *
     * @param area of which it is
     * @param width in inches
     * @param height in inches
     */
    record Cloth(Area area, double width, double height) {

        static Optional<Cloth> of(Area area) {
            if (area instanceof Area.Blocks blocks) {
                return Optional.of(new Cloth(area, blocks.width(), blocks.height()));
            } else if (area instanceof Area.Medallion medallion) {
                return Optional.of(new Cloth(area, medallion.diameter(), medallion.diameter()));
            } else if (area instanceof Area.Body) {
                return Optional.of(new Cloth(area, ROUND_CENTRE, ROUND_CENTRE));
            }
            // Appliqués keep stitching off.
            return Optional.empty();
        }

        boolean isMedallion() {
            return area instanceof Area.Medallion;
        }

        /** The shorter of its sides, in inches. */
        double shorter() {
            return Math.min(width, height);
        }

        /** From its centre to the nearer of its sides, in inches. */
        double half() {
            return shorter() / 2;
        }

        /** Whether it has four corners. */
        boolean hasCorners() {
            return area instanceof Area.Blocks;
        }

        boolean isBackground() {
            return area instanceof Area.Body;
        }
    }

    /**
     * Takes what a kind of motif offers.
     *
     * @param <M> the motif
     */
    interface Offers<M> {

        /**
         * Takes one.
         *
         * @param variant what its lasting name has after that of its kind; empty for the first
         */
        void add(String variant, M motif);
    }

    /** All that make sense in an area: about its centre, or over it. None for an appliqué. */
    public static List<AreaPreset> of(Area area) {
        return Cloth.of(area).map(AreaPreset::of).orElse(List.of());
    }

    private static List<AreaPreset> of(Cloth cloth) {
        Predicate<AreaMotifType<?>> aboutCentre = AreaMotifType::isAboutCentre;
        Stream<AreaMotifType<?>> over = AreaMotifTypes.ALL.stream().filter(aboutCentre.negate());
        Stream<AreaMotifType<?>> about = AreaMotifTypes.ALL.stream().filter(aboutCentre);
        Stream<AreaMotifType<?>> all;
        if (cloth.isBackground()) {
            // Most are hatched.
            all = Stream.concat(over.sorted(Comparator.comparing(type -> !type.isParallel())), about);
        } else {
            all = cloth.isMedallion() ? Stream.concat(about, over) : Stream.concat(over, about);
        }
        return all.flatMap(type -> type.offered(cloth).stream()).toList();
    }

    /** To the eighth of an inch, and an eighth at least. */
    static double eighths(double inches) {
        return Math.max(1.0 / 8, Math.rint(inches * 8) / 8);
    }

    /** How many squares of about a width lie along so many inches. */
    static int squares(double inches, double wide) {
        return (int) Math.max(1, Math.min(AreaMotif.MOST, Math.round(inches / wide)));
    }
}
