package jollyspindle.core.area;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.route.Travel;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacedEdges;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** What must hold of every plan of an area; JTS measures independently what was placed and cut off. */
class AreaChecks {

    static final GeometryFactory JTS = new GeometryFactory();
    static final AreaId ID = new AreaId(1);
    static final Machine MACHINE = new Machine(0.25);
    static final AreaRules RULES = new AreaRules(OptionalDouble.empty(), 8, false);

    static AreaPlan plan(Area area, AreaMotif motif, String template) {
        AreaPlan plan = layOut(
                area,
                AreaDesign.of(motif, Optional.ofNullable(template)),
                List.of(),
                StarterShelf.templates(),
                MACHINE);
        check(area, plan, StarterShelf.templates());
        return plan;
    }

    static AreaPlan layOut(
            Area area, AreaDesign design, List<Path> inTheWay, List<Template> templates, Machine machine) {
        return AreaDesigner.layOut(
                ID, area, design, around(inTheWay), RULES, new EdgeCatalog(templates, machine), TapeScale.SIXTEENTHS);
    }

    static AreaSurroundings around(List<Path> inTheWay) {
        return new AreaSurroundings(AreaSurroundings.none().body(), inTheWay, List.of());
    }

    static Area block(double side) {
        return new Area.Blocks(1, 1, side, side, 0);
    }

    static List<Diagnostic> told(AreaPlan plan) {
        return plan.diagnosed().stream().map(AreaPlan.Diagnosed::what).toList();
    }

    // --- what must hold of every plan --------------------------------------------------------------------------

