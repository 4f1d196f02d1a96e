package jollyspindle.desktop.app;

import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;

import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Keys that hold in the whole window while a border is laid out: from way to way, from placement to placement. */
final class LayOutKeys {

    private final Workbench bench;

    LayOutKeys(Workbench bench) {
        this.bench = bench;
    }

    void followIn(Scene scene) {
        scene.addEventHandler(KeyEvent.KEY_PRESSED, e -> press(scene, e));
    }

    private void press(Scene scene, KeyEvent e) {
        boolean typing = scene.getFocusOwner() instanceof TextInputControl;
        if (typing
                || e.isShortcutDown()
                || e.isAltDown()
                || bench.stageProperty().get() != WorkStage.LAY_OUT) {
            return;
        }
        if (e.getCode() == KeyCode.PAGE_DOWN || e.getCode() == KeyCode.PAGE_UP) {
            int step = e.getCode() == KeyCode.PAGE_DOWN ? 1 : -1;
            if (e.isShiftDown()) {
                bench.dividing().stepSchool(step);
            } else {
                bench.dividing().stepCandidate(step);
            }
        } else if (e.getCode() == KeyCode.PERIOD) {
            bench.selection().stepPlacement(1);
        } else if (e.getCode() == KeyCode.COMMA) {
            bench.selection().stepPlacement(-1);
        } else if (e.getCode() == KeyCode.ESCAPE) {
            bench.selection().placementProperty().set(null);
        }
    }
}
