package jollyspindle.core.words;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.CornerArc;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.OnCentre;
import jollyspindle.core.division.Reason;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.Moves;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Squareness;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** What is said of dividing, word for word. */
class DivisionWordsTest {

    private static final Words WORDS = new Words(TapeScale.SIXTEENTHS);
    private static final DivisionWords SAID = new DivisionWords(WORDS);

    static Stream<Arguments> schools() {
        return Stream.of(
                Arguments.of(new Even(10), "10 repeats"),
                Arguments.of(new Even(1), "1 repeat"),
                Arguments.of(new HalfSteps(10), "10 repeats, half of one at each end"),
                Arguments.of(new CornersIn(7, 4), "4 of 7 from each corner, a motif of its own in the middle"),
                Arguments.of(
                        new CornersIn(6.5, 1, new Filling.TwoHalfArcs()),
                        "1 of 6 1/2 from each corner, two half arcs in the middle"),
                Arguments.of(new CentreOut(7, 9), "9 of 7 from the centre; the ends go to the corner's motif"),
                Arguments.of(
                        new CentreOut(7, 9, EndUse.SHORT_ARC), "9 of 7 from the centre; the ends carry a short repeat"),
                Arguments.of(new Fudged(7, 10, new Spread.All()), "10 of 7, the leftover in all"),
                Arguments.of(
                        new Fudged(7, 10, new Spread.RoundCentre(4)), "10 of 7, the leftover in 4 about the centre"),
                Arguments.of(new Fudged(7, 10, new Spread.Chosen(Set.of(7, 3))), "10 of 7, the leftover in 3, 7"),
                Arguments.of(new ByPiecing(4.5, 1, 1), "repeats of 1 unit"),
                Arguments.of(new ByPiecing(4.5, 3, 2), "repeats of 3/2 units"),
                Arguments.of(new ByIncrements(1, 6), "repeats of 6 marks, one every 1"),
                Arguments.of(new ByHand(10, Map.of(3, 20.0)), "10 repeats with 1 valley pinned"),
                Arguments.of(new ByHand(10, Map.of(3, 20.0, 4, 27.0)), "10 repeats with 2 valleys pinned"));
    }

    @ParameterizedTest
    @MethodSource("schools")
    void saysWhatASchoolDoes(School school, String said) {
        assertThat(SAID.school(school)).isEqualTo(said);
        assertThat(DivisionWords.explained(school.kind())).endsWith(".").isNotBlank();
        assertThat(DivisionWords.name(school.kind())).isNotBlank();
    }

    @Test
    void saysSchoolsOfSeveralRuns() {
        TreeMap<RunId, School> even = new TreeMap<>();
        for (Side side : Side.values()) {
            even.put(RunId.of(side), new Even(side.isAcross() ? 10 : 12));
        }
        assertThat(SAID.schools(even)).isEqualTo("10 across, 12 down");
        even.put(RunId.of(Side.LEFT), new HalfSteps(12));
        assertThat(SAID.schools(even))
                .isEqualTo("10 repeats across; 12 repeats on right border; 12 repeats, half of one at each end on left"
                        + " border");
        even.replaceAll((id, s) -> new Even(9));
        assertThat(SAID.schools(even)).isEqualTo("9 repeats");
    }

