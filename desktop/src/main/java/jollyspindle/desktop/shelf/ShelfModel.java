package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.Find;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.TapePlaces;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateFinder;
import jollyspindle.core.shelf.TemplateReport;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.desktop.control.Soon;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.scene.Node;

/** What of the shelf is shown, which template is looked at, and what is asked. */
public final class ShelfModel {

    /** A size typed to look for finds what is no further off, in inches. */
    private static final double SIZE_ALIKE = 1.0 / 16;

    private final Workbench bench;
    private final ReadOnlyStringWrapper shownId = new ReadOnlyStringWrapper();
    private final StringProperty search = new SimpleStringProperty("");
    private final ObjectProperty<Optional<Kind>> kind = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<OptionalDouble> size = new SimpleObjectProperty<>(OptionalDouble.empty());
    private final BooleanProperty withRetired = new SimpleBooleanProperty();
    private final ObjectProperty<Optional<Find.Wanted>> wanted = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<TapePlaces.Wanted>> tape = new SimpleObjectProperty<>(Optional.empty());
    private final StringProperty tapeEdge = new SimpleStringProperty();
    private final Map<Template, TemplateReport> reports = new HashMap<>();
    private Machine reportedFor;

    public ShelfModel(Workbench bench) {
        this.bench = bench;
        bench.shelfProperty().addListener(o -> settle());
        settle();
    }

    /** Looks at a template that is there: the one before, else what the job uses, else the first. */
    private void settle() {
        if (shown().isEmpty()) {
            shownId.set(bench.job()
                    .layout()
                    .templateId()
                    .filter(id -> bench.shelf().template(id).isPresent())
                    .or(() -> bench.shelf().templates().stream().findFirst().map(Template::id))
                    .orElse(null));
        }
    }

    /** Calls when anything shown of the shelf may be different, while it is looked at and whenever it comes up. */
    void onChange(Node seen, Runnable view, Observable... others) {
        Soon soon = new Soon(seen, view);
        InvalidationListener listener = o -> soon.ask();
        for (Observable other : others) {
            other.addListener(listener);
        }
        bench.changesProperty().addListener(listener);
        bench.planProperty().addListener(listener);
        // Fields of another template than the one that is shown would change the wrong one.
        shownId.addListener(o -> {
            soon.ask();
            soon.now();
        });
        search.addListener(listener);
        kind.addListener(listener);
        size.addListener(listener);
        withRetired.addListener(listener);
        wanted.addListener(listener);
        tape.addListener(listener);
        tapeEdge.addListener(listener);
    }

    /** The template that is looked at. */
    public Optional<Template> shown() {
        return Optional.ofNullable(shownId.get()).flatMap(id -> bench.shelf().template(id));
    }

    public void look(String id) {
        shownId.set(id);
    }

    ReadOnlyStringProperty shownIdProperty() {
        return shownId.getReadOnlyProperty();
    }

    /** Changes the template that is looked at. */
    void change(String what, UnaryOperator<Template> change) {
        shown().ifPresent(t -> bench.editShelf(t.name() + ", " + what, shelf -> shelf.with(change.apply(t))));
    }

    /** Puts a template of a kind on the shelf and looks at it. */
    void add(Kind added) {
        String name = bench.shelf()
                .freeName(
                        Said.say("template.new", "kind", ShelfWords.name(added).toLowerCase(Locale.ROOT)));
        addTemplate(Template.usual(added, bench.shelf().freeId(name), name));
    }

    /** Puts a template on the shelf and looks at it. */
    public void addTemplate(Template template) {
        showAll();
        bench.editShelf(Said.say("step.template-added", "template", template.name()), shelf -> shelf.with(template));
        look(template.id());
    }

    /** Copies the template that is looked at in another size, and looks at the copy. */
    void copy(double mainSize) {
        shown().ifPresent(t -> {
            String name = bench.shelf().freeName(t.name());
            Template copy = (mainSize == t.form().mainSize() ? t : t.resized(mainSize))
                    .withId(bench.shelf().freeId(name))
                    .withName(name)
                    .withRetired(false);
            bench.editShelf(
                    Said.say("step.template-copied", "template", t.name()), shelf -> shelf.withCopyAfter(t, copy));
            look(copy.id());
        });
    }

    /** Shows all templates in use. */
    void showAll() {
        wanted.set(Optional.empty());
        search.set("");
        kind.set(Optional.empty());
        size.set(OptionalDouble.empty());
    }

    /** The templates that answer to what is looked for, in the shelf's order. */
    List<Template> listed() {
        return bench.shelf().templates().stream()
                .filter(t -> withRetired.get() || !t.retired())
                .filter(t -> kind.get().isEmpty() || kind.get().get() == t.kind())
                .filter(this::isOfSize)
                .filter(this::isSearched)
                .toList();
    }

    private boolean isOfSize(Template t) {
        if (size.get().isEmpty()) {
            return true;
        }
        double looked = size.get().getAsDouble();
        Form form = t.form();
        return form.sizes().stream().anyMatch(s -> Math.abs(s - looked) <= SIZE_ALIKE);
    }

