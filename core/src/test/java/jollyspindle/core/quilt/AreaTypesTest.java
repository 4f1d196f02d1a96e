package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.form.OutlineForm;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** Every area is of one kind, and the kind's params are all there is to it. */
class AreaTypesTest {

    private static final List<Area> AREAS = List.of(
            new Area.Blocks(3, 4, 9, 10.5, 1.5, 0.25),
            new Area.Medallion(Area.Shape.OCTAGON, 14, 0.5),
            new Area.Body(0.75),
            new Area.Applique(new Area.Ellipse(new Point(3, -2), 6, 4, 0.5), 0.25),
            new Area.Applique(
                    new Area.Corners(List.of(new Point(0, 0), new Point(4, 0), new Point(4, 5), new Point(0, 3))),
                    0.25),
            new Area.Applique(
                    new Area.Drawn(
                            new OutlineForm(
                                    List.of(
                                            new OutlineForm.Corner(0, 0, 0),
                                            new OutlineForm.Corner(3, 0, 1),
                                            new OutlineForm.Corner(3, 2, 0)),
                                    false),
                            new Point(1, 2),
                            -0.25),
                    0.125));

    static List<Area> areas() {
        return AREAS;
    }

    @Test
    void eachIsOfOneKindAndAllKindsAreAmongThem() {
        for (Area area : AREAS) {
            assertThat(AreaTypes.ALL.stream().filter(type -> type.isOf(area))).hasSize(1);
        }
        assertThat(AREAS.stream().<Object>map(AreaTypes::of)).containsExactlyElementsOf(AreaTypes.ALL);
        assertThat(AreaTypes.ALL).allMatch(type -> AreaTypes.of(type.code()).orElseThrow() == type);
        Stream<Class<?>> kinds = Stream.of(Area.class, Area.Outline.class)
                .<Class<?>>flatMap(type -> Stream.of(type.getPermittedSubclasses()))
                .filter(kind -> kind != Area.Applique.class);
        assertThat(AreaTypes.ALL).hasSameSizeAs(kinds.toList());
    }

    /** Made of its own values it is the same, and one value that is changed is the one that differs. */
    @ParameterizedTest
    @MethodSource("areas")
    void whatIsMeasuredIsAllThereIs(Area area) {
        check(area);
    }

    private static <A extends Area> void check(A area) {
        Params<A> params = AreaTypes.of(area).params();
        assertThat(params.make().apply(params.values(area))).isEqualTo(area);
        assertThat(params.changed(area, area)).isEmpty();
        for (Param.Length<A> length : params.lengths()) {
            A other = params.with(area, length, length.of(area) + 0.5);
            assertThat(other).isNotEqualTo(area);
            assertThat(length.of(other)).isEqualTo(length.of(area) + 0.5);
            assertThat(params.changed(area, other)).contains(length);
            assertThat(params.with(other, length, length.of(area))).isEqualTo(area);
        }
    }
}