    static Stream<Arguments> reasons() {
        return Stream.of(
                Arguments.of(
                        new Reason.Centres(OnCentre.SPACE, Optional.of(OnCentre.NEITHER)),
                        "odd space on the centre of top and bottom, neither valley nor crown on that of the sides"),
                Arguments.of(new Reason.Centres(OnCentre.CROWN, Optional.empty()), "crown on the centre"),
                Arguments.of(new Reason.OffOwn(0.25, 6.928), "up to 1/4 from the template's own 6 15/16 scant"),
                Arguments.of(new Reason.OffOwn(0, 6.928), "just the template's own repeat, 6 15/16 scant"),
                Arguments.of(new Reason.Uneven(0.1875, 0.125), "repeats of a run differ by 3/16"),
                Arguments.of(
                        new Reason.Ends(0.1, EndUse.PLAIN, true, Optional.empty()),
                        "1/8 scant at each end, little enough to leave"),
                Arguments.of(
                        new Reason.Ends(2.5, EndUse.PLAIN, false, Optional.empty()), "2 1/2 at each end: left plain"),
                Arguments.of(
                        new Reason.Ends(2.5, EndUse.SHORT_ARC, false, Optional.empty()),
                        "2 1/2 at each end: a short repeat at each corner"),
                Arguments.of(
                        new Reason.Ends(2.5, EndUse.CORNER, false, Optional.of(new CornerArc(1, -0.5))),
                        "2 1/2 at each end: for the corner's motif; one arc astride the mitre clears the edge by 1/2"),
                Arguments.of(
                        new Reason.Ends(2.5, EndUse.CORNER, false, Optional.of(new CornerArc(1, 0.5))),
                        "2 1/2 at each end: for the corner's motif; one arc astride the mitre would stand 1/2 past the room"),
                Arguments.of(new Reason.HalvesAtCorners(), "half an arc at each corner"),
                Arguments.of(new Reason.ValleysAtCorners(), "a valley at each corner"),
                Arguments.of(
                        new Reason.CornerArcs(3.5, 3, 0.125),
                        "the corners' arcs take 3 1/2 at each end, half a repeat is 3"),
                Arguments.of(
                        new Reason.CornerArcs(3.0625, 3.03, 0.125),
                        "the corners' arcs take 3 1/16 at each end, about half a repeat"),
                Arguments.of(
                        new Reason.CornersAsk(CornerAsk.ODD, true), "as the corners ask: an odd count on every side"),
                Arguments.of(
                        new Reason.CornersAsk(CornerAsk.HALVES, false),
                        "not as the corners ask: half a repeat at each end"),
                Arguments.of(new Reason.SeamsMark(2, 1), "pieced seams mark every valley"),
                Arguments.of(new Reason.SeamsMark(3, 2), "pieced seams mark every second valley"),
                Arguments.of(new Reason.SeamsMark(4, 3), "pieced seams mark every third valley"),
                Arguments.of(new Reason.SeamsMark(5, 4), "pieced seams mark every 4th valley"),
                Arguments.of(
                        new Reason.Sliver(-0.375, true),
                        "the marks leave 3/8 too little in the middle: the two repeats beside it are 3/16 shorter"),
                Arguments.of(
                        new Reason.Sliver(0.25, false),
                        "the marks leave 1/4 over in the middle: the repeat there is 1/4 longer"),
                Arguments.of(new Reason.Readings(1, 1), "1 of 1 mark on a tick of the tape"),
                Arguments.of(new Reason.Readings(14, 40), "14 of 40 marks on a tick of the tape"));
    }

    @ParameterizedTest
    @MethodSource("reasons")
    void saysWhySomethingIsGoodOrNot(Reason reason, String said) {
        assertThat(SAID.reason(reason)).isEqualTo(said);
    }

    @Test
    void saysWishesTiesAndMoves() {
        assertThat(SAID.wish(Wish.about(6)
                        .with(Wish.ACROSS, OptionalInt.of(10))
                        .with(Wish.DOWN, OptionalInt.of(12))
                        .with(Wish.PARITY, Wish.Parity.EVEN)
                        .withRange(OptionalDouble.of(5.5), OptionalDouble.of(6.5))))
                .isEqualTo("repeats of about 6, 10 across, 12 down, an even count, not under 5 1/2, not over 6 1/2");
        assertThat(DivisionWords.name(Tie.Ratio.HALF)).isEqualTo("half as many as");
        Quilt quilt = DemoJob.heronWeir().quilt();
        assertThat(SAID.move(new Moves.Move(RunId.of(Side.TOP), true, 10, 10, 7.1625, 7.2, 0, 0.375), quilt))
                .isEqualTo("top border: 10 repeats stay, each 1/32 longer; marks move up to 3/8");
        assertThat(SAID.move(new Moves.Move(RunId.of(2, Side.LEFT), false, 10, 11, 7, 6.5, 0, 0.375), quilt))
                .isEqualTo("border 2, left: 10 repeats become 11, of 6 1/2");
        assertThat(SAID.move(new Moves.Move(RunId.of(Side.TOP), true, 1, 1, 7, 6.5, 0, 0.5), quilt))
                .isEqualTo("top border: 1 repeat stays, each 1/2 shorter; marks move up to 1/2");
        assertThat(SAID.cornerstone(6)).as("6 square: 4.243 (derived)").contains("4 1/4 scant wide");
    }

