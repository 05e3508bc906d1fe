package gastfreund.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.io.IOException;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The rules of docs/architecture.md for the application. */
class ArchitectureTest {

    private static final JavaClasses APP =
            new ClassFileImporter().withImportOption(new WrittenByUs()).importPackages("gastfreund.app");

    /** From the ground up: each package may use those that stand before it, and no other. */
    static final List<String> LAYERS = List.of(
            "setup",
            "tracing",
            "typed",
            "markup",
            "languages",
            "journal",
            "bookings",
            "calendars",
            "rounds",
            "storage",
            "pages",
            "pictures",
            "secrets",
            "secondfactor",
            "wording",
            "extras",
            "catalogue",
            "backups",
            "messages",
            "strangers",
            "sources",
            "lookedfor",
            "embeds",
            "found",
            "openings",
            "vouchers",
            "visits",
            "baskets",
            "agenda",
            "hosts",
            "accounts",
            "programs",
            "editing",
            "till",
            "payments",
            "meetings",
            "orders",
            "documents",
            "companions",
            "letters",
            "wishes",
            "talks",
            "paying",
            "endings",
            "checkout",
            "moves",
            "api",
            "webhooks",
            "bookingpage",
            "orderdesk",
            "statements",
            "lists",
            "guests",
            "waits",
            "byhand",
            "arrivals",
            "blocked",
            "several",
            "board",
            "effects",
            "hours",
            "household",
            "offerdesk",
            "files",
            "sharing",
            "letterdesk",
            "feeds",
            "accountpage",
            "busytimes",
            "troubles",
            "running",
            "housedesk",
            "explainer",
            "figures",
            "adviser",
            "export",
            "access",
            "warming",
            "start");

    private static final int MOST_FILES = 24;

    @Test
    void arrowsGoDownOnly() {
        for (int i = 0; i < LAYERS.size(); i++) {
            String[] above = LAYERS.stream()
                    .skip(i + 1L)
                    .map(l -> "gastfreund.app." + l + "..")
                    .toArray(String[]::new);
            if (above.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage("gastfreund.app." + LAYERS.get(i) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(above)
                        .check(APP);
            }
        }
        classes()
                .should()
                .resideInAnyPackage(Stream.concat(
                                Stream.of("gastfreund.app"), LAYERS.stream().map(l -> "gastfreund.app." + l))
                        .toArray(String[]::new))
                .check(APP);
    }

    @Test
    void eachPackageIsSmallAndSaysWhatIsInItWhoMayCallItAndWhereItsDoorIs() throws IOException {
        for (String layer : LAYERS) {
            Path folder = Path.of("src/main/java/gastfreund/app", layer);
            try (Stream<Path> files = Files.list(folder)) {
                assertThat(files.filter(f -> !f.endsWith("package-info.java")).count())
                        .as(layer)
                        .isLessThanOrEqualTo(MOST_FILES);
            }
            assertThat(Files.readString(folder.resolve("package-info.java")))
                    .as(layer)
                    .contains("Called by: ", "Its door: {@link gastfreund.app." + layer + ".", "@NullMarked");
        }
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
                .check(APP);
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
                .check(APP);
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
                .check(APP);
        noMethods()
                .that(areHandlersOf(false))
                .should()
                .beAnnotatedWith("gastfreund.app.hosts.Needs")
                .check(APP);
    }

    /** A handler for programs says that it is for all, or what a key must allow. */
    @Test
    void everyHandlerForProgramsSaysForWhomItIs() {
        methods()
                .that(areHandlersUnder("/api"))
                .should()
                .beAnnotatedWith("gastfreund.app.programs.ForAll")
                .orShould()
                .beAnnotatedWith("gastfreund.app.programs.WithKey")
                .check(APP);
    }

    private static DescribedPredicate<JavaMethod> areHandlersOf(boolean desk) {
        DescribedPredicate<JavaMethod> handlers = areHandlersUnder(desk ? "/desk" : "");
        return desk ? handlers : handlers.and(DescribedPredicate.not(areHandlersUnder("/desk")));
    }

    private static DescribedPredicate<JavaMethod> areHandlersUnder(String path) {
        return DescribedPredicate.describe("are handlers under " + path, method -> {
            Method reflected = method.reflect();
            RequestMapping own = AnnotatedElementUtils.findMergedAnnotation(reflected, RequestMapping.class);
            if (own == null) {
                return false;
            }
            RequestMapping above =
                    AnnotatedElementUtils.findMergedAnnotation(reflected.getDeclaringClass(), RequestMapping.class);
            String first = above != null && above.path().length > 0
                    ? above.path()[0]
                    : own.path().length > 0 ? own.path()[0] : "";
            return first.startsWith(path);
        });
    }

    @Test
    void standInsAreReachedOverTheirProtocolsOnly() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAPackage("gastfreund.standins..")
                .check(APP);
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
                .check(APP);
    }
}
