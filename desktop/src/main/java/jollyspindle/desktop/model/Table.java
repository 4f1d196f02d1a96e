package jollyspindle.desktop.model;

import jollyspindle.core.plan.QuiltJob;
import jollyspindle.files.FileStamp;
import jollyspindle.files.json.UnknownFields;

import java.nio.file.Path;
import java.util.Optional;

/**
 * All that belongs together on the table. Whatever replaces it, a job that is opened above all, replaces all of it or nothing.
 *
 * @param desk what the quilter changes
 * @param file of the job, if it has one
 * @param stamp of the file as it was last read or written here
 * @param unknown what the file held that this version doesn't know
 * @param saved the job as it stands in the file, or was begun; nothing if it isn't saved anywhere
 * @param history of the desk
 */
record Table(
        UndoState desk,
        Optional<Path> file,
        Optional<FileStamp> stamp,
        UnknownFields unknown,
        Optional<QuiltJob> saved,
        History history) {

    /** A job that is begun. */
    static Table begun(UndoState desk) {
        return new Table(
                desk, Optional.empty(), Optional.empty(), UnknownFields.none(), Optional.of(desk.job()), History.NONE);
    }

    boolean isSaved() {
        return saved.filter(desk.job()::equals).isPresent();
    }

    Table with(UndoState other) {
        return new Table(other, file, stamp, unknown, saved, history);
    }

    /** With another desk, which is a step in the history. */
    Table did(String name, UndoState after) {
        return with(after, history.did(name, desk));
    }

    Table with(UndoState other, History otherHistory) {
        return new Table(other, file, stamp, unknown, saved, otherHistory);
    }

    /** After the job was written to a file. */
    Table savedTo(Path path, FileStamp written) {
        return new Table(desk, Optional.of(path), Optional.of(written), unknown, Optional.of(desk.job()), history);
    }

    /** After the step back that there is. */
    Optional<Table> undone() {
        return history.back().map(before -> with(before, history.undone(desk)));
    }

    /** After the step forward that there is. */
    Optional<Table> redone() {
        return history.forward().map(after -> with(after, history.redone(desk)));
    }
}
