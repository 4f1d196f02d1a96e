package jollyspindle.core.inspection;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.code.Codes;
import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.TemplateDiagnostic;

import java.util.List;
import java.util.Optional;

/**
 * Something a quilter should know before a stitch is sewn; as numbers, said in words elsewhere. The page is long since it is the
 * list of all there is to find, a short record each.
 */
public sealed interface Finding {

    /** What stands on a run. */
    sealed interface OnRun extends Finding {

        RunId where();

        @Override
        default Optional<RunId> run() {
            return Optional.of(where());
        }
    }

    /** How bad it is. */
    enum Severity {
        /** It can't be stitched so. */
        PROBLEM,
        /** It can, but something will show or be lost. */
        WARNING,
        /** Good to know. */
        NOTE;

        static Severity of(Diagnostic diagnostic) {
            return switch (diagnostic.weight()) {
                case STOPS -> PROBLEM;
                case WARNS -> WARNING;
                case INFORMS -> NOTE;
            };
        }
    }

    Severity severity();

    /** A short, lasting name for files and scripts. */
    default String code() {
        return Codes.ofKind(this);
    }

    /** The run it is about, if it is about one. */
    default Optional<RunId> run() {
        return Optional.empty();
    }

    /** The place it is about, in the quilt's frame, if it is about one that a run doesn't tell. */
    default Optional<Point> place() {
        return Optional.empty();
    }

    default Optional<Remedy> remedy() {
        return Optional.empty();
    }

