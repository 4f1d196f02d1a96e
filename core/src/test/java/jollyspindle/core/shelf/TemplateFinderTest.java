package jollyspindle.core.shelf;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SerpentineStrip;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.TurnedArm;
import jollyspindle.core.words.FindWords;
import jollyspindle.core.words.Words;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

class TemplateFinderTest {

    private static final List<Template> STARTER = StarterShelf.templates();

    @Provide
    Arbitrary<Find.Wanted> wanted() {
        Arbitrary<Double> some = Arbitraries.doubles().between(0.4, 14);
        return Arbitraries.oneOf(
                some.flatMap(
                        span -> some.map(room -> (Find.Wanted) new Find.Wanted.Span(span, room, Optional.empty()))),
                some.flatMap(span -> Arbitraries.doubles().between(0.05, 0.5).map(part ->
                        (Find.Wanted) new Find.Wanted.Span(span, 8, Optional.of(span * part)))),
                some.map(Find.Wanted.Circle::new),
                Arbitraries.doubles()
                        .between(0.2, 1.5)
                        .flatMap(gap -> some.map(most -> (Find.Wanted) new Find.Wanted.Rings(gap, most + 2 * gap))),
                some.flatMap(depth -> Arbitraries.doubles().between(0, 1).map(reserve ->
                        (Find.Wanted) new Find.Wanted.Fan(depth + 1, reserve))),
                some.map(Find.Wanted.Block::new),
                some.map(Find.Wanted.Strip::new));
    }

    /** What is found does it as it says, the best first; where nothing is found, what is said to be missing would do it. */
    @Property(tries = 300)
    void whatIsFoundDoesItAndWhatIsMissingWould(
            @ForAll("wanted") Find.Wanted wanted, @ForAll @DoubleRange(min = 0.2, max = 0.26) double foot) {
        Machine machine = new Machine(foot);
        Find find = new TemplateFinder(STARTER, machine).find(wanted);
        assertThat(find.missing().isPresent()).isEqualTo(find.matches().isEmpty());
        assertThat(find.matches()).isSortedAccordingTo((a, b) -> Double.compare(a.penalty(), b.penalty()));
        FindWords words = new FindWords(new Words(TapeScale.SIXTEENTHS));
        assertThat(words.answer(find)).matches("(?s)\\p{Lu}.*\\.|\\d.*\\.").doesNotContain("null", "NaN", "Infinity");
        for (Find.Match match : find.matches()) {
            assertThat(match.off()).isNotNegative();
            assertThat(words.match(match))
                    .isNotBlank()
                    .doesNotContain("null", "NaN")
                    .doesNotContainPattern("\\b1 (placements|rows|swivels)\\b");
            does(wanted, match, machine);
        }
        find.missing().ifPresent(missing -> {
            Optional<Template> bought = bought(missing, wanted, foot);
            bought.ifPresent(t -> assertThat(
                            new TemplateFinder(List.of(t), machine).find(wanted).matches())
                    .as(words.missing(missing))
                    .isNotEmpty());
        });
    }

    private static void does(Find.Wanted wanted, Find.Match match, Machine machine) {
        Optional<Double> radius = match.guide().round().map(r -> r.stitchedRadius(machine));
        if (wanted instanceof Find.Wanted.Span span) {
            double r = radius.orElseThrow();
            double rise = r - Math.sqrt(r * r - span.span() * span.span() / 4);
            assertThat(rise).isLessThanOrEqualTo(span.room() + 1e-9);
            assertThat(match.changes().get(0)).isInstanceOfSatisfying(Find.Change.Rises.class, c -> assertThat(c.rise())
                    .isCloseTo(rise, within(1e-9)));
            span.rise().ifPresent(w -> assertThat(match.off()).isCloseTo(Math.abs(rise - w), within(1e-9)));
        } else if (wanted instanceof Find.Wanted.Circle circle) {
            assertThat(match.off()).isCloseTo(Math.abs(2 * radius.orElseThrow() - circle.diameter()), within(1e-9));
        } else if (wanted instanceof Find.Wanted.Fan fan) {
            assertThat(radius.orElseThrow()).isLessThanOrEqualTo(fan.depth() - fan.reserve() + 1.0 / 64);
        } else if (wanted instanceof Find.Wanted.Rings rings && match.changes().get(0) instanceof Find.Change.Rings) {
            Find.Change.Rings row = (Find.Change.Rings) match.changes().get(0);
            for (int i = 1; i < row.diameters().size(); i++) {
                assertThat((row.diameters().get(i) - row.diameters().get(i - 1)) / 2)
                        .isCloseTo(rings.gap(), within(Math.min(0.125, rings.gap() / 4) + 1e-9));
            }
        }
    }

