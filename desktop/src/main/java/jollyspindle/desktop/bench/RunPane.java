package jollyspindle.desktop.bench;

import jollyspindle.core.division.CornerArc;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.MiddleOption;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.SchoolType;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.param.Params;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.form.ParamForm;
import jollyspindle.desktop.model.Scope;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
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

/** How the run that is looked at comes out: its school, and that school's own numbers. */
final class RunPane extends VBox {

    private static final int CHOICES = 40;

    private final Workbench bench;
    private final ComboBox<SchoolKind> kind = new ComboBox<>();
    private final VBox numbers = new VBox(6);
    private final Label result = Labelled.wrapped("", "reason");
    private final Label pinned = Labelled.wrapped("", "reason");
    private final Button free = new Button("Let all pins go");
    private boolean showing;

    /** What the fields were made for; made anew only when that changes, so that the keyboard's place isn't lost. */
    private Object madeFor;

    RunPane(Workbench bench) {
        super(6);
        this.bench = bench;
        Choices.prepare(
                kind, "run-school", "How this run comes out", List.of(SchoolKind.values()), DivisionWords::name);
        kind.setOnAction(e -> {
            if (!showing && kind.getValue() != null) {
                begin(kind.getValue());
            }
        });
        free.setId("run-unpin");
        result.setId("run-result");
        getChildren().addAll(Labelled.of("This run comes out", kind), numbers, result);
        Gradually.again(this);
    }

    // --- changing it -------------------------------------------------------------------------------------------

    private Optional<DividedRun> run() {
        RunId where = bench.whereProperty().get();
        return bench.group().map(g -> g.chosen().run(where));
    }

    /** Divides the run, and the one opposite if both are to be alike. */
    private Optional<String> divide(School school) {
        DividedRun run = run().orElseThrow();
        if (school.divide(run.run().length()).isEmpty()) {
            return Optional.of("The run of " + bench.words().length(run.run().length()) + " has no room for "
                    + new DivisionWords(bench.words()).school(school) + ", or they don't divide it.");
        }
        bench.divide(both(run.id(), school));
        return Optional.empty();
    }

    /** Begins with another school, near to how the run is divided now. */
    private void begin(SchoolKind wanted) {
        GroupPlan group = bench.group().orElseThrow();
        DividedRun run = run().orElseThrow();
        Optional<? extends School> school = SchoolTypes.of(wanted)
                .near(new SchoolType.Now(
                        run.run().length(),
                        group.set().wish().repeat(),
                        run.division(),
                        group.set().unit(),
                        group.set().wish().increment()));
        Optional<String> wrong = school.isPresent()
                ? divide(school.get())
                : Optional.of(
                        wanted == SchoolKind.BY_PIECING && group.set().unit().isEmpty()
                                ? "No pieced unit is measured for this border: type it under Measure."
                                : "This run doesn't come out so. Try another repeat.");
        wrong.ifPresent(this::refuse);
    }

    private void refuse(String why) {
        show();
        result.setText(why);
        result.getStyleClass().setAll("label", "refused");
    }

    // --- showing it --------------------------------------------------------------------------------------------

    void show() {
        Optional<DividedRun> run = run();
        setDisable(run.isEmpty());
        if (run.isEmpty()) {
            numbers.getChildren().clear();
            madeFor = null;
            result.setText("Once the quilt is measured, this run's division stands here.");
            return;
        }
        showing = true;
        School school = run.get().school();
        kind.setValue(school.kind());
        // A pin that is dragged changes what is said, not the fields.
        Object numbered = school instanceof ByHand hand ? hand.count() : school;
        Object wanted =
                List.of(run.get().id(), school.kind(), numbered, bench.job().tape(), bench.shelf());
        if (!wanted.equals(madeFor)) {
            madeFor = wanted;
            numbers.getChildren().setAll(fields(run.get(), school));
        }
        if (school instanceof ByHand hand) {
            showPins(hand);
        }
        result.getStyleClass().setAll("label", "reason");
        result.setText(said(run.get()));
        showing = false;
    }

