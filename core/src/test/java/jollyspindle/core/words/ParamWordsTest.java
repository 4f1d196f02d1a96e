package jollyspindle.core.words;

import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.motif.CornerTypes;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.param.Param;
import jollyspindle.core.shelf.form.FormTypes;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;

import static org.assertj.core.api.Assertions.assertThat;

/** Each param of each kind is called something, and no text is left over. */
class ParamWordsTest {

    private final Set<String> used = new TreeSet<>();

    @Test
    void eachParamAndValueIsCalledSomething() {
        MotifTypes.ALL.forEach(type -> {
            used.addAll(List.of("run." + type.code(), "run." + type.code() + ".name"));
            named("run." + type.code(), type.params().all(), true);
        });
        AreaMotifTypes.ALL.forEach(type -> {
            used.addAll(List.of("area." + type.code(), "area." + type.code() + ".name"));
            named("area." + type.code(), type.params().all(), true);
        });
        CornerTypes.ALL.forEach(type -> {
            used.add("corner." + type.code());
            named("corner." + type.code(), type.chosen(), true);
        });
        SchoolTypes.ALL.forEach(type -> {
            String school = "school." + type.code();
            used.addAll(List.of(school, school + ".name", school + ".does"));
            named(school, type.params().all(), false);
        });
        FormTypes.ALL.forEach(type -> {
            String kind = "form." + type.code();
            // The fields of a template say by themselves what may be typed.
            named(kind, type.params().all(), false);
            used.add("form." + Codes.of(type.kind()));
            if (type.figure().isPresent()) {
                used.addAll(List.of("form." + Codes.of(type.kind()) + ".figure", kind));
            }
        });
        assertThat(ResourceBundle.getBundle("jollyspindle.core.words.kinds", Locale.ROOT).keySet().stream()
                        // Only where the name alone doesn't do.
                        .filter(key -> !key.contains("-preset.") && !key.endsWith(".called")))
                .containsExactlyInAnyOrderElementsOf(used);
    }

    private <M> void named(String kind, List<Param<M, ?>> params, boolean hints) {
        ParamWords words = new ParamWords(kind);
        for (Param<M, ?> param : params) {
            String key = kind + "." + param.code();
            used.add(key);
            assertThat(words.name(param)).as(key).isNotBlank();
            if (param instanceof Param.Choice<?, ?> choice) {
                values(key, words, choice);
            }
            if (hints
                    && (param instanceof Param.Angle
                            || param instanceof Param.MaybeOdd
                            || param instanceof Param.Lengths)) {
                used.add(key + ".hint");
                assertThat(words.hint(param)).as(key).isNotBlank();
            } else {
                assertThat(words.hint(param)).as(key).isEmpty();
            }
        }
    }

    private <E extends Enum<E>> void values(String key, ParamWords words, Param.Choice<?, E> choice) {
        assertThat(choice.values().stream().map(v -> words.name(choice, v)))
                .as(key)
                .allMatch(name -> !name.isBlank())
                .doesNotHaveDuplicates();
        for (E value : choice.values()) {
            used.add(key + "." + Codes.of(value));
        }
    }
}
