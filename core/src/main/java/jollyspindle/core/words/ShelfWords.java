package jollyspindle.core.words;

import jollyspindle.core.code.Codes;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.ClothCheck;
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
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.CornerForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SerpentineStrip;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.StraightEdge;
import jollyspindle.core.shelf.form.TurnedArm;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Says what is on the shelf, what it stitches and what is the matter with it.
 *
 * @param words for lengths
 */
public record ShelfWords(Words words) {

    private static final String FORM = "form.";

    /** What templates of a kind are called. */
    public static String name(Kind kind) {
        return ParamWords.text(FORM + Codes.of(kind));
    }

    public static String name(LabelConvention convention) {
        return convention == LabelConvention.AS_CUT ? "as cut" : "as stitched";
    }

    public static String name(SizeLabel label) {
        return name(label.printed()) + ", " + name(label.convention());
    }

    public static String name(Material.Tint tint) {
        return switch (tint) {
            case CLEAR -> "clear";
            case AMBER -> "amber";
            case ROSE -> "rose";
            case LEAF -> "leaf";
            case SKY -> "sky";
            case SMOKE -> "smoke";
        };
    }

    private static String name(SizeLabel.Printed printed) {
        return printed == SizeLabel.Printed.RADIUS ? "radius" : "diameter";
    }

    public static String name(Machine.FootType type) {
        return switch (type) {
            case LONGARM -> "longarm foot";
            case HIGH_SHANK -> "high-shank foot";
            case LOW_SHANK -> "low-shank foot";
        };
    }

    public static String name(EngravedLine.Kind kind) {
        return switch (kind) {
            case RISE -> "rise";
            case PARALLEL -> "parallel";
            case CENTRE -> "centre";
            case CROWN -> "crown";
            case SEAM_ALLOWANCE -> "seam allowance";
            case REFERENCE -> "reference";
        };
    }

    /** {@code the line 2 1/4}, {@code the centre line}. */
    public String line(EngravedLine line) {
        return switch (line.kind()) {
            case CENTRE -> "the centre line";
            case REFERENCE -> "the reference line at " + Words.degrees(line.value());
            case RISE -> "the rise line " + words.exact(line.value());
            case PARALLEL -> "the line " + words.exact(line.value());
            case CROWN -> "the crown line " + words.exact(line.value());
            case SEAM_ALLOWANCE -> "the seam-allowance line " + words.exact(line.value());
        };
    }

    /** Which edge: {@code bulging edge}, {@code hole 3}, {@code outer wall of slot 2}. */
    public static String edge(Guide guide) {
        String name =
                switch (guide.role()) {
                    case BULGING_EDGE -> "bulging edge";
                    case HOLLOW_EDGE -> "hollow edge";
                    case HOLE -> "hole";
                    case DISC -> "disc";
                    case OUTER_WALL -> "outer wall of slot";
                    case INNER_WALL -> "inner wall of slot";
                    case SCALLOPS -> "scallops";
                    case UPPER_EDGE -> "upper edge";
                    case LOWER_EDGE -> "lower edge";
                    case END_NOTCH -> "end notch";
                    case NOTCH -> "notch";
                    case OUTSIDE_CORNER -> "outside corner";
                    case SERPENTINE -> "serpentine edge";
                    case ZIGZAG -> "zigzag edge";
                    case LEADING_EDGE -> "leading edge";
                    case TRAILING_EDGE -> "trailing edge";
                    case OUTSIDE -> "outside";
                    case WINDOW -> "window";
                };
        return guide.number() == 0 ? name : name + " " + guide.number();
    }

