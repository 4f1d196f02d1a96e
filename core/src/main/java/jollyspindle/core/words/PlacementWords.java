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
        if (placement.tool().isByHand()) {
            return Texts.plainly("lying.by-hand");
        }
        Optional<String> another =
                before.filter(b -> b.tool().equals(placement.tool())).isPresent()
                        ? Optional.empty()
                        : job.template(placement.tool().templateId()).map(Template::name);
        return new Texts(words)
                .say(
                        "lying",
                        "template",
                        another.orElseGet(() -> Texts.plainly("lying.template")),
                        "turn",
                        Words.turn(placement.pose().rotation()),
                        "rotation",
                        placement.pose().rotation(),
                        "over",
                        placement.pose().over(),
                        "facing",
                        placement.tool().edge().map(e -> facing(placement, crown(job, placement.region()))),
                        "turned",
                        before.map(b -> turned(placement, b)),
                        "edge",
                        placement.tool().edge());
    }

    /** How it is turned from how it lay before: {@code as it lay}, {@code turned 12.5° to the left}. */
    public static String turned(Placement now, Placement before) {
        if (!now.tool().templateId().equals(before.tool().templateId())) {
            return Texts.plainly("turned.another");
        }
        if (now.pose().over() != before.pose().over()) {
            return Texts.plainly("turned.over", "down", now.pose().over());
        }
        double by = Angles.normal(now.pose().rotation() - before.pose().rotation());
        if (Math.abs(by) < STILL) {
            return Texts.plainly("turned.moved");
        }
        if (Math.abs(Math.abs(by) - Math.PI) < STILL) {
            return Texts.plainly("turned.round");
        }
        return Texts.plainly("turned.by", "by", by, "quarter", Math.abs(Math.abs(by) - Math.PI / 2) < STILL);
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
        return Texts.plainly("lying.facing." + Math.floorMod(Math.round(quarters), 4L));
    }
}
