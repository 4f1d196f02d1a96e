package jollyspindle.core.shelf;

import jollyspindle.core.shelf.form.Cut;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** The templates that were cut last: a cut depends on nothing but its template, and all who ask for it ask again and again. */
final class Cuts {

    /** More than a large shelf and the jobs' own copies. */
    private static final int MOST = 400;

    private static final Map<Template, Cut> LAST = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Template, Cut> eldest) {
            return size() > MOST;
        }
    });

    private Cuts() {}

    static Cut of(Template template) {
        Cut known = LAST.get(template);
        if (known == null) {
            // Cut outside of the lock: two who ask at once both cut, and neither waits.
            known = template.form().cut(template.label(), template.gap());
            LAST.put(template, known);
        }
        return known;
    }
}
