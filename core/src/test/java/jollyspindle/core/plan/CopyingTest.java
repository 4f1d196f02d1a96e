package jollyspindle.core.plan;

import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** A side's motifs on another border. */
class CopyingTest {

    private static final GroupId INNER = GroupId.border(1);
    private static final GroupId OUTER = GroupId.border(2);

    static Stream<QuiltJob> rings() {
        return DemoRings.all().values().stream();
    }

    /** With a second border outside, as deep and joined in the same way. */
    private static QuiltJob twoBorders(QuiltJob job) {
        Corners corners = job.quilt().border(1).corners();
        Quilt quilt = job.quilt().withBorderOutside(job.quilt().border(1).with(corners));
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.depth(2, side), job.quilt().length(Dimension.depth(1, side)));
        }
        return job.withQuilt(quilt);
    }

    @ParameterizedTest
    @MethodSource("rings")
    void anotherBorderGetsMotifsCornersAndRepeat(QuiltJob ring) {
        QuiltJob before = twoBorders(ring);
        QuiltJob copied = before.copying(RunId.of(Side.LEFT), OUTER);
        assertThat(copied.layout(INNER)).isEqualTo(before.layout(INNER));
        assertThat(copied.layout(OUTER).design()).isEqualTo(before.layout(INNER).design());
        assertThat(copied.layout(OUTER).wish().repeat())
                .isEqualTo(before.layout(INNER).wish().repeat());
        WorkPlan plan = Planner.plan(copied);
        assertThat(plan.hasProblems()).isFalse();
        assertThat(kinds(plan, OUTER)).isEqualTo(kinds(plan, INNER));
    }

    private static List<String> kinds(WorkPlan plan, GroupId group) {
        return plan.lines().stream()
                .filter(l -> ((RunId) l.region()).group().equals(group))
                .map(StitchLine::kind)
                .map(Enum::name)
                .distinct()
                .sorted()
                .toList();
    }

    /** The motifs of the side that is looked at are what is copied; its own corners stay where a strip is concerned. */
    @Test
    void aSideThatIsItsOwnIsCopiedAsItIs() {
        QuiltJob before = twoBorders(DemoRings.all().get("ring-nested-arcs"));
        Layer fans = Layer.of(new Motif.Fans(3, 1));
        before = before.editing(INNER, l -> l.with(l.design().withRun(RunId.of(Side.TOP), List.of(fans))));
        Design fromTop = before.copying(RunId.of(Side.TOP), OUTER).layout(OUTER).design();
        Design fromLeft =
                before.copying(RunId.of(Side.LEFT), OUTER).layout(OUTER).design();
        assertThat(fromTop.layers()).singleElement().matches(fans::isLike);
        assertThat(fromTop.sides()).isEmpty();
        assertThat(fromLeft.layers()).isEqualTo(before.layout(INNER).design().layers());
        Design onStrip = before.copying(RunId.of(Side.LEFT), GroupId.strip(1))
                .layout(GroupId.strip(1))
                .design();
        assertThat(onStrip.corner()).isEqualTo(CornerDesign.plain());
    }
}
