package gastfreund.housefile;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The house file adds JSON to the core, and nothing else. */
class ArchitectureTest {

    @Test
    void onlyCoreAndJson() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "gastfreund.housefile..",
                        "gastfreund.core..",
                        "java..",
                        "tools.jackson..",
                        "org.jspecify.annotations..")
                .check(new ClassFileImporter()
                        .withImportOption(new ImportOption.DoNotIncludeTests())
                        .importPackages("gastfreund.housefile"));
    }
}
