package jollyspindle.core.motif;

import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.School;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

import static jollyspindle.core.motif.MotifChecks.INNER;
import static jollyspindle.core.motif.MotifChecks.check;
import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.line;
import static jollyspindle.core.motif.MotifChecks.square;
import static jollyspindle.core.motif.MotifChecks.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Straight lines and crosshatch. */
class LinesTest {

    @ParameterizedTest
    @CsvSource({"90, 1", "60, 2", "120, 3", "45, 4"})
    void straightLinesStandAtTheirAngleAndFillTheRun(double degrees, int perRepeat) {
        QuiltJob job =
                square(Design.of(with(new Motif.StraightLines(perRepeat, Math.toRadians(degrees)), "furrow-long")), 6);
        WorkPlan plan = Planner.plan(job);
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        for (StitchLine line : top.laidOut().lines()) {
            Point way = line.path().end().minus(line.path().start());
            assertThat(Math.abs(way.unit().cross(Point.direction(Math.toRadians(degrees)))))
                    .isLessThan(1e-9);
        }
        int repeats = top.division().count() * perRepeat;
        double lean = Math.abs(top.frame().room() / Math.tan(Math.toRadians(degrees)));
        int beyond = (int) Math.ceil(lean / (top.division().repeat() / perRepeat) - 1e-6);
        assertThat(top.laidOut().lines().size()).isBetween(repeats - 1, repeats + 1 + beyond);
    }

    /** Repeats that all but fill a run leave slivers at its ends; leaning lines go on beyond them at the repeats' own distance. */
    @Test
    void sliversAtTheEndsDontMakeLinesWithoutEnd() {
        QuiltJob job = square(Design.of(with(new Motif.StraightLines(2, Math.toRadians(60)), "furrow-long")), 6);
        double sliver = 2e-9;
        double repeat = (72 - 2 * sliver) / 12;
        School school = new CentreOut(repeat, 12, EndUse.SHORT_ARC);
        QuiltJob sliced = job.editing(GroupId.border(1), layout -> layout.choosing(Map.of(RunId.of(Side.TOP), school)));
        WorkPlan plan = Planner.plan(sliced);
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        assertThat(top.divided().school()).isEqualTo(school);
        assertThat(top.division().cells().get(0).width()).isLessThan(1e-8);
        WorkPlan even = Planner.plan(job);
        assertThat(top.laidOut().lines().size())
                .isCloseTo(even.run(Side.TOP).orElseThrow().laidOut().lines().size(), within(3));
    }

    @Test
    void crosshatchFillsJustTheArcsItIsPutInto() {
        Layer arcs = with(Motif.Arcs.single(), "orchard-hill");
        Layer hatch = Layer.of(new Motif.Crosshatch(0.75, Math.PI / 4, true, false))
                .with(Layer.Space.INSIDE)
                .with(Layer.Cells.ODD);
        WorkPlan plan = Planner.plan(square(new Design(List.of(arcs, hatch), CornerDesign.plain(), Map.of()), 6));
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        List<StitchLine> lines = top.laidOut().lines();
        Set<Integer> filled = new HashSet<>();
        for (StitchLine line : lines) {
            if (line.kind() == Stitched.HATCH) {
                Point middle = line.path().curves().get(0).at(0.5);
                int cell = (int) Math.ceil(
                        middle.minus(top.frame().origin()).x() / top.division().repeat());
                filled.add(cell);
                Path arc = line(lines, Stitched.ARC, cell, 0).path();
                for (Point end : List.of(line.path().start(), line.path().end())) {
                    double off = Math.min(
                            arc.distance(end),
                            Math.abs(end.y() - top.frame().origin().y()));
                    assertThat(off).as("cut off exactly").isLessThan(1e-6);
                }
            }
        }
        assertThat(filled)
                .allMatch(cell -> cell % 2 == 1)
                .hasSize((top.division().count() + 1) / 2);
    }

