package jollyspindle.core.plan;

import jollyspindle.core.division.Repeating;
import jollyspindle.core.division.Wish;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.motif.DivisionConstraints;
import jollyspindle.core.motif.LaidOut;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.route.Routed;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.Optional;
import java.util.OptionalDouble;

/** What each motif would look like on a run, and what it would take. */
public final class Gallery {

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
        double room = job.quilt().missing().isEmpty()
                ? QuiltShape.of(job.quilt()).find(run).map(RunFrame::room).orElse(0.0)
                : 0;
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
        QuiltJob with = job.editing(run.group(), layout -> adopted(job, layout, run, preset, place));
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
