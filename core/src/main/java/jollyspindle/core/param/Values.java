package jollyspindle.core.param;

import jollyspindle.core.text.Refusals;

import java.util.HashMap;
import java.util.Map;

/**
 * A value for each of some params.
 *
 * @param <M> what they are chosen about
 */
public final class Values<M> {

    private final Map<Param<M, ?>, Object> values = new HashMap<>();

    /** Takes a value, in place of one that it has. */
    public <T> Values<M> put(Param<M, T> param, T value) {
        values.put(param, value);
        return this;
    }

    /**
     * The value of one.
     *
     * @throws IllegalStateException if it has none
     */
    @SuppressWarnings("unchecked")
    public <T> T get(Param<M, T> param) {
        Object value = values.get(param);
        if (value == null) {
            throw new IllegalStateException(Refusals.say("param.none", "param", param.code()));
        }
        // Only put() puts any there, and it takes values of the param's kind.
        return (T) value;
    }
}
