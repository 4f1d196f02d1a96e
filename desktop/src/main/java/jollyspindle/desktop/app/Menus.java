package jollyspindle.desktop.app;

import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Cautions;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.packet.PaperSize;

import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;

/** The menu bar: everything the window can do, with its keys. */
final class Menus {

    private static final String KEYS =
            """
            Ctrl+1 to Ctrl+4    the stages
            Alt+1 to Alt+4    top, right, bottom, left border
            Page Down, Page Up    next way, the one before (Lay out); with Shift the next school
            . and ,    next placement, the one before (Lay out)
            Ctrl+F    which template does it;  Ctrl+K    the foot
            F6    to the tape;  F7    to the table
            On the tape: Left, Right from mark to mark; + and - more or fewer repeats; Up, Down zoom; 1, 0 one repeat, all
            Home, End, C    the tape's zero at left, right, centre;  Z    at the mark that is pointed at
            Alt+Left, Alt+Right    moves a valley;  Enter    asks for its place;  P, Delete    pins it, lets it go
            On the tape round a block or medallion: Left, Right from ray to ray; + and - more or fewer arms; Shift turns them
            On the table: arrows move, + and - zoom, 0 shows all
            Ctrl+Z, Ctrl+Shift+Z    undo, redo
            F8    the drawing, or how it will look in cloth;  F9    light or dark;  Ctrl+Shift+. and Ctrl+Shift+,    larger, smaller type
            In a length: Enter takes it, Esc brings the last good one back""";

    private final MainWindow window;
    private final Workbench bench;
    private final Filing filing;
    private final Look look;

    Menus(MainWindow window, Workbench bench, Filing filing, Look look) {
        this.window = window;
        this.bench = bench;
        this.filing = filing;
        this.look = look;
    }

    MenuBar bar() {
        MenuBar bar = new MenuBar(file(), edit(), view(), go(), help());
        bar.setUseSystemMenuBar(true);
        bar.setId("menu-bar");
        return bar;
    }

    private static MenuItem item(String text, KeyCombination keys, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setMnemonicParsing(false);
        item.setAccelerator(keys);
        item.setOnAction(e -> action.run());
        return item;
    }