    /** A template of the size that is said to be missing. */
    private static Optional<Template> bought(Find.Missing missing, Find.Wanted wanted, double foot) {
        if (missing instanceof Find.Missing.StitchedRadius m) {
            double edge = m.least() - foot + 1e-9;
            return edge < Form.SMALLEST
                    ? Optional.empty()
                    : Optional.of(Template.of(
                            "n", "N", ArcForm.bulging(edge, Math.PI, edge + 1), SizeLabel.RADIUS_AS_CUT, List.of()));
        }
        if (missing instanceof Find.Missing.StitchedDiameter m) {
            return Optional.of(Template.of(
                    "n",
                    "N",
                    new CircleForm(CircleForm.Cutting.HOLES, List.of(m.hole()), 0.75),
                    SizeLabel.DIAMETER_AS_CUT,
                    List.of()));
        }
        if (missing instanceof Find.Missing.Set m && m.step() / 2 > 2 * foot + 0.05) {
            // Slots take a foot's width: narrower gaps need two sets in turn.
            double wide = 2 * foot + 0.02;
            double more = foot - wide / 2;
            List<Double> radii = DoubleStream.iterate(
                            m.first() / 2, r -> r <= m.largest() / 2 + 1e-9, r -> r + m.step() / 2)
                    .map(r -> r + more)
                    .filter(r -> r > wide / 2 + 0.01)
                    .boxed()
                    .toList();
            return radii.size() < 2
                    ? Optional.empty()
                    : Optional.of(Template.of(
                            "n",
                            "N",
                            new SlottedCircles(radii, wide, Math.toRadians(300)),
                            SizeLabel.RADIUS_AS_CUT,
                            List.of()));
        }
        if (missing instanceof Find.Missing.FanRadius m && m.atMost() > 0.6) {
            double wide = 2 * foot + 0.02;
            return Optional.of(Template.of(
                    "n",
                    "N",
                    new SlottedFan(List.of(m.atMost() + foot - wide / 2), wide, 2, Math.PI),
                    SizeLabel.RADIUS_AS_CUT,
                    List.of()));
        }
        if (missing instanceof Find.Missing.ForBlock m) {
            double shells = ((Find.Wanted.Block) wanted).side() / m.shells();
            assertThat(2 * shells).as("whole or half shells").isCloseTo(Math.rint(2 * shells), within(1e-9));
            if (m.shells() > 0.6) {
                return Optional.of(Template.of(
                        "n", "N", new ScallopRow(5, m.shells(), m.shells() + 1), SizeLabel.RADIUS_AS_CUT, List.of()));
            }
            return Optional.of(Template.of(
                    "n",
                    "N",
                    new TurnedArm(new TurnedArm.Petal(m.reach() / 8), m.reach() + 0.5, foot, 0.5),
                    SizeLabel.RADIUS_AS_CUT,
                    List.of()));
        }
        if (missing instanceof Find.Missing.Height m && m.height() > 2 * foot) {
            return Optional.of(Template.of(
                    "n",
                    "N",
                    new CircleForm(CircleForm.Cutting.HOLES, List.of(m.height() + 2 * foot), 0.75),
                    SizeLabel.DIAMETER_AS_CUT,
                    List.of()));
        }
        return Optional.empty();
    }

    // Diameters 2, 4, 6 and 3, 5, 7 have rings 1 apart by themselves, and interleave to 1/2 (derived).
    @Test
    void setsThatInterleaveAreFoundTogether() {
        Find half = new TemplateFinder(STARTER, Machine.usual()).find(new Find.Wanted.Rings(0.5, 7));
        Find.Match pair = half.matches().stream()
                .filter(m -> m.template().id().equals("pond-rings"))
                .findFirst()
                .orElseThrow();
        assertThat(pair.penalty())
                .as("as good as any")
                .isEqualTo(half.matches().get(0).penalty());
        assertThat(((Find.Change.Rings) pair.changes().get(0)).diameters())
                .containsExactly(2.0, 3.0, 4.0, 5.0, 6.0, 7.0);
        assertThat(pair.changes().get(1))
                .isInstanceOfSatisfying(
                        Find.Change.With.class, w -> assertThat(w.other().id()).isEqualTo("pond-between"));
        assertThat(new FindWords(new Words(TapeScale.SIXTEENTHS)).match(pair))
                .isEqualTo("Rings of 2, 3 … 7; missing: 1; together with Pond Between");
        assertThat(new TemplateFinder(STARTER, Machine.usual())
                        .find(new Find.Wanted.Rings(1, 6))
                        .matches())
                .as("a set that has all of them needs no other")
                .noneMatch(m -> m.changes().stream().anyMatch(Find.Change.With.class::isInstance));
        Find quarter = new TemplateFinder(STARTER, Machine.usual()).find(new Find.Wanted.Rings(0.25, 7));
        assertThat(quarter.matches()).as("two rings of fourteen don't do it").isEmpty();
        assertThat(quarter.missing().orElseThrow()).isEqualTo(new Find.Missing.Set(0.5, 0.5, 7));
    }

