package jollyspindle.core.shelf;

import java.util.List;

/**
 * All there is to know of a template on a machine before it is used.
 *
 * @param template that is meant
 * @param machine whose foot runs along it
 * @param stitching what it stitches
 * @param diagnostics what is the matter with it, what stops it first
 * @param foretold what the check on cloth should show, with the foot it was checked with; with the machine's if it wasn't
 * @param arcs whether a border of arcs can be stitched along it
 */
public record TemplateReport(
        Template template,
        Machine machine,
        Stitching stitching,
        List<TemplateDiagnostic> diagnostics,
        Prediction foretold,
        boolean arcs) {

    /** The report on a template. */
    public static TemplateReport of(Template template, Machine machine) {
        Stitching stitching = Stitching.of(template, machine);
        return new TemplateReport(
                template,
                machine,
                stitching,
                TemplateInspector.inspect(stitching, machine),
                Prediction.of(
                        template, template.checked().map(ClothCheck::footRadius).orElse(machine.footRadius())),
                !template.arcs().isEmpty());
    }
}
