package jollyspindle.core;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

import java.time.LocalDate;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

class ArchitectureTest {

    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("jollyspindle.core");

    @Test
    void coreKnowsNoInterfaceFileOrFormat() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "javafx..",
                        "java.awt..",
                        "javax.swing..",
                        "java.io..",
                        "java.nio.file..",
                        "java.net..",
                        "javax.xml..",
                        "com.fasterxml..",
                        "org.apache.pdfbox..",
                        "jollyspindle.files..",
                        "jollyspindle.command..",
                        "jollyspindle.desktop..")
                .check(CLASSES);
    }

    @Test
    void coreReadsNoClockAndRollsNoDice() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .haveNameMatching(
                        "java\\.time\\.(?!LocalDate$).*|java\\.util\\.Random|java\\.util\\.Date|java\\.util\\.UUID")
                .orShould()
                .callMethod(LocalDate.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .orShould()
                .callMethod(System.class, "nanoTime")
                .orShould()
                .callMethod(Math.class, "random")
                .orShould()
                .callMethod(java.util.Locale.class, "getDefault")
                .check(CLASSES);
    }

    @Test
    void packagesHaveNoCycles() {
        slices().matching("jollyspindle.core.(*)..").should().beFreeOfCycles().check(CLASSES);
    }

    @Test
    void geometryAndMeasureStandAlone() {
        classes()
                .that()
                .resideInAPackage("..core.geometry..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "java..",
                        "org.locationtech.jts..",
                        "jollyspindle.core.geometry..",
                        "jollyspindle.core.measure..",
                        "jollyspindle.core.text..")
                .check(CLASSES);
        // What is typed, and what can't be, is refused in a sentence.
        classes()
                .that()
                .resideInAPackage("..core.measure..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("java..", "jollyspindle.core.measure..", "jollyspindle.core.text..")
                .check(CLASSES);
        classes()
                .that()
                .resideInAPackage("..core.text..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("java..", "com.ibm.icu..", "jollyspindle.core.text..")
                .check(CLASSES);
    }

    @Test
    void onlyWordsAndDemoKnowWordsAndDemo() {
        noClasses()
                .that()
                .resideOutsideOfPackages("..core.words..", "..core.demo..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("..core.words..", "..core.demo..")
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
