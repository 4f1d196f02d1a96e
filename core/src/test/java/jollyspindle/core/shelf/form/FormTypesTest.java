package jollyspindle.core.shelf.form;

import jollyspindle.core.param.RandomValues;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** Each form of templates has its type, and is made of what its params say. */
class FormTypesTest {

    @Test
    void eachFormAndFigureHasItsTypeAndNoTwoAName() {
        assertThat(FormTypes.ALL.stream().<Class<?>>map(FormType::type).distinct())
                .containsExactlyInAnyOrder(Form.class.getPermittedSubclasses());
        assertThat(FormTypes.of(Kind.TURNED_ARM).stream()
                        .<Class<?>>map(
                                type -> ((TurnedArm) type.usual()).figure().getClass()))
                .containsExactlyInAnyOrder(TurnedArm.Figure.class.getPermittedSubclasses());
        assertThat(FormTypes.ALL.stream().map(FormType::code)).doesNotHaveDuplicates();
        assertThat(Stream.of(Kind.values()).map(FormTypes::of))
                .allMatch(types -> types.size() == 1
                        || types.stream().allMatch(type -> type.figure().isPresent()))
                .allMatch(types -> !types.isEmpty());
        assertThat(FormTypes.ALL).allMatch(type -> type.usual().type() == type);
    }

    /** Nobody begins with what can't be cut. */
    @Test
    void theUsualOnesCanBeCut() {
        for (FormType<?> type : FormTypes.ALL) {
            assertThat(type.usual().cut(SizeLabel.DIAMETER_AS_CUT, 0).guides())
                    .as(type.code())
                    .isNotEmpty();
        }
    }

    @Property(tries = 200)
    void whatIsChosenIsAllThereIs(@ForAll Random random) {
        FormTypes.ALL.forEach(type -> chosen(type, random));
    }

    private static <F extends Form> void chosen(FormType<F> type, Random random) {
        F form = RandomValues.check(type.params(), random, IllegalArgumentException.class);
        assertThat(form.type()).isSameAs(type);
    }

    /** An arm that is to draw another figure keeps its reach, its hook and its width. */
    @Test
    void anotherFigureKeepsWhatTheyHaveInCommon() {
        TurnedArm wave = new TurnedArm(new TurnedArm.Wave(0.5, 2), 7, 0.3, 1.5);
        List<Form> figures = FormTypes.of(Kind.TURNED_ARM).stream()
                .<Form>map(type -> type.like(wave))
                .toList();
        assertThat(figures)
                .containsExactly(
                        wave,
                        new TurnedArm(new TurnedArm.Spiral(Math.toRadians(120)), 7, 0.3, 1.5),
                        new TurnedArm(new TurnedArm.Petal(1), 7, 0.3, 1.5));
        // What doesn't go together is left as it usually is: a serpentine is at most half its module high.
        assertThat(SerpentineStrip.TYPE.like(new ChevronStrip(1, 1, 3, 1))).isEqualTo(SerpentineStrip.TYPE.usual());
        assertThat(SerpentineStrip.TYPE.like(new ChevronStrip(3, 1, 3, 1.5)))
                .isEqualTo(new SerpentineStrip(3, 1, 2, 1.5));
    }
}
