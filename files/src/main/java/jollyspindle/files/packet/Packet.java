package jollyspindle.files.packet;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Cautions;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Makes the packet: cover, mark lists, placement lists, one repeat and marking strips at true size, cautions. */
public final class Packet {

    private static final double HEAD = 1.05;

    /** What the foot of each page takes, with its check square, in inches from the bottom. */
    private static final double FOOT = 1.75;

    private final WorkPlan plan;
    private final Words words;
    private final PaperSize paper;
    private final PDDocument document = new PDDocument();
    private final Type type;
    private Sheet sheet;
    private int pages;

    private Packet(WorkPlan plan, PaperSize paper) throws IOException {
        this.plan = plan;
        this.paper = paper;
        this.words = new Words(plan.job().tape());
        this.type = new Type(document);
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
                : Optional.of("There is nothing to take to the machine yet."
                        + new FindingWords(new Words(plan.job().tape())).first(plan.findings()));
    }

    private byte[] write() throws IOException {
        try (document) {
            PDDocumentInformation about = new PDDocumentInformation();
            about.setTitle(plan.job().name());
            about.setCreator("Jolly Spindle");
            document.setDocumentInformation(about);
            cover();
            for (RunPlan run : plan.runs()) {
                marks(run);
            }
            for (RunPlan run : plan.runs()) {
                placements(run);
            }
            for (AreaPlan area : plan.areas()) {
                area(area);
            }
            trueSize();
            for (RunPlan run : plan.runs()) {
                strip(run);
            }
            advice();
            sheet.close();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        }
    }

    private void open(String title, PDRectangle size) throws IOException {
        if (sheet != null) {
            sheet.close();
        }
        sheet = new Sheet(document, type, size);
        pages++;
        double left = Sheet.MARGIN;
        double right = sheet.width() - Sheet.MARGIN;
        sheet.text(title, left, 0.85, 17, true, Sheet.INK);
        sheet.line(left, 0.95, right, 0.95, Sheet.Pen.solid(Sheet.RULE, 0.8));
        double square = sheet.height() - Sheet.MARGIN - 1;
        sheet.rectangle(left, square, 1, 1, Sheet.Pen.solid(Sheet.INK, 0.6));
        sheet.textCentred("1 inch", left + 0.5, square + 0.47, 9, false);
        sheet.textCentred("2.54 cm", left + 0.5, square + 0.62, 9, false);
        sheet.text(
                "Measure this square. If it isn't 1 inch, print again at 100 %, without fitting to the page.",
                left + 1.15, square + 0.76, 8.5, false, Sheet.FAINT);
        sheet.text(plan.job().name() + " · Jolly Spindle", left + 1.15, square + 0.94, 8.5, false, Sheet.FAINT);
        sheet.textRight("page " + pages, right, square + 0.94, 8.5, Sheet.FAINT);
    }

    private double bottom() {
        return sheet.height() - FOOT;
    }

    private void cover() throws IOException {
        open(plan.job().name(), paper.upright());
        double y = HEAD + 0.2;
        double width = sheet.width() - 2 * Sheet.MARGIN;
        for (String[] fact : facts()) {
            List<String> names = type.wrap(fact[0], NAMES - GAP, 10, true);
            List<String> lines = sheet.wrap(fact[1], width - NAMES, 10);
            double high = 0.19 * Math.max(names.size(), lines.size()) + 0.04;
            if (y + high > bottom()) {
                open(plan.job().name() + ", continued", paper.upright());
                y = HEAD + 0.2;
            }
            for (int line = 0; line < names.size(); line++) {
                sheet.text(names.get(line), Sheet.MARGIN, y + 0.19 * line, 10, true, Sheet.INK);
            }
            for (int line = 0; line < lines.size(); line++) {
                sheet.text(lines.get(line), Sheet.MARGIN + NAMES, y + 0.19 * line, 10);
            }
            y += high;
        }
        if (bottom() - y < LEAST_LAYOUT) {
            open(plan.job().name() + ", the whole quilt", paper.upright());
            y = HEAD + 0.1;
        }
        new LayoutPicture(plan).draw(sheet, Sheet.MARGIN, y + 0.05, width, bottom() - y - 0.05);
    }

