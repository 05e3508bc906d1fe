package gastfreund.app.offerdesk;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.bookings.Reserved;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What other prices would have brought in the last 90 days, had the same guests booked the same. */
@Component
class Hindsight {

    static final int DAYS = 90;

    private static final long MINUTES = 24L * 60 * DAYS;

    private final BookedStore past;
    private final Clock clock;

    Hindsight(BookedStore past, Clock clock) {
        this.past = past;
        this.clock = clock;
    }

    /**
     * By how much they would have brought more, in minor units; less than 0: less. Empty where nothing was booked of which
     * both know the length.
     */
    Optional<Long> more(Offer kept, Offer tried, HouseZone zone) {
        long now = Math.floorDiv(clock.instant().getEpochSecond(), 60);
        List<Long> differences = past.ofOffer(kept.id(), Interval.between(now - MINUTES, now)).stream()
                .flatMap(p -> difference(p, kept, tried, zone).stream())
                .toList();
        return differences.isEmpty()
                ? Optional.empty()
                : Optional.of(differences.stream().mapToLong(Long::longValue).sum());
    }

    private static Optional<Long> difference(BookedStore.Past one, Offer kept, Offer tried, HouseZone zone) {
        return kept.length(one.reserved().length())
                .flatMap(was -> tried.length(one.reserved().length())
                        .map(is -> price(one, tried, is, zone).minor()
                                - price(one, kept, was, zone).minor()));
    }

    private static Money price(BookedStore.Past one, Offer offer, Length length, HouseZone zone) {
        Reserved reserved = one.reserved();
        Instant start = reserved.time().startInstant();
        return new Line(
                        offer,
                        length,
                        reserved.units(),
                        reserved.party(),
                        Map.of(),
                        reserved.time().start(),
                        reserved.staff(),
                        reserved.place(),
                        one.booked().isAfter(start) ? start : one.booked(),
                        zone)
                .price()
                .amount();
    }
}
