package gastfreund.housefile;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Timetable;
import gastfreund.core.orders.Quote;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** Reads what {@code quote} and {@code cancellation} are asked, and asks the core. */
final class QuoteReader {

    private static final int MOST = 1_000_000;

    private final House house;

    private QuoteReader(House house) {
        this.house = house;
    }

    /** @throws BadFileException with every problem of the baskets */
    static List<Quote> quotes(HouseFile file, JsonNode json) {
        List<Problem> problems = new ArrayList<>();
        QuoteReader reader = new QuoteReader(file.house());
        List<Quote> quotes = new ArrayList<>();
        for (Node node : Node.root(json, problems).elements()) {
            reader.quote(node, file).ifPresent(quotes::add);
        }
        BadFileException.throwIfAny(problems);
        return quotes;
    }

    private Optional<Quote> quote(Node node, HouseFile file) {
        node.object("now", "lines", "promoCode");
        Instant now = node.required("now").instant();
        List<Node> lines = node.required("lines").elements();
        List<Quote.Asked> asked =
                lines.stream().map(l -> asked(l, now)).flatMap(Optional::stream).toList();
        String code = node.member("promoCode").map(Node::textOrBlank).orElse("");
        if (asked.size() < lines.size()) {
            return Optional.empty();
        }
        return node.made(() -> Quote.of(asked, now, house.zone(), code, file.promoCodes()));
    }

    private Optional<Quote.Asked> asked(Node node, Instant now) {
        node.object("offer", "length", "units", "party", "addOns", "start", "staff", "place", "pay");
        Optional<Offer> known = house.offer(QueryReader.offer(house, node.required("offer")));
        if (known.isEmpty()) {
            return Optional.empty();
        }
        Offer offer = known.get();
        Optional<Long> start =
                node.made(() -> Interval.minuteOf(node.required("start").instant()));
        PlaceId place = place(node, offer);
        Optional<Timetable.Entry> entry = start.flatMap(s -> entry(offer, s, place));
        Optional<Length> length = length(node, offer, entry);
        int units = node.integer("units", 1, MOST, 1);
        if (length.isPresent() && !length.get().sells(units)) {
            node.at("units").problem("so many units are not sold");
        }
        int party = node.integer("party", 1, MOST, 1);
        Map<AddOnId, Integer> addOns = addOns(node, offer);
        List<StaffId> staff = staff(node, offer, entry);
        Quote.Pay pay = node.word("pay", new String[] {"now", "venue"}, "now").equals("venue")
                ? Quote.Pay.VENUE
                : Quote.Pay.NOW;
        if (length.isEmpty() || start.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Quote.Asked(
                new Line(offer, length.get(), units, party, addOns, start.get(), staff, place, now, house.zone()),
                pay));
    }

    private static @Nullable PlaceId place(Node node, Offer offer) {
        PlaceId place = node.member("place").map(p -> new PlaceId(p.text())).orElse(offer.placeOr(null));
        if (place != null && !offer.isAt(place)) {
            node.at("place").problem("is no place of the offer");
        }
        return place;
    }

    /** The entry of a timetable that has a session at the start and place. */
    private Optional<Timetable.Entry> entry(Offer offer, long start, @Nullable PlaceId place) {
        if (!offer.hasTimetable()) {
            return Optional.empty();
        }
        LocalDate date = house.zone().dateOf(start);
        return offer.entries().stream()
                .filter(e -> e.place() == null || e.place().equals(place))
                .filter(e -> Arrays.stream(e.startsBetween(date.minusDays(1), date, house.zone()))
                        .anyMatch(s -> s == start))
                .findFirst();
    }

    private static Optional<Length> length(Node node, Offer offer, Optional<Timetable.Entry> entry) {
        Optional<Node> asked = node.member("length");
        Optional<Length> length;
        if (asked.isPresent()) {
            length = offer.length(new LengthId(asked.get().text()));
        } else if (entry.isPresent()) {
            length = entry.map(Timetable.Entry::length);
        } else {
            length = offer.lengths().size() == 1 ? Optional.of(offer.lengths().get(0)) : Optional.empty();
        }
        if (length.isEmpty()) {
            node.at("length").problem(asked.isPresent() ? "is no length of the offer" : "is missing");
        }
        return length;
    }

    private static Map<AddOnId, Integer> addOns(Node node, Offer offer) {
        node.member("addOns").ifPresent(addOns -> addOns.members().forEach(a -> {
            Optional<AddOn> addOn = offer.addOn(new AddOnId(a.getKey()));
            if (addOn.isEmpty()) {
                a.getValue().problem("is no add-on of the offer");
            } else {
                a.getValue().integer(0, addOn.get().max());
            }
        }));
        return QueryReader.addOns(node);
    }

    private static List<StaffId> staff(Node node, Offer offer, Optional<Timetable.Entry> entry) {
        List<StaffId> named = new ArrayList<>();
        for (Node person : node.elements("staff")) {
            StaffId id = new StaffId(person.text());
            if (!offer.servedBy(id)) {
                person.problem("does not serve the offer");
            }
            named.add(id);
        }
        if (offer.hasTimetable()) {
            return named.isEmpty() ? entry.map(Timetable.Entry::staff).orElse(List.of()) : named;
        }
        if (offer.serving().pick() == Serving.Pick.ANY && named.size() > 1) {
            node.at("staff").problem("only one of them serves");
        }
        return offer.serving().pick() == Serving.Pick.ALL ? offer.serving().of() : named;
    }

    /** @throws BadFileException with every problem of the cases */
    static List<Terms.Outcome> cancellations(HouseFile file, JsonNode json) {
        List<Problem> problems = new ArrayList<>();
        List<Terms.Outcome> outcomes = Node.root(json, problems).elements().stream()
                .map(node -> cancellation(file.house(), node))
                .flatMap(Optional::stream)
                .toList();
        BadFileException.throwIfAny(problems);
        return outcomes;
    }

    private static Optional<Terms.Outcome> cancellation(House house, Node node) {
        node.object("offer", "lineTotal", "deposit", "paid", "start", "at", "by", "floor");
        OfferId offer = QueryReader.offer(house, node.required("offer"));
        Money total = node.required("lineTotal").amount();
        Money deposit = node.member("deposit").map(Node::amount).orElse(Money.ZERO);
        Money paid = node.required("paid").amount();
        Instant start = node.required("start").instant();
        Instant at = node.required("at").instant();
        Terms.By by = node.required("by").word("guest", "host").equals("guest") ? Terms.By.GUEST : Terms.By.HOST;
        Money floor = node.member("floor").map(Node::amount).orElse(Money.ZERO);
        return house.offer(offer).map(o -> o.terms().cancel(total, deposit, paid, start, at, by, floor));
    }
}
