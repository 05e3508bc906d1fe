package gastfreund.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.messages.Written;
import gastfreund.core.time.HouseZone;
import gastfreund.housefile.AnswerWriter;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What programs do with a key: holding, ordering, moving and cancelling, by the house's own rules. */
class SellingTest extends ProgramTest {

    private static final HouseZone ZONE = HouseZone.of("Europe/Berlin");

    private String start(String offer, String length, int daysAhead) {
        return AnswerWriter.instant(
                ZONE, opening(offer, length, 1, daysAhead).time().start());
    }

    private Map<String, Object> wheel(int daysAhead) {
        return Map.of(
                "offer",
                "wheel-hire",
                "length",
                "60",
                "start",
                start("wheel-hire", "60", daysAhead),
                "guest",
                somebody());
    }

    private Map<String, Object> order(JsonNode held, long paid) {
        Map<String, Object> order = new HashMap<>(Map.of(
                "basket", held.path("basket").asString(),
                "contact", guest("Orla Wend", "orla@post.example"),
                "language", "de",
                "agreed", agreed()));
        if (paid > 0) {
            order.put("paid", Map.of("amount", paid, "reference", "till 77"));
        }
        return order;
    }

    private static long due(JsonNode held) {
        return held.path("bill").path("dueNow").asLong();
    }

    @Test
    void aTimeThatWasPaidElsewhereIsOrderedAndStands() {
        String key = key("order", "read");
        JsonNode held = json(done(key, "/api/holds", wheel(3)), 201);
        assertThat(due(held)).isEqualTo(1800);
        assertThat(held.path("lines").get(0).path("held").asBoolean()).isTrue();
        JsonNode order = json(done(key, "/api/orders", order(held, due(held))), 201);
        assertThat(order.path("status").asString()).isEqualTo("placed");
        assertThat(order.path("paid").asLong()).isEqualTo(1800);
        assertThat(order.path("bookings").get(0).path("status").asString()).isEqualTo("confirmed");
        long number = order.path("number").asLong();
        assertThat(read("/api/orders/" + number, with(key))).isEqualTo(order);
        assertThat(read("/api/orders?after=" + (number - 1), with(key))
                        .path("orders")
                        .get(0))
                .isEqualTo(order);
        String booking = order.path("bookings").get(0).path("id").asString();
        assertThat(read("/api/bookings/" + booking, with(key)))
                .isEqualTo(order.path("bookings").get(0));
        String day = order.path("bookings").get(0).path("start").asString().substring(0, 10);
        assertThat(read("/api/bookings?from=" + day, with(key))
                        .path("bookings")
                        .valueStream()
                        .map(b -> b.path("id").asString()))
                .contains(booking);
        long id = jdbc.sql("SELECT id FROM orders WHERE number = ?")
                .param(number)
                .query(Long.class)
                .single();
        assertThat(jdbc.sql("SELECT who FROM journal WHERE order_id = ? AND about = 'booking'")
                        .param(id)
                        .query(String.class)
                        .list())
                .containsOnly("program The shop");
        assertThat(jdbc.sql("SELECT gateway || ' ' || state || ' ' || amount FROM payments WHERE order_id = ?")
                        .param(id)
                        .query(String.class)
                        .list())
                .containsExactly("elsewhere captured 1800");
        assertThat(letters.ofOrder(id).stream().map(Written::text))
                .as("its guest is written to, in their language")
                .anyMatch(t -> t.contains("Orla Wend") && t.contains("Ihre"));
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        assertThat(host.get("/desk/orders/" + number).body())
                .contains("The shop")
                .contains("till 77");
    }

