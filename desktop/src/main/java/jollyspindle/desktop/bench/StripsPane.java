package jollyspindle.desktop.bench;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.words.AreaWords;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.LengthField;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Sashing and other strips, and the areas of the body. */
final class StripsPane extends VBox {

    private final Workbench bench;
    private final ComboBox<Integer> chosen = new ComboBox<>();
    private final VBox one = new VBox(4);
    private final VBox areas = new VBox(4);
    private final Button remove = new Button("Take it out");
    private int number = 1;
    private Object shownStrip;
    private Object shownAreas;
    private boolean showing;

    StripsPane(Workbench bench) {
        super(6);
        this.bench = bench;
        Choices.prepare(
                chosen,
                "strip-choice",
                "Which strip",
                List.of(),
                n -> n <= bench.job().quilt().strips().size()
                        ? bench.job().quilt().strips().get(n - 1).name()
                        : "");
        chosen.setPromptText("no strip yet");
        chosen.setOnAction(e -> {
            if (!showing && chosen.getValue() != null) {
                number = chosen.getValue();
                bench.choose(RunId.strip(number));
                show();
            }
        });
        Button across = new Button("+ across");
        across.setId("strip-add-across");
        across.setOnAction(e -> add(true));
        Button down = new Button("+ down");
        down.setId("strip-add-down");
        down.setOnAction(e -> add(false));
        remove.setId("strip-remove");
        remove.setOnAction(e -> {
            int gone = number;
            bench.edit("strip " + gone + " taken out", job -> job.withoutStrip(gone));
        });
        getChildren()
                .addAll(
                        Labelled.heading("Strips"),
                        Labelled.wrapped(
                                "Sashing, and any other strip that is quilted like a border: it is divided by itself.",
                                "faint"),
                        new HBox(8, across, down, remove),
                        Labelled.of("Strip", chosen),
                        one,
                        Labelled.heading("Areas of the body"),
                        areas);
    }

    /** A strip through the middle of the body, across or down it. */
    private void add(boolean across) {
        Quilt quilt = bench.job().quilt();
        double wide = quilt.get(Dimension.BODY_TOP).orElse(60);
        double high = quilt.get(Dimension.BODY_LEFT).orElse(80);
        double width = 2;
        int next = quilt.strips().size() + 1;
        Strip strip = across
                ? new Strip(
                        "Strip " + next,
                        Strip.Kind.SASHING,
                        new Point(-wide / 2, -width / 2),
                        0,
                        wide,
                        width,
                        OptionalDouble.empty())
                : new Strip(
                        "Strip " + next,
                        Strip.Kind.SASHING,
                        new Point(-width / 2, high / 2),
                        -Math.PI / 2,
                        high,
                        width,
                        OptionalDouble.empty());
        number = next;
        bench.editQuilt("strip " + next + " added", q -> {
            List<Strip> strips = new ArrayList<>(q.strips());
            strips.add(strip);
            return q.withStrips(strips);
        });
        if (bench.plan().shape().isPresent()) {
            bench.choose(RunId.strip(next));
        }
    }

    private void edit(String name, UnaryOperator<Strip> change) {
        int edited = number;
        bench.editQuilt(bench.job().quilt().strips().get(edited - 1).name() + " " + name, quilt -> {
            List<Strip> strips = new ArrayList<>(quilt.strips());
            strips.set(edited - 1, change.apply(strips.get(edited - 1)));
            return quilt.withStrips(strips);
        });
    }

    void show() {
        showing = true;
        Quilt quilt = bench.job().quilt();
        number = Math.max(1, Math.min(number, quilt.strips().size()));
        List<Integer> numbers = new ArrayList<>();
        for (int n = 1; n <= quilt.strips().size(); n++) {
            numbers.add(n);
        }
        chosen.setItems(FXCollections.observableArrayList(numbers));
        chosen.setValue(numbers.isEmpty() ? null : (Integer) number);
        remove.setDisable(numbers.isEmpty());
        Object wanted = numbers.isEmpty()
                ? "none"
                : List.of(number, quilt.strips().get(number - 1), bench.job().tape());
        if (!wanted.equals(shownStrip)) {
            shownStrip = wanted;
            one.getChildren().clear();
            if (!numbers.isEmpty()) {
                build(quilt.strips().get(number - 1));
            }
        }
        Object wantedAreas = List.of(quilt.areas(), bench.job().tape());
        if (!wantedAreas.equals(shownAreas)) {
            shownAreas = wantedAreas;
            buildAreas(quilt);
        }
        showing = false;
    }

