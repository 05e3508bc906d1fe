package gastfreund.app.letters;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Hosts are written to in the language that each of them has chosen, whatever the guest speaks. */
class LanguageTest extends OrdersTest {

    private HostBrowser host() {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        host.get("/desk/account");
        return host;
    }

    @AfterEach
    void inEnglishAgain() {
        host().post("/desk/account/language", Map.of("language", "en"));
    }

    private List<String> subjects(Order order) {
        return letters.to("okka@quillmere.example", order.id()).stream()
                .map(Written::subject)
                .toList();
    }

    @Test
    void aHostChoosesTheLanguageOfLetters() {
        assertThat(subjects(paid("private-lesson", "60", 47, "WORKS")))
                .singleElement()
                .asString()
                .contains("New booking");
        assertThat(host().post("/desk/account/language", Map.of("language", "de"))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .endsWith("said=language");
        assertThat(subjects(paid("private-lesson", "60", 48, "WORKS")))
                .singleElement()
                .asString()
                .contains("Neue Buchung");
        assertThat(host().get("/desk/account").body()).contains("<option value=\"de\" selected");
    }

    @Test
    void whatIsNotSpokenIsEnglish() {
        host().post("/desk/account/language", Map.of("language", "tlh'; DROP TABLE hosts"));
        assertThat(jdbc.sql("SELECT language FROM hosts WHERE email = 'okka@quillmere.example'")
                        .query(String.class)
                        .single())
                .isEqualTo("en");
    }
}
