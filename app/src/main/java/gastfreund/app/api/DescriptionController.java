package gastfreund.app.api;

import gastfreund.app.pages.Address;
import gastfreund.app.programs.Answers;
import gastfreund.app.programs.ForAll;
import gastfreund.app.programs.Problems;
import gastfreund.app.programs.Refused;
import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.CrossOrigin;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What programs can ask, described for programs (OpenAPI 3.1), and what each kind of problem is. */
@RestController
@RequestMapping("/api")
@CrossOrigin(
        origins = "*",
        methods = {RequestMethod.GET, RequestMethod.HEAD})
class DescriptionController {

    private final Address address;
    private final Problems problems;
    private final JsonNode description;

    DescriptionController(Address address, Problems problems) {
        this.address = address;
        this.problems = problems;
        try {
            this.description = HouseFile.parse(
                    new ClassPathResource("api/openapi.json").getContentAsString(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ForAll
    @GetMapping("/openapi.json")
    ResponseEntity<String> description() {
        ObjectNode here = (ObjectNode) description.deepCopy();
        here.putArray("servers").addObject().put("url", address.of("/api"));
        return Answers.open(here);
    }

    @ForAll
    @GetMapping("/problems/{kind}")
    ResponseEntity<String> problem(@PathVariable String kind, Locale language) {
        Refused.Why why = Arrays.stream(Refused.Why.values())
                .filter(w -> w.code().equals(kind))
                .findFirst()
                .orElseThrow(() -> Refused.because(Refused.Why.NOT_THERE));
        return Answers.open(Json.object()
                .put("type", problems.address(why))
                .put("title", problems.title(why, language))
                .put("status", why.status().value())
                .put("detail", problems.detail(why, language)));
    }
}
