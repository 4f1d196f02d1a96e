package jollyspindle.desktop.look;

import atlantafx.base.theme.PrimerDark;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.io.IOException;
import java.util.Map;
import java.util.TreeMap;
import javafx.css.CssParser;
import javafx.css.Rule;
import javafx.css.Selector;
import javafx.css.Stylesheet;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import javafx.stage.Window;

import static org.assertj.core.api.Assertions.assertThat;

/** Light and dark. */
@ExtendWith(ApplicationExtension.class)
class LookTest {

    private final Look look = new Look();
    private Label label;
    private MenuButton menu;
    private Scene scene;

    @Start
    void start(Stage stage) {
        // Controls need a toolkit, which is there from here on.
        label = new Label("ink");
        menu = new MenuButton("menu", null, new MenuItem("item"));
        scene = new Scene(new VBox(label, menu, new Button("button")), 200, 100);
        look.dress(scene);
        stage.setScene(scene);
        stage.show();
    }

    /** The values of a stylesheet by selector and property, as they are written. */
    private static Map<String, String> values(String resource) throws IOException {
        Stylesheet sheet = new CssParser().parse(LookTest.class.getResource(resource.replace(".bss", ".css")));
        Map<String, String> all = new TreeMap<>();
        for (Rule rule : sheet.getRules()) {
            for (Selector selector : rule.getSelectors()) {
                rule.getDeclarations()
                        .forEach(d -> all.put(
                                selector.toString().replace("*", "") + " " + d.getProperty(),
                                d.getParsedValue().toString()));
            }
        }
        return all;
    }

    @Test
    void theDarkLookHasWhatTheDarkThemeHasOtherwise() throws IOException {
        Map<String, String> light = values(new atlantafx.base.theme.PrimerLight().getUserAgentStylesheet());
        Map<String, String> dark = values(new PrimerDark().getUserAgentStylesheet());
        Map<String, String> own = values("/jollyspindle/desktop/look/dark.css");
        assertThat(own).hasSizeGreaterThan(90);
        own.forEach((what, value) -> {
            String plain = what.replace(".root:dark .", ".").replace(".root:dark", ".root");
            assertThat(dark).as(what).containsEntry(plain, value);
            assertThat(light.get(plain))
                    .as(what + " is otherwise in the light one")
                    .isNotEqualTo(value);
        });
        dark.forEach((what, value) -> {
            if (what.startsWith(".root ") && !value.equals(light.get(what))) {
                assertThat(own).containsKey(what.replace(".root ", ".root:dark "));
            }
        });
    }

    @Test
    void whatIsOpenedOverItIsDarkToo(FxRobot robot) {
        Color light = (Color) label.getTextFill();
        robot.interact(() -> look.darkProperty().set(true));
        WaitForAsyncUtils.waitForFxEvents();
        Color dark = (Color) label.getTextFill();
        assertThat(dark.getBrightness()).isGreaterThan(light.getBrightness() + 0.4);
        robot.interact(menu::show);
        WaitForAsyncUtils.waitForFxEvents();
        Scene popup = Window.getWindows().stream()
                .map(Window::getScene)
                .filter(s -> s != scene)
                .findFirst()
                .orElseThrow();
        Label item = (Label) popup.getRoot().lookup(".menu-item .label");
        assertThat(item.getTextFill()).isEqualTo(dark);
        robot.interact(menu::hide);
        robot.interact(() -> look.darkProperty().set(false));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(label.getTextFill()).isEqualTo(light);
        robot.interact(menu::show);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(item.getTextFill()).isEqualTo(light);
    }
}