    /** What is printed on it and what that means: {@code marked radius 4, as stitched}. */
    public String marked(Template template) {
        Form form = template.form();
        String how = name(template.label().convention());
        String size = name(template.label().printed());
        if (form instanceof ArcForm arc) {
            List<String> sizes = new ArrayList<>();
            arc.bulging().ifPresent(v -> sizes.add(words.exact(v)));
            arc.hollow().ifPresent(v -> sizes.add(words.exact(v)));
            return "marked " + size + " " + sizes.stream().distinct().collect(Collectors.joining(" and ")) + ", " + how;
        }
        if (form instanceof CircleForm circle) {
            return "marked " + size + " " + list(circle.sizes()) + ", " + how;
        }
        if (form instanceof SlottedCircles slots) {
            return "marked " + size + " " + list(slots.sizes()) + ", " + how;
        }
        if (form instanceof SlottedFan fan) {
            return "marked " + size + " " + list(fan.sizes()) + ", " + how;
        }
        if (form instanceof ScallopRow row) {
            return Words.count(row.bumps(), "bump") + " of " + words.exact(row.width());
        }
        if (form instanceof StraightEdge edge) {
            return words.exact(edge.length()) + " long, " + words.exact(edge.width()) + " wide"
                    + (edge.notch() > 0 ? ", notched ends" : "");
        }
        if (form instanceof CornerForm corner) {
            return Words.degrees(corner.angle()) + ", arms of " + words.exact(corner.arm());
        }
        if (form instanceof SerpentineStrip strip) {
            return "module " + words.exact(strip.module()) + ", " + words.exact(strip.height()) + " high, " + how;
        }
        if (form instanceof ChevronStrip strip) {
            return "module " + words.exact(strip.module()) + ", " + Words.degrees(strip.angle()) + ", " + how;
        }
        if (form instanceof TurnedArm arm) {
            return figure(arm) + ", reach " + words.exact(arm.reach()) + ", " + how;
        }
        OutlineForm outline = (OutlineForm) form;
        return (outline.window() ? "a window" : "a shape") + " of "
                + Words.count(outline.corners().size(), "corner");
    }

    /** What figure it draws. */
    private static String figure(Form form) {
        return ParamWords.text(FORM + form.type().code());
    }

    private String list(List<Double> sizes) {
        int most = 4;
        if (sizes.size() <= most) {
            return sizes.stream().map(words::exact).collect(Collectors.joining(", "));
        }
        return words.exact(sizes.get(0)) + ", " + words.exact(sizes.get(1)) + " … "
                + words.exact(sizes.get(sizes.size() - 1));
    }

    /** What it stitches, in a line: {@code stitches radius 4 scant}. */
    public String summary(Stitching stitching) {
        Template template = stitching.template();
        if (stitching.lines().isEmpty()) {
            return "can't be stitched";
        }
        boolean diameters = template.label().printed() == SizeLabel.Printed.DIAMETER;
        List<Double> radii = stitching.facts().stream()
                .filter(f -> f instanceof StitchFact.Round)
                .map(f -> (StitchFact.Round) f)
                .filter(r -> r.guide().role() != Guide.Role.INNER_WALL)
                .map(StitchFact.Round::radius)
                .toList();
        if (!radii.isEmpty()) {
            List<String> sizes = radii.stream()
                    .map(r -> words.length(diameters ? 2 * r : r))
                    .distinct()
                    .toList();
            String said =
                    sizes.size() > 3 ? sizes.get(0) + " … " + sizes.get(sizes.size() - 1) : String.join(", ", sizes);
            String what =
                    diameters ? sizes.size() == 1 ? "diameter" : "diameters" : sizes.size() == 1 ? "radius" : "radii";
            return "stitches " + what + " " + said;
        }
        if (template.form() instanceof TurnedArm) {
            return stitching.facts().stream()
                    .filter(StitchFact.Reach.class::isInstance)
                    .map(f -> "reaches " + words.length(((StitchFact.Reach) f).reach()))
                    .findFirst()
                    .orElse("reaches nowhere");
        }
        if (template.form() instanceof StraightEdge) {
            return stitching.facts().stream()
                    .filter(StitchFact.Length.class::isInstance)
                    .map(f -> "stitches lines of " + words.length(((StitchFact.Length) f).length()))
                    .findFirst()
                    .orElse("stitches lines");
        }
        if (template.form() instanceof OutlineForm) {
            return stitching.facts().stream()
                    .filter(StitchFact.Extent.class::isInstance)
                    .map(StitchFact.Extent.class::cast)
                    .map(f -> "stitches " + words.length(f.width()) + " by " + words.length(f.height()))
                    .findFirst()
                    .orElse("stitches its outline");
        }
        return stitching.facts().stream()
                .filter(f -> !(f instanceof StitchFact.Echo))
                .findFirst()
                .map(f -> "stitches " + Words.decapital(fact(f)))
                .orElse("stitches " + words.length(stitching.footRadius()) + " from its edge");
    }

