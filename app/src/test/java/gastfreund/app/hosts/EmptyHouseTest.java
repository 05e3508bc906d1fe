package gastfreund.app.hosts;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** The first start on an empty folder. */
@SpringBootTest
@AutoConfigureMockMvc
@DirtiesContext
class EmptyHouseTest {

    @TempDir
    static Path home;

    @DynamicPropertySource
    static void properties(DynamicPropertyRegistry registry) {
        registry.add("gastfreund.home", home::toString);
    }

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private HostService hosts;

    @Autowired
    private PasswordEncoder passwords;

    @Test
    void theHostMakesTheFirstSignInAndOnlyOnce() {
        assertThat(mvc.get().uri("/")).hasRedirectedUrl("/desk/welcome");
        assertThat(mvc.get().uri("/desk/sign-in")).hasRedirectedUrl("/desk/welcome");
        assertThat(mvc.get().uri("/desk/welcome")).hasStatusOk().bodyText().contains("Welcome to your house");

        assertThat(mvc.get().uri("/offers/wheel-hire")).hasStatus(404);

        WelcomeForm form =
                new WelcomeForm("Mill", "Europe/Lisbon", "EUR", "Ana", "ana@mill.example", "three wet stones", "");
        assertThat(hosts.makeFirst(form, Locale.GERMAN)).isTrue();
        assertThat(hosts.makeFirst(form, Locale.GERMAN)).isFalse();
        assertThat(passwords.matches(
                        "three wet stones",
                        hosts.loadUserByUsername("ana@mill.example").getPassword()))
                .isTrue();
        assertThat(mvc.get().uri("/desk/welcome")).hasRedirectedUrl("/desk");
        assertThat(mvc.get().uri("/"))
                .hasStatusOk()
                .bodyText()
                .contains("Mill")
                .contains("Nothing can be booked here yet");
    }
}
