package jollyspindle.desktop.area;

import jollyspindle.core.area.Ray;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.Comparator;
import java.util.Optional;
import javafx.beans.InvalidationListener;
import javafx.beans.WeakInvalidationListener;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * The rotation plan as a dial: every ray with its number, in the order of stitching clockwise from the top; rays that are there
 * already drawn through, those that are halved dashed, those that are stepped dotted. The one whose placement is shown on
 * the table stands out and is said below; a click or the arrow keys show another one.
 */
final class RayDial extends VBox {

    private static final double SIZE = 228;
    private static final double RIM = 88;
    private static final double NUMBERS = 102;

    private final Workbench bench;
    private final Look look;
    private final AreaSelection desk;
    private final Canvas canvas = new Canvas(SIZE, SIZE);
    private final Label said = new Label();

    /** Kept, since the bench knows it weakly only: dials come and go. */
    private final InvalidationListener redraw = o -> show();

    RayDial(Workbench bench, Look look) {
        super(4);
        this.bench = bench;
        this.look = look;
        this.desk = bench.areas();
        setId("ray-dial");
        said.setId("ray-said");
        said.setWrapText(true);
        said.setMinHeight(USE_PREF_SIZE);
        said.getStyleClass().add("reason");
        canvas.setFocusTraversable(true);
        canvas.setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        canvas.setOnMouseClicked(e -> {
            canvas.requestFocus();
            nearest(e.getX() - SIZE / 2, e.getY() - SIZE / 2);
        });
        canvas.setOnKeyPressed(e -> {
            int step = e.getCode() == KeyCode.RIGHT ? 1 : e.getCode() == KeyCode.LEFT ? -1 : 0;
            if (step != 0) {
                desk.stepRay(step);
                e.consume();
            }
        });
        bench.selection().placementProperty().addListener(new WeakInvalidationListener(redraw));
        getChildren().addAll(canvas, said);
        show();
    }

    private void nearest(double x, double y) {
        if (Math.hypot(x, y) < 8) {
            return;
        }
        double angle = Math.atan2(x, -y);
        desk.rays().stream()
                .min(Comparator.comparingDouble(r -> Math.abs(Math.IEEEremainder(r.angle() - angle, 2 * Math.PI))))
                .ifPresent(r -> desk.showOn(r.number()));
    }

    private Optional<Ray> current() {
        return desk.ray();
    }

    private void show() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        Palette p = look.palette();
        double middle = SIZE / 2;
        g.setLineDashes();
        g.clearRect(0, 0, SIZE, SIZE);
        g.setStroke(p.seam());
        g.setLineWidth(1.2);
        g.strokeOval(middle - RIM, middle - RIM, 2 * RIM, 2 * RIM);
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        Optional<Ray> current = current();
        // Where there are many, numbers would run into each other.
        int every = desk.rays().size() > 32 ? 4 : desk.rays().size() > 16 ? 2 : 1;
        for (Ray ray : desk.rays()) {
            boolean chosen = current.filter(ray::equals).isPresent();
            double x = Math.sin(ray.angle());
            double y = -Math.cos(ray.angle());
            Color colour = chosen ? p.chosen() : p.mark();
            g.setStroke(colour);
            g.setFill(colour);
            g.setLineWidth(chosen ? 3.5 : 1.4);
            switch (ray.found()) {
                case USUAL, READ -> g.setLineDashes();
                case HALVED -> g.setLineDashes(6, 4);
                case STEPPED -> g.setLineDashes(1.5, 4);
            }
            g.strokeLine(middle, middle, middle + RIM * x, middle + RIM * y);
            if (chosen || (ray.number() - 1) % every == 0) {
                g.setFont(look.font(chosen ? 17 : 14, chosen));
                g.fillText("" + ray.number(), middle + NUMBERS * x, middle + NUMBERS * y);
            }
        }
        g.setLineDashes();
        AreaWords words = new AreaWords(bench.words());
        said.setText(current.map(r -> Said.say("ray.turned", "ray", Words.capital(words.text(r)), "angle", r.angle()))
                .orElse("Click a ray, or step with the arrow keys, to see how the template lies on it."));
        canvas.setAccessibleText(
                Said.say("ray.dial", "rays", Words.count(desk.rays().size(), Words.Thing.RAY), "said", said.getText()));
    }
}
