package jollyspindle.files.recipe;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.Wish;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.Recipe;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.DesignReader;
import jollyspindle.files.job.DesignWriter;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.JsonFormat;
import jollyspindle.files.shelf.TemplateFields;

import java.nio.file.Path;

/** A quilter's own design in a file: {@code NAME.recipe.json}, described in {@code docs/recipe.schema.json}. */
public final class RecipeFile {

    /** What such a file's name ends in. */
    public static final String SUFFIX = ".recipe.json";

    private static final JsonFormat FORMAT = new JsonFormat("recipe", "jolly-spindle-recipe", 1, SUFFIX);

    private RecipeFile() {}

    /**
     * Reads a recipe.
     *
     * @throws FileTrouble if it isn't one this version can read, with a message that names the place
     */
    public static Recipe read(Path file) throws FileTrouble {
        return FORMAT.read(file, (root, from) -> {}, (fields, unknown) -> recipe(fields));
    }

    private static Recipe recipe(Fields fields) throws FileTrouble {
        String name = fields.text("name");
        if (name.isBlank() || name.length() > QuiltJob.LONGEST_NAME) {
            throw fields.trouble("name", FileTexts.say("recipe.name", "most", QuiltJob.LONGEST_NAME));
        }
        return new Recipe(
                name,
                DesignReader.read(fields),
                fields.number("repeat", Wish.SHORTEST_REPEAT, Wish.LONGEST_REPEAT),
                TemplateFields.read(fields));
    }

    /** The file's bytes for a recipe. */
    public static byte[] format(Recipe recipe) {
        ObjectNode root = FORMAT.begin();
        root.put("name", recipe.name());
        root.put("repeat", recipe.repeat());
        DesignWriter.write(root, recipe.design());
        TemplateFields.write(root, recipe.templates());
        return JsonFormat.bytes(root);
    }

    /**
     * Writes a recipe, whole or not at all.
     *
     * @throws FileTrouble if that can't be done
     */
    public static void write(Path file, Recipe recipe) throws FileTrouble {
        FORMAT.write(
                file,
                format(recipe),
                content -> format(FORMAT.parse(content, (root, from) -> {}, (fields, unknown) -> recipe(fields))));
    }
}
