package jollyspindle.files.shelf;

import jollyspindle.core.shelf.ClothCheck;
import jollyspindle.core.shelf.FootCalibration;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.FormType;
import jollyspindle.core.shelf.form.FormTypes;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** From fields to templates and machines. */
public final class TemplateReader {

    /** The field that says what a template draws, where those of its kind draw several figures. */
    static final String FIGURE = "figure";

    private static final int MOST_TEMPLATES = 500;
    private static final int MOST_MEASUREMENTS = 50;
    private static final double LEAST = Form.SMALLEST;
    private static final double MOST = Form.LARGEST;

    private TemplateReader() {}

    /**
     * Reads a list of templates.
     *
     * @param root that has a field {@code templates}
     * @throws FileTrouble if something in it can't be, or two have the same id
     */
    public static List<Template> templates(Fields root) throws FileTrouble {
        List<Template> templates = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Fields fields : root.objects("templates", MOST_TEMPLATES)) {
            Template template = template(fields);
            if (!ids.add(template.id())) {
                throw fields.trouble("id", FileTexts.say("template.twice", "id", template.id()));
            }
            templates.add(template);
        }
        return templates;
    }

    private static Template template(Fields fields) throws FileTrouble {
        String id = fields.text("id");
        if (!id.matches("[a-z0-9][a-z0-9-]{0,59}")) {
            throw fields.trouble("id", "an id has lower-case letters, digits and hyphens, at most 60.");
        }
        String name = fields.text("name");
        if (name.isBlank() || name.length() > Template.LONGEST_NAME) {
            throw fields.trouble("name", FileTexts.say("template.name", "most", Template.LONGEST_NAME));
        }
        String notes = fields.optionalText("notes").orElse("");
        if (notes.length() > Template.LONGEST_NOTES) {
            throw fields.trouble("notes", FileTexts.say("template.notes", "most", Template.LONGEST_NOTES));
        }
        Kind kind = fields.choice("kind", Kind.class);
        Fields formFields = fields.object("form");
        Form form;
        try {
            form = ParamFields.read(formFields, type(kind, formFields).params());
        } catch (IllegalArgumentException e) {
            throw fields.trouble("form", e.getMessage() + ".");
        }
        formFields.done();
        Fields label = fields.object("label");
        Template template = new Template(
                id,
                name.strip(),
                form,
                new SizeLabel(
                        label.choice("size", SizeLabel.Printed.class), label.choice("means", LabelConvention.class)),
                fields.optionalNumber("gap", 0, MOST).orElse(0),
                lines(fields),
                material(fields.object("material")),
                notes,
                checked(fields),
                fields.has("retired") && fields.flag("retired"));
        label.done();
        fields.done();
        return template;
    }

    private static List<EngravedLine> lines(Fields fields) throws FileTrouble {
        List<EngravedLine> lines = new ArrayList<>();
        for (Fields line : fields.objects("lines", Template.MOST_LINES)) {
            EngravedLine.Kind kind = line.choice("kind", EngravedLine.Kind.class);
            lines.add(
                    switch (kind) {
                        case CENTRE -> EngravedLine.centre();
                        case REFERENCE -> EngravedLine.reference(angle(line, "degrees", -360, 360));
                        default ->
                            new EngravedLine(
                                    kind, line.number("value", 0, MOST), line.choice("means", LabelConvention.class));
                    });
            line.done();
        }
        return lines;
    }

    private static Material material(Fields fields) throws FileTrouble {
        String name = fields.optionalText("name").orElse("");
        if (name.length() > Material.LONGEST_NAME) {
            throw fields.trouble("name", FileTexts.say("template.material", "most", Material.LONGEST_NAME));
        }
        Material material = new Material(
                fields.number("thickness", Material.THINNEST, Material.THICKEST),
                name.strip(),
                fields.choice("tint", Material.Tint.class));
        fields.done();
        return material;
    }

    private static Optional<ClothCheck> checked(Fields fields) throws FileTrouble {
        Optional<Fields> check = fields.optionalObject("checked");
        if (check.isEmpty()) {
            return Optional.empty();
        }
        String date = check.get().text("date");
        try {
            ClothCheck found = new ClothCheck(
                    LocalDate.parse(date),
                    check.get().number("footRadius", Machine.SMALLEST_FOOT_RADIUS, Machine.LARGEST_FOOT_RADIUS),
                    check.get().number("measured", LEAST, 2 * MOST));
            check.get().done();
            return Optional.of(found);
        } catch (DateTimeException e) {
            throw check.get().trouble("date", FileTexts.say("field.date", "date", Fields.shortened(date)));
        }
    }

    private static FormType<?> type(Kind kind, Fields f) throws FileTrouble {
        List<FormType<?>> types = FormTypes.of(kind);
        if (types.size() == 1) {
            return types.get(0);
        }
        String figure = f.text(FIGURE);
        return types.stream()
                .filter(type -> type.figure().equals(Optional.of(figure)))
                .findFirst()
                .orElseThrow(() -> f.trouble(
                        FIGURE,
                        FileTexts.say(
                                "field.unknown",
                                "text",
                                Fields.shortened(figure),
                                "all",
                                types.stream()
                                        .map(type -> type.figure().orElseThrow())
                                        .collect(Collectors.joining(", ")))));
    }

    private static double inches(Fields f, String field) throws FileTrouble {
        return f.number(field, LEAST, MOST);
    }

    private static double angle(Fields f, String field, double least, double most) throws FileTrouble {
        return f.degrees(field, least, most);
    }

    /**
     * Reads a machine.
     *
     * @throws FileTrouble if something in it can't be
     */
    public static Machine machine(Fields fields) throws FileTrouble {
        double radius = fields.number("footRadius", Machine.SMALLEST_FOOT_RADIUS, Machine.LARGEST_FOOT_RADIUS);
        Machine.FootType type =
                fields.has("footType") ? fields.choice("footType", Machine.FootType.class) : Machine.FootType.LONGARM;
        List<FootMeasurement> measured = new ArrayList<>();
        if (fields.has("measured")) {
            for (Fields m : fields.objects("measured", MOST_MEASUREMENTS)) {
                measured.add(measurement(m));
                m.done();
            }
        }
        fields.done();
        if (measured.isEmpty()) {
            return new Machine(radius, type, measured);
        }
        FootCalibration calibration = FootCalibration.of(measured);
        if (!calibration.possible()) {
            throw fields.trouble("measured", "these measurements give no foot that can be.");
        }
        return new Machine(calibration.footRadius(), type, measured);
    }

    private static FootMeasurement measurement(Fields m) throws FileTrouble {
        String how = m.text("how");
        return switch (how) {
            case TemplateWriter.IN_HOLE -> new FootMeasurement.InHole(inches(m, "hole"), inches(m, "stitched"));
            case TemplateWriter.ROUND_DISC -> new FootMeasurement.RoundDisc(inches(m, "disc"), inches(m, "stitched"));
            case TemplateWriter.ALONG_EDGE -> new FootMeasurement.AlongEdge(inches(m, "distance"));
            default ->
                throw m.trouble(
                        "how",
                        FileTexts.say(
                                "field.unknown",
                                "text",
                                Fields.shortened(how),
                                "all",
                                "in-hole, round-disc, along-edge"));
        };
    }
}
