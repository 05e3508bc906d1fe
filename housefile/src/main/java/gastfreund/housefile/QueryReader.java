package gastfreund.housefile;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Series;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** Reads the queries of {@code openings} and {@code explain}. */
final class QueryReader {

    private static final int MOST = 1_000_000;

    private final House house;

    QueryReader(House house) {
        this.house = house;
    }

    /** @throws BadFileException with every problem of the queries */
    List<Query> queries(JsonNode json) {
        List<Problem> problems = new ArrayList<>();
        List<Query> queries = new ArrayList<>();
        Node.root(json, problems).elements().forEach(node -> node.made(() -> query(node))
                .ifPresent(queries::add));
        BadFileException.throwIfAny(problems);
        return queries;
    }

    /** @throws BadFileException with every problem of the queries */
    List<Series.Wish> series(JsonNode json) {
        List<Problem> problems = new ArrayList<>();
        List<Series.Wish> queries = new ArrayList<>();
        Node.root(json, problems).elements().forEach(node -> node.made(() -> seriesQuery(node))
                .ifPresent(queries::add));
        BadFileException.throwIfAny(problems);
        return queries;
    }

    private Series.Wish seriesQuery(Node node) {
        node.object(
                "now",
                "offer",
                "start",
                "times",
                "every",
                "length",
                "units",
                "party",
                "addOns",
                "staff",
                "place",
                "audience",
                "without");
        long start = Interval.firstMinuteFrom(node.required("start").instant());
        int times = node.requiredInteger("times", 2, Series.MOST_TIMES).orElse(2);
        int every = node.integer("every", 1, Series.MOST_WEEKS, 1);
        LocalDate date = house.zone().dateOf(start);
        return Series.Wish.of(query(node, date, date), start, times, every);
    }

    private Query query(Node node) {
        node.object(
                "now",
                "offer",
                "from",
                "to",
                "length",
                "units",
                "party",
                "addOns",
                "staff",
                "place",
                "audience",
                "without");
        return query(node, node.required("from").date(), node.required("to").date());
    }

    private Query query(Node node, LocalDate from, LocalDate to) {
        Instant now = node.required("now").instant();
        OfferId offer = offer(house, node.required("offer"));
        Set<BookingId> without = node.elements("without").stream()
                .map(b -> new BookingId(b.text()))
                .collect(Collectors.toSet());
        return new Query(
                now,
                offer,
                from,
                to,
                node.member("length").map(l -> new LengthId(l.text())).orElse(null),
                node.integer("units", -MOST, MOST, 1),
                node.integer("party", -MOST, MOST, 1),
                addOns(node),
                node.member("staff").map(s -> new StaffId(s.text())).orElse(null),
                node.member("place").map(p -> new PlaceId(p.text())).orElse(null),
                node.word("audience", new String[] {"guest", "desk"}, "guest").equals("desk")
                        ? Audience.DESK
                        : Audience.GUEST,
                without);
    }

    /** The offer named, which the house must have. */
    static OfferId offer(House house, Node node) {
        OfferId id = new OfferId(node.text());
        if (house.offer(id).isEmpty()) {
            node.problem("there is no offer " + id);
        }
        return id;
    }

    /** Quantities by add-on. */
    static Map<AddOnId, Integer> addOns(Node owner) {
        Map<AddOnId, Integer> quantities = new HashMap<>();
        owner.member("addOns").ifPresent(addOns -> addOns.members()
                .forEach(a ->
                        quantities.put(new AddOnId(a.getKey()), a.getValue().integer(-MOST, MOST))));
        return quantities;
    }
}
