package jollyspindle.core.words;

import jollyspindle.core.plan.QuiltJob;

import java.util.ArrayList;
import java.util.List;

/** The usual cautions at the machine (common practice, no source). The machine's own manual comes first. */
public final class Cautions {

    /** Said wherever anything is said about machine, foot, needle or thickness. */
    public static final String MANUAL_FIRST = "Your machine's manual and its dealer come first.";

    /** Thinner than this, in inches, a template is one of the thin sort (3 mm), else one of the thick (6 mm). */
    private static final double THIN_BELOW = 0.18;

    private Cautions() {}

    /** What applies to a job's pages, as sentences. */
    public static List<String> of(QuiltJob job) {
        List<String> said = new ArrayList<>();
        said.add("Keep fingers at least an inch from the foot, and move them only while the machine stands.");
        said.add("Stop with the needle down before you reposition a template.");
        said.add(
                "Slide templates; don't lift them under the needle. Needle and foot up before a template is taken away.");
        said.add("Use the base plate, and cut loose tails before the template passes over them.");
        job.template().ifPresent(t -> said.add(thickness(t.thickness(), new Words(job.tape()))));
        said.add("Keep grip tape of the abrasive kind away from fabric shears and slick mats.");
        said.add("Chalk smudges; washable blue is fixed for good by an iron; ink that heat erases may come back in the"
                + " cold. Try the marker on a scrap first.");
        return List.copyOf(said);
    }

    /**
     * Which foot a thickness goes with.
     *
     * @param inches the template's thickness
     */
    public static String thickness(double inches, Words words) {
        String pair = inches < THIN_BELOW
                ? "thin templates go with low-shank feet"
                : "thick templates go with high-shank feet and longarms";
        return "This template is " + words.exact(inches) + " thick: " + pair
                + ". A wrong pair lets the foot ride up over the template, or strikes the needle clamp.";
    }
}
