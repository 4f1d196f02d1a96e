package jollyspindle.desktop.control;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Reason;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RingShape;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.Way;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.collections.ListChangeListener;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Two or three ways to come out side by side on the same quilt. What differs from the first is marked: on the quilts by a
 * diamond where a valley stands elsewhere, in the numbers by a sign before them.
 */
public final class CompareView extends VBox {

    private static final double MARGIN = 14;
    private static final double ELSEWHERE = 1.0 / 32;

    /** What the names of the numbers take of the width, in per cent. */
    private static final double NAMES = 14;

    private final Workbench bench;
    private final Look look;
    private final GridPane grid = new GridPane();
    private final HBox uses = new HBox(12);
    private final HBox pictures = new HBox();
    private final BackgroundQueue inTurn = new BackgroundQueue("ways compared");
    private List<Way> ways = List.of();

    public CompareView(Workbench bench, Look look) {
        super(8);
        this.bench = bench;
        this.look = look;
        setId("compare-view");
        getStyleClass().add("compare-view");
        grid.setHgap(12);
        grid.setVgap(3);
        VBox.setVgrow(pictures, Priority.ALWAYS);
        pictures.setMinHeight(0);
        pictures.setPrefHeight(120);
        Label note = Labelled.wrapped(
                "◆ a valley that stands elsewhere than in the first way by more than 1/32; ≠ a number that differs from it.",
                "faint");
        getChildren().addAll(uses, pictures, grid, note);
        Soon soon = new Soon(this, this::show);
        bench.planProperty().addListener(o -> soon.ask());
        bench.comparison().ways().addListener((ListChangeListener<Object>) c -> soon.ask());
        bench.comparison().shownProperty().addListener(o -> soon.ask());
        pictures.widthProperty().addListener(o -> draw());
        pictures.heightProperty().addListener(o -> draw());
        Soon drawn = new Soon(this, this::draw);
        look.darkProperty().addListener(o -> drawn.ask());
        soon.ask();
    }

    private void show() {
        grid.getChildren().clear();
        grid.getColumnConstraints().clear();
        uses.getChildren().clear();
        ways = List.of();
        draw();
        inTurn.letGo();
        if (bench.comparison().shownProperty().get()) {
            inTurn.ask(bench.comparison().planned(), this::show);
        }
    }

