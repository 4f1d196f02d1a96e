package jollyspindle.files.referee;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.TurnedArm;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * Judges what a plan tells of borders, strips and areas, step by step as a quilter at the machine could: whether what is said to lie
 * somewhere does, whether it is on the template and on the cloth at all, whether the template is held by it, and whether start and
 * end can be seen. It knows the plan's JSON and the templates, and nothing of how plans are made.
 */
final class Referee {

    /** What a quilter takes for lying on a line, in inches. */
    static final double ON = 1e-3;

    /** A chalk line's width, in inches: a hook or a line that is no further off serves (common practice, no source). */
    private static final double CHALK = 1.0 / 64;

    /** Plates of bumps are cut for it. */
    private static final double USUAL_FOOT = 0.25;

    /** Along curves, places are looked at so many times. */
    private static final int LOOKS = 100;

    /** And so many times where something lies along a line that may be short. */
    private static final int CLOSE_LOOKS = 400;

    /** What is wrong with what is told. */
    enum Fault {
        /** The line isn't what the needle draws along the edge of the template as it is told to lie. */
        OFF_EDGE,
        /** The foot doesn't go where it is told to: there is acrylic. */
        NO_ROOM_FOR_FOOT,
        /** What is said to lie on something doesn't. */
        BESIDE,
        /** What is said to be on the template isn't. */
        NOT_ON_TEMPLATE,
        /** What the template is said to lie on isn't there yet, or at all. */
        NOT_THERE,
        /** The template can still be moved so that something else is stitched. */
        LOOSE,
        /** Nothing shows where the line starts. */
        START_UNSEEN,
        /** Nothing shows where the line ends. */
        END_UNSEEN,
        /** A mark that is made and not used. */
        MARK_UNUSED,
        /** An error of one placement runs on into more of the next ones than lines that are marked again. */
        CHAIN,
        /** The needle is told to travel where there is neither a seam nor stitching, or not from where it is to where it goes. */
        TRAVEL,
        /** The thread is begun more often than need be. */
        STARTS
    }

    /** One fault. */
    record Complaint(Fault fault, String id, String what) {}

    /** So many lines may be laid on each other without a mark between. */
    private static final int LONGEST_CHAIN = 7;

    private final Map<String, Integer> chains = new HashMap<>();
    private final ToldPlan plan;
    private final Map<String, Template> templates = new HashMap<>();
    private final Map<String, Cut> cuts = new HashMap<>();
    private final Map<String, List<Path>> stitched = new HashMap<>();
    private final Map<Integer, List<Path>> byLayer = new HashMap<>();
    private final List<Complaint> complaints = new ArrayList<>();

    private Referee(ToldPlan plan, List<Template> templates) {
        this.plan = plan;
        templates.forEach(t -> this.templates.put(t.id(), t));
    }

    /** All that is wrong with a plan, in the order of stitching. */
    static List<Complaint> judge(ToldPlan plan, List<Template> templates) {
        Referee referee = new Referee(plan, templates);
        referee.steps();
        referee.marks();
        referee.complaints.addAll(ThreadReferee.judge(plan));
        return referee.complaints;
    }

    private void complain(Fault fault, ToldPlan.Step step, String what) {
        complaints.add(new Complaint(fault, step.id(), what));
    }

    private void steps() {
        for (int i = 0; i < plan.steps().size(); i++) {
            ToldPlan.Step step = plan.steps().get(i);
            Optional<ToldPlan.Step> before =
                    i == 0 ? Optional.empty() : Optional.of(plan.steps().get(i - 1));
            Optional<ToldPlan.Step> next =
                    i + 1 < plan.steps().size() ? Optional.of(plan.steps().get(i + 1)) : Optional.empty();
            boolean byHand = step.on().kind().equals("by-hand");
            boolean free = byHand || step.on().kind().equals("by-eye");
            if (!byHand && !offEdge(step)) {
                noRoom(step);
            }
            List<double[]> held = new ArrayList<>(laid(step));
            if (!start(step, before)) {
                complain(Fault.START_UNSEEN, step, where(step, step.path().start()) + step.start());
            } else if (isPlace(step.path().start(), step.start()) || needle(step, before)) {
                held.add(row(step, step.path().start(), normal(step.path(), true)));
            }
            if (!end(step, next)) {
                complain(Fault.END_UNSEEN, step, where(step, step.path().end()) + step.end());
            } else if (isPlace(step.path().end(), step.end())) {
                held.add(row(step, step.path().end(), normal(step.path(), false)));
            }
            if (!free && !isHeld(step, held)) {
                complain(
                        Fault.LOOSE, step, step.on().kind() + " on " + step.on().on());
            }
            stitched.computeIfAbsent(step.lineId(), id -> new ArrayList<>()).add(step.path());
            byLayer.computeIfAbsent(step.layer(), n -> new ArrayList<>()).add(step.path());
        }
    }

    /** Whether the line told isn't a foot's radius beside the told edge of the template somewhere; that is complained of. */
    private boolean offEdge(ToldPlan.Step step) {
        List<Curve> along = guide(step).stitched(plan.foot()).stream()
                .flatMap(path -> path.curves().stream())
                .toList();
        Point origin = guide(step).round().map(Guide.Round::centre).orElse(Point.ORIGIN);
        for (Curve curve : step.path().curves()) {
            for (double part : new double[] {0, 0.25, 0.5, 0.75, 1}) {
                Point own = step.pose().undo(curve.at(part)).plus(origin);
                double off =
                        along.stream().mapToDouble(c -> c.distance(own)).min().orElse(Double.MAX_VALUE);
                if (off > ON) {
                    complain(Fault.OFF_EDGE, step, "the needle is " + off + " off the edge's line");
                    return true;
                }
            }
        }
        return false;
    }

