package gastfreund.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The rules of docs/architecture.md for the core. */
class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("gastfreund.core");

    @Test
    void coreKnowsNothingButJavaAndARecurrenceRuleLibrary() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("gastfreund.core..", "java..", "org.dmfs.rfc5545..", "org.jspecify.annotations..")
                .check(CORE);
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
                .check(CORE);
    }

    /** From the ground up: each package may use those that stand before it, and no other. */
    private static final List<String> LAYERS = List.of(
            "time",
            "money",
            "hours",
            "letters",
            "terms",
            "offers",
            "bookings",
            "sessions",
            "openings",
            "wishes",
            "orders",
            "figures");

    private static final int MOST_FILES = 24;

    @Test
    void arrowsGoDownOnly() throws IOException {
        for (int i = 0; i < LAYERS.size(); i++) {
            List<String> above = LAYERS.subList(i + 1, LAYERS.size());
            noClasses()
                    .that()
                    .resideInAPackage("gastfreund.core." + LAYERS.get(i) + "..")
                    .should()
                    .dependOnClassesThat(JavaClass.Predicates.resideInAnyPackage(above.stream()
                            .map(l -> "gastfreund.core." + l + "..")
                            .toArray(String[]::new)))
                    .check(CORE);
            try (Stream<Path> files = Files.list(Path.of("src/main/java/gastfreund/core", LAYERS.get(i)))) {
                assertThat(files.filter(f -> !f.endsWith("package-info.java")).count())
                        .as(LAYERS.get(i))
                        .isLessThanOrEqualTo(MOST_FILES);
            }
        }
        classes()
                .should()
                .resideInAnyPackage(
                        LAYERS.stream().map(l -> "gastfreund.core." + l).toArray(String[]::new))
                .check(CORE);
    }

    @Test
    void nothingFloats() {
        noClasses().should().accessClassesThat().areAssignableTo(Double.class).check(CORE);
        noClasses().should().accessClassesThat().areAssignableTo(Float.class).check(CORE);
    }
}
