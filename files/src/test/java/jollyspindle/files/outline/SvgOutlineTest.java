package jollyspindle.files.outline;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.files.FileTrouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

class SvgOutlineTest {

    private static final String INCHES =
            "<svg xmlns='http://www.w3.org/2000/svg' width='10in' height='10in'" + " viewBox='0 0 10 10'>";

    private static SvgOutline parse(String svg) throws FileTrouble {
        return parse(svg, SvgOutline.Wanted.usual());
    }

    private static SvgOutline parse(String svg, SvgOutline.Wanted wanted) throws FileTrouble {
        return SvgOutline.parse(svg.getBytes(StandardCharsets.UTF_8), wanted);
    }

    private static Path path(String d) throws FileTrouble {
        return parse(INCHES + "<path d='" + d + "'/></svg>").form().path();
    }

    // Units of length: inch = 25.4 mm exactly; 1 in = 2.54 cm = 72 pt = 6 pc = 101.6 Q (CSS Values and Units 3, 5.2).
    @ParameterizedTest
    @CsvSource({"1in, 1", "25.4mm, 1", "2.54cm, 1", "72pt, 1", "6pc, 1", "101.6Q, 1", "50.8mm, 2", " 3 in , 3"})
    void sizesArePhysical(String width, double inches) throws FileTrouble {
        SvgOutline half = parse("<svg width='" + width + "' height='" + width
                + "' viewBox='0 0 200 200'><rect x='50' y='50' width='100' height='100'/></svg>");
        assertThat(half.form().mainSize()).isCloseTo(inches / 2, within(1e-6));
        assertThat(half.form().path().area()).isCloseTo(inches * inches / 4, within(1e-6));
    }

    @Test
    void withoutAViewBoxUnitsAreCssPixels() throws FileTrouble {
        // 96 to the inch (CSS Values and Units 3, 5.2).
        assertThat(parse("<svg width='4in' height='4in'><circle cx='96' cy='96' r='96'/></svg>")
                        .form()
                        .mainSize())
                .isCloseTo(2, within(1e-6));
    }

    @Test
    void aViewBoxOfAnotherShapeIsFittedOrStretchedAsItSays() throws FileTrouble {
        String body = "viewBox='0 0 10 10'><rect width='10' height='10'/></svg>";
        assertThat(parse("<svg width='4in' height='2in' " + body).form().mainSize())
                .isCloseTo(2, within(1e-6));
        assertThat(parse("<svg width='4in' height='2in' preserveAspectRatio='xMidYMid slice' " + body)
                        .form()
                        .mainSize())
                .isCloseTo(4, within(1e-6));
        Path stretched = parse("<svg width='4in' height='2in' preserveAspectRatio='none' " + body)
                .form()
                .path();
        assertThat(stretched.area()).isCloseTo(8, within(1e-6));
    }