    /** The foot goes where it is told to, into slots too. An arm's hook has play, and is looked at with what it is hooked on. */
    private void noRoom(ToldPlan.Step step) {
        if (templates.get(step.template()).form() instanceof TurnedArm) {
            return;
        }
        List<Path> acrylic = piece(step).outlines();
        Point origin = guide(step).round().map(Guide.Round::centre).orElse(Point.ORIGIN);
        for (Curve curve : step.path().curves()) {
            for (double part : new double[] {0, 0.5, 1}) {
                Point own = step.pose().undo(curve.at(part)).plus(origin);
                double clear =
                        acrylic.stream().mapToDouble(o -> o.distance(own)).min().orElseThrow();
                if (clear < plan.foot() - ON) {
                    complain(Fault.NO_ROOM_FOR_FOOT, step, "there is acrylic " + clear + " from the needle");
                    return;
                }
            }
        }
    }

    /** The piece of acrylic that the edge is one of. */
    private Cut.Piece piece(ToldPlan.Step step) {
        Point edge = guide(step).edge().start();
        return cut(step).pieces().stream()
                .min(Comparator.comparingDouble(piece -> piece.outlines().stream()
                        .mapToDouble(o -> o.distance(edge))
                        .min()
                        .orElseThrow()))
                .orElseThrow();
    }

    private String where(ToldPlan.Step step, Point at) {
        ToldPlan.Run run = plan.runs().get(step.run());
        Point from = at.minus(run.origin());
        return "%.3f along, %.3f across of %s by %s: "
                .formatted(from.dot(run.along()), run.along().cross(from), run.length(), run.depth());
    }

    // --- what the template is laid on ------------------------------------------------------------------------------

    private Cut cut(ToldPlan.Step step) {
        return cuts.computeIfAbsent(step.template(), id -> templates.get(id).cut());
    }

    private Guide guide(ToldPlan.Step step) {
        return cut(step).guide(step.guide()).orElseThrow();
    }

    /** From the template's own frame to the cloth: a pose is that of its edge's centre. */
    private Point placed(ToldPlan.Step step, Point own) {
        Point origin = guide(step).round().map(Guide.Round::centre).orElse(Point.ORIGIN);
        return step.pose().apply(own.minus(origin));
    }

    private List<Point> placed(ToldPlan.Step step, Path own) {
        return looks(own).map(p -> placed(step, p)).toList();
    }

    private static Stream<Point> looks(Path path) {
        return path.curves().stream()
                .flatMap(c -> Stream.iterate(0, i -> i + 1).limit(LOOKS + 1).map(i -> c.at((double) i / LOOKS)));
    }

    /** What is told to be laid on something; what it holds of the template. */
    private List<double[]> laid(ToldPlan.Step step) {
        ToldPlan.On on = step.on();
        List<double[]> held = new ArrayList<>();
        on.centreLineOn()
                .map(id -> mark(step, id))
                .ifPresent(mark -> held.addAll(centreLine(step, p -> true, Optional.of(mark))));
        chain(step);
        switch (on.kind()) {
            case "hook-on-centre", "hook-over-centre", "line-on-ray" -> held.addAll(onRay(step));
            case "crown-line", "seam-allowance-line", "rise-line" -> held.addAll(onRow(step));
            case "engraved-line" -> held.addAll(on.fromEdge().isPresent() ? alongStitching(step) : lineOnEdge(step));
            case "tape-on-back" ->
                held.addAll(
                        on.belowCrowns().isPresent()
                                ? onRow(step)
                                : on.fromEdge().isPresent() ? alongStitching(step) : lineOnEdge(step));
            case "edge" -> held.addAll(alongStitching(step));
            case "centre" -> held.addAll(centre(step));
            case "centre-line" -> held.addAll(mitre(step));
            case "stepped" -> held.addAll(stepped(step));
            case "crosswise" -> held.addAll(crosswise(step));
            case "in-chain" -> held.addAll(inChain(step));
            case "notch-on-mark" -> held.addAll(notch(step));
            case "line-at-angle" -> held.addAll(atAngle(step));
            case "foot-over-marks" -> held.addAll(overMarks(step));
            case "over-end" -> held.addAll(overEnd(step));
            case "onward" -> onward(step);
            case "by-eye" -> byEye(step);
            case "foot-on-both-marks", "by-hand", "none" -> {
                // The foot alone: start and end hold it.
            }
            default -> throw new IllegalStateException(on.kind());
        }
        return held;
    }

    private Segment edge(ToldPlan.Step step) {
        return plan.runs().get(step.run()).edge(step.on().on().endsWith("-outer-edge"));
    }

    /** Something straight across the template lies on the seam: a line engraved there, or tape. */
    private List<double[]> lineOnEdge(ToldPlan.Step step) {
        List<Path> lines;
        Guide guide = guide(step);
        double crown = guide.round()
                .map(r -> r.centre().y() + r.radius())
                .orElse(guide.edge().box().top());
        if (step.on().line().isPresent()) {
            double label = step.on().line().getAsDouble();
            lines = templates.get(step.template()).lines().stream()
                    .filter(l -> l.kind() == EngravedLine.Kind.RISE && Math.abs(l.value() - label) < 1e-9)
                    .flatMap(l -> templates.get(step.template()).strokes(l).stream())
                    .toList();
        } else {
            double y = crown - step.on().belowEdgeCrown().orElseThrow();
            lines = cut(step).chords(new Point(0, y), new Point(1, 0), false).stream()
                    .map(s -> Path.of(s))
                    .toList();
        }
        if (lines.isEmpty()) {
            complain(Fault.NOT_ON_TEMPLATE, step, step.on().toString());
            return List.of();
        }
        return onStraight(step, lines, edge(step), step.on().off());
    }

