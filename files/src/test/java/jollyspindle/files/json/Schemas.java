package jollyspindle.files.json;

import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** The documented schemas, so that they and the files are held together. */
public final class Schemas {

    private Schemas() {}

    /** The schema in {@code docs/NAME.schema.json}. */
    public static JsonSchema of(String name) {
        return JsonSchemaFactory.getInstance(
                        SpecVersion.VersionFlag.V202012,
                        builder -> builder.schemaLoaders(
                                loaders -> loaders.schemas(Map.of("urn:jolly-spindle:template:1", text("template")))))
                .getSchema(text(name));
    }

    private static String text(String name) {
        try {
            return Files.readString(Path.of("../docs/" + name + ".schema.json"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