    private void show(List<Way> made) {
        ways = made;
        draw();
        if (ways.isEmpty()) {
            return;
        }
        ColumnConstraints names = new ColumnConstraints();
        names.setPercentWidth(NAMES);
        grid.getColumnConstraints().add(names);
        DivisionWords said = new DivisionWords(bench.words());
        Region before = new Region();
        before.prefWidthProperty().bind(widthProperty().multiply(NAMES / 100));
        uses.getChildren().add(before);
        for (int i = 0; i < ways.size(); i++) {
            ColumnConstraints column = new ColumnConstraints();
            column.setPercentWidth((100 - NAMES) / ways.size());
            grid.getColumnConstraints().add(column);
            Way way = ways.get(i);
            Button use = new Button("Use this way");
            use.setId("use-" + (i + 1));
            use.setAccessibleText(
                    Said.say("way.use", "kind", said.kind(way.candidate()), "counts", said.counts(way.candidate())));
            use.setMaxWidth(Double.MAX_VALUE);
            use.setPrefWidth(100);
            HBox.setHgrow(use, Priority.ALWAYS);
            use.setOnAction(e -> {
                bench.dividing().divide(way.candidate().schools());
                bench.comparison().shownProperty().set(false);
            });
            uses.getChildren().add(use);
        }
        int row = 0;
        row = line(row, "Way", ways, c -> said.kind(c));
        row = line(row, "Counts", ways, said::counts);
        row = line(row, "Repeats", ways, said::repeats);
        row = line(row, "Rises", ways, c -> said.rise(c).replaceFirst("^rise ", ""));
        row = line(row, "Change", ways, this::change);
        row = line(row, "Centre", ways, c -> of(c, said, Reason.Centres.class));
        row = line(row, "Corners", ways, c -> Stream.of(
                        Reason.CornersAsk.class,
                        Reason.ValleysAtCorners.class,
                        Reason.CornerArcs.class,
                        Reason.HalvesAtCorners.class,
                        Reason.Ends.class)
                .map(kind -> of(c, said, kind))
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining("; ")));
        row = line(row, "Middle", ways, c -> {
            String middle = of(c, said, Reason.Middle.class);
            return middle.isEmpty() ? "no odd space" : middle;
        });
        row = line(
                row,
                "On a tick",
                ways,
                c -> Said.say(
                        "way.on-tick",
                        "on",
                        c.runs().stream()
                                .mapToInt(r -> r.onTick(bench.plan().job().tape()))
                                .sum(),
                        "all",
                        c.runs().stream().mapToInt(DividedRun::marksBetween).sum()));
        line(
                row,
                "Placements",
                ways,
                c -> ""
                        + ways.stream()
                                .filter(w -> w.candidate().equals(c))
                                .mapToInt(w -> w.plan().runs().stream()
                                        .filter(r -> c.byRun().containsKey(r.id()))
                                        .mapToInt(r -> r.laidOut().placements().size())
                                        .sum())
                                .sum());
    }

    /** The pictures, as large as the numbers leave room for. */
    private void draw() {
        pictures.getChildren().clear();
        double width = pictures.getWidth() * (100 - NAMES) / 100 / Math.max(1, ways.size());
        double height = pictures.getHeight();
        if (ways.isEmpty() || width < 2 * MARGIN || height < 2 * MARGIN) {
            return;
        }
        for (int i = 0; i < ways.size(); i++) {
            Canvas canvas = quilt(ways.get(i).plan(), ways.get(0).plan(), width, height);
            // Not managed, since the room they have mustn't follow from their own size.
            canvas.setManaged(false);
            canvas.relocate(pictures.getWidth() * NAMES / 100 + i * width, 0);
            pictures.getChildren().add(canvas);
        }
    }

    /** The largest change of a repeat against the one that is meant. */
    private String change(Candidate candidate) {
        double most = candidate.runs().stream()
                .mapToDouble(r -> r.division().largestChange())
                .max()
                .orElse(0);
        return most < Tolerances.SAME_PLACE ? "none" : bench.words().difference(most);
    }

    private static String of(Candidate candidate, DivisionWords said, Class<? extends Reason> kind) {
        return candidate.reasons().stream()
                .filter(kind::isInstance)
                .map(said::reason)
                .collect(Collectors.joining("; "));
    }

    private int line(int row, String name, List<Way> ways, Function<Candidate, String> text) {
        Label head = new Label(name);
        head.getStyleClass().add("length-label");
        grid.add(head, 0, row);
        GridPane.setValignment(head, VPos.TOP);
        String first = text.apply(ways.get(0).candidate());
        for (int i = 0; i < ways.size(); i++) {
            String here = text.apply(ways.get(i).candidate());
            boolean differs = !here.equals(first);
            Label label = Labelled.wrapped((differs ? "≠ " : "") + here, differs ? "compare-differs" : "reason");
            label.setId("compare-" + Words.decapital(name).replace(' ', '-') + "-" + (i + 1));
            label.setMaxWidth(Region.USE_COMPUTED_SIZE);
            grid.add(label, i + 1, row);
            GridPane.setValignment(label, VPos.TOP);
        }
        return row + 1;
    }

    private Canvas quilt(WorkPlan plan, WorkPlan first, double width, double height) {
        Canvas canvas = new Canvas(width, height);
        GraphicsContext g = canvas.getGraphicsContext2D();
        Palette p = look.palette();
        QuiltShape shape = plan.shape().orElseThrow();
        double across = extent(shape.outer(), true);
        double down = extent(shape.outer(), false);
        double scale = Math.min((width - 2 * MARGIN) / across, (height - 2 * MARGIN) / down);
        View view = new View(scale, width / 2, height / 2);
        g.setStroke(p.seam());
        g.setLineWidth(1);
        for (int i = shape.rings().size() - 1; i >= 0; i--) {
            RingShape ring = shape.rings().get(i);
            g.setFill(plan.job().quilt().border(ring.border()).plain() ? p.cloth() : p.border());
            polygon(g, view, ring.outer());
        }
        g.setFill(p.cloth());
        polygon(g, view, shape.body().corners());
        g.setStroke(p.stitch());
        g.setLineWidth(1.5);
        plan.lines().forEach(line -> view.stroke(g, line.path()));
        g.setStroke(p.chosen());
        g.setFill(p.chosen());
        for (RunPlan run : plan.runs()) {
            first.run(run.id()).ifPresent(other -> differences(g, view, run, other));
        }
        return canvas;
    }

    /** A diamond at each valley that stands elsewhere than any in the first way. */
    private static void differences(GraphicsContext g, View view, RunPlan run, RunPlan first) {
        List<Double> places = first.laidOut().marks().stream()
                .filter(m -> m.kind() == Mark.Kind.VALLEY)
                .map(Mark::along)
                .toList();
        for (Mark mark : run.laidOut().marks()) {
            boolean there = mark.kind() != Mark.Kind.VALLEY
                    || places.stream().anyMatch(p -> Math.abs(p - mark.along()) <= ELSEWHERE);
            if (!there) {
                double x = view.x(mark.place());
                double y = view.y(mark.place());
                g.fillPolygon(new double[] {x - 4, x, x + 4, x}, new double[] {y, y - 4, y, y + 4}, 4);
            }
        }
    }

    private static void polygon(GraphicsContext g, View view, List<Point> points) {
        double[] xs = points.stream().mapToDouble(view::x).toArray();
        double[] ys = points.stream().mapToDouble(view::y).toArray();
        g.fillPolygon(xs, ys, xs.length);
        g.strokePolygon(xs, ys, xs.length);
    }

    private static double extent(List<Point> points, boolean across) {
        return 2
                * points.stream()
                        .mapToDouble(p -> Math.abs(across ? p.x() : p.y()))
                        .max()
                        .orElse(1);
    }
}
