package jollyspindle.core.cloth;

import jollyspindle.core.code.Coded;

/**
 * How much a batting fills out between the lines that hold it down. Common practice, no source: heights and distances are what
 * battings sold as such come to about, not what a maker states.
 */
public enum Loft implements Coded {
    THIN("thin", 0.06, 0.4),
    MEDIUM("medium", 0.14, 0.7),
    LOFTY("lofty", 0.3, 1.2);

    private final String code;
    private final double most;
    private final double reach;

    Loft(String code, double most, double reach) {
        this.code = code;
        this.most = most;
        this.reach = reach;
    }

    @Override
    public String code() {
        return code;
    }

    /** How far it stands up where nothing holds it down, in inches. */
    public double most() {
        return most;
    }

    /** How far from the nearest stitching that is so, in inches. */
    public double reach() {
        return reach;
    }

    /**
     * How far the cloth stands up beside a line: a quarter of an ellipse, steep beside the stitching and level where the batting has
     * come to its own height (a model, no source).
     *
     * @param distance from the nearest stitching, in inches, 0 or more
     * @return inches, 0 to {@link #most}
     */
    public double height(double distance) {
        double left = 1 - Math.min(1, distance / reach);
        return most * Math.sqrt(1 - left * left);
    }
}
