package jollyspindle.desktop.area;

import jollyspindle.core.area.Ray;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.VBox;

/** All placements of a piece in order, as a dial of rays and as a list: ray, template and edge, turn, what it is laid on. */
final class RotationPane extends VBox {

    private static final double LIST_HEIGHT = 330;

    private final Workbench bench;
    private final Look look;
    private final AreaSelection desk;
    private final ListView<Placement> list = new ListView<>();
    private boolean showing;

    RotationPane(Workbench bench, Look look) {
        super(8);
        this.bench = bench;
        this.look = look;
        this.desk = bench.areas();
        list.setId("rotation-list");
        list.setAccessibleText("Placements in order");
        list.setPrefHeight(LIST_HEIGHT);
        list.setCellFactory(view -> new Row());
        list.getSelectionModel().selectedItemProperty().addListener((o, was, now) -> {
            if (!showing && now != null) {
                bench.selection().placementProperty().set(now);
            }
        });
        bench.selection().placementProperty().addListener(o -> select());
    }

    /** A placement's number and what is to be done. */
    private final class Row extends ListCell<Placement> {
        @Override
        protected void updateItem(Placement placement, boolean empty) {
            super.updateItem(placement, empty);
            if (empty || placement == null) {
                setGraphic(null);
                return;
            }
            Label text = Labelled.wrapped((getIndex() + 1) + ". " + said(placement));
            // As wide as the list, so that the text wraps in it.
            text.setPrefWidth(list.getWidth() - 40);
            setGraphic(text);
        }
    }

    private String said(Placement placement) {
        List<Placement> all = list.getItems();
        int index = all.indexOf(placement);
        Optional<Ray> ray = desk.plan().flatMap(plan -> desk.piece().flatMap(piece -> plan.ray(placement, piece)));
        return new AreaWords(bench.words())
                .rotation(
                        bench.plan().job(),
                        placement,
                        ray,
                        index > 0 ? Optional.of(all.get(index - 1)) : Optional.empty());
    }

    void show() {
        showing = true;
        List<Placement> placements = desk.placements();
        if (placements.isEmpty()) {
            Gradually.renew(this, List.of(Labelled.wrapped("Nothing is stitched in this piece yet.", "reason")));
            showing = false;
            return;
        }
        List<Node> nodes = new ArrayList<>();
        list.setItems(FXCollections.observableArrayList(placements));
        if (!desk.rays().isEmpty()) {
            nodes.add(new RayDial(bench, look));
        }
        nodes.add(Labelled.wrapped(
                Said.say(
                        "rotation.head",
                        "placements",
                        Words.capital(Words.count(placements.size(), Words.Thing.PLACEMENT))),
                "faint"));
        nodes.add(list);
        Gradually.renew(this, nodes);
        showing = false;
        select();
    }

    private void select() {
        showing = true;
        Placement now = bench.selection().placementProperty().get();
        int index = list.getItems().indexOf(now);
        if (index < 0) {
            list.getSelectionModel().clearSelection();
        } else {
            list.getSelectionModel().select(index);
            list.scrollTo(index);
        }
        showing = false;
    }
}
