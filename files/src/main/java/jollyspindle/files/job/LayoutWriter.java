package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Coded;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.files.json.Fields;

import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;

/** From what was decided for borders and strips to a job file's fields. */
final class LayoutWriter {

    /** What stands in the middle, as files name it. */
    enum Middle implements Coded {
        TWO_HALF_ARCS("two-half-arcs"),
        LARGER_ARC("larger-arc"),
        OWN_MOTIF("own-motif"),
        PLAIN("plain");

        private final String code;

        Middle(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /** What takes the leftover, as files name it. */
    enum Over implements Coded {
        ALL("all"),
        ROUND_CENTRE("round-centre"),
        CHOSEN("chosen");

        private final String code;

        Over(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    private LayoutWriter() {}

    static void write(ArrayNode nodes, Map<GroupId, RunLayout> layouts) {
        layouts.forEach((id, layout) -> write(nodes.addObject(), id, layout));
    }

    private static void write(ObjectNode node, GroupId id, RunLayout layout) {
        node.put("id", id.code());
        DesignWriter.write(node, layout.design());
        wish(node.putObject("wish"), layout.wish());
        layout.tie().ifPresent(tie -> node.putObject("tie").put("to", tie.to()).put("ratio", Fields.name(tie.ratio())));
        if (!layout.chosen().isEmpty()) {
            ArrayNode chosen = node.putArray("chosen");
            layout.chosen().forEach((run, school) -> school(chosen.addObject(), run, school));
        }
    }

    private static void wish(ObjectNode node, Wish wish) {
        node.put("repeat", wish.repeat());
        wish.across().ifPresent(n -> node.put("across", n));
        wish.down().ifPresent(n -> node.put("down", n));
        if (wish.parity() != Wish.Parity.ANY) {
            node.put("parity", Fields.name(wish.parity()));
        }
        wish.shortest().ifPresent(inches -> node.put("shortest", inches));
        wish.longest().ifPresent(inches -> node.put("longest", inches));
        wish.school().ifPresent(kind -> node.put("school", Fields.name(kind)));
        if (wish.increment() != Wish.USUAL_INCREMENT) {
            node.put("increment", wish.increment());
        }
    }

    private static void school(ObjectNode node, RunId run, School school) {
        node.put("id", run.code());
        node.put("school", Fields.name(school.kind()));
        if (school instanceof Even even) {
            node.put("count", even.count());
        } else if (school instanceof CornersIn in) {
            node.put("repeat", in.repeat()).put("each", in.each());
            filling(node.putObject("middle"), in.filling());
        } else if (school instanceof CentreOut out) {
            node.put("repeat", out.repeat()).put("count", out.count()).put("ends", Fields.name(out.ends()));
        } else if (school instanceof HalfSteps half) {
            node.put("count", half.count());
        } else if (school instanceof Fudged fudged) {
            node.put("repeat", fudged.repeat()).put("count", fudged.count());
            spread(node.putObject("spread"), fudged.spread());
        } else if (school instanceof ByPiecing piecing) {
            node.put("unit", piecing.unit()).put("units", piecing.units()).put("parts", piecing.parts());
        } else if (school instanceof ByIncrements steps) {
            node.put("step", steps.step()).put("steps", steps.steps());
        } else if (school instanceof ByHand hand) {
            node.put("count", hand.count());
            ArrayNode pins = node.putArray("pins");
            new TreeMap<>(hand.pins())
                    .forEach((valley, along) ->
                            pins.addObject().put("valley", valley).put("along", along));
        }
    }

    private static void filling(ObjectNode node, Filling filling) {
        if (filling instanceof Filling.LargerArc arc) {
            node.put("kind", Fields.name(Middle.LARGER_ARC))
                    .put("template", arc.templateId())
                    .put("edge", arc.guideId());
        } else if (filling instanceof Filling.TwoHalfArcs) {
            node.put("kind", Fields.name(Middle.TWO_HALF_ARCS));
        } else {
            node.put("kind", Fields.name(filling instanceof Filling.OwnMotif ? Middle.OWN_MOTIF : Middle.PLAIN));
        }
    }

    private static void spread(ObjectNode node, Spread spread) {
        if (spread instanceof Spread.RoundCentre round) {
            node.put("over", Fields.name(Over.ROUND_CENTRE)).put("repeats", round.repeats());
        } else if (spread instanceof Spread.Chosen chosen) {
            ArrayNode numbers = node.put("over", Fields.name(Over.CHOSEN)).putArray("numbers");
            new TreeSet<>(chosen.numbers()).forEach(numbers::add);
        } else {
            node.put("over", Fields.name(Over.ALL));
        }
    }

    static void judging(ObjectNode node, Judging judging) {
        node.put("stretchUnseen", judging.stretchUnseen());
        node.put("leftoverAlone", judging.leftoverAlone());
        node.put("mismatchUnseen", judging.mismatchUnseen());
        node.put("squareLimit", judging.squareLimit());
        node.put("mostInAPoint", judging.mostInAPoint());
        node.put("offWanted", judging.offWanted());
        node.put("mismatch", judging.mismatch());
        node.put("stretch", judging.stretch());
        node.put("oddSpace", judging.oddSpace());
        node.put("intoReserve", judging.intoReserve());
        node.put("placement", judging.placement());
        node.put("unlike", judging.unlike());
        node.put("readings", judging.readings());
    }
}
