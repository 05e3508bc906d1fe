package gastfreund.app.openings;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.bookings.Reserved;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.Offer;
import java.time.Instant;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * How many there still are of add-ons of which there are so many only. What lies in bookings is taken, what lies in baskets
 * too as long as its place is kept; what was cancelled is there again.
 */
@Component
public class AddOnStock {

    private final CatalogueService catalogues;
    private final BookedStore bookings;

    AddOnStock(CatalogueService catalogues, BookedStore bookings) {
        this.catalogues = catalogues;
        this.bookings = bookings;
    }

    /** Whether there is enough of everything that somebody wants, as if their own booking were not there. */
    public boolean isEnough(Reserved wanted, Instant now) {
        Offer offer = catalogues.catalogue().offer(wanted.offer());
        return wanted.addOns().keySet().stream()
                .flatMap(id -> offer.addOn(id).stream())
                .allMatch(a -> count(a, wanted.addOns().getOrDefault(a.id(), 0), wanted.party())
                        <= left(offer, a, wanted.id(), now).orElse(Integer.MAX_VALUE));
    }

    /**
     * How many can be taken at once.
     *
     * @param without whose booking counts as not there; null: all count
     */
    int atOnce(Offer offer, AddOn addOn, int party, @Nullable BookingId without, Instant now) {
        OptionalInt left = left(offer, addOn, without, now);
        return left.isEmpty() ? addOn.max() : Math.min(addOn.max(), left.getAsInt() / count(addOn, 1, party));
    }

    /** How many lie in bookings and kept places. */
    public int taken(Offer offer, AddOn addOn, Instant now) {
        return taken(offer, addOn, null, now);
    }

    private OptionalInt left(Offer offer, AddOn addOn, @Nullable BookingId without, Instant now) {
        Integer all = catalogues.catalogue().shelfOf(offer.id()).stock().get(addOn.id());
        return all == null ? OptionalInt.empty() : OptionalInt.of(Math.max(0, all - taken(offer, addOn, without, now)));
    }

    private int taken(Offer offer, AddOn addOn, @Nullable BookingId without, Instant now) {
        return bookings.added(offer.id(), addOn, without, now);
    }

    private static int count(AddOn addOn, int quantity, int party) {
        return addOn.per() == AddOn.Per.PERSON ? quantity * party : quantity;
    }
}
