package jollyspindle.desktop.bench;

import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.Obstacle;
import jollyspindle.core.words.MotifWords;
import jollyspindle.desktop.control.EntryFields;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.Workbench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import javafx.scene.Node;

/** The few choices that each motif has. */
final class MotifFields extends EntryFields {

    private static final double LONGEST = Motif.FARTHEST;

    private final Consumer<Motif> change;

    MotifFields(Workbench bench, Consumer<Motif> change) {
        super(bench);
        this.change = change;
    }

    List<Node> of(Motif motif) {
        if (motif instanceof Motif.Arcs arcs) {
            return arcs(arcs);
        }
        if (motif instanceof Motif.FacingArcs facing) {
            return facing(facing);
        }
        if (motif instanceof Motif.Sails sails) {
            return List.of(Labelled.row(
                    whole(
                            "motif-echoes",
                            "Echoes",
                            sails.echoes(),
                            0,
                            Motif.MOST_LINES,
                            n -> change.accept(sails.withEchoes(n))),
                    distance("motif-spacing", "Apart", sails.spacing(), d -> change.accept(sails.withSpacing(d)))));
        }
        if (motif instanceof Motif.Fans fans) {
            return List.of(Labelled.row(
                    whole(
                            "motif-blades",
                            "Blades",
                            fans.blades(),
                            1,
                            Motif.MOST_LINES,
                            n -> change.accept(fans.withBlades(n))),
                    whole("motif-rows", "Rows", fans.rows(), 1, 6, n -> change.accept(fans.withRows(n)))));
        }
        if (motif instanceof Motif.Circles circles) {
            return circles(circles);
        }
        if (motif instanceof Motif.Serpentine s) {
            IntConsumer lines = n -> change.accept(s.withPerRepeat(n));
            return List.of(
                    Labelled.row(perRepeat(s.perRepeat(), lines), apart(s.perRepeat(), Math.PI / 2, lines)),
                    check(
                            "motif-mirrored",
                            "Mirrored, as on the neighbouring strip",
                            s.mirrored(),
                            m -> change.accept(s.withMirrored(m))));
        }
        if (motif instanceof Motif.Chevrons chevrons) {
            return chevrons(chevrons);
        }
        if (motif instanceof Motif.StraightLines lines) {
            IntConsumer count = n -> change.accept(lines.withPerRepeat(n));
            return List.of(
                    Labelled.row(perRepeat(lines.perRepeat(), count), apart(lines.perRepeat(), lines.angle(), count)),
                    angle(lines.angle(), a -> change.accept(lines.withAngle(a))));
        }
        Motif.Crosshatch hatch = (Motif.Crosshatch) motif;
        return List.of(
                Labelled.row(
                        distance("motif-spacing", "Apart", hatch.spacing(), d -> change.accept(hatch.withSpacing(d))),
                        angle(hatch.angle(), a -> change.accept(hatch.withAngle(a)))),
                check(
                        "motif-curved",
                        "Curved, with the run's template",
                        hatch.curved(),
                        c -> change.accept(hatch.withCurved(c))));
    }

    private Node perRepeat(int now, IntConsumer take) {
        return whole("motif-per-repeat", "To a repeat", now, 1, Motif.MOST_LINES, take);
    }

    /** How far lines are apart, square to them, on the run that is looked at; typed, it asks for as many as come nearest. */
    private Node apart(int perRepeat, double angle, IntConsumer take) {
        OptionalDouble repeat = bench.run()
                .map(run -> OptionalDouble.of(run.division().repeat() * Math.sin(angle)))
                .orElse(OptionalDouble.empty());
        return length(
                "motif-apart",
                "Apart, about",
                false,
                repeat.isPresent() ? about(repeat.getAsDouble() / perRepeat) : OptionalDouble.empty(),
                Motif.CLOSEST,
                LONGEST,
                apart -> {
                    long lines = Math.round(repeat.orElse(0) / apart.orElse(1));
                    take.accept((int) Math.max(1, Math.min(Motif.MOST_LINES, lines)));
                });
    }

    /** What comes of other choices, as the tape reads it: nobody types it so exactly. */
    OptionalDouble about(double inches) {
        return OptionalDouble.of(bench.job().tape().read(inches).onTape());
    }

    private List<Node> arcs(Motif.Arcs a) {
        List<Node> nodes = new ArrayList<>();
        nodes.add(Labelled.row(
                whole("motif-lines", "Lines", a.lines(), 1, Motif.MOST_LINES, n -> change.accept(a.withLines(n))),
                distance("motif-step", "Each lower by", a.step(), d -> change.accept(a.withStep(d)))));
        if (a.lines() > 1) {
            nodes.add(choice(
                    "motif-inner",
                    "Further lines",
                    List.of(Motif.Inner.values()),
                    a.inner(),
                    i -> switch (i) {
                        case LOWERED -> "the template lowered";
                        case SHIFTED -> "the template shifted to the seam";
                        case PARALLEL -> "true parallels, other radii";
                    },
                    i -> change.accept(a.with(i))));
            nodes.add(rises(a));
        }
        nodes.add(other(
                "motif-other",
                "Every second arc with",
                a.otherTemplate(),
                id -> change.accept(a.withOtherTemplate(id))));
        nodes.add(passes(a.passes(), n -> change.accept(a.withPasses(n))));
        return nodes;
    }

