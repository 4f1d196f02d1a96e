package jollyspindle.core.motif;

import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Repeating;
import jollyspindle.core.division.Wish;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Lays out {@link Motif.Arcs}: a row of arcs, then line by line what is nested in them. */
final class ArcsLayout {

    private static final Param.Choice<Motif.Arcs, Motif.Inner> INNER =
            Param.choice("inner", Motif.Inner.class, Motif.Arcs::inner).usually(Motif.Inner.LOWERED);
    private static final Param.Whole<Motif.Arcs> LINES =
            Param.whole("lines", 1, Motif.MOST_LINES, Motif.Arcs::lines).usually(1);
    private static final Param.Length<Motif.Arcs> STEP = Param.length(
                    "step", Motif.CLOSEST, Motif.FARTHEST, Motif.Arcs::step)
            .usually(Motif.Arcs.single().step());
    private static final Param.Lengths<Motif.Arcs> RISES =
            Param.maybeLengths("rises", Motif.CLOSEST, Motif.FARTHEST, Motif.MOST_LINES, Motif.Arcs::rises);
    private static final Param.MaybeText<Motif.Arcs> OTHER_TEMPLATE =
            Param.maybeText("otherTemplate", Motif.Arcs::otherTemplate);
    private static final Param.Whole<Motif.Arcs> PASSES =
            Param.whole("passes", 1, Motif.MOST_PASSES, Motif.Arcs::passes).usually(1);

    static final MotifType<Motif.Arcs> TYPE =
            new MotifType<>(
                    Motif.Arcs.class,
                    "arcs",
                    Params.of(
                                    v -> new Motif.Arcs(
                                            v.get(INNER),
                                            v.get(LINES),
                                            v.get(STEP),
                                            v.get(RISES),
                                            v.get(OTHER_TEMPLATE),
                                            v.get(PASSES)),
                                    Params.row(LINES, STEP),
                                    Params.row(INNER),
                                    Params.row(RISES),
                                    Params.row(OTHER_TEMPLATE),
                                    Params.row(PASSES))
                            .kept(INNER, LINES, STEP, RISES, OTHER_TEMPLATE, PASSES)
                            // What a single line doesn't need yet was chosen all the same, and waits for the next line.
                            .brief(INNER, arcs -> arcs.lines() > 1)
                            .brief(LINES)
                            .brief(STEP, arcs -> arcs.lines() > 1)
                            .brief(RISES)
                            .brief(PASSES)) {

                @Override
                EdgeKind edge(Motif.Arcs motif) {
                    return EdgeKind.ARC;
                }

                @Override
                List<Preset> offered() {
                    return List.of(
                            Preset.onSeam("arcs", Motif.Arcs.single()),
                            Preset.onSeam(
                                    "nested-arcs",
                                    new Motif.Arcs(
                                            Motif.Inner.LOWERED, 3, Preset.SPACING, List.of(), Optional.empty(), 1)));
                }

                @Override
                Optional<DivisionConstraints> asks(Layer layer, Motif.Arcs motif, EdgeCatalog tools, double room) {
                    return tools.arc(layer.templateId(), layer.guideId())
                            .map(arc -> new DivisionConstraints(new Repeating.Arcs(arc), 0, parity(motif)));
                }

                @Override
                Wish.Parity parity(Motif.Arcs motif) {
                    // Two sizes in turn, with the first at both ends.
                    return motif.otherTemplate().isPresent() ? Wish.Parity.ODD : Wish.Parity.ANY;
                }

                @Override
                OptionalDouble echo(Motif.Arcs motif) {
                    return motif.lines() > 1 ? OptionalDouble.of(motif.step()) : OptionalDouble.empty();
                }

                @Override
                void knobs(Motif.Arcs motif, KnobsOnRun<Motif.Arcs> to) {
                    Stitched inner = motif.inner() == Motif.Inner.LOWERED ? Stitched.NESTED_ARC : Stitched.ECHO;
                    Optional<StitchLine> outer = to.first(Stitched.ARC, 0);
                    Optional<StitchLine> second = to.first(inner, 1);
                    if (motif.lines() > 1 && outer.isPresent() && second.isPresent()) {
                        double crown = to.across(KnobsOnRun.middle(outer.get()));
                        to.across(STEP, KnobsOnRun.middle(second.get()), crown, -1);
                    }
                }

                @Override
                void lay(RunContext laying, Motif.Arcs motif, double echo) {
                    new ArcsLayout(laying, motif).lay();
                }
            };

    private final RunContext laying;
    private final Motif.Arcs motif;

    ArcsLayout(RunContext laying, Motif.Arcs motif) {
        this.laying = laying;
        this.motif = motif;
    }

    void lay() {
        ArcRow row = new ArcRow(laying, 0, motif.passes());
        Optional<ArcTemplate> other =
                motif.otherTemplate().flatMap(id -> laying.tools().arc(Optional.of(id), Optional.empty()));
        if (motif.otherTemplate().isPresent() && other.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.ARC, 0));
        }
        List<Figure> figures = laying.space().divided();
        for (int i = 0; i < figures.size(); i++) {
            if (other.isPresent() && i % 2 == 1 && figures.get(i) instanceof Figure.WholeArc arc) {
                inTurn(row, arc, other.get(), i);
            } else {
                row.lay(figures.get(i), i);
            }
        }
        if (other.isPresent() && figures.size() % 2 == 0) {
            laying.tell(new MotifDiagnostic.Parity(true));
        }
        for (int line = 1; line < motif.lines(); line++) {
            row.inner(line, motif.inner(), drop(row, line), motif.lines());
        }
        row.enclose();
    }

    private void inTurn(ArcRow row, Figure.WholeArc arc, ArcTemplate other, int index) {
        double span = arc.cell().width();
        Optional<ArcFit> fit = ArcFit.of(
                other,
                laying.machine(),
                span,
                laying.space().room(),
                laying.space().clearance());
        if (fit.isEmpty()) {
            laying.tell(new LayoutDiagnostic.TooFar(span, ArcFit.widest(other, laying.machine())));
            return;
        }
        if (!fit.get().fitsRoom()) {
            laying.tell(new MotifDiagnostic.TooHigh(fit.get().overRoom()));
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