    /** Each word that was typed stands in its name, kind, notes or what is printed on it. */
    private boolean isSearched(Template t) {
        ShelfWords words = new ShelfWords(bench.words());
        String all = (t.name() + " " + ShelfWords.name(t.kind()) + " " + words.marked(t) + " " + t.notes())
                .toLowerCase(Locale.ROOT);
        for (String word : search.get().toLowerCase(Locale.ROOT).strip().split("\\s+")) {
            if (!all.contains(word)) {
                return false;
            }
        }
        return true;
    }

    /** What is known of a template with the job's foot, if it was asked for before. */
    Optional<TemplateReport> known(Template template) {
        tidy();
        return Optional.ofNullable(reports.get(template));
    }

    /**
     * All there is to show of the shelf.
     *
     * @param templates those that answer to what is looked for, in order
     * @param find the answer to which template does what is wanted, while that is asked
     * @param reports on those templates
     */
    record Contents(List<Template> templates, Optional<Find> find, Map<Template, TemplateReport> reports) {}

    /** What finds all there is to show of the shelf; to be worked out away from the window. */
    Supplier<Contents> contents() {
        List<Template> listed = wanted.get().isPresent() ? List.of() : listed();
        List<Template> all = bench.shelf().templates();
        Machine machine = bench.job().machine();
        Optional<Find.Wanted> asked = wanted.get();
        Function<Template, TemplateReport> reporting = reporting();
        return () -> {
            Optional<Find> find = asked.map(w -> new TemplateFinder(all, machine).find(w));
            List<Template> templates = find.map(f -> f.matches().stream()
                            .map(Find.Match::template)
                            .distinct()
                            .toList())
                    .orElse(listed);
            Map<Template, TemplateReport> made = new HashMap<>();
            templates.forEach(t -> made.computeIfAbsent(t, reporting));
            return new Contents(templates, find, made);
        };
    }

    /** What reports on one template; to be worked out away from the window. */
    Supplier<TemplateReport> reporting(Template template) {
        Function<Template, TemplateReport> reporting = reporting();
        return () -> reporting.apply(template);
    }

    /** Makes reports on templates with the job's foot, those that are known not anew; to be used away from the window. */
    private Function<Template, TemplateReport> reporting() {
        tidy();
        Machine machine = bench.job().machine();
        Map<Template, TemplateReport> known = Map.copyOf(reports);
        return template -> {
            TemplateReport report = known.get(template);
            return report != null ? report : TemplateReport.of(template, machine);
        };
    }

    /** Lets go of what was reported for another foot, or of templates that are no more. */
    private void tidy() {
        Machine machine = bench.job().machine();
        if (!machine.equals(reportedFor)) {
            reports.clear();
            reportedFor = machine;
        }
        if (reports.size() > 2 * bench.shelf().templates().size() + 20) {
            reports.clear();
        }
    }

    /**
     * All there is to show of a template.
     *
     * @param place where tape goes, for what is asked of it
     */
    record Looked(TemplateReport report, Optional<TapePlaces.Place> place) {}

    /** What finds all there is to show of a template; to be worked out away from the window. */
    Supplier<Looked> looking(Template template) {
        Function<Template, TemplateReport> reporting = reporting();
        Optional<TapePlaces.Wanted> asked = tape.get();
        String edge = tapeEdge.get();
        return () -> {
            TemplateReport report = reporting.apply(template);
            return new Looked(report, asked.flatMap(w -> guide(report.stitching(), edge)
                    .flatMap(g -> TapePlaces.find(template, g, w, report.machine()))));
        };
    }

    /** Remembers what was reported, unless the foot is another by now. */
    void keep(TemplateReport report) {
        tidy();
        if (report.machine().equals(reportedFor)) {
            reports.putIfAbsent(report.template(), report);
        }
    }

    /** The edge the foot runs along while the tape is used; the main one unless another is asked for. */
    private static Optional<Guide> guide(Stitching stitching, String wanted) {
        List<Guide> guides = stitching.cut().guides();
        return guides.stream().filter(g -> g.id().equals(wanted)).findFirst().or(() -> guides.stream()
                .findFirst());
    }

    /** The id of the edge tape is asked for; none, or one of another template, means the main one. */
    StringProperty tapeEdgeProperty() {
        return tapeEdge;
    }

    StringProperty searchProperty() {
        return search;
    }

    ObjectProperty<Optional<Kind>> kindProperty() {
        return kind;
    }

    ObjectProperty<OptionalDouble> sizeProperty() {
        return size;
    }

    BooleanProperty withRetiredProperty() {
        return withRetired;
    }

    /** What a template is wanted for; nothing while the whole shelf is shown. */
    public ObjectProperty<Optional<Find.Wanted>> wantedProperty() {
        return wanted;
    }

    ObjectProperty<Optional<TapePlaces.Wanted>> tapeProperty() {
        return tape;
    }
}
