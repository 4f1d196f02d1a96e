package jollyspindle.desktop.control;

import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.Ray;
import jollyspindle.core.area.RayMove;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Gesture;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;

/**
 * The tape bent round the centre of the block or medallion that is looked at: degrees clockwise from the top, and at every ray
 * its number and what the straight tape reads where it meets the edge. The first arm's ray is dragged to turn all of them,
 * another to have more or fewer arms, circles, petals or points; the arrow keys step from ray to ray, plus and minus change their number, Shift with the
 * arrows turns them by a degree.
 */
public final class ProtractorTape extends Pane {

    /** How wide the band is, in pixels at the usual size of type. */
    static final double BAND = 34;

    /** Between the cloth's furthest corner and the band, in pixels. */
    static final double GAP = 8;

    /** For the readings above and below the band, in pixels at the usual size of type. */
    static final double READINGS = 40;

    /** For the readings beside it. */
    static final double READINGS_BESIDE = 78;

    /** On a table no wider than this, in pixels, readings would leave no room for the cloth. */
    private static final double NARROW = 480;

    private static final double REACH = 14;

    /** With more rays than this, only the usual ones and the one looked at are read. */
    private static final int MOST_READ = 16;

    private final Workbench bench;
    private final Look look;
    private final QuiltTable table;
    private final AreaSelection desk;
    private final Canvas canvas = new Canvas();
    private Ray taken;
    private AreaMotif.Counted takenMotif;
    private String takenName;
    private Gesture gesture;
    private final OneButton button = new OneButton();
    private Place place = new Place(0, 0, 1);

    public ProtractorTape(Workbench bench, Look look, QuiltTable table) {
        this.bench = bench;
        this.look = look;
        this.table = table;
        this.desk = bench.areas();
        setId("protractor");
        setFocusTraversable(true);
        setPickOnBounds(false);
        setAccessibleRole(AccessibleRole.SLIDER);
        canvas.setMouseTransparent(true);
        canvas.widthProperty().bind(widthProperty());
        canvas.heightProperty().bind(heightProperty());
        getChildren().add(canvas);
        table.setOnDrawn(this::draw);
        focusedProperty().addListener(o -> draw());
        widthProperty().addListener(o -> draw());
        heightProperty().addListener(o -> draw());
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(this::release);
        setOnKeyPressed(this::key);
        setCursor(Cursor.HAND);
        draw();
    }

    /** Whether there is a centre to bend it round. */
    public boolean isShown() {
        boolean stage = bench.stageProperty().get() == WorkStage.LAY_OUT
                || bench.stageProperty().get() == WorkStage.MARK;
        return stage
                && desk.piece().isPresent()
                && !(desk.area().orElse(null) instanceof Area.Body && rays().isEmpty());
    }

    /** Whether a table so wide has room for readings round the tape. */
    static boolean isRead(double width) {
        return width > NARROW;
    }

    // --- places ------------------------------------------------------------------------------------------------

    /**
     * Where it lies, in pixels: found anew with each drawing, not with each tick.
     *
     * @param inner from the centre to the band's inner edge
     */
    private record Place(double x, double y, double inner) {}

    private Place now() {
        Optional<AreaPlan.Cloth> cloth = desk.piece().map(AreaPlan.Piece::cloth);
        Point centre = cloth.map(AreaPlan.Cloth::centre).orElse(Point.ORIGIN);
        double reach = cloth.map(TableSight::reach).orElse(1.0);
        return new Place(
                table.view().x(centre),
                table.view().y(centre),
                reach * table.view().scale() + GAP);
    }

    private double inner() {
        return place.inner();
    }

    private double band() {
        return BAND * look.scaleProperty().get();
    }

    private double x() {
        return place.x();
    }

    private double y() {
        return place.y();
    }

    /** Only the band itself takes the mouse; the table below has the rest. */
    @Override
    public boolean contains(double x, double y) {
        double from = Math.hypot(x - x(), y - y());
        return isShown() && from >= inner() && from <= inner() + band();
    }

    private double angle(MouseEvent e) {
        return Math.atan2(e.getX() - x(), y() - e.getY());
    }

    private static double apart(double a, double b) {
        return Math.abs(Math.IEEEremainder(a - b, 2 * Math.PI));
    }

    /** The rays from the centre, about which the tape is bent. */
    private List<Ray> rays() {
        return desk.rays().stream().filter(ray -> ray.from().isEmpty()).toList();
    }

    private Optional<Ray> nearest(double angle) {
        return rays().stream().min(Comparator.comparingDouble(r -> apart(r.angle(), angle)));
    }

