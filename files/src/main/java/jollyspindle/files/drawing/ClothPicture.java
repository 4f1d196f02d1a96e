package jollyspindle.files.drawing;

import jollyspindle.core.cloth.ClothLook;
import jollyspindle.core.cloth.Colour;
import jollyspindle.core.cloth.Grid;
import jollyspindle.core.cloth.Relief;
import jollyspindle.core.effort.Effort;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.plan.ClothParts;
import jollyspindle.core.plan.WorkPlan;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Arc2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.List;
import java.util.Optional;

/** Draws a planned quilt as it will look: cloth and thread in their colours, and the relief that the stitching raises. */
public final class ClothPicture {

    private static final int OPAQUE = 0xFF;
    private static final int BYTE = 0xFF;

    /** How thick thread looks, in inches, and how thick it is drawn at least, in pixels. */
    private static final double THREAD = 0.035;

    private static final double THINNEST = 0.8;
    private static final double SEAM = 0.02;

    /** How much darker a seam is than what it is in. */
    private static final double SEAM_SHADE = 0.3;

    /** Single stitches are drawn once one is so long, in pixels. */
    private static final double STITCH_SEEN = 5;

    /** Of each stitch, the cloth covers so much. */
    private static final double BETWEEN = 0.28;

    private final ClothParts parts;
    private final ClothLook look;
    private final List<Path> held;

    private ClothPicture(ClothParts parts, ClothLook look) {
        this.parts = parts;
        this.look = look;
        this.held = parts.held();
    }

    /** What draws a plan; nothing while the quilt isn't measured. */
    public static Optional<ClothPicture> of(WorkPlan plan) {
        return ClothParts.of(plan)
                .map(parts -> new ClothPicture(parts, plan.job().look()));
    }

    /** The box round the quilt, in its frame. */
    public Box box() {
        return parts.bound().box();
    }

    /**
     * The picture, pixel by pixel, row by row: alpha, red, green and blue, eight bits each; nothing beside the quilt.
     *
     * @throws java.util.concurrent.CancellationException if it isn't wanted any more
     */
    public int[] pixels(Grid grid) {
        int[] all = new int[grid.width() * grid.height()];
        int band = Relief.rowsABand(grid);
        int margin = Relief.margin(grid, look.loft());
        for (int first = 0; first < grid.height(); first += band) {
            int above = Math.min(first, margin);
            int rows = Math.min(band, grid.height() - first);
            int below = Math.min(grid.height() - first - rows, margin);
            int[] drawn = band(grid.rows(first - above, above + rows + below));
            System.arraycopy(drawn, above * grid.width(), all, first * grid.width(), rows * grid.width());
        }
        return all;
    }

    private int[] band(Grid grid) {
        BufferedImage image = new BufferedImage(grid.width(), grid.height(), BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        Box seen = grid.box();
        for (ClothParts.Patch patch : parts.patches()) {
            if (patch.outline().box().meets(seen)) {
                g.setColor(colour(look.fabric(patch.fabric())));
                g.fill(traced(grid, patch.outline()));
            }
        }
        g.setColor(new Color(0f, 0f, 0f, (float) SEAM_SHADE));
        g.setStroke(new BasicStroke((float) Math.max(THINNEST, SEAM * grid.scale())));
        for (Path seam : parts.seams()) {
            if (seam.box().meets(seen)) {
                g.draw(traced(grid, seam));
            }
        }
        Effort.step();
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        raise(pixels, Relief.of(grid, held, look.loft()));
        Effort.step();
        stitch(g, grid, seen);
        g.dispose();
        return pixels;
    }

    private static void raise(int[] pixels, Relief relief) {
        int width = relief.grid().width();
        for (int i = 0; i < pixels.length; i++) {
            int pixel = pixels[i];
            if (pixel != 0) {
                double bright = relief.brightness(i % width, i / width);
                pixels[i] = pixel & OPAQUE << 24
                        | lit(pixel >> 16 & BYTE, bright) << 16
                        | lit(pixel >> 8 & BYTE, bright) << 8
                        | lit(pixel & BYTE, bright);
            }
        }
    }

    private static int lit(int own, double bright) {
        return bright <= 1 ? (int) (own * bright) : (int) Math.min(BYTE, own + (BYTE - own) * (bright - 1));
    }

    private void stitch(Graphics2D g, Grid grid, Box seen) {
        double length = grid.scale() / look.stitchesAnInch();
        float thick = (float) Math.max(THINNEST, THREAD * grid.scale());
        BasicStroke whole = new BasicStroke(thick, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND);
        float gap = (float) (length * BETWEEN);
        BasicStroke single = length < STITCH_SEEN
                ? whole
                : new BasicStroke(
                        thick,
                        BasicStroke.CAP_BUTT,
                        BasicStroke.JOIN_ROUND,
                        1,
                        new float[] {(float) length - gap, gap},
                        0);
        g.setStroke(single);
        Box near = seen.grown(THREAD);
        for (ClothParts.Stitching one : parts.threads()) {
            if (one.line().path().box().meets(near)) {
                g.setColor(colour(look.thread(one.thread())));
                g.draw(traced(grid, one.line().path()));
            }
        }
    }

    private static Color colour(Colour colour) {
        return new Color(colour.rgb());
    }

    private static Path2D traced(Grid grid, Path path) {
        Path2D traced = new Path2D.Double();
        for (Curve curve : path.curves()) {
            if (curve instanceof Arc arc) {
                double r = arc.radius() * grid.scale();
                traced.append(
                        new Arc2D.Double(
                                grid.column(arc.centre()) - r,
                                grid.row(arc.centre()) - r,
                                2 * r,
                                2 * r,
                                Math.toDegrees(arc.startAngle()),
                                Math.toDegrees(arc.sweep()),
                                Arc2D.OPEN),
                        true);
            } else {
                traced.append(
                        new Line2D.Double(
                                grid.column(curve.start()),
                                grid.row(curve.start()),
                                grid.column(curve.end()),
                                grid.row(curve.end())),
                        true);
            }
        }
        if (path.closed()) {
            traced.closePath();
        }
        return traced;
    }
}
