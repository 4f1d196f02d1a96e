package jollyspindle.core.sewing;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.ToolId;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SerpentineStrip;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** An edge of a template that a line can be stitched along. */
public sealed interface StitchingEdge {

    ToolId id();

    /** The template's name. */
    String name();

    /**
     * A round edge. Its own frame has its origin at the circle's centre.
     *
     * @param stitched radius, in inches
     * @param middle where the middle of the edge lies at home, in radians seen from the centre
     * @param usable how much of it one placement can stitch, in radians
     */
    record Round(ToolId id, String name, double stitched, double middle, double usable) implements StitchingEdge {

        public static Round of(ArcTemplate template, Machine machine) {
            return new Round(
                    new ToolId(template.templateId(), template.guideId(), Optional.of(template.edge())),
                    template.name(),
                    template.stitchedRadius(machine),
                    Math.PI / 2,
                    template.usableSweep());
        }

        /** Whether it is a circle's, which goes on beyond a half circle, and so has a middle that can be laid on a mark. */
        public boolean isCircle() {
            return usable > Math.PI + Tolerances.SAME_PLACE;
        }

        private static double middle(Guide guide) {
            // An arch stands on straight legs.
            Arc edge = guide.edge().curves().stream()
                    .filter(Arc.class::isInstance)
                    .map(Arc.class::cast)
                    .findFirst()
                    .orElseThrow();
            return edge.startAngle() + edge.sweep() / 2;
        }

        public static Optional<Round> of(Template template, Guide guide, Machine machine) {
            return guide.round()
                    .filter(r -> r.stitchedRadius(machine) > Tolerances.SAME_PLACE)
                    .filter(r -> r.edge() == ArcEdge.CONVEX || r.radius() > machine.footRadius())
                    .map(r -> new Round(
                            new ToolId(template.id(), guide.id(), Optional.of(r.edge())),
                            template.name(),
                            r.stitchedRadius(machine),
                            middle(guide),
                            r.sweep()));
        }
    }

    /**
     * A straight edge. Its own frame is the template's.
     *
     * @param line what is stitched along it, in that frame
     * @param angles of the lines engraved on it against that line, in radians
     * @param parallels the distances of the lines engraved along it, from the edge, in inches
     * @param depth how far the acrylic reaches from the edge, in inches
     */
    record Straight(ToolId id, String name, Segment line, List<Double> angles, List<Double> parallels, double depth)
            implements StitchingEdge {

        /** A quarter of a degree, in radians: less nobody lays. */
        private static final double SEEN = Math.toRadians(0.25);

        public static Optional<Straight> of(Template template, Guide guide, Machine machine) {
            if (guide.round().isPresent() || guide.edge().curves().size() != 1) {
                return Optional.empty();
            }
            Curve edge = guide.edge().curves().get(0);
            List<Path> stitched = guide.stitched(machine.footRadius());
            if (!(edge instanceof Segment)
                    || stitched.isEmpty()
                    || !(stitched.get(0).curves().get(0) instanceof Segment line)) {
                return Optional.empty();
            }
            List<Double> angles = template.lines().stream()
                    .filter(l -> l.kind() == EngravedLine.Kind.CENTRE || l.kind() == EngravedLine.Kind.REFERENCE)
                    .map(l -> l.kind() == EngravedLine.Kind.CENTRE ? Math.PI / 2 : Math.PI / 2 + l.value())
                    .map(a -> a % Math.PI)
                    .toList();
            List<Double> parallels = template.lines().stream()
                    .filter(l -> l.kind() == EngravedLine.Kind.PARALLEL)
                    .map(l -> l.fromEdge(1))
                    .filter(d -> d > 0)
                    .toList();
            Point way = edge.direction(0);
            double depth = template.cut().pieces().stream()
                    .flatMap(piece -> piece.outlines().stream())
                    .flatMap(outline -> outline.curves().stream())
                    .mapToDouble(c -> Math.abs(c.start().minus(edge.start()).cross(way)))
                    .max()
                    .orElse(0);
            return Optional.of(new Straight(
                    new ToolId(template.id(), guide.id(), Optional.empty()),
                    template.name(),
                    line,
                    angles,
                    parallels,
                    depth));
        }

        /** Whether something that lies so far from the edge, in inches, lies under the acrylic. */
        public boolean reachesTo(double fromEdge) {
            return fromEdge >= 0 && fromEdge <= depth - Tolerances.CHALK;
        }

        public double length() {
            return line.length();
        }

        public Point middle() {
            return line.at(0.5);
        }

        /** Whether a line is engraved on it at an angle against the edge, in radians, as near as can be seen. */
        public boolean hasAngle(double angle) {
            return angles.stream().anyMatch(a -> Math.abs(Math.sin(a - angle)) < SEEN);
        }
    }

