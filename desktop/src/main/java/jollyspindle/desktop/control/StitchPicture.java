package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;

import java.util.List;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Pane;
import javafx.scene.text.TextAlignment;
import javafx.stage.Screen;

/**
 * What a template stitches, large: acrylic, stitching, the foot, and for its size a hand and an inch, all at one scale. It
 * fits what there is, or shows it at its true size on this screen, to be dragged about.
 */
public final class StitchPicture extends Pane {

    private static final double MARGIN = 12;
    private static final double LARGEST_SCALE = 84;

    /** How much of the hand's width is kept free beside the template, in inches. */
    private static final double BESIDE = HandOutline.WIDTH + 0.3;

    private final Canvas canvas = new Canvas();
    private final Look look;
    private final BooleanProperty trueSize = new SimpleBooleanProperty();
    private Stitching stitching;
    private List<Path> tape = List.of();
    private Words words;
    private double draggedX;
    private double draggedY;
    private double pressedX;
    private double pressedY;

    public StitchPicture(Look look) {
        this.look = look;
        setId("stitch-picture");
        getStyleClass().add("stitch-picture");
        setMinSize(160, 120);
        getChildren().add(canvas);
        widthProperty().addListener(o -> draw());
        heightProperty().addListener(o -> draw());
        Soon soon = new Soon(this, this::draw);
        look.darkProperty().addListener(o -> soon.ask());
        trueSize.addListener(o -> {
            draggedX = 0;
            draggedY = 0;
            draw();
        });
        setOnMousePressed(e -> {
            pressedX = e.getX() - draggedX;
            pressedY = e.getY() - draggedY;
        });
        setOnMouseDragged(e -> {
            if (trueSize.get()) {
                draggedX = e.getX() - pressedX;
                draggedY = e.getY() - pressedY;
                draw();
            }
        });
    }

    /**
     * Shows what a template stitches.
     *
     * @param strokes where tape goes; none if it isn't asked
     */
    public void show(Stitching shown, List<Path> strokes, Words said) {
        stitching = shown;
        tape = strokes;
        words = said;
        draw();
    }

    /** Whether it is shown at its true size on this screen. */
    public BooleanProperty trueSizeProperty() {
        return trueSize;
    }

    private void draw() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        if (stitching == null || getWidth() < 40 || getHeight() < 40) {
            return;
        }
        Box box = TemplatePainter.extent(stitching);
        double width = box.width() + BESIDE;
        double scale = trueSize.get()
                ? Screen.getPrimary().getDpi()
                : Math.min(
                        LARGEST_SCALE,
                        Math.min((getWidth() - 2 * MARGIN) / width, (getHeight() - 2 * MARGIN - 18) / box.height()));
        double left = Math.max(MARGIN, (getWidth() - width * scale) / 2) + draggedX;
        double top = Math.max(MARGIN, (getHeight() - 18 - box.height() * scale) / 2) + draggedY;
        View view = new View(scale, left - box.left() * scale, top + box.top() * scale);
        double handLeft = left + (box.width() + 0.3) * scale;
        new HandOutline(look.palette()).draw(g, handLeft, Math.max(top, MARGIN), scale);
        TemplatePainter painter = new TemplatePainter(stitching, look, g, view);
        painter.plate();
        painter.engraved(words, scale >= TemplatePicture.VALUES_FROM);
        painter.stitched();
        painter.tape(tape);
        painter.foot();
        inch(g, scale);
    }

    /** An inch to measure by, in the lower left corner. */
    private void inch(GraphicsContext g, double scale) {
        double y = getHeight() - 10;
        g.setStroke(look.palette().ink());
        g.setLineDashes();
        g.setLineWidth(2);
        g.strokeLine(MARGIN, y, MARGIN + scale, y);
        g.strokeLine(MARGIN, y - 5, MARGIN, y + 5);
        g.strokeLine(MARGIN + scale, y - 5, MARGIN + scale, y + 5);
        g.setFill(look.palette().ink());
        g.setFont(look.font(14, false));
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(trueSize.get() ? "1 inch: measure it" : "1 inch", MARGIN + scale + 8, y);
    }
}