    static LineString flat(Path path) {
        Coordinate[] places = path.flattened(1e-4).stream()
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new);
        if (path.closed()) {
            // Closed to the last digit, as JTS wants it.
            places[places.length - 1] = places[0].copy();
        }
        return JTS.createLineString(places);
    }

    static Geometry cloth(Area area) {
        return JTS.buildGeometry(AreaSpace.cloth(area, AreaSurroundings.none().body()).stream()
                .map(AreaChecks::filled)
                .toList());
    }

    private static final PreparedGeometry BODY =
            PreparedGeometryFactory.prepare(filled(AreaSurroundings.none().body()));

    /** The cloth that a line lies in: the area's own, or for what echoes a medallion the whole body. */
    private static PreparedGeometry cloth(Area area, StitchLine line, PreparedGeometry own) {
        boolean may = area instanceof Area.Medallion && line.kind() == Stitched.ECHO;
        return may ? BODY : own;
    }

    static void check(Area area, AreaPlan plan, List<Template> templates) {
        Set<String> ids = new HashSet<>();
        PreparedGeometry cloth = PreparedGeometryFactory.prepare(cloth(area).buffer(2e-3));
        PlacedEdges edges = new PlacedEdges(templates);
        Map<StitchLine, List<Placement>> pieces =
                plan.placements().stream().collect(Collectors.groupingBy(Placement::of));
        for (StitchLine line : plan.lines()) {
            assertThat(ids.add(line.id().code())).as(line.id().code()).isTrue();
            assertThat(cloth(area, line, cloth).covers(flat(line.path())))
                    .as(line.id() + " inside")
                    .isTrue();
            List<Placement> own = pieces.getOrDefault(line, List.of());
            assertThat(own).as(line.id().code()).isNotEmpty();
            double length = own.stream().mapToDouble(p -> p.path().length()).sum();
            assertThat(length).isCloseTo(line.path().length(), within(1e-6));
        }
        assertThat(plan.sums().stream().mapToInt(AreaPlan.Sum::lines).sum())
                .isEqualTo(plan.lines().size());
        Set<MarkId> used = new HashSet<>();
        for (Placement placement : plan.placements()) {
            placement.marks().forEach(m -> used.add(m.id()));
            assertThat(placement.start().place().distance(placement.path().start()))
                    .isLessThan(1e-3);
            assertThat(placement.end().place().distance(placement.path().end())).isLessThan(1e-3);
            for (Curve curve : placement.curves()) {
                for (int i = 0; i <= 4; i++) {
                    assertThat(edges.distance(placement, curve.at(i / 4.0)))
                            .as("%s along %s", placement.id(), placement.tool())
                            .isCloseTo(MACHINE.footRadius(), within(1e-3));
                }
            }
        }
        liesOnPlate(plan, templates);
        rowsLieOnRows(plan, templates);
        travels(plan);
        plan.marks().forEach(m -> assertThat(used).as(m.id().code()).contains(m.id()));
    }

    static Geometry filled(Path outline) {
        List<Coordinate> ring = new ArrayList<>();
        outline.flattened(1e-5).forEach(p -> ring.add(new Coordinate(p.x(), p.y())));
        ring.add(ring.get(0));
        return JTS.createPolygon(ring.toArray(Coordinate[]::new));
    }

    /** A line that a straight template is laid on is stitched before, and lies on the template's side of its edge. */
    private static void liesOnPlate(AreaPlan plan, List<Template> templates) {
        for (Placement placement : plan.placements()) {
            if (!(placement.registration() instanceof Registration.OnStitching on)
                    || !(placement.curves().get(0) instanceof Segment)) {
                continue;
            }
            StitchLine other = plan.lines().stream()
                    .filter(l -> l.id().equals(on.lineId()))
                    .findFirst()
                    .orElseThrow();
            assertThat(plan.lines().indexOf(other)).isLessThan(plan.lines().indexOf(placement.of()));
            Template template = templates.stream()
                    .filter(t -> t.id().equals(placement.tool().templateId()))
                    .findFirst()
                    .orElseThrow();
            Path edge = template.cut()
                    .guide(placement.tool().guideId())
                    .orElseThrow()
                    .edge()
                    .posed(placement.pose());
            Point needle = placement.path().curves().get(0).at(0.5);
            Point plate = edge.curves().get(0).at(0.5).minus(needle);
            Point laid = other.path().curves().stream()
                    .map(c -> c.at(c.nearest(needle)))
                    .min(Comparator.comparingDouble(needle::distance))
                    .orElseThrow()
                    .minus(needle);
            assertThat(plate.dot(laid)).as(placement.id().code()).isGreaterThan(0);
        }
    }

    /** What of a shell template is laid on the crowns before, or on the lower edge, is on its acrylic and lies there. */
    private static void rowsLieOnRows(AreaPlan plan, List<Template> templates) {
        for (Placement placement : plan.placements()) {
            if (!(placement.registration() instanceof Registration.OnRow on)) {
                continue;
            }
            Template template = templates.stream()
                    .filter(t -> t.id().equals(placement.tool().templateId()))
                    .findFirst()
                    .orElseThrow();
            Box acrylic = template.cut().pieces().get(0).outlines().get(0).box();
            double laid = on.line()
                    .map(line -> template.strokes(line).get(0).start().y())
                    .orElse(acrylic.top() - on.belowCrowns());
            assertThat(laid).as(placement.id().code()).isBetween(acrylic.bottom(), acrylic.top() + 1e-6);
            double wanted = on.lineId()
                    .map(id -> plan.placements().stream()
                            .filter(p -> p.of().id().equals(id))
                            .mapToDouble(p -> p.pose().position().y())
                            .max()
                            .orElseThrow())
                    .map(row -> row + stitchedCrowns(template))
                    .orElseGet(() -> on.level() == Registration.OnRow.Level.DRAWN_LINE
                            ? drawn(plan, placement.pose().position().y() + laid)
                            : plan.pieces().stream()
                                    .map(p -> p.cloth().seam())
                                    .filter(p -> p.box()
                                            .grown(1e-3)
                                            .holds(placement.path().start()))
                                    .findFirst()
                                    .orElseThrow()
                                    .box()
                                    .bottom());
            assertThat(placement.pose().position().y() + laid)
                    .as(placement.id().code())
                    .isCloseTo(wanted, within(on.line().isPresent() ? 1.0 / 64 : 1e-6));
        }
    }

    /** The level of the line drawn across that is nearest to one. */
    private static double drawn(AreaPlan plan, double level) {
        return plan.pieces().stream()
                .flatMap(p -> p.cloth().drawn().stream())
                .filter(p -> p.box().height() < 1e-9)
                .map(p -> p.start().y())
                .min(Comparator.comparingDouble(y -> Math.abs(y - level)))
                .orElseThrow();
    }

    private static double stitchedCrowns(Template template) {
        return template.cut().pieces().get(0).outlines().get(0).box().top() + MACHINE.footRadius();
    }

    /** The needle travels from where it is to where the next line begins, in seams or on stitching. */
    private static void travels(AreaPlan plan) {
        for (Travel travel : plan.travels()) {
            StitchLine to = plan.lines().stream()
                    .filter(l -> l.id().equals(travel.to()))
                    .findFirst()
                    .orElseThrow();
            StitchLine from = plan.lines().get(plan.lines().indexOf(to) - 1);
            assertThat(travel.path().start().distance(from.needleAt())).isLessThan(1e-5);
            assertThat(travel.path().end().distance(to.path().start())).isLessThan(1e-5);
            if (travel.how() != Travel.How.DITCH) {
                List<StitchLine> done = plan.lines().subList(0, plan.lines().indexOf(to));
                List<Curve> on = travel.path().curves().stream()
                        .filter(c -> done.stream().anyMatch(l -> l.path().passes(c.at(0.5), 1e-5)))
                        .toList();
                // Where the rest is a ditch, only a part of it is stitched.
                assertThat(on).isNotEmpty();
                if (travel.how() == Travel.How.RETRACED) {
                    assertThat(on)
                            .as(travel.to().code())
                            .hasSameSizeAs(travel.path().curves());
                }
            }
        }
    }
}
