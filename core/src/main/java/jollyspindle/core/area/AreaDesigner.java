package jollyspindle.core.area;

import jollyspindle.core.effort.Effort;
import jollyspindle.core.effort.TooMuchException;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.BoxIndex;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.layout.Spacing;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.route.ChangingOver;
import jollyspindle.core.route.Joining;
import jollyspindle.core.route.Routed;
import jollyspindle.core.route.Router;
import jollyspindle.core.route.Travel;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Lays out what is stitched in an area: in each of its blocks, or about the centre. */
public final class AreaDesigner {

    /** A motif that a line of is stitched. */
    private record Stitching(char letter, int layer) {}

    private final AreaId id;
    private final Area area;
    private final AreaDesign design;
    private final AreaSurroundings around;
    private final AreaRules rules;
    private final EdgeCatalog tools;
    private final TapeScale tape;

    private final List<StitchLine> lines = new ArrayList<>();
    private final List<Mark> marks = new ArrayList<>();
    private final List<Placement> placements = new ArrayList<>();
    private final List<Travel> travels = new ArrayList<>();
    private final Map<Character, AreaPlan.Turning> turnings = new TreeMap<>();
    private final Set<AreaPlan.Diagnosed> diagnosed = new LinkedHashSet<>();
    private final Map<Character, AreaPlan.Sum> sums = new TreeMap<>();

    private final Set<Stitching> stitched = new HashSet<>();

    /** What is stitched in a piece, and the seams there. */
    private record Done(AreaSpace space, char letter, Routed routed, List<Path> seams) {}

    private final List<Done> done = new ArrayList<>();

    private int planned;

    /** Whether blocks lie side by side, so that seams lead from one to another. */
    private boolean touching;

    /** A piece that nothing is in the way of, laid out for all with its letter. */
    private record Model(AreaSpace space, LaidPiece laid) {}

    /** By the letter; where something hangs on the quilt's edge, also by which sides lie there. */
    private final Map<List<Object>, Model> models = new HashMap<>();

    /** The letters of which a piece has been judged; those that nothing is in the way of are all alike. */
    private final Set<Character> judged = new HashSet<>();

    private final Map<Character, AreaDiagnostic.PileUp> piles = new TreeMap<>();
    private final Map<Character, AreaDiagnostic.CutOff> cutOff = new TreeMap<>();
    private final Map<Character, AreaDiagnostic.Unstitched> unstitched = new TreeMap<>();

    private AreaDesigner(
            AreaId id,
            Area area,
            AreaDesign design,
            AreaSurroundings around,
            AreaRules rules,
            EdgeCatalog tools,
            TapeScale tape) {
        this.id = id;
        this.area = area;
        this.design = design;
        this.around = around;
        this.rules = rules;
        this.tools = tools;
        this.tape = tape;
    }

    /**
     * Lays a design out. What can't be done is told, and the rest is laid out all the same.
     *
     * @param around what else is there, see {@link #keptFree}
     * @param rules by which what comes of it is judged
     */
    public static AreaPlan layOut(
            AreaId id,
            Area area,
            AreaDesign design,
            AreaSurroundings around,
            AreaRules rules,
            EdgeCatalog tools,
            TapeScale tape) {
        return new AreaDesigner(id, area, design, around, rules, tools, tape).plan();
    }

    /**
     * The outlines of an area that nothing of another area under it is stitched in: of an appliqué with its clearance.
     *
     * @param body the edge of the whole body
     */
    public static List<Path> keptFree(Area area, Path body) {
        return AreaSpace.cloth(area, body);
    }

    /**
     * What is in the way of areas under this one, all together: blocks that touch are one piece of cloth to go round.
     *
     * @param body the edge of the whole body
     */
    public static List<Path> inTheWay(Area area, Path body) {
        return area instanceof Area.Blocks blocks && blocks.gap() == 0
                ? List.of(Box.of(
                                new Point(-blocks.across() / 2, -blocks.down() / 2),
                                new Point(blocks.across() / 2, blocks.down() / 2))
                        .outline())
                : keptFree(area, body);
    }

