package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link Motif.Sails}: from each valley a curve to the outer mark half a repeat on, along the run; then the echoes,
 * from the far end back.
 *
 * <p>An echo is the sail moved along the run. At spacing s it starts s / sin t further along the seam, where t is the angle
 * between seam and sail at its foot (derived); that is the needle's walk.
 */
final class SailsLayout {

    private static final Param.Whole<Motif.Sails> ECHOES =
            Param.whole("echoes", 0, Motif.MOST_LINES, Motif.Sails::echoes);
    private static final Param.Length<Motif.Sails> SPACING =
            Param.length("spacing", Motif.CLOSEST, Motif.FARTHEST, Motif.Sails::spacing);

    static final MotifType<Motif.Sails> TYPE =
            new MotifType<>(
                    Motif.Sails.class,
                    "sails",
                    Params.of(v -> new Motif.Sails(v.get(ECHOES), v.get(SPACING)), Params.row(ECHOES, SPACING))) {

                @Override
                EdgeKind edge(Motif.Sails motif) {
                    return EdgeKind.ARC;
                }

                @Override
                List<Preset> offered() {
                    return List.of(Preset.onSeam("sails", new Motif.Sails(3, Preset.SPACING)));
                }

                @Override
                Optional<DivisionConstraints> asks(Layer layer, Motif.Sails motif, EdgeCatalog tools, double room) {
                    // From the seam to the limit, half a repeat on: no further than the circle is wide.
                    return tools.arc(layer.templateId(), layer.guideId())
                            .map(arc -> arc.stitchedRadius(tools.machine()))
                            .filter(r -> 2 * r > room)
                            .map(r -> DivisionConstraints.figures(
                                    OptionalDouble.empty(), 2 * Math.sqrt(4 * r * r - room * room), 0, 0));
                }

                @Override
                OptionalDouble echo(Motif.Sails motif) {
                    return motif.echoes() > 0 ? OptionalDouble.of(motif.spacing()) : OptionalDouble.empty();
                }

                @Override
                void knobs(Motif.Sails motif, KnobsOnRun<Motif.Sails> to) {
                    Optional<StitchLine> sail = to.first(Stitched.SAIL, 0);
                    Optional<StitchLine> echo = to.first(Stitched.ECHO, 1);
                    if (motif.echoes() > 0 && sail.isPresent() && echo.isPresent()) {
                        // The first echo comes back from the far edge: its foot is its end.
                        Point foot = echo.get().path().end();
                        double from = to.along(sail.get().path().start());
                        to.along(SPACING, foot, from, motif.spacing() / (to.along(foot) - from));
                    }
                }

                @Override
                void lay(RunContext laying, Motif.Sails motif, double echo) {
                    new SailsLayout(laying, motif).lay();
                }
            };

    /** An echo keeps as far from the next sail as this, in inches. */
    private static final double CLEAR = 1.0 / 16;

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Sails motif;

    private record Sail(int number, Arc arc, double walk, double room, StitchLine line) {}

    SailsLayout(RunContext laying, Motif.Sails motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
    }

    void lay() {
        Optional<ArcTemplate> template = laying.arc();
        if (template.isEmpty()) {
            return;
        }
        double radius = template.get().stitchedRadius(laying.machine());
        StitchingEdge tool = StitchingEdge.Round.of(template.get(), laying.machine());
        List<Sail> sails = new ArrayList<>();
        List<Figure> figures = space.divided();
        int number = 0;
        for (int i = 0; i < figures.size(); i++) {
            Cell cell = figures.get(i).cell();
            if (figures.get(i) instanceof Figure.Empty || cell.kind() == Cell.Kind.HALF) {
                continue;
            }
            Point foot = new Point(cell.from(), 0);
            Point tip = new Point(cell.middle(), space.room());
            Optional<Arc> own = ArcsBetween.of(foot, tip, radius, false);
            if (own.isEmpty()) {
                laying.tell(new LayoutDiagnostic.TooFar(foot.distance(tip), 2 * radius));
                continue;
            }
            sail(tool, i, cell, own.get(), ++number).ifPresent(sails::add);
        }
        // The second pass runs the other way.
        for (int i = sails.size() - 1; i >= 0; i--) {
            echoes(tool, sails.get(i));
        }
    }

    private Optional<Sail> sail(StitchingEdge tool, int index, Cell cell, Arc own, int number) {
        Mark start = laying.valley(index, cell.from(), 0);
        Mark end = laying.marker()
                .at(Mark.Kind.OUTER, number, space.place(cell.middle(), space.room()), Mark.Stage.LOADED);
        List<StitchLine> lines = laying.clipped(
                PlacementBuilder.Naming.of(Stitched.SAIL, number),
                List.of(new PlacementBuilder.Piece(
                        space.placed(own), tool, new Registration.FootOnBothMarks(), LineEnd.at(end))),
                LineEnd.at(start),
                PlacementBuilder.Turn.MARKED);
        double angle = Math.abs(own.direction(0).angle());
        double walk = motif.spacing() / Math.sin(angle);
        Path outline = new Path(List.of(
                space.placed(own),
                segment(cell.middle(), space.room(), cell.to(), space.room()),
                segment(cell.to(), space.room(), cell.to(), 0),
                segment(cell.to(), 0, cell.from(), 0)));
        laying.enclosed().add(new RunContext.Enclosed(index + 1, List.of(outline)));
        return lines.isEmpty()
                ? Optional.empty()
                : Optional.of(new Sail(number, own, walk, cell.width(), lines.get(0)));
    }

    private Segment segment(double x, double y, double toX, double toY) {
        return new Segment(space.place(x, y), space.place(toX, toY));
    }

    private void echoes(StitchingEdge tool, Sail sail) {
        int room = (int) Math.floor((sail.room() - CLEAR) / sail.walk());
        if (room < motif.echoes()) {
            laying.tell(new MotifDiagnostic.TooMany(motif.echoes(), Math.max(0, room)));
        }
        if (motif.echoes() > 0 && sail.number() == 1) {
            laying.tell(new MotifDiagnostic.Walk(motif.spacing(), sail.walk()));
        }
        StitchLine before = sail.line();
        double fromEdge = motif.spacing() - laying.machine().footRadius();
        if (fromEdge < 0 && motif.echoes() > 0) {
            laying.tell(new MotifDiagnostic.TooClose(
                    motif.spacing(), laying.machine().footRadius()));
            return;
        }
        for (int echo = 1; echo <= Math.min(room, motif.echoes()); echo++) {
            Arc own = new Arc(
                    sail.arc().centre().plus(new Point(echo * sail.walk(), 0)),
                    sail.arc().radius(),
                    sail.arc().startAngle(),
                    sail.arc().sweep());
            for (Path piece : laying.kept(Path.of(space.placed(own)))) {
                // From the outer edge in on every second one, so that the needle never goes back empty.
                Path way = echo % 2 == 1 ? piece.reversed() : piece;
                before = laying.sewing()
                        .stitch(
                                PlacementBuilder.Naming.of(Stitched.ECHO, sail.number(), echo),
                                way.curves().get(0),
                                tool,
                                new Registration.OnStitching(before.id(), fromEdge, false),
                                laying.shown(way.start()),
                                laying.shown(way.end()),
                                PlacementBuilder.Turn.SLIDING);
            }
        }
    }
}
