package jollyspindle.files.packet;

import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.words.Cautions;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;

/** Makes the packet: cover, mark lists, placement lists, one repeat and marking strips at true size, cautions. */
public final class Packet {

    private final WorkPlan plan;
    private final Words words;
    private final PDDocument document = new PDDocument();
    private final Pages pages;

    private Packet(WorkPlan plan, PaperSize paper) throws IOException {
        this.plan = plan;
        this.words = new Words(plan.job().tape());
        this.pages = new Pages(document, plan.job().name(), paper);
    }

    /**
     * Makes a packet.
     *
     * @return the PDF's bytes
     * @throws FileTrouble if nothing is planned yet
     */
    public static byte[] format(WorkPlan plan, PaperSize paper) throws FileTrouble {
        Optional<String> nothing = nothingToTake(plan);
        if (nothing.isPresent()) {
            throw new FileTrouble(nothing.get());
        }
        try {
            return new Packet(plan, paper).write();
        } catch (IOException e) {
            throw new IllegalStateException("writing into memory can't fail", e);
        }
    }

    /** Why there is nothing to make a packet of; nothing if there is something. */
    public static Optional<String> nothingToTake(WorkPlan plan) {
        boolean something = !plan.runs().isEmpty()
                || plan.areas().stream().anyMatch(area -> !area.lines().isEmpty());
        return something
                ? Optional.empty()
                : Optional.of(Said.say(
                        "nothing",
                        "finding",
                        new FindingWords(new Words(plan.job().tape())).first(plan.findings())));
    }

    private byte[] write() throws IOException {
        try (document) {
            PDDocumentInformation about = new PDDocumentInformation();
            about.setTitle(plan.job().name());
            about.setCreator("Jolly Spindle");
            document.setDocumentInformation(about);
            new CoverPage(plan, pages).write();
            RunLists runs = new RunLists(plan, pages);
            AreaLists areas = new AreaLists(plan, pages);
            for (RunPlan run : plan.runs()) {
                runs.marks(run);
            }
            for (RunPlan run : plan.runs()) {
                runs.placements(run);
            }
            for (AreaPlan area : plan.areas()) {
                areas.write(area);
            }
            trueSize();
            for (RunPlan run : plan.runs()) {
                strip(run);
            }
            advice();
            pages.close();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        }
    }

    /** One repeat at true size: of single arcs with the template on it, of anything else as it is stitched. */
    private void trueSize() throws IOException {
        Optional<RunPlan> ofArcs = plan.runs().stream()
                .filter(r -> r.fit().isPresent() && isSingleArcs(r))
                .findFirst();
        Optional<RunPlan> other = plan.runs().stream()
                .filter(r -> !isSingleArcs(r) && !r.laidOut().lines().isEmpty())
                .findFirst();
        if (ofArcs.isPresent()) {
            TrueSizeRepeat picture = new TrueSizeRepeat(plan, ofArcs.get());
            openTrueSize(ofArcs.get(), picture.fits(pages.paper().width()));
            picture.draw(pages.sheet(), Pages.HEAD, pages.bottom());
        }
        if (other.isPresent()) {
            TrueSizeFigure picture = new TrueSizeFigure(other.get());
            openTrueSize(other.get(), picture.fits(pages.paper().width()));
            picture.draw(pages.sheet(), Pages.HEAD, pages.bottom());
        }
    }

    private boolean isSingleArcs(RunPlan run) {
        List<Layer> layers = plan.job().layout(run.id().group()).design().layers(run.id());
        return layers.size() == 1
                && layers.get(0).edge() == Layer.Edge.SEAM
                && layers.get(0).motif().equals(Motif.Arcs.single());
    }

    private void openTrueSize(RunPlan run, boolean upright) throws IOException {
        pages.open(
                Said.say(
                        "true-size",
                        "run",
                        Words.decapital(Words.name(run.id(), plan.job().quilt()))),
                upright ? pages.paper().upright() : pages.paper().sideways());
    }

    /** The run's marking strip, as many pieces to a page as it has room for. */
    private void strip(RunPlan run) throws IOException {
        PDRectangle size = pages.paper().sideways();
        double width = size.getWidth() / Sheet.POINTS - 2 * Sheet.MARGIN;
        MarkingStrip strip = new MarkingStrip(run, plan.job().tape(), width);
        String title = Said.say(
                "strip", "run", Words.decapital(Words.name(run.id(), plan.job().quilt())));
        double y = 0;
        for (int piece = 0; piece < strip.pieces(); piece++) {
            if (piece == 0 || y + MarkingStrip.HIGH + 0.3 > pages.bottom()) {
                pages.open(Said.continued(title, piece > 0), size);
                y = Pages.HEAD + 0.12;
                if (piece == 0) {
                    y = pages.paragraph(Said.say("strip.note"), Pages.HEAD, width) + 0.1;
                }
            }
            strip.draw(pages.sheet(), piece, Sheet.MARGIN, y);
            y += MarkingStrip.STEP;
        }
    }

    private void advice() throws IOException {
        pages.open(Said.say("advice"), pages.paper().upright());
        double width = pages.sheet().width() - 2 * Sheet.MARGIN;
        double y = Pages.HEAD + 0.1;
        if (!plan.findings().isEmpty()) {
            pages.sheet().text(Said.say("advice.findings"), Sheet.MARGIN, y + 0.1, 12, true, Sheet.INK);
            y += 0.25;
            FindingWords said = new FindingWords(words);
            for (Finding finding : plan.findings()) {
                String where = FindingWords.where(finding, plan.job().quilt());
                String text = Said.say(
                        "advice.finding",
                        "severity",
                        FindingWords.name(finding.severity()),
                        "where",
                        where,
                        "finding",
                        said.text(finding));
                y = pages.paragraph(text, y, width) - 0.05;
            }
            y += 0.15;
        }
        pages.sheet().text(Said.say("advice.care"), Sheet.MARGIN, y + 0.1, 12, true, Sheet.INK);
        y += 0.25;
        for (String caution : Cautions.of(plan.job())) {
            y = pages.paragraph(Said.say("advice.caution", "caution", caution), y, width) - 0.05;
        }
        pages.sheet().text(Cautions.MANUAL_FIRST, Sheet.MARGIN, y + 0.1, 11, true, Sheet.STITCH);
    }
}
