package jollyspindle.files;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

@AnalyzeClasses(packages = "jollyspindle.files", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule filesKnowNoInterface = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "javax.swing..", "jollyspindle.command..", "jollyspindle.desktop..");

    @ArchTest
    static final ArchRule formatsDontKnowEachOther = noClasses()
            .that()
            .resideInAPackage("..files.packet..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("..files.job..", "..files.drawing..", "..files.planjson..", "com.fasterxml..");
}
