package jollyspindle.core.words;

import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.shelf.Material;

import java.util.ArrayList;
import java.util.List;

/** The usual cautions at the machine (common practice, no source). The machine's own manual comes first. */
public final class Cautions {

    /** Said wherever anything is said about machine, foot, needle or thickness. */
    public static final String MANUAL_FIRST = Texts.plainly("caution.manual");

    private Cautions() {}

    /** What applies to a job's pages, as sentences. */
    public static List<String> of(QuiltJob job) {
        List<String> said = new ArrayList<>();
        List.of("fingers", "needle-down", "slide", "base-plate").forEach(c -> said.add(caution(c)));
        job.chosenTemplate().ifPresent(t -> said.add(thickness(t.material(), new Words(job.tape()))));
        List.of("grip", "markers").forEach(c -> said.add(caution(c)));
        return List.copyOf(said);
    }

    /**
     * Which foot a thickness goes with.
     *
     * @param material the template's
     */
    public static String thickness(Material material, Words words) {
        return new Texts(words).say("caution.thickness", "thickness", material.thickness(), "thin", material.thin());
    }

    private static String caution(String of) {
        return Texts.plainly("caution." + of);
    }
}
