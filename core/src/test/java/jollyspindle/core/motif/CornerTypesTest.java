package jollyspindle.core.motif;

import jollyspindle.core.param.Params;
import jollyspindle.core.param.RandomValues;
import jollyspindle.core.param.RefusedValue;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Random;

import static org.assertj.core.api.Assertions.assertThat;

/** Each kind of motif of corners has its type, and a corner is made of what its params say. */
class CornerTypesTest {

    @Test
    void eachKindHasItsType() {
        assertThat(CornerTypes.ALL.stream().map(CornerType::kind)).containsExactly(CornerDesign.Kind.values());
        assertThat(CornerTypes.ALL).allMatch(type -> CornerTypes.of(type.kind()) == type);
        assertThat(CornerTypes.ALL)
                .allSatisfy(type -> assertThat(CornerDesign.PARAMS.all()).containsAll(type.chosen()));
    }

    /** Nothing is asked for that no kind has any use for. */
    @Test
    void eachChoiceMattersToSomeKind() {
        List<String> chosen = CornerTypes.ALL.stream()
                .flatMap(type -> type.chosen().stream())
                .map(param -> param.code())
                .distinct()
                .toList();
        assertThat(CornerDesign.PARAMS.all().stream().map(param -> param.code()).filter(code -> !chosen.contains(code)))
                .containsExactly("kind", "template", "guide", "asks");
    }

    @Property(tries = 300)
    void whatIsChosenIsAllThereIs(@ForAll Random random) {
        Params<CornerDesign> params = CornerDesign.PARAMS;
        RandomValues.check(params, random, RefusedValue.class);
        assertThat(params.all().stream()
                        .filter(p -> params.isLeftOut(p, CornerDesign.plain()))
                        .map(p -> p.code()))
                .containsExactly("lines", "sides", "fromOuter", "asks", "closing");
    }
}
