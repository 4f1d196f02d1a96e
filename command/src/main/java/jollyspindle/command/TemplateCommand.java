package jollyspindle.command;

import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.outline.SvgOutline;
import jollyspindle.files.shelf.ShelfFile;
import jollyspindle.files.shelf.TemplateSetFile;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;

/** {@code spindle template}. */
@Command(
        name = "template",
        description = "Turns an outline drawn as SVG into a template, and puts it on the shelf or into a file.",
        mixinStandardHelpOptions = true)
final class TemplateCommand implements Callable<Integer> {

    @Parameters(index = "0", paramLabel = "FILE.svg", description = "The drawing: one closed shape of paths.")
    private Path drawing;

    @Mixin
    private ShelfOption where;

    @Option(names = "--name", description = "What the template is called; as the file if not said.")
    private String name;

    @Option(names = "--shape", paramLabel = "ID", description = "Which shape of the drawing; the largest if not said.")
    private String shape;

    @Option(names = "--width", description = "How wide the shape is; as the drawing says if not said.")
    private String width;

    @Option(names = "--window", description = "The foot runs inside of the shape, and not round it.")
    private boolean window;

    @Option(
            names = {"-o", "--output"},
            paramLabel = "FILE" + TemplateSetFile.SUFFIX,
            description = "Where to write; onto the shelf if not said.")
    private Path output;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws FileTrouble {
        OptionalDouble wide = width == null
                ? OptionalDouble.empty()
                : OptionalDouble.of(Typed.length(spec, "--width", width, where.tape(), Form.LARGEST));
        SvgOutline outline = SvgOutline.read(drawing, new SvgOutline.Wanted(Optional.ofNullable(shape), wide, window));
        Shelf shelf = where.shelf(spec);
        String called = shelf.freeName(called());
        Template template = Template.of(
                shelf.freeId(called),
                called,
                outline.form(),
                new SizeLabel(SizeLabel.Printed.RADIUS, LabelConvention.AS_CUT),
                List.of());
        Path to;
        if (output == null) {
            ShelfFile.Opened opened = where.opened();
            ShelfFile.write(where.folder(), opened.shelf().with(template), opened.unknown());
            to = where.folder().resolve(ShelfFile.NAME);
        } else {
            TemplateSetFile.write(output, List.of(template));
            to = output;
        }
        Words words = new Words(where.tape());
        PrintWriter out = spec.commandLine().getOut();
        out.println(Said.say(
                words,
                "template.made",
                "name",
                called,
                "width",
                outline.form().mainSize(),
                "summary",
                new ShelfWords(words).summary(Stitching.of(template, shelf.machine()))));
        if (outline.others() > 0 && shape == null) {
            out.println(Said.say("template.largest", "all", outline.others() + 1));
        }
        out.println(Said.say("written", "file", to.toString()));
        out.flush();
        return 0;
    }

    private String called() {
        String plain = name != null
                ? name.strip()
                : Words.capital(drawing.getFileName().toString().replaceAll("(?i)\\.svg$", ""));
        if (plain.isEmpty() || plain.length() > Template.LONGEST_NAME) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(), Said.say("template.name", "most", Template.LONGEST_NAME));
        }
        return plain;
    }
}