    /** Whatever a candidate is, it has a title, a sentence and reasons that say something. */
    @ParameterizedTest
    @EnumSource(SchoolKind.class)
    void everyCandidateIsSaid(SchoolKind kind) {
        QuiltJob demo = DemoJob.heronWeir();
        Quilt pieced = demo.quilt().withBorder(1, demo.quilt().border(1).withUnit(OptionalDouble.of(3.625)));
        WorkPlan plan = Planner.plan(demo.withQuilt(pieced));
        for (Candidate candidate : new CandidateFinder(plan.groups().get(0).set()).find(Map.of())) {
            if (candidate.kind().equals(Optional.of(kind))) {
                assertThat(SAID.counts(candidate)).isNotBlank();
                assertThat(SAID.sentence(candidate)).endsWith(".");
                assertThat(SAID.reasons(candidate)).doesNotContain("null", "[", "NaN");
                assertThat(SAID.rise(candidate)).startsWith("rise ");
            }
        }
    }

    /** Two readings are both said; of more the shortest and the longest. */
    @Test
    void saysRepeatsAndRisesThatDiffer() {
        QuiltJob job = DemoJob.heronWeir();
        Candidate even = chosen(job);
        // 71 5/8 by 10 and 86 3/8 by 12; the arc's radius is 3.989, so spans of 7.1625 and 7.198 rise 2.232 and 2.268.
        assertThat(SAID.repeats(even)).isEqualTo("7 3/16 scant and 7 3/16 generous");
        assertThat(SAID.rise(even)).isEqualTo("rise 2 1/4 scant and 2 1/4 generous");
        Candidate mixed = chosen(job.choosing(Map.of(RunId.of(Side.TOP), new CentreOut(7, 10))));
        assertThat(SAID.repeats(mixed)).isEqualTo("7 to 7 3/16 generous");
        assertThat(SAID.rise(mixed)).isEqualTo("rise 2 1/16 generous to 2 1/4 generous");
    }

    private static Candidate chosen(QuiltJob job) {
        return Planner.plan(job).groups().get(0).chosen();
    }

    // --- square --------------------------------------------------------------------------------------------------

    @Test
    void saysHowSquareItIs() {
        SquareWords square = new SquareWords(WORDS);
        Quilt demo = DemoJob.heronWeir().quilt();
        assertThat(square.text(Squareness.of(demo), demo, 0.005))
                .isEqualTo(
                        "Square? Top 1/8 shorter than bottom; right 1/8 longer than left; diagonals 1/8 apart; corners"
                                + " up to 0.2° off square.");
        Quilt eased = demo.with(new Quilt.Easings(Easing.MEAN, Easing.TO_LONGER));
        assertThat(square.text(Squareness.of(eased), eased, 0.005))
                .contains("Planned at 71 11/16: top is stretched by 1/16, bottom is eased in by 1/16.")
                .contains("Planned at 86 3/8: left is stretched by 1/8.");
        Quilt off = demo.with(Dimension.BODY_RIGHT, 88).without(Dimension.DIAGONAL_UP);
        assertThat(SquareWords.past(Squareness.of(off), off, 0.005)).isTrue();
        assertThat(square.text(Squareness.of(off), off, 0.005))
                .contains(
                        "right 1 3/4 longer than left", "measure both diagonals", "More than 0.5 % of a side is seen.");
        assertThat(SquareWords.past(Squareness.of(off), off, 0.05))
                .as("the limit is a setting")
                .isFalse();
    }

    // --- findings ------------------------------------------------------------------------------------------------

