package jollyspindle.core.shelf;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.TurnedArm;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Finds the templates on a shelf that do what is wanted, best first.
 *
 * <p>A match's penalty is how far off it is, in inches, plus 1/8 for each further placement of one figure, 1/16 if tape
 * must be stuck on, and 1/4 if the seam runs past the plate. Where two are alike, the shelf's order holds. Retired
 * templates aren't looked at.
 *
 * @param shelf in its order
 * @param machine with its foot
 */
public record TemplateFinder(List<Template> shelf, Machine machine) {

    /** A circle or a strip further off than this part of what is wanted doesn't do it. */
    private static final double NEAR = 1.0 / 8;

    /** A chain of circles narrower than its channel by more than this part of it doesn't fill it. */
    private static final double CHANNEL = 1.0 / 3;

    private static final int MOST_PAIRS = 3;

    /** Nobody sees this much, in inches (common practice, no source). */
    public static final double UNSEEN = 1.0 / 8;

    private static final double PLACEMENT = 1.0 / 8;
    private static final double TAPE = 1.0 / 16;
    private static final double OFF_PLATE = 1.0 / 4;

    /** Finds what does it, or what is missing. */
    public Find find(Find.Wanted wanted) {
        List<Find.Match> matches = new ArrayList<>();
        if (wanted instanceof Find.Wanted.Rings rings && rings.possible() > 1) {
            matches.addAll(rings(rings));
        } else {
            for (Template template : shelf) {
                if (!template.retired()) {
                    matches.addAll(matches(template, wanted));
                }
            }
        }
        matches.sort(Comparator.comparingDouble(Find.Match::penalty));
        return new Find(
                wanted,
                matches.stream().map(this::cautioned).toList(),
                matches.isEmpty() ? Optional.of(missing(wanted)) : Optional.empty());
    }

    /** A match with what there is to know of its template's thickness, as the shelf tells it. */
    private Find.Match cautioned(Find.Match match) {
        return TemplateInspector.thickness(match.template(), machine)
                .map(told -> match.with(new Find.Change.Caution(told.thickness(), told.thin(), told.foot())))
                .orElse(match);
    }

    private List<Find.Match> matches(Template template, Find.Wanted wanted) {
        return wanted.accept(new Matching(template));
    }

    /** What of a template does what is wanted. */
    private final class Matching implements Find.Wanted.Visitor<List<Find.Match>> {

        private final Template template;

        Matching(Template template) {
            this.template = template;
        }

        @Override
        public List<Find.Match> span(Find.Wanted.Span wanted) {
            return template.arcs().stream()
                    .flatMap(arc -> TemplateFinder.this.span(template, arc, wanted).stream())
                    .toList();
        }

        @Override
        public List<Find.Match> circle(Find.Wanted.Circle wanted) {
            return circles(template, wanted.diameter(), wanted.diameter() * NEAR, false);
        }

        /** A single ring is a circle. */
        @Override
        public List<Find.Match> rings(Find.Wanted.Rings wanted) {
            return circles(template, wanted.largest(), wanted.largest() * NEAR, false);
        }

        @Override
        public List<Find.Match> fan(Find.Wanted.Fan wanted) {
            return TemplateFinder.this.fan(template, wanted).stream().toList();
        }

        @Override
        public List<Find.Match> block(Find.Wanted.Block wanted) {
            return TemplateFinder.this.block(template, wanted.side());
        }

        @Override
        public List<Find.Match> strip(Find.Wanted.Strip wanted) {
            return TemplateFinder.this.strip(template, wanted.width());
        }
    }

    private double foot() {
        return machine.footRadius();
    }

    // --- arcs ----------------------------------------------------------------------------------------------------

    private Optional<Find.Match> span(Template template, ArcTemplate arc, Find.Wanted.Span wanted) {
        if (arc.difficulty(machine).isPresent()) {
            return Optional.empty();
        }
        Optional<Guide> guide = template.cut().guide(arc.guideId());
        Optional<ArcFit> fit = ArcFit.of(arc, machine, wanted.span(), wanted.room(), 0);
        if (guide.isEmpty() || fit.isEmpty() || !fit.get().fitsRoom()) {
            return Optional.empty();
        }
        List<Find.Change> changes = new ArrayList<>();
        double rise = fit.get().segment().height();
        double off = wanted.rise().map(r -> Math.abs(r - rise)).orElse(0.0);
        if (wanted.rise().isPresent() && off > Math.max(UNSEEN, wanted.rise().get() / 2)) {
            return Optional.empty();
        }
        changes.add(new Find.Change.Rises(rise, -fit.get().overRoom()));
        changes.add(new Find.Change.OnSeam(fit.get().register()));
        double penalty = off + (fit.get().parts() - 1) * PLACEMENT;
        if (wanted.rise().isEmpty()) {
            // Without a wish for the rise, what fills the room best is wanted, lightly.
            penalty += -fit.get().overRoom() / 16;
        }
        if (fit.get().register() instanceof SeamRegister.Tape) {
            penalty += TAPE;
        } else if (fit.get().register() instanceof SeamRegister.OffThePlate) {
            penalty += OFF_PLATE;
        }
        if (fit.get().parts() > 1) {
            changes.add(new Find.Change.Placements(fit.get().parts()));
        }
        return Optional.of(new Find.Match(template, guide.get(), off, penalty, changes));
    }

