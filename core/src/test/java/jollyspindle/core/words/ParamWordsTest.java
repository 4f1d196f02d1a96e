package jollyspindle.core.words;

import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.motif.CornerTypes;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaType;
import jollyspindle.core.quilt.AreaTypes;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.FormTypes;
import jollyspindle.core.shelf.form.OutlineForm;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

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
            if (AreaMotif.Counted.class.isAssignableFrom(type.type())) {
                used.add("area." + type.code() + ".counted");
            }
        });
        AreaTypes.ALL.forEach(type -> {
            used.add("area-kind." + type.code());
            named("area-kind." + type.code(), type.params().all(), true);
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
        single();
        dragged();
        draggedSizes();
        draggedOnRuns();
        assertThat(ResourceBundle.getBundle("jollyspindle.core.words.kinds", Locale.ROOT).keySet().stream()
                        // Only where the name alone doesn't do.
                        .filter(key ->
                                !key.contains("-preset.") && !key.contains("arrangement.") && !key.endsWith(".called")))
                .containsExactlyInAnyOrderElementsOf(used);
    }

    /** Of what there is one kind only; what has no field in a form isn't called anything. */
    private void single() {
        named("wish", without(Wish.PARAMS, "repeat"), true);
        named("rules", without(Judging.PARAMS, "intoReserve", "placement", "unlike"), true);
        named("strip", Strip.PARAMS.all(), true);
        used.addAll(List.of("strip.start.right", "strip.start.up"));
        named("material", Material.PARAMS.all(), true);
        named("template", List.of(Template.GAP), true);
    }

    private static <M> List<Param<M, ?>> without(Params<M> params, String... codes) {
        return params.all().stream()
                .filter(param -> !List.of(codes).contains(param.code()))
                .toList();
    }

    /** What is dragged is called something there, too, and nothing else is. */
    private void dragged() {
        Stream<AreaMotif> offered = Stream.of(new Area.Blocks(2, 2, 9, 9, 0), new Area.Medallion(12), new Area.Body(0))
                .flatMap(area -> AreaPreset.of(area).stream())
                .map(AreaPreset::motif);
        // Some lengths needn't be there.
        Stream<AreaMotif> full = Stream.of(
                new AreaMotif.Wreath(8, OptionalDouble.of(3)), new AreaMotif.Rings(2, 1, 3, AreaMotif.Spokes.NONE));
        Stream.concat(offered, full).forEach(motif -> {
            AreaMotifType<?> type = AreaMotifTypes.of(motif);
            ParamWords words = new ParamWords("area." + type.code());
            type.knobs(motif, Point.ORIGIN, Box.of(Point.ORIGIN, new Point(9, 9)))
                    .forEach(knob -> {
                        used.add("area." + type.code() + "." + knob.param().code() + ".dragged");
                        assertThat(words.dragged(knob.param())).isNotBlank();
                    });
        });
    }

    /** So are the sizes of areas. */
    private void draggedSizes() {
        Area.Ellipse ellipse = new Area.Ellipse(Point.ORIGIN, 3, 2, 0);
        OutlineForm triangle = new OutlineForm(
                List.of(
                        new OutlineForm.Corner(0, 0, 0),
                        new OutlineForm.Corner(3, 0, 0),
                        new OutlineForm.Corner(0, 3, 0)),
                false);
        Stream.of(
                        new Area.Medallion(12),
                        new Area.Applique(ellipse, 0),
                        new Area.Applique(new Area.Drawn(triangle, Point.ORIGIN, 0), 0))
                .forEach(this::draggedSizes);
    }

    private <A extends Area> void draggedSizes(A area) {
        AreaType<A> type = AreaTypes.of(area);
        ParamWords words = new ParamWords("area-kind." + type.code());
        assertThat(type.sizes().apply(area)).isNotEmpty().allSatisfy(knob -> {
            used.add("area-kind." + type.code() + "." + knob.param().code() + ".dragged");
            assertThat(words.dragged(knob.param())).isNotBlank();
        });
    }

    /** What is dragged on runs shows at lines; that a plan has it is seen where the table is tested. */
    private void draggedOnRuns() {
        ResourceBundle.getBundle("jollyspindle.core.words.kinds", Locale.ROOT).keySet().stream()
                .filter(key -> key.startsWith("run.") && key.endsWith(".dragged"))
                .forEach(key -> {
                    String[] parts = key.split("\\.");
                    assertThat(MotifTypes.ALL.stream()
                                    .filter(type -> type.code().equals(parts[1]))
                                    .flatMap(type -> type.params().all().stream())
                                    .map(Param::code))
                            .as(key)
                            .contains(parts[2]);
                    used.add(key);
                });
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
                            || param instanceof Param.MaybeWhole<?> whole && whole.odd()
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
