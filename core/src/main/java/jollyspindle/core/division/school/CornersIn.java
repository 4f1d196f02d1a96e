package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Whole repeats of a fixed length from both corners; the space in the middle gets a motif of its own.
 *
 * @param each how many repeats from each corner
 * @param filling what stands on the space in the middle
 */
public record CornersIn(double repeat, int each, Filling filling) implements School {

    private static final Param.Length<CornersIn> REPEAT =
            Param.length("repeat", QuiltRules.SMALLEST, QuiltRules.LONGEST, CornersIn::repeat);
    private static final Param.Whole<CornersIn> EACH = Param.whole("each", 1, Counts.MOST / 2, CornersIn::each);
    private static final Param.Own<CornersIn, Filling> MIDDLE = Param.own("middle", Filling.class, CornersIn::filling);

    public static final SchoolType<CornersIn> TYPE =
            new SchoolType<>(
                    SchoolKind.CORNERS_IN,
                    CornersIn.class,
                    Params.of(
                            v -> new CornersIn(v.get(REPEAT), v.get(EACH), v.get(MIDDLE)),
                            Params.row(REPEAT, EACH),
                            Params.row(MIDDLE))) {

                @Override
                public List<CornersIn> options(Asked asked) {
                    return asked.fixed()
                            .flatMap(repeat -> ofRepeat(asked, repeat))
                            .toList();
                }

                @Override
                public Optional<CornersIn> near(Now now) {
                    return most(now.length(), now.wanted());
                }

                @Override
                public Object look(CornersIn school) {
                    // What stands in the odd space, whatever its size and its template.
                    return school.filling().getClass();
                }
            };

    private static Stream<CornersIn> ofRepeat(Asked asked, double repeat) {
        int most = (int) Math.floor(asked.shortest() / (2 * repeat) + NOTHING);
        List<Filling> fillings = new ArrayList<>(List.of(new Filling.TwoHalfArcs(), new Filling.OwnMotif()));
        asked.set().others().forEach(t -> fillings.add(new Filling.LargerArc(t.templateId(), t.guideId())));
        return IntStream.of(most, most - 1)
                .filter(each -> each >= 1 && each <= Counts.MOST && asked.isWished(2 * each))
                .boxed()
                .flatMap(each -> fillings.stream()
                        .filter(f -> asked.isWelcome(2 * each + (f instanceof Filling.OwnMotif ? 0 : 1)))
                        .map(f -> new CornersIn(repeat, each, f)));
    }

    /** With a motif of its own in the middle. */
    public CornersIn(double repeat, int each) {
        this(repeat, each, new Filling.OwnMotif());
    }

    public CornersIn {
        Repeats.checkRepeat(repeat);
        Repeats.atLeastOne(each);
        if (2 * each > Counts.MOST) {
            throw new IllegalArgumentException(Refusals.say("school.corners-in", "each", each, "most", Counts.MOST));
        }
    }

    /** With as many repeats as there is room for; nothing if there isn't room for one from each corner. */
    public static Optional<CornersIn> most(double length, double repeat) {
        int each = (int) Math.floor(length / (2 * repeat) + NOTHING);
        return each < 1 || 2 * each > Counts.MOST ? Optional.empty() : Optional.of(new CornersIn(repeat, each));
    }

    @Override
    public Optional<Filling> inMiddle() {
        return Optional.of(filling);
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.CORNERS_IN;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return each + by < 1 || 2 * (each + by) > Counts.MOST
                ? Optional.empty()
                : Optional.of(new CornersIn(repeat, each + by, filling));
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        double space = length - 2 * each * repeat;
        if (space < -NOTHING) {
            return Optional.empty();
        }
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < each; i++) {
            cells.add(new Cell(Cell.Kind.REPEAT, i * repeat, (i + 1) * repeat));
        }
        double right = length - each * repeat;
        if (space > NOTHING) {
            cells.add(new Cell(Cell.Kind.MIDDLE, each * repeat, right));
        }
        for (int i = each; i > 0; i--) {
            cells.add(new Cell(Cell.Kind.REPEAT, length - i * repeat, length - (i - 1) * repeat));
        }
        return Optional.of(new RunDivision(repeat, cells));
    }
}