    private List<String[]> facts() {
        QuiltJob job = plan.job();
        List<String[]> facts = new ArrayList<>();
        facts.add(new String[] {
            "Body",
            "top " + measured(Dimension.BODY_TOP) + ", right " + measured(Dimension.BODY_RIGHT) + ", bottom "
                    + measured(Dimension.BODY_BOTTOM) + ", left " + measured(Dimension.BODY_LEFT)
        });
        planned().ifPresent(said -> facts.add(new String[] {"Planned at", said}));
        for (int number = 1; number <= job.quilt().borders().size(); number++) {
            facts.add(new String[] {job.quilt().borders().size() == 1 ? "Border" : "Border " + number, border(number)});
        }
        for (GroupPlan group : plan.groups()) {
            String name = plan.groups().size() == 1 ? "" : Words.name(group.id(), job.quilt()) + ": ";
            facts.add(new String[] {"Division", name + division(group)});
        }
        ShelfWords shelf = new ShelfWords(words);
        Set<Template> used = new LinkedHashSet<>();
        plan.groups().forEach(g -> job.chosenTemplate(g.id()).ifPresent(used::add));
        used.forEach(t -> facts.add(new String[] {
            "Template",
            t.name() + ": " + shelf.marked(t) + "; " + shelf.summary(Stitching.of(t, job.machine()))
                    + " with a foot of radius " + words.exact(job.machine().footRadius())
        }));
        Map<String, List<String>> sides = new LinkedHashMap<>();
        for (RunPlan run : plan.runs()) {
            String said = "repeat " + words.length(run.division().repeat())
                    + run.fit()
                            .map(fit ->
                                    ", rise " + words.length(fit.segment().height()) + ". " + words.instruction(fit))
                            .orElse("");
            sides.computeIfAbsent(said, t -> new ArrayList<>()).add(shortName(run.id()));
        }
        sides.forEach((said, who) -> facts.add(new String[] {Words.capital(String.join(", ", who)), said}));
        facts.add(new String[] {
            "In all",
            Words.count(plan.repeats(), "line") + ", " + Words.count(plan.placements(), "placement") + ", "
                    + Words.count(plan.chalkMarks(), "mark") + " to make, "
                    + words.length(plan.stitchedLength()) + " of stitching"
        });
        return facts;
    }

    private String measured(Dimension dimension) {
        return words.exact(plan.job().quilt().length(dimension));
    }

    /** {@code top} on a quilt with one border, {@code border 2, top} or the strip's name elsewhere. */
    private String shortName(RunId run) {
        boolean one = plan.job().quilt().borders().size() == 1;
        return one && run.side().isPresent()
                ? Words.name(run.side().get())
                : Words.decapital(Words.name(run, plan.job().quilt()));
    }

    /** What eased sides are planned at; nothing if all are planned as measured. */
    private Optional<String> planned() {
        Quilt quilt = plan.job().quilt();
        if (quilt.easing().equals(Quilt.Easings.NONE)) {
            return Optional.empty();
        }
        return Optional.of(Stream.of(Side.values())
                .map(side -> Words.name(side) + " " + words.length(quilt.planned(side)))
                .collect(Collectors.joining(", ")));
    }

    private String border(int number) {
        Quilt quilt = plan.job().quilt();
        List<String> depths = new ArrayList<>();
        for (Side side : Side.values()) {
            depths.add(measured(Dimension.depth(number, side)));
        }
        String deep = depths.stream().distinct().count() == 1
                ? depths.get(0) + " deep"
                : "top " + depths.get(0) + ", right " + depths.get(1) + ", bottom " + depths.get(2) + ", left "
                        + depths.get(3) + " deep";
        Border border = quilt.border(number);
        return deep + "; corners: " + Words.name(border.corners()).toLowerCase(Locale.ROOT)
                + border.unit().stream()
                        .mapToObj(unit -> "; pieced from units of " + words.exact(unit))
                        .collect(Collectors.joining())
                + (border.plain() ? "; left plain" : "; seam clearance " + measured(Dimension.clearance(number)))
                + (number == quilt.borders().size() ? "; outer reserve " + measured(Dimension.RESERVE) : "");
    }

