package jollyspindle.command;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.DiagnosticWords;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.SquareWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.planjson.PlanJson;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** {@code spindle plan}. */
@Command(
        name = "plan",
        description = "Prints a job's plan.",
        mixinStandardHelpOptions = true,
        footer = "%nThe names in the JSON are described in docs/plan-format.md.")
final class PlanCommand implements Callable<Integer> {

    @Mixin
    private JobArgument job;

    @Option(names = "--json", description = "Print the whole plan as JSON: inches and degrees.")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws FileTrouble {
        WorkPlan plan = job.plan();
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.print(PlanJson.format(plan));
        } else {
            summary(plan, out);
        }
        out.flush();
        return JobArgument.tell(plan, spec.commandLine().getErr());
    }

    private static void summary(WorkPlan plan, PrintWriter out) {
        Words words = new Words(plan.job().tape());
        out.println(plan.job().name());
        plan.squareness()
                .ifPresent(s -> out.println(new SquareWords(words)
                        .text(s, plan.job().quilt(), plan.job().judging().squareLimit())));
        DivisionWords said = new DivisionWords(words);
        for (GroupPlan group : plan.groups()) {
            out.println(Words.name(group.id(), plan.job().quilt()) + ": "
                    + said.kind(group.chosen()).toLowerCase(Locale.ROOT) + ", " + said.counts(group.chosen()) + "; "
                    + said.reasons(group.chosen()));
            Design design = plan.job().layout(group.id()).design();
            MotifWords motifs = new MotifWords(words);
            out.println(Said.say(
                    "plan.stitched",
                    "motifs",
                    design.layers().stream().map(l -> motifs.text(l.motif())).collect(Collectors.joining("; then ")),
                    "corners",
                    Optional.of(design.corner().kind())
                            .filter(kind -> kind != CornerDesign.Kind.PLAIN)
                            .map(MotifWords::name)));
        }
        for (RunPlan run : plan.runs()) {
            out.printf(
                    Locale.ROOT,
                    "%-18s %s; repeats of %s%s%n",
                    Words.name(run.id(), plan.job().quilt()) + ":",
                    said.school(run.divided().school()),
                    words.length(run.division().repeat()),
                    run.fit()
                            .map(fit -> Said.say(
                                    words,
                                    "plan.rise",
                                    "rise",
                                    fit.segment().height(),
                                    "register",
                                    words.register(fit.register())))
                            .orElse(""));
        }
        areas(plan, words, out);
        if (!plan.runs().isEmpty()) {
            out.println(Said.say(
                    "plan.in-all",
                    "lines",
                    Words.count(plan.repeats(), Words.Thing.LINE),
                    "placements",
                    Words.count(plan.placements(), Words.Thing.PLACEMENT),
                    "marks",
                    Words.count(plan.chalkMarks(), Words.Thing.MARK)));
        }
    }

    /** What is stitched in the middle, letter by letter. */
    private static void areas(WorkPlan plan, Words words, PrintWriter out) {
        AreaWords said = new AreaWords(words);
        for (AreaPlan area : plan.areas()) {
            AreaDesign design = plan.job().design(area.id());
            for (AreaPlan.Sum sum : area.sums()) {
                AreaDesign.Part part = design.part(sum.letter());
                if (!part.layers().isEmpty()) {
                    out.println(Said.say(
                            "plan.area",
                            "area",
                            AreaWords.name(area.id(), plan.job().quilt()),
                            "several",
                            design.parts().size() > 1,
                            "letter",
                            String.valueOf(sum.letter()),
                            "motifs",
                            part.layers().stream()
                                    .map(l -> said.text(l.motif()))
                                    .collect(Collectors.joining("; then ")),
                            "sums",
                            AreaWords.text(sum, area.pieces().size() > 1)));
                    how(plan, area, sum.letter(), words, out);
                }
            }
        }
    }

    /** What the pieces with a letter are stitched with, what is marked and drawn there, and what there is to know. */
    private static void how(WorkPlan plan, AreaPlan area, char letter, Words words, PrintWriter out) {
        Set<Integer> pieces = area.pieces().stream()
                .filter(p -> p.letter() == letter)
                .map(AreaPlan.Piece::number)
                .collect(Collectors.toSet());
        Predicate<PieceId> own = piece -> area.pieces().size() == 1 || pieces.contains(piece.number());
        String templates = area.placements().stream()
                .filter(p -> own.test(p.of().id().piece()))
                .map(p -> p.tool().templateId())
                .distinct()
                .flatMap(id -> plan.job().template(id).stream())
                .map(Template::name)
                .collect(Collectors.joining(", "));
        long marks = area.marks().stream()
                .filter(m -> m.by() == Mark.MarkedBy.CHALK && own.test(m.id().piece()))
                .count();
        out.println(Said.say(
                "plan.area-how",
                "templates",
                templates,
                "byHand",
                templates.isEmpty(),
                "marks",
                Words.count(marks, Words.Thing.MARK)));
        AreaWords said = new AreaWords(words);
        String drawn = said.toDraw(area, letter);
        if (!drawn.isEmpty()) {
            out.println("  " + drawn);
        }
        area.rays(letter).forEach(ray -> out.println("  " + Words.capital(said.text(ray))));
        area.diagnosed().stream()
                // What is to be drawn is told already.
                .filter(d -> d.letter() == letter && !(d.what() instanceof AreaDiagnostic.ShellGrid))
                .forEach(d -> out.println("  " + new DiagnosticWords(words).text(d.what())));
    }
}