    private AreaPlan plan() {
        List<AreaSpace> spaces = AreaSpace.of(area, around);
        List<AreaPlan.Piece> pieces = new ArrayList<>();
        touching = area instanceof Area.Blocks blocks && blocks.gap() == 0 && spaces.size() > 1;
        for (AreaSpace space : spaces) {
            char letter = design.letter(space.column(), space.row());
            LaidPiece laid = piece(space, letter, new PieceId(id, spaces.size() == 1 ? 0 : space.number()));
            pieces.add(new AreaPlan.Piece(
                    space.number(),
                    space.column(),
                    space.row(),
                    letter,
                    new AreaPlan.Cloth(
                            space.cloth(),
                            space.outline(),
                            space.centre(),
                            Stream.concat(space.seams(), laid.inside().stream()).toList(),
                            space.keptClear(),
                            laid.drawn())));
        }
        join(spaces);
        nothingStitched();
        List.of(piles, cutOff, unstitched)
                .forEach(worst ->
                        worst.forEach((letter, what) -> diagnosed.add(new AreaPlan.Diagnosed(letter, 0, what))));
        return new AreaPlan(
                id,
                pieces,
                lines,
                marks,
                placements,
                travels,
                List.copyOf(turnings.values()),
                List.copyOf(sums.values()),
                List.copyOf(diagnosed));
    }

    private LaidPiece piece(AreaSpace space, char letter, PieceId piece) {
        Effort.step();
        boolean alike = space.inTheWay().isEmpty();
        List<Object> kind = List.of(letter, isByEdge(letter) ? space.outer() : Set.of());
        Model model = models.get(kind);
        LaidPiece laid;
        if (alike && model != null) {
            laid = model.laid().moved(space.place(0, 0).minus(model.space().place(0, 0)), piece);
        } else {
            laid = laidOutWithin(space, letter, piece);
            if (alike) {
                models.put(kind, new Model(space, laid));
            }
        }
        if (planned + laid.routed().placements().size() > Effort.MOST) {
            diagnosed.add(new AreaPlan.Diagnosed(letter, 0, new LayoutDiagnostic.TooFine(Effort.MOST)));
            laid = LaidPiece.NOTHING;
        }
        Routed routed = laid.routed();
        planned += routed.placements().size();
        if (!routed.lines().isEmpty()) {
            done.add(new Done(space, letter, routed, laid.seams()));
        }
        marks.addAll(laid.marks());
        sum(letter, routed);
        routed.lines().forEach(l -> stitched.add(new Stitching(letter, l.layer())));
        boolean first = judged.add(letter);
        if (first) {
            likeEchoes(space, letter);
        }
        // What is left plain on purpose, beside others that aren't, may still be more than the batting allows.
        if (!design.isNothing() && (first || !alike)) {
            judge(space, letter, routed.lines());
        }
        return laid;
    }

    /** Whether blocks at the quilt's edge come out otherwise than those inside. */
    private boolean isByEdge(char letter) {
        return design.part(letter).layers().stream()
                .anyMatch(layer -> layer.motif() instanceof AreaMotif.Clamshells shells && shells.allowance() > 0);
    }

    /** Lays a piece out; of what would be too much, nothing is left. */
    private LaidPiece laidOutWithin(AreaSpace space, char letter, PieceId piece) {
        try {
            return laidOut(space, letter, piece);
        } catch (TooMuchException e) {
            diagnosed.add(new AreaPlan.Diagnosed(letter, 0, new LayoutDiagnostic.TooFine(Effort.MOST)));
            return LaidPiece.NOTHING;
        }
    }

