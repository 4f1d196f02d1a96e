package jollyspindle.core.param;

import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.quilt.AreaTypes;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.ClothCheck;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.FormTypes;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

/**
 * What lies outside its range in a table can't be made either, whoever makes it, and what lies on its ends can: there is no
 * second range anywhere.
 */
class RangesTest {

    /** Beyond an end, as a part of it or at least so much. */
    private static final double BEYOND = 1e-6;

    static Map<String, Params<?>> all() {
        Map<String, Params<?>> all = new LinkedHashMap<>();
        MotifTypes.ALL.forEach(type -> all.put("run " + type.code(), type.params()));
        AreaMotifTypes.ALL.forEach(type -> all.put("area " + type.code(), type.params()));
        AreaTypes.ALL.forEach(type -> all.put(type.code(), type.params()));
        SchoolTypes.ALL.forEach(type -> all.put("school " + type.code(), type.params()));
        FormTypes.ALL.forEach(type -> all.put("form " + type.code(), type.params()));
        FootMeasurement.types().forEach(type -> all.put("foot " + type.code(), type.params()));
        all.put("corner", CornerDesign.PARAMS);
        all.put("wish", Wish.PARAMS);
        all.put("judging", Judging.PARAMS);
        all.put("strip", Strip.PARAMS);
        all.put("border", Border.PARAMS);
        all.put("material", Material.PARAMS);
        all.put("machine", Machine.PARAMS);
        all.put("check", ClothCheck.PARAMS);
        return all;
    }

    @TestFactory
    Stream<DynamicTest> nothingBeyondItsRangeIsMade() {
        return all().entrySet().stream()
                .map(kind -> DynamicTest.dynamicTest(kind.getKey(), () -> beyond(kind.getValue())));
    }

    @Test
    void eachThingThatIsRefusedIsCalledSomethingAndNoneIsLeftOver() throws IOException {
        Set<String> asked = new TreeSet<>();
        Pattern named = Pattern.compile("(?:Guards\\.\\w+|Form\\.size|upTo|size)\\((?:\\w+, )?\\s*\"(\\w+)\"");
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                named.matcher(Files.readString(file)).results().forEach(found -> asked.add(found.group(1)));
            }
        }
        for (Params<?> params : List.of(
                Wish.PARAMS,
                Judging.PARAMS,
                Strip.PARAMS,
                Border.PARAMS,
                Material.PARAMS,
                Machine.PARAMS,
                Template.PARAMS,
                ClothCheck.PARAMS)) {
            refusing(params).forEach(asked::add);
        }
        FootMeasurement.types().forEach(type -> refusing(type.params()).forEach(asked::add));
        assertThat(ResourceBundle.getBundle("jollyspindle.core.text.things", Locale.ROOT)
                        .keySet())
                .containsExactlyInAnyOrderElementsOf(asked);
    }

    private static <M> Stream<String> refusing(Params<M> params) {
        return params.all().stream()
                .filter(param -> param instanceof Param.Ranged || param instanceof Param.Text)
                .map(Param::code);
    }

    private static <M> void beyond(Params<M> params) {
        M thing = RandomValues.thing(params, new Random(1), IllegalArgumentException.class);
        for (Param<M, ?> param : params.all()) {
            if (param instanceof Param.Ranged<M, ?> ranged) {
                for (double end :
                        List.of(ranged.least() - beyond(ranged.least()), ranged.most() + beyond(ranged.most()))) {
                    refused(params, thing, ranged, end);
                }
                refused(params, thing, ranged, Double.NaN);
            }
        }
    }

    private static double beyond(double end) {
        return Math.max(BEYOND, Math.abs(end) * BEYOND);
    }

    private static <M> void refused(Params<M> params, M thing, Param.Ranged<M, ?> param, double number) {
        Values<M> values = params.values(thing);
        boolean whole = param instanceof Param.Whole || param instanceof Param.MaybeWhole;
        if (whole && Double.isNaN(number)) {
            return;
        }
        put(values, param, number);
        assertThatThrownBy(() -> params.make().apply(values))
                .as("%s of %s, %s to %s", param.code(), number, param.least(), param.most())
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageMatching("[a-z0-9“].*[^.]");
    }

    @SuppressWarnings("unchecked") // The value is of the param's kind.
    private static <M> void put(Values<M> values, Param.Ranged<M, ?> param, double number) {
        values.put((Param<M, Object>) (Param<M, ?>) param, value(param, number));
    }

    private static Object value(Param.Ranged<?, ?> param, double number) {
        // Beyond the end of whole numbers is the next whole one.
        int next = (int) (number < param.least() ? Math.floor(number) : Math.ceil(number));
        if (param instanceof Param.MaybeLength) {
            return OptionalDouble.of(number);
        } else if (param instanceof Param.Angle) {
            return Math.toRadians(number);
        } else if (param instanceof Param.Whole) {
            return next;
        } else if (param instanceof Param.MaybeWhole) {
            return OptionalInt.of(next);
        }
        return param instanceof Param.Lengths ? List.of(number) : (Object) number;
    }
}