    private static KeyCombination ctrl(KeyCode code) {
        return new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN);
    }

    private static KeyCombination ctrlShift(KeyCode code) {
        return new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN, KeyCombination.SHIFT_DOWN);
    }

    private Menu file() {
        Menu recent = new Menu("Open a recent job");
        Runnable list = () -> {
            recent.getItems().clear();
            for (Path path : filing.settingsProperty().get().recent()) {
                recent.getItems()
                        .add(item(path.getFileName() + "  ·  " + path.getParent(), null, () -> filing.open(path)));
            }
            recent.setDisable(recent.getItems().isEmpty());
        };
        filing.settingsProperty().addListener(o -> list.run());
        list.run();
        Menu packet = new Menu("Save the packet as PDF");
        packet.getItems()
                .addAll(
                        item("on A4…", ctrl(KeyCode.P), () -> filing.writePacket(PaperSize.A4)),
                        item("on US Letter…", ctrlShift(KeyCode.P), () -> filing.writePacket(PaperSize.LETTER)));
        return new Menu(
                "Job",
                null,
                item("New job", ctrl(KeyCode.N), filing::startNew),
                item("Open…", ctrl(KeyCode.O), filing::open),
                recent,
                item("Open the demo job", null, filing::startDemo),
                new SeparatorMenuItem(),
                item("Save", ctrl(KeyCode.S), filing::save),
                item("Save as…", ctrlShift(KeyCode.S), filing::saveAs),
                new SeparatorMenuItem(),
                packet,
                item("Save the drawing as SVG…", null, filing::writeDrawing),
                new SeparatorMenuItem(),
                item("Quit", ctrl(KeyCode.Q), () -> {
                    if (filing.mayLeave()) {
                        window.leave();
                        window.stage().close();
                    }
                }));
    }

    private Menu edit() {
        MenuItem undo = item("Undo", ctrl(KeyCode.Z), bench::undo);
        MenuItem redo = item("Redo", ctrlShift(KeyCode.Z), bench::redo);
        undo.setId("menu-undo");
        redo.setId("menu-redo");
        Runnable show = () -> {
            name(undo, "Undo", bench.undoName());
            name(redo, "Redo", bench.redoName());
        };
        bench.changesProperty().addListener(o -> show.run());
        show.run();
        return new Menu(
                "Change",
                null,
                undo,
                redo,
                new SeparatorMenuItem(),
                item("More repeats on this side", ctrl(KeyCode.UP), () -> bench.dividing()
                        .stepRepeats(1)),
                item("Fewer repeats on this side", ctrl(KeyCode.DOWN), () -> bench.dividing()
                        .stepRepeats(-1)),
                item("Next way to come out", null, () -> bench.dividing().stepCandidate(1)),
                item("The way before", null, () -> bench.dividing().stepCandidate(-1)),
                item("Next school", null, () -> bench.dividing().stepSchool(1)),
                new SeparatorMenuItem(),
                item("Keep these motifs as a recipe…", null, filing::writeRecipe),
                item("Use a recipe here…", null, filing::useRecipe),
                new SeparatorMenuItem(),
                item(
                        "Follow the best way again",
                        null,
                        () -> bench.editLayout("the best way", RunLayout::choosingNone)));
    }

    private static void name(MenuItem item, String what, Optional<String> step) {
        item.setText(step.map(s -> what + ": " + s).orElse(what));
        item.setDisable(step.isEmpty());
    }

    private Menu view() {
        return new Menu(
                "View",
                null,
                item("Whole quilt", ctrl(KeyCode.DIGIT0), () -> window.table().fit()),
                item("This side or block, large", ctrl(KeyCode.DIGIT9), () -> window.table()
                        .zoomToSide()),
                item("Zoom in", ctrl(KeyCode.EQUALS), () -> window.table().zoom(1)),
                item("Zoom out", ctrl(KeyCode.MINUS), () -> window.table().zoom(-1)),
                new SeparatorMenuItem(),
                item("Drawing or cloth", new KeyCodeCombination(KeyCode.F8), () -> window.table()
                        .asClothProperty()
                        .set(!window.table().asClothProperty().get())),
                item("Light or dark", new KeyCodeCombination(KeyCode.F9), () -> look.darkProperty()
                        .set(!look.darkProperty().get())),
                item("Larger type", ctrlShift(KeyCode.PERIOD), () -> look.stepScale(1)),
                item("Smaller type", ctrlShift(KeyCode.COMMA), () -> look.stepScale(-1)));
    }

    private Menu go() {
        Menu menu = new Menu("Go to");
        for (WorkStage stage : WorkStage.values()) {
            menu.getItems().add(item(stage.title(), ctrl(digit(stage.ordinal())), () -> bench.stageProperty()
                    .set(stage)));
        }
        menu.getItems().add(new SeparatorMenuItem());
        for (Side side : Side.values()) {
            menu.getItems()
                    .add(item(
                            Words.border(side),
                            new KeyCodeCombination(digit(side.ordinal()), KeyCombination.ALT_DOWN),
                            () -> bench.selection().choose(side)));
        }
        menu.getItems()
                .addAll(
                        new SeparatorMenuItem(),
                        item("Which template?", ctrl(KeyCode.F), window::toFinding),
                        item("The foot", ctrl(KeyCode.K), window::toFoot),
                        item("The tape", new KeyCodeCombination(KeyCode.F6), window::toTape),
                        item("The table", new KeyCodeCombination(KeyCode.F7), () -> window.table()
                                .requestFocus()));
        return menu;
    }

    private static KeyCode digit(int index) {
        return KeyCode.valueOf("DIGIT" + (index + 1));
    }

    private Menu help() {
        return new Menu(
                "Help",
                null,
                item("Keys", new KeyCodeCombination(KeyCode.F1), () -> show("Keys", KEYS)),
                item(
                        "Care at the machine",
                        null,
                        () -> show(
                                "Care at the machine",
                                String.join("\n\n", Cautions.of(bench.job())) + "\n\n" + Cautions.MANUAL_FIRST)),
                item(
                        "About",
                        null,
                        () -> show(
                                "Jolly Spindle",
                                "Lays out, marks and plans ruler work for longarm quilters.\n\nApache License 2.0. Type:"
                                        + " Atkinson Hyperlegible Next and Mono, SIL Open Font License 1.1.")));
    }

    private void show(String title, String text) {
        Alert alert = new Alert(Alert.AlertType.INFORMATION, text, ButtonType.CLOSE);
        alert.initOwner(window.stage());
        alert.setTitle(title);
        alert.setHeaderText(title);
        alert.getDialogPane().setMinWidth(620);
        alert.show();
    }
}