    // --- circles -------------------------------------------------------------------------------------------------

    private List<Find.Match> circles(Template template, double diameter, double most, boolean chain) {
        if (!(template.form() instanceof CircleForm) && !(template.form() instanceof SlottedCircles)) {
            return List.of();
        }
        List<Find.Match> found = new ArrayList<>();
        for (Guide guide : template.cut().guides()) {
            double stitched = 2 * guide.round().orElseThrow().stitchedRadius(machine);
            double off = Math.abs(stitched - diameter);
            boolean tooWide = chain && stitched > diameter + UNSEEN;
            if (stitched > 0 && off <= most && !tooWide && followable(template)) {
                List<Find.Change> changes = new ArrayList<>(List.of(new Find.Change.Diameter(stitched)));
                double penalty = off;
                double sweep = guide.round().orElseThrow().sweep();
                int placements = ArcFit.placements(2 * Math.PI, sweep);
                if (placements > 1) {
                    changes.add(new Find.Change.Placements(placements));
                    penalty += PLACEMENT / 2;
                }
                found.add(new Find.Match(template, guide, off, penalty, changes));
            }
        }
        return found;
    }

    private boolean followable(Template template) {
        return template.form().slotsTake(machine);
    }

    /**
     * Sets with the wanted gap, and the few pairs of sets that do better together than any alone. One that lacks more rings
     * than it has doesn't do it.
     */
    private List<Find.Match> rings(Find.Wanted.Rings wanted) {
        List<Template> sets = shelf.stream()
                .filter(t -> !t.retired() && isSet(t) && followable(t))
                .toList();
        List<Find.Match> found = new ArrayList<>();
        for (Template set : sets) {
            match(set, row(diameters(set, wanted), wanted), wanted, Optional.empty())
                    .ifPresent(found::add);
        }
        double best = found.stream().mapToDouble(Find.Match::penalty).min().orElse(Double.POSITIVE_INFINITY);
        List<Find.Match> pairs = new ArrayList<>();
        for (int i = 0; i < sets.size(); i++) {
            for (Template other : sets.subList(i + 1, sets.size())) {
                List<Double> both = new ArrayList<>(diameters(sets.get(i), wanted));
                both.addAll(diameters(other, wanted));
                match(sets.get(i), row(both, wanted), wanted, Optional.of(other))
                        .filter(m -> m.penalty() < best)
                        .ifPresent(pairs::add);
            }
        }
        pairs.sort(Comparator.comparingDouble(Find.Match::penalty));
        found.addAll(pairs.subList(0, Math.min(MOST_PAIRS, pairs.size())));
        return found;
    }

    private static boolean isSet(Template template) {
        return template.form() instanceof SlottedCircles
                || template.form() instanceof CircleForm circles
                        && circles.sizes().size() > 1;
    }

    private List<Double> diameters(Template template, Find.Wanted.Rings wanted) {
        return template.cut().guides().stream()
                .filter(g -> g.role() != Guide.Role.INNER_WALL)
                .map(g -> 2 * g.round().orElseThrow().stitchedRadius(machine))
                .filter(d -> d > 0 && d <= wanted.largest() + UNSEEN)
                .toList();
    }

    /** The longest row of rings with the wanted gap, from the largest inward; ascending. */
    private static List<Double> row(List<Double> diameters, Find.Wanted.Rings wanted) {
        List<Double> row = new ArrayList<>();
        diameters.stream().sorted(Comparator.reverseOrder()).forEach(diameter -> {
            if (row.isEmpty() || Math.abs(gapOff(row.get(0), diameter, wanted)) <= Math.min(UNSEEN, wanted.gap() / 4)) {
                row.add(0, diameter);
            }
        });
        return row;
    }

    private static double gapOff(double outer, double inner, Find.Wanted.Rings wanted) {
        return (outer - inner) / 2 - wanted.gap();
    }

