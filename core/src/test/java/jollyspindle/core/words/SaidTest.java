package jollyspindle.core.words;

import com.ibm.icu.text.MessagePattern;
import jollyspindle.core.code.Codes;
import jollyspindle.core.shelf.form.Kind;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** What is said of things has its sentences: all constants, all kinds, and none that nobody asks for. */
class SaidTest {

    private static final ResourceBundle SAID = ResourceBundle.getBundle("jollyspindle.core.words.said", Locale.ROOT);

    /** Asked for by a name that is put together: this, then a constant's lasting name or a number. */
    private static final Set<String> PUT_TOGETHER = Set.of(
            "chalk-line",
            "start-corner",
            "side-of",
            "square.sides",
            "dimension",
            "made-by",
            "made-after",
            "count",
            "to-measure",
            "lying.facing",
            "block-fit",
            "caution",
            "marked");

    private static Optional<Class<?>> type(String name) {
        String nested = name;
        while (true) {
            try {
                return Optional.of(Class.forName("jollyspindle.core." + nested));
            } catch (ClassNotFoundException e) {
                int dot = nested.lastIndexOf('.');
                if (dot < 0) {
                    return Optional.empty();
                }
                nested = nested.substring(0, dot) + '$' + nested.substring(dot + 1);
            }
        }
    }

    private static String about(String key) {
        return key.substring(0, Math.max(0, key.lastIndexOf('.')));
    }

    @TestFactory
    Stream<DynamicTest> allConstantsOfATypeAreSaid() {
        Map<String, Set<String>> said = SAID.keySet().stream()
                .filter(key -> type(about(key)).filter(Class::isEnum).isPresent())
                .collect(Collectors.groupingBy(
                        SaidTest::about,
                        TreeMap::new,
                        Collectors.mapping(
                                key -> key.substring(key.lastIndexOf('.') + 1),
                                Collectors.toCollection(TreeSet::new))));
        assertThat(said).hasSizeGreaterThan(20);
        return said.entrySet().stream()
                .map(one -> DynamicTest.dynamicTest(one.getKey(), () -> {
                    @SuppressWarnings("unchecked")
                    Class<? extends Enum<?>> type =
                            (Class<? extends Enum<?>>) type(one.getKey()).orElseThrow();
                    assertThat(one.getValue()).containsExactlyInAnyOrderElementsOf(Codes.all(type));
                }));
    }

    @TestFactory
    Stream<DynamicTest> allKindsOfATypeAreSaid() {
        Set<Class<?>> sealed = SAID.keySet().stream()
                .flatMap(key -> type(about(key)).stream())
                .filter(Class::isSealed)
                .collect(Collectors.toCollection(() -> new TreeSet<>(Comparator.comparing(Class::getName))));
        assertThat(sealed).hasSizeGreaterThan(9);
        return sealed.stream()
                .map(type -> DynamicTest.dynamicTest(type.getName(), () -> assertThat(
                                Arrays.stream(type.getPermittedSubclasses()).map(Codes::path))
                        .allMatch(SAID::containsKey)));
    }

    @Test
    void whatIsPrintedIsSaidOfAllKindsOfTemplates() {
        assertThat(Kind.values()).allMatch(kind -> SAID.containsKey("marked." + kind.code()));
    }

    /** A sentence put together of what the code says, or of nothing it says, would never be seen. */
    @Test
    void nothingIsSaidThatNobodyAsksFor() throws IOException {
        String code;
        try (Stream<Path> files = Files.walk(Path.of("src/main/java/jollyspindle/core/words"))) {
            code = files.filter(Files::isRegularFile).map(SaidTest::read).collect(Collectors.joining());
        }
        assertThat(SAID.keySet())
                .allMatch(key -> type(key).isPresent()
                        || type(about(key)).isPresent()
                        || PUT_TOGETHER.contains(about(key))
                        || code.contains('"' + key + '"'));
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Records that are told by themselves name what they have. */
    @TestFactory
    Stream<DynamicTest> sentencesOfRecordsTellWhatTheyHave() {
        Set<String> withOthers = Set.of("quilt.QuiltRules.Refusal", "placement.Registration", "division.Figure");
        return SAID.keySet().stream()
                .sorted()
                .filter(key -> type(key).filter(Class::isRecord).isPresent() && !withOthers.contains(about(key)))
                .map(key -> DynamicTest.dynamicTest(key, () -> {
                    Class<?> type = type(key).orElseThrow();
                    assertThat(names(key))
                            .allMatch(name -> name.equals("self")
                                    || Arrays.stream(type.getMethods())
                                            .anyMatch(m -> m.getParameterCount() == 0
                                                    && m.getName().equals(name)));
                }));
    }

    private static List<String> names(String key) {
        MessagePattern pattern = new MessagePattern(SAID.getString(key));
        return IntStream.range(0, pattern.countParts())
                .mapToObj(pattern::getPart)
                .filter(part -> part.getType() == MessagePattern.Part.Type.ARG_NAME)
                .map(part -> pattern.getSubstring(part).split("_")[0])
                .toList();
    }
}