    private String said(DividedRun run) {
        DivisionWords said = new DivisionWords(bench.words());
        Words words = bench.words();
        StringBuilder text =
                new StringBuilder(DivisionWords.explained(run.school().kind()));
        text.append(" On the centre: ")
                .append(DivisionWords.name(run.division().onCentre()))
                .append('.');
        double change = run.division().largestChange();
        if (change > 1.0 / 128) {
            text.append(" Repeats change by up to ")
                    .append(words.difference(change))
                    .append('.');
        }
        double rise = run.fit().map(f -> f.segment().height()).orElse(0.0);
        run.middle().ifPresent(m -> text.append(" In the middle ")
                .append(words.length(m.cell().width()))
                .append(": ")
                .append(said.space(m, rise))
                .append('.'));
        run.end().ifPresent(e -> text.append(" At each end ")
                .append(words.length(e.cell().width()))
                .append(": ")
                .append(said.space(e, rise))
                .append(corner(run, e.cell().width()))
                .append('.'));
        return text.toString();
    }

    /** What the corner could do with the end pieces. */
    private String corner(DividedRun run, double end) {
        GroupPlan group = bench.group().orElseThrow();
        if (run.id() instanceof RunId.BorderRun border
                && bench.job().quilt().border(border.border()).corners() == Corners.CORNERSTONES) {
            double side = bench.job().quilt().length(Dimension.depth(border.border(), border.where()));
            return "; " + new DivisionWords(bench.words()).cornerstone(side);
        }
        Optional<CornerArc> arc = run.id().side().isEmpty()
                ? Optional.empty()
                : group.set()
                        .template()
                        .flatMap(template -> CornerArc.of(
                                end,
                                template.stitchedRadius(bench.job().machine()),
                                run.run().room()));
        return arc.map(a -> "; one arc astride the mitre with its feet there "
                        + (a.overRoom() <= 0 ? "clears the edge by " : "would stand past the room by ")
                        + bench.words().difference(a.overRoom()))
                .orElse("");
    }