    private String division(GroupPlan group) {
        DivisionWords said = new DivisionWords(words);
        String way = said.kind(group.chosen()).toLowerCase(Locale.ROOT) + ", " + said.counts(group.chosen());
        // Where there is more than one to be told, the weightiest reason must do.
        return plan.groups().size() == 1
                ? way + " (" + said.reasons(group.chosen()) + ")"
                : way + ". " + said.sentence(group.chosen());
    }

    /** A column of a list: its head, and how far its left edge is from the margin, as a part of the width. */
    private record Column(String head, double at) {}

    private void marks(RunPlan run) throws IOException {
        List<Column> columns = List.of(
                new Column("Mark", 0),
                new Column("From left end", 0.19),
                new Column("From right end", 0.38),
                new Column("From centre", 0.57),
                new Column("Above seam", 0.79));
        String title = Words.name(run.id(), plan.job().quilt()) + ": marks";
        String note = "Run of " + words.length(run.division().length()) + ", divided into "
                + new DivisionWords(words).school(run.divided().school())
                + ". Left end: the " + Words.start(run.id()) + ", seen with the outside edge up."
                + " Lay the tape once and mark every reading from the same zero.";
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of("Before loading the quilt"));
        marks(run, mark -> mark.stage() == Mark.Stage.BEFORE_LOADING, rows);
        rows.add(List.of("On the frame"));
        marks(run, mark -> mark.stage() == Mark.Stage.LOADED, rows);
        run.laidOut().marks().stream()
                .flatMap(mark -> mark.after().stream())
                .distinct()
                .sorted(Comparator.comparingInt(Mark.After::motif).thenComparing(Mark.After::pass))
                .forEach(after -> {
                    rows.add(List.of(Words.capital(Words.after(after))));
                    marks(run, mark -> mark.after().filter(after::equals).isPresent(), rows);
                });
        table(title, note, columns, rows);
    }

    private static void marks(RunPlan run, Predicate<Mark> which, List<List<String>> rows) {
        for (Mark mark : run.laidOut().marks()) {
            if (which.test(mark) && mark.by() != Mark.MarkedBy.TEMPLATE) {
                boolean seam = mark.by() == Mark.MarkedBy.SEAM;
                rows.add(List.of(
                        Words.name(mark) + (seam ? " (seam)" : mark.onCentre() ? " (centre)" : ""),
                        mark.readings().fromLeft().text(),
                        mark.readings().fromRight().text(),
                        Words.fromCentre(mark.readings().fromCentre()),
                        mark.across() == 0 ? "on the seam" : mark.height().text()));
            }
        }
    }

    private void placements(RunPlan run) throws IOException {
        List<Column> columns = PLACEMENT_COLUMNS;
        List<Placement> all = plan.placements(run.id());
        if (all.isEmpty()) {
            return;
        }
        Placement first = all.get(0);
        String title = Words.name(run.id(), plan.job().quilt()) + ": placements";
        String note = lying(run) + "Stitch from " + Words.direction(run.id()) + ". The first lies "
                + Words.turn(first.pose().rotation()) + " ("
                + Words.degrees(first.pose().rotation()) + ").";
        double below = table(title, note, columns, placementRows(all));
        double room = bottom() - below;
        if (room > LEAST_PICTURE) {
            new LyingPicture(plan, run, first)
                    .draw(sheet, below + 0.1, sheet.width() - 2 * Sheet.MARGIN, Math.min(room - 0.1, LARGEST_PICTURE));
        }
    }

    private List<List<String>> placementRows(List<Placement> all) {
        List<List<String>> rows = new ArrayList<>();
        Placement before = null;
        for (Placement placement : all) {
            rows.add(List.of(
                    Words.name(placement),
                    Words.turn(placement.pose().rotation()),
                    laid(placement, before),
                    Words.capital(MotifWords.at(placement.start())),
                    Words.capital(MotifWords.at(placement.end()))));
            before = placement;
        }
        return rows;
    }

    /** What is stitched in an area; of blocks with the same letter the first stands for all. */
    private void area(AreaPlan area) throws IOException {
        AreaWords said = new AreaWords(words);
        String name = AreaWords.name(area.id(), plan.job().quilt());
        AreaDesign design = plan.job().design(area.id());
        for (AreaPlan.Sum sum : area.sums()) {
            Optional<AreaPlan.Piece> piece = area.pieces().stream()
                    .filter(p -> p.letter() == sum.letter())
                    .findFirst();
            if (piece.isEmpty() || design.part(sum.letter()).layers().isEmpty()) {
                continue;
            }
            boolean blocks = area.pieces().size() > 1;
            String title = name + (area.sums().size() > 1 ? ", letter " + sum.letter() : "");
            String note = design.part(sum.letter()).layers().stream()
                            .map(layer -> Words.capital(said.text(layer.motif())) + ".")
                            .collect(Collectors.joining(" "))
                    + (" " + said.stopCircles(area, sum.letter(), design.part(sum.letter()))).stripTrailing() + " "
                    + Words.capital(AreaWords.text(sum, blocks)) + "."
                    + (sum.blocks() > 1
                            ? " Block " + piece.get().number() + " stands for all " + sum.blocks()
                                    + "; the others are alike, except that lines stop round what lies on them."
                            : "");
            piece(
                    title,
                    note,
                    area,
                    area.id().code() + (blocks ? "-block-" + piece.get().number() : "") + "-");
        }
        for (AreaPlan.Turning turning : area.turnings()) {
            rays(name + (area.sums().size() > 1 ? ", letter " + turning.letter() : ""), turning);
        }
        if (area.sums().size() > 1) {
            letters(name, area);
        }
    }

    /** Marks and placements of one piece. */
    private void piece(String name, String note, AreaPlan area, String part) throws IOException {
        List<List<String>> rows = area.marks().stream()
                .filter(m -> m.id().startsWith(part))
                .map(mark -> List.of(
                        Words.name(mark),
                        mark.readings().fromLeft().text(),
                        mark.readings().fromRight().text(),
                        Words.fromCentre(mark.readings().fromCentre()),
                        mark.height().text()))
                .toList();
        if (!rows.isEmpty()) {
            table(
                    name + ": marks",
                    note + " Read along the lower edge, and upwards from it.",
                    List.of(
                            new Column("Mark", 0),
                            new Column("From left edge", 0.19),
                            new Column("From right edge", 0.38),
                            new Column("From centre", 0.57),
                            new Column("Above lower edge", 0.79)),
                    rows);
        }
        List<Placement> placements =
                area.placements().stream().filter(p -> p.id().startsWith(part)).toList();
        if (!placements.isEmpty()) {
            table(name + ": placements", note, PLACEMENT_COLUMNS, placementRows(placements));
        }
    }

    private void rays(String name, AreaPlan.Turning turning) throws IOException {
        AreaWords said = new AreaWords(words);
        table(
                name + ": rays",
                "Clockwise from the top. " + said.finding(turning),
                List.of(new Column("Ray", 0), new Column("Turned", 0.15), new Column("Where it meets the edge", 0.3)),
                turning.rays().stream()
                        .map(ray -> List.of(
                                "Ray " + ray.number(), Words.degrees(ray.angle()), Words.capital(said.where(ray))))
                        .toList());
    }

    /** Which block has which letter, as they lie. */
    private void letters(String name, AreaPlan area) throws IOException {
        TreeMap<Integer, StringBuilder> rows = new TreeMap<>();
        area.pieces().forEach(p -> rows.computeIfAbsent(p.row(), r -> new StringBuilder())
                .append(p.letter())
                .append("  "));
        table(
                name + ": letters",
                "What is stitched in which block, as they lie; - is left plain.",
                List.of(new Column("Row", 0), new Column("Blocks from the left", 0.15)),
                rows.entrySet().stream()
                        .map(e -> List.of(
                                "" + (e.getKey() + 1), e.getValue().toString().strip()))
                        .toList());
    }

    /** How the template is laid; where arcs of the run are laid otherwise, which and how. */
    private String lying(RunPlan run) {
        List<RunPlan.LaidAlike> alike = run.laidAlike();
        if (alike.isEmpty()) {
            return "";
        }
        if (alike.size() == 1) {
            return words.instruction(alike.get(0).fit()) + " ";
        }
        return alike.stream()
                        .map(group -> (group.arcs().size() == 1 ? "Arc " : "Arcs ") + listed(group.arcs()) + ": "
                                + words.instruction(group.fit()))
                        .collect(Collectors.joining(" "))
                + " ";
    }

    /** Which edge is laid on what; short where nothing changes. */
    private String laid(Placement placement, Placement before) {
        String on = Words.capital(words.registration(placement));
        if (before != null && placement.tool().equals(before.tool())) {
            return words.registration(before).equals(words.registration(placement)) ? "as before" : on;
        }
        String edge = placement.tool().edge().map(e -> ", " + Words.edge(e)).orElse("");
        return plan.job()
                        .template(placement.tool().templateId())
                        .map(t -> t.name() + edge + ". ")
                        .orElse("")
                + on;
    }

    /** {@code 1 to 4, 7}. */
    private static String listed(List<Integer> numbers) {
        List<String> said = new ArrayList<>();
        for (int i = 0; i < numbers.size(); ) {
            int j = i;
            while (j + 1 < numbers.size() && numbers.get(j + 1) == numbers.get(j) + 1) {
                j++;
            }
            said.add(j == i ? "" + numbers.get(i) : numbers.get(i) + " to " + numbers.get(j));
            i = j + 1;
        }
        return String.join(", ", said);
    }

    private static final List<Column> PLACEMENT_COLUMNS = List.of(
            new Column("Line", 0),
            new Column("Turn the template", 0.13),
            new Column("Laid on", 0.385),
            new Column("Start at", 0.575),
            new Column("Stop at", 0.79));

    private static final double NAMES = 1.6;
    private static final double LEAST_LAYOUT = 3;
    private static final double ROW = 0.21;
    private static final double LINE = 0.17;
    private static final double GAP = 0.08;
    private static final double LEAST_PICTURE = 1.8;
    private static final double LARGEST_PICTURE = 3.6;

    /** A table over as many pages as it takes; returns how far down the last one it goes. */
    private double table(String title, String note, List<Column> columns, List<List<String>> rows) throws IOException {
        double width = paper.width() - 2 * Sheet.MARGIN;
        double y = Double.MAX_VALUE;
        boolean shaded = false;
        boolean first = true;
        for (List<String> row : rows) {
            boolean heading = row.size() == 1;
            List<List<String>> cells = heading ? List.of() : wrapped(row, columns, width);
            double height =
                    ROW + LINE * (cells.stream().mapToInt(List::size).max().orElse(1) - 1);
            // A heading never stands alone at a page's end.
            if (first || y + height + (heading ? ROW : 0) > bottom()) {
                open(title + (first ? "" : ", continued"), paper.upright());
                y = first ? paragraph(note, HEAD + 0.15, width) : HEAD + 0.2;
                for (Column column : columns) {
                    sheet.text(column.head(), Sheet.MARGIN + column.at() * width, y, 9.5, true, Sheet.FAINT);
                }
                y += ROW;
                first = false;
            }
            if (heading) {
                sheet.text(row.get(0), Sheet.MARGIN, y + 0.03, 10.5, true, Sheet.MARK);
                shaded = false;
            } else {
                if (shaded) {
                    sheet.band(Sheet.MARGIN, y - 0.15, width, height, Sheet.BAND);
                }
                shaded = !shaded;
                for (int c = 0; c < cells.size(); c++) {
                    double left = Sheet.MARGIN + columns.get(c).at() * width;
                    for (int line = 0; line < cells.get(c).size(); line++) {
                        sheet.text(cells.get(c).get(line), left, y + line * LINE, 10, c == 0, Sheet.INK);
                    }
                }
            }
            y += height;
        }
        return y;
    }

    /** Each cell's text in lines no wider than its column. */
    private List<List<String>> wrapped(List<String> row, List<Column> columns, double width) throws IOException {
        List<List<String>> cells = new ArrayList<>();
        for (int c = 0; c < row.size(); c++) {
            double until = c + 1 < columns.size() ? columns.get(c + 1).at() : 1;
            cells.add(type.wrap(row.get(c), (until - columns.get(c).at()) * width - GAP, 10, c == 0));
        }
        return cells;
    }

    private double paragraph(String text, double top, double width) throws IOException {
        double y = top + 0.05;
        for (String line : sheet.wrap(text, width, 10)) {
            sheet.text(line, Sheet.MARGIN, y, 10);
            y += 0.18;
        }
        return y + 0.12;
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
            openTrueSize(ofArcs.get(), picture.fits(paper.width()));
            picture.draw(sheet, HEAD, bottom());
        }
        if (other.isPresent()) {
            TrueSizeFigure picture = new TrueSizeFigure(other.get());
            openTrueSize(other.get(), picture.fits(paper.width()));
            picture.draw(sheet, HEAD, bottom());
        }
    }

    private boolean isSingleArcs(RunPlan run) {
        List<Layer> layers = plan.job().layout(run.id().group()).design().layers(run.id());
        return layers.size() == 1
                && layers.get(0).edge() == Layer.Edge.SEAM
                && layers.get(0).motif().equals(Motif.Arcs.single());
    }

    private void openTrueSize(RunPlan run, boolean upright) throws IOException {
        open(
                "One repeat at true size: "
                        + Words.decapital(Words.name(run.id(), plan.job().quilt())),
                upright ? paper.upright() : paper.sideways());
    }

    /** The run's marking strip, as many pieces to a page as it has room for. */
    private void strip(RunPlan run) throws IOException {
        PDRectangle size = paper.sideways();
        double width = size.getWidth() / Sheet.POINTS - 2 * Sheet.MARGIN;
        MarkingStrip strip = new MarkingStrip(run, plan.job().tape(), width);
        String title = "Marking strip at true size: "
                + Words.decapital(Words.name(run.id(), plan.job().quilt()));
        double y = 0;
        for (int piece = 0; piece < strip.pieces(); piece++) {
            if (piece == 0 || y + MarkingStrip.HIGH + 0.3 > bottom()) {
                open(title + (piece == 0 ? "" : ", continued"), size);
                y = HEAD + 0.12;
                if (piece == 0) {
                    y = paragraph(
                                    "Cut the pieces out, stick each one's tab under the next where the letters meet, and lay"
                                            + " the strip's lower edge on the seam, its left end at the run's. V valleys,"
                                            + " C crowns, other letters as in the mark list; readings from the left end. Measure the square first.",
                                    HEAD,
                                    width)
                            + 0.1;
                }
            }
            strip.draw(sheet, piece, Sheet.MARGIN, y);
            y += MarkingStrip.STEP;
        }
    }

    private void advice() throws IOException {
        open("Before you start", paper.upright());
        double width = sheet.width() - 2 * Sheet.MARGIN;
        double y = HEAD + 0.1;
        if (!plan.findings().isEmpty()) {
            sheet.text("What to know about this plan", Sheet.MARGIN, y + 0.1, 12, true, Sheet.INK);
            y += 0.25;
            FindingWords said = new FindingWords(words);
            for (Finding finding : plan.findings()) {
                String where = FindingWords.where(finding, plan.job().quilt());
                y = paragraph(FindingWords.name(finding.severity()) + ". " + where + said.text(finding), y, width)
                        - 0.05;
            }
            y += 0.15;
        }
        sheet.text("Care at the machine", Sheet.MARGIN, y + 0.1, 12, true, Sheet.INK);
        y += 0.25;
        for (String caution : Cautions.of(plan.job())) {
            y = paragraph("• " + caution, y, width) - 0.05;
        }
        sheet.text(Cautions.MANUAL_FIRST, Sheet.MARGIN, y + 0.1, 11, true, Sheet.STITCH);
    }
}
