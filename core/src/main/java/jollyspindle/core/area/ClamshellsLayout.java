package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.Hatching;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ShellRows;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Lays out {@link AreaMotif.Clamshells}: rows of shells from the lower edge up, or turned by half a turn from the upper one down,
 * every second one half a shell on, so that its valleys stand on the crowns below; out along one row and back along the next. The
 * template's crown line lies on those crowns, one of its valleys over one of them, and its seam-allowance line on the raw edge;
 * where nothing is engraved tape goes there. Rows are planned from the rise that is really stitched with this foot. What is left
 * at the end stays if it is less than about half a row; else one shorter row is squeezed in, its crowns on the edge.
 *
 * <p>A row that doesn't come out even is cut off at the seam, or each of its shells is eased at its crown. What no plate does is
 * stitched from marks ({@link ShellsFromMarks}): along a round edge, or by hand.
 */
final class ClamshellsLayout {

    /** More seam allowance than this nobody leaves, in inches. */
    private static final double MOST_ALLOWED = 2;

    private static final Param.Length<AreaMotif.Clamshells> ALLOWANCE = Param.length(
            "allowance",
            0,
            AreaMotif.LARGEST,
            AreaMotif.Clamshells::allowance,
            shells -> new Param.Room(0, MOST_ALLOWED));
    private static final Param.MaybeLength<AreaMotif.Clamshells> WIDTH =
            Param.maybeLength("width", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Clamshells::width);
    private static final Param.Flag<AreaMotif.Clamshells> EASED =
            Param.flag("eased", AreaMotif.Clamshells::eased, false);
    private static final Param.Flag<AreaMotif.Clamshells> TOP =
            Param.flag("fromTop", AreaMotif.Clamshells::fromTop, false);
    private static final Param.Flag<AreaMotif.Clamshells> BY_HAND = Param.flag(
                    "byHand", AreaMotif.Clamshells::byHand, false)
            .when(shells -> shells.width().isPresent());

    static final AreaMotifType<AreaMotif.Clamshells> TYPE = new AreaMotifType<>(
                    AreaMotif.Clamshells.class,
                    "clamshells",
                    Params.of(
                                    v -> new AreaMotif.Clamshells(
                                            v.get(ALLOWANCE), v.get(WIDTH), v.get(EASED), v.get(TOP), v.get(BY_HAND)),
                                    Params.row(ALLOWANCE),
                                    Params.row(WIDTH),
                                    Params.row(EASED),
                                    Params.row(TOP),
                                    Params.row(BY_HAND))
                            .brief(EASED)
                            .brief(TOP)
                            .brief(BY_HAND),
                    (piece, motif) -> new ClamshellsLayout(piece, motif).lay(),
                    (shells, cloth) -> cloth.shells(shells),
                    Kind.SCALLOP_ROW,
                    Kind.ARC,
                    Kind.CIRCLE)
            .offered((cloth, offers) -> {
                offers.add("", new AreaMotif.Clamshells(0));
                offers.add("-eased", new AreaMotif.Clamshells(0, OptionalDouble.empty(), true, false, false));
                offers.add("-from-top", new AreaMotif.Clamshells(0, OptionalDouble.empty(), false, true, false));
                if (!cloth.isBackground()) {
                    offers.add("-by-hand", new AreaMotif.Clamshells(0, OptionalDouble.of(2), true, false, true));
                }
            })
            .dragged((shells, knobs) -> {
                boolean top = shells.fromTop();
                knobs.from(
                        ALLOWANCE,
                        new Point(
                                knobs.centre().x(),
                                top ? knobs.box().top() : knobs.box().bottom()),
                        new Point(0, top ? -1 : 1));
            });

    /** What a shell is eased by at most, in inches, and as a part of its width (common practice, no source: an eighth). */
    private static final double MOST_EASED = 1.0 / 8;

    private final PieceContext laying;
    private final AreaMotif.Clamshells motif;
    private final Box box;

    /** From along the rows and up from where they begin to the quilt's frame. */
    private final Pose frame;

    /** How many rows hang on each other without a mark between. */
    private final Map<LineId, Integer> chained = new HashMap<>();

