package jollyspindle.core.area;

import jollyspindle.core.code.LastingNumbers;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What was decided for an area. Blocks may be stitched in several ways, each called by a letter.
 *
 * @param parts what is stitched under the letters A, B and so on, 1 to {@link #MOST_PARTS}
 * @param letters rows of letters, laid over the blocks from the top left and repeated across and down; {@link #PLAIN} leaves
 *     a block plain. Without any, all blocks are A.
 */
public record AreaDesign(List<Part> parts, List<String> letters) {

    public static final int MOST_LAYERS = 6;
    public static final int MOST_PARTS = 6;

    /** Stands for a block in which nothing is stitched. */
    public static final char PLAIN = '-';

    /**
     * One motif.
     *
     * @param motif which
     * @param templateId the job's copy of the template it is stitched with; whichever suits if none is named
     * @param number that it keeps among the motifs of its part while others come and go, from 1; 0 until it is among some
     */
    public record Layer(AreaMotif motif, Optional<String> templateId, int number) {

        /** A motif that is among no others yet. */
        public Layer(AreaMotif motif, Optional<String> templateId) {
            this(motif, templateId, 0);
        }

        private Layer withNumber(int other) {
            return new Layer(motif, templateId, other);
        }
    }

    /**
     * What is stitched in one block, or in the whole area.
     *
     * @param layers the motifs in the order of stitching, none to {@link #MOST_LAYERS}
     */
    public record Part(List<Layer> layers) {

        public static final Part NOTHING = new Part(List.of());

        public Part {
            if (layers.size() > MOST_LAYERS) {
                throw new IllegalArgumentException(
                        Refusals.say("area.motifs", "most", MOST_LAYERS, "found", layers.size()));
            }
            layers = LastingNumbers.given(layers, Layer::number, Layer::withNumber);
        }

        /** This part with a motif in place of one, whose number it keeps if it is the same with other numbers; or with one more. */
        public Part withLayer(int index, Layer layer) {
            List<Layer> all = new ArrayList<>(layers);
            if (index < all.size()) {
                Layer was = all.get(index);
                boolean same = was.motif().getClass() == layer.motif().getClass();
                all.set(index, same ? layer.withNumber(was.number()) : layer);
            } else {
                all.add(layer);
            }
            return new Part(all);
        }

        public Part withoutLayer(int index) {
            List<Layer> all = new ArrayList<>(layers);
            all.remove(index);
            return new Part(all);
        }
    }

    public AreaDesign {
        parts = List.copyOf(parts);
        letters = List.copyOf(letters);
        if (parts.isEmpty() || parts.size() > MOST_PARTS) {
            throw new IllegalArgumentException(Refusals.say("area.parts", "most", MOST_PARTS, "found", parts.size()));
        }
        int most = parts.size();
        letters.forEach(row -> {
            if (row.isEmpty() || row.chars().anyMatch(c -> c != PLAIN && (c < 'A' || c >= 'A' + most))) {
                throw new IllegalArgumentException(
                        Refusals.say("area.letters", "last", (char) ('A' + most - 1), "found", row));
            }
        });
    }

    public static AreaDesign nothing() {
        return new AreaDesign(List.of(Part.NOTHING), List.of());
    }

    public static AreaDesign of(List<Layer> layers) {
        return new AreaDesign(List.of(new Part(layers)), List.of());
    }

    public static AreaDesign of(AreaMotif motif, Optional<String> templateId) {
        return of(List.of(new Layer(motif, templateId)));
    }

    /** Whether nothing at all was decided. */
    public boolean isNothing() {
        return parts.stream().allMatch(p -> p.layers().isEmpty()) && letters.isEmpty() && parts.size() == 1;
    }

    /** The letter of a block; columns and rows count from 0, at the top left. */
    public char letter(int column, int row) {
        if (letters.isEmpty()) {
            return 'A';
        }
        String line = letters.get(row % letters.size());
        return line.charAt(column % line.length());
    }

    /** The spacings of the echoes that lie round the area. */
    public List<Double> echoesOutside() {
        return parts.stream()
                .flatMap(p -> p.layers().stream())
                .map(Layer::motif)
                .filter(m -> m instanceof AreaMotif.Echoes e && e.outside())
                .map(m -> ((AreaMotif.Echoes) m).spacing())
                .toList();
    }

    /** What is stitched under a letter. */
    public Part part(char letter) {
        int index = letter - 'A';
        return index >= 0 && index < parts.size() ? parts.get(index) : Part.NOTHING;
    }

    /** This design with another part under a letter: one that is there, or the next. */
    public AreaDesign with(char letter, Part part) {
        List<Part> all = new ArrayList<>(parts);
        if (letter - 'A' < all.size()) {
            all.set(letter - 'A', part);
        } else {
            all.add(part);
        }
        return new AreaDesign(all, letters);
    }

    public AreaDesign withLetters(List<String> rows) {
        return new AreaDesign(parts, rows);
    }

    /** This design without its last part; the blocks that had it are A. */
    public AreaDesign withoutLastPart() {
        char gone = (char) ('A' + parts.size() - 1);
        return new AreaDesign(
                parts.subList(0, parts.size() - 1),
                letters.stream().map(row -> row.replace(gone, 'A')).toList());
    }

    /** The letters in turn, so that neighbours differ: AB, then BA; ABC, BCA, CAB. */
    public AreaDesign inTurn() {
        int n = parts.size();
        return withLetters(IntStream.range(0, n)
                .mapToObj(row -> IntStream.range(0, n)
                        .mapToObj(column -> "" + (char) ('A' + (row + column) % n))
                        .collect(Collectors.joining()))
                .toList());
    }

    /** This design with one block under another letter, and the others as they are. */
    public AreaDesign withBlock(int columns, int rows, int column, int row, char letter) {
        return withLetters(IntStream.range(0, rows)
                .mapToObj(r -> IntStream.range(0, columns)
                        .mapToObj(c -> "" + (c == column && r == row ? letter : letter(c, r)))
                        .collect(Collectors.joining()))
                .toList());
    }
}
