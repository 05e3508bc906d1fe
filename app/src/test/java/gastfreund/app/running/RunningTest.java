package gastfreund.app.running;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.OwnHouse;
import gastfreund.app.programs.ForAll;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.boot.test.web.server.LocalManagementPort;
import org.springframework.context.annotation.Import;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** How the house goes: in words, in health and measures, and what a fault is called. */
@DirtiesContext
@ExtendWith(OutputCaptureExtension.class)
@ContextConfiguration(initializers = RunningTest.House.class)
@Import(RunningTest.Broken.class)
class RunningTest extends DemoHouseTest {

    static final class House extends OwnHouse {

        @Override
        protected Map<String, Object> settings() {
            return Map.of("management.server.port", 0, "gastfreund.jobs.on", "false");
        }
    }

    /** Something that cannot be answered, at an address with something in it that is nobody's business. */
    @Controller
    static class Broken {

        @GetMapping("/broken/{secret}")
        ResponseEntity<String> broken(@PathVariable String secret) {
            throw new IllegalStateException("broken", new ArithmeticException("deeper"));
        }

        @GetMapping("/api/broken")
        @ForAll
        ResponseEntity<String> broken() {
            throw new IllegalStateException("broken");
        }
    }

    @LocalManagementPort
    private int port;

    @Autowired
    private TransactionTemplate transaction;

    private final HttpClient http = HttpClient.newHttpClient();

    @AfterEach
    void back() {
        write("DELETE FROM work");
        write("DELETE FROM busy_sources");
        clock.reset();
    }

    private void write(String sql, Object... parameters) {
        transaction.executeWithoutResult(s -> jdbc.sql(sql).params(parameters).update());
    }

    private HttpResponse<String> watched(String path, String... headers) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + path));
        if (headers.length > 0) {
            request.headers(headers);
        }
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private JsonNode health() throws Exception {
        return JsonMapper.shared()
                .readTree(watched("/actuator/health").body())
                .path("components")
                .path("house");
    }

    private HostBrowser owner() {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        return host;
    }

    @Test
    void aFaultIsCalledTheSameOnThePageInTheLogAndAtTheDesk(CapturedOutput output) {
        HttpResponse<String> answer = get("/broken/tell-nobody");
        String id = answer.headers().firstValue("X-Request-Id").orElseThrow();
        assertThat(id).matches("[a-z2-9]{4}-[a-z2-9]{4}");
        assertThat(answer.statusCode()).isEqualTo(500);
        assertThat(answer.body()).contains("please mention the number " + id);
        assertThat(output.getOut().lines())
                .anyMatch(l ->
                        l.contains("ERROR") && l.contains(" " + id + " : ") && l.contains("IllegalStateException"));
        assertThat(owner().get("/desk/running").body())
                .contains(id, "GET /broken/{secret} ArithmeticException")
                .doesNotContain("tell-nobody");
    }

    @Test
    void aProblemThatIsOursTellsProgramsItsNumber() {
        HttpResponse<String> answer = get("/api/broken");
        assertThat(answer.statusCode()).isEqualTo(500);
        assertThat(JsonMapper.shared().readTree(answer.body()).path("request").asString())
                .isEqualTo(answer.headers().firstValue("X-Request-Id").orElseThrow());
    }

    @Test
    void whatAStrangerGotWrongHasNoNumberOnItsPage() {
        assertThat(get("/nowhere").body()).contains("There is nothing here").doesNotContain("mention the number");
    }

    @Test
    void everyRequestHasANumberOfItsOwnWhateverItBringsAlong() {
        HttpResponse<String> answer =
                send(HttpRequest.newBuilder(URI.create(address("/up"))).header("X-Request-Id", "made-here"));
        assertThat(answer.headers().firstValue("X-Request-Id").orElseThrow()).isNotEqualTo("made-here");
        assertThat(answer.body()).isEqualTo("{\"status\":\"UP\"}");
    }

    @Test
    void programsOfThisMachineSeeHealthAndMeasures() throws Exception {
        assertThat(health().path("status").asString()).isEqualTo("UP");
        assertThat(health().at("/details/letters/state").asString()).isEqualTo("GOOD");
        get("/");
        assertThat(watched("/actuator/prometheus").body())
                .contains(
                        "gastfreund_waiting{part=\"letters\"} 0.0",
                        "gastfreund_condition{part=\"backup\"} 0.0",
                        "http_server_requests_seconds_count",
                        "hikaricp_connections_active",
                        "jvm_memory_used_bytes");
    }

    @Test
    void nobodyElseSeesThem() throws Exception {
        assertThat(get("/actuator/health").statusCode()).isEqualTo(404);
        assertThat(get("/actuator/prometheus").statusCode()).isEqualTo(404);
        assertThat(watched("/actuator/env").statusCode()).isEqualTo(404);
        assertThat(watched("/actuator/shutdown").statusCode()).isEqualTo(404);
    }

    @Test
    void aLetterThatDoesNotGoOutIsLateAndThenStuck() throws Exception {
        write(
                "INSERT INTO outbox (id, kind, recipient, language, facts, subject, text_part, html_part, created_at, not_before)"
                        + " VALUES ('waits', 'x', 'a@b.example', 'en', '', '', '', '', ?, ?)",
                clock.instant().getEpochSecond(),
                clock.instant().getEpochSecond());
        try {
            clock.moveAhead(Duration.ofMinutes(16));
            assertThat(health().path("status").asString()).isEqualTo("UP");
            assertThat(health().at("/details/letters/state").asString()).isEqualTo("LATE");
            assertThat(owner().get("/desk/running").body())
                    .contains(
                            "Something takes longer than it should.",
                            "One letter has not gone out",
                            "/desk/letters/sent");
            clock.moveAhead(Duration.ofHours(3));
            assertThat(watched("/actuator/health").statusCode()).isEqualTo(503);
            assertThat(health().at("/details/letters/waiting").asInt()).isEqualTo(1);
            assertThat(owner().get("/desk/running").body()).contains("Something needs you.");
            assertThat(get("/up").statusCode()).isEqualTo(200);
        } finally {
            write("DELETE FROM outbox WHERE id = 'waits'");
        }
    }

    @Test
    void aCalendarThatDoesNotAnswerIsNamed() throws Exception {
        long now = clock.instant().getEpochSecond();
        write(
                "INSERT INTO busy_sources (staff, address, name, added_at, next_at, failing_at, error)"
                        + " VALUES ('mira', 'https://x.example/c', 'Mira at home', ?, ?, ?, 'slow')",
                now,
                now + 1_000_000,
                now);
        assertThat(health().at("/details/calendars/state").asString()).isEqualTo("GOOD");
        clock.moveAhead(Duration.ofHours(1));
        assertThat(health().at("/details/calendars/state").asString()).isEqualTo("LATE");
        assertThat(owner().get("/desk/running").body()).contains("Mira at home: no answer since");
        clock.moveAhead(Duration.ofHours(47));
        assertThat(health().at("/details/calendars/state").asString()).isEqualTo("STUCK");
    }

    @Test
    void whatWasTriedInVainIsTold() throws Exception {
        long now = clock.instant().getEpochSecond();
        write(
                "INSERT INTO work (kind, subject, tries, since, next_try, last_error) VALUES ('meeting', 'none', 5, ?, ?, 'no')",
                now - 60,
                now + 600);
        assertThat(health().at("/details/rounds/state").asString()).isEqualTo("LATE");
        assertThat(owner().get("/desk/running").body()).contains("One thing was tried again and again in vain");
    }
}
