package jollyspindle.desktop.model;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.school.School;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;

import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** Ways to come out that are seen side by side. */
public final class Comparison {

    private final ObservableList<Map<RunId, School>> compared = FXCollections.observableArrayList();
    private final BooleanProperty comparing = new SimpleBooleanProperty();

    /** More candidates have no room side by side. */
    public static final int MOST = 3;

    private final Workbench bench;

    Comparison(Workbench bench) {
        this.bench = bench;
    }

    /** Lets go all that was to be compared. */
    void clear() {
        comparing.set(false);
        compared.clear();
    }

    /** The ways to come out that are to be seen side by side, at most {@link #MOST}. */
    public ObservableList<Map<RunId, School>> ways() {
        return compared;
    }

    /** Takes a candidate among those to be compared, or takes it out; the earliest makes room for one too many. */
    public void take(Candidate candidate, boolean wanted) {
        Map<RunId, School> schools = candidate.schools();
        compared.remove(schools);
        if (wanted) {
            if (compared.size() == MOST) {
                compared.remove(0);
            }
            compared.add(schools);
        }
        if (compared.size() < 2) {
            comparing.set(false);
        }
    }

    /**
     * What makes the ways to be seen side by side, each with the quilt planned so, away from the window; those that no longer
     * divide their runs are left out.
     */
    public Supplier<List<Way>> planned() {
        GroupId looked = bench.groupId();
        QuiltJob from = bench.job();
        List<Map<RunId, School>> all = List.copyOf(compared);
        return () -> {
            Planner own = new Planner();
            return all.stream()
                    .map(schools -> own.planAgain(from.choosing(schools)))
                    .flatMap(made -> made.group(looked).stream().map(g -> new Way(g.chosen(), made)))
                    .toList();
        };
    }

    /** Whether candidates are seen side by side. */
    public BooleanProperty shownProperty() {
        return comparing;
    }
}
