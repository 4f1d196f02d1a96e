package jollyspindle.core.route;

import jollyspindle.core.geometry.BoxIndex;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Routes the needle through lines so that it starts anew as seldom as can be found, and travels little: along ditches, and over
 * what is stitched. Of several orders the best is taken: the one in which the lines were laid out, with the ends they are begun at
 * chosen well; trails through lines that hang together ({@link Trails}); of few lines the best of many that are tried
 * ({@link Orders}); what many orders that are carried on abreast come to ({@link Abreast}); what pieces that are turned and moved make of these ({@link Improving}); and of very few the best there is
 * ({@link Exact}). Of more than {@value #MOST_ORDERED}
 * lines only the ends are chosen, and up to {@value #MOST_GROWN} the nearest is taken next ({@link Growing}, by the square of the lines).
 */
public final class Router {

    /** Beyond so many lines no trails are looked for, and nothing is moved. */
    private static final int MOST_ORDERED = 150;

    /** Beyond so many lines, or curves, not even the nearest is looked for. */
    private static final int MOST_GROWN = 800;

    private static final int MOST_CURVES = 4000;

    /** Where lines cross in more places, ways lead from one to another at their ends alone. */
    private static final int MOST_CROSSINGS = 3000;

    /** A ditch that is so many times as long as the straight way leads far round. */
    private static final double FAR_ROUND = 2;

    /** So few pieces are ordered as well as can be. */
    private static final int MOST_EXACT = 6;

    /** Beyond so many lines orders aren't tried one after the other. */
    private static final int MOST_TRIED = 40;

    private final Map<LineId, List<Placement>> placements;
    private final Map<LineId, StitchLine> byId = new HashMap<>();
    private final List<Path> ditches;
    /** Where lines begin and end. */
    private final List<Point> ends;

    private final List<StitchLine> lines;
    private List<Point> stops;
    private final boolean fromDitch;
    private final Ditches seams;

    private Router(List<StitchLine> lines, List<Placement> placements, List<Path> ditches, boolean fromDitch) {
        this.fromDitch = fromDitch;
        lines.forEach(l -> byId.put(l.id(), l));
        this.placements = new HashMap<>();
        placements.forEach(p -> this.placements
                .computeIfAbsent(p.of().id(), id -> new ArrayList<>())
                .add(p));
        this.ditches = List.copyOf(ditches);
        this.lines = lines;
        this.ends = lines.stream()
                .flatMap(l -> Stream.of(l.path().start(), l.path().end()))
                .toList();
        this.seams = new Ditches(ditches, ends);
    }

    /**
     * Orders lines motif by motif.
     *
     * @param lines as they were laid out
     * @param placements of them
     * @param ditches that the needle can travel in
     * @param fromDitch whether it should begin on a ditch if it can, since others come before that lead there
     */
    public static Routed route(
            List<StitchLine> lines, List<Placement> placements, List<Path> ditches, boolean fromDitch) {
        Router router = new Router(lines, placements, ditches, fromDitch);
        Routed asLaid = router.travelled(lines);
        if (lines.isEmpty() || router.begun(asLaid) <= 1 && asLaid.travelled() == 0) {
            return asLaid;
        }
        return router.best(lines, asLaid);
    }

    /** The lines as they are, with the travelling between them. */
    static Routed travelling(List<StitchLine> lines, List<Placement> placements, List<Path> ditches) {
        return new Router(lines, placements, ditches, false).travelled(lines);
    }

    /** Where the needle can go on from one line or ditch to another: where lines begin, end, and cross. */
    private List<Point> stops() {
        if (stops == null) {
            stops = new ArrayList<>(ends);
            stops.addAll(crossings());
        }
        return stops;
    }

    /** Where lines cross; nothing if that is in so many places that ways over them aren't looked for. */
    private List<Point> crossings() {
        List<Curve> curves =
                lines.stream().flatMap(l -> l.path().curves().stream()).toList();
        if (curves.size() > MOST_CURVES) {
            return List.of();
        }
        BoxIndex index = new BoxIndex(curves.stream().map(Curve::box).toList());
        List<Point> crossings = new ArrayList<>();
        for (int i = 0; i < curves.size(); i++) {
            Curve curve = curves.get(i);
            for (int other : index.along(curve)) {
                if (other > i) {
                    Crossings.of(curve, curves.get(other)).forEach(c -> crossings.add(curve.at(c.onFirst())));
                }
            }
            if (crossings.size() > MOST_CROSSINGS) {
                return List.of();
            }
        }
        return crossings;
    }

    /** How often the thread is begun anew; once more if that is where nothing leads to from others. */
    private int begun(Routed routed) {
        boolean led = !fromDitch || isOnDitch(routed.lines().get(0).path().start());
        return routed.starts() + (led ? 0 : 1);
    }

    private boolean isOnDitch(Point place) {
        return ditches.stream().anyMatch(path -> path.passes(place, Tolerances.SAME_PLACE));
    }

    private Routed best(List<StitchLine> lines, Routed asLaid) {
        Stretches stretches = new Stretches(lines, placements);
        boolean few = lines.size() <= MOST_ORDERED;
        Ditches all = few ? new Ditches(ditches, stops()) : seams;
        if (few) {
            lines.forEach(line -> all.stitched(line.path()));
        }
        Improving improving = new Improving(all, stretches);
        List<List<Stretch>> orders = new ArrayList<>();
        orders.add(improving.turned(stretches.all(), place -> true));
        int curves = lines.stream().mapToInt(l -> l.path().curves().size()).sum();
        if (lines.size() <= MOST_GROWN && curves <= MOST_CURVES) {
            orders.add(new Growing(stretches, ditches, stops()).ordered());
            orders.add(new Growing(stretches, ditches, stops()).evenly());
            Abreast.ordered(stretches, seams).ifPresent(orders::add);
        }
        if (few) {
            Stream.of(new Trails(all).ordered(stretches.all()), new Trails(all).orderedTogether(stretches.all()))
                    .flatMap(Optional::stream)
                    .filter(stretches::isAllowed)
                    .forEach(orders::add);
            for (List<Stretch> order : List.copyOf(orders)) {
                orders.add(improving.improved(order));
            }
        }
        if (fromDitch) {
            for (List<Stretch> order : List.copyOf(orders)) {
                orders.add(improving.turned(order, this::isOnDitch));
                fromDitch(order).filter(stretches::isAllowed).ifPresent(orders::add);
            }
        }
        Routed best = asLaid;
        for (List<Stretch> order : orders) {
            best = better(
                    best,
                    travelled(order.stream().flatMap(s -> s.lines().stream()).toList()));
        }
        boolean grown = lines.size() <= MOST_GROWN && curves <= MOST_CURVES;
        if (grown && begun(best) > 1) {
            List<Stretch> order =
                    new Growing(stretches, ditches, stops()).begun(new Beginnings(stretches, ditches).fewest());
            best = better(
                    best,
                    travelled(order.stream().flatMap(s -> s.lines().stream()).toList()));
        }
        if (lines.size() <= MOST_TRIED && begun(best) > 1) {
            best = better(
                    best,
                    travelled(new Orders(placements, byId.keySet(), new Ditches(ditches, stops())).ordered(lines)));
        }
        if (stretches.all().size() <= MOST_EXACT && (begun(best) > 1 || best.travelled() > 0)) {
            List<Stretch> order = new Exact(stretches, ditches, stops())
                    .ordered(place -> !fromDitch || isOnDitch(place), this::changes);
            best = better(
                    best,
                    travelled(order.stream().flatMap(s -> s.lines().stream()).toList()));
        }
        return best;
    }

    /** An order that comes back to where it begins, begun where it first is on a ditch. */
    private Optional<List<Stretch>> fromDitch(List<Stretch> order) {
        for (int i = 1; i < order.size(); i++) {
            if (isOnDitch(order.get(i).start())) {
                List<Stretch> turned = new ArrayList<>(order.subList(i, order.size()));
                turned.addAll(order.subList(0, i));
                return Optional.of(turned);
            }
        }
        return Optional.empty();
    }

    /** The one that is begun anew less often; of those alike, with fewer changes of the template; of those, with less travel. */
    private Routed better(Routed one, Routed other) {
        Comparator<Routed> fewest = Comparator.comparingInt(this::begun)
                .thenComparingInt(Router::changes)
                .thenComparingDouble(r -> Math.rint(r.travelled() / Tolerances.SAME_PLACE));
        return fewest.compare(other, one) < 0 ? other : one;
    }

    /** How often another template is taken up, or one is turned over. */
    private static int changes(Routed routed) {
        int changes = 0;
        for (int i = 1; i < routed.placements().size(); i++) {
            changes +=
                    goesOn(routed.placements().get(i - 1), routed.placements().get(i)) ? 0 : 1;
        }
        return changes;
    }

    /** The same, from one stretch to the next. */
    private int changes(Stretch before, Stretch next) {
        List<Placement> done = lying(before.lines().get(before.lines().size() - 1));
        List<Placement> then = lying(next.lines().get(0));
        return done.isEmpty() || then.isEmpty() || goesOn(done.get(done.size() - 1), then.get(0)) ? 0 : 1;
    }

    private static boolean goesOn(Placement before, Placement next) {
        return before.tool().templateId().equals(next.tool().templateId())
                && before.pose().over() == next.pose().over();
    }

    // --- travelling --------------------------------------------------------------------------------------------

    private Routed travelled(List<StitchLine> turned) {
        List<StitchLine> lines = turned.stream()
                .map(line -> isAsLaid(line) ? byId.get(line.id()) : line)
                .toList();
        List<Placement> ordered = new ArrayList<>();
        List<Travel> travels = new ArrayList<>();
        Over over = new Over(lines);
        for (int i = 0; i < lines.size(); i++) {
            StitchLine line = lines.get(i);
            if (i > 0) {
                Point at = lines.get(i - 1).needleAt();
                if (at.distance(line.path().start()) >= Tolerances.SAME_PLACE) {
                    over.way(at, line.path().start(), i)
                            .ifPresent(found -> travels.add(new Travel(line.id(), found.how(), found.path())));
                }
            }
            ordered.addAll(lying(line));
        }
        return new Routed(lines, ordered, travels);
    }

    /** The ways over what is stitched by then, which are only looked for where a ditch alone doesn't lead there, or far round. */
    private final class Over {

        private final List<StitchLine> lines;
        private Ditches ways;
        private int stitched;

        Over(List<StitchLine> lines) {
            this.lines = lines;
        }

        /**
         * A way.
         *
         * @param done how many lines are stitched
         */
        Optional<Ditches.Found> way(Point from, Point to, int done) {
            Optional<Ditches.Found> ditch = seams.between(from, to);
            if (ditch.isPresent() && ditch.get().path().length() <= FAR_ROUND * from.distance(to)) {
                return ditch;
            }
            if (ways == null) {
                ways = new Ditches(ditches, stops());
            }
            for (; stitched < done; stitched++) {
                ways.stitched(lines.get(stitched).path());
            }
            return ways.between(from, to);
        }
    }

    /** Along one line that is stitched already. */
    static Optional<Path> retraced(Point from, Point to, List<StitchLine> done) {
        for (int k = done.size() - 1; k >= 0; k--) {
            Optional<Path> way = done.get(k).path().between(from, to);
            if (way.isPresent()) {
                return way;
            }
        }
        return Optional.empty();
    }

    /** Whether a line is stitched as it was laid out: turned and turned back again, it is no longer the same to the last digit. */
    private boolean isAsLaid(StitchLine now) {
        Point early = byId.get(now.id()).path().curves().get(0).at(0.25);
        List<Curve> curves = now.path().curves();
        Curve first = curves.get(0);
        Curve last = curves.get(curves.size() - 1);
        return early.distance(first.at(0.25)) < early.distance(last.at(0.75));
    }

    /**
     * What a template is laid on that is slid on along a line, once that is stitched the other way.
     *
     * @param first whether it is the first part of a straight piece then
     */
    private static Registration slidOn(Placement was, boolean first) {
        Registration laid = was.registration();
        if (first) {
            return laid instanceof Registration.Onward ? new Registration.FootOnBothMarks() : laid;
        }
        boolean byFoot = laid instanceof Registration.Onward || laid instanceof Registration.FootOnBothMarks;
        return byFoot
                ? was.start().mark().<Registration>map(Registration.Onward::new).orElse(laid)
                : laid;
    }

    /** The placements of a line, the way it is stitched now. */
    private List<Placement> lying(StitchLine line) {
        List<Placement> own = placements.getOrDefault(line.id(), List.of());
        if (isAsLaid(line)) {
            return own;
        }
        List<Placement> back = new ArrayList<>();
        for (int i = 0; i < own.size(); i++) {
            boolean first = i + 1 == own.size() || !(own.get(i + 1).registration() instanceof Registration.Onward);
            back.add(0, own.get(i).reversed(line, slidOn(own.get(i), first)));
        }
        return back;
    }
}
