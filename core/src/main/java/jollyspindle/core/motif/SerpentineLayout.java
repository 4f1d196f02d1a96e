package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.List;
import java.util.Optional;

/** Lays out {@link Motif.Serpentine}: an S of two arcs from edge to edge, up one and down the next. */
final class SerpentineLayout {

    private final Laying laying;
    private final RunSpace space;
    private final Motif.Serpentine motif;

    SerpentineLayout(Laying laying, Motif.Serpentine motif) {
        this.laying = laying;
        this.space = laying.space;
        this.motif = motif;
    }

    void lay() {
        Optional<ArcTemplate> template = laying.arc();
        if (template.isEmpty()) {
            return;
        }
        double radius = template.get().stitchedRadius(laying.machine());
        double half = space.room() / 2;
        if (half > 2 * radius) {
            laying.obstacle(new Obstacle.TooFar(half, 2 * radius));
            return;
        }
        Tool tool = Tool.Round.of(template.get(), laying.machine());
        int number = 0;
        for (Figure figure : space.divided()) {
            Cell cell = figure.cell();
            if (figure instanceof Figure.Empty) {
                continue;
            }
            int lines = cell.kind() == Cell.Kind.HALF ? (motif.perRepeat() + 1) / 2 : motif.perRepeat();
            for (int i = 0; i < lines; i++) {
                serpentine(tool, radius, cell.from() + (i + 0.5) * cell.width() / lines, ++number);
            }
        }
        if (number % 2 == 1) {
            laying.obstacle(new Obstacle.Parity(false));
        }
    }

    private void serpentine(Tool tool, double radius, double along, int number) {
        Point low = new Point(along, 0);
        Point middle = new Point(along, space.room() / 2);
        Point high = new Point(along, space.room());
        Arc first = ArcsBetween.of(low, middle, radius, motif.mirrored()).orElseThrow();
        Arc second = ArcsBetween.of(middle, high, radius, !motif.mirrored()).orElseThrow();
        double bulge = first.radius() * (1 - Math.cos(first.sweep() / 2));
        if (along - bulge < -1e-9 || along + bulge > space.length() + 1e-9) {
            laying.obstacle(new Obstacle.TooHigh(Math.max(bulge - along, along + bulge - space.length())));
            return;
        }
        Mark start = laying.marker().next(Mark.Kind.LINE_START, space.place(along, 0), Mark.Stage.LOADED);
        Mark turn = laying.marker().next(Mark.Kind.TURN, space.place(along, middle.y()), Mark.Stage.LOADED);
        Mark end = laying.marker().next(Mark.Kind.LINE_END, space.place(along, space.room()), Mark.Stage.LOADED);
        boolean up = number % 2 == 1;
        Arc one = up ? first : second.reversed();
        Arc two = up ? second : first.reversed();
        Registration registration = new Registration.FootOnBothMarks();
        laying.stitch(
                Sewing.Naming.of(Stitched.SERPENTINE, number),
                List.of(
                        new Sewing.Piece(space.placed(one), tool, registration, Spot.at(turn)),
                        new Sewing.Piece(space.placed(two), tool, registration, Spot.at(up ? end : start))),
                Spot.at(up ? start : end),
                Sewing.Turn.MARKED);
    }
}
