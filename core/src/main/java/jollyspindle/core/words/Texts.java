package jollyspindle.core.words;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import jollyspindle.core.area.AreaArrangement;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.code.Codes;
import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Reason;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.motif.Arrangement;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifDiagnostic;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.SizeLabel;

import java.lang.reflect.InvocationTargetException;
import java.util.AbstractMap;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * Says what is told in records of numbers: what is the matter in the sentences of {@code told.properties}, kinds of motifs and
 * schools in those of {@code kinds.properties}, all else in those of {@code said.properties}. A sentence names the record's
 * properties; its language, and what stands where, are its own affair, so that a kind of thing to tell is its record and its text.
 *
 * @param words lengths are said with
 */
record Texts(Words words) {

    private static final ResourceBundle TOLD = bundle("told");
    private static final ResourceBundle KINDS = bundle("kinds");
    private static final ResourceBundle SAID = bundle("said");

    /** For what says no lengths. */
    static final Texts WITHOUT_LENGTHS = new Texts(new Words(TapeScale.SIXTEENTHS));

    private static final Map<Class<?>, String> TOLD_ABOUT = Map.of(
            LayoutDiagnostic.class, "layout",
            MotifDiagnostic.class, "motif",
            AreaDiagnostic.class, "area",
            TemplateDiagnostic.class, "template",
            Finding.class, "finding",
            Remedy.class, "remedy");

    /** How numbers are said; of anything else, what is called so is a property. */
    private static final Set<String> OF_NUMBERS = Set.of(
            "length",
            "exact",
            "exactly",
            "printed",
            "difference",
            "degrees",
            "whole",
            "turns",
            "eighths",
            "endless",
            "shells",
            "grouped",
            "count",
            "rounded",
            "tenths",
            "abs",
            "half",
            "twice",
            "sign",
            "rounding",
            "unsaid",
            "tick",
            "chalk");

    private static final Map<String, MessageFormat> FORMATS = new ConcurrentHashMap<>();

    private static ResourceBundle bundle(String name) {
        return ResourceBundle.getBundle(Texts.class.getPackageName() + "." + name, Locale.ROOT);
    }

    /** What is told, in a sentence or two. */
    String text(Object told) {
        if (told instanceof Diagnostic || told instanceof Finding || told instanceof Remedy) {
            return text(TOLD, key(told), told);
        }
        return text(SAID, Codes.path(told.getClass()), told);
    }

    /**
     * A sentence that says something of several things.
     *
     * @param key it stands under in {@code said.properties}
     * @param namesAndValues what it calls them, and what they are, in turn
     */
    String say(String key, Object... namesAndValues) {
        return text(SAID, key, Sentences.things(namesAndValues));
    }

    /** A sentence that says no lengths. */
    static String plainly(String key, Object... namesAndValues) {
        return WITHOUT_LENGTHS.say(key, namesAndValues);
    }

    /** What is told that has no lengths. */
    static String told(Object told) {
        return WITHOUT_LENGTHS.text(told);
    }

    /** What a constant is called. */
    static String name(Enum<?> constant) {
        return SAID.getString(Codes.path(constant.getDeclaringClass()) + "." + Codes.of(constant));
    }

    /** What a constant is called in a place of its own. */
    static String name(String place, Enum<?> constant) {
        return SAID.getString(place + "." + Codes.of(constant));
    }

    /** A motif of runs in a few words. */
    String text(Motif motif) {
        return text(KINDS, "run." + MotifTypes.of(motif).code(), motif);
    }

    /** A motif of areas in a few words. */
    String text(AreaMotif motif) {
        return text(KINDS, "area." + AreaMotifTypes.of(motif).code(), motif);
    }

    /** A school with its numbers. */
    String text(School school) {
        return text(KINDS, "school." + Codes.of(SchoolTypes.of(school).kind()), school);
    }

    /** What a motif of runs is called. */
    static String name(Motif motif) {
        return KINDS.getString("run." + MotifTypes.of(motif).code() + ".name");
    }

    /** What a gallery calls a motif of runs. */
    static String name(Preset preset) {
        String key = "run-preset." + preset.code();
        return KINDS.containsKey(key) ? KINDS.getString(key) : name(preset.motif());
    }

    /** What a gallery calls a whole border. */
    static String name(Arrangement arrangement) {
        return KINDS.getString("arrangement." + arrangement.code());
    }

