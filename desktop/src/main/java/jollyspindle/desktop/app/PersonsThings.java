package jollyspindle.desktop.app;

import jollyspindle.core.shelf.Shelf;
import jollyspindle.files.FileStamp;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.shelf.ShelfFile;
import jollyspindle.files.user.Settings;

import java.nio.file.Path;
import java.util.Optional;

/**
 * What was read in a person's folder when the application started.
 *
 * @param shelf the shelf, unless there was trouble with it
 * @param stamp of the shelf's file, from just before it was read
 * @param trouble why the shelf couldn't be read
 */
record PersonsThings(
        Path folder,
        Settings settings,
        Optional<ShelfFile.Opened> shelf,
        Optional<FileStamp> stamp,
        Optional<FileTrouble> trouble) {

    /** Reads what is there; it isn't changed. */
    static PersonsThings read(Path folder) {
        Settings settings = Settings.read(folder);
        Optional<FileStamp> stamp = FileStamp.of(folder.resolve(ShelfFile.NAME));
        try {
            return new PersonsThings(folder, settings, Optional.of(ShelfFile.read(folder)), stamp, Optional.empty());
        } catch (FileTrouble e) {
            return new PersonsThings(folder, settings, Optional.empty(), stamp, Optional.of(e));
        }
    }

    /** The shelf to begin with. */
    Shelf begun() {
        return shelf.map(ShelfFile.Opened::shelf).orElseGet(Shelf::starter);
    }
}
