package jollyspindle.core.words;

import jollyspindle.core.geometry.Angles;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.Template;

import java.util.Optional;

/** Says how a template lies, and how it is turned from how it lay before. */
public record PlacementWords(Words words) {

    /** Turns of less than this, in radians, are none. */
    private static final double STILL = Math.toRadians(0.5);

    /**
     * How it lies: {@code Template a quarter turn to the left (90°), crown to the outer edge; the bulging edge}.
     *
     * @param before the placement before, if there is one
     */
    public String lying(QuiltJob job, Placement placement, Optional<Placement> before) {
        String name = before.filter(b -> b.tool().equals(placement.tool())).isPresent()
                ? "Template "
                : job.template(placement.tool().templateId())
                                .map(Template::name)
                                .orElse("Template") + " ";
        return name + Words.turn(placement.pose().rotation()) + " ("
                + Words.degrees(placement.pose().rotation()) + ")"
                + (placement.pose().over() ? ", face down" : "")
                + placement
                        .tool()
                        .edge()
                        .map(e -> ", " + facing(placement, crown(job, placement.region())))
                        .orElse("")
                + before.map(b -> "; " + turned(placement, b)).orElse("")
                + placement.tool().edge().map(e -> "; " + Words.edge(e)).orElse("");
    }

    /** How it is turned from how it lay before: {@code as it lay}, {@code turned 12.5° to the left}. */
    public static String turned(Placement now, Placement before) {
        if (!now.tool().templateId().equals(before.tool().templateId())) {
            return "another template";
        }
        if (now.pose().over() != before.pose().over()) {
            return now.pose().over() ? "turned over, face down" : "turned over, face up again";
        }
        double by = Angles.normal(now.pose().rotation() - before.pose().rotation());
        if (Math.abs(by) < STILL) {
            return "as it lay, moved on";
        }
        if (Math.abs(Math.abs(by) - Math.PI) < STILL) {
            return "turned right round";
        }
        boolean quarter = Math.abs(Math.abs(by) - Math.PI / 2) < STILL;
        return "turned " + (quarter ? "a quarter turn" : Words.degrees(Math.abs(by)))
                + (by > 0 ? " to the left" : " to the right") + " from how it lay";
    }

    /** How a template lies whose crown points to the region's outer edge; in an area, to the quilt's top. */
    private static double crown(QuiltJob job, RegionId region) {
        if (region instanceof RunId.StripRun strip) {
            return job.quilt()
                    .strip(strip.group())
                    .orElseThrow()
                    .frame(strip.number())
                    .rotation();
        }
        return region instanceof RunId run ? -run.side().orElseThrow().ordinal() * Math.PI / 2 : 0;
    }

    /** Where a round edge's crown points, seen from the run. */
    private static String facing(Placement placement, double upright) {
        double from = Angles.normal(placement.pose().rotation() - upright);
        double quarters = from / (Math.PI / 2);
        return switch ((int) Math.floorMod(Math.round(quarters), 4L)) {
            case 0 -> "crown to the outer edge";
            case 1 -> "crown to the run's left end";
            case 2 -> "crown to the seam";
            default -> "crown to the run's right end";
        };
    }
}
