package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
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
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Whole circles. Its frame has the origin at the centre, or in the middle of the row.
 *
 * @param cutting how they are cut
 * @param sizes printed on it, ascending, each once
 * @param rim how much acrylic is left round holes and between them, in inches; discs of a set lie so far apart
 */
public record CircleForm(Cutting cutting, List<Double> sizes, double rim) implements Form {
    private static final Param.Choice<CircleForm, Cutting> CUTTING =
            Param.choice("cutting", Cutting.class, CircleForm::cutting);
    private static final Param.Lengths<CircleForm> SIZES =
            Param.lengths("sizes", SMALLEST, LARGEST, MOST_SIZES, CircleForm::sizes);
    private static final Param.Length<CircleForm> RIM_WIDTH = Param.length("rim", SMALLEST, LARGEST, CircleForm::rim);

    /** Templates of this form. */
    public static final FormType<CircleForm> TYPE = FormType.of(
            Kind.CIRCLE,
            CircleForm.class,
            Params.of(
                            v -> new CircleForm(v.get(CUTTING), v.get(SIZES), v.get(RIM_WIDTH)),
                            Params.row(CUTTING, RIM_WIDTH),
                            Params.row(SIZES))
                    .kept(CUTTING, SIZES, RIM_WIDTH),
            new CircleForm(Cutting.HOLES, List.of(3.0), RIM));

    /** How circles are cut. */
    public enum Cutting {
        /** One hole or several in one plate. */
        HOLES,
        /** One disc or a set of loose ones. */
        DISCS,
        /** A hole (the smaller size) in a disc (the larger). */
        RING,
        /**
         * Rings that lie in each other, cut from one plate: each cut makes the outside of one piece and the inside of the
         * next. A label that counts the foot is that of the inside.
         */
        NEST
    }

    public CircleForm {
        sizes = sizes.stream().sorted().distinct().toList();
        if (sizes.isEmpty() || cutting == Cutting.RING && sizes.size() != 2) {
            throw new IllegalArgumentException(Refusals.say("form.circle", "found", sizes.size()));
        }
        sizes.forEach(size -> Form.size(size, "size"));
        Form.size(rim, "rim");
    }

    @Override
    public FormType<CircleForm> type() {
        return TYPE;
    }

    @Override
    public void facts(StitchFacts facts) {
        facts.rounds();
        facts.uses();
        facts.ringGap();
    }

    @Override
    public List<ArcTemplate> arcs(Template template) {
        Cut cut = template.cut();
        return cut.guides().stream()
                .map(guide -> ArcTemplate.of(template, cut, guide))
                .toList();
    }

    @Override
    public void inspect(Template template, Machine machine, List<TemplateDiagnostic> found) {
        if (cutting == Cutting.DISCS) {
            sizes.forEach(
                    size -> TemplateDiagnostic.small(size, template.label().cutRadius(size, ArcEdge.CONVEX), found));
        }
        if (cutting == Cutting.RING && template.cut().guides().isEmpty()) {
            found.add(new TemplateDiagnostic.RunsInto(sizes.get(0), sizes.get(1)));
        }
    }

    @Override
    public boolean hasSizeLabel() {
        return true;
    }

    @Override
    public boolean hasOpenings() {
        return cutting == Cutting.HOLES || cutting == Cutting.RING;
    }

    @Override
    public Set<EngravedLine.Kind> lines() {
        return EnumSet.of(EngravedLine.Kind.PARALLEL, EngravedLine.Kind.CENTRE);
    }

    /** The largest. */
    @Override
    public double mainSize() {
        return sizes.get(sizes.size() - 1);
    }

    @Override
    public CircleForm withMainSize(double size) {
        return new CircleForm(cutting, Sizes.scaled(sizes, size), rim);
    }

    @Override
    public Cut cut(SizeLabel label, double gap) {
        return switch (cutting) {
            case HOLES -> holes(label, gap);
            case DISCS -> discs(label);
            case RING -> ring(label, gap);
            case NEST -> nest(label);
        };
    }

    private int number(int index) {
        return sizes.size() == 1 ? 0 : index + 1;
    }

    private static Guide hole(int number, Arc arc) {
        return Guide.round(number == 0 ? "hole" : "hole-" + number, Guide.Role.HOLE, number, arc, ArcEdge.CONCAVE);
    }

    private static Guide disc(int number, Arc arc) {
        return Guide.round(number == 0 ? "disc" : "disc-" + number, Guide.Role.DISC, number, arc, ArcEdge.CONVEX);
    }

    /** Counter-clockwise; from one side of the gap, which points down, round to the other. */
    private static Arc arc(Point centre, double radius, double gap) {
        double half = gap >= 2 * radius ? 0 : Math.asin(gap / 2 / radius);
        return new Arc(centre, radius, -Math.PI / 2 + half, 2 * Math.PI - 2 * half);
    }

