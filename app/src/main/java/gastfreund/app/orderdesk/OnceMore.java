package gastfreund.app.orderdesk;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.HouseZone;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;

/** Where the same is booked once more by hand, for the same guest. */
@Component
class OnceMore {

    /** How many weeks are proposed. */
    private static final int WEEKS = 6;

    private final CatalogueService catalogues;
    private final Clock clock;

    OnceMore(CatalogueService catalogues, Clock clock) {
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** Another day. */
    String another(Order order, OrderLine line) {
        return address(same(order, line));
    }

    /** The same time of each week, from the first that is still to come on; empty for what has a timetable. */
    Optional<String> everyWeek(Order order, OrderLine line) {
        Offer offer = catalogues.catalogue().offer(line.offer());
        if (offer.hasTimetable()) {
            return Optional.empty();
        }
        HouseZone zone = catalogues.catalogue().zone();
        LocalDateTime next = zone.localOf(line.time().start()).plusWeeks(1);
        while (zone.minuteOf(next) * 60 <= clock.instant().getEpochSecond()) {
            next = next.plusWeeks(1);
        }
        Map<String, String> with = same(order, line);
        with.put("at", Long.toString(zone.minuteOf(next)));
        with.put("times", Integer.toString(WEEKS));
        line.reserved().staff().stream().findFirst().map(StaffId::value).ifPresent(s -> with.put("staff", s));
        return Optional.of(address(with));
    }

    private static Map<String, String> same(Order order, OrderLine line) {
        Map<String, String> same = new LinkedHashMap<>();
        same.put("offer", line.offer().value());
        same.put("length", line.length().value());
        same.put("units", Integer.toString(line.units()));
        same.put("party", Integer.toString(line.party()));
        same.put("name", order.contact().name());
        same.put("email", order.contact().email());
        same.put("phone", order.contact().phone());
        return same;
    }

    private static String address(Map<String, String> asked) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/desk/book");
        asked.keySet().forEach(name -> address.queryParam(name, "{" + name + "}"));
        return address.encode().buildAndExpand(asked).toUriString();
    }
}
