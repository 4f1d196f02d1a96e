package jollyspindle.core.quilt;

/** What two opposite sides are planned at, where the tape measured them differently. */
public enum Easing {
    /** Each at what the tape measured. */
    AS_MEASURED,
    /** Both at their mean: the longer is eased in by half the difference, the shorter stretched by as much. */
    MEAN,
    /** Both at the shorter: the longer is eased in. */
    TO_SHORTER,
    /** Both at the longer: the shorter is stretched. */
    TO_LONGER;

    /**
     * What a side is planned at, in inches.
     *
     * @param own what the tape measured along it, in inches
     * @param opposite what it measured along the opposite side, in inches
     */
    public double planned(double own, double opposite) {
        return switch (this) {
            case AS_MEASURED -> own;
            case MEAN -> (own + opposite) / 2;
            case TO_SHORTER -> Math.min(own, opposite);
            case TO_LONGER -> Math.max(own, opposite);
        };
    }
}
