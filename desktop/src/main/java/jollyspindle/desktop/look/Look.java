package jollyspindle.desktop.look;

import atlantafx.base.theme.PrimerLight;

import java.io.IOException;
import java.io.InputStream;
import javafx.application.Application;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.collections.ListChangeListener;
import javafx.collections.WeakListChangeListener;
import javafx.css.PseudoClass;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.stage.Window;

/** Light or dark, and how large the type is. */
public final class Look {

    /** What all type is set in. */
    public static final String FAMILY = "Atkinson Hyperlegible Next";

    private static final String FONTS = "/jollyspindle/files/fonts/AtkinsonHyperlegible";
    private static final double SIZE = 16;
    private static final double SMALLEST = 0.9;
    private static final double LARGEST = 1.5;
    private static final double STEP = 0.1;
    private static final PseudoClass DARK = PseudoClass.getPseudoClass("dark");

    /** What the dark look has otherwise; the light one stays, since to exchange it would have all styles read anew. */
    private static final String DARK_SHEET = sheet("dark");

    private final ListChangeListener<Window> opened = c -> {
        while (c.next()) {
            c.getAddedSubList().forEach(this::shade);
        }
    };

    private final BooleanProperty dark = new SimpleBooleanProperty();
    private final DoubleProperty scale = new SimpleDoubleProperty(1);

    /** A look with the type that drawings are lettered in. */
    public Look() {
        load("Next-Regular", "Next-Bold");
    }

    private static String sheet(String name) {
        return Look.class
                .getResource("/jollyspindle/desktop/look/" + name + ".css")
                .toExternalForm();
    }

    private static void load(String... names) {
        for (String name : names) {
            try (InputStream in = Look.class.getResourceAsStream(FONTS + name + ".ttf")) {
                Font.loadFont(in, SIZE);
            } catch (IOException e) {
                throw new IllegalStateException("font not shipped: " + name, e);
            }
        }
    }

    /** Dresses a scene, now and whenever the look changes. Before, it can hold drawings, but no controls. */
    public void dress(Scene scene) {
        load("Next-SemiBold", "Mono-Regular", "Mono-SemiBold");
        scene.getStylesheets().addAll(DARK_SHEET, sheet("spindle"));
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
        Runnable size = () -> scene.getRoot().setStyle("-fx-font-size: " + SIZE * scale.get() + "px;");
        scale.addListener(o -> size.run());
        size.run();
        shade(scene);
        dark.addListener(o -> {
            shade(scene);
            Window.getWindows().forEach(this::shade);
        });
        // Menus, lists of choices, hints and questions are windows of their own.
        Window.getWindows().addListener(new WeakListChangeListener<>(opened));
    }

    private void shade(Window window) {
        if (window.getScene() != null) {
            shade(window.getScene());
        }
    }

    private void shade(Scene scene) {
        if (dark.get() && !scene.getStylesheets().contains(DARK_SHEET)) {
            scene.getStylesheets().add(0, DARK_SHEET);
        }
        scene.getRoot().pseudoClassStateChanged(DARK, dark.get());
    }

    public Palette palette() {
        return dark.get() ? Palette.DARK : Palette.LIGHT;
    }

    /** A font for drawings, in pixels before scaling. */
    public Font font(double size, boolean bold) {
        return Font.font(FAMILY, bold ? FontWeight.BOLD : FontWeight.NORMAL, size * scale.get());
    }

    /** Makes all type larger or smaller by a step, within what the window can hold. */
    public void stepScale(int steps) {
        double next = Math.round((scale.get() + steps * STEP) * 10) / 10.0;
        scale.set(Math.max(SMALLEST, Math.min(LARGEST, next)));
    }

    public BooleanProperty darkProperty() {
        return dark;
    }

    public DoubleProperty scaleProperty() {
        return scale;
    }
}