    private LaidPiece laidOut(AreaSpace space, char letter, PieceId piece) {
        List<AreaDesign.Layer> layers = design.part(letter).layers();
        // Read off from the seams, also where something is kept clear beside them.
        Box cloth = space.cloth().box();
        Marker marker = new Marker(piece, new Point(cloth.left(), cloth.bottom()), cloth.width(), tape);
        if (space.onSeam() && space.cloth().curves().size() > 1) {
            space.cloth().curves().forEach(side -> marker.seamsCross(side.start()));
        }
        PlacementBuilder sewing = new PlacementBuilder(marker);
        Rays own = new Rays(space, marker);
        List<Path> inside = new ArrayList<>();
        Set<Path> drawn = new LinkedHashSet<>();
        for (int i = 0; i < layers.size(); i++) {
            AreaDesign.Layer layer = layers.get(i);
            PieceContext laying = new PieceContext(space, sewing, tools, layer.templateId(), own, () -> round(space));
            sewing.begin(i + 1, layer.number(), 0);
            AreaMotifTypes.of(layer.motif()).lay(laying, layer.motif());
            inside.addAll(laying.seams());
            drawn.addAll(laying.drawn());
            int number = i + 1;
            laying.diagnostics().forEach(what -> diagnosed.add(new AreaPlan.Diagnosed(letter, number, what)));
        }
        if (!own.all().isEmpty()) {
            turnings.putIfAbsent(letter, new AreaPlan.Turning(letter, own.all(), own.stepping()));
        }
        List<Path> seams =
                Stream.concat(ditches(space).stream(), inside.stream()).toList();
        Routed whole = Router.route(sewing.lines(), sewing.placements(), seams, touching);
        Routed routed =
                rules.changeOver() ? ChangingOver.changedOver(whole, seams, touching, LayoutContext.SHORTEST) : whole;
        Set<MarkId> used = routed.placements().stream()
                .flatMap(Placement::marks)
                .map(Mark::id)
                .collect(Collectors.toSet());
        return new LaidPiece(
                routed,
                marker.marks().stream().filter(m -> used.contains(m.id())).toList(),
                seams,
                inside,
                List.copyOf(drawn));
    }

    /** The seams and edges that the needle can travel along in a piece: not along what is but kept clear. */
    private static List<Path> ditches(AreaSpace space) {
        List<Path> ditches = new ArrayList<>();
        if (space.inTheWay().isEmpty()) {
            return space.seams().toList();
        }
        Region covered = Region.union(space.inTheWay());
        Region piece = Region.of(space.outline());
        if (space.onSeam()) {
            ditches.addAll(covered.without(space.outline()));
        }
        BoxIndex boxes = new BoxIndex(space.inTheWay().stream().map(Path::box).toList());
        Set<Path> edges = new HashSet<>(space.edges());
        for (int i = 0; i < space.inTheWay().size(); i++) {
            if (!edges.contains(space.inTheWay().get(i))) {
                continue;
            }
            int own = i;
            List<Path> others = Arrays.stream(
                            boxes.meeting(space.inTheWay().get(i).box()))
                    .filter(other -> other != own)
                    .mapToObj(space.inTheWay()::get)
                    .toList();
            for (Path inside : piece.within(space.inTheWay().get(i))) {
                ditches.addAll(
                        others.isEmpty()
                                ? List.of(inside)
                                : Region.union(others).without(inside));
            }
        }
        return ditches;
    }

    /**
     * Puts pieces one after the other, letter by letter, along rows or columns, whichever travels least; where they touch, the thread
     * goes on from one to the next through the seams, unless that is further than round a whole one. Pieces that take several threads
     * each are gone through once for each of these, if the thread is begun less often so.
     */
    private void join(List<AreaSpace> spaces) {
        List<Done> order = touching ? BlockOrder.ROWS.of(done) : done;
        Set<Integer> there = order.stream().map(piece -> piece.space().number()).collect(Collectors.toSet());
        List<Path> seams = touching
                ? Stream.concat(
                                spaces.stream()
                                        .filter(space -> !there.contains(space.number()))
                                        .flatMap(space -> ditches(space).stream()),
                                order.stream().flatMap(piece -> piece.seams().stream()))
                        .toList()
                : List.of();
        double most = order.isEmpty() ? 0 : order.get(0).space().cloth().length();
        if (!touching || seams.isEmpty()) {
            order.forEach(this::add);
            return;
        }
        boolean single = order.stream().allMatch(piece -> piece.routed().starts() == 1);
        Joined best = BlockOrder.ALL.stream()
                .map(way -> way.of(done))
                .flatMap(pieces -> single ? Stream.of(pieces) : Stream.of(pieces, threadByThread(pieces)))
                .map(pieces -> Joined.of(pieces, seams, most))
                .min(Comparator.comparingLong((Joined joined) -> -joined.joined())
                        .thenComparingDouble(joined -> Math.rint(joined.travelled() / Tolerances.SAME_PLACE)))
                .orElseThrow();
        for (int i = 0; i < best.order().size(); i++) {
            Done piece = best.order().get(i);
            best.travels().get(i).ifPresent(travels::add);
            if (best.isJoined(i)) {
                double by =
                        best.travels().get(i).map(way -> way.path().length()).orElse(0.0);
                sums.computeIfPresent(piece.letter(), (letter, sum) -> sum.joined(by));
            }
            add(piece);
        }
    }