    ClamshellsLayout(PieceContext laying, AreaMotif.Clamshells motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
        this.frame = motif.fromTop()
                ? new Pose(new Point(box.right(), box.top()), Math.PI)
                : new Pose(new Point(box.left(), box.bottom()), 0);
    }

    void lay() {
        double height = box.height() - allowance(laying, motif);
        if (motif.byHand()) {
            ShellsFromMarks.byHand(laying, motif, frame, pitch(motif.width().orElseThrow()))
                    .lay();
            return;
        }
        Optional<StitchingEdge.Strip> found = plate();
        if (found.isEmpty()) {
            oneByOne();
            return;
        }
        StitchingEdge.Strip strip = found.get();
        Optional<ShellPlate> cut = ShellPlate.of(strip);
        // A foot as wide as a shell fills it.
        boolean wider = strip.module() > 2 * laying.tools().machine().footRadius() + Tolerances.SAME_PLACE;
        if (!wider
                || cut.isEmpty()
                || cut.get().rise() < LayoutContext.SHORTEST
                || cut.get().rise() > height + Tolerances.SAME_PLACE) {
            laying.tell(new AreaDiagnostic.NoShells(
                    strip.module(), cut.map(ShellPlate::rise).orElse(0.0)));
            return;
        }
        ShellPlate plate = cut.get();
        double pitch = pitch(strip.module());
        double rise = plate.rise(pitch);
        ShellRows rows = ShellRows.in(height, rise, rise + plate.sinks());
        laying.tell(ShellsFromMarks.told(laying, motif, pitch, rows));
        List<StitchLine> before = List.of();
        List<Path> below = List.of();
        double crowns = 0;
        for (int row = 0; row < rows.count(); row++) {
            double up = allowance(laying, motif) + rows.up(row, height);
            List<ShellPlate.Hold> holds = plate.row(row % 2 == 0 ? 0 : -pitch / 2, box.width(), up, pitch);
            Path whole = new Path(holds.stream()
                    .flatMap(hold -> hold.path().curves().stream())
                    .toList());
            List<Path> kept = rows.isSqueezed(row)
                    ? ShellsFromMarks.above(laying, frame, below, whole.posed(frame))
                    : laying.kept(whole.posed(frame));
            Row laid = new Row(plate, row, up, holds, before, crowns);
            List<StitchLine> lines = laid.stitch(kept);
            if (!lines.isEmpty()) {
                before = lines;
                crowns = up + rise;
            }
            below = kept;
        }
    }

    /** What is kept free where rows begin: blocks that others lie below have no raw edge there. */
    static double allowance(PieceContext laying, AreaMotif.Clamshells shells) {
        return laying.space().outer().contains(shells.fromTop() ? Side.TOP : Side.BOTTOM) ? shells.allowance() : 0;
    }

    /** The edge that rows begin at. */
    static Registration.OnRow.Level level(AreaMotif.Clamshells shells) {
        return shells.fromTop() ? Registration.OnRow.Level.UPPER_EDGE : Registration.OnRow.Level.LOWER_EDGE;
    }

    /** Whether rows begin right on a seam that lies level. */
    static boolean isLevel(AreaSpace space, AreaMotif.Clamshells shells) {
        double edge = edge(space.box(), shells);
        return Math.abs(edge - edge(space.cloth().box(), shells)) < Tolerances.SAME_PLACE && isLevel(space, edge);
    }

    private static boolean isLevel(AreaSpace space, double edge) {
        return space.cloth().curves().stream()
                .anyMatch(c -> c instanceof Segment
                        && Math.abs(c.start().y() - edge) < Tolerances.SAME_PLACE
                        && Math.abs(c.end().y() - edge) < Tolerances.SAME_PLACE);
    }

    private static double edge(Box box, AreaMotif.Clamshells shells) {
        return shells.fromTop() ? box.top() : box.bottom();
    }

    /** The plate that was asked for; else one that is as wide as is wished, or the first there is. */
    private Optional<StitchingEdge.Strip> plate() {
        return laying.tools()
                .strips(Kind.SCALLOP_ROW, laying.templateId())
                .filter(s -> motif.width().isEmpty()
                        || Math.abs(s.module() - motif.width().getAsDouble()) <= Tolerances.CHALK)
                .findFirst();
    }

