package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.Stitching.Line;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.SlottedFan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Finds the numbers that a template stitches; each form says which of them matter. */
public final class StitchFacts {

    private final Template template;
    private final double foot;
    private final Cut cut;
    private final List<Line> lines;
    private final List<StitchFact> found = new ArrayList<>();

    /** Four lines through the centre, as most medallions are marked, make so many arms. */
    private static final int USUAL_ARMS = 8;

    StitchFacts(Template template, double foot, Cut cut, List<Line> lines) {
        this.template = template;
        this.foot = foot;
        this.cut = cut;
        this.lines = List.copyOf(lines);
    }

    List<StitchFact> all() {
        Form form = template.form();
        form.facts(this);
        if (form.isFollowedBeside()) {
            echoes();
        }
        return found;
    }

    /** Of the foot it is stitched with, in inches. */
    public double foot() {
        return foot;
    }

    /** Whether there is an edge of that name. */
    public boolean hasEdge(String guideId) {
        return cut.guide(guideId).isPresent();
    }

    /** Adds one. */
    public void add(StitchFact fact) {
        found.add(fact);
    }

    /** The radius of each round line, and how far round the foot gets. */
    public void rounds() {
        for (Line line : lines) {
            Guide.Round round = line.guide().round().orElseThrow();
            found.add(new StitchFact.Round(line.guide(), stitchedRadius(line.guide()), round.sweep()));
        }
    }

    /** What an arc stitches at each of its lines. */
    public void arc(ArcForm form) {
        rounds();
        List<StitchFact.Round> rounds =
                found.stream().map(StitchFact.Round.class::cast).toList();
        if (rounds.size() == 2
                && Math.abs(rounds.get(0).radius() - rounds.get(1).radius()) < Tolerances.UNSAID) {
            found.add(new StitchFact.SameCurve(rounds.get(0).radius()));
        }
        for (ArcTemplate edge : template.arcs()) {
            Optional<Guide> guide = cut.guide(edge.guideId());
            double radius = edge.edgeRadius() + edge.edge().footSign() * foot;
            if (guide.isEmpty() || radius <= 0) {
                continue;
            }
            for (ArcTemplate.RiseLine line : edge.riseLines()) {
                rise(form, guide.get(), edge, line, radius);
            }
            lowered(guide.get());
        }
        if (form.legs() > 0 && form.reachesHalfCircle()) {
            rounds.forEach(r -> found.add(new StitchFact.Arch(2 * r.radius(), r.radius() + form.legs())));
        }
    }

    private void rise(ArcForm form, Guide guide, ArcTemplate edge, ArcTemplate.RiseLine line, double radius) {
        double rise = line.belowCrown() + edge.edge().footSign() * foot;
        if (rise <= 0) {
            return;
        }
        EngravedLine engraved = template.lines().stream()
                .filter(l -> l.kind() == EngravedLine.Kind.RISE && l.value() == line.label())
                .findFirst()
                .orElseThrow();
        if (rise > radius) {
            if (rise <= radius + form.legs() + Tolerances.ROUNDING) {
                found.add(new StitchFact.SpanAndRise(guide, engraved, 2 * radius, rise, Math.PI, 1));
            }
            return;
        }
        CircularSegment s = CircularSegment.ofRadiusAndHeight(radius, rise);
        found.add(new StitchFact.SpanAndRise(
                guide, engraved, s.chord(), rise, s.sweep(), ArcFit.placements(s.sweep(), edge.usableSweep())));
    }

    private void lowered(Guide guide) {
        List<StitchFact.SpanAndRise> at = found.stream()
                .filter(f -> f instanceof StitchFact.SpanAndRise s && s.guide().equals(guide))
                .map(StitchFact.SpanAndRise.class::cast)
                .filter(s -> s.rise() <= stitchedRadius(guide) + Tolerances.ROUNDING)
                .sorted(Comparator.comparingDouble(s -> -s.rise()))
                .toList();
        for (int i = 1; i < at.size(); i++) {
            StitchFact.SpanAndRise upper = at.get(i - 1);
            StitchFact.SpanAndRise lower = at.get(i);
            found.add(new StitchFact.Lowered(
                    upper.line(), lower.line(), upper.rise() - lower.rise(), (upper.span() - lower.span()) / 2));
        }
    }

