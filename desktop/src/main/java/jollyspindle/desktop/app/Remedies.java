package jollyspindle.desktop.app;

import jollyspindle.core.division.Wish;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;

/** Does what a finding's button says. */
final class Remedies {

    private final Workbench bench;
    private final Consumer<Dimension> measure;

    /**
     * What carries out remedies.
     *
     * @param measure goes to where a length is typed
     */
    Remedies(Workbench bench, Consumer<Dimension> measure) {
        this.bench = bench;
        this.measure = measure;
    }

    void carryOut(Remedy remedy) {
        if (remedy instanceof Remedy.Measure measured) {
            measure.accept(measured.what());
        } else if (remedy instanceof Remedy.Divide divide) {
            bench.dividing().divide(divide.schools());
        } else if (remedy instanceof Remedy.FollowBest follow) {
            bench.edit("the best way", job -> job.editing(follow.group(), RunLayout::choosingNone));
        } else if (remedy instanceof Remedy.AllowRange range) {
            bench.edit(
                    "another range of repeats",
                    job -> job.editing(
                            range.group(),
                            run -> run.with(run.wish()
                                    .withRange(
                                            OptionalDouble.of(Math.max(Wish.SHORTEST_REPEAT, range.shortest())),
                                            OptionalDouble.of(Math.min(Wish.LONGEST_REPEAT, range.longest()))))));
        } else if (remedy instanceof Remedy.Redesign redesign) {
            bench.edit("motifs that fit", job -> job.editing(redesign.group(), l -> l.with(redesign.design())));
        } else if (remedy instanceof Remedy.RedesignArea redesign) {
            bench.areas().choose(redesign.area(), 1);
            bench.areas().design("motifs that fit", redesign.design());
        } else if (remedy instanceof Remedy.Untie untie) {
            bench.edit("counts by themselves", job -> job.editing(untie.group(), l -> l.with(Optional.empty())));
        } else if (remedy instanceof Remedy.Ease ease) {
            bench.editQuilt(
                    Said.say("step.ease-remedy", "how", Words.name(ease.to())),
                    quilt -> quilt.with(quilt.easing().with(ease.side(), ease.to())));
        } else if (remedy instanceof Remedy.SeeMarks see) {
            bench.selection().choose(see.run());
            bench.stageProperty().set(WorkStage.MARK);
        } else if (remedy instanceof Remedy.TakeFromShelf take) {
            bench.takeFromShelf(take.templateId());
        } else if (remedy instanceof Remedy.PutOnShelf put) {
            bench.putOnShelf(put.templateId());
        } else {
            bench.stageProperty().set(WorkStage.SHELF);
        }
    }
}