    private void build(Strip strip) {
        TypedField name = new TypedField("strip-name", "Name", text -> {
            String typed = text.strip();
            if (typed.isEmpty() || typed.length() > Strip.LONGEST_NAME) {
                return Optional.of("A name has 1 to " + Strip.LONGEST_NAME + " characters.");
            }
            edit("named “" + typed + "”", s -> s.withName(typed));
            return Optional.empty();
        });
        name.show(strip.name());
        ComboBox<Strip.Kind> kind = new ComboBox<>();
        Choices.prepare(
                kind,
                "strip-kind",
                "What strip it is",
                List.of(Strip.Kind.values()),
                k -> k == Strip.Kind.SASHING ? "sashing" : "a free strip");
        kind.setValue(strip.kind());
        kind.setOnAction(e -> edit(
                kind.getValue() == Strip.Kind.SASHING ? "is sashing" : "is a free strip",
                s -> s.with(kind.getValue())));
        TypedField angle = new TypedField("strip-angle", "Direction, degrees", text -> {
            try {
                double degrees =
                        Double.parseDouble(text.strip().replace(',', '.').replace('−', '-'));
                if (Math.abs(degrees) <= 360) {
                    edit("runs at " + text.strip() + "°", s -> s.withAngle(Math.toRadians(degrees)));
                    return Optional.empty();
                }
            } catch (NumberFormatException e) {
                // Told below, like a number out of range.
            }
            return Optional.of("Type a number from -360 to 360: 0 runs to the right, 90 upwards, -90 down.");
        });
        angle.show(plain(Math.toDegrees(strip.angle())));
        one.getChildren()
                .addAll(
                        Labelled.row(name, Labelled.of("Kind", kind)),
                        Labelled.row(
                                length(
                                        "strip-length",
                                        "Length",
                                        strip.length(),
                                        true,
                                        (s, v) -> s.withSize(v, s.width())),
                                length(
                                        "strip-width",
                                        "Width",
                                        strip.width(),
                                        true,
                                        (s, v) -> s.withSize(s.length(), v))),
                        Labelled.row(
                                length(
                                        "strip-right",
                                        "Start right of middle",
                                        strip.start().x(),
                                        false,
                                        (s, v) -> s.withStart(
                                                new Point(v, s.start().y()))),
                                length(
                                        "strip-up",
                                        "Start above middle",
                                        strip.start().y(),
                                        false,
                                        (s, v) ->
                                                s.withStart(new Point(s.start().x(), v)))),
                        Labelled.row(angle, unit(strip)));
    }

    private LengthField unit(Strip strip) {
        LengthField field = new LengthField(
                        "strip-unit",
                        "Pieced unit",
                        true,
                        () -> bench.job().tape(),
                        this::overZero,
                        inches -> edit("pieced", s -> s.withUnit(inches)))
                .compact();
        field.show(strip.unit());
        return field;
    }

    private interface Change {
        Strip apply(Strip strip, double inches);
    }

    private LengthField length(String id, String name, double now, boolean overZero, Change change) {
        DoubleFunction<Optional<String>> check = overZero
                ? this::overZero
                : inches -> Math.abs(inches) <= QuiltRules.LONGEST
                        ? Optional.empty()
                        : Optional.of("At most " + bench.words().exact(QuiltRules.LONGEST) + " either way.");
        LengthField field = new LengthField(
                        id,
                        name,
                        false,
                        () -> bench.job().tape(),
                        check,
                        inches -> edit(
                                name.toLowerCase(Locale.ROOT) + " "
                                        + bench.words().exact(inches.getAsDouble()),
                                s -> change.apply(s, inches.getAsDouble())))
                .compact();
        field.show(OptionalDouble.of(now));
        return field;
    }

    private Optional<String> overZero(double inches) {
        return inches > 0 && inches <= QuiltRules.LONGEST
                ? Optional.empty()
                : Optional.of(
                        "It must be more than 0 and at most " + bench.words().exact(QuiltRules.LONGEST) + ".");
    }

    private static String plain(double value) {
        return String.format(Locale.ROOT, "%.3f", value).replaceAll("\\.?0+$", "");
    }

    // --- areas -------------------------------------------------------------------------------------------------

