package jollyspindle.core.inspection;

import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Concern;

import java.util.List;
import java.util.Optional;

/** Something a quilter should know before a stitch is sewn; as numbers, said in words elsewhere. */
public sealed interface Finding {

    /** How bad it is. */
    enum Severity {
        /** It can't be stitched so. */
        PROBLEM,
        /** It can, but something will show or be lost. */
        WARNING,
        /** Good to know. */
        NOTE
    }

    Severity severity();

    /** A short, lasting name for files and scripts. */
    String code();

    /** The side it is about, if it is about one. */
    default Optional<Side> side() {
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
        public String code() {
            return "not-measured";
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
        public String code() {
            return "sides-dont-meet";
        }

        @Override
        public Optional<Side> side() {
            return Optional.of(odd);
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Measure(Dimension.body(odd)));
        }
    }

    /** No template is chosen, or the one chosen isn't on the job's shelf. */
    record NoTemplate() implements Finding {
        @Override
        public Severity severity() {
            return Severity.PROBLEM;
        }

        @Override
        public String code() {
            return "no-template";
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
        public String code() {
            return "template-useless";
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.SeeShelf());
        }
    }

    /** Something about the chosen template wants another look. */
    record TemplateConcern(String template, Concern concern) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public String code() {
            return "template-concern";
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
        public String code() {
            return "changed-on-shelf";
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
        public String code() {
            return "not-on-shelf";
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
    record RepeatTooWide(Side where, double repeat, double widest, Optional<Remedy> remedy) implements Finding {
        @Override
        public Severity severity() {
            return Severity.PROBLEM;
        }

        @Override
        public String code() {
            return "repeat-too-wide";
        }

        @Override
        public Optional<Side> side() {
            return Optional.of(where);
        }
    }

    /**
     * Crowns stand into the strip where nothing may be stitched.
     *
     * @param by how far, in inches
     * @param reserve how deep that strip is, in inches; a crown further in has left the cloth
     */
    record IntoReserve(Side where, double by, double reserve, Optional<Remedy> remedy) implements Finding {
        @Override
        public Severity severity() {
            return offTheCloth() ? Severity.PROBLEM : Severity.WARNING;
        }

        public boolean offTheCloth() {
            return by >= reserve;
        }

        @Override
        public String code() {
            return "into-reserve";
        }

        @Override
        public Optional<Side> side() {
            return Optional.of(where);
        }
    }

    /** Nothing of the template can be laid on the seam. */
    record SeamOffPlate(Side where) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public String code() {
            return "seam-off-plate";
        }

        @Override
        public Optional<Side> side() {
            return Optional.of(where);
        }
    }

    /**
     * Each arc takes several placements.
     *
     * @param parts how many
     * @param sweep what an arc takes, in radians
     * @param usable what the template has, in radians
     */
    record SeveralPlacements(Side where, int parts, double sweep, double usable) implements Finding {
        @Override
        public Severity severity() {
            return Severity.NOTE;
        }

        @Override
        public String code() {
            return "several-placements";
        }

        @Override
        public Optional<Side> side() {
            return Optional.of(where);
        }
    }

    /**
     * Opposite sides measure so differently that it will be seen, or that the tape was misread.
     *
     * @param where the longer of the two
     * @param by how much longer, in inches
     */
    record OppositeSidesDiffer(Side where, double by) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public String code() {
            return "opposite-sides-differ";
        }

        @Override
        public Optional<Side> side() {
            return Optional.of(where);
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Measure(Dimension.body(where)));
        }
    }

    /**
     * The diagonals differ, so the quilt leans.
     *
     * @param by how much longer the one from top left to bottom right is, in inches
     */
    record Leans(double by) implements Finding {
        @Override
        public Severity severity() {
            return Severity.WARNING;
        }

        @Override
        public String code() {
            return "leans";
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
        public String code() {
            return "diagonals-dont-fit";
        }

        @Override
        public Optional<Remedy> remedy() {
            return Optional.of(new Remedy.Measure(Dimension.DIAGONAL_DOWN));
        }
    }
}
