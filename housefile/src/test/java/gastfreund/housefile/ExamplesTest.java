package gastfreund.housefile;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Booked;
import gastfreund.core.openings.BookingId;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Reason;
import gastfreund.core.orders.Quote;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Houses with questions and right answers that were not made by this program. */
class ExamplesTest {

    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final DateTimeFormatter INSTANT = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mmxxx");

    @ParameterizedTest
    @ValueSource(strings = {"03", "04", "05", "07", "08"})
    void openingsAndReasonsComeOutExactly(String number) {
        JsonNode example = example(number);
        HouseFile file = HouseFile.read(example.get("house"));
        Booked booked = Booked.of(file.bookings(), file.busy());
        for (int i = 0; i < example.get("queries").size(); i++) {
            Query query = query(example.get("queries").get(i));
            HouseZone zone = file.house().zone();
            assertThat(openings(Openings.openings(file.house(), booked, query), zone))
                    .as("openings of query %d", i)
                    .isEqualTo(example.get("openings").get(i));
            assertThat(explanation(Openings.explain(file.house(), booked, query), zone))
                    .as("explanation of query %d", i)
                    .isEqualTo(example.get("explain").get(i));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"03", "04", "05", "07", "08"})
    void quotesComeOutExactly(String number) {
        JsonNode example = example(number);
        HouseFile file = HouseFile.read(example.get("house"));
        for (int i = 0; i < example.get("baskets").size(); i++) {
            JsonNode basket = example.get("baskets").get(i);
            Instant now = instant(basket.get("now"));
            List<Quote.Asked> lines = new ArrayList<>();
            basket.get("lines").forEach(line -> lines.add(asked(file, line, now)));
            Quote quote = Quote.of(
                    lines, now, file.house().zone(), basket.path("promoCode").asString(""), file.promoCodes());
            assertThat(written(quote)).as("quote %d", i).isEqualTo(example.get("quotes").get(i));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"03", "04", "05", "07", "08"})
    void cancellationsComeOutExactly(String number) {
        JsonNode example = example(number);
        HouseFile file = HouseFile.read(example.get("house"));
        for (int i = 0; i < example.get("cases").size(); i++) {
            JsonNode c = example.get("cases").get(i);
            Terms terms = file.house().offer(new OfferId(c.get("offer").stringValue())).orElseThrow().terms();
            Terms.Outcome outcome = terms.cancel(
                    money(c, "lineTotal"),
                    money(c, "deposit"),
                    money(c, "paid"),
                    instant(c.get("start")),
                    instant(c.get("at")),
                    c.get("by").stringValue().equals("guest") ? Terms.By.GUEST : Terms.By.HOST);
            ObjectNode written = JSON.objectNode();
            written.set("tier", outcome.tier().isPresent()
                    ? JSON.numberNode(outcome.tier().getAsInt())
                    : JSON.nullNode());
            written.put("keep", (int) outcome.keep().minor())
                    .put("refund", (int) outcome.refund().minor())
                    .put("uncollected", (int) outcome.uncollected().minor())
                    .put("mayMove", outcome.mayMove());
            assertThat((JsonNode) written).as("case %d", i).isEqualTo(example.get("cancellations").get(i));
        }
    }