    /** What a gallery calls several motifs of areas together. */
    static String name(AreaArrangement arrangement) {
        return KINDS.getString("area-arrangement." + arrangement.code());
    }

    /** What a kind of motif of areas is called. */
    static String name(AreaMotifType<?> kind) {
        return KINDS.getString("area." + kind.code() + ".name");
    }

    /** What a motif of areas is called. */
    String name(AreaMotif motif) {
        String key = "area." + AreaMotifTypes.of(motif).code() + ".called";
        return KINDS.containsKey(key) ? text(KINDS, key, motif) : name(AreaMotifTypes.of(motif));
    }

    /** What stands round the centre, counted: {@code 12 arms}. */
    static String counted(AreaMotif.Counted motif) {
        return WITHOUT_LENGTHS.text(KINDS, "area." + AreaMotifTypes.of(motif).code() + ".counted", motif);
    }

    /** What a gallery calls a motif of areas. */
    String name(AreaPreset preset) {
        String key = "area-preset." + preset.code();
        return KINDS.containsKey(key) ? KINDS.getString(key) : name(preset.motif());
    }

    String text(ResourceBundle bundle, String key, Object told) {
        String sentence = bundle.getString(key);
        if (sentence.indexOf('{') < 0) {
            return sentence;
        }
        MessageFormat format = FORMATS.computeIfAbsent(
                bundle.getBaseBundleName() + " " + key, k -> new MessageFormat(sentence, ULocale.ROOT));
        // It isn't made for several threads at once.
        synchronized (format) {
            return format.format(new Properties(told));
        }
    }

    /** Under which name its sentence stands. */
    static String key(Object told) {
        return about(told) + "." + Codes.ofKind(told);
    }

    private static String about(Object told) {
        return TOLD_ABOUT.entrySet().stream()
                .filter(e -> e.getKey().isInstance(told))
                .findFirst()
                .map(Map.Entry::getValue)
                .orElseThrow(() -> new IllegalArgumentException("what is told in " + told + "?"));
    }

    /** What a sentence can put in, found when it asks. */
    private final class Properties extends AbstractMap<String, Object> {

        private final Object told;

        Properties(Object told) {
            this.told = told;
        }

        @Override
        public boolean containsKey(Object name) {
            return true;
        }

        @Override
        public Object get(Object name) {
            return plain(value(told, (String) name));
        }

        @Override
        public Set<Entry<String, Object>> entrySet() {
            throw new UnsupportedOperationException("nobody knows them all");
        }
    }

    /**
     * What a name in a sentence stands for.
     *
     * @param name a property, then properties of that or how it is said, joined by lines
     */
    private Object value(Object told, String name) {
        if (name.equals("manual")) {
            return Cautions.MANUAL_FIRST;
        }
        String[] tokens = name.split("_");
        Object value = tokens[0].equals("self") ? told : property(told, tokens[0]);
        for (int i = 1; i < tokens.length; i++) {
            value = tokens[i].equals("there") ? isThere(value) : said(inside(value), tokens[i]);
        }
        return inside(value);
    }

    /** As sentences choose by it: lasting names, with lines where hyphens can't stand. */
    private static String plain(Object value) {
        return value instanceof Enum<?> constant ? Codes.of(constant).replace('-', '_') : String.valueOf(value);
    }

    @SuppressWarnings("unchecked")
    private Object said(Object value, String how) {
        if (OF_NUMBERS.contains(how) && !isNumber(value)) {
            return property(value, how);
        }
        return switch (how) {
            case "length" -> words.length(number(value));
            case "exact" -> words.exact(number(value));
            case "printed" -> words.printed(number(value));
            case "exactly" -> words.exactly(number(value));
            case "difference" -> words.difference(number(value));
            case "degrees" -> Words.degrees(number(value));
            case "whole" -> String.valueOf((int) number(value));
            case "turns" -> MotifWords.turns((Integer) value);
            case "eighths" -> TapeScale.EIGHTHS.read(number(value)).text();
            case "endless" -> Double.isInfinite(number(value));
            case "sizes" -> new FindWords(words).sizes((List<Double>) value);
            case "shells" -> FindWords.shells(number(value));
            case "list" -> list((Collection<?>) value);
            case "grouped" -> String.format(Locale.ROOT, "%,d", (Integer) value);
            case "count" -> number(value) == 1 ? "one" : "other";
            case "rounded" -> String.valueOf(Math.round(number(value)));
            case "tenths" -> String.valueOf(Math.round(number(value) * 10) / 10.0);
            case "abs" -> Math.abs(number(value));
            case "half" -> number(value) / 2;
            case "twice" -> 2 * number(value);
            case "sign" -> sign(number(value), 0);
            case "rounding" -> sign(number(value), Tolerances.ROUNDING);
            case "unsaid" -> sign(number(value), Tolerances.UNSAID);
            // What the tape would read as 0.
            case "tick" -> sign(number(value), words.tape().tick() / 2);
            case "chalk" -> sign(number(value), Tolerances.CHALK);
            case "name" -> name(value);
            case "text" -> text(value);
            case "capital" -> Words.capital((String) value);
            case "decapital" -> Words.decapital((String) value);
            default -> property(value, how);
        };
    }

