package jollyspindle.desktop.bench;

import jollyspindle.core.division.Judging;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/** How ways to come out are weighed: what nobody sees, and what counts for how much. */
final class RulesPane extends VBox {

    private final Workbench bench;
    private final List<Runnable> shows = new ArrayList<>();
    private final Button usual = new Button("The usual rules again");

    RulesPane(Workbench bench) {
        super(6);
        this.bench = bench;
        usual.setId("rules-usual");
        usual.setOnAction(e -> bench.edit("the usual rules", job -> job.with(Judging.usual())));
        getChildren()
                .addAll(
                        Labelled.wrapped("What nobody sees (common practice): up to this much is let pass.", "faint"),
                        Labelled.row(
                                tolerance(
                                        "rule-stretch",
                                        "Stretch a repeat",
                                        Judging::stretchUnseen,
                                        (j, v) -> j.withTolerances(
                                                v, j.leftoverAlone(), j.mismatchUnseen(), j.squareLimit())),
                                tolerance(
                                        "rule-leftover",
                                        "Leftover left alone",
                                        Judging::leftoverAlone,
                                        (j, v) -> j.withTolerances(
                                                j.stretchUnseen(), v, j.mismatchUnseen(), j.squareLimit()))),
                        Labelled.row(
                                tolerance(
                                        "rule-sides",
                                        "Side against side",
                                        Judging::mismatchUnseen,
                                        (j, v) -> j.withTolerances(
                                                j.stretchUnseen(), j.leftoverAlone(), v, j.squareLimit())),
                                number(
                                        "rule-square",
                                        "Out of square, %",
                                        100 * Judging.MOST_SQUARE_LIMIT,
                                        j -> 100 * j.squareLimit(),
                                        (j, v) -> j.withTolerances(
                                                j.stretchUnseen(), j.leftoverAlone(), j.mismatchUnseen(), v / 100))),
                        Labelled.wrapped("What counts for how much, an inch of each:", "faint"),
                        Labelled.row(
                                weight(
                                        "weight-wanted",
                                        "Off the wanted",
                                        Judging::offWanted,
                                        (j, v) -> j.withWeights(
                                                v, j.mismatch(), j.stretch(), j.oddSpace(), j.readings())),
                                weight(
                                        "weight-sides",
                                        "Sides unlike",
                                        Judging::mismatch,
                                        (j, v) -> j.withWeights(
                                                j.offWanted(), v, j.stretch(), j.oddSpace(), j.readings()))),
                        Labelled.row(
                                weight(
                                        "weight-stretch",
                                        "Stretch seen",
                                        Judging::stretch,
                                        (j, v) -> j.withWeights(
                                                j.offWanted(), j.mismatch(), v, j.oddSpace(), j.readings())),
                                weight(
                                        "weight-odd",
                                        "Odd space",
                                        Judging::oddSpace,
                                        (j, v) -> j.withWeights(
                                                j.offWanted(), j.mismatch(), j.stretch(), v, j.readings()))),
                        Labelled.row(
                                weight(
                                        "weight-readings",
                                        "Marks off the ticks",
                                        Judging::readings,
                                        (j, v) -> j.withWeights(
                                                j.offWanted(), j.mismatch(), j.stretch(), j.oddSpace(), v)),
                                number(
                                        "rule-point",
                                        "Lines to one point",
                                        Judging.MOST_IN_A_POINT,
                                        Judging::mostInAPoint,
                                        (j, v) -> j.withMostInAPoint((int) Math.round(v)))),
                        usual);
        Gradually.again(this);
    }

    private LengthField tolerance(
            String id, String name, ToDoubleFunction<Judging> get, BiFunction<Judging, Double, Judging> with) {
        LengthField field = new LengthField(
                        id,
                        name,
                        false,
                        () -> bench.job().tape(),
                        inches -> inches >= 0 && inches <= Judging.MOST_TOLERANCE
                                ? Optional.empty()
                                : Optional.of(
                                        Said.say(bench.words(), "field.from-zero", "most", Judging.MOST_TOLERANCE)),
                        inches -> edit(name, with, inches.getAsDouble()))
                .compact();
        shows.add(
                () -> field.show(OptionalDouble.of(get.applyAsDouble(bench.job().judging()))));
        return field;
    }

    private TypedField weight(
            String id, String name, ToDoubleFunction<Judging> get, BiFunction<Judging, Double, Judging> with) {
        return number(id, name, Judging.MOST_WEIGHT, get, with);
    }

    private TypedField number(
            String id,
            String name,
            double most,
            ToDoubleFunction<Judging> get,
            BiFunction<Judging, Double, Judging> with) {
        TypedField field = new TypedField(id, name, text -> {
            try {
                double value = Double.parseDouble(text.strip().replace(',', '.'));
                if (value >= 0 && value <= most) {
                    edit(name, with, value);
                    return Optional.empty();
                }
            } catch (NumberFormatException e) {
                // Told below, like a number out of range.
            }
            return Optional.of(Said.say("field.number-from-zero", "typed", text.strip(), "most", plain(most)));
        });
        shows.add(() -> field.show(plain(get.applyAsDouble(bench.job().judging()))));
        return field;
    }

    private static String plain(double value) {
        return String.format(Locale.ROOT, "%.4f", value).replaceAll("\\.?0+$", "");
    }

    private void edit(String name, BiFunction<Judging, Double, Judging> with, double value) {
        bench.edit(
                name.toLowerCase(Locale.ROOT) + " " + plain(value), job -> job.with(with.apply(job.judging(), value)));
    }

    void show() {
        shows.forEach(Runnable::run);
        usual.setDisable(bench.job().judging().equals(Judging.usual()));
    }
}
