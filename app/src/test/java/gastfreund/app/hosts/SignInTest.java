package gastfreund.app.hosts;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.OwnHouse;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.transaction.support.TransactionTemplate;

/** Signing in, for those who may and against those who try. */
@DirtiesContext
@ContextConfiguration(initializers = SignInTest.House.class)
class SignInTest extends DemoHouseTest {

    static final class House extends OwnHouse {

        @Override
        protected Map<String, Object> settings() {
            return Map.of("gastfreund.limits.sign-ins", 10, "gastfreund.limits.slower", "20ms");
        }
    }

    private static final String EMAIL = "okka@quillmere.example";
    private static final String PASSWORD = "clay and water";

    @Autowired
    private HostService hosts;

    @Autowired
    private Slowing slowing;

    @Autowired
    private PasswordEncoder encoder;

    @Autowired
    private Passwords passwords;

    @Autowired
    private TransactionTemplate transaction;

    private HostBrowser browser() {
        return new HostBrowser(address(""), somebody());
    }

    private HostBrowser signedIn() {
        HostBrowser browser = browser();
        assertThat(path(browser.signIn(EMAIL, PASSWORD))).startsWith("/desk").doesNotContain("wrong");
        return browser;
    }

    private List<String> noted() {
        return hosts.signIns(100).stream()
                .map(s -> s.what().code() + " " + s.host())
                .toList();
    }

    /** From a new address each time, so that only the account slows it down. */
    @Test
    void anAccountBecomesSlowerAndIsNeverLocked() {
        for (int i = 0; i < 9; i++) {
            assertThat(path(browser().signIn(EMAIL, "guess " + i))).contains("wrong");
        }
        assertThat(slowing.pause(EMAIL.toUpperCase())).isEqualTo(Duration.ofMillis(320));
        assertThat(slowing.pause("somebody.else@quillmere.example")).isEqualTo(Duration.ZERO);
        signedIn();
        assertThat(slowing.pause(EMAIL)).as("it was right, only later").isEqualTo(Duration.ZERO);
    }

    @Test
    void oneNetworkOfTheNewKindCountsAsOne() {
        for (int i = 0; i < 10; i++) {
            HostBrowser one = new HostBrowser(address(""), "2001:db8:1:2:" + i + "::" + i);
            one.get("/desk/sign-in");
            assertThat(one.post("/desk/sign-in", Map.of("email", "x", "password", "y"))
                            .statusCode())
                    .isEqualTo(302);
        }
        HostBrowser same = new HostBrowser(address(""), "2001:db8:1:2:ffff::1");
        same.get("/desk/sign-in");
        assertThat(same.post("/desk/sign-in", Map.of("email", "x", "password", "y"))
                        .statusCode())
                .isEqualTo(429);
        HostBrowser other = new HostBrowser(address(""), "2001:db8:1:3::1");
        other.get("/desk/sign-in");
        assertThat(other.post("/desk/sign-in", Map.of("email", "x", "password", "y"))
                        .statusCode())
                .isEqualTo(302);
    }

    @Test
    void theOwnerSeesWhoSignedInAndWhoTriedAndNothingThatMayBeAPassword() {
        browser().signIn(EMAIL, "wrong");
        browser().signIn("clay and water", "okka");
        HostBrowser owner = signedIn();
        assertThat(noted()).startsWith("in " + EMAIL, "failed ", "failed " + EMAIL);
        assertThat(owner.get("/desk/sign-ins").body())
                .contains("a wrong password", "an address that is no host")
                .doesNotContain("clay and water");
        assertThat(path(owner.post("/desk/sign-out", Map.of()))).contains("signed-out");
        assertThat(noted()).startsWith("out " + EMAIL);
    }