    private void add(Done piece) {
        lines.addAll(piece.routed().lines());
        placements.addAll(piece.routed().placements());
        travels.addAll(piece.routed().travels());
    }

    /**
     * An order in which blocks may be stitched, letter by letter.
     *
     * @param first what blocks that come first have less of
     * @param then of those alike
     */
    private record BlockOrder(ToIntFunction<AreaSpace> first, ToIntFunction<AreaSpace> then) {

        /** Along the rows there and back, from the top. */
        static final BlockOrder ROWS = new BlockOrder(s -> s.row(), s -> s.row() % 2 == 0 ? s.column() : -s.column());

        /**
         * The others are along the rows there and back from the bottom, along the columns so, up or down each column, since what is
         * stitched upwards leads into the next block there, and along each row from the left; of those alike the first is taken.
         */
        static final List<BlockOrder> ALL = List.of(
                ROWS,
                new BlockOrder(s -> -s.row(), s -> s.row() % 2 == 0 ? s.column() : -s.column()),
                new BlockOrder(s -> s.column(), s -> s.column() % 2 == 0 ? s.row() : -s.row()),
                new BlockOrder(s -> s.column(), s -> -s.row()),
                new BlockOrder(s -> s.column(), s -> s.row()),
                new BlockOrder(s -> s.row(), s -> s.column()));

        List<Done> of(List<Done> pieces) {
            List<Character> letters =
                    pieces.stream().map(Done::letter).distinct().toList();
            return pieces.stream()
                    .sorted(Comparator.comparingInt((Done piece) -> letters.indexOf(piece.letter()))
                            .thenComparingInt(piece -> first.applyAsInt(piece.space()))
                            .thenComparingInt(piece -> then.applyAsInt(piece.space())))
                    .toList();
        }
    }

    /** The first thread of all pieces with a letter, then the second on the way back, and so on. */
    private static List<Done> threadByThread(List<Done> order) {
        List<Done> all = new ArrayList<>();
        Map<Character, List<Done>> byLetter = new LinkedHashMap<>();
        order.forEach(piece -> byLetter.computeIfAbsent(piece.letter(), letter -> new ArrayList<>())
                .add(piece));
        for (List<Done> pieces : byLetter.values()) {
            List<Map.Entry<Done, List<Routed>>> threads = new ArrayList<>(pieces.stream()
                    .map(piece -> Map.entry(piece, piece.routed().threads()))
                    .toList());
            int most = threads.stream()
                    .mapToInt(entry -> entry.getValue().size())
                    .max()
                    .orElseThrow();
            for (int i = 0; i < most; i++) {
                for (Map.Entry<Done, List<Routed>> piece : threads) {
                    if (i < piece.getValue().size()) {
                        Done whole = piece.getKey();
                        all.add(new Done(
                                whole.space(), whole.letter(), piece.getValue().get(i), whole.seams()));
                    }
                }
                Collections.reverse(threads);
            }
        }
        return all;
    }

    /**
     * An order of pieces, or of threads in them.
     *
     * @param travels to each of them; nothing to the first
     */
    private record Joined(List<Done> order, List<Optional<Travel>> travels) {

        static Joined of(List<Done> order, List<Path> seams, double most) {
            List<Optional<Travel>> between =
                    Joining.between(order.stream().map(Done::routed).toList(), seams, most);
            List<Optional<Travel>> travels = new ArrayList<>();
            for (int i = 0; i < order.size(); i++) {
                boolean alike =
                        i > 0 && order.get(i - 1).letter() == order.get(i).letter();
                travels.add(alike ? between.get(i - 1) : Optional.empty());
            }
            return new Joined(order, travels);
        }

