package jollyspindle.files.drawing;

import jollyspindle.core.cloth.ClothLook;
import jollyspindle.core.cloth.Colour;
import jollyspindle.core.cloth.FabricId;
import jollyspindle.core.cloth.Grid;
import jollyspindle.core.cloth.Loft;
import jollyspindle.core.cloth.ThreadId;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.files.FileTrouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.Optional;
import javax.imageio.ImageIO;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** The picture of the demo as it will look, read pixel by pixel. */
class ClothPictureTest {

    private static final Colour CLOTH = new Colour(0x8899AA);
    private static final Colour THREAD = new Colour(0xFF0000);
    private static final FabricId BORDER = FabricId.of(GroupId.border(1));

    private static WorkPlan plan(Loft loft) {
        return Planner.plan(DemoJob.heronWeir()
                .with(ClothLook.usual()
                        .with(loft)
                        .with(BORDER, CLOTH)
                        .with(FabricId.BODY, new Colour(0x556677))
                        .with(new ThreadId(BORDER, 1), THREAD)));
    }

    private static int at(Grid grid, int[] pixels, Point place) {
        int row = (int) grid.row(place);
        int column = (int) grid.column(place);
        return pixels[row * grid.width() + column];
    }

    @Test
    void colourOfClothAndThreadAreWhereTheyLie() {
        WorkPlan plan = plan(Loft.THIN);
        ClothPicture picture = ClothPicture.of(plan).orElseThrow();
        Grid grid = Grid.over(picture.box().grown(1), 1500);
        int[] pixels = picture.pixels(grid);
        assertThat(at(grid, pixels, new Point(0, 0))).as("the body").isEqualTo(0xFF556677);
        assertThat(at(grid, pixels, new Point(picture.box().right() + 0.5, 0)))
                .as("beside the quilt")
                .isZero();
        // Between arcs and binding, level and as it was chosen.
        Point free = plan.run(Side.TOP).orElseThrow().frame().place(20, 5);
        assertThat(at(grid, pixels, free)).isEqualTo(0xFF000000 | CLOTH.rgb());
        int red = 0;
        for (StitchLine line : plan.lines()) {
            int pixel = at(grid, pixels, line.path().curves().get(0).at(0.5));
            red += (pixel >> 16 & 0xFF) > (pixel & 0xFF) + 60 ? 1 : 0;
        }
        assertThat(red)
                .as("lines in their thread's colour")
                .isEqualTo(plan.lines().size());
    }

    /** More batting, deeper shadows: measured beside the first arc's crown. */
    @Test
    void loftMakesTheReliefDeeper() {
        double[] dark = new double[Loft.values().length];
        for (Loft loft : Loft.values()) {
            WorkPlan plan = plan(loft);
            ClothPicture picture = ClothPicture.of(plan).orElseThrow();
            Point crown = plan.lines().get(0).path().curves().get(0).at(0.5);
            Grid grid = new Grid(40, crown.x() - 2, crown.y() + 2, 160, 160);
            int[] pixels = picture.pixels(grid);
            for (int pixel : pixels) {
                dark[loft.ordinal()] += CLOTH.blue() - Math.min(CLOTH.blue(), pixel & 0xFF);
            }
        }
        assertThat(dark[1]).isGreaterThan(dark[0] * 1.3);
        assertThat(dark[2]).isGreaterThan(dark[1] * 1.3);
    }

    @ParameterizedTest
    @CsvSource({", 300, 300, 350", "top, 600, 600, 63", "body, 400, 400, 479"})
    void pngsHaveTheSizeAskedFor(String region, int width, int wide, int high) throws Exception {
        BufferedImage image = ImageIO.read(
                new ByteArrayInputStream(ClothPng.format(plan(Loft.MEDIUM), Optional.ofNullable(region), width)));
        assertThat(image.getWidth()).isEqualTo(wide);
        assertThat((double) image.getHeight()).isCloseTo(high, within(2.0));
        // An inch round the quilt is seen, white; the body has its border there.
        assertThat((image.getRGB(1, 1) & 0xFFFFFF) == 0xFFFFFF).isEqualTo(!"body".equals(region));
    }

    /** Pictures in many bands show what those in one do. */
    @Test
    void largePicturesAreWhole() {
        ClothPicture picture = ClothPicture.of(plan(Loft.MEDIUM)).orElseThrow();
        Box box = picture.box();
        Grid whole = Grid.over(box, 2400);
        int[] all = picture.pixels(whole);
        // About where the second band begins.
        int first = 2_000_000 / 2400 - 40;
        Grid part = whole.rows(first, 80);
        Grid around = whole.rows(first - 60, 200);
        int[] own = picture.pixels(around);
        int same = 0;
        for (int i = 0; i < part.width() * part.height(); i++) {
            int a = all[first * whole.width() + i];
            int b = own[60 * whole.width() + i];
            same += Math.abs((a & 0xFF) - (b & 0xFF)) <= 2 ? 1 : 0;
        }
        assertThat(same).isGreaterThan((int) (0.995 * part.width() * part.height()));
    }

    @Test
    void whatCannotBePicturedIsTold() {
        WorkPlan plan = plan(Loft.MEDIUM);
        assertThatThrownBy(() -> ClothPng.format(plan, Optional.of("attic"), 500))
                .isInstanceOf(FileTrouble.class)
                .hasMessage("There is no “attic” on this quilt. There are: body, top, right, bottom, left.");
        assertThatThrownBy(() -> ClothPng.format(plan, Optional.empty(), 6001))
                .hasMessage("A picture 6001 pixels wide can't be had: 100 to 6000 are possible.");
        assertThatThrownBy(() -> ClothPng.format(plan, Optional.of("left"), 6000))
                .hasMessageContaining("is too big");
        WorkPlan nothing = Planner.plan(DemoJob.heronWeir().withQuilt(Quilt.unmeasured()));
        assertThatThrownBy(() -> ClothPng.format(nothing, Optional.empty(), 500))
                .hasMessageStartingWith("There is nothing to draw yet.");
    }
}
