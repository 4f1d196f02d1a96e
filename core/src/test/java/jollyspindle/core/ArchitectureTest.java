package jollyspindle.core;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

@AnalyzeClasses(packages = "jollyspindle.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule coreKnowsNoInterfaceFileOrFormat = noClasses()
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
                    "jollyspindle.desktop..");

    @ArchTest
    static final ArchRule coreReadsNoClockAndRollsNoDice = noClasses()
            .should()
            .dependOnClassesThat()
            .haveNameMatching("java\\.time\\..*|java\\.util\\.Random|java\\.util\\.Date|java\\.util\\.UUID")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime")
            .orShould()
            .callMethod(Math.class, "random")
            .orShould()
            .callMethod(java.util.Locale.class, "getDefault");

    @ArchTest
    static final ArchRule packagesHaveNoCycles =
            slices().matching("jollyspindle.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule geometryAndMeasureStandAlone = classes()
            .that()
            .resideInAnyPackage("..core.geometry..", "..core.measure..")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage("java..", "jollyspindle.core.geometry..", "jollyspindle.core.measure..");

    @ArchTest
    static final ArchRule onlyWordsAndDemoKnowWordsAndDemo = noClasses()
            .that()
            .resideOutsideOfPackages("..core.words..", "..core.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("..core.words..", "..core.demo..");
}