    // --- mouse and keys ----------------------------------------------------------------------------------------

    private void press(MouseEvent e) {
        if (!button.presses(e)) {
            e.consume();
            return;
        }
        letGo();
        requestFocus();
        double angle = angle(e);
        Optional<Ray> ray = nearest(angle);
        ray.ifPresent(r -> desk.showOn(r.number()));
        takenMotif = desk.counted().orElse(null);
        taken = takenMotif == null || !button.isPrimary()
                ? null
                : ray.filter(r -> apart(r.angle(), angle) * inner() < REACH).orElse(null);
        e.consume();
    }

    private void drag(MouseEvent e) {
        if (taken == null) {
            return;
        }
        RayMove.of(takenMotif, taken.angle(), angle(e))
                .ifPresent(moved -> desk.with(moved).ifPresent(design -> {
                    if (gesture == null) {
                        gesture = bench.begin();
                    }
                    takenName = moved.turn() == takenMotif.turn()
                            ? AreaSelection.named(moved)
                            : Said.say("step.turn", "angle", moved.turn());
                    desk.preview(gesture, design);
                }));
        e.consume();
    }

    private void release(MouseEvent e) {
        if (button.releases(e)) {
            if (gesture != null) {
                gesture.keep(takenName);
            }
            letGo();
        }
    }

    private void letGo() {
        if (gesture != null) {
            gesture.drop();
        }
        gesture = null;
        taken = null;
        takenName = null;
    }

    private void key(KeyEvent e) {
        double degree = Math.toRadians(1);
        switch (e.getCode()) {
            case RIGHT -> {
                if (e.isShiftDown()) {
                    desk.turnArms(degree);
                } else {
                    desk.stepRay(1);
                }
            }
            case LEFT -> {
                if (e.isShiftDown()) {
                    desk.turnArms(-degree);
                } else {
                    desk.stepRay(-1);
                }
            }
            case PLUS, ADD, EQUALS, UP -> desk.stepCount(1);
            case MINUS, SUBTRACT, DOWN -> desk.stepCount(-1);
            case HOME -> desk.counted().ifPresent(motif -> desk.turnArms(-motif.turn()));
            default -> {
                return;
            }
        }
        e.consume();
    }

    // --- drawing -----------------------------------------------------------------------------------------------

    private void draw() {
        boolean shown = isShown();
        setVisible(shown);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        if (!shown) {
            return;
        }
        place = now();
        Palette p = look.palette();
        band(g, p);
        ticks(g, p);
        rays().forEach(ray -> ray(g, p, ray));
        String said = desk.ray()
                .map(r -> Said.say(
                        "protractor.ray",
                        "ray",
                        Words.capital(new AreaWords(bench.words()).text(r)),
                        "angle",
                        r.angle()))
                .orElse(Words.count(rays().size(), Words.Thing.RAY));
        setAccessibleText(Said.say("protractor", "said", said));
    }

    private void band(GraphicsContext g, Palette p) {
        double middle = inner() + band() / 2;
        g.setLineCap(StrokeLineCap.BUTT);
        g.setLineDashes();
        g.setStroke(p.tape());
        g.setLineWidth(band());
        g.strokeOval(x() - middle, y() - middle, 2 * middle, 2 * middle);
        g.setLineWidth(isFocused() ? 2.5 : 1);
        g.setStroke(isFocused() ? p.chosen() : p.tapeInk());
        for (double r : new double[] {inner(), inner() + band()}) {
            g.strokeOval(x() - r, y() - r, 2 * r, 2 * r);
        }
    }

    private void ticks(GraphicsContext g, Palette p) {
        double perDegree = inner() * Math.toRadians(1);
        List<Ray> rays = rays();
        g.setStroke(p.tapeInk());
        g.setFill(p.tapeInk());
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        for (int degree = 0; degree < 360; degree++) {
            boolean fifth = degree % 5 == 0;
            if (!fifth && perDegree < 3.2) {
                continue;
            }
            double angle = Math.toRadians(degree);
            double length = degree % 15 == 0 ? 0.42 : fifth ? 0.3 : 0.18;
            g.setLineWidth(degree % 15 == 0 ? 1.6 : 1);
            stroke(g, angle, inner(), inner() + band() * length);
            boolean covered = degree % 30 != 0 || rays.stream().anyMatch(r -> apart(r.angle(), angle) * inner() < 20);
            if (!covered) {
                number(g, degree, angle);
            }
        }
    }

