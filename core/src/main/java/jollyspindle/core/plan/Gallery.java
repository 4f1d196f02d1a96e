package jollyspindle.core.plan;

import jollyspindle.core.division.Repeating;
import jollyspindle.core.division.Wish;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.motif.Arrangement;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.DivisionConstraints;
import jollyspindle.core.motif.LaidOut;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.MotifDiagnostic;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.route.Routed;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;

/** What each motif would look like on a run, and what it would take. */
public final class Gallery {

    /** So many things in the way of an arrangement are mended at most. */
    private static final int MOST_MENDED = 6;

    private Gallery() {}

    /**
     * A layout with a motif of the gallery in a place. A motif that comes out with a repeat of its own brings that as the
     * wanted one, if it is the main one.
     *
     * @param job with all templates that may be taken
     * @param run that is looked at
     * @param place of the motif among the layers, from 0; one more than there are adds it
     */
    public static RunLayout adopted(QuiltJob job, RunLayout layout, RunId run, Preset preset, int place) {
        var layers = layout.design().layers();
        if (place >= layers.size()) {
            return layout.with(layout.design().withLayer(preset.layer(Layer.of(preset.motif()))));
        }
        double room = room(job, run);
        Layer layer = served(job, layout, room, preset.layer(layers.get(place)));
        RunLayout adopted = layout.with(layout.design().withLayer(place, layer));
        if (place > 0 || !job.quilt().missing().isEmpty()) {
            return adopted;
        }
        return DivisionConstraints.of(layer, new EdgeCatalog(job.templates(), job.machine()), room)
                .map(DivisionConstraints::repeating)
                .filter(Repeating.Figures.class::isInstance)
                .map(r -> ((Repeating.Figures) r).own())
                .filter(own -> own.isPresent()
                        && Math.abs(own.getAsDouble() - layout.wish().repeat()) > Tolerances.ROUNDING)
                .map(own -> adopted.with(layout.wish()
                        .withRepeat(Math.max(Wish.SHORTEST_REPEAT, Math.min(Wish.LONGEST_REPEAT, own.getAsDouble())))))
                .orElse(adopted);
    }

    /** How high a motif may be on a run, in inches; 0 as long as that isn't known. */
    private static double room(QuiltJob job, RunId run) {
        return job.quilt().missing().isEmpty()
                ? QuiltShape.of(job.quilt()).find(run).map(RunFrame::room).orElse(0.0)
                : 0;
    }

    /**
     * A border laid out as an arrangement is, on this quilt and with its templates; of a strip, which has no corners, its motifs.
     *
     * @param job with all templates that may be taken
     * @param run that is looked at
     */
    public static RunLayout adopted(QuiltJob job, RunLayout layout, RunId run, Arrangement arrangement) {
        double room = room(job, run);
        RunLayout main = adopted(job, layout, run, arrangement.main(room), 0);
        Design design = arrangement.design(
                main.design().layers().get(0).with(arrangement.layers().get(0).space()),
                room,
                run.side().map(side -> Planner.meeting(job.quilt(), run.group())));
        Wish wish = arrangement
                .school()
                .map(school -> main.wish().with(Wish.SCHOOL, Optional.of(school)))
                .orElse(main.wish());
        return fitted(job, run, main.with(design).with(wish));
    }

    /** A layout with what is in its way mended, as far as a finding says how: fewer lines, a larger template in a corner. */
    private static RunLayout fitted(QuiltJob job, RunId run, RunLayout layout) {
        RunLayout fitted = layout;
        for (int i = 0; i < MOST_MENDED; i++) {
            RunLayout now = fitted;
            Optional<Design> better = Planner.plan(job.editing(run.group(), l -> now)).findings().stream()
                    .filter(f -> f.severity() == Finding.Severity.PROBLEM)
                    .filter(f ->
                            f.run().filter(r -> r.group().equals(run.group())).isPresent())
                    .flatMap(f -> mended(job, now.design(), f).stream())
                    .findFirst();
            if (better.isEmpty()) {
                return fitted;
            }
            fitted = fitted.with(better.get());
        }
        return fitted;
    }

    private static Optional<Design> mended(QuiltJob job, Design design, Finding finding) {
        if (finding instanceof Finding.CornerTrouble trouble
                && trouble.diagnostic() instanceof MotifDiagnostic.TooRound round) {
            Optional<ArcTemplate> larger = new EdgeCatalog(job.templates(), job.machine()).arcFrom(round.least());
            if (larger.isPresent() && larger.get().stitchedRadius(job.machine()) > round.radius()) {
                return Optional.of(design.withCorner(design.corner()
                        .withTemplate(
                                Optional.of(larger.get().templateId()),
                                Optional.of(larger.get().guideId()))));
            }
        }
        return finding instanceof Finding.CornerTrouble trouble
                ? trouble.redesign()
                : finding instanceof Finding.MotifTrouble motif ? motif.redesign() : Optional.empty();
    }

    /** A layer whose template can stitch its motif: the one that is there, or the first that is large enough. */
    private static Layer served(QuiltJob job, RunLayout layout, double room, Layer layer) {
        EdgeCatalog tools = new EdgeCatalog(job.templates(), job.machine());
        if (DivisionConstraints.template(layer.motif()) != EdgeKind.ARC) {
            boolean lost = layer.templateId().isPresent()
                    && DivisionConstraints.of(layer, tools, Double.MAX_VALUE).isEmpty();
            return lost ? layer.withTemplate(Optional.empty(), Optional.empty()) : layer;
        }
        double repeat = layout.wish().repeat();
        OptionalDouble least = DivisionConstraints.leastRadius(layer.motif(), repeat, room);
        boolean serves = layer.templateId().isPresent()
                && tools.arc(layer.templateId(), layer.guideId())
                        .filter(arc -> arc.stitchedRadius(job.machine()) >= least.orElse(0) - Tolerances.CHALK)
                        .isPresent();
        Optional<ArcTemplate> other =
                least.isPresent() ? tools.arcFrom(least.getAsDouble()) : tools.arcSpanning(repeat);
        return serves
                ? layer
                : other.map(arc -> layer.withTemplate(Optional.of(arc.templateId()), Optional.of(arc.guideId())))
                        .orElse(layer);
    }

    /**
     * Lays a motif out on a run, to look at.
     *
     * @param job with all templates that may be taken
     */
    public static MotifShown<Optional<RunPlan>> entry(QuiltJob job, RunId run, Preset preset, int place) {
        return entry(job, run, layout -> adopted(job, layout, run, preset, place));
    }

    /**
     * Lays a run out as something would have it, to look at.
     *
     * @param job with all templates that may be taken
     */
    public static MotifShown<Optional<RunPlan>> entry(QuiltJob job, RunId run, UnaryOperator<RunLayout> adopted) {
        QuiltJob with = job.editing(run.group(), adopted);
        WorkPlan plan = Planner.plan(with);
        Optional<RunPlan> found = plan.run(run);
        LaidOut laid = found.map(RunPlan::laidOut).orElse(LaidOut.EMPTY);
        Optional<Finding> trouble = plan.findings().stream()
                .filter(f -> f.severity() == Finding.Severity.PROBLEM)
                .filter(f -> f.run().filter(r -> r.group().equals(run.group())).isPresent())
                .findFirst();
        return MotifShown.of(found, with, laid.marks(), laid.placements(), Routed.starts(laid.lines()), trouble);
    }
}
