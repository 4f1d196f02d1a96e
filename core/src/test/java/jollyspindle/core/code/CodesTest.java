package jollyspindle.core.code;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.motif.MotifDiagnostic;
import jollyspindle.core.shelf.Find;
import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.TemplateDiagnostic;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** Each constant and each kind that files may name has a lasting name, and none is left over. */
class CodesTest {

    private static final List<Class<?>> KINDS = List.of(
            Finding.class,
            Remedy.class,
            LayoutDiagnostic.class,
            AreaDiagnostic.class,
            MotifDiagnostic.class,
            TemplateDiagnostic.class,
            StitchFact.class,
            Find.Wanted.class,
            Find.Change.class,
            Find.Missing.class);

    private final Set<String> keys = new TreeSet<>();

    private static Stream<Class<?>> kinds(Class<?> type) {
        return type.isSealed() ? Stream.of(type.getPermittedSubclasses()).flatMap(CodesTest::kinds) : Stream.of(type);
    }

    private static String key(Class<?> type) {
        return type.getName().replace("jollyspindle.core.", "").replace('$', '.');
    }

    @Test
    void eachHasAName() {
        new ClassFileImporter()
                        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                        .importPackages("jollyspindle.core")
                        .stream()
                        .filter(JavaClass::isEnum)
                        .map(JavaClass::reflect)
                        // Constants with a body are classes of their own.
                        .filter(type -> type.getEnumConstants() != null)
                        .forEach(this::constants);
        for (Class<?> type : KINDS) {
            List<String> codes = kinds(type)
                    .map(kind -> {
                        keys.add(key(kind));
                        return ResourceBundle.getBundle("jollyspindle.core.code.codes", Locale.ROOT)
                                .getString(key(kind));
                    })
                    .toList();
            assertThat(codes)
                    .as(type.getName())
                    .doesNotHaveDuplicates()
                    .allMatch(c -> c.matches("[a-z0-9]+(-[a-z0-9]+)*"));
        }
        assertThat(ResourceBundle.getBundle("jollyspindle.core.code.codes", Locale.ROOT)
                        .keySet())
                .containsExactlyInAnyOrderElementsOf(keys);
    }

    @Test
    void whatIsToldOfOneMotifHasANameOfItsOwn() {
        for (Class<?> own : List.of(AreaDiagnostic.class, MotifDiagnostic.class)) {
            assertThat(Stream.of(LayoutDiagnostic.class, own)
                            .flatMap(CodesTest::kinds)
                            .map(kind -> ResourceBundle.getBundle("jollyspindle.core.code.codes", Locale.ROOT)
                                    .getString(key(kind))))
                    .doesNotHaveDuplicates();
        }
    }

    private void constants(Class<?> type) {
        List<String> codes = Stream.of(type.getEnumConstants())
                .map(c -> Codes.of((Enum<?>) c))
                .toList();
        assertThat(codes).as(type.getName()).doesNotHaveDuplicates().allMatch(c -> c.matches("[a-z0-9]+(-[a-z0-9]+)*"));
        for (Object constant : type.getEnumConstants()) {
            if (!(constant instanceof Coded)) {
                keys.add(key(type) + "." + ((Enum<?>) constant).name());
            }
        }
    }

    @Test
    void aConstantIsFoundByItsName() {
        assertThat(Codes.constant(EdgeKind.class, "straight-edge")).contains(EdgeKind.STRAIGHT_EDGE);
        assertThat(Codes.constant(EdgeKind.class, "STRAIGHT_EDGE")).isEmpty();
        assertThat(Codes.ofKind(new LayoutDiagnostic.NoTool(EdgeKind.ARC, 0))).isEqualTo("no-tool");
    }
}
