package jollyspindle.core.words;

import com.ibm.icu.text.MessagePattern;
import jollyspindle.core.area.AreaArrangement;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.Arrangement;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifDiagnostic;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.TemplateDiagnostic;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** Each thing there is to tell has its sentence, and each sentence tells only what there is. */
class TextsTest {

    private static final ResourceBundle SENTENCES =
            ResourceBundle.getBundle("jollyspindle.core.words.told", Locale.ROOT);

    private static final ResourceBundle KINDS = ResourceBundle.getBundle("jollyspindle.core.words.kinds", Locale.ROOT);

    private static final Map<String, Class<?>> TOLD = Map.of(
            "layout", LayoutDiagnostic.class,
            "motif", MotifDiagnostic.class,
            "area", AreaDiagnostic.class,
            "template", TemplateDiagnostic.class,
            "finding", Finding.class,
            "remedy", Remedy.class);

    private static final Set<String> OF_LENGTHS =
            Set.of("length", "exact", "exactly", "difference", "degrees", "eighths", "whole", "sign", "tick", "chalk");
    private static final Set<Type> NUMBERS = Set.of(double.class, int.class, OptionalDouble.class, OptionalInt.class);

    private static final FindingWords SAID = new FindingWords(new Words(TapeScale.SIXTEENTHS));
    private static final RunId TOP = RunId.of(Side.TOP);

    private static Stream<Class<?>> kinds(Class<?> type) {
        return type.isSealed() ? Stream.of(type.getPermittedSubclasses()).flatMap(TextsTest::kinds) : Stream.of(type);
    }

    private static Map<String, Class<?>> byKey() {
        Map<String, Class<?>> all = new TreeMap<>();
        TOLD.forEach((about, type) -> kinds(type).forEach(kind -> all.put(about + "." + code(kind), kind)));
        return all;
    }

    private static String code(Class<?> kind) {
        return ResourceBundle.getBundle(Codes.class.getPackageName() + ".codes", Locale.ROOT)
                .getString(kind.getName().replace("jollyspindle.core.", "").replace('$', '.'));
    }

    @Test
    void eachHasItsSentence() {
        assertThat(SENTENCES.keySet()).containsExactlyInAnyOrderElementsOf(byKey().keySet());
    }

    /** Each motif has its name and its words, and what else there is belongs to one that galleries offer. */
    @Test
    void eachMotifIsCalledSomething() {
        Set<String> asked = new TreeSet<>();
        MotifTypes.ALL.forEach(type -> asked.addAll(List.of("run." + type.code(), "run." + type.code() + ".name")));
        AreaMotifTypes.ALL.forEach(
                type -> asked.addAll(List.of("area." + type.code(), "area." + type.code() + ".name")));
        assertThat(KINDS.keySet()).containsAll(asked);
        Set<String> offered = new TreeSet<>();
        Preset.all().forEach(preset -> offered.add("run-preset." + preset.code()));
        Stream.of(new Area.Blocks(2, 2, 9, 9, 0), new Area.Medallion(12), new Area.Body(0))
                .flatMap(area -> AreaPreset.of(area).stream())
                .forEach(preset -> offered.add("area-preset." + preset.code()));
        assertThat(offered)
                .containsAll(KINDS.keySet().stream()
                        .filter(key -> key.contains("-preset."))
                        .toList());
        assertThat(KINDS.keySet().stream().filter(key -> key.startsWith("area-arrangement.")))
                .containsExactlyInAnyOrderElementsOf(
                        Stream.of(new Area.Blocks(2, 2, 9, 9, 0), new Area.Medallion(12), new Area.Body(0))
                                .flatMap(area -> AreaArrangement.of(area).stream())
                                .map(whole -> "area-arrangement." + whole.code())
                                .distinct()
                                .toList());
        assertThat(KINDS.keySet().stream().filter(key -> key.startsWith("arrangement.")))
                .containsExactlyInAnyOrderElementsOf(Arrangement.all().stream()
                        .map(whole -> "arrangement." + whole.code())
                        .toList());
    }

    @TestFactory
    Stream<DynamicTest> sentencesTellWhatThereIs() {
        Map<String, Class<?>> kinds = new TreeMap<>();
        MotifTypes.ALL.forEach(type -> kinds.put("run." + type.code(), type.type()));
        AreaMotifTypes.ALL.forEach(type -> {
            kinds.put("area." + type.code(), type.type());
            if (KINDS.containsKey("area." + type.code() + ".called")) {
                kinds.put("area." + type.code() + ".called", type.type());
            }
        });
        SchoolTypes.ALL.forEach(type -> kinds.put("school." + type.code(), type.type()));
        return Stream.concat(tests(SENTENCES, byKey()), tests(KINDS, kinds));
    }

    private static Stream<DynamicTest> tests(ResourceBundle bundle, Map<String, Class<?>> told) {
        return told.entrySet().stream()
                .map(one -> DynamicTest.dynamicTest(one.getKey(), () -> {
                    MessagePattern pattern = new MessagePattern(bundle.getString(one.getKey()));
                    for (String name : names(pattern)) {
                        if (!name.equals("manual")) {
                            assertThat(type(one.getValue(), name)).as(name).isNotNull();
                        }
                    }
                }));
    }

    private static List<String> names(MessagePattern pattern) {
        List<String> names = new ArrayList<>();
        for (int i = 0; i < pattern.countParts(); i++) {
            if (pattern.getPart(i).getType() == MessagePattern.Part.Type.ARG_NAME) {
                names.add(pattern.getSubstring(pattern.getPart(i)));
            }
        }
        return names;
    }