    @Test
    void aPasswordIsChangedWithTheOldOneAndOtherSessionsEnd() {
        HostBrowser here = signedIn();
        HostBrowser there = signedIn();
        here.get("/desk/account");
        assertThat(here.post("/desk/account/password", Map.of("old", "guess", "fresh", "seven red bricks"))
                        .body())
                .contains("That is not the old password");
        here.get("/desk/account");
        assertThat(here.post("/desk/account/password", Map.of("old", PASSWORD, "fresh", "short"))
                        .body())
                .contains("12 to 200 characters");
        here.get("/desk/account");
        assertThat(here.post("/desk/account/password", Map.of("old", PASSWORD, "fresh", "passwordpassword"))
                        .body())
                .contains("among the first that strangers try");
        String sentence = "seven red bricks and then some more, ".repeat(5);
        here.get("/desk/account");
        assertThat(path(here.post("/desk/account/password", Map.of("old", PASSWORD, "fresh", sentence))))
                .endsWith("said=password");
        assertThat(here.get("/desk").statusCode()).as("this session goes on").isEqualTo(200);
        assertThat(path(there.get("/desk"))).isEqualTo("/desk/sign-in?ended");
        assertThat(path(browser().signIn(EMAIL, sentence.substring(0, 100))))
                .as("all of it counts")
                .contains("wrong");
        assertThat(path(browser().signIn(EMAIL, sentence))).doesNotContain("wrong");
        transaction.executeWithoutResult(s -> jdbc.sql("UPDATE hosts SET password = ? WHERE email = ?")
                .params(encoder.encode(PASSWORD), EMAIL)
                .update());
    }

    @Test
    void otherSessionsAreEndedByAClick() {
        HostBrowser here = signedIn();
        HostBrowser there = signedIn();
        here.get("/desk/account");
        assertThat(path(here.post("/desk/account/end-others", Map.of()))).endsWith("said=ended");
        assertThat(here.get("/desk").statusCode()).isEqualTo(200);
        assertThat(path(there.get("/desk"))).isEqualTo("/desk/sign-in?ended");
    }

    @Test
    void aSessionEndsAfterTwelveHours() {
        HostBrowser browser = signedIn();
        clock.moveAhead(Duration.ofHours(11));
        assertThat(browser.get("/desk").statusCode()).isEqualTo(200);
        clock.moveAhead(Duration.ofHours(1));
        assertThat(path(browser.get("/desk"))).isEqualTo("/desk/sign-in?ended");
    }

    @Test
    void passwordsThatWereKeptInTheOldWayAreKeptInTheNewOneOnceTheyWereRight() {
        hosts.add("old@quillmere.example", "Old", "x".repeat(12), Role.STAFF, Locale.ENGLISH);
        String old = "{bcrypt}" + new BCryptPasswordEncoder().encode("ten brown jugs");
        transaction.executeWithoutResult(
                s -> jdbc.sql("UPDATE hosts SET password = ? WHERE email = 'old@quillmere.example'")
                        .param(old)
                        .update());
        assertThat(path(browser().signIn("old@quillmere.example", "ten brown jugs")))
                .doesNotContain("wrong");
        assertThat(hosts.byEmail("old@quillmere.example").orElseThrow().password())
                .startsWith("{bcrypt-sha256}");
        assertThat(path(browser().signIn("old@quillmere.example", "ten brown jugs")))
                .doesNotContain("wrong");
        transaction.executeWithoutResult(s -> jdbc.sql("DELETE FROM hosts WHERE email = 'old@quillmere.example'")
                .update());
    }

    @ParameterizedTest
    @CsvSource({
        "seven red bricks, ''",
        "eleven char, password.length",
        "passwordpassword, password.common",
        "QwertyUiop123, password.common",
        "aaaaaaaaaaaaaaa, password.common",
        "ana@mill.example, password.common",
        "Quillmere Clay House, password.common"
    })
    void onlyWhatIsLongAndNotWhatEverybodyTriesIsTaken(String password, String problem) {
        assertThat(passwords.problem(password, "Ana", "ana@mill.example", "Quillmere Clay House"))
                .isEqualTo(problem);
        assertThat(passwords.problem("y z".repeat(67))).isEqualTo("password.length");
    }
}
