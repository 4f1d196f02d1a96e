package jollyspindle.core.shelf;

import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.SizeLabel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Looks a template over for what can't be, for labels that contradict it, and for what doesn't go with the machine. */
public final class TemplateInspector {

    /** How near a measured value must come to what was foretold, in inches: a tape's usual mark. */
    public static final double MEASURED_ALIKE = 1.0 / 16;

    private TemplateInspector() {}

    /** All concerns, those that prevent its use first. */
    public static List<TemplateDiagnostic> inspect(Template template, Machine machine) {
        return inspect(Stitching.of(template, machine), machine);
    }

    /** The same, of a template whose stitching with this machine is known. */
    public static List<TemplateDiagnostic> inspect(Stitching stitching, Machine machine) {
        Template template = stitching.template();
        List<TemplateDiagnostic> found = new ArrayList<>();
        Cut cut = stitching.cut();
        template.form().inspect(template, machine, found);
        for (Guide guide : cut.guides()) {
            guide.round()
                    .filter(r -> r.edge() == ArcEdge.CONCAVE && r.radius() <= machine.footRadius())
                    .ifPresent(r -> found.add(
                            new TemplateDiagnostic.HollowSmallerThanFoot(guide, r.radius(), machine.footRadius())));
        }
        followed(stitching, found);
        lines(stitching, found);
        gap(template, machine, found);
        check(template, found);
        thickness(template, machine).ifPresent(found::add);
        return found.stream()
                .sorted((a, b) -> Boolean.compare(b.stops(), a.stops()))
                .toList();
    }

    private static void followed(Stitching stitching, List<TemplateDiagnostic> found) {
        Cut cut = stitching.cut();
        if (cut.guides().isEmpty()) {
            if (found.stream().noneMatch(TemplateDiagnostic::stops)) {
                found.add(new TemplateDiagnostic.NothingStitched());
            }
            return;
        }
        boolean any = false;
        for (Guide guide : cut.guides()) {
            int pieces = stitching.line(guide.id()).map(l -> l.paths().size()).orElse(0);
            any |= pieces > 0;
            boolean told = guide.round().isPresent();
            if (!told && pieces != 1) {
                found.add(new TemplateDiagnostic.CantFollowAll(guide, pieces));
            }
        }
        if (!any) {
            found.add(new TemplateDiagnostic.NothingStitched());
        }
    }

    private static void lines(Stitching stitching, List<TemplateDiagnostic> found) {
        if (stitching.cut().guides().isEmpty()) {
            return;
        }
        for (Stitching.Engraved engraved : stitching.engraved()) {
            if (engraved.strokes().isEmpty()) {
                found.add(new TemplateDiagnostic.LineOffPlate(engraved.line()));
            }
        }
    }

    private static void gap(Template template, Machine machine, List<TemplateDiagnostic> found) {
        boolean narrowSlotsAnyway = found.stream().anyMatch(c -> c instanceof TemplateDiagnostic.SlotTooNarrow);
        if (!template.form().hasOpenings() || narrowSlotsAnyway) {
            return;
        }
        if (template.gap() == 0) {
            found.add(new TemplateDiagnostic.NoGap());
        } else if (template.gap() < 2 * machine.footRadius()) {
            found.add(new TemplateDiagnostic.GapTooNarrow(template.gap(), 2 * machine.footRadius()));
        }
    }

    private static void check(Template template, List<TemplateDiagnostic> found) {
        template.checked().ifPresent(check -> {
            Prediction foretold = Prediction.of(template, check.footRadius());
            if (alike(foretold.inches(), check.measured())) {
                return;
            }
            SizeLabel better = null;
            double off = MEASURED_ALIKE;
            if (template.form().hasSizeLabel()) {
                for (SizeLabel.Printed printed : SizeLabel.Printed.values()) {
                    for (LabelConvention convention : LabelConvention.values()) {
                        SizeLabel other = new SizeLabel(printed, convention);
                        double value = inTermsOf(foretold, Prediction.of(template, other, check.footRadius()));
                        if (Math.abs(value - check.measured()) < off) {
                            off = Math.abs(value - check.measured());
                            better = other;
                        }
                    }
                }
            }
            found.add(new TemplateDiagnostic.CheckDisagrees(foretold, check.measured(), check.footRadius(), better));
        });
    }

    /** What was measured stays a radius or a diameter, whatever the label is thought to mean. */
    private static double inTermsOf(Prediction asked, Prediction found) {
        if (asked.what() == Prediction.What.DIAMETER && found.what() == Prediction.What.RADIUS) {
            return 2 * found.inches();
        }
        if (asked.what() == Prediction.What.RADIUS && found.what() == Prediction.What.DIAMETER) {
            return found.inches() / 2;
        }
        return found.inches();
    }

    private static boolean alike(double foretold, double measured) {
        return Math.abs(foretold - measured) <= MEASURED_ALIKE;
    }

    /** That a template's thickness doesn't go with the machine's foot. */
    static Optional<TemplateDiagnostic.ThicknessAgainstFoot> thickness(Template template, Machine machine) {
        boolean thin = template.material().thin();
        return thin == (machine.footType() == Machine.FootType.LOW_SHANK)
                ? Optional.empty()
                : Optional.of(new TemplateDiagnostic.ThicknessAgainstFoot(
                        template.material().thickness(), thin, machine.footType()));
    }
}
