package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.FillRule;
import javafx.scene.text.TextAlignment;

/** Draws a template at home with what it stitches: acrylic see-through, engraved lines dashed, stitching solid. */
public final class TemplatePainter {

    private static final double FONT = 14;

    private final Stitching stitching;
    private final Look look;
    private final Palette p;
    private final GraphicsContext g;
    private final View view;
    private final List<double[]> taken = new ArrayList<>();

    TemplatePainter(Stitching stitching, Look look, GraphicsContext g, View view) {
        this.stitching = stitching;
        this.look = look;
        this.p = look.palette();
        this.g = g;
        this.view = view;
    }

    /** The box round the acrylic and what it stitches; a small one where there is nothing. */
    static Box extent(Stitching stitching) {
        Box box = stitching.cut().box().orElse(new Box(-1, -1, 1, 1));
        for (Stitching.Line line : stitching.lines()) {
            for (Path path : line.paths()) {
                box = box.with(path.box());
            }
        }
        return box;
    }

    /** The acrylic. */
    void plate() {
        g.setFillRule(FillRule.EVEN_ODD);
        g.setFill(p.tint(stitching.template().material().tint()));
        g.setStroke(p.template());
        g.setLineWidth(1.6);
        for (Cut.Piece piece : stitching.cut().pieces()) {
            view.path(g, piece);
            g.fill();
            g.stroke();
        }
    }

    /** Engraved lines; with their values where there is room. */
    void engraved(Words words, boolean withValues) {
        g.setFont(look.font(FONT, false));
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.CENTER);
        for (Stitching.Engraved engraved : stitching.engraved()) {
            EngravedLine line = engraved.line();
            List<Path> strokes = engraved.strokes();
            g.setStroke(p.template());
            g.setLineWidth(1);
            g.setLineDashes(line.kind() == EngravedLine.Kind.CENTRE ? new double[] {9, 3, 2, 3} : new double[] {6, 4});
            strokes.forEach(s -> view.stroke(g, s));
            g.setLineDashes();
            if (withValues && line.kind() != EngravedLine.Kind.CENTRE && line.kind() != EngravedLine.Kind.REFERENCE) {
                strokes.stream().findFirst().ifPresent(s -> value(s, words.exact(line.value())));
            }
        }
    }

    /** A value on a line, at the first place along it where none stands yet. */
    private void value(Path stroke, String text) {
        Curve longest = stroke.curves().stream()
                .max((a, b) -> Double.compare(a.length(), b.length()))
                .orElseThrow();
        double half = text.length() * FONT * 0.27 * look.scaleProperty().get() + 3;
        for (double part : new double[] {0.5, 0.68, 0.32, 0.84, 0.16}) {
            Point at = longest.at(part);
            double x = view.x(at);
            double y = view.y(at);
            boolean free =
                    taken.stream().noneMatch(t -> Math.abs(t[0] - x) < t[2] + half && Math.abs(t[1] - y) < FONT + 2);
            if (free) {
                taken.add(new double[] {x, y, half});
                g.setFill(p.cloth());
                g.fillRoundRect(x - half, y - 8, 2 * half, 16, 6, 6);
                g.setFill(p.ink());
                g.fillText(text, x, y);
                return;
            }
        }
    }

    /** What the needle stitches. */
    void stitched() {
        g.setStroke(p.stitch());
        g.setLineWidth(2);
        g.setLineDashes();
        for (Stitching.Line line : stitching.lines()) {
            line.paths().forEach(path -> view.stroke(g, path));
        }
    }

    /** Where tape goes. */
    void tape(List<Path> strokes) {
        g.setStroke(p.chosen());
        g.setLineWidth(4);
        g.setLineDashes();
        strokes.forEach(s -> view.stroke(g, s));
    }

    /** The foot in touch with the main edge, at the start of its line. */
    void foot() {
        stitching.lines().stream()
                .findFirst()
                .ifPresent(line -> view.foot(g, p, line.paths().get(0).start(), stitching.footRadius()));
    }
}
