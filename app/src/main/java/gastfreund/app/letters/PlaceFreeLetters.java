package gastfreund.app.letters;

import gastfreund.app.bookings.Reserved;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.OwnLetter;
import gastfreund.core.money.Money;
import gastfreund.core.offers.PlaceId;
import java.time.Instant;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Tells those who wait that something has come free, and until when it is kept for them. */
@Component
public class PlaceFreeLetters {

    private final CatalogueService catalogues;
    private final Outbox outbox;

    PlaceFreeLetters(CatalogueService catalogues, Outbox outbox) {
        this.catalogues = catalogues;
        this.outbox = outbox;
    }

    /**
     * What has come free for somebody.
     *
     * @param guest a name
     * @param until when it goes back
     * @param path of the page on which it can be booked
     */
    public record Free(
            String guest, String email, Locale language, Reserved reserved, Money price, Instant until, String path) {}

    /** Belongs into the transaction that keeps it; not where the house, or the offer, has turned the letter off. */
    public void put(Free free) {
        Facts facts = facts(free);
        boolean off = Occasions.letter(catalogues.catalogue().extras().letters(), Occasion.PLACE_FREE, facts)
                .filter(OwnLetter::off)
                .isPresent();
        if (!off) {
            outbox.putForGuest(
                    new Letter(null, Occasion.PLACE_FREE.code(), free.email(), free.language(), facts.json()));
        }
    }

    private Facts facts(Free free) {
        Catalogue catalogue = catalogues.in(free.language());
        Reserved reserved = free.reserved();
        PlaceId place = reserved.place();
        String title = catalogue.offer(reserved.offer()).title();
        Facts.Row row = new Facts.Row(
                reserved.id().value(),
                title,
                reserved.time().start(),
                reserved.time().end(),
                reserved.party(),
                reserved.staff().stream()
                        .map(s -> catalogue.house().staff(s).name())
                        .toList(),
                place == null ? "" : catalogue.house().place(place).name(),
                "",
                "",
                free.price().minor(),
                0,
                null,
                null,
                reserved.offer().value(),
                "",
                place != null && catalogue.isElsewhere(place));
        return Facts.offering(free.guest(), free.email(), title, row, free.path(), free.until());
    }
}
