package jollyspindle.desktop.model;

/** The stages of the work, in its order. */
public enum WorkStage {
    MEASURE("Measure"),
    SHELF("Shelf"),
    LAY_OUT("Lay out"),
    MARK("Mark");

    private final String title;

    WorkStage(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
