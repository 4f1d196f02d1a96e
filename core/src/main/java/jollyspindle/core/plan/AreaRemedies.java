package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaRules;
import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.measure.Tolerances;

import java.util.Optional;

/** What else could be stitched in an area, so that something told of it doesn't hold any more. */
final class AreaRemedies {

    private AreaRemedies() {}

    /** Makes a finding of what is told, with a better design if there is one. */
    static Finding finding(AreaPlan plan, AreaDesign design, AreaPlan.Diagnosed diagnosed) {
        return new Finding.AreaTrouble(
                plan.id(),
                diagnosed.letter(),
                design.parts().size() > 1,
                diagnosed.layer(),
                diagnosed.what(),
                better(plan, design, diagnosed));
    }

    private static Optional<AreaDesign> better(AreaPlan plan, AreaDesign design, AreaPlan.Diagnosed diagnosed) {
        AreaDesign.Part part = design.part(diagnosed.letter());
        if (diagnosed.layer() == 0) {
            for (int i = 0; i < part.layers().size(); i++) {
                Optional<AreaMotif> motif = diagnosed.what() instanceof AreaDiagnostic.Unstitched open
                        ? closer(plan, diagnosed.letter(), part.layers().get(i).motif(), open)
                        : together(
                                plan, diagnosed.letter(), part.layers().get(i).motif(), diagnosed.what());
                if (motif.isPresent()) {
                    return Optional.of(replaced(design, diagnosed.letter(), i, motif.get()));
                }
            }
            return Optional.empty();
        }
        int index = diagnosed.layer() - 1;
        if (diagnosed.what() instanceof AreaDiagnostic.NoRoom || diagnosed.what() instanceof AreaDiagnostic.NoShells) {
            return Optional.of(design.with(diagnosed.letter(), part.withoutLayer(index)));
        }
        return alone(part.layers().get(index).motif(), diagnosed.what())
                .map(motif -> replaced(design, diagnosed.letter(), index, motif));
    }

    private static AreaDesign replaced(AreaDesign design, char letter, int index, AreaMotif motif) {
        AreaDesign.Part part = design.part(letter);
        return design.with(
                letter,
                part.withLayer(
                        index,
                        new AreaDesign.Layer(motif, part.layers().get(index).templateId())));
    }

