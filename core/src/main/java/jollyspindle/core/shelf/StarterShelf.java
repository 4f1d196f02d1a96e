package jollyspindle.core.shelf;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.CornerForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SerpentineStrip;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.StraightEdge;
import jollyspindle.core.shelf.form.TurnedArm;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/** The made-up templates a new shelf begins with, in common sizes, until the quilter puts in real ones. */
public final class StarterShelf {

    private static final Material THICK = Material.usual();
    private static final Material THIN = new Material(0.125, "acrylic", Material.Tint.CLEAR);
    private static final List<EngravedLine> NO_LINES = List.of();
    private static final List<Template> TEMPLATES = List.copyOf(make());

    private StarterShelf() {}

    /** All of them, by kind. */
    public static List<Template> templates() {
        return TEMPLATES;
    }

    /** One of them, by its id. */
    public static Template template(String id) {
        return TEMPLATES.stream().filter(t -> t.id().equals(id)).findFirst().orElseThrow();
    }

    private static List<Template> make() {
        List<Template> all = new ArrayList<>();
        arcs(all);
        circles(all);
        slots(all);
        scallops(all);
        straights(all);
        strips(all);
        arms(all);
        outlines(all);
        return all;
    }

    private static void arcs(List<Template> all) {
        all.add(thick(
                "orchard-hill",
                ArcForm.bulging(4, degrees(152), 4),
                SizeLabel.RADIUS_AS_STITCHED,
                rises(1, 1.5, 2, 2.5, 3)));
        all.add(thick(
                "mill-bridge",
                ArcForm.bulging(5.5, degrees(100), 3),
                SizeLabel.RADIUS_AS_CUT,
                rises(0.75, 1, 1.25, 1.5, 1.75, 2)));
        all.add(thin(
                "quiet-cove", ArcForm.hollow(4.75, degrees(110), 1.75), SizeLabel.RADIUS_AS_CUT, rises(1, 1.25, 1.5)));
        all.add(thick(
                "low-dune", ArcForm.bulging(8, degrees(84), 3), SizeLabel.RADIUS_AS_STITCHED, rises(0.5, 1, 1.5, 2)));
        all.add(thick(
                "wide-meadow", ArcForm.bulging(12, degrees(60), 3), SizeLabel.RADIUS_AS_STITCHED, rises(0.5, 1, 1.5)));
        all.add(thick(
                "chapel-door",
                new ArcForm(OptionalDouble.of(3), OptionalDouble.empty(), Math.PI, 1.5, true, 5),
                SizeLabel.RADIUS_AS_STITCHED,
                rises(1, 2, 3, 4)));
        all.add(thick(
                "twin-gable",
                new ArcForm(OptionalDouble.of(3), OptionalDouble.of(3), degrees(120), 0, false, 2),
                SizeLabel.RADIUS_AS_STITCHED,
                rises(0.5, 1, 1.5)));
        all.add(thick(
                "rain-barrel",
                new ArcForm(OptionalDouble.of(6), OptionalDouble.of(4), degrees(90), 0, false, 2),
                SizeLabel.RADIUS_AS_CUT,
                rises(1, 1.5)));
        List<EngravedLine> lines = new ArrayList<>(rises(0.5, 1, 1.5, 2));
        lines.add(EngravedLine.centre());
        all.add(thick(
                "half-moon",
                new ArcForm(OptionalDouble.of(2), OptionalDouble.empty(), Math.PI, 0, true, 2.5),
                SizeLabel.RADIUS_AS_STITCHED,
                lines));
    }

    private static void circles(List<Template> all) {
        all.add(thick(
                        "pebble-plate",
                        new CircleForm(CircleForm.Cutting.HOLES, List.of(0.5, 1.0, 1.75, 2.25), 0.75),
                        SizeLabel.DIAMETER_AS_STITCHED,
                        NO_LINES)
                .withGap(0.5625));
        all.add(thick(
                        "well-head",
                        new CircleForm(CircleForm.Cutting.HOLES, List.of(3.5), 0.75),
                        SizeLabel.DIAMETER_AS_CUT,
                        List.of(EngravedLine.centre()))
                .withGap(0.5625));
        all.add(thick(
                "penny-stack",
                new CircleForm(CircleForm.Cutting.DISCS, List.of(1.0, 2.0, 3.0), 0.75),
                SizeLabel.DIAMETER_AS_CUT,
                NO_LINES));
        all.add(thick(
                "harvest-moon",
                new CircleForm(CircleForm.Cutting.DISCS, List.of(5.0), 0.75),
                SizeLabel.DIAMETER_AS_STITCHED,
                List.of(EngravedLine.parallel(0.25), EngravedLine.parallel(0.5), EngravedLine.centre())));
        all.add(thick(
                        "cart-wheel",
                        new CircleForm(CircleForm.Cutting.RING, List.of(4.0, 5.0), 0.75),
                        SizeLabel.DIAMETER_AS_CUT,
                        NO_LINES)
                .withGap(0.5625));
        all.add(thin(
                "basin-nest",
                new CircleForm(CircleForm.Cutting.NEST, List.of(2.0, 4.0, 6.0), 0.75),
                SizeLabel.DIAMETER_AS_STITCHED,
                NO_LINES));
    }

