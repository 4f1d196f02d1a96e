package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.StitchSpace;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A run as a motif sees it that stands on one of its edges: <em>along</em> from the left end seen from beyond the other
 * edge, <em>up</em> from where the motif stands to where nothing may be stitched. A motif that hangs from the outside edge
 * sees the run turned by half a turn, so that no motif has to know which edge it is on.
 *
 * @param frame of the run, as it really is
 * @param hanging whether the motif stands on the outside edge
 * @param figures one a cell, in the order in which the motif sees them
 * @param divided the figures that stand on cells that were divided: all but the corners' own
 * @param on how it goes on beyond its ends
 * @param halfStep whether its figures stand half a repeat on from the valleys that are marked
 */
record RunSpace(RunFrame frame, boolean hanging, List<Figure> figures, List<Figure> divided, RunOn on, boolean halfStep)
        implements StitchSpace {

    RunSpace(RunFrame frame, boolean hanging, List<Figure> figures, RunOn on, boolean halfStep) {
        this(
                frame,
                hanging,
                figures,
                figures.stream()
                        .filter(f -> f.cell().kind() != Cell.Kind.CORNER)
                        .toList(),
                on,
                halfStep);
    }

    /** How an arc is fitted to a cell of another width; half of one, with its crown at the left, or the right, end of the run. */
    interface ArcFitting {
        Figure fit(Cell cell, ArcTemplate template, double room, double clearance, boolean crownAtLeft);
    }

    /**
     * How a run goes on beyond its ends into the corners, up to the mitre.
     *
     * @param left the mitre at the left end, from the inner corner outward; nothing if it stops at its end
     * @param right the mitre at the right end
     * @param leftCells how many further cells stand beyond the left end
     * @param rightCells how many further cells stand beyond the right end
     */
    record RunOn(Optional<Segment> left, Optional<Segment> right, int leftCells, int rightCells) {

        static final RunOn NONE = new RunOn(Optional.empty(), Optional.empty(), 0, 0);
    }

    static RunSpace of(RunFrame frame, DividedRun divided, boolean hanging, RunOn on) {
        List<Figure> figures = beyond(divided, on);
        if (!hanging) {
            return new RunSpace(frame, false, figures, on, false);
        }
        double length = divided.division().length();
        List<Figure> all = new ArrayList<>();
        for (int i = figures.size() - 1; i >= 0; i--) {
            all.add(figures.get(i).turned(length));
        }
        return new RunSpace(frame, true, List.copyOf(all), on, false);
    }

    /** The figures with more of the first and the last one's kind beyond the ends. */
    private static List<Figure> beyond(DividedRun divided, RunOn on) {
        List<Figure> figures = new ArrayList<>(divided.figures());
        Figure first = figures.get(0);
        Figure last = figures.get(figures.size() - 1);
        for (int i = 1; i <= on.leftCells(); i++) {
            figures.add(0, first.moved(-i * first.cell().width()));
        }
        for (int i = 1; i <= on.rightCells(); i++) {
            figures.add(last.moved(i * last.cell().width()));
        }
        return List.copyOf(figures);
    }

    /** The same run seen from its other edge. */
    RunSpace fromOtherEdge() {
        List<Figure> all = new ArrayList<>();
        for (int i = figures.size() - 1; i >= 0; i--) {
            all.add(figures.get(i).turned(length()));
        }
        return new RunSpace(frame, !hanging, List.copyOf(all), on, halfStep);
    }

    /**
     * The same run with its figures half a repeat on: one astride every two that stand side by side, and half of one at each
     * end; beside what is left free, half a cell stays free, too.
     */
    RunSpace halfAStepOn(ArcFitting arcs) {
        List<Figure> all = new ArrayList<>();
        for (int i = 0; i < figures.size(); i++) {
            Figure figure = figures.get(i);
            if (figure instanceof Figure.Empty) {
                all.add(figure);
                continue;
            }
            boolean first = i == 0 || figures.get(i - 1).cell().kind() == Cell.Kind.CORNER;
            boolean last = i + 1 == figures.size() || figures.get(i + 1).cell().kind() == Cell.Kind.CORNER;
            Cell cell = figure.cell();
            double middle = middle(cell, first);
            if (cell.from() < middle && (first || figures.get(i - 1) instanceof Figure.Empty)) {
                Cell half = new Cell(Cell.Kind.HALF, cell.from(), middle);
                all.add(first ? other(figure, half, arcs, true) : new Figure.Empty(half, Figure.Why.PLAIN));
            }
            if (!last && !(figures.get(i + 1) instanceof Figure.Empty)) {
                double to = middle(figures.get(i + 1).cell(), false);
                all.add(other(figure, new Cell(Cell.Kind.REPEAT, middle, to), arcs, false));
            } else if (middle < cell.to()) {
                Cell half = new Cell(Cell.Kind.HALF, middle, cell.to());
                all.add(last ? other(figure, half, arcs, false) : new Figure.Empty(half, Figure.Why.PLAIN));
            }
        }
        return new RunSpace(frame, hanging, List.copyOf(all), on, true);
    }

    /** Where the middle of what stands on a cell is: of half a figure at the run's end. */
    private static double middle(Cell cell, boolean first) {
        return cell.kind() != Cell.Kind.HALF ? cell.middle() : first ? cell.from() : cell.to();
    }

    private Figure other(Figure like, Cell cell, ArcFitting arcs, boolean crownAtLeft) {
        return like.arcTemplate()
                .map(template -> arcs.fit(cell, template, room(), clearance(), crownAtLeft))
                .orElseGet(() -> new Figure.Other(cell, -1));
    }

    boolean runsOn() {
        return on.left().isPresent() || on.right().isPresent();
    }

    boolean onMitre(Point place) {
        return on.left().filter(m -> m.distance(place) < Tolerances.SAME_PLACE).isPresent()
                || on.right()
                        .filter(m -> m.distance(place) < Tolerances.SAME_PLACE)
                        .isPresent();
    }

    /** Whether what stands in it stands on a seam, and not on the limit of stitching. */
    boolean isOnSeam() {
        return hanging ? frame.reserve() == 0 : frame.clearance() == 0;
    }

    double length() {
        return frame.length();
    }

    /** How high a motif may be, in inches. */
    double room() {
        return frame.room();
    }

    /** From the edge of the cloth, a seam or the quilt's own, to where the motif stands; in inches. */
    double clearance() {
        return hanging ? frame.reserve() : frame.clearance();
    }

    /** A place of the motif's in the quilt's frame; both in inches. */
    Point place(double along, double up) {
        return hanging
                ? frame.place(frame.length() - along, frame.depth() - frame.reserve() - up)
                : frame.place(along, frame.clearance() + up);
    }

    /** How a thing that stands upright at home is turned in this space, in radians. */
    double rotation() {
        return frame.rotation() + (hanging ? Math.PI : 0);
    }

    /** The number of the valley at a cell's start, as marks count them: along the run as it really is; below 0 if it is none. */
    int valley(int index) {
        return halfStep ? -1 : (hanging ? divided().size() - index : index) - on.leftCells();
    }

    /** How many valleys the run has, both ends counted. */
    int valleys() {
        return divided().size() - on.leftCells() - on.rightCells() + 1;
    }

    /** A path of the motif's in the quilt's frame. */
    Path placed(Path own) {
        return own.posed(new Pose(place(0, 0), rotation()));
    }

    Arc placed(Arc own) {
        return own.posed(new Pose(place(0, 0), rotation()));
    }

    Segment placed(Segment own) {
        return own.posed(new Pose(place(0, 0), rotation()));
    }

    /** The piece of cloth that may be stitched: from end to end, or from mitre to mitre, up to its limit. */
    Path outline() {
        Point nearLeft = frame.place(0, frame.clearance());
        Point nearRight = frame.place(length(), frame.clearance());
        double limit = frame.depth() - frame.reserve();
        return Path.polygon(List.of(
                on.left().map(Segment::from).orElse(nearLeft),
                on.right().map(Segment::from).orElse(nearRight),
                on.right().map(Segment::to).orElseGet(() -> frame.place(length(), limit)),
                on.left().map(Segment::to).orElseGet(() -> frame.place(0, limit))));
    }

    @Override
    public Region region() {
        return Region.of(outline());
    }

    @Override
    public Optional<LineEnd.ShownBy> shownBy(Point place) {
        Point from = place.minus(frame.origin());
        double along = from.dot(frame.along());
        double across = from.dot(frame.outward());
        if (Math.abs(across - frame.clearance()) < Tolerances.SAME_PLACE) {
            return Optional.of(LineEnd.ShownBy.SEAM);
        }
        if (Math.abs(across - frame.depth() + frame.reserve()) < Tolerances.SAME_PLACE) {
            return Optional.of(LineEnd.ShownBy.FAR_EDGE);
        }
        if (onMitre(place)) {
            return Optional.of(LineEnd.ShownBy.MITRE);
        }
        boolean end = Math.abs(along) < Tolerances.SAME_PLACE || Math.abs(along - length()) < Tolerances.SAME_PLACE;
        return end ? Optional.of(LineEnd.ShownBy.RUN_END) : Optional.empty();
    }

    /** An arc that bulges upwards between two places at the same height, in this space's own frame. */
    static Arc bulging(double from, double to, double up, double radius) {
        double half = (to - from) / 2;
        double below = Math.sqrt(Math.max(0, radius * radius - half * half));
        double reach = Math.atan2(half, below);
        return new Arc(new Point((from + to) / 2, up - below), radius, Math.PI / 2 + reach, -2 * reach);
    }
}