    // Areas in closed form: rectangle, circle, ellipse, rounded rectangle, triangle.
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<rect width='3' height='2'/> | 6",
                "<rect width='3' height='2' rx='0.5'/> | 5.785398",
                "<rect width='3' height='2' ry='0.5'/> | 5.785398",
                "<circle r='2'/> | 12.566371",
                "<ellipse rx='2' ry='1'/> | 6.283185",
                "<polygon points='0,0 4,0 0,3'/> | 6",
                "<path d='M0 0H4V3z'/> | 6",
                "<path d='m1 1 4 0 0 3z'/> | 6",
                "<path d='M1 1h4v3H1z'/> | 12",
                "<path d='M2 0A2 2 0 0 1-2 0z'/> | 6.283185",
                "<path d='M2 0a2 2 0 1 1 0-.000001z'/> | 12.566371",
                "<path d='M0 0Q2 4 4 0z'/> | 5.333333",
                "<path d='M0 0q1 2 2 0t2 0V-4H0z'/> | 16",
                "<path d='M0 0C0 2 4 2 4 0z'/> | 4.8",
                "<path d='M0 0c0 1 2 1 2 0s2-1 2 0V-5H0z'/> | 20",
                "<g transform='translate(5 5)'><path transform='scale(2)' d='M0 0H1V1H0z'/></g> | 4",
                "<path transform='rotate(30) skewX(20)' d='M0 0H2V3H0z'/> | 6",
                "<path transform='matrix(1 0 0 -1 0 0)' d='M0 0H2V3H0z'/> | 6",
                "<path transform='rotate(40 3 2) scale(2 1)' d='M1 0A1 1 0 0 1-1 0A1 1 0 0 1 1 0z'/> | 6.283185",
                "<path d='M0 0A1 1 0 0 1 4 0z'/> | 6.283185",
            })
    void shapesEncloseWhatTheyShould(String shape, double area) throws FileTrouble {
        assertThat(parse(INCHES + shape + "</svg>").form().path().area()).isCloseTo(area, within(2e-3));
    }

    /** Béziers, elliptic arcs and transforms by java.awt.geom, which flattens them in its own way. */
    @Property(tries = 150)
    void freeCurvesAgreeWithAwt(
            @ForAll @DoubleRange(min = 1, max = 3) double a,
            @ForAll @DoubleRange(min = 1, max = 3) double b,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double skew,
            @ForAll @IntRange(max = 359) int turn)
            throws FileTrouble {
        String d = "M0 0C" + a + " -1 " + b + " -1 4 0Q" + (4 + b) + " 2 4 4C3 " + (4 + a) + " 1 " + (4 + b) + " 0 4z";
        String transform = "rotate(" + turn + ") matrix(1 " + skew + " 0 1 0 0)";
        Path read = parse(INCHES + "<path transform='" + transform + "' d='" + d + "'/></svg>")
                .form()
                .path();
        Path2D awt = new Path2D.Double();
        awt.moveTo(0, 0);
        awt.curveTo(a, -1, b, -1, 4, 0);
        awt.quadTo(4 + b, 2, 4, 4);
        awt.curveTo(3, 4 + a, 1, 4 + b, 0, 4);
        awt.closePath();
        AffineTransform t = AffineTransform.getRotateInstance(Math.toRadians(turn));
        t.concatenate(new AffineTransform(1, skew, 0, 1, 0, 0));
        double[] c = new double[6];
        double[] at = new double[2];
        double twice = 0;
        double length = 0;
        double left = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        for (PathIterator i = awt.getPathIterator(t, 1e-5); !i.isDone(); i.next()) {
            int kind = i.currentSegment(c);
            if (kind == PathIterator.SEG_LINETO) {
                twice += at[0] * c[1] - at[1] * c[0];
                length += Math.hypot(c[0] - at[0], c[1] - at[1]);
            } else if (kind == PathIterator.SEG_CLOSE) {
                length += Math.hypot(at[0], at[1]);
                break;
            }
            at = c.clone();
            left = Math.min(left, c[0]);
            right = Math.max(right, c[0]);
        }
        assertThat(read.area()).isCloseTo(Math.abs(twice) / 2, within(4e-3));
        assertThat(read.length()).isCloseTo(length, within(0.01));
        assertThat(read.box().width()).isCloseTo(right - left, within(1e-3));
    }

    @Test
    void circlesStayExactThroughTurnsAndEvenScaling() throws FileTrouble {
        OutlineForm form = parse(
                        INCHES
                                + "<g transform='rotate(33) scale(-1.5 1.5)'><path d='M1 0A1 1 0 0 1-1 0A1 1 0 0 1 1 0'/></g></svg>")
                .form();
        assertThat(form.corners())
                .as("few arcs, and no lines")
                .hasSizeLessThanOrEqualTo(4)
                .allMatch(c -> c.sweep() != 0);
        assertThat(form.path().area()).isCloseTo(Math.PI * 2.25, within(1e-5));
        assertThat(form.path().length()).isCloseTo(Math.PI * 3, within(1e-5));
    }

    @Test
    void theLargestShapeIsTakenOrTheNamedOneAtTheNamedWidth() throws FileTrouble {
        String svg = "<svg width='300' height='300'><rect id='plate' width='200' height='100'/>"
                + "<g><circle id='hole' cx='50' cy='50' r='20'/></g><path id='open' d='M0 0L10 10'/>"
                + "<defs><rect id='hidden' width='900' height='900'/></defs>"
                + "<rect style='display: none' width='800' height='800'/></svg>";
        assertThatThrownBy(() -> parse(svg)).hasMessageContaining("doesn't say how large it is");
        SvgOutline plate = parse(svg, new SvgOutline.Wanted(Optional.empty(), OptionalDouble.of(5), false));
        assertThat(plate.name()).isEqualTo("plate");
        assertThat(plate.others()).isEqualTo(1);
        assertThat(plate.form().path().area()).isCloseTo(12.5, within(1e-6));
        SvgOutline hole = parse(svg, new SvgOutline.Wanted(Optional.of("hole"), OptionalDouble.of(3), true));
        assertThat(hole.form().window()).isTrue();
        assertThat(hole.form().mainSize()).isCloseTo(3, within(1e-6));
        assertThatThrownBy(() -> parse(svg, new SvgOutline.Wanted(Optional.of("lid"), OptionalDouble.of(3), false)))
                .hasMessageContaining("called “lid”")
                .hasMessageContaining("plate, hole");
    }

    static Stream<Arguments> hostile() {
        String big = INCHES + "<path d='M0 0" + "L1 1L0 1".repeat(4000) + "z'/></svg>";
        StringBuilder wavy = new StringBuilder("M0 0");
        for (int i = 1; i <= 1600; i++) {
            wavy.append("L").append(i / 200.0).append(' ').append(i % 2 == 0 ? 0 : 0.02);
        }
        return Stream.of(
                Arguments.of(
                        "<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/passwd'>]>" + INCHES + "<path d='&x;'/></svg>",
                        "an entity"),
                Arguments.of(
                        "<!DOCTYPE svg [<!ENTITY a 'M0 0L1 1'><!ENTITY b '&a;&a;&a;'>]>" + INCHES
                                + "<path d='&b;&b;'/></svg>",
                        "an entity"),
                Arguments.of(
                        INCHES + "<script>alert(1)</script><use href='#a'/><g id='a'><use href='#a'/></g></svg>",
                        "Nothing in it is a path"),
                Arguments.of(INCHES + "<image href='http://nowhere.invalid/x.png'/></svg>", "Nothing in it is a path"),
                Arguments.of(big, "far more than a template's outline"),
                Arguments.of(INCHES + "<path d='" + wavy + "V3H0z'/></svg>", "at most 1500 are allowed"),
                Arguments.of(INCHES + "<g>".repeat(500) + "</g>".repeat(500) + "</svg>", "nested too deeply"),
                Arguments.of(
                        INCHES + "<defs>" + "<g>".repeat(500) + "</g>".repeat(500) + "</defs></svg>",
                        "nested too deeply"),
                Arguments.of("<svg width='100' height='100'><rect width='9' height='9'/></svg>", "need a unit"),
                Arguments.of("<svg width='100%' viewBox='0 0 9 9'><rect width='9' height='9'/></svg>", "need a unit"),
                Arguments.of("<svg width='9px' viewBox='0 0 9 9'><rect width='9' height='9'/></svg>", "need a unit"),
                Arguments.of(INCHES + "<path d='M0 0L4 0L4 4'/></svg>", "in are missing between an end and its start"),
                Arguments.of(
                        INCHES + "<path d='M0 0L4 4L4 0L0 3z'/></svg>",
                        "crosses or touches itself, 1.71 in from its left"),
                Arguments.of(INCHES + "<path d='M0 0L4 0z'/></svg>", "encloses nothing"),
                Arguments.of(INCHES + "<path d='M0 0L.01 0L.01 .01z'/></svg>", "about 0.01 in large"),
                Arguments.of(INCHES + "<path d='M0 0L500 0L500 500z'/></svg>", "about 500.00 in large"),
                Arguments.of(INCHES + "<path d='M0 0L1e30 0L5 1e30z'/></svg>", "No shape in it is closed"),
                Arguments.of(INCHES + "<path d='M0 0 L nonsense'/></svg>", "the path's data make no sense"),
                Arguments.of(INCHES + "<path d='M0 0LNaN 0z'/></svg>", "the path's data make no sense"),
                Arguments.of(INCHES + "<rect width='wide' height='3'/></svg>", "width “wide” makes no sense"),
                Arguments.of(
                        INCHES + "<rect transform='spin(3)' width='2' height='3'/></svg>", "the transform “spin(3)”"),
                Arguments.of(INCHES + "<rect transform='scale(0)' width='2' height='3'/></svg>", "Flatten transforms"),
                Arguments.of("<svg width='1in' viewBox='0 0 0 9'><rect/></svg>", "view box"),
                Arguments.of("<html><body/></html>", "begins with “html”"),
                Arguments.of("not xml at all", "isn't a drawing in SVG"),
                Arguments.of(INCHES + "<path d='M0 0", "isn't a drawing in SVG, or is damaged"),
                Arguments.of("", "isn't a drawing in SVG"),
                Arguments.of("\u001f\u008b", "isn't a drawing in SVG"));
    }

    @ParameterizedTest
    @MethodSource("hostile")
    void hostileAndUselessDrawingsAreRefusedInPlainWords(String svg, String said) {
        assertThatThrownBy(() -> parse(svg)).isInstanceOf(FileTrouble.class).satisfies(e -> assertThat(e.getMessage())
                .contains(said)
                .doesNotContain("jollyspindle.", "org.apache", "javax.", "Exception")
                .hasSizeLessThan(300));
    }

    @Test
    void aDocumentTypeAndScriptsAreHarmless(@TempDir java.nio.file.Path folder) throws Exception {
        String svg =
                "<?xml version='1.0'?><!DOCTYPE svg PUBLIC '-//W3C//DTD SVG 1.1//EN' 'http://nowhere.invalid/svg11.dtd'>"
                        + INCHES + "<script>while(true);</script><style>*{}</style><title>A &amp; B</title>"
                        + "<rect width='2' height='1' onload='alert(1)'/></svg>";
        java.nio.file.Path file = folder.resolve("leaf.svg");
        Files.writeString(file, svg);
        assertThat(SvgOutline.read(file, SvgOutline.Wanted.usual()).form().mainSize())
                .isCloseTo(2, within(1e-9));
        assertThatThrownBy(() -> SvgOutline.read(folder, SvgOutline.Wanted.usual()))
                .hasMessageContaining("is a folder");
        assertThatThrownBy(() -> SvgOutline.read(folder.resolve("none.svg"), SvgOutline.Wanted.usual()))
                .hasMessageContaining("“none.svg” isn't there");
        Files.write(file, new byte[3 << 20]);
        assertThatThrownBy(() -> SvgOutline.read(file, SvgOutline.Wanted.usual()))
                .hasMessageContaining("“leaf.svg” is too big: 3 MB");
        Files.write(file, new byte[] {0x1f, (byte) 0x8b, 8, 0});
        assertThatThrownBy(() -> SvgOutline.read(file, SvgOutline.Wanted.usual()))
                .hasMessageContaining("“leaf.svg” can't be used. It is compressed");
    }

    /** Cut off or spoilt anywhere, a drawing is read or refused, and nothing else happens. */
    @Property(tries = 300)
    void spoiltDrawingsGiveNothingButTrouble(
            @ForAll @IntRange(max = 400) int at, @ForAll @IntRange(min = 1, max = 127) int spoilt) {
        byte[] bytes = (INCHES
                        + "<g transform='rotate(3 1 1)'><path d='M0 0A2 1 30 0 1 3 1C4 5 2 5 0 3S1 1 0 0z'/></g></svg>")
                .getBytes(StandardCharsets.UTF_8);
        byte[] changed = bytes.clone();
        changed[at % bytes.length] = (byte) spoilt;
        for (byte[] content : new byte[][] {Arrays.copyOf(bytes, at % bytes.length), changed}) {
            try {
                SvgOutline.parse(content, SvgOutline.Wanted.usual());
            } catch (FileTrouble e) {
                assertThat(e.getMessage()).isNotBlank();
            }
        }
    }

    @Test
    void strokesMeetWhereTheyShould() throws FileTrouble {
        Path path = path("M1 1C1 3 3 3 3 1S5-1 5 1A1 1.5 20 0 0 7 1L7 6H1z");
        for (int i = 1; i < path.curves().size(); i++) {
            Curve before = path.curves().get(i - 1);
            assertThat(before.end().distance(path.curves().get(i).start())).isLessThan(1e-6);
        }
        assertThat(path.closed()).isTrue();
    }
}
