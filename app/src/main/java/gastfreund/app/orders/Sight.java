package gastfreund.app.orders;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.StaffId;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Which bookings a host sees: whoever may not see all sees those that they serve, those of what they serve, and those of what
 * nobody in particular serves.
 */
@Component
public class Sight {

    private final CatalogueService catalogues;

    Sight(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    /** Whether a host sees a booking of an offer that some people serve. */
    public boolean sees(Host host, OfferId offer, List<StaffId> staff) {
        if (host.may(Right.SEE_ALL)) {
            return true;
        }
        List<StaffId> serve = catalogues
                .catalogue()
                .house()
                .offer(offer)
                .map(o -> o.serving().of())
                .orElse(List.of());
        StaffId own = new StaffId(host.person().isEmpty() ? "-" : host.person());
        return staff.contains(own) || serve.contains(own) || staff.isEmpty() && serve.isEmpty();
    }

    /** Whether a host sees an order: at least one of its bookings. */
    public boolean sees(Host host, Order order) {
        return host.may(Right.SEE_ALL)
                || order.lines().stream()
                        .anyMatch(l ->
                                sees(host, l.reserved().offer(), l.reserved().staff()));
    }
}
