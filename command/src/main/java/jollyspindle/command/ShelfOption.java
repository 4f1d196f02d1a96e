package jollyspindle.command;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.shelf.ShelfFile;
import jollyspindle.files.user.UserFolder;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;

import java.nio.file.Path;

/** The shelf a command looks at, and the foot it reckons with. */
final class ShelfOption {

    @Option(
            names = "--shelf",
            paramLabel = "FOLDER",
            description = "The folder with " + ShelfFile.NAME + "; your own if not said, and the starter shelf if there"
                    + " is none yet.")
    private Path folder;

    @Option(names = "--foot", description = "The foot's radius; the one measured on your shelf if not said.")
    private String foot;

    @Option(
            names = "--tape",
            defaultValue = "SIXTEENTHS",
            description = "${COMPLETION-CANDIDATES}; ${DEFAULT-VALUE} if not said.")
    private TapeScale tape;

    TapeScale tape() {
        return tape;
    }

    Path folder() {
        return folder == null ? UserFolder.here() : folder;
    }

    ShelfFile.Opened opened() throws FileTrouble {
        return ShelfFile.read(folder());
    }

    /** The shelf with the foot that was typed, if one was. */
    Shelf shelf(CommandSpec spec) throws FileTrouble {
        Shelf shelf = opened().shelf();
        if (foot == null) {
            return shelf;
        }
        double radius = Typed.length(spec, "--foot", foot, tape, Machine.LARGEST_FOOT_RADIUS);
        return shelf.withMachine(shelf.machine().withFootRadius(radius));
    }
}