    /**
     * The edge of a strip, the same figure over and over. Its own frame is the template's, or that turned by half a turn.
     *
     * @param turned whether its own frame is the template's, turned by half a turn, since it is the far side's
     * @param stitched what the needle draws along the whole of it, from left to right
     * @param module of the figure along the strip, in inches
     * @param figures how many
     * @param top of the acrylic: its points or crests, in its frame
     * @param bottom of the acrylic
     * @param across what is engraved across it
     */
    record Strip(
            boolean turned,
            ToolId id,
            String name,
            Path stitched,
            double module,
            int figures,
            double top,
            double bottom,
            List<Across> across)
            implements StitchingEdge {

        /**
         * A line engraved across the strip.
         *
         * @param below the strip's points or crests, in inches
         */
        public record Across(EngravedLine line, double below) {

            static Stream<Across> of(EngravedLine line, double top) {
                return switch (line.kind()) {
                    case CROWN -> Stream.of(new Across(line, line.fromEdge(1)));
                    // The needle's valleys stand on the frame's own level with the usual foot.
                    case SEAM_ALLOWANCE -> Stream.of(new Across(line, top + line.value()));
                    default -> Stream.empty();
                };
            }
        }

        /**
         * The line engraved so far below the crests, if there is one next to it.
         *
         * @param within how far it may be off, in inches
         */
        public Optional<EngravedLine> across(double below, double within) {
            return across.stream()
                    .filter(a -> Math.abs(a.below() - below) <= within)
                    .min(Comparator.comparingDouble(a -> Math.abs(a.below() - below)))
                    .map(Across::line);
        }

        /** The template, where the strip lies so. */
        public Lying lying(Pose pose) {
            return new Lying(id, name, turned ? new Pose(pose.position(), pose.rotation() + Math.PI) : pose);
        }

        private static Optional<Strip> of(Template template, Guide guide, ScallopRow row, Machine machine) {
            boolean far = guide.id().equals(ScallopRow.FAR_EDGE);
            Pose upright = new Pose(Point.ORIGIN, far ? Math.PI : 0);
            Box plate = guide.edge().box();
            Box cut = template.cut().pieces().get(0).outlines().get(0).box();
            double top = far ? -plate.bottom() : plate.top();
            List<Path> stitched = guide.stitched(machine.footRadius());
            return stitched.size() == 1
                    ? Optional.of(new Strip(
                            far,
                            new ToolId(template.id(), guide.id(), Optional.empty()),
                            template.name(),
                            stitched.get(0).posed(upright),
                            row.along(guide).width(),
                            row.along(guide).count(),
                            top,
                            far ? -cut.top() : cut.bottom(),
                            // Its lines are engraved for the near side.
                            far
                                    ? List.of()
                                    : template.lines().stream()
                                            .flatMap(line -> Across.of(line, top))
                                            .toList()))
                    : Optional.empty();
        }

        /** Nothing if the foot can't follow the edge in one go, or the edge isn't a strip's. */
        public static Optional<Strip> of(Template template, Guide guide, Machine machine) {
            double module;
            int figures;
            double bottom;
            double low = guide.edge().box().bottom();
            if (template.form() instanceof SerpentineStrip s && guide.role() == Guide.Role.SERPENTINE) {
                module = s.module();
                figures = s.waves();
                bottom = low - s.depth();
            } else if (template.form() instanceof ScallopRow r && guide.role() == Guide.Role.SCALLOPS) {
                return of(template, guide, r, machine);
            } else if (template.form() instanceof ChevronStrip c && guide.role() == Guide.Role.ZIGZAG) {
                module = c.module();
                figures = c.tips();
                bottom = low - c.depth();
            } else {
                return Optional.empty();
            }
            List<Path> stitched = guide.stitched(machine.footRadius());
            double top = guide.edge().box().top();
            return stitched.size() == 1
                    ? Optional.of(new Strip(
                            false,
                            new ToolId(template.id(), guide.id(), Optional.empty()),
                            template.name(),
                            stitched.get(0),
                            module,
                            figures,
                            top,
                            bottom,
                            template.lines().stream()
                                    .flatMap(line -> Across.of(line, top))
                                    .toList()))
                    : Optional.empty();
        }
    }

    /**
     * An edge that is followed as a whole. Its own frame is the template's.
     *
     * @param stitched what the needle draws along it
     */
    record Whole(ToolId id, String name, Path stitched) implements StitchingEdge {}

    /** No edge: the line is stitched by hand. */
    record ByHand() implements StitchingEdge {
        @Override
        public ToolId id() {
            return ToolId.BY_HAND;
        }

        @Override
        public String name() {
            return "";
        }
    }

    /**
     * An edge of whatever shape that lies in a way that is settled already.
     *
     * @param pose in the quilt's frame, of the template's own
     */
    record Lying(ToolId id, String name, Pose pose) implements StitchingEdge {}
}
