package jollyspindle.desktop.bench;

import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.MiddleOption;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolType;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.desktop.control.BackgroundQueue;
import jollyspindle.desktop.control.ChoiceField;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** The fields for how a run is divided, school by school. */
final class SchoolFields {

    private static final int CHOICES = 40;

    private final Workbench bench;
    private final RunPane pane;
    private final Label pinned;
    private final Button free;
    private final BackgroundQueue work = new BackgroundQueue("middles");

    /**
     * Fields on a pane.
     *
     * @param pinned says which valleys are pinned
     * @param free lets them all go
     */
    SchoolFields(Workbench bench, RunPane pane, Label pinned, Button free) {
        this.bench = bench;
        this.pane = pane;
        this.pinned = pinned;
        this.free = free;
    }

    /** The fields for a school that a run is divided by. */
    <S extends School> List<Node> of(DividedRun run, S school) {
        work.letGo();
        SchoolType<S> type = SchoolTypes.of(school);
        Params<S> params = type.params();
        ParamForm<S> form =
                new ParamForm<>(bench, "run", "school." + type.code(), params, school, next -> pane.divide(next)
                        .ifPresent(pane::refuse));
        // What a run has no room for is said at the field itself.
        params.wholes()
                .forEach(whole -> form.instead(
                        whole.code(), name -> count(whole, name, school, n -> params.with(school, whole, n))));
        params.lengths()
                .forEach(length -> form.instead(
                        length.code(),
                        name -> length(
                                "run-" + length.code(),
                                name,
                                length.of(school),
                                inches -> params.with(school, length, inches))));
        odd(form, run, school);
        return form.rows().stream().map(Supplier::get).toList();
    }

    /** Fields of some schools that say more than the plain ones. */
    private void odd(ParamForm<?> form, DividedRun run, School school) {
        double length = run.run().length();
        if (school instanceof CornersIn in) {
            form.instead("middle", name -> middle(run, in));
        } else if (school instanceof Fudged fudged) {
            form.instead("spread", name -> spread(fudged));
        } else if (school instanceof ByPiecing piecing) {
            form.only(List.of("units")).instead("units", name -> ways(ByPiecing.all(length, piecing.unit()), piecing));
        } else if (school instanceof ByIncrements steps) {
            form.instead("step", name -> step(name, run, steps))
                    .instead("steps", name -> ways(ByIncrements.all(length, steps.step()), steps));
        } else if (school instanceof ByHand hand) {
            // With another count, no pin stands where it did.
            form.instead("count", name -> count(ByHand.COUNT, name, hand, n -> new ByHand(n, Map.of())))
                    .instead("pins", name -> new VBox(6, pinned, free));
        }
    }

    private Node step(String name, DividedRun run, ByIncrements steps) {
        GroupPlan group = bench.group().orElseThrow();
        LengthField step = new LengthField(
                "run-step",
                name,
                false,
                () -> bench.job().tape(),
                inches -> QuiltRules.isStep(inches)
                        ? Optional.empty()
                        : Optional.of(BordersPane.unitRange(bench.words())),
                inches -> ByIncrements.TYPE
                        .near(new SchoolType.Now(
                                run.run().length(),
                                group.set().wish().repeat(),
                                run.division(),
                                group.set().unit(),
                                inches.getAsDouble()))
                        .map(pane::divide)
                        .orElse(Optional.of("This run doesn't come out with such marks. Try another distance."))
                        .ifPresent(pane::refuse));
        step.show(OptionalDouble.of(steps.step()));
        return step;
    }

    private <S extends School> Node count(Param.Whole<S> param, String name, S now, IntFunction<School> with) {
        TypedField field = new TypedField("run-" + param.code(), name, text -> {
            String typed = text.strip();
            try {
                int number = Integer.parseInt(typed);
                return number >= param.least() && number <= param.most()
                        ? pane.divide(with.apply(number))
                        : Optional.of(
                                Said.say("field.whole", "typed", typed, "least", (int) param.least(), "most", (int)
                                        param.most()));
            } catch (NumberFormatException e) {
                return Optional.of(Said.say("field.not-whole", "typed", typed));
            }
        });
        field.show("" + param.of(now));
        return field;
    }

    private Optional<String> lengthObjection(double inches) {
        return QuiltRules.isLength(inches)
                ? Optional.empty()
                : Optional.of(Said.say(
                        bench.words(),
                        "field.at-least",
                        "least",
                        String.valueOf(QuiltRules.SMALLEST),
                        "most",
                        QuiltRules.LONGEST));
    }

    private Node length(String id, String name, double now, DoubleFunction<School> with) {
        double length = pane.run().orElseThrow().run().length();
        LengthField field = new LengthField(
                        id,
                        name,
                        false,
                        () -> bench.job().tape(),
                        inches -> lengthObjection(inches)
                                .or(() -> with.apply(inches).divide(length).isPresent()
                                        ? Optional.empty()
                                        : Optional.of(Said.say(bench.words(), "field.no-room-on", "length", length))),
                        inches -> pane.divide(with.apply(inches.getAsDouble())).ifPresent(pane::refuse))
                .compact();
        field.show(OptionalDouble.of(now));
        return field;
    }

