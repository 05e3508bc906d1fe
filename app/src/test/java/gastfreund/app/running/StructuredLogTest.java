package gastfreund.app.running;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.RunningApplication;
import java.net.http.HttpResponse;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The log as lines that programs read, where that is set. */
@Tag("crash")
class StructuredLogTest {

    @Test
    void everyLineIsOfTheElasticCommonSchemaAndSaysToWhichRequestItBelongs() throws Exception {
        try (RunningApplication application =
                new RunningApplication(List.of("-Xmx300m", "-XX:TieredStopAtLevel=1", "-DGASTFREUND_LOG=ecs"))) {
            HttpResponse<String> answer = application.get("/offers/private-lesson?gone=many");
            assertThat(answer.statusCode()).isEqualTo(400);
            List<JsonNode> lines = application
                    .log()
                    .lines()
                    .map(l -> JsonMapper.shared().readTree(l))
                    .toList();
            assertThat(lines).allSatisfy(l -> {
                assertThat(l.path("@timestamp").asString()).endsWith("Z");
                assertThat(l.at("/ecs/version").asString()).isNotEmpty();
                assertThat(l.at("/service/name").asString()).isEqualTo("gastfreund");
            });
            String id = answer.headers().firstValue("X-Request-Id").orElseThrow();
            assertThat(lines)
                    .anySatisfy(
                            l -> assertThat(l.at("/http/request/id").asString()).isEqualTo(id))
                    .noneSatisfy(l -> assertThat(l.path("message").asString()).contains("many"));
        }
    }
}