    /** No plate does it: along a round edge, shell by shell. */
    private void oneByOne() {
        OptionalDouble width = motif.width();
        if (width.isEmpty()) {
            width = ShellsFromMarks.usual(laying).stream()
                    .mapToDouble(edge -> 2 * edge.stitched())
                    .findFirst();
        }
        if (width.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.SCALLOPS));
            return;
        }
        double even = even(width.getAsDouble());
        Optional<StitchingEdge.Round> edge = ShellsFromMarks.edge(laying, even);
        if (edge.isPresent()) {
            double pitch = Math.min(2 * edge.get().stitched(), pitch(width.getAsDouble()));
            laying.tell(new AreaDiagnostic.ShellsOneByOne(pitch, edge.get().stitched()));
            ShellsFromMarks.along(laying, motif, frame, pitch, edge.get()).lay();
            return;
        }
        List<Double> widths = laying.tools()
                .strips(Kind.SCALLOP_ROW, laying.templateId())
                .map(StitchingEdge.Strip::module)
                .toList();
        laying.tell(
                widths.isEmpty()
                        ? new LayoutDiagnostic.NoTool(EdgeKind.SCALLOPS)
                        : missing(width.getAsDouble(), widths));
    }

    private static AreaDiagnostic missing(double wished, List<Double> widths) {
        return new AreaDiagnostic.ShellsMissing(
                wished,
                widths.stream()
                        .min(Comparator.comparingDouble(width -> Math.abs(width - wished)))
                        .orElseThrow());
    }

    /** From valley to valley: as wide as is wished, or as it comes out even in a row; what becomes of it is told. */
    private double pitch(double wished) {
        double by = inRow(wished) - wished;
        if (!motif.eased() || Math.abs(by) < Tolerances.SAME_PLACE) {
            return wished;
        }
        laying.tell(
                even(wished) == wished
                        ? new AreaDiagnostic.ShellsNotEased(by, mostEased(wished))
                        : new AreaDiagnostic.ShellsEased(box.width() / even(wished), by));
        return even(wished);
    }

    /** As wide as comes out even in a row, if that is wished and isn't seen. */
    private double even(double wished) {
        double even = inRow(wished);
        double by = Math.abs(even - wished);
        boolean eased = motif.eased() && by >= Tolerances.SAME_PLACE && by <= mostEased(wished) + Tolerances.ROUNDING;
        return eased ? even : wished;
    }

    private double inRow(double wished) {
        return box.width() / Math.max(0.5, Math.rint(2 * box.width() / wished) / 2);
    }

    private static double mostEased(double wished) {
        return Math.min(MOST_EASED, wished * MOST_EASED);
    }

    /** A row of shells. */
    private final class Row {

        private final ShellPlate plate;
        private final int number;
        private final double up;
        private final NavigableMap<Double, ShellPlate.Hold> holds = new TreeMap<>();
        private final NavigableMap<Double, StitchLine> before = new TreeMap<>();
        private final double crowns;

        /**
         * A row.
         *
         * @param number from 0
         * @param up how high its valleys stand
         * @param before the lines of the row before
         * @param crowns of that
         */
        Row(
                ShellPlate plate,
                int number,
                double up,
                List<ShellPlate.Hold> holds,
                List<StitchLine> before,
                double crowns) {
            this.plate = plate;
            this.number = number;
            this.up = up;
            holds.forEach(hold -> this.holds.put(hold.from(), hold));
            before.forEach(line -> this.before.put(left(line), line));
            this.crowns = crowns;
        }

        private double left(StitchLine line) {
            return Math.min(along(line.path().start()), along(line.path().end()));
        }

        /** The line of the row before that has a crown at a place along the row; its lines lie side by side. */
        private Optional<StitchLine> under(double at) {
            return Optional.ofNullable(before.floorEntry(at + Tolerances.CHALK))
                    .map(Map.Entry::getValue)
                    .filter(line -> at
                            <= Math.max(
                                            along(line.path().start()),
                                            along(line.path().end()))
                                    + Tolerances.CHALK);
        }

        List<StitchLine> stitch(List<Path> kept) {
            List<StitchLine> lines = new ArrayList<>();
            boolean back = number % 2 == 1;
            for (int i = 0; i < kept.size(); i++) {
                Path path = kept.get(back ? kept.size() - 1 - i : i);
                lines.add(stitch(back ? path.reversed() : path));
            }
            return lines;
        }

        private StitchLine stitch(Path way) {
            List<Curve> curves = way.curves();
            List<ShellPlate.Hold> lying = curves.stream().map(this::hold).toList();
            Map<ShellPlate.Hold, Registration> laid = new IdentityHashMap<>();
            lying.forEach(hold -> laid.computeIfAbsent(hold, this::registration));
            List<PlacementBuilder.Piece> pieces = new ArrayList<>();
            for (int i = 0; i < curves.size(); i++) {
                boolean last = i == curves.size() - 1;
                boolean moved = last || lying.get(i) != lying.get(i + 1);
                Pose pose = lying.get(i).pose();
                StitchingEdge tool = plate.strip().lying(new Pose(frame.apply(pose.position()), frame.rotation()));
                Registration registration = laid.get(lying.get(i));
                boolean marked = moved
                        && (isHeldByMarks(lying.get(i), registration)
                                || !last && isHeldByMarks(lying.get(i + 1), laid.get(lying.get(i + 1))));
                Point end = curves.get(i).end();
                LineEnd reached = marked
                        ? laying.marked(Mark.Kind.LINE_END, end)
                        : last ? seen(Mark.Kind.LINE_END, end) : LineEnd.at(end, LineEnd.ShownBy.NEEDLE);
                pieces.add(new PlacementBuilder.Piece(curves.get(i), tool, registration, reached));
            }
            Registration first = laid.get(lying.get(0));
            StitchLine line = laying.sewing()
                    .stitch(
                            PlacementBuilder.Naming.of(Stitched.SHELLS, number + 1),
                            pieces,
                            tells(first, way.start())
                                    ? seen(Mark.Kind.LINE_START, way.start())
                                    : laying.marked(Mark.Kind.LINE_START, way.start()),
                            PlacementBuilder.Turn.MARKED);
            laid.values().stream()
                    .flatMap(r -> r.before().stream())
                    .mapToInt(id -> chained.getOrDefault(id, 0) + 1)
                    .max()
                    .ifPresent(chain -> chained.put(line.id(), chain));
            return line;
        }

        /** Whether nothing but the foot over a mark holds a template along the row. */
        private boolean isHeldByMarks(ShellPlate.Hold hold, Registration laid) {
            boolean loose = laid instanceof Registration.OnRow on
                    && !on.overCrown()
                    && on.valley().isEmpty()
                    && !isHeldByFoot(hold);
            return loose || laid instanceof Registration.FootOnBothMarks;
        }

        /** An edge or what is stitched shows where a line ends; else a mark does. */
        private LineEnd seen(Mark.Kind kind, Point end) {
            LineEnd shown = laying.shown(end);
            return shown.shownBy() == LineEnd.ShownBy.TEMPLATE ? laying.marked(kind, end) : shown;
        }

        /** Whether a template is held by what it is laid on, or by that and a corner that it starts in. */
        private boolean tells(Registration laid, Point start) {
            return laid instanceof Registration.OnRow on
                    && (on.overCrown() || on.valley().isPresent() || isCorner(start));
        }

        /** The hold that a curve is stitched in. */
        private ShellPlate.Hold hold(Curve curve) {
            Map.Entry<Double, ShellPlate.Hold> found = holds.floorEntry(along(curve.at(0.5)));
            return found == null ? holds.firstEntry().getValue() : found.getValue();
        }

        /** What of the template lies on the crowns before, or on the edge; marks where there is nothing for it to lie on. */
        private Registration registration(ShellPlate.Hold hold) {
            if (before.isEmpty()) {
                return seam().filter(v ->
                                below(v) <= plate.strip().top() - plate.strip().bottom())
                        .map(v -> on(hold, v, Optional.empty(), edge()))
                        .orElseGet(() -> drawn(hold, up, middle()));
            }
            if (below(crowns) < -Tolerances.SAME_PLACE) {
                // A squeezed row lies lower than the crowns before: nothing of the template reaches them.
                return drawn(hold, up, middle());
            }
            Optional<LineId> under = hold.valleys().stream()
                    .flatMap(at -> under(at).stream())
                    .map(StitchLine::id)
                    .findFirst();
            if (under.filter(id -> chained.getOrDefault(id, 0) >= Hatching.MOST_CHAINED)
                    .isPresent()) {
                laying.tell(new LayoutDiagnostic.Chained(Hatching.MOST_CHAINED + 1));
                return drawn(hold, crowns);
            }
            return under.map(id -> on(hold, crowns, Optional.of(id), edge())).orElseGet(() -> drawn(hold, crowns));
        }

        /** Half-way up the acrylic, where a line may be drawn. */
        private double middle() {
            return up + (plate.strip().top() - plate.valley()) / 2;
        }

        /** How far something lies below the template's crowns, in inches; below 0 if it lies above them. */
        private double below(double level) {
            return plate.strip().top() - plate.valley() + up - level;
        }

        private Registration.OnRow.Level edge() {
            return level(motif);
        }

        /** The mark under a valley of a template that has no crowns to go by; none where the foot tells. */
        private Optional<Mark> valley(ShellPlate.Hold hold) {
            return isHeldByFoot(hold)
                    ? Optional.empty()
                    : hold.valleys().stream()
                            .map(at -> frame.apply(new Point(at, up)))
                            .filter(this::isOnCloth)
                            .min(Comparator.comparing(this::isCorner))
                            .map(place -> laying.mark(Mark.Kind.VALLEY, place));
        }

        /**
         * Whether the foot in a valley of the first row tells, whichever end the needle begins at, since the bumps on either side
         * hold it.
         */
        private boolean isHeldByFoot(ShellPlate.Hold hold) {
            double to = Math.min(hold.path().end().x(), box.width());
            return before.isEmpty()
                    && laying.space().inTheWay().isEmpty()
                    && Stream.of(Math.max(0, hold.from()), to)
                            .allMatch(end -> isValley(hold, end) && isOnCloth(frame.apply(new Point(end, up))));
        }

        private boolean isOnCloth(Point place) {
            return laying.space().region().covers(place) || laying.space().onEdge(place);
        }

        private static boolean isValley(ShellPlate.Hold hold, double place) {
            return hold.valleys().stream().anyMatch(at -> Math.abs(at - place) < Tolerances.SAME_PLACE);
        }

        private boolean isCorner(Point place) {
            return laying.space().outline().curves().stream()
                    .anyMatch(c -> c.start().distance(place) < Tolerances.SAME_PLACE);
        }

        /** Laid on a line that is drawn across for it, on the first of some levels that has room for one. */
        private Registration drawn(ShellPlate.Hold hold, double... levels) {
            for (double level : levels) {
                if (ClamshellsLayout.this.drawn(new Point(0, level), new Point(box.width(), level))) {
                    return on(hold, level, Optional.empty(), Registration.OnRow.Level.DRAWN_LINE);
                }
            }
            return new Registration.FootOnBothMarks();
        }

        private Registration on(
                ShellPlate.Hold hold, double level, Optional<LineId> row, Registration.OnRow.Level otherwise) {
            StitchingEdge.Strip strip = plate.strip();
            double below = below(level);
            // Rows are a step apart that the engraved line gives; where rows begin, and only there, it may be a little
            // off.
            double off = row.isPresent() ? Tolerances.ON_LINE : Tolerances.CHALK;
            Optional<Mark> valley = row.isPresent() ? Optional.empty() : valley(hold);
            return below < -Tolerances.SAME_PLACE || below > strip.top() - strip.bottom()
                    ? new Registration.FootOnBothMarks()
                    : new Registration.OnRow(strip.across(below, off), Math.max(0, below), row, otherwise, valley);
        }
    }

    /** Where the seam lies that the rows begin beside, counted as the rows are; nothing if there is no level one. */
    private Optional<Double> seam() {
        double edge = edge(laying.space().cloth().box(), motif);
        return isLevel(laying.space(), edge)
                ? Optional.of(frame.undo(new Point(box.left(), edge)).y())
                : Optional.empty();
    }

    private double along(Point place) {
        return frame.undo(place).x();
    }

    /** Draws what of a line lies in the piece, if anything does. */
    private boolean drawn(Point from, Point to) {
        List<Path> lines = laying.kept(Path.of(new Segment(frame.apply(from), frame.apply(to))));
        lines.forEach(laying::draw);
        return !lines.isEmpty();
    }
}
