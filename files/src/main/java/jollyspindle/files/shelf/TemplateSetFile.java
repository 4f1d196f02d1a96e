package jollyspindle.files.shelf;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.Template;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.JsonFormat;

import java.nio.file.Path;
import java.util.List;

/** One template or a set of them in a file, to hand on. */
public final class TemplateSetFile {

    /** What such a file's name ends in. */
    public static final String SUFFIX = ".templates.json";

    private static final JsonFormat FORMAT = new JsonFormat("set of templates", "jolly-spindle-templates", 1, SUFFIX);

    private TemplateSetFile() {}

    /**
     * Reads the templates in a file.
     *
     * @throws FileTrouble if it isn't a set this version can read, with a message that names the place
     */
    public static List<Template> read(Path file) throws FileTrouble {
        return FORMAT.read(file, (root, from) -> {}, (fields, unknown) -> TemplateFields.read(fields));
    }

    /** The file's bytes for templates. */
    public static byte[] format(List<Template> templates) {
        ObjectNode root = FORMAT.begin();
        TemplateFields.write(root, templates);
        return JsonFormat.bytes(root);
    }

    /**
     * Writes templates, whole or not at all.
     *
     * @throws FileTrouble if that can't be done
     */
    public static void write(Path file, List<Template> templates) throws FileTrouble {
        FORMAT.write(
                file,
                format(templates),
                content -> format(
                        FORMAT.parse(content, (root, from) -> {}, (fields, unknown) -> TemplateFields.read(fields))));
    }
}
