package jollyspindle.core.shelf;

import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.SizeLabel;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** What was cut last: all who ask for a template's cut ask again and again, whatever it is called and made of meanwhile. */
final class Cuts {

    /** More than a large shelf and the jobs' own copies. */
    private static final int MOST = 400;

    /** What a cut depends on. */
    private record Shape(Form form, SizeLabel label, double gap) {}

    private static final Map<Shape, Cut> LAST = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Shape, Cut> eldest) {
            return size() > MOST;
        }
    });

    private Cuts() {}

    static Cut of(Form form, SizeLabel label, double gap) {
        Shape shape = new Shape(form, label, gap);
        Cut known = LAST.get(shape);
        if (known == null) {
            // Cut outside of the lock: two who ask at once both cut, and neither waits.
            known = form.cut(label, gap);
            LAST.put(shape, known);
        }
        return known;
    }
}
