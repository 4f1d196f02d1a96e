package jollyspindle.core.motif;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.RandomValues;
import jollyspindle.core.param.RefusedValue;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Random;

import static org.assertj.core.api.Assertions.assertThat;

/** Each kind of motif of runs has its type, and is made of what its params say. */
class MotifTypesTest {

    @Test
    void eachKindHasItsTypeAndNoTwoAName() {
        assertThat(MotifTypes.ALL.stream().<Class<?>>map(MotifType::type))
                .containsExactlyInAnyOrder(Motif.class.getPermittedSubclasses());
        assertThat(MotifTypes.ALL.stream().map(MotifType::code)).doesNotHaveDuplicates();
        assertThat(MotifTypes.ALL).allMatch(type -> MotifTypes.of(type.code()).orElseThrow() == type);
        assertThat(MotifTypes.of("nothing")).isEmpty();
    }

    @Property(tries = 300)
    void whatIsChosenIsAllThereIs(@ForAll Random random) {
        MotifTypes.ALL.forEach(type -> chosen(type, random));
    }

    private static <M extends Motif> void chosen(MotifType<M> type, Random random) {
        M motif = RandomValues.check(type.params(), random, RefusedValue.class);
        assertThat(MotifTypes.of(motif)).isSameAs(type);
        assertThat(type.edge(motif)).isNotNull();
    }

    @Test
    void whatIsAsUsualIsLeftOutUnlessItMatters() {
        Motif.Arcs single = Motif.Arcs.single();
        Params<Motif.Arcs> params = MotifTypes.of(single).params();
        List<String> left = params.all().stream()
                .filter(p -> params.isLeftOut(p, single))
                .map(Param::code)
                .toList();
        assertThat(left).containsExactly("inner", "lines", "step", "rises", "passes");
        Motif.Arcs nested = single.withLines(3);
        assertThat(params.all().stream()
                        .filter(p -> params.isLeftOut(p, nested))
                        .map(Param::code))
                .containsExactly("rises", "passes");
    }
}
