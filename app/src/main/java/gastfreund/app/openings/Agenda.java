package gastfreund.app.openings;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What can be had on a day, of all offers that are listed; what takes time is read once for all of them. */
@Service
class Agenda {

    /**
     * An offer with its openings.
     *
     * @param length the first of its lengths that has some
     * @param slots the earliest first; not empty
     */
    record Lane(Offer offer, Length length, List<Slot> slots) {}

    private final CatalogueService catalogues;
    private final BookedStore booked;
    private final Reading reading;

    Agenda(CatalogueService catalogues, BookedStore booked, Reading reading) {
        this.catalogues = catalogues;
        this.booked = booked;
        this.reading = reading;
    }

    /** The offers that so many people can book, in the house's order; those without an opening are left out. */
    List<Lane> day(LocalDate day, int party, Instant now) {
        Catalogue catalogue = catalogues.catalogue();
        House house = catalogue.house();
        List<Offer> offers =
                catalogue.listed().stream().filter(o -> o.party().allows(party)).toList();
        List<Query> asked = offers.stream()
                .flatMap(o -> Reaches.queries(o, party, day, day, now).stream())
                .toList();
        Booked taken = reading.of(() -> booked.touching(Reaches.together(house, asked), now));
        return offers.stream()
                .flatMap(offer -> lane(house, taken, offer, party, day, now).stream())
                .toList();
    }

    private static Optional<Lane> lane(House house, Booked taken, Offer offer, int party, LocalDate day, Instant now) {
        for (Length length : offer.lengths()) {
            Query query = Reaches.query(offer, length, party, day, day, now);
            List<Answer.Entry> entries = Openings.openings(house, taken, query).entries();
            if (!entries.isEmpty()) {
                return Optional.of(new Lane(
                        offer,
                        length,
                        entries.stream().map(e -> Slot.of(e, house)).toList()));
            }
        }
        return Optional.empty();
    }
}
