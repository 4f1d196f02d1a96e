package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.CornerForm;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SerpentineStrip;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.StraightEdge;
import jollyspindle.core.shelf.form.TurnedArm;
import jollyspindle.core.words.ShelfWords;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** The fields for how a template is cut, kind by kind. */
final class FormEntries {

    /** The figures an arm can draw. */
    private enum FigureKind {
        WAVE,
        SPIRAL,
        PETAL
    }

    private final FieldBinding.Maker make;

    FormEntries(FieldBinding.Maker make) {
        this.make = make;
    }

    /** Which fields a form takes: forms with the same answer share them. */
    static Object layout(Form form) {
        return form instanceof TurnedArm arm ? arm.figure().getClass() : form.getClass();
    }

    /** The fields for a form like this one, two to a row. */
    List<FieldBinding> of(Form form) {
        return switch (form.kind()) {
            case ARC -> arc();
            case CIRCLE -> circle();
            case SLOTTED_CIRCLES -> slottedCircles();
            case SLOTTED_FAN -> slottedFan();
            case SCALLOP_ROW -> scallops();
            case STRAIGHT_EDGE -> straight();
            case CORNER -> corner();
            case SERPENTINE_STRIP -> serpentine();
            case CHEVRON_STRIP -> chevron();
            case TURNED_ARM -> arm((TurnedArm) form);
            case OUTLINE -> outline();
        };
    }

    private <F extends Form> FieldBinding length(
            Class<F> type, String id, String name, ToDoubleFunction<F> get, BiFunction<F, Double, Form> set) {
        return make.length(
                id,
                name,
                t -> get.applyAsDouble(type.cast(t.form())),
                (t, v) -> t.withForm(set.apply(type.cast(t.form()), v)));
    }

    private <F extends Form> FieldBinding degrees(
            Class<F> type,
            String id,
            String name,
            double least,
            double most,
            ToDoubleFunction<F> get,
            BiFunction<F, Double, Form> set) {
        return make.degrees(
                id,
                name,
                least,
                most,
                t -> get.applyAsDouble(type.cast(t.form())),
                (t, v) -> t.withForm(set.apply(type.cast(t.form()), v)));
    }

    private <F extends Form> FieldBinding whole(
            Class<F> type,
            String id,
            String name,
            int most,
            ToDoubleFunction<F> get,
            BiFunction<F, Integer, Form> set) {
        return make.number(id, name, 1, most, t -> get.applyAsDouble(type.cast(t.form())), (t, v) -> {
            if (v != Math.rint(v)) {
                throw new IllegalArgumentException("only whole numbers make sense here");
            }
            return t.withForm(set.apply(type.cast(t.form()), v.intValue()));
        });
    }

    private <F extends Form> FieldBinding sizes(
            Class<F> type, Function<F, List<Double>> get, BiFunction<F, List<Double>, Form> set) {
        return make.lengths(
                        "sizes",
                        "Sizes printed on it",
                        false,
                        t -> get.apply(type.cast(t.form())),
                        (t, v) -> t.withForm(set.apply(type.cast(t.form()), v)))
                .inARow();
    }

    private List<FieldBinding> arc() {
        Class<ArcForm> f = ArcForm.class;
        return List.of(
                make.optionalLength(
                        "bulging",
                        "Bulging edge, printed",
                        t -> f.cast(t.form()).bulging(),
                        (t, v) -> t.withForm(
                                with(f.cast(t.form()), v, f.cast(t.form()).hollow()))),
                make.optionalLength(
                        "hollow",
                        "Hollow edge, printed",
                        t -> f.cast(t.form()).hollow(),
                        (t, v) -> t.withForm(
                                with(f.cast(t.form()), f.cast(t.form()).bulging(), v))),
                degrees(f, "sweep", "Usable sweep", 1, 180, ArcForm::usableSweep, ArcForm::withUsableSweep),
                length(f, "depth", "Crown to far side", ArcForm::depth, ArcForm::withDepth),
                make.optionalLength(
                        "legs",
                        "Legs below the half circle",
                        t -> f.cast(t.form()).legs() > 0
                                ? OptionalDouble.of(f.cast(t.form()).legs())
                                : OptionalDouble.empty(),
                        (t, v) -> t.withForm(f.cast(t.form()).withLegs(v.orElse(0)))),
                make.flag(
                                "half-circle",
                                "Sold as a half circle",
                                t -> f.cast(t.form()).halfCircle(),
                                (t, v) -> t.withForm(f.cast(t.form()).withHalfCircle(v)))
                        .inARow());
    }

    private static ArcForm with(ArcForm arc, OptionalDouble bulging, OptionalDouble hollow) {
        return new ArcForm(bulging, hollow, arc.usableSweep(), arc.legs(), arc.halfCircle(), arc.depth());
    }

