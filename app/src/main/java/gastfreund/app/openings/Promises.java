package gastfreund.app.openings;

import gastfreund.app.bookings.Reserved;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import gastfreund.core.orders.Sold;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/**
 * Whether a place that was promised is still to be had, as if the booking that holds it were not there. A hold is a
 * promise: that the time of notice has begun since, or that another session is filled first, does not stand against it.
 */
@Component
public class Promises {

    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final AddOnStock stock;

    Promises(CatalogueService catalogues, OpeningsService openings, AddOnStock stock) {
        this.stock = stock;
        this.catalogues = catalogues;
        this.openings = openings;
    }

    /** Whether the house can keep it as it sells now. */
    public boolean isToBeHad(Reserved promised, Instant now) {
        return isFree(catalogues.catalogue().house(), promised, now) && stock.isEnough(promised, now);
    }

    /** Whether the house can keep it as it was sold then. */
    public boolean isToBeHad(Reserved promised, Sold sold, Instant now) {
        House house = catalogues.catalogue().house();
        Offer current = catalogues.catalogue().offer(promised.offer());
        return sold.within(current, promised.units(), promised.party())
                        .filter(offer -> isFree(offer.equals(current) ? house : house.with(offer), promised, now))
                        .isPresent()
                && stock.isEnough(promised, now);
    }

    private boolean isFree(House house, Reserved promised, Instant now) {
        Set<Object> serving = new HashSet<>(promised.staff());
        Predicate<Reason> forgiven = r -> r instanceof Reason.Notice || r instanceof Reason.Fill;
        return openings.explain(house, promised.query(house.zone(), now)).entries().stream()
                .filter(e -> e.time().start() == promised.time().start())
                .map(Answer.Entry::options)
                .flatMap(List::stream)
                .filter(o -> serving.equals(new HashSet<>(o.staff())))
                .anyMatch(o -> o.reasons().stream().allMatch(forgiven));
    }
}
