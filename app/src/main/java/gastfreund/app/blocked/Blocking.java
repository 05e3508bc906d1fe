package gastfreund.app.blocked;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps times of those who serve free. */
@Service
public class Blocking {

    /** How long a time can be kept free every week. */
    static final int MOST_WEEKS = 104;

    private static final int MOST_SHOWN = 500;
    private static final int AHEAD_DAYS = 90;

    private final BlockedStore store;
    private final BookingStore bookings;
    private final CatalogueService catalogues;
    private final Clock clock;

    Blocking(BlockedStore store, BookingStore bookings, CatalogueService catalogues, Clock clock) {
        this.store = store;
        this.bookings = bookings;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /**
     * A wish to keep a time free.
     *
     * @param to at or before {@code from}: it ends on the next day
     * @param last the last date (inclusive) on which it may begin; the same as {@code day}: once
     */
    public record Wish(StaffId staff, LocalDate day, LocalTime from, LocalTime to, LocalDate last, String word) {}

    /** Whether a host may keep somebody's time free: one's own, or anybody's where they see everything. */
    public boolean may(Host host, StaffId staff) {
        return host.may(Right.SEE_ALL) || host.person().equals(staff.value());
    }

    /** Keeps a time free; what is booked then stays, and is shown as no longer fitting. */
    @Transactional
    public void block(Wish wish, Host host) {
        boolean weekly = wish.last().isAfter(wish.day());
        long id = store.insert(wish.staff(), wish.word(), weekly, host.email(), clock.instant());
        List<Interval> times = new ArrayList<>();
        for (LocalDate day = wish.day();
                !day.isAfter(wish.last()) && times.size() < MOST_WEEKS;
                day = day.plusWeeks(1)) {
            time(wish, day, times);
        }
        bookings.block(id, wish.staff(), times);
    }

    /** In a night in which the clock jumps, nothing may be left of it. */
    private void time(Wish wish, LocalDate day, List<Interval> times) {
        HouseZone zone = catalogues.catalogue().zone();
        LocalDate end = wish.to().isAfter(wish.from()) ? day : day.plusDays(1);
        long from = zone.minuteOf(day.atTime(wish.from()));
        long to = zone.minuteOf(end.atTime(wish.to()));
        if (to > from) {
            times.add(Interval.between(from, to));
        }
    }

    /** What is kept free in a stretch of time. */
    public List<BlockedTime> between(Interval stretch) {
        return store.between(stretch, MOST_SHOWN);
    }

    /** What is kept free in the next weeks. */
    List<BlockedTime> ahead() {
        long now = Interval.firstMinuteFrom(clock.instant());
        return store.between(Interval.between(now, now + AHEAD_DAYS * 24L * 60), MOST_SHOWN);
    }

    /**
     * Gives a time free again.
     *
     * @param all whether with all dates of it that are ahead, and not this one alone
     * @return false where there is none, or the host may not
     */
    @Transactional
    public boolean free(long id, boolean all, Host host) {
        BlockedTime found = store.find(id).orElse(null);
        if (found == null || !may(host, found.staff())) {
            return false;
        }
        if (all) {
            bookings.free(found.blocked(), Interval.firstMinuteFrom(clock.instant()));
        } else {
            bookings.free(found.id());
        }
        if (store.countDates(found.blocked()) == 0) {
            store.remove(found.blocked());
        }
        return true;
    }
}
