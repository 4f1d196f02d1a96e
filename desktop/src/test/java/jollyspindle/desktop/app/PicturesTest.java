package jollyspindle.desktop.app;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** The pictures a newcomer is shown. */
class PicturesTest {

    private static final Path PROJECT = Path.of("..");

    /** Each is kept, and the first page shows it. */
    @Test
    void thePicturesThatAreWrittenAreThoseOfTheMainViews() throws IOException {
        List<String> files = Pictures.names().stream().map(n -> n + ".png").toList();
        try (Stream<Path> kept = Files.list(PROJECT.resolve("docs/screenshots"))) {
            assertThat(kept.map(p -> p.getFileName().toString())).containsExactlyInAnyOrderElementsOf(files);
        }
        String readme = Files.readString(PROJECT.resolve("README.md"));
        assertThat(files).allSatisfy(file -> assertThat(readme).contains("(docs/screenshots/" + file + ")"));
    }
}
