package jollyspindle.desktop.bench;

import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.CornerType;
import jollyspindle.core.motif.CornerTypes;
import jollyspindle.core.motif.Design;
import jollyspindle.core.param.Param;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.CheckField;
import jollyspindle.desktop.control.ChoiceField;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;

/** The fields for what stands in the corners of the border that is looked at. */
final class CornerFields {

    private final Workbench bench;
    private final Runnable again;
    private boolean alone;

    /**
     * Fields for corners.
     *
     * @param again shows them anew
     */
    CornerFields(Workbench bench, Runnable again) {
        this.bench = bench;
        this.again = again;
    }

    private Design design() {
        return bench.job().layout(bench.groupId()).design();
    }

    /** Whether the one corner at the left end of the side that is looked at is meant, and not all. */
    private boolean isOwn() {
        Optional<Side> side = bench.selection().whereProperty().get().side();
        return alone || side.filter(design().corners()::containsKey).isPresent();
    }

    /** The fields, each made when it is asked for. */
    List<Supplier<? extends Node>> parts() {
        boolean own = isOwn();
        CornerDesign corner = own
                ? design().corner(bench.selection().whereProperty().get().side().orElseThrow())
                : design().corner();
        CornerType type = CornerTypes.of(corner.kind());
        List<Supplier<? extends Node>> parts = new ArrayList<>();
        parts.add(() -> single(own));
        MotifFields fields = new MotifFields(bench, motif -> {});
        parts.add(() -> fields.choice(
                "corner-kind",
                own ? "In this corner" : "In every corner",
                CornerTypes.ALL.stream().map(CornerType::kind).toList(),
                corner.kind(),
                MotifWords::name,
                kind -> take(corner.with(kind))));
        ParamForm<CornerDesign> form =
                new ParamForm<>(bench, "corner", "corner." + type.code(), CornerDesign.PARAMS, corner, this::take);
        form.only(type.chosen().stream().map(Param::code).toList());
        form.instead(
                "fromOuter",
                name -> fields.choice(
                        "corner-about",
                        name,
                        List.of(false, true),
                        corner.fromOuter(),
                        outer -> outer ? "the outer corner" : "the inner corner",
                        outer -> take(corner.withFromOuter(outer))));
        parts.addAll(form.rows());
        if (corner.kind() != CornerDesign.Kind.PLAIN) {
            parts.add(() -> template(corner, type));
            parts.add(() -> fields.choice(
                    "corner-ask",
                    "Asks the runs for",
                    List.of(CornerAsk.values()),
                    corner.ask(),
                    DivisionWords::name,
                    ask -> take(corner.with(ask))));
            parts.add(() -> Labelled.wrapped(said(), "reason"));
        }
        return parts;
    }

    private Node single(boolean own) {
        CheckField single = new CheckField("corner-alone", "Only the one at this side's left end", own, only -> {
            alone = only;
            again.run();
        });
        single.setDisable(own && !alone);
        return single;
    }

    /** What the corners do to the runs. */
    private String said() {
        return bench.run()
                .map(run -> {
                    double left = run.division().cornerLeft();
                    return left > 0
                            ? Said.say(bench.words(), "corner.feet", "left", left)
                            : "The runs are divided from corner to corner.";
                })
                .orElse("");
    }

    private Node template(CornerDesign corner, CornerType type) {
        List<TemplateChoice> choices = TemplateChoice.of(bench.job(), corner.templateId(), bench.shelf(), type.edge());
        ChoiceField<TemplateChoice> box = new ChoiceField<>(
                "corner-template",
                "The template for the corners",
                choices,
                choices.stream()
                        .filter(c -> c.is(corner.templateId(), corner.guideId()))
                        .findFirst()
                        .orElse(null),
                TemplateChoice::name,
                chosen -> take(corner.withTemplate(Optional.of(chosen.template().id()), chosen.guideId())));
        return Labelled.of("Template", box.prompting("the run's own"));
    }

    private void take(CornerDesign corner) {
        boolean own = isOwn();
        Optional<Side> side = bench.selection().whereProperty().get().side();
        bench.design(
                (own ? "corner: " : "corners: ") + Words.decapital(MotifWords.name(corner.kind())),
                l -> l.with(
                        own
                                ? l.design().withCorner(side.orElseThrow(), corner)
                                : l.design().withCorner(corner)));
    }
}
