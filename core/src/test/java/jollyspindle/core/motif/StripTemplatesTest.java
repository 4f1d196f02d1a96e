package jollyspindle.core.motif;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.MotifShown;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

import static jollyspindle.core.motif.MotifChecks.INNER;
import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.quilt;
import static jollyspindle.core.motif.MotifChecks.told;
import static jollyspindle.core.motif.MotifChecks.top;
import static jollyspindle.core.motif.MotifChecks.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Serpentines and chevrons along the strips that are cut for them: of 4 by 1 1/2 as stitched, and of 2 with 90° points. */
class StripTemplatesTest {

    private static final Motif PEAKS = new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.empty(), 0, 1, 0.25);

    private static WorkPlan plan(Layer layer, double side, double room, School school) {
        return MotifChecks.plan(Design.of(layer), side, room, school, 0.25);
    }

    /** A place in the run's own measure: along it, and from the seam outwards. */
    private static Point local(RunPlan run, Point place) {
        Point from = place.minus(run.frame().origin());
        return new Point(from.dot(run.frame().along()), from.dot(run.frame().outward()));
    }

    /**
     * Chord 2 and height 3/4 make R = (1 + 0.75²) / 1.5 = 1.041667, and each arc 2R·asin(1/R) = 2.678 long (chord and segment
     * formulas of any handbook of mathematics; worked out by hand).
     */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void anSAcrossTheRunTakesOnePlacement(boolean mirrored) {
        WorkPlan plan = plan(with(new Motif.Serpentine(1, mirrored), "brook-strip"), 60, 4, new Even(10));
        List<StitchLine> lines = top(plan).laidOut().lines();
        assertThat(lines).hasSize(10);
        assertThat(top(plan).laidOut().placements()).hasSize(10);
        for (int i = 0; i < lines.size(); i++) {
            StitchLine line = lines.get(i);
            Point start = local(top(plan), line.path().start());
            Point end = local(top(plan), line.path().end());
            assertThat(start.y()).isCloseTo(i % 2 == 0 ? 0 : 4, within(1e-9));
            assertThat(end.y()).isCloseTo(i % 2 == 0 ? 4 : 0, within(1e-9));
            assertThat(start.x()).isCloseTo(3 + 6 * i, within(1e-9));
            assertThat(end.x()).isCloseTo(start.x(), within(1e-9));
            assertThat(line.path().length()).isCloseTo(2 * 2 * 1.0416667 * Math.asin(1 / 1.0416667), within(1e-5));
            double bulge = local(top(plan), line.path().curves().get(0).at(0.5)).x() - start.x();
            // Seen from the seam it bulges to the right first, on the way back the same S again.
            assertThat(bulge).isCloseTo((i % 2 == 0) == mirrored ? -0.75 : 0.75, within(1e-9));
        }
        assertThat(told(plan)).isEmpty();
        // Tape across the strip on one edge and a step from the one before lay the S; of ten, the first and the ninth
        // are marked.
        assertThat(plan.chalkMarks() / 4).isEqualTo(2);
    }

    /** "Any width that divides by the strip" means that many rows (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"8, 2, 0", "9, 2, 0.5", "4, 1, 0", "7.5, 1, 1.75"})
    void aStripGoesIntoTheDepthAsOftenAsItDivides(double room, int rows, double over) {
        // Two waves there are; the mirrored S begins with the first of them.
        WorkPlan plan = plan(with(new Motif.Serpentine(2, true), "brook-strip"), 60, room, new Even(10));
        StitchLine first = top(plan).laidOut().lines().get(0);
        assertThat(first.path().curves()).hasSize(2 * rows);
        assertThat(local(top(plan), first.path().start()).y()).isCloseTo(over, within(1e-9));
        assertThat(told(plan)).isEqualTo(over == 0 ? List.of() : List.of(new MotifDiagnostic.Rows(rows, over)));
    }

    /**
     * Crest to crest 4, trough to crest 1 1/2 (the strip's own label): a whole wave from one valley to the next, its crest half-way,
     * held by tape on the seam and the foot on the valley's mark. From the outside edge the same wave hangs.
     */
    @Test
    void wavesRunAlongTheEdge() {
        Motif waves = new Motif.Chevrons(Motif.Points.WAVES, OptionalDouble.empty(), 0, 1, 0.5);
        for (Layer.Edge edge : Layer.Edge.values()) {
            WorkPlan plan = plan(with(waves, "brook-strip").with(edge), 60, 6, new Even(15));
            List<StitchLine> lines = top(plan).laidOut().lines();
            assertThat(lines).hasSize(15);
            for (StitchLine line : lines) {
                Point start = local(top(plan), line.path().start());
                Point end = local(top(plan), line.path().end());
                assertThat(Math.abs(end.x() - start.x())).isCloseTo(4, within(1e-6));
                double base = edge == Layer.Edge.SEAM ? 0 : 6;
                assertThat(start.y()).isCloseTo(base, within(1e-9));
                double crest = line.path().curves().stream()
                        .flatMap(c -> Stream.of(c.at(0), c.at(0.5), c.at(1)))
                        .mapToDouble(p -> Math.abs(local(top(plan), p).y() - base))
                        .max()
                        .orElseThrow();
                assertThat(crest).isCloseTo(1.5, within(1e-6));
            }
            assertThat(top(plan).laidOut().placements())
                    .allMatch(p -> p.registration() instanceof Registration.NotchOnMark);
        }
    }

    @Test
    void aRunLowerThanTheStripIsRefused() {
        WorkPlan plan = plan(with(new Motif.Serpentine(2, false), "brook-strip"), 60, 3, new Even(10));
        assertThat(plan.runs()).allMatch(r -> r.laidOut().lines().isEmpty());
        assertThat(told(plan)).contains(new MotifDiagnostic.TooHigh(1));
    }

    /**
     * 31 repeats of 2 with a strip of four peaks: eight placements. The points are the acrylic's, 1 high as labelled; round
     * them the foot stitches a quarter-round, which is f / sin 45° − f = 0.1036 lower (the trade's value for 90°).
     */
    @Test
    void asManyPeaksAsTheStripHasAreStitchedInOneGo() {
        WorkPlan plan = plan(with(PEAKS, "lane-strip"), 62, 4, new Even(31));
        RunPlan run = top(plan);
        assertThat(run.laidOut().placements()).hasSize(8);
        double highest = run.laidOut().lines().stream()
                .flatMap(l -> l.path().flattened(1e-5).stream())
                .mapToDouble(p -> local(run, p).y())
                .max()
                .orElseThrow();
        assertThat(highest).isCloseTo(1 - (0.25 * Math.sqrt(2) - 0.25), within(1e-4));
        List<StitchLine> lines = run.laidOut().lines();
        for (int i = 1; i < lines.size(); i++) {
            assertThat(lines.get(i)
                            .path()
                            .start()
                            .distance(lines.get(i - 1).path().end()))
                    .as("the thread runs on")
                    .isLessThan(1e-6);
        }
        // Marks where placements begin and end alone, both ends on seams.
        assertThat(run.laidOut().marks().stream()
                        .filter(m -> m.by() == Mark.MarkedBy.CHALK)
                        .count())
                .isEqualTo(7);
        assertThat(told(plan)).containsExactly(new MotifDiagnostic.Together(31, 8));
    }

    /** Repeats a little wider leave gaps, narrower ones cut the peaks: by half the difference above the seam at 45°. */
    @ParameterizedTest
    @CsvSource({"62, 30, 0.0333333, 0", "62, 28, 0.1071429, 0", "62, 32, 0, 0.03125"})
    void repeatsThatArentTheStripsModuleAreStitchedOneByOne(double side, int count, double gap, double raised) {
        WorkPlan plan = plan(with(PEAKS, "lane-strip"), side, 4, new Even(count));
        RunPlan run = top(plan);
        assertThat(run.laidOut().placements()).hasSize(count);
        for (int i = 0; i < count; i++) {
            Point start = local(run, run.laidOut().lines().get(i).path().start());
            assertThat(start.x()).isCloseTo(i * side / count + gap, within(1e-6));
            assertThat(start.y()).isCloseTo(raised, within(1e-6));
        }
        double repeat = side / count;
        assertThat(told(plan).stream().anyMatch(MotifDiagnostic.OffModule.class::isInstance))
                .isEqualTo(Math.abs(repeat - 2) > 0.125);
    }

    /** Lines 1/4 inside at 45° stand 1/4·√2 lower, and their feet as much nearer. */
    @Test
    void linesInsideAreThePeaksLowered() {
        Motif motif = new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.empty(), 0, 2, 0.25);
        RunPlan run = top(plan(with(motif, "lane-strip"), 62, 4, new Even(31)));
        List<StitchLine> inside =
                run.laidOut().lines().stream().filter(l -> l.sub() == 1).toList();
        assertThat(inside).hasSize(31);
        for (int i = 0; i < inside.size(); i++) {
            assertThat(local(run, inside.get(i).path().start()).x())
                    .isCloseTo(2 * i + 0.25 * Math.sqrt(2), within(1e-6));
        }
        // The notch is over a valley and tape on the seam, so that they need no marks of their own.
        assertThat(run.laidOut().marks()).allMatch(m -> m.kind() == Mark.Kind.VALLEY);
        assertThat(run.laidOut().placements())
                .allMatch(p -> p.registration() instanceof Registration.NotchOnMark)
                .filteredOn(p -> p.of().sub() == 1)
                .allSatisfy(p -> {
                    Registration.NotchOnMark on = (Registration.NotchOnMark) p.registration();
                    // Points of the acrylic are f / sin 45° under the needle's, which are 1 above the first line's
                    // feet.
                    assertThat(on.below()).isCloseTo(1 - 0.25 * Math.sqrt(2) - 0.25 * Math.sqrt(2), within(1e-6));
                });
        assertThat(run.laidOut()
                        .lines()
                        .get(0)
                        .path()
                        .distance(inside.get(0).path().start()))
                .isCloseTo(0.25, within(1e-6));
    }

    /** Along a straight edge or a strip, half steps begin and end with half a figure whose middle stands at the run's end. */
    @ParameterizedTest
    @CsvSource({"PEAKS, lane-strip, 0.8964466", "PEAKS, furrow-short, 1", "BOXES, furrow-short, 1"})
    void halfFiguresStandAtTheEndsOfHalfSteps(Motif.Points points, String template, double height) {
        Motif motif = new Motif.Chevrons(points, OptionalDouble.empty(), 0, 1, 0.25);
        RunPlan run = top(plan(with(motif, template), 62, 4, new HalfSteps(31)));
        StitchLine first = run.laidOut().lines().get(0);
        StitchLine last = run.laidOut().lines().get(run.laidOut().lines().size() - 1);
        assertThat(local(run, first.path().start()).distance(new Point(0, height)))
                .isLessThan(1e-6);
        assertThat(local(run, last.path().end()).distance(new Point(62, height)))
                .isLessThan(1e-6);
    }

    @Test
    void withoutAStraightEdgeAStripServesForPeaksAndNothingForBoxes() {
        QuiltJob job = job(quilt(62, 62, 62, 62, 4.5, Corners.MITRED), Design.of(Layer.of(PEAKS)), 2)
                .withTemplates(List.of(StarterShelf.template("lane-strip"), StarterShelf.template("orchard-hill")));
        MotifShown<Optional<RunPlan>> peaks = card(job, "peaks");
        assertThat(peaks.templates())
                .containsExactly(StarterShelf.template("lane-strip").name());
        assertThat(peaks.trouble()).isEmpty();
        assertThat(card(job, "boxes").trouble().orElseThrow())
                .isInstanceOfSatisfying(Finding.MotifTrouble.class, t -> assertThat(t.diagnostic())
                        .isEqualTo(new LayoutDiagnostic.NoTool(EdgeKind.STRAIGHT_EDGE, 0)));
        assertThat(card(job.withTemplates(List.of(StarterShelf.template("orchard-hill"))), "peaks")
                        .trouble()
                        .orElseThrow())
                .isInstanceOfSatisfying(Finding.MotifTrouble.class, t -> assertThat(t.diagnostic())
                        .isEqualTo(new LayoutDiagnostic.NoTool(EdgeKind.ZIGZAG, 0)));
    }

    private static MotifShown<Optional<RunPlan>> card(QuiltJob job, String code) {
        Preset preset = Preset.all().stream()
                .filter(p -> p.code().equals(code))
                .findFirst()
                .orElseThrow();
        return Gallery.entry(job, RunId.of(Side.TOP), preset, 0);
    }

    /** Whatever stood on the run before, and with whichever template, the gallery's arcs find one that is round. */
    @ParameterizedTest
    @ValueSource(strings = {"brook-strip", "barley-fan", "nowhere"})
    void arcsAfterAnotherMotifTakeARoundEdge(String template) {
        Motif before = template.equals("barley-fan") ? new Motif.Fans(3, 1) : new Motif.Serpentine(2, false);
        QuiltJob job = DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .editing(INNER, l -> RunLayout.of(Optional.of(template), 6).with(Design.of(with(before, template))));
        MotifShown<Optional<RunPlan>> card = card(job, "arcs");
        assertThat(card.trouble()).isEmpty();
        assertThat(card.plan().orElseThrow().laidOut().placements()).isNotEmpty();
        Template used = job.templates().stream()
                .filter(t -> card.templates().contains(t.name()))
                .findFirst()
                .orElseThrow();
        assertThat(used.arcs()).isNotEmpty();
    }

    /** Short pieces at the ends, down to less than a stitch, are stitched as far as there is anything of a peak. */
    @ParameterizedTest
    @ValueSource(doubles = {62.02, 62.1, 62.5, 63.9})
    void shortPiecesAtTheEndsCarryWhatFits(double side) {
        RunPlan run = top(plan(with(PEAKS, "lane-strip"), side, 4, new CentreOut(2, 31, EndUse.SHORT_ARC)));
        assertThat(run.laidOut().placements()).hasSizeBetween(8, 10);
    }
}
