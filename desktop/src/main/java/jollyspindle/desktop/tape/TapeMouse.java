package jollyspindle.desktop.tape;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.desktop.control.OneButton;
import jollyspindle.desktop.model.Workbench;

import java.util.Comparator;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;

/** What the mouse does on the tape: it points at marks and holds them, drags valleys, moves and zooms what is seen. */
final class TapeMouse {

    private static final double GRASP = 40;
    private static final double NEAR = 9;
    private ValleyDrag drag;

    /** Whether a mark was clicked, and so stays pointed at while the mouse goes elsewhere. */
    private boolean held;

    private double pressedX;
    private Stretch pressedView;
    private final OneButton button = new OneButton();

    private final TapeView tape;
    private final Workbench bench;

    TapeMouse(TapeView tape, Workbench bench) {
        this.tape = tape;
        this.bench = bench;
    }

    /** Follows the mouse on the drawing. */
    void follow(Node drawing) {
        drawing.setOnMouseMoved(e -> {
            if (!held || bench.selection().pointedProperty().get() == null) {
                held = false;
                bench.selection().pointedProperty().set(nearest(e.getX(), GRASP).orElse(null));
            }
        });
        drawing.setOnMouseClicked(this::clicked);
        drawing.setOnMousePressed(this::pressed);
        drawing.setOnMouseDragged(this::dragged);
        drawing.setOnMouseReleased(this::released);
        drawing.setOnScroll(this::scroll);
    }

    private void pressed(MouseEvent e) {
        if (!button.presses(e)) {
            return;
        }
        letGo();
        tape.requestFocus();
        pressedX = e.getX();
        pressedView = null;
        tape.tell(true);
        bench.run().ifPresent(run -> {
            pressedView = tape.view(run);
            Optional<Mark> taken = nearest(e.getX(), NEAR);
            taken.ifPresent(bench.selection().pointedProperty()::set);
            if (button.isPrimary()) {
                taken.flatMap(m -> tape.pointedValley(run))
                        .ifPresent(m -> drag = new ValleyDrag(bench, run, m.number()));
            }
        });
        if (e.getClickCount() == 2 && drag != null) {
            bench.run()
                    .flatMap(tape::pointedValley)
                    .ifPresent(m -> tape.ask(m, tape.zero(bench.run().orElseThrow())));
            drag = null;
        }
    }

    private void dragged(MouseEvent e) {
        RunPlan run = bench.run().orElse(null);
        if (run == null || pressedView == null) {
            return;
        }
        if (drag != null) {
            double along = tape.view(run).along(e.getX());
            // Held Alt lets it go between the ticks for once.
            boolean snapped = tape.isSnapping() != e.isAltDown();
            tape.tell(drag.to(
                    snapped ? tape.zero(run).snapped(along, bench.plan().job().tape()) : along));
        } else {
            tape.look(pressedView.moved(
                    (pressedX - e.getX()) / pressedView.scale(), run.division().length()));
        }
    }

    private void released(MouseEvent e) {
        if (button.releases(e)) {
            if (drag != null) {
                drag.end();
                drag = null;
            }
            letGo();
        }
    }

    private void letGo() {
        pressedView = null;
        if (drag != null) {
            drag.drop();
            drag = null;
        }
    }

    /** A click holds the mark that is pointed at, for the keys and buttons that do something with it; beside all it lets go. */
    private void clicked(MouseEvent e) {
        if (e.isStillSincePress()) {
            Optional<Mark> mark = nearest(e.getX(), GRASP);
            held = mark.isPresent();
            bench.selection().pointedProperty().set(mark.orElse(null));
        }
    }

    private void scroll(ScrollEvent e) {
        bench.run().ifPresent(run -> {
            Stretch view = tape.view(run);
            double delta = e.getDeltaY() == 0 ? e.getDeltaX() : e.getDeltaY();
            if (delta != 0) {
                tape.look(
                        e.isShiftDown()
                                ? view.moved(
                                        -delta / view.scale(), run.division().length())
                                : view.zoomed(
                                        delta > 0 ? TapeView.ZOOM : 1 / TapeView.ZOOM,
                                        view.along(e.getX()),
                                        run.division().length()));
            }
        });
        e.consume();
    }

    private Optional<Mark> nearest(double x, double within) {
        return bench.run().flatMap(run -> {
            Stretch view = tape.view(run);
            return run.laidOut().marks().stream()
                    .filter(m -> view.shows(m.along()) && Math.abs(view.x(m.along()) - x) < within)
                    .min(Comparator.comparingDouble(m -> Math.abs(view.x(m.along()) - x)));
        });
    }
}
