package jollyspindle.files.shelf;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.JsonFormat;
import jollyspindle.files.json.UnknownFields;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;

/** The quilter's shelf, in {@code shelf.json} in the user's data folder. */
public final class ShelfFile {

    /** The file's name. */
    public static final String NAME = "shelf.json";

    private static final JsonFormat FORMAT = new JsonFormat("shelf", "jolly-spindle-shelf", 1, NAME);

    /**
     * A shelf as it was read.
     *
     * @param shelf itself
     * @param unknown what the file held that this version doesn't know
     */
    public record Opened(Shelf shelf, UnknownFields unknown) {}

    private ShelfFile() {}

    /**
     * Reads the shelf in a folder; where there is none yet, the starter shelf.
     *
     * @throws FileTrouble if there is one that can't be read, with a message that names the place
     */
    public static Opened read(Path folder) throws FileTrouble {
        Path file = folder.resolve(NAME);
        if (!Files.exists(file)) {
            return new Opened(Shelf.starter(), UnknownFields.none());
        }
        return FORMAT.read(file, ShelfFile::parse);
    }

    private static Opened parse(byte[] content) throws FileTrouble {
        return FORMAT.parse(content, (root, from) -> {}, (fields, unknown) -> {
            Machine machine = TemplateFields.machine(fields);
            Shelf shelf = new Shelf(machine, TemplateFields.read(fields));
            fields.done();
            unknown.anchor(root(shelf));
            return new Opened(shelf, unknown);
        });
    }

    private static ObjectNode root(Shelf shelf) {
        ObjectNode root = FORMAT.begin();
        TemplateFields.write(root, shelf.machine());
        TemplateFields.write(root, shelf.templates());
        return root;
    }

    private static byte[] format(Shelf shelf, UnknownFields unknown) {
        ObjectNode root = root(shelf);
        unknown.restore(root, Set.of());
        return JsonFormat.bytes(root);
    }

    private static byte[] again(byte[] content) throws FileTrouble {
        Opened opened = parse(content);
        return format(opened.shelf(), opened.unknown());
    }

    /**
     * Checks that a shelf's file could be opened again, and would be the same shelf.
     *
     * @throws FileTrouble if not, with a message that names the place
     */
    public static void check(Shelf shelf) throws FileTrouble {
        FORMAT.check(format(shelf, UnknownFields.none()), ShelfFile::again);
    }

    /**
     * Writes the shelf into a folder, which is made if it isn't there, and keeps the last few versions.
     *
     * @throws FileTrouble if it can't be written; what was there before still is
     */
    public static void write(Path folder, Shelf shelf, UnknownFields unknown) throws FileTrouble {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw new FileTrouble(FileTexts.say("file.no-folder", "folder", folder.toString()), e);
        }
        FORMAT.write(folder.resolve(NAME), format(shelf, unknown), ShelfFile::again);
    }
}
