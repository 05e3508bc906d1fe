package gastfreund.app.api;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.programs.Refused;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Line;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Series;
import gastfreund.core.orders.Quote;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.housefile.AnswerWriter;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** When something can be had, and what it costs, for programs. */
@Service
class Times {

    private static final int NEAREST = 3;

    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final Clock clock;

    Times(CatalogueService catalogues, OpeningsService openings, Clock clock) {
        this.catalogues = catalogues;
        this.openings = openings;
        this.clock = clock;
    }

    LocalDate today() {
        return catalogues.catalogue().zone().dateOf(clock.instant());
    }

    /** What is open from one date to another (both inclusive), as house files' commands write it. */
    JsonNode openings(Choice choice, LocalDate from, LocalDate to) {
        Answer answer = openings.openings(choice.query(from, to, clock.instant()));
        return writer(choice).openings(answer);
    }

    JsonNode series(Choice choice, long start, int times, int every, Map<LocalDate, Long> instead) {
        return writer(choice)
                .series(openings.series(new Series.Wish(query(choice, start), start, times, every, instead)));
    }

    private AnswerWriter writer(Choice choice) {
        return new AnswerWriter(catalogues.catalogue().zone(), choice.offer().hasTimetable());
    }

    private Query query(Choice choice, long start) {
        LocalDate day = catalogues.catalogue().zone().dateOf(start);
        return choice.query(day, day, clock.instant());
    }

    /**
     * What a start costs, who would serve, and what cancelling would cost.
     *
     * @throws Refused where it cannot be had
     */
    JsonNode price(Choice choice, long start) {
        Catalogue catalogue = catalogues.catalogue();
        Query query = query(choice, start);
        Answer.Entry entry = openings.openings(query).entries().stream()
                .filter(e -> e.time().start() == start)
                .findFirst()
                .orElseThrow(() -> taken(query, start));
        Answer.Judged option = openings.assigned(catalogue.house(), query, entry);
        Instant now = clock.instant();
        Line line = choice.line(start, option, now, catalogue.zone());
        Quote quote = Quote.of(List.of(new Quote.Asked(line, Quote.Pay.NOW)), now, catalogue.zone());
        return written(choice, entry.time(), line, quote, now);
    }

    private JsonNode written(Choice choice, Interval time, Line line, Quote quote, Instant now) {
        HouseZone zone = catalogues.catalogue().zone();
        Quote.QuotedLine quoted = quote.lines().get(0);
        ObjectNode node = Json.object().put("offer", choice.offer().id().value());
        Json.time(node, time, zone);
        node.set("staff", Json.names(line.staff()));
        Json.name(node, "place", line.place());
        node.put("length", choice.length().id().value())
                .put("units", choice.units())
                .put("party", choice.party());
        node.set("addOns", Json.quantities(choice.addOns()));
        Json.money(node, "base", quoted.price().base());
        Json.money(node, "adjusted", quoted.price().adjusted());
        Json.money(node, "addOnsPrice", quoted.price().addOns());
        Json.money(node, "total", quoted.total());
        Json.money(node, "dueNow", quoted.dueNow());
        Json.money(node, "balance", quoted.balance());
        Json.name(node, "balanceDue", quoted.balanceDue());
        node.set(
                "taxes",
                Json.array(quote.taxes().stream()
                        .map(t -> {
                            ObjectNode tax =
                                    Json.object().put("percent", t.rate().toString());
                            Json.money(tax, "net", t.net());
                            Json.money(tax, "tax", t.tax());
                            return tax;
                        })
                        .toList()));
        node.set(
                "cancelling",
                cancelling(
                        choice.offer().terms(),
                        new Cancelled(quoted.total(), quoted.deposit(), Money.ZERO, time),
                        now,
                        zone));
        return node;
    }

    /** @param floor what earlier moves keep at least */
    record Cancelled(Money total, Money deposit, Money floor, Interval time) {}

    /** Until when a cancellation keeps how much. */
    static ArrayNode cancelling(Terms terms, Cancelled of, Instant now, HouseZone zone) {
        return Json.array(
                terms.ladder(of.total(), of.deposit(), of.floor(), of.time().startInstant(), now).stream()
                        .map(step -> {
                            ObjectNode node = Json.object().put("until", Json.moment(step.until(), zone));
                            Json.money(node, "keep", step.keep());
                            return node;
                        })
                        .toList());
    }

    /** That a start cannot be had, with what lies near. */
    Refused taken(Choice choice, long start) {
        return taken(query(choice, start), start);
    }

    private Refused taken(Query query, long start) {
        HouseZone zone = catalogues.catalogue().zone();
        ArrayNode nearest = Json.names(openings.nearest(query, start, NEAREST).stream()
                .map(e -> AnswerWriter.instant(zone, e.time().start()))
                .toList());
        return Refused.because(Refused.Why.TAKEN, more -> more.set("nearest", nearest));
    }
}