    private List<FieldBinding> circle() {
        Class<CircleForm> f = CircleForm.class;
        return List.of(
                make.choice(
                        "cutting",
                        "Cut as",
                        List.of(CircleForm.Cutting.values()),
                        ShelfWords::name,
                        t -> f.cast(t.form()).cutting(),
                        (t, v) -> t.withForm(new CircleForm(
                                v, f.cast(t.form()).sizes(), f.cast(t.form()).rim()))),
                length(
                        f,
                        "rim",
                        "Acrylic left round holes",
                        CircleForm::rim,
                        (c, v) -> new CircleForm(c.cutting(), c.sizes(), v)),
                sizes(f, CircleForm::sizes, (c, v) -> new CircleForm(c.cutting(), v, c.rim())));
    }

    private List<FieldBinding> slottedCircles() {
        Class<SlottedCircles> f = SlottedCircles.class;
        return List.of(
                sizes(f, SlottedCircles::sizes, (s, v) -> new SlottedCircles(v, s.slotWidth(), s.sweep())),
                length(
                        f,
                        "slot-width",
                        "Slot width",
                        SlottedCircles::slotWidth,
                        (s, v) -> new SlottedCircles(s.sizes(), v, s.sweep())),
                degrees(
                        f,
                        "sweep",
                        "Slot sweep",
                        1,
                        359,
                        SlottedCircles::sweep,
                        (s, v) -> new SlottedCircles(s.sizes(), s.slotWidth(), v)));
    }

    private List<FieldBinding> slottedFan() {
        Class<SlottedFan> f = SlottedFan.class;
        return List.of(
                sizes(f, SlottedFan::sizes, (s, v) -> new SlottedFan(v, s.slotWidth(), s.sweep(), s.legAngle())),
                length(
                        f,
                        "slot-width",
                        "Slot width",
                        SlottedFan::slotWidth,
                        (s, v) -> new SlottedFan(s.sizes(), v, s.sweep(), s.legAngle())),
                degrees(
                        f,
                        "sweep",
                        "Slot sweep",
                        1,
                        359,
                        SlottedFan::sweep,
                        (s, v) -> new SlottedFan(s.sizes(), s.slotWidth(), v, s.legAngle())),
                degrees(
                        f,
                        "leg-angle",
                        "Leg angle",
                        1,
                        359,
                        SlottedFan::legAngle,
                        (s, v) -> new SlottedFan(s.sizes(), s.slotWidth(), s.sweep(), v)));
    }

    private List<FieldBinding> scallops() {
        Class<ScallopRow> f = ScallopRow.class;
        return List.of(
                whole(
                        f,
                        "bumps",
                        "Bumps in the row",
                        ScallopRow.MOST_BUMPS,
                        ScallopRow::bumps,
                        (s, v) -> new ScallopRow(v, s.width(), s.depth())),
                length(
                        f,
                        "width",
                        "From bump to bump",
                        ScallopRow::width,
                        (s, v) -> new ScallopRow(s.bumps(), v, s.depth())),
                length(
                        f,
                        "depth",
                        "Crown to far side",
                        ScallopRow::depth,
                        (s, v) -> new ScallopRow(s.bumps(), s.width(), v)));
    }

    private List<FieldBinding> straight() {
        Class<StraightEdge> f = StraightEdge.class;
        return List.of(
                length(
                        f,
                        "length",
                        "Length",
                        StraightEdge::length,
                        (s, v) -> new StraightEdge(v, s.width(), s.notch())),
                length(f, "width", "Width", StraightEdge::width, (s, v) -> new StraightEdge(s.length(), v, s.notch())),
                make.optionalLength(
                        "notch",
                        "Depth of the end notches",
                        t -> f.cast(t.form()).notch() > 0
                                ? OptionalDouble.of(f.cast(t.form()).notch())
                                : OptionalDouble.empty(),
                        (t, v) -> t.withForm(new StraightEdge(
                                f.cast(t.form()).length(), f.cast(t.form()).width(), v.orElse(0)))));
    }

    private List<FieldBinding> corner() {
        Class<CornerForm> f = CornerForm.class;
        return List.of(
                degrees(
                        f,
                        "angle",
                        "Angle",
                        11,
                        169,
                        CornerForm::angle,
                        (c, v) -> new CornerForm(v, c.arm(), c.width())),
                length(
                        f,
                        "arm",
                        "Length of each arm",
                        CornerForm::arm,
                        (c, v) -> new CornerForm(c.angle(), v, c.width())),
                length(
                        f,
                        "width",
                        "Width of the arms",
                        CornerForm::width,
                        (c, v) -> new CornerForm(c.angle(), c.arm(), v)));
    }

    private List<FieldBinding> serpentine() {
        Class<SerpentineStrip> f = SerpentineStrip.class;
        return List.of(
                length(
                        f,
                        "module",
                        "Crest to crest",
                        SerpentineStrip::module,
                        (s, v) -> new SerpentineStrip(v, s.height(), s.waves(), s.depth())),
                length(
                        f,
                        "height",
                        "Trough to crest",
                        SerpentineStrip::height,
                        (s, v) -> new SerpentineStrip(s.module(), v, s.waves(), s.depth())),
                whole(
                        f,
                        "waves",
                        "Waves",
                        40,
                        SerpentineStrip::waves,
                        (s, v) -> new SerpentineStrip(s.module(), s.height(), v, s.depth())),
                length(
                        f,
                        "depth",
                        "Trough to far side",
                        SerpentineStrip::depth,
                        (s, v) -> new SerpentineStrip(s.module(), s.height(), s.waves(), v)));
    }

