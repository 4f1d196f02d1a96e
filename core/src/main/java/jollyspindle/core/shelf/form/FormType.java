package jollyspindle.core.shelf.form;

import jollyspindle.core.code.Codes;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.Values;

import java.util.Optional;

/**
 * All that is kept, typed and shown of how templates of a kind are cut. Each stands in the file of its form; {@link FormTypes}
 * lists them.
 *
 * @param <F> the form
 * @param kind what quilters call it
 * @param figure the lasting name of what it draws, where templates of one kind draw several
 * @param type the form's class
 * @param params what is printed on it and measured of it
 * @param usual a common one, to begin with
 */
public record FormType<F extends Form>(Kind kind, Optional<String> figure, Class<F> type, Params<F> params, F usual) {

    static <F extends Form> FormType<F> of(Kind kind, Class<F> type, Params<F> params, F usual) {
        return new FormType<>(kind, Optional.empty(), type, params, usual);
    }

    /** Its lasting name. */
    public String code() {
        return Codes.of(kind) + figure.map(name -> "." + name).orElse("");
    }

    /** One of this type with the sizes that it has in common with another form, as far as they go together; else the usual. */
    public F like(Form other) {
        Values<F> values = params.values(usual);
        params.all().forEach(param -> carry(other.type(), other, param, values));
        try {
            return params.make().apply(values);
        } catch (IllegalArgumentException e) {
            return usual;
        }
    }

    private static <G extends Form, F extends Form, T> void carry(
            FormType<G> theirs, Form other, Param<F, T> to, Values<F> values) {
        theirs.params().all().stream()
                .filter(from -> from.code().equals(to.code()) && from.getClass() == to.getClass())
                .findFirst()
                .ifPresent(from -> {
                    @SuppressWarnings("unchecked") // Params of one sort have values of one sort.
                    T value = (T) from.of(theirs.type().cast(other));
                    values.put(to, value);
                });
    }
}