    private void buildAreas(Quilt quilt) {
        areas.getChildren().clear();
        Optional<Area.Blocks> blocks = find(quilt, Area.Blocks.class);
        Optional<Area.Medallion> medallion = find(quilt, Area.Medallion.class);
        areas.getChildren()
                .addAll(
                        Labelled.row(
                                count(
                                        "area-columns",
                                        "Blocks across",
                                        blocks.map(Area.Blocks::columns),
                                        (b, n) -> new Area.Blocks(n, b.rows(), b.width(), b.height(), b.gap())),
                                count(
                                        "area-rows",
                                        "Blocks down",
                                        blocks.map(Area.Blocks::rows),
                                        (b, n) -> new Area.Blocks(b.columns(), n, b.width(), b.height(), b.gap()))),
                        Labelled.row(
                                block(
                                        "area-width",
                                        "Block, wide",
                                        blocks.map(Area.Blocks::width),
                                        (b, v) -> new Area.Blocks(b.columns(), b.rows(), v, b.height(), b.gap())),
                                block(
                                        "area-height",
                                        "Block, high",
                                        blocks.map(Area.Blocks::height),
                                        (b, v) -> new Area.Blocks(b.columns(), b.rows(), b.width(), v, b.gap()))),
                        Labelled.row(
                                block(
                                        "area-gap",
                                        "Sashing between",
                                        blocks.map(Area.Blocks::gap),
                                        (b, v) -> new Area.Blocks(b.columns(), b.rows(), b.width(), b.height(), v)),
                                medallion(medallion.map(Area.Medallion::diameter))));
        Button none = new Button("No areas");
        none.setId("area-none");
        none.setDisable(quilt.areas().isEmpty());
        none.setOnAction(e -> bench.edit("no areas", job -> {
            QuiltJob fewer = job;
            while (!fewer.quilt().areas().isEmpty()) {
                fewer = fewer.withoutArea(1);
            }
            return fewer;
        }));
        areas.getChildren().add(none);
        for (int i = 0; i < quilt.areas().size(); i++) {
            if (quilt.areas().get(i) instanceof Area.Applique applique) {
                areas.getChildren().addAll(applique(i + 1, applique));
            }
        }
        Button add = new Button("Add an appliqué");
        add.setId("applique-add");
        add.setTooltip(new Tooltip("Nothing is stitched on an appliqué, nor so near to it as its clearance"));
        add.setOnAction(e -> bench.editQuilt("an appliqué", q -> {
            List<Area> all = new ArrayList<>(q.areas());
            all.add(new Area.Applique(new Area.Ellipse(Point.ORIGIN, 6, 4, 0), 0.25));
            return q.withAreas(all);
        }));
        areas.getChildren().add(add);
    }

    // --- appliqués ---------------------------------------------------------------------------------------------

    /** What can be typed of an appliqué; its corners, where it has such, come from the file. */
    private List<Node> applique(int number, Area.Applique applique) {
        List<Node> nodes = new ArrayList<>();
        nodes.add(
                Labelled.heading(AreaWords.name(new AreaId(number), bench.job().quilt())));
        LengthField clearance = signed(
                "applique-clearance-" + number,
                "Clearance",
                applique.clearance(),
                0,
                12,
                v -> replace(number, "clearance", new Area.Applique(applique.outline(), v)));
        if (applique.outline() instanceof Area.Ellipse e) {
            double far = QuiltRules.LONGEST;
            Point c = e.centre();
            nodes.add(Labelled.row(
                    signed(
                            "applique-width-" + number,
                            "Wide",
                            e.width(),
                            0.125,
                            far,
                            v -> replace(
                                    number,
                                    "width",
                                    ellipse(applique, new Area.Ellipse(c, v, e.height(), e.turned())))),
                    signed(
                            "applique-height-" + number,
                            "High",
                            e.height(),
                            0.125,
                            far,
                            v -> replace(
                                    number,
                                    "height",
                                    ellipse(applique, new Area.Ellipse(c, e.width(), v, e.turned()))))));
            nodes.add(Labelled.row(
                    signed(
                            "applique-x-" + number,
                            "Right of the middle",
                            c.x(),
                            -far,
                            far,
                            v -> replace(
                                    number,
                                    "place",
                                    ellipse(
                                            applique,
                                            new Area.Ellipse(new Point(v, c.y()), e.width(), e.height(), e.turned())))),
                    signed(
                            "applique-y-" + number,
                            "Above the middle",
                            c.y(),
                            -far,
                            far,
                            v -> replace(
                                    number,
                                    "place",
                                    ellipse(
                                            applique,
                                            new Area.Ellipse(
                                                    new Point(c.x(), v), e.width(), e.height(), e.turned()))))));
        }
        Button out = new Button("Take it out");
        out.setId("applique-remove-" + number);
        out.setOnAction(e -> bench.edit("an appliqué less", job -> job.withoutArea(number)));
        nodes.add(Labelled.row(clearance, out));
        return nodes;
    }

