package gastfreund.core.openings;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What is taken in reach of a demand: sessions, people's timelines, resources' levels, and counts by date. */
final class Taken {

    private final Map<Session.Key, Session> joinable = new HashMap<>();
    private final Map<StaffId, List<Commitment>> ofStaff = new HashMap<>();
    private final Map<StaffId, List<Commitment>> fixedOfStaff = new HashMap<>();
    private final Map<ResourceId, Levels.Builder> ofResource = new HashMap<>();
    private final Levels.Builder implied = new Levels.Builder();
    private final Days days;
    private final int[] sessionsByDay;
    private final long[] minutesByDay;
    private final Map<StaffId, int[]> sessionsByStaffAndDay = new HashMap<>();

    private Taken(Days days) {
        this.days = days;
        this.sessionsByDay = new int[days.count()];
        this.minutesByDay = new long[days.count()];
    }

    /**
     * What is taken in {@code reach}.
     *
     * @param days the dates whose sessions are counted
     */
    static Taken inReach(House house, Booked booked, Demand demand, Interval reach, Days days) {
        Taken taken = new Taken(days);
        long mostPrep = house.offers().stream().mapToLong(o -> o.prep().count()).max().orElse(0);
        long mostReset = house.offers().stream().mapToLong(o -> o.reset().count()).max().orElse(0);
        List<Booking> live = booked.bookingsTouching(reach, mostPrep, mostReset).stream()
                .filter(b -> b.isLive(demand.query().now()) && !demand.query().without().contains(b.id()))
                .toList();
        Map<OfferId, List<Needs>> needs = new HashMap<>();
        for (Session session : sessionsOf(house, live)) {
            Offer offer = house.offer(session.offer()).orElseThrow();
            taken.add(session, demand, needs.computeIfAbsent(offer.id(), id -> Needs.of(offer)), offer);
        }
        for (Busy busy : booked.busyTouching(reach)) {
            Commitment commitment = new Commitment.OfBusy(busy);
            taken.ofStaff.computeIfAbsent(busy.staff(), s -> new ArrayList<>()).add(commitment);
            taken.fixedOfStaff.computeIfAbsent(busy.staff(), s -> new ArrayList<>()).add(commitment);
        }
        return taken;
    }

    /** Bookings of shared offers with everything in common are one session, every other is one of its own. */
    private static Collection<Session> sessionsOf(House house, List<Booking> live) {
        Map<Object, List<Booking>> groups = new LinkedHashMap<>();
        for (Booking booking : live) {
            Offer offer = house.offer(booking.offer()).orElse(null);
            if (offer != null) {
                Object key = offer.sharing().shared() ? keyOf(offer, booking) : booking;
                groups.computeIfAbsent(key, k -> new ArrayList<>(1)).add(booking);
            }
        }
        List<Session> sessions = new ArrayList<>(groups.size());
        for (List<Booking> bookings : groups.values()) {
            Booking first = bookings.get(0);
            Offer offer = house.offer(first.offer()).orElseThrow();
            Interval guests = Interval.startingAt(first.start(), first.minutes());
            Interval whole = guests.widened(offer.prep(), offer.reset());
            Set<StaffId> staff = new HashSet<>(first.staff());
            sessions.add(new Session(offer.id(), guests, whole, staff, placeOf(offer, first), List.copyOf(bookings)));
        }
        return sessions;
    }

    private static Session.Key keyOf(Offer offer, Booking b) {
        return new Session.Key(offer.id(), b.start(), b.minutes(), Set.copyOf(b.staff()), placeOf(offer, b));
    }

    private static PlaceId placeOf(Offer offer, Booking booking) {
        return booking.place() != null ? booking.place() : offer.firstPlace().orElse(null);
    }

    private void add(Session session, Demand demand, List<Needs> needs, Offer offer) {
        Commitment commitment = new Commitment.OfSession(session);
        int day = days.dayOf(session.guests().start());
        boolean counted = day >= 0 && day < days.count();
        for (StaffId person : session.staff()) {
            ofStaff.computeIfAbsent(person, s -> new ArrayList<>()).add(commitment);
            if (counted) {
                sessionsByStaffAndDay.computeIfAbsent(person, s -> new int[days.count()])[day]++;
            }
        }
        for (Needs need : needs) {
            if (need.resource() != null) {
                take(ofResource.computeIfAbsent(need.resource(), r -> new Levels.Builder()), session, need);
            } else if (offer.id().equals(demand.offer().id()) && samePlace(session.place(), demand.place())) {
                take(implied, session, need);
            }
        }
        if (offer.id().equals(demand.offer().id())) {
            if (offer.sharing().shared()) {
                joinable.put(keyOf(offer, session.bookings().get(0)), session);
            }
            if (counted) {
                sessionsByDay[day]++;
                minutesByDay[day] += session.guests().length().count();
            }
        }
    }

    private static boolean samePlace(PlaceId one, PlaceId other) {
        return one == null ? other == null : one.equals(other);
    }

    private static void take(Levels.Builder levels, Session session, Needs need) {
        levels.take(session.taken().start(), session.taken().end(), need.of(session));
    }

    /** The session that a candidate equals, null where there is none. */
    Session joined(OfferId offer, long start, Minutes minutes, Set<StaffId> staff, PlaceId place) {
        return joinable.isEmpty() ? null : joinable.get(new Session.Key(offer, start, minutes, staff, place));
    }

    /** All commitments of a person. */
    Timeline timelineOf(StaffId person) {
        return Timeline.of(ofStaff.getOrDefault(person, List.of()));
    }

    /** The commitments of a person that are not made by bookings. */
    Timeline fixedTimelineOf(StaffId person) {
        return Timeline.of(fixedOfStaff.getOrDefault(person, List.of()));
    }

    /** The units taken of a resource, of the implied one for null. */
    Levels levelsOf(ResourceId resource) {
        Levels.Builder levels = resource == null ? implied : ofResource.get(resource);
        return levels == null ? new Levels.Builder().build() : levels.build();
    }

    /** The offer's sessions that start on a date. */
    int sessionsOn(int day) {
        return sessionsByDay[day];
    }

    /** The minutes of the offer's sessions that start on a date. */
    long minutesOn(int day) {
        return minutesByDay[day];
    }

    /** The sessions of any offer that a person serves and that start on a date. */
    int sessionsOn(int day, StaffId person) {
        int[] counts = sessionsByStaffAndDay.get(person);
        return counts == null ? 0 : counts[day];
    }
}