    @Test
    void retiredTemplatesAreLeftOutAndBothEdgesCount() {
        Template barrel = StarterShelf.template("rain-barrel");
        Find.Wanted span = new Find.Wanted.Span(5, 4, Optional.empty());
        assertThat(new TemplateFinder(List.of(barrel), Machine.usual())
                        .find(span)
                        .matches())
                .extracting(m -> m.guide().id())
                .containsExactlyInAnyOrder("bulging", "hollow");
        assertThat(new TemplateFinder(List.of(barrel.withRetired(true)), Machine.usual())
                        .find(span)
                        .matches())
                .isEmpty();
        // With a slot narrower than the foot nothing can be stitched.
        assertThat(new TemplateFinder(List.of(StarterShelf.template("pond-rings")), new Machine(0.27))
                        .find(new Find.Wanted.Circle(3))
                        .matches())
                .isEmpty();
    }

    @Test
    void aSerpentineFillsAStripThatItsModuleDivides() {
        Template strip =
                Template.of("s", "S", new SerpentineStrip(4, 1.5, 2, 1.25), SizeLabel.RADIUS_AS_STITCHED, List.of());
        Find find = new TemplateFinder(List.of(strip), Machine.usual()).find(new Find.Wanted.Strip(8.0625));
        assertThat(find.matches().get(0).changes()).singleElement().satisfies(c -> assertThat(c)
                .isInstanceOfSatisfying(Find.Change.Repeats.class, r -> {
                    assertThat(r.count()).isEqualTo(2);
                    assertThat(r.stretch()).isCloseTo(0.03125, within(1e-9));
                }));
    }

    // --- tape places
    // ---------------------------------------------------------------------------------------------------

    /** Laid where it is said, the tape gives what was wanted: distance along the acrylic plus or minus the foot. */
    @Property(tries = 200)
    void tapeGivesWhatIsWanted(
            @ForAll @DoubleRange(min = 0.3, max = 3.9) double inches,
            @ForAll @DoubleRange(min = 0.2, max = 0.3) double foot) {
        Template hill = StarterShelf.template("orchard-hill");
        var bulging = hill.cut().main().orElseThrow();
        Machine machine = new Machine(foot);
        Optional<TapePlaces.Place> rise = TapePlaces.find(hill, bulging, new TapePlaces.Wanted.Rise(inches), machine);
        rise.ifPresent(place -> {
            assertThat(place.fromEdge() + foot).isCloseTo(inches, within(1e-9));
            // The tape lies level, that far below the acrylic's crown.
            assertThat(place.strokes())
                    .allSatisfy(s -> assertThat(s.start().y()).isCloseTo(3.75 - place.fromEdge(), within(1e-9)));
            place.line().ifPresent(l -> assertThat(l.value() - 0.25 + place.beyondLine())
                    .isCloseTo(place.fromEdge(), within(1e-9)));
        });
        assertThat(rise.isPresent()).as("the plate reaches 4 below the crown").isEqualTo(inches - foot > 1e-9);
        Optional<TapePlaces.Place> spacing =
                TapePlaces.find(hill, bulging, new TapePlaces.Wanted.Spacing(inches), machine);
        assertThat(spacing.isPresent()).isEqualTo(inches >= foot && inches - foot < 3.74);
        spacing.ifPresent(place -> {
            assertThat(place.fromEdge()).isCloseTo(inches - foot, within(1e-9));
            place.strokes().forEach(s -> assertThat(
                            bulging.edge().distance(s.curves().get(0).at(0.5)))
                    .isCloseTo(place.fromEdge(), within(1e-6)));
        });
        TapePlaces.find(hill, bulging, new TapePlaces.Wanted.Radius(inches), machine)
                .ifPresent(place -> assertThat(3.75 - place.fromEdge()).isCloseTo(inches, within(1e-9)));
    }

    @Test
    void anEngravedLineServesWithinAChalkLinesWidth() {
        Template hill = StarterShelf.template("orchard-hill");
        var bulging = hill.cut().main().orElseThrow();
        TapePlaces.Place two = TapePlaces.find(hill, bulging, new TapePlaces.Wanted.Rise(2.01), Machine.usual())
                .orElseThrow();
        assertThat(two.onLine()).isTrue();
        assertThat(two.line().orElseThrow().value()).isEqualTo(2);
        Template ruler = StarterShelf.template("furrow-long");
        assertThat(TapePlaces.find(
                                ruler,
                                ruler.cut().main().orElseThrow(),
                                new TapePlaces.Wanted.Spacing(0.75),
                                Machine.usual())
                        .orElseThrow()
                        .line()
                        .orElseThrow()
                        .value())
                .isEqualTo(0.5);
        assertThat(TapePlaces.find(
                        ruler, ruler.cut().main().orElseThrow(), new TapePlaces.Wanted.Rise(1), Machine.usual()))
                .as("a straight edge has no rise")
                .isEmpty();
    }
}
