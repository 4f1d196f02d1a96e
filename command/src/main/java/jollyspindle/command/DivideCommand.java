package jollyspindle.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.Cell;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.EvenDivision;
import jollyspindle.core.division.MiddleSpace;
import jollyspindle.core.division.RunCounts;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.division.Stepping;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.planjson.DivisionJson;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;

/** {@code spindle divide}. */
@Command(
        name = "divide",
        description = "Divides one run or a border's four, by any school, and says where valleys stand.",
        mixinStandardHelpOptions = true,
        footer = {
            "",
            "One run: --length. A border: --top and --left, and --bottom and --right where they measure otherwise;",
            "then --school asks for that one only, and --across and --down for counts.",
            "",
            "Schools:",
            "  even         --about or --count: each repeat stretched alike",
            "  half-steps   --about or --count: half a repeat at both ends",
            "  corners-in   --about [--radius]: fixed repeats from both corners, odd middle",
            "  centre-out   --about [--centre crown]: fixed repeats from the centre, odd ends",
            "  fudge        --about [--count] [--spread]: fixed repeats, the leftover spread",
            "  piecing      --unit [--units] [--parts]: repeats of pieced units",
            "  increments   --step [--steps]: a stencil's marks run in from both ends",
            "  by-hand      --count --pin 3=20: some valleys pinned, the others spread",
            "",
            "Lengths are typed as on the tape: 73 1/4, 73.25, 186 cm, 6'1 1/4\"."
        })
final class DivideCommand implements Callable<Integer> {

    private static final int LISTED = 4;

    /** Less than this, in inches, isn't worth a word. */
    private static final double NOTICED = 1.0 / 128;

    @Option(names = "--length", description = "The run's length.")
    private String length;

    @Option(names = "--about", description = "About how long a repeat should be; in most schools just so long.")
    private String about;

    @Mixin
    private SchoolOption school;

    @Mixin
    private WaysOption ways;

    @Mixin
    private ShelfOption shelf;

    @Option(names = "--json", description = "Print JSON, in inches.")
    private boolean json;

    @Spec
    private CommandSpec spec;

    private TapeScale tape;

