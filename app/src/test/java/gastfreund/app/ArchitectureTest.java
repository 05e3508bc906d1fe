package gastfreund.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RestController;

/** The rules of docs/architecture.md for the application. */
class ArchitectureTest {

    private final JavaClasses app =
            new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("gastfreund.app");

    @Test
    void packagesHaveNoCycle() {
        slices().matching("gastfreund.app.(*)..").should().beFreeOfCycles().check(app);
    }

    @Test
    void packagesAreCutByWhatTheyAreAbout() {
        classes()
                .should()
                .resideInAnyPackage(
                        "gastfreund.app",
                        "gastfreund.app.house..",
                        "gastfreund.app.catalogue..",
                        "gastfreund.app.openings..",
                        "gastfreund.app.baskets..",
                        "gastfreund.app.orders..",
                        "gastfreund.app.payments..",
                        "gastfreund.app.vouchers..",
                        "gastfreund.app.messages..",
                        "gastfreund.app.calendars..",
                        "gastfreund.app.hosts..",
                        "gastfreund.app.board..")
                .check(app);
    }

    @Test
    void onlyStoresTouchTheDatabase() {
        noClasses()
                .that()
                .haveSimpleNameNotEndingWith("Store")
                .and()
                .haveNameNotMatching(".*\\.Database(\\$.*)?")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework.jdbc..", "java.sql..", "javax.sql..", "org.sqlite..")
                .check(app);
    }

    @Test
    void controllersDoNotAskStores() {
        noClasses()
                .that()
                .areAnnotatedWith(Controller.class)
                .or()
                .areAnnotatedWith(RestController.class)
                .should()
                .dependOnClassesThat()
                .haveSimpleNameEndingWith("Store")
                .check(app);
    }

    @Test
    void standInsAreReachedOverTheirProtocolsOnly() {
        noClasses().should().dependOnClassesThat().resideInAPackage("gastfreund.standins..").check(app);
    }

    @Test
    void timeComesFromTheClockThatIsGiven() {
        noClasses()
                .should()
                .callMethod(java.time.Instant.class, "now")
                .orShould()
                .callMethod(java.time.LocalDate.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .check(app);
    }
}
