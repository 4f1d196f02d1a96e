package jollyspindle.core.words;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifDiagnostic;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.SizeLabel;

import java.lang.reflect.InvocationTargetException;
import java.util.AbstractMap;
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

/**
 * Says what is told in records of numbers, in the sentences of {@code told.properties}. A sentence names the record's properties;
 * its language, and what stands where, are its own affair, so that a kind of thing to tell is its record and its text.
 *
 * @param words lengths are said with
 */
record Texts(Words words) {

    private static final ResourceBundle TOLD = bundle("told");
    private static final ResourceBundle KINDS = bundle("kinds");

    private static final Map<String, MessageFormat> FORMATS = new ConcurrentHashMap<>();

    private static ResourceBundle bundle(String name) {
        return ResourceBundle.getBundle(Texts.class.getPackageName() + "." + name, Locale.ROOT);
    }

    /** What is told, in a sentence or two. */
    String text(Object told) {
        return text(TOLD, key(told), told);
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

    /** What a kind of motif of areas is called. */
    static String name(AreaMotif.Kind kind) {
        return KINDS.getString("area." + Codes.of(kind) + ".name");
    }

    /** What a motif of areas is called. */
    String name(AreaMotif motif) {
        String key = "area." + AreaMotifTypes.of(motif).code() + ".called";
        return KINDS.containsKey(key) ? text(KINDS, key, motif) : name(motif.kind());
    }

    /** What a gallery calls a motif of areas. */
    String name(AreaPreset preset) {
        String key = "area-preset." + preset.code();
        return KINDS.containsKey(key) ? KINDS.getString(key) : name(preset.motif());
    }

    private String text(ResourceBundle bundle, String key, Object told) {
        MessageFormat format = FORMATS.computeIfAbsent(
                bundle.getBaseBundleName() + " " + key, k -> new MessageFormat(bundle.getString(key), ULocale.ROOT));
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
        if (told instanceof LayoutDiagnostic) {
            return "layout";
        }
        if (told instanceof MotifDiagnostic) {
            return "motif";
        }
        if (told instanceof AreaDiagnostic) {
            return "area";
        }
        if (told instanceof TemplateDiagnostic) {
            return "template";
        }
        if (told instanceof Finding) {
            return "finding";
        }
        if (told instanceof Remedy) {
            return "remedy";
        }
        throw new IllegalArgumentException("what is told in " + told + "?");
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
        Object value = property(told, tokens[0]);
        for (int i = 1; i < tokens.length; i++) {
            value = said(value, tokens[i]);
        }
        return value;
    }

    /** As sentences choose by it: lasting names, with lines where hyphens can't stand. */
    private static String plain(Object value) {
        return value instanceof Enum<?> constant ? Codes.of(constant).replace('-', '_') : String.valueOf(value);
    }

    private Object said(Object value, String how) {
        return switch (how) {
            case "length" -> words.length(number(value));
            case "exact" -> words.exact(number(value));
            case "exactly" -> words.exactly(number(value));
            case "difference" -> words.difference(number(value));
            case "degrees" -> Words.degrees(number(value));
            case "whole" -> String.valueOf((int) number(value));
            case "turns" -> MotifWords.turns((Integer) value);
            case "eighths" -> TapeScale.EIGHTHS.read(number(value)).text();
            case "grouped" -> String.format(Locale.ROOT, "%,d", (Integer) value);
            case "count" -> number(value) == 1 ? "one" : "other";
            case "sign" -> sign(number(value), 0);
            case "chalk" -> sign(number(value), Tolerances.CHALK);
            case "there" ->
                value instanceof OptionalDouble number
                        ? number.isPresent()
                        : value instanceof OptionalInt whole ? whole.isPresent() : ((Optional<?>) value).isPresent();
            case "name" -> name(value);
            case "text" -> text(value);
            case "capital" -> Words.capital((String) value);
            case "decapital" -> Words.decapital((String) value);
            default -> property(value, how);
        };
    }

    private static String sign(double number, double within) {
        return number > within ? "above" : number < -within ? "below" : "zero";
    }

    private static double number(Object value) {
        if (value instanceof OptionalDouble there) {
            return there.orElseThrow();
        }
        return value instanceof OptionalInt there ? there.orElseThrow() : ((Number) value).doubleValue();
    }

    private static Object property(Object of, String name) {
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
        if (of instanceof Guide guide) {
            return ShelfWords.edge(guide);
        }
        if (of instanceof EngravedLine line) {
            return new ShelfWords(words).line(line);
        }
        if (of instanceof SizeLabel label) {
            return ShelfWords.name(label);
        }
        if (of instanceof Machine.FootType foot) {
            return ShelfWords.name(foot);
        }
        if (of instanceof Prediction.What what) {
            return ShelfWords.what(what);
        }
        if (of instanceof Side side) {
            return Words.name(side);
        }
        if (of instanceof Easing easing) {
            return Words.name(easing);
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
        if (of instanceof CornerDesign.Kind kind) {
            return MotifWords.name(kind);
        }
        if (of instanceof AreaMotif.Corner corner) {
            return AreaWords.name(corner);
        }
        if (of instanceof Filling filling) {
            return DivisionWords.name(filling);
        }
        if (of instanceof EndUse use) {
            return DivisionWords.name(use);
        }
        if (of instanceof Spread spread) {
            return DivisionWords.spread(spread);
        }
        if (of instanceof CornerAsk ask) {
            return DivisionWords.name(ask);
        }
        if (of instanceof Wish wish) {
            return new DivisionWords(words).wish(wish);
        }
        if (of instanceof School school) {
            return text(school);
        }
        if (of instanceof SortedMap<?, ?> schools) {
            return new DivisionWords(words).schools((SortedMap<RunId, School>) schools);
        }
        throw new IllegalArgumentException("what is " + of + " called?");
    }
}
