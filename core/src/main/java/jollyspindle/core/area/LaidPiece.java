package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.PlacementId;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.route.Routed;
import jollyspindle.core.route.Travel;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What is stitched in a piece, in the order of the needle, and the marks it takes. Blocks that nothing lies on are alike up to
 * where they are: one is laid out, and moved to where the others are.
 *
 * @param seams that the needle can travel in
 * @param inside those of them that lie in the piece
 * @param drawn on the cloth before the first stitch
 */
record LaidPiece(Routed routed, List<Mark> marks, List<Path> seams, List<Path> inside, List<Path> drawn) {

    static final LaidPiece NOTHING =
            new LaidPiece(new Routed(List.of(), List.of(), List.of()), List.of(), List.of(), List.of(), List.of());

    /**
     * The same in another piece.
     *
     * @param by how far that one is away
     * @param to that piece
     */
    LaidPiece moved(Point by, PieceId to) {
        return new Move(by, to).all(this);
    }

    /** One move of a piece; each line and mark is moved once, whoever refers to it. */
    private static final class Move {

        private final Point by;
        private final PieceId to;
        private final Map<LineId, StitchLine> lines = new HashMap<>();
        private final Map<MarkId, Mark> marks = new HashMap<>();

        Move(Point by, PieceId to) {
            this.by = by;
            this.to = to;
        }

        LaidPiece all(LaidPiece piece) {
            return new LaidPiece(
                    new Routed(
                            piece.routed.lines().stream().map(this::line).toList(),
                            piece.routed.placements().stream()
                                    .map(this::placement)
                                    .toList(),
                            piece.routed.travels().stream()
                                    .map(t -> new Travel(
                                            t.to().on(to), t.how(), t.path().moved(by)))
                                    .toList()),
                    piece.marks.stream().map(this::mark).toList(),
                    moved(piece.seams),
                    moved(piece.inside),
                    moved(piece.drawn));
        }

        private List<Path> moved(List<Path> paths) {
            return paths.stream().map(path -> path.moved(by)).toList();
        }

        private StitchLine line(StitchLine line) {
            return lines.computeIfAbsent(
                    line.id(),
                    id -> new StitchLine(
                            id.on(to), line.layer(), line.passes(), line.path().moved(by)));
        }

        private Mark mark(Mark mark) {
            return marks.computeIfAbsent(
                    mark.id(), id -> mark.at(id.on(to), mark.place().plus(by)));
        }

        private LineEnd spot(LineEnd spot) {
            return new LineEnd(
                    spot.place().plus(by), spot.shownBy(), spot.mark().map(this::mark));
        }

        private Placement placement(Placement p) {
            return new Placement(
                    new PlacementId(p.id().line().on(to), p.id().part()),
                    line(p.of()),
                    p.part(),
                    p.parts(),
                    p.tool(),
                    new Pose(
                            p.pose().position().plus(by),
                            p.pose().rotation(),
                            p.pose().over()),
                    p.registration().with(this::mark, id -> id.on(to)),
                    spot(p.start()),
                    spot(p.end()),
                    p.path().moved(by));
        }
    }
}