    @Override
    public Integer call() throws FileTrouble {
        tape = shelf.tape();
        if (ways.isRing() == (length != null)) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(), "Say --length for one run, or --top and --left for a border.");
        }
        Optional<Double> wished = about == null
                ? Optional.empty()
                : Optional.of(Typed.length(spec, "--about", about, tape, QuiltRules.LONGEST));
        if (ways.isRing()) {
            return ring(wished);
        }
        double run = Typed.length(spec, "--length", length, tape, QuiltRules.LONGEST);
        if (school.given()) {
            return bySchool(run, wished);
        }
        double wanted = wished.orElseThrow(() -> new CommandLine.ParameterException(
                spec.commandLine(), "Say --about, how long a repeat should be, or --count, how many, or a --school."));
        List<EvenDivision> found = RunCounts.near(run, wanted, LISTED);
        List<Candidate> all = ways.find(spec, ways.one(run), wanted, Optional.empty(), school, tape, shelf);
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            ObjectNode root = asJson(run, found);
            candidates(root.putArray("ways"), all);
            out.println(root.toPrettyString());
        } else {
            asText(run, wanted, found, out);
            out.println();
            out.println("By all schools, best first:");
            list(all, out);
        }
        out.flush();
        return 0;
    }

    private int ring(Optional<Double> wished) throws FileTrouble {
        if (school.counts()) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(),
                    "--count is for one run. For four sides, --across says how many repeats top and bottom get, and"
                            + " --down the left and right side.");
        }
        double wanted = wished.orElseThrow(() ->
                new CommandLine.ParameterException(spec.commandLine(), "Say --about, how long a repeat should be."));
        List<Candidate> found = ways.find(spec, ways.four(spec, tape), wanted, school.kind(), school, tape, shelf);
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            ObjectNode root = JsonNodeFactory.instance.objectNode();
            root.put("format", "jolly-spindle-division").put("version", 1);
            candidates(root.putArray("ways"), found);
            out.println(root.toPrettyString());
        } else {
            out.println(Said.say(new Words(tape), "divide.ways", "repeat", wanted));
            list(found, out);
            Candidate shown = found.get(Math.min(ways.show(), found.size()) - 1);
            for (DividedRun run : shown.runs()) {
                out.println();
                out.println(Said.say(
                        new Words(tape),
                        "divide.way",
                        "run",
                        Words.name(run.id()),
                        "length",
                        run.run().length(),
                        "start",
                        Words.start(run.id())));
                cells(run.division(), out);
            }
        }
        out.flush();
        return 0;
    }

    private void candidates(ArrayNode nodes, List<Candidate> found) {
        DivisionJson writer = new DivisionJson(tape);
        for (Candidate candidate : found) {
            ObjectNode node = writer.candidate(nodes.addObject(), candidate);
            for (DividedRun run : candidate.runs()) {
                ArrayNode cells = ((ObjectNode) node.path("runs").path(run.id().code())).putArray("cells");
                run.figures().forEach(figure -> writer.cell(cells.addObject(), figure, run));
            }
        }
    }

    private void list(List<Candidate> found, PrintWriter out) {
        DivisionWords words = new DivisionWords(new Words(tape));
        int number = 0;
        for (Candidate candidate : found) {
            out.printf(
                    Locale.ROOT,
                    "%4d. %-19s %-22s of %s; %s%n",
                    ++number,
                    words.kind(candidate),
                    words.counts(candidate),
                    words.repeats(candidate),
                    words.reasons(candidate));
        }
    }

    private int bySchool(double run, Optional<Double> wished) {
        Optional<RunDivision> found = school.school(spec, run, wished, tape).flatMap(s -> s.divide(run));
        PrintWriter out = spec.commandLine().getOut();
        if (found.isEmpty()) {
            spec.commandLine()
                    .getErr()
                    .println(Said.say(
                            "divide.not",
                            "length",
                            tape.read(run).text(),
                            "school",
                            school.typed(),
                            "instead",
                            school.comingOut(spec, run, tape).orElse("Try another count or repeat.")));
            return SpindleCommand.TROUBLE;
        }
        RunDivision division = found.get();
        if (json) {
            out.println(asJson(division).toPrettyString());
        } else {
            asText(division, out);
        }
        out.flush();
        return 0;
    }

    private void asText(RunDivision division, PrintWriter out) {
        Words words = new Words(tape);
        double run = division.length();
        out.println(Said.say(
                words,
                "divide.come-out",
                "length",
                run,
                "school",
                school.typed(),
                "repeats",
                Words.count(division.repeats(), Words.Thing.WHOLE_REPEAT),
                "odd",
                division.leftover(),
                "changed",
                division.largestChange() >= NOTICED,
                "change",
                division.largestChange(),
                "repeat",
                division.repeat()));
        double stepped = Stepping.error(division.repeat(), division.repeats(), tape);
        if (Math.abs(stepped) >= NOTICED) {
            out.println(Said.say(words, "divide.stepped", "repeat", division.repeat(), "off", stepped));
        }
        middle(division).ifPresent(space -> out.println(said(space, words)));
        cells(division, out);
    }

    private void cells(RunDivision division, PrintWriter out) {
        Words words = new Words(tape);
        double run = division.length();
        out.printf(
                Locale.ROOT,
                "  %-9s %-18s %-22s %-22s %s%n",
                "",
                "width",
                "from left end",
                "from right end",
                "from centre");
        for (Cell cell : division.cells()) {
            out.printf(
                    Locale.ROOT,
                    "  %-9s %-18s %-22s %-22s %s%n",
                    DivisionWords.name(cell.kind()),
                    words.length(cell.width()),
                    words.length(cell.to()),
                    words.length(run - cell.to()),
                    Words.fromCentre(tape.read(cell.to() - run / 2)));
        }
    }

    /** The odd space in the middle between arcs of the radius that was typed. */
    private Optional<MiddleSpace> middle(RunDivision division) {
        Optional<Double> width = division.cells().stream()
                .filter(c -> c.kind() == Cell.Kind.MIDDLE)
                .map(Cell::width)
                .findFirst();
        return width.flatMap(w -> school.beside(spec, division.repeat(), tape).map(arc -> new MiddleSpace(w, arc)));
    }

    private static String said(MiddleSpace space, Words words) {
        return Said.say(
                words,
                "divide.middle",
                "radius",
                space.oneArcsRadius(),
                "height",
                space.halfArcsMeetAt(),
                "meeting",
                Codes.of(space.meeting()));
    }

    private ObjectNode asJson(RunDivision division) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("length", division.length());
        root.put("school", school.typed());
        root.put("repeat", division.repeat());
        root.put("repeats", division.repeats());
        root.put("leftover", division.leftover());
        root.put("largestChange", division.largestChange());
        root.put("steppedError", Stepping.error(division.repeat(), division.repeats(), tape));
        middle(division).ifPresent(space -> {
            ObjectNode node = root.putObject("middle");
            space.oneArcsRadius().ifPresent(radius -> node.put("oneArcsRadius", radius));
            space.halfArcsMeetAt()
                    .ifPresent(height -> node.put("halfArcsMeetAt", height).put("meeting", Codes.of(space.meeting())));
        });
        ArrayNode cells = root.putArray("cells");
        for (Cell cell : division.cells()) {
            cells.addObject()
                    .put("kind", Codes.of(cell.kind()))
                    .put("from", cell.from())
                    .put("to", cell.to());
        }
        return root;
    }

    private void asText(double run, double wanted, List<EvenDivision> found, PrintWriter out) {
        Words words = new Words(tape);
        out.println(Said.say(words, "divide.even", "length", run, "repeat", wanted));
        for (EvenDivision division : found) {
            out.printf(
                    Locale.ROOT,
                    "  %-11s of %-22s %s on the centre%n",
                    Words.count(division.count(), Words.Thing.REPEAT),
                    words.length(division.repeat()),
                    division.valleyOnCentre() ? "valley" : "crown");
        }
        EvenDivision best = found.get(0);
        out.println();
        out.println(Said.say("divide.valleys", "repeats", Words.count(best.count(), Words.Thing.REPEAT)));
        out.printf(Locale.ROOT, "  %-9s %-22s %-22s %s%n", "", "from left end", "from right end", "from centre");
        for (int k = 0; k <= best.count(); k++) {
            double along = best.valley(k);
            out.printf(
                    Locale.ROOT,
                    "  %-9s %-22s %-22s %s%n",
                    Said.say("divide.valley", "number", k),
                    words.length(along),
                    words.length(run - along),
                    Words.fromCentre(tape.read(along - best.centre())));
        }
    }

    private static ObjectNode asJson(double run, List<EvenDivision> found) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("length", run);
        ArrayNode divisions = root.putArray("divisions");
        for (EvenDivision division : found) {
            ObjectNode node = divisions.addObject();
            node.put("count", division.count());
            node.put("repeat", division.repeat());
            node.put("onCentre", division.valleyOnCentre() ? "valley" : "crown");
            ArrayNode valleys = node.putArray("valleys");
            for (int k = 0; k <= division.count(); k++) {
                valleys.add(division.valley(k));
            }
        }
        return root;
    }
}