    /**
     * Something straight on the template lies on a straight line.
     *
     * @param told how far beside it is told to lie
     */
    private List<double[]> onStraight(ToldPlan.Step step, List<Path> own, Segment line, double told) {
        Point along = line.to().minus(line.from()).unit();
        List<double[]> held = new ArrayList<>();
        double off = 0;
        for (Path path : own) {
            for (Point p : placed(step, path)) {
                off = Math.max(off, Math.abs(p.minus(line.from()).cross(along)));
                held.add(row(step, p, along.turnedLeft()));
            }
        }
        if (Math.abs(off - Math.abs(told)) > ON) {
            complain(
                    Fault.BESIDE,
                    step,
                    step.on().kind() + " lies " + off + " off " + step.on().on() + ", told " + told);
        }
        return held;
    }

    private ToldPlan.Mark mark(ToldPlan.Step step, String id) {
        ToldPlan.Mark mark = plan.marks().get(id);
        if (mark == null || !isMade(mark)) {
            complain(Fault.NOT_THERE, step, id);
        }
        return mark;
    }

    private boolean isMade(ToldPlan.Mark mark) {
        if (!mark.stage().equals("stitched")) {
            return true;
        }
        boolean others = mark.afterPass().equals(Optional.of("motifs-before"));
        return byLayer.keySet().stream().anyMatch(n -> others ? n < mark.ofMotif() : n == mark.ofMotif());
    }

    /** The template's centre line, where one is engraved, passes a place or lies on a straight line. */
    private List<double[]> centreLine(ToldPlan.Step step, Predicate<Point> on, Optional<ToldPlan.Mark> mark) {
        Template template = templates.get(step.template());
        double middle = guide(step).round().map(r -> r.centre().x()).orElse(0.0);
        List<Path> lines = step.on().centreTaped()
                ? cut(step).chords(new Point(middle, 0), new Point(0, 1), false).stream()
                        .map(s -> Path.of(s))
                        .toList()
                : template.lines().stream()
                        .filter(l -> l.kind() == EngravedLine.Kind.CENTRE)
                        .flatMap(l -> template.strokes(l).stream())
                        .toList();
        if (lines.isEmpty()) {
            complain(Fault.NOT_ON_TEMPLATE, step, "a centre line");
            return List.of();
        }
        List<Point> points =
                lines.stream().flatMap(l -> placed(step, l).stream()).toList();
        Point from = points.get(0);
        Point along = points.get(points.size() - 1).minus(from).unit();
        if (mark.isPresent()) {
            Point at = mark.get().place();
            double off = Math.abs(at.minus(from).cross(along));
            if (off > ON) {
                complain(
                        Fault.BESIDE,
                        step,
                        "the centre line passes " + off + " beside "
                                + mark.get().id());
            }
            return List.of(row(step, at, along.turnedLeft()));
        }
        if (!points.stream().allMatch(on)) {
            complain(Fault.BESIDE, step, "the centre line isn't on " + step.on().on());
        }
        return points.stream().map(p -> row(step, p, along.turnedLeft())).toList();
    }

    private List<double[]> mitre(ToldPlan.Step step) {
        return centreLine(step, p -> plan.mitres().stream().anyMatch(m -> offLine(m, p) < ON), Optional.empty());
    }

    /** The middle line on what is drawn along the run, and the needle as far beyond what was stitched before as is told. */
    private List<double[]> inChain(ToldPlan.Step step) {
        Point along = plan.runs().get(step.run()).along();
        List<Segment> drawn = plan.seams().stream()
                .filter(Segment.class::isInstance)
                .map(Segment.class::cast)
                .filter(s -> Math.abs(s.direction(0).cross(along)) < ON)
                .toList();
        List<Path> before = stitched.getOrDefault(step.on().after().orElseThrow(), List.of());
        if (before.isEmpty()) {
            complain(Fault.NOT_THERE, step, step.on().after().orElseThrow());
        }
        Point needle = step.path().start();
        double gap = before.stream().mapToDouble(p -> p.distance(needle)).min().orElse(0);
        if (Math.abs(gap - step.on().gap().orElseThrow()) > ON) {
            complain(
                    Fault.BESIDE,
                    step,
                    "the needle is " + gap + " beyond, told " + step.on().gap());
        }
        List<double[]> held = new ArrayList<>(
                centreLine(step, p -> drawn.stream().anyMatch(d -> offLine(d, p) < ON), Optional.empty()));
        held.add(row(step, needle, along));
        return held;
    }

    /** A line across the strip on the edge of the run, and the needle as far along from the line before as is told. */
    private List<double[]> crosswise(ToldPlan.Step step) {
        double at = step.on().fromMiddle().orElseThrow();
        List<Path> across = cut(step).chords(new Point(at, 0), new Point(0, 1), false).stream()
                .map(s -> Path.of(s))
                .toList();
        boolean there = step.on().centreTaped()
                ? !across.isEmpty()
                : templates.get(step.template()).lines().stream()
                        .anyMatch(l -> l.kind() == EngravedLine.Kind.CENTRE && Math.abs(at) < ON);
        if (!there) {
            complain(Fault.NOT_ON_TEMPLATE, step, step.on().toString());
            return List.of();
        }
        List<double[]> held = new ArrayList<>(onStraight(step, across, edge(step), 0));
        step.on().after().ifPresent(id -> {
            Point needle = step.path().start();
            double off = stitched.getOrDefault(id, List.of()).stream()
                    .flatMap(p -> Stream.of(p.start(), p.end()))
                    .mapToDouble(
                            p -> Math.abs(p.distance(needle) - step.on().step().orElseThrow()))
                    .min()
                    .orElse(Double.MAX_VALUE);
            if (off > ON) {
                complain(Fault.BESIDE, step, "the needle is " + off + " from a step beyond");
            }
            held.add(row(step, needle, plan.runs().get(step.run()).along()));
        });
        return held;
    }

