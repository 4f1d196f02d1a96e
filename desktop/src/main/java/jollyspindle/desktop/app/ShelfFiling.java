package jollyspindle.desktop.app;

import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.shelf.ShelfModel;
import jollyspindle.desktop.shelf.ShelfStage;
import jollyspindle.files.FileNames;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.outline.SvgOutline;
import jollyspindle.files.shelf.ShelfFile;
import jollyspindle.files.shelf.TemplateSetFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.util.Duration;

/** Keeps the shelf in the person's folder, whenever it changes; hands templates on to files and takes them from there. */
final class ShelfFiling implements ShelfStage.Files {

    /** How long nothing must change before the shelf is written. */
    private static final Duration SETTLED = Duration.seconds(0.5);

    private final Workbench bench;
    private final ShelfModel model;
    private final Asking asking;
    private final Consumer<String> tell;
    private final Path folder;
    private final PauseTransition settled = new PauseTransition(SETTLED);
    private UnknownFields unknown = UnknownFields.none();
    private Shelf kept;

    /**
     * Reads the shelf in a folder and lays it beside the table.
     *
     * @param tell shows the person a message
     */
    ShelfFiling(Workbench bench, ShelfModel model, Asking asking, Consumer<String> tell, Path folder) {
        this.bench = bench;
        this.model = model;
        this.asking = asking;
        this.tell = tell;
        this.folder = folder;
        try {
            ShelfFile.Opened opened = ShelfFile.read(folder);
            unknown = opened.unknown();
            bench.layShelf(opened.shelf());
        } catch (FileTrouble e) {
            tell.accept(e.getMessage() + " " + setAside());
        }
        kept = bench.shelf();
        settled.setOnFinished(e -> keep());
        bench.shelfProperty().addListener(o -> {
            if (!bench.shelf().equals(kept)) {
                settled.playFromStart();
            }
        });
    }

    /** Puts a shelf that can't be read where nothing will be written over it. */
    private String setAside() {
        Path file = folder.resolve(ShelfFile.NAME);
        Path aside = folder.resolve("shelf-unread.json");
        for (int n = 2; Files.exists(aside); n++) {
            aside = folder.resolve("shelf-unread-" + n + ".json");
        }
        try {
            Files.move(file, aside);
            return "It was put aside as “" + aside.getFileName() + "” in " + folder
                    + ", and the starter shelf is shown.";
        } catch (IOException e) {
            return "The starter shelf is shown.";
        }
    }

    /** Writes the shelf if it isn't written yet, with what another window has written meanwhile. */
    void keep() {
        settled.stop();
        if (bench.shelf().equals(kept)) {
            return;
        }
        try {
            if (Files.exists(folder.resolve(ShelfFile.NAME))) {
                Shelf there = ShelfFile.read(folder).shelf();
                Shelf merged = bench.shelf().mergedWith(kept, there);
                if (!there.equals(kept) && !merged.equals(bench.shelf())) {
                    bench.editShelf("the other window's changes", shelf -> merged);
                    settled.stop();
                    tell.accept("Another window has changed the shelf as well. Both are kept.");
                }
            }
            ShelfFile.write(folder, bench.shelf(), unknown);
            kept = bench.shelf();
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        }
    }

    @Override
    public void write(List<Template> templates, String suggestedName) {
        if (templates.isEmpty()) {
            tell.accept("There is no template here to share.");
            return;
        }
        Optional<Path> chosen = asking.toWrite(
                "Share templates",
                FileNames.plain(suggestedName, "templates") + TemplateSetFile.SUFFIX,
                "Templates",
                TemplateSetFile.SUFFIX);
        if (chosen.isEmpty()) {
            return;
        }
        Path file = FileNames.ending(chosen.get(), TemplateSetFile.SUFFIX);
        try {
            TemplateSetFile.write(file, templates);
            tell.accept("Written: " + file + ", with " + Words.count(templates.size(), "template") + ".");
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        }
    }

    @Override
    public void takeIn() {
        asking.toOpen("Take templates in", "Templates", TemplateSetFile.SUFFIX).ifPresent(this::takeIn);
    }

    /** Puts the templates of a file on the shelf. */
    void takeIn(Path file) {
        try {
            List<Template> incoming = TemplateSetFile.read(file);
            Shelf.Imported imported = bench.shelf().importing(incoming);
            bench.editShelf("templates from " + file.getFileName(), shelf -> imported.shelf());
            imported.added().stream().findFirst().ifPresent(t -> model.look(t.id()));
            String there = imported.alreadyThere() == 0
                    ? ""
                    : imported.added().isEmpty()
                            ? " All of them are on the shelf already."
                            : " " + Words.count(imported.alreadyThere(), "template") + " on the shelf already.";
            tell.accept(Words.count(imported.added().size(), "template") + " taken in." + there);
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        }
    }

    @Override
    public void takeOutline() {
        asking.toOpen("Outline from a drawing", "Drawings", SvgOutline.SUFFIX).ifPresent(this::takeOutline);
    }

    /** Asks for a drawing and takes an outline out of it, as large as the drawing says. */
    Optional<OutlineForm> outline() {
        Optional<Path> file = asking.toOpen("Outline from a drawing", "Drawings", SvgOutline.SUFFIX);
        if (file.isEmpty()) {
            return Optional.empty();
        }
        try {
            SvgOutline outline = SvgOutline.read(file.get(), SvgOutline.Wanted.usual());
            tell.accept("The outline is " + bench.words().length(outline.form().mainSize()) + " wide."
                    + (outline.others() == 0
                            ? ""
                            : " It is the largest of " + (outline.others() + 1) + " closed shapes in the drawing."));
            return Optional.of(outline.form());
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
            return Optional.empty();
        }
    }

    /** Makes a template of a drawing and puts it on the shelf. */
    void takeOutline(Path file) {
        try {
            SvgOutline outline = SvgOutline.read(file, SvgOutline.Wanted.usual());
            String plain = file.getFileName().toString().replaceAll("(?i)\\.svg$", "");
            String named = plain.isBlank() ? "Outline" : plain;
            String name = bench.shelf()
                    .freeName(Words.capital(named.substring(0, Math.min(Template.LONGEST_NAME, named.length()))));
            model.addTemplate(
                    Template.of(bench.shelf().freeId(name), name, outline.form(), SizeLabel.RADIUS_AS_CUT, List.of()));
            tell.accept("“" + name + "” is "
                    + bench.words().length(outline.form().mainSize()) + " wide."
                    + (outline.others() == 0
                            ? ""
                            : " It is the largest of " + (outline.others() + 1) + " closed shapes in the drawing."));
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        }
    }

    /** Whether a dropped file is for the shelf; if so it is taken. */
    boolean takes(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(TemplateSetFile.SUFFIX)) {
            takeIn(file);
            return true;
        }
        if (name.endsWith(SvgOutline.SUFFIX)) {
            takeOutline(file);
            return true;
        }
        return false;
    }
}
