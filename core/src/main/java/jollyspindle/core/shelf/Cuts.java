package jollyspindle.core.shelf;

import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.SizeLabel;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** What was cut last: all who ask for a template's cut, or its round edges, ask again and again. */
final class Cuts {

    /** More than the largest shelf and a job's own copies: were there fewer, who asks for all in turn would find none. */
    private static final int MOST = 1200;

    /** What a cut depends on: not on what the template is called and made of. */
    private record Shape(Form form, SizeLabel label, double gap) {}

    private static final Map<Shape, Cut> LAST = last();
    private static final Map<Template, List<ArcTemplate>> ARCS = last();

    private Cuts() {}

    static Cut of(Form form, SizeLabel label, double gap) {
        return known(LAST, new Shape(form, label, gap), shape -> form.cut(label, gap));
    }

    static List<ArcTemplate> arcs(Template template) {
        return known(ARCS, template, t -> List.copyOf(t.form().arcs(t)));
    }

    /** Made outside of the lock: two who ask at once both make it, and neither waits. */
    private static <K, V> V known(Map<K, V> all, K key, Function<K, V> make) {
        V known = all.get(key);
        if (known == null) {
            known = make.apply(key);
            all.put(key, known);
        }
        return known;
    }

    private static <K, V> Map<K, V> last() {
        return Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > MOST;
            }
        });
    }
}