    /** Along the band, as on a tape; on the lower half the other way up, so that it is read without turning one's head. */
    private void number(GraphicsContext g, int degree, double angle) {
        g.save();
        g.translate(x(angle, 0.7), y(angle, 0.7));
        g.rotate(degree > 90 && degree < 270 ? degree + 180 : degree);
        g.setFont(look.font(14, false));
        g.fillText("" + degree, 0, 0);
        g.restore();
    }

    private void stroke(GraphicsContext g, double angle, double from, double to) {
        double sin = Math.sin(angle);
        double cos = Math.cos(angle);
        g.strokeLine(x() + from * sin, y() - from * cos, x() + to * sin, y() - to * cos);
    }

    /** A place in the band, as a part of its width. */
    private double x(double angle, double part) {
        return x() + (inner() + part * band()) * Math.sin(angle);
    }

    private double y(double angle, double part) {
        return y() - (inner() + part * band()) * Math.cos(angle);
    }

    private void ray(GraphicsContext g, Palette p, Ray ray) {
        boolean chosen = desk.ray().filter(ray::equals).isPresent();
        Color colour = chosen ? p.chosen() : p.mark();
        g.setStroke(colour);
        g.setLineWidth(chosen ? 3.5 : 1.6);
        switch (ray.found()) {
            case USUAL, READ -> g.setLineDashes();
            case HALVED -> g.setLineDashes(6, 4);
            case STEPPED -> g.setLineDashes(2, 4);
        }
        stroke(g, ray.angle(), chosen ? 12 : inner() - GAP - 10, inner());
        g.setLineDashes();
        g.setLineWidth(chosen ? 4 : 2.4);
        stroke(g, ray.angle(), inner(), inner() + band() * 0.45);
        int count = rays().size();
        boolean numbered = chosen || count <= 32 || (ray.number() - 1) % 4 == 0;
        g.setFill(chosen ? p.chosen() : p.tapeInk());
        if (numbered) {
            g.setFont(look.font(chosen ? 17 : 15, true));
            g.fillText("" + ray.number(), x(ray.angle(), 0.72), y(ray.angle(), 0.72));
        }
        if (isRead(getWidth()) && (chosen || count <= MOST_READ || ray.found() == Ray.Found.USUAL)) {
            reading(g, p, ray, chosen);
        }
    }

    /** What the straight tape reads on the edge, outside the band, kept on the table: which way, and scant or generous below. */
    private void reading(GraphicsContext g, Palette p, Ray ray, boolean chosen) {
        double type = look.scaleProperty().get();
        TapeReading read = bench.plan().job().tape().read(Math.abs(ray.fromMiddle()));
        boolean middle = Math.abs(ray.fromMiddle()) < Tolerances.ROUNDING;
        String whole = read.text();
        int space = whole.lastIndexOf(' ');
        boolean qualified = space > 0 && Character.isLetter(whole.charAt(space + 1));
        String number = qualified ? whole.substring(0, space) : whole;
        String first = middle
                ? "middle"
                : switch (ray.toward()) {
                    case TOP -> "↑ " + number;
                    case RIGHT -> number + " →";
                    case BOTTOM -> "↓ " + number;
                    case LEFT -> "← " + number;
                };
        String second = middle || !qualified ? "" : whole.substring(space + 1);
        g.setFont(look.font(14, chosen));
        double half = (Math.max(first.length(), second.length()) * 4.1 + 3) * type;
        double high = (second.isEmpty() ? 10 : 18) * type;
        double sin = Math.sin(ray.angle());
        double cos = Math.cos(ray.angle());
        // So far out that the box just touches the band, however it lies to it.
        double out = inner() + band() + 3 + half * Math.abs(sin) + high * Math.abs(cos);
        double at = x() + out * sin;
        double down = y() - out * cos;
        double kept = Math.max(half + 2, Math.min(getWidth() - half - 2, at));
        double keptDown = Math.max(high + 2, Math.min(getHeight() - high - 2, down));
        g.setFill(p.table());
        g.fillRoundRect(kept - half, keptDown - high, 2 * half, 2 * high, 6, 6);
        if (chosen) {
            g.setStroke(p.chosen());
            g.setLineWidth(1.5);
            g.strokeRoundRect(kept - half, keptDown - high, 2 * half, 2 * high, 6, 6);
        }
        g.setFill(chosen ? p.chosen() : p.ink());
        if (second.isEmpty()) {
            g.fillText(first, kept, keptDown);
        } else {
            g.fillText(first, kept, keptDown - 8 * type);
            g.fillText(second, kept, keptDown + 8 * type);
        }
    }
}
