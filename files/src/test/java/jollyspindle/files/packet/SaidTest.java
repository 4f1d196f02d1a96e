package jollyspindle.files.packet;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** What the packet's code asks for is there, and nothing else is. */
class SaidTest {

    private static final Pattern ASKED =
            Pattern.compile("(?:\\bsay\\(|\\bsides\\(|\\? |: )\\s*(?:words,\\s*)?\"([a-z.-]+)\"");

    @Test
    void allIsAskedForAndAllIsThere() throws IOException {
        String code;
        try (Stream<Path> files = Files.walk(Path.of("src/main/java/jollyspindle/files/packet"))) {
            code = files.filter(Files::isRegularFile).map(SaidTest::read).collect(Collectors.joining());
        }
        ResourceBundle said = ResourceBundle.getBundle("jollyspindle.files.packet.packet", Locale.ROOT);
        assertThat(said.keySet()).isNotEmpty().allMatch(key -> code.contains('"' + key + '"'));
        Set<String> asked = new TreeSet<>();
        for (Matcher at = ASKED.matcher(code); at.find(); ) {
            asked.add(at.group(1));
        }
        asked.removeAll(Set.of("seam", "centre", "none"));
        assertThat(asked).hasSameSizeAs(said.keySet()).allMatch(said::containsKey);
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