    @Test
    void whoeverHeardNoAnswerAsksAgainAndGetsTheSame() {
        String key = key("order");
        Map<String, Object> wish = wheel(4);
        String once = somebody();
        HttpResponse<String> first = asked("POST", "/api/holds", wish, with(key, once));
        assertThat(asked("POST", "/api/holds", wish, with(key, once)).body()).isEqualTo(first.body());
        JsonNode held = json(first, 201);
        Map<String, Object> order = order(held, due(held));
        Set<String> answers = new HashSet<>();
        List<CompletableFuture<HttpResponse<String>>> all = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            all.add(CompletableFuture.supplyAsync(
                    () -> asked("POST", "/api/orders", order, with(key, "order " + once))));
        }
        all.forEach(a -> answers.add(a.join().statusCode() + a.join().body()));
        assertThat(answers).hasSize(1).first().asString().startsWith("201");
        assertThat(jdbc.sql("SELECT count(*) FROM orders WHERE basket = ?")
                        .param(held.path("basket").asString())
                        .query(Long.class)
                        .single())
                .isEqualTo(1);
        HttpResponse<String> other = asked("POST", "/api/holds", wheel(5), with(key, once));
        assertThat(why(other)).isEqualTo("repeated-otherwise");
        assertThat(why(asked("POST", "/api/holds", wheel(5), with(key)))).isEqualTo("no-repeat-key");
        String another = key("order");
        assertThat(asked("POST", "/api/holds", wheel(6), with(another, once)).statusCode())
                .as("keys of requests are a program's own")
                .isEqualTo(201);
    }

    @Test
    void aTimeThatIsPaidByALinkWaitsForIt() {
        String key = key("order", "read");
        JsonNode held = json(done(key, "/api/holds", wheel(7)), 201);
        JsonNode order = json(done(key, "/api/orders", order(held, 0)), 201);
        assertThat(order.path("status").asString()).isEqualTo("waiting");
        assertThat(order.path("bookings").get(0).path("heldUntil").isString()).isTrue();
        String page = order.path("page").asString().substring(address("").length());
        String pay =
                post(page + "/pay", Map.of()).headers().firstValue("Location").orElseThrow();
        get(pay(pay, "WORKS"));
        JsonNode paid = read("/api/orders/" + order.path("number").asLong(), with(key));
        assertThat(paid.path("status").asString()).isEqualTo("placed");
        assertThat(paid.path("toPay").asLong()).isZero();
    }

    @Test
    void whatIsWrongIsSaidAllAtOnceAndNothingIsChanged() {
        String key = key("order");
        Map<String, Object> lesson = Map.of(
                "offer",
                "private-lesson",
                "length",
                "60",
                "start",
                start("private-lesson", "60", 8),
                "guest",
                somebody());
        JsonNode held = json(done(key, "/api/holds", lesson), 201);
        Map<String, Object> order = new HashMap<>(
                Map.of("basket", held.path("basket").asString(), "contact", guest(" ", "nobody"), "agreed", List.of()));
        HttpResponse<String> wrong = done(key, "/api/orders", order);
        assertThat(json(wrong, 422).path("errors").valueStream().map(e -> e.path("field")
                        .asString()))
                .contains("contact.name", "contact.email", "agreed")
                .anyMatch(f -> f.startsWith("answer.") && f.endsWith("before"));
        String line = held.path("lines").get(0).path("id").asString();
        order.put("contact", guest("Fenna Ruhl", "fenna@post.example"));
        order.put("agreed", agreed());
        order.put(
                "answers", List.of(Map.of("line", line, "person", 1, "question", "before", "given", List.of("Never"))));
        order.put("paid", Map.of("amount", due(held) - 1));
        HttpResponse<String> other = done(key, "/api/orders", order);
        assertThat(why(other)).isEqualTo("wrong-fields");
        String option = read("/api/offers/private-lesson")
                .path("questions")
                .get(0)
                .path("options")
                .get(0)
                .asString();
        order.put(
                "answers", List.of(Map.of("line", line, "person", 1, "question", "before", "given", List.of(option))));
        HttpResponse<String> less = done(key, "/api/orders", order);
        assertThat(why(less)).as(less.body()).isEqualTo("costs-changed");
        assertThat(json(less, 409).path("bill").path("dueNow").asLong()).isEqualTo(due(held));
        order.put("paid", Map.of("amount", held.path("bill").path("total").asLong()));
        JsonNode ordered = json(done(key, "/api/orders", order), 201);
        assertThat(ordered.path("toPay").asLong()).as("all of it was paid").isZero();
        assertThat(why(done(key, "/api/orders", order))).isEqualTo("nothing-held");
        for (String between : List.of("2027-01-20T10:00:30+01:00", "2027-01-20T10:00:00.5+01:00")) {
            HttpResponse<String> answer =
                    asked("POST", "/api/holds", Map.of("offer", "wheel-hire", "start", between), with(key, somebody()));
            assertThat(json(answer, 422).path("errors").get(0).path("field").asString())
                    .as(between)
                    .isEqualTo("start");
        }
        for (Object odd : List.of(
                "{",
                "[]",
                "{\"offer\": 1, \"start\": 2, \"nonsense\": 3}",
                "{\"offer\": \"none\", \"start\": \"2027-01-20T10:00+01:00\"}")) {
            assertThat(asked("POST", "/api/holds", odd, with(key, somebody())).statusCode())
                    .as(odd.toString())
                    .isIn(400, 422);
        }
    }

    @Test
    void aPlaceThatSomebodyElseHasIsNotHeldTwice() {
        String key = key("order");
        Map<String, Object> lesson = Map.of(
                "offer", "private-lesson", "length", "60", "staff", "mira", "start", mira(10), "guest", somebody());
        JsonNode held = json(done(key, "/api/holds", lesson), 201);
        HttpResponse<String> again = done(key, "/api/holds", lesson);
        assertThat(why(again)).isEqualTo("taken");
        assertThat(json(again, 409).path("nearest")).isNotEmpty();
        String line = "/api/baskets/" + held.path("basket").asString() + "/lines/"
                + held.path("lines").get(0).path("id").asString();
        assertThat(asked("DELETE", line, null, with(key)).statusCode()).isEqualTo(204);
        assertThat(asked("DELETE", line, null, with(key)).statusCode()).isEqualTo(404);
        assertThat(done(key, "/api/holds", lesson).statusCode()).isEqualTo(201);
        Map<String, Object> cheap = new HashMap<>(wheel(11));
        cheap.put("price", 1);
        assertThat(why(done(key, "/api/holds", cheap))).isEqualTo("dearer");
        clock.moveAhead(java.time.Duration.ofHours(2));
        JsonNode over = read("/api/baskets/" + held.path("basket").asString(), with(key));
        assertThat(over.path("lines")).isEmpty();
    }

    private String mira(int daysAhead) {
        var from = today().plusDays(daysAhead);
        return AnswerWriter.instant(
                ZONE,
                openings.next(gastfreund.core.openings.Query.of(
                                        new gastfreund.core.hours.OfferId("private-lesson"),
                                        from,
                                        from,
                                        clock.instant())
                                .withLength(new gastfreund.core.offers.LengthId("60"), 1)
                                .withStaff(new gastfreund.core.offers.StaffId("mira"))
                                .withPlace(new gastfreund.core.offers.PlaceId("mill-yard")))
                        .orElseThrow()
                        .time()
                        .start());
    }

    @Test
    void bookingsAreMovedAndCancelledAsTheirTermsSay() {
        String key = key("order", "change");
        JsonNode held = json(done(key, "/api/holds", wheel(12)), 201);
        JsonNode order = json(done(key, "/api/orders", order(held, due(held))), 201);
        String booking =
                "/api/bookings/" + order.path("bookings").get(0).path("id").asString();
        String day = today().plusDays(13).toString();
        JsonNode starts = read(booking + "/openings?from=" + day, with(key)).path("openings");
        String other = starts.get(starts.size() - 1).path("start").asString();
        JsonNode moving = read(booking + "/move?start=" + other.replace("+", "%2B"), with(key));
        assertThat(moving.path("start").asString()).isEqualTo(other);
        long total = moving.path("total").asLong();
        assertThat(why(done(key, booking + "/move", Map.of("start", other, "total", total + 1))))
                .isEqualTo("changed");
        JsonNode moved = json(done(key, booking + "/move", Map.of("start", other, "total", total)), 200);
        assertThat(moved.path("start").asString()).isEqualTo(other);
        long toPay = moved.path("toPay").asLong();
        if (toPay > 0) {
            long before = moved.path("paid").asLong();
            json(done(key, booking + "/payments", Map.of("amount", toPay, "before", before)), 200);
            assertThat(why(done(key, booking + "/payments", Map.of("amount", toPay, "before", before))))
                    .isEqualTo("changed");
        }
        JsonNode ending = read(booking + "/cancel", with(key));
        assertThat(ending.path("paid").asLong())
                .isEqualTo(ending.path("kept").asLong() + ending.path("back").asLong());
        assertThat(why(done(
                        key,
                        booking + "/cancel",
                        Map.of("back", ending.path("back").asLong() + 1))))
                .isEqualTo("changed");
        JsonNode gone = json(
                done(
                        key,
                        booking + "/cancel",
                        Map.of("back", ending.path("back").asLong(), "why", "they are ill")),
                200);
        assertThat(gone.path("status").asString()).isEqualTo("cancelled");
        assertThat(gone.path("canBeCancelled").asBoolean()).isFalse();
        assertThat(why(done(key, booking + "/cancel", Map.of("back", 0)))).isEqualTo("terms");
        assertThat(why(asked("GET", booking + "/move?start=" + other.replace("+", "%2B"), null, with(key))))
                .isEqualTo("terms");
    }

    @Test
    void aKeyOpensWhatTheHouseSaysAndNothingElse() {
        String reads = key("read");
        assertThat(why(asked("GET", "/api/orders", null))).isEqualTo("no-key");
        assertThat(why(asked("GET", "/api/orders", null, with(reads + "x")))).isEqualTo("wrong-key");
        assertThat(why(asked("GET", "/api/orders", null, "Authorization", "Basic abc")))
                .isEqualTo("wrong-key");
        assertThat(why(done(reads, "/api/holds", wheel(14)))).isEqualTo("not-allowed");
        assertThat(asked("GET", "/api/orders", null, with(reads)).statusCode()).isEqualTo(200);
        assertThat(jdbc.sql("SELECT group_concat(id || name || mark || scopes) FROM program_keys")
                        .query(String.class)
                        .single())
                .as("what lies in the file opens nothing")
                .doesNotContain(reads)
                .doesNotContain(reads.substring(10));
        for (String[] turned : List.of(
                new String[] {"GET", "/api/nothing", "404"},
                new String[] {"POST", "/api/house", "405"},
                new String[] {"GET", "/api/orders/x", "404"},
                new String[] {"GET", "/api/orders?after=x", "400"})) {
            HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(address(turned[1])))
                    .header("Authorization", "Bearer " + reads)
                    .method(turned[0], HttpRequest.BodyPublishers.noBody()));
            assertThat(answer.statusCode()).as(turned[1]).isEqualTo(Integer.parseInt(turned[2]));
            assertThat(answer.headers().firstValue("Content-Type").orElse(""))
                    .as("whoever turns it away says so as a problem")
                    .startsWith("application/problem+json");
        }
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        String page = host.get("/desk/programs").body();
        var end = java.util.regex.Pattern.compile("action=\"(/desk/programs/[^\"]+/end)\"")
                .matcher(page);
        while (end.find()) {
            host.post(end.group(1), Map.of());
        }
        assertThat(why(asked("GET", "/api/orders", null, with(reads)))).isEqualTo("wrong-key");
        assertThat(host.post("/desk/programs", Map.of("name", " ")).body())
                .contains("Please give it a name", "Please tick at least one");
        HostBrowser staff = new HostBrowser(address(""), somebody());
        assertThat(staff.get("/desk/programs").statusCode()).isEqualTo(302);
    }
}
