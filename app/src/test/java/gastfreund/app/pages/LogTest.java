package gastfreund.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.slf4j.LoggerFactory;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;

/** What stands in the log. */
@ExtendWith(OutputCaptureExtension.class)
class LogTest extends DemoHouseTest {

    @Test
    void whateverAMessageBringsStaysOnItsLine(CapturedOutput output) {
        LoggerFactory.getLogger(LogTest.class)
                .warn("a guest said {}", "hello\r\n2027-01-13 ERROR the books are lost\u2028and more");
        List<String> lines = output.getAll()
                .lines()
                .filter(l -> l.contains("the books are lost"))
                .toList();
        assertThat(lines)
                .singleElement()
                .asString()
                .contains("a guest said hello 2027-01-13 ERROR the books are lost and more");
    }

    @Test
    void whateverAFaultSaysStaysOnItsLineToo(CapturedOutput output) {
        Exception fault = new IllegalStateException(
                "no\n2027-01-13 ERROR nothing is left", new IllegalArgumentException("a\r\nb"));
        LoggerFactory.getLogger(LogTest.class).error("a fault", fault);
        assertThat(output.getAll().lines().filter(l -> l.contains("nothing is left")))
                .singleElement()
                .asString()
                .contains("IllegalStateException");
        assertThat(output.getAll().lines()).anyMatch(l -> l.startsWith("Caused by: ") && l.endsWith("a b"));
        assertThat(output.getAll().lines()).anyMatch(l -> l.startsWith("\tat gastfreund.app.pages.LogTest"));
    }

    @Test
    void whatAStrangerGotWrongIsOneLineWithoutWhatTheyWrote(CapturedOutput output) {
        get("/offers/wheel-hire?gone=stranger%40post.example");
        post("/offers/wheel-hire/keep", Map.of("start", "stranger@post.example"));
        get("/bookings/stranger-token");
        assertThat(output.getAll()).doesNotContain("stranger");
        assertThat(output.getAll().lines().filter(l -> l.contains("400 at"))).hasSize(2);
        assertThat(output.getAll().lines().filter(l -> l.contains("404 at GET /bookings/{token}")))
                .hasSize(1);
    }
}
