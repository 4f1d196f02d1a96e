package jollyspindle.files;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

class ArchitectureTest {

    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("jollyspindle.files");

    @Test
    void filesKnowNoInterface() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx..", "javax.swing..", "jollyspindle.command..", "jollyspindle.desktop..")
                .check(CLASSES);
    }

    @Test
    void formatsDontKnowEachOther() {
        noClasses()
                .that()
                .resideInAPackage("..files.packet..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("..files.job..", "..files.drawing..", "..files.planjson..", "com.fasterxml..")
                .check(CLASSES);
    }

    /** What the program or the screen calls a thing may change; its lasting name (Codes) doesn't. */
    @Test
    void namesOfTheProgramAreNoLastingNames() {
        noClasses()
                .that()
                .resideOutsideOfPackages("jollyspindle.core.code..")
                .should()
                .callMethodWhere(DescribedPredicate.describe(
                        "it is a constant's name",
                        call -> call.getName().equals("name")
                                && call.getTargetOwner().isAssignableTo(Enum.class)))
                .orShould()
                .callMethod(Class.class, "getSimpleName")
                .check(CLASSES);
    }
}
