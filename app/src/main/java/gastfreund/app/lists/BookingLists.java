package gastfreund.app.lists;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.orders.AnswerStore;
import gastfreund.app.orders.GivenAnswer;
import gastfreund.app.orders.GuestWords;
import gastfreund.core.bookings.BookingId;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;

/** Finds bookings as they are looked for, a part at a time. */
@Service
public class BookingLists {

    /** How many are shown at once. */
    static final int PAGE = 100;

    /** How many go out as a file. */
    static final int FILE = 50_000;

    private final ListStore store;
    private final AnswerStore answers;
    private final CatalogueService catalogues;
    private final Clock clock;

    BookingLists(ListStore store, AnswerStore answers, CatalogueService catalogues, Clock clock) {
        this.store = store;
        this.answers = answers;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    LocalDate today() {
        return catalogues.catalogue().zone().dateOf(clock.instant());
    }

    /**
     * The bookings that come after one in the list.
     *
     * @param afterStart its start, in minutes since the epoch
     * @param afterId its id; empty: the first ones
     */
    List<ListedBooking> after(BookingFilter filter, long afterStart, String afterId) {
        return store.rows(filter, part(filter, afterStart * 60, afterId), PAGE + 1);
    }

    List<ListedBooking> all(BookingFilter filter) {
        return store.rows(filter, part(filter, 0, ""), FILE);
    }

    /** What its guest answered to the questions of its offer. */
    List<GivenAnswer> answers(ListedBooking booking) {
        return answers.of(new BookingId(booking.id()));
    }

    ListedBooking.Sums sums(BookingFilter filter) {
        return store.sums(filter, part(filter, 0, ""));
    }

    private ListStore.Part part(BookingFilter filter, long afterStart, String afterId) {
        return new ListStore.Part(
                catalogues.catalogue().zone().startOf(filter.from()) * 60,
                catalogues.catalogue().zone().startOf(filter.to().plusDays(1)) * 60,
                GuestWords.match(filter.q()),
                afterStart,
                afterId);
    }
}
