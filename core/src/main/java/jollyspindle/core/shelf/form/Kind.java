package jollyspindle.core.shelf.form;

/** What sort of template it is, as quilters tell them apart. */
public enum Kind {
    ARC,
    CIRCLE,
    SLOTTED_CIRCLES,
    SLOTTED_FAN,
    SCALLOP_ROW,
    STRAIGHT_EDGE,
    CORNER,
    SERPENTINE_STRIP,
    CHEVRON_STRIP,
    TURNED_ARM,
    OUTLINE
}
