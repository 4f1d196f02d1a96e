package jollyspindle.core.area;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.route.Routed;
import jollyspindle.core.route.Travel;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What is stitched in a piece, in the order of the needle, and the marks it takes. Blocks that nothing lies on are alike up to
 * where they are: one is laid out, and moved to where the others are.
 */
record LaidPiece(Routed routed, List<Mark> marks) {

    static final LaidPiece NOTHING = new LaidPiece(new Routed(List.of(), List.of(), List.of()), List.of());

    /**
     * The same in another piece.
     *
     * @param by how far that one is away
     * @param stem what names of this piece's lines and marks begin with
     * @param other what that piece's do
     */
    LaidPiece moved(Point by, String stem, String other) {
        return new Move(by, stem, other).all(this);
    }

    /** One move of a piece; each line and mark is moved once, whoever refers to it. */
    private static final class Move {

        private final Point by;
        private final String stem;
        private final String other;
        private final Map<String, StitchLine> lines = new HashMap<>();
        private final Map<String, Mark> marks = new HashMap<>();

        Move(Point by, String stem, String other) {
            this.by = by;
            this.stem = stem;
            this.other = other;
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
                                            name(t.to()), t.how(), t.path().moved(by)))
                                    .toList()),
                    piece.marks.stream().map(this::mark).toList());
        }

        private String name(String id) {
            return id.startsWith(stem) ? other + id.substring(stem.length()) : id;
        }

        private StitchLine line(StitchLine line) {
            return lines.computeIfAbsent(
                    line.id(),
                    id -> new StitchLine(
                            name(id),
                            line.region(),
                            line.layer(),
                            line.kind(),
                            line.number(),
                            line.sub(),
                            line.passes(),
                            line.path().moved(by)));
        }

        private Mark mark(Mark mark) {
            return marks.computeIfAbsent(
                    mark.id(), id -> mark.at(name(id), mark.place().plus(by)));
        }

        private LineEnd spot(LineEnd spot) {
            return new LineEnd(
                    spot.place().plus(by), spot.shownBy(), spot.mark().map(this::mark));
        }

        private Placement placement(Placement p) {
            return new Placement(
                    name(p.id()),
                    line(p.of()),
                    p.part(),
                    p.parts(),
                    p.tool(),
                    new Pose(
                            p.pose().position().plus(by),
                            p.pose().rotation(),
                            p.pose().over()),
                    registration(p.registration()),
                    spot(p.start()),
                    spot(p.end()),
                    p.path().moved(by));
        }

        private Registration registration(Registration registration) {
            if (registration instanceof Registration.OnSeam on) {
                return new Registration.OnSeam(on.what(), on.far(), on.centre().map(this::mark));
            }
            if (registration instanceof Registration.OnStitching on) {
                return new Registration.OnStitching(name(on.lineId()), on.fromEdge(), on.engraved());
            }
            if (registration instanceof Registration.OnRow on) {
                return new Registration.OnRow(
                        on.line(), on.belowCrowns(), on.lineId().map(this::name));
            }
            if (registration instanceof Registration.CentreOnMark on) {
                return new Registration.CentreOnMark(mark(on.centre()), on.legOnSeam());
            }
            if (registration instanceof Registration.NotchOnMark on) {
                return new Registration.NotchOnMark(mark(on.mark()), on.below(), on.far());
            }
            if (registration instanceof Registration.OnRay on) {
                return new Registration.OnRay(mark(on.centre()), mark(on.ray()), on.hooked());
            }
            if (registration instanceof Registration.AtAngle
                    || registration instanceof Registration.FootOnBothMarks
                    || registration instanceof Registration.OnMitre) {
                return registration;
            }
            throw new IllegalStateException("how is " + registration + " moved?");
        }
    }
}
