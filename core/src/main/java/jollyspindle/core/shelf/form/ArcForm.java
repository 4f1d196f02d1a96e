package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.DoubleStream;

/**
 * An arc: a bulging edge, a hollow one, or both.
 *
 * <p>Its frame has the origin at the centre of the bulging edge's circle, or of the hollow one's if it has no other; y
 * points at the crown.
 *
 * @param bulging the size printed for the bulging edge
 * @param hollow the size printed for the hollow edge
 * @param usableSweep how much of the edge a foot can follow, in radians, centred on the crown; over 0, at most π
 * @param legs how far the edges go straight on below the half circle, in inches; 0 unless the sweep is the half circle
 * @param halfCircle whether it is sold as a half circle
 * @param depth from the bulging edge's crown straight to the far side, or to the hollow edge's crown; for a hollow edge
 *     alone from its crown up to the far side
 */
public record ArcForm(
        OptionalDouble bulging,
        OptionalDouble hollow,
        double usableSweep,
        double legs,
        boolean halfCircle,
        double depth)
        implements Form {
    /** No arc edge is usable over more, in degrees. */
    private static final double HALF_CIRCLE = 180;

    private static final Param.MaybeLength<ArcForm> BULGING =
            Param.maybeLength("bulging", SMALLEST, LARGEST, ArcForm::bulging);
    private static final Param.MaybeLength<ArcForm> HOLLOW =
            Param.maybeLength("hollow", SMALLEST, LARGEST, ArcForm::hollow);
    private static final Param.Angle<ArcForm> SWEEP =
            Param.angle("usableSweep", LEAST_SWEEP, HALF_CIRCLE, ArcForm::usableSweep);
    private static final Param.Length<ArcForm> LEGS =
            Param.<ArcForm>length("legs", 0, LARGEST, ArcForm::legs).usually(0).orNone();
    private static final Param.Flag<ArcForm> HALF = Param.flag("halfCircle", ArcForm::halfCircle, false);
    private static final Param.Length<ArcForm> DEPTH = Param.length("depth", SMALLEST, LARGEST, ArcForm::depth);

    /** Templates of this form. */
    public static final FormType<ArcForm> TYPE = FormType.of(
            Kind.ARC,
            ArcForm.class,
            Params.of(
                            v -> new ArcForm(
                                    v.get(BULGING),
                                    v.get(HOLLOW),
                                    v.get(SWEEP),
                                    v.get(LEGS),
                                    v.get(HALF),
                                    v.get(DEPTH)),
                            Params.row(BULGING, HOLLOW),
                            Params.row(SWEEP, DEPTH),
                            Params.row(LEGS),
                            Params.row(HALF))
                    .kept(BULGING, HOLLOW, SWEEP, LEGS, HALF, DEPTH)
                    .brief(LEGS)
                    .brief(HALF),
            bulging(4, Math.toRadians(120), 3));

    /** How wide the acrylic beside a hollow edge is, in inches, for want of a measured width. */
    private static final double BESIDE = 1;

    public ArcForm {
        if (bulging.isEmpty() && hollow.isEmpty()) {
            throw new IllegalArgumentException(Refusals.say("form.arc"));
        }
        bulging.ifPresent(size -> Form.size(size, "bulging"));
        hollow.ifPresent(size -> Form.size(size, "hollow"));
        Form.size(depth, "depth");
        Guards.degrees("usableSweep", usableSweep, LEAST_SWEEP, HALF_CIRCLE);
        Guards.within("legs", legs, 0, LARGEST);
    }

    public static ArcForm bulging(double size, double usableSweep, double depth) {
        return new ArcForm(OptionalDouble.of(size), OptionalDouble.empty(), usableSweep, 0, false, depth);
    }

    public static ArcForm hollow(double size, double usableSweep, double depth) {
        return new ArcForm(OptionalDouble.empty(), OptionalDouble.of(size), usableSweep, 0, false, depth);
    }

    @Override
    public FormType<ArcForm> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.arc(this);
    }

    @Override
    public Prediction foretell(Cut cut, SizeLabel label, double foot) {
        ArcEdge edge = bulging.isPresent() ? ArcEdge.CONVEX : ArcEdge.CONCAVE;
        return Prediction.round(edgeRadius(edge, label).orElseThrow() + edge.footSign() * foot, label);
    }

    @Override
    public List<ArcTemplate> arcs(Template template) {
        Cut cut = template.cut();
        List<ArcTemplate> arcs = new ArrayList<>();
        for (ArcEdge edge : ArcEdge.values()) {
            edgeRadius(edge, template.label())
                    .ifPresent(radius -> arcs.add(ArcTemplate.of(template, cut, edge, radius)));
        }
        return arcs;
    }

    @Override
    public void inspect(Template template, Machine machine, List<TemplateDiagnostic> found) {
        for (ArcEdge edge : ArcEdge.values()) {
            edgeRadius(edge, template.label())
                    .ifPresent(radius -> TemplateDiagnostic.small(
                            (edge == ArcEdge.CONVEX ? bulging : hollow).getAsDouble(), radius, found));
        }
        if ((halfCircle || legs > 0) && !reachesHalfCircle()) {
            found.add(new TemplateDiagnostic.SweepShortOfHalfCircle(usableSweep));
        }
        for (ArcTemplate edge : template.arcs()) {
            double radius = edge.stitchedRadius(machine);
            for (ArcTemplate.RiseLine line : edge.riseLines()) {
                double rise = edge.stitchedRise(line, machine);
                if (rise <= 0 || radius <= 0) {
                    continue;
                }
                double needed = rise >= radius
                        ? Math.PI
                        : CircularSegment.ofRadiusAndHeight(radius, rise).sweep();
                // Half a degree is less than anybody places a template.
                if (needed > edge.usableSweep() + Math.toRadians(0.5)) {
                    template.lines().stream()
                            .filter(l -> l.kind() == EngravedLine.Kind.RISE && l.value() == line.label())
                            .findFirst()
                            .ifPresent(l ->
                                    found.add(new TemplateDiagnostic.LineBeyondSweep(l, needed, edge.usableSweep())));
                }
            }
        }
    }

    @Override
    public boolean hasSizeLabel() {
        return true;
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.RISE, EngravedLine.Kind.PARALLEL, EngravedLine.Kind.CENTRE);
    }

    /** Whether the edge reaches the half circle, from where legs can go on. */
    public boolean reachesHalfCircle() {
        return usableSweep > Math.PI - Tolerances.SAME_PLACE;
    }

    /** The radius of the acrylic edge in inches, if it has that edge; not over 0 if its label makes no sense. */
    public OptionalDouble edgeRadius(ArcEdge edge, SizeLabel label) {
        OptionalDouble size = edge == ArcEdge.CONVEX ? bulging : hollow;
        return size.isPresent() ? OptionalDouble.of(label.cutRadius(size.getAsDouble(), edge)) : size;
    }

    @Override
    public double mainSize() {
        return bulging.orElseGet(hollow::getAsDouble);
    }

    /** Both edges change alike, so that what lies between them stays. */
    @Override
    public ArcForm withMainSize(double size) {
        double by = size - mainSize();
        OptionalDouble other =
                bulging.isPresent() && hollow.isPresent() ? OptionalDouble.of(hollow.getAsDouble() + by) : hollow;
        return bulging.isPresent()
                ? new ArcForm(OptionalDouble.of(size), other, usableSweep, legs, halfCircle, depth)
                : new ArcForm(bulging, OptionalDouble.of(size), usableSweep, legs, halfCircle, depth);
    }

    @Override
    public List<Double> sizes() {
        return DoubleStream.concat(bulging.stream(), hollow.stream()).boxed().toList();
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        double r = edgeRadius(ArcEdge.CONVEX, label).orElse(1);
        double hollowRadius = edgeRadius(ArcEdge.CONCAVE, label).orElse(1);
        if (r <= 0 || hollowRadius <= 0) {
            return Cut.NOTHING;
        }
        List<Guide> guides = new ArrayList<>();
        Point hollowCentre = bulging.isPresent() ? new Point(0, r - depth - hollowRadius) : Point.ORIGIN;
        Path top = bulging.isPresent() ? edge(Point.ORIGIN, r) : null;
        Path bottom = hollow.isPresent() ? edge(hollowCentre, hollowRadius) : null;
        if (top != null) {
            guides.add(guide("bulging", Guide.Role.BULGING_EDGE, top, Point.ORIGIN, r, ArcEdge.CONVEX));
        }
        if (bottom != null) {
            guides.add(guide("hollow", Guide.Role.HOLLOW_EDGE, bottom, hollowCentre, hollowRadius, ArcEdge.CONCAVE));
        }
        return new Cut(List.of(Cut.Piece.of(outline(top, bottom, r, hollowRadius))), guides);
    }

    private Guide guide(String id, Guide.Role role, Path path, Point centre, double radius, ArcEdge edge) {
        return new Guide(
                id,
                role,
                0,
                path,
                edge == ArcEdge.CONVEX,
                Optional.of(new Guide.Round(centre, radius, edge, usableSweep)));
    }

    /** From left to right over the crown, with the legs. */
    private Path edge(Point centre, double radius) {
        Arc arc = new Arc(centre, radius, Math.PI / 2 + usableSweep / 2, -usableSweep);
        if (legs == 0 || !reachesHalfCircle()) {
            return Path.of(arc);
        }
        Point down = new Point(0, -legs);
        return Path.of(
                new Segment(arc.start().plus(down), arc.start()),
                arc,
                new Segment(arc.end(), arc.end().plus(down)));
    }

    /** Beyond the edges it is a plain block, since the rest doesn't touch the foot. */
    private Path outline(Path top, Path bottom, double r, double hollowRadius) {
        List<Curve> curves = new ArrayList<>((top == null ? bottom : top).curves());
        Point right = (top == null ? bottom : top).end();
        Point left = (top == null ? bottom : top).start();
        if (top != null && bottom != null) {
            curves.add(new Segment(right, bottom.end()));
            curves.addAll(bottom.reversed().curves());
            curves.add(new Segment(bottom.start(), left));
            return new Path(curves);
        }
        List<Point> corners = new ArrayList<>(List.of(right));
        if (top != null) {
            double base = Math.min(r - depth, left.y());
            corners.add(new Point(right.x(), base));
            corners.add(new Point(left.x(), base));
        } else {
            double back = hollowRadius + depth;
            corners.add(new Point(right.x() + BESIDE, right.y()));
            corners.add(new Point(right.x() + BESIDE, back));
            corners.add(new Point(left.x() - BESIDE, back));
            corners.add(new Point(left.x() - BESIDE, left.y()));
        }
        corners.add(left);
        for (int i = 1; i < corners.size(); i++) {
            curves.add(new Segment(corners.get(i - 1), corners.get(i)));
        }
        return new Path(curves);
    }
}
