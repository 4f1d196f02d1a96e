package jollyspindle.desktop.control;

import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;

/** Something that holds or doesn't. */
public final class CheckField extends CheckBox implements Renewable {

    private Consumer<Boolean> take;

    /**
     * A box to tick.
     *
     * @param now whether it holds
     * @param take takes whether it shall
     */
    public CheckField(String id, String name, boolean now, Consumer<Boolean> take) {
        super(name);
        this.take = take;
        setId(id);
        setWrapText(true);
        setSelected(now);
        setOnAction(e -> this.take.accept(isSelected()));
    }

    @Override
    public String place() {
        return getId();
    }

    @Override
    public void renew(Node other) {
        CheckField next = (CheckField) other;
        take = next.take;
        setText(next.getText());
        setSelected(next.isSelected());
    }
}