    /** Something needed isn't measured yet. */
    record NotMeasured(List<Dimension> missing) implements Finding {
        @Override
        public Severity severity() {
            return Severity.PROBLEM;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Measure(missing.get(0)));
        }
    }

    /**
     * With sides like these the corners can't be anything like square, so nothing can be drawn.
     *
     * @param odd the side that differs most from its opposite, or the longest
     */
    record SidesDontMeet(Side odd) implements Finding {
        @Override
        public Severity severity() {
            return Severity.PROBLEM;
        }

        @Override
        public Optional<RunId> run() {
            return Optional.of(RunId.of(odd));
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Measure(Dimension.body(odd)));
        }
    }

    /** No template is chosen, or the one chosen isn't on the job's shelf. */
    record NoTemplate(RunId where) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.PROBLEM;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.SeeShelf());
        }
    }

    /** The chosen template has no edge that this foot could follow. */
    record TemplateUseless(String template, ArcTemplate.Difficulty why, double edgeRadius, double footRadius)
            implements Finding {
        @Override
        public Severity severity() {
            return Severity.PROBLEM;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.SeeShelf());
        }
    }

    /** Something about the chosen template wants another look. */
    record TemplateTrouble(String template, TemplateDiagnostic diagnostic) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.SeeShelf());
        }
    }

    /** The shelf's copy of a template has changed since the job took its own. */
    record ChangedOnShelf(String template, String templateId) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.TakeFromShelf(templateId));
        }
    }

    /** The job uses a template that isn't on the shelf. */
    record NotOnShelf(String template, String templateId) implements Finding {
        @Override
        public Severity severity() {
            return Severity.NOTE;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.PutOnShelf(templateId));
        }
    }

    /**
     * A repeat is wider than the circle the template stitches, so nothing is planned on this side.
     *
     * @param repeat in inches
     * @param widest what the template can span, in inches
     */
    record RepeatTooWide(RunId where, double repeat, double widest, Optional<Remedy> remedy) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.PROBLEM;
        }
    }

    /**
     * Crowns stand into the strip where nothing may be stitched.
     *
     * @param by how far, in inches
     * @param reserve how deep that strip is, in inches; a crown further in has left the cloth
     * @param outermost whether the quilt's edge lies beyond; otherwise another piece of cloth
     */
    record IntoReserve(RunId where, double by, double reserve, boolean outermost, Optional<Remedy> remedy)
            implements OnRun {
        @Override
        public Severity severity() {
            return offTheCloth() ? Severity.PROBLEM : Severity.WARNING;
        }

        public boolean offTheCloth() {
            return outermost && by >= reserve;
        }

        /** How far past the quilt's edge they stand, in inches. */
        public double past() {
            return by - reserve;
        }
    }

    /**
     * Opposite sides have unlike counts.
     *
     * @param where on the side with more
     * @param here how many repeats it has
     * @param opposite how many the other has
     * @param remedy the counts alike
     */
    record CountsDiffer(RunId where, int here, int opposite, Optional<Remedy> remedy) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }
    }

    /**
     * Repeats differ so much that it will be seen.
     *
     * @param where it is worst
     * @param by the longest less the shortest, in inches
     * @param unseen what nobody sees, in inches
     * @param within whether on one run; otherwise from side to side
     * @param remedy a way with less of it
     */
    record StretchSeen(RunId where, double by, double unseen, boolean within, Optional<Remedy> remedy)
            implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }
    }

    /**
     * A repeat at a corner is unlike the others, which everybody sees.
     *
     * @param width of it, in inches
     * @param usual of the others, in inches
     * @param remedy a way without it
     */
    record OddAtCorner(RunId where, double width, double usual, Optional<Remedy> remedy) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }
    }

    /**
     * Stepping the repeat off along the tape would end beside the corner, where marking from one zero doesn't.
     *
     * @param where it is worst
     * @param repeat in inches
     * @param count of steps
     * @param ends how much too far out, in inches; below 0 short
     */
    record SteppingEndsOff(RunId where, double repeat, int count, double ends) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.NOTE;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.SeeMarks(where));
        }
    }

    /**
     * No way fulfils what was wished for.
     *
     * @param where the first run of those divided together
     * @param wish that can't be fulfilled
     * @param shortest repeat of a range that has a way, in inches; 0 if none has
     * @param longest repeat of that range, in inches
     */
    record NoSolution(RunId where, Wish wish, double shortest, double longest) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return shortest > 0
                    ? Optional.of(new Remedy.AllowRange(where.group(), shortest, longest))
                    : Optional.empty();
        }
    }

    /**
     * What was chosen for a run no longer comes out on it, so it follows the best candidate.
     *
     * @param chosen school
     * @param length of the run, in inches
     */
    record ChoiceGone(RunId where, School chosen, double length) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.FollowBest(where.group()));
        }
    }

    /**
     * An odd space carries nothing yet.
     *
     * @param width of it, in inches
     * @param why it carries nothing
     */
    record SpaceEmpty(RunId where, double width, Figure.Why why, Optional<Remedy> remedy) implements OnRun {
        @Override
        public Severity severity() {
            return why == Figure.Why.DONT_MEET || why == Figure.Why.NO_TEMPLATE ? Severity.WARNING : Severity.NOTE;
        }
    }

    /** A border is tied to one inside that isn't divided in a way it can follow. */
    record TieBroken(RunId where, Tie tie) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Untie(where.group()));
        }
    }

    /**
     * A border's inner seam measures otherwise than body and borders inside it add up to.
     *
     * @param by how much longer it measures, in inches
     */
    record SeamDiffers(RunId where, double by) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            RunId.BorderRun border = (RunId.BorderRun) where;
            return Optional.of(new Remedy.Measure(Dimension.seam(border.border(), border.where())));
        }
    }

    /** A strip doesn't lie on the quilt. */
    record StripOffQuilt(RunId where) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }
    }

    /** Nothing of the template can be laid on the seam. */
    record SeamOffPlate(RunId where) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }
    }

    /**
     * Each arc takes several placements.
     *
     * @param parts how many
     * @param sweep what an arc takes, in radians
     * @param usable what the template has, in radians
     */
    record SeveralPlacements(RunId where, int parts, double sweep, double usable) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.NOTE;
        }
    }

    /**
     * Opposite sides measure so differently that it will be seen, or that the tape was misread.
     *
     * @param where the longer of the two
     * @param by how much longer, in inches
     * @param eased whether both are planned alike already
     */
    record OppositeSidesDiffer(Side where, double by, boolean eased) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<RunId> run() {
            return Optional.of(RunId.of(where));
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(eased ? new Remedy.Measure(Dimension.body(where)) : new Remedy.Ease(where, Easing.MEAN));
        }
    }

    /**
     * The diagonals differ, so the quilt leans.
     *
     * @param by how much longer the one from top left to bottom right is, in inches
     * @param angle how far the worst corner is off square, in radians
     */
    record Leans(double by, double angle) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Measure(Dimension.DIAGONAL_DOWN));
        }
    }

    /**
     * Sides and diagonals can't all be right.
     *
     * @param by how much longer the diagonals are than the sides allow, in inches
     */
    record DiagonalsDontFit(double by) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Measure(Dimension.DIAGONAL_DOWN));
        }
    }

    /**
     * A motif in an area isn't laid out as it was asked for, or there is something to know about it.
     *
     * @param area it is in
     * @param letter of the blocks
     * @param lettered whether there are others
     * @param layer which motif, from 1; 0 for all of them together
     * @param what is the matter
     * @param redesign another design without it, if there is one
     */
    record AreaTrouble(
            AreaId area, char letter, boolean lettered, int layer, Diagnostic what, Optional<AreaDesign> redesign)
            implements Finding {

        /** Whether it is about pieces that are left plain. */
        public boolean plain() {
            return letter == AreaDesign.PLAIN;
        }

        @Override
        public Severity severity() {
            return Severity.of(what);
        }

        @Override
        public String code() {
            return "area-" + Codes.ofKind(what);
        }

        @Override
        public Optional<Remedy> remedy() {
            boolean shelf = onShelf(what) || what instanceof AreaDiagnostic.RingMissing;
            return redesign.<Remedy>map(better -> new Remedy.RedesignArea(area, better))
                    .or(() -> shelf ? Optional.of(new Remedy.SeeShelf()) : Optional.empty());
        }

        @Override
        public Optional<Point> place() {
            return what.where();
        }
    }

    /**
     * The fans of one border or strip have more arcs than those of another.
     *
     * @param where the first run with more
     * @param blades of the fans there
     * @param fewest arcs that fans have elsewhere
     * @param alike the design with as few here
     */
    record FansDiffer(RunId where, int blades, int fewest, Design alike) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Redesign(where.group(), alike));
        }
    }

    /**
     * A run doesn't come out as the corners ask.
     *
     * @param where it is
     * @param ask what the corners ask for
     * @param count of repeats there
     * @param better the way that is as asked, if there is one
     */
    record CornersGiveWay(RunId where, CornerAsk ask, int count, Optional<Remedy> better) implements OnRun {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public Optional<Remedy> remedy() {
            return better;
        }
    }

    /**
     * A motif isn't laid out as it was asked for, or there is something to know about it.
     *
     * @param where it is
     * @param layer which motif of the run, from 1
     * @param motif what it is
     * @param diagnostic what is the matter
     * @param redesign the design that hasn't the trouble
     */
    record MotifTrouble(RunId where, int layer, Motif motif, Diagnostic diagnostic, Optional<Design> redesign)
            implements Diagnosed {
        @Override
        public String code() {
            return "motif-" + Codes.ofKind(diagnostic);
        }
    }

    /**
     * A corner's motif isn't laid out as it was asked for.
     *
     * @param where the run at whose left end the corner is
     * @param corner what was asked for
     * @param diagnostic what is the matter
     * @param redesign the design that hasn't the trouble
     */
    record CornerTrouble(RunId where, CornerDesign.Kind corner, Diagnostic diagnostic, Optional<Design> redesign)
            implements Diagnosed {
        @Override
        public String code() {
            return "corner-" + Codes.ofKind(diagnostic);
        }
    }

    /** Whether it is mended by another template. */
    private static boolean onShelf(Diagnostic what) {
        return what instanceof LayoutDiagnostic.NoTool || what instanceof LayoutDiagnostic.FootStaysOut;
    }

    /** What a motif or a corner's motif tells. */
    sealed interface Diagnosed extends OnRun {

        Diagnostic diagnostic();

        /** The design that hasn't the trouble. */
        Optional<Design> redesign();

        @Override
        default Severity severity() {
            return Severity.of(diagnostic());
        }

        @Override
        default Optional<Remedy> remedy() {
            return redesign()
                    .<Remedy>map(d -> new Remedy.Redesign(where().group(), d))
                    .or(() -> onShelf(diagnostic()) ? Optional.of(new Remedy.SeeShelf()) : Optional.empty());
        }
    }
}
