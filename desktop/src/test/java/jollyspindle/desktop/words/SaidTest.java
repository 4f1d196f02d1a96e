package jollyspindle.desktop.words;

import com.ibm.icu.text.MessagePattern;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** What the window, the commands and the readers of files say: each sentence is asked for, with what it puts in and nothing else, and none is missing. */
class SaidTest {

    private static Map<String, String> sentences(Path file) throws IOException {
        Properties all = new Properties();
        try (Reader in = Files.newBufferedReader(file)) {
            all.load(in);
        }
        Map<String, String> sentences = new TreeMap<>();
        all.forEach((key, sentence) -> sentences.put((String) key, (String) sentence));
        return sentences;
    }

    /** What a sentence puts in. */
    private static Set<String> namesIn(String sentence) {
        MessagePattern pattern = new MessagePattern(sentence);
        Set<String> names = new TreeSet<>();
        IntStream.range(0, pattern.countParts())
                .mapToObj(pattern::getPart)
                .filter(part -> part.getType() == MessagePattern.Part.Type.ARG_NAME)
                .map(part -> pattern.getSubstring(part).split("_")[0])
                .filter(name -> !name.equals("manual"))
                .forEach(names::add);
        return names;
    }

    /** The arguments of a call that begins in code, as they are written. */
    private static List<String> arguments(String code, int from) {
        List<String> all = new ArrayList<>();
        StringBuilder one = new StringBuilder();
        int deep = 0;
        boolean text = false;
        for (int i = from; ; i++) {
            char c = code.charAt(i);
            if (text || c == '"') {
                one.append(c);
                if (c == '\\') {
                    one.append(code.charAt(++i));
                } else if (c == '"') {
                    text = !text;
                }
                continue;
            }
            if (deep == 0 && (c == ',' || c == ')')) {
                all.add(one.toString().strip());
                one.setLength(0);
                if (c == ')') {
                    return all;
                }
                continue;
            }
            deep += "([{".indexOf(c) >= 0 ? 1 : ")]}".indexOf(c) >= 0 ? -1 : 0;
            one.append(c);
        }
    }

    private static List<List<String>> asked(Path code, String asks) throws IOException {
        List<List<String>> asked = new ArrayList<>();
        try (Stream<Path> files = Files.walk(code)) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                String text = Files.readString(file);
                for (int at = text.indexOf(asks); at >= 0; at = text.indexOf(asks, at + 1)) {
                    List<String> arguments = arguments(text, at + asks.length());
                    // Who says lengths puts the words first.
                    asked.add(arguments.subList(arguments.get(0).startsWith("\"") ? 0 : 1, arguments.size()));
                }
            }
        }
        return asked;
    }

    private static String unquoted(String literal) {
        return literal.substring(1, literal.length() - 1);
    }

    @TestFactory
    Stream<DynamicTest> eachSentenceIsAskedForWithWhatItPutsIn() {
        return Stream.of(
                        List.of("src/main", "jollyspindle/desktop", "words/window", "Said.say("),
                        List.of("../command/src/main", "jollyspindle/command", "command", "Said.say("),
                        List.of("../files/src/main", "jollyspindle/files", "files", "FileTexts.say("),
                        List.of("../core/src/main", "jollyspindle/core", "text/refusals", "Refusals.say("))
                .map(where -> DynamicTest.dynamicTest(where.get(2), () -> {
                    Map<String, String> sentences =
                            sentences(Path.of(where.get(0), "resources", where.get(1), where.get(2) + ".properties"));
                    Set<String> unasked = new TreeSet<>(sentences.keySet());
                    for (List<String> call : asked(Path.of(where.get(0), "java", where.get(1)), where.get(3))) {
                        String key = unquoted(call.get(0));
                        assertThat(sentences).containsKey(key);
                        assertThat(IntStream.range(1, call.size())
                                        .filter(i -> i % 2 == 1)
                                        .mapToObj(i -> unquoted(call.get(i))))
                                .as(key)
                                .containsExactlyInAnyOrderElementsOf(namesIn(sentences.get(key)));
                        unasked.remove(key);
                    }
                    assertThat(unasked).isEmpty();
                    assertThat(sentences).hasSizeGreaterThan(6);
                }));
    }
}
