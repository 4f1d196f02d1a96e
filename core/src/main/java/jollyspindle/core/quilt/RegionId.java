package jollyspindle.core.quilt;

/** A part of the quilt that is stitched for itself: a border's side, a strip, or an area of the body. */
public sealed interface RegionId permits RunId, AreaId {

    /** A lasting name for files and scripts: {@code top}, {@code strip-1}, {@code area-2}. */
    String code();
}