    /** A number beside the picture, as a sentence without its full stop. */
    public String fact(StitchFact fact) {
        if (fact instanceof StitchFact.Round round) {
            return Words.capital(edge(round.guide())) + ": "
                    + (round.radius() > 0
                            ? "radius " + words.length(round.radius()) + ", diameter "
                                    + words.length(2 * round.radius())
                            : "nothing, the foot can't follow it")
                    + (round.sweep() > 2 * Math.PI - Tolerances.SAME_PLACE
                            ? ""
                            : ", over " + Words.degrees(round.sweep()));
        }
        if (fact instanceof StitchFact.SameCurve same) {
            return "Both edges stitch the same curve, of radius " + words.length(same.radius());
        }
        if (fact instanceof StitchFact.SpanAndRise at) {
            return Words.capital(line(at.line())) + " on the seam: span " + words.length(at.span()) + ", rise "
                    + words.length(at.rise()) + ", " + Words.degrees(at.sweep())
                    + (at.placements() > 1 ? ", in " + at.placements() + " placements" : "");
        }
        if (fact instanceof StitchFact.Lowered low) {
            return "Lowered from " + line(low.from()) + " to "
                    + words.exact(low.to().value()) + ": crowns " + words.length(low.crownGap()) + " apart, feet "
                    + words.length(low.footGap());
        }
        if (fact instanceof StitchFact.FanSet set) {
            return "Fans set " + words.length(set.pitch()) + " apart: arcs sweep " + Words.degrees(set.leastSweep())
                    + " to " + Words.degrees(set.mostSweep())
                    + (set.swivels() == 0
                            ? ""
                            : ", with " + Words.count(set.swivels(), "swivel") + " for the outermost")
                    + "; the next row stands " + words.length(set.secondRow()) + " higher";
        }
        if (fact instanceof StitchFact.ArmSteps steps) {
            return steps.arms() + " arms stand " + Words.degrees(steps.step()) + " apart, their tips "
                    + words.length(steps.tipGap());
        }
        if (fact instanceof StitchFact.CircleUse use) {
            return Words.capital(edge(use.guide())) + ": through four points of a grid of " + words.length(use.grid())
                    + "; at 14 stitches an inch " + use.stitches() + " once round, " + use.onceAndAHalf()
                    + " for one and a half turns";
        }
        if (fact instanceof StitchFact.Arch arch) {
            return "On its legs an arch of span " + words.length(arch.span()) + " rises up to "
                    + words.length(arch.rise());
        }
        if (fact instanceof StitchFact.Echo echo) {
            return (echo.lineFromEdge() == 0
                            ? "Edge on the stitching"
                            : "The line " + words.exact(echo.lineFromEdge()) + " in from the edge on the stitching")
                    + ": echo " + words.length(echo.spacing()) + " away"
                    + (echo.seen() == 0
                            ? ""
                            : ", " + words.length(echo.seen()) + " seen beside the foot; a walk of "
                                    + words.length(echo.walk(Math.PI / 4)) + " along a line that crosses at 45°");
        }
        if (fact instanceof StitchFact.Play play) {
            return play.play() < -Tolerances.ROUNDING
                    ? "The slots are " + words.difference(play.play()) + " narrower than the foot"
                    : play.play() < Tolerances.ROUNDING
                            ? "The foot has no play in the slots"
                            : "The foot has " + words.difference(play.play())
                                    + " play in the slots: the diameter drifts by " + words.difference(play.drift())
                                    + " unless it keeps to one wall";
        }
        if (fact instanceof StitchFact.RingGap gap) {
            return "From ring to ring " + words.length(gap.gap());
        }
        if (fact instanceof StitchFact.SharpPoint point) {
            return "A sharp point of " + Words.degrees(point.angle()) + ", " + words.length(point.moved())
                    + " out from the notch's own";
        }
        if (fact instanceof StitchFact.RoundCorner corner) {
            return "Round an outside corner a piece of a circle of radius " + words.length(corner.radius()) + ", over "
                    + Words.degrees(corner.sweep());
        }
        if (fact instanceof StitchFact.Shells shells) {
            return Words.count(shells.bumps(), "shell") + " of " + words.exact(shells.width()) + ", rising "
                    + words.length(shells.rise());
        }
        if (fact instanceof StitchFact.Module module) {
            return Words.count(module.repeats(), "repeat") + " of " + words.exact(module.module()) + ", "
                    + words.length(module.height()) + " high";
        }
        if (fact instanceof StitchFact.Reach reach) {
            return "Reach " + words.length(reach.reach()) + ", " + words.length(reach.length()) + " along the line";
        }
        if (fact instanceof StitchFact.CoversBlock block) {
            return "Reaches the corners of blocks up to " + words.length(block.side());
        }
        if (fact instanceof StitchFact.Length length) {
            return Words.capital(edge(length.guide())) + ": a line of " + words.length(length.length());
        }
        StitchFact.Extent extent = (StitchFact.Extent) fact;
        return words.length(extent.width()) + " wide and " + words.length(extent.height()) + " high as stitched";
    }

