package jollyspindle.files.user;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;

/** Where each system keeps what applications store for a person. */
public final class UserFolder {

    private static final String NAME = "Jolly Spindle";

    private UserFolder() {}

    /**
     * The folder for this application; it need not be there yet.
     *
     * @param system the operating system's name, as in {@code os.name}
     * @param home the person's home folder
     * @param environment variables
     */
    public static Path of(String system, Path home, Map<String, String> environment) {
        String os = system.toLowerCase(Locale.ROOT);
        if (os.contains("win")) {
            String roaming = environment.get("APPDATA");
            return (roaming == null ? home.resolve("AppData/Roaming") : Path.of(roaming)).resolve(NAME);
        }
        if (os.contains("mac")) {
            return home.resolve("Library/Application Support").resolve(NAME);
        }
        String data = environment.get("XDG_DATA_HOME");
        return (data == null || data.isBlank() ? home.resolve(".local/share") : Path.of(data)).resolve("jolly-spindle");
    }

    /** The folder on this machine, for this person. */
    public static Path here() {
        return of(System.getProperty("os.name"), Path.of(System.getProperty("user.home")), System.getenv());
    }
}
