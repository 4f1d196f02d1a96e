package jollyspindle.desktop.app;

import jollyspindle.desktop.words.Said;
import jollyspindle.files.FileNames;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** The few questions the window asks. Another answerer can stand in for the person. */
public interface Dialogs {

    /** What to do with changes that aren't saved. */
    enum Unsaved {
        SAVE,
        DISCARD,
        CANCEL
    }

    Unsaved unsaved(String jobName);

    /** What to do with a file that somebody else has changed since it was opened here. */
    enum Changed {
        REPLACE,
        SAVE_ELSEWHERE,
        CANCEL
    }

    Changed changedElsewhere(String fileName);

    /** Whether a file may be replaced that isn't the one whose name was typed. */
    boolean mayReplace(String fileName);

    /** Which file of a kind to read. */
    Optional<Path> toOpen(String title, String kind, String suffix);

    /** Where to write a file of a kind. */
    Optional<Path> toWrite(String title, String suggestedName, String kind, String suffix);

    /**
     * Where to write: with its ending, and not over a file that wasn't named.
     *
     * @param name suggested, without the ending
     */
    default Optional<Path> whereTo(String title, String name, String kind, String suffix) {
        Optional<Path> chosen = toWrite(title, name + suffix, kind, suffix);
        Optional<Path> ended = chosen.map(path -> FileNames.ending(path, suffix));
        boolean unasked = !ended.equals(chosen) && ended.filter(Files::exists).isPresent();
        return unasked && !mayReplace(ended.get().getFileName().toString()) ? Optional.empty() : ended;
    }

    /** Asks in dialogs over a window. */
    static Dialogs inDialogs(Window owner) {
        return new Dialogs() {
            @Override
            public Unsaved unsaved(String jobName) {
                ButtonType save = new ButtonType("Save", ButtonBar.ButtonData.YES);
                ButtonType discard = new ButtonType("Don't save", ButtonBar.ButtonData.NO);
                Alert alert = new Alert(
                        Alert.AlertType.CONFIRMATION,
                        "What was changed since it was last saved is lost otherwise.",
                        save,
                        discard,
                        ButtonType.CANCEL);
                alert.initOwner(owner);
                alert.setTitle("Unsaved changes");
                alert.setHeaderText(Said.say("dialog.save", "job", jobName));
                alert.getDialogPane().lookupButton(save).setId("unsaved-save");
                alert.getDialogPane().lookupButton(discard).setId("unsaved-discard");
                alert.getDialogPane().lookupButton(ButtonType.CANCEL).setId("unsaved-cancel");
                return alert.showAndWait()
                        .map(b -> b == save ? Unsaved.SAVE : b == discard ? Unsaved.DISCARD : Unsaved.CANCEL)
                        .orElse(Unsaved.CANCEL);
            }

            @Override
            public Changed changedElsewhere(String fileName) {
                ButtonType elsewhere = new ButtonType("Save under another name", ButtonBar.ButtonData.YES);
                ButtonType replace = new ButtonType("Replace it", ButtonBar.ButtonData.NO);
                Alert alert = new Alert(
                        Alert.AlertType.CONFIRMATION,
                        Said.say("dialog.replace-changed", "file", fileName),
                        elsewhere,
                        replace,
                        ButtonType.CANCEL);
                alert.initOwner(owner);
                alert.setTitle("Changed elsewhere");
                alert.setHeaderText(Said.say("dialog.changed", "file", fileName));
                alert.getDialogPane().lookupButton(elsewhere).setId("changed-elsewhere");
                alert.getDialogPane().lookupButton(replace).setId("changed-replace");
                alert.getDialogPane().lookupButton(ButtonType.CANCEL).setId("changed-cancel");
                return alert.showAndWait()
                        .map(b -> b == elsewhere
                                ? Changed.SAVE_ELSEWHERE
                                : b == replace ? Changed.REPLACE : Changed.CANCEL)
                        .orElse(Changed.CANCEL);
            }

            @Override
            public boolean mayReplace(String fileName) {
                ButtonType replace = new ButtonType("Replace it", ButtonBar.ButtonData.YES);
                Alert alert = new Alert(
                        Alert.AlertType.CONFIRMATION, "Its content is lost then.", replace, ButtonType.CANCEL);
                alert.initOwner(owner);
                alert.setTitle("Already there");
                alert.setHeaderText(Said.say("dialog.replace", "file", fileName));
                alert.getDialogPane().lookupButton(replace).setId("replace-yes");
                alert.getDialogPane().lookupButton(ButtonType.CANCEL).setId("replace-cancel");
                return alert.showAndWait().filter(b -> b == replace).isPresent();
            }

            @Override
            public Optional<Path> toOpen(String title, String kind, String suffix) {
                return path(chooser(title, kind, suffix).showOpenDialog(owner));
            }

            @Override
            public Optional<Path> toWrite(String title, String suggestedName, String kind, String suffix) {
                FileChooser chooser = chooser(title, kind, suffix);
                chooser.setInitialFileName(suggestedName);
                return path(chooser.showSaveDialog(owner));
            }

            private FileChooser chooser(String title, String kind, String suffix) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle(title);
                chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(kind, "*" + suffix));
                return chooser;
            }

            private Optional<Path> path(File file) {
                return Optional.ofNullable(file).map(File::toPath);
            }
        };
    }
}