    /** What a name comes to: words, a number that stands as it is, or one of several to choose by. */
    private static Type type(Class<?> kind, String name) throws NoSuchMethodException {
        String[] tokens = name.split("_");
        Type type = property(kind, tokens[0]);
        for (int i = 1; i < tokens.length; i++) {
            type = said(type, tokens[i], name);
        }
        assertThat(type == String.class
                        || type == int.class
                        || type == char.class
                        || type == boolean.class
                        || type instanceof Class<?> c && c.isEnum())
                .as("%s of %s is said as it is", name, kind)
                .isTrue();
        return type;
    }

    private static Type said(Type type, String how, String name) throws NoSuchMethodException {
        if (OF_LENGTHS.contains(how)) {
            assertThat(NUMBERS).as(name).contains(type);
            return String.class;
        }
        return switch (how) {
            case "grouped", "turns" -> {
                assertThat(type).as(name).isEqualTo(int.class);
                yield String.class;
            }
            case "count" -> {
                assertThat(type).as(name).isIn(int.class, OptionalInt.class);
                yield String.class;
            }
            case "abs" -> {
                assertThat(NUMBERS).as(name).contains(type);
                yield Double.TYPE;
            }
            case "there" -> {
                assertThat(type == OptionalDouble.class || type == OptionalInt.class || raw(type) == Optional.class)
                        .as(name)
                        .isTrue();
                yield Boolean.TYPE;
            }
            case "name", "text" -> {
                assertThat(type).as(name).isNotIn(NUMBERS);
                yield String.class;
            }
            case "capital", "decapital" -> {
                assertThat(type).as(name).isEqualTo(String.class);
                yield String.class;
            }
            default -> property(raw(type), how);
        };
    }

    private static Class<?> raw(Type type) {
        return type instanceof ParameterizedType of ? (Class<?>) of.getRawType() : (Class<?>) type;
    }

    private static Type property(Class<?> of, String name) throws NoSuchMethodException {
        Method method = of.getMethod(name);
        return method.getGenericReturnType();
    }

    /** Sentences that choose among several, each way. */
    @Test
    void whatIsSaidDependsOnTheNumbers() {
        assertThat(said(new Finding.IntoReserve(TOP, 0.75, 0.5, true, Optional.empty())))
                .isEqualTo("Crowns would run 1/4 off the quilt's edge.");
        assertThat(said(new Finding.IntoReserve(TOP, 0.25, 0.5, true, Optional.empty())))
                .isEqualTo("Crowns stand 1/4 into the reserve: the binding may cover them.");
        assertThat(said(new Finding.IntoReserve(TOP, 0.75, 0.5, false, Optional.empty())))
                .isEqualTo("Crowns stand 3/4 over the seam beyond.");
        assertThat(said(new Finding.CountsDiffer(TOP, 1, 12, Optional.empty())))
                .startsWith("1 repeat here, 12 on the opposite side.");
        assertThat(said(new Finding.StretchSeen(TOP, 0.25, 0.125, true, Optional.empty())))
                .isEqualTo("Repeats of this run differ by 1/4. More than 1/8 is seen.");
        assertThat(said(new Finding.SpaceEmpty(TOP, 3, Figure.Why.DONT_MEET, Optional.empty())))
                .isEqualTo(
                        "A space of 3 in the middle stays open: two half arcs come down to the seam before they meet.");
        assertThat(said(new Finding.SpaceEmpty(TOP, 3, Figure.Why.TOO_WIDE, Optional.empty())))
                .isEqualTo("A space of 3 is left plain.");
        assertThat(said(new Finding.RepeatTooWide(TOP, 9, 8.5, Optional.empty())))
                .isEqualTo("A repeat of 9 is wider than this template can span, which is 8 1/2.");
        assertThat(said(new Finding.OddAtCorner(TOP, 3, 6, Optional.empty())))
                .startsWith("At the corner stands a repeat of 3 beside others of 6.");
        assertThat(said(new Finding.CornersGiveWay(TOP, CornerAsk.HALVES, 12, Optional.empty())))
                .endsWith("has 12 figures without halves at its ends. What else is wished for leaves no such way.");
        assertThat(said(new Finding.CornersGiveWay(
                        TOP, CornerAsk.EVEN, 1, Optional.of(new Remedy.FollowBest(GroupId.border(1))))))
                .endsWith("has 1 figure.");
        assertThat(said(trouble('B', true)))
                .isEqualTo("Letter B: 2 arms end short of the edge: an arm reaches 4, and 5 is"
                        + " the farthest. Take a longer arm, or leave those corners.");
        assertThat(said(trouble(AreaDesign.PLAIN, true))).startsWith("Left plain: 2 arms");
        assertThat(said(trouble('A', false))).startsWith("2 arms end");
        assertThat(said(new Finding.MotifTrouble(
                        TOP, 1, new Motif.Fans(3, 1), new LayoutDiagnostic.TooFine(200_000), Optional.empty())))
                .startsWith("Fans: that is too fine to plan: it would take more than 200,000 placements.");
    }

    private static Finding trouble(char letter, boolean lettered) {
        return new Finding.AreaTrouble(
                new AreaId(1), letter, lettered, 1, new AreaDiagnostic.ReachShort(4, 5, 2), Optional.empty());
    }

    private static String said(Finding finding) {
        return SAID.text(finding);
    }
}
