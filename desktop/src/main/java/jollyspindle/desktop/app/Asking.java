package jollyspindle.desktop.app;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** The few questions the window asks. Another answerer can stand in for the person. */
public interface Asking {

    /** What to do with changes that aren't saved. */
    enum Unsaved {
        SAVE,
        DISCARD,
        CANCEL
    }

    Unsaved unsaved(String jobName);

    /** Which file of a kind to read. */
    Optional<Path> toOpen(String title, String kind, String suffix);

    /** Where to write a file of a kind. */
    Optional<Path> toWrite(String title, String suggestedName, String kind, String suffix);

    /** Asks in dialogs over a window. */
    static Asking inDialogs(Window owner) {
        return new Asking() {
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
                alert.setHeaderText("Save the changes to “" + jobName + "”?");
                alert.getDialogPane().lookupButton(save).setId("unsaved-save");
                alert.getDialogPane().lookupButton(discard).setId("unsaved-discard");
                alert.getDialogPane().lookupButton(ButtonType.CANCEL).setId("unsaved-cancel");
                return alert.showAndWait()
                        .map(b -> b == save ? Unsaved.SAVE : b == discard ? Unsaved.DISCARD : Unsaved.CANCEL)
                        .orElse(Unsaved.CANCEL);
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