    private String list(Collection<?> numbers) {
        return numbers.stream()
                .sorted()
                .map(n -> n instanceof Double inches ? words.exact(inches) : String.valueOf(n))
                .collect(Collectors.joining(", "));
    }

    private static String sign(double number, double within) {
        return number > within ? "above" : number < -within ? "below" : "zero";
    }

    private static boolean isThere(Object value) {
        return value instanceof OptionalDouble number
                ? number.isPresent()
                : value instanceof OptionalInt whole ? whole.isPresent() : ((Optional<?>) value).isPresent();
    }

    /** What is there, of something that may be. */
    private static Object inside(Object value) {
        return value instanceof Optional<?> there ? there.orElseThrow() : value;
    }

    private static boolean isNumber(Object value) {
        return value instanceof Number || value instanceof OptionalDouble || value instanceof OptionalInt;
    }

    private static double number(Object value) {
        if (value instanceof OptionalDouble there) {
            return there.orElseThrow();
        }
        return value instanceof OptionalInt there ? there.orElseThrow() : ((Number) value).doubleValue();
    }

    private static Object property(Object of, String name) {
        if (of instanceof Map<?, ?> things) {
            if (!things.containsKey(name)) {
                throw new IllegalStateException("there is no " + name + " among " + things.keySet());
            }
            return things.get(name);
        }
        try {
            return of.getClass().getMethod(name).invoke(of);
        } catch (NoSuchMethodException | IllegalAccessException e) {
            throw new IllegalStateException("there is no " + name + " to tell of " + of, e);
        } catch (InvocationTargetException e) {
            throw new IllegalStateException("what is the " + name + " of " + of + "?", e);
        }
    }

    /** What something is called in a sentence. */
    @SuppressWarnings("unchecked")
    private String name(Object of) {
        if (of instanceof CornerDesign.Kind kind) {
            return MotifWords.name(kind);
        }
        if (of instanceof AreaMotif.Corner corner) {
            return AreaWords.name(corner);
        }
        if (of instanceof EndUse use) {
            return DivisionWords.name(use);
        }
        if (of instanceof Enum<?> constant) {
            return name(constant);
        }
        if (of instanceof Guide guide) {
            return ShelfWords.edge(guide);
        }
        if (of instanceof EngravedLine line) {
            return new ShelfWords(words).line(line);
        }
        if (of instanceof SizeLabel label) {
            return ShelfWords.name(label);
        }
        if (of instanceof Template template) {
            return template.name();
        }
        if (of instanceof ArcTemplate template) {
            return template.name();
        }
        if (of instanceof SeamRegister.Tape tape) {
            return words.tapePlace(tape);
        }
        if (of instanceof Mark mark) {
            return Words.name(mark);
        }
        if (of instanceof Dimension dimension) {
            return Words.name(dimension);
        }
        if (of instanceof List<?> dimensions) {
            return FindingWords.missing((List<Dimension>) dimensions);
        }
        if (of instanceof Motif motif) {
            return MotifWords.name(motif);
        }
        if (of instanceof Wish wish) {
            return new DivisionWords(words).wish(wish);
        }
        if (of instanceof School school) {
            return text(school);
        }
        if (of instanceof Reason.Middle middle) {
            return new DivisionWords(words).space(middle.figure(), middle.rise());
        }
        if (of instanceof SortedMap<?, ?> schools) {
            return new DivisionWords(words).schools((SortedMap<RunId, School>) schools);
        }
        return text(of);
    }
}
