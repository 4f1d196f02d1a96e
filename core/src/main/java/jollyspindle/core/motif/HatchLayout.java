package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.Hatching;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.layout.Spacing;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link Motif.Crosshatch}: two sets of parallel lines, or of arcs of one template from edge to edge, moved along the run, cut
 * off where the space they fill ends. If they are to come out even, the spacing nearest to the wanted one is taken that divides a repeat
 * evenly, so that all repeats look alike; else the wanted one is kept, and the last line stands where it comes.
 */
final class HatchLayout {

    private static final Param.Length<Motif.Crosshatch> SPACING =
            Param.length("spacing", Motif.CLOSEST, Motif.FARTHEST, Motif.Crosshatch::spacing);
    private static final Param.Angle<Motif.Crosshatch> ANGLE =
            Param.angle("angle", Motif.LEAST_SLANT, Motif.MOST_SLANT, Motif.Crosshatch::angle, Math.PI / 2);
    private static final Param.Flag<Motif.Crosshatch> EVEN = Param.flag("even", Motif.Crosshatch::even, true);
    private static final Param.Flag<Motif.Crosshatch> CURVED = Param.flag("curved", Motif.Crosshatch::curved, false);

    static final MotifType<Motif.Crosshatch> TYPE =
            new MotifType<>(
                    Motif.Crosshatch.class,
                    "crosshatch",
                    Params.of(
                            v -> new Motif.Crosshatch(v.get(SPACING), v.get(ANGLE), v.get(EVEN), v.get(CURVED)),
                            Params.row(SPACING, ANGLE),
                            Params.row(EVEN),
                            Params.row(CURVED))) {

                @Override
                EdgeKind edge(Motif.Crosshatch motif) {
                    return motif.curved() ? EdgeKind.ARC : EdgeKind.STRAIGHT_EDGE;
                }

                @Override
                List<Preset> offered() {
                    return List.of(
                            Preset.onSeam("crosshatch", new Motif.Crosshatch(1, Math.PI / 4, true, false)),
                            Preset.onSeam("curved-hatch", new Motif.Crosshatch(1, Math.PI / 4, true, true)));
                }

                @Override
                Optional<DivisionConstraints> asks(
                        Layer layer, Motif.Crosshatch motif, EdgeCatalog tools, double room) {
                    return motif.curved()
                                    || tools.straight(layer.templateId(), layer.guideId())
                                            .isPresent()
                            ? Optional.of(DivisionConstraints.anyRepeat())
                            : Optional.empty();
                }

                @Override
                OptionalDouble leastRadius(Motif.Crosshatch motif, double repeat, double room) {
                    return motif.curved() ? OptionalDouble.of(least(motif, room)) : OptionalDouble.empty();
                }

                @Override
                void knobs(Motif.Crosshatch motif, KnobsOnRun<Motif.Crosshatch> to) {
                    List<StitchLine> leaning = to.lines(Stitched.HATCH, 1)
                            .filter(l -> Math.abs(to.up(to.low(l))) < Tolerances.SAME_PLACE)
                            .limit(2)
                            .toList();
                    if (!motif.curved() && leaning.size() == 2) {
                        double from = to.along(to.low(leaning.get(0)));
                        Point second = to.low(leaning.get(1));
                        to.along(SPACING, second, from, motif.spacing() / (to.along(second) - from));
                    }
                }

                @Override
                void lay(RunContext laying, Motif.Crosshatch motif, double echo) {
                    new HatchLayout(laying, motif, echo).lay();
                }
            };

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Crosshatch motif;
    private final double echo;

    /** How wide a repeat is, in inches; where they aren't all alike, as long as the run. */
    private final double repeat;

    /** Where the first line leaves the edge: at the first valley. */
    private final double zero;

