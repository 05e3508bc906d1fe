package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Commitment;
import gastfreund.core.sessions.Levels;
import gastfreund.core.sessions.Needs;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Sessions;
import gastfreund.core.sessions.Timeline;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** What is taken in reach of a demand: sessions, people's timelines, resources' levels, and counts by date. */
final class Taken {

    private final List<Session> sessions = new ArrayList<>();
    private final Map<OfferId, List<Needs>> needsOf = new HashMap<>();
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
        long mostPrep = most(house, Offer::prep);
        long mostReset = most(house, Offer::reset);
        Relevance relevance = Relevance.of(house, demand);
        Query query = demand.query();
        List<Booking> live = new ArrayList<>();
        for (Booking booking : booked.bookingsTouching(
                reach, mostPrep, mostReset + longestSession(house), relevance.offers(), relevance.staff())) {
            if (booking.isLive(query.now())
                    && (query.without().isEmpty() || !query.without().contains(booking.id()))) {
                live.add(booking);
            }
        }
        // Where a booking is longer than the session that it is part of, the session decides; so it must be known.
        long earliest = Math.min(
                reach.start() - mostReset - longestSession(house),
                live.isEmpty() ? Long.MAX_VALUE : live.get(0).start());
        Interval starts = Interval.between(earliest, reach.end() + mostPrep);
        Sessions sessions = Sessions.of(house, live, starts);
        sessions.apart().forEach(session -> taken.add(session, demand, house));
        sessions.shared().forEach((key, session) -> {
            taken.add(session, demand, house);
            if (session.offer().equals(demand.offer().id())) {
                taken.joinable.put(key, session);
            }
        });
        for (Busy busy : booked.busyTouching(reach)) {
            Commitment commitment = new Commitment.OfBusy(busy);
            taken.ofStaff.computeIfAbsent(busy.staff(), s -> new ArrayList<>()).add(commitment);
            taken.fixedOfStaff
                    .computeIfAbsent(busy.staff(), s -> new ArrayList<>())
                    .add(commitment);
        }
        return taken;
    }

    /** The most minutes that any offer takes before, or after, a guest's time. */
    static long most(House house, Function<Offer, Minutes> minutes) {
        return house.offers().stream()
                .mapToLong(o -> minutes.apply(o).count())
                .max()
                .orElse(0);
    }

    /** The longest that a session of a timetable lasts. */
    static long longestSession(House house) {
        return house.offers().stream()
                .flatMap(o -> o.entries().stream())
                .mapToLong(e -> e.length().minutes().count())
                .max()
                .orElse(0);
    }

    private void add(Session session, Demand demand, House house) {
        Offer offer = house.offer(session.offer()).orElseThrow();
        List<Needs> needs = needsOf.computeIfAbsent(offer.id(), id -> Needs.of(offer));
        sessions.add(session);
        Commitment commitment = new Commitment.OfSession(session);
        int day = days.dayOf(session.guests().start());
        boolean counted = day >= 0 && day < days.count();
        for (StaffId person : session.staff()) {
            ofStaff.computeIfAbsent(person, s -> new ArrayList<>()).add(commitment);
            if (session.timetabled()) {
                fixedOfStaff.computeIfAbsent(person, s -> new ArrayList<>()).add(commitment);
            }
            if (counted) {
                sessionsByStaffAndDay.computeIfAbsent(person, s -> new int[days.count()])[day]++;
            }
        }
        for (Needs need : needs) {
            if (need.resource() != null) {
                take(ofResource.computeIfAbsent(need.resource(), r -> new Levels.Builder()), session, need);
            } else if (offer.id().equals(demand.offer().id()) && isAt(session.place(), demand)) {
                take(implied, session, need);
            }
        }
        if (offer.id().equals(demand.offer().id())) {
            if (counted) {
                sessionsByDay[day]++;
                minutesByDay[day] += session.guests().length().count();
            }
        }
    }

    private static boolean isAt(@Nullable PlaceId place, Demand demand) {
        return demand.ways().stream().anyMatch(way -> Objects.equals(way.place(), place));
    }

    private static void take(Levels.Builder levels, Session session, Needs need) {
        levels.take(session.taken().start(), session.taken().end(), need.of(session));
    }

    /** The session that a candidate equals, null where there is none. */
    @Nullable
    Session joined(Session.Key key) {
        return joinable.isEmpty() ? null : joinable.get(key);
    }

    /** The sessions that take units of a resource (null: the implied one) during {@code [start, end)}, by start. */
    List<Commitment> takingUnits(@Nullable ResourceId resource, long start, long end) {
        return sessions.stream()
                .filter(s -> s.taken().start() < end && s.taken().end() > start)
                .filter(s -> needsOf.getOrDefault(s.offer(), List.of()).stream()
                        .anyMatch(n -> Objects.equals(n.resource(), resource) && n.of(s) > 0))
                .sorted(Comparator.comparingLong(s -> s.taken().start()))
                .<Commitment>map(Commitment.OfSession::new)
                .toList();
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
    Levels levelsOf(@Nullable ResourceId resource) {
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

    /** How many sessions of any offer a person serves, by the date on which they start. */
    int[] sessionsServed(StaffId person) {
        return sessionsByStaffAndDay.getOrDefault(person, new int[days.count()]);
    }
}
