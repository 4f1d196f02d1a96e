package jollyspindle.core.area;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.TurnedArm;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.told;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** Templates with a hook, turned about a centre: how they lie with feet of all sizes, and where arms begin and end. */
class ArmsTest {

    private static final AreaMotif.Arms EIGHT = new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0);

    private static List<Template> shelf(SizeLabel label, TurnedArm form, EngravedLine... lines) {
        Template template = StarterShelf.templates().stream()
                .filter(t -> t.id().equals("willow-arm"))
                .findFirst()
                .orElseThrow()
                .withForm(form)
                .withLabel(label)
                .withLines(List.of(lines));
        return Stream.concat(
                        Stream.of(template),
                        StarterShelf.templates().stream().filter(t -> !t.id().equals("willow-arm")))
                .toList();
    }

    private static TurnedArm wave(double reach, double hook) {
        return new TurnedArm(new TurnedArm.Wave(0.75, 1), reach, hook, 1.25);
    }

    private static AreaPlan plan(Area area, List<Template> shelf, double foot, AreaMotif... motifs) {
        List<AreaDesign.Layer> layers = Stream.of(motifs)
                .map(motif -> new AreaDesign.Layer(
                        motif, motif instanceof AreaMotif.Arms ? Optional.of("willow-arm") : Optional.empty()))
                .toList();
        AreaDesign design = AreaDesign.of(layers);
        return AreaChecks.layOut(area, design, List.of(), shelf, new Machine(foot));
    }

    /** Every arm begins under the needle over the centre, so that one thread does them all, whatever foot is in the hook. */
    @ParameterizedTest
    @CsvSource({
        "0.2375, AS_STITCHED", "0.245, AS_STITCHED", "0.25, AS_STITCHED", "0.251, AS_STITCHED", "0.262, AS_STITCHED",
        "0.28, AS_STITCHED", "0.2375, AS_CUT", "0.25, AS_CUT", "0.251, AS_CUT", "0.28, AS_CUT"
    })
    void armsBeginInTheCentreWithWhateverFoot(double foot, LabelConvention means) {
        SizeLabel label = new SizeLabel(SizeLabel.Printed.RADIUS, means);
        List<Template> shelf = shelf(label, wave(6, 0.25), EngravedLine.reference(0));
        AreaPlan plan = plan(block(8), shelf, foot, EIGHT);
        assertThat(plan.lines()).hasSize(8).allSatisfy(line -> assertThat(
                        Math.min(line.path().start().length(), line.path().end().length()))
                .isLessThan(Tolerances.SAME_PLACE));
        assertThat(plan.sums()).extracting(AreaPlan.Sum::starts).containsExactly(1);
        assertThat(told(plan)).noneMatch(AreaDiagnostic.HookTooTight.class::isInstance);
        for (Placement placement : plan.placements()) {
            Registration.OnRay on = (Registration.OnRay) placement.registration();
            assertThat(on.hooked()).isTrue();
            // The hook's wall touches the foot: their middles lie apart by what their radii differ, or less.
            assertThat(placement.pose().position().length()).isLessThan(Math.abs(0.25 - foot) + 1e-6);
            Segment line = new Segment(
                    placement.pose().apply(Point.ORIGIN), placement.pose().apply(new Point(0, 6)));
            assertThat(line.distance(on.ray().place())).isLessThan(Tolerances.CHALK);
        }
    }

    /** A hook for 1/4 doesn't go round a foot of 0.3: the arm lies by its line, and its own begins 0.05 beside the centre. */
    @Test
    void anArmThatTheFootDoesNotGoIntoLiesByItsLine() {
        AreaPlan plan = plan(
                block(8), shelf(SizeLabel.RADIUS_AS_STITCHED, wave(6, 0.25), EngravedLine.reference(0)), 0.3, EIGHT);
        assertThat(told(plan))
                .filteredOn(AreaDiagnostic.HookTooTight.class::isInstance)
                .singleElement(InstanceOfAssertFactories.type(AreaDiagnostic.HookTooTight.class))
                .satisfies(tight -> assertThat(tight.beside()).isCloseTo(0.05, within(1e-6)));
        assertThat(plan.placements()).allSatisfy(placement -> {
            assertThat(((Registration.OnRay) placement.registration()).hooked()).isFalse();
            assertThat(placement.pose().position().length()).isLessThan(1e-9);
        });
    }

    /** What lies on the ray is the line engraved on the arm, wherever it is; without one, tape. */
    @ParameterizedTest
    @ValueSource(doubles = {-30, 0, 12.5})
    void theEngravedLineLiesOnTheRay(double degrees) {
        List<Template> shelf =
                shelf(SizeLabel.RADIUS_AS_STITCHED, wave(6, 0.25), EngravedLine.reference(Math.toRadians(degrees)));
        AreaPlan plan = plan(
                new Area.Medallion(13), shelf, 0.25, new AreaMotif.Arms(5, AreaMotif.Way.OUT_AND_BACK, 0, true, 0));
        assertThat(plan.placements()).hasSize(10).allSatisfy(placement -> {
            Registration.OnRay on = (Registration.OnRay) placement.registration();
            Pose pose = placement.pose();
            Point far = new Point(0, 6.5).turned(Math.toRadians(degrees));
            assertThat(pose.apply(far).distance(on.ray().place())).isLessThan(1e-6);
        });
        AreaPlan taped = plan(block(8), shelf(SizeLabel.RADIUS_AS_STITCHED, wave(6, 0.25)), 0.25, EIGHT);
        assertThat(taped.placements()).noneMatch(p -> ((Registration.OnRay) p.registration()).engraved());
    }

    /** A wave whose tip lies beyond the edge leaves the block beside the corner: it ends there, and isn't begun again. */
    @Test
    void armsThatLeaveTheBlockEndAtItsEdge() {
        for (double side = 7; side <= 9; side += 0.125) {
            AreaPlan plan = plan(
                    block(side),
                    shelf(SizeLabel.RADIUS_AS_STITCHED, wave(6, 0.25), EngravedLine.reference(0)),
                    0.25,
                    new AreaMotif.Arms(8, AreaMotif.Way.ALONG_EDGE, 0));
            assertThat(plan.lines()).as("block of " + side).hasSize(8);
            assertThat(plan.sums()).extracting(AreaPlan.Sum::starts).containsExactly(1);
        }
    }

    /** Floating arms end on a circle that is drawn, each at its own length, or on what is stitched round them. */
    @Test
    void floatingArmsHaveAnOuterStop() {
        List<Template> shelf = shelf(SizeLabel.RADIUS_AS_STITCHED, wave(6, 0.25), EngravedLine.reference(0));
        AreaMotif.Arms drawn =
                new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0.75, false, 0, false, OptionalDouble.of(4.5), false);
        AreaPlan onCircle = plan(new Area.Medallion(14), shelf, 0.25, drawn);
        assertThat(onCircle.placements()).hasSize(8).allSatisfy(p -> {
            LineEnd far = p.start().place().length() > p.end().place().length() ? p.start() : p.end();
            assertThat(far.place().length()).isCloseTo(4.5, within(1e-6));
            assertThat(far.shownBy()).isEqualTo(LineEnd.ShownBy.STOP_CIRCLE);
        });
        AreaMotif.Arms within =
                new AreaMotif.Arms(8, AreaMotif.Way.ALONG_EDGE, 0, false, 0, false, OptionalDouble.empty(), true);
        AreaPlan inStar = plan(new Area.Medallion(16), shelf, 0.25, new AreaMotif.Points(8, 3, 5), within);
        List<StitchLine> star = inStar.lines().stream()
                .filter(line -> line.kind() != Stitched.ARM)
                .toList();
        assertThat(inStar.lines())
                .filteredOn(line -> line.kind() == Stitched.ARM)
                .hasSize(8)
                .allSatisfy(line -> {
                    Point far = line.path().start().length() > line.path().end().length()
                            ? line.path().start()
                            : line.path().end();
                    assertThat(star).anyMatch(s -> s.path().passes(far, Tolerances.SAME_PLACE));
                    assertThat(line.returns()).isFalse();
                });
        assertThat(inStar.sums().stream().mapToInt(AreaPlan.Sum::starts).sum()).isEqualTo(1);
        assertThatThrownBy(() -> new AreaMotif.Arms(
                        8, AreaMotif.Way.OUT_AND_BACK, 2, false, 0, false, OptionalDouble.of(2), false))
                .hasMessageContaining("larger than the one they begin on");
    }

    /** The far foot of an arc stands on the ray's mark, or on one of its own: it can't be found but over both. */
    @ParameterizedTest
    @ValueSource(doubles = {8, 9, 12, 20})
    void arcsStandOnTheCentreAndOnAMark(double side) {
        AreaPlan plan = AreaChecks.plan(block(side), EIGHT, "orchard-hill");
        assertThat(plan.placements()).isNotEmpty().allSatisfy(p -> {
            assertThat(p.registration()).isInstanceOf(Registration.FootOnBothMarks.class);
            assertThat(p.start().shownBy()).isEqualTo(LineEnd.ShownBy.MARK);
            assertThat(p.end().shownBy()).isEqualTo(LineEnd.ShownBy.MARK);
        });
    }
}