    private static JsonNode example(String number) {
        try (var in = ExamplesTest.class.getResourceAsStream("/examples/random-" + number + ".json")) {
            return HouseFile.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Instant instant(JsonNode node) {
        return OffsetDateTime.parse(node.stringValue()).toInstant();
    }

    private static Money money(JsonNode owner, String member) {
        return Money.ofMinor(owner.path(member).asLong(0));
    }

    private static Optional<String> text(JsonNode owner, String member) {
        return owner.has(member) ? Optional.of(owner.get(member).stringValue()) : Optional.empty();
    }

    private static Map<AddOnId, Integer> addOns(JsonNode owner) {
        Map<AddOnId, Integer> addOns = new HashMap<>();
        owner.path("addOns").properties().forEach(a -> addOns.put(new AddOnId(a.getKey()), a.getValue().intValue()));
        return addOns;
    }

    private static Query query(JsonNode q) {
        Set<BookingId> without = new HashSet<>();
        q.path("without").forEach(b -> without.add(new BookingId(b.stringValue())));
        return new Query(
                instant(q.get("now")),
                new OfferId(q.get("offer").stringValue()),
                LocalDate.parse(q.get("from").stringValue()),
                LocalDate.parse(q.get("to").stringValue()),
                text(q, "length").map(LengthId::new).orElse(null),
                q.path("units").asInt(1),
                q.path("party").asInt(1),
                addOns(q),
                text(q, "staff").map(StaffId::new).orElse(null),
                text(q, "place").map(PlaceId::new).orElse(null),
                text(q, "audience").filter("desk"::equals).map(a -> Audience.DESK).orElse(Audience.GUEST),
                without);
    }

    private static Quote.Asked asked(HouseFile file, JsonNode line, Instant now) {
        Offer offer = file.house().offer(new OfferId(line.get("offer").stringValue())).orElseThrow();
        List<StaffId> named = new ArrayList<>();
        line.path("staff").forEach(s -> named.add(new StaffId(s.stringValue())));
        boolean all = offer.serving().pick() == Serving.Pick.ALL;
        return new Quote.Asked(
                new Line(
                        offer,
                        text(line, "length")
                                .map(l -> offer.length(new LengthId(l)).orElseThrow())
                                .orElse(offer.lengths().get(0)),
                        line.path("units").asInt(1),
                        line.path("party").asInt(1),
                        addOns(line),
                        Interval.minuteOf(instant(line.get("start"))),
                        all ? offer.serving().of() : named,
                        text(line, "place").map(PlaceId::new).or(offer::firstPlace).orElse(null),
                        now,
                        file.house().zone()),
                line.path("pay").asString("now").equals("venue") ? Quote.Pay.VENUE : Quote.Pay.NOW);
    }

    private static JsonNode openings(Answer answer, HouseZone zone) {
        ObjectNode written = JSON.objectNode();
        ArrayNode entries = written.putArray("openings");
        for (Answer.Entry entry : answer.entries()) {
            ArrayNode options = entry(entries, entry, zone);
            for (Answer.Judged option : entry.options()) {
                ObjectNode o = options.addObject();
                staff(o, option);
                o.put("left", option.opening().left());
                o.put("price", (int) option.opening().price().minor());
                if (option.opening().contested()) {
                    o.put("contested", true);
                }
            }
        }
        return refused(answer, written);
    }

    private static JsonNode explanation(Answer answer, HouseZone zone) {
        ObjectNode written = JSON.objectNode();
        ArrayNode entries = written.putArray("candidates");
        for (Answer.Entry entry : answer.entries()) {
            ArrayNode options = entry(entries, entry, zone);
            for (Answer.Judged option : entry.options()) {
                ObjectNode o = options.addObject();
                staff(o, option);
                ArrayNode reasons = o.putArray("reasons");
                option.reasons().stream().map(Reason::code).forEach(reasons::add);
            }
        }
        return refused(answer, written);
    }

    private static void staff(ObjectNode owner, Answer.Judged option) {
        ArrayNode staff = owner.putArray("staff");
        option.staff().forEach(s -> staff.add(s.value()));
    }

    private static ArrayNode entry(ArrayNode entries, Answer.Entry entry, HouseZone zone) {
        ObjectNode e = entries.addObject();
        e.put("start", INSTANT.format(zone.offsetOf(entry.time().start())));
        e.put("end", INSTANT.format(zone.offsetOf(entry.time().end())));
        return e.putArray("options");
    }

    private static JsonNode refused(Answer answer, ObjectNode written) {
        if (answer.refusal() != null) {
            written.put("refused", answer.refusal().code());
        }
        return written;
    }

    private static JsonNode written(Quote quote) {
        ObjectNode written = JSON.objectNode();
        ArrayNode lines = written.putArray("lines");
        for (Quote.QuotedLine line : quote.lines()) {
            ObjectNode l = lines.addObject();
            put(l, "base", line.price().base());
            put(l, "adjusted", line.price().adjusted());
            put(l, "addOns", line.price().addOns());
            put(l, "amount", line.price().amount());
            put(l, "discount", line.discount());
            put(l, "total", line.total());
            put(l, "dueNow", line.dueNow());
            put(l, "balance", line.balance());
            l.put("balanceDue", line.balanceDue() == null ? null : line.balanceDue().toString());
        }
        put(written, "subtotal", quote.subtotal());
        put(written, "discount", quote.discount());
        written.put("promo", quote.promo().code());
        put(written, "total", quote.total());
        ArrayNode taxes = written.putArray("taxes");
        quote.taxes().forEach(tax -> {
            ObjectNode t = taxes.addObject().put("rate", tax.rate().toString());
            put(t, "net", tax.net());
            put(t, "tax", tax.tax());
        });
        put(written, "dueNow", quote.dueNow());
        put(written, "balance", quote.balance());
        return written;
    }

    private static void put(ObjectNode owner, String member, Money money) {
        owner.put(member, (int) money.minor());
    }
}