    /** The lowered lines' own rises, if they aren't stepped evenly. */
    private Node rises(Motif.Arcs a) {
        TypedField field = new TypedField("motif-rises", "Or rises of their own, such as 2; 1 1/4", text -> {
            List<Double> rises = new ArrayList<>();
            for (String one : text.strip().isEmpty() ? new String[0] : text.split(";")) {
                LengthReading read = LengthParser.parse(one, bench.job().tape());
                if (read instanceof LengthReading.Refused refused) {
                    return Optional.of(refused.message());
                }
                rises.add(((LengthReading.Understood) read).inches());
            }
            try {
                change.accept(a.withRises(rises));
                return Optional.empty();
            } catch (IllegalArgumentException e) {
                return Optional.of("“" + text.strip() + "”: each rise is less than the one before, and over 0.");
            }
        });
        field.show(a.rises().stream().map(r -> bench.words().exact(r)).collect(Collectors.joining("; ")));
        return field;
    }

    /** A second template, or none. */
    private Node other(String id, String name, Optional<String> now, Consumer<Optional<String>> take) {
        List<Optional<String>> ids = new ArrayList<>(List.of(Optional.empty()));
        Map<String, String> names = new HashMap<>();
        for (TemplateChoice c : TemplateChoice.of(bench.job(), now, bench.shelf(), Obstacle.EdgeKind.ARC)) {
            if (names.put(c.template().id(), c.template().name()) == null) {
                ids.add(Optional.of(c.template().id()));
            }
        }
        return choice(
                id, name, ids, now, t -> t.map(n -> names.getOrDefault(n, n)).orElse("the same"), take);
    }

    private List<Node> facing(Motif.FacingArcs f) {
        return List.of(
                choice(
                        "motif-facing",
                        "Both rows",
                        List.of(Motif.Facing.values()),
                        f.facing(),
                        v -> switch (v) {
                            case CROWNS -> "crown to crown";
                            case HALF_STEP -> "half a repeat offset";
                            case TWO_TO_ONE -> "two small to one large";
                            case OVERLAPPING -> "on one edge, overlapping";
                        },
                        v -> change.accept(f.with(v))),
                Labelled.row(
                        length(
                                "motif-channel",
                                "Channel between",
                                true,
                                f.channel(),
                                -LONGEST,
                                LONGEST,
                                d -> change.accept(f.withChannel(d))),
                        length(
                                "motif-inset",
                                "Diamond from crowns",
                                true,
                                f.inset(),
                                Motif.CLOSEST,
                                LONGEST,
                                d -> change.accept(f.withInset(d)))),
                check(
                        "motif-crown-lines",
                        "Lines from crown to crown",
                        f.crownLines(),
                        c -> change.accept(f.withCrownLines(c))),
                check(
                        "motif-valley-lines",
                        "Lines from valley to valley",
                        f.valleyLines(),
                        c -> change.accept(f.withValleyLines(c))),
                other(
                        "motif-other",
                        "The far row with",
                        f.otherTemplate(),
                        id -> change.accept(f.withOtherTemplate(id))),
                passes(f.passes(), n -> change.accept(f.withPasses(n))));
    }

    private List<Node> circles(Motif.Circles c) {
        return List.of(
                Labelled.row(
                        length(
                                "motif-gap",
                                "Gap",
                                false,
                                OptionalDouble.of(c.gap()),
                                0,
                                12,
                                d -> change.accept(c.withGap(d.orElse(0)))),
                        choice(
                                "motif-turns",
                                "Round",
                                List.of(2, 3, 4, 5, 6),
                                c.halfTurns(),
                                MotifWords::turns,
                                n -> change.accept(c.withHalfTurns(n)))),
                choice(
                        "motif-turning",
                        "Direction",
                        List.of(Motif.Turning.values()),
                        c.turning(),
                        t -> t == Motif.Turning.SAME ? "all the same way" : "every second the other way",
                        t -> change.accept(c.with(t))),
                check("motif-swirl", "A curl inside each", c.swirl(), s -> change.accept(c.withSwirl(s))));
    }

    /** The choices that a strip of its own shape leaves. */
    List<Node> alongStrip(Motif.Chevrons c) {
        return c.points() == Motif.Points.PEAKS ? List.of(points(c), lines(c)) : chevrons(c);
    }

    private Node points(Motif.Chevrons c) {
        return choice(
                "motif-points",
                "Shape",
                List.of(Motif.Points.values()),
                c.points(),
                p -> p == Motif.Points.PEAKS ? "peaks" : "boxes",
                p -> change.accept(c.with(p)));
    }

    private Node lines(Motif.Chevrons c) {
        return Labelled.row(
                whole("motif-lines", "Lines", c.lines(), 1, Motif.MOST_LINES, n -> change.accept(c.withLines(n))),
                distance("motif-spacing", "Apart", c.spacing(), d -> change.accept(c.withSpacing(d))));
    }

    private List<Node> chevrons(Motif.Chevrons c) {
        return List.of(
                points(c),
                Labelled.row(
                        length(
                                "motif-height",
                                "Height",
                                true,
                                c.height(),
                                Motif.CLOSEST,
                                LONGEST,
                                d -> change.accept(c.withHeight(d))),
                        length(
                                "motif-rounding",
                                "Corners rounded by",
                                false,
                                OptionalDouble.of(c.rounding()),
                                0,
                                12,
                                d -> change.accept(c.withRounding(d.orElse(0))))),
                lines(c));
    }

    private Node passes(int now, Consumer<Integer> take) {
        return choice(
                "motif-passes",
                "Stitched",
                List.of(1, 2, 3),
                now,
                n -> n == 1 ? "once" : n == 2 ? "twice: the needle comes back" : "three times, as a thick line",
                take);
    }

    private Node angle(double now, Consumer<Double> take) {
        return degrees("motif-angle", "Degrees to the seam", now, 10, 170, "90 is straight across", take);
    }

    private Node distance(String id, String name, double now, Consumer<Double> take) {
        return length(
                id, name, false, OptionalDouble.of(now), Motif.CLOSEST, LONGEST, d -> take.accept(d.getAsDouble()));
    }
}
