package gastfreund.app.board;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.Use;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Draws the ruler of days. */
@Component
class Rulers {

    private static final int TICK = 30;
    private static final int FULL = 34;

    private final BoardStore store;
    private final CatalogueService catalogues;
    private final Clock clock;

    Rulers(BoardStore store, CatalogueService catalogues, Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** Six weeks with the day in the third. */
    Ruler of(LocalDate selected) {
        Catalogue catalogue = catalogues.catalogue();
        LocalDate first = catalogue.extras().manners().weekOf(selected).minusWeeks(2);
        Days days = Days.between(catalogue.zone(), first.minusDays(1), first.plusDays(Ruler.DAYS - 1L));
        List<BoardBooking> bookings = store.between(days.span(), clock.instant());
        long[] staffOpen = new long[days.count()];
        long[] staffTaken = new long[days.count()];
        long[] unitsOpen = new long[days.count()];
        long[] unitsTaken = new long[days.count()];
        boolean[] waiting = new boolean[days.count()];
        for (Staff person : catalogue.house().staff()) {
            add(staffOpen, days, person.hours().openTime(days), 1);
        }
        IntervalSet houseHours = catalogue.house().hours().openTime(days);
        for (Resource resource : catalogue.house().resources()) {
            add(unitsOpen, days, resource.hours().openTime(days).intersect(houseHours), resource.units());
        }
        Set<Object> sessions = new HashSet<>();
        for (BoardBooking booking : bookings) {
            Offer offer = catalogue.offer(booking.offer());
            Interval taken = booking.time().widened(offer.prep(), offer.reset());
            // Bookings that share a session take its staff once.
            Object session = List.of(booking.offer(), booking.time(), booking.staff());
            if (!offer.sharing().shared() || sessions.add(session)) {
                add(staffTaken, days, taken, booking.staff().size());
            }
            long units = catalogue.house().resources().stream()
                    .mapToLong(r -> units(offer, r, booking))
                    .sum();
            add(unitsTaken, days, taken, units);
            int day = days.dayOf(booking.time().start());
            if (booking.status() == BookingStatus.REQUESTED && day >= 0 && day < waiting.length) {
                waiting[day] = true;
            }
        }
        List<Ruler.Tick> ticks = new ArrayList<>();
        for (int day = 1; day < days.count(); day++) {
            int percent = Math.max(percent(staffTaken[day], staffOpen[day]), percent(unitsTaken[day], unitsOpen[day]));
            int fill = percent == 0 ? 0 : Math.max(3, percent * FULL / 100);
            LocalDate date = days.date(day);
            ticks.add(new Ruler.Tick(
                    date,
                    (day - 1) * TICK,
                    fill,
                    percent,
                    staffOpen[day] + unitsOpen[day] > 0,
                    waiting[day],
                    date.equals(selected)));
        }
        return new Ruler(List.copyOf(ticks));
    }

    private static int units(Offer offer, Resource resource, BoardBooking booking) {
        return offer.uses().stream()
                .filter(u -> u.resource().equals(resource.id()))
                .mapToInt(u -> u.units() * (u.per() == Use.Per.PERSON ? booking.party() : 1))
                .sum();
    }

    private static int percent(long taken, long open) {
        return open == 0 ? (taken > 0 ? 100 : 0) : (int) Math.min(100, taken * 100 / open);
    }

    private static void add(long[] sums, Days days, Interval part, long weight) {
        int last = Math.min(sums.length - 1, days.dayOf(part.end() - 1));
        for (int day = Math.max(0, days.dayOf(part.start())); day <= last; day++) {
            long from = Math.max(part.start(), days.start(day));
            long to = Math.min(part.end(), days.start(day + 1));
            sums[day] += Math.max(0, to - from) * weight;
        }
    }

    private static void add(long[] sums, Days days, IntervalSet set, long weight) {
        set.intervals().forEach(part -> add(sums, days, part, weight));
    }
}
