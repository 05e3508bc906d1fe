package gastfreund.app.lists;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.core.time.HouseZone;
import java.time.Instant;
import java.time.format.DateTimeFormatter;

/** Dates and moments of lists. */
final class Dates {

    private Dates() {}

    /** From the beginning of the first date to the end of the last. */
    static ListingStore.Between between(Looked looked, CatalogueService catalogues) {
        HouseZone zone = catalogues.catalogue().zone();
        return new ListingStore.Between(
                zone.startOf(looked.from()) * 60, zone.startOf(looked.to().plusDays(1)) * 60);
    }

    /** A moment as programs read it, with the house's offset. */
    static String plain(Instant instant, Formats f) {
        return instant.atZone(f.zone().id()).format(DateTimeFormatter.ISO_OFFSET_DATE_TIME);
    }
}