    /** Another motif for what all motifs of a piece come to together. */
    private static Optional<AreaMotif> together(AreaPlan plan, char letter, AreaMotif motif, Diagnostic what) {
        if (what instanceof AreaDiagnostic.PileUp) {
            if (motif instanceof AreaMotif.CornerRays rays) {
                return plan.diagnosed().stream()
                        .filter(t -> t.letter() == letter && t.what() instanceof AreaDiagnostic.Caps)
                        .map(t -> ((AreaDiagnostic.Caps) t.what()).petals())
                        .map(petals -> roomy(rays.roomyStop(petals)))
                        .filter(stop -> stop > rays.stop())
                        .<AreaMotif>map(rays::withStop)
                        .findFirst();
            }
            if (motif instanceof AreaMotif.Arms arms && arms.stop() == 0) {
                return Optional.of(arms.withStop(stop(arms.arms() * (arms.mirrored() ? 2 : 1))));
            }
            if (motif instanceof AreaMotif.Petals petals && petals.from() == 0) {
                double from = stop(2 * petals.petals());
                return from < petals.to()
                        ? Optional.of(new AreaMotif.Petals(petals.petals(), from, petals.to()))
                        : Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** A little more than a radius, to the eighth of an inch. */
    private static double roomy(double radius) {
        return Math.ceil(radius * 8 + 1) / 8;
    }

    /** The radius of a circle on which so many lines end with a little more than a point between them. */
    private static double stop(int lines) {
        return roomy(lines * AreaRules.POINT / (2 * Math.PI));
    }

    /** A hatching so much closer that what stays open is no larger than may be. */
    private static Optional<AreaMotif> closer(
            AreaPlan plan, char letter, AreaMotif motif, AreaDiagnostic.Unstitched open) {
        Optional<AreaPlan.Piece> piece =
                plan.pieces().stream().filter(p -> p.letter() == letter).findFirst();
        if (!(motif instanceof AreaMotif.Crosshatch hatch) || piece.isEmpty()) {
            return Optional.empty();
        }
        Box box = piece.get().cloth().outline().box();
        // No circle is wider than two neighbours are apart, whatever lies on the area.
        double target = open.most();
        for (double wanted = Math.min(hatch.spacing(), Math.floor(target * 16) / 16);
                wanted >= AreaMotif.CLOSEST;
                wanted -= 1.0 / 16) {
            AreaMotif.Crosshatch closer = hatch.withSpacing(wanted);
            if (closer.spacing(box) <= target) {
                return Optional.of(closer);
            }
        }
        return Optional.empty();
    }

    /** Another motif for what one comes to by itself. */
    private static Optional<AreaMotif> alone(AreaMotif motif, Diagnostic what) {
        if (what instanceof LayoutDiagnostic.HatchLikeEcho like) {
            return doubled(motif, like.spacing());
        }
        if (what instanceof AreaDiagnostic.NothingOutside && motif instanceof AreaMotif.Echoes echoes) {
            return Optional.of(new AreaMotif.Echoes(echoes.echoes(), echoes.spacing(), false));
        }
        if (what instanceof AreaDiagnostic.SpacedEvenly) {
            return exactly(motif);
        }
        if (motif instanceof AreaMotif.Peel peel) {
            // An arc as wide as its chord is long is too round still: from R = s/√2 on petals don't bulge into each
            // other.
            double times = what instanceof AreaDiagnostic.TooRound round
                    ? round.least() / round.radius()
                    : what instanceof LayoutDiagnostic.TooFar far
                                    && peel.inner().isEmpty()
                            ? far.distance() * Math.sqrt(2) / far.most()
                            : 0;
            return finer(times, peel.across(), peel.down())
                    ? Optional.of(peel.withSquares(times(peel.across(), times), times(peel.down(), times)))
                    : Optional.empty();
        }
        if (motif instanceof AreaMotif.Circles circles && what instanceof AreaDiagnostic.CirclesApart apart) {
            double times = apart.apart() / apart.diameter() * 1.01;
            return finer(times, circles.across(), circles.down())
                    ? Optional.of(new AreaMotif.Circles(
                            times(circles.across(), times), times(circles.down(), times), circles.changeOver()))
                    : Optional.empty();
        }
        if (motif instanceof AreaMotif.Arms arms
                && what instanceof AreaDiagnostic.RingMissing ring
                && ring.nearest().isPresent()) {
            return Optional.of(arms.withStop(ring.nearest().getAsDouble() / 2));
        }
        if (motif instanceof AreaMotif.Petals petals && what instanceof LayoutDiagnostic.TooFar far) {
            return Optional.of(new AreaMotif.Petals(petals.petals(), petals.from(), petals.from() + far.most()));
        }
        return Optional.empty();
    }

    /** Lines just as far apart as is wished. */
    private static Optional<AreaMotif> exactly(AreaMotif motif) {
        if (motif instanceof AreaMotif.Crosshatch hatch) {
            return Optional.of(hatch.exactly());
        }
        if (motif instanceof AreaMotif.CurvedHatch hatch) {
            return Optional.of(hatch.exactly());
        }
        if (motif instanceof AreaMotif.Quarters quarters) {
            return Optional.of(quarters.exactly());
        }
        return Optional.empty();
    }

    /** Lines twice as far apart: beside 1/4 echoes, 1/2 hatching (common practice, no source). */
    private static Optional<AreaMotif> doubled(AreaMotif motif, double spacing) {
        if (motif instanceof AreaMotif.Crosshatch hatch) {
            return Optional.of(hatch.withSpacing(2 * hatch.spacing()));
        }
        if (motif instanceof AreaMotif.CurvedHatch hatch) {
            return Optional.of(hatch.withSpacing(2 * hatch.spacing()));
        }
        if (motif instanceof AreaMotif.Quarters quarters) {
            // What was wished for comes out a little closer or wider, so that the nearer of both is meant.
            boolean close = Math.abs(quarters.close() - spacing) <= Math.abs(quarters.wide() - spacing);
            return Optional.of(
                    quarters.withSpacings((close ? 2 : 1) * quarters.close(), (close ? 1 : 2) * quarters.wide()));
        }
        return Optional.empty();
    }

    private static boolean finer(double times, int across, int down) {
        return times > 1 && times(Math.max(across, down), times) <= AreaMotif.MOST;
    }

    private static int times(int count, double times) {
        return (int) Math.ceil(count * times - Tolerances.ROUNDING);
    }
}