    /** Both ends as far from those of the line before as is told, along a seam or a line that is stitched. */
    private List<double[]> stepped(ToldPlan.Step step) {
        List<Path> before = stitched.getOrDefault(step.on().on(), List.of());
        if (before.isEmpty()) {
            complain(Fault.NOT_THERE, step, step.on().on());
            return List.of();
        }
        List<double[]> held = new ArrayList<>();
        for (boolean start : new boolean[] {true, false}) {
            Point end = start ? step.path().start() : step.path().end();
            double told = (start ? step.on().stepAtStart() : step.on().stepAtEnd()).orElseThrow();
            double off = before.stream()
                    .flatMap(p -> p.curves().stream())
                    .flatMap(c -> Stream.of(c.start(), c.end()))
                    .flatMap(from -> ways(from, end))
                    .mapToDouble(way -> Math.abs(way - told))
                    .min()
                    .orElse(Double.MAX_VALUE);
            if (off > ON) {
                complain(Fault.BESIDE, step, "an end is " + off + " from where it steps to");
            }
            held.add(row(step, end, normal(step.path(), start)));
        }
        return held;
    }

    /** How far it is from one place to another, along each seam and each stitched line that leads from one to the other. */
    private Stream<Double> ways(Point from, Point to) {
        return Stream.concat(
                plan.seams().stream()
                        .filter(s -> s.distance(from) < ON && s.distance(to) < ON)
                        .map(s -> s.length() * Math.abs(s.nearest(from) - s.nearest(to))),
                stitched.values().stream()
                        .flatMap(List::stream)
                        .flatMap(p -> p.curves().stream())
                        .filter(c -> c.distance(from) < ON && c.distance(to) < ON)
                        .map(c -> c.length() * Math.abs(c.nearest(from) - c.nearest(to))));
    }

    /** Lines that are laid on lines that are laid on lines; rows beside each other, a line each, are looked at one by one. */
    private void chain(ToldPlan.Step step) {
        String on = step.on().after().orElse(step.on().on());
        int chain = Set.of("foot-on-both-marks", "by-eye").contains(step.on().kind()) || !stitched.containsKey(on)
                ? 0
                : chains.getOrDefault(on, 0) + 1;
        chains.merge(step.lineId(), chain, Math::max);
        if (chain > 0 && step.on().chain().orElse(0) != chain) {
            complain(
                    Fault.CHAIN,
                    step,
                    "hangs on " + chain + " others, told " + step.on().chain());
        }
        if (chain > LONGEST_CHAIN) {
            complain(Fault.CHAIN, step, "laid on " + chain + " others");
        }
    }

    private static double offLine(Segment line, Point p) {
        return Math.abs(p.minus(line.from()).cross(line.to().minus(line.from()).unit()));
    }

    /** The edge, a line engraved beside it or tape lies on a line that is stitched already. */
    private List<double[]> alongStitching(ToldPlan.Step step) {
        List<Path> before = step.on().on().endsWith("-seam")
                ? plan.seams().stream().map(c -> Path.of(c)).toList()
                : stitched.getOrDefault(step.on().on(), List.of());
        if (before.isEmpty()) {
            complain(Fault.NOT_THERE, step, step.on().on());
            return List.of();
        }
        Template template = templates.get(step.template());
        double fromEdge = step.on().fromEdge().orElseThrow();
        if (step.on().kind().equals("engraved-line")
                && template.lines().stream()
                        .filter(l -> l.kind() == EngravedLine.Kind.PARALLEL)
                        .noneMatch(l -> Math.abs(l.fromEdge(1) - fromEdge) < ON)) {
            complain(Fault.NOT_ON_TEMPLATE, step, "a line " + fromEdge + " from the edge");
        }
        List<Point> told = template.parallel(cut(step), guide(step), fromEdge).stream()
                .flatMap(path -> path.curves().stream())
                .flatMap(curve -> Stream.iterate(0, i -> i + 1)
                        .limit(CLOSE_LOOKS + 1)
                        .map(i -> curve.at((double) i / CLOSE_LOOKS)))
                .map(p -> placed(step, p))
                .toList();
        if (told.isEmpty()) {
            complain(Fault.NOT_ON_TEMPLATE, step, step.on().toString());
            return List.of();
        }
        List<double[]> held = new ArrayList<>();
        double longest = 0;
        Point first = null;
        for (Point p : told) {
            Optional<Curve> on = before.stream()
                    .flatMap(path -> path.curves().stream())
                    .filter(c -> c.distance(p) < ON)
                    .findFirst();
            if (on.isPresent()) {
                Curve curve = on.get();
                held.add(row(step, p, curve.direction(curve.nearest(p)).turnedLeft()));
                first = first == null ? p : first;
                longest = Math.max(longest, first.distance(p));
            }
        }
        double wanted = Math.min(0.4, step.path().length() / 5);
        // It is looked at from place to place, so both ends may lie so much further out.
        double between = told.get(0).distance(told.get(1));
        if (longest + 2 * between < wanted) {
            complain(
                    Fault.BESIDE,
                    step,
                    step.on().kind() + " lies along " + longest + " of "
                            + step.on().on());
        }
        return held;
    }

