package jollyspindle.desktop.app;

import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * Something that is made when it is first asked for, in the window's thread.
 *
 * @param <T> what
 */
final class Late<T> {

    private final Supplier<T> make;
    private T made;

    Late(Supplier<T> make) {
        this.make = make;
    }

    T get() {
        if (made == null) {
            made = make.get();
        }
        return made;
    }

    /** Does something with it if it has been made. */
    void ifMade(Consumer<T> then) {
        if (made != null) {
            then.accept(made);
        }
    }
}