    private static Optional<Find.Match> match(
            Template template, List<Double> row, Find.Wanted.Rings wanted, Optional<Template> other) {
        if (row.size() < 2) {
            return Optional.empty();
        }
        // Inside the smallest there would be more.
        List<Double> lacking = Stream.iterate(row.get(0) - 2 * wanted.gap(), d -> d - 2 * wanted.gap())
                .limit(Math.max(0, wanted.possible() - row.size()))
                .filter(d -> d > Tolerances.ROUNDING)
                .sorted()
                .toList();
        if (lacking.size() > row.size()) {
            return Optional.empty();
        }
        double worst = 0;
        for (int i = 1; i < row.size(); i++) {
            worst = Math.max(worst, Math.abs(gapOff(row.get(i), row.get(i - 1), wanted)));
        }
        double outer = Math.abs(wanted.largest() - row.get(row.size() - 1));
        List<Find.Change> changes = new ArrayList<>(List.of(new Find.Change.Rings(row, lacking, wanted.gap())));
        other.ifPresent(o -> changes.add(new Find.Change.With(o)));
        return Optional.of(new Find.Match(
                template,
                template.cut().main().orElseThrow(),
                worst,
                worst + lacking.size() * PLACEMENT + outer / 2 + (other.isPresent() ? PLACEMENT : 0),
                changes));
    }

    // --- fans ----------------------------------------------------------------------------------------------------

    private Optional<Find.Match> fan(Template template, Find.Wanted.Fan wanted) {
        if (!(template.form() instanceof SlottedFan fan) || !followable(template)) {
            return Optional.empty();
        }
        double room = wanted.depth() - wanted.reserve();
        List<Guide> fitting = template.cut().guides().stream()
                .filter(g -> g.role() == Guide.Role.OUTER_WALL)
                .filter(g -> g.round().orElseThrow().stitchedRadius(machine) <= room + Tolerances.CHALK)
                .toList();
        if (fitting.isEmpty()) {
            return Optional.empty();
        }
        Guide outermost = fitting.get(fitting.size() - 1);
        double outer = outermost.round().orElseThrow().stitchedRadius(machine);
        double inner = fitting.get(0).round().orElseThrow().stitchedRadius(machine);
        int swivels = ArcFit.placements(fanSweep(inner, outer, outer), fan.sweep()) - 1;
        int swivelsOuter = ArcFit.placements(fanSweep(outer, outer, outer), fan.sweep()) - 1;
        double left = room - outer;
        return Optional.of(new Find.Match(
                template,
                outermost,
                Math.abs(left),
                Math.abs(left) + Math.max(swivels, swivelsOuter) * PLACEMENT,
                List.of(new Find.Change.FanArcs(fitting.size(), outer, left, Math.max(swivels, swivelsOuter)))));
    }

    /**
     * How far an arc of a fan sweeps from the ditch until it taps the back of the fan before, in radians: acos((R² − r² −
     * q²)/(2rq)), by the law of cosines.
     *
     * @param r the arc's radius
     * @param outer R, the outermost radius
     * @param pitch q, from pivot to pivot
     */
    public static double fanSweep(double r, double outer, double pitch) {
        double cosine = (outer * outer - r * r - pitch * pitch) / (2 * r * pitch);
        return Math.acos(Math.max(-1, Math.min(1, cosine)));
    }

    // --- blocks and strips ---------------------------------------------------------------------------------------

    private List<Find.Match> block(Template template, double side) {
        if (template.form() instanceof TurnedArm) {
            double reach = Prediction.of(template, foot()).inches();
            double beyond = reach - side / Math.sqrt(2);
            if (beyond < 0) {
                return List.of();
            }
            return template.cut().main().stream()
                    .map(guide -> new Find.Match(
                            template, guide, beyond, beyond, List.of(new Find.Change.ReachBeyond(beyond))))
                    .toList();
        }
        return template.form() instanceof ScallopRow row
                ? template.cut().guides().stream()
                        .filter(guide -> guide.role() == Guide.Role.SCALLOPS)
                        .flatMap(guide -> shells(template, guide, row.along(guide), side).stream())
                        .toList()
                : List.of();
    }

    /** In a strip rows lie along it; how even they are that way is for its length to say. */
    private Optional<Find.Match> shellsAcross(Template template, Guide guide, ScallopRow.Bumps bumps, double width) {
        double rise = rise(template, guide, bumps);
        if (bumps.radius() <= 0 || rise <= 0 || rise > width) {
            return Optional.empty();
        }
        ShellRows rows = ShellRows.in(width, rise, step(template, guide, rise));
        double off = Math.min(rows.over(), rise - rows.over());
        return Optional.of(new Find.Match(
                template,
                guide,
                off,
                off,
                List.of(new Find.Change.ShellsAcross(rows.count(), rise, rows.over(), rows.squeezed()))));
    }