    /** A line beside the edge over the far end of a line stitched before, or over a corner. */
    private List<double[]> overEnd(ToldPlan.Step step) {
        List<Path> before = stitched.getOrDefault(step.on().on(), List.of());
        Stream<Point> ends = step.on().on().equals("corner")
                ? plan.seams().stream().flatMap(seam -> Stream.of(seam.start(), seam.end()))
                : before.stream().flatMap(path -> Stream.of(path.start(), path.end()));
        Template template = templates.get(step.template());
        double fromEdge = step.on().fromEdge().orElseThrow();
        if (step.on().isEngraved()
                && template.lines().stream()
                        .filter(l -> l.kind() == EngravedLine.Kind.PARALLEL)
                        .noneMatch(l -> Math.abs(l.fromEdge(1) - fromEdge) < ON)) {
            complain(Fault.NOT_ON_TEMPLATE, step, "a line " + fromEdge + " from the edge");
        }
        List<Segment> told = template.parallel(cut(step), guide(step), fromEdge).stream()
                .map(path -> new Segment(placed(step, path.start()), placed(step, path.end())))
                .toList();
        Optional<Point> end = ends.filter(p -> told.stream().anyMatch(line -> line.distance(p) < ON))
                .findFirst();
        if (end.isEmpty()) {
            complain(
                    Fault.BESIDE,
                    step,
                    "the line " + fromEdge + " from the edge is over no end of "
                            + step.on().on());
            return List.of();
        }
        return List.of(row(step, end.get(), told.get(0).direction(0).turnedLeft()));
    }

    /** Within the limits that are told from the line before. */
    private void byEye(ToldPlan.Step step) {
        Point middle = step.path().curves().get(0).at(0.5);
        Point way = step.path().end().minus(step.path().start()).unit();
        stitched.getOrDefault(step.on().on(), List.of()).stream()
                .mapToDouble(path -> Math.abs(path.start().minus(middle).cross(way)))
                .filter(apart ->
                        apart < step.on().least() - ON || apart > step.on().most() + ON)
                .forEach(apart -> complain(Fault.BESIDE, step, apart + " from the line before"));
    }

    /** What is stitched of a line so far leads straight on. */
    private void onward(ToldPlan.Step step) {
        List<Path> before = stitched.getOrDefault(step.lineId(), List.of());
        Path last = before.isEmpty() ? null : before.get(before.size() - 1);
        Point way = step.path().end().minus(step.path().start()).unit();
        if (last == null
                || last.end().distance(step.path().start()) > ON
                || Math.abs(last.start().minus(last.end()).cross(way)) > ON
                || !step.end().mark().equals(Optional.of(step.on().on()))) {
            complain(Fault.NOT_THERE, step, "nothing to go straight on from");
        }
    }

    /** The centre on a mark, and a leg on the seam. */
    private List<double[]> centre(ToldPlan.Step step) {
        ToldPlan.Mark mark = mark(step, step.on().on());
        if (mark == null) {
            return List.of();
        }
        Point at = step.pose().position();
        if (at.distance(mark.place()) > ON) {
            complain(Fault.BESIDE, step, "the centre is " + at.distance(mark.place()) + " from " + mark.id());
        }
        List<double[]> held = new ArrayList<>(List.of(row(step, at, new Point(1, 0)), row(step, at, new Point(0, 1))));
        if (step.on().legOnSeam()) {
            Segment seam = edge(step);
            Point along = seam.to().minus(seam.from()).unit();
            // A leg is a straight piece of the outline.
            Optional<Segment> leg = cut(step).pieces().stream()
                    .flatMap(piece -> piece.outlines().stream())
                    .flatMap(outline -> outline.curves().stream())
                    .filter(Segment.class::isInstance)
                    .map(c -> new Segment(placed(step, c.start()), placed(step, c.end())))
                    .filter(s -> s.length() > 1.0 / 4 && offLine(seam, s.from()) < ON && offLine(seam, s.to()) < ON)
                    .findFirst();
            if (leg.isEmpty()) {
                complain(Fault.BESIDE, step, "no leg lies on the seam");
            }
            held.add(row(step, at.plus(along), along.turnedLeft()));
        }
        return held;
    }

    /** Two marks stand on the line, and the edge reaches from one to the other. */
    private List<double[]> overMarks(ToldPlan.Step step) {
        List<Curve> needle = guide(step).stitched(plan.foot()).stream()
                .flatMap(path -> path.curves().stream())
                .toList();
        Point origin = guide(step).round().map(Guide.Round::centre).orElse(Point.ORIGIN);
        List<double[]> held = new ArrayList<>();
        for (String id : List.of(step.on().first(), step.on().second())) {
            ToldPlan.Mark mark = mark(step, id);
            if (mark == null) {
                continue;
            }
            Point own = step.pose().undo(mark.place()).plus(origin);
            Curve under = needle.stream()
                    .min(Comparator.comparingDouble(curve -> curve.distance(own)))
                    .orElseThrow();
            if (under.distance(own) > ON) {
                complain(Fault.BESIDE, step, "the foot over " + id + " doesn't touch the edge");
            }
            Point along = own.plus(under.direction(under.nearest(own)));
            held.add(row(
                    step,
                    mark.place(),
                    placed(step, along).minus(placed(step, own)).turnedLeft()));
        }
        return held;
    }