    static Stream<Arguments> findings() {
        RunId top = RunId.of(Side.TOP);
        return Stream.of(
                Arguments.of(
                        new Finding.CountsDiffer(top, 11, 10, Optional.empty()),
                        "11 repeats here, 10 on the opposite side."),
                Arguments.of(
                        new Finding.StretchSeen(top, 0.25, 0.125, true, Optional.empty()),
                        "Repeats of this run differ by 1/4. More than 1/8 is seen."),
                Arguments.of(
                        new Finding.StretchSeen(top, 0.25, 0.125, false, Optional.empty()),
                        "from side to side by up to 1/4"),
                Arguments.of(new Finding.OddAtCorner(top, 5, 7, Optional.empty()), "a repeat of 5 beside others of 7"),
                Arguments.of(
                        new Finding.SteppingEndsOff(top, 7.1625, 10, 0.25),
                        "Stepping 7 3/16 scant off 10 times would end 1/4 long"),
                Arguments.of(
                        new Finding.NoSolution(top, Wish.about(6).with(Wish.PARITY, Wish.Parity.ODD), 5.5, 6.5),
                        "an odd count. With repeats from 5 1/2 to 6 1/2 there is a way."),
                Arguments.of(new Finding.NoSolution(top, Wish.about(6), 0, 0), "No count does it."),
                Arguments.of(
                        new Finding.CornersGiveWay(top, CornerAsk.ODD, 10, Optional.empty()),
                        "The corners ask for an odd count on every side, and this side has 10 figures. What else is"),
                Arguments.of(
                        new Finding.CornersGiveWay(top, CornerAsk.HALVES, 9, Optional.empty()),
                        "this side has 9 figures without halves at its ends."),
                Arguments.of(
                        new Finding.ChoiceGone(top, new Even(10), 60),
                        "The run of 60 no longer comes out as chosen: 10 repeats."),
                Arguments.of(
                        new Finding.SpaceEmpty(top, 11.625, Figure.Why.OWN_MOTIF, Optional.empty()),
                        "A space of 11 5/8 in the middle is kept for a motif of its own."),
                Arguments.of(
                        new Finding.SpaceEmpty(top, 2, Figure.Why.NO_TEMPLATE, Optional.empty()),
                        "waits for its template"),
                Arguments.of(
                        new Finding.TieBroken(RunId.of(2, Side.TOP), new Tie(2, 1, Tie.Ratio.HALF)),
                        "counts that can be halved"),
                Arguments.of(
                        new Finding.SeamDiffers(RunId.of(2, Side.TOP), -0.5),
                        "1/2 less than body and borders inside it add up to"),
                Arguments.of(new Finding.StripOffQuilt(RunId.strip(1)), "doesn't lie on the quilt"));
    }

    @ParameterizedTest
    @MethodSource("findings")
    void saysWhatIsTheMatter(Finding finding, String said) {
        assertThat(new FindingWords(WORDS).text(finding)).contains(said).endsWith(".");
    }

    @Test
    void saysRemediesAsCommands() {
        FindingWords said = new FindingWords(WORDS);
        GroupId first = GroupId.border(1);
        assertThat(List.of(
                                new Remedy.Divide(Map.of(RunId.of(Side.TOP), new Even(10))),
                                new Remedy.FollowBest(first),
                                new Remedy.AllowRange(first, 5.5, 6.5),
                                new Remedy.Untie(first),
                                new Remedy.Ease(Side.LEFT, Easing.MEAN),
                                new Remedy.SeeMarks(RunId.of(Side.TOP)))
                        .stream()
                        .map(said::text))
                .containsExactly(
                        "Use 10 repeats",
                        "Follow the best way",
                        "Allow 5 1/2 to 6 1/2",
                        "Choose its counts by themselves",
                        "Plan right and left at the mean",
                        "See the readings");
    }

    @ParameterizedTest
    @CsvSource({
        "top, Top border, top seam, top left corner",
        "border-2-left, 'Border 2, left', 'inner seam of border 2, left', bottom left corner",
        "strip-3, Strip 3, lower seam of the strip, left end"
    })
    void namesRuns(String code, String name, String seam, String start) {
        RunId run = RunId.parse(code).orElseThrow();
        assertThat(Words.name(run)).isEqualTo(name);
        assertThat(Words.seam(run)).isEqualTo(seam);
        assertThat(Words.start(run)).isEqualTo(start);
    }

    @Test
    void readingsAreCopiedAsText() {
        WorkPlan plan = Planner.plan(DemoJob.heronWeir().withCounts(new Counts(10, 12)));
        String text = RunText.of(plan.run(Side.TOP).orElseThrow(), plan.job().quilt(), WORDS, 21.4875);
        assertThat(text.lines().findFirst()).contains("Top border, 71 5/8: 10 repeats. Left end: top left corner.");
        assertThat(text)
                .contains(
                        "Valley 3\t21 1/2 scant\t50 1/8 generous\t14 5/16 generous left\t0\ton the seam\ton the frame");
        assertThat(text)
                .contains("Valley 4\t28 5/8 generous\t43 scant\t7 3/16 scant left\t7 3/16 scant right\ton the seam");
        assertThat(text.lines().skip(1))
                .allSatisfy(line -> assertThat(line.split("\t")).hasSize(7));
        assertThat(RunText.of(plan.run(Side.TOP).orElseThrow(), plan.job().quilt(), WORDS, Double.NaN))
                .doesNotContain("From zero");
    }
}