    private double rise(Template template, Guide guide, ScallopRow.Bumps bumps) {
        // A far side hasn't been measured.
        return guide.id().equals(ScallopRow.FAR_EDGE) ? bumps.stitchedRise(foot()) : shellRise(template, bumps);
    }

    /** Lines are engraved for the near side. */
    private double step(Template template, Guide guide, double rise) {
        return guide.id().equals(ScallopRow.FAR_EDGE) ? rise : step(template, rise);
    }

    private Optional<Find.Match> shells(Template template, Guide guide, ScallopRow.Bumps bumps, double side) {
        double rise = rise(template, guide, bumps);
        double perRow = side / bumps.width();
        double uneven = Math.abs(2 * perRow - Math.rint(2 * perRow)) / 2 * bumps.width();
        // Up to an eighth is left as it is; sideways it is stretched over all shells.
        if (bumps.radius() <= 0 || rise > side || uneven > UNSEEN * Math.max(1, Math.floor(perRow))) {
            return Optional.empty();
        }
        ShellRows rows = ShellRows.in(side, rise, step(template, guide, rise));
        double squeezed = Math.min(rows.over(), rise - rows.over());
        return Optional.of(new Find.Match(
                template,
                guide,
                uneven,
                uneven + squeezed,
                List.of(new Find.Change.ShellRows(
                        Math.rint(2 * perRow) / 2, rows.count(), rise, rows.over(), rows.squeezed()))));
    }

    /** As measured on cloth with this foot, since a slightly larger foot flattens a shell markedly; else as reckoned. */
    private double shellRise(Template template, ScallopRow.Bumps bumps) {
        return template.checked()
                .filter(check -> Math.abs(check.footRadius() - foot()) < Tolerances.SAME_PLACE)
                .map(ClothCheck::measured)
                .orElseGet(() -> bumps.stitchedRise(foot()));
    }

    /**
     * From row to row: where the plate's engraved crown line puts the next, if that is as good as on the crowns; else as high as a row
     * rises. In inches.
     */
    private double step(Template template, double rise) {
        return template.lines().stream()
                .filter(line -> line.kind() == EngravedLine.Kind.CROWN)
                .map(line -> line.fromEdge(1) + foot())
                .filter(step -> Math.abs(step - rise) <= Tolerances.CHALK)
                .min(Comparator.comparingDouble(step -> Math.abs(step - rise)))
                .orElse(rise);
    }

    private List<Find.Match> strip(Template template, double width) {
        List<Find.Match> chain = circles(template, width, width * CHANNEL, true);
        if (!chain.isEmpty()) {
            return chain.stream()
                    .map(m -> {
                        double left =
                                width - ((Find.Change.Diameter) m.changes().get(0)).diameter();
                        List<Find.Change> changes = new ArrayList<>(m.changes());
                        changes.add(new Find.Change.LeftBeside(left));
                        return new Find.Match(m.template(), m.guide(), m.off(), m.penalty(), changes);
                    })
                    .toList();
        }
        if (template.form() instanceof ScallopRow row) {
            return template.cut().guides().stream()
                    .filter(guide -> guide.role() == Guide.Role.SCALLOPS)
                    .flatMap(guide -> shellsAcross(template, guide, row.along(guide), width).stream())
                    .toList();
        }
        if (template.form().repeat().isEmpty()) {
            return List.of();
        }
        double module = template.form().repeat().getAsDouble();
        List<Find.Match> found = new ArrayList<>();
        double height = Prediction.of(template, foot()).inches();
        Optional<Guide> guide = template.cut().main();
        if (guide.isPresent() && height > 0 && height <= width + UNSEEN) {
            // Rows of the strip's module: any width that divides by it takes so many rows.
            int rows = (int) Math.max(1, Math.rint(width / module));
            double stretch = width / rows - module;
            double left = width - height;
            if (Math.abs(stretch) <= UNSEEN) {
                found.add(new Find.Match(
                        template,
                        guide.get(),
                        Math.abs(stretch),
                        Math.abs(stretch),
                        List.of(new Find.Change.Repeats(rows, width / rows, stretch))));
            } else if (left <= width / 2) {
                found.add(new Find.Match(
                        template,
                        guide.get(),
                        Math.abs(left),
                        Math.abs(left),
                        List.of(new Find.Change.LeftBeside(left))));
            }
        }
        return found;
    }

    // --- what is missing -----------------------------------------------------------------------------------------

    private Find.Missing missing(Find.Wanted wanted) {
        return wanted.accept(new MissingSize(foot()));
    }
}
