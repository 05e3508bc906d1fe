package gastfreund.app.board;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.languages.Formats;
import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Busy;
import gastfreund.core.offers.House;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Clash;
import gastfreund.core.openings.Clashes;
import gastfreund.core.openings.Reason;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What on a day no longer fits, in words, and when those who serve are busy elsewhere. */
@Component
class BoardClashes {

    /** How far a session that matters to a day can reach. */
    private static final int MARGIN_DAYS = 3;

    private final BookedStore store;

    BoardClashes(BookedStore store) {
        this.store = store;
    }

    /**
     * @param busy by who serves, what overlaps made one
     * @param reasons by the ids of bookings that no longer fit, the first reason of each
     */
    record OfDay(Map<StaffId, IntervalSet> busy, Map<String, String> reasons) {}

    OfDay of(LocalDate day, Catalogue catalogue, Instant now, Formats f) {
        House house = catalogue.house();
        Interval around = Interval.between(
                house.zone().startOf(day.minusDays(MARGIN_DAYS)), house.zone().startOf(day.plusDays(MARGIN_DAYS + 1L)));
        Booked booked = store.touching(around, now);
        Map<StaffId, IntervalSet> busy = new HashMap<>();
        booked.busyTouching(around).stream()
                .collect(Collectors.groupingBy(Busy::staff, LinkedHashMap::new, Collectors.toList()))
                .forEach((staff, all) -> busy.put(
                        staff,
                        IntervalSet.union(all.stream().map(Busy::interval).toList())));
        Map<String, String> reasons = new HashMap<>();
        for (Clash clash : Clashes.of(house, booked, day, day, now)) {
            String words = words(clash.reasons().get(0), house, f);
            clash.session().bookings().forEach(b -> reasons.put(b.id().value(), words));
        }
        return new OfDay(busy, reasons);
    }

    private static String words(Reason reason, House house, Formats f) {
        if (reason instanceof Reason.StaffBusy busy) {
            return f.text("board.clash.busy", house.staff(busy.staff()).name());
        }
        if (reason instanceof Reason.Full full) {
            return full.resource() == null
                    ? f.text("board.clash.twice")
                    : f.text("board.clash.full", house.resource(full.resource()).name());
        }
        return f.text(
                reason instanceof Reason.Closed
                        ? "board.clash.closed"
                        : reason instanceof Reason.Seats ? "board.clash.seats" : "board.clash.hours");
    }
}
