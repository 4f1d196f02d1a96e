package jollyspindle.core.motif;

import jollyspindle.core.division.Figure;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.List;
import java.util.Optional;

/** Lays out {@link Motif.Arcs}: a row of arcs, then line by line what is nested in them. */
final class ArcsLayout {

    private final LayoutContext laying;
    private final Motif.Arcs motif;

    ArcsLayout(LayoutContext laying, Motif.Arcs motif) {
        this.laying = laying;
        this.motif = motif;
    }

    void lay() {
        ArcRow row = new ArcRow(laying, 0, motif.passes());
        Optional<ArcTemplate> other =
                motif.otherTemplate().flatMap(id -> laying.tools.arc(Optional.of(id), Optional.empty()));
        if (motif.otherTemplate().isPresent() && other.isEmpty()) {
            laying.obstacle(new Obstacle.NoTool(Obstacle.EdgeKind.ARC, 0));
        }
        List<Figure> figures = laying.space.divided();
        for (int i = 0; i < figures.size(); i++) {
            if (other.isPresent() && i % 2 == 1 && figures.get(i) instanceof Figure.WholeArc arc) {
                inTurn(row, arc, other.get(), i);
            } else {
                row.lay(figures.get(i), i);
            }
        }
        if (other.isPresent() && figures.size() % 2 == 0) {
            laying.obstacle(new Obstacle.Parity(true));
        }
        for (int line = 1; line < motif.lines(); line++) {
            row.inner(line, motif.inner(), drop(row, line), motif.lines());
        }
        row.enclose();
    }

    private void inTurn(ArcRow row, Figure.WholeArc arc, ArcTemplate other, int index) {
        double span = arc.cell().width();
        Optional<ArcFit> fit = ArcFit.of(other, laying.machine(), span, laying.space.room(), laying.space.clearance());
        if (fit.isEmpty()) {
            laying.obstacle(new Obstacle.TooFar(span, ArcFit.widest(other, laying.machine())));
            return;
        }
        if (!fit.get().fitsRoom()) {
            laying.obstacle(new Obstacle.TooHigh(fit.get().overRoom()));
        }
        row.whole(other, fit.get(), arc.cell().from(), arc.cell().to(), index);
    }

    /** From the first line's crown down to another's; chosen rises are meant for the run's usual arc. */
    private double drop(ArcRow row, int line) {
        if (motif.rises().isEmpty() || row.done().isEmpty()) {
            return line * motif.step();
        }
        List<Double> rises = motif.rises();
        double last = rises.get(rises.size() - 1);
        double rise = line <= rises.size() ? rises.get(line - 1) : last - (line - rises.size()) * motif.step();
        return row.done().get(0).segment().height() - rise;
    }
}