    /**
     * A line of the template, or tape along its middle, from a centre to a ray's mark, and its hook round the foot or about the
     * centre's mark: a foot that isn't as wide as the hook stands beside the hook's middle by what they differ.
     */
    private List<double[]> onRay(ToldPlan.Step step) {
        ToldPlan.Mark ray = mark(step, step.on().on());
        ToldPlan.Mark centre = mark(step, step.on().centre().orElseThrow());
        if (ray == null || centre == null) {
            return List.of();
        }
        Template template = templates.get(step.template());
        boolean hooked = step.on().kind().startsWith("hook");
        double play = template.form() instanceof TurnedArm arm ? Math.abs(arm.hook() - plan.foot()) : 0;
        if (hooked && placed(step, Point.ORIGIN).distance(centre.place()) > play + ON) {
            complain(Fault.BESIDE, step, "the hook isn't at the centre");
        }
        if (step.on().kind().equals("hook-on-centre") && step.path().start().distance(centre.place()) > CHALK) {
            complain(Fault.BESIDE, step, "the foot isn't at the centre");
        }
        EngravedLine.Kind kind =
                template.form() instanceof TurnedArm ? EngravedLine.Kind.REFERENCE : EngravedLine.Kind.CENTRE;
        List<Path> lines = step.on().centreTaped()
                ? cut(step).chords(Point.ORIGIN, new Point(0, 1), false).stream()
                        .map(s -> Path.of(s))
                        .toList()
                : template.lines().stream()
                        .filter(l -> l.kind() == kind)
                        .flatMap(l -> template.strokes(l).stream())
                        .toList();
        if (lines.isEmpty()) {
            complain(Fault.NOT_ON_TEMPLATE, step, "a line to lay on a ray");
            return List.of();
        }
        Point from = placed(step, lines.get(0).start());
        Point tip = placed(step, lines.get(lines.size() - 1).end());
        Point along = tip.minus(from).unit();
        // Past the end of the line nobody sees it: that end lies on the ray then.
        Point way = ray.place().minus(centre.place());
        double off = way.length() > tip.distance(centre.place())
                ? Math.abs(tip.minus(centre.place()).cross(way.unit()))
                : Math.abs(ray.place().minus(from).cross(along));
        if (off > CHALK) {
            complain(Fault.BESIDE, step, "its line passes " + off + " beside the ray's mark");
        }
        List<double[]> held = new ArrayList<>(List.of(row(step, ray.place(), along.turnedLeft())));
        // A hook or the engraved end of the line stops it along the ray; a line alone only across it.
        held.add(row(step, centre.place(), along.turnedLeft()));
        if (hooked || template.form() instanceof TurnedArm) {
            held.add(row(step, centre.place(), along));
        }
        return held;
    }

    /** A line across a row of shells, or tape, on the crowns of the row before or on the edge that rows begin at. */
    private List<double[]> onRow(ToldPlan.Step step) {
        Template template = templates.get(step.template());
        Box acrylic = guide(step).edge().box();
        // A plate's far side points down in its own frame.
        boolean far = isFar(step);
        double below = step.on().belowCrowns().orElseThrow();
        double at = far ? acrylic.bottom() + below : acrylic.top() - below;
        boolean engraved = !step.on().kind().equals("tape-on-back");
        List<Path> lines = cut(step).chords(new Point(0, at), new Point(1, 0), false).stream()
                .map(s -> Path.of(s))
                .toList();
        if (below < ON) {
            // The crowns themselves.
            lines = List.of(Path.of(new Segment(new Point(acrylic.left(), at), new Point(acrylic.right(), at))));
        }
        boolean there = !engraved
                || template.lines().stream()
                        .flatMap(l -> template.strokes(l).stream())
                        .anyMatch(l -> !far && Math.abs(l.start().y() - at) < CHALK);
        if (lines.isEmpty() || !there) {
            complain(Fault.NOT_ON_TEMPLATE, step, step.on().toString());
            return List.of();
        }
        step.on().mark().flatMap(id -> Optional.ofNullable(mark(step, id))).ifPresent(mark -> {
            boolean over = valleys(step)
                    .mapToObj(x -> placed(step, new Point(x, 0)))
                    .anyMatch(p -> Math.abs(p.x() - mark.place().x()) < ON);
            if (!over) {
                complain(Fault.BESIDE, step, "no valley lies over " + mark.id());
            }
        });
        // The foot stands between two bumps.
        boolean inValley = isInValley(step);
        Optional<ToldPlan.Mark> under = step.on().mark().map(plan.marks()::get);
        List<double[]> beside = under.isPresent()
                ? List.of(row(step, under.get().place(), new Point(1, 0)))
                : inValley ? List.of(row(step, step.path().start(), new Point(1, 0))) : List.of();
        if (step.on().on().endsWith("-lower-edge") || step.on().on().endsWith("-upper-edge")) {
            boolean upper = step.on().on().endsWith("-upper-edge");
            List<double[]> held = new ArrayList<>(
                    onStraight(step, lines, plan.runs().get(step.run()).edge(upper), 0));
            held.addAll(beside);
            return held;
        }
        if (step.on().on().endsWith("-drawn-line")) {
            Point middle = placed(step, lines.get(0).curves().get(0).at(0.5));
            Optional<Segment> drawn = plan.seams().stream()
                    .filter(Segment.class::isInstance)
                    .map(Segment.class::cast)
                    .filter(s -> Math.abs(s.direction(0).y()) < ON && offLine(s, middle) < ON)
                    .findFirst();
            if (drawn.isEmpty()) {
                complain(Fault.NOT_THERE, step, step.on().on());
                return List.of();
            }
            List<double[]> held = new ArrayList<>(onStraight(step, lines, drawn.get(), 0));
            held.addAll(beside);
            return held;
        }
        List<Path> before = stitched.getOrDefault(step.on().on(), List.of());
        if (before.isEmpty()) {
            complain(Fault.NOT_THERE, step, step.on().on());
            return List.of();
        }
        Point from = placed(step, lines.get(0).start());
        Point along = placed(step, lines.get(0).end()).minus(from).unit();
        // The row's outermost places: its crowns, seen across the line that is laid on them.
        List<Double> across = before.stream()
                .flatMap(p -> p.curves().stream())
                .flatMap(c -> Stream.of(c.box().left(), c.box().right())
                        .flatMap(x -> Stream.of(
                                new Point(x, c.box().bottom()),
                                new Point(x, c.box().top()))))
                .map(p -> along.cross(p.minus(from)))
                .toList();
        double off = Math.min(Math.abs(Collections.max(across)), Math.abs(Collections.min(across)));
        if (off > CHALK) {
            complain(
                    Fault.BESIDE,
                    step,
                    "lies " + off + " off the crowns of " + step.on().on());
        }
        List<double[]> held = new ArrayList<>(
                List.of(row(step, from, along.turnedLeft()), row(step, from.plus(along), along.turnedLeft())));
        if (step.on().valleyOverCrown()) {
            Optional<Point> crown = valleys(step)
                    .mapToObj(x -> placed(step, new Point(x, at)))
                    .filter(p -> before.stream().anyMatch(path -> path.passes(p, CHALK)))
                    .findFirst();
            if (crown.isEmpty()) {
                complain(
                        Fault.BESIDE,
                        step,
                        "no valley lies over a crown of " + step.on().on());
                return held;
            }
            held.add(row(step, crown.get(), along));
        }
        return held;
    }

