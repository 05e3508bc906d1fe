package gastfreund.app.strangers;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.AllRounds;
import gastfreund.app.DemoHouseTest;
import gastfreund.app.OwnHouse;
import java.lang.reflect.Parameter;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.core.env.Environment;
import org.springframework.http.MediaType;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Three thousand odd requests at every address of the application, found from the application itself. More with
 * {@code ./gastfreund fuzz REQUESTS SEED}.
 */
@Tag("siege")
@DirtiesContext
@ExtendWith(OutputCaptureExtension.class)
@ContextConfiguration(initializers = FuzzTest.House.class)
class FuzzTest extends DemoHouseTest {

    static final class House extends OwnHouse {

        @Override
        protected Map<String, Object> settings() {
            return Map.of(
                    "gastfreund.jobs.on", false,
                    "gastfreund.limits.codes", 1_000_000,
                    "gastfreund.limits.programs", 1_000_000,
                    "gastfreund.limits.sign-ins", 1_000_000,
                    "gastfreund.limits.notifications", 1_000_000,
                    "gastfreund.limits.holds", 1_000_000,
                    "gastfreund.limits.checkouts", 1_000_000);
        }
    }

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    @Autowired
    private Environment environment;

    @Autowired
    private AllRounds rounds;

    private List<FuzzRun.Door> doors() {
        List<FuzzRun.Door> doors = new ArrayList<>(FuzzRun.beside());
        mappings.getHandlerMethods().forEach((info, handler) -> {
            for (String pattern : new TreeSet<>(info.getPatternValues())) {
                // Whoever signs out, or ends the session, finds nothing more; a stream of events has no end.
                boolean streams =
                        info.getProducesCondition().getProducibleMediaTypes().contains(MediaType.TEXT_EVENT_STREAM);
                if (!pattern.endsWith("/end-others") && !pattern.endsWith("/password") && !streams) {
                    List<String> methods = info.getMethodsCondition().getMethods().stream()
                            .map(RequestMethod::name)
                            .toList();
                    for (String method : methods.isEmpty() ? List.of("GET") : methods) {
                        doors.add(new FuzzRun.Door(method, pattern, fields(handler)));
                    }
                }
            }
        });
        assertThat(doors).hasSizeGreaterThan(70);
        // Mappings have no order of their own: the same seed is to ask for the same again.
        doors.sort(Comparator.comparing(FuzzRun.Door::pattern)
                .thenComparing(FuzzRun.Door::method)
                .thenComparing(door -> door.fields().toString()));
        return doors;
    }

    /** The names of what a handler reads of a request, from its parameters. */
    private static List<String> fields(HandlerMethod handler) {
        List<String> fields = new ArrayList<>();
        for (Parameter parameter : handler.getMethod().getParameters()) {
            RequestParam named = parameter.getAnnotation(RequestParam.class);
            boolean form = parameter.getType() == MultiValueMap.class || parameter.getType() == Map.class;
            if (named != null && !form) {
                fields.add(named.name().isEmpty() ? parameter.getName() : named.name());
            } else if (form) {
                fields.addAll(List.of("agree", "answer.x.1.before", "url", "iban", "days"));
            } else if (parameter.getAnnotation(PathVariable.class) == null
                    && parameter.getType().isRecord()) {
                Arrays.stream(parameter.getType().getRecordComponents())
                        .map(c -> c.getName())
                        .forEach(fields::add);
            }
        }
        return fields;
    }

    private Map<String, List<String>> known() {
        String basket = keep(
                        "private-lesson",
                        "60",
                        2,
                        opening("private-lesson", "60", 2, 5).time().start())
                .substring(8);
        String full = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 6).time().start());
        get(pay(order(full, "Lene Dorsch", "lene@post.example"), "WORKS"));
        Map<String, List<String>> known = FuzzRun.empty();
        known.put("basket", List.of(basket));
        known.put("token", column("SELECT token FROM orders ORDER BY id DESC LIMIT 3"));
        known.put("booking", column("SELECT id FROM bookings ORDER BY rowid DESC LIMIT 5"));
        known.put("line", column("SELECT id FROM bookings WHERE basket = '" + basket + "'"));
        known.put("number", column("SELECT number FROM orders ORDER BY id DESC LIMIT 4"));
        known.put("payment", column("SELECT id FROM payments ORDER BY rowid DESC LIMIT 3"));
        known.put(
                "id",
                List.of(
                        "private-lesson",
                        "wheel-hire",
                        "clay-table",
                        "wheel-evenings",
                        "voucher",
                        "clay-card",
                        "rules"));
        known.put(
                "start",
                List.of(Long.toString(opening("wheel-hire", "60", 1, 7).time().start())));
        known.put("gateway", List.of("practice-card", "transfer"));
        known.put("kind", List.of("card", "transfer"));
        known.put("mode", List.of("practice", "live"));
        known.put("name", List.of("lesson.svg", "Lene Dorsch"));
        known.put("email", List.of("lene@post.example"));
        known.put("phone", List.of("030 5550 100"));
        known.put("day", List.of(today().toString()));
        known.put("from", List.of(today().toString()));
        return known;
    }

    private List<String> column(String sql) {
        return jdbc.sql(sql).query(String.class).list();
    }

    @Test
    void nothingIsAFaultOfOursNothingIsSlowAndNothingRefusedChangesAnything(CapturedOutput output) throws Exception {
        CookieManager cookies = new CookieManager();
        HttpClient browser = HttpClient.newBuilder().cookieHandler(cookies).build();
        String form = token(browser, "/desk/sign-in");
        browser.send(
                HttpRequest.newBuilder(URI.create(address("/desk/sign-in")))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(
                                "email=okka@quillmere.example&password=clay+and+water&_csrf=" + form))
                        .build(),
                HttpResponse.BodyHandlers.discarding());
        String token = token(browser, "/desk");
        String session = cookies.getCookieStore().getCookies().get(0).toString();
        int requests = Integer.getInteger("fuzz.requests", 3000);
        long seed = Long.getLong("fuzz.seed", 20270113L);
        Path database = Path.of(environment.getProperty("gastfreund.home"), "house.sqlite");
        try (FuzzRun run =
                new FuzzRun(FuzzRun.port(address("/")), seed, doors(), known(), database.toString(), session, token)) {
            run.run(requests);
            assertThat(run.statuses()).as("it came through the doors").containsKeys(200, 302, 400, 404);
            run.lengths();
            assertThat(run.faults())
                    .as("with the seed %d; %s", seed, run.statuses())
                    .isEmpty();
        }
        // What looks after the house by itself stood still so that only requests write; it bears what they left.
        rounds.run();
        assertThat(output.getAll()
                        .lines()
                        .filter(l -> l.contains("lene@post.example") || l.contains("etc%2F") || l.startsWith("\tat ")))
                .as("the log has no values, no mail addresses, and no traces for what strangers got wrong")
                .isEmpty();
    }

    private String token(HttpClient browser, String path) throws Exception {
        String page = browser.send(
                        HttpRequest.newBuilder(URI.create(address(path))).build(), HttpResponse.BodyHandlers.ofString())
                .body();
        Matcher token = TOKEN.matcher(page);
        assertThat(token.find()).isTrue();
        return URLEncoder.encode(token.group(1), StandardCharsets.UTF_8);
    }
}
