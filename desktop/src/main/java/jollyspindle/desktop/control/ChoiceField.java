package jollyspindle.desktop.control;

import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;

/**
 * One of a few things, as it is chosen now.
 *
 * @param <T> the things
 */
public final class ChoiceField<T> extends ComboBox<T> implements Renewable {

    private T now;
    private List<String> names;
    private Consumer<T> take;

    /** Whether what changes isn't the quilter's choice: a box chooses something itself as its list is exchanged. */
    private boolean renewing;

    /**
     * A box to choose from.
     *
     * @param purpose what it is for
     * @param now what is chosen; null if nothing is
     * @param said how each is called
     * @param take takes another than that
     */
    public ChoiceField(
            String id, String purpose, List<T> values, T now, Function<? super T, String> said, Consumer<T> take) {
        this.now = now;
        this.take = take;
        names = values.stream().<String>map(said).toList();
        Choices.prepare(this, id, purpose, values, said::apply);
        setValue(now);
        setOnAction(e -> {
            if (!renewing && getValue() != null && !getValue().equals(this.now)) {
                this.take.accept(getValue());
            }
        });
    }

    /** Says something where nothing is chosen. */
    public ChoiceField<T> prompting(String prompt) {
        setPromptText(prompt);
        return this;
    }

    /** Whether it is just taking over what another shows. */
    boolean isRenewing() {
        return renewing;
    }

    @Override
    public String place() {
        return getId();
    }

    @Override
    @SuppressWarnings("unchecked") // Made for the same place.
    public void renew(Node other) {
        ChoiceField<T> next = (ChoiceField<T>) other;
        renewing = true;
        try {
            now = next.now;
            take = next.take;
            setPromptText(next.getPromptText());
            if (!names.equals(next.names) || !getItems().equals(next.getItems())) {
                names = next.names;
                setConverter(next.getConverter());
                getItems().setAll(next.getItems());
            }
            if (!Objects.equals(getValue(), now)) {
                setValue(now);
            }
        } finally {
            renewing = false;
        }
    }
}
