package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
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
 * Lays out {@link Motif.Sails}: from each valley a curve to the outer mark half a repeat on, and from there one down to the next
 * valley, along the run; then the echoes, from the far end back, each from the seam to where it meets the curve that leads down.
 *
 * <p>An echo starts and ends where lines as far from each other everywhere would: at spacing s the walk along what crosses it at
 * angle t is s / sin t (derived). Where the templates have the radii, echoes are those lines; else the sail's own template is
 * laid through their ends.
 */
final class SailsLayout {

    private static final Param.Whole<Motif.Sails> ECHOES =
            Param.whole("echoes", 0, Motif.MOST_LINES, Motif.Sails::echoes);
    private static final Param.Length<Motif.Sails> SPACING =
            Param.length("spacing", Motif.CLOSEST, Motif.FARTHEST, Motif.Sails::spacing);

    private static final Param.Choice<Motif.Sails, Motif.Lean> LEAN =
            Param.choice("lean", Motif.Lean.class, Motif.Sails::lean).usually(Motif.Lean.LEFT);

    static final MotifType<Motif.Sails> TYPE =
            new MotifType<>(
                    Motif.Sails.class,
                    "sails",
                    Params.of(
                            v -> new Motif.Sails(v.get(ECHOES), v.get(SPACING), v.get(LEAN)),
                            Params.row(LEAN),
                            Params.row(ECHOES, SPACING))) {

                @Override
                EdgeKind edge(Motif.Sails motif) {
                    return EdgeKind.ARC;
                }

                @Override
                List<Preset> offered() {
                    return List.of(Preset.onSeam("sails", new Motif.Sails(3, Preset.SPACING, Motif.Lean.RIGHT)));
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
                OptionalDouble leastRadius(Motif.Sails motif, double repeat, double room) {
                    return OptionalDouble.of(least(repeat / 2, room));
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
                        // The last echo on the way back ends on the seam.
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

    /** Shorter echoes than this, in inches, are nothing to be seen. */
    private static final double SHORTEST = 0.5;

    /** How many places of an echo are looked at for how near it comes to the line before. */
    private static final int LOOKS = 32;

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Sails motif;

    /** Where one sail stands, in the space's own frame; the numbers of its valleys are those of the cells there, if they are any. */
    private record Span(double from, double tip, double to, int first, int next) {}

    /** A sail, in the space's own frame, and what is stitched of it. */
    private record Sail(int number, Arc up, Arc down, StitchLine line) {

        /** Whether nothing is cut off it. */
        boolean whole() {
            return Math.abs(line.path().length() - up.length() - down.length()) < Tolerances.SAME_PLACE;
        }

        /** How far along the curve that leads down a place on it is, in inches. */
        double along(Point place) {
            return down.length() * down.nearest(place);
        }

        double radius(int echo, double spacing) {
            // To the right of the way up lies the inside.
            return up.radius() + (up.sweep() < 0 ? -1 : 1) * echo * spacing;
        }

        Region inside() {
            return Region.of(new Path(List.of(up, down, new Segment(down.end(), up.start()))));
        }
    }

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
        StitchingEdge.Round tool = StitchingEdge.Round.of(template.get(), laying.machine());
        List<Sail> sails = new ArrayList<>();
        int number = 0;
        for (Span span : spans()) {
            sail(tool, span, radius, ++number).ifPresent(sails::add);
        }
        List<List<Arc>> echoes =
                sails.stream().map(sail -> echoes(sail, radius)).toList();
        Optional<List<ArcTemplate>> parallel = parallel(sails, echoes);
        // The second pass runs the other way.
        for (int i = sails.size() - 1; i >= 0; i--) {
            echo(sails.get(i), echoes.get(i), tool, parallel);
        }
        tellOfEchoes(sails, echoes, parallel.isPresent());
    }

    // --- the sails ---------------------------------------------------------------------------------------------------

    /** A sail for each repeat; where half repeats stand at the ends, tips stand on the marks that begin there. */
    private List<Span> spans() {
        List<Figure> figures = space.divided();
        List<Span> spans = new ArrayList<>();
        boolean halves = figures.size() > 1
                && figures.get(0).cell().kind() == Cell.Kind.HALF
                && figures.get(figures.size() - 1).cell().kind() == Cell.Kind.HALF;
        for (int i = 0; i < figures.size(); i++) {
            Cell cell = figures.get(i).cell();
            if (halves && i > 0) {
                Cell before = figures.get(i - 1).cell();
                spans.add(new Span(
                        i == 1 ? before.from() : before.middle(),
                        cell.from(),
                        i == figures.size() - 1 ? cell.to() : cell.middle(),
                        i == 1 ? 0 : -1,
                        i == figures.size() - 1 ? i + 1 : -1));
            } else if (!halves && !(figures.get(i) instanceof Figure.Empty) && cell.kind() != Cell.Kind.HALF) {
                spans.add(new Span(cell.from(), cell.middle(), cell.to(), i, i + 1));
            }
        }
        return spans;
    }

    private Optional<Sail> sail(StitchingEdge.Round tool, Span span, double radius, int number) {
        Point foot = new Point(span.from(), 0);
        Point tip = new Point(span.tip(), space.room());
        Point next = new Point(span.to(), 0);
        Optional<Arc> up = ArcsBetween.of(foot, tip, radius, motif.lean() != Motif.Lean.LEFT);
        Optional<Arc> down = ArcsBetween.of(tip, next, radius, motif.lean() != Motif.Lean.RIGHT);
        if (up.isEmpty() || down.isEmpty()) {
            double apart = Math.max(foot.distance(tip), tip.distance(next));
            laying.tell(new LayoutDiagnostic.TooFar(apart, 2 * radius));
            return Optional.empty();
        }
        double half = Math.min(span.tip() - span.from(), span.to() - span.tip());
        double least = least(half, space.room());
        if (radius < least - Tolerances.CHALK) {
            laying.tell(new MotifDiagnostic.TooRound(radius, least));
            if (motif.lean() == Motif.Lean.UPRIGHT) {
                // Where both curves bulge outwards, neighbours would cross.
                return Optional.empty();
            }
        }
        LineEnd start = valley(span.first(), span.from());
        LineEnd top = LineEnd.at(
                laying.marker().at(Mark.Kind.OUTER, number, space.place(tip.x(), tip.y()), Mark.Stage.LOADED));
        List<StitchLine> lines = laying.clipped(
                PlacementBuilder.Naming.of(Stitched.SAIL, number),
                List.of(
                        new PlacementBuilder.Piece(
                                space.placed(up.get()), tool, new Registration.FootOnBothMarks(), top),
                        new PlacementBuilder.Piece(
                                space.placed(down.get()),
                                tool,
                                new Registration.FootOnBothMarks(),
                                valley(span.next(), span.to()))),
                start,
                PlacementBuilder.Turn.MARKED);
        Path outline = new Path(List.of(
                space.placed(up.get()),
                space.placed(down.get()),
                new Segment(space.place(span.to(), 0), space.place(span.from(), 0))));
        laying.enclosed().add(new RunContext.Enclosed(number, List.of(outline)));
        return lines.isEmpty() ? Optional.empty() : Optional.of(new Sail(number, up.get(), down.get(), lines.get(0)));
    }

    /**
     * The radius of a curve over half a repeat and up the room that is upright at one end, or level: a smaller one bulges beyond
     * the two (derived).
     */
    private static double least(double half, double room) {
        return (half * half + room * room) / (2 * Math.min(half, room));
    }

    private LineEnd valley(int index, double along) {
        return LineEnd.at(laying.valley(index, along, 0));
    }

    // --- their echoes ------------------------------------------------------------------------------------------------

    /** The echoes of a sail as they would be stitched with its own template, from the outermost in, as many as have room. */
    private List<Arc> echoes(Sail sail, double radius) {
        Region inside = sail.inside();
        List<Arc> echoes = new ArrayList<>();
        while (echoes.size() < motif.echoes()) {
            Optional<Arc> parallel = parallel(sail, inside, echoes.size() + 1);
            Optional<Arc> own = parallel.flatMap(
                    p -> ArcsBetween.of(p.start(), p.end(), radius, sail.up().sweep() < 0));
            if (own.isEmpty()) {
                break;
            }
            echoes.add(own.get());
        }
        return echoes;
    }

    /** A line inside a sail that is as far from its first curve everywhere, from the seam to the curve that leads down. */
    private Optional<Arc> parallel(Sail sail, Region inside, int echo) {
        double radius = sail.radius(echo, motif.spacing());
        if (radius <= Tolerances.SAME_PLACE) {
            return Optional.empty();
        }
        Arc up = sail.up();
        double whole = up.sweep() < 0 ? -2 * Math.PI : 2 * Math.PI;
        // It begins beyond the foot, so that what is wanted of it isn't parted.
        Path circle = Path.of(new Arc(up.centre(), radius, up.startAngle() + (up.sweep() - whole) / 2, whole));
        return inside.within(circle).stream()
                .filter(p -> p.length() >= SHORTEST && p.curves().size() == 1)
                .filter(p -> Math.abs(p.start().y()) < Tolerances.SAME_PLACE)
                .filter(p -> sail.down().distance(p.end()) < Tolerances.SAME_PLACE)
                .map(p -> (Arc) p.curves().get(0))
                .findFirst();
    }

    /** The templates that stitch each echo as far from the one before everywhere; nothing unless there are all of them. */
    private Optional<List<ArcTemplate>> parallel(List<Sail> sails, List<List<Arc>> echoes) {
        int most = echoes.stream().mapToInt(List::size).max().orElse(0);
        List<ArcTemplate> templates = new ArrayList<>();
        for (int echo = 1; echo <= most; echo++) {
            laying.tools()
                    .arcOfRadius(sails.get(0).radius(echo, motif.spacing()))
                    .ifPresent(templates::add);
        }
        return templates.size() == most ? Optional.of(templates) : Optional.empty();
    }

    /**
     * Stitches a sail's echoes, the innermost first, so that the last one leads down to the seam. Each is laid by the walk from the
     * ends of the line before, along the seam and along the curve that leads down; where something cuts it off, its ends are marked.
     */
    private void echo(Sail sail, List<Arc> echoes, StitchingEdge.Round tool, Optional<List<ArcTemplate>> parallel) {
        Arc earlier = sail.up();
        StitchLine before = sail.line();
        for (int echo = echoes.size(); echo >= 1; echo--) {
            Arc through = echoes.get(echo - 1);
            StitchingEdge.Round edge = parallel.isEmpty()
                    ? tool
                    : StitchingEdge.Round.of(parallel.get().get(echo - 1), laying.machine());
            Arc own = ArcsBetween.of(
                            through.start(),
                            through.end(),
                            edge.stitched(),
                            sail.up().sweep() < 0)
                    .orElse(through);
            boolean down = echo % 2 == 1;
            int number = (sail.number() - 1) * motif.echoes() + echo;
            double walk = own.start().distance(earlier.start());
            double climb = Math.abs(sail.along(own.end()) - sail.along(earlier.end()));
            List<Path> pieces = laying.kept(Path.of(space.placed(down ? own.reversed() : own)));
            boolean whole = pieces.size() == 1
                    && Math.abs(pieces.get(0).length() - own.length()) < Tolerances.SAME_PLACE
                    && sail.whole()
                    && space.isOnSeam()
                    && Math.abs(own.sweep()) <= edge.usable() + Tolerances.ROUNDING;
            for (Path piece : pieces) {
                before = laying.sewing()
                        .stitch(
                                PlacementBuilder.Naming.of(Stitched.ECHO, sail.number(), echo),
                                piece.curves().get(0),
                                edge,
                                whole
                                        ? new Registration.Stepped(
                                                before.id(), down ? climb : walk, down ? walk : climb)
                                        : new Registration.FootOnBothMarks(),
                                whole ? laying.shown(piece.start()) : ending(piece.start(), own, number),
                                whole ? laying.shown(piece.end()) : ending(piece.end(), own, number),
                                PlacementBuilder.Turn.MARKED);
            }
            earlier = own;
        }
    }

    /** An echo's end: marked on the seam, on the curve it meets, or where something cut it off. */
    private LineEnd ending(Point place, Arc own, int number) {
        if (place.distance(space.placed(own).start()) < Tolerances.SAME_PLACE) {
            return LineEnd.at(laying.marker().at(Mark.Kind.LINE_START, number, place, Mark.Stage.LOADED));
        }
        return place.distance(space.placed(own).end()) < Tolerances.SAME_PLACE
                ? LineEnd.at(laying.marker()
                        .later(
                                Mark.Kind.LINE_END,
                                number,
                                place,
                                new Mark.After(Mark.Pass.FIRST_LINES, laying.number())))
                : laying.marked(Mark.Kind.LINE_END, place);
    }

    private void tellOfEchoes(List<Sail> sails, List<List<Arc>> echoes, boolean parallel) {
        int room = echoes.stream().mapToInt(List::size).min().orElse(motif.echoes());
        if (room < motif.echoes()) {
            laying.tell(new MotifDiagnostic.TooMany(motif.echoes(), room));
        }
        if (room == 0 || motif.echoes() == 0 || sails.isEmpty()) {
            return;
        }
        Sail sail = sails.get(0);
        List<Arc> own = echoes.get(0);
        Point foot = own.get(0).start();
        double walk = foot.distance(sail.up().start());
        Arc down = sail.down();
        double climb =
                down.radius() * Math.abs(down.sweep()) * down.nearest(own.get(0).end());
        laying.tell(new MotifDiagnostic.Walk(motif.spacing(), walk, climb));
        if (!parallel) {
            double narrowest = motif.spacing();
            double widest = motif.spacing();
            Arc before = sail.up();
            for (Arc echo : own) {
                for (int i = 0; i <= LOOKS; i++) {
                    Point on = echo.at((double) i / LOOKS);
                    double nearest = before.nearest(on);
                    // Beyond the ends of the line before there is nothing to be apart from.
                    if (nearest > 0 && nearest < 1) {
                        double gap = on.distance(before.at(nearest));
                        narrowest = Math.min(narrowest, gap);
                        widest = Math.max(widest, gap);
                    }
                }
                before = echo;
            }
            if (widest - narrowest > Tolerances.CHALK) {
                laying.tell(new MotifDiagnostic.Uneven(
                        motif.spacing(), narrowest, widest, sail.radius(1, motif.spacing())));
            }
        }
    }
}
