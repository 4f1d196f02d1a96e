package jollyspindle.core.shelf;

/**
 * What a template is made of.
 *
 * @param thickness in inches, {@link #THINNEST} to {@link #THICKEST}
 * @param name such as acrylic, at most {@link #LONGEST_NAME} characters
 * @param tint how it is coloured
 */
public record Material(double thickness, String name, Tint tint) {

    public static final double THINNEST = 0.01;
    public static final double THICKEST = 2;
    public static final int LONGEST_NAME = 60;

    /** Thinner than this, in inches, a template is one of the thin sort (3 mm), else one of the thick (6 mm). */
    private static final double THIN_BELOW = 0.18;

    /** How a sheet is coloured. */
    public enum Tint {
        CLEAR,
        AMBER,
        ROSE,
        LEAF,
        SKY,
        SMOKE
    }

    public Material {
        name = name.strip();
        if (!(thickness >= THINNEST) || thickness > THICKEST || name.length() > LONGEST_NAME) {
            throw new IllegalArgumentException("a material is 0.01 to 2 in thick, not " + thickness);
        }
    }

    /** Clear acrylic of a quarter of an inch. */
    public static Material usual() {
        return new Material(0.25, "acrylic", Tint.AMBER);
    }

    /** Whether it is one of the thin sort (3 mm), and not of the thick (6 mm). */
    public boolean thin() {
        return thickness < THIN_BELOW;
    }

    public Material withThickness(double other) {
        return new Material(other, name, tint);
    }

    public Material withName(String other) {
        return new Material(thickness, other, tint);
    }

    public Material withTint(Tint other) {
        return new Material(thickness, name, other);
    }
}
