package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.JsonFormat;
import jollyspindle.files.json.UnknownFields;

import java.nio.file.Path;

/** Reads and writes job files. */
public final class JobFile {

    /** What a job file's name ends in. */
    public static final String SUFFIX = ".spindle.json";

    static final JsonFormat FORMAT = new JsonFormat("job", "jolly-spindle-job", 4, SUFFIX);

    /**
     * A job as it was opened.
     *
     * @param job itself
     * @param unknown what the file held that this version doesn't know
     */
    public record Opened(QuiltJob job, UnknownFields unknown) {}

    private JobFile() {}

    /**
     * Reads a job.
     *
     * @throws FileTrouble if it isn't a job this version can read, with a message that names the place
     */
    public static Opened read(Path file) throws FileTrouble {
        return FORMAT.read(file, JobUpgrade::apply, (fields, unknown) -> new Opened(JobReader.read(fields), unknown));
    }

    /**
     * Reads a job from a file's content.
     *
     * @throws FileTrouble if it isn't a job this version can read
     */
    public static Opened parse(byte[] content) throws FileTrouble {
        return FORMAT.parse(
                content, JobUpgrade::apply, (fields, unknown) -> new Opened(JobReader.read(fields), unknown));
    }

    /** A job as the bytes of a file. The same job always gives the same bytes. */
    public static byte[] format(QuiltJob job, UnknownFields unknown) {
        ObjectNode root = JobWriter.write(job);
        unknown.restore(root);
        return JsonFormat.bytes(root);
    }

    /**
     * Writes a job, whole or not at all, and keeps the last few versions.
     *
     * @throws FileTrouble if it can't be written; what was there before still is
     */
    public static void write(Path file, QuiltJob job, UnknownFields unknown) throws FileTrouble {
        JsonFormat.write(file, format(job, unknown));
    }
}
