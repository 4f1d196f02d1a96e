package jollyspindle.core.shelf;

import jollyspindle.core.text.Refusals;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What the quilter owns: templates, and a machine to use them on. New jobs begin with that machine and take copies of the
 * templates they use.
 *
 * @param machine with its foot
 * @param templates each id once, in the quilter's order
 */
public record Shelf(Machine machine, List<Template> templates) {

    /**
     * What came of putting templates on a shelf.
     *
     * @param shelf with them
     * @param added those that weren't there, as they are called now
     * @param alreadyThere how many were there already, just like that
     */
    public record Imported(Shelf shelf, List<Template> added, int alreadyThere) {}

    private static final int LONGEST_ID = 60;

    public Shelf {
        templates = List.copyOf(templates);
        Set<String> ids = new HashSet<>();
        templates.forEach(t -> {
            if (!ids.add(t.id())) {
                throw new IllegalArgumentException(Refusals.say("template.twice", "id", t.id()));
            }
        });
    }

    /** What a new quilter begins with. */
    public static Shelf starter() {
        return new Shelf(Machine.usual(), StarterShelf.templates());
    }

    public Shelf withMachine(Machine other) {
        return new Shelf(other, templates);
    }

    public Optional<Template> template(String id) {
        return templates.stream().filter(t -> t.id().equals(id)).findFirst();
    }

    /** This shelf with a template: in place of the one with the same id, or after the others. */
    public Shelf with(Template template) {
        List<Template> all = new ArrayList<>(templates);
        int index = all.stream().map(Template::id).toList().indexOf(template.id());
        if (index < 0) {
            all.add(template);
        } else {
            all.set(index, template);
        }
        return new Shelf(machine, all);
    }

    /** This shelf with a copy of a template right after it, under an id and a name that are free. */
    public Shelf withCopyAfter(Template original, Template copy) {
        List<Template> all = new ArrayList<>(templates);
        int index = all.stream().map(Template::id).toList().indexOf(original.id());
        all.add(index + 1, copy);
        return new Shelf(machine, all);
    }

    /** This shelf with templates from elsewhere. None that is there is replaced; one that is called alike gets another id. */
    public Imported importing(List<Template> incoming) {
        Shelf shelf = this;
        List<Template> added = new ArrayList<>();
        int there = 0;
        for (Template template : incoming) {
            if (shelf.templates.contains(template)) {
                there++;
            } else {
                Template free = shelf.template(template.id()).isEmpty()
                        ? template
                        : template.withId(shelf.freeId(template.name())).withName(shelf.freeName(template.name()));
                shelf = shelf.with(free);
                added.add(free);
            }
        }
        return new Imported(shelf, added, there);
    }

    /**
     * This shelf together with what somebody else made of the same one meanwhile. What only one of the two changed is taken
     * as changed; what both changed stays as it is here.
     *
     * @param base what both began with
     * @param theirs what the other made of it
     */
    public Shelf mergedWith(Shelf base, Shelf theirs) {
        Shelf merged = withMachine(machine.equals(base.machine) ? theirs.machine : machine);
        for (Template before : base.templates) {
            boolean gone = theirs.template(before.id()).isEmpty();
            // What was changed here meanwhile isn't taken away there.
            if (gone && template(before.id()).filter(before::equals).isPresent()) {
                merged = merged.without(before.id());
            }
        }
        for (Template there : theirs.templates) {
            Optional<Template> before = base.template(there.id());
            Optional<Template> here = template(there.id());
            boolean untouchedHere = here.equals(before);
            boolean nameTaken = here.isPresent() && before.isEmpty();
            if (untouchedHere) {
                merged = merged.with(there);
            } else if (nameTaken && !here.get().equals(there)) {
                merged = merged.with(there.withId(merged.freeId(there.name())).withName(merged.freeName(there.name())));
            }
        }
        return merged;
    }

    private Shelf without(String id) {
        return new Shelf(
                machine, templates.stream().filter(t -> !t.id().equals(id)).toList());
    }

    /** An id made from a name that no template here has. */
    public String freeId(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\p{M}+", "")
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String base = plain.isEmpty() ? "template" : plain.substring(0, Math.min(LONGEST_ID - 5, plain.length()));
        String id = base;
        for (int i = 2; template(id).isPresent(); i++) {
            id = base + "-" + i;
        }
        return id;
    }

    /** A name like the given one that no template here has: {@code Orchard Hill 2}. */
    public String freeName(String name) {
        String base = name.replaceAll(" \\d{1,3}$", "");
        String free = name;
        for (int i = 2; isTaken(free); i++) {
            String number = " " + i;
            free = base.substring(0, Math.min(base.length(), Template.LONGEST_NAME - number.length())) + number;
        }
        return free;
    }

    private boolean isTaken(String name) {
        return templates.stream().anyMatch(t -> t.name().equals(name));
    }
}