    private static void slots(List<Template> all) {
        all.add(thick(
                "pond-rings",
                new SlottedCircles(every(2, 2, 6), 0.515, degrees(300)),
                SizeLabel.DIAMETER_AS_STITCHED,
                NO_LINES));
        all.add(thick(
                "pond-between",
                new SlottedCircles(every(3, 2, 7), 0.515, degrees(300)),
                SizeLabel.DIAMETER_AS_STITCHED,
                NO_LINES));
        all.add(thick(
                "pond-wide",
                new SlottedCircles(every(8, 2, 14), 0.515, degrees(300)),
                SizeLabel.DIAMETER_AS_STITCHED,
                NO_LINES));
        all.add(thick(
                "pond-wide-between",
                new SlottedCircles(every(9, 2, 15), 0.515, degrees(300)),
                SizeLabel.DIAMETER_AS_STITCHED,
                NO_LINES));
        all.add(thick(
                "barley-fan",
                new SlottedFan(every(1.5, 1.5, 7.5), 0.515, degrees(120), Math.PI),
                SizeLabel.RADIUS_AS_STITCHED,
                NO_LINES));
        all.add(thick(
                "even-fan",
                new SlottedFan(every(2, 2, 10), 0.515, degrees(90), Math.PI),
                SizeLabel.RADIUS_AS_STITCHED,
                NO_LINES));
        all.add(thick(
                "odd-fan",
                new SlottedFan(every(1, 2, 9), 0.515, degrees(90), Math.PI),
                SizeLabel.RADIUS_AS_STITCHED,
                NO_LINES));
    }

    private static void scallops(List<Template> all) {
        for (double width : new double[] {1, 1.5, 3}) {
            List<EngravedLine> lines = List.of(
                    new EngravedLine(EngravedLine.Kind.CROWN, width / 2, LabelConvention.AS_STITCHED),
                    new EngravedLine(EngravedLine.Kind.SEAM_ALLOWANCE, 0.25, LabelConvention.AS_CUT));
            String id = width == 1 ? "thatch-small" : width == 1.5 ? "thatch-middle" : "thatch-large";
            all.add(thick(
                    id, new ScallopRow(width == 3 ? 3 : 5, width, width + 1.25), SizeLabel.RADIUS_AS_STITCHED, lines));
        }
    }

    private static void straights(List<Template> all) {
        List<EngravedLine> parallels = List.of(
                EngravedLine.parallel(0.25),
                EngravedLine.parallel(0.5),
                EngravedLine.parallel(0.75),
                EngravedLine.parallel(1));
        List<EngravedLine> slants = Stream.concat(
                        parallels.stream(),
                        Stream.of(EngravedLine.reference(degrees(-45)), EngravedLine.reference(degrees(45))))
                .toList();
        all.add(thick("furrow-long", new StraightEdge(12, 2.5, 0), SizeLabel.RADIUS_AS_CUT, slants));
        all.add(thick("furrow-short", new StraightEdge(6, 2, 0.3), SizeLabel.RADIUS_AS_CUT, parallels));
        all.add(thick(
                "gatepost",
                new CornerForm(Math.PI / 2, 4, 1.5),
                SizeLabel.RADIUS_AS_CUT,
                List.of(EngravedLine.centre(), EngravedLine.parallel(0.25))));
    }

    private static void strips(List<Template> all) {
        all.add(thick(
                "brook-strip",
                new SerpentineStrip(4, 1.5, 2, 1.25),
                SizeLabel.RADIUS_AS_STITCHED,
                List.of(EngravedLine.parallel(0.25))));
        all.add(thick(
                "lane-strip",
                new ChevronStrip(2, Math.PI / 2, 4, 1.25),
                SizeLabel.RADIUS_AS_STITCHED,
                List.of(EngravedLine.parallel(0.25))));
    }

    private static void arms(List<Template> all) {
        List<EngravedLine> ray = List.of(EngravedLine.reference(0));
        all.add(thick(
                "willow-arm",
                new TurnedArm(new TurnedArm.Wave(0.75, 1), 6, 0.25, 1.25),
                SizeLabel.RADIUS_AS_STITCHED,
                ray));
        all.add(thick(
                "snail-arm",
                new TurnedArm(new TurnedArm.Spiral(degrees(120)), 6, 0.25, 1),
                SizeLabel.RADIUS_AS_STITCHED,
                List.of(EngravedLine.reference(degrees(-30)))));
        all.add(thick(
                "aster-arm",
                new TurnedArm(new TurnedArm.Petal(1), 4.5, 0.25, 1.25),
                SizeLabel.RADIUS_AS_STITCHED,
                ray));
    }

    private static void outlines(List<Template> all) {
        // A leaf of two quarter circles.
        all.add(thick(
                "beech-leaf",
                new OutlineForm(
                        List.of(new OutlineForm.Corner(0, -2, Math.PI / 2), new OutlineForm.Corner(0, 2, Math.PI / 2)),
                        false),
                SizeLabel.RADIUS_AS_CUT,
                List.of(EngravedLine.centre())));
    }

    private static Template thick(String id, Form form, SizeLabel label, List<EngravedLine> lines) {
        return Template.of(id, name(id), form, label, lines).withMaterial(THICK);
    }

    private static Template thin(String id, Form form, SizeLabel label, List<EngravedLine> lines) {
        return Template.of(id, name(id), form, label, lines).withMaterial(THIN);
    }

    private static String name(String id) {
        StringBuilder name = new StringBuilder();
        for (String word : id.split("-")) {
            name.append(name.isEmpty() ? "" : " ")
                    .append(Character.toUpperCase(word.charAt(0)))
                    .append(word.substring(1));
        }
        return name.toString();
    }

    private static List<EngravedLine> rises(double... stitched) {
        return DoubleStream.of(stitched).mapToObj(EngravedLine::rise).toList();
    }

    private static List<Double> every(double first, double step, double last) {
        return DoubleStream.iterate(first, size -> size <= last + Tolerances.ROUNDING, size -> size + step)
                .boxed()
                .toList();
    }

    private static double degrees(double degrees) {
        return Math.toRadians(degrees);
    }
}
