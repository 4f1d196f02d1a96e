package jollyspindle.files.user;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

import static org.assertj.core.api.Assertions.assertThat;

class UserFilesTest {

    @Test
    void followsEachSystemsConvention() {
        Path home = Path.of("/home/q");
        assertThat(UserFolder.of("Linux", home, Map.of())).isEqualTo(home.resolve(".local/share/jolly-spindle"));
        assertThat(UserFolder.of("Linux", home, Map.of("XDG_DATA_HOME", "/data")))
                .isEqualTo(Path.of("/data/jolly-spindle"));
        assertThat(UserFolder.of("Mac OS X", home, Map.of()))
                .isEqualTo(home.resolve("Library/Application Support/Jolly Spindle"));
        assertThat(UserFolder.of("Windows 11", home, Map.of("APPDATA", "/roaming")))
                .isEqualTo(Path.of("/roaming/Jolly Spindle"));
    }

    @Test
    void remembersTheLatestJobsFirst(@TempDir Path folder) throws IOException {
        Settings settings = Settings.usual().withLook(true, 1.2);
        for (int i = 0; i < 12; i++) {
            settings = settings.withRecent(Path.of("/jobs/" + i % 10 + ".spindle.json"));
        }
        settings.write(folder.resolve("new"));
        Settings read = Settings.read(folder.resolve("new"));
        assertThat(read).isEqualTo(settings);
        assertThat(read.recent()).hasSize(Settings.MOST_RECENT).doesNotHaveDuplicates();
        assertThat(read.recent().get(0)).hasFileName("1.spindle.json");
        assertThat(read.dark()).isTrue();
    }

    @Test
    void whatCantBeReadIsForgotten(@TempDir Path folder) throws IOException {
        assertThat(Settings.read(folder)).isEqualTo(Settings.usual());
        for (String content : new String[] {"", "[", "[1]", "{\"typeScale\": 1e9, \"recent\": 3}", "\u0000"}) {
            Files.writeString(folder.resolve("settings.json"), content);
            assertThat(Settings.read(folder)).isEqualTo(Settings.usual());
        }
    }
}
