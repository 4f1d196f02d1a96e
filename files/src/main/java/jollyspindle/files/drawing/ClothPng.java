package jollyspindle.files.drawing;

import jollyspindle.core.cloth.Grid;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;

/** Pictures a planned quilt as it will look, as PNG. */
public final class ClothPng {

    /** The least width of a picture, in pixels. */
    public static final int NARROWEST = 100;

    /** The most, in pixels. */
    public static final int WIDEST = 6000;

    /** A picture has at most so many pixels, or memory gives out. */
    private static final double MOST_PIXELS = 60e6;

    /** What is seen round the quilt or a part of it, in inches. */
    private static final double AROUND = 1;

    private static final String BODY = "body";

    private ClothPng() {}

    /**
     * The picture as a file's bytes.
     *
     * @param region that it shows, by its lasting name; all of the quilt without one
     * @param width in pixels, {@link #NARROWEST} to {@link #WIDEST}
     * @throws FileTrouble if there is nothing to picture yet, no such region, or the size can't be
     */
    public static byte[] format(WorkPlan plan, Optional<String> region, int width) throws FileTrouble {
        if (width < NARROWEST || width > WIDEST) {
            throw new FileTrouble(FileTexts.say("picture.width", "width", width, "least", NARROWEST, "most", WIDEST));
        }
        QuiltShape shape = plan.shape()
                .orElseThrow(() -> new FileTrouble(FileTexts.say(
                        "drawing.nothing",
                        "finding",
                        new FindingWords(new Words(plan.job().tape())).first(plan.findings()))));
        ClothPicture picture = ClothPicture.of(plan).orElseThrow();
        Box box = (region.isPresent() ? region(plan, shape, region.get()) : picture.box()).grown(AROUND);
        Grid grid = Grid.over(box, width);
        double most = Math.floor(MOST_PIXELS / grid.height());
        if ((double) grid.width() * grid.height() > MOST_PIXELS) {
            throw new FileTrouble(FileTexts.say("picture.big", "width", width, "height", grid.height(), "most", most));
        }
        return png(grid, picture.pixels(grid));
    }

    private static byte[] png(Grid grid, int[] pixels) {
        BufferedImage cloth = new BufferedImage(grid.width(), grid.height(), BufferedImage.TYPE_INT_ARGB);
        cloth.setRGB(0, 0, grid.width(), grid.height(), pixels, 0, grid.width());
        // On white, as paper is: what is see-through is black to some.
        BufferedImage image = new BufferedImage(grid.width(), grid.height(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, grid.width(), grid.height());
        g.drawImage(cloth, 0, 0, null);
        g.dispose();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", bytes);
        } catch (IOException e) {
            throw new IllegalStateException("writing into memory can't fail", e);
        }
        return bytes.toByteArray();
    }

    private static Box region(WorkPlan plan, QuiltShape shape, String code) throws FileTrouble {
        Map<String, Box> all = new LinkedHashMap<>();
        all.put(BODY, box(shape.body().corners()));
        for (RunId run : shape.runs().keySet()) {
            all.put(run.code(), box(shape.region(run)));
        }
        plan.areas()
                .forEach(area -> all.put(
                        area.id().code(),
                        area.pieces().stream()
                                .map(piece -> piece.cloth().seam().box())
                                .reduce(Box::with)
                                .orElseThrow()));
        plan.appliques().forEach((id, outline) -> all.put(id.code(), outline.box()));
        Box found = all.get(code);
        if (found == null) {
            throw new FileTrouble(
                    FileTexts.say("picture.region", "region", code, "all", String.join(", ", all.keySet())));
        }
        return found;
    }

    private static Box box(List<Point> corners) {
        return Path.polygon(corners).box();
    }
}