    private <S extends School> List<Node> fields(DividedRun run, S school) {
        SchoolType<S> type = SchoolTypes.of(school);
        Params<S> params = type.params();
        ParamForm<S> form = new ParamForm<>(bench, "run", "school." + type.code(), params, school, next -> divide(next)
                .ifPresent(this::refuse));
        // What a run has no room for is said at the field itself.
        params.wholes()
                .forEach(whole -> form.instead(
                        whole.code(),
                        name -> count(
                                "run-" + whole.code(), name, whole.of(school), n -> params.with(school, whole, n))));
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
            form.instead("count", name -> count("run-count", name, hand.count(), n -> new ByHand(n, Map.of())))
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
                        .map(this::divide)
                        .orElse(Optional.of("This run doesn't come out with such marks. Try another distance."))
                        .ifPresent(this::refuse));
        step.show(OptionalDouble.of(steps.step()));
        return step;
    }

    private void showPins(ByHand hand) {
        String pins = new TreeMap<>(hand.pins())
                .entrySet().stream()
                        .map(p ->
                                "valley " + p.getKey() + " at " + bench.words().length(p.getValue()))
                        .collect(Collectors.joining(", "));
        pinned.setText(
                pins.isEmpty()
                        ? "Drag a valley on the tape, or point at it there and press Enter."
                        : "Pinned: " + pins + ".");
        free.setDisable(hand.pins().isEmpty());
        free.setOnAction(e -> divide(new ByHand(hand.count(), Map.of())));
    }

    private Node count(String id, String name, int now, IntFunction<School> with) {
        TypedField field = new TypedField(id, name, text -> {
            try {
                return divide(with.apply(Integer.parseInt(text.strip())));
            } catch (NumberFormatException e) {
                return Optional.of("“" + text.strip() + "” isn't a whole number.");
            } catch (IllegalArgumentException e) {
                return Optional.of("A count lies between 1 and 400.");
            }
        });
        field.show("" + now);
        return field;
    }

    private Optional<String> lengthObjection(double inches) {
        return QuiltRules.isLength(inches)
                ? Optional.empty()
                : Optional.of("At least " + QuiltRules.SMALLEST + " and at most "
                        + bench.words().exact(QuiltRules.LONGEST) + ".");
    }

    private Node length(String id, String name, double now, DoubleFunction<School> with) {
        double length = run().orElseThrow().run().length();
        LengthField field = new LengthField(
                        id,
                        name,
                        false,
                        () -> bench.job().tape(),
                        inches -> lengthObjection(inches)
                                .or(() -> with.apply(inches).divide(length).isPresent()
                                        ? Optional.empty()
                                        : Optional.of("So many of that length have no room on "
                                                + bench.words().length(length) + ".")),
                        inches -> divide(with.apply(inches.getAsDouble())).ifPresent(this::refuse))
                .compact();
        field.show(OptionalDouble.of(now));
        return field;
    }

    private <T> Node choice(
            String id, String name, List<T> values, T now, Function<T, String> said, Function<T, School> with) {
        ComboBox<T> box = new ComboBox<>();
        Choices.prepare(box, id, name, values, said);
        box.setValue(now);
        box.setOnAction(e -> {
            if (!showing && box.getValue() != null) {
                divide(with.apply(box.getValue())).ifPresent(this::refuse);
            }
        });
        return Labelled.of(name, box);
    }

    private Node ways(List<? extends School> all, School now) {
        List<School> schools =
                all.stream().limit(CHOICES).map(School.class::cast).toList();
        DivisionWords said = new DivisionWords(bench.words());
        double length = run().orElseThrow().run().length();
        return choice(
                "run-way",
                "Repeats",
                schools,
                now,
                s -> s.divide(length)
                                .map(d -> d.count() + " of " + bench.words().length(d.repeat()) + ": ")
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
                        ? round.repeats() + " about the centre"
                        : s instanceof Spread.Chosen chosen ? "repeats " + numbers(chosen) : "all repeats",
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
            return divide(new Fudged(fudged.repeat(), fudged.count(), new Spread.Chosen(numbers)));
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
        List<MiddleOption> options = new ArrayList<>(MiddleOption.of(group.set(), run, edges));
        DivisionWords said = new DivisionWords(bench.words());
        double rise = run.fit().map(f -> f.segment().height()).orElse(0.0);
        ComboBox<MiddleOption> box = new ComboBox<>();
        Choices.prepare(
                box,
                "run-middle",
                "What stands on the odd space",
                options,
                o -> said.space(o.figure(), rise)
                        + (o.overRoom() > 1e-9
                                ? ", " + bench.words().difference(o.overRoom()) + " past the room"
                                : ""));
        box.setValue(options.stream()
                .filter(o -> o.filling().equals(school.filling()))
                .findFirst()
                .orElse(null));
        box.setOnAction(e -> {
            if (!showing && box.getValue() != null) {
                fill(school, box.getValue().filling());
            }
        });
        return Labelled.of("In the middle", box);
    }

    /** Fills the middle; a template from the shelf comes into the job with it. */
    private void fill(CornersIn school, Filling filling) {
        School next = new CornersIn(school.repeat(), school.each(), filling);
        if (filling instanceof Filling.LargerArc arc
                && bench.job().template(arc.templateId()).isEmpty()) {
            Optional<Template> copy = bench.shelf().template(arc.templateId());
            RunId id = run().orElseThrow().id();
            copy.ifPresent(template ->
                    bench.edit(template.name() + " in the middle", (QuiltJob job) -> job.withTemplate(template)
                            .choosing(both(id, next))));
            return;
        }
        divide(next).ifPresent(this::refuse);
    }

    /** A run's school, and the same for the run opposite if both are to be alike, or for all that are picked. */
    private Map<RunId, School> both(RunId id, School school) {
        Map<RunId, School> schools = new TreeMap<>(Map.of(id, school));
        Scope scope = bench.scopeProperty().get();
        if (scope != Scope.ONE) {
            bench.group().orElseThrow().set().runs().stream()
                    .filter(r -> scope == Scope.PICKED
                            ? bench.inScope(r.id())
                            : r.id().side().isPresent()
                                    && r.id().side().equals(id.side().map(Side::opposite)))
                    .filter(r -> school.divide(r.length()).isPresent())
                    .forEach(r -> schools.put(r.id(), school));
        }
        return schools;
    }
}