    /** How circles of these sizes are used in blocks, and how many stitches go round. */
    public void uses() {
        for (Line line : lines) {
            double radius = stitchedRadius(line.guide());
            double once = 2 * Math.PI * radius * StitchFact.CircleUse.STITCHES_PER_INCH;
            found.add(new StitchFact.CircleUse(
                    line.guide(), radius * Math.sqrt(2), (int) Math.round(once), (int) Math.round(1.5 * once)));
        }
    }

    private double stitchedRadius(Guide guide) {
        Guide.Round round = guide.round().orElseThrow();
        return round.radius() + round.edge().footSign() * foot;
    }

    /** How the arcs of a set of fans overlap. */
    public void fans(SlottedFan fan) {
        List<Double> radii = lines.stream()
                .filter(l -> l.guide().role() == Guide.Role.OUTER_WALL)
                .map(l -> stitchedRadius(l.guide()))
                .sorted()
                .toList();
        if (radii.size() < 2) {
            return;
        }
        double outer = radii.get(radii.size() - 1);
        double least = TemplateFinder.fanSweep(radii.get(0), outer, outer);
        double most = TemplateFinder.fanSweep(outer, outer, outer);
        found.add(new StitchFact.FanSet(
                outer,
                least,
                most,
                ArcFit.placements(most, fan.sweep()) - 1,
                Math.sqrt(outer * outer - outer * outer / 4)));
    }

    /** For sets that can be laid about one centre: slots, loose discs, and the discs of a nest. */
    public void ringGap() {
        List<Double> radii = lines.stream()
                .filter(l ->
                        l.guide().role() == Guide.Role.OUTER_WALL || l.guide().role() == Guide.Role.DISC)
                .map(l -> stitchedRadius(l.guide()))
                .sorted()
                .toList();
        if (radii.size() < 2) {
            return;
        }
        double gap = radii.get(1) - radii.get(0);
        for (int i = 2; i < radii.size(); i++) {
            if (Math.abs(radii.get(i) - radii.get(i - 1) - gap) > Tolerances.SAME_PLACE) {
                return;
            }
        }
        found.add(new StitchFact.RingGap(gap));
    }

    /** How much room the foot has in slots of a width in inches. */
    public void slotPlay(double width) {
        double play = width - 2 * foot;
        found.add(new StitchFact.Play(play, 2 * play));
    }

    /** How wide and how high the first line is. */
    public void extent() {
        lines.stream().findFirst().ifPresent(line -> {
            Box box = line.paths().get(0).box();
            found.add(new StitchFact.Extent(box.width(), box.height()));
        });
    }

    /** How long each line is. */
    public void lengths() {
        lines.forEach(line -> found.add(new StitchFact.Length(
                line.guide(), line.paths().stream().mapToDouble(Path::length).sum())));
    }

    /** What a strip of repeats draws. */
    public void module(double module, int repeats) {
        Prediction height = Prediction.of(template, foot);
        if (height.inches() > 0) {
            found.add(new StitchFact.Module(module, height.inches(), repeats));
        }
    }

    /** How far an arm reaches, and how it steps round. */
    public void arm() {
        lines.stream().findFirst().ifPresent(line -> {
            Path path = line.paths().get(0);
            double reach = path.end().length();
            found.add(new StitchFact.Reach(reach, path.length()));
            found.add(new StitchFact.CoversBlock(reach * Math.sqrt(2)));
            double step = 2 * Math.PI / USUAL_ARMS;
            found.add(new StitchFact.ArmSteps(USUAL_ARMS, step, 2 * reach * Math.sin(step / 2), reach * step));
        });
    }

    private void echoes() {
        Optional<Guide> main = cut.main();
        if (main.isEmpty()) {
            return;
        }
        found.add(new StitchFact.Echo(main.get(), 0, foot, 0));
        for (EngravedLine line : template.lines()) {
            double fromEdge = line.fromEdge(1);
            if (line.kind() == EngravedLine.Kind.PARALLEL && fromEdge >= 0) {
                found.add(new StitchFact.Echo(main.get(), fromEdge, fromEdge + foot, fromEdge));
            }
        }
    }
}
