package gastfreund.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import gastfreund.housefile.HouseFile;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What is described for programs, as they get it; every answer is held against it. */
final class Description {

    private static final Set<String> METHODS = Set.of("get", "post", "delete", "put", "patch");

    private final JsonNode document;
    private final SchemaRegistry schemas = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);

    Description(String document) {
        this.document = HouseFile.parse(document);
    }

    /** Every address with its method, as {@code GET /offers/{id}}. */
    Set<String> operations() {
        Set<String> operations = new TreeSet<>();
        document.path("paths").properties().forEach(path -> path.getValue().propertyNames().stream()
                .filter(METHODS::contains)
                .forEach(m -> operations.add(m.toUpperCase(Locale.ROOT) + " " + path.getKey())));
        return operations;
    }

    /** Holds an answer against what is described of its address, its status and its form. */
    void check(String method, String path, HttpResponse<String> answer) {
        JsonNode operation = operation(method, path);
        assertThat(operation.isObject()).as("%s %s is described", method, path).isTrue();
        int status = answer.statusCode();
        JsonNode responses = operation.path("responses");
        JsonNode response = responses.path(Integer.toString(status));
        assertThat(response.isObject())
                .as("%s %s may be answered with %d: %s", method, path, status, answer.body())
                .isTrue();
        if (!response.has("content")) {
            assertThat(answer.body()).isEmpty();
            return;
        }
        Map.Entry<String, JsonNode> content =
                response.path("content").properties().iterator().next();
        assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith(content.getKey());
        assertThat(problems(content.getValue().path("schema"), answer.body()))
                .as("%s %s answered with %d: %s", method, path, status, answer.body())
                .isEmpty();
    }

    /** What is wrong with a request's body. */
    String wrongWith(String method, String path, String body) {
        JsonNode schema = operation(method, path).at("/requestBody/content/application~1json/schema");
        return problems(schema, body);
    }

    private String problems(JsonNode schema, String body) {
        ObjectNode whole = (ObjectNode) schema.deepCopy();
        whole.set("components", document.path("components"));
        var wrong = schemas.getSchema(whole.toString()).validate(body, InputFormat.JSON);
        return wrong.isEmpty() ? "" : wrong.toString();
    }

    private JsonNode operation(String method, String path) {
        String[] asked =
                path.replaceFirst("\\?.*", "").substring("/api".length()).split("/");
        return document.path("paths").properties().stream()
                .filter(p -> fits(p.getKey().split("/"), asked))
                .min((a, b) ->
                        Boolean.compare(a.getKey().contains("{"), b.getKey().contains("{")))
                .map(p -> p.getValue().path(method.toLowerCase(Locale.ROOT)))
                .orElseThrow(() -> new AssertionError("nothing is described at " + Arrays.toString(asked)));
    }

    private static boolean fits(String[] template, String[] asked) {
        if (template.length != asked.length) {
            return false;
        }
        for (int i = 0; i < asked.length; i++) {
            if (!template[i].startsWith("{") && !template[i].equals(asked[i])) {
                return false;
            }
        }
        return true;
    }
}