    private boolean isInValley(ToldPlan.Step step) {
        double own = step.pose().undo(step.path().start()).x();
        return valleys(step).anyMatch(x -> Math.abs(x - own) < 2 * CHALK);
    }

    /** Where the usual foot stands beside the bumps along an edge, across the template. */
    private DoubleStream valleys(ToldPlan.Step step) {
        if (guide(step).round().isPresent()) {
            // A single arc has no bumps beside it.
            return DoubleStream.empty();
        }
        return guide(step).edge().curves().stream()
                .filter(Arc.class::isInstance)
                .map(Arc.class::cast)
                .flatMapToDouble(bump -> DoubleStream.of(
                        bump.centre().x() - bump.radius() - USUAL_FOOT,
                        bump.centre().x() + bump.radius() + USUAL_FOOT));
    }

    private static boolean isFar(ToldPlan.Step step) {
        return step.guide().startsWith("far-");
    }

    private List<double[]> notch(ToldPlan.Step step) {
        Optional<ToldPlan.Mark> mark = step.on().mark().map(id -> mark(step, id));
        double below = step.on().tapeBelowPoints().orElseThrow();
        Box acrylic = guide(step).edge().box();
        double at = isFar(step) ? acrylic.bottom() + below : acrylic.top() - below;
        List<Path> tape = cut(step).chords(new Point(0, at), new Point(1, 0), false).stream()
                .map(s -> Path.of(s))
                .toList();
        if (tape.isEmpty()) {
            complain(Fault.NOT_ON_TEMPLATE, step, "tape " + below + " below the points");
            return List.of();
        }
        List<double[]> held = new ArrayList<>(onStraight(step, tape, edge(step), 0));
        mark.ifPresent(
                m -> held.add(row(step, m.place(), plan.runs().get(step.run()).along())));
        return held;
    }

    private List<double[]> atAngle(ToldPlan.Step step) {
        // The line at an angle is parallel to the seam; where along the seam it lies is left to the foot.
        Point along = plan.runs().get(step.run()).along();
        double told = Math.toRadians(step.on().angle().orElseThrow());
        Point edge = step.path().end().minus(step.path().start()).unit();
        double angle = Math.abs(Math.sin(Math.atan2(along.cross(edge), along.dot(edge)) - told));
        double other = Math.abs(Math.sin(Math.atan2(along.cross(edge), along.dot(edge)) + told));
        if (Math.min(angle, other) > ON) {
            complain(Fault.BESIDE, step, "the line at an angle isn't parallel to the seam");
        }
        boolean engraved = templates.get(step.template()).lines().stream()
                .filter(l -> l.kind() == EngravedLine.Kind.REFERENCE || l.kind() == EngravedLine.Kind.CENTRE)
                .map(l -> l.kind() == EngravedLine.Kind.CENTRE ? 0 : l.value())
                .anyMatch(value -> Stream.of(Math.PI / 2 - told, told - Math.PI / 2)
                        .anyMatch(wanted -> Math.abs(Math.sin(wanted - value)) < ON));
        if (!engraved) {
            complain(Fault.NOT_ON_TEMPLATE, step, "a line at " + Math.toDegrees(told) + " degrees");
        }
        // It may slide along the seam, and not be turned.
        return List.of(new double[] {0, 0, 1});
    }

    // --- where it starts and ends ----------------------------------------------------------------------------------

    private boolean start(ToldPlan.Step step, Optional<ToldPlan.Step> before) {
        return needle(step, before) || isSeen(step, step.path().start(), step.start());
    }

    /** Whether the needle is there already. */
    private boolean needle(ToldPlan.Step step, Optional<ToldPlan.Step> before) {
        return before.filter(b -> plan.needleAfter(b).distance(step.path().start()) < ON)
                .isPresent();
    }

    /** Whether what shows a place shows that very one, and isn't a line that it lies somewhere on. */
    private boolean isPlace(Point at, ToldPlan.End told) {
        return told.mark().isPresent()
                || told.shownBy().equals(Optional.of("stitching"))
                        && stitched.values().stream()
                                .flatMap(List::stream)
                                .anyMatch(p ->
                                        p.start().distance(at) < ON || p.end().distance(at) < ON)
                || plan.seams().stream().filter(s -> s.distance(at) < ON).count() > 1
                        && !told.shownBy().equals(Optional.of("template"));
    }