    private List<FieldBinding> chevron() {
        Class<ChevronStrip> f = ChevronStrip.class;
        return List.of(
                length(
                        f,
                        "module",
                        "Tip to tip",
                        ChevronStrip::module,
                        (s, v) -> new ChevronStrip(v, s.angle(), s.tips(), s.depth())),
                degrees(
                        f,
                        "angle",
                        "Angle of tips",
                        21,
                        169,
                        ChevronStrip::angle,
                        (s, v) -> new ChevronStrip(s.module(), v, s.tips(), s.depth())),
                whole(
                        f,
                        "tips",
                        "Tips",
                        40,
                        ChevronStrip::tips,
                        (s, v) -> new ChevronStrip(s.module(), s.angle(), v, s.depth())),
                length(
                        f,
                        "depth",
                        "Notch to far side",
                        ChevronStrip::depth,
                        (s, v) -> new ChevronStrip(s.module(), s.angle(), s.tips(), v)));
    }

    private List<FieldBinding> arm(TurnedArm shown) {
        Class<TurnedArm> f = TurnedArm.class;
        List<FieldBinding> entries = new ArrayList<>();
        entries.add(make.choice(
                "figure",
                "Figure",
                List.of(FigureKind.values()),
                k -> k.name().toLowerCase(Locale.ROOT),
                t -> kind(f.cast(t.form()).figure()),
                (t, v) ->
                        kind(f.cast(t.form()).figure()) == v ? t : t.withForm(withFigure(f.cast(t.form()), usual(v)))));
        entries.add(length(
                f, "reach", "Reach", TurnedArm::reach, (a, v) -> new TurnedArm(a.figure(), v, a.hook(), a.width())));
        if (shown.figure() instanceof TurnedArm.Wave) {
            entries.add(length(
                    f,
                    "bend",
                    "Bend to each side",
                    a -> ((TurnedArm.Wave) a.figure()).bend(),
                    (a, v) -> withFigure(a, new TurnedArm.Wave(v, ((TurnedArm.Wave) a.figure()).waves()))));
            entries.add(make.number(
                    "waves",
                    "Waves",
                    0.5,
                    6,
                    t -> ((TurnedArm.Wave) f.cast(t.form()).figure()).waves(),
                    (t, v) -> t.withForm(withFigure(
                            f.cast(t.form()),
                            new TurnedArm.Wave(
                                    ((TurnedArm.Wave) f.cast(t.form()).figure()).bend(), v)))));
        } else if (shown.figure() instanceof TurnedArm.Spiral) {
            entries.add(degrees(
                    f,
                    "turn",
                    "Turn",
                    1,
                    1080,
                    a -> ((TurnedArm.Spiral) a.figure()).turn(),
                    (a, v) -> withFigure(a, new TurnedArm.Spiral(v))));
        } else {
            entries.add(length(
                    f,
                    "rise",
                    "Rise of the half petal",
                    a -> ((TurnedArm.Petal) a.figure()).rise(),
                    (a, v) -> withFigure(a, new TurnedArm.Petal(v))));
        }
        entries.add(length(
                f,
                "hook",
                "Radius of the hook",
                TurnedArm::hook,
                (a, v) -> new TurnedArm(a.figure(), a.reach(), v, a.width())));
        entries.add(length(
                f,
                "width",
                "Width of the arm",
                TurnedArm::width,
                (a, v) -> new TurnedArm(a.figure(), a.reach(), a.hook(), v)));
        return entries;
    }

    private static TurnedArm withFigure(TurnedArm arm, TurnedArm.Figure figure) {
        return new TurnedArm(figure, arm.reach(), arm.hook(), arm.width());
    }

    private static FigureKind kind(TurnedArm.Figure figure) {
        return figure instanceof TurnedArm.Wave
                ? FigureKind.WAVE
                : figure instanceof TurnedArm.Spiral ? FigureKind.SPIRAL : FigureKind.PETAL;
    }

    private static TurnedArm.Figure usual(FigureKind kind) {
        return switch (kind) {
            case WAVE -> new TurnedArm.Wave(0.75, 1);
            case SPIRAL -> new TurnedArm.Spiral(Math.toRadians(120));
            case PETAL -> new TurnedArm.Petal(1);
        };
    }

    private List<FieldBinding> outline() {
        Class<OutlineForm> f = OutlineForm.class;
        return List.of(
                length(f, "width", "Width, left to right", OutlineForm::mainSize, OutlineForm::withMainSize),
                make.flag(
                        "window",
                        "The foot runs inside of it",
                        t -> f.cast(t.form()).window(),
                        (t, v) -> t.withForm(new OutlineForm(f.cast(t.form()).corners(), v))));
    }
}
