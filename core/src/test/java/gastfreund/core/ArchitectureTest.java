package gastfreund.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The rules of docs/architecture.md for the core. */
class ArchitectureTest {

    private final JavaClasses core = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("gastfreund.core");

    @Test
    void coreKnowsNothingButJavaAndARecurrenceRuleLibrary() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("gastfreund.core..", "java..", "org.dmfs.rfc5545..", "org.jspecify.annotations..")
                .check(core);
    }

    @Test
    void coreHasNoClockNoFilesAndNoLog() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.io..", "java.nio..", "java.net..", "java.sql..", "java.util.logging..")
                .orShould()
                .callMethod(java.time.Instant.class, "now")
                .orShould()
                .callMethod(java.time.LocalDate.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .orShould()
                .dependOnClassesThat()
                .areAssignableTo(java.time.Clock.class)
                .check(core);
    }

    @Test
    void packagesHaveNoCycle() {
        slices().matching("gastfreund.core.(*)..").should().beFreeOfCycles().check(core);
    }

    @Test
    void nothingFloats() {
        noClasses().should().accessClassesThat().areAssignableTo(Double.class).check(core);
        noClasses().should().accessClassesThat().areAssignableTo(Float.class).check(core);
    }
}
