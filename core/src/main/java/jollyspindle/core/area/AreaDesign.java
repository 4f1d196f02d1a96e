package jollyspindle.core.area;

import java.util.List;
import java.util.Optional;

/**
 * What was decided for an area.
 *
 * @param layers the motifs in the order of stitching, none to {@link #MOST_LAYERS}
 */
public record AreaDesign(List<Layer> layers) {

    public static final int MOST_LAYERS = 6;

    /**
     * One motif.
     *
     * @param motif which
     * @param templateId the job's copy of the template it is stitched with; whichever suits if none is named
     */
    public record Layer(AreaMotif motif, Optional<String> templateId) {}

    public AreaDesign {
        if (layers.size() > MOST_LAYERS) {
            throw new IllegalArgumentException("up to " + MOST_LAYERS + " motifs in an area, not " + layers.size());
        }
        layers = List.copyOf(layers);
    }

    public static AreaDesign nothing() {
        return new AreaDesign(List.of());
    }

    public static AreaDesign of(AreaMotif motif, Optional<String> templateId) {
        return new AreaDesign(List.of(new Layer(motif, templateId)));
    }
}