    private Cut holes(SizeLabel label, double gap) {
        List<Arc> arcs = new ArrayList<>();
        List<Guide> guides = new ArrayList<>();
        double along = rim;
        double largest = 0;
        for (int i = 0; i < sizes.size(); i++) {
            double radius = label.cutRadius(sizes.get(i), ArcEdge.CONCAVE);
            arcs.add(arc(new Point(along + radius, 0), radius, gap));
            along += 2 * radius + rim;
            largest = Math.max(largest, radius);
        }
        Point by = new Point(-along / 2, 0);
        for (int i = 0; i < arcs.size(); i++) {
            Arc moved = new Arc(
                    arcs.get(i).centre().plus(by),
                    arcs.get(i).radius(),
                    arcs.get(i).startAngle(),
                    arcs.get(i).sweep());
            arcs.set(i, moved);
            guides.add(hole(number(i), moved));
        }
        double half = along / 2;
        double high = largest + rim;
        List<Path> outlines = new ArrayList<>();
        List<Curve> outer = new ArrayList<>();
        Point at = new Point(-half, -high);
        for (Arc arc : arcs) {
            if (open(arc)) {
                // Along the bottom, up the way in, round the hole clockwise and down again.
                Point upLeft = arc.end();
                Point upRight = arc.start();
                Point inLeft = new Point(upLeft.x(), -high);
                Point inRight = new Point(upRight.x(), -high);
                outer.add(new Segment(at, inLeft));
                outer.add(new Segment(inLeft, upLeft));
                outer.add(arc.reversed());
                outer.add(new Segment(upRight, inRight));
                at = inRight;
            } else {
                outlines.add(Path.of(arc));
            }
        }
        Point lowRight = new Point(half, -high);
        Point highRight = new Point(half, high);
        Point highLeft = new Point(-half, high);
        outer.add(new Segment(at, lowRight));
        outer.add(new Segment(lowRight, highRight));
        outer.add(new Segment(highRight, highLeft));
        outer.add(new Segment(highLeft, new Point(-half, -high)));
        outlines.add(0, new Path(outer));
        return new Cut(List.of(new Cut.Piece(outlines)), guides);
    }

    private static boolean open(Arc arc) {
        return arc.sweep() < 2 * Math.PI - Tolerances.ROUNDING;
    }

    private Cut discs(SizeLabel label) {
        List<Cut.Piece> pieces = new ArrayList<>();
        List<Guide> guides = new ArrayList<>();
        double all = -rim;
        for (double size : sizes) {
            all += 2 * Math.max(0, label.cutRadius(size, ArcEdge.CONVEX)) + rim;
        }
        double along = -all / 2;
        for (int i = 0; i < sizes.size(); i++) {
            double radius = label.cutRadius(sizes.get(i), ArcEdge.CONVEX);
            if (radius > 0) {
                Arc arc = arc(new Point(along + radius, 0), radius, 0);
                pieces.add(Cut.Piece.of(Path.of(arc)));
                guides.add(disc(number(i), arc));
                along += 2 * radius + rim;
            }
        }
        return new Cut(pieces, guides);
    }

    private Cut ring(SizeLabel label, double gap) {
        double inner = label.cutRadius(sizes.get(0), ArcEdge.CONCAVE);
        double outer = label.cutRadius(sizes.get(1), ArcEdge.CONVEX);
        if (inner >= outer) {
            return Cut.NOTHING;
        }
        Arc in = arc(Point.ORIGIN, inner, gap);
        Arc out = arc(Point.ORIGIN, outer, open(in) ? gap : 0);
        List<Guide> guides = List.of(hole(0, in), disc(0, out));
        if (!open(in)) {
            return new Cut(List.of(Cut.Piece.of(Path.of(out), Path.of(in))), guides);
        }
        Path outline =
                Path.of(out, new Segment(out.end(), in.end()), in.reversed(), new Segment(in.start(), out.start()));
        return new Cut(List.of(Cut.Piece.of(outline)), guides);
    }

    private Cut nest(SizeLabel label) {
        List<Cut.Piece> pieces = new ArrayList<>();
        List<Guide> guides = new ArrayList<>();
        Arc within = null;
        for (int i = 0; i < sizes.size(); i++) {
            Arc arc = arc(Point.ORIGIN, label.cutRadius(sizes.get(i), ArcEdge.CONCAVE), 0);
            pieces.add(within == null ? Cut.Piece.of(Path.of(arc)) : Cut.Piece.of(Path.of(arc), Path.of(within)));
            if (i < sizes.size() - 1) {
                guides.add(hole(i + 1, arc));
            }
            within = arc;
        }
        for (int i = 0; i < sizes.size(); i++) {
            guides.add(disc(i + 1, arc(Point.ORIGIN, label.cutRadius(sizes.get(i), ArcEdge.CONCAVE), 0)));
        }
        return new Cut(pieces, guides);
    }
}
