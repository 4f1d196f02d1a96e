package jollyspindle.core.shelf.form;

import jollyspindle.core.code.Coded;

/** What sort of template it is, as quilters tell them apart. */
public enum Kind implements Coded {
    ARC("arc"),
    CIRCLE("circle"),
    SLOTTED_CIRCLES("slotted-circles"),
    SLOTTED_FAN("slotted-fan"),
    SCALLOP_ROW("scallop-row"),
    STRAIGHT_EDGE("straight-edge"),
    CORNER("corner"),
    SERPENTINE_STRIP("serpentine-strip"),
    CHEVRON_STRIP("chevron-strip"),
    TURNED_ARM("turned-arm"),
    OUTLINE("outline");

    private final String code;

    Kind(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
