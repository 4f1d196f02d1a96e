package jollyspindle.desktop.control;

import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.layout.Region;

/** A card of a gallery: a button as wide as it is told and as high as what is in it. */
public class PictureCard extends Button {

    private final Region content;

    /**
     * A card.
     *
     * @param name of what it stands for, until there is more to say
     * @param content that may change
     * @param wide in pixels
     */
    protected PictureCard(String id, String name, Region content, double wide) {
        this.content = content;
        setId(id);
        getStyleClass().add("card");
        setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        setMaxWidth(Double.MAX_VALUE);
        content.setMinWidth(wide);
        content.setMaxWidth(wide);
        setGraphic(content);
        setAccessibleText(name);
    }

    /** Its labels wrap, which a button by itself doesn't reckon with. */
    @Override
    protected final double computePrefHeight(double width) {
        return getInsets().getTop()
                + content.prefHeight(content.getMaxWidth())
                + getInsets().getBottom();
    }

    @Override
    protected final double computeMinHeight(double width) {
        return computePrefHeight(width);
    }
}