    /** As in the middle of the quilt: within 1/16. */
    @ParameterizedTest
    @ValueSource(doubles = {0.5, 0.55, 0.45})
    void hatchingLikeTheEchoesIsTold(double spacing) {
        Layer arcs = with(new Motif.Arcs(Motif.Inner.LOWERED, 2, 0.5, List.of(), Optional.empty(), 1), "orchard-hill");
        Layer hatch = Layer.of(new Motif.Crosshatch(spacing, Math.PI / 4, true, false))
                .with(Layer.Space.INSIDE);
        WorkPlan plan = Planner.plan(square(new Design(List.of(arcs, hatch), CornerDesign.plain(), Map.of()), 6));
        Finding told = plan.findings().stream()
                .filter(f -> f.code().equals("motif-hatch-like-echo"))
                .findFirst()
                .orElseThrow();
        Remedy.Redesign remedy = (Remedy.Redesign) told.remedy().orElseThrow();
        WorkPlan better = Planner.plan(plan.job().editing(remedy.group(), l -> l.with(remedy.design())));
        assertThat(better.findings()).noneMatch(f -> f.code().equals("motif-hatch-like-echo"));
    }

    /** A line engraved at 45° lies on the seam: of two marks for a figure's first line one is saved, wherever it starts there. */
    @Test
    void aLineEngravedAtTheHatchsAngleSavesMarks() {
        Layer arcs = with(Motif.Arcs.single(), "orchard-hill");
        Layer hatch = with(new Motif.Crosshatch(0.75, Math.PI / 4, true, false), "furrow-long")
                .with(Layer.Space.INSIDE);
        QuiltJob with = square(new Design(List.of(arcs, hatch), CornerDesign.plain(), Map.of()), 6);
        Template ruler = StarterShelf.template("furrow-long");
        QuiltJob without = with.withTemplates(with.templates().stream()
                .map(t -> !t.equals(ruler) ? t : Template.of(t.id(), t.name(), t.form(), t.label(), List.of()))
                .toList());
        WorkPlan fewer = Planner.plan(with);
        WorkPlan more = Planner.plan(without);
        check(fewer);
        check(more);
        List<Placement> onSeam = fewer.placements(INNER).stream()
                .filter(p -> p.registration() instanceof Registration.AtAngle)
                .toList();
        assertThat(onSeam).isNotEmpty().allSatisfy(p -> {
            RunFrame frame = fewer.run((RunId) p.region()).orElseThrow().frame();
            boolean up = p.path().end().minus(p.path().start()).dot(frame.outward()) > 0;
            assertThat((up ? p.start() : p.end()).mark()).as("the foot").isPresent();
            assertThat((up ? p.end() : p.start()).mark()).isEmpty();
            // The needle's line against the seam, as the template is told to lie.
            Point way = p.path().end().minus(p.path().start()).times(up ? 1 : -1);
            assertThat(Math.atan2(way.dot(frame.outward()), way.dot(frame.along())))
                    .isCloseTo(((Registration.AtAngle) p.registration()).angle(), within(1e-9));
        });
        assertThat(more.placements(INNER)).noneMatch(p -> p.registration() instanceof Registration.AtAngle);
        assertThat(fewer.chalkMarks()).isEqualTo(more.chalkMarks() - onSeam.size());
        assertThat(fewer.lines()).hasSameSizeAs(more.lines());
    }

    /** Square hatching: one set upright, the other level, and no line twice. */
    @Test
    void squareHatchingHasUprightAndLevelLines() {
        Design design = Design.of(with(new Motif.Crosshatch(1, Math.PI / 2, true, false), "furrow-long"));
        WorkPlan plan = Planner.plan(square(design, 6));
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        Point along = top.frame().along();
        // 7 1/2 of room takes eight rows of 15/16, seven lines between them.
        List<StitchLine> level = top.laidOut().lines().stream()
                .filter(l ->
                        Math.abs(l.path().end().minus(l.path().start()).unit().dot(along)) > 0.999)
                .toList();
        assertThat(level).hasSize(7).allMatch(l -> Math.abs(l.path().length() - 72) < 1e-6);
        assertThat(top.laidOut().lines().stream().filter(l -> !level.contains(l)))
                .allMatch(l -> Math.abs(l.path().length() - 7.5) < 1e-6);
        assertThat(top.laidOut().lines().stream()
                        .map(l -> l.path().curves().get(0).at(0.3))
                        .distinct())
                .hasSameSizeAs(top.laidOut().lines());
    }
}
