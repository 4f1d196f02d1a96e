package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.plan.Recipe;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.drawing.PlanSvg;
import jollyspindle.files.job.Autosave;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.packet.Packet;
import jollyspindle.files.packet.PaperSize;
import jollyspindle.files.recipe.RecipeFile;
import jollyspindle.files.user.Settings;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.animation.PauseTransition;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Duration;

/** Opening, saving and writing out. What goes wrong is told; the job on the table stays as it was. */
final class Filing {

    private static final Logger LOG = Logger.getLogger(Filing.class.getName());

    /** How long nothing must change before what isn't saved is kept. */
    private static final Duration SETTLED = Duration.seconds(1.5);

    /** Makes a file's bytes from what is on the table. */
    private interface Content {
        byte[] get() throws FileTrouble;
    }

    private final Workbench bench;
    private final Asking asking;
    private final Consumer<String> tell;
    private final Path folder;
    private final Autosave autosave;
    private final ReadOnlyObjectWrapper<Settings> settings = new ReadOnlyObjectWrapper<>();

    /**
     * Filing for a workbench.
     *
     * @param tell shows the person a message
     * @param folder where settings are kept
     */
    Filing(Workbench bench, Asking asking, Consumer<String> tell, Path folder) {
        this.bench = bench;
        this.asking = asking;
        this.tell = tell;
        this.folder = folder;
        settings.set(Settings.read(folder));
        autosave = new Autosave(folder);
        PauseTransition settled = new PauseTransition(SETTLED);
        settled.setOnFinished(e -> keepUnsaved());
        bench.planProperty().addListener(o -> settled.playFromStart());
        bench.savedProperty().addListener(o -> settled.playFromStart());
    }

    ReadOnlyObjectProperty<Settings> settingsProperty() {
        return settings.getReadOnlyProperty();
    }

    void keepLook(boolean dark, double scale) {
        keep(settings.get().withLook(dark, scale));
    }

    private void keep(Settings next) {
        if (!next.equals(settings.get())) {
            settings.set(next);
            try {
                next.write(folder);
            } catch (IOException e) {
                tell.accept("The list of recent jobs and the look couldn't be kept in " + folder + ".");
            }
        }
    }

    private void keepUnsaved() {
        try {
            if (bench.savedProperty().get()) {
                autosave.forget();
            } else {
                autosave.keep(bench.job(), bench.unknown());
            }
        } catch (IOException e) {
            LOG.log(Level.WARNING, "what isn't saved couldn't be kept", e);
        }
    }

    /** Forgets what is kept of a job that was saved or let go. */
    void leave() {
        try {
            autosave.forget();
        } catch (IOException e) {
            LOG.log(Level.WARNING, "what was kept couldn't be deleted", e);
        }
    }

    /** What a run that is over didn't save, the latest. */
    Optional<Path> leftUnsaved() {
        return Autosave.leftIn(folder).stream().findFirst();
    }

    /** Puts back what a run that is over didn't save. */
    void bringBack(Path left) {
        try {
            bench.bringBack(JobFile.read(left));
            Files.deleteIfExists(left);
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        } catch (IOException e) {
            LOG.log(Level.WARNING, "what was brought back couldn't be deleted", e);
        }
    }

    /** Asks about unsaved changes; whether the present job may go. */
    boolean mayLeave() {
        if (bench.savedProperty().get()) {
            return true;
        }
        return switch (asking.unsaved(bench.job().name())) {
            case SAVE -> save();
            case DISCARD -> true;
            case CANCEL -> false;
        };
    }

    void startNew() {
        if (mayLeave()) {
            bench.start(bench.newJob());
        }
    }

    void startDemo() {
        if (mayLeave()) {
            bench.start(DemoJob.heronWeir());
        }
    }

    void open() {
        if (mayLeave()) {
            asking.toOpen("Open a job", "Jobs", JobFile.SUFFIX).ifPresent(this::take);
        }
    }

    void open(Path file) {
        if (mayLeave()) {
            take(file);
        }
    }

    private void take(Path file) {
        try {
            bench.open(file);
            keep(settings.get().withRecent(file));
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        }
    }

    boolean save() {
        Path file = bench.fileProperty().get();
        return file == null ? saveAs() : save(file);
    }

    boolean saveAs() {
        return asking.toWrite("Save the job", fileName() + JobFile.SUFFIX, "Jobs", JobFile.SUFFIX)
                .map(file -> save(ending(file, JobFile.SUFFIX)))
                .orElse(false);
    }

    private boolean save(Path file) {
        try {
            bench.save(file);
            keep(settings.get().withRecent(file));
            return true;
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
            return false;
        }
    }

    /** Keeps what is stitched on the chosen border or strip, to be used on other quilts. */
    void writeRecipe() {
        String group = Words.name(bench.groupId(), bench.job().quilt());
        Optional<Path> chosen = asking.toWrite(
                "Keep these motifs as a recipe",
                fileName() + ", " + Words.decapital(group) + RecipeFile.SUFFIX,
                "Recipes",
                RecipeFile.SUFFIX);
        if (chosen.isEmpty()) {
            return;
        }
        Path file = ending(chosen.get(), RecipeFile.SUFFIX);
        String name = file.getFileName().toString();
        try {
            RecipeFile.write(
                    file,
                    Recipe.of(
                            bench.plan(),
                            bench.groupId(),
                            name.substring(0, name.length() - RecipeFile.SUFFIX.length())));
            tell.accept("Written: " + file + ". Use it on any border or strip, of any size.");
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        }
    }

    void useRecipe() {
        asking.toOpen("Use a recipe", "Recipes", RecipeFile.SUFFIX).ifPresent(this::useRecipe);
    }

    /** Stitches a recipe on the chosen border or strip. */
    void useRecipe(Path file) {
        try {
            Recipe recipe = RecipeFile.read(file);
            bench.edit("recipe " + recipe.name(), job -> recipe.appliedTo(job, bench.groupId()));
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        }
    }

    void writePacket(PaperSize paper) {
        write("Save the packet", ".pdf", "PDF", () -> Packet.format(bench.plan(), paper));
    }

    void writeDrawing() {
        write("Save the drawing", ".svg", "SVG", () -> PlanSvg.format(bench.plan()));
    }

    private void write(String title, String suffix, String kind, Content content) {
        try {
            byte[] bytes = content.get();
            Optional<Path> chosen = asking.toWrite(title, fileName() + suffix, kind, suffix);
            if (chosen.isPresent()) {
                Path file = ending(chosen.get(), suffix);
                AtomicFile.write(file, bytes);
                tell.accept("Written: " + file + ". Print it at 100 %, and measure the check square.");
            }
        } catch (FileTrouble e) {
            tell.accept(e.getMessage());
        } catch (IOException e) {
            tell.accept("It couldn't be written there: is the folder there, and may you write in it?");
        }
    }

    private String fileName() {
        return fileName(bench.job().name(), "quilt");
    }

    /** A name as every system takes it for a file. */
    static String fileName(String name, String otherwise) {
        String plain = name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]+", " ").strip();
        return plain.isEmpty() ? otherwise : plain;
    }

    static Path ending(Path file, String suffix) {
        String name = file.getFileName().toString();
        return name.toLowerCase(Locale.ROOT).endsWith(suffix) ? file : file.resolveSibling(name + suffix);
    }
}