    private <T> Node choice(
            String id, String name, List<T> values, T now, Function<T, String> said, Function<T, School> with) {
        return Labelled.of(name, new ChoiceField<>(id, name, values, now, said, value -> pane.divide(with.apply(value))
                .ifPresent(pane::refuse)));
    }

    private Node ways(List<? extends School> all, School now) {
        List<School> schools =
                all.stream().limit(CHOICES).map(School.class::cast).toList();
        DivisionWords said = new DivisionWords(bench.words());
        double length = pane.run().orElseThrow().run().length();
        return choice(
                "run-way",
                "Repeats",
                schools,
                now,
                s -> s.divide(length)
                                .map(d -> Said.say(
                                        bench.words(), "run.repeats-of", "count", d.count(), "repeat", d.repeat()))
                                .orElse("")
                        + said.school(s).replace("repeats of ", ""),
                s -> s);
    }

    private Node spread(Fudged fudged) {
        List<Spread> spreads = new ArrayList<>(List.of(new Spread.All()));
        for (int taking = 2 - fudged.count() % 2; taking <= Math.min(12, fudged.count() - 2); taking += 2) {
            spreads.add(new Spread.RoundCentre(taking));
        }
        if (!spreads.contains(fudged.spread())) {
            spreads.add(fudged.spread());
        }
        Node over = choice(
                "run-spread",
                "The leftover goes into",
                spreads,
                fudged.spread(),
                s -> s instanceof Spread.RoundCentre round
                        ? Said.say("run.about-centre", "repeats", round.repeats())
                        : s instanceof Spread.Chosen chosen
                                ? Said.say("run.these", "numbers", numbers(chosen))
                                : "all repeats",
                s -> new Fudged(fudged.repeat(), fudged.count(), s));
        TypedField chosen = new TypedField("run-chosen", "or these repeats", text -> {
            Set<Integer> numbers = new TreeSet<>();
            try {
                for (String number : text.split("[,; ]+")) {
                    numbers.add(Integer.parseInt(number.strip()));
                }
            } catch (NumberFormatException e) {
                return Optional.of("Type their numbers from the left end, such as 3, 4, 9.");
            }
            return pane.divide(new Fudged(fudged.repeat(), fudged.count(), new Spread.Chosen(numbers)));
        });
        chosen.show(fudged.spread() instanceof Spread.Chosen c ? numbers(c) : "");
        return Labelled.row(over, chosen);
    }

    private static String numbers(Spread.Chosen chosen) {
        return new TreeSet<>(chosen.numbers()).stream().map(n -> "" + n).collect(Collectors.joining(", "));
    }

    /** What can stand in the middle, from the shelf and the job's own templates. */
    private Node middle(DividedRun run, CornersIn school) {
        GroupPlan group = bench.group().orElseThrow();
        List<ArcTemplate> edges = Stream.concat(
                        bench.job().templates().stream(),
                        bench.shelf().templates().stream()
                                .filter(t -> !t.retired())
                                .filter(t -> bench.job().template(t.id()).isEmpty()))
                .flatMap(t -> t.arcs().stream())
                .toList();
        DivisionWords said = new DivisionWords(bench.words());
        double rise = run.fit().map(f -> f.segment().height()).orElse(0.0);
        ComboBox<MiddleOption> box = new ComboBox<>();
        Choices.prepare(
                box,
                "run-middle",
                "What stands on the odd space",
                List.<MiddleOption>of(),
                o -> said.space(o.figure(), rise)
                        + (o.overRoom() > Tolerances.ROUNDING
                                ? Said.say(bench.words(), "run.past-room", "over", o.overRoom())
                                : ""));
        // Each is the run divided once more.
        work.ask(() -> MiddleOption.of(group.set(), run, edges), options -> {
            box.getItems().setAll(options);
            box.setValue(options.stream()
                    .filter(o -> o.filling().equals(school.filling()))
                    .findFirst()
                    .orElse(null));
            box.setOnAction(e -> {
                if (box.getValue() != null) {
                    fill(school, box.getValue().filling());
                }
            });
        });
        return Labelled.of("In the middle", box);
    }

    /** Fills the middle; a template from the shelf comes into the job with it. */
    private void fill(CornersIn school, Filling filling) {
        School next = new CornersIn(school.repeat(), school.each(), filling);
        if (filling instanceof Filling.LargerArc arc
                && bench.job().template(arc.templateId()).isEmpty()) {
            Optional<Template> copy = bench.shelf().template(arc.templateId());
            RunId id = pane.run().orElseThrow().id();
            copy.ifPresent(template -> bench.edit(
                    Said.say("step.middle", "template", template.name()),
                    (QuiltJob job) -> job.withTemplate(template).choosing(pane.both(id, next))));
            return;
        }
        pane.divide(next).ifPresent(pane::refuse);
    }
}
