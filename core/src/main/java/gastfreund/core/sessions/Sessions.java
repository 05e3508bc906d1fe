package gastfreund.core.sessions;

import gastfreund.core.bookings.Booking;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Timetable;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Gathers bookings and occurrences of timetables into sessions ({@code docs/openings.md}, "Commitments"). */
public final class Sessions {

    private final House house;
    private final List<Session> apart = new ArrayList<>();
    private final Map<Session.Key, Gathering> shared = new LinkedHashMap<>();

    /** A session whose bookings are still coming in. */
    private static final class Gathering {
        private final Offer offer;
        private final Interval guests;
        private final Set<StaffId> staff;
        private final @Nullable PlaceId place;
        private final Timetable.@Nullable Entry entry;
        private final List<Booking> bookings = new ArrayList<>(2);

        Gathering(
                Offer offer,
                Interval guests,
                Set<StaffId> staff,
                @Nullable PlaceId place,
                Timetable.@Nullable Entry entry) {
            this.offer = offer;
            this.guests = guests;
            this.staff = staff;
            this.place = place;
            this.entry = entry;
        }

        Session session() {
            Interval taken = guests.widened(offer.prep(), offer.reset());
            return new Session(offer.id(), guests, taken, staff, place, bookings, entry);
        }
    }

    private Sessions(House house) {
        this.house = house;
    }

    /**
     * The sessions of live bookings, and those of timetables that start in a stretch; of a retired offer's timetable only
     * those that are booked.
     *
     * @param starts where a timetable's sessions may start (start inclusive, end exclusive)
     */
    public static Sessions of(House house, List<Booking> live, Interval starts) {
        Sessions sessions = new Sessions(house);
        for (Offer offer : house.offers()) {
            if (offer.hasTimetable()) {
                sessions.addOccurrences(offer, starts);
            }
        }
        live.forEach(sessions::add);
        sessions.shared
                .values()
                .removeIf(g -> g.entry != null
                        && g.bookings.isEmpty()
                        && house.retired().offers().contains(g.offer.id()));
        return sessions;
    }

    /** Sessions that nobody can join. */
    public List<Session> apart() {
        return apart;
    }

    /** Sessions that can be joined, by what a booking that joins has in common with them. */
    public Map<Session.Key, Session> shared() {
        Map<Session.Key, Session> sessions = new LinkedHashMap<>();
        shared.forEach((key, gathering) -> sessions.put(key, gathering.session()));
        return sessions;
    }

    private void addOccurrences(Offer offer, Interval starts) {
        for (Timetable.Entry entry : offer.entries()) {
            for (long start : startsOf(entry, starts)) {
                shared.put(
                        Session.Key.ofTimetable(offer.id(), start, entry.place()),
                        new Gathering(
                                offer,
                                Interval.startingAt(start, entry.length().minutes()),
                                Set.copyOf(entry.staff()),
                                entry.place(),
                                entry));
            }
        }
    }

    private long[] startsOf(Timetable.Entry entry, Interval within) {
        long[] starts = entry.startsBetween(
                house.zone().dateOf(within.start()).minusDays(1), house.zone().dateOf(within.end()), house.zone());
        int n = 0;
        for (long start : starts) {
            if (start >= within.start() && start < within.end()) {
                starts[n++] = start;
            }
        }
        return Arrays.copyOf(starts, n);
    }

    private void add(Booking booking) {
        Offer offer = house.offer(booking.offer()).orElse(null);
        if (offer == null) {
            return;
        }
        if (!offer.sharing().shared()) {
            apart.add(alone(offer, booking));
            return;
        }
        PlaceId place = offer.placeOr(booking.place());
        Gathering occurrence =
                offer.hasTimetable() ? shared.get(Session.Key.ofTimetable(offer.id(), booking.start(), place)) : null;
        if (occurrence == null) {
            Session.Key key =
                    new Session.Key(offer.id(), booking.start(), booking.minutes(), setOf(booking.staff()), place);
            occurrence = shared.computeIfAbsent(key, k -> gathering(offer, booking, place));
        }
        occurrence.bookings.add(booking);
    }

    /** The session that a booking of an offer that nobody shares is. */
    public static Session alone(Offer offer, Booking booking) {
        Interval guests = Interval.startingAt(booking.start(), booking.minutes());
        return new Session(
                offer.id(),
                guests,
                guests.widened(offer.prep(), offer.reset()),
                setOf(booking.staff()),
                offer.placeOr(booking.place()),
                List.of(booking),
                null);
    }

    private static Gathering gathering(Offer offer, Booking booking, @Nullable PlaceId place) {
        Interval guests = Interval.startingAt(booking.start(), booking.minutes());
        return new Gathering(offer, guests, setOf(booking.staff()), place, null);
    }

    /** As {@code Set.copyOf}, and much quicker for the one person who usually serves. */
    private static Set<StaffId> setOf(List<StaffId> staff) {
        return staff.size() == 1 ? Set.of(staff.get(0)) : Set.copyOf(staff);
    }
}
