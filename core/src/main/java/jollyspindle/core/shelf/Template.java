package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.FormTypes;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.SizeLabel;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A template as the quilter owns it.
 *
 * @param id what jobs call it; letters, digits and hyphens
 * @param name what the quilter calls it, 1 to {@link #LONGEST_NAME} characters
 * @param form its kind and how it is cut
 * @param label what the sizes printed on it mean
 * @param gap how wide the way is that lets the foot into an opening, in inches; 0 if there is none
 * @param lines engraved on it
 * @param material what it is made of
 * @param notes whatever the quilter wants to remember, at most {@link #LONGEST_NOTES} characters
 * @param checked what it stitched on cloth
 * @param retired whether it is kept out of the way
 */
public record Template(
        String id,
        String name,
        Form form,
        SizeLabel label,
        double gap,
        List<EngravedLine> lines,
        Material material,
        String notes,
        Optional<ClothCheck> checked,
        boolean retired) {

    public static final int LONGEST_NAME = 80;
    public static final int LONGEST_NOTES = 2000;
    public static final int MOST_LINES = 200;

    private static final Param.Own<Template, String> ID = Param.own("id", String.class, Template::id);

    /** What the quilter calls it. */
    public static final Param.Text<Template> NAME = Param.text("name", 1, LONGEST_NAME, Template::name);

    private static final Param.Own<Template, Form> FORM = Param.own("form", Form.class, Template::form);
    private static final Param.Own<Template, SizeLabel> LABEL = Param.own("label", SizeLabel.class, Template::label);
    /** How wide the way is that lets the foot into an opening. */
    public static final Param.Length<Template> GAP = Param.<Template>length("gap", 0, Form.LARGEST, Template::gap)
            .usually(0)
            .orNone();

    private static final Param.Own<Template, List<EngravedLine>> LINES =
            Param.own("lines", EngravedLine.class, Template::lines);
    private static final Param.Own<Template, Material> MATERIAL =
            Param.own("material", Material.class, Template::material);
    private static final Param.Text<Template> NOTES =
            Param.<Template>text("notes", 0, LONGEST_NOTES, Template::notes).usually("");
    private static final Param.Own<Template, Optional<ClothCheck>> CHECKED = Param.<Template, Optional<ClothCheck>>own(
                    "checked", ClothCheck.class, Template::checked)
            .usually(Optional.empty());
    private static final Param.Flag<Template> RETIRED = Param.flag("retired", Template::retired, false);

    /** All that is said of a template. */
    public static final Params<Template> PARAMS = Params.of(
                    v -> new Template(
                            v.get(ID),
                            v.get(NAME),
                            v.get(FORM),
                            v.get(LABEL),
                            v.get(GAP),
                            v.get(LINES),
                            v.get(MATERIAL),
                            v.get(NOTES),
                            v.get(CHECKED),
                            v.get(RETIRED)),
                    Params.row(ID, NAME, FORM, LABEL, GAP, LINES, MATERIAL, NOTES, CHECKED, RETIRED))
            .brief(GAP)
            .brief(NOTES)
            .brief(CHECKED)
            .brief(RETIRED);

    public Template {
        NAME.check(name);
        name = name.strip();
        NOTES.check(notes);
        GAP.check(gap);
        lines = lines.stream()
                .sorted(Comparator.comparing(EngravedLine::kind).thenComparingDouble(EngravedLine::value))
                .toList();
    }

    /** A template about which nothing but its geometry is known yet. */
    public static Template of(String id, String name, Form form, SizeLabel label, List<EngravedLine> lines) {
        return new Template(id, name, form, label, 0, lines, Material.usual(), "", Optional.empty(), false);
    }

    /** A template of a kind as it begins, until its own sizes are typed. */
    public static Template usual(Kind kind, String id, String name) {
        return of(id, name, FormTypes.usual(kind), SizeLabel.RADIUS_AS_CUT, List.of());
    }

    /** This template in another size, with its lines as they are; what was checked on cloth no longer counts. */
    public Template resized(double size) {
        return withForm(form.withMainSize(size)).withCheck(Optional.empty());
    }

    public Template withId(String other) {
        return new Template(other, name, form, label, gap, lines, material, notes, checked, retired);
    }

    public Template withName(String other) {
        return new Template(id, other, form, label, gap, lines, material, notes, checked, retired);
    }

    public Template withForm(Form other) {
        return new Template(id, name, other, label, gap, lines, material, notes, checked, retired);
    }

    public Template withLabel(SizeLabel other) {
        return new Template(id, name, form, other, gap, lines, material, notes, checked, retired);
    }

    public Template withGap(double other) {
        return new Template(id, name, form, label, other, lines, material, notes, checked, retired);
    }

    public Template withLines(List<EngravedLine> other) {
        return new Template(id, name, form, label, gap, other, material, notes, checked, retired);
    }

    public Template withMaterial(Material other) {
        return new Template(id, name, form, label, gap, lines, other, notes, checked, retired);
    }

    public Template withNotes(String other) {
        return new Template(id, name, form, label, gap, lines, material, other, checked, retired);
    }

    public Template withCheck(Optional<ClothCheck> other) {
        return new Template(id, name, form, label, gap, lines, material, notes, other, retired);
    }

    public Template withRetired(boolean other) {
        return new Template(id, name, form, label, gap, lines, material, notes, checked, other);
    }

    public Kind kind() {
        return form.kind();
    }

    /** Its true geometry. */
    public Cut cut() {
        return Cuts.of(form, label, gap);
    }

    /**
     * The outlines of the acrylic in the frame of an edge: of a round one its circle's centre, of any other the template's
     * own.
     *
     * @param guideId of the edge
     */
    public List<Path> outlines(String guideId) {
        Cut cut = cut();
        Point by = cut.guide(guideId)
                .flatMap(Guide::round)
                .map(r -> r.centre().times(-1))
                .orElse(Point.ORIGIN);
        return cut.pieces().stream()
                .flatMap(p -> p.outlines().stream())
                .map(o -> o.moved(by))
                .toList();
    }

    /** Where something that runs along an edge at a distance lies on the acrylic, in the frame of its {@link #outlines}. */
    public List<Path> beside(String guideId, double fromEdge) {
        Cut cut = cut();
        return cut.guide(guideId).stream()
                .flatMap(guide -> parallel(cut, guide, fromEdge).stream()
                        .map(path -> path.moved(
                                guide.round().map(r -> r.centre().times(-1)).orElse(Point.ORIGIN))))
                .toList();
    }

    /** Whether the two are cut, engraved and made alike, so that a job plans with either in the same way. */
    public boolean worksLike(Template other) {
        return form.equals(other.form)
                && label.equals(other.label)
                && gap == other.gap
                && lines.equals(other.lines)
                && material.thickness() == other.material.thickness();
    }

    /** Its edges that a border of arcs can be stitched along, the main one first; with the troublesome ones. */
    public List<ArcTemplate> arcs() {
        return Cuts.arcs(this);
    }

    /**
     * Where an engraved line lies on the acrylic; in several strokes, or in none if it would lie beside it.
     */
    public List<Path> strokes(EngravedLine line) {
        Cut cut = cut();
        Optional<Guide> main = cut.main();
        if (main.isEmpty()) {
            return List.of();
        }
        Guide guide = main.get();
        int sign = guide.round().map(r -> r.edge().footSign()).orElse(1);
        return switch (line.kind()) {
            case RISE, CROWN -> level(cut, crown(guide) - line.fromEdge(sign));
            case SEAM_ALLOWANCE -> level(cut, -line.value());
            case CENTRE ->
                lines(cut.chords(
                        new Point(guide.round().map(r -> r.centre().x()).orElse(0.0), 0), new Point(0, 1), false));
            // On a ruler it is a line that crosses the edge in its middle, elsewhere a ray from the centre.
            case REFERENCE ->
                lines(cut.chords(
                        Point.ORIGIN, Point.direction(Math.PI / 2 + line.value()), form.kind() != Kind.STRAIGHT_EDGE));
            case PARALLEL -> parallel(cut, guide, line.fromEdge(1));
        };
    }

    /** Where something lies on the acrylic that runs along an edge at a distance, such as tape. */
    public List<Path> parallel(Cut cut, Guide guide, double fromEdge) {
        if (fromEdge < 0) {
            return List.of();
        }
        if (fromEdge < Tolerances.ROUNDING) {
            return List.of(guide.edge());
        }
        Guide inward = new Guide(guide.id(), guide.role(), 0, guide.edge(), !guide.footLeft(), guide.round());
        return inward.stitched(fromEdge).stream()
                .flatMap(path -> cut.within(path).stream())
                .toList();
    }

    private static double crown(Guide guide) {
        return guide.round().map(r -> r.centre().y() + r.radius()).orElseGet(() -> {
            Box box = guide.edge().box();
            return box.top();
        });
    }

    private static List<Path> level(Cut cut, double y) {
        return lines(cut.chords(new Point(0, y), new Point(1, 0), false));
    }

    private static List<Path> lines(List<Segment> segments) {
        return segments.stream().map(s -> Path.of(s)).toList();
    }
}
