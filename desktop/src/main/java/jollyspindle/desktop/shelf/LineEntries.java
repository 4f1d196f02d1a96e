package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.words.ShelfWords;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** The fields for what is engraved on a template. */
final class LineEntries {

    private final FieldBinding.Maker make;

    LineEntries(FieldBinding.Maker make) {
        this.make = make;
    }

    /** Fields for the kinds of lines a form can have; the values of a kind and what they mean stand in one row. */
    List<List<FieldBinding>> of(Set<EngravedLine.Kind> kinds) {
        List<List<FieldBinding>> rows = new ArrayList<>();
        for (EngravedLine.Kind kind : kinds) {
            switch (kind) {
                case CENTRE -> rows.add(List.of(centre()));
                case REFERENCE -> rows.add(List.of(references()));
                default -> rows.add(List.of(values(kind), convention(kind)));
            }
        }
        return rows;
    }

    private static List<EngravedLine> of(Template template, EngravedLine.Kind kind) {
        return template.lines().stream().filter(l -> l.kind() == kind).toList();
    }

    private static Template with(Template template, EngravedLine.Kind kind, Stream<EngravedLine> lines) {
        return template.withLines(
                Stream.concat(template.lines().stream().filter(l -> l.kind() != kind), lines.distinct())
                        .toList());
    }

    /** What the values of a kind mean: as its first line says, else as such lines are usually labelled. */
    private static LabelConvention convention(Template template, EngravedLine.Kind kind) {
        return of(template, kind).stream()
                .findFirst()
                .map(EngravedLine::convention)
                .orElse(
                        kind == EngravedLine.Kind.RISE || kind == EngravedLine.Kind.CROWN
                                ? LabelConvention.AS_STITCHED
                                : LabelConvention.AS_CUT);
    }

    private FieldBinding values(EngravedLine.Kind kind) {
        String name = name(kind);
        return make.lengths(
                "lines-" + id(kind),
                name,
                true,
                t -> of(t, kind).stream().map(EngravedLine::value).toList(),
                (t, values) -> with(t, kind, values.stream().map(v -> new EngravedLine(kind, v, convention(t, kind)))));
    }

    private FieldBinding convention(EngravedLine.Kind kind) {
        return make.choice(
                "means-" + id(kind),
                "They are",
                List.of(LabelConvention.values()),
                ShelfWords::name,
                t -> convention(t, kind),
                (t, means) -> with(t, kind, of(t, kind).stream().map(l -> new EngravedLine(kind, l.value(), means))));
    }

    private FieldBinding centre() {
        return make.flag(
                "line-centre",
                "Centre line",
                t -> !of(t, EngravedLine.Kind.CENTRE).isEmpty(),
                (t, on) -> with(t, EngravedLine.Kind.CENTRE, on ? Stream.of(EngravedLine.centre()) : Stream.empty()));
    }

    private FieldBinding references() {
        return make.degreesList(
                "lines-reference",
                "Reference lines, degrees to the left of up",
                t -> of(t, EngravedLine.Kind.REFERENCE).stream()
                        .map(EngravedLine::value)
                        .toList(),
                (t, angles) ->
                        with(t, EngravedLine.Kind.REFERENCE, angles.stream().map(EngravedLine::reference)));
    }

    private static String name(EngravedLine.Kind kind) {
        return switch (kind) {
            case RISE -> "Rise lines";
            case PARALLEL -> "Lines parallel to the edge";
            case CROWN -> "Crown line";
            default -> "Seam-allowance line";
        };
    }

    private static String id(EngravedLine.Kind kind) {
        return kind.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }
}
