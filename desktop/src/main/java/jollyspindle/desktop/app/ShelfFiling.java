package jollyspindle.desktop.app;

import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.shelf.ShelfModel;
import jollyspindle.desktop.shelf.ShelfStage;
import jollyspindle.desktop.words.Said;
import jollyspindle.files.FileNames;
import jollyspindle.files.FileStamp;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.InTurns;
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
import javafx.animation.PauseTransition;
import javafx.util.Duration;

/** Keeps the shelf in the person's folder, whenever it changes; hands templates on to files and takes them from there. */
final class ShelfFiling implements ShelfStage.Files {

    /** How long nothing must change before the shelf is written. */
    private static final Duration SETTLED = Duration.seconds(0.5);

    private final Workbench bench;
    private final ShelfModel model;
    private final Dialogs asking;
    private final MessageBar messages;
    private final Path folder;
    private final PauseTransition settled = new PauseTransition(SETTLED);
    private UnknownFields unknown = UnknownFields.none();

    /** The shelf as it stands in the file, as far as this window knows. */
    private Shelf kept;

    private Optional<FileStamp> stamp = Optional.empty();

    /** Whether the file is a newer version's, which isn't written over. */
    private boolean leftAlone;

    /**
     * Lays the shelf that was read in the person's folder beside the table.
     *
     * @param messages shows the person what there is to tell
     */
    ShelfFiling(Workbench bench, ShelfModel model, Dialogs asking, MessageBar messages, PersonsThings things) {
        this.bench = bench;
        this.model = model;
        this.asking = asking;
        this.messages = messages;
        folder = things.folder();
        stamp = things.stamp();
        things.shelf().ifPresent(opened -> {
            unknown = opened.unknown();
            if (!opened.shelf().equals(bench.shelf())) {
                bench.layShelf(opened.shelf());
            }
        });
        things.trouble().ifPresent(trouble -> {
            leftAlone = trouble.isNewer();
            messages.warn(trouble.getMessage()
                    + (leftAlone
                            ? " Until then the starter shelf is shown, and what you change on it isn't kept."
                            : Said.say("shelf.starter-instead", "aside", setAside())));
        });
        kept = bench.shelf();
        settled.setOnFinished(e -> keepSoon());
        bench.shelfProperty().addListener(o -> {
            if (!bench.shelf().equals(kept)) {
                settled.playFromStart();
            }
        });
    }

    private Path file() {
        return folder.resolve(ShelfFile.NAME);
    }

    /** Puts a shelf that can't be read where nothing will be written over it. */
    private String setAside() {
        Path aside = folder.resolve("shelf-unread.json");
        for (int n = 2; Files.exists(aside); n++) {
            aside = folder.resolve("shelf-unread-" + n + ".json");
        }
        try {
            Files.move(file(), aside);
            return Said.say("shelf.put-aside", "file", aside.getFileName().toString(), "folder", folder.toString());
        } catch (IOException e) {
            leftAlone = true;
            return "It couldn't be put aside, so that nothing is kept in its place.";
        }
    }

    /** Takes in what another window has made of the shelf. */
    void lookAgain() {
        Optional<FileStamp> there = FileStamp.of(file());
        if (leftAlone || there.isEmpty() || there.equals(stamp)) {
            return;
        }
        try {
            ShelfFile.Opened opened = ShelfFile.read(folder);
            stamp = there;
            unknown = opened.unknown();
            Shelf base = kept;
            kept = opened.shelf();
            Shelf merged = bench.shelf().mergedWith(base, kept);
            if (!merged.equals(bench.shelf())) {
                bench.mergeShelf(shelf -> shelf.mergedWith(base, kept));
                messages.tell("Another window has changed the shelf as well. Both are kept.");
            }
        } catch (FileTrouble e) {
            leftAlone = e.isNewer();
            messages.warn(e.getMessage()
                    + (leftAlone
                            ? " What you change on the shelf here isn't kept."
                            : Said.say("shelf.kept-instead", "aside", setAside())));
            stamp = Optional.empty();
        }
    }

    /** Writes the shelf if it isn't written yet, with what another window has written meanwhile, before this one goes. */
    void keep() {
        settled.stop();
        if (isToBeKept()) {
            InTurns.inTurn(folder, "shelf", this::keepNow);
        }
    }

    /** As soon as no other window is at it: between looking and writing none may write, and this one doesn't wait. */
    private void keepSoon() {
        if (isToBeKept() && !InTurns.ifFree(folder, "shelf", this::keepNow)) {
            settled.playFromStart();
        }
    }

    private boolean isToBeKept() {
        return !bench.shelf().equals(kept) && !leftAlone;
    }

    private void keepNow() {
        lookAgain();
        if (!isToBeKept()) {
            return;
        }
        settled.stop();
        try {
            ShelfFile.write(folder, bench.shelf(), unknown);
            kept = bench.shelf();
            stamp = FileStamp.of(file());
        } catch (FileTrouble e) {
            messages.warn(e.getMessage());
        }
    }

    @Override
    public void write(List<Template> templates, String suggestedName) {
        if (templates.isEmpty()) {
            messages.tell("There is no template here to share.");
            return;
        }
        Optional<Path> chosen = asking.whereTo(
                "Share templates", FileNames.plain(suggestedName, "templates"), "Templates", TemplateSetFile.SUFFIX);
        if (chosen.isEmpty()) {
            return;
        }
        Path file = chosen.get();
        try {
            TemplateSetFile.write(file, templates);
            messages.tell(Said.say(
                    "shelf.written",
                    "file",
                    file.toString(),
                    "templates",
                    Words.count(templates.size(), Words.Thing.TEMPLATE)));
        } catch (FileTrouble e) {
            messages.tell(e.getMessage());
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
            bench.editShelf(
                    Said.say("step.templates-from", "file", file.getFileName().toString()), shelf -> imported.shelf());
            imported.added().stream().findFirst().ifPresent(t -> model.look(t.id()));
            String there = imported.alreadyThere() == 0
                    ? ""
                    : imported.added().isEmpty()
                            ? " All of them are on the shelf already."
                            : Said.say(
                                    "shelf.there-already",
                                    "templates",
                                    Words.count(imported.alreadyThere(), Words.Thing.TEMPLATE));
            messages.tell(Said.say(
                    "shelf.taken-in",
                    "templates",
                    Words.count(imported.added().size(), Words.Thing.TEMPLATE),
                    "there",
                    there));
        } catch (FileTrouble e) {
            messages.tell(e.getMessage());
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
            messages.warn(Said.say(
                    bench.words(),
                    "shelf.outline",
                    "width",
                    outline.form().mainSize(),
                    "others",
                    outline.others(),
                    "all",
                    outline.others() + 1));
            return Optional.of(outline.form());
        } catch (FileTrouble e) {
            messages.tell(e.getMessage());
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
            messages.tell(Said.say(
                    bench.words(),
                    "shelf.outline-taken",
                    "name",
                    name,
                    "width",
                    outline.form().mainSize(),
                    "others",
                    outline.others(),
                    "all",
                    outline.others() + 1));
        } catch (FileTrouble e) {
            messages.tell(e.getMessage());
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
