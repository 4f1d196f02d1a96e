package jollyspindle.core.shelf;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;

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

    /** How thick it is. */
    public static final Param.Length<Material> THICKNESS =
            Param.length("thickness", THINNEST, THICKEST, Material::thickness);

    private static final Param.Text<Material> NAME =
            Param.<Material>text("name", 0, LONGEST_NAME, Material::name).usually("");
    /** How it is coloured. */
    public static final Param.Choice<Material, Tint> TINT = Param.choice("tint", Tint.class, Material::tint);

    /** All that is said of a material. */
    public static final Params<Material> PARAMS = Params.of(
                    v -> new Material(v.get(THICKNESS), v.get(NAME), v.get(TINT)),
                    Params.row(THICKNESS, TINT),
                    Params.row(NAME))
            .kept(THICKNESS, NAME, TINT);

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
        NAME.check(name);
        THICKNESS.check(thickness);
    }

    /** Clear acrylic of a quarter of an inch. */
    public static Material usual() {
        return new Material(0.25, "acrylic", Tint.AMBER);
    }

    /** Whether it is one of the thin sort (3 mm), and not of the thick (6 mm). */
    public boolean thin() {
        return thickness < THIN_BELOW;
    }
}
