package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.cloth.FabricId;
import jollyspindle.core.cloth.ThreadId;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RingShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What of a planned quilt is of which fabric, and which lines are stitched with which thread.
 *
 * @param patches of cloth, those below first
 * @param seams between them
 * @param bound the outer edge, which the binding holds down
 * @param threads of the lines, in the order of stitching
 */
public record ClothParts(List<Patch> patches, List<Path> seams, Path bound, List<Stitching> threads) {

    /** A piece of cloth. */
    public record Patch(FabricId fabric, Path outline) {}

    /** A line with its thread. */
    public record Stitching(ThreadId thread, StitchLine line) {}

    /** The parts of a planned quilt; nothing while it isn't measured. */
    public static Optional<ClothParts> of(WorkPlan plan) {
        return plan.shape().map(shape -> of(plan, shape));
    }

    private static ClothParts of(WorkPlan plan, QuiltShape shape) {
        List<Patch> patches = new ArrayList<>();
        List<Path> seams = new ArrayList<>();
        for (int i = shape.rings().size() - 1; i >= 0; i--) {
            RingShape ring = shape.rings().get(i);
            Path outline = Path.polygon(ring.outer());
            patches.add(new Patch(FabricId.of(GroupId.border(ring.border())), outline));
            seams.add(outline);
        }
        Path body = Path.polygon(shape.body().corners());
        patches.add(new Patch(FabricId.BODY, body));
        seams.add(body);
        shape.cornerSeams().forEach(seam -> seams.add(Path.of(seam)));
        for (RunFrame strip : shape.strips()) {
            Path outline = Path.polygon(strip.rectangle());
            patches.add(new Patch(FabricId.of(strip.id().group()), outline));
            seams.add(outline);
        }
        Map<PieceId, FabricId> fabrics = new HashMap<>();
        for (AreaPlan area : plan.areas()) {
            boolean whole = plan.job().quilt().area(area.id()).orElseThrow() instanceof Area.Body;
            for (AreaPlan.Piece piece : area.pieces()) {
                boolean own = !whole && piece.letter() != AreaDesign.PLAIN;
                FabricId fabric = own ? FabricId.of(area.id(), piece.letter()) : FabricId.BODY;
                fabrics.put(new PieceId(area.id(), piece.number()), fabric);
                if (!whole) {
                    patches.add(new Patch(fabric, piece.cloth().seam()));
                    seams.add(piece.cloth().seam());
                }
            }
        }
        plan.appliques().forEach((id, outline) -> {
            patches.add(new Patch(FabricId.of(id, 'A'), outline));
            seams.add(outline);
        });
        List<Stitching> threads = plan.lines().stream()
                .map(line -> new Stitching(
                        new ThreadId(fabric(line.id(), fabrics), line.id().motif()), line))
                .toList();
        return new ClothParts(List.copyOf(patches), List.copyOf(seams), Path.polygon(shape.outer()), threads);
    }

    private static FabricId fabric(LineId line, Map<PieceId, FabricId> fabrics) {
        if (line.region() instanceof RunId run) {
            return FabricId.of(run.group());
        }
        return Optional.ofNullable(fabrics.get(line.piece())).orElseGet(() -> FabricId.of((AreaId) line.region(), 'A'));
    }

    /** What holds the cloth down. */
    public List<Path> held() {
        return Stream.concat(
                        Stream.of(bound), threads.stream().map(s -> s.line().path()))
                .toList();
    }
}
