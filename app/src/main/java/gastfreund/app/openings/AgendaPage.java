package gastfreund.app.openings;

import gastfreund.app.pages.Field;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What can be had on a day.
 *
 * @param day in words
 * @param earlier the address of the day before; null: it is over
 * @param party for how many it is asked
 * @param date the field that takes another day
 * @param address where the fields are sent
 */
public record AgendaPage(
        String day, @Nullable String earlier, String later, String address, Field party, Field date, List<Lane> lanes) {

    /** An offer with its openings on the day. */
    public record Lane(String address, String title, String facts, List<Start> starts) {}

    /**
     * An opening.
     *
     * @param words its time
     * @param price empty: it is agreed
     * @param left how much is left, in words; empty: nothing is said
     */
    public record Start(String address, String words, String price, String left) {}
}
