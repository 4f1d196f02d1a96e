package jollyspindle.core.area;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.RandomValues;
import jollyspindle.core.param.RefusedValue;
import jollyspindle.core.quilt.Area;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

/** Each kind of motif has its type, and each type all that is asked of one. */
class AreaMotifTypesTest {

    /** The records that a sealed type comes down to. */
    private static Stream<Class<?>> kinds(Class<?> type) {
        return type.isSealed()
                ? Stream.of(type.getPermittedSubclasses()).flatMap(AreaMotifTypesTest::kinds)
                : Stream.of(type);
    }

    @Test
    void eachKindHasItsTypeAndNoTwoAName() {
        assertThat(AreaMotifTypes.ALL.stream().<Class<?>>map(AreaMotifType::type))
                .containsExactlyInAnyOrderElementsOf(kinds(AreaMotif.class).toList());
        assertThat(AreaMotifTypes.ALL.stream().map(AreaMotifType::code)).doesNotHaveDuplicates();
        for (AreaMotifType<?> type : AreaMotifTypes.ALL) {
            assertThat(AreaMotifTypes.of(type.code())).contains(type);
            assertThat(type.templates()).isNotEmpty();
        }
        assertThat(AreaMotifTypes.of("nothing")).isEmpty();
    }

    /** None is forgotten by the galleries, and what they offer goes by names of its own. */
    @Test
    void eachKindIsOfferedForSomeArea() {
        Set<AreaMotifType<?>> offered = new HashSet<>();
        for (Area area : List.of(new Area.Blocks(2, 2, 9, 8, 0), new Area.Medallion(12), new Area.Body(0))) {
            List<AreaPreset> presets = AreaPreset.of(area);
            assertThat(presets).extracting(AreaPreset::code).doesNotHaveDuplicates();
            presets.forEach(preset -> offered.add(AreaMotifTypes.of(preset.motif())));
        }
        assertThat(offered).containsExactlyInAnyOrderElementsOf(AreaMotifTypes.ALL);
    }

    @Property(tries = 300)
    void whatIsChosenIsAllThereIs(@ForAll Random random) {
        AreaMotifTypes.ALL.forEach(type -> chosen(type, random));
    }

    private static <M extends AreaMotif> void chosen(AreaMotifType<M> type, Random random) {
        M motif = RandomValues.check(type.params(), random, RefusedValue.class);
        assertThat(AreaMotifTypes.of(motif)).isSameAs(type);
    }

    @Test
    void whatDoesntGoWithItAnyMoreIsAsUsualAgain() {
        AreaMotif.Arms circled = new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 1, false, 0, true);
        AreaMotif.Arms meeting = circled.withStop(0);
        Params<AreaMotif.Arms> params = AreaMotifTypes.of(circled).params();
        assertThat(with(params, circled, "stop", meeting)).isEqualTo(meeting);
        assertThat(param(params, "circled").applies(circled)).isTrue();
        assertThat(param(params, "circled").applies(meeting)).isFalse();
        assertThatThrownBy(() -> with(params, meeting, "circled", circled))
                .isInstanceOf(RefusedValue.class)
                .hasMessage("arms that meet in the centre have no circle to stop on");
    }

    private static <M> Param<M, ?> param(Params<M> params, String code) {
        return params.all().stream()
                .filter(p -> p.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    /** A thing with one param as another has it. */
    private static <M> M with(Params<M> params, M thing, String code, M from) {
        return with(params, thing, param(params, code), from);
    }

    private static <M, T> M with(Params<M> params, M thing, Param<M, T> param, M from) {
        return params.with(thing, param, param.of(from));
    }

    @Test
    void aFormShowsEachParamOnceAndTheyHaveNamesOfTheirOwn() {
        Param.Length<Double> a = Param.length("a", 0, 1, d -> d);
        Param.Length<Double> b = Param.length("b", 0, 1, d -> d);
        assertThatThrownBy(() -> Params.<Double>of(v -> v.get(a), Params.row(a)).kept(a, b))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() ->
                        Params.<Double>of(v -> v.get(a), Params.row(a), Params.row(Param.length("a", 0, 2, d -> d))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(List.of(a, b)).allMatch(p -> p.usual().isEmpty());
    }
}
