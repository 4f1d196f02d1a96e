package jollyspindle.core.shelf.form;

import java.util.List;

/** Sizes of a set. */
final class Sizes {

    private Sizes() {}

    /** A set in proportion, with another largest size. */
    static List<Double> scaled(List<Double> ascending, double largest) {
        double factor = largest / ascending.get(ascending.size() - 1);
        return ascending.stream().map(size -> size * factor).toList();
    }
}
