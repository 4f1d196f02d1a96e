package jollyspindle.core.division;

/** What the motif in a corner asks of the runs that end there (common practice, no source). */
public enum CornerAsk {
    NOTHING,
    /** An odd number of repeats on each run. */
    ODD,
    /** An even number of repeats on each run. */
    EVEN,
    /** Half a repeat at each end, so that a crown stands where the run does. */
    HALVES;

    /** Whether a run with so many figures is as asked, as far as its count goes. */
    public boolean welcomes(int count) {
        return switch (this) {
            case ODD -> count % 2 == 1;
            case EVEN -> count % 2 == 0;
            default -> true;
        };
    }

    /** How many figures stand along a run, one in an odd space in the middle among them. */
    public static int figures(DividedRun run) {
        boolean middle = run.middle().filter(f -> !(f instanceof Figure.Empty)).isPresent();
        return run.division().count() + (middle ? 1 : 0);
    }

    /** Whether a run comes out as asked. */
    public boolean isMetBy(DividedRun run) {
        if (this == HALVES) {
            var cells = run.division().cells();
            return cells.get(0).kind() == Cell.Kind.HALF
                    && cells.get(cells.size() - 1).kind() == Cell.Kind.HALF;
        }
        return welcomes(figures(run));
    }
}
