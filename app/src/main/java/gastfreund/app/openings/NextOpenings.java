package gastfreund.app.openings;

import gastfreund.app.bookings.BookingChanges;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.bookings.Booked;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * When each offer can next be had, in any of its lengths, by the smallest party: for the house's page, which everybody asks
 * for. What takes time is read once for all offers, the nearest dates first, and no further than to the first opening; what
 * was found is kept until a booking, the catalogue or the minute changes it.
 */
@Service
public class NextOpenings {

    /** How many dates are looked at together, one stretch after the other. */
    private static final int[] STRETCHES = {2, 5, 14, 35, 35, 35, 35, 35, 35, 35, 14};

    private record Kept(AsOf asOf, Map<OfferId, Answer.Entry> found) {}

    private final CatalogueService catalogues;
    private final BookedNow booked;
    private final BookingChanges changes;
    private final Clock clock;
    private volatile @Nullable Kept kept;

    NextOpenings(CatalogueService catalogues, BookedNow booked, BookingChanges changes, Clock clock) {
        this.catalogues = catalogues;
        this.booked = booked;
        this.changes = changes;
        this.clock = clock;
    }

    /** The next opening of an offer; empty where it has none within 280 days. */
    public Optional<Answer.Entry> of(Offer offer) {
        return Optional.ofNullable(found().get(offer.id()));
    }

    private Map<OfferId, Answer.Entry> found() {
        House house = catalogues.plain().house();
        Instant now = clock.instant();
        AsOf asOf = AsOf.of(house, changes, now);
        Kept current = kept;
        if (current == null || !current.asOf().equals(asOf)) {
            current = new Kept(asOf, find(house, now));
            kept = current;
        }
        return current.found();
    }

    private Map<OfferId, Answer.Entry> find(House house, Instant now) {
        Map<OfferId, Answer.Entry> found = new HashMap<>();
        List<Offer> left = new ArrayList<>(house.onSale());
        LocalDate first = house.zone().dateOf(now);
        for (int days : STRETCHES) {
            if (left.isEmpty()) {
                break;
            }
            LocalDate last = first.plusDays(days - 1L);
            LocalDate from = first;
            List<Query> asked = left.stream()
                    .flatMap(offer -> Reaches.queries(offer, offer.party().min(), from, last, now).stream())
                    .toList();
            Booked taken = booked.touching(Reaches.together(house, asked), now);
            for (Offer offer : List.copyOf(left)) {
                first(house, taken, offer, first, last, now).ifPresent(entry -> {
                    found.put(offer.id(), entry);
                    left.remove(offer);
                });
            }
            first = last.plusDays(1);
        }
        return Map.copyOf(found);
    }

    private static Optional<Answer.Entry> first(
            House house, Booked taken, Offer offer, LocalDate first, LocalDate last, Instant now) {
        return Reaches.queries(offer, offer.party().min(), first, last, now).stream()
                .map(query -> Openings.openings(house, taken, query).entries())
                .filter(entries -> !entries.isEmpty())
                .map(entries -> entries.get(0))
                .min(Comparator.comparingLong(e -> e.time().start()));
    }
}