    /** Whether it was checked on cloth, and what came of it; else what to expect. */
    public String checked(TemplateReport report) {
        Prediction foretold = report.foretold();
        if (report.template().checked().isEmpty()) {
            return foretold.inches() > 0
                    ? "Not yet. With this foot it should stitch " + what(foretold.what()) + " "
                            + words.length(foretold.inches()) + "."
                    : "Not yet.";
        }
        ClothCheck check = report.template().checked().get();
        return "On " + check.date() + ", with a foot of radius " + words.exact(check.footRadius()) + ": "
                + what(foretold.what()) + " " + words.exact(check.measured())
                + (Math.abs(foretold.inches() - check.measured()) <= TemplateInspector.MEASURED_ALIKE
                        ? ", as foretold."
                        : ", and not " + words.length(foretold.inches()) + " as foretold.");
    }

    public static String what(Prediction.What what) {
        return switch (what) {
            case RADIUS -> "radius";
            case DIAMETER -> "diameter";
            case SHELL_RISE -> "a shell's rise of";
            case EDGE_TO_LINE -> "edge to line";
            case POINT_TO_POINT -> "notch to point";
            case HEIGHT -> "a height of";
            case REACH -> "a reach of";
            case WIDTH -> "a width of";
        };
    }

    /** What to measure on cloth, as a field's name. */
    public static String measure(Prediction.What what) {
        return switch (what) {
            case RADIUS -> "Stitched radius";
            case DIAMETER -> "Stitched diameter";
            case SHELL_RISE -> "Shell, valley to crown";
            case EDGE_TO_LINE -> "From edge to line";
            case POINT_TO_POINT -> "Notch to stitched point";
            case HEIGHT -> "Height of the line";
            case REACH -> "Centre to end of line";
            case WIDTH -> "Width, left to right";
        };
    }

    /** Where tape goes, as an instruction. */
    public String tape(TapePlaces.Place place, boolean rise) {
        String below = words.length(place.fromEdge()) + (rise ? " below the edge's crown" : " in from the edge");
        if (place.fromEdge() < Tolerances.CHALK) {
            return rise ? "No tape: lay the edge's crown on it." : "No tape: lay the edge itself on it.";
        }
        if (place.onLine()) {
            return "No tape: lay " + line(place.line().orElseThrow()) + " on it.";
        }
        String from = place.line()
                .map(l -> ", " + words.length(Math.abs(place.beyondLine()))
                        + (place.beyondLine() < 0 ? " above " : " below ") + line(l))
                .orElse("");
        return "1/4 tape on the back, its edge " + below + from + ".";
    }
}
