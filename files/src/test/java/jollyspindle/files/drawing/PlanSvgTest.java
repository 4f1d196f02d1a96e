package jollyspindle.files.drawing;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.files.FileTrouble;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

import java.io.ByteArrayInputStream;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

class PlanSvgTest {

    private static final Pattern ARC = Pattern.compile("M (\\S+),(\\S+) A (\\S+) (\\S+) 0 ([01]) ([01]) (\\S+),(\\S+)");

    private static Document parse(WorkPlan plan) throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
        return factory.newDocumentBuilder().parse(new ByteArrayInputStream(PlanSvg.format(plan)));
    }

    private static Element byId(Document document, String tag, String id) {
        NodeList found = document.getElementsByTagName(tag);
        for (int i = 0; i < found.getLength(); i++) {
            if (((Element) found.item(i)).getAttribute("id").equals(id)) {
                return (Element) found.item(i);
            }
        }
        throw new AssertionError("no " + id);
    }

    @Test
    void drawsAtTrueSize() throws Exception {
        WorkPlan plan = Planner.plan(DemoJob.heronWeir().withName("A <b> & \"c\""));
        Document document = parse(plan);
        Element svg = document.getDocumentElement();
        assertThat(svg.getAttribute("width")).endsWith("in");
        String[] box = svg.getAttribute("viewBox").split(" ");
        double width = Double.parseDouble(svg.getAttribute("width").replace("in", ""));
        // One unit is one inch: width and view box agree, and hold body, two borders of 7 1/4 and two margins of 1.
        assertThat(width).isEqualTo(Double.parseDouble(box[2]));
        assertThat(width).isCloseTo(71.6875 + 2 * 7.25 + 2, within(0.25));
        assertThat(Double.parseDouble(svg.getAttribute("height").replace("in", "")))
                .isCloseTo(86.3125 + 2 * 7.25 + 2, within(0.25));
        assertThat(document.getElementsByTagName("title").item(0).getTextContent())
                .isEqualTo("A <b> & \"c\"");
    }

    @Test
    void everyArcIsTheOneThatIsPlanned() throws Exception {
        WorkPlan plan = Planner.plan(DemoJob.heronWeir());
        Document document = parse(plan);
        assertThat(document.getElementsByTagName("path").getLength()).isEqualTo(44);
        for (RunPlan run : plan.runs()) {
            for (int i = 0; i < run.laidOut().lines().size(); i++) {
                Arc arc = (Arc) run.laidOut().lines().get(i).path().curves().get(0);
                String id = run.id().code() + "-arc-" + (i + 1);
                Matcher d = ARC.matcher(byId(document, "path", id).getAttribute("d"));
                assertThat(d.matches()).isTrue();
                Point start = new Point(Double.parseDouble(d.group(1)), -Double.parseDouble(d.group(2)));
                Point end = new Point(Double.parseDouble(d.group(7)), -Double.parseDouble(d.group(8)));
                assertThat(start.distance(arc.start())).isLessThan(2e-6);
                assertThat(end.distance(arc.end())).isLessThan(2e-6);
                assertThat(Double.parseDouble(d.group(3))).isCloseTo(arc.radius(), within(1e-6));
                // By the SVG standard, sweep flag 1 is clockwise on the page; the centre lies to the right of the way.
                assertThat(d.group(6)).isEqualTo("1");
                assertThat(end.minus(start).cross(arc.centre().minus(start))).isNegative();
            }
        }
    }

    @Test
    void drawsWhatIsThereAndSaysWhenNothingIs() throws Exception {
        Document bare = parse(Planner.plan(
                DemoJob.heronWeir().editing(GroupId.border(1), l -> l.withTemplate("lost", Optional.empty()))));
        assertThat(bare.getElementsByTagName("path").getLength()).isZero();
        assertThatThrownBy(() -> PlanSvg.format(Planner.plan(DemoJob.heronWeir()
                        .withQuilt(DemoJob.heronWeir().quilt().without(Dimension.BODY_LEFT)))))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining("Still to be measured: the body at the left");
    }
}
