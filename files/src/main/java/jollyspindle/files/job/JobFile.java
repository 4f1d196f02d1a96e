package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.files.FileStamp;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.JsonFormat;
import jollyspindle.files.json.UnknownFields;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

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
     * @param stamp of the file as it was read
     * @param told what in it makes no sense here and is as usual instead
     */
    public record Opened(QuiltJob job, UnknownFields unknown, FileStamp stamp, List<String> told) {}

    /** What isn't written while all in it is as usual. */
    private static final Set<String> MAY_BE_LEFT_OUT =
            Set.of("judging", "look", "plannedAt", "sides", "corner", "corners", "innerSeam");

    private JobFile() {}

    /**
     * Reads a job.
     *
     * @throws FileTrouble if it isn't a job this version can read, with a message that names the place
     */
    public static Opened read(Path file) throws FileTrouble {
        return FORMAT.read(file, JobFile::parse);
    }

    /**
     * Reads a job from a file's content.
     *
     * @throws FileTrouble if it isn't a job this version can read
     */
    public static Opened parse(byte[] content) throws FileTrouble {
        return FORMAT.parse(content, JobUpgrade::apply, (fields, unknown) -> {
            List<String> told = new ArrayList<>();
            QuiltJob job = JobReader.read(fields, told);
            unknown.anchor(JobWriter.write(job));
            return new Opened(job, unknown, FileStamp.of(content), List.copyOf(told));
        });
    }

    /** A job as the bytes of a file. The same job always gives the same bytes. */
    public static byte[] format(QuiltJob job, UnknownFields unknown) {
        ObjectNode root = JobWriter.write(job);
        unknown.restore(root, MAY_BE_LEFT_OUT);
        return JsonFormat.bytes(root);
    }

    private static byte[] again(byte[] content) throws FileTrouble {
        Opened opened = parse(content);
        return format(opened.job(), opened.unknown());
    }

    /**
     * Checks that a job's file could be opened again, and would be the same job.
     *
     * @throws FileTrouble if not, with a message that names the place
     */
    public static void check(QuiltJob job) throws FileTrouble {
        FORMAT.check(format(job, UnknownFields.none()), JobFile::again);
    }

    /**
     * Writes a job, whole or not at all, and keeps the last few versions.
     *
     * @return the file's stamp
     * @throws FileTrouble if it can't be written; what was there before still is
     */
    public static FileStamp write(Path file, QuiltJob job, UnknownFields unknown) throws FileTrouble {
        byte[] content = format(job, unknown);
        FORMAT.write(file, content, JobFile::again);
        return FileStamp.of(content);
    }
}
