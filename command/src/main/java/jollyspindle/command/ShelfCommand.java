package jollyspindle.command;

import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.shelf.TemplateInspector;
import jollyspindle.core.words.DiagnosticWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.planjson.ShelfJson;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;

/** {@code spindle shelf}. */
@Command(
        name = "shelf",
        description = "Lists what the templates on the shelf stitch.",
        mixinStandardHelpOptions = true,
        footer = "%nThe names in the JSON are described in docs/plan-format.md.")
final class ShelfCommand implements Callable<Integer> {

    @Parameters(
            index = "0",
            arity = "0..1",
            paramLabel = "TEMPLATE",
            description = "A template's id or name: all about that one.")
    private String one;

    @Mixin
    private ShelfOption where;

    @Option(names = "--retired", description = "List retired templates too.")
    private boolean retired;

    @Option(names = "--json", description = "Print JSON: inches and degrees.")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws FileTrouble {
        Shelf shelf = where.shelf(spec);
        List<Template> templates = shelf.templates().stream()
                .filter(t -> one == null
                        ? retired || !t.retired()
                        : t.id().equalsIgnoreCase(one) || t.name().equalsIgnoreCase(one))
                .toList();
        if (one != null && templates.isEmpty()) {
            throw new CommandLine.ParameterException(spec.commandLine(), Said.say("shelf.none", "called", one));
        }
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.print(ShelfJson.format(templates, shelf.machine(), where.tape()));
        } else {
            ShelfWords words = new ShelfWords(new Words(where.tape()));
            out.println(Said.say(
                    words.words(), "shelf.foot", "radius", shelf.machine().footRadius()));
            templates.forEach(t -> print(t, Stitching.of(t, shelf.machine()), words, out));
            if (one != null) {
                all(templates.get(0), shelf, words, out);
            }
        }
        out.flush();
        return 0;
    }

    private static void print(Template template, Stitching stitching, ShelfWords words, PrintWriter out) {
        out.printf(
                Locale.ROOT,
                "  %-18s %-18s %s; %s%s%n",
                template.id(),
                ShelfWords.name(template.kind()),
                words.summary(stitching),
                words.marked(template),
                template.retired() ? "; retired" : "");
    }

    private static void all(Template template, Shelf shelf, ShelfWords words, PrintWriter out) {
        for (StitchFact fact : Stitching.of(template, shelf.machine()).facts()) {
            out.println("    " + words.fact(fact));
        }
        for (TemplateDiagnostic concern : TemplateInspector.inspect(template, shelf.machine())) {
            out.println("  " + (concern.stops() ? "! " : "? ") + new DiagnosticWords(words.words()).text(concern));
        }
    }
}
