package jollyspindle.core.words;

import jollyspindle.core.code.Codes;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.TapePlaces;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateInspector;
import jollyspindle.core.shelf.TemplateReport;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.StraightEdge;
import jollyspindle.core.shelf.form.TurnedArm;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * Says what is on the shelf, what it stitches and what is the matter with it.
 *
 * @param words for lengths
 */
public record ShelfWords(Words words) {

    private static final ParamWords MATERIAL = new ParamWords("material");

    private static final String FORM = "form.";

    private Texts texts() {
        return new Texts(words);
    }

    /** What templates of a kind are called. */
    public static String name(Kind kind) {
        return ParamWords.text(FORM + Codes.of(kind));
    }

    public static String name(LabelConvention convention) {
        return Texts.name(convention);
    }

    public static String name(SizeLabel label) {
        return Texts.told(label);
    }

    public static String name(Material.Tint tint) {
        return MATERIAL.name(Material.TINT, tint);
    }

    private static String name(SizeLabel.Printed printed) {
        return Texts.name(printed);
    }

    public static String name(Machine.FootType type) {
        return Texts.name(type);
    }

    public static String name(EngravedLine.Kind kind) {
        return Texts.name(kind);
    }

    /** {@code the line 2 1/4}, {@code the centre line}. */
    public String line(EngravedLine line) {
        return texts().text(line);
    }

    /** Which edge: {@code bulging edge}, {@code hole 3}, {@code outer wall of slot 2}. */
    public static String edge(Guide guide) {
        return Texts.told(guide);
    }

    /** What is printed on it and what that means: {@code marked radius 4, as stitched}. */
    public String marked(Template template) {
        Form form = template.form();
        return texts().say(
                        "marked." + form.type().kind().code(),
                        "form",
                        form,
                        "size",
                        name(template.label().printed()),
                        "sizes",
                        sizes(form),
                        "figure",
                        figure(form),
                        "how",
                        name(template.label().convention()));
    }

    private String sizes(Form form) {
        if (form instanceof ArcForm arc) {
            return Stream.of(arc.bulging(), arc.hollow())
                    .flatMapToDouble(OptionalDouble::stream)
                    .mapToObj(words::exact)
                    .distinct()
                    .reduce((one, other) -> Texts.plainly("marked.both", "one", one, "other", other))
                    .orElse("");
        }
        return list(form.sizes());
    }

    /** What figure it draws. */
    private static String figure(Form form) {
        return ParamWords.text(FORM + form.type().code());
    }

    private String list(List<Double> sizes) {
        return some(sizes.stream().map(words::exact).toList());
    }

    /** Sizes in a row, the middle ones left out where there are many. */
    static String some(List<String> sizes) {
        int most = 4;
        return sizes.size() <= most
                ? String.join(", ", sizes)
                : Texts.plainly(
                        "marked.some",
                        "first",
                        sizes.get(0),
                        "second",
                        sizes.get(1),
                        "last",
                        sizes.get(sizes.size() - 1));
    }

    /** What it stitches, in a line: {@code stitches radius 4 scant}. */
    public String summary(Stitching stitching) {
        Template template = stitching.template();
        if (stitching.lines().isEmpty()) {
            return Texts.plainly("summary.nothing");
        }
        boolean diameters = template.label().printed() == SizeLabel.Printed.DIAMETER;
        List<String> sizes = facts(stitching, StitchFact.Round.class)
                .filter(r -> r.guide().role() != Guide.Role.INNER_WALL)
                .map(r -> words.length(diameters ? 2 * r.radius() : r.radius()))
                .distinct()
                .toList();
        if (!sizes.isEmpty()) {
            return Texts.plainly(
                    "summary.sizes",
                    "diameters",
                    diameters,
                    "one",
                    sizes.size() == 1,
                    "sizes",
                    sizes.size() > 3
                            ? Texts.plainly("marked.range", "first", sizes.get(0), "last", sizes.get(sizes.size() - 1))
                            : String.join(", ", sizes));
        }
        if (template.form() instanceof TurnedArm) {
            return summary(stitching, StitchFact.Reach.class, "summary.reach", "summary.no-reach");
        }
        if (template.form() instanceof StraightEdge) {
            return summary(stitching, StitchFact.Length.class, "summary.length", "summary.no-length");
        }
        if (template.form() instanceof OutlineForm) {
            return summary(stitching, StitchFact.Extent.class, "summary.extent", "summary.no-extent");
        }
        return stitching.facts().stream()
                .filter(f -> !(f instanceof StitchFact.Echo))
                .findFirst()
                .map(f -> texts().say("summary.fact", "fact", f))
                .orElseGet(() -> texts().say("summary.foot", "foot", stitching.footRadius()));
    }

    private static <F extends StitchFact> Stream<F> facts(Stitching stitching, Class<F> kind) {
        return stitching.facts().stream().filter(kind::isInstance).map(kind::cast);
    }

    private String summary(Stitching stitching, Class<? extends StitchFact> kind, String some, String none) {
        return facts(stitching, kind)
                .findFirst()
                .map(f -> texts().say(some, "fact", f))
                .orElseGet(() -> Texts.plainly(none));
    }

    /** A number beside the picture, as a sentence without its full stop. */
    public String fact(StitchFact fact) {
        return texts().text(fact);
    }

    /** Whether it was checked on cloth, and what came of it; else what to expect. */
    public String checked(TemplateReport report) {
        Prediction foretold = report.foretold();
        return report.template()
                .checked()
                .map(check -> texts().say(
                                "checked.on",
                                "date",
                                check.date(),
                                "check",
                                check,
                                "foretold",
                                foretold,
                                "alike",
                                Math.abs(foretold.inches() - check.measured()) <= TemplateInspector.MEASURED_ALIKE))
                .orElseGet(() -> texts().say("checked.not", "foretold", foretold));
    }

    public static String what(Prediction.What what) {
        return Texts.name(what);
    }

    /** What to measure on cloth, as a field's name. */
    public static String measure(Prediction.What what) {
        return Texts.name("to-measure", what);
    }

    /** Where tape goes, as an instruction. */
    public String tape(TapePlaces.Place place, boolean rise) {
        if (place.fromEdge() < Tolerances.CHALK) {
            return Texts.plainly("tape.edge", "rise", rise);
        }
        return texts().say(place.onLine() ? "tape.line" : "tape.stick", "place", place, "rise", rise);
    }
}
