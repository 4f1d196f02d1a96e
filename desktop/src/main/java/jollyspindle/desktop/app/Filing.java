package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.Recipe;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.FileNames;
import jollyspindle.files.FileStamp;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.drawing.PlanSvg;
import jollyspindle.files.job.Autosave;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.packet.Packet;
import jollyspindle.files.packet.PaperSize;
import jollyspindle.files.recipe.RecipeFile;
import jollyspindle.files.user.Settings;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Duration;

/** Opening, saving and writing out. What goes wrong is told; the job on the table stays as it was. */
final class Filing {

    private static final Logger LOG = Logger.getLogger(Filing.class.getName());

    /** How long nothing must change before what isn't saved is kept. */
    private static final Duration SETTLED = Duration.seconds(1.5);

    /** Makes a file's bytes from a plan. */
    private interface Content {
        byte[] of(WorkPlan plan) throws FileTrouble;
    }

    /** Work with files that the window needn't wait for. */
    private interface Work {
        void run() throws IOException;
    }

    /** How long the window waits at its end for what is still being written, in seconds. */
    private static final int LAST_WAIT = 10;

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);

    private final Workbench bench;
    private final Dialogs asking;
    private final MessageBar messages;
    private final Path folder;
    private final Autosave autosave;
    private final ReadOnlyObjectWrapper<Settings> settings = new ReadOnlyObjectWrapper<>();
    private final ExecutorService away = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "files");
        thread.setDaemon(true);
        return thread;
    });
    private final PauseTransition settled = new PauseTransition(SETTLED);
    private Optional<FileStamp> toldOf = Optional.empty();

    /**
     * Filing for a workbench.
     *
     * @param messages shows the person what there is to tell
     * @param things the person's folder, and what was read there
     */
    Filing(Workbench bench, Dialogs asking, MessageBar messages, PersonsThings things) {
        this.bench = bench;
        this.asking = asking;
        this.messages = messages;
        folder = things.folder();
        settings.set(things.settings());
        autosave = new Autosave(folder);
        settled.setOnFinished(e -> keepUnsaved());
        bench.changesProperty().addListener(o -> settled.playFromStart());
        bench.fileProperty().addListener((o, was, now) -> beAt(now));
        bench.setOnTrouble(messages::warn);
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
            work(
                    () -> next.write(folder),
                    () -> messages.tell(Said.say("file.settings-not-kept", "folder", folder.toString())));
        }
    }

    private void work(Work work) {
        work(work, () -> messages.warn(Said.say("file.unsaved-not-kept", "folder", folder.toString())));
    }

    private void work(Work work, Runnable failed) {
        if (away.isShutdown()) {
            return;
        }
        away.execute(() -> {
            try {
                work.run();
            } catch (IOException e) {
                LOG.log(Level.WARNING, "the person's folder can't be written", e);
                Platform.runLater(failed);
            }
        });
    }

    private void keepUnsaved() {
        if (bench.savedProperty().get()) {
            work(autosave::forget);
        } else {
            QuiltJob job = bench.keptJob();
            UnknownFields unknown = bench.unknown();
            work(() -> autosave.keep(job, unknown));
        }
    }

    /** Says which file is open here, and tells the person if it is open elsewhere as well. */
    private void beAt(Path file) {
        work(() -> {
            if (autosave.at(Optional.ofNullable(file))) {
                Platform.runLater(() -> messages.warn(
                        Said.say("file.two-windows", "file", file.getFileName().toString())));
            }
        });
    }

    /** Ends what is kept of a job that was saved or let go. */
    void leave() {
        settled.stop();
        work(autosave::close);
        away.shutdown();
        try {
            if (!away.awaitTermination(LAST_WAIT, TimeUnit.SECONDS)) {
                LOG.warning("something is still being written");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Looks whether somebody else has changed the job's file, and tells it once. */
    void lookAgain() {
        Path file = bench.fileProperty().get();
        if (file != null && bench.isFileChanged()) {
            Optional<FileStamp> there = FileStamp.of(file);
            if (!there.equals(toldOf)) {
                toldOf = there;
                messages.offer(
                        Said.say("file.changed", "file", file.getFileName().toString()),
                        "Open it as it is now",
                        () -> open(file));
            }
        }
    }

    /** Offers what sessions that are over didn't save. */
    void offerUnsaved() {
        Autosave.tidyUp(folder);
        List<Autosave.Left> all = new ArrayList<>(Autosave.leftIn(folder));
        // The latest is to be told last, since that stands first.
        Collections.reverse(all);
        all.forEach(this::offer);
    }

    private void offer(Autosave.Left left) {
        try {
            String name = left.read().job().name();
            String time = WHEN.format(left.time().toInstant().atZone(ZoneId.systemDefault()));
            messages.offer(Said.say("file.ended", "job", name, "time", time), "Bring it back", () -> bringBack(left));
        } catch (FileTrouble e) {
            Path aside = left.kept().resolveSibling(left.kept().getFileName() + ".unread");
            work(() -> Files.move(left.kept(), aside, StandardCopyOption.REPLACE_EXISTING));
            messages.warn(Said.say("file.unsaved-unread", "why", e.getMessage(), "aside", aside.toString()));
        }
    }

    /** Puts back what a session that is over didn't save. It is let go there only when it is kept here. */
    private void bringBack(Autosave.Left left) {
        if (!mayLeave()) {
            offer(left);
            return;
        }
        try {
            JobFile.Opened opened = left.read();
            bench.bringBack(opened, left.file());
            work(() -> {
                autosave.keep(opened.job(), opened.unknown());
                autosave.tidy(left);
            });
        } catch (FileTrouble e) {
            messages.warn(e.getMessage());
        }
    }

    /** Asks about unsaved changes; whether the present job may go. */
    boolean mayLeave() {
        bench.dropGesture();
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
        opened(file, bench.tryToOpen(file));
    }

    /** Tells how the opening of a job file ended. */
    void opened(Path file, Optional<FileTrouble> trouble) {
        trouble.ifPresentOrElse(t -> messages.warn(t.getMessage()), () -> {
            keep(settings.get().withRecent(file));
            if (!bench.toldOnOpening().isEmpty()) {
                // What is said before the job is shown goes as soon as it is.
                String told = String.join(" ", bench.toldOnOpening());
                bench.whenPlanned(plan -> Platform.runLater(() -> messages.warn(told)));
            }
        });
    }

    boolean save() {
        Path file = bench.fileProperty().get();
        if (file == null) {
            return saveAs();
        }
        if (!bench.isFileChanged()) {
            return save(file);
        }
        return switch (asking.changedElsewhere(file.getFileName().toString())) {
            case REPLACE -> save(file);
            case SAVE_ELSEWHERE -> saveAs();
            case CANCEL -> false;
        };
    }

    boolean saveAs() {
        return asking.whereTo("Save the job", fileName(), "Jobs", JobFile.SUFFIX)
                .map(this::save)
                .orElse(false);
    }

    private boolean save(Path file) {
        try {
            bench.save(file);
            keep(settings.get().withRecent(file));
            return true;
        } catch (FileTrouble e) {
            messages.warn(e.getMessage());
            return false;
        }
    }

    /** Keeps what is stitched on the chosen border or strip, to be used on other quilts. */
    void writeRecipe() {
        String group = Words.name(bench.groupId(), bench.job().quilt());
        Optional<Path> chosen = asking.whereTo(
                "Keep these motifs as a recipe",
                fileName() + ", " + Words.decapital(group),
                "Recipes",
                RecipeFile.SUFFIX);
        if (chosen.isEmpty()) {
            return;
        }
        Path file = chosen.get();
        String name = file.getFileName().toString();
        try {
            RecipeFile.write(
                    file,
                    Recipe.of(
                            bench.plan(),
                            bench.groupId(),
                            name.substring(0, name.length() - RecipeFile.SUFFIX.length())));
            messages.tell(Said.say("file.recipe-written", "file", file.toString()));
        } catch (FileTrouble e) {
            messages.tell(e.getMessage());
        }
    }

    void useRecipe() {
        asking.toOpen("Use a recipe", "Recipes", RecipeFile.SUFFIX).ifPresent(this::useRecipe);
    }

    /** Stitches a recipe on the chosen border or strip. */
    void useRecipe(Path file) {
        try {
            Recipe recipe = RecipeFile.read(file);
            bench.edit(Said.say("step.recipe", "recipe", recipe.name()), job -> recipe.appliedTo(job, bench.groupId()));
        } catch (FileTrouble e) {
            messages.tell(e.getMessage());
        }
    }

    void writePacket(PaperSize paper) {
        bench.whenPlanned(plan -> {
            Optional<String> nothing = Packet.nothingToTake(plan);
            if (nothing.isPresent()) {
                messages.tell(nothing.get());
            } else {
                write(plan, "Save the packet", ".pdf", "PDF", p -> Packet.format(p, paper));
            }
        });
    }

    void writeDrawing() {
        bench.whenPlanned(plan -> write(plan, "Save the drawing", ".svg", "SVG", PlanSvg::format));
    }

    private void write(WorkPlan plan, String title, String suffix, String kind, Content content) {
        asking.whereTo(title, fileName(), kind, suffix).ifPresent(file -> {
            messages.tell(Said.say("file.writing", "file", file.toString()));
            away.execute(() -> {
                String said = written(plan, file, content);
                Platform.runLater(() -> messages.tell(said));
            });
        });
    }

    private static String written(WorkPlan plan, Path file, Content content) {
        try {
            AtomicFile.write(file, content.of(plan));
            return Said.say("file.packet-written", "file", file.toString());
        } catch (FileTrouble e) {
            return e.getMessage();
        } catch (IOException e) {
            return "It couldn't be written there: is the folder there, and may you write in it?";
        } catch (RuntimeException e) {
            LOG.log(Level.SEVERE, "writing failed", e);
            return "It couldn't be written: something went wrong inside Jolly Spindle.";
        }
    }

    private String fileName() {
        return FileNames.plain(bench.job().name(), "quilt");
    }
}
