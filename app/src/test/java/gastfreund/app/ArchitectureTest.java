package gastfreund.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.lang.reflect.Method;
import org.junit.jupiter.api.Test;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
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
                        "gastfreund.app.board..",
                        "gastfreund.app.rounds..",
                        "gastfreund.app.door..",
                        "gastfreund.app.guests..")
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

    /** Closed by default: a handler of the desk that names no right fails the build, and one elsewhere cannot name any. */
    @Test
    void everyHandlerOfTheDeskNamesTheRightThatItNeeds() {
        methods()
                .that(areHandlersOf(true))
                .should()
                .beAnnotatedWith("gastfreund.app.hosts.Needs")
                .orShould()
                .beAnnotatedWith("gastfreund.app.hosts.BeforeSignIn")
                .check(app);
        noMethods().that(areHandlersOf(false)).should().beAnnotatedWith("gastfreund.app.hosts.Needs").check(app);
    }

    private static DescribedPredicate<JavaMethod> areHandlersOf(boolean desk) {
        return DescribedPredicate.describe(desk ? "are handlers of the desk" : "are handlers for guests", method -> {
            Method reflected = method.reflect();
            RequestMapping own = AnnotatedElementUtils.findMergedAnnotation(reflected, RequestMapping.class);
            if (own == null) {
                return false;
            }
            RequestMapping above = AnnotatedElementUtils.findMergedAnnotation(reflected.getDeclaringClass(), RequestMapping.class);
            String first = above != null && above.path().length > 0 ? above.path()[0] : own.path().length > 0 ? own.path()[0] : "";
            return first.startsWith("/desk") == desk;
        });
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
