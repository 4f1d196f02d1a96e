package jollyspindle.files;

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
}