    /**
     * A hatching.
     *
     * @param echo the spacing of the lines beside it, in inches; 0 if there are none
     */
    HatchLayout(RunContext laying, Motif.Crosshatch motif, double echo) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
        this.echo = echo;
        Optional<Cell> first = space.divided().stream().map(Figure::cell).findFirst();
        boolean alike = first.isPresent()
                && space.divided().stream()
                        .allMatch(f -> Math.abs(f.cell().width() - first.get().width()) < Tolerances.SAME_PLACE);
        zero = alike ? first.get().from() : 0;
        repeat = alike ? first.get().width() : space.length();
    }

    void lay() {
        if (echo > 0 && Spacing.looksAlike(echo, motif.spacing())) {
            laying.tell(new LayoutDiagnostic.HatchLikeEcho(motif.spacing()));
        }
        int before = laying.sewing().lines().size();
        if (motif.curved()) {
            curved();
        } else {
            straight();
        }
        if (laying.sewing().lines().size() == before
                && laying.diagnostics().stream().noneMatch(d -> d.stops())) {
            laying.tell(new MotifDiagnostic.NoSpace());
        }
    }

    private void straight() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        double step = step(spacing(tool.get()), Math.sin(motif.angle()));
        double lean = space.room() / Math.tan(motif.angle());
        // Where the first set stands upright, the second can't lean the other way: it lies level.
        boolean upright = Math.abs(lean) < Tolerances.ROUNDING;
        if (upright) {
            level(tool.get());
        }
        for (int set = 1; set <= (upright ? 1 : 2); set++) {
            double over = set == 1 ? lean : -lean;
            int first = (int) Math.floor((-zero - Math.max(over, 0)) / step) - 1;
            int last = (int) Math.ceil((space.length() - Math.min(over, 0)) / step) + 1;
            Hatching hatching = hatching(tool.get(), set);
            for (int i = first; i <= last; i++) {
                Segment own =
                        new Segment(new Point(zero + i * step, 0), new Point(zero + i * step + over, space.room()));
                Segment placed = space.placed(own);
                hatching.stitch(isUp(i) ? placed : placed.reversed(), i - first + 1, step * Math.sin(motif.angle()));
            }
        }
    }

    private Hatching hatching(StitchingEdge tool, int set) {
        double leaning = set == 1 ? motif.angle() : Math.PI - motif.angle();
        return new Hatching(laying, tool, set, OptionalDouble.of(leaning), PlacementBuilder.Turn.SLIDING).markedAgain();
    }

    private void level(StitchingEdge.Straight tool) {
        double wanted = spacing(tool);
        double step = motif.even() ? space.room() / Math.max(1, Math.round(space.room() / wanted)) : wanted;
        double beyond = space.runsOn() ? space.room() : 0;
        Hatching hatching = hatching(tool, 2);
        for (int i = 1; i * step < space.room() - Tolerances.ROUNDING; i++) {
            Segment own = new Segment(new Point(-beyond, i * step), new Point(space.length() + beyond, i * step));
            Segment placed = space.placed(own);
            hatching.stitch(isUp(i) ? placed : placed.reversed(), i, step);
        }
    }

    /** Every second line is stitched on the way back. */
    private static boolean isUp(int line) {
        return line % 2 == 0;
    }

    private void curved() {
        Optional<ArcTemplate> template = laying.arc();
        if (template.isEmpty()) {
            return;
        }
        double radius = template.get().stitchedRadius(laying.machine());
        StitchingEdge tool = StitchingEdge.Round.of(template.get(), laying.machine());
        double lean = space.room() / Math.tan(motif.angle());
        double chord = Math.hypot(lean, space.room());
        double least = least(motif, space.room());
        if (2 * radius < chord) {
            laying.tell(new LayoutDiagnostic.TooFar(chord, 2 * radius));
            return;
        }
        if (radius < least - Tolerances.CHALK) {
            laying.tell(new MotifDiagnostic.TooRound(radius, least));
        }
        double step = step(motif.spacing(), 1);
        for (int set = 1; set <= 2; set++) {
            double over = set == 1 ? lean : -lean;
            int first = (int) Math.floor((-zero - Math.max(over, 0) - radius) / step) - 1;
            int last = (int) Math.ceil((space.length() - Math.min(over, 0) + radius) / step) + 1;
            Hatching hatching = hatching(tool, set).stepping(space.place(1, 0).minus(space.place(0, 0)));
            for (int i = first; i <= last; i++) {
                Point foot = new Point(zero + i * step, 0);
                // Both sets bulge upwards.
                Arc own = ArcsBetween.of(foot, foot.plus(new Point(over, space.room())), radius, set == 1)
                        .orElseThrow();
                Arc placed = space.placed(own);
                hatching.stitch(isUp(i) ? placed : placed.reversed(), i - first + 1, step);
            }
        }
    }

    /** The radius of an arc from the seam to the limit that lies level at its end: a smaller one bulges beyond (derived). */
    private static double least(Motif.Crosshatch motif, double room) {
        return room / (2 * Math.sin(motif.angle()) * Math.sin(motif.angle()));
    }

    /** The wanted spacing, or what the edge or a line engraved on it gives if that is as good. */
    private double spacing(StitchingEdge.Straight tool) {
        return motif.even() ? motif.spacing() : laying.echoed(tool, motif.spacing());
    }

    /**
     * From line to line along the run: as is wanted, or so that every repeat looks alike if all are equally wide, or else both
     * ends.
     *
     * @param wanted between lines, square to them
     * @param slope by which the step is larger
     */
    private double step(double wanted, double slope) {
        if (!motif.even()) {
            return wanted / slope;
        }
        double over = wanted / slope <= repeat ? repeat : space.length();
        int lines = (int) Math.max(1, Math.round(over / (wanted / slope)));
        double really = over / lines * slope;
        if (Math.abs(really - motif.spacing()) > Tolerances.UNSAID) {
            laying.tell(new LayoutDiagnostic.Evened(motif.spacing(), really, lines, over));
        }
        return over / lines;
    }
}
