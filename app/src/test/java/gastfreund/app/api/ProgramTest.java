package gastfreund.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.housefile.HouseFile;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks as programs do, and holds every answer against what is described. */
abstract class ProgramTest extends DemoHouseTest {

    private static final Pattern KEY = Pattern.compile("id=\"key\">([^<]+)<");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String from = somebody();
    private Description description;

    Description description() {
        if (description == null) {
            description = new Description(ask("GET", "/api/openapi.json", null).body());
        }
        return description;
    }

    /** A key that the owner makes at the desk. */
    String key(String... scopes) {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        host.get("/desk/programs");
        host.post("/desk/programs", Map.of("name", "The shop", "scope", String.join(",", scopes)));
        Matcher key = KEY.matcher(host.get("/desk/programs").body());
        assertThat(key.find()).isTrue();
        assertThat(host.get("/desk/programs").body()).as("it is shown once").doesNotContain(key.group(1));
        return key.group(1);
    }

    private HttpResponse<String> ask(String method, String path, Object body, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address(path)))
                .header(FROM, from)
                .method(
                        method,
                        body == null
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofString(
                                        body instanceof String text ? text : JSON.writeValueAsString(body)));
        if (body != null) {
            request.header("Content-Type", "application/json");
        }
        if (headers.length > 0) {
            request.headers(headers);
        }
        return send(request);
    }

    /** An answer that is as described. */
    HttpResponse<String> asked(String method, String path, Object body, String... headers) {
        HttpResponse<String> answer = ask(method, path, body, headers);
        description().check(method, path, answer);
        return answer;
    }

    JsonNode read(String path, String... headers) {
        HttpResponse<String> answer = asked("GET", path, null, headers);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return HouseFile.parse(answer.body());
    }

    /** Something that is to be done; the request is as described, too. */
    HttpResponse<String> done(String key, String path, Map<String, Object> body) {
        String written = JSON.writeValueAsString(body);
        assertThat(description().wrongWith("POST", path, written)).isEmpty();
        return asked("POST", path, body, with(key, UUID.randomUUID().toString()));
    }

    static String[] with(String key, String once) {
        return new String[] {"Authorization", "Bearer " + key, "Idempotency-Key", once};
    }

    static String[] with(String key) {
        return new String[] {"Authorization", "Bearer " + key};
    }

    static JsonNode json(HttpResponse<String> answer, int status) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
        return HouseFile.parse(answer.body());
    }

    /** The end of a problem's type. */
    static String why(HttpResponse<String> answer) {
        String type = HouseFile.parse(answer.body()).path("type").asString();
        return type.substring(type.lastIndexOf('/') + 1);
    }

    static Map<String, Object> guest(String name, String email) {
        return Map.of("name", name, "email", email, "phone", "030 5550 188");
    }

    /** The texts of the house to which guests must agree. */
    List<String> agreed() {
        return read("/api/house")
                .path("texts")
                .valueStream()
                .filter(t -> t.path("agree").asBoolean())
                .map(t -> t.path("id").asString())
                .toList();
    }
}