    private static Area.Applique ellipse(Area.Applique was, Area.Ellipse ellipse) {
        return new Area.Applique(ellipse, was.clearance());
    }

    private void replace(int number, String what, Area.Applique applique) {
        bench.editQuilt("the appliqué's " + what, q -> {
            List<Area> all = new ArrayList<>(q.areas());
            all.set(number - 1, applique);
            return q.withAreas(all);
        });
    }

    private LengthField signed(String id, String name, double now, double least, double most, DoubleConsumer take) {
        LengthField field = new LengthField(
                        id,
                        name,
                        false,
                        () -> bench.job().tape(),
                        inches -> inches >= least && inches <= most
                                ? Optional.empty()
                                : Optional.of("Between " + bench.words().exact(least) + " and "
                                        + bench.words().exact(most) + "."),
                        inches -> inches.ifPresent(take))
                .compact();
        field.show(OptionalDouble.of(now));
        return field;
    }

    private static <A extends Area> Optional<A> find(Quilt quilt, Class<A> kind) {
        return quilt.areas().stream().filter(kind::isInstance).map(kind::cast).findFirst();
    }

    private static QuiltJob withoutMedallion(QuiltJob job) {
        List<Area> all = job.quilt().areas();
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i) instanceof Area.Medallion) {
                return job.withoutArea(i + 1);
            }
        }
        return job;
    }

    private void put(String name, Area area) {
        bench.editQuilt(name, quilt -> {
            // In its place, so that what is stitched in each area stays with it.
            List<Area> all = new ArrayList<>(quilt.areas());
            int place = IntStream.range(0, all.size())
                    .filter(i -> all.get(i).getClass() == area.getClass())
                    .findFirst()
                    .orElse(all.size());
            if (place == all.size()) {
                all.add(area);
            } else {
                all.set(place, area);
            }
            return quilt.withAreas(all);
        });
    }

    /** The blocks there are, or those that a first number begins. */
    private Area.Blocks blocks() {
        return find(bench.job().quilt(), Area.Blocks.class).orElseGet(() -> new Area.Blocks(1, 1, 12, 12, 0));
    }

    private interface BlockChange<T> {
        Area.Blocks apply(Area.Blocks blocks, T value);
    }

    private TypedField count(String id, String name, Optional<Integer> now, BlockChange<Integer> change) {
        TypedField field = new TypedField(id, name, text -> {
            try {
                int n = Integer.parseInt(text.strip());
                if (n >= 1 && n <= Area.MOST) {
                    put(n + " " + name.toLowerCase(Locale.ROOT), change.apply(blocks(), n));
                    return Optional.empty();
                }
            } catch (NumberFormatException e) {
                // Told below, like a number out of range.
            }
            return Optional.of("“" + text.strip() + "” isn't a whole number from 1 to " + Area.MOST + ".");
        });
        field.show(now.map(n -> "" + n).orElse(""));
        return field;
    }

    private LengthField block(String id, String name, Optional<Double> now, BlockChange<Double> change) {
        boolean mayBeZero = id.equals("area-gap");
        LengthField field = new LengthField(
                        id,
                        name,
                        true,
                        () -> bench.job().tape(),
                        inches -> mayBeZero && inches == 0 ? Optional.empty() : overZero(inches),
                        inches -> inches.ifPresent(v -> put(
                                name.toLowerCase(Locale.ROOT) + " "
                                        + bench.words().exact(v),
                                change.apply(blocks(), v))))
                .compact();
        field.show(now.map(OptionalDouble::of).orElse(OptionalDouble.empty()));
        return field;
    }

    private LengthField medallion(Optional<Double> now) {
        LengthField field = new LengthField(
                        "area-medallion",
                        "Medallion, diameter",
                        true,
                        () -> bench.job().tape(),
                        this::overZero,
                        inches -> {
                            if (inches.isPresent()) {
                                put("medallion", new Area.Medallion(inches.getAsDouble()));
                            } else {
                                bench.edit("no medallion", StripsPane::withoutMedallion);
                            }
                        })
                .compact();
        field.show(now.map(OptionalDouble::of).orElse(OptionalDouble.empty()));
        return field;
    }
}