        /** Whether the thread goes on from the one before; where that ends and this begins there is nothing to travel. */
        boolean isJoined(int i) {
            if (i == 0 || order.get(i - 1).letter() != order.get(i).letter()) {
                return false;
            }
            List<StitchLine> before = order.get(i - 1).routed().lines();
            Point needle = before.get(before.size() - 1).needleAt();
            Point next = order.get(i).routed().lines().get(0).path().start();
            return travels.get(i).isPresent() || needle.distance(next) < Tolerances.SAME_PLACE;
        }

        double travelled() {
            return travels.stream()
                    .flatMap(Optional::stream)
                    .mapToDouble(travel -> travel.path().length())
                    .sum();
        }

        /** How many starts are saved. */
        long joined() {
            return IntStream.range(0, order.size()).filter(this::isJoined).count();
        }
    }

    private void sum(char letter, Routed routed) {
        AreaPlan.Sum was = sums.getOrDefault(letter, new AreaPlan.Sum(letter, 0, 0, 0, 0, 0, 0));
        sums.put(
                letter,
                new AreaPlan.Sum(
                        letter,
                        was.blocks() + 1,
                        was.lines() + routed.lines().size(),
                        was.placements() + routed.placements().size(),
                        was.starts() + routed.starts(),
                        was.stitched()
                                + routed.lines().stream()
                                        .mapToDouble(l -> l.passes() * l.path().length())
                                        .sum(),
                        was.travelled() + routed.travelled()));
    }

    /** What lies round a medallion. */
    private Optional<AreaSpace> round(AreaSpace space) {
        return area instanceof Area.Medallion ? Optional.of(space.outside(around)) : Optional.empty();
    }

    // --- judging -----------------------------------------------------------------------------------------------

    private void nothingStitched() {
        for (char letter : sums.keySet()) {
            for (int layer = 1; layer <= design.part(letter).layers().size(); layer++) {
                int number = layer;
                boolean said = diagnosed.stream()
                        .anyMatch(t -> t.letter() == letter
                                && t.layer() == number
                                && t.what().stops());
                if (!said && !stitched.contains(new Stitching(letter, layer))) {
                    diagnosed.add(new AreaPlan.Diagnosed(letter, layer, new AreaDiagnostic.NoRoom()));
                }
            }
        }
    }

    /** What shows only once all of a piece's motifs are laid out; of several pieces, the worst is told. */
    private void judge(AreaSpace space, char letter, List<StitchLine> stitched) {
        List<Path> paths = stitched.stream().map(StitchLine::path).toList();
        PileUps.worst(stitched, rules.mostInAPoint())
                .ifPresent(pile -> piles.merge(letter, pile, (a, b) -> a.lines() >= b.lines() ? a : b));
        List<Point> parts = Gaps.parts(space, paths);
        if (parts.size() > 1) {
            cutOff.merge(
                    letter,
                    new AreaDiagnostic.CutOff(parts.size(), parts.get(1)),
                    (a, b) -> a.parts() >= b.parts() ? a : b);
        }
        rules.mostUnstitched().ifPresent(most -> Gaps.over(most, space, paths)
                .ifPresent(circle -> unstitched.merge(
                        letter,
                        new AreaDiagnostic.Unstitched(circle.diameter(), circle.centre(), most),
                        (a, b) -> a.diameter() >= b.diameter() ? a : b)));
    }

    private void likeEchoes(AreaSpace space, char letter) {
        List<AreaDesign.Layer> layers = design.part(letter).layers();
        List<Double> echoes = new ArrayList<>(around.echoes());
        layers.stream()
                .map(AreaDesign.Layer::motif)
                .filter(m -> m instanceof AreaMotif.Echoes e && !e.outside())
                .forEach(m -> echoes.add(((AreaMotif.Echoes) m).spacing()));
        for (int i = 0; i < layers.size(); i++) {
            LayoutDiagnostic.HatchLikeEcho like =
                    AreaMotifTypes.of(layers.get(i).motif())
                            .spacings(layers.get(i).motif(), space.box())
                            .stream()
                            .filter(s -> echoes.stream().anyMatch(e -> Spacing.looksAlike(e, s)))
                            .findFirst()
                            .map(LayoutDiagnostic.HatchLikeEcho::new)
                            .orElse(null);
            if (like != null) {
                diagnosed.add(new AreaPlan.Diagnosed(letter, i + 1, like));
            }
        }
    }
}
