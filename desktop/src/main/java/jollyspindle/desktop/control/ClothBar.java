package jollyspindle.desktop.control;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.cloth.ClothLook;
import jollyspindle.core.cloth.Colour;
import jollyspindle.core.cloth.FabricId;
import jollyspindle.core.cloth.Loft;
import jollyspindle.core.cloth.Swatch;
import jollyspindle.core.cloth.ThreadId;
import jollyspindle.core.code.Codes;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/** What the cloth is made of: its batting, and the colours of cloth and thread where the quilter looks. */
public final class ClothBar extends FlowPane {

    private static final double SWATCH = 16;

    /** One thing that has a colour. */
    private record Coloured(
            String name,
            Function<ClothLook, Colour> now,
            BiFunction<ClothLook, Colour, ClothLook> with,
            UnaryOperator<ClothLook> usual) {}

    private final Workbench bench;
    private final QuiltTable table;

    /** Which of the things there are is coloured, by its place. */
    private int chosen;

    private Object about = "";

    public ClothBar(Workbench bench, QuiltTable table) {
        super(10, 6);
        this.bench = bench;
        this.table = table;
        setId("cloth-bar");
        getStyleClass().add("cloth-bar");
        Soon soon = new Soon(this, this::show);
        bench.planProperty().addListener(o -> soon.ask());
        bench.selection().whereProperty().addListener(o -> soon.ask());
        bench.areas().lookedProperty().addListener(o -> soon.ask());
        bench.stageProperty().addListener(o -> appear(soon));
        table.asClothProperty().addListener(o -> appear(soon));
        appear(soon);
    }

    private void appear(Soon soon) {
        boolean seen = table.isCloth();
        setVisible(seen);
        setManaged(seen);
        if (seen) {
            soon.ask();
            soon.now();
        }
    }

    private void show() {
        List<Coloured> all = all();
        Object now = bench.areas().isLooked() ? bench.areas().lookedProperty().get() : bench.groupId();
        if (!now.equals(about) || chosen >= all.size()) {
            about = now;
            chosen = 0;
        }
        ClothLook look = bench.job().look();
        Coloured one = all.get(chosen);
        List<Node> parts = new ArrayList<>();
        parts.add(named(
                "Batting",
                new ChoiceField<>(
                        "cloth-loft",
                        "How much the batting fills out",
                        List.of(Loft.values()),
                        look.loft(),
                        Codes::of,
                        loft -> edit(Said.say("step.batting", "loft", Codes.of(loft)), l -> l.with(loft)))));
        parts.add(named(
                "Colour of",
                new ChoiceField<>(
                        "cloth-what",
                        "Which cloth or thread is given a colour",
                        all.stream().map(Coloured::name).toList(),
                        one.name(),
                        name -> name,
                        name -> {
                            chosen = all.stream().map(Coloured::name).toList().indexOf(name);
                            show();
                        })));
        HBox swatches = new HBox(3);
        Arrays.stream(Swatch.values()).forEach(s -> swatches.getChildren().add(swatch(s, one, look)));
        parts.add(swatches);
        TypedField any = new TypedField("cloth-colour", "Any colour", text -> {
            if (text.isBlank()) {
                edit(Said.say("step.usual-colour", "what", one.name()), one.usual());
                return Optional.empty();
            }
            Optional<Colour> colour = Colour.parse(text.strip());
            colour.ifPresent(c -> colour(one, c));
            return colour.isPresent() ? Optional.empty() : Optional.of(Said.say("field.colour", "text", text.strip()));
        });
        any.show(one.now().apply(look).code());
        any.setMaxWidth(130);
        parts.add(any);
        Gradually.renew(this, parts);
    }

    private static Node named(String name, Node field) {
        Label label = new Label(name);
        label.getStyleClass().add("length-label");
        label.setLabelFor(field);
        HBox both = new HBox(6, label, field);
        both.getStyleClass().add("cloth-choice");
        return both;
    }

    private Button swatch(Swatch swatch, Coloured one, ClothLook look) {
        Rectangle seen = new Rectangle(SWATCH, SWATCH, Color.web(swatch.colour().code()));
        Button button = new Button(null, seen);
        String name = Words.capital(Codes.of(swatch));
        boolean now = one.now().apply(look).equals(swatch.colour());
        button.setId("cloth-" + Codes.of(swatch));
        button.getStyleClass().add(now ? "cloth-swatch-now" : "cloth-swatch");
        Tip.on(button, name);
        button.setAccessibleText(now ? name + ", as it is now" : name);
        button.setOnAction(e -> colour(one, swatch.colour()));
        return button;
    }

    private void colour(Coloured one, Colour colour) {
        edit(Said.say("step.colour", "what", one.name()), look -> one.with().apply(look, colour));
    }

    private void edit(String name, Function<ClothLook, ClothLook> change) {
        bench.edit(name, job -> job.with(change.apply(job.look())));
    }

    // --- what has a colour -------------------------------------------------------------------------------------

    private List<Coloured> all() {
        List<Coloured> all = new ArrayList<>();
        if (bench.areas().isLooked()) {
            AreaId id = bench.areas().lookedProperty().get().id();
            boolean body = bench.areas().area().orElse(null) instanceof Area.Body;
            char letter = bench.areas().letter();
            FabricId fabric = body || letter == AreaDesign.PLAIN ? FabricId.BODY : FabricId.of(id, letter);
            String cloth = body
                    ? "the body"
                    : Words.decapital(AreaWords.name(id, bench.job().quilt()));
            boolean several = bench.job().design(id).parts().size() > 1;
            all.add(fabric(several && !body ? cloth + ", letter " + letter : cloth, fabric));
            List<AreaDesign.Layer> layers = bench.job().design(id).part(letter).layers();
            for (int i = 0; i < layers.size(); i++) {
                all.add(thread(
                        i + 1,
                        AreaWords.name(layers.get(i).motif()),
                        new ThreadId(fabric, layers.get(i).number()),
                        layers.size()));
            }
        } else {
            GroupId group = bench.groupId();
            FabricId fabric = FabricId.of(group);
            all.add(fabric(Words.decapital(Words.name(group, bench.job().quilt())), fabric));
            Design design = bench.job().layout(group).design();
            for (int i = 0; i < design.layers().size(); i++) {
                all.add(thread(
                        i + 1,
                        MotifWords.name(design.layers().get(i).motif()),
                        new ThreadId(fabric, design.layers().get(i).number()),
                        design.layers().size()));
            }
            if (design.corner().kind() != CornerDesign.Kind.PLAIN) {
                all.add(thread(0, "the corners", new ThreadId(fabric, 0), 1));
            }
            all.add(fabric("the body", FabricId.BODY));
        }
        return all;
    }

    private static Coloured fabric(String name, FabricId id) {
        return new Coloured(
                name, look -> look.fabric(id), (look, colour) -> look.with(id, colour), look -> look.without(id));
    }

    private static Coloured thread(int number, String motif, ThreadId id, int of) {
        return new Coloured(
                Said.say("cloth.thread", "motif", motif, "several", of > 1, "number", number),
                look -> look.thread(id),
                (look, colour) -> look.with(id, colour),
                look -> look.without(id));
    }
}