    private boolean end(ToldPlan.Step step, Optional<ToldPlan.Step> next) {
        // Where the same line goes on, it may be left off anywhere.
        boolean goesOn = next.filter(n -> n.lineId().equals(step.lineId())
                        && step.parts() > 1
                        && step.end().shownBy().equals(Optional.of("needle")))
                .isPresent();
        return goesOn
                || step.end().shownBy().equals(Optional.of("stitching")) && comesBack(step.path())
                || isSeen(step, step.path().end(), step.end());
    }

    /** Whether a line ends on its own beginning. */
    private static boolean comesBack(Path path) {
        List<Curve> curves = path.curves();
        Curve last = curves.get(curves.size() - 1);
        return curves.stream().anyMatch(c -> (c == last ? c.piece(0, 0.5) : c).distance(path.end()) < ON);
    }

    private boolean isSeen(ToldPlan.Step step, Point at, ToldPlan.End told) {
        if (told.mark().isPresent()) {
            ToldPlan.Mark mark = plan.marks().get(told.mark().get());
            return mark != null && isMade(mark) && mark.place().distance(at) < ON;
        }
        return switch (told.shownBy().orElseThrow()) {
            case "seam", "far-edge", "run-end", "mitre", "middle-line", "kept-clear", "stop-circle", "drawn-line" ->
                plan.seams().stream().anyMatch(s -> s.distance(at) < ON);
            case "stitching" -> stitched.values().stream().flatMap(List::stream).anyMatch(path -> path.passes(at, ON));
            case "template" -> isOwnEnd(step, at);
            case "anywhere" -> isCircle(step.lineId());
            default -> false;
        };
    }

    /** Whether a line goes all round one centre, so that it comes out alike wherever it begins. */
    private boolean isCircle(String lineId) {
        List<Curve> all = plan.steps().stream()
                .filter(s -> s.lineId().equals(lineId))
                .flatMap(s -> s.path().curves().stream())
                .toList();
        List<Arc> arcs =
                all.stream().filter(Arc.class::isInstance).map(Arc.class::cast).toList();
        return arcs.size() == all.size()
                && arcs.stream().allMatch(a -> a.centre().distance(arcs.get(0).centre()) < ON)
                && Math.abs(arcs.stream().mapToDouble(Arc::sweep).sum()) > 2 * Math.PI - ON;
    }

    /** Whether the foot can't run on there along the template. */
    private boolean isOwnEnd(ToldPlan.Step step, Point at) {
        return guide(step).stitched(plan.foot()).stream()
                .flatMap(path -> Stream.of(path.start(), path.end()))
                .anyMatch(p -> placed(step, p).distance(at) < ON);
    }

    // --- whether it is held ----------------------------------------------------------------------------------------

    private static Point normal(Path path, boolean start) {
        Curve curve = path.curves().get(start ? 0 : path.curves().size() - 1);
        return curve.direction(start ? 0 : 1).turnedLeft();
    }

    /** How far a place on the template moves along a direction, for a small move right, up, and turn about its origin. */
    private static double[] row(ToldPlan.Step step, Point at, Point direction) {
        Point arm = at.minus(step.pose().position());
        return new double[] {direction.x(), direction.y(), direction.dot(arm.turnedLeft())};
    }

    /** Whether nothing else can be stitched with what holds the template. */
    private static boolean isHeld(ToldPlan.Step step, List<double[]> held) {
        List<double[]> all = new ArrayList<>(held);
        for (Curve curve : step.path().curves()) {
            for (double part : new double[] {0.1, 0.5, 0.9}) {
                all.add(row(step, curve.at(part), curve.direction(part).turnedLeft()));
            }
        }
        return rank(held) == rank(all);
    }

    /** By elimination, the largest number first, so that none that is nearly 0 is divided by. */
    private static int rank(List<double[]> rows) {
        List<double[]> left = new ArrayList<>(rows.stream().map(double[]::clone).toList());
        int rank = 0;
        while (rank < 3) {
            Optional<double[]> pivot = left.stream()
                    .max((a, b) -> Double.compare(Math.abs(a[largest(a)]), Math.abs(b[largest(b)])))
                    .filter(r -> Math.abs(r[largest(r)]) > 1e-6);
            if (pivot.isEmpty()) {
                break;
            }
            double[] p = pivot.get();
            int c = largest(p);
            left.remove(p);
            for (double[] r : left) {
                double factor = r[c] / p[c];
                for (int i = 0; i < 3; i++) {
                    r[i] -= factor * p[i];
                }
            }
            rank++;
        }
        return rank;
    }

    private static int largest(double[] row) {
        int largest = 0;
        for (int i = 1; i < row.length; i++) {
            largest = Math.abs(row[i]) > Math.abs(row[largest]) ? i : largest;
        }
        return largest;
    }

    // --- marks -----------------------------------------------------------------------------------------------------

    private void marks() {
        plan.marks().values().stream()
                .filter(m -> m.by().equals("chalk"))
                .filter(m -> plan.steps().stream().noneMatch(s -> uses(s, m.id())))
                .forEach(m -> complaints.add(new Complaint(Fault.MARK_UNUSED, m.id(), m.toString())));
    }

    private static boolean uses(ToldPlan.Step step, String mark) {
        Optional<String> it = Optional.of(mark);
        return step.start().mark().equals(it)
                || step.end().mark().equals(it)
                || step.on().centreLineOn().equals(it)
                || step.on().mark().equals(it)
                || step.on().centre().equals(it)
                || step.on().kind().equals("foot-over-marks")
                        && (step.on().first().equals(mark) || step.on().second().equals(mark))
                || step.on().on().equals(mark);
    }
}
