package jollyspindle.desktop.control;

import javafx.scene.Node;

/** A control that can take over what another of its kind shows and does, so that it needn't be exchanged for it. */
interface Renewable {

    /** The id of what is typed or chosen in; only one with the same can be taken over. */
    String place();

    /**
     * Shows and does what another would, which was made for the same place. What the quilter is typing stays.
     *
     * @param next of the same class; it is never shown itself
     */
    void renew(Node next);
}
