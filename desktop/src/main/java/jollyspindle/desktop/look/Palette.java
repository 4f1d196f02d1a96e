package jollyspindle.desktop.look;

import jollyspindle.core.shelf.Material;

import javafx.scene.paint.Color;

/**
 * The colours of drawings, in a light room and in a dim one. What is drawn also differs in form: stitch lines are solid,
 * marks dashed with ticks, ditches dotted, templates see-through with a firm edge.
 */
public record Palette(
        Color table,
        Color cloth,
        Color border,
        Color seam,
        Color ink,
        Color faint,
        Color stitch,
        Color mark,
        Color template,
        Color templateFill,
        Color chosen,
        Color tape,
        Color tapeInk,
        Color panel) {

    public static final Palette LIGHT = new Palette(
            Color.web("#E9DFCF"),
            Color.web("#FDFBF6"),
            Color.web("#EAD9C4"),
            Color.web("#7E6C52"),
            Color.web("#22313A"),
            Color.web("#5B5346"),
            Color.web("#8E2440"),
            Color.web("#1F4E9C"),
            Color.web("#8A5A0B"),
            Color.web("#E8B44C", 0.38),
            Color.web("#B45309"),
            Color.web("#F5D77A"),
            Color.web("#3A2F12"),
            Color.web("#F8F3EA"));

    public static final Palette DARK = new Palette(
            Color.web("#172025"),
            Color.web("#2C363B"),
            Color.web("#3D3A35"),
            Color.web("#B7A68A"),
            Color.web("#F3ECDD"),
            Color.web("#C9BFAE"),
            Color.web("#FF9DB5"),
            Color.web("#9CC2FF"),
            Color.web("#F0C063"),
            Color.web("#E8B44C", 0.28),
            Color.web("#FFB061"),
            Color.web("#D9B958"),
            Color.web("#2A2008"),
            Color.web("#1F2A30"));

    /** See-through acrylic of a colour. */
    public Color tint(Material.Tint tint) {
        double opacity = templateFill.getOpacity();
        return switch (tint) {
            case AMBER -> templateFill;
            case CLEAR -> Color.web("#C9D3D6", opacity);
            case ROSE -> Color.web("#E58FA0", opacity);
            case LEAF -> Color.web("#93BE7C", opacity);
            case SKY -> Color.web("#86B5DC", opacity);
            case SMOKE -> Color.web("#7F8487", opacity);
        };
    }
}
