package jollyspindle.core.words;

import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.shelf.Material;

import java.util.ArrayList;
import java.util.List;

/** The usual cautions at the machine (common practice, no source). The machine's own manual comes first. */
public final class Cautions {

    /** Said wherever anything is said about machine, foot, needle or thickness. */
    public static final String MANUAL_FIRST = "Your machine's manual and its dealer come first.";

    private Cautions() {}

    /** What applies to a job's pages, as sentences. */
    public static List<String> of(QuiltJob job) {
        List<String> said = new ArrayList<>();
        said.add("Keep fingers at least an inch from the foot, and move them only while the machine stands.");
        said.add("Stop with the needle down before you reposition a template.");
        said.add(
                "Slide templates; don't lift them under the needle. Needle and foot up before a template is taken away.");
        said.add("Use the base plate, and cut loose tails before the template passes over them.");
        job.chosenTemplate().ifPresent(t -> said.add(thickness(t.material(), new Words(job.tape()))));
        said.add("Keep grip tape of the abrasive kind away from fabric shears and slick mats.");
        said.add("Chalk smudges; washable blue is fixed for good by an iron; ink that heat erases may come back in the"
                + " cold. Try the marker on a scrap first.");
        return List.copyOf(said);
    }

    /**
     * Which foot a thickness goes with.
     *
     * @param material the template's
     */
    public static String thickness(Material material, Words words) {
        String pair = material.thin()
                ? "thin templates go with low-shank feet"
                : "thick templates go with high-shank feet and longarms";
        return "This template is " + words.exact(material.thickness()) + " thick: " + pair
                + ". A wrong pair lets the foot ride up over the template, or strikes the needle clamp.";
    }
}
