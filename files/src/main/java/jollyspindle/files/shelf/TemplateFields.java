package jollyspindle.files.shelf;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Templates and machines, as jobs, shelves, recipes and sets of templates keep them. */
public final class TemplateFields {

    private static final int MOST_TEMPLATES = 500;
    private static final String TEMPLATES = "templates";
    private static final String MACHINE = "machine";

    private TemplateFields() {}

    /** Writes a list of templates. */
    public static void write(ObjectNode root, List<Template> templates) {
        ArrayNode list = root.putArray(TEMPLATES);
        templates.forEach(template -> ParamFields.write(list.addObject(), Template.PARAMS, template));
    }

    /**
     * Reads a list of templates.
     *
     * @throws FileTrouble if something in it can't be, or two have the same id
     */
    public static List<Template> read(Fields root) throws FileTrouble {
        List<Template> templates = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Fields fields : root.objects(TEMPLATES, MOST_TEMPLATES)) {
            Template template = ParamFields.read(fields, Template.PARAMS);
            fields.done();
            if (!ids.add(template.id())) {
                throw fields.trouble("id", FileTexts.say("template.twice", "id", template.id()));
            }
            templates.add(template);
        }
        return templates;
    }

    /** Writes a machine: its foot, and what it was measured from. */
    public static void write(ObjectNode root, Machine machine) {
        ParamFields.write(root.putObject(MACHINE), Machine.PARAMS, machine);
    }

    /**
     * Reads a machine.
     *
     * @throws FileTrouble if something in it can't be
     */
    public static Machine machine(Fields root) throws FileTrouble {
        Fields fields = root.object(MACHINE);
        Machine machine = ParamFields.read(fields, Machine.PARAMS);
        fields.done();
        return machine;
    }
}
