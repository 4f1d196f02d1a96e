package jollyspindle.desktop;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateFinder;
import jollyspindle.core.shelf.TemplateInspector;
import jollyspindle.core.shelf.TemplateReport;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.desktop.shelf.ShelfModel;
import org.junit.jupiter.api.Test;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

class ArchitectureTest {

    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("jollyspindle.desktop");

    @Test
    void desktopKnowsNoFormat() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("com.fasterxml..", "org.apache.pdfbox..", "javax.xml..")
                .check(CLASSES);
    }

    /** What takes a while is worked out away from the window: by the model, which hands over what is to be shown. */
    @Test
    void viewsAskForReports() {
        noClasses()
                .should()
                .callMethod(Stitching.class, "of", Template.class, Machine.class)
                .orShould()
                .callMethod(Prediction.class, "of", Template.class, double.class)
                .orShould()
                .callMethod(Template.class, "strokes", EngravedLine.class)
                .orShould()
                .callMethod(Area.Outline.class, "path")
                .orShould()
                .dependOnClassesThat()
                .areAssignableTo(TemplateInspector.class)
                .check(CLASSES);
        noClasses()
                .that()
                .doNotHaveFullyQualifiedName(ShelfModel.class.getName())
                .should()
                .callMethod(TemplateReport.class, "of", Template.class, Machine.class)
                .orShould()
                .dependOnClassesThat()
                .areAssignableTo(TemplateFinder.class)
                .check(CLASSES);
    }

    /** Only the planner computes; the window shows what it gives. */
    @Test
    void desktopComputesNothing() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .haveNameMatching("jollyspindle\\.core\\.(division\\.(CandidateFinder|RunCounts)"
                        + "|motif\\.SingleArcs|marking\\.Marker|inspection\\..*Inspector|quilt\\.BodyShape\\$.*)")
                .orShould()
                .callMethod(Math.class, "sqrt", double.class)
                .orShould()
                .callMethod(Math.class, "asin", double.class)
                .orShould()
                .callMethod(Math.class, "acos", double.class)
                .check(CLASSES);
    }

    @Test
    void onlyTheModelPlans() {
        noClasses()
                .that()
                .resideInAnyPackage("..control..", "..bench..", "..look..")
                .should()
                .dependOnClassesThat()
                .haveFullyQualifiedName("jollyspindle.core.plan.Planner")
                .orShould()
                .dependOnClassesThat()
                .resideInAPackage("jollyspindle.files..")
                .check(CLASSES);
    }

    @Test
    void theModelKnowsNoControls() {
        noClasses()
                .that()
                .resideInAPackage("..desktop.model..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx.scene..", "javafx.stage..")
                .check(CLASSES);
    }
}
